// Plays a published piece. Its public face is described in docs/player.md.
const Tundra = (() => {
  "use strict";
  const quiet = matchMedia("(prefers-reduced-motion: reduce)");
  const pieces = [];
  const byId = (id) => document.getElementById(id);
  const tell = (text, reaction = "") => dispatchEvent(new CustomEvent("tundra", { detail: { text, reaction } }));

  // The numbers of two texts of the same form, to be mixed.
  const DID = { play: "goes on", pause: "pauses", toggle: "plays or pauses", playFromStart: "plays from its start", goTo: "goes to " };
  const NUMBER = /-?\d*\.?\d+(?:e-?\d+)?/g;
  const mix = (a, b, p) => {
    const to = b.match(NUMBER) || [];
    let i = 0;
    return a.replace(NUMBER, (x) => +x + (to[i++] - x) * p);
  };

  // What Web Animations cannot do in every browser: an attribute, set at each frame. The browser still does the easing.
  class Driven {
    constructor(el, attribute, keys) {
      this.el = el;
      this.attribute = attribute;
      this.keys = keys.map(([at, value, easing = "linear"]) => {
        const effect = new KeyframeEffect(null, null, { duration: 1, fill: "both", easing });
        const clock = new Animation(effect, null);
        return { at, value, ease: (p) => ((clock.currentTime = p), effect.getComputedTiming().progress) };
      });
    }

    set(progress) {
      const { keys } = this;
      let i = keys.findLastIndex((k) => k.at <= progress);
      i = Math.max(0, Math.min(i, keys.length - 2));
      const a = keys[i], b = keys[i + 1];
      const p = b.at > a.at ? (progress - a.at) / (b.at - a.at) : 1;
      this.el.setAttribute(this.attribute, p >= 1 ? b.value : mix(a.value, b.value, a.ease(Math.max(0, p))));
    }
  }

  // What jumps from value to value: set by a timer, since an animation of it would wake the main thread at every frame.
  class Switched {
    static #last = new Map();

    constructor(of, property, keys) {
      Object.assign(this, { el: byId(of), property, keys, name: of + " " + property });
      Switched.#last.set(this.name, this);
    }

    // As with animations, the last timeline that has a say is heard.
    set(progress) {
      if (Switched.#last.get(this.name) !== this) return;
      const now = this.keys.findLast(([at]) => at <= progress + 1e-7) || this.keys[0];
      this.el.style[this.property] = now[1];
    }

    // When the next value comes, 0 to 1; without one the timeline's end.
    next(progress) {
      const key = this.keys.find(([at]) => at > progress + 1e-7);
      return key ? key[0] : 1;
    }
  }

  // All animations of a timeline share one start, so that they keep in step. There is no animation that only keeps time: one
  // without a target would wake the main thread at every frame.
  class Timeline {
    #animations = [];
    #driven = [];
    #switched = [];
    #turn;
    #loop;
    #start = 0;
    #at = 0;
    #end;
    #sounds;
    #again;

    constructor({ id, name, duration, loop, starts, tracks, sounds = [] }) {
      Object.assign(this, { id, name, duration, starts, playing: false });
      this.#loop = loop && !quiet.matches;
      this.#sounds = sounds.map((s) => ({ from: 0, in: 0, out: 0, heard: s.length, ...s, audio: Object.assign(new Audio(s.src), { preload: "auto" }) }));
      const timing = { duration, fill: "both", iterations: this.#loop ? Infinity : 1 };
      for (const { of, property, keys } of tracks) {
        const el = byId(of);
        if (property[0] === "@") {
          this.#driven.push(new Driven(el, property.slice(1), keys));
        } else if (property[0] === "!") {
          this.#switched.push(new Switched(of, property.slice(1), keys));
        } else {
          const frames = keys.map(([offset, value, easing = "linear"]) => ({ offset, easing, [property]: value }));
          this.#animations.push(el.animate(frames, timing));
        }
      }
      this.#stop(0);
    }

    // Where it stands, in ms.
    get time() {
      return this.#wrap(this.playing ? document.timeline.currentTime - this.#start : this.#at);
    }

    #wrap(t) {
      return this.#loop ? t % this.duration : Math.min(t, this.duration);
    }

    // Starts what is to be heard from here on, or hushes everything when nothing plays.
    #sound() {
      clearTimeout(this.#again);
      for (const s of this.#sounds) {
        clearTimeout(s.timer);
        clearInterval(s.fade);
        s.audio.pause();
        if (!this.playing) continue;
        const wait = s.at - this.time;
        if (wait > 0) s.timer = setTimeout(() => this.#hear(s, 0), wait);
        else if (-wait < s.heard) this.#hear(s, -wait);
      }
      if (this.playing && this.#loop && this.#sounds.length) this.#again = setTimeout(() => this.#sound(), this.duration - this.time);
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

    #drive() {
      for (const d of this.#driven) d.set(this.time / this.duration);
    }

    // Shows what holds now and comes back for the next change.
    #switch() {
      clearTimeout(this.#turn);
      if (!this.#switched.length) return;
      // the document's own time stands still between frames, and a timer that asked it would come too early again and again
      const p = this.#wrap(this.playing ? performance.now() - this.#start : this.#at) / this.duration;
      for (const s of this.#switched) s.set(p);
      if (!this.playing) return;
      const next = Math.min(...this.#switched.map((s) => s.next(p)));
      this.#turn = setTimeout(() => this.#switch(), (next - p) * this.duration + 0.5);
    }

    #stop(t) {
      clearTimeout(this.#end);
      this.playing = false;
      this.#at = t;
      this.#sound();
      for (const a of this.#animations) {
        a.pause();
        a.currentTime = t;
      }
      this.#drive();
      this.#switch();
    }

    #watch() {
      const left = this.duration - (document.timeline.currentTime - this.#start);
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
      const t = !this.#loop && this.#at >= this.duration ? 0 : this.#at;
      this.#start = document.timeline.currentTime - t;
      this.playing = true;
      for (const a of this.#animations) a.startTime = this.#start;
      if (!this.#loop) this.#watch();
      this.#sound();
      this.#switch();
      if (this.#driven.length) {
        const step = () => {
          this.#drive();
          if (this.playing) requestAnimationFrame(step);
        };
        requestAnimationFrame(step);
      }
    }

    pause() {
      this.#stop(this.time);
    }

    toggle() {
      this.playing ? this.pause() : this.play();
    }

    playFromStart() {
      this.#stop(0);
      this.play();
    }

    // Shows a time in ms; a playing timeline goes on from there.
    goTo(ms) {
      const on = this.playing;
      this.#stop(Math.max(0, Math.min(ms, this.duration)));
      if (on && !quiet.matches) this.play();
    }
  }

  class Scene {
    constructor({ id, name, timelines, reactions }) {
      this.name = name;
      this.el = byId(id);
      this.timelines = timelines.map((t) => new Timeline(t));
      for (const r of reactions) this.#react(r);
    }

    #react({ id, of, do: actions }) {
      const el = byId(of);
      const fire = () => {
        tell(el.getAttribute("aria-label") + " was tapped", id);
        for (const { action, timeline, time } of actions) {
          const t = this.timelines.find((x) => x.id === timeline);
          tell(t.name + " " + DID[action] + (action === "goTo" ? time / 1000 + " s" : ""), id);
          t[action](time);
        }
      };
      el.addEventListener("click", fire);
      el.addEventListener("keydown", (e) => {
        if (e.target === el && (e.key === "Enter" || e.key === " ") && !e.repeat) {
          e.preventDefault();
          fire();
        }
      });
    }

    show(on) {
      this.el.hidden = !on;
      for (const t of this.timelines) {
        if (!on) t.pause();
        else if (quiet.matches) t.goTo(t.duration);
        else if (t.starts) t.playFromStart();
      }
    }
  }

  class Piece {
    constructor(data) {
      this.scenes = data.scenes.map((s) => new Scene(s));
      this.#show(this.scenes[0]);
    }

    scene(name) {
      return this.scenes.find((s) => s.name === name);
    }

    // A timeline of the scene that is shown.
    timeline(name) {
      return this.scenes.find((s) => !s.el.hidden).timelines.find((t) => t.name === name);
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
    start(data) {
      const piece = new Piece(data);
      pieces.push(piece);
      tell("the piece is ready");
      return piece;
    },
  };
})();
