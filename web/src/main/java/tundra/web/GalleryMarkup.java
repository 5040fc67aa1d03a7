package tundra.web;

import java.util.List;
import java.util.Map;
import tundra.core.block.FieldLayout;
import tundra.core.block.Gallery;
import tundra.core.block.Placement;
import tundra.core.geometry.Numbers;
import tundra.core.geometry.Point;
import tundra.core.geometry.Rect;
import tundra.core.model.Blocks;
import tundra.core.model.Content;
import tundra.core.model.Element;

/** Galleries and the dots that steer them. */
final class GalleryMarkup extends BlockHtml {
    GalleryMarkup(Target to) {
        super(to);
    }

    void gallery(Content.Block b) {
        List<Element> items = element.children().stream().filter(c -> !c.hidden() && !c.guide()).toList();
        var g = Gallery.of(b, items.size());
        String k = name + "-k";
        whole(k);
        css.put(k, "overflow", "hidden");
        css.put(k, "touch-action", b.kind() == Blocks.STRIP && b.text(Blocks.ALONG).equals("down") ? "pan-x" : "pan-y");
        open("div", k + " t--b", " role=\"group\" aria-roledescription=\"gallery\" tabindex=\"0\" aria-label=\"" + spoken(b) + "\"");
        css.put(name + "-l", "list-style", "none");
        css.put(name + "-l", "margin", "0");
        css.put(name + "-l", "padding", "0");
        open("ul", name + "-l", "");
        double w = b.number(Blocks.ITEM_WIDTH), h = b.number(Blocks.ITEM_HEIGHT);
        for (int i = 0; i < items.size(); i++) {
            item(b, g, i, items.get(i), w, h);
        }
        out.append("</ul></div>\n");
    }

    private void item(Content.Block b, Gallery g, int i, Element e, double w, double h) {
        String li = PageId.of(e.id()) + "-i", cell = li + "c";
        Placement p = g.place(i, g.position());
        place(li, new Rect(0, 0, w, h));
        css.put(li, "translate", CssText.px(p.x() - w / 2) + " " + CssText.px(p.y() - h / 2));
        css.put(li, "rotate", CssText.deg(p.rotation()));
        css.put(li, "scale", Numbers.plain(p.scale(), 6));
        css.put(li, "opacity", Numbers.plain(p.opacity(), 6));
        css.put(li, "z-index", Long.toString(Math.round(p.front() * 1000)));
        css.put(li, "visibility", g.seen(p) ? "inherit" : "hidden");
        open("li", li, "");
        place(cell, new Rect(0, 0, w, h));
        css.put(cell, "overflow", "hidden");
        open("div", cell, "");
        child.accept(e);
        out.append("</div>");
        String where = b.text(Blocks.CAPTIONS), words = caption(b, e);
        if (!where.equals("none") && !words.isEmpty()) {
            double letters = b.number(Blocks.LETTERS), line = letters * FieldLayout.LINE, gap = FieldLayout.GAP;
            boolean over = where.equals("over");
            if (over) {
                place(li + "o", new Rect(0, h - line - 2 * gap, w, line + 2 * gap));
                css.put(li + "o", "background-color", "#FFFFFFCC");
                open("div", li + "o", "></div");
            }
            words(b, li + "t", words, Blocks.INK, letters, new Point(0, over ? h - line - gap : h + gap), w);
        }
        out.append("</li>\n");
    }

    static String caption(Content.Block b, Element e) {
        return ((Map<?, ?>) b.get(Blocks.CAPTION_WORDS)).get(e.id()) instanceof String own ? own : e.name();
    }

    void dots(Content.Block b) {
        Content.Block of = Blocks.of(board.find(b.text(Blocks.OF_GALLERY)));
        int n = of == null ? 0 : (int) of.children().stream().filter(c -> !c.hidden() && !c.guide()).count(), first = of == null ? 0
                : Gallery.of(of, n).first();
        double d = b.number(Blocks.DOT), step = d + b.number(Blocks.SPACING), left = (b.box().x() - (n - 1) * step - d) / 2;
        whole(name + "-k");
        css.put(name + "-k button", "--dot", hex(b, Blocks.LINE));
        css.put(name + "-k [aria-current]", "--dot", hex(b, Blocks.ACCENT));
        open("div", name + "-k t--b", " role=\"group\" aria-label=\"" + spoken(b) + "\"");
        for (int i = 0; i < n; i++) {
            String one = name + "-k" + i;
            place(one, new Rect(left + i * step, (b.box().y() - d) / 2, d, d));
            open("button", one + " t--dot t--b", " type=\"button\" aria-label=\"Item " + (i + 1) + " of " + n + "\""
                    + (i == first ? " aria-current=\"true\"" : ""));
            out.append("</button>");
        }
        out.append("</div>\n");
    }
}
