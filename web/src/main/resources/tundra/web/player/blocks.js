//# blocks
// How far something is along an easing, 0 to 1.
const eased = (easing) => {
  const effect = new KeyframeEffect(null, null, { duration: 1, fill: "both", easing });
  const clock = new Animation(effect, null);
  return (p) => ((clock.currentTime = p), effect.getComputedTiming().progress);
};

// A ready-made part of a board, with what its kind says of it.
class Block {
  #told = [];

  constructor(board, data) {
    Object.assign(this, { board, data, el: board.part(data.of + "-k") });
  }

  part(name) {
    return this.board.part(this.data.of + "-" + name);
  }

  // Once all blocks of the board are there.
  begin() {}

  // Its scene is opened or closed.
  turned() {}

  // It is in another layout, or of another size.
  again() {}

  // As it is at first.
  reset() {}

  // Calls back when something happens to it.
  on(what, f) {
    this.#told.push({ what, f });
  }

  tell(what, ...more) {
    for (const t of this.#told) if (t.what === what) t.f(...more);
  }

  // Where a pointer is in the block's own px, however large it is seen.
  at({ clientX, clientY }) {
    const { left, top, width, height } = this.el.getBoundingClientRect();
    return [((clientX - left) * this.el.clientWidth) / (width || 1), ((clientY - top) * this.el.clientHeight) / (height || 1)];
  }

  // Goes from 0 to 1 in so many ms, and can be stopped.
  run(ms, easing, step, done) {
    this.stop();
    const begun = performance.now(), ease = eased(easing);
    const next = (now) => {
      const p = ms > 0 ? Math.min(1, (now - begun) / ms) : 1;
      step(p < 1 ? ease(Math.max(0, p)) : 1);
      if (p < 1) this.running = requestAnimationFrame(next);
      else {
        this.running = undefined;
        done?.();
      }
    };
    if (ms > 0 && !quiet.matches) this.running = requestAnimationFrame(next);
    else {
      step(1);
      done?.();
    }
  }

  stop() {
    cancelAnimationFrame(this.running);
    this.running = undefined;
  }
}

// Tells what a finger or a mouse pulls: how far since it was put down, and how quick it is when it is let go, in px and px a ms.
const pulled = (block, down, moved, up) => {
  const { el } = block, fingers = new Map();
  let from, quick;
  el.addEventListener("pointerdown", (e) => {
    if (e.button || e.target.closest("input, textarea, select")) return;
    fingers.set(e.pointerId, e);
    if (fingers.size > 1) return void (from = null);
    [from, quick] = [{ at: block.at(e), t: e.timeStamp, last: block.at(e) }, [0, 0]];
    down?.(from);
  });
  el.addEventListener("pointermove", (e) => {
    if (!fingers.has(e.pointerId) || !from) return;
    const at = block.at(e), by = [at[0] - from.at[0], at[1] - from.at[1]];
    if (!from.pulls) {
      if (Math.hypot(...by) < 6) return;
      if (from.wants && !from.wants(by)) return void (from = null);
      from.pulls = true;
      el.setPointerCapture(e.pointerId);
      // what follows is no tap
      block.board.scene.spent = true;
      block.pulled = true;
    }
    const t = Math.max(1, e.timeStamp - from.t);
    quick = quick.map((v, i) => 0.6 * v + (0.4 * (at[i] - from.last[i])) / t);
    Object.assign(from, { last: at, t: e.timeStamp });
    moved(by, from);
  });
  const end = (e) => {
    fingers.delete(e.pointerId);
    if (from?.pulls) up(e.timeStamp - from.t > 80 ? [0, 0] : quick, from);
    from = null;
  };
  el.addEventListener("pointerup", end);
  el.addEventListener("pointercancel", end);
  el.addEventListener("click", (e) => {
    if (block.pulled && e.detail) {
      e.preventDefault();
      e.stopPropagation();
    }
  }, true);
  el.addEventListener("pointerdown", () => (block.pulled = false), true);
};

const BLOCKS = {};
//# block gallery
// Items that lie side by side, over each other or on a ring; tundra.core.block.Gallery has the same lines.
class Gallery extends Block {
  #seen = [];
  #item = -1;
  #timer;
  #on;

