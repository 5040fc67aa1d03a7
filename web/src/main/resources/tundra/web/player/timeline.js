// All animations of a timeline share one start, so that they keep in step. There is no animation that only keeps time: one
// without a target would wake the main thread at every frame. A timeline that was never started shows nothing.
class Timeline {
  #tracks;
//# layouts
  #given;
//# core
  #driven;
  #switched;
  #turn;
  #loop;
  #at = 0;
  #end;
  #sounds;
  #again;
  #step;
  #pause;
  #board;
  #clock;
  #source;
  #round;
  #speed = 1;
  #until;
  #cues = [];
  // The time that is being passed, and the one at which it was paused for that.
  #here;
  #waits;
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
    this.#sounds = sounds.map((s) => ({ from: 0, in: 0, out: 0, heard: s.length, ...s, audio: Object.assign(new Audio(board.piece.file(s.src)), { preload: "auto" }) }));
    this.timing = this.composed ? clock.timing : { duration, fill: "both", iterations: this.#loop && !clock ? Infinity : 1 };
//# layouts
    this.#given = tracks;
    this.begins = starts;
//# core
    this.#take(tracks, slot);
  }

  #take(tracks, slot) {
//# eases
    tracks = tracks.map((t) => cut(t, this.#board.piece.eases));
//# layouts
    const { grown } = this.#board;
    // a key that goes with the width has its values in a wider and a narrower scene as well
    tracks = tracks.filter(({ of }) => this.#board.part(of)).map((t) => ({ ...t, keys: t.keys.map(([at, value, easing = "linear", ...others]) => [at, others.length ? between(value, others, grown) : value, easing]) }));
//# core
    this.#tracks = tracks.map(({ of, property, keys, round, every }) => {
      keys = keys.map(([at, value, ...easing]) => [at, this.#board.own(value), ...easing]);
      const track = { timeline: this, slot: slot(of, property), keys, round, every };
      if (track.slot instanceof Animated) track.frames = keys.map(([offset, value, easing = "linear"]) => ({ offset, easing, [property]: value }));
      else if (!(track.slot instanceof Switched)) track.curve = new Curve(keys);
      return track;
    });
    this.#driven = this.#tracks.filter((t) => t.curve);
    this.#switched = this.#tracks.filter((t) => t.slot instanceof Switched);
  }
//# layouts

  // Lets go of all that it moves.
  leave() {
    clearTimeout(this.#turn);
    cancelAnimationFrame(this.#step);
    this.#drop();
  }

  // Whether any of what it would move goes with the width.
  fluid(tracks = this.#given) {
    return tracks.some((t) => t.keys.some((k) => k.length > 3));
  }

  // Takes up other tracks, or else those that it was made with.
  take(tracks = this.#given, slot) {
    this.#take(tracks, slot);
  }

  // Shows where it stands, and goes on from there.
  again() {
    for (const t of this.#tracks) t.slot.raise(t);
    this.#show(this.#tracks);
    this.#switch();
    this.#drive();
    if (!this.playing) this.#board.settleSoon();
  }
//# core

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
    // what runs once stays at its very end, also where it would begin anew
    const d = this.#clock?.duration;
    if (d && (t = this.#clock.local(t)) === d && d === this.duration) return t;
    return this.#loop || (this.#clock && this.loops) ? t % this.duration : Math.max(0, Math.min(t, this.duration));
  }

//# motifs
  // Goes along with what drives it: since a start, or standing so many ms after it; or as far as a source says at each frame.
  follow({ playing, start, at, source }) {
    const was = this.stepped;
    Object.assign(this, { playing: playing && !this.#clock.still, start });
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

//# core
  // How what goes along with this timeline, since some ms on it, is driven: from a start where it goes at the page's own pace. Where it turns with a
  // clock itself, what goes along has to come out even at each of its turns.
  drives(from, period) {
    const at = this.time - from, c = this.#clock, even = c ? !this.stepped && c.period === c.duration && this.duration % period < 1e-6 : this.pace === 1;
    return { playing: this.playing, at, start: document.timeline.currentTime - at, source: even ? null : () => this.time - from };
  }

  // Each frame what the page's own thread moves.
  #drive() {
    const moved = this.stepped ? this.#tracks : this.#driven, { piece } = this.#board;
    cancelAnimationFrame(this.#step);
    clearTimeout(this.#pause);
    if (!this.playing || !moved.length) return;
    const every = Math.min(...moved.map((t) => t.every ?? 0)) / Math.abs(this.#clock?.speed ?? this.pace);
    let before = 0;
    const step = (now) => {
      if (!this.playing) return;
      if (before && now > before) frame = Math.max(4, Math.min(34, frame + (now - before - frame) / 8));
      this.#show(moved);
      if (every > 20 && !this.stepped) {
        // no frame is asked for in between
        before = 0;
        this.#pause = setTimeout(next, every - 8);
      } else {
        before = now;
        next();
      }
    };
    const next = () => (piece.away ? piece.asleep.push(() => this.#drive()) : (this.#step = requestAnimationFrame(step)));
    next();
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
//# sounds
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
    const loops = this.#clock ? this.#clock.period : this.#loop;
    if (!heard || !loops || !this.#sounds.length) return;
    // when a turn's timer comes the page's time may still be that of the frame before
    const left = this.duration - this.time;
    this.#again = setTimeout(() => this.#sound(0), (left + (!now && left < this.duration / 2 ? this.duration : 0)) / rate);
//# core
  }
//# sounds

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
//# core

  #show(tracks) {
    for (const { slot, timeline } of tracks) if (slot.top.timeline === timeline) slot.show();
  }

  // When rounds change around now: those of the one before, of this one and of the next, as shares of the timeline.
  #rounds(keys, { length, begin }, p) {
    const now = Math.max(0, Math.floor((p * this.duration - begin) / length + 1e-9));
    return [-1, 0, 1].flatMap((i) => keys.map(([at]) => (begin + (now + i + at) * length) / this.duration)).filter((at) => at >= 0 && at <= 1);
  }

  // Shows what holds now and comes back for the next change.
  #switch() {
    clearTimeout(this.#turn);
    if (!this.#switched.length) return;
    // asked before it is shown: what comes in between would be passed over
    const p = this.exact;
    this.#show(this.#switched);
    if (!this.playing || this.stepped) return;
    const shares = this.#switched.flatMap(({ keys, round }) => (round ? this.#rounds(keys, round, p) : keys.map(([at]) => at)));
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
    for (const timer of [this.#end, this.#turn, this.#round, this.#cue]) clearTimeout(timer);
    this.playing = false;
    this.pace = this.#speed = 1;
    this.#at = 0;
    this.#sound();
    this.#board.active = this.#board.active.filter((t) => t !== this);
    this.#drop();
  }

  // Has no say in what it moves any more.
  #drop() {
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
    if (left > 0) this.#end = setTimeout(() => this.#watch(), left + 1);
    else this.#over(last);
  }

  // Has come to where it stops by itself.
  #over(at) {
    const ended = this.#until === undefined;
    this.#until = undefined;
    this.#stop(at);
    if (ended) this.#ended();
  }

  #ended() {
    if (this.name) tell(this.name + " ended");
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
    this.#cued = t === this.#waits ? t : pace > 0 ? t - 1e-6 : t + 1e-6;
    this.#waits = undefined;
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
    if (!this.playing) return;
//# cues
    // who pauses it at a time that it passes finds it exactly there, and passes it no second time when it goes on
    if (this.#here !== undefined) {
      this.#cued = this.#waits = this.#here;
      return this.#stop(this.#here);
    }
//# core
    this.#stop(this.time);
  }

//# keeps
  // Stands still while its scene is not seen, and goes on from there, to wherever it was going.
  halt() {
    this.held = [this.#until, this.pace];
    this.#stop(this.time);
  }

  goOn() {
    [this.#until] = this.held;
    this.#begin(this.held[1], this.time);
  }
//# core

  toggle() {
    this.playing ? this.pause() : this.play(this.pace < 0);
  }

  playFromStart() {
    this.playFrom(0);
  }

  playFrom(ms) {
    this.#until = this.#waits = undefined;
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

//# cues
  // Calls back when it passes a time: forwards, backwards or either way.
  onPass(at, way, fire) {
    this.#cues.push({ at, way, fire });
  }
//# core

  // What lies between where it was looked at last and a time is passed; then it comes back for the next.
  #pass(now) {
//# cues
    clearTimeout(this.#cue);
    if (!this.#cues.length || !this.playing) return;
    const sign = Math.sign(this.pace), from = this.#cued, d = this.duration;
    this.#cued = now;
    const wrapped = (now - from) * sign < 0;
    const hit = (at) => {
      const after = (at - from) * sign > 0, until = (now - at) * sign >= 0;
      return wrapped ? after || until : after && until;
    };
    const passed = this.#cues.filter(({ at, way }) => way !== (sign < 0 ? "forwards" : "backwards") && hit(at));
    const ahead = this.#cues.map(({ at }) => (at - now) * sign).map((x) => (x > 1e-6 ? x : this.#loop ? x + d : Infinity));
    const wait = Math.min(...ahead, this.#loop ? d / 2 : Infinity) / Math.abs(this.pace);
    if (wait < Infinity) this.#cue = setTimeout(() => this.#pass(this.time), Math.max(1, wait));
    for (const c of passed) {
      this.#here = c.at;
      c.fire();
    }
    this.#here = undefined;
//# core
  }

  // Shows a time in ms; a playing timeline goes on from there, and is over at its end.
  goTo(ms) {
    const on = this.playing, t = Math.max(0, Math.min(ms, this.duration));
    this.#until = this.#waits = undefined;
    this.#raise();
    this.playing = false;
    this.#stop(this.#short(t));
    if (on && !quiet.matches && (this.#loop || t !== this.#last)) this.#begin(this.pace, t);
    else if (on) this.#ended();
  }
}
