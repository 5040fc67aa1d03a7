package tundra.core.edit;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.Map;
import java.util.function.LongUnaryOperator;
import tundra.core.model.Board;
import tundra.core.model.Marker;
import tundra.core.model.PlacedSound;
import tundra.core.model.Property;
import tundra.core.model.Slot;
import tundra.core.model.Slots;
import tundra.core.model.Span;
import tundra.core.model.Timeline;
import tundra.core.motion.Key;
import tundra.core.motion.Track;

/** Changes how long a timeline is, and sees to what would lie beyond its end. */
public final class Durations {
    private Durations() {}

    /** When the last key stands, in µs; 0 without keys. */
    public static long last(Timeline t) {
        long last = 0;
        for (Map<Property<?>, Track<?>> of : t.tracks().values()) {
            for (Track<?> track : of.values()) {
                last = Math.max(last, track.keys().getLast().time());
            }
        }
        return last;
    }

    /** With another duration, not before the last key. Markers, sounds and spans beyond it come to its end. */
    public static Timeline to(Timeline t, long duration) {
        return within(t, Math.max(Math.max(1, duration), last(t)));
    }

    /** Cut at a time: keys beyond it go, and where one did the property is keyed there with what it was. */
    public static Board trimmed(Board board, String timeline, long duration) {
        Timeline t = board.timeline(timeline);
        long end = Math.max(1, duration);
        Board b = board;
        for (String element : t.tracks().keySet()) {
            for (Property<?> p : t.tracksOf(element).keySet()) {
                if (t.track(element, p).keys().getLast().time() > end) {
                    b = trimmed(b, timeline, element, p, end);
                }
            }
        }
        return b.mapTimeline(timeline, x -> within(x, end));
    }

    private static <T> Board trimmed(Board b, String timeline, String element, Property<T> p, long end) {
        Board keyed = Keys.addAt(b, timeline, element, p, end);
        return keyed.mapTimeline(timeline, t -> {
            Track<T> track = t.track(element, p);
            return t.with(element, p, track.withKeys(track.keys().stream().filter(k -> k.time() <= end).toList()));
        });
    }

    /** All times brought nearer together, so that the last key stands at the end of a shorter duration. */
    public static Board squeezed(Board board, String timeline, long duration) {
        Timeline t = board.timeline(timeline);
        long last = last(t), end = Math.max(1, duration);
        return last <= end ? board.mapTimeline(timeline, x -> to(x, end)) : timed(board, t, end, (double) end / last);
    }

    /** All times brought nearer together or further apart, so that what happened in the old duration takes the new one. */
    public static Board stretched(Board board, String timeline, long duration) {
        Timeline t = board.timeline(timeline);
        long end = Math.max(1, duration);
        return timed(board, t, end, (double) end / t.duration());
    }

    /** Everything that is timed on a timeline, at times of a factor: keys, markers, sounds, when elements are seen, and cues. */
    private static Board timed(Board board, Timeline t, long end, double factor) {
        LongUnaryOperator times = time -> Math.round(time * factor);
        String timeline = t.id();
        var all = new HashMap<String, Map<Property<?>, Track<?>>>();
        t.tracks().forEach((element, of) -> {
            var tracks = new HashMap<Property<?>, Track<?>>();
            of.forEach((p, track) -> tracks.put(p, squeezed(track, times)));
            all.put(element, tracks);
        });
        return cues(board, timeline, times).mapTimeline(timeline, x -> {
            Timeline out = x.withAll(all).withSounds(x.sounds().stream().map(s -> s.withStart(times.applyAsLong(s.start()))).toList())
                    .withMarkers(x.markers().stream().map(m -> new Marker(m.id(), m.name(), times.applyAsLong(m.time()))).toList());
            for (Map.Entry<String, Span> e : x.shown().entrySet()) {
                out = out.withShown(e.getKey(), span(times.applyAsLong(e.getValue().from()), times.applyAsLong(e.getValue().to())));
            }
            return within(x.range() == null ? out : out.withRange(span(times.applyAsLong(x.range().from()), times.applyAsLong(x.range().to()))), end);
        });
    }

    /** With the times of sentences that name a time of a timeline, such as cues. */
    private static Board cues(Board b, String timeline, LongUnaryOperator times) {
        var moved = b.reactions().stream().map(r -> r.map(s -> at(s, timeline, times))).toList();
        return moved.equals(b.reactions()) ? b : b.withReactions(moved);
    }

    private static Slots at(Slots s, String timeline, LongUnaryOperator times) {
        Slots out = s;
        for (var e : s.values().entrySet()) {
            if (e.getKey().type() == Slot.Type.TIME && (timeline.equals(s.first(Slot.Type.TIMELINE)) || timeline.equals(s.first(Slot.Type.PLAYER)))) {
                out = out.with(e.getKey(), times.applyAsLong((Long) e.getValue()));
            }
        }
        return out;
    }

    private static <T> Track<T> squeezed(Track<T> track, LongUnaryOperator times) {
        var out = new ArrayList<Key<T>>();
        for (Key<T> k : track.keys()) {
            // two keys never come to one time
            out.add(k.at(out.isEmpty() ? times.applyAsLong(k.time()) : Math.max(out.getLast().time() + 1, times.applyAsLong(k.time()))));
        }
        return track.withKeys(out);
    }

    private static Span span(long from, long to) {
        return new Span(from, Math.max(from + 1, to));
    }

    private static Timeline within(Timeline t, long end) {
        Timeline out = t.withDuration(end).withMarkers(t.markers().stream().map(m -> new Marker(m.id(), m.name(), Math.min(end, m.time()))).toList())
                .withSounds(t.sounds().stream().map(s -> within(s, end)).toList());
        if (t.range() != null) {
            out = out.withRange(t.range().from() >= end ? null : span(t.range().from(), Math.min(end, t.range().to())));
        }
        return out;
    }

    private static PlacedSound within(PlacedSound s, long end) {
        return s.withStart(Math.min(end, s.start()));
    }
}
