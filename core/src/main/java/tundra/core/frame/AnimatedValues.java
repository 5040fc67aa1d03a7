package tundra.core.frame;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import tundra.core.geometry.Point;
import tundra.core.model.Board;
import tundra.core.model.Element;
import tundra.core.model.Properties;
import tundra.core.model.Property;
import tundra.core.model.Span;
import tundra.core.model.Timeline;
import tundra.core.model.ValueType;
import tundra.core.model.Values;
import tundra.core.motion.MotionPath;
import tundra.core.motion.Track;

/** The animated values of a board's elements at a moment. Of two timelines that key the same property the one started last decides. */
final class AnimatedValues {
    private static final int FORMS = 512;
    private final Board board;
    private final Set<String> animated;
    /** Measured paths by timeline and element, with the keys that they were measured from. */
    private final Map<String, Measured> paths;
    /** What was worked out of outlines along their tracks, which takes as long as many frames; of versions before too, up to so many. */
    private final Map<Track<?>, Track.Blend<?>> forms;
    private Order order;

    private record Measured(Track<Point> track, MotionPath path) {}

    /** One keyed property of one element, and which of the moment's timelines it is keyed on. */
    private record Channel<T>(Property<T> property, int standing, Track<T> track, MotionPath path, Track.Blend<T> blend) {
        Object at(Moment m) {
            long t = time(m);
            return path != null ? path.at(t) : track.at(t, blend);
        }

        long time(Moment m) {
            return m.standings().get(standing).time();
        }
    }

    private record Seen(int standing, Span span) {}

    /** What decides while the same timelines are active in the same order. */
    private final class Order {
        final Moment of;
        final Map<String, List<Channel<?>>> channels = new HashMap<>();
        final Map<String, Seen> spans = new HashMap<>();

        Order(Moment of) {
            this.of = of;
            for (int i = 0; i < of.standings().size(); i++) {
                Timeline t = board.timeline(of.standings().get(i).timeline());
                if (t != null) {
                    add(i, t);
                }
            }
        }

        private void add(int standing, Timeline t) {
            t.shown().forEach((id, span) -> spans.put(id, new Seen(standing, span)));
            t.tracks().forEach((id, of) -> of.keySet().forEach(p -> {
                var list = channels.computeIfAbsent(id, k -> new ArrayList<>());
                list.removeIf(c -> c.property() == p);
                list.add(channel(standing, t, id, p));
            }));
        }

        private <T> Channel<T> channel(int standing, Timeline t, String id, Property<T> p) {
            Track<T> track = t.track(id, p);
            return new Channel<>(p, standing, track, p == Properties.POSITION ? path(t.id(), id) : null, blend(p, track));
        }

        @SuppressWarnings("unchecked")
        private <T> Track.Blend<T> blend(Property<T> p, Track<T> track) {
            return p.type() == ValueType.OUTLINE ? (Track.Blend<T>) forms.computeIfAbsent(track, k -> p.type().blending()) : p.type().blending();
        }
    }

    /** @param previous measured paths that may be taken over; null for none */
    AnimatedValues(Board board, AnimatedValues previous) {
        this.board = board;
        if (previous != null && previous.board.timelines() == board.timelines()) {
            animated = previous.animated;
            paths = previous.paths;
            order = previous.order;
            forms = previous.forms;
            return;
        }
        animated = new HashSet<>();
        paths = new HashMap<>();
        forms = previous != null && previous.forms.size() < FORMS ? previous.forms : new IdentityHashMap<>();
        for (Timeline t : board.timelines()) {
            animated.addAll(t.tracks().keySet());
            animated.addAll(t.shown().keySet());
            for (String id : t.tracks().keySet()) {
                Track<Point> places = t.track(id, Properties.POSITION);
                if (places != null) {
                    String name = t.id() + " " + id;
                    Measured known = previous == null ? null : previous.paths.get(name);
                    MotionPath path = known == null ? new MotionPath(places) : known.track == places ? known.path
                            : new MotionPath(places, known.path);
                    paths.put(name, new Measured(places, path));
                }
            }
        }
    }

    private Order order(Moment m) {
        if (order == null || !order.of.sameOrder(m)) {
            order = new Order(m);
        }
        return order;
    }

    /** The measured path of an element's position; null when it has no keys there. */
    MotionPath path(String timeline, String id) {
        Measured m = paths.get(timeline + " " + id);
        return m == null ? null : m.path;
    }

    /** Whether the timelines are those of others. */
    boolean sameTimelines(AnimatedValues o) {
        return board.timelines() == o.board.timelines();
    }

    /** Whether the same elements are animated as in others. */
    boolean sameElements(AnimatedValues o) {
        return animated == o.animated || animated.equals(o.animated);
    }

    boolean animated(String id) {
        return animated.contains(id);
    }

    /** Whether a property of an element has keys on an active timeline. */
    boolean keyed(String id, Property<?> p, Moment m) {
        return channel(id, p, order(m)) != null;
    }

    /** Whether an element is seen at a moment, as far as its spans and values say. */
    boolean shown(Element e, Moment m) {
        Order o = order(m);
        Seen s = o.spans.get(e.id());
        if (s != null && !s.span.contains(m.standings().get(s.standing).time())) {
            return false;
        }
        Channel<?> keyed = channel(e.id(), Properties.SHOWN, o);
        return (keyed == null ? e.rest().get(Properties.SHOWN) : keyed.at(m)).equals("yes");
    }

    private static Channel<?> channel(String id, Property<?> p, Order o) {
        var list = o.channels.get(id);
        for (int i = 0; list != null && i < list.size(); i++) {
            if (list.get(i).property() == p) {
                return list.get(i);
            }
        }
        return null;
    }

    /** The stretch of time that decides whether an element is seen; null when none does. */
    Span span(String id, Moment m) {
        Seen s = order(m).spans.get(id);
        return s == null ? null : s.span;
    }

    Values at(String id, Values rest, Moment m) {
        var list = order(m).channels.get(id);
        if (list == null) {
            return rest;
        }
        int n = list.size();
        var properties = new Property<?>[n];
        var values = new Object[n];
        for (int i = 0; i < n; i++) {
            var c = list.get(i);
            properties[i] = c.property();
            values[i] = c.at(m);
        }
        return facing(list, split(rest.overlay(properties, values, n)), m);
    }

    /** The two halves of a split position in place of the position. */
    private static Values split(Values v) {
        if (!v.has(Properties.POSITION_X) && !v.has(Properties.POSITION_Y)) {
            return v;
        }
        Point at = v.get(Properties.POSITION);
        return v.with(Properties.POSITION, new Point(v.has(Properties.POSITION_X) ? v.get(Properties.POSITION_X) : at.x(),
                v.has(Properties.POSITION_Y) ? v.get(Properties.POSITION_Y) : at.y()));
    }

    private static Values facing(List<Channel<?>> list, Values v, Moment m) {
        if (!v.get(Properties.FACE_PATH).equals("yes")) {
            return v;
        }
        for (Channel<?> c : list) {
            if (c.path() != null) {
                double ahead = c.path().direction(c.time(m));
                return v.with(Properties.ROTATION, v.get(Properties.ROTATION) + ahead - v.get(Properties.FRONT));
            }
        }
        return v;
    }
}
