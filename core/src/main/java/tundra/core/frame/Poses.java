package tundra.core.frame;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import tundra.core.geometry.Point;
import tundra.core.model.Board;
import tundra.core.model.Properties;
import tundra.core.model.Property;
import tundra.core.model.Timeline;
import tundra.core.model.Values;
import tundra.core.motion.MotionPath;
import tundra.core.motion.Track;

/** The animated values of a board's elements. Where two timelines key the same property, the later one in the list wins. */
final class Poses {
    private final Map<String, List<Channel<?>>> channels = new HashMap<>();

    /** One keyed property of one element on one timeline. */
    private record Channel<T>(Property<T> property, Timeline timeline, Track<T> track, MotionPath path) {
        Object at(long time) {
            long t = timeline.local(time);
            return path != null ? path.at(t) : track.at(t, property.type()::lerp);
        }
    }

    private final Map<String, List<Timeline>> spans = new HashMap<>();

    /** Measured paths by element and timeline, with the keys that they were measured from. */
    private final Map<String, Measured> paths = new HashMap<>();

    private record Measured(Track<Point> track, MotionPath path) {}

    /** @param previous measured paths that may be taken over; null for none */
    Poses(Board board, Poses previous) {
        for (Timeline t : board.timelines()) {
            t.shown().keySet().forEach(id -> spans.computeIfAbsent(id, k -> new ArrayList<>()).add(t));
            t.tracks().forEach((id, of) -> of.keySet().forEach(p -> {
                var list = channels.computeIfAbsent(id, k -> new ArrayList<>());
                list.removeIf(c -> c.property() == p);
                list.add(channel(t, id, p, previous));
            }));
        }
    }

    private <T> Channel<T> channel(Timeline t, String id, Property<T> p, Poses previous) {
        Track<T> track = t.track(id, p);
        Track<Point> places = p == Properties.POSITION ? t.track(id, Properties.POSITION) : null;
        if (places == null) {
            return new Channel<>(p, t, track, null);
        }
        String name = t.id() + " " + id;
        Measured known = previous == null ? null : previous.paths.get(name);
        MotionPath path = known == null ? new MotionPath(places) : known.track == places ? known.path : new MotionPath(places, known.path);
        paths.put(name, new Measured(places, path));
        return new Channel<>(p, t, track, path);
    }

    /** The measured path of an element's position; null when it has no keys there. */
    MotionPath path(String timeline, String id) {
        Measured m = paths.get(timeline + " " + id);
        return m == null ? null : m.path;
    }

    boolean animated(String id) {
        return channels.containsKey(id) || spans.containsKey(id);
    }

    /** Whether an element is seen at a time, as far as the timelines say. */
    boolean shown(String id, long time) {
        List<Timeline> of = spans.get(id);
        return of == null || of.stream().allMatch(t -> t.shown().get(id).contains(t.local(time)));
    }

    Values at(String id, Values rest, long time) {
        var list = channels.get(id);
        if (list == null) {
            return rest;
        }
        int n = list.size();
        var properties = new Property<?>[n];
        var values = new Object[n];
        for (int i = 0; i < n; i++) {
            var c = list.get(i);
            properties[i] = c.property();
            values[i] = c.at(time);
        }
        return facing(list, split(rest.overlay(properties, values, n)), time);
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

    private static Values facing(List<Channel<?>> list, Values v, long time) {
        if (!v.get(Properties.FACE_PATH).equals("yes")) {
            return v;
        }
        for (Channel<?> c : list) {
            if (c.path() != null) {
                double ahead = c.path().direction(c.timeline().local(time));
                return v.with(Properties.ROTATION, v.get(Properties.ROTATION) + ahead - v.get(Properties.FRONT));
            }
        }
        return v;
    }
}
