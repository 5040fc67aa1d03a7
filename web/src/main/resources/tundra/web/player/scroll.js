//# scroll
// Moves timelines and elements by how far the page is scrolled while a scene stands in the window. Nothing is done while nothing scrolls.
class Scrolling {
  #scene;
  #data;
  #step;
  #at = new Map();
  // Whether the browser moves what follows at a share.
  #moved;

  constructor(scene, data) {
    this.#scene = scene;
    this.#data = data;
    this.frame = scene.el.closest("[class$=-scroll]") ?? scene.el;
    this.#native();
    for (const type of ["scroll", "resize"]) addEventListener(type, () => !scene.el.hidden && this.soon(), { passive: true });
  }

  // What goes exactly by the scene's own way is left to the browser where it has scroll timelines; it moves that without this thread.
  #native() {
    const { board } = this.#scene, { timelines, parallax, length } = this.#data;
    if (!length || typeof ViewTimeline !== "function") return;
    const timeline = new ViewTimeline({ subject: this.frame }), at = (share) => ({ rangeName: "exit-crossing", offset: CSS.px(share * length) });
    const range = (from, to) => ({ timeline, fill: "both", rangeStart: at(from), rangeEnd: at(to) });
    for (const t of timelines) if (!t.through && (!t.smooth || quiet.matches)) board.timeline(t.timeline).scrolled = range(t.from, t.to);
    // where layouts go along at shares of their own, that is looked at as it is scrolled
    this.#moved = !this.#scene.parallaxes;
    for (const [name, share] of this.#moved ? parallax : []) board.part(name)?.animate({ translate: ["0px 0px", "0px " + n(-length * share) + "px"] }, range(0, 1));
  }

  soon() {
    this.#step ??= requestAnimationFrame(() => this.#show());
  }

  // Where a timeline should stand, as a share of it.
  #wanted({ from, to, through }) {
    let p;
    if (through) {
      const r = seenBox(this.#scene.board.part(through));
      p = (innerHeight - r.top) / (innerHeight + r.height);
    } else p = -this.frame.getBoundingClientRect().top / this.#data.length;
    return Math.max(0, Math.min(1, (p - from) / (to - from)));
  }

  #show() {
    this.#step = undefined;
    const { board } = this.#scene, { timelines, length } = this.#data, parallax = this.#scene.parallax ?? this.#data.parallax;
    const top = -this.frame.getBoundingClientRect().top, by = length ? Math.max(0, Math.min(length, top)) : top;
    for (const [name, share] of this.#moved ? [] : parallax) {
      // what a layout doesn't have isn't there
      const x = board.part(name);
      if (x) x.style.translate = "0px " + n(-by * share) + "px";
    }
    let more = false;
    for (const t of timelines) {
      const timeline = board.timeline(t.timeline), wanted = this.#wanted(t), was = this.#at.get(t) ?? wanted;
      let p = t.smooth && !quiet.matches ? was + (wanted - was) * 0.18 : wanted;
      if (Math.abs(p - wanted) < 0.0005) p = wanted;
      more ||= p !== wanted;
      if (p === was && this.#at.has(t)) continue;
      this.#at.set(t, p);
      timeline.goTo(p * timeline.duration);
    }
    if (more) this.soon();
  }

  open() {
    this.#at.clear();
    this.#show();
  }
}

//# box
// The box around what is painted of an element, in the window.
const seenBox = (el) => {
  const all = [...el.querySelectorAll(".t-p > *, img")].map((x) => x.getBoundingClientRect()).filter((r) => r.width || r.height);
  const left = Math.min(...all.map((r) => r.left)), top = Math.min(...all.map((r) => r.top));
  return all.length ? new DOMRect(left, top, Math.max(...all.map((r) => r.right)) - left, Math.max(...all.map((r) => r.bottom)) - top) : el.getBoundingClientRect();
};