  constructor(board, data) {
    super(board, data);
    this.items = [...this.el.firstElementChild.children];
    this.n = this.items.length;
    this.position = this.first = Math.max(0, Math.min(this.n - 1, data.first - 1));
    this.loops = data.block === "turntable" || data.loops === "yes";
    this.#on = data.byItself === "yes";
    this.#measure();
    this.#hear();
    new ResizeObserver(() => this.again()).observe(this.el);
    this.#show();
    this.#item = this.item;
  }

  #measure() {
    const { data } = this, down = (this.down = data.along === "down");
    this.box = [this.el.clientWidth, this.el.clientHeight];
    this.step = data.block === "turntable" ? (2 * Math.PI * data.radius) / Math.max(1, this.n) : (down ? data.itemHeight : data.itemWidth) + (data.block === "strip" ? data.spacing : 0);
  }

  again() {
    // what isn't shown has no size
    if (!this.el.clientWidth) return;
    this.#measure();
    this.#seen = [];
    this.#show();
  }

  // The item that it stands at.
  get item() {
    return this.n ? ((Math.round(this.position) % this.n) + this.n) % this.n : 0;
  }

  get last() {
    const { n, step } = this;
    if (this.loops || this.data.block !== "strip" || this.data.snap !== "start" || step <= 0) return n - 1;
    const length = this.down ? this.data.itemHeight : this.data.itemWidth;
    return Math.max(0, Math.min(n - 1, Math.ceil(((n - 1) * step + length - this.box[this.down ? 1 : 0]) / step - 1e-9)));
  }

  away(i, p) {
    const d = i - p, { n } = this;
    return this.loops && n ? d - n * Math.floor(d / n + 0.5) : d;
  }

  // The middle of an item, its scale, turn, opacity, and how far in front it is.
  place(i, p) {
    const { data, n, box: [w, h] } = this, d = this.away(i, p), near = Math.min(1, Math.abs(d)), cx = w / 2, cy = h / 2;
    if (data.block === "strip") {
      const { down } = this, length = down ? data.itemHeight : data.itemWidth;
      const along = (data.snap === "start" ? length / 2 : (down ? h : w) / 2) + d * this.step, across = (down ? cx : cy) + data.offset * near;
      return [down ? across : along, down ? along : across, 1 + (data.neighbours / 100 - 1) * near, 0, 1, -Math.abs(d)];
    }
    if (data.block === "stack") {
      const thrown = data.leaving === "thrown", back = Math.max(0, Math.min(3, d)), gone = Math.max(0, Math.min(1, -d));
      const opacity = d >= 3 ? Math.max(0, 4 - d) : d <= -1 ? 0 : thrown ? 1 : 1 - gone;
      return [cx + back * data.offset - (thrown ? (gone * (data.itemWidth + w)) / 2 : 0), cy - back * data.offset, 1 - 0.05 * back, thrown ? -data.tilt * gone : 0, opacity, -d];
    }
    const turn = (2 * Math.PI * d) / (n || 1), behind = 1 - Math.cos(turn), f = data.depth / (data.depth + data.radius * behind);
    return [cx + data.radius * Math.sin(turn) * f, cy - (data.offset * behind) / 2, f, 0, 1 - ((data.fade / 100) * behind) / 2, f];
  }

