package tundra.core.model;

import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.function.Predicate;
import java.util.function.UnaryOperator;
import org.pcollections.HashTreePMap;
import org.pcollections.PMap;
import tundra.core.geometry.Point;
import tundra.core.motion.Key;
import tundra.core.motion.Track;
import tundra.core.motion.WholeWay;

/**
 * Keys over time. Tracks are found by element id, then property; the canvas is the element {@link Board#CANVAS}.
 *
 * @param duration in µs
 * @param starts whether it plays by itself when its scene opens
 * @param shown when elements can be seen, by their ids; who isn't named is seen all the time
 * @param markers named times, in order
 * @param range the part that plays again and again while working on it; null for all of it
 * @param sounds what is heard with it
 * @param scroll how the page's scrolling moves it, in place of the clock; null for the clock
 */
public record Timeline(String id, String name, long duration, boolean loop, boolean starts,
        Map<String, Map<Property<?>, Track<?>>> tracks, Map<String, Span> shown, List<Marker> markers, Span range, List<PlacedSound> sounds,
        Scroll scroll) {
    public static final String MAIN = "Main";

    public Timeline {
        tracks = persistent(tracks);
        shown = persistent(shown);
        markers = markers.isEmpty() ? List.of() : markers.stream().sorted(Comparator.comparingLong(Marker::time)).toList();
        sounds = List.copyOf(sounds);
    }

    public Timeline(String id, String name, long duration, boolean loop, boolean starts, Map<String, Map<Property<?>, Track<?>>> tracks) {
        this(id, name, duration, loop, starts, tracks, Map.of(), List.of(), null, List.of(), null);
    }

    /** One that goes by the clock. */
    public Timeline(String id, String name, long duration, boolean loop, boolean starts, Map<String, Map<Property<?>, Track<?>>> tracks, Map<String,
            Span> shown, List<Marker> markers, Span range,
            List<PlacedSound> sounds) {
        this(id, name, duration, loop, starts, tracks, shown, markers, range, sounds, null);
    }

    public Timeline(String name, long duration) {
        this(Ids.next(), name, duration, false, true, Map.of());
    }

    /** The time on this timeline, {@code time} µs after it was started. */
    public long local(long time) {
        long t = Math.max(0, time);
        return loop ? t % duration : Math.min(t, duration);
    }

    /** As {@link #local}, but the very end, where keys can stand as well, is itself and not the start of the next round: for working on it. */
    public long worked(long time) {
        return time == duration ? duration : local(time);
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

    /** Maps that share what they hold with the ones that they came from: a change of one of thousands of tracks copies next to nothing. */
    private static <V> Map<String, V> persistent(Map<String, V> m) {
        return m instanceof PMap<String, V> p ? p : HashTreePMap.from(m);
    }

    private PMap<String, Map<Property<?>, Track<?>>> all() {
        return (PMap<String, Map<Property<?>, Track<?>>>) tracks;
    }

    private Timeline withTracks(Map<String, Map<Property<?>, Track<?>>> all) {
        return all == tracks ? this : new Timeline(id, name, duration, loop, starts, all, shown, markers, range, sounds, scroll);
    }

    /** With these keys for a property; null takes them away. */
    public <T> Timeline with(String element, Property<T> p, Track<T> track) {
        var one = new HashMap<Property<?>, Track<?>>();
        one.put(p, track);
        return withTracks(changed(all(), element, one));
    }

    private static PMap<String, Map<Property<?>, Track<?>>> changed(PMap<String, Map<Property<?>, Track<?>>> all, String element, Map<Property<?>,
            Track<?>> changes) {
        var of = new TreeMap<Property<?>, Track<?>>((a, b) -> a.index() - b.index());
        of.putAll(all.getOrDefault(element, Map.of()));
        changes.forEach((p, track) -> {
            if (track == null) {
                of.remove(p);
            } else {
                of.put(p, timed(p, track));
            }
        });
        return of.isEmpty() ? all.minus(element) : all.plus(element, of);
    }

    /** Where one easing runs over a whole path, its keys stand at the times at which they are passed. */
    @SuppressWarnings("unchecked")
    private static Track<?> timed(Property<?> p, Track<?> track) {
        return p == Properties.POSITION && WholeWay.is(track) ? WholeWay.timed((Track<Point>) track) : track;
    }

    /** With other keys for many properties at once; null takes keys away. */
    public Timeline withAll(Map<String, Map<Property<?>, Track<?>>> changes) {
        var all = all();
        for (var e : changes.entrySet()) {
            all = changed(all, e.getKey(), e.getValue());
        }
        return withTracks(all);
    }

    public Timeline withTracks(String element, Map<Property<?>, Track<?>> of) {
        return withTracks(of.isEmpty() ? all().minus(element) : all().plus(element, of));
    }

    /** Without the keys and spans of other elements than those. */
    public Timeline of(Predicate<String> elements) {
        PMap<String, Map<Property<?>, Track<?>>> keys = all().minusAll(all().keySet().stream().filter(elements.negate()).toList());
        var spans = ((PMap<String, Span>) shown).minusAll(shown.keySet().stream().filter(elements.negate()).toList());
        return keys == tracks && spans == shown ? this : new Timeline(id, name, duration, loop, starts, keys, spans, markers, range, sounds, scroll);
    }

    /** With every key of one element's property changed by {@code change}. */
    public <T> Timeline mapKeys(String element, Property<T> p, UnaryOperator<Key<T>> change) {
        Track<T> t = track(element, p);
        return t == null ? this : with(element, p, t.map(change));
    }

    /** What scrolling moves does not start by itself. */
    public Timeline withScroll(Scroll s) {
        return new Timeline(id, name, duration, loop, starts && s == null, tracks, shown, markers, range, sounds, s);
    }

    public Timeline withName(String n) {
        return new Timeline(id, n, duration, loop, starts, tracks, shown, markers, range, sounds, scroll);
    }

    public Timeline withDuration(long d) {
        return new Timeline(id, name, d, loop, starts, tracks, shown, markers, range, sounds, scroll);
    }

    public Timeline withLoop(boolean l) {
        return new Timeline(id, name, duration, l, starts, tracks, shown, markers, range, sounds, scroll);
    }

    public Timeline withStarts(boolean s) {
        return new Timeline(id, name, duration, loop, s, tracks, shown, markers, range, sounds, scroll);
    }

    public Timeline withId(String newId) {
        return new Timeline(newId, name, duration, loop, starts, tracks, shown, markers, range, sounds, scroll);
    }

    /** With an element seen only during a span; null shows it all the time. */
    public Timeline withShown(String element, Span span) {
        var all = (PMap<String, Span>) shown;
        all = span == null ? all.minus(element) : all.plus(element, span);
        return new Timeline(id, name, duration, loop, starts, tracks, all, markers, range, sounds, scroll);
    }

    public Timeline withMarkers(List<Marker> m) {
        return new Timeline(id, name, duration, loop, starts, tracks, shown, m, range, sounds, scroll);
    }

    public Timeline withRange(Span r) {
        return new Timeline(id, name, duration, loop, starts, tracks, shown, markers, r, sounds, scroll);
    }

    public Timeline withSounds(List<PlacedSound> s) {
        return new Timeline(id, name, duration, loop, starts, tracks, shown, markers, range, s, scroll);
    }
}
