package tundra.core.edit;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import tundra.core.frame.Frame;
import tundra.core.frame.HitTest;
import tundra.core.geometry.Point;
import tundra.core.model.Asset;
import tundra.core.model.Blocks;
import tundra.core.model.Board;
import tundra.core.model.Clock;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Motif;
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.core.model.Slot;
import tundra.core.model.Tree;
import tundra.core.model.Values;

/** Fills galleries. An item is an element in a cell of the gallery's item size; a picture or motif fills it as the gallery says. */
public final class Galleries {
    /** Items of one gallery. */
    public static final int MOST = 1000;

    private Galleries() {}

    /** The size of a gallery's cells. */
    public static Point cell(Content.Block gallery) {
        return new Point(gallery.number(Blocks.ITEM_WIDTH), gallery.number(Blocks.ITEM_HEIGHT));
    }

    /** With pictures as new items, before an item or, at -1, at the end; each is read out as its file is called. */
    public static Board withPictures(Board b, String gallery, List<Asset> pictures, int at) {
        Content.Block g = Blocks.of(b.find(gallery));
        var names = names(b);
        return with(b, gallery, pictures.stream().map(a -> new Element(names.take(a.title()), new Content.Picture(a.hash()),
                Values.NONE.with(Properties.SIZE, new Point(a.width(), a.height())))).map(e -> fitted(e, g)).toList(), at);
    }

    /** With a motif as a new item. */
    public static Board withMotif(Project p, Board b, String gallery, Motif m, int at) {
        Content.Block g = Blocks.of(b.find(gallery));
        Element e = new Element(names(b).take(m.name()), new Content.Instance(m.id(), m.board().size(), Clock.OWN), Values.NONE);
        return with(b, gallery, List.of(fitted(e, g)), at);
    }

    private static FreeNames names(Board b) {
        var taken = new HashSet<String>();
        Tree.each(b.elements(), e -> taken.add(e.name()));
        return new FreeNames(taken);
    }

    private static Board with(Board b, String gallery, List<Element> items, int at) {
        return b.mapElement(gallery, e -> {
            var all = new ArrayList<>(e.children());
            all.addAll(at < 0 ? all.size() : Math.min(at, all.size()), items);
            return e.withChildren(all);
        });
    }

    /** With an item taken before another place among its neighbours. */
    public static Board moved(Board b, String gallery, String item, int to) {
        return b.mapElement(gallery, e -> {
            var all = new ArrayList<>(e.children());
            Element x = all.stream().filter(c -> c.id().equals(item)).findFirst().orElseThrow();
            all.remove(x);
            all.add(Math.max(0, Math.min(to, all.size())), x);
            return e.withChildren(all);
        });
    }

    /** A gallery whose items fit its cells again, where a setting that was changed has to do with that. */
    public static Element fitted(Element e, Slot changed) {
        Content.Block g = Blocks.of(e);
        return !g.kind().gallery() || !Set.of(Blocks.ITEM_WIDTH, Blocks.ITEM_HEIGHT, Blocks.FITS).contains(changed) ? e
                : e.withChildren(e.children().stream().map(c -> fitted(c, g)).toList());
    }

    /** An item in the middle of its cell, as large as the gallery says. What is neither picture nor motif keeps its size. */
    public static Element fitted(Element item, Content.Block g) {
        Point cell = cell(g);
        String fits = g.text(Blocks.FITS);
        if (fits.equals("as drawn")) {
            return item.rest().has(Properties.POSITION) ? item : item.with(Properties.POSITION, cell.times(0.5));
        }
        Element out = item.with(Properties.POSITION, cell.times(0.5)).with(Properties.PIVOT, new Point(0.5, 0.5));
        Point box = item.content() instanceof Content.Instance i ? i.box() : item.content() instanceof Content.Picture ? item.rest()
                .get(Properties.SIZE) : null;
        if (box == null || !(box.x() > 0) || !(box.y() > 0)) {
            return out;
        }
        Point k = fits(fits, box, cell);
        return item.content() instanceof Content.Instance ? out.with(Properties.SCALE, k) : out.with(Properties.SIZE, box.times(k));
    }

    /** By how much a box is stretched to fill a cell, contain or cover it, as CSS {@code object-fit}. */
    private static Point fits(String rule, Point box, Point cell) {
        double x = cell.x() / box.x(), y = cell.y() / box.y(), one = rule.equals("contain") ? Math.min(x, y) : Math.max(x, y);
        return rule.equals("stretch") ? new Point(x, y) : new Point(one, one);
    }

    /** The topmost gallery that lies under a point of the canvas; null where none does. */
    public static String under(Board b, Frame frame, Point at) {
        for (List<String> path : HitTest.under(frame, at, 0)) {
            for (String id : path) {
                if (Blocks.of(b.find(id)) instanceof Content.Block g && g.kind().gallery()) {
                    return id;
                }
            }
        }
        return null;
    }
}