  #visible([x, y, scale, turn, opacity]) {
    const { itemWidth, itemHeight } = this.data, w = (itemWidth * scale) / 2, h = (itemHeight * scale) / 2, reach = turn ? Math.hypot(w, h) : 0;
    const a = Math.max(w, reach), b = Math.max(h, reach);
    return opacity > 0 && x + a > 0 && x - a < this.box[0] && y + b > 0 && y - b < this.box[1];
  }

  // Only what can be seen, or could, is touched.
  #show() {
    const { itemWidth, itemHeight } = this.data;
    this.items.forEach(({ style }, i) => {
      const p = this.place(i, this.position), seen = this.#visible(p);
      if (seen !== this.#seen[i]) style.visibility = seen ? "inherit" : "hidden";
      this.#seen[i] = seen;
      if (!seen) return;
      const [x, y, scale, turn, opacity, front] = p;
      style.translate = x - itemWidth / 2 + "px " + (y - itemHeight / 2) + "px";
      style.scale = scale;
      style.rotate = turn + "deg";
      style.opacity = opacity;
      style.zIndex = Math.round(front * 1000);
    });
  }

  #come() {
    const { item } = this;
    if (item === this.#item) return;
    this.#item = item;
    this.tell("item", item);
    if (!this.loops && (this.position <= 0 || this.position >= this.last)) this.tell("end");
  }

  // Goes to a position, the shorter way round; beyond the ends there is nothing.
  go(to, ms = this.data.takes, easing = this.data.easing) {
    if (!this.n) return;
    if (!this.loops) to = Math.max(0, Math.min(this.last, to));
    const from = this.position;
    this.run(ms, easing, (p) => {
      this.position = from + (to - from) * p;
      this.#show();
    }, () => this.#come());
    this.#again();
  }

  // To an item, counted from 0.
  to(item) {
    const { position } = this, i = Math.max(0, Math.min(this.n - 1, item));
    this.go(this.loops ? Math.round(position) + this.away(i, Math.round(position)) : i);
  }

  leaf(by) {
    this.go(Math.round(this.aim ?? this.position) + by * (this.data.block === "strip" ? this.data.leafs : 1));
  }

  turn(ms, way) {
    const loops = this.loops;
    this.loops = true;
    this.go(Math.round(this.position) + (way === "backwards" ? -1 : 1) * this.n, ms, "linear");
    if (loops) return;
    // what doesn't loop stands where it stood
    this.loops = loops;
    const { n } = this, from = this.position;
    this.run(ms, "linear", (p) => {
      const t = from + (way === "backwards" ? -1 : 1) * n * p;
      this.position = p < 1 ? ((t % n) + n) % n : from;
      this.#show();
    });
  }

  play(on) {
    this.#on = on;
    this.#again();
  }

  // Leafs by itself while nobody looks closer at it.
  #again() {
    clearTimeout(this.#timer);
    if (!this.#on || quiet.matches || this.n < 2) return;
    this.#timer = setTimeout(() => {
      const { board, el } = this;
      if (!board.shown || board.piece.away || document.hidden || el.matches(":hover, :focus-within") || this.running) return this.#again();
      if (!this.loops && this.position >= this.last) return this.go(0);
      this.leaf(1);
    }, this.data.every);
  }

  turned(open) {
    if (open) this.#again();
    else clearTimeout(this.#timer);
  }

  reset() {
    this.stop();
    this.position = this.first;
    this.#item = this.item;
    this.#on = this.data.byItself === "yes";
    this.#show();
  }

  #hear() {
    const { el, data } = this;
    let from;
    pulled(this, (x) => {
      from = this.position;
      x.wants = ([dx, dy]) => (this.down ? Math.abs(dy) > Math.abs(dx) : Math.abs(dx) > Math.abs(dy));
      this.stop();
    }, (by) => {
      const p = from - by[this.down ? 1 : 0] / (this.step || 1);
      // beyond the ends it gives way a little
      this.position = this.loops ? p : p < 0 ? p / 3 : p > this.last ? this.last + (p - this.last) / 3 : p;
      this.#show();
    }, (quick) => {
      // however quick, two items on at most
      const on = Math.max(-2, Math.min(2, (-quick[this.down ? 1 : 0] * 180) / (this.step || 1)));
      const to = Math.round(this.position + on);
      this.go(to === Math.round(from) && Math.abs(on) > 0.15 ? to + Math.sign(on) : to);
    });
    // where it was only stopped it goes on to an item
    for (const type of ["pointerup", "pointercancel"]) el.addEventListener(type, () => this.running || this.pulled || this.position === Math.round(this.position) || this.go(Math.round(this.position)));
    if (data.byWheel === "yes") {
      let sum = 0, last = 0;
      el.addEventListener("wheel", (e) => {
        const by = Math.abs(e.deltaX) > Math.abs(e.deltaY) ? e.deltaX : e.deltaY;
        if (!by || e.ctrlKey || (!this.loops && (by < 0 ? this.position <= 0 : this.position >= this.last))) return;
        e.preventDefault();
        sum = e.timeStamp - last > 250 ? by : sum + by;
        last = e.timeStamp;
        if (Math.abs(sum) < 40 || this.running) return;
        this.leaf(Math.sign(sum));
        sum = 0;
      }, { passive: false });
    }
    el.addEventListener("keydown", (e) => {
      if (e.target !== el) return;
      const by = { ArrowRight: 1, ArrowDown: 1, PageDown: 1, ArrowLeft: -1, ArrowUp: -1, PageUp: -1 }[e.key];
      if (by) this.leaf(by);
      else if (e.key === "Home") this.to(0);
      else if (e.key === "End") this.to(this.n - 1);
      else if (e.key === "Enter" || e.key === " ") this.tell("tapped", this.item);
      else return;
      e.preventDefault();
    });
    this.items.forEach((x, i) => {
      x.addEventListener("click", () => this.tell("tapped", i));
      // who comes to something in an item by keyboard sees it
      x.addEventListener("focusin", () => this.item === i || this.to(i));
    });
  }
}
BLOCKS.strip = BLOCKS.stack = BLOCKS.turntable = Gallery;
//# block dots
BLOCKS.dots = class extends Block {
  begin() {
    const gallery = this.board.block(this.data.gallery), all = [...this.el.children];
    if (!gallery) return;
    all.forEach((x, i) => x.addEventListener("click", () => gallery.to(i)));
    gallery.on("item", (item) => all.forEach((x, i) => (i === item ? x.setAttribute("aria-current", "true") : x.removeAttribute("aria-current"))));
  }
};
//# block media
const HELD_BACK = "the browser keeps it silent until the visitor taps or types";

