// Makes an element known that shows a piece in a shadow root of its own. Styles are put in by script, so that a strict policy of the page allows them.
Tundra.element = ({ tag, markup, style, faces, size, values, player }, data) => {
  const home = new URL(".", document.currentScript.src).href;
  if (customElements.get(tag)) return;
  const at = (path) => new URL(path, home).href;
  // what is written in the piece's own files leads to files beside the script, wherever the page is
  const placed = (root) => {
    for (const el of root.querySelectorAll("[src],[href],[poster]"))
      for (const name of ["src", "href", "poster"]) {
        const to = el.getAttribute(name);
        if (to && !/^([a-z][a-z0-9+.-]*:|#|\/)/i.test(to)) el.setAttribute(name, at(to));
      }
    for (const el of root.querySelectorAll("template")) placed(el.content);
  };
  let sheet, content;
  const ready = () => {
    if (sheet) return;
    for (const [family, weight, src] of faces) document.fonts.add(new FontFace(family, "url(" + at(src) + ")", { weight }));
    sheet = new CSSStyleSheet();
    sheet.replaceSync(":host{display:block}.t-apart{all:initial;display:block}.t-apart[hidden]{display:none}" + style.replace(/url\((?!["']?(?:data:|#|https?:))["']?([^"')]+)["']?\)/g, (_, path) => "url(" + at(path) + ")"));
    content = document.createElement("template");
    content.innerHTML = markup;
    placed(content.content);
  };
  customElements.define(
    tag,
    class extends HTMLElement {
      static observedAttributes = ["scene", "width"];
      #apart;
      #piece;
      #near;

      // The piece, once it has started; null before that.
      get piece() {
        return this.#piece ?? null;
      }

      // The name of the scene that is shown.
      get scene() {
        return this.#piece?.shown.name ?? this.getAttribute("scene") ?? "";
      }

      set scene(name) {
        this.setAttribute("scene", name);
      }

      timeline(name) {
        return this.#piece?.timeline(name);
      }

      value(name) {
        return this.#piece?.value(values[name]);
      }

      set(name, to) {
        this.#piece?.put(values[name], to);
      }

      connectedCallback() {
        if (this.#apart) return;
        ready();
        const root = this.attachShadow({ mode: "open" });
        root.adoptedStyleSheets = [sheet];
        this.#apart = document.createElement("div");
        this.#apart.className = "t-apart";
        // its room is kept until it starts, so that nothing jumps
        Object.assign(this.#apart.style, { aspectRatio: size.join("/"), maxWidth: size[0] + "px" });
        root.append(this.#apart);
        this.#wide();
        if (this.getAttribute("starts") === "at once") return this.start();
        this.#near = new IntersectionObserver((seen) => seen.some((x) => x.isIntersecting) && this.start(), { rootMargin: "300px" });
        this.#near.observe(this);
      }

      // Starts it before it comes near the view.
      start() {
        this.#near?.disconnect();
        if (this.#piece || !this.#apart) return;
        Object.assign(this.#apart.style, { aspectRatio: "", maxWidth: "" });
        this.#apart.append(content.content.cloneNode(true));
        this.#piece = Tundra.players[player].start(data, this.#apart.querySelector(".tundra"), home);
        this.#told("ready", {});
        for (const [name, id] of Object.entries(values)) this.#piece.watch?.(id, (value) => this.#told("value", { name, value }));
        this.#piece.el.addEventListener("tundra-shown", () => this.#told("scene", { scene: this.scene }));
        if (this.hasAttribute("scene")) this.attributeChangedCallback("scene");
      }

      attributeChangedCallback(name) {
        if (name === "width") this.#wide();
        else if (this.#piece && this.getAttribute("scene") !== this.#piece.shown.name) this.#piece.show(this.getAttribute("scene"));
      }

      // The width that its layouts go by.
      #wide() {
        const wide = parseFloat(this.getAttribute("width"));
        if (this.#apart) this.#apart.style.width = wide > 0 ? wide + "px" : "";
      }

      #told(what, detail) {
        this.dispatchEvent(new CustomEvent("tundra-" + what, { detail, bubbles: true }));
      }
    },
  );
};
