package tundra.core.fit;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import tundra.core.geometry.Affine;
import tundra.core.geometry.Outline;
import tundra.core.geometry.Point;
import tundra.core.model.Board;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Properties;
import tundra.core.model.Property;
import tundra.core.model.Tie;
import tundra.core.model.Timeline;
import tundra.core.model.Values;
import tundra.core.motion.Track;

/** A board at another size than its own: each element where its ties take it, and as large as they make it. */
public final class Fit {
    private final Map<String, Change> changes = new HashMap<>();

    /**
     * What became of one element.
     *
     * @param moved of its position at rest
     * @param grown of its size
     * @param scaled of its scale
     * @param parent how many times as large its parent is
     * @param share whether its way goes with the parent
     */
    private record Change(Point moved, Point grown, Point scaled, Point parent, boolean share) {}

    /** By how much texts that go with the width of the canvas grow, before their bounds are asked. */
    private final double words;

    private Fit(double words) {
        this.words = words;
    }

    /** @param size of the canvas, in px, above 0 */
    public static Board at(Board b, Point size) {
        return at(b, size, size.x() / b.size().x());
    }

    /** The same with texts as large as they are drawn. */
    public static Board withoutWords(Board b, Point size) {
        return at(b, size, 1);
    }

    private static Board at(Board b, Point size, double words) {
        if (size.equals(b.size())) {
            return b;
        }
        var fit = new Fit(words);
        List<Element> elements = fit.all(b.elements(), b.size(), size);
        List<Timeline> timelines = b.timelines().stream().map(fit::timeline).toList();
        return b.withSize(size).withElements(elements).withTimelines(timelines);
    }

    private List<Element> all(List<Element> of, Point from, Point to) {
        var out = new ArrayList<Element>(of.size());
        boolean same = true;
        for (Element e : of) {
            Element now = element(e, from, to);
            same &= now == e;
            out.add(now);
        }
        return same ? of : out;
    }

    private Element element(Element e, Point from, Point to) {
        Values v = e.rest();
        Point box = Tie.box(e), pivot = v.get(Properties.PIVOT), at = v.get(Properties.POSITION);
        Point begin = new Point(at.x() - pivot.x() * box.x(), at.y() - pivot.y() * box.y());
        boolean text = e.content() instanceof Content.Text;
        boolean whole = text && v.get(Properties.SIZE_IN).equals("%");
        Tie.Growth x = from.x() > 0 ? tie(Tie.across(v), text && (box.x() == 0 || whole)).growth(from.x(), begin.x(), box.x()) : Tie.Growth.NONE;
        Tie.Growth y = from.y() > 0 ? tie(Tie.down(v), text).growth(from.y(), begin.y(), box.y()) : Tie.Growth.NONE;
        Point by = to.minus(from);
        Point size = new Point(Math.max(0, box.x() + x.length() * by.x()), Math.max(0, box.y() + y.length() * by.y()));
        Point start = new Point(begin.x() + x.begin() * by.x(), begin.y() + y.begin() * by.y());
        boolean way = v.get(Properties.WAY_IN).equals("%");
        double letters = text ? letters(e, words) : 1;
        if (size.equals(box)) {
            Point moved = start.minus(begin);
            if (moved.equals(Point.ZERO) && !way && letters == 1) {
                return e;
            }
            return put(e, moved, Point.ZERO, new Point(letters, letters), from, to, way);
        }
        String rule = v.get(Properties.RESIZE);
        if (rule.equals("stretch") && (text || Properties.SIZE.appliesTo(e))) {
            Point grown = size.minus(box);
            Point moved = new Point(start.x() + pivot.x() * (box.x() + grown.x()) - at.x(), start.y() + pivot.y() * (box.y() + grown.y()) - at.y());
            return put(e, moved, grown, new Point(1, 1), from, to, way);
        }
        Point k = scale(rule, box, size), point = rule.equals("stretch") ? Point.ZERO : v.get(Properties.RESIZE_POINT);
        Point shown = new Point(k.x() * box.x(), k.y() * box.y());
        Point moved = new Point(start.x() + point.x() * (size.x() - shown.x()) + pivot.x() * shown.x() - at.x(), start.y()
                + point.y() * (size.y() - shown.y()) + pivot.y() * shown.y() - at.y());
        return put(e, moved, Point.ZERO, k, from, to, way);
    }

