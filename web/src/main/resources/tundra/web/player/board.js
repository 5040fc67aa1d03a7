//# record
// How far something is that an action sets: a share of the way from what is seen without it, more where it changes by an amount again.
const shareOf = ({ base, by, time, duration, easing = "linear" }) => {
  const effect = new KeyframeEffect(null, null, { duration: 1, fill: "both", easing });
  new Animation(effect, null).currentTime = Math.min(1, time / duration);
  const { progress } = effect.getComputedTiming();
  return base + (by ? 1 : 1 - base) * progress;
};

// Where a block stands, for who writes a visit down; nothing where it is as it was made.
const standing = (b) => {
  const { data, el } = b;
  switch (data.block) {
    case "strip":
    case "stack":
    case "turntable":
      return { item: b.loops && b.n ? ((b.position % b.n) + b.n) % b.n : b.position };
    case "video":
      return el.played.length || el.currentTime > b.from ? { time: el.currentTime * 1000 } : undefined;
    case "map":
      return { middle: b.middle.map((x) => x * 2 ** b.zoom), zoom: b.zoom };
    case "countdown":
      return { words: b.part("t").textContent };
    case "field":
    case "choice":
    case "slider":
    case "tick":
      return data.value ? undefined : { words: String(b.value) };
  }
};
//# core
//# instance
// Names the instance in which a reaction of a motif happens.
const THIS = "t-this";
//# core

// What stands on a board: its parts by their names, which are the first of their classes, its timelines and reactions. The same board may
// stand on the page several times.
class Board {
  // Timelines that were started, the last one last.
  active = [];
  #parts = new Map();
  #renamed = new Map();
  #soon;
  // Of a scene: what is to be done where something on it or in its motifs is tapped.
  taps;
  #conducted;
  #instances;
  #slot;
  // What actions set, by their data.
  #sets = new Map();
  // The same for the instance that it is.
  #outwards = new Map();
  #reactions;
//# reactions
  // What waits to go on in this scene.
  #waits = new Set();
//# core
  #opens = [];
  #closes = [];
  front = 0;
  back = 0;
//# blocks
  // By the names of their elements.
  blocks = new Map();
//# core
  // What can be dragged, by name.
  parts = new Map();
  #drags = [];

