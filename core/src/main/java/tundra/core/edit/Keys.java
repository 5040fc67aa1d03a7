package tundra.core.edit;

import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.LongUnaryOperator;
import tundra.core.geometry.ArcLength;
import tundra.core.geometry.Cubic;
import tundra.core.geometry.Point;
import tundra.core.model.Board;
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.core.model.Property;
import tundra.core.model.Timeline;
import tundra.core.motion.Easing;
import tundra.core.motion.Key;
import tundra.core.motion.MotionPath;
import tundra.core.motion.SplitEasing;
import tundra.core.motion.Track;
import tundra.core.motion.WholeWay;

/** Changes of keys on a timeline. */
public final class Keys {
    private Keys() {}

    /** Names one key: an element's property at a time. */
    public record Ref(String element, Property<?> property, long time) {}

    /** Whether a property, a split position in both its halves, has a key at a time. */
    public static boolean isAt(Timeline t, String element, Property<?> p, long time) {
        if (p == Properties.POSITION && SplitPosition.is(t, element)) {
            return SplitPosition.keyed(t, element, time);
        }
        var track = t.track(element, p);
        return track != null && track.keyAt(time) != null;
    }

    /** Without the key of a property at a time, or with one where there is none; of a split position both halves. */
    public static Board toggle(Board board, String timeline, String element, Property<?> p, long time) {
        Timeline t = board.timeline(timeline);
        List<Property<?>> of = p == Properties.POSITION && SplitPosition.is(t, element) ? List.of(Properties.POSITION_X, Properties.POSITION_Y)
                : List.of(p);
        boolean there = isAt(t, element, p, time);
        Board b = board;
        if (!Properties.keyed(p)) {
            return b;
        }
        for (Property<?> one : of) {
            if (there) {
                b = delete(b, timeline, List.of(new Ref(element, one, time)));
            } else if (!isAt(b.timeline(timeline), element, one, time)) {
                b = addAt(b, timeline, element, one, time);
            }
        }
        return b;
    }

    /** A key between two others cuts the easing of their interval where it stands, so that the speed stays what it was. */
    static <T> Track<T> insert(Track<T> track, long at, T value) {
        int i = track.before(at);
        if (i < 0 || i + 1 >= track.keys().size()) {
            return track.with(new Key<>(at, value, i < 0 ? PropertyEdit.NEW_EASING : track.keys().get(i).easing()));
        }
        Key<T> a = track.keys().get(i);
        SplitEasing cut = SplitEasing.at(a.easing(), done(a, at, track.keys().get(i + 1)));
        return track.with(a.with(cut.before())).with(new Key<>(at, value, cut.after()));
    }

    private static double done(Key<?> a, long at, Key<?> b) {
        return (double) (at - a.time()) / (b.time() - a.time());
    }

    /** A new key where the curve passes, without changing the path's form. */
    public static <T> Board addAt(Board board, String timeline, String element, Property<T> p, long time) {
        Timeline t = board.timeline(timeline);
        Track<T> track = t.track(element, p);
        long at = Math.min(time, t.duration());
        if (track != null && track.keyAt(at) != null) {
            return board;
        }
        T seen = PropertyEdit.valueAt(board, t, element, p, at);
        if (track == null) {
            return board.mapTimeline(timeline, x -> x.with(element, p, new Track<>(List.of(new Key<>(at, seen, PropertyEdit.NEW_EASING)))));
        }
        if (p == Properties.POSITION) {
            Track<Point> split = splitPath(t.track(element, Properties.POSITION), at);
            if (split != null) {
                return board.mapTimeline(timeline, x -> x.with(element, Properties.POSITION, split));
            }
        }
        return board.mapTimeline(timeline, x -> x.with(element, p, insert(track, at, seen)));
    }