    /**
     * By how much a text that goes with the width of its scene is larger than drawn: as the scene is, within its bounds.
     *
     * @param wider the width of the scene by that as drawn
     */
    public static double letters(Element e, double wider) {
        Values v = e.rest();
        double size = ((Content.Text) e.content()).size(), least = v.get(Properties.SIZE_LEAST), most = v.get(Properties.SIZE_MOST);
        return !v.get(Properties.SIZE_IN).equals("%") ? 1 : Math.max(least / size, most > 0 ? Math.min(wider, most / size) : wider);
    }

    /** What takes its length from its words keeps it. */
    private static Tie tie(Tie t, boolean byWords) {
        return byWords ? new Tie(t.side() == Tie.Side.BOTH ? Tie.Side.NEAR : t.side(), t.nearIn(), false, t.farIn()) : t;
    }

    private static Point scale(String rule, Point box, Point size) {
        double x = box.x() > 0 ? size.x() / box.x() : 1, y = box.y() > 0 ? size.y() / box.y() : 1;
        return switch (rule) {
            case "keep" -> new Point(1, 1);
            case "contain" -> new Point(Math.min(x, y), Math.min(x, y));
            case "cover" -> new Point(Math.max(x, y), Math.max(x, y));
            default -> new Point(x, y);
        };
    }

    private Element put(Element e, Point moved, Point grown, Point scaled, Point from, Point to, boolean way) {
        Values v = e.rest();
        changes.put(e.id(), new Change(moved, grown, scaled, new Point(ratio(from.x(), to.x()), ratio(from.y(), to.y())), way));
        Values now = v.with(Properties.POSITION, v.get(Properties.POSITION).plus(moved));
        if (!scaled.equals(new Point(1, 1))) {
            now = now.with(Properties.SCALE, v.get(Properties.SCALE).times(scaled));
        }
        if (grown.equals(Point.ZERO)) {
            return e.withRest(now);
        }
        if (e.content() instanceof Content.Text t) {
            return e.withRest(now.with(Properties.WRAP, t.wrap() + grown.x()));
        }
        Point box = v.get(Properties.SIZE);
        Element sized = e.withRest(now.with(Properties.SIZE, box.plus(grown)));
        return e.content() instanceof Content.Group g ? held(sized, g.clip(), box, box.plus(grown)) : sized;
    }

    /** What a group holds follows its size, and so does what it clips to. */
    private Element held(Element group, Outline clip, Point from, Point to) {
        Element out = group.withChildren(all(group.children(), from, to));
        Outline wide = clip == null ? null : clip.through(Affine.scale(ratio(from.x(), to.x()), ratio(from.y(), to.y())));
        var g = (Content.Group) out.content();
        return clip == null ? out : out.withContent(new Content.Group(g.children(), g.box(), wide, g.scatter()));
    }

    private static double ratio(double from, double to) {
        return from > 0 ? to / from : 1;
    }

    private Timeline timeline(Timeline t) {
        var out = new HashMap<String, Map<Property<?>, Track<?>>>();
        t.tracks().forEach((owner, of) -> {
            Change c = changes.get(owner);
            if (c != null) {
                var now = new HashMap<Property<?>, Track<?>>(of);
                now.replaceAll((p, track) -> track(p, track, c));
                out.put(owner, now);
            }
        });
        return out.isEmpty() ? t : t.withAll(out);
    }

    @SuppressWarnings("unchecked")
    private static Track<?> track(Property<?> p, Track<?> t, Change c) {
        if (p == Properties.POSITION) {
            var of = (Track<Point>) t;
            return c.share ? of.map(k -> k.with(k.value().times(c.parent)).mapHandles(h -> h.times(c.parent)))
                    : of.map(k -> k.with(k.value().plus(c.moved)));
        }
        if (p == Properties.POSITION_X || p == Properties.POSITION_Y) {
            boolean x = p == Properties.POSITION_X;
            double by = x ? c.moved.x() : c.moved.y(), ratio = x ? c.parent.x() : c.parent.y();
            return ((Track<Double>) t).map(k -> k.with(c.share ? k.value() * ratio : k.value() + by));
        }
        if (p == Properties.SIZE) {
            return ((Track<Point>) t).map(k -> k.with(new Point(Math.max(0, k.value().x() + c.grown.x()), Math.max(0, k.value().y() + c.grown.y()))));
        }
        if (p == Properties.SCALE) {
            return ((Track<Point>) t).map(k -> k.with(k.value().times(c.scaled)));
        }
        return p == Properties.WRAP ? ((Track<Double>) t).map(k -> k.with(Math.max(0, k.value() + c.grown.x()))) : t;
    }
}
