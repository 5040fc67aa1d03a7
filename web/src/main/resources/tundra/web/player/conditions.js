//# reactions
// One entry for each kind of condition: whether it holds.
const CONDITIONS = {
//# condition value
  value: (board, { value, is, content }) => {
    const now = board.piece.value(value), to = board.piece.as(value, content);
    return is === "is" ? now === to : is === "is not" ? now !== to : is === "is more than" ? now > to : now < to;
  },
//# condition shown
  // what is not on the page at all is hidden
  shown: (board, { element, seen }) => (board.part(element)?.checkVisibility({ opacityProperty: true, visibilityProperty: true }) ?? false) === (seen === "shown"),
//# condition plays
  plays: (board, { timeline, going }) => board.players(timeline).some((t) => t?.playing) === (going === "plays"),
//# condition time
  time: (board, { timeline, stands, time }) => (stands === "before" ? board.timeline(timeline).time < time : board.timeline(timeline).time > time),
//# condition key
  key: (board, { key, down: asked }) => key.split("+").every((k) => down.has({ Ctrl: "Control" }[k] ?? named(k))) === (asked === "held"),
//# condition width
  width: (board, { than, width }) => (than === "narrower" ? innerWidth < width : innerWidth > width),
//# condition layout
  layout: (board, { is, layout }) => ((board.scene.el.dataset.layout ?? "base") === layout) === (is === "is"),
//# condition motion
  motion: (board, { asked }) => quiet.matches === (asked === "asked for"),
//# reactions
};
