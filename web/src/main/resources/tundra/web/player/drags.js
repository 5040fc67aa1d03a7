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
  #called;
  #in;

  constructor(board, data, name, places) {
    Object.assign(this, { board, data, name, places, el: board.part(name + "-h"), shape: board.part(name) });
    const { el } = this;
    for (const x of [el, ...el.querySelectorAll("*")]) x.style.touchAction = "none";
    el.style.cursor = "grab";
    el.addEventListener("pointerdown", (e) => e.button === 0 && this.#grab(e));
    el.addEventListener("pointermove", (e) => this.#from?.id === e.pointerId && this.#move(e.clientX, e.clientY));
    el.addEventListener("pointerup", (e) => this.#from?.id === e.pointerId && this.#release());
    el.addEventListener("pointercancel", (e) => this.#from?.id === e.pointerId && this.#cancel());
    Object.assign(this.shape, { tabIndex: 0 });
    this.shape.setAttribute("role", "button");
    this.#called = this.shape.getAttribute("aria-label") ?? data.names[name];
    this.#name();
    this.shape.addEventListener("keydown", (e) => this.#key(e));
  }

  get label() {
    return this.#called;
  }

  // What it is called, with the place that it is in.
  #name() {
    const { names } = this.data;
    if (this.#in === this.place) return;
    this.#in = this.place;
    this.shape.setAttribute("aria-label", this.#called + (this.place ? ", " + names[this.place] : ""));
  }

  // Where it is seen.
  get box() {
    return seenBox(this.shape);
  }

  show(ms = 0, easing = this.data.easing) {
    const { style } = this.el;
    style.transition = ms && !quiet.matches ? ["translate", "rotate", "opacity"].map((p) => p + " " + ms + "ms " + easing).join() : "none";
    style.translate = this.x + "px " + this.y + "px";
    style.rotate = this.turn + (this.#from ? this.data.tilt : 0) + "deg";
    style.opacity = this.#from ? this.data.opacity : 1;
    style.zIndex = this.#from ? 9999 : "";
    this.#name();
    style.cursor = this.#from ? this.data.cursor : "grab";
  }

  home(ms) {
    [this.x, this.y, this.turn, this.place] = [0, 0, 0, null];
//# paths
    if (this.#path && this.board.active.includes(this.board.timeline(this.#path.timeline))) this.#along(this.#path.points[0][0]);
//# drags
    this.show(ms);
  }

//# paths
  // The motion path that it goes along, and the timeline that this plays.
  get #path() {
    return this.data.way === "path" ? this.data.paths?.[this.name] : undefined;
  }

  #along(ms) {
    const t = this.board.timeline(this.#path.timeline);
    t.pause();
    t.goTo(ms);
  }

  // When it is nearest to a point, as far along as the hand can have come since it was there last; closed paths go on at their start.
  #nearest(x, y) {
    const { points } = this.#path, f = this.#from, last = points.length - 1, closed = Math.hypot(points[0][1] - points[last][1], points[0][2] - points[last][2]) < 1;
    const reach = Math.hypot(x - f.px, y - f.py) * 2 + 40;
    let best = [Infinity];
    const look = (by) => {
      for (let i = f.at, far = 0, n = 0; n < last && far < reach; n++) {
        let j = by > 0 ? i : i - 1;
        if (closed) j = (j + last) % last;
        if (j < 0 || j >= last) return;
        const [t, ax, ay] = points[j], [u, bx, by2] = points[j + 1], dx = bx - ax, dy = by2 - ay, long = dx * dx + dy * dy;
        const p = long ? Math.max(0, Math.min(1, ((x - ax) * dx + (y - ay) * dy) / long)) : 0, away = Math.hypot(ax + dx * p - x, ay + dy * p - y);
        if (away < best[0] - 1e-9) best = [away, t + (u - t) * p, j + (p > 0.5 ? 1 : 0)];
        far += Math.sqrt(long);
        i = by > 0 ? j + 1 : j;
      }
    };
    look(1);
    look(-1);
    [f.px, f.py] = [x, y];
    if (best.length > 1) f.at = closed ? best[2] % last : best[2];
    return best[1];
  }
//# drags

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
    if (this.#from) {
      // a second finger changes nothing; what glides is caught
      if (this.#from.id !== "gliding") return;
      this.#put();
    }
    this.el.setPointerCapture(e.pointerId);
    this.#lift(e.clientX, e.clientY, e.pointerId);
    // by hand it needs no ring
    this.shape.classList.add("t-hand");
    this.shape.addEventListener("keydown", () => this.shape.classList.remove("t-hand"), { once: true });
    this.shape.focus({ preventScroll: true, focusVisible: false });
  }

  #lift(cx, cy, id) {
    const { own, map, origin } = this.#measure(), box = seenBox(this.shape);
    const o = this.el.getBoundingClientRect();
    const middle = map.transformPoint(new DOMPoint(box.x + box.width / 2 - o.x, box.y + box.height / 2 - o.y));
    // it tilts around its middle, and turns around its pivot
    this.el.style.transformOrigin = this.data.way === "turn" ? this.data.pivots[this.name] : middle.x + "px " + middle.y + "px";
    const [px, py] = this.data.pivots[this.name].split(" ").map(parseFloat), p = own.transformPoint(new DOMPoint(px + this.x, py + this.y));
    this.#from = { cx, cy, id, trail: [], x: this.x, y: this.y, turn: this.turn, place: this.place, map, pivot: [origin.x + p.x, origin.y + p.y] };
//# paths
    if (this.#path) {
      const { points, timeline } = this.#path, now = this.board.timeline(timeline).time, i = points.findLastIndex(([t]) => t <= now + 1e-6);
      const [t, ax, ay] = points[Math.max(0, i)], [u, bx, by] = points[Math.min(points.length - 1, i + 1)], k = u > t ? Math.max(0, now - t) / (u - t) : 0;
      Object.assign(this.#from, { at: Math.max(0, i), px: ax + (bx - ax) * k, py: ay + (by - ay) * k });
      [this.#from.ax, this.#from.ay, this.#from.began] = [this.#from.px, this.#from.py, now];
    }
//# drags
    this.#wear(true);
    this.show();
    this.board.dragged(this, "started");
  }

  // How it looks while it is carried, and as it was after that.
  #wear(on) {
    const look = this.data.looks?.[this.name];
    if (look) on ? this.board.set(look) : this.board.unset(look);
  }

  #move(cx, cy) {
    const f = this.#from, { way, area } = this.data;
    const by = f.map.transformPoint(new DOMPoint(cx - f.cx, cy - f.cy));
    this.#from.last = [cx, cy];
    // a tap on what has landed leaves it there
    if (!f.moved && Math.hypot(cx - f.cx, cy - f.cy) > 3) {
      f.moved = true;
      if (this.place) this.board.dragged(this, "taken");
    }
    f.trail.push([performance.now(), cx, cy]);
//# paths
    if (this.#path) {
      const ms = this.#nearest(f.ax + by.x, f.ay + by.y);
      if (ms !== undefined) this.#along(ms);
    } else
//# drags
    if (way === "turn") {
      const [px, py] = f.pivot, angle = (x, y) => Math.atan2(y - py, x - px);
      this.turn = f.turn + ((angle(cx, cy) - angle(f.cx, f.cy)) * 180) / Math.PI;
    } else if (way !== "path") {
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

  // How far its middle is from that of the place it has landed on, in px of the window; nothing where either isn't seen.
  get away() {
    const place = this.place && this.board.part(this.place), [b, r] = [this.shape, place].map((x) => x && seenBox(x));
    return r?.width && b.width ? [b.x + b.width / 2 - r.x - r.width / 2, b.y + b.height / 2 - r.y - r.height / 2] : undefined;
  }

  // Is as far from its place again, after the layout or the width of the scene has changed.
  keepTo(was) {
    const now = this.away;
    if (!now || this.#from) return;
    const by = this.#measure().map.transformPoint(new DOMPoint(was[0] - now[0], was[1] - now[1]));
    this.x += by.x;
    this.y += by.y;
    this.show();
  }

  // Goes on as fast as it was moved, slower and slower, where it glides.
  #release() {
    const f = this.#from, now = performance.now(), trail = f.trail.filter(([t]) => now - t < 90), [a, b] = [trail[0], trail.at(-1)];
    const [vx, vy] = b && b[0] > a[0] && now - b[0] < 60 ? [(b[1] - a[1]) / (b[0] - a[0]), (b[2] - a[2]) / (b[0] - a[0])] : [0, 0];
    if (this.data.glides && !quiet.matches && Math.hypot(vx, vy) > 0.1) return this.#glide(f, vx, vy, now);
    this.#drop();
  }

  #glide(f, vx, vy, now) {
    f.id = "gliding";
    let [cx, cy] = f.last, before = now;
    const step = () => {
      if (this.#from !== f) return;
      const at = performance.now(), dt = at - before;
      before = at;
      cx += vx * dt;
      cy += vy * dt;
      const slower = Math.exp(-dt / 300);
      [vx, vy] = [vx * slower, vy * slower];
      this.#move(cx, cy);
      if (Math.hypot(vx, vy) < 0.02) this.#drop();
      else requestAnimationFrame(step);
    };
    requestAnimationFrame(step);
  }

  #drop() {
    // what was carried somewhere was not tapped
    const [x, y] = this.#from.last ?? [this.#from.cx, this.#from.cy], { scene } = this.board;
    if ((scene.carried = Math.hypot(x - this.#from.cx, y - this.#from.cy) > 6)) setTimeout(() => (scene.carried = false));
    const place = this.places.length ? this.#over() : undefined;
    this.#end(place);
  }

  #end(place) {
    this.#wear(false);
    this.board.dragged(this, "ended");
    const f = this.#from;
    if (f.place && !f.moved && (!place || place === f.place)) {
      Object.assign(this, { x: f.x, y: f.y, turn: f.turn, place: f.place });
      this.#put();
    } else if (place) this.#land(place);
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
    this.#wear(false);
//# paths
    if (this.#path) this.#along(this.#from.began);
//# drags
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
      this.#end(this.places[this.#to]);
    } else if (e.key === "Escape") {
      this.#cancel();
      tell("put back");
    } else if (way && !this.places.length) {
      const b = this.#from.map.transformPoint(new DOMPoint(way[0] * 10, way[1] * 10)), { way: how, area } = this.data;
//# paths
      const path = this.#path?.points;
      if (path) this.#along(this.board.timeline(this.#path.timeline).time + ((way[0] || -way[1]) * (path.at(-1)[0] - path[0][0])) / 20);
//# drags
      if (how === "turn") this.turn += 10 * (way[0] || way[1]);
      else if (how !== "path") {
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
