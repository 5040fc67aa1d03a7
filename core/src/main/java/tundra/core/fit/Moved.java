package tundra.core.fit;

import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import tundra.core.geometry.Point;
import tundra.core.model.Board;
import tundra.core.model.Differs;
import tundra.core.model.Element;
import tundra.core.model.Properties;
import tundra.core.model.Property;
import tundra.core.model.Timeline;
import tundra.core.model.Tree;
import tundra.core.model.Values;
import tundra.core.motion.Track;

/** Elements that went from one group to another, whose places are counted from elsewhere since. */
final class Moved {
    private Moved() {}

    /** By how much the places of such elements changed, by their ids. */
    static Map<String, Point> between(Board was, Board now) {
        var out = new HashMap<String, Point>();
        Tree.each(now.elements(), e -> {
            Element before = was.find(e.id());
            if (before != null && before != e && !parent(was, e.id()).equals(parent(now, e.id()))) {
                out.put(e.id(), e.rest().get(Properties.POSITION).minus(before.rest().get(Properties.POSITION)));
            }
        });
        return out;
    }

    private static String parent(Board b, String id) {
        List<String> path = b.path(id);
        return path.size() < 2 ? "" : path.get(path.size() - 2);
    }

    /** A board with those moved, with all their keys. */
    static Board here(Board b, Map<String, Point> by) {
        Board out = b.mapElements(new HashSet<>(by.keySet()), e -> e.with(Properties.POSITION, e.rest().get(Properties.POSITION)
                .plus(by.get(e.id()))));
        for (Timeline t : b.timelines()) {
            for (var e : by.entrySet()) {
                Point d = e.getValue();
                out = out.mapTimeline(t.id(), x -> x.mapKeys(e.getKey(), Properties.POSITION, k -> k.with(k.value().plus(d)))
                        .mapKeys(e.getKey(), Properties.POSITION_X, k -> k.with(k.value() + d.x())).mapKeys(e.getKey(), Properties.POSITION_Y,
                        k -> k.with(k.value() + d.y())));
            }
        }
        return out;
    }

    /** A board with those where they are in a later version: the very numbers, where adding would round them otherwise. */
    static Board as(Board b, Board later, Map<String, Point> by) {
        if (by.isEmpty()) {
            return b;
        }
        Board out = here(b, by).mapElements(new HashSet<>(by.keySet()), e -> e.with(Properties.POSITION, later.find(e.id()).rest()
                .get(Properties.POSITION)));
        for (Timeline t : out.timelines()) {
            Timeline now = later.timeline(t.id());
            for (String id : now == null ? Set.<String>of() : by.keySet()) {
                for (Property<?> p : List.of(Properties.POSITION, Properties.POSITION_X, Properties.POSITION_Y)) {
                    Track<?> is = t.tracksOf(id).get(p), there = now.tracksOf(id).get(p);
                    out = is != null && there != null && near(p, is, there) ? put(out, t.id(), id, p, there) : out;
                }
            }
        }
        return out;
    }

    @SuppressWarnings("unchecked")
    private static <T> Board put(Board b, String timeline, String id, Property<T> p, Track<?> track) {
        return b.mapTimeline(timeline, t -> t.with(id, p, (Track<T>) track));
    }

    private static <T> boolean near(Property<T> p, Track<?> a, Track<?> b) {
        if (a.keys().size() != b.keys().size() || !a.shape().equals(b.shape())) {
            return false;
        }
        for (int i = 0; i < a.keys().size(); i++) {
            double[] x = p.type().parts(p.cast(a.keys().get(i).value())), y = p.type().parts(p.cast(b.keys().get(i).value()));
            for (int k = 0; k < x.length; k++) {
                if (Math.abs(x[k] - y[k]) > 1e-6) {
                    return false;
                }
            }
            if (a.keys().get(i).time() != b.keys().get(i).time() || !a.keys().get(i).easing().equals(b.keys().get(i).easing())) {
                return false;
            }
        }
        return true;
    }

    /** The same in all that layouts say of their places. */
    static Board everywhere(Board base, Map<String, Point> by) {
        return by.isEmpty() ? base : here(base, by).withLayouts(base.layouts().stream().map(l -> l.withDiffers(moved(l.differs(), by))).toList());
    }

    /** What differs, with all that it says of the places of such elements. */
    static Differs moved(Differs d, Map<String, Point> by) {
        Differs out = d;
        for (var e : by.entrySet()) {
            Values own = d.values().get(e.getKey());
            if (own != null && own.has(Properties.POSITION)) {
                out = out.withValues(e.getKey(), v -> v.with(Properties.POSITION, v.get(Properties.POSITION).plus(e.getValue())));
            }
        }
        for (var t : d.timelines().entrySet()) {
            for (var track : t.getValue().tracks().entrySet()) {
                Point p = by.get(track.getKey().owner());
                if (p != null) {
                    out = out.withTimeline(t.getKey(), x -> x.with(track.getKey(), moved(track.getKey().property(), track.getValue(), p)));
                }
            }
        }
        return out;
    }

    @SuppressWarnings("unchecked")
    private static Track<?> moved(Property<?> p, Track<?> t, Point by) {
        if (p == Properties.POSITION) {
            return ((Track<Point>) t).map(k -> k.with(k.value().plus(by)));
        }
        return p == Properties.POSITION_X || p == Properties.POSITION_Y ? ((Track<Double>) t)
                .map(k -> k.with(k.value() + (p == Properties.POSITION_X ? by.x() : by.y()))) : t;
    }
}
