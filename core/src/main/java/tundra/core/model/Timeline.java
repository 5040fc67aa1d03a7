package tundra.core.model;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.TreeMap;
import java.util.function.UnaryOperator;
import tundra.core.motion.Key;
import tundra.core.motion.Track;

/**
 * Keys over time. Tracks are found by element id, then property; the canvas is the element {@link Board#CANVAS}.
 *
 * @param duration in µs
 * @param starts whether it plays by itself when its scene opens
 */
public record Timeline(String id, String name, long duration, boolean loop, boolean starts,
        Map<String, Map<Property<?>, Track<?>>> tracks) {
    public static final String MAIN = "Main";

    public Timeline(String name, long duration) {
        this(Ids.next(), name, duration, false, true, Map.of());
    }

    /** The time on this timeline, {@code time} µs after it was started. */
    public long local(long time) {
        long t = Math.max(0, time);
        return loop ? t % duration : Math.min(t, duration);
    }

    /** The keys of a property of an element; null when it has none. */
    @SuppressWarnings("unchecked")
    public <T> Track<T> track(String element, Property<T> p) {
        var of = tracks.get(element);
        return of == null ? null : (Track<T>) of.get(p);
    }

    public Map<Property<?>, Track<?>> tracksOf(String element) {
        return tracks.getOrDefault(element, Map.of());
    }

    /** With these keys for a property; null takes them away. */
    public <T> Timeline with(String element, Property<T> p, Track<T> track) {
        var of = new TreeMap<Property<?>, Track<?>>((a, b) -> a.index() - b.index());
        of.putAll(tracksOf(element));
        if (track == null) {
            of.remove(p);
        } else {
            of.put(p, track);
        }
        return withTracks(element, of);
    }

    public Timeline withTracks(String element, Map<Property<?>, Track<?>> of) {
        var all = new LinkedHashMap<>(tracks);
        if (of.isEmpty()) {
            all.remove(element);
        } else {
            all.put(element, of);
        }
        return new Timeline(id, name, duration, loop, starts, all);
    }

    /** With every key of one element's property changed by {@code change}. */
    public <T> Timeline mapKeys(String element, Property<T> p, UnaryOperator<Key<T>> change) {
        Track<T> t = track(element, p);
        return t == null ? this : with(element, p, t.map(change));
    }

    public Timeline withName(String n) {
        return new Timeline(id, n, duration, loop, starts, tracks);
    }

    public Timeline withDuration(long d) {
        return new Timeline(id, name, d, loop, starts, tracks);
    }

    public Timeline withLoop(boolean l) {
        return new Timeline(id, name, duration, l, starts, tracks);
    }

    public Timeline withStarts(boolean s) {
        return new Timeline(id, name, duration, loop, s, tracks);
    }
}
