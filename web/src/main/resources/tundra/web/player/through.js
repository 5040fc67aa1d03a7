//# through
// What is faded, or is a drawing that is not shown, lets the pointer through to what lies behind it, as what is hidden does. Boxes through
// which it went are marked until they are seen again.
const through = (root, page) => {
  const passed = new Set(), entered = new WeakSet();
  const seen = (x) => +getComputedStyle(x).opacity > 0.002;
  const faded = (x) => {
    for (; x && x !== root && x.nodeType === 1; x = x.parentNode) if (!seen(x)) return x;
  };
  // What is seen under the pointer, with all that is faded there marked.
  const under = ({ clientX, clientY }, at) => {
    for (const x of passed)
      if (seen(x) || !x.isConnected) {
        x.classList.remove("t-through");
        passed.delete(x);
      }
    for (let gone, i = 0; i < 99 && root.contains(at) && (gone = faded(at)); i++) {
      gone.classList.add("t-through");
      passed.add(gone);
      at = page.elementFromPoint(clientX, clientY);
    }
    return at;
  };
  // what isn't seen isn't reached by the keyboard either, whatever had it before
  const reach = () => {
    for (const x of root.querySelectorAll("[tabindex]")) x.tabIndex = faded(x) ? -1 : 0;
  };
  addEventListener("focus", reach);
  addEventListener("keydown", (e) => {
    if (e.key === "Tab") reach();
    else if ((e.key === "Enter" || e.key === " ") && root.contains(e.composedPath()[0]) && faded(e.composedPath()[0])) e.stopImmediatePropagation();
  }, true);
  reach();
  for (const type of ["pointerdown", "pointermove"])
    root.addEventListener(type, (e) => {
      if (!e.isTrusted) return;
      const at = under(e, e.target);
      if (at === e.target) return;
      e.stopPropagation();
      if (root.contains(at)) at.dispatchEvent(new PointerEvent(type, e));
    }, true);
  root.addEventListener("pointerenter", (e) => {
    if (!e.isTrusted || e.target === root || e.target.contains(under(e, page.elementFromPoint(e.clientX, e.clientY)))) entered.add(e.target);
    else e.stopPropagation();
  }, true);
  // what was not entered is not left
  root.addEventListener("pointerleave", (e) => entered.delete(e.target) || e.stopPropagation(), true);
};
