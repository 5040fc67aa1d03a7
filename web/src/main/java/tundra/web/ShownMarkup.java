package tundra.web;

import tundra.core.block.FieldLayout;
import tundra.core.geometry.Numbers;
import tundra.core.geometry.Point;
import tundra.core.model.Blocks;
import tundra.core.model.Content;

/** What shows how far something of the piece is. */
final class ShownMarkup extends BlockHtml {
    ShownMarkup(Target to) {
        super(to);
    }

    void progress(Content.Block b) {
        String k = name + "-k";
        boolean timed = board.timeline(b.text(Blocks.OF_TIMELINE)) != null;
        double share = timed ? 0 : share(b, start(b));
        whole(k);
        css.put(k, "overflow", "hidden");
        css.put(k, "background-color", hex(b, Blocks.GROUND));
        css.put(k, "border-radius", radius(b, box(b)));
        whole(name + "-a");
        css.put(name + "-a", "background-color", hex(b, Blocks.ACCENT));
        css.put(name + "-a", "transform-origin", "0 0");
        css.put(name + "-a", "scale", Numbers.plain(share, 6) + " 1");
        open("div", k + " t--b", " role=\"progressbar\" aria-label=\"" + spoken(b) + "\" aria-valuemin=\"0\" aria-valuemax=\"100\" aria-valuenow=\""
                + Math.round(100 * share) + "\"");
        open("div", name + "-a", "></div></div");
    }

    void countdown(Content.Block b) {
        whole(name + "-k");
        open("div", name + "-k t--b", " role=\"timer\" aria-label=\"" + spoken(b) + "\"");
        words(b, name + "-t", "12 d 08:30:00", Blocks.INK, b.number(Blocks.LETTERS),
                new Point(0, (b.box().y() - b.number(Blocks.LETTERS) * FieldLayout.LINE) / 2), b.box().x());
        out.append("</div>\n");
    }
}
