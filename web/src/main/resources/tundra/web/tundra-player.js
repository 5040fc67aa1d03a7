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
      this.#animation ??= this.el.animate(top.frames, timeline.timing);
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
    show() {
      const { top } = this;
      // the document's own time stands still between frames, and a timer that asked it would come too early again and again
      const now = top && (top.keys.findLast(([at]) => at <= top.timeline.exact + 1e-7) || top.keys[0]);
      this.el.style[this.property] = now ? now[1] : "";
    }
  }

  const n = (x) => +x.toFixed(4);
//# mixes
  // A value that is made of several, which may be keyed on different timelines.
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

    now(part) {
      return this.#parts[part].now;
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
    get now() {
      return String(this.el.now(this.property));
    }

    show() {
      const { top, property: part } = this;
      const text = top?.curve.at(top.timeline.progress);
      this.el.set(part, text === undefined ? undefined : /^[-\d.e]+$/.test(text) ? +text : text);
      this.el.show();
    }
  }

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

//# motifs
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

//# core
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
    #speed = 1;
    #until;
    #cues = [];
    #cue;
    #cued;

    // With a clock it isn't played, but goes along with what drives the motif that it is part of.
    constructor({ id, name, duration, loop, starts, tracks, sounds = [], markers }, board, slot, clock) {
      Object.assign(this, { id, name, markers, duration, starts, loops: loop, playing: false, start: 0, pace: 1 });
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
      return !this.playing ? this.#at : this.#source ? this.#source() : (now - this.start) * this.pace;
    }

    #wrap(t) {
      if (this.#clock) t = this.#clock.local(t);
      return this.#loop || (this.#clock && this.loops) ? t % this.duration : Math.max(0, Math.min(t, this.duration));
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
      if ((this.#clock || this.pace !== 1) && this.playing) return { playing: true, source: () => this.time - from, at: this.time - from };
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
      if (this.playing && this.#loop && this.pace === 1 && this.#board.conducts(this)) this.#round = setTimeout(() => this.#told(), this.duration - this.time + 0.5);
    }

    // Starts what is to be heard from here on, or hushes everything when nothing plays. In a motif sounds come as early as its speed
    // takes them, and are not heard backwards.
    #sound(now = this.time) {
      const rate = this.#clock?.speed ?? this.pace, heard = this.playing && rate > 0;
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
      const back = this.pace < 0 && !this.#clock;
      const ahead = back ? p - Math.max(0, ...shares.filter((at) => at < p - 1e-7)) : Math.min(1, ...shares.filter((at) => at > p + 1e-7)) - p;
      const wait = this.#clock ? this.#clock.next(p, shares) : (ahead * this.duration) / Math.abs(this.pace);
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
      clearTimeout(this.#cue);
      this.playing = false;
      this.pace = this.#speed = 1;
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
      if (this.playing) this.#pass(t);
      clearTimeout(this.#cue);
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

    // Where it stops by itself.
    get #last() {
      return this.#until ?? (this.pace > 0 ? this.duration : 0);
    }

    #watch() {
      const last = this.#last, left = (last - this.#elapsed(document.timeline.currentTime)) / this.pace;
      if (left > 0) {
        this.#end = setTimeout(() => this.#watch(), left + 1);
      } else {
        this.#over(last);
      }
    }

    // Has come to where it stops by itself.
    #over(at) {
      const ended = this.#until === undefined;
      this.#until = undefined;
      this.#stop(at);
      if (!ended || !this.name) return;
      tell(this.name + " ended");
      for (const f of this.ends ?? []) f();
    }

    #begin(pace, t) {
      this.#raise();
      this.#stop(t);
      this.pace = pace;
      // a loop that goes backwards has turns enough before it
      const at = this.#loop && pace < 0 ? t + 1e4 * this.duration : t;
      this.start = document.timeline.currentTime - at / pace;
      this.playing = true;
      this.#cued = pace > 0 ? t - 1e-6 : t + 1e-6;
      this.#show(this.#tracks);
      if (!this.#loop || this.#until !== undefined) this.#watch();
      this.#sound();
      this.#switch();
      this.#drive();
      this.#told();
      this.#pass(t);
    }

    // Goes on, forwards or backwards; from the other end where there is nothing left.
    play(back = false) {
      const pace = back ? -this.#speed : this.#speed, end = back ? 0 : this.duration;
      if (quiet.matches) {
        this.#raise();
        return this.#over(this.#short(this.#until ?? end));
      }
      if (this.playing && this.pace === pace && this.#until === undefined) return;
      const t = this.time;
      this.#begin(pace, !this.#loop && this.#until === undefined && t === end ? this.duration - end : t);
    }

    playBack() {
      this.#until = undefined;
      this.play(true);
    }

    pause() {
      this.#until = undefined;
      if (this.playing) this.#stop(this.time);
    }

    toggle() {
      this.playing ? this.pause() : this.play(this.pace < 0);
    }

    playFromStart() {
      this.playFrom(0);
    }

    playFrom(ms) {
      this.#until = undefined;
      this.playing = false;
      this.#at = ms;
      this.play();
    }

    // Plays to a time, forwards or backwards, and stops there.
    playTo(ms) {
      if (ms === this.time) return this.pause();
      this.#until = ms;
      this.play(ms < this.time);
    }

    // In percent.
    setSpeed(percent) {
      this.#speed = percent / 100;
      if (this.playing && !this.#clock) this.#begin(Math.sign(this.pace) * this.#speed, this.time);
    }

    // A loop has no end of its own: it stands just before.
    #short(t) {
      return this.loops && t === this.duration ? t - 0.001 : t;
    }

    // Calls back when it passes a time: forwards, backwards or either way.
    onPass(at, way, fire) {
      this.#cues.push({ at, way, fire });
    }

    // What lies between where it was looked at last and a time is passed; then it comes back for the next.
    #pass(now) {
      clearTimeout(this.#cue);
      if (!this.#cues.length || !this.playing) return;
      const back = this.pace < 0, from = this.#cued, d = this.duration;
      this.#cued = now;
      const wrapped = back ? now > from : now < from;
      const hit = back ? (at) => (wrapped ? at < from || at >= now : at < from && at >= now) : (at) => (wrapped ? at > from || at <= now : at > from && at <= now);
      const passed = this.#cues.filter(({ at, way }) => way !== (back ? "forwards" : "backwards") && hit(at));
      const ahead = this.#cues.map(({ at }) => (back ? now - at : at - now)).map((x) => (x > 1e-6 ? x : this.#loop ? x + d : Infinity));
      const wait = Math.min(...ahead, this.#loop ? d / 2 : Infinity) / Math.abs(this.pace);
      if (wait < Infinity) this.#cue = setTimeout(() => this.#pass(this.time), Math.max(1, wait));
      for (const c of passed) c.fire();
    }

    // Shows a time in ms; a playing timeline goes on from there, and is over at its end.
    goTo(ms) {
      const on = this.playing, t = Math.max(0, Math.min(ms, this.duration));
      this.#until = undefined;
      this.#raise();
      this.playing = false;
      this.#stop(this.#short(t));
      if (on && !quiet.matches && (this.#loop || t !== this.#last)) this.#begin(this.pace, t);
      else if (on) {
        tell(this.name + " ended");
        for (const f of this.ends ?? []) f();
      }
    }

    // As if it had never been there.
    forget() {
      this.#board.active = this.#board.active.filter((t) => t !== this);
      for (const t of this.#tracks) t.slot.drop(t);
    }
  }

//# reactions
  // The keys that are down, by their names.
  const down = new Set();
  const named = (key) => (key === " " ? "Space" : key.length === 1 ? key.toUpperCase() : key);
  addEventListener("keydown", (e) => down.add(named(e.key)), true);
  addEventListener("keyup", (e) => down.delete(named(e.key)), true);
  addEventListener("blur", () => down.clear());

  // One entry for each kind of event: how it is listened for.
  const EVENTS = {
//# event tapped
    tapped: (board, { element }, fire) => board.onTap(board.part(element), fire),
//# event tappedTwice
    tappedTwice: (board, { element }, fire) => {
      let before = -1e9;
      board.onTap(board.part(element), () => {
        const now = performance.now();
        if (now - before < 450) fire();
        before = now - before < 450 ? -1e9 : now;
      });
    },
//# event pressed
    pressed: (board, { element }, fire) => board.on(element, "pointerdown", fire),
//# event released
    released: (board, { element }, fire) => board.on(element, "pointerup", fire),
//# event held
    held: (board, { element }, fire) => {
      let timer, from;
      const off = () => clearTimeout(timer);
      board.on(element, "pointerdown", (e) => {
        off();
        from = e;
        timer = setTimeout(fire, 500);
      });
      board.on(element, "pointermove", (e) => from && Math.hypot(e.clientX - from.clientX, e.clientY - from.clientY) > 8 && off());
      for (const type of ["pointerup", "pointercancel", "pointerleave"]) board.on(element, type, off);
      board.on(element, "contextmenu", (e) => e.preventDefault());
    },
//# event over
    over: (board, { element }, fire) => board.on(element, "pointerenter", (e) => e.pointerType !== "touch" && fire()),
//# event out
    out: (board, { element }, fire) => board.on(element, "pointerleave", (e) => e.pointerType !== "touch" && fire()),
//# event swiped
    swiped: (board, { element, side }, fire) => {
      const el = board.part(element), level = side === "left" || side === "right", sign = side === "left" || side === "up" ? -1 : 1;
      touches(el, level ? "pan-y" : "pan-x");
      let from;
      board.on(element, "pointerdown", (e) => (from = { x: e.clientX, y: e.clientY, t: e.timeStamp }));
      const end = (e) => {
        if (!from) return;
        const x = e.clientX - from.x, y = e.clientY - from.y, along = sign * (level ? x : y), across = Math.abs(level ? y : x);
        if (along > 40 && along > 2 * across && e.timeStamp - from.t < 800) fire();
        from = null;
      };
      board.on(element, "pointerup", end);
      board.on(element, "pointerleave", end);
    },
//# event pinched
    pinched: (board, { element, pinch }, fire) => {
      const fingers = new Map();
      let from, done;
      const apart = () => {
        const [a, b] = [...fingers.values()];
        return Math.hypot(a.clientX - b.clientX, a.clientY - b.clientY);
      };
      touches(board.part(element), "none");
      board.on(element, "pointerdown", (e) => {
        fingers.set(e.pointerId, e);
        if (fingers.size === 2) [from, done] = [apart(), false];
      });
      board.on(element, "pointermove", (e) => {
        if (!fingers.has(e.pointerId)) return;
        fingers.set(e.pointerId, e);
        if (fingers.size !== 2 || done) return;
        const by = apart() / from;
        if (pinch === "open" ? by > 1.25 : by < 0.8) {
          done = true;
          fire();
        }
      });
      for (const type of ["pointerup", "pointercancel"]) board.on(element, type, (e) => fingers.delete(e.pointerId));
    },
//# event landed
    landed: (board, { element }, fire) => board.drag(element, "landed", fire),
//# event landedOn
    landedOn: (board, { element, place }, fire) => board.drag(element, "landed", (at) => at === place && fire()),
//# event missed
    missed: (board, { element }, fire) => board.drag(element, "missed", fire),
//# event allLanded
    allLanded: (board, x, fire) => board.drag("", "all", fire),
//# event dragStarted
    dragStarted: (board, { element }, fire) => board.drag(element, "started", fire),
//# event dragged
    dragged: (board, { element }, fire) => board.drag(element, "moved", fire),
//# event dragEnded
    dragEnded: (board, { element }, fire) => board.drag(element, "ended", fire),
//# event keyPressed
    keyPressed: (board, { key }, fire) => {
      const parts = key.split("+"), name = parts.pop() || "+";
      board.listen(document, "keydown", (e) => {
        if (e.repeat || e.target.closest?.("input, textarea, select, [contenteditable]")) return;
        const held = { Ctrl: e.ctrlKey, Alt: e.altKey, Meta: e.metaKey };
        if (named(e.key) !== named(name) || Object.keys(held).some((m) => held[m] !== parts.includes(m))) return;
        if (parts.includes("Shift") !== e.shiftKey && (parts.includes("Shift") || name.length > 1)) return;
        e.preventDefault();
        fire();
      });
    },
//# event opened
    opened: (board, x, fire) => board.onOpen(fire),
//# event closed
    closed: (board, x, fire) => board.onClose(fire),
//# event passed
    passed: (board, { timeline, time, way }, fire) => board.timeline(timeline).onPass(time, way, fire),
//# event reached
    reached: (board, { timeline, time }, fire) => board.timeline(timeline).onPass(time, "either way", fire),
//# event ended
    ended: (board, { timeline }, fire) => {
      for (const t of board.players(timeline)) (t.ends ??= []).push(fire);
    },
//# event scrolledTo
    scrolledTo: (board, { share }, fire) => {
      let before = 0;
      board.listen(document, "scroll", () => {
        const now = scrolled();
        if (before < share && now >= share) fire();
        before = now;
      });
      board.onOpen(() => (before = -1) && setTimeout(() => share <= 0 && fire()));
    },
//# event scrolled
    scrolled: (board, { scroll }, fire) => {
      let before = scrollY;
      board.listen(document, "scroll", () => {
        const on = scrollY > before, moved = scrollY !== before;
        before = scrollY;
        if (moved && on === (scroll === "on")) fire();
      });
    },
//# event entered
    entered: (board, { element }, fire) => board.inView(element, (seen) => seen && fire()),
//# event left
    left: (board, { element }, fire) => board.inView(element, (seen, before) => before && !seen && fire()),
//# event became
    became: (board, { value, content }, fire) => board.piece.watch(value, (now) => now === board.piece.as(value, content) && board.shown && fire()),
//# event changed
    changed: (board, { value }, fire) => board.piece.watch(value, () => board.shown && fire()),
//# event narrower
    narrower: (board, { width }, fire) => board.listen(matchMedia("(max-width: " + (width - 0.02) + "px)"), "change", (e) => e.matches && fire()),
//# event wider
    wider: (board, { width }, fire) => board.listen(matchMedia("(min-width: " + (width + 0.02) + "px)"), "change", (e) => e.matches && fire()),
//# event after
    after: (board, { duration }, fire) => {
      let timer;
      board.onOpen(() => (timer = setTimeout(fire, duration)));
      board.onClose(() => clearTimeout(timer));
    },
//# event every
    every: (board, { duration }, fire) => {
      let timer;
      board.onOpen(() => (timer = setInterval(fire, Math.max(16, duration))));
      board.onClose(() => clearInterval(timer));
    },
//# reactions
  };

  // What a finger may still scroll where gestures are looked for: the least of what several want.
  const touches = (el, allowed) => {
    const now = el.style.touchAction;
    el.style.touchAction = now && now !== allowed ? "none" : allowed;
    for (const x of el.querySelectorAll("*")) x.style.touchAction = el.style.touchAction;
  };

  // How far the page is scrolled, in percent.
  const scrolled = () => {
    const { scrollHeight, clientHeight } = document.documentElement;
    return scrollHeight > clientHeight ? (100 * scrollY) / (scrollHeight - clientHeight) : 0;
  };

  // One entry for each kind of condition: whether it holds.
  const CONDITIONS = {
//# condition value
    value: (board, { value, is, content }) => {
      const now = board.piece.value(value), to = board.piece.as(value, content);
      return is === "is" ? now === to : is === "is not" ? now !== to : is === "is more than" ? now > to : now < to;
    },
//# condition shown
    shown: (board, { element, seen }) => board.part(element).checkVisibility({ opacityProperty: true, visibilityProperty: true }) === (seen === "shown"),
//# condition plays
    plays: (board, { timeline, going }) => board.players(timeline).some((t) => t.playing) === (going === "plays"),
//# condition time
    time: (board, { timeline, stands, time }) => (stands === "before" ? board.timeline(timeline).time < time : board.timeline(timeline).time > time),
//# condition key
    key: (board, { key, down: asked }) => key.split("+").every((k) => down.has({ Ctrl: "Control" }[k] ?? named(k))) === (asked === "held"),
//# condition motion
    motion: (board, { asked }) => quiet.matches === (asked === "asked for"),
//# reactions
  };

  // Leaves for an address as a link would, so that a page around the piece can still decide otherwise.
  const leave = (piece, href, tab) => {
    const a = Object.assign(document.createElement("a"), { href, target: tab ? "_blank" : "", rel: "noopener" });
    piece.el.append(a);
    a.click();
    a.remove();
  };

  // The outermost box of an element.
  const outer = (board, name) => board.part(name + "-v") ?? board.part(name);

  // One entry for each kind of action: what it does. A number that comes back is how long the next one waits, in ms; false ends the reaction.
  const ACTIONS = {
//# action play
    play: (board, { timeline }) => board.players(timeline).forEach((t) => t.play()),
//# action pause
    pause: (board, { timeline }) => board.players(timeline).forEach((t) => t.pause()),
//# action toggle
    toggle: (board, { timeline }) => {
      const all = board.players(timeline), on = all.some((t) => t.playing);
      for (const t of all) on ? t.pause() : t.toggle();
    },
//# action playFromStart
    playFromStart: (board, { timeline }) => board.players(timeline).forEach((t) => t.playFromStart()),
//# action playFrom
    playFrom: (board, { timeline, time }) => board.timeline(timeline).playFrom(time),
//# action playTo
    playTo: (board, { timeline, time }) => board.timeline(timeline).playTo(time),
//# action playBack
    playBack: (board, { timeline }) => board.players(timeline).forEach((t) => t.playBack()),
//# action goTo
    goTo: (board, { timeline, time }) => board.players(timeline).forEach((t) => t.goTo(time)),
//# action setSpeed
    setSpeed: (board, { timeline, speed }) => board.players(timeline).forEach((t) => t.setSpeed(speed)),
//# action show
    show: (board, { elements }) => elements.forEach((x) => (outer(board, x).hidden = false)),
//# action hide
    hide: (board, { elements }) => elements.forEach((x) => (outer(board, x).hidden = true)),
//# action toggleShown
    toggleShown: (board, { elements }) => elements.forEach((x) => (outer(board, x).hidden = !outer(board, x).hidden)),
//# action set
    set: (board, { to }) => board.set(to),
//# action changeBy
    changeBy: (board, { to }) => board.set(to, true),
//# action toFront
    toFront: (board, { elements }) => elements.forEach((x) => (outer(board, x).style.zIndex = ++board.front)),
//# action toBack
    toBack: (board, { elements }) => elements.forEach((x) => (outer(board, x).style.zIndex = --board.back)),
//# action sendHome
    sendHome: (board, { elements, over }) => elements.forEach((x) => board.parts.get(x)?.home(over)),
//# action openScene
    openScene: (board, { scene }) => board.piece.open(scene),
//# action nextScene
    nextScene: (board) => board.piece.step(1),
//# action previousScene
    previousScene: (board) => board.piece.step(-1),
//# action back
    back: (board) => board.piece.back(),
//# action openLink
    openLink: (board, { address, tab }) => leave(board.piece, address, tab === "a new tab"),
//# action call
    call: (board, { number }) => leave(board.piece, "tel:" + number.replace(/[^+0-9]/g, "")),
//# action writeMail
    writeMail: (board, { mail }) => leave(board.piece, "mailto:" + mail),
//# action playSound
    playSound: (board, { sound }) => board.piece.sound(sound).play().catch(() => tell("the browser keeps sounds silent until the visitor taps or types")),
//# action pauseSound
    pauseSound: (board, { sound }) => board.piece.sound(sound).pause(),
//# action toggleSound
    toggleSound: (board, { sound }) => {
      const s = board.piece.sound(sound);
      s.paused ? s.play().catch(() => 0) : s.pause();
    },
//# action stopSound
    stopSound: (board, { sound }) => {
      const s = board.piece.sound(sound);
      s.pause();
      s.currentTime = 0;
    },
//# action setVolume
    setVolume: (board, { sound, volume }) => (board.piece.sound(sound).volume = volume / 100) && undefined,
//# action setValue
    setValue: (board, { value, content }) => board.piece.put(value, content),
//# action addValue
    addValue: (board, { value, amount }) => board.piece.put(value, +board.piece.value(value) + amount),
//# action toggleValue
    toggleValue: (board, { value }) => board.piece.put(value, !board.piece.value(value)),
//# action randomValue
    randomValue: (board, { value, from, to }) => {
      const whole = Number.isInteger(from) && Number.isInteger(to), r = Math.random();
      board.piece.put(value, whole ? from + Math.floor(r * (to - from + 1)) : from + r * (to - from));
    },
//# action putText
    putText: (board, { value, into }) => {
      const [line, ...rest] = board.part(into).querySelectorAll("tspan");
      const now = board.piece.value(value);
      line.textContent = now === true ? "yes" : now === false ? "no" : now;
      for (const x of rest) x.textContent = "";
    },
//# action run
    run: (board, { script }) => board.piece.script(script, board),
//# action say
    say: (board, { text }) => board.piece.say(text),
//# action copyText
    copyText: (board, { text }) => {
      const by = () => {
        const area = Object.assign(document.createElement("textarea"), { value: text });
        board.piece.el.append(area);
        area.select();
        document.execCommand("copy");
        area.remove();
      };
      navigator.clipboard ? navigator.clipboard.writeText(text).catch(by) : by();
    },
//# action wait
    wait: (board, { duration }) => duration,
//# action stop
    stop: () => false,
//# reactions
  };

//# core
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
    #slot;
    // What actions set, by their data.
    #sets = new Map();
    #opens = [];
    #closes = [];
    front = 0;
    back = 0;
    // What can be dragged, by name.
    parts = new Map();
    #drags = [];

    // Of a motif's instance with its clock, otherwise without.
    constructor(el, { timelines, reactions, mixes = {}, instances = [], drags = [], names = {} }, piece, clock, around) {
      Object.assign(this, { el, piece, around, names });
      for (const x of [el, ...el.querySelectorAll("[class], [id]")]) this.#parts.set(x.id || x.classList[0], x);
      this.#rename();
      const slot = (this.#slot = slots(this, mixes));
      const own = clock && new Clock(clock, timelines[0].duration);
      this.timelines = timelines.map((t) => new Timeline(t, this, slot, t.starts ? own : undefined));
      this.#conducted = own ? this.timelines.filter((t) => t.starts) : [];
      this.#instances = instances.map((i) => new Instance(this, i, piece));
      for (const d of drags) for (const [name, places] of d.pairs) this.parts.set(name, new Draggable(this, d, name, places));
      for (const r of reactions) this.#react(r);
      if (this.#taps.size) el.addEventListener("click", (e) => this.#tap(e));
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

    timeline(id) {
      return this.timelines.find((t) => t.id === id);
    }

    // What an action plays: a timeline, a motif's instance, or everything that has a clock of its own.
    players(id) {
      if (id === "*") return [...this.timelines.filter((t) => this.active.includes(t)), ...this.#instances.filter((i) => !i.timeline)];
      return [this.timeline(id) ?? this.#instances.find((i) => i.name === id)];
    }

    // The board of the scene that it is on, and whether that one is shown.
    get scene() {
      return this.around?.scene ?? this;
    }

    get shown() {
      return !this.scene.el.hidden;
    }

    #react({ id, when, says, any, if: conditions = [], do: actions, otherwise = [], ...slots }) {
      const run = (list, i = 0) => {
        for (; i < list.length; i++) {
          const { action, says, ...slots } = list[i];
          tell(says ?? action, id);
          const then = ACTIONS[action](this, slots);
          if (then === false) return;
          if (then > 0) return void setTimeout(() => run(list, i + 1), then);
        }
      };
      EVENTS[when](this, slots, () => {
        tell(says ?? when, id);
        const failed = conditions.filter(({ condition, ...slots }) => !CONDITIONS[condition](this, slots));
        const holds = any ? failed.length < conditions.length : !failed.length;
        for (const f of holds ? [] : failed) tell("not so: " + (f.says ?? f.condition), id);
        run(holds || !conditions.length ? actions : otherwise);
      });
    }

    // Listens to something on an element, or to something of the whole page while its scene is shown.
    on(element, type, f) {
      this.part(element).addEventListener(type, f);
    }

    listen(what, type, f) {
      what.addEventListener(type, (e) => this.shown && f(e), { passive: type === "scroll" });
    }

    onOpen(f) {
      this.#opens.push(f);
    }

    onClose(f) {
      this.#closes.push(f);
    }

    // Its scene was opened or closed.
    turned(open) {
      for (const f of open ? this.#opens : this.#closes) f();
      for (const i of this.#instances) i.board.turned(open);
    }

    // Calls back when something becomes of a part that is dragged.
    drag(part, what, fire) {
      this.#drags.push({ part, what, fire });
    }

    dragged(part, what, place) {
      for (const d of this.#drags) if (d.what === what && (!part || d.part === part.name)) d.fire(place);
    }

    // Whether an element can be seen in the window, and whether it could before.
    inView(element, f) {
      let before = false;
      new IntersectionObserver((all) => {
        const seen = all.at(-1).isIntersecting;
        if (this.shown) f(seen, before);
        before = seen;
      }).observe(this.part(element).querySelector(".t-p > *, img") ?? this.part(element));
    }

    // Takes properties from what is seen to other values, or on by as much.
    set(data, by) {
      const seen = data.tracks.map(({ of, property, keys }) => {
        const slot = this.#slot(of, property), a = keys[0][1], b = keys.at(-1)[1];
        const from = slot instanceof Switched ? b : slot.now;
        const plain = from === "none" || (from.match(NUMBER) ?? []).length !== (a.match(NUMBER) ?? []).length ? a : from;
        const way = b.match(NUMBER) ?? [], was = a.match(NUMBER) ?? [];
        let i = 0;
        const to = by && !(slot instanceof Switched) ? plain.replace(NUMBER, (x) => n(+x + (way[i] - was[i++]))) : b;
        return { of, property, keys: slot instanceof Switched ? [[0, to]] : [[0, by ? plain : from === "none" ? a : from, data.easing], [1, to]] };
      });
      const before = this.#sets.get(data), now = new Timeline({ ...data, tracks: seen, duration: Math.max(1, data.duration) }, this, this.#slot);
      this.#sets.set(data, now);
      now.play();
      before?.forget();
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
      const clear = ({ fill, stroke, pointerEvents }) => pointerEvents !== "all" && [fill, stroke].every((c) => c === "none" || /^rgba.* 0\)$/.test(c));
      const seen = (x) => x === this.el || (+getComputedStyle(x).opacity > 0.002 && seen(x.parentNode));
      let x = detail ? document.elementsFromPoint(clientX, clientY).find((x) => this.el.contains(x) && seen(x) && !(x.ownerSVGElement && clear(getComputedStyle(x)))) : target;
      for (; x && x !== this.el; x = x.parentNode) for (const fire of this.#taps.get(x) ?? []) fire();
    }

    // As it is before anything was started.
    reset() {
      for (const t of [...this.timelines, ...this.#sets.values()]) t.reset();
      this.#sets.clear();
      for (const i of this.#instances) i.board.reset();
      for (const d of this.parts.values()) d.home(0);
      for (const x of this.#touched) [x.hidden, x.style.zIndex] = [false, ""];
    }

    get #touched() {
      return [...this.#parts.values()].filter((x) => x !== this.el && (x.hidden || x.style?.zIndex) && !(x.classList[0] ?? "").endsWith("-h"));
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
      for (const done of [...this.timelines, ...this.#sets.values()].map((t) => t.settle())) done();
    }

    // The timelines that were started, in that order, and where each stands, in ms.
    get moment() {
      return this.active.map((t) => [t.id, t.time]);
    }
  }

//# motifs
  // A motif where it stands.
  class Instance {
    #states;
    #clock;

    constructor(around, data, piece) {
      const motif = piece.motifs[data.motif];
      const { of, outer, timeline, from = 0 } = data;
      const el = around.part(of);
      el.append(piece.el.querySelector(":scope > template." + motif.of).content.cloneNode(true));
      Object.assign(this, { timeline, from, name: outer });
      this.#clock = new Clock(data, motif.timelines[0].duration);
      this.board = new Board(el, motif, piece, motif.states ? { repeat: "once" } : data, around);
      if (motif.states) this.#states = new States(around.part(outer), this.board, motif.states, this.#clock.local(0));
    }

    run(how) {
      if (this.#states) this.#states.stand();
      else if (!this.timeline) {
        this.playing = how.playing && !quiet.matches;
        this.elapsed = how.playing ? () => document.timeline.currentTime - how.start : () => how.at;
        this.board.follow(quiet.matches ? this.#quiet : how);
      }
      this.board.run(how);
    }

    // Played by reactions: it leaves its clock, and is moved at each frame.
    #move(playing, at, pace = 1) {
      const began = document.timeline.currentTime;
      const source = () => at + (document.timeline.currentTime - began) * pace;
      Object.assign(this, { playing, timeline: playing ? undefined : this.timeline, elapsed: playing ? source : () => at, pace });
      this.board.follow({ playing, at, source });
    }

    play(pace = Math.abs(this.pace ?? 1)) {
      this.#move(!quiet.matches, this.elapsed?.() ?? 0, pace);
    }

    playBack() {
      this.play(-Math.abs(this.pace ?? 1));
    }

    pause() {
      this.#move(false, this.elapsed?.() ?? 0);
    }

    toggle() {
      this.playing ? this.pause() : this.play();
    }

    playFromStart() {
      this.#move(!quiet.matches, 0, Math.abs(this.pace ?? 1));
    }

    goTo(ms) {
      this.#move(this.playing, ms - this.#clock.local(0), this.pace);
    }

    setSpeed(percent) {
      this.#move(this.playing, this.elapsed?.() ?? 0, percent / 100);
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

//# states
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

//# core
//# drags
  // A part that a visitor drags, by pointer or keyboard: to a place that it fits, or freely.
  class Draggable {
    // How far it is from home, in px or degrees, and where it has landed.
    x = 0;
    y = 0;
    turn = 0;
    place = null;
    #from;
    #to;

    constructor(board, data, name, places) {
      Object.assign(this, { board, data, name, places, el: board.part(name + "-h"), shape: board.part(name) });
      const { el } = this;
      for (const x of [el, ...el.querySelectorAll("*")]) x.style.touchAction = "none";
      el.style.cursor = "grab";
      el.addEventListener("pointerdown", (e) => e.button === 0 && this.#grab(e));
      el.addEventListener("pointermove", (e) => this.#from?.id === e.pointerId && this.#move(e.clientX, e.clientY));
      el.addEventListener("pointerup", (e) => this.#from?.id === e.pointerId && this.#drop());
      el.addEventListener("pointercancel", (e) => this.#from?.id === e.pointerId && this.#cancel());
      Object.assign(this.shape, { tabIndex: 0 });
      this.shape.setAttribute("role", "button");
      if (!this.shape.hasAttribute("aria-label")) this.shape.setAttribute("aria-label", data.names[name]);
      this.shape.addEventListener("keydown", (e) => this.#key(e));
    }

    get label() {
      return this.shape.getAttribute("aria-label");
    }

    // Where it is seen.
    get box() {
      return seenBox(this.shape);
    }

    show(ms = 0, easing = "ease-out") {
      const { style } = this.el;
      style.transition = ms && !quiet.matches ? ["translate", "rotate", "opacity"].map((p) => p + " " + ms + "ms " + easing).join() : "none";
      style.translate = this.x + "px " + this.y + "px";
      style.rotate = this.turn + (this.#from ? this.data.tilt : 0) + "deg";
      style.opacity = this.#from ? this.data.opacity : 1;
      style.zIndex = this.#from ? 9999 : "";
      style.cursor = this.#from ? "grabbing" : "grab";
    }

    home(ms) {
      [this.x, this.y, this.turn, this.place] = [0, 0, 0, null];
      this.show(ms);
    }

    // What a px of the window is in the part's own parent, which may be turned and scaled.
    #measure() {
      const { style } = this.el, at = () => this.el.getBoundingClientRect();
      style.transition = "none";
      style.rotate = "0deg";
      const seen = (x, y) => ((style.translate = x + "px " + y + "px"), at());
      const o = seen(0, 0), a = seen(100, 0), b = seen(0, 100);
      const own = new DOMMatrix([(a.x - o.x) / 100, (a.y - o.y) / 100, (b.x - o.x) / 100, (b.y - o.y) / 100, 0, 0]);
      return { own, map: own.inverse(), origin: o };
    }

    #grab(e) {
      e.preventDefault();
      this.el.setPointerCapture(e.pointerId);
      this.#lift(e.clientX, e.clientY, e.pointerId);
      this.shape.focus({ preventScroll: true });
    }

    #lift(cx, cy, id) {
      const { own, map, origin } = this.#measure(), box = seenBox(this.shape);
      const o = this.el.getBoundingClientRect();
      const middle = map.transformPoint(new DOMPoint(box.x + box.width / 2 - o.x, box.y + box.height / 2 - o.y));
      // it tilts around its middle, and turns around its pivot
      this.el.style.transformOrigin = this.data.way === "turn" ? this.data.pivots[this.name] : middle.x + "px " + middle.y + "px";
      const [px, py] = this.data.pivots[this.name].split(" ").map(parseFloat), p = own.transformPoint(new DOMPoint(px + this.x, py + this.y));
      this.#from = { cx, cy, id, x: this.x, y: this.y, turn: this.turn, place: this.place, map, pivot: [origin.x + p.x, origin.y + p.y] };
      this.show();
      this.board.dragged(this, "started");
    }

    #move(cx, cy) {
      const f = this.#from, { way, area } = this.data;
      const by = f.map.transformPoint(new DOMPoint(cx - f.cx, cy - f.cy));
      this.#from.last = [cx, cy];
      if (way === "turn") {
        const [px, py] = f.pivot, angle = (x, y) => Math.atan2(y - py, x - px);
        this.turn = f.turn + ((angle(cx, cy) - angle(f.cx, f.cy)) * 180) / Math.PI;
      } else {
        this.x = f.x + (way === "down" ? 0 : by.x);
        this.y = f.y + (way === "across" ? 0 : by.y);
      }
      this.show();
      if (area) this.#keep(seenBox(this.board.part(area)));
      this.board.dragged(this, "moved");
    }

    // Not further than an area reaches.
    #keep(a) {
      const b = this.box;
      const dx = Math.max(a.left - b.left, 0) || Math.min(a.right - b.right, 0), dy = Math.max(a.top - b.top, 0) || Math.min(a.bottom - b.bottom, 0);
      if (!dx && !dy) return;
      const by = this.#from.map.transformPoint(new DOMPoint(dx, dy));
      this.x += by.x;
      this.y += by.y;
      this.show();
    }

    // The place that it is over: of several the one whose middle is nearest.
    #over() {
      const b = this.box, { overlap, share, many } = this.data, [px, py] = this.#from.last ?? [];
      const inside = (r, x, y) => x >= r.left && x <= r.right && y >= r.top && y <= r.bottom;
      const cx = b.x + b.width / 2, cy = b.y + b.height / 2;
      const free = this.places.filter((p) => many || ![...this.board.parts.values()].some((d) => d !== this && d.place === p));
      const fits = free.map((p) => [p, seenBox(this.board.part(p))]).filter(([, r]) => {
        if (overlap === "pointer" && px !== undefined) return inside(r, px, py);
        if (overlap !== "area") return inside(r, cx, cy);
        const w = Math.min(b.right, r.right) - Math.max(b.left, r.left), h = Math.min(b.bottom, r.bottom) - Math.max(b.top, r.top);
        return w > 0 && h > 0 && w * h >= share * b.width * b.height;
      });
      const far = (r) => Math.hypot(r.x + r.width / 2 - cx, r.y + r.height / 2 - cy);
      return fits.sort(([, a], [, c]) => far(a) - far(c))[0]?.[0];
    }

    // Puts its middle onto that of a place.
    #onto(place, ms) {
      const { map } = this.#from, tilt = this.el.style.rotate;
      this.el.style.transition = "none";
      this.el.style.rotate = this.turn + "deg";
      const b = this.box, r = seenBox(this.board.part(place));
      this.el.style.rotate = tilt;
      const by = map.transformPoint(new DOMPoint(r.x + r.width / 2 - b.x - b.width / 2, r.y + r.height / 2 - b.y - b.height / 2));
      this.x += by.x;
      this.y += by.y;
      this.show(ms);
    }

    #drop() {
      const place = this.places.length ? this.#over() : undefined;
      this.board.dragged(this, "ended");
      if (place) this.#land(place);
      else if (this.places.length) this.#miss();
      else this.#put();
    }

    #put() {
      this.#from = null;
      this.show();
    }

    #land(place) {
      if (this.data.snaps) this.#onto(place, 120);
      this.#from = null;
      this.place = place;
      this.show(this.data.snaps ? 120 : 0);
      this.board.piece.say(this.label + ": " + this.data.names[place]);
      this.board.dragged(this, "landed", place);
      if ([...this.board.parts.values()].every((d) => d.place || !d.places.length)) this.board.dragged(null, "all");
    }

    #miss() {
      this.#from = null;
      this.place = null;
      if (this.data.missed === "home") this.home(this.data.back);
      else this.show();
      this.board.dragged(this, "missed");
    }

    #cancel() {
      const { x, y, turn, place } = this.#from;
      Object.assign(this, { x, y, turn, place });
      this.#from = null;
      this.show(this.data.back);
    }

    // Space picks it up and puts it down, arrows and Tab go from place to place, Escape takes it back.
    #key(e) {
      const arrows = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] }, way = arrows[e.key];
      const { say } = this.board.piece, tell = (text) => say.call(this.board.piece, this.label + ": " + text);
      if (!this.#from) {
        if (e.key !== " " || e.target !== this.shape) return;
        const b = this.box;
        this.#lift(b.x + b.width / 2, b.y + b.height / 2, "keys");
        this.#to = -1;
        tell("picked up");
      } else if (e.key === " " || e.key === "Enter") {
        const place = this.places[this.#to];
        this.board.dragged(this, "ended");
        if (place) this.#land(place);
        else if (this.places.length) this.#miss();
        else this.#put();
      } else if (e.key === "Escape") {
        this.#cancel();
        tell("put back");
      } else if (way && !this.places.length) {
        const b = this.#from.map.transformPoint(new DOMPoint(way[0] * 10, way[1] * 10)), { way: how, area } = this.data;
        if (how === "turn") this.turn += 10 * (way[0] || way[1]);
        else {
          this.x += how === "down" ? 0 : b.x;
          this.y += how === "across" ? 0 : b.y;
        }
        this.show();
        if (area) this.#keep(seenBox(this.board.part(area)));
        this.board.dragged(this, "moved");
      } else if (way || e.key === "Tab") {
        const by = e.key === "Tab" ? (e.shiftKey ? -1 : 1) : way[0] || way[1], { length } = this.places;
        const taken = (p) => !this.data.many && [...this.board.parts.values()].some((d) => d !== this && d.place === p);
        for (let i = 0; i < length; i++) {
          this.#to = (Math.max(this.#to, by > 0 ? -1 : 0) + by + length) % length;
          if (!taken(this.places[this.#to])) break;
        }
        const place = this.places[this.#to];
        if (place) {
          this.#onto(place, 120);
          tell(this.data.names[place]);
        }
      } else return;
      e.preventDefault();
      e.stopPropagation();
    }
  }

//# scroll
  // Moves timelines and elements by how far the page is scrolled while a scene stands in the window. Nothing is done while nothing scrolls.
  class Scrolling {
    #scene;
    #data;
    #step;
    #at = new Map();

    constructor(scene, data) {
      this.#scene = scene;
      this.#data = data;
      this.frame = scene.el.closest("[class$=-scroll]") ?? scene.el;
      for (const type of ["scroll", "resize"]) addEventListener(type, () => !scene.el.hidden && this.soon(), { passive: true });
    }

    soon() {
      this.#step ??= requestAnimationFrame(() => this.#show());
    }

    // Where a timeline should stand, as a share of it.
    #wanted({ from, to, through }) {
      let p;
      if (through) {
        const r = seenBox(this.#scene.board.part(through));
        p = (innerHeight - r.top) / (innerHeight + r.height);
      } else p = -this.frame.getBoundingClientRect().top / this.#data.length;
      return Math.max(0, Math.min(1, (p - from) / (to - from)));
    }

    #show() {
      this.#step = undefined;
      const { board } = this.#scene, { timelines, parallax, length } = this.#data;
      const top = -this.frame.getBoundingClientRect().top, by = length ? Math.max(0, Math.min(length, top)) : top;
      for (const [name, share] of parallax) board.part(name).style.translate = "0px " + n(-by * share) + "px";
      let more = false;
      for (const t of timelines) {
        const timeline = board.timeline(t.timeline), wanted = this.#wanted(t), was = this.#at.get(t) ?? wanted;
        let p = t.smooth && !quiet.matches ? was + (wanted - was) * 0.18 : wanted;
        if (Math.abs(p - wanted) < 0.0005) p = wanted;
        more ||= p !== wanted;
        if (p === was && this.#at.has(t)) continue;
        this.#at.set(t, p);
        timeline.goTo(p * timeline.duration);
      }
      if (more) this.soon();
    }

    open() {
      this.#at.clear();
      this.#show();
    }
  }

//# box
  // The box around what is painted of an element, in the window.
  const seenBox = (el) => {
    const all = [...el.querySelectorAll(".t-p > *, img")].map((x) => x.getBoundingClientRect()).filter((r) => r.width || r.height);
    const left = Math.min(...all.map((r) => r.left)), top = Math.min(...all.map((r) => r.top));
    return all.length ? new DOMRect(left, top, Math.max(...all.map((r) => r.right)) - left, Math.max(...all.map((r) => r.bottom)) - top) : el.getBoundingClientRect();
  };

//# scripts
  // What scripts can ask of the page.
  class PageApi {
    #piece;
    #board;

    constructor(piece, board) {
      this.#piece = piece;
      this.#board = board;
    }

    get scene() {
      return this.#piece.shown.name;
    }

    find(name) {
      const board = this.#board, part = board.names[name];
      if (!part) throw new Error("nothing is called " + name);
      const el = board.part(part), box = () => outer(board, part);
      return {
        show: () => (box().hidden = false),
        hide: () => (box().hidden = true),
        get shown() {
          return el.checkVisibility({ opacityProperty: true, visibilityProperty: true });
        },
        get text() {
          return [...el.querySelectorAll("tspan")].map((x) => x.textContent).join(" ").trim();
        },
        set text(words) {
          const [line, ...rest] = el.querySelectorAll("tspan");
          if (line) line.textContent = words;
          for (const x of rest) x.textContent = "";
        },
        set({ opacity, x, y, rotation, scale, fill }, ms = 0) {
          const { style } = el;
          style.transition = ms && !quiet.matches ? "all " + ms + "ms ease" : "none";
          if (opacity !== undefined) style.opacity = opacity;
          if (x !== undefined || y !== undefined) style.transform = "translate(" + (x ?? 0) + "px," + (y ?? 0) + "px)";
          if (rotation !== undefined) style.rotate = rotation + "deg";
          if (scale !== undefined) style.scale = scale;
          const shape = board.part(part + "-s");
          if (fill !== undefined && shape) [shape.style.transition, shape.style.fill] = [style.transition, fill];
        },
        on: (event, run) => el.addEventListener(event, run),
      };
    }

    timeline(name) {
      const t = this.#board.timelines.find((x) => x.name === name);
      if (!t) throw new Error("nothing is called " + name);
      const at = (x) => {
        const marked = typeof x === "string" ? t.markers?.[x] : x;
        if (marked === undefined) throw new Error("nothing is called " + x);
        return marked;
      };
      return {
        play: () => t.play(),
        pause: () => t.pause(),
        playFrom: (x) => t.playFrom(at(x)),
        playTo: (x) => t.playTo(at(x)),
        playBack: () => t.playBack(),
        goTo: (x) => t.goTo(at(x)),
        setSpeed: (percent) => t.setSpeed(percent),
        get time() {
          return t.time;
        },
        get playing() {
          return t.playing;
        },
      };
    }

    value(name) {
      return this.#piece.valueNamed(name).now;
    }

    set(name, to) {
      this.#piece.put(this.#piece.valueNamed(name).id, to);
    }

    open(scene) {
      this.#piece.show(scene);
    }

    say(text) {
      this.#piece.say(text);
    }

    wait(ms) {
      return new Promise((done) => setTimeout(done, ms));
    }
  }

//# core
  // A screen of the piece; what it holds is made when it is first near.
  class Scene {
    #data;
    #board;
    #scrolling;
    #piece;

    constructor(piece, data) {
      Object.assign(this, { id: data.id, name: data.name });
      this.#data = data;
      this.#piece = piece;
      this.el = piece.el.querySelector("." + data.of);
    }

    get board() {
      if (!this.#board) {
        const later = this.el.querySelector(":scope > template");
        later?.replaceWith(later.content);
        this.#board = new Board(this.el, this.#data, this.#piece);
        if (this.#data.scroll) this.#scrolling = new Scrolling(this, this.#data.scroll);
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
      const was = !this.el.hidden && this.#board;
      if (was) this.#board.turned(false);
      this.el.hidden = !on;
      const around = this.el.parentNode;
      if (around !== this.#piece.el) around.hidden = !on;
      if (on || this.#board) this.board.reset();
      if (!on) return;
      this.board.open();
      this.#scrolling?.open();
      this.board.turned(true);
    }
  }

  class Piece {
    #way = [];
    #sounds = new Map();
    #values = new Map();
    #spoken;

    constructor(data, root) {
      this.el = root;
      this.id = data.id;
      this.motifs = data.motifs ?? {};
//# values
      for (const v of data.values ?? []) {
        this.#values.set(v.id, { ...v, now: undefined, told: [] });
        this.#values.get(v.id).now = this.as(v.id, (v.kept && this.#kept(v.id)) ?? v.start);
      }
//# core
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
      if (scene) this.#go(scene);
    }

    #go(scene) {
      this.#way.push(this.shown);
      this.#show(scene);
    }

    #show(scene) {
      for (const s of this.scenes) if (s !== scene) s.show(false);
      scene.show(true);
    }
//# reactions

    // By its id.
    open(id) {
      this.#go(this.scenes.find((s) => s.id === id));
    }

    // So many scenes on; before the first and behind the last there is nothing.
    step(by) {
      const scene = this.scenes[this.scenes.indexOf(this.shown) + by];
      if (scene) this.#go(scene);
    }

    back() {
      const scene = this.#way.pop();
      if (scene) this.#show(scene);
    }

    sound(src) {
      if (!this.#sounds.has(src)) this.#sounds.set(src, new Audio(src));
      return this.#sounds.get(src);
    }

//# voice

    // For who listens to the page instead of seeing it.
    say(text) {
      if (!this.#spoken) {
        this.#spoken = document.createElement("p");
        this.#spoken.className = "t-say";
        this.#spoken.setAttribute("aria-live", "polite");
        this.el.append(this.#spoken);
      }
      this.#spoken.textContent = "";
      setTimeout(() => (this.#spoken.textContent = text), 50);
    }
//# scripts

    // Runs a script of the piece; one that fails stops itself and nothing else.
    script(id, board) {
      const failed = (e) => tell("problem in a script: " + (e?.message ?? e));
      try {
        Tundra.scripts[id]?.(new PageApi(this, board))?.catch?.(failed);
      } catch (e) {
        failed(e);
      }
    }

    valueNamed(name) {
      for (const v of this.#values.values()) if (v.name === name) return v;
      throw new Error("nothing is called " + name);
    }
//# values

    // What a value is now.
    value(id) {
      return this.#values.get(id).now;
    }

    // A text as what a value holds.
    as(id, text) {
      const { kind } = this.#values.get(id);
      return kind === "number" ? Number(text) || 0 : kind === "yesNo" ? text === true || /^(yes|true|on|1)$/i.test(text) : String(text);
    }

    put(id, to) {
      const v = this.#values.get(id), now = this.as(id, to);
      if (now === v.now) return;
      v.now = now;
      tell(v.name + " = " + (v.kind === "yesNo" ? (now ? "yes" : "no") : now));
      if (v.kept)
        try {
          localStorage.setItem(this.#key(id), v.kind === "yesNo" ? (now ? "yes" : "no") : now);
        } catch {
          // this browser keeps nothing
        }
      for (const f of v.told) f(now);
    }

    watch(id, f) {
      this.#values.get(id).told.push(f);
    }

    #key(id) {
      return "tundra " + this.id + " " + id;
    }

    #kept(id) {
      try {
        return localStorage.getItem(this.#key(id)) ?? undefined;
      } catch {
        return undefined;
      }
    }
//# core
  }

  return {
    pieces,
//# scripts
    // The functions of the pieces, by their ids.
    scripts: {},
//# core
    // In the first place for a piece that none was started in yet.
    start(data, root = [...document.querySelectorAll(".tundra")].find((x) => pieces.every((p) => p.el !== x))) {
      const piece = new Piece(data, root);
      pieces.push(piece);
      tell("the piece is ready");
      return piece;
    },
  };
})();
