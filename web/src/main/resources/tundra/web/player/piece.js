// A screen of the piece; what it holds is made when it is first near.
class Scene {
  #data;
  #board;
  #scrolling;
  #piece;
//# layouts
  #drawn;
  #layout;
//# core

  constructor(piece, data) {
    Object.assign(this, { id: data.id, name: data.name, size: data.size });
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

  show(on) {
    const was = !this.el.hidden && this.#board;
    this.el.hidden = !on;
//# reactions
    // once it is hidden, so that what happens then may open another scene
    if (was) this.#board.turned(false);
//# core
    const around = this.el.parentNode;
    if (around !== this.#piece.el) around.hidden = !on;
//# layouts
    if (on) this.fits(this.#piece.room);
//# core
    if (on || this.#board) this.board.reset();
    if (!on) return;
    this.board.open();
    this.#scrolling?.open();
//# reactions
    this.board.turned(true);
//# core
  }
}

//# values
// A value in words.
const said = (value) => (value === true ? "yes" : value === false ? "no" : String(value));
//# core

class Piece {
  #way = [];
  #sounds = new Map();
  #values = new Map();
  #spoken;
  #begun;
  // Whether it is out of the visitor's view, and what goes on when it no longer is.
  away = false;
  asleep = [];

  // In an element of a document or of a shadow root, with its files beside a base address.
  constructor(data, el, base) {
    Object.assign(this, { el, base, root: el.getRootNode() });
    this.id = data.id;
    new IntersectionObserver((seen) => {
      this.away = !seen.at(-1).isIntersecting;
      if (!this.away) for (const wake of this.asleep.splice(0)) wake();
    }).observe(el);
    this.motifs = data.motifs ?? {};
//# values
    for (const v of data.values ?? []) {
      this.#values.set(v.id, { ...v, now: undefined, told: [] });
      this.#values.get(v.id).now = this.as(v.id, (v.kept && this.#kept(v.id)) ?? v.start);
    }
//# core
    this.scenes = data.scenes.map((s) => new Scene(this, s));
//# whole
    // what belongs to no scene has a board of its own, with nothing on it
    this.whole = new Board(document.createElement("div"), { timelines: [], reactions: [] }, this);
    this.whole.whole = true;
    for (const r of data.reactions) this.whole.react(r);
//# core
    this.#show(this.scenes[0]);
//# fit
    this.fit = data.fit;
    this.scrolls = data.scenes.some((s) => s.scroll);
    // what it stands in decides, not the window
    new ResizeObserver(() => this.#fit()).observe(el.parentElement ?? el.getRootNode().host);
    addEventListener("resize", () => this.#fit());
//# layouts
    document.fonts.ready.then(() => this.#fit());
//# fit
    this.#fit();
//# core
  }
//# fit

  // The width that it has.
  get room() {
    return (this.el.parentElement ?? this.root.host).clientWidth;
  }

  // Makes it as large as is asked for in the room that it has.
  #fit() {
    const { el, fit, room } = this;
//# layouts
    this.shown.fits(room);
//# fit
    const [w, h] = this.shown.size, wide = room / w;
    Object.assign(el.style, { clipPath: "", top: "", overflow: "", marginBottom: "" });
//# layouts
    if (this.shown.resize) return this.#resize(w, h, room);
//# fit
    const k = fit === "asDrawn" ? 1 : fit === "noWider" ? Math.min(1, wide) : fit === "whole" ? Math.min(wide, innerHeight / h) : wide;
    if (!(k > 0)) return;
    // what sticks while the page scrolls would stick elsewhere if it were transformed
    if (this.scrolls) return void (el.style.zoom = k === 1 ? "" : k);
    const put = k === 1 ? ["", "", "", ""] : ["scale(" + k + ")", w + "px", (room - w * k) / 2 + "px", h * k + "px"];
    [el.style.transform, el.style.width, el.style.left, el.style.height] = put;
    el.style.transformOrigin = k === 1 ? "" : "0 0";
    el.style.position = k === 1 ? "" : "relative";
  }
//# layouts

  // Kept, stretched, contained or covering: the whole scene in its window, with one point of it where it is in the window.
  #resize(w, h, room) {
    const [rule, px, py] = this.shown.resize, high = innerHeight, x = room / w, y = high / h, { el } = this;
    const [kx, ky] = rule === "keep" ? [1, 1] : rule === "stretch" ? [x, y] : Array(2).fill(rule === "contain" ? Math.min(x, y) : Math.max(x, y));
    const left = (room - w * kx) * px, top = (high - h * ky) * py;
    // its box ends with the window, however much of the scene goes over
    const wide = Math.min(w, (room - left) / kx), tall = (high - top) / ky;
    Object.assign(el.style, { transform: "scale(" + kx + "," + ky + ")", transformOrigin: "0 0", position: "relative", overflow: "clip", width: wide + "px", height: tall + "px", left: left + "px", top: top + "px", marginBottom: high - tall + "px" });
    el.style.clipPath = "inset(" + Math.max(0, -top) / ky + "px 0 0 " + Math.max(0, -left) / kx + "px)";
  }
//# core

  // The address of one of its files.
  file(src) {
    return new URL(src, this.base).href;
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
    this.#enter();
  }

  // The keyboard goes along where it was in this piece, so that the scene is read out.
  #enter() {
    const { activeElement } = this.root, { el } = this.shown;
    this.turnedAt = performance.now();
    if (activeElement && activeElement !== document.body && !this.el.contains(activeElement)) return;
    el.tabIndex = -1;
    el.focus({ preventScroll: true });
  }

  #show(scene) {
//# whole
    if (this.#begun) this.whole.turned(false);
//# core
    for (const s of this.scenes) if (s !== scene) s.show(false);
    scene.show(true);
//# fit
    if (this.fit) this.#fit();
//# whole
    this.#begun = true;
    this.whole.turned(true);
//# core
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
    if (!scene) return;
    this.#show(scene);
    this.#enter();
  }

  sound(src) {
    if (!this.#sounds.has(src)) this.#sounds.set(src, new Audio(this.file(src)));
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
      Tundra.scripts[this.id + " " + id]?.(new PageApi(this, board))?.catch?.(failed);
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

//# chips
  // Whether a value is what it was at first.
  atFirst(id) {
    return this.value(id) === this.as(id, this.#values.get(id).start);
  }
//# values

  // A text as what a value holds.
  as(id, text) {
    const { kind } = this.#values.get(id);
    return kind === "number" ? Number(text) || 0 : kind === "yesNo" ? text === true || /^(yes|true|on|1)$/i.test(text) : String(text);
  }

  put(id, to) {
    const v = this.#values.get(id), now = this.as(id, to);
    if (now === v.now) return;
    v.now = now;
    tell(v.name + " = " + said(now));
    if (v.kept)
      try {
        localStorage.setItem(this.#key(id), said(now));
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
  // In the first place for this piece that it was not started in yet; its files lie beside the script that starts it.
  start(data, el = [...document.querySelectorAll("." + data.scope)].find((x) => pieces.every((p) => p.el !== x)), base = document.currentScript?.src || document.baseURI) {
    const piece = new Piece(data, el, base);
    pieces.push(piece);
    tell("the piece is ready");
    return piece;
  },
};
