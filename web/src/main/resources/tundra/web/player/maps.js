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
