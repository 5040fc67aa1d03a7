//# blocks
// How far something is along an easing, 0 to 1.
const eased = (easing) => {
  const effect = new KeyframeEffect(null, null, { duration: 1, fill: "both", easing });
  const clock = new Animation(effect, null);
  return (p) => ((clock.currentTime = p), effect.getComputedTiming().progress);
};

// A ready-made part of a board, with what its kind says of it.
class Block {
  #told = [];

  constructor(board, data) {
    Object.assign(this, { board, data, el: board.part(data.of + "-k") });
  }

  part(name) {
    return this.board.part(this.data.of + "-" + name);
  }

  // Once all blocks of the board are there.
  begin() {}

  // Its scene is opened or closed.
  turned() {}

  // It is in another layout, or of another size.
  again() {}

  // As it is at first.
  reset() {}

  // Calls back when something happens to it.
  on(what, f) {
    this.#told.push({ what, f });
  }

  tell(what, ...more) {
    for (const t of this.#told) if (t.what === what) t.f(...more);
  }

  // Where a pointer is in the block's own px, however large it is seen.
  at({ clientX, clientY }) {
    const { left, top, width, height } = this.el.getBoundingClientRect();
    return [((clientX - left) * this.el.clientWidth) / (width || 1), ((clientY - top) * this.el.clientHeight) / (height || 1)];
  }

  // Goes from 0 to 1 in so many ms, and can be stopped.
  run(ms, easing, step, done) {
    this.stop();
    const begun = performance.now(), ease = eased(easing);
    const next = (now) => {
      const p = ms > 0 ? Math.min(1, (now - begun) / ms) : 1;
      step(p < 1 ? ease(Math.max(0, p)) : 1);
      if (p < 1) this.running = requestAnimationFrame(next);
      else {
        this.running = undefined;
        done?.();
      }
    };
    if (ms > 0 && !quiet.matches) this.running = requestAnimationFrame(next);
    else {
      step(1);
      done?.();
    }
  }

  stop() {
    cancelAnimationFrame(this.running);
    this.running = undefined;
  }
}

// Tells what a finger or a mouse pulls: how far since it was put down, and how quick it is when it is let go, in px and px a ms.
const pulled = (block, down, moved, up) => {
  const { el } = block, fingers = new Map();
  let from, quick;
  el.addEventListener("pointerdown", (e) => {
    if (e.button || e.target.closest("input, textarea, select")) return;
    fingers.set(e.pointerId, e);
    if (fingers.size > 1) return void (from = null);
    [from, quick] = [{ at: block.at(e), t: e.timeStamp, last: block.at(e) }, [0, 0]];
    down?.(from);
  });
  el.addEventListener("pointermove", (e) => {
    if (!fingers.has(e.pointerId) || !from) return;
    const at = block.at(e), by = [at[0] - from.at[0], at[1] - from.at[1]];
    if (!from.pulls) {
      if (Math.hypot(...by) < 6) return;
      if (from.wants && !from.wants(by)) return void (from = null);
      from.pulls = true;
      el.setPointerCapture(e.pointerId);
      // what follows is no tap
      block.board.scene.spent = true;
      block.pulled = true;
    }
    const t = Math.max(1, e.timeStamp - from.t);
    quick = quick.map((v, i) => 0.6 * v + (0.4 * (at[i] - from.last[i])) / t);
    Object.assign(from, { last: at, t: e.timeStamp });
    moved(by, from);
  });
  const end = (e) => {
    fingers.delete(e.pointerId);
    if (from?.pulls) up(e.timeStamp - from.t > 80 ? [0, 0] : quick, from);
    from = null;
  };
  el.addEventListener("pointerup", end);
  el.addEventListener("pointercancel", end);
  el.addEventListener("click", (e) => {
    if (block.pulled && e.detail) {
      e.preventDefault();
      e.stopPropagation();
    }
  }, true);
  el.addEventListener("pointerdown", () => (block.pulled = false), true);
};

const BLOCKS = {};