  // Of a motif's instance with its clock, the board around and its name there, otherwise without.
  constructor(el, { timelines, reactions, mixes = {}, instances = [], drags = [], names = {}, layouts = [], blocks = [] }, piece, clock, around, name) {
    Object.assign(this, { el, piece, around, name, names });
    for (const x of [el, ...el.querySelectorAll("[class], [id]")]) this.#parts.set(x.id || x.classList[0], x);
    this.#rename();
    const slot = (this.#slot = slots(this, mixes));
    Object.assign(this, { layouts, mixes, grown: [0, 0] });
    const own = clock && new Clock(clock, timelines[0].duration);
    this.timelines = timelines.map((t) => new Timeline(t, this, slot, t.starts ? own : undefined));
    this.#conducted = own ? this.timelines.filter((t) => t.starts) : [];
    this.#instances = instances.map((i) => new Instance(this, i, piece));
//# layouts
    this.fit();
//# core
//# through
    if (!around) through(el, piece.root);
//# core
//# chips
    this.says(el);
//# blocks
    for (const b of blocks) if (this.part(b.of + "-k") && BLOCKS[b.block]) this.blocks.set(b.of, new BLOCKS[b.block](this, b));
    for (const b of this.blocks.values()) b.begin();
//# drags
    for (const d of drags) for (const [name, places] of d.pairs) this.parts.set(name, new Draggable(this, d, name, places));
//# reactions
    this.#reactions = reactions;
    if (!around) this.#begin();
//# core
  }
//# chips

  // Keeps up with the values that texts show.
  says(el) {
    const { piece } = this;
//# wraps
    for (const x of [el, ...el.querySelectorAll("[data-wrap]")].filter((y) => y.dataset.wrap)) wraps(x, piece);
//# chips
    for (const x of el.querySelectorAll("text:not([data-wrap]) [data-value]")) {
      const { value } = x.dataset, show = (now) => {
        const words = said(now);
        if (x.textContent === words) return;
        x.textContent = words;
        for (const y of x.closest("text")?.querySelectorAll("[data-more]") ?? []) if (y.dataset.more === value) y.textContent = "";
      };
      piece.watch(value, show);
      if (!piece.atFirst(value)) show(piece.value(value));
    }
  }
//# reactions

  // Once the whole scene stands, since a motif's reactions can name the instance that they happen in.
  #begin() {
    for (const i of this.#instances) i.board.#begin();
    for (const l of this.layouts) for (const r of l.reactions) this.react(r, () => this.layout === l);
    for (const r of this.#reactions) this.react(r, () => !this.layout?.off.includes(r.id));
  }
//# core

  // Whether anything goes along with a timeline of this board.
  conducts(timeline) {
    return this.#with(timeline).length > 0;
  }

  // Takes along what goes by one of its timelines.
  conduct(timeline) {
//# blocks
    for (const f of timeline.watched ?? []) f();
//# core
    for (const i of this.#with(timeline)) i.board.follow(timeline.drives(i.from, i.clock.period));
  }

  // What goes by a timeline. What actions set are timelines without ids, and take nothing along.
  #with({ id }) {
    return id ? this.#instances.filter((i) => i.timeline === id) : [];
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
//# instance
    // the instance that it is, which the board around knows
    if (this.name && name.startsWith(THIS)) return this.around.part(this.name + name.slice(THIS.length));
//# core
    return this.#parts.get(name);
  }

  // Only gradients have ids, since that is how they are named by what they paint; one that is there already gets another.
  #rename() {
    for (const [name, x] of this.#parts) {
      if (!x.id || this.piece.root.getElementById(x.id) === x) continue;
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

//# layouts

  // Goes over to another layout, and on from where everything stands; null is the scene as it is drawn.
  become(layout, was, now) {
    const { activeElement } = this.piece.root;
    for (const t of this.#all) t.leave();
    const texts = morph(this.el, was, now, this.#parts);
    this.#rename();
    this.layout = layout;
    for (const t of this.timelines) t.starts = layout?.timelines[t.id]?.starts ?? t.begins;
    this.#again();
    this.blocks?.forEach((b) => b.again());
    for (const x of texts) this.says?.(x);
    this.fit();
    if (activeElement !== this.piece.root.activeElement && this.el.contains(activeElement)) activeElement.focus({ preventScroll: true });
  }

  // Instances show the layouts of their motifs that are for their widths now.
  fit() {
    for (const i of this.#instances) i.fits?.();
  }

  // What was dragged onto a place is there again once what is given back is called.
  landed() {
    const all = [...this.parts.values()].map((d) => [d, d.away]).filter(([, away]) => away);
    return () => all.forEach(([d, away]) => d.keepTo(away));
  }

  // What mixed values are made of in this layout, at this width.
  get #resting() {
    const all = Object.entries({ ...this.mixes, ...this.layout?.mixes });
    return Object.fromEntries(all.map(([name, m]) => [name, m.grown ? { ...m, rest: m.rest.map((x, i) => (x === null ? x : between(x, m.grown.map((g) => g[i]), this.grown))) } : m]));
  }

  #tracks(t) {
    return this.layout?.timelines[t.id]?.tracks;
  }

  // Is some px wider and taller than it is drawn: what goes with its size follows.
  grow(by, fluid) {
    sides(by).forEach((px, i) => this.el.style.setProperty(["--w", "--n", "--h", "--m"][i], px));
    if (this.grown.every((px, i) => px === by[i])) return;
    this.grown = by;
    this.fit();
    if (!fluid.length && !this.#all.some((t) => t.fluid(this.#tracks(t)))) return;
    for (const t of this.#all) t.leave();
    for (const [name, attribute, text, ...others] of fluid) {
      const x = this.part(name);
      if (attribute !== "data-wrap") x.setAttribute(attribute, this.own(between(text, others, by)));
      else x.rewrap?.(between(JSON.parse(text)[0], others.map((t) => JSON.parse(t)[0]), by));
    }
    this.#again();
  }

  // Timelines take up their tracks of this layout and width; attributes rest elsewhere now.
  #again() {
    this.#slot = slots(this, this.#resting);
    for (const t of this.#all) t.take(this.#tracks(t), this.#slot);
    for (const t of this.active) t.again();
  }
//# core

  // A value with the names that this board's gradients have.
  own(value) {
    return this.#renamed.get(value) ?? value;
  }

  timeline(id) {
    return this.timelines.find((t) => t.id === id);
  }

//# reactions
  // What an action plays: a timeline, a motif's instance, or everything that has a clock of its own.
  players(id) {
//# whole
    if (this.whole) return this.here.players(id);
//# reactions
    if (id === "*") return [...this.timelines.filter((t) => this.active.includes(t)), ...this.#instances.filter((i) => !i.timeline)];
//# instance
    if (id === THIS) return this.around.players(this.name);
//# reactions
    return [this.timeline(id) ?? this.#instances.find((i) => i.name === id)];
  }

  // The board of the scene that it is on, and whether that one is shown.
  get scene() {
    return this.around?.scene ?? this;
  }

  get shown() {
    return this.whole || !!this.scene.on;
  }

  // The board that is seen, for what belongs to the whole piece.
  get here() {
    return this.whole ? this.piece.shown.board : this;
  }

  // With whether it holds in the layout that there is.
  react({ id, when, says, any, if: conditions = [], do: actions, otherwise = [], ...slots }, here) {
    const run = (list, i = 0) => {
      for (; i < list.length; i++) {
        const { action, says, ...slots } = list[i];
        tell(says ?? action, id);
        const then = ACTIONS[action](this, slots);
        if (then === false) return;
        if (typeof then === "function") {
          const wait = { go: () => this.#waits.delete(wait) && run(list, i + 1) };
          this.#waits.add(wait);
          return void then(wait.go);
        }
        if (then > 0) return void this.#waits.add(setTimeout(() => run(list, i + 1), then));
      }
    };
//# action waitUntil
    [actions, otherwise] = [actions, otherwise].map((all) => all.map((a) => (a.action === "waitUntil" ? this.#awaits(a) : a)));
//# reactions
    if (when === "tapped" && !this.whole) this.#tells(this.part(slots.element), [...actions, ...otherwise]);
    // what it does itself does not set it off again, as playing from a cue at its own time would for ever
    let running = false;
    EVENTS[when](this, slots, () => {
      if (running || here?.() === false) return;
      running = true;
      try {
        react();
      } finally {
        running = false;
      }
    });
    const react = () => {
      tell(says ?? when, id);
//# ways
      const from = slots.element && this.part(slots.element)?.getBoundingClientRect?.();
      this.piece.tapped = from?.width ? [from.left, from.top, from.width, from.height] : undefined;
//# reactions
      const failed = conditions.filter(({ condition, ...slots }) => !CONDITIONS[condition](this, slots));
      const holds = any ? failed.length < conditions.length : !failed.length;
      for (const f of holds ? [] : failed) tell("not so: " + (f.says ?? f.condition), id);
      run(holds || !conditions.length ? actions : otherwise);
    };
  }

  // Whether what an element opens is open, or what it switches is on.
  #tells(el, actions) {
    const { piece } = this;
    for (const a of actions) {
//# action toggleShown
      if (a.action === "toggleShown") {
        const of = outer(this, a.elements[0]), show = () => el.setAttribute("aria-expanded", !of.hidden);
        new MutationObserver(show).observe(of, { attributeFilter: ["hidden"] });
        show();
      }
//# action toggleValue
      if (a.action === "toggleValue") {
        const name = actions.some((x) => x.action === "playBack") ? "aria-expanded" : "aria-pressed", show = (now) => el.setAttribute(name, !!now);
        piece.watch(a.value, show);
        show(piece.value(a.value));
      }
//# action toggleSound
      if (a.action === "toggleSound") {
        const sound = piece.sound(a.sound), show = () => el.setAttribute("aria-pressed", !sound.paused);
        for (const type of ["play", "pause", "ended"]) sound.addEventListener(type, show);
        show();
      }
//# reactions
    }
  }

//# action waitUntil
  // Hears of taps from the opening of the scene on.
  #awaits(action) {
    const awaited = {};
    this.onTap(this.part(action.element), () => {
      const { go } = awaited;
      awaited.go = undefined;
      if (go) go();
      else awaited.early = true;
    });
    this.onOpen(() => (awaited.early = false));
    return { ...action, awaited };
  }
//# reactions

//# blocks
  // The block that an element is.
  block(name) {
    return this.blocks.get(name);
  }

  // All blocks on it and in its motifs whose elements lie within an element.
  within(el) {
    const own = [...this.blocks.values()].filter((b) => el.contains(b.el));
    return [...own, ...this.#instances.flatMap((i) => i.board.within(el))];
  }
//# reactions

  // Listens to something on an element, or to something of the whole page while its scene is shown.
  on(element, type, f) {
    this.part(element).addEventListener(type, f);
  }

  listen(what, type, f, capture = false) {
    what.addEventListener(type, (e) => this.shown && f(e), { passive: type === "scroll", capture });
  }

  onOpen(f) {
    this.#opens.push(f);
  }

  onClose(f) {
    this.#closes.push(f);
  }

  // Its scene was opened or closed.
  turned(open) {
    // the whole piece waits on from scene to scene
    if (!open && !this.whole) {
      for (const w of this.#waits) clearTimeout(w);
      this.#waits.clear();
    }
//# blocks
    for (const b of this.blocks.values()) b.turned(open);
//# reactions
    for (const f of open ? this.#opens : this.#closes) f();
    for (const i of this.#instances) i.board.turned(open);
  }

  // Calls back when something becomes of a part that is dragged.
  drag(part, what, fire) {
//# instance
    if (part === THIS) return void this.around.drag(this.name, what, fire);
//# reactions
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
//# instance
    const outer = data.tracks.filter((t) => t.of === THIS);
    if (outer.length) {
      if (!this.#outwards.has(data)) this.#outwards.set(data, { ...data, tracks: outer.map((t) => ({ ...t, of: this.name })) });
      this.around.set(this.#outwards.get(data), by);
      data.inner ??= { ...data, tracks: data.tracks.filter((t) => t.of !== THIS) };
      if (data.inner.tracks.length) this.set(data.inner, by);
      return;
    }
//# reactions
    // a gradient that changes begins in the colour that is seen
    const colours = data.tracks.filter((t) => t.keys[0][1].startsWith("url(#")).map((t) => [t.keys[0][1].slice(5, -1), this.#slot(t.of, t.property).now]).filter(([, now]) => now.startsWith("rgb"));
    const seen = data.tracks.map(({ of, property, keys }) => {
      const slot = this.#slot(of, property), [, to0, , ...others] = keys.at(-1);
      let a = keys[0][1], b = to0;
      // what goes with the size is meant at the size that there is
      if (others.length) [a, b] = [between(a, keys[0].length > 3 ? keys[0].slice(3) : [a, a, a, a].slice(0, others.length), this.grown), between(b, others, this.grown)];
      if (a.startsWith("url(#") && keys[0][2] === "step-end") return { of, property, keys: [[0, a, "step-end"], [1, b]] };
      const colour = property === "@stop-color" && colours.find(([id]) => of.startsWith(id))?.[1];
      const from = slot instanceof Switched ? b : colour || slot.now;
      const plain = from === "none" || (from.match(NUMBER) ?? []).length !== (a.match(NUMBER) ?? []).length ? a : from;
      const way = b.match(NUMBER) ?? [], was = a.match(NUMBER) ?? [];
      let i = 0;
      const to = by && !(slot instanceof Switched) ? plain.replace(NUMBER, (x) => n(+x + (way[i] - was[i++]))) : b;
      return { of, property, keys: slot instanceof Switched ? [[0, to]] : [[0, by ? plain : from === "none" ? a : from, data.easing], others.length && !by ? [1, to0, "linear", ...others] : [1, to]] };
    });
    const before = this.#sets.get(data), now = new Timeline({ ...data, tracks: seen, duration: Math.max(1, data.duration) }, this, this.#slot);
    this.#sets.set(data, now);
//# named sets
    // what is set anew goes on from where it is, unless something else was set since
    const since = before ? this.active.slice(this.active.indexOf(before) + 1) : [];
    const other = since.some((t) => !(by && t.by) && t.touches?.some((x) => data.tracks.some((y) => x.of === y.of && x.property === y.property)));
    Object.assign(now, { set: data.set, by: !!by, easing: data.easing, touches: data.tracks, base: before && !other ? shareOf(before) : 0 });
//# reactions
    now.play();
    before?.reset();
  }

//# drags

  // What was set goes back to what it was.
  unset(data) {
    const now = this.#sets.get(data);
    const done = () => {
      if (this.#sets.get(data) !== now || now.time > 0) return;
      now.reset();
      this.#sets.delete(data);
    };
    if (!now?.time) return now && done();
    now.ends = [done];
    now.playBack();
  }
//# reactions

  // Taps and the keys that stand for them.
  onTap(el, fire) {
    const { scene } = this;
    if (!scene.taps) {
      scene.taps = new Map();
      scene.el.addEventListener("pointerdown", () => (scene.spent = false), true);
      scene.el.addEventListener("click", (e) => scene.#tap(e));
    }
    const all = scene.taps.get(el);
    if (all) return void all.push(fire);
    scene.taps.set(el, [fire]);
    el.addEventListener("keydown", (e) => {
      if (e.target === el && (e.key === "Enter" || e.key === " ") && !e.repeat) {
        e.preventDefault();
        for (const f of scene.taps.get(el)) f();
      }
    });
  }

  // What is seen there is tapped, and all that holds it; what is faded lets taps through, as what is hidden does.
  #tap({ target, detail, clientX, clientY }) {
    if (this.carried) return;
    if (this.spent) return void (this.spent = false);
    // the rest of a double tap, whose first half opened this scene
    if (detail > 1 && performance.now() - this.piece.turnedAt < 500) return;
    const clear = ({ fill, stroke, pointerEvents }) => pointerEvents !== "all" && [fill, stroke].every((c) => c === "none" || /^rgba.* 0\)$/.test(c));
    const { el } = this, seen = (x) => x === el || (+getComputedStyle(x).opacity > 0.002 && seen(x.parentNode));
    let x = detail ? this.piece.root.elementsFromPoint(clientX, clientY).find((x) => el.contains(x) && seen(x) && !(x.ownerSVGElement && clear(getComputedStyle(x)))) : target;
    for (; x && x !== el; x = x.parentNode) for (const fire of this.taps.get(x) ?? []) fire();
  }

//# core

  // Its timelines and what actions set.
  get #all() {
    return [...this.timelines, ...this.#sets.values()];
  }

  // As it is before anything was started.
  reset() {
    for (const t of this.#all) t.reset();
    this.#sets.clear();
    for (const i of this.#instances) i.board.reset();
    for (const d of this.parts.values()) d.home(0);
    this.blocks?.forEach((b) => b.reset());
    for (const x of this.#touched) [x.hidden, x.style.zIndex] = [false, ""];
  }

//# reactions
  // What is dragged, by its name.
  draggable(name) {
//# instance
    if (name === THIS) return this.around.draggable(this.name);
//# reactions
    return this.parts.get(name);
  }
//# core

  // What is shown, hidden and ordered are the outermost boxes of elements; the parts of blocks are their own.
  get #touched() {
    return [...this.#parts.values()].filter((x) => x !== this.el && (x.hidden || x.style?.zIndex) && /^t-(_.|[^_-])*(-v)?$/.test(x.classList[0]));
  }

  // The timelines that start by themselves play.
  open() {
    this.since = document.timeline.currentTime;
    this.run({ playing: true, start: this.since });
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

//# record
  // What is seen of it, for who writes a visit down: where its timelines and those of its motifs stand, and what reactions and hands did.
  get seen() {
    const named = (x) => x.id || x.classList[0], motifs = this.#instances.map((i) => this.part(i.name));
    const own = (what) => [...this.el.querySelectorAll(what)].filter((x) => /^t-(_.|[^_-])*(-[ov])?$/.test(named(x)) && !motifs.some((m) => m !== x && m.contains(x)));
    const on = new Set([...(this.around ? this.#conducted : []), ...this.active]);
    return {
      moment: [...on].filter((t) => t.id ?? t.set).map((t) => [t.id ?? t.set, t.time]),
      // what is all there is what its timeline says
      sets: this.active.filter((t) => t.set && (t.by || t.time < t.duration)).map((t) => [t.set, shareOf(t), t.by]),
      words: [...(this.worded ?? [])],
      blocks: [...(this.blocks?.values() ?? [])].map((b) => [b.data.of, standing(b)]).filter((x) => x[1]),
      inside: Object.fromEntries(this.#instances.map((i) => [i.name, i.board.seen])),
      hidden: own("[hidden]").map(named),
      order: own("[style*=z-index]").filter((x) => x.style.zIndex).map((x) => [named(x), +x.style.zIndex]),
      scripted: [...(this.scripted ?? [])].map((x) => {
        const { style } = x, now = getComputedStyle(x), number = (p) => (style[p] === "" ? null : parseFloat(now[p])), { e, f } = new DOMMatrix(style.transform ? now.transform : "");
        return [named(x), number("opacity"), e, f, number("rotate"), number("scale"), this.part(named(x) + "-s")?.style.fill ? getComputedStyle(this.part(named(x) + "-s")).fill : null];
      }),
      carried: [...this.parts.values()].filter((d) => d.el.style.translate).map(({ name, x, y, el: { style } }) => [name, x, y, parseFloat(style.rotate) || 0, style.opacity === "" ? 1 : +style.opacity]),
    };
  }
//# core

  // The timelines that were started, in that order, and where each stands, in ms.
  get moment() {
    return this.active.map((t) => [t.id, t.time]);
  }
}
