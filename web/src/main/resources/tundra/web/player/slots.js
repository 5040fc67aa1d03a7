const quiet = matchMedia("(prefers-reduced-motion: reduce)");
// Those of all players on the page, and how many gradients of a name there are.
const { pieces, copies } = Tundra;
const tell = (text, reaction = "") => dispatchEvent(new CustomEvent("tundra", { detail: { text, reaction } }));

// The numbers of two texts of the same form, to be mixed.
const NUMBER = /-?\d*\.?\d+(?:e-?\d+)?/g;
const mix = (a, b, p) => {
  const to = b.match(NUMBER) || [];
  let i = 0;
  return a.replace(NUMBER, (x) => +x + (to[i++] - x) * p);
};

//# eases
// A track whose keys name the piece's eases by number, with the pieces of those in place of each such key; worked out once, however often it is played.
const cut = (track, eases) => (track.pieces ??= { ...track, keys: track.keys.flatMap((key, i, keys) => {
  const [at, value, ease] = key, [end, to] = keys[i + 1] ?? key;
  return eases?.[ease]?.map(([from, share, easing]) => [at + (end - at) * from, share ? mix(value, to, share) : value, easing]) ?? [key];
}) });
//# core

const flat = (matrix) => {
  const [a, b, c, d] = matrix.match(NUMBER);
  return Math.abs(a * d - b * c) < 1e-9;
};

// What browsers move on their compositor is shown a frame ahead of what the page's own thread works out, so the rest runs ahead by as much.
const COMPOSITED = new Set(["translate", "rotate", "scale", "transform", "opacity"]);
let frame = 1000 / 60;

// Texts between two keys: the browser does the easing, the numbers are mixed.
class Curve {
  constructor(keys) {
    this.keys = keys.map(([at, value, easing = "linear"]) => {
      const effect = new KeyframeEffect(null, null, { duration: 1, fill: "both", easing });
      const clock = new Animation(effect, null);
      return { at, value, ease: (p) => ((clock.currentTime = p), effect.getComputedTiming().progress) };
    });
  }

  at(progress) {
    const { keys } = this;
    let i = keys.findLastIndex((k) => k.at <= progress);
    i = Math.max(0, Math.min(i, keys.length - 2));
    const a = keys[i], b = keys[i + 1];
    const p = b.at > a.at ? (progress - a.at) / (b.at - a.at) : 1;
    return p >= 1 ? b.value : mix(a.value, b.value, a.ease(Math.max(0, p)));
  }
}

// A value of the page and the tracks that have a say in it, in the order in which their timelines were started: the last one decides.
class Slot {
  tracks = [];

  constructor(el, property) {
    Object.assign(this, { el, property });
  }

  get top() {
    return this.tracks.at(-1);
  }

  raise(track) {
    if (this.top !== track) {
      this.drop(track);
      this.tracks.push(track);
    }
  }

  drop(track) {
    this.tracks = this.tracks.filter((t) => t !== track);
  }

  // Writes what moved no longer.
  settle() {}

  // What is seen now.
  get now() {
    return getComputedStyle(this.el)[this.property];
  }
}

// A CSS value: an animation while its timeline plays, a plain style once it stands, which browsers paint sharper.
class Animated extends Slot {
  #animation;
  #of;

  show() {
    const { top } = this;
    if (top !== this.#of) {
      this.#animation?.cancel();
      this.#animation = null;
      this.#of = top;
      if (!top) this.el.style[this.property] = "";
    }
    if (!top) return;
    const { timeline } = top;
    this.#animation ??= this.el.animate(top.frames, timeline.scrolled ?? timeline.timing);
    // the browser moves it by its own scroll timeline
    if (timeline.scrolled) return;
    if (timeline.playing && !timeline.stepped) {
      this.#animation.playbackRate = timeline.pace;
      this.#animation.startTime = timeline.start - (COMPOSITED.has(this.property) ? 0 : frame);
    } else {
      this.#animation.pause();
      this.#animation.currentTime = timeline.stands;
    }
  }

  // Styles of what isn't rendered can't be written; they stay as they are.
  settle() {
    if (!this.#animation || this.top?.timeline.playing || this.top?.timeline.scrolled) return false;
    try {
      this.#animation.commitStyles();
      return true;
    } catch {
      return false;
    }
  }

  rest() {
    this.#animation?.cancel();
    this.#animation = null;
  }

  // The timing of a track is another one from now on.
  renew(track) {
    if (this.#of === track) this.rest();
  }
}

// An attribute, which Web Animations cannot set in every browser: set at each frame.
class Driven extends Slot {
  constructor(el, property) {
    super(el, property);
    this.base = el.getAttribute(property);
  }

  get now() {
    return this.el.getAttribute(this.property);
  }

  show() {
    const { top } = this;
    if (top) {
      const value = top.curve.at(top.timeline.progress);
      // browsers paint nothing where a gradient is flat, as it is for a moment when it turns over
      if (this.property === "gradientTransform" && flat(value)) return;
      this.el.setAttribute(this.property, value);
    } else if (this.base === null) this.el.removeAttribute(this.property);
    else this.el.setAttribute(this.property, this.base);
  }
}

// What jumps from value to value: set by a timer, since an animation of it would wake the main thread at every frame.
class Switched extends Slot {
  // What holds at a share of the timeline, or of a round that begins again and again.
  held({ keys, round, timeline }, share) {
    if (round) {
      const since = share * timeline.duration - round.begin;
      if (since < -1e-4) return round.before;
      share = (Math.max(0, since) % round.length) / round.length;
    }
    return (keys.findLast(([at]) => at <= share + 1e-7) ?? keys[0])[1];
  }

  show() {
    const { top } = this;
    // the document's own time stands still between frames, and a timer that asked it would come too early again and again
    this.el.style[this.property] = top ? this.held(top, top.timeline.exact) : "";
  }
}

const n = (x) => +x.toFixed(4);
//# core
// Finds the slot of a part of a board and a property: "@" is an attribute, "!" jumps, "%" is a part of a mixed value.
const slots = (board, mixes) => {
  const known = new Map(), made = new Map();
  return (of, property) => {
    const name = of + " " + property;
    if (!known.has(name)) {
      const rest = property.slice(1);
      known.set(name, property[0] === "@" ? new Driven(board.part(of), rest)
        : property[0] === "!" ? new Switched(board.part(of), rest)
        : property[0] === "%" ? part(of, rest)
        : new Animated(board.part(of), property));
    }
    return known.get(name);
  };

  function mixed(of, mix) {
    const key = of + " " + mix;
    if (!made.has(key)) made.set(key, new Mixed(board, of, mix, mixes[key], mixed));
    return made.get(key);
  }

  function part(of, name) {
    const [mix, i] = name.split(" ");
    return new Part(mixed(of, mix), +i);
  }
};
