//# layouts
// The name of a part of the page; nothing for what has none of its own.
const partName = (x) => x.id || (x.classList[0] === "t-p" ? "" : x.classList[0]) || "";

// By how many px the scenes are wider, narrower, taller and shorter that say what goes with the size.
const STEPS = [200, 40, 200, 40];

// How many px that is to each of those sides.
const sides = ([x, y]) => [x, -x, y, -y].map((px) => Math.max(0, px));

// A number, or a text whose numbers go with the size, so many px larger than drawn; colours stay as they are.
const between = (drawn, others, by) => {
  const px = sides(by), mix = (x, of) => others.reduce((sum, o, i) => sum + ((of(o) - x) * px[i]) / STEPS[i], +x);
  if (typeof drawn === "number") return mix(drawn, (o) => o);
  const all = /#[0-9a-f]{3,8}\b|-?\d*\.?\d+(?:e-?\d+)?/gi, to = others.map((o) => o.match(all) ?? []);
  let i = -1;
  return drawn.replace(all, (x) => {
    i++;
    return x[0] === "#" || to.every((t) => t[i] === x) ? x : n(mix(x, (o) => to[others.indexOf(o)][i]));
  });
};

// Changes what is on the page from one layout to another: what is the same stays, with all that listens to it and all that moves it, wherever
// it lies now. Parts are found by their names, and stand under them afterwards. Returns the texts that are set anew.
const morph = (root, was, now, parts) => {
  const before = new Map(), texts = [];
  for (const x of was.querySelectorAll("*")) if (partName(x)) before.set(partName(x), x);

  const attributes = (x, a, b) => {
    for (const { name } of [...a.attributes]) if (name !== "class" && !b.hasAttribute(name)) x.removeAttribute(name);
    for (const { name, value } of b.attributes) if (name !== "class" && a.getAttribute(name) !== value) x.setAttribute(name, value);
    for (const c of a.classList) if (!b.classList.contains(c)) x.classList.remove(c);
    for (const c of b.classList) x.classList.add(c);
  };

  const change = (x, a, b) => {
    if (a !== b) attributes(x, a, b);
    if (partName(b)) parts.set(partName(b), x);
    if (b.tagName !== "text") return children(x, a, b);
    if (a.innerHTML === b.innerHTML) return;
    x.replaceChildren(...b.cloneNode(true).childNodes);
    for (const y of x.querySelectorAll("[class]")) parts.set(partName(y), y);
    texts.push(x);
  };

  const children = (x, a, b) => {
    const plain = (y) => [...y.children].filter((c) => !partName(c)), mine = plain(x), theirs = plain(a), used = new Set();
    const next = [...b.children].map((c) => {
      let y, old;
      if (partName(c)) [y, old] = [before.has(partName(c)) && parts.get(partName(c)), before.get(partName(c))];
      else {
        const i = theirs.findIndex((t, k) => !used.has(k) && t.tagName === c.tagName);
        if (i >= 0) [y, old] = [mine[i], theirs[i]];
        used.add(i);
      }
      return y && y.tagName === c.tagName ? [y, old, c] : [c.cloneNode(), null, c];
    });
    const stay = new Set(next.map(([y]) => y));
    let k = 0;
    for (const c of a.children) {
      const y = partName(c) ? parts.get(partName(c)) : mine[k++];
      if (y?.parentNode === x && !stay.has(y)) y.remove();
    }
    let at = x.firstElementChild;
    for (const [y] of next) {
      if (y === at) at = at.nextElementSibling;
      else x.insertBefore(y, at);
    }
    for (const [y, old, c] of next) change(y, old ?? c.cloneNode(), c);
  };

  children(root, was, now);
  // what lies in no part of this layout has no name any more
  const there = new Set([...now.querySelectorAll("*")].map(partName));
  for (const name of before.keys()) if (!there.has(name)) parts.delete(name);
  return texts;
};