    private static Track<Point> splitPath(Track<Point> track, long at) {
        int i = track.before(at);
        var path = new MotionPath(track);
        if (i < 0 || i + 1 >= track.keys().size() || !path.curved(i)) {
            return null;
        }
        Cubic segment = path.segment(i);
        double done = Math.max(0, Math.min(1, WholeWay.is(track) ? path.progress(i, at) : track.progress(i, at)));
        var arc = new ArcLength(segment);
        Cubic[] half = segment.split(arc.parameterAt(done * arc.total()));
        Key<Point> a = track.keys().get(i), b = track.keys().get(i + 1);
        Point m = half[0].p3();
        SplitEasing cut = SplitEasing.at(a.easing(), done(a, at, b));
        return track
                .with(a.with(cut.before()).withHandles(a.in(), half[0].p1().minus(a.value())))
                .with(new Key<>(at, m, cut.after(), half[0].p2().minus(m), half[1].p1().minus(m)))
                .with(b.withHandles(half[1].p2().minus(b.value()), b.out()));
    }

    public static Board delete(Board board, String timeline, Collection<Ref> refs) {
        Board b = board;
        for (Ref r : refs) {
            b = delete(b, timeline, r, r.property());
        }
        return b;
    }

    private static <T> Board delete(Board b, String timeline, Ref r, Property<T> p) {
        return b.mapTimeline(timeline, t -> {
            Track<T> track = t.track(r.element(), p);
            return track == null ? t : t.with(r.element(), p, track.without(r.time()));
        });
    }

    /**
     * Moves keys in time, all by the same amount, kept within the timeline. A moved key replaces one that stays at its new
     * time.
     */
    public static Board shift(Board board, String timeline, Collection<Ref> refs, long by) {
        Timeline t = board.timeline(timeline);
        long lo = refs.stream().mapToLong(Ref::time).min().orElse(0), hi = refs.stream().mapToLong(Ref::time).max().orElse(0);
        long d = Math.max(-lo, Math.min(t.duration() - hi, by));
        if (d == 0) {
            return board;
        }
        return retime(board, timeline, refs, time -> time + d);
    }

    /** The keys after {@link #shift}, {@link #stretch} or {@link #reverse} with the same change of times. */
    public static List<Ref> moved(Collection<Ref> refs, LongUnaryOperator times) {
        return refs.stream().map(r -> new Ref(r.element(), r.property(), times.applyAsLong(r.time()))).toList();
    }

    /** Moves keys to new times. A moved key replaces one that stays at its new time. */
    public static Board retime(Board board, String timeline, Collection<Ref> refs, LongUnaryOperator times) {
        return board.mapTimeline(timeline, t -> t.withAll(changed(refs, (element, p, of) -> retimed(t, element, p, of, times))));
    }

    /** What becomes of a track of which some keys are named. */
    private interface Change {
        Track<?> of(String element, Property<?> p, Set<Long> times);
    }

    private static Map<String, Map<Property<?>, Track<?>>> changed(Collection<Ref> refs, Change change) {
        var times = new HashMap<String, Map<Property<?>, Set<Long>>>();
        refs.forEach(r -> times.computeIfAbsent(r.element(), k -> new HashMap<>()).computeIfAbsent(r.property(), k -> new HashSet<>()).add(r.time()));
        var out = new HashMap<String, Map<Property<?>, Track<?>>>();
        times.forEach((element, of) -> {
            var tracks = new HashMap<Property<?>, Track<?>>();
            of.forEach((p, chosen) -> tracks.put(p, change.of(element, p, chosen)));
            out.put(element, tracks);
        });
        return out;
    }

    private static <T> Track<T> retimed(Timeline t, String element, Property<T> p, Set<Long> chosen, LongUnaryOperator times) {
        Track<T> track = t.track(element, p);
        if (track == null) {
            return null;
        }
        if (p == Properties.POSITION && WholeWay.is(track)) {
            Track<Point> whole = t.track(element, Properties.POSITION);
            return p.castTrack(WholeWay.retimed(whole, k -> chosen.contains(k) ? times.applyAsLong(k) : k, k -> chosen.contains(k)
                    ? times.applyAsLong(k) : k));
        }
        var all = new TreeMap<Long, Key<T>>();
        for (Key<T> k : track.keys()) {
            if (!chosen.contains(k.time())) {
                all.put(k.time(), k);
            }
        }
        for (Key<T> k : track.keys()) {
            if (chosen.contains(k.time())) {
                Key<T> moved = k.at(times.applyAsLong(k.time()));
                all.put(moved.time(), moved);
            }
        }
        return track.withKeys(List.copyOf(all.values()));
    }

