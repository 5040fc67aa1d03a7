//# mixes
// A value that is made of several, which may be keyed on different timelines.
const MIXES = {
  // places that were split into halves
  place: ([px, py, x, y]) => ({ translate: n(x ?? px) + "px " + n(y ?? py) + "px" }),
  // a rotation, whether it faces its way, the way's direction and the front
  turn: ([r, faces, ahead, front]) => ({ rotate: n(faces && ahead != null ? r + ahead - front : r) + "deg" }),
  // a corner never exceeds half of a side
  corner: ([r, w, h]) => {
    const q = n(Math.max(0, Math.min(r, w / 2, h / 2))) + "px";
    return { rx: q, ry: q };
  },
  // the dashes between two shares of a line as one long pattern, which starts where the first of them does
  dashes: ([dash, gap, offset, from, to, length, measured], el) => {
    // where size and corners move on different timelines only the browser knows how long it is now
    if (measured) length = el.getTotalLength();
    from = Math.max(0, Math.min(1, from));
    to = Math.max(0, Math.min(1, to));
    const a = from * length, b = to * length, period = dash + gap;
    const line = (pattern, at) => ({ strokeDasharray: pattern.map((x) => n(x) + "px").join(" "), strokeDashoffset: n(at) + "px" });
    if (from <= 0 && to >= 1) return dash > 0 && gap > 0 ? line([dash, gap], offset) : { strokeDasharray: "none", strokeDashoffset: "0px" };
    const hidden = () => line([0, 3 * length + 3], -2 * length - 2);
    if (from >= to || !(length > 0)) return hidden();
    if (dash <= 0 || gap <= 0 || (b - a) / period > 2000) return line([b - a, length + 1], -a);
    const out = [], phase = offset % period;
    let first = a, at = a;
    for (let s = Math.floor((a + phase) / period) * period - phase; s < b; s += period) {
      const x = Math.max(a, s), y = Math.min(b, s + dash);
      if (y > x) {
        if (out.length) out.push(x - at);
        else first = x;
        out.push(y - x);
        at = y;
      }
    }
    return out.length ? line([...out, length + 1], -first) : hidden();
  },
  // a gradient's map in a box of one by one, and the box
  map: ([m, w, h]) => ({ gradientTransform: "matrix(" + m.match(NUMBER).map((x, i) => n(x * (i % 2 ? h : w))).join(" ") + ")" }),
  // a form and the factors by which it is stretched
  form: ([d, kx, ky]) => {
    let i = 0;
    return { d: d.replace(NUMBER, (x) => n(x * (i++ % 2 ? ky : kx))) };
  },
  // a colour matrix of factors and of what is added
  channels: ([slope, offset]) => {
    const [r, g, b, a] = slope.split(" "), [p, q, s, t] = offset.split(" ");
    return { values: [r, 0, 0, 0, p, 0, g, 0, 0, q, 0, 0, b, 0, s, 0, 0, 0, a, t].join(" ") };
  },
  // one that goes towards a colour
  tint: ([color, amount]) => {
    const k = n(1 - amount), [r, g, b] = color.split(" ").map((x) => n(x * amount));
    return { values: [k, 0, 0, 0, r, 0, k, 0, 0, g, 0, 0, k, 0, b, 0, 0, 0, 1, 0].join(" ") };
  },
  // a share of a way in a direction
  way: ([direction, length], el, share) => ({ dx: n(Math.cos((direction * Math.PI) / 180) * length * share), dy: n(Math.sin((direction * Math.PI) / 180) * length * share) }),
  // how a text is set: its lines are placed as their measures say
  text: ([size, weight, lead, wrap, align, spacing], el, { faces, ways, gradients }, { box, lines, mixed }, set) => {
    const [family, ascent, descent] = faces[weight];
    const apart = spacing || set[5];
    // browsers have fonts in steps of a hundredth, and measure them in steps of a 64th
    const measured = Math.floor(Math.floor(size * 100 + 1e-6) * 0.64) / 64;
    const rows = (wrap > 0 ? ways.find(([from]) => wrap >= from) : ways.at(-1))[1];
    const widths = rows.map(([text, w]) => (text ? w[weight][apart ? 1 : 0] * measured + spacing * ([...text].length - 1) : 0));
    const wide = Math.max(wrap, ...widths), high = size * lead;
    lines.forEach((line, i) => {
      const text = rows[i]?.[0] ?? "";
      if (line.textContent !== text && !line.querySelector("[data-value]")) line.textContent = text;
      if (!text) return;
      line.setAttribute("x", n(((wide - widths[i]) * align) / 2));
      line.setAttribute("y", n(i * high + (high - (ascent + descent) * size) / 2 + ascent * size));
    });
    box.style.width = n(wide) + "px";
    box.style.height = n(high * rows.length) + "px";
    for (const g of gradients) {
      const map = mixed(g, "map");
      map.set(1, wide);
      map.set(2, high * rows.length);
      map.show();
    }
    const features = apart ? '"liga" 0,"clig" 0,"calt" 0,"dlig" 0,"hlig" 0' : "normal";
    return { fontSize: n(size) + "px", fontWeight: weight, fontFamily: "'" + family + "'", letterSpacing: n(spacing) + "px", fontFeatureSettings: features };
  },
};

const ATTRIBUTES = { d: 1, gradientTransform: 1, values: 1, dx: 1, dy: 1 };

class Mixed {
  #parts;
  #dirty = false;

  constructor(board, of, mix, { rest, data }, mixed) {
    const el = board.part(of), parts = { box: data?.box && board.part(data.box), lines: [...el.children], mixed };
    Object.assign(this, { el, mix: (now, set) => MIXES[mix](now, el, data, parts, set), base: Object.fromEntries(Object.keys(ATTRIBUTES).map((a) => [a, el.getAttribute(a)])) });
    this.#parts = rest.map((value) => ({ rest: value, now: value, set: false }));
  }

  now(part) {
    return this.#parts[part].now;
  }

  // Undefined for what no timeline has a say in any more.
  set(part, value) {
    const p = this.#parts[part];
    p.set = value !== undefined;
    p.now = p.set ? value : p.rest;
    this.#dirty = true;
  }

  show() {
    if (!this.#dirty) return;
    this.#dirty = false;
    const any = this.#parts.some((p) => p.set);
    for (const [property, value] of Object.entries(this.mix(this.#parts.map((p) => p.now), this.#parts.map((p) => p.set)))) {
      if (property in ATTRIBUTES) {
        if (property !== "gradientTransform" || !flat(value)) this.el.setAttribute(property, any ? value : this.base[property]);
      } else this.el.style[property] = any ? value : "";
    }
  }
}

class Part extends Slot {
  get now() {
    return String(this.el.now(this.property));
  }

  show() {
    const { top, property: part } = this;
    const text = top?.curve.at(top.timeline.progress);
    this.el.set(part, text === undefined ? undefined : /^[-\d.e]+$/.test(text) ? +text : text);
    this.el.show();
  }
}
