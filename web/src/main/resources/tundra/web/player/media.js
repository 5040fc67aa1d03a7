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
