// Tells the preview server what happens in the piece.
(() => {
  const send = (text, reaction = "") =>
    fetch("log", { method: "POST", keepalive: true, body: JSON.stringify({ time: performance.now(), text, reaction, ...where() }) }).catch(() => {});
  // The scene that is open and the timeline that was started last, in ms.
  const where = () => {
    const shown = typeof Tundra === "object" && Tundra.pieces[0]?.shown, [timeline, at] = shown?.moment.at(-1) ?? [];
    return shown ? { scene: shown.id, timeline, at } : {};
  };
  addEventListener("tundra", (e) => send(e.detail.text, e.detail.reaction));
  addEventListener("error", (e) => send("problem: " + e.message));
  // over a slow line: when there was something to see, and when everything had come
  addEventListener("load", () => {
    if (!new URLSearchParams(location.search).has("slow")) return;
    const [first] = performance.getEntriesByName("first-contentful-paint"), seconds = (ms) => (ms / 1000).toFixed(1) + " s";
    send((first ? "the first picture was there after " + seconds(first.startTime) + ", " : "") + "everything after " + seconds(performance.now()));
  });
})();

// Begins in the scene that is asked for.
addEventListener("load", () => {
  const id = new URLSearchParams(location.search).get("scene"), piece = typeof Tundra === "object" && Tundra.pieces[0], scene = id && piece && piece.scenes.find((s) => s.id === id);
  if (scene && scene !== piece.shown) piece.show(scene.name);
});

// Measures when asked: how many pictures the browser shows a second, and how long the page's own thread works for them.
addEventListener("load", () => {
  if (!new URLSearchParams(location.search).has("measure")) return;
  const LONG = 4000, channel = new MessageChannel();
  let from, frames = 0, busy = 0, begun;
  // comes once what was to be done for the picture is done
  channel.port1.onmessage = () => (busy += performance.now() - begun);
  const step = (now) => {
    begun = now;
    from ??= now;
    if (now - from < LONG) {
      frames++;
      channel.port2.postMessage(0);
      return void requestAnimationFrame(step);
    }
    const seconds = (now - from) / 1000;
    fetch("log", { method: "POST", body: JSON.stringify({ time: now, reaction: "", text: `measured: ${Math.round(frames / seconds)} pictures a second, ${Math.round(busy / seconds)} ms of work in each` }) }).catch(() => {});
  };
  // what opening costs is measured by another number
  setTimeout(() => requestAnimationFrame(step), 1000);
});

// Ends a loop of a script that has held the page for two seconds. It is called at each turn.
(() => {
  const LONGEST = 2000;
  let since = 0, turns = 0;
  globalThis.tundraLoop = (script, line) => {
    if (++turns & 255) return;
    const now = performance.now();
    if (!since) {
      since = now;
      setTimeout(() => (since = 0));
    } else if (now - since > LONGEST) {
      since = 0;
      throw new Error(`the script ${script} went on and on in line ${line}, so it was stopped`);
    }
  };
})();

// The view in Tundra's window names no keys.
(() => {
  const names = { 8: "Backspace", 9: "Tab", 13: "Enter", 16: "Shift", 17: "Control", 18: "Alt", 27: "Escape", 32: " ", 33: "PageUp", 34: "PageDown", 35: "End", 36: "Home", 37: "ArrowLeft", 38: "ArrowUp",
    39: "ArrowRight", 40: "ArrowDown", 45: "Insert", 46: "Delete", 91: "Meta" };
  const { get } = Object.getOwnPropertyDescriptor(KeyboardEvent.prototype, "key");
  const name = ({ keyCode: code, shiftKey }) => names[code] ?? (code >= 112 && code <= 123 ? "F" + (code - 111) : shiftKey ? String.fromCharCode(code) : String.fromCharCode(code).toLowerCase());
  Object.defineProperty(KeyboardEvent.prototype, "key", { configurable: true, get() { return get.call(this) || name(this); } });
})();

// Plays the visitor whom the page is tried as: "touch" makes a finger of the mouse, "less" asks for less motion.
(() => {
  const asked = new URLSearchParams(location.search);
  if (asked.has("less")) {
    const real = window.matchMedia.bind(window);
    window.matchMedia = (q) => (q.includes("prefers-reduced-motion: reduce") ? { matches: true, media: q, addEventListener() {}, removeEventListener() {} } : real(q));
  }
  if (asked.has("dark")) {
    const real = window.matchMedia.bind(window);
    window.matchMedia = (q) => (/prefers-color-scheme: *(dark|light)/.test(q) ? { matches: q.includes("dark"), media: q, addEventListener() {}, removeEventListener() {} } : real(q));
  }
  if (!asked.has("touch")) return;
  let down = false, last;
  // a finger scrolls where nothing keeps it from doing so
  const scrolls = (x, way) => {
    for (; x?.style; x = x.parentElement) if (x.style.touchAction) return x.style.touchAction === way;
    return true;
  };
  const finger = (type, e) =>
    e.target.dispatchEvent(new PointerEvent(type, { bubbles: !/enter|leave/.test(type), cancelable: true, composed: true, pointerType: "touch", pointerId: e.pointerId, isPrimary: true,
      clientX: e.clientX, clientY: e.clientY, button: e.button, buttons: e.buttons, width: 24, height: 24 }));
  for (const type of ["pointerdown", "pointermove", "pointerup", "pointercancel", "pointerenter", "pointerleave", "pointerover", "pointerout"])
    addEventListener(type, (e) => {
      if (!e.isTrusted || e.pointerType === "touch") return;
      e.stopImmediatePropagation();
      if (type === "pointerdown") [down, last] = [true, e];
      // it is nowhere while it touches nothing
      if (!down) return;
      if (type === "pointermove") {
        scrollBy(scrolls(e.target, "pan-x") ? last.clientX - e.clientX : 0, scrolls(e.target, "pan-y") ? last.clientY - e.clientY : 0);
        last = e;
      }
      if (!finger(type, e)) e.preventDefault();
      if (type === "pointerup" || type === "pointercancel") down = false;
    }, true);
  for (const type of ["mouseenter", "mouseleave", "mouseover", "mouseout"]) addEventListener(type, (e) => e.isTrusted && e.stopImmediatePropagation(), true);
})();

// Writes down what is seen, frame by frame where it changes, when that is asked for; its times count from the opening of the page.
addEventListener("load", () => {
  if (!new URLSearchParams(location.search).has("record") || typeof Tundra !== "object") return;
  const began = document.timeline.currentTime, lines = [];
  let before = "", sent = 0;
  const short = (_, v) => (typeof v === "number" ? Math.round(v * 1000) / 1000 : v);
  const step = (now) => {
    const seen = JSON.stringify(Tundra.pieces[0].seen, short);
    if (seen !== before) lines.push(JSON.stringify({ time: document.timeline.currentTime - began }, short).slice(0, -1) + ',"seen":' + (before = seen) + "}");
    if (lines.length && now - sent > 250) {
      sent = now;
      fetch("run", { method: "POST", body: lines.splice(0).join("\n") }).catch(() => {});
    }
    requestAnimationFrame(step);
  };
  step(0);
});
