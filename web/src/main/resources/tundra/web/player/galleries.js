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
