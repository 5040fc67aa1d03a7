package tundra.web;

import java.util.List;
import tundra.core.geometry.Numbers;
import tundra.core.geometry.Point;
import tundra.core.model.Board;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Properties;
import tundra.core.model.Property;
import tundra.core.model.Tie;
import tundra.core.model.Values;

/**
 * What is contained in, or covers, a box that follows both sides of a scene as high as its window: it is as large as the lesser, or the
 * greater, of two ratios, which is linear in neither side alone and is said by CSS {@code min()} and {@code max()}.
 */
final class Covering {
    private static final String WIDER = "(var(--w) - var(--n))", TALLER = "(var(--h) - var(--m))";

    private Covering() {}

    /** Of a scene's elements that rest; the looks that go with one side at a time are there already. */
    static void css(Markup markup, Board b) {
        if (Grown.of(b).size() < Grown.ALL.size()) {
            return;
        }
        each(markup, b, b.elements(), b.size(), new Point(1, 1));
    }

    /**
     * @param parent the size of what holds them, as drawn
     * @param grows by how many px that grows for each px of the scene, across and down
     */
    private static void each(Markup markup, Board b, List<Element> all, Point parent, Point grows) {
        for (Element e : all) {
            Values v = e.rest();
            Point box = Tie.box(e), at = v.get(Properties.POSITION), pivot = v.get(Properties.PIVOT);
            if (markup.of(e.id()) == null || box.x() <= 0 || box.y() <= 0 || e.content() instanceof Content.Text) {
                continue;
            }
            Tie.Growth x = Tie.across(v).growth(parent.x(), at.x() - pivot.x() * box.x(), box.x()), y = Tie.down(v)
                    .growth(parent.y(), at.y() - pivot.y() * box.y(), box.y());
            String rule = v.get(Properties.RESIZE);
            if (rule.equals("stretch") && e.content() instanceof Content.Group) {
                each(markup, b, e.children(), box, new Point(grows.x() * x.length(), grows.y() * y.length()));
            } else if ((rule.equals("contain") || rule.equals("cover")) && x.length() * grows.x() != 0 && y.length() * grows.y() != 0
                    && rests(b, e)) {
                put(markup, e, x, y, grows, rule.equals("contain") ? "min" : "max");
            }
        }
    }

    private static boolean rests(Board b, Element e) {
        return List.<Property<?>>of(Properties.POSITION, Properties.POSITION_X, Properties.POSITION_Y, Properties.SCALE).stream()
                .noneMatch(p -> Keyed.any(b, e.id(), p));
    }

    private static void put(Markup markup, Element e, Tie.Growth x, Tie.Growth y, Point grows, String which) {
        Values v = e.rest();
        Point box = Tie.box(e), pivot = v.get(Properties.PIVOT), point = v.get(Properties.RESIZE_POINT), scale = v.get(Properties.SCALE);
        String k = which + "(1 + " + WIDER + " * " + number(grows.x() * x.length() / box.x()) + ", 1 + " + TALLER + " * "
                + number(grows.y() * y.length() / box.y()) + ")";
        PageElement page = markup.of(e.id());
        Point from = v.get(Properties.POSITION).minus(page.box().shift());
        String across = side(from.x(), WIDER, grows.x() * (x.begin() + point.x() * x.length()), k, (pivot.x() - point.x()) * box.x());
        String down = side(from.y(), TALLER, grows.y() * (y.begin() + point.y() * y.length()), k, (pivot.y() - point.y()) * box.y());
        String name = page.box().outer();
        if (page.lets()) {
            markup.css().put(name, "left", across);
            markup.css().put(name, "top", down);
        } else {
            markup.css().put(name, "translate", across + " " + down);
        }
        markup.css().put(name, "scale", "calc(" + number(scale.x()) + " * " + k + ") calc(" + number(scale.y()) + " * " + k + ")");
    }

    /** Where it is as drawn, with the side of the scene, and with its own size. */
    private static String side(double drawn, String by, double linear, String k, double own) {
        return "calc(" + CssText.px(drawn) + " + " + by + " * " + number(linear) + "px + (" + k + " - 1) * " + number(own) + "px)";
    }

    private static String number(double v) {
        return Numbers.plain(v, 9);
    }
}
