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
})();
