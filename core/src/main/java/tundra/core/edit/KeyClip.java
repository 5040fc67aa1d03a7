package tundra.core.edit;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.IntStream;
import tundra.core.geometry.Affine;
import tundra.core.geometry.Point;
import tundra.core.model.Board;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Properties;
import tundra.core.model.Property;
import tundra.core.model.Timeline;
import tundra.core.model.Tree;
import tundra.core.model.Values;
import tundra.core.motion.Easing;
import tundra.core.motion.Key;
import tundra.core.motion.PathShape;
import tundra.core.motion.Track;

/**
 * Copied keys: of each element the keys of its properties with times from the first key of all on.
 *
 * @param of the elements that the keys were taken from, in the order of the outline from the back
 * @param moves the keys of each of them
 */
public record KeyClip(List<String> of, List<Map<Property<?>, Track<?>>> moves) {

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
        byElement.values().removeIf(Map::isEmpty);
        return new KeyClip(List.copyOf(byElement.keySet()), List.copyOf(byElement.values()));
    }

    /** All the keys of some elements. */
    public static KeyClip whole(Timeline t, Collection<String> elements) {
        return of(t, all(t, elements));
    }

    /**
     * The elements that a paste goes to, each with the place of its move among those copied: one move to every selected element, several
     * to as many selected ones in the order of the outline, else each back to the element that it was taken from, if that is there.
     */
    public Map<String, Integer> targets(Board board, Collection<String> selected) {
        var order = new LinkedHashMap<String, Integer>();
        order.put(Board.CANVAS, 0);
        Tree.each(board.elements(), e -> order.put(e.id(), order.size()));
        Set<String> picked = Set.copyOf(selected);
        List<String> chosen = order.keySet().stream().filter(picked::contains).toList();
        var out = new LinkedHashMap<String, Integer>();
        if (moves.size() == 1 && !chosen.isEmpty()) {
            chosen.forEach(id -> out.put(id, 0));
        } else if (chosen.size() == moves.size() && moves.size() > 1) {
            List<Integer> from = IntStream.range(0, of.size()).boxed().sorted(Comparator.comparingInt(i -> order.getOrDefault(of.get(i), -1)))
                    .toList();
            for (int i = 0; i < chosen.size(); i++) {
                out.put(chosen.get(i), from.get(i));
            }
        } else {
            for (int i = 0; i < of.size(); i++) {
                if (order.containsKey(of.get(i))) {
                    out.put(of.get(i), i);
                }
            }
        }
        return out;
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
    public record Pasted(Board board, List<Keys.Ref> refs) {
        /** The elements that got keys, in turn. */
        public List<String> onto() {
            return refs.stream().map(Keys.Ref::element).distinct().toList();
        }
    }

    /**
     * Puts the keys on elements from a time on. What an element doesn't have, such as the corner radius of an ellipse, is left out. A
     * timeline too short for them grows.
     *
     * @param onto elements with the places of the moves that they get, as {@link #targets} gives them
     * @param shifted whether positions keep their way but begin where each element is, instead of standing where they stood
     */
    public Pasted paste(Board board, String timeline, Map<String, Integer> onto, long at, boolean shifted) {
        Board b = board;
        var refs = new ArrayList<Keys.Ref>();
        for (var target : onto.entrySet()) {
            String id = target.getKey();
            for (var e : moves.get(target.getValue()).entrySet()) {
                if (e.getKey().appliesTo(b.owner(id))) {
                    b = paste(b, timeline, id, e.getKey(), e.getValue(), at, shifted, refs);
                }
            }
        }
        return new Pasted(b, refs);
    }

    @SuppressWarnings("unchecked")
    private static <T> Board paste(Board b, String timeline, String id, Property<T> p, Track<?> copied, long at, boolean shifted,
            List<Keys.Ref> refs) {
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
    public static KeyClip along(Content.Path path, Point size, Affine toParent, long duration) {
        Point box = path.box();
        var stretch = Affine.scale(box.x() == 0 ? 1 : size.x() / box.x(), box.y() == 0 ? 1 : size.y() / box.y());
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
                keys.add(new Key<>(at, node.at(), Easing.LINEAR, node.in(), node.out()));
            }
            done += i < segments.size() ? segments.get(i).length(0, 1) : 0;
        }
        return new KeyClip(List.of(""), List.of(Map.of(Properties.POSITION, new Track<>(keys, new PathShape(0, contour.closed(), Easing.LINEAR)))));
    }

    /** The way of a copied move as nodes; null when there is none in it. */
    public Element shape(String name, Values look) {
        for (var m : moves) {
            if (m.get(Properties.POSITION) instanceof Track<?> t && t.keys().size() > 1) {
                return MoveShape.of(name, t, look);
            }
        }
        return null;
    }
}
