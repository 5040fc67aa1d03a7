//# motifs
// What the time of a motif's instance goes by: how far its driver has come, in ms, becomes a time of the motif, whose length is given.
class Clock {
  constructor({ repeat = "loop", phase = 0, speed = 1 }, duration) {
    const over = repeat === "once" && (speed < 0 ? phase <= 0 : phase >= duration);
    // after how long it begins anew, where it does
    Object.assign(this, { repeat, phase, speed, duration, period: repeat === "loop" && duration / speed, still: repeat === "hold" || !speed || over });
  }

  local(elapsed) {
    const { duration: d, phase, repeat } = this;
    const t = repeat === "hold" ? phase : phase + elapsed * this.speed;
    return repeat === "loop" ? ((t % d) + d) % d : Math.max(0, Math.min(d, t));
  }

  // How an animation as long as the motif goes by the driver's own time.
  get timing() {
    const { duration, phase, repeat } = this, pace = Math.abs(this.speed), back = this.speed < 0;
    const share = Math.max(0, Math.min(1, phase / duration));
    const timing = { duration: duration / pace, fill: "both", direction: back ? "reverse" : "normal", iterations: Infinity };
    if (repeat === "loop") return { ...timing, iterationStart: (((back ? 1 - phase / duration : phase / duration) % 1) + 1) % 1 };
    return { ...timing, iterationStart: back ? 1 - share : share, iterations: back ? share : 1 - share, delay: phase < 0 && !back ? -phase / pace : 0 };
  }

  // When, in ms from now, the local time passes one of some shares of the motif.
  next(p, shares) {
    const pace = this.duration / Math.abs(this.speed), loops = this.period;
    if (this.speed > 0) return Math.min(...shares.filter((at) => at > p + 1e-7).map((at) => at - p), loops ? 1 - p : Infinity) * pace;
    return Math.min(...shares.filter((at) => at < p + 1e-7 && at > 0).map((at) => Math.max(0, p - at)), loops ? p : Infinity) * pace + 0.5;
  }
}