// A video or a sound: the part of its file from one time to another.
class Media extends Block {
  #pass;

  constructor(board, data) {
    super(board, data);
    const { el } = this;
    if (el.hasAttribute("src")) el.src = board.piece.file(el.getAttribute("src"));
    if (data.still) el.poster = board.piece.file(data.still);
    el.volume = data.volume / 100;
    this.passes = [];
    this.before = this.from = data.from / 1000;
    for (const [type, what] of [["play", "started"], ["pause", "paused"]])
      el.addEventListener(type, () => {
        if (what === "started") this.over = false;
        if (!(what === "paused" && (el.ended || this.over))) this.tell(what);
      });
    el.addEventListener("ended", () => this.#end());
    el.addEventListener("loadedmetadata", () => el.currentTime < this.from && (el.currentTime = this.from), { once: true });
    el.addEventListener("playing", () => this.#watch());
    el.addEventListener("seeking", () => (this.before = el.currentTime));
    if (data.cues?.length && el.addTextTrack) {
      const track = el.addTextTrack("captions", "Captions", document.documentElement.lang);
      for (const [a, b, text] of data.cues) track.addCue(new VTTCue(a, b, text));
      track.mode = "showing";
    }
  }

  get to() {
    return this.data.to > 0 ? this.data.to / 1000 : this.el.duration;
  }

  #end() {
    const { el } = this;
    if (this.over) return;
    this.over = true;
    if (this.data.loops === "yes") {
      el.currentTime = this.before = this.from;
      this.over = false;
      if (el.paused) el.play();
    } else {
      el.pause();
      this.tell("ended");
    }
  }

  // What it passes, and its end, as exactly as the page's own time allows.
  #watch() {
    clearTimeout(this.#pass);
    const { el } = this;
    if (el.paused) return;
    const now = el.currentTime;
    for (const { at, fire } of this.passes) if (at > this.before && at <= now) fire();
    this.before = now;
    if (this.data.to > 0 && now >= this.to - 0.004) return this.#end();
    const next = Math.min(...this.passes.map((p) => p.at - now).filter((d) => d > 0), this.to - now || 1, 0.25);
    this.#pass = setTimeout(() => this.#watch(), Math.max(4, (next * 1000) / (el.playbackRate || 1)));
  }

  onPass(at, fire) {
    this.passes.push({ at: at / 1000, fire });
  }

  play() {
    const { el } = this;
    if (el.currentTime < this.from || (this.data.to > 0 && el.currentTime >= this.to - 0.01)) el.currentTime = this.before = this.from;
    el.play().catch((e) => {
      if (e.name !== "NotAllowedError") return;
      tell(HELD_BACK);
      // the first tap unlocks it
      for (const type of ["pointerup", "keydown"]) addEventListener(type, () => this.board.shown && el.paused && !this.unlocked && ((this.unlocked = true), el.play().catch(() => 0)), { once: true });
    });
  }

  toggle() {
    this.el.paused ? this.play() : this.el.pause();
  }

  seek(ms) {
    this.el.currentTime = this.before = ms / 1000;
  }

  turned(open) {
    if (!open) this.el.pause();
    else if (this.data.starts === "yes" && !quiet.matches) this.play();
  }

  reset() {
    if (this.el.readyState) this.el.currentTime = this.before = this.from;
  }

  begin() {
    const main = this.board.timelines[0];
    if (this.data.time !== "the timeline's" || !main) return;
    const { el } = this, follow = () => {
      const want = Math.min(this.from + main.time / 1000, this.to || Infinity);
      if (Math.abs(el.currentTime - want) > 0.12 || !main.playing) el.currentTime = want;
      el.playbackRate = Math.min(16, Math.max(0.0625, main.pace));
      if (main.playing && main.pace > 0) el.play().catch(() => 0);
      else el.pause();
      clearTimeout(this.later);
      if (main.playing) this.later = setTimeout(follow, main.pace > 0 ? 1000 : 60);
    };
    (main.watched ??= []).push(follow);
    this.data = { ...this.data, starts: "no" };
  }
}
BLOCKS.video = BLOCKS.sound = Media;
//# block page
BLOCKS.page = class extends Block {
  constructor(board, data) {
    super(board, data);
    const { el } = this;
    for (const x of el.querySelectorAll("iframe")) if (x.hasAttribute("src")) x.src = board.piece.file(x.getAttribute("src"));
    this.part("y")?.addEventListener("click", () => {
      const { src, sandbox, title } = el.dataset, frame = document.createElement("iframe");
      Object.assign(frame, { title, referrerPolicy: "no-referrer" });
      frame.setAttribute("sandbox", sandbox);
      frame.src = board.piece.file(src);
      el.replaceChildren(frame);
      frame.focus();
    });
  }
};
//# block map
const RAD = Math.PI / 180;
const world = ([x, y]) => {
  const s = Math.sin(Math.max(-85.05112877980659, Math.min(85.05112877980659, y)) * RAD);
  return [(256 * (x + 180)) / 360, 256 * (0.5 - Math.log((1 + s) / (1 - s)) / (4 * Math.PI))];
};

BLOCKS.map = class extends Block {
  constructor(board, data) {
    super(board, data);
    this.pins = [...this.part("l").children].map((el) => ({ el, name: el.firstElementChild.getAttribute("aria-label"), at: world(el.dataset.at.split(" ").map(Number)) }));
    this.drawn = { middle: world([data.longitude, data.latitude]), zoom: data.zoom };
    for (const p of this.pins) p.el.firstElementChild.addEventListener("click", () => this.choose(p));
    this.reset();
    if (data.pans === "yes") this.#pan();
    if (data.zooms === "yes") {
      this.part("zi").addEventListener("click", () => this.zoomBy(1));
      this.part("zo").addEventListener("click", () => this.zoomBy(-1));
      this.el.addEventListener("wheel", (e) => {
        e.preventDefault();
        this.stop();
        this.#scale(this.zoom - Math.sign(e.deltaY) * Math.min(0.5, Math.abs(e.deltaY) / 300), this.at(e));
      }, { passive: false });
      this.#pinch();
    }
    this.el.addEventListener("keydown", (e) => {
      if (e.target !== this.el) return;
      const [x, y] = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] }[e.key] ?? [0, 0];
      if ((x || y) && data.pans === "yes") this.#shift(-60 * x, -60 * y);
      else if ((e.key === "+" || e.key === "-") && data.zooms === "yes") this.zoomBy(e.key === "+" ? 1 : -1);
      else return;
      e.preventDefault();
    });
    if (data.searches === "yes") this.#search();
    new ResizeObserver(() => this.#show()).observe(this.el);
  }