    /**
     * How times go when keys are moved by a number of frames: from frame to frame, and by as much where they lie off the frames, so that
     * they keep their distances.
     */
    public static LongUnaryOperator byFrames(Project project, int frames) {
        return time -> project.snap(time) == time ? project.frameTime(project.frameAt(time) + frames)
                : time + Math.round(frames * 1e6 / project.frameRate());
    }

    /** How times go when keys are stretched around one time, which stays: by a factor, to frames, within the timeline. */
    public static LongUnaryOperator stretch(Timeline t, long around, double factor, LongUnaryOperator frames) {
        return time -> time == around ? around
                : Math.max(0, Math.min(t.duration(), frames.applyAsLong(Math.round(around + (time - around) * factor))));
    }

    /** Plays the keys backwards within the time that they take: times, easings and path handles are mirrored. */
    public static Board reverse(Board board, String timeline, Collection<Ref> refs) {
        long lo = refs.stream().mapToLong(Ref::time).min().orElse(0), hi = refs.stream().mapToLong(Ref::time).max().orElse(0);
        return board.mapTimeline(timeline, t -> t.withAll(changed(refs, (element, p, of) -> reversed(t, element, p, of, lo + hi))));
    }

    private static <T> Track<T> reversed(Timeline t, String element, Property<T> p, Set<Long> chosen, long sum) {
        Track<T> track = t.track(element, p);
        if (track == null) {
            return null;
        }
        var all = new TreeMap<Long, Key<T>>();
        track.keys().stream().filter(k -> !chosen.contains(k.time())).forEach(k -> all.put(k.time(), k));
        List<Key<T>> mine = track.keys().stream().filter(k -> chosen.contains(k.time())).toList();
        for (int i = 0; i < mine.size(); i++) {
            Key<T> k = mine.get(i);
            // the interval before a key comes after it now
            var easing = i > 0 ? Reversed.of(mine.get(i - 1).easing()) : mine.getLast().easing();
            all.put(sum - k.time(), new Key<>(sum - k.time(), k.value(), easing, k.out(), k.in(), k.own()));
        }
        return track.withKeys(List.copyOf(all.values()));
    }

    /** Gives the intervals that start at these keys an easing. */
    public static Board ease(Board board, String timeline, Collection<Ref> refs, Easing easing) {
        return board.mapTimeline(timeline, t -> {
            Timeline out = t;
            for (Ref r : refs) {
                out = ease(out, r, r.property(), easing);
            }
            return out;
        });
    }

    /** Even speed over all intervals that start at these keys, and over a whole way that has one easing and any of its keys among them. */
    public static Board even(Board board, String timeline, Collection<Ref> refs) {
        return ease(board, timeline, refs, Easing.LINEAR).mapTimeline(timeline, t -> {
            Timeline out = t;
            for (Ref r : refs) {
                Track<Point> way = r.property() == Properties.POSITION ? out.track(r.element(), Properties.POSITION) : null;
                if (way != null && way.shape().whole() != null) {
                    out = out.with(r.element(), Properties.POSITION, new Track<>(way.keys(), way.shape().withWhole(Easing.LINEAR)));
                }
            }
            return out;
        });
    }

    private static <T> Timeline ease(Timeline t, Ref r, Property<T> p, Easing easing) {
        return t.mapKeys(r.element(), p, k -> k.time() == r.time() ? k.with(easing) : k);
    }

    /** Moves the handles of a position key. */
    public static Board handles(Board board, String timeline, Ref r, Point in, Point out) {
        return board.mapTimeline(timeline,
                t -> t.mapKeys(r.element(), Properties.POSITION, k -> k.time() == r.time() ? k.withHandles(in, out) : k));
    }

    /** The times of all keys of an element, in order; all elements' when the id is null. */
    public static List<Long> times(Timeline t, String element) {
        return t.tracks().entrySet().stream().filter(e -> element == null || e.getKey().equals(element))
                .flatMap(e -> e.getValue().values().stream()).flatMap(tr -> tr.keys().stream())
                .map(Key::time).distinct().sorted(Comparator.naturalOrder()).toList();
    }
}
