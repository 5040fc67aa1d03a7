//# wraps
// The lines of some words that are no wider than a width, broken at spaces; a longer word stays whole.
const broken = (words, wide, wrap) => {
  const out = [];
  for (const line of words.split("\n")) {
    let start = 0, fits = -1;
    for (let i = line.indexOf(" "); ; i = line.indexOf(" ", i + 1)) {
      const end = i < 0 ? line.length : i;
      if (fits > start && wide(line.slice(start, end)) > wrap) {
        out.push(line.slice(start, fits));
        start = fits + 1;
      }
      fits = end;
      if (i < 0) break;
    }
    out.push(line.slice(start));
  }
  return out;
};

// A text that breaks at a width and shows values breaks anew when one of them changes.
const wraps = (text, piece) => {
  let [wrap, lead, parts] = JSON.parse(text.dataset.wrap);
  const first = text.querySelector("tspan"), top = +first.getAttribute("y");
  const pen = document.createElement("canvas").getContext("2d"), values = parts.filter(Array.isArray).map(([id]) => id);
  // the shorthand is empty where letters are kept apart
  const font = ({ fontWeight, fontSize, fontFamily } = getComputedStyle(text)) => fontWeight + " " + fontSize + " " + fontFamily;
  const show = () => {
    const apart = parseFloat(getComputedStyle(text).letterSpacing) || 0;
    Object.assign(pen, { font: font(), letterSpacing: apart + "px" });
    const wide = (x) => pen.measureText(x).width - apart, lines = broken(parts.map((p) => (Array.isArray(p) ? said(piece.value(p[0])) : p)).join(""), wide, wrap);
    const there = text.querySelectorAll(":scope > tspan");
    for (let i = 0; i < Math.max(lines.length, there.length); i++) {
      const line = there[i] ?? text.appendChild(first.cloneNode());
      line.setAttribute("x", first.getAttribute("x"));
      line.setAttribute("y", top + i * lead);
      line.textContent = lines[i] ?? "";
    }
    // its box is as high as its lines
    const box = text.closest("div");
    if (box.className.includes("-b")) [box.style.width, box.style.height] = [Math.max(wrap, ...lines.map(wide)) + "px", lines.length * lead + "px"];
  };
  text.rewrap = (to) => {
    wrap = to;
    show();
  };
  for (const id of new Set(values)) piece.watch(id, show);
  if (values.some((id) => !piece.atFirst(id))) document.fonts.load(font()).then(show, show);
};