  reset() {
    this.stop();
    [this.middle, this.zoom] = [this.drawn.middle, this.drawn.zoom];
    this.#show();
  }

  again() {
    this.#show();
  }

  #show() {
    if (!this.el.clientWidth) return;
    const { drawn, middle, zoom } = this, w = this.el.clientWidth, h = this.el.clientHeight, k = 2 ** (zoom - drawn.zoom), px = 2 ** drawn.zoom;
    // drawn about its middle
    const off = [0, 1].map((i) => [w, h][i] / 2 - (middle[i] - drawn.middle[i]) * px * k);
    this.part("g").setAttribute("transform", "translate(" + off + ") scale(" + k + ")");
    for (const p of this.pins) p.el.style.translate = [0, 1].map((i) => (p.at[i] - middle[i]) * 2 ** zoom + [w, h][i] / 2 + "px").join(" ");
  }

  #shift(x, y) {
    this.middle = [this.middle[0] - x / 2 ** this.zoom, this.middle[1] - y / 2 ** this.zoom].map((v) => Math.max(0, Math.min(256, v)));
    this.#show();
  }

  // About a point that stays where it is.
  #scale(zoom, [x, y]) {
    const z = Math.max(0, Math.min(22, zoom)), dx = x - this.el.clientWidth / 2, dy = y - this.el.clientHeight / 2, k = 1 / 2 ** this.zoom - 1 / 2 ** z;
    this.middle = [this.middle[0] + dx * k, this.middle[1] + dy * k];
    this.zoom = z;
    this.#show();
  }

  zoomBy(by) {
    const from = this.zoom, to = Math.max(0, Math.min(22, Math.round(from + by)));
    this.run(250, "ease-out", (p) => this.#scale(from + (to - from) * p, [this.el.clientWidth / 2, this.el.clientHeight / 2]));
  }

  go(at) {
    const from = this.middle;
    this.run(600, "ease-in-out", (p) => {
      this.middle = from.map((v, i) => v + (at[i] - v) * p);
      this.#show();
    });
  }

  goTo(name) {
    const pin = this.pins.find((p) => p.name === name);
    if (pin) this.go(pin.at);
  }

  choose(pin) {
    this.tell("place", pin.name);
  }

  #pan() {
    let before;
    pulled(this, () => (before = [0, 0]), (by) => {
      this.stop();
      this.#shift(by[0] - before[0], by[1] - before[1]);
      before = by;
    }, () => 0);
  }

  #pinch() {
    const { el } = this, fingers = new Map();
    let apart;
    const between = ([a, b]) => Math.hypot(a[0] - b[0], a[1] - b[1]);
    el.addEventListener("pointerdown", (e) => {
      fingers.set(e.pointerId, this.at(e));
      apart = fingers.size === 2 ? between([...fingers.values()]) : 0;
    });
    el.addEventListener("pointermove", (e) => {
      if (!fingers.has(e.pointerId)) return;
      fingers.set(e.pointerId, this.at(e));
      if (fingers.size !== 2) return;
      const [a, b] = [...fingers.values()], now = between([a, b]);
      if (apart) this.#scale(this.zoom + Math.log2(now / apart), [(a[0] + b[0]) / 2, (a[1] + b[1]) / 2]);
      apart = now;
    });
    for (const type of ["pointerup", "pointercancel"]) el.addEventListener(type, (e) => fingers.delete(e.pointerId) && (apart = 0));
  }

  // Its own places, and those of a service where an address was given.
  #search() {
    const input = this.part("q"), list = this.part("r"), { service } = this.data;
    let found = [], asked = 0, at = -1;
    const show = () => {
      list.replaceChildren(...found.map((f, i) => {
        const li = document.createElement("li");
        li.setAttribute("role", "option");
        li.setAttribute("aria-selected", i === at);
        li.textContent = f.name;
        li.addEventListener("pointerdown", (e) => (e.preventDefault(), take(f)));
        return li;
      }));
      list.hidden = !found.length;
      input.setAttribute("aria-expanded", !list.hidden);
    };
    const take = (f) => {
      if (!f) return;
      input.value = f.name;
      found = [];
      show();
      this.go(f.at);
      if (f.el) this.choose(f);
    };
    const look = async () => {
      const q = input.value.trim().toLowerCase(), mine = ++asked;
      at = -1;
      found = q ? this.pins.filter((p) => p.name.toLowerCase().includes(q)).slice(0, 8) : [];
      show();
      if (!q || !service) return;
      try {
        const { features = [] } = await (await fetch(service + (service.includes("?") ? "&" : "?") + "q=" + encodeURIComponent(q))).json();
        if (mine !== asked) return;
        found = [...found, ...features.filter((f) => f.geometry?.type === "Point").map((f) => ({ name: String(f.properties?.name ?? "?"), at: world(f.geometry.coordinates) }))].slice(0, 8);
        show();
      } catch {
        tell("the place service does not answer");
      }
    };
    input.addEventListener("input", look);
    input.addEventListener("keydown", (e) => {
      if (e.key === "ArrowDown" || e.key === "ArrowUp") {
        at = Math.max(-1, Math.min(found.length - 1, at + (e.key === "ArrowDown" ? 1 : -1)));
        show();
        e.preventDefault();
      } else if (e.key === "Enter") take(found[Math.max(0, at)]);
      else if (e.key === "Escape") {
        found = [];
        show();
      }
    });
    input.addEventListener("blur", () => {
      found = [];
      show();
    });
  }
};
//# block fields
// What the visitor fills in.
class Field extends Block {
  constructor(board, data) {
    super(board, data);
    const { piece } = board, { value } = data;
    this.inputs = [...this.el.querySelectorAll("input, select, textarea")];
    for (const x of this.inputs) {
      if (x.type === "radio") x.name = data.of + "-" + (board.radios ??= Math.random().toString(36).slice(2));
      x.addEventListener("input", () => {
        this.#draw();
        this.#wrong("");
        if (value) piece.put(value, this.value);
      });
      x.addEventListener("change", () => {
        this.tell("changed");
        this.valid();
      });
    }
    if (this.inputs[0].type === "range") new ResizeObserver(() => this.#draw()).observe(this.inputs[0]);
    if (value) {
      piece.watch(value, (now) => this.put(now));
      if (!piece.atFirst(value)) this.put(piece.value(value));
      else if (this.value !== "" && this.value !== false) piece.put(value, this.value);
    }
    this.#draw();
  }

  get value() {
    const [x] = this.inputs;
    return x.type === "checkbox" ? x.checked : x.type === "radio" ? (this.inputs.find((y) => y.checked)?.value ?? "") : x.value;
  }

  put(now) {
    const [x] = this.inputs;
    if (now === this.value || String(now) === String(this.value)) return;
    if (x.type === "checkbox") x.checked = now === true || /^(yes|true|on|1)$/i.test(now);
    else if (x.type === "radio") for (const y of this.inputs) y.checked = y.value === String(now);
    else x.value = now;
    this.#draw();
  }

  // The part of a slider that is filled.
  #draw() {
    const [x] = this.inputs;
    if (x.type !== "range") return;
    const share = (x.value - x.min) / (x.max - x.min || 1), k = 9, to = k + Math.max(0, Math.min(1, share)) * (x.offsetWidth - 2 * k);
    this.part("a").style.width = to + "px";
    this.part("h").style.left = to - k + "px";
  }

