// A screen of the piece; what it holds is made when it is first near.
class Scene {
  #data;
  #board;
  #scrolling;
  #piece;
//# keeps
  #opened;
  #left;
//# core
//# layouts
  #drawn;
  #layout;
//# core

  constructor(piece, data) {
    Object.assign(this, { id: data.id, name: data.name, size: data.size, into: data.into });
    this.#data = data;
    this.#piece = piece;
    this.el = piece.el.querySelector("." + data.of);
  }

  get board() {
    if (!this.#board) {
      const later = this.el.querySelector(":scope > template");
      later?.replaceWith(later.content);
//# layouts
      this.#drawn = this.el.cloneNode(true);
//# core
      this.#board = new Board(this.el, this.#data, this.#piece);
      if (this.#data.scroll) this.#scrolling = new Scrolling(this, this.#data.scroll);
    }
    return this.#board;
  }

//# layouts
  // The name of the layout that there is; null for the scene as it is drawn.
  get layout() {
    return this.#layout?.name ?? null;
  }

  // Takes the layout that is for a width, and its size; what has landed on a place stays there.
  fits(room) {
    const again = this.#board?.landed();
    this.#take(room);
    again?.();
    this.#scrolling?.soon();
  }

  #take(room) {
    const { layouts = [] } = this.#data;
    if (!(room > 0 || this.#layout === undefined)) return;
    const l = layouts.find(({ from, to = Infinity }) => room >= from && room < to) ?? null;
    if (l === this.#layout) return this.#grow(room);
    const { board } = this, held = (x) => (x ? this.#piece.el.querySelector(":scope > template." + x.id).content : this.#drawn);
    this.el.dataset.layout = l?.id ?? "base";
    const was = this.#layout === undefined ? undefined : (this.#layout ?? this.#data).fluid;
    if (was) board.grow([0, 0], was);
    if (l || this.#layout) board.become(l, held(this.#layout), held(l));
    const first = this.#layout === undefined;
    this.#layout = l;
    this.size = (l ?? this.#data).size;
    this.#grow(room);
    if (first) return;
    tell("the layout is " + (l?.name ?? "as drawn"));
    for (const f of this.#board.becomes ?? []) f(this.el.dataset.layout);
  }

  // Where anything is tied, the scene is as wide as its room, and as high as is asked for.
  #grow(room) {
    const { size: [w, h], fluid, high } = this.#layout ?? this.#data, { el } = this;
    if (!fluid || !(room > 0)) return;
    const tall = high === "the window's" ? innerHeight : h;
    this.board.grow([room - w, tall - h], fluid);
    this.size = [room, high === "with the width" ? (h * room) / w : tall];
    el.style.height = "";
    if (high !== "its content's") return;
    const { top } = el.getBoundingClientRect(), k = el.getBoundingClientRect().width / room || 1;
    const bottom = (x) => {
      const { width, bottom } = x.getBoundingClientRect(), { lead } = x.dataset;
      // of words it is that of their last line, with all that it keeps free
      return !width ? 0 : lead ? (x.closest(".t-p").getBoundingClientRect().top - top) / k + lead * [...x.children].filter((line) => line.textContent).length : (bottom - top) / k;
    };
    this.size[1] = Math.max(1, ...[...el.querySelectorAll(".t-p > *, img")].map(bottom));
    el.style.height = this.size[1] + "px";
  }

  // At which shares things go along with scrolling in this layout, where it says so, and whether any layout does.
  get parallax() {
    return this.#layout?.parallax;
  }

  get parallaxes() {
    return this.#data.layouts?.some((l) => l.parallax);
  }

  // What becomes of the whole scene in its window: the rule, and the point that stays.
  get resize() {
    return (this.#layout ?? this.#data).resize;
  }
//# core

  get timelines() {
    return this.board.timelines;
  }

  get moment() {
    return this.board.moment;
  }

  // The outermost part of it, which is moved as a whole.
  get outer() {
    const around = this.el.parentNode;
    return around === this.#piece.el ? this.el : around;
  }

  // Is there, and begins, or goes on where it was left.
  enter() {
    this.el.hidden = this.outer.hidden = this.el.inert = false;
//# layouts
    this.fits(this.#piece.room);
//# core
    this.board.on = true;
//# keeps
    if (this.#data.keeps && this.#opened) this.#resume();
    else
//# core
      this.#begin();
//# keeps
    this.#opened = true;
//# core
//# reactions
    this.board.turned(true);
//# core
  }

  #begin() {
    this.board.reset();
    this.board.open();
    this.#scrolling?.open();
  }

//# reactions
  // Its pictures are asked for before it is shown.
  near() {
    for (const x of this.el.querySelector(":scope > template")?.content.querySelectorAll("img[src]") ?? []) new Image().src = this.#piece.file(x.getAttribute("src"));
  }

  // The scenes that its sentences open.
  get leads() {
    return this.#data.reactions.flatMap((r) => [...r.do, ...(r.otherwise ?? [])]).map((a) => (a.action === "openScene" ? a.scene : /^(next|previous)Scene$/.test(a.action) ? a.action : null));
  }

//# core
  // Nothing happens in it any more, however long it is still seen.
  leave() {
    if (!this.#board?.on) return;
    this.#board.on = false;
    this.el.inert = true;
//# keeps
    if (this.#data.keeps) this.#pause();
//# core
//# reactions
    this.#board.turned(false);
//# core
  }

  // It is seen no more.
  hide() {
    this.el.hidden = this.outer.hidden = true;
    if (this.#board && !this.#data.keeps) this.#board.reset();
  }
//# keeps

  #pause() {
    const { board } = this, playing = this.timelines.filter((t) => t.playing);
    this.#left = { playing, scroll: [scrollX, scrollY], since: document.timeline.currentTime - board.since };
    for (const t of playing) t.halt();
    board.run({ playing: false, at: this.#left.since });
  }

  #resume() {
    const { playing, scroll, since } = this.#left;
    this.board.since = document.timeline.currentTime - since;
    this.board.run({ playing: true, start: this.board.since });
    for (const t of playing) t.goOn();
    scrollTo(...scroll);
  }
//# core
}
