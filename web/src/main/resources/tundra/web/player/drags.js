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
    if (this.place) this.board.dragged(this, "taken");
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
    // what was carried somewhere was not tapped
    const [x, y] = this.#from.last ?? [this.#from.cx, this.#from.cy], { scene } = this.board;
    if ((scene.carried = Math.hypot(x - this.#from.cx, y - this.#from.cy) > 6)) setTimeout(() => (scene.carried = false));
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
