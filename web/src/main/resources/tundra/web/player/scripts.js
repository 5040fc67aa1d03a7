//# scripts
// What scripts can ask of the page.
class PageApi {
  #piece;
  #board;

  constructor(piece, board) {
    this.#piece = piece;
    this.#board = board;
  }

  get scene() {
    return this.#piece.shown.name;
  }

  find(name) {
    const board = this.#board, part = board.names[name];
    if (!part) throw new Error("nothing is called " + name);
    const el = board.part(part), box = () => outer(board, part);
    return {
      show: () => (box().hidden = false),
      hide: () => (box().hidden = true),
      get shown() {
        return el.checkVisibility({ opacityProperty: true, visibilityProperty: true });
      },
      get text() {
        return [...el.querySelectorAll("text > tspan")].map((x) => x.textContent).join(" ").trim();
      },
      set text(words) {
        const [line, ...rest] = el.querySelectorAll("text > tspan");
        if (line) line.textContent = words;
        for (const x of rest) x.textContent = "";
        (board.worded ??= new Map()).set(part, words);
      },
      set({ opacity, x, y, rotation, scale, fill }, ms = 0) {
        const { style } = el;
        (board.scripted ??= new Set()).add(el);
        style.transition = ms && !quiet.matches ? "all " + ms + "ms ease" : "none";
        if (opacity !== undefined) style.opacity = opacity;
        if (x !== undefined || y !== undefined) style.transform = "translate(" + (x ?? 0) + "px," + (y ?? 0) + "px)";
        if (rotation !== undefined) style.rotate = rotation + "deg";
        if (scale !== undefined) style.scale = scale;
        const shape = board.part(part + "-s");
        if (fill !== undefined && shape) [shape.style.transition, shape.style.fill] = [style.transition, fill];
      },
      on: (event, run) => el.addEventListener(event, run),
    };
  }

  timeline(name) {
    const t = this.#board.timelines.find((x) => x.name === name);
    if (!t) throw new Error("nothing is called " + name);
    const at = (x) => {
      const marked = typeof x === "string" ? t.markers?.[x] : x;
      if (marked === undefined) throw new Error("nothing is called " + x);
      return marked;
    };
    return {
      play: () => t.play(),
      pause: () => t.pause(),
      playFrom: (x) => t.playFrom(at(x)),
      playTo: (x) => t.playTo(at(x)),
      playBack: () => t.playBack(),
      goTo: (x) => t.goTo(at(x)),
      setSpeed: (percent) => t.setSpeed(percent),
      get time() {
        return t.time;
      },
      get playing() {
        return t.playing;
      },
    };
  }

  value(name) {
    return this.#piece.valueNamed(name).now;
  }

  set(name, to) {
    this.#piece.put(this.#piece.valueNamed(name).id, to);
  }

  open(scene) {
    this.#piece.show(scene);
  }

  say(text) {
    this.#piece.say(text);
  }

  wait(ms) {
    return new Promise((done) => setTimeout(done, ms));
  }
}
