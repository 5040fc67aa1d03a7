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

    Poses(Board board) {
        for (Timeline t : board.timelines()) {
            t.tracks().forEach((id, of) -> of.keySet().forEach(p -> {
                var list = channels.computeIfAbsent(id, k -> new ArrayList<>());
                list.removeIf(c -> c.property() == p);
                list.add(channel(t, id, p));
            }));
        }
    }

    private static <T> Channel<T> channel(Timeline t, String id, Property<T> p) {
        Track<T> track = t.track(id, p);
        Track<Point> places = p == Properties.POSITION ? t.track(id, Properties.POSITION) : null;
        return new Channel<>(p, t, track, places == null ? null : new MotionPath(places));
    }

    boolean animated(String id) {
        return channels.containsKey(id);
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
        return rest.overlay(properties, values, n);
    }
}
