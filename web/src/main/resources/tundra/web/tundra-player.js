// Plays a published piece. Its public face is described in docs/player.md.
const Tundra = (() => {
  "use strict";
  const quiet = matchMedia("(prefers-reduced-motion: reduce)");
  const pieces = [];
  // How many gradients of a name there are.
  const copies = new Map();
  const tell = (text, reaction = "") => dispatchEvent(new CustomEvent("tundra", { detail: { text, reaction } }));

  // The numbers of two texts of the same form, to be mixed.
  const NUMBER = /-?\d*\.?\d+(?:e-?\d+)?/g;
  const mix = (a, b, p) => {
    const to = b.match(NUMBER) || [];
    let i = 0;
    return a.replace(NUMBER, (x) => +x + (to[i++] - x) * p);
  };

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
      this.#animation ??= this.el.animate(top.frames, timeline.timing);
      if (timeline.playing && !timeline.stepped) {
        this.#animation.startTime = timeline.start - (COMPOSITED.has(this.property) ? 0 : frame);
      } else {
        this.#animation.pause();
        this.#animation.currentTime = timeline.stands;
      }
    }

    // Styles of what isn't rendered can't be written; they stay as they are.
    settle() {
      if (!this.#animation || this.top?.timeline.playing) return false;
      try {
        this.#animation.commitStyles();
        return true;
      } catch {
        return false;
      }
    }

    rest() {
      this.#animation.cancel();
      this.#animation = null;
    }

    // The timing of a track is another one from now on.
    renew(track) {
      if (this.#of === track) {
        this.#animation?.cancel();
        this.#animation = null;
      }
    }
  }

  // An attribute, which Web Animations cannot set in every browser: set at each frame.
  class Driven extends Slot {
    constructor(el, property) {
      super(el, property);
      this.base = el.getAttribute(property);
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
    show() {
      const { top } = this;
      // the document's own time stands still between frames, and a timer that asked it would come too early again and again
      const now = top && (top.keys.findLast(([at]) => at <= top.timeline.exact + 1e-7) || top.keys[0]);
      this.el.style[this.property] = now ? now[1] : "";
    }
  }

  // A value that is made of several, which may be keyed on different timelines.
  const n = (x) => +x.toFixed(4);
  const MIXES = {
    // places that were split into halves
    place: ([px, py, x, y]) => ({ translate: n(x ?? px) + "px " + n(y ?? py) + "px" }),
    // a rotation, whether it faces its way, the way's direction and the front
    turn: ([r, faces, ahead, front]) => ({ rotate: n(faces && ahead != null ? r + ahead - front : r) + "deg" }),
    // a corner never exceeds half of a side
    corner: ([r, w, h]) => {
      const q = n(Math.max(0, Math.min(r, w / 2, h / 2))) + "px";
      return { rx: q, ry: q };
    },
    // the dashes between two shares of a line as one long pattern, which starts where the first of them does
    dashes: ([dash, gap, offset, from, to, length, measured], el) => {
      // where size and corners move on different timelines only the browser knows how long it is now
      if (measured) length = el.getTotalLength();
      from = Math.max(0, Math.min(1, from));
      to = Math.max(0, Math.min(1, to));
      const a = from * length, b = to * length, period = dash + gap;
      const line = (pattern, at) => ({ strokeDasharray: pattern.map((x) => n(x) + "px").join(" "), strokeDashoffset: n(at) + "px" });
      if (from <= 0 && to >= 1) return dash > 0 && gap > 0 ? line([dash, gap], offset) : { strokeDasharray: "none", strokeDashoffset: "0px" };
      const hidden = () => line([0, 3 * length + 3], -2 * length - 2);
      if (from >= to || !(length > 0)) return hidden();
      if (dash <= 0 || gap <= 0 || (b - a) / period > 2000) return line([b - a, length + 1], -a);
      const out = [], phase = offset % period;
      let first = a, at = a;
      for (let s = Math.floor((a + phase) / period) * period - phase; s < b; s += period) {
        const x = Math.max(a, s), y = Math.min(b, s + dash);
        if (y > x) {
          if (out.length) out.push(x - at);
          else first = x;
          out.push(y - x);
          at = y;
        }
      }
      return out.length ? line([...out, length + 1], -first) : hidden();
    },
    // a gradient's map in a box of one by one, and the box
    map: ([m, w, h]) => ({ gradientTransform: "matrix(" + m.match(NUMBER).map((x, i) => n(x * (i % 2 ? h : w))).join(" ") + ")" }),
    // a form and the factors by which it is stretched
    form: ([d, kx, ky]) => {
      let i = 0;
      return { d: d.replace(NUMBER, (x) => n(x * (i++ % 2 ? ky : kx))) };
    },
    // how a text is set: its lines are placed as their measures say
    text: ([size, weight, lead, wrap, align, spacing], el, { faces, ways, gradients }, { box, lines, mixed }, set) => {
      const [family, ascent, descent] = faces[weight];
      const apart = spacing || set[5];
      // browsers have fonts in steps of a hundredth, and measure them in steps of a 64th
      const measured = Math.floor(Math.floor(size * 100 + 1e-6) * 0.64) / 64;
      const rows = (wrap > 0 ? ways.find(([from]) => wrap >= from) : ways.at(-1))[1];
      const widths = rows.map(([text, w]) => (text ? w[weight][apart ? 1 : 0] * measured + spacing * ([...text].length - 1) : 0));
      const wide = Math.max(wrap, ...widths), high = size * lead;
      lines.forEach((line, i) => {
        const text = rows[i]?.[0] ?? "";
        if (line.textContent !== text) line.textContent = text;
        if (!text) return;
        line.setAttribute("x", n(((wide - widths[i]) * align) / 2));
        line.setAttribute("y", n(i * high + (high - (ascent + descent) * size) / 2 + ascent * size));
      });
      box.style.width = n(wide) + "px";
      box.style.height = n(high * rows.length) + "px";
      for (const g of gradients) {
        const map = mixed(g, "map");
        map.set(1, wide);
        map.set(2, high * rows.length);
        map.show();
      }
      const features = apart ? '"liga" 0,"clig" 0,"calt" 0,"dlig" 0,"hlig" 0' : "normal";
      return { fontSize: n(size) + "px", fontWeight: weight, fontFamily: "'" + family + "'", letterSpacing: n(spacing) + "px", fontFeatureSettings: features };
    },
  };

  const ATTRIBUTES = { d: 1, gradientTransform: 1 };

  class Mixed {
    #parts;
    #dirty = false;

    constructor(board, of, mix, { rest, data }, mixed) {
      const el = board.part(of), parts = { box: data?.box && board.part(data.box), lines: [...el.children], mixed };
      Object.assign(this, { el, mix: (now, set) => MIXES[mix](now, el, data, parts, set), base: Object.fromEntries(Object.keys(ATTRIBUTES).map((a) => [a, el.getAttribute(a)])) });
      this.#parts = rest.map((value) => ({ rest: value, now: value, set: false }));
    }

    // Undefined for what no timeline has a say in any more.
    set(part, value) {
      const p = this.#parts[part];
      p.set = value !== undefined;
      p.now = p.set ? value : p.rest;
      this.#dirty = true;
    }

    show() {
      if (!this.#dirty) return;
      this.#dirty = false;
      const any = this.#parts.some((p) => p.set);
      for (const [property, value] of Object.entries(this.mix(this.#parts.map((p) => p.now), this.#parts.map((p) => p.set)))) {
        if (property in ATTRIBUTES) {
          if (property === "d" || !flat(value)) this.el.setAttribute(property, any ? value : this.base[property]);
        } else this.el.style[property] = any ? value : "";
      }
    }
  }

  class Part extends Slot {
    show() {
      const { top, property: part } = this;
      const text = top?.curve.at(top.timeline.progress);
      this.el.set(part, text === undefined ? undefined : /^[-\d.e]+$/.test(text) ? +text : text);
      this.el.show();
    }
  }

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

  // What the time of a motif's instance goes by: how far its driver has come, in ms, becomes a time of the motif, whose length is given.
  class Clock {
    constructor({ repeat = "loop", phase = 0, speed = 1 }, duration) {
      const over = repeat === "once" && (speed < 0 ? phase <= 0 : phase >= duration);
      Object.assign(this, { repeat, phase, speed, duration, still: repeat === "hold" || !speed || over });
    }

    local(elapsed) {
      const { duration: d, phase, repeat } = this;
      const t = repeat === "hold" ? phase : phase + elapsed * this.speed;
      return repeat === "loop" ? ((t % d) + d) % d : Math.max(0, Math.min(d, t));
    }

    // How an animation as long as the motif goes by the driver's own time.
    get timing() {
      const { duration, phase, repeat } = this, pace = Math.abs(this.speed), back = this.speed < 0;
      const share = Math.max(0, Math.min(1, phase / duration));
      const timing = { duration: duration / pace, fill: "both", direction: back ? "reverse" : "normal", iterations: Infinity };
      if (repeat === "loop") return { ...timing, iterationStart: (((back ? 1 - phase / duration : phase / duration) % 1) + 1) % 1 };
      return { ...timing, iterationStart: back ? 1 - share : share, iterations: back ? share : 1 - share, delay: phase < 0 && !back ? -phase / pace : 0 };
    }

    // When, in ms from now, the local time passes one of some shares of the motif.
    next(p, shares) {
      const pace = this.duration / Math.abs(this.speed), loops = this.repeat === "loop";
      if (this.speed > 0) return Math.min(...shares.filter((at) => at > p + 1e-7).map((at) => at - p), loops ? 1 - p : Infinity) * pace;
      return Math.min(...shares.filter((at) => at < p + 1e-7 && at > 0).map((at) => Math.max(0, p - at)), loops ? p : Infinity) * pace + 0.5;
    }
  }

  // All animations of a timeline share one start, so that they keep in step. There is no animation that only keeps time: one
  // without a target would wake the main thread at every frame. A timeline that was never started shows nothing.
  class Timeline {
    #tracks;
    #driven;
    #switched;
    #turn;
    #loop;
    #at = 0;
    #end;
    #sounds;
    #again;
    #step;
    #board;
    #clock;
    #source;
    #round;

    // With a clock it isn't played, but goes along with what drives the motif that it is part of.
    constructor({ id, name, duration, loop, starts, tracks, sounds = [] }, board, slot, clock) {
      Object.assign(this, { id, name, duration, starts, loops: loop, playing: false, start: 0 });
      this.#board = board;
      this.#loop = loop && !quiet.matches;
      this.#clock = clock;
      // what is as long as the motif goes by the browser's own animations, the rest is set frame by frame
      this.composed = clock && !clock.still && clock.duration === duration;
      this.#sounds = sounds.map((s) => ({ from: 0, in: 0, out: 0, heard: s.length, ...s, audio: Object.assign(new Audio(s.src), { preload: "auto" }) }));
      this.timing = this.composed ? clock.timing : { duration, fill: "both", iterations: this.#loop && !clock ? Infinity : 1 };
      this.#tracks = tracks.map(({ of, property, keys }) => {
        keys = keys.map(([at, value, ...easing]) => [at, board.own(value), ...easing]);
        const track = { timeline: this, slot: slot(of, property), keys };
        if (track.slot instanceof Animated) track.frames = keys.map(([offset, value, easing = "linear"]) => ({ offset, easing, [property]: value }));
        else if (!(track.slot instanceof Switched)) track.curve = new Curve(keys);
        return track;
      });
      this.#driven = this.#tracks.filter((t) => t.curve);
      this.#switched = this.#tracks.filter((t) => t.slot instanceof Switched);
    }

    // Where it stands, in ms.
    get time() {
      return this.#wrap(this.#elapsed(document.timeline.currentTime));
    }

    // Of what the page's own thread moves.
    get progress() {
      return this.#wrap(this.#elapsed(document.timeline.currentTime + frame)) / this.duration;
    }

    // The same by the clock, between frames too.
    get exact() {
      return this.#wrap(this.#elapsed(performance.now())) / this.duration;
    }

    // Where its animations stand while they don't run.
    get stands() {
      return this.composed && !this.stepped ? this.#at : this.time;
    }

    // Whether its animations are set frame by frame.
    get stepped() {
      return this.#clock && (!this.composed || !!this.#source);
    }

    #elapsed(now) {
      return !this.playing ? this.#at : this.#source ? this.#source() : now - this.start;
    }

    #wrap(t) {
      if (this.#clock) t = this.#clock.local(t);
      return this.#loop || (this.#clock && this.loops) ? t % this.duration : Math.min(t, this.duration);
    }

    // Goes along with what drives it: since a start, or standing so many ms after it; or as far as a source says at each frame.
    follow({ playing, start, at, source }) {
      const was = this.stepped;
      Object.assign(this, { playing: playing && !this.#clock.still, start: start ?? 0 });
      this.#at = at ?? 0;
      this.#source = this.playing ? source : null;
      if (was !== this.stepped) {
        this.timing = this.stepped ? { duration: this.duration, fill: "both" } : this.composed ? this.#clock.timing : this.timing;
        for (const t of this.#tracks) t.slot.renew?.(t);
      }
      if (!this.#board.active.includes(this)) this.#raise();
      this.#show(this.#tracks);
      this.#switch();
      this.#drive();
      this.#sound();
      this.#board.conduct(this);
      if (!this.playing) this.#board.settleSoon();
    }

    // How what goes along with this timeline, since some ms on it, is driven.
    drives(from) {
      const wraps = this.playing && this.#loop && !this.#clock;
      const turns = wraps ? Math.floor((document.timeline.currentTime - this.start) / this.duration) : 0;
      if (this.#clock && this.playing) return { playing: true, source: () => this.time - from, at: this.time - from };
      return { playing: this.playing, start: this.start + turns * this.duration + from, at: this.time - from };
    }

    // Each frame what the page's own thread moves.
    #drive() {
      const moved = this.stepped ? this.#tracks : this.#driven;
      cancelAnimationFrame(this.#step);
      if (!this.playing || !moved.length) return;
      let before = 0;
      const step = (now) => {
        if (!this.playing) return;
        if (before && now > before) frame = Math.max(4, Math.min(34, frame + (now - before - frame) / 8));
        before = now;
        this.#show(moved);
        this.#step = requestAnimationFrame(step);
      };
      this.#step = requestAnimationFrame(step);
    }

    // Tells what goes along with it; where it loops, again at each turn.
    #told() {
      clearTimeout(this.#round);
      this.#board.conduct(this);
      if (this.playing && this.#loop && this.#board.conducts(this)) this.#round = setTimeout(() => this.#told(), this.duration - this.time + 0.5);
    }

    // Starts what is to be heard from here on, or hushes everything when nothing plays. In a motif sounds come as early as its speed
    // takes them, and are not heard backwards.
    #sound(now = this.time) {
      const rate = this.#clock?.speed ?? 1, heard = this.playing && rate > 0;
      clearTimeout(this.#again);
      for (const s of this.#sounds) {
        clearTimeout(s.timer);
        clearInterval(s.fade);
        s.audio.pause();
        if (!heard) continue;
        const wait = (s.at - now) / rate;
        if (wait > 0) s.timer = setTimeout(() => this.#hear(s, 0), wait);
        else if (-wait < s.heard) this.#hear(s, -wait);
      }
      const loops = this.#clock ? this.#clock.repeat === "loop" : this.#loop;
      if (!heard || !loops || !this.#sounds.length) return;
      // when a turn's timer comes the page's time may still be that of the frame before
      const left = this.duration - this.time;
      this.#again = setTimeout(() => this.#sound(0), (left + (!now && left < this.duration / 2 ? this.duration : 0)) / rate);
    }

    // From so many ms after its start on: the part of the file that is meant, rising and falling, again where it loops.
    #hear(s, since) {
      const began = performance.now() - since;
      const into = s.loop ? since % s.length : since;
      const gain = () => {
        const t = performance.now() - began;
        s.audio.volume = s.volume * Math.max(0, Math.min(1, s.in ? t / s.in : 1, s.out ? (s.heard - t) / s.out : 1));
      };
      gain();
      clearInterval(s.fade);
      if (s.in || s.out) s.fade = setInterval(gain, 40);
      s.audio.currentTime = (s.from + into) / 1000;
      s.audio.play().catch(() => tell("the browser keeps sounds silent until the visitor taps or types"));
      const left = Math.min(s.length - into, s.heard - since);
      s.timer = setTimeout(() => {
        if (s.loop && since + left < s.heard) return this.#hear(s, since + left);
        clearInterval(s.fade);
        s.audio.pause();
      }, left);
    }

    #show(tracks) {
      for (const { slot, timeline } of tracks) if (slot.top.timeline === timeline) slot.show();
    }

    // Shows what holds now and comes back for the next change.
    #switch() {
      clearTimeout(this.#turn);
      if (!this.#switched.length) return;
      // asked before it is shown: what comes in between would be passed over
      const p = this.exact;
      this.#show(this.#switched);
      if (!this.playing) return;
      if (this.stepped) return;
      const shares = this.#switched.flatMap(({ keys }) => keys.map(([at]) => at));
      const wait = this.#clock ? this.#clock.next(p, shares) : (Math.min(1, ...shares.filter((at) => at > p + 1e-7)) - p) * this.duration;
      if (wait < Infinity) this.#turn = setTimeout(() => this.#switch(), wait + 0.5);
    }

    // From now on it has its say, and the last one.
    #raise() {
      const { active } = this.#board;
      if (active.at(-1) !== this) {
        this.#board.active = [...active.filter((t) => t !== this), this];
        for (const t of this.#tracks) t.slot.raise(t);
      }
    }

    // As if it had never been started.
    reset() {
      clearTimeout(this.#end);
      clearTimeout(this.#turn);
      clearTimeout(this.#round);
      this.playing = false;
      this.#at = 0;
      this.#sound();
      this.#board.active = this.#board.active.filter((t) => t !== this);
      for (const t of this.#tracks) {
        const was = t.slot.top;
        t.slot.drop(t);
        if (was === t) t.slot.show();
      }
    }

    #stop(t) {
      clearTimeout(this.#end);
      this.playing = false;
      this.#at = t;
      this.#sound();
      this.#show(this.#tracks);
      this.#switch();
      this.#told();
      this.#board.settleSoon();
    }

    // What isn't moved by a playing timeline becomes plain styles.
    settle() {
      const done = this.#tracks.filter((t) => t.slot.top === t && t.slot.settle());
      return () => done.forEach((t) => t.slot.rest());
    }

    #watch() {
      const left = this.duration - (document.timeline.currentTime - this.start);
      if (left > 0) {
        this.#end = setTimeout(() => this.#watch(), left + 1);
      } else {
        this.#stop(this.duration);
        tell(this.name + " ended");
      }
    }

    play() {
      if (quiet.matches) return this.goTo(this.duration);
      if (this.playing) return;
      this.#raise();
      const t = !this.#loop && this.#at >= this.duration ? 0 : this.#at;
      clearTimeout(this.#end);
      this.start = document.timeline.currentTime - t;
      this.playing = true;
      this.#show(this.#tracks);
      if (!this.#loop) this.#watch();
      this.#sound();
      this.#switch();
      this.#drive();
      this.#told();
    }

    pause() {
      if (this.playing) this.#stop(this.time);
    }

    toggle() {
      this.playing ? this.pause() : this.play();
    }

    playFromStart() {
      this.#at = 0;
      this.playing = false;
      this.play();
    }

    // Shows a time in ms; a playing timeline goes on from there, and is over at its end. A loop has no end of its own: it stands just before.
    goTo(ms) {
      const on = this.playing, t = Math.max(0, Math.min(ms, this.duration));
      this.#raise();
      this.#stop(this.loops && t === this.duration ? t - 0.001 : t);
      if (on && !quiet.matches && (this.#loop || t < this.duration)) this.play();
      else if (on) tell(this.name + " ended");
    }
  }

  // One entry for each kind of event: how it is listened for.
  const EVENTS = {
    tapped: (board, { element }, fire) => {
      const el = board.part(element);
      board.onTap(el, () => fire(el.getAttribute("aria-label") + " was tapped"));
    },
  };

  // One entry for each kind of action: what the log says of it, and what it does.
  const ACTIONS = {
    play: { says: ({ timeline: t }) => t.name + " goes on", run: ({ timeline: t }) => t.play() },
    pause: { says: ({ timeline: t }) => t.name + " pauses", run: ({ timeline: t }) => t.pause() },
    toggle: { says: ({ timeline: t }) => t.name + " plays or pauses", run: ({ timeline: t }) => t.toggle() },
    playFromStart: { says: ({ timeline: t }) => t.name + " plays from its start", run: ({ timeline: t }) => t.playFromStart() },
    goTo: { says: ({ timeline: t, time }) => t.name + " goes to " + time / 1000 + " s", run: ({ timeline: t, time }) => t.goTo(time) },
  };

  // What stands on a board: its parts by their names, which are the first of their classes, its timelines and reactions. The same board may
  // stand on the page several times.
  class Board {
    // Timelines that were started, the last one last.
    active = [];
    #parts = new Map();
    #renamed = new Map();
    #soon;
    #taps = new Map();
    #conducted;
    #instances;

    // Of a motif's instance with its clock, otherwise without.
    constructor(el, { timelines, reactions, mixes = {}, instances = [] }, piece, clock) {
      this.el = el;
      for (const x of [el, ...el.querySelectorAll("[class], [id]")]) this.#parts.set(x.id || x.classList[0], x);
      this.#rename();
      const slot = slots(this, mixes);
      const own = clock && new Clock(clock, timelines[0].duration);
      this.timelines = timelines.map((t) => new Timeline(t, this, slot, t.starts ? own : undefined));
      this.#conducted = own ? this.timelines.filter((t) => t.starts) : [];
      this.#instances = instances.map((i) => new Instance(this, i, piece));
      for (const r of reactions) this.#react(r);
      if (reactions.length) el.addEventListener("click", (e) => this.#tap(e));
    }

    // Whether anything goes along with a timeline of this board.
    conducts(timeline) {
      return this.#instances.some((i) => i.timeline === timeline.id);
    }

    // Takes along what goes by one of its timelines.
    conduct(timeline) {
      for (const i of this.#instances) if (i.timeline === timeline.id) i.board.follow(timeline.drives(i.from));
    }

    // As part of a motif: goes along with what drives it.
    follow(how) {
      for (const t of this.#conducted) t.follow(how);
    }

    // Whether no state is on its way, and where the first one is, in ms of its motif.
    get still() {
      return this.#instances.every((i) => i.still);
    }

    get stateTime() {
      return this.#instances.find((i) => i.stateTime !== undefined)?.stateTime;
    }

    // Starts, or stops at a time since the opening of the scene in ms, the motifs with clocks of their own and all in them.
    run(how) {
      for (const i of this.#instances) i.run(how);
    }

    part(name) {
      return this.#parts.get(name);
    }

    // Only gradients have ids, since that is how they are named by what they paint; one that is there already gets another.
    #rename() {
      for (const [name, x] of this.#parts) {
        if (!x.id || document.getElementById(x.id) === x) continue;
        const i = (copies.get(name) ?? 1) + 1;
        copies.set(name, i);
        this.#renamed.set("url(#" + name + ")", "url(#" + (x.id = name + "_" + i) + ")");
      }
      if (!this.#renamed.size) return;
      for (const [name, x] of this.#parts) {
        const filter = this.#renamed.get("url(#" + name + "-x)");
        if (filter) x.style.filter = filter;
      }
      for (const x of this.el.querySelectorAll("[fill], [stroke]"))
        for (const a of ["fill", "stroke"]) if (x.hasAttribute(a)) x.setAttribute(a, this.own(x.getAttribute(a)));
    }

    // A value with the names that this board's gradients have.
    own(value) {
      return this.#renamed.get(value) ?? value;
    }

    #react(reaction) {
      EVENTS[reaction.when](this, reaction, (what) => {
        tell(what, reaction.id);
        for (const a of reaction.do) {
          const timeline = this.timelines.find((t) => t.id === a.timeline);
          const { says, run } = ACTIONS[a.action];
          tell(says({ ...a, timeline }), reaction.id);
          run({ ...a, timeline });
        }
      });
    }

    // Taps and the keys that stand for them.
    onTap(el, fire) {
      this.#taps.set(el, [...(this.#taps.get(el) ?? []), fire]);
      if (this.#taps.get(el).length > 1) return;
      el.addEventListener("keydown", (e) => {
        if (e.target === el && (e.key === "Enter" || e.key === " ") && !e.repeat) {
          e.preventDefault();
          for (const f of this.#taps.get(el)) f();
        }
      });
    }

    // What is seen there is tapped, and all that holds it; what is faded lets taps through, as what is hidden does.
    #tap({ target, detail, clientX, clientY }) {
      const clear = ({ fill, stroke }) => [fill, stroke].every((c) => c === "none" || /^rgba.* 0\)$/.test(c));
      const seen = (x) => x === this.el || (+getComputedStyle(x).opacity > 0.002 && seen(x.parentNode));
      let x = detail ? document.elementsFromPoint(clientX, clientY).find((x) => this.el.contains(x) && seen(x) && !(x.ownerSVGElement && clear(getComputedStyle(x)))) : target;
      for (; x && x !== this.el; x = x.parentNode) for (const fire of this.#taps.get(x) ?? []) fire();
    }

    // As it is before anything was started.
    reset() {
      for (const t of this.timelines) t.reset();
      for (const i of this.#instances) i.board.reset();
    }

    // The timelines that start by themselves play.
    open() {
      this.run({ playing: true, start: document.timeline.currentTime });
      for (const t of this.timelines) {
        if (t.starts) t.playFromStart();
        else this.conduct(t);
      }
    }

    settleSoon() {
      clearTimeout(this.#soon);
      this.#soon = setTimeout(() => this.#settle(), 60);
    }

    // All is written before anything is taken off, so that styles are worked out once.
    #settle() {
      for (const done of this.timelines.map((t) => t.settle())) done();
    }

    // The timelines that were started, in that order, and where each stands, in ms.
    get moment() {
      return this.active.map((t) => [t.id, t.time]);
    }
  }

  // A motif where it stands.
  class Instance {
    #states;
    #clock;

    constructor(around, data, piece) {
      const motif = piece.motifs[data.motif];
      const { of, outer, timeline, from = 0 } = data;
      const el = around.part(of);
      el.append(piece.el.querySelector(":scope > template." + motif.of).content.cloneNode(true));
      Object.assign(this, { timeline, from });
      this.#clock = new Clock(data, motif.timelines[0].duration);
      this.board = new Board(el, motif, piece, motif.states ? { repeat: "once" } : data);
      if (motif.states) this.#states = new States(around.part(outer), this.board, motif.states, this.#clock.local(0));
    }

    run(how) {
      if (this.#states) this.#states.stand();
      else if (!this.timeline) this.board.follow(quiet.matches ? this.#quiet : how);
      this.board.run(how);
    }

    get still() {
      return (this.#states?.still ?? true) && this.board.still;
    }

    get stateTime() {
      return this.#states?.at;
    }

    // For who asks for less motion: a loop stands at its phase, what runs once at its end.
    get #quiet() {
      const { duration, speed, repeat } = this.#clock;
      return { playing: false, at: repeat === "once" && speed ? (2 * duration) / Math.abs(speed) : 0 };
    }
  }

  // Moments of a motif that it plays to under the pointer or with the keyboard's focus: from wherever it is, in a set time.
  class States {
    #board;
    #at;
    #step;
    #over = false;
    #down = false;
    #focus = false;

    constructor(el, board, { travel, ...states }, at) {
      Object.assign(this, { states, travel, now: "rest" });
      this.#board = board;
      this.#at = at;
      const on = (types, change) => {
        for (const type of types.split(" "))
          el.addEventListener(type, (e) => {
            change(e);
            this.#go(this.#down ? "pressed" : this.#over || this.#focus ? "over" : "rest");
          });
      };
      const key = (e) => e.key === "Enter" || e.key === " ";
      on("pointerenter", (e) => (this.#over = e.pointerType !== "touch"));
      on("pointerleave pointercancel", () => (this.#over = this.#down = false));
      on("pointerdown", () => (this.#down = true));
      on("pointerup", () => (this.#down = false));
      on("keydown", (e) => (this.#down ||= key(e)));
      on("keyup", (e) => (this.#down &&= !key(e)));
      on("focus", () => (this.#focus = el.matches(":focus-visible")));
      on("blur", () => (this.#focus = this.#down = false));
    }

    get at() {
      return this.#at;
    }

    stand() {
      this.still = true;
      cancelAnimationFrame(this.#step);
      this.#board.follow({ playing: false, at: this.#at });
    }

    #go(state) {
      if (state === this.now) return;
      this.now = state;
      this.still = false;
      const to = this.states[state], from = this.#at, began = performance.now();
      cancelAnimationFrame(this.#step);
      const step = () => {
        const p = this.travel && !quiet.matches ? Math.min(1, (performance.now() - began) / this.travel) : 1;
        this.#at = from + (to - from) * p;
        this.#board.follow({ playing: false, at: this.#at });
        this.still = p === 1;
        if (p < 1) this.#step = requestAnimationFrame(step);
      };
      step();
    }
  }

  // A screen of the piece; what it holds is made when it is first near.
  class Scene {
    #data;
    #board;

    #piece;

    constructor(piece, data) {
      this.name = data.name;
      this.#data = data;
      this.#piece = piece;
      this.el = piece.el.querySelector("." + data.of);
    }

    get board() {
      if (!this.#board) {
        const later = this.el.querySelector(":scope > template");
        later?.replaceWith(later.content);
        this.#board = new Board(this.el, this.#data, this.#piece);
      }
      return this.#board;
    }

    get timelines() {
      return this.board.timelines;
    }

    get moment() {
      return this.board.moment;
    }

    show(on) {
      this.el.hidden = !on;
      if (on || this.#board) this.board.reset();
      if (on) this.board.open();
    }
  }

  class Piece {
    constructor(data, root) {
      this.el = root;
      this.motifs = data.motifs ?? {};
      this.scenes = data.scenes.map((s) => new Scene(this, s));
      this.#show(this.scenes[0]);
    }

    scene(name) {
      return this.scenes.find((s) => s.name === name);
    }

    get shown() {
      return this.scenes.find((s) => !s.el.hidden);
    }

    // A timeline of the scene that is shown.
    timeline(name) {
      return this.shown.timelines.find((t) => t.name === name);
    }

    get moment() {
      return this.shown.moment;
    }

    // Shows the first scene of a name; a name that no scene has changes nothing.
    show(name) {
      const scene = this.scene(name);
      if (scene) this.#show(scene);
    }

    #show(scene) {
      for (const s of this.scenes) s.show(s === scene);
    }
  }

  return {
    pieces,
    // In the first place for a piece that none was started in yet.
    start(data, root = [...document.querySelectorAll(".tundra")].find((x) => pieces.every((p) => p.el !== x))) {
      const piece = new Piece(data, root);
      pieces.push(piece);
      tell("the piece is ready");
      return piece;
    },
  };
})();
