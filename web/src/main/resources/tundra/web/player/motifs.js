//# motifs
// A motif where it stands.
class Instance {
  #states;
//# inlays
  #drawn;
  #layout = null;
//# motifs

  constructor(around, data, piece) {
    const motif = piece.motifs[data.motif];
    const { of, outer, timeline, from = 0 } = data;
    let el = around.part(of);
//# inlays
    // what differs in layouts has a box around it that says which one it is
    if (motif.inside) {
      el.append((el = document.createElement("div")));
      el.className = motif.inside;
      el.dataset.layout = "base";
    }
//# motifs
    el.append(piece.el.querySelector(":scope > template." + motif.of).content.cloneNode(true));
    Object.assign(this, { timeline, from, name: outer });
//# inlays
    if (motif.inside) Object.assign(this, { motif, data, around }), (this.#drawn = el.cloneNode(true));
//# motifs
    this.clock = new Clock(data, motif.timelines[0].duration);
    this.board = new Board(el, motif, piece, motif.states ? { repeat: "once" } : data, around, outer);
    if (motif.states) this.#states = new States(around.part(outer), this.board, { ...motif.states, rest: this.clock.local(0) }, this.clock.local(0));
  }

//# inlays
  // Shows the layout of its motif that is for its own width, as wide as it is.
  fits() {
    const { motif, around, board } = this;
    if (!motif) return;
    const now = around.layout?.instances?.find((i) => i.of === this.data.of) ?? (around.layout ? {} : this.data);
    const wide = now.grown ? between(now.wide, now.grown, around.grown) : (now.wide ?? this.data.wide);
    const l = motif.layouts.find(({ from, to = Infinity }) => wide >= from && wide < to) ?? null;
    if (l === this.#layout) return;
    const held = (x) => (x ? board.piece.el.querySelector(":scope > template." + x.id).content : this.#drawn);
    board.el.dataset.layout = l?.id ?? "base";
    board.become(l, held(this.#layout), held(l));
    board.el.style.scale = l ? motif.size[0] / l.size[0] : "";
    this.#layout = l;
  }
//# motifs

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
    this.jumped = {};
    this.#move(!quiet.matches, 0, Math.abs(this.pace ?? 1));
  }

  goTo(ms) {
    this.jumped = {};
    this.#move(this.playing, ms - this.clock.local(0), this.pace);
  }

  setSpeed(percent) {
    this.#move(this.playing, this.elapsed?.() ?? 0, percent / 100);
  }

//# marks

  // Calls back when a timeline of its motif passes a time, forwards or backwards. Its driver may be anything, so it is looked at in each
  // frame while its scene is shown; one that jumps passes nothing.
  onPass(id, at, fire) {
    const t = this.board.timeline(id);
    let before, turn, jumped;
    const look = (mine) => {
      if (mine !== turn || !this.board.shown) return;
      const now = t.time, by = now - before, own = this.elapsed && this.clock.speed * (this.pace ?? 1);
      // where its own clock says which way it goes, a long frame isn't taken for a short way back
      const wrapped = this.clock.period && (own ? by * own < 0 : Math.abs(by) > t.duration / 2), on = wrapped ? by < 0 : by > 0;
      const out = on ? at > before : at < before, here = on ? at <= now : at >= now;
      if (by && jumped === this.jumped && (wrapped ? out || here : out && here)) fire();
      [before, jumped] = [now, this.jumped];
      requestAnimationFrame(() => look(mine));
    };
    this.board.onOpen(() => {
      const mine = (turn = {});
      [before, jumped] = [t.time, this.jumped];
      requestAnimationFrame(() => look(mine));
    });
  }

  // Where it loops, at each of its ends.
  onEnd(fire) {
    const [main] = this.board.timelines;
    this.onPass(main.id, this.clock.speed < 0 ? 0 : main.duration, fire);
  }
//# motifs

  get still() {
    return (this.#states?.still ?? true) && this.board.still;
  }

  get stateTime() {
    return this.#states?.at;
  }

  // For who asks for less motion: a loop stands at its phase, what runs once at its end.
  get #quiet() {
    const { duration, speed, repeat } = this.clock;
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
