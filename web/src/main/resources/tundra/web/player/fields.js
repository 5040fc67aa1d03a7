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