  #wrong(text) {
    const e = this.part("e");
    e.hidden = !text;
    e.textContent = text;
    for (const x of this.inputs) text ? x.setAttribute("aria-invalid", "true") : x.removeAttribute("aria-invalid");
  }

  // Says what is wrong where something is.
  valid() {
    const [x] = this.inputs, good = x.checkValidity();
    this.#wrong(good ? "" : this.data.error || x.validationMessage);
    return good;
  }
}
BLOCKS.field = BLOCKS.tick = BLOCKS.choice = BLOCKS.slider = Field;
//# block progress
BLOCKS.progress = class extends Block {
  begin() {
    const { board, data } = this, bar = this.part("a"), timeline = board.timeline(data.timeline);
    const says = (share) => this.el.setAttribute("aria-valuenow", Math.round(100 * share));
    if (!timeline) {
      if (!data.value) return;
      const show = (now) => {
        const share = Math.max(0, Math.min(1, (now - data.least) / (data.most - data.least || 1)));
        bar.style.scale = share + " 1";
        says(share);
      };
      board.piece.watch(data.value, show);
      show(+board.piece.value(data.value) || 0);
      return;
    }
    let animation, timer;
    const follow = () => {
      animation?.cancel();
      clearInterval(timer);
      const { duration, loops } = timeline;
      animation = bar.animate({ scale: ["0 1", "1 1"] }, { duration, fill: "both", iterations: loops && !quiet.matches ? Infinity : 1 });
      if (timeline.playing) {
        animation.playbackRate = timeline.pace;
        animation.startTime = timeline.start;
        timer = setInterval(() => says(timeline.time / duration), 1000);
      } else {
        animation.pause();
        animation.currentTime = timeline.time;
      }
      says(timeline.time / duration);
    };
    (timeline.watched ??= []).push(follow);
  }
};
//# block countdown
BLOCKS.countdown = class extends Block {
  #timer;

  turned(open) {
    clearTimeout(this.#timer);
    if (open) this.#tick();
  }

  #tick() {
    const left = new Date(this.data.until) - Date.now(), s = Math.max(0, Math.ceil(left / 1000)), two = (x) => String(Math.floor(x)).padStart(2, "0");
    const days = Math.floor(s / 86400), text = left > 0 ? (days ? days + " d " : "") + two((s / 3600) % 24) + ":" + two((s / 60) % 60) + ":" + two(s % 60) : this.data.overWords;
    this.part("t").textContent = text;
    if (left > 0) {
      this.seen = true;
      this.#timer = setTimeout(() => this.#tick(), (left % 1000) + 1);
    } else if (this.seen) {
      this.seen = false;
      this.tell("over");
    }
  }
};
//# core
