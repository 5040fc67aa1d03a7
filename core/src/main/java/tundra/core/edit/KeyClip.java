package tundra.core.edit;

import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import tundra.core.geometry.Point;
import tundra.core.model.Board;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Properties;
import tundra.core.model.Property;
import tundra.core.model.Timeline;
import tundra.core.motion.Key;
import tundra.core.motion.PathShape;
import tundra.core.motion.Track;

/**
 * Copied keys: of each element, in the order in which they were taken, the keys of its properties with times from the first
 * key of all on.
 */
public record KeyClip(List<Map<Property<?>, Track<?>>> moves) {

    public static KeyClip of(Timeline t, Collection<Keys.Ref> refs) {
        long first = refs.stream().mapToLong(Keys.Ref::time).min().orElse(0);
        var byElement = new LinkedHashMap<String, Map<Property<?>, Track<?>>>();
        var times = new LinkedHashMap<String, Set<Long>>();
        refs.forEach(r -> times.computeIfAbsent(r.element() + " " + r.property().key(), k -> new LinkedHashSet<>()).add(r.time()));
        refs.forEach(r -> {
            var of = byElement.computeIfAbsent(r.element(), k -> new LinkedHashMap<>());
            Track<?> track = t.track(r.element(), r.property());
            if (track != null && !of.containsKey(r.property())) {
                of.put(r.property(), picked(track, times.get(r.element() + " " + r.property().key()), first));
            }
        });
        return new KeyClip(byElement.values().stream().filter(m -> !m.isEmpty()).toList());
    }

    /** All the keys of some elements. */
    public static KeyClip whole(Timeline t, Collection<String> elements) {
        return of(t, all(t, elements));
    }

    public static List<Keys.Ref> all(Timeline t, Collection<String> elements) {
        var refs = new ArrayList<Keys.Ref>();
        elements.forEach(id -> t.tracksOf(id).forEach((p, track) -> track.keys().forEach(k -> refs.add(new Keys.Ref(id, p, k.time())))));
        return refs;
    }

    private static <T> Track<T> picked(Track<T> track, Set<Long> times, long first) {
        return track.withKeys(track.keys().stream().filter(k -> times.contains(k.time())).map(k -> k.at(k.time() - first)).toList());
    }

    /** The board with the keys on other elements, and which keys they are there. */
    public record Pasted(Board board, List<Keys.Ref> refs) {}

    /**
     * Puts the keys on elements from a time on: one copied move on each of them, several on as many in turn. What an element
     * doesn't have, such as the corner radius of an ellipse, is left out. A timeline too short for them grows.
     *
     * @param shifted whether positions keep their way but begin where each element is, instead of standing where they stood
     */
    public Pasted paste(Board board, String timeline, List<String> elements, long at, boolean shifted) {
        Board b = board;
        var refs = new ArrayList<Keys.Ref>();
        for (int i = 0; i < elements.size() && !moves.isEmpty(); i++) {
            String id = elements.get(i);
            for (var e : moves.get(i % moves.size()).entrySet()) {
                if (e.getKey().appliesTo().test(id.equals(Board.CANVAS) ? null : b.find(id).content())) {
                    b = paste(b, timeline, id, e.getKey(), e.getValue(), at, shifted, refs);
                }
            }
        }
        return new Pasted(b, refs);
    }

    @SuppressWarnings("unchecked")
    private static <T> Board paste(Board b, String timeline, String id, Property<T> p, Track<?> copied, long at, boolean shifted, List<Keys.Ref> refs) {
        Track<T> from = (Track<T>) copied;
        Timeline t = b.timeline(timeline);
        T start = from.keys().getFirst().value();
        T here = PropertyEdit.valueAt(b, t, id, p, at);
        boolean place = p == Properties.POSITION || p == Properties.POSITION_X || p == Properties.POSITION_Y;
        Track<T> old = t.track(id, p);
        Track<T> out = old;
        long longest = t.duration();
        for (Key<T> k : from.keys()) {
            T value = shifted && place ? p.type().shifted(k.value(), start, here) : k.value();
            Key<T> key = new Key<>(k.time() + at, p.clamped(value), k.easing(), k.in(), k.out(), k.own());
            out = out == null ? new Track<>(List.of(key), from.shape()) : out.with(key);
            longest = Math.max(longest, key.time());
            refs.add(new Keys.Ref(id, p, key.time()));
        }
        Track<T> track = out;
        long duration = longest;
        return b.mapTimeline(timeline, x -> x.withDuration(duration).with(id, p, track));
    }

    /**
     * The outline of a drawn shape as a move: one key for each node, times by the way between them, even speed. The first
     * contour is taken.
     *
     * @param toParent from the shape's box to the coordinates of the element that moves
     */
    public static KeyClip along(Content.Path path, Point size, tundra.core.geometry.Affine toParent, long duration) {
        Point box = path.box();
        var stretch = tundra.core.geometry.Affine.scale(box.x() == 0 ? 1 : size.x() / box.x(), box.y() == 0 ? 1 : size.y() / box.y());
        var contour = path.outline().through(toParent.times(stretch)).contours().getFirst();
        var segments = contour.segments();
        double whole = segments.stream().mapToDouble(s -> s.length(0, 1)).sum();
        var keys = new ArrayList<Key<Point>>();
        double done = 0;
        int n = contour.nodes().size();
        for (int i = 0; i <= segments.size(); i++) {
            var node = contour.nodes().get(i % n);
            long at = whole == 0 ? i : Math.round(duration * done / whole);
            if (keys.isEmpty() || at > keys.getLast().time()) {
                keys.add(new Key<>(at, node.at(), tundra.core.motion.Easing.LINEAR, node.in(), node.out()));
            }
            done += i < segments.size() ? segments.get(i).length(0, 1) : 0;
        }
        return new KeyClip(List.of(Map.of(Properties.POSITION, new Track<>(keys, new PathShape(0, contour.closed(), tundra.core.motion.Easing.LINEAR)))));
    }

    /** The way of a copied move as nodes; null when there is none in it. */
    public Element shape(String name, tundra.core.model.Values look) {
        for (var m : moves) {
            if (m.get(Properties.POSITION) instanceof Track<?> t && t.keys().size() > 1) {
                return MoveShape.of(name, t, look);
            }
        }
        return null;
    }
}
