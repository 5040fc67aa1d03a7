//# reactions
// The keys that are down, by their names.
const down = new Set();
const named = (key) => (key === " " ? "Space" : key?.length === 1 ? key.toUpperCase() : key);
addEventListener("keydown", (e) => down.add(named(e.key)), true);
addEventListener("keyup", (e) => down.delete(named(e.key)), true);
addEventListener("blur", () => down.clear());

// One entry for each kind of event: how it is listened for.
const EVENTS = {
//# event tapped
  tapped: (board, { element }, fire) => board.onTap(board.part(element), fire),
//# event tappedElsewhere
  // before what is tapped there reacts, so that conditions see it as it was
  tappedElsewhere: (board, { element }, fire) => board.listen(document, "click", (e) => !e.composedPath().includes(board.part(element)) && fire(), true),
//# event tappedTwice
  tappedTwice: (board, { element }, fire) => {
    let before = -1e9;
    board.onTap(board.part(element), () => {
      const now = performance.now();
      if (now - before < 450) fire();
      before = now - before < 450 ? -1e9 : now;
    });
  },
//# event pressed
  pressed: (board, { element }, fire) => board.on(element, "pointerdown", fire),
//# event released
  released: (board, { element }, fire) => board.on(element, "pointerup", fire),
//# event held
  held: (board, { element }, fire) => {
    let timer, from;
    const off = () => clearTimeout(timer);
    board.on(element, "pointerdown", (e) => {
      off();
      from = e;
      timer = setTimeout(() => {
        // what follows when it is let go is no tap
        board.scene.spent = true;
        fire();
      }, 500);
    });
    board.on(element, "pointermove", (e) => from && Math.hypot(e.clientX - from.clientX, e.clientY - from.clientY) > 8 && off());
    for (const type of ["pointerup", "pointercancel", "pointerleave"]) board.on(element, type, off);
    board.on(element, "contextmenu", (e) => e.preventDefault());
  },
//# event over
  over: (board, { element }, fire) => board.on(element, "pointerenter", (e) => e.pointerType !== "touch" && fire()),
//# event out
  out: (board, { element }, fire) => board.on(element, "pointerleave", (e) => e.pointerType !== "touch" && fire()),
//# event swiped
  swiped: (board, { element, side }, fire) => {
    const el = board.part(element), level = side === "left" || side === "right", sign = side === "left" || side === "up" ? -1 : 1;
    touches(el, level ? "pan-y" : "pan-x");
    const fingers = new Set();
    let from;
    board.on(element, "pointerdown", (e) => {
      fingers.add(e.pointerId);
      // two fingers never swipe
      from = fingers.size === 1 && { x: e.clientX, y: e.clientY, t: e.timeStamp, id: e.pointerId };
    });
    const end = (e) => {
      fingers.delete(e.pointerId);
      if (!from || from.id !== e.pointerId) return;
      const x = e.clientX - from.x, y = e.clientY - from.y, along = sign * (level ? x : y), across = Math.abs(level ? y : x);
      if (along > 40 && along > 2 * across && e.timeStamp - from.t < 800) fire();
      from = null;
    };
    board.on(element, "pointerup", end);
    board.on(element, "pointerleave", end);
    board.on(element, "pointercancel", (e) => {
      fingers.delete(e.pointerId);
      from = null;
    });
  },
//# event pinched
  pinched: (board, { element, pinch }, fire) => {
    const fingers = new Map();
    let from, done;
    const apart = () => {
      const [a, b] = [...fingers.values()];
      return Math.hypot(a.clientX - b.clientX, a.clientY - b.clientY);
    };
    touches(board.part(element), "none");
    board.on(element, "pointerdown", (e) => {
      fingers.set(e.pointerId, e);
      if (fingers.size === 2) [from, done] = [apart(), false];
    });
    board.on(element, "pointermove", (e) => {
      if (!fingers.has(e.pointerId)) return;
      fingers.set(e.pointerId, e);
      if (fingers.size !== 2 || done) return;
      const by = apart() / from;
      if (pinch === "open" ? by > 1.25 : by < 0.8) {
        done = true;
        fire();
      }
    });
    for (const type of ["pointerup", "pointercancel"]) board.on(element, type, (e) => fingers.delete(e.pointerId));
  },
//# event landed
  landed: (board, { element }, fire) => board.drag(element, "landed", fire),
//# event landedOn
  landedOn: (board, { element, place }, fire) => board.drag(element, "landed", (at) => at === place && fire()),
//# event missed
  missed: (board, { element }, fire) => board.drag(element, "missed", fire),
//# event takenOut
  takenOut: (board, { element }, fire) => board.drag(element, "taken", fire),
//# event allLanded
  allLanded: (board, x, fire) => board.drag("", "all", fire),
//# event dragStarted
  dragStarted: (board, { element }, fire) => board.drag(element, "started", fire),
//# event dragged
  dragged: (board, { element }, fire) => board.drag(element, "moved", fire),
//# event dragEnded
  dragEnded: (board, { element }, fire) => board.drag(element, "ended", fire),
//# event keyPressed
  keyPressed: (board, { key }, fire) => {
    const parts = key.split("+"), name = parts.pop() || "+";
    board.listen(document, "keydown", (e) => {
      if (e.repeat || !e.key || e.target.closest?.("input, textarea, select, [contenteditable]")) return;
      const held = { Ctrl: e.ctrlKey, Alt: e.altKey, Meta: e.metaKey };
      if (named(e.key) !== named(name) || Object.keys(held).some((m) => held[m] !== parts.includes(m))) return;
      if (parts.includes("Shift") !== e.shiftKey && (parts.includes("Shift") || name.length > 1)) return;
      e.preventDefault();
      fire();
    });
  },
//# event opened
  opened: (board, x, fire) => board.onOpen(fire),
//# event closed
  closed: (board, x, fire) => board.onClose(fire),
//# event passed
  passed: (board, { timeline, time, way }, fire) => board.timeline(timeline).onPass(time, way, fire),
//# event reached
  reached: (board, { timeline, time }, fire) => board.timeline(timeline).onPass(time, "either way", fire),
//# event ended
  ended: (board, { timeline }, fire) => {
    // everything has ended once nothing plays any more
    const all = timeline === "*" ? board.timelines : board.players(timeline);
    for (const t of all)
      if (t.onEnd) t.onEnd(fire);
      else (t.ends ??= []).push(timeline === "*" ? () => all.some((x) => x.playing) || fire() : fire);
  },
//# event instanceReached
  instanceReached: (board, { instance, timeline, time }, fire) => board.players(instance)[0].onPass(timeline, time, fire),
//# event scrolledTo
  scrolledTo: (board, { share }, fire) => {
    let before = 0;
    board.listen(document, "scroll", () => {
      const now = scrolled();
      if (before < share && now >= share) fire();
      before = now;
    });
    board.onOpen(() => (before = -1) && setTimeout(() => share <= 0 && fire()));
  },
//# event scrolled
  scrolled: (board, { scroll }, fire) => {
    let before = scrollY;
    board.listen(document, "scroll", () => {
      const on = scrollY > before, moved = scrollY !== before;
      before = scrollY;
      if (moved && on === (scroll === "on")) fire();
    });
  },
//# event entered
  entered: (board, { element }, fire) => board.inView(element, (seen) => seen && fire()),
//# event left
  left: (board, { element }, fire) => board.inView(element, (seen, before) => before && !seen && fire()),
//# event became
  became: (board, { value, content }, fire) => board.piece.watch(value, (now) => now === board.piece.as(value, content) && board.shown && fire()),
//# event changed
  changed: (board, { value }, fire) => board.piece.watch(value, () => board.shown && fire()),
//# event narrower
  narrower: (board, { width }, fire) => board.listen(matchMedia("(max-width: " + (width - 0.02) + "px)"), "change", (e) => e.matches && fire()),
//# event wider
  wider: (board, { width }, fire) => board.listen(matchMedia("(min-width: " + (width + 0.02) + "px)"), "change", (e) => e.matches && fire()),
//# event layoutBecame
  layoutBecame: (board, { layout }, fire) => (board.scene.becomes ??= []).push((now) => now === layout && fire()),
//# event itemShown
  itemShown: (board, { gallery, item }, fire) => board.block(gallery)?.on("item", (i) => i === item - 1 && fire()),
//# event itemChanged
  itemChanged: (board, { gallery }, fire) => board.block(gallery)?.on("item", fire),
//# event galleryEnded
  galleryEnded: (board, { gallery }, fire) => board.block(gallery)?.on("end", fire),
//# event itemTapped
  itemTapped: (board, { gallery, item }, fire) => board.block(gallery)?.on("tapped", (i) => i === item - 1 && fire()),
//# event mediaStarted
  mediaStarted: (board, { media }, fire) => board.block(media)?.on("started", fire),
//# event mediaPaused
  mediaPaused: (board, { media }, fire) => board.block(media)?.on("paused", fire),
//# event mediaEnded
  mediaEnded: (board, { media }, fire) => board.block(media)?.on("ended", fire),
//# event mediaPassed
  mediaPassed: (board, { media, at }, fire) => board.block(media)?.onPass(at, fire),
//# event placeChosen
  placeChosen: (board, { map, spot }, fire) => board.block(map)?.on("place", (name) => (!spot || name === spot) && fire()),
//# event fieldChanged
  fieldChanged: (board, { field }, fire) => board.block(field)?.on("changed", fire),
//# event sent
  sent: (board, x, fire) => (board.piece.arrived ??= []).push((good) => good && board.shown && fire()),
//# event notSent
  notSent: (board, x, fire) => (board.piece.arrived ??= []).push((good) => !good && board.shown && fire()),
//# event countdownOver
  countdownOver: (board, { countdown }, fire) => board.block(countdown)?.on("over", fire),
//# event after
  after: (board, { duration }, fire) => {
    let timer;
    board.onOpen(() => (timer = setTimeout(fire, duration)));
    board.onClose(() => clearTimeout(timer));
  },
//# event every
  every: (board, { duration }, fire) => {
    let timer;
    board.onOpen(() => (timer ??= setInterval(fire, Math.max(16, duration))));
    // the whole piece goes on from scene to scene
    board.onClose(() => board.whole || (timer = clearInterval(timer)));
  },
//# reactions
};

// What a finger may still scroll where gestures are looked for: the least of what several want.
const touches = (el, allowed) => {
  const now = el.style.touchAction;
  el.style.touchAction = now && now !== allowed ? "none" : allowed;
  for (const x of el.querySelectorAll("*")) x.style.touchAction = el.style.touchAction;
};

// How far the page is scrolled, in percent.
const scrolled = () => {
  const { scrollHeight, clientHeight } = document.documentElement;
  return scrollHeight > clientHeight ? (100 * scrollY) / (scrollHeight - clientHeight) : 0;
};
