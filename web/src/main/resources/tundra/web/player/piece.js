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
  #now;
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
//# eases
    this.eases = data.eases;
//# core
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
//# over
    this.over = this.scenes.find((s) => s.id === data.over);
    if (this.over) this.scenes = this.scenes.filter((s) => s !== this.over);
//# core
    this.#reveal(this.scenes[0]);
//# history
    this.#remember();
//# over
    if (this.over) {
      this.over.outer.style.zIndex = 2;
      this.over.el.style.background = "none";
      this.over.el.style.pointerEvents = "none";
      this.over.enter();
    }
//# core
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

//# record

  // What a visitor sees now: the window, the scenes in it, and the values of the piece.
  get seen() {
    const scenes = [...this.scenes, ...(this.over ? [this.over] : [])].filter((s) => !s.el.hidden);
    return {
      window: [innerWidth, innerHeight],
      scenes: scenes.map((s) => {
        const { left, top, width, height } = s.el.getBoundingClientRect(), { opacity } = getComputedStyle(s.outer);
        return { id: s.id, at: [left, top, width, height], opacity: +opacity, z: +s.outer.style.zIndex || 0, layout: s.el.dataset.layout ?? "base", size: s.size, since: document.timeline.currentTime - s.board.since, ...s.board.seen };
      }),
      values: Object.fromEntries([...this.#values].map(([id, v]) => [id, String(v.now ?? "")])),
    };
  }
//# core

  scene(name) {
    return this.scenes.find((s) => s.name === name);
  }

  get shown() {
    return this.#now;
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

  #go(scene, transition) {
    const how = transition ?? scene.into;
    this.#way.push({ scene: this.shown, how });
    this.#reveal(scene, how);
    this.#enter();
//# history
    this.#remember(true);
//# core
  }

  // The keyboard goes along where it was in this piece, so that the scene is read out.
  #enter() {
    const { activeElement } = this.root, { el } = this.shown;
    this.turnedAt = performance.now();
    if (activeElement && activeElement !== document.body && !this.el.contains(activeElement)) return;
    el.tabIndex = -1;
    el.focus({ preventScroll: true });
  }

  // Shows a scene in place of the one that is there.
  #reveal(scene, how, back) {
    const before = this.#now;
//# whole
    if (this.#begun) this.whole.turned(false);
//# core
    this.#now = scene;
    before?.leave();
    scene.enter();
//# ways
    const { kind = "cut", time = 0 } = how ?? {};
    if (before && before !== scene && kind !== "cut" && time > 0 && !quiet.matches) this.#turn(before, scene, how, back);
    else this.#cut(scene);
//# core
    // those that still go stay until they are through
    for (const s of this.scenes) if (s !== scene && !s.moves && !s.el.hidden) s.hide();
    this.el.dispatchEvent(new Event("tundra-shown"));
//# reactions
    setTimeout(() => this.#near(scene), 500);
//# fit
    if (this.fit) this.#fit();
//# whole
    this.#begun = true;
    this.whole.turned(true);
//# core
  }
//# reactions

  // Those that can be opened from here.
  #near(scene) {
    const at = this.scenes.indexOf(scene), to = { nextScene: at + 1, previousScene: at - 1 };
    for (const x of scene.leads) (this.scenes[to[x]] ?? this.scenes.find((s) => s.id === x))?.near();
  }

  // By its id.
  open(id, how) {
    const scene = this.scenes.find((s) => s.id === id);
    if (scene) this.#go(scene, how);
  }

  // So many scenes on; before the first and behind the last there is nothing.
  step(by, how) {
    const scene = this.scenes[this.scenes.indexOf(this.shown) + by];
    if (scene) this.#go(scene, how);
  }

  // The way back is the way there turned round.
  back() {
    if (!this.#way.length) return;
//# history
    if (this.history) return void history.back();
//# reactions
    this.#return();
  }

  #return() {
    const { scene, how } = this.#way.pop();
    this.#reveal(scene, how, true);
    this.#enter();
  }

  sound(src) {
    if (!this.#sounds.has(src)) this.#sounds.set(src, new Audio(this.file(src)));
    return this.#sounds.get(src);
  }

//# ways

  #cut(scene) {
    for (const s of this.scenes) {
      s.moves?.cancel();
      s.moves = undefined;
      s.outer.style.zIndex = "";
      if (s !== scene && !s.el.hidden) s.hide();
    }
    this.el.classList.remove("t--turning");
  }

  // Each scene goes from where it is seen now, so that another transition can begin in the middle of one. What is seen of a scene is said
  // by how it is faded, moved, grown and cut off.
  #turn(before, scene, how, back) {
    const { kind, side, time, easing } = how, [x, y] = { left: [-1, 0], right: [1, 0], up: [0, -1], down: [0, 1] }[side] ?? [0, 0];
    const far = (k) => k * x * 100 + "% " + k * y * 100 + "%", there = { opacity: 1, translate: "0% 0%", scale: "1 1" };
    const from = kind === "zoom" ? this.#spot(scene) : null;
    // how the scene that comes begins, and how the one that goes ends
    const ways = {
      fade: [{ opacity: 0 }, {}],
      slide: [{ translate: far(-1) }, { opacity: 0 }],
      push: [{ translate: far(-1) }, { translate: far(1) }],
      cover: [{ translate: far(-1) }, {}],
      zoom: [from && { translate: from.at, scale: from.size, opacity: 0 }, {}],
    };
    const [comes, goes] = back ? ways[kind].toReversed() : ways[kind], top = back ? before : scene;
    const begin = { ...there, ...comes }, end = { ...there, ...goes };
    for (const s of this.scenes) s.outer.style.zIndex = s === top ? 1 : "";
    this.el.classList.add("t--turning");
    this.#move(scene, scene.moves ? null : begin, there, how);
    this.#move(before, null, end, how, () => before !== this.#now && before.hide());
    // what was still going goes on below
  }

  #move(s, begin, end, { time, easing }, done) {
    const el = s.outer, { opacity, translate, scale } = getComputedStyle(el), whole = (v, none) => (v === "none" ? none : v);
    const now = begin ?? { opacity, translate: whole(translate, "0px 0px"), scale: whole(scale, "1 1") };
    const before = s.moves;
    s.moves = el.animate([{ transformOrigin: "0 0", ...now }, { transformOrigin: "0 0", ...end }], { duration: time, easing, fill: "both" });
    before?.cancel();
    const mine = s.moves;
    mine.onfinish = () => {
      if (s.moves !== mine) return;
      done?.();
      mine.cancel();
      s.moves = undefined;
      el.style.zIndex = "";
      if (!this.scenes.some((x) => x.moves)) this.el.classList.remove("t--turning");
    };
  }

  // Where the element is that was tapped, in the px of a scene.
  #spot(scene) {
    const { left, top, width, height } = scene.outer.getBoundingClientRect(), w = scene.outer.offsetWidth || 1, k = width / w || 1;
    const [x, y, a, b] = this.tapped ?? [left + width * 0.45, top + height * 0.45, width * 0.1, height * 0.1];
    return { at: (x - left) / k + "px " + (y - top) / k + "px", size: Math.max(0.01, a / (width || 1)) + " " + Math.max(0.01, b / (height || 1)) };
  }
//# history

  // Each scene has an address of its own, and the browser's way back leads through them.
  #remember(push) {
    const address = (s) => "#" + encodeURIComponent(s.name);
    if (push) return void history.pushState({ tundra: this.#way.length }, "", address(this.shown));
    this.history = !pieces.some((p) => p.history);
    if (!this.history) return;
    const named = () => this.scenes.find((s) => address(s) === location.hash || "#" + s.name === decodeURIComponent(location.hash));
    const first = location.hash && named();
    if (first && first !== this.shown) {
      this.#reveal(first);
    }
    history.replaceState({ tundra: 0 }, "");
    addEventListener("popstate", ({ state }) => {
      const depth = state?.tundra;
      if (depth === this.#way.length - 1) return this.#return();
      const scene = depth === 0 && !location.hash ? this.scenes[0] : named();
      if (!scene || scene === this.shown) return;
      // forwards again, or somewhere else
      this.#way.push({ scene: this.shown, how: scene.into });
      if (depth < this.#way.length) this.#way.length = depth;
      this.#reveal(scene, scene.into);
      this.#enter();
    });
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
    el.dataset.ready = "";
    tell("the piece is ready");
    return piece;
  },
};
