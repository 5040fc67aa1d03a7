package tundra.web;

import java.util.ArrayList;
import java.util.List;
import java.util.function.DoubleFunction;
import java.util.function.Function;
import java.util.stream.Stream;
import tundra.core.geometry.Numbers;
import tundra.core.model.Property;
import tundra.core.model.Timeline;
import tundra.core.motion.Key;
import tundra.core.motion.StepsEasing;
import tundra.core.motion.Track;

/** The keys of one timeline of the page, as its channels give them. */
final class Tracks {
    private final Timeline timeline;
    private final Mixes mixes;
    private final List<PageTrack> out = new ArrayList<>();

    /** @param mixes gets what values rest at whose parts are keyed on different timelines */
    Tracks(Timeline timeline, Mixes mixes) {
        this.timeline = timeline;
        this.mixes = mixes;
    }

    List<PageTrack> all() {
        return out;
    }

    Timeline timeline() {
        return timeline;
    }

    Mixes mixes() {
        return mixes;
    }

    /** The keys of a property of an element; null when it has none here. */
    <T> Track<T> of(PageElement e, Property<T> p) {
        return timeline.track(e.id(), p);
    }

    /** CSS text of a value between two keys. */
    interface Between<T> {
        String css(T a, T b, double p);
    }

    /** A property whose values blend by themselves, its easings in as few pieces as CSS can. */
    <T> void eased(String target, String property, Track<T> track, Between<T> value) {
        if (track == null || target == null) {
            return;
        }
        var keys = new ArrayList<PageTrack.PageKey>();
        double duration = timeline.duration();
        for (int i = 0; i + 1 < track.keys().size(); i++) {
            Key<T> a = track.keys().get(i), b = track.keys().get(i + 1);
            for (EasingPieces.Piece piece : EasingPieces.of(a.easing())) {
                double t = a.time() + (b.time() - a.time()) * piece.from();
                keys.add(new PageTrack.PageKey(t / duration, value.css(a.value(), b.value(), piece.low()), piece.css()));
            }
        }
        Key<T> last = track.keys().getLast();
        keys.add(new PageTrack.PageKey(last.time() / duration, value.css(last.value(), last.value(), 0), "linear"));
        add(target, property, keys);
    }

    /** A plain number. */
    void number(String target, String property, Track<Double> track) {
        eased(target, property, track, (a, b, p) -> Numbers.plain(a + (b - a) * p, 5));
    }

    /** A function of time as straight pieces. */
    void baked(String target, String property, DoubleFunction<double[]> f, List<Double> times, Function<double[], String> css) {
        baked(target, property, f, times, Baker.TOLERANCE, css);
    }

    /** A function of time as straight pieces that are so near. */
    void baked(String target, String property, DoubleFunction<double[]> f, List<Double> times, double tolerance, Function<double[], String> css) {
        if (target == null) {
            return;
        }
        var keys = new ArrayList<PageTrack.PageKey>();
        if (times.size() == 1) {
            keys.add(new PageTrack.PageKey(0, css.apply(f.apply(times.getFirst())), "linear"));
        } else {
            for (Baker.Sample s : Baker.straight(f, times, tolerance)) {
                keys.add(new PageTrack.PageKey(share(s.time()), css.apply(s.at()), "linear"));
            }
        }
        add(target, property, keys);
    }

    /** Which share of the timeline a time is, in as few digits as tell it to half a µs. */
    private double share(double time) {
        double digits = Math.pow(10, Math.ceil(Math.log10(timeline.duration())));
        return Math.round(time / timeline.duration() * digits) / digits;
    }

    /** A function of time that is sampled by its numbers, as near as straight pieces between them follow it, and said as text. */
    void sampled(String target, String property, DoubleFunction<double[]> numbers, List<Double> times, DoubleFunction<String> css) {
        var keys = new ArrayList<PageTrack.PageKey>();
        if (times.size() == 1) {
            keys.add(new PageTrack.PageKey(0, css.apply(times.getFirst()), "linear"));
        } else {
            for (Baker.Sample s : Baker.straight(numbers, times, Baker.TOLERANCE)) {
                keys.add(new PageTrack.PageKey(share(s.time()), css.apply(s.asked()), "linear"));
            }
        }
        add(target, property, keys);
    }

    /** Values that jump. */
    <T> void held(String target, String property, Track<T> track, Function<T, String> css) {
        if (track != null && target != null) {
            var keys = new ArrayList<PageTrack.PageKey>();
            for (int i = 0; i < track.keys().size(); i++) {
                held(keys, track.keys(), i, css);
            }
            add(target, property, keys);
        }
    }

    /** A value that can't blend with the next one: it jumps to it for as long as its easing is there. */
    <T> void held(List<PageTrack.PageKey> to, List<Key<T>> keys, int i, Function<T, String> css) {
        Key<T> k = keys.get(i);
        double d = timeline.duration();
        to.add(new PageTrack.PageKey(k.time() / d, css.apply(k.value()), "step-end"));
        if (i + 1 < keys.size()) {
            Key<T> next = keys.get(i + 1);
            boolean there = k.easing().at(0) >= 1;
            for (double p : EasingPieces.arrivals(k.easing())) {
                there = !there;
                to.add(new PageTrack.PageKey((k.time() + (next.time() - k.time()) * p) / d, css.apply(there ? next.value() : k.value()), "step-end"));
            }
        }
    }

    /** Adds the still stretches before the first key and after the last. */
    void add(String target, String property, List<PageTrack.PageKey> keys) {
        out.add(new PageTrack(target, property, closed(keys)));
    }

    /** Adds what the player sets itself and need not set at every picture. */
    void add(String target, String property, List<PageTrack.PageKey> keys, double every) {
        out.add(new PageTrack(target, property, closed(keys), null, every));
    }

    /** Adds keys of one round that begins again and again. */
    void addRound(String target, String property, List<PageTrack.PageKey> keys, PageTrack.Round round) {
        out.add(new PageTrack(target, "!" + property, closed(keys), round));
    }

    private static List<PageTrack.PageKey> closed(List<PageTrack.PageKey> keys) {
        var first = keys.getFirst();
        if (first.offset() > 0) {
            keys.addFirst(new PageTrack.PageKey(0, first.value(), "linear"));
        }
        var last = keys.getLast();
        if (last.offset() < 1) {
            keys.add(new PageTrack.PageKey(1, last.value(), "linear"));
        }
        return keys;
    }

    /** The times at which a track's curve starts anew or jumps, in µs. */
    static <T> List<Double> times(Track<T> track) {
        var out = new ArrayList<Double>();
        if (track != null) {
            var keys = track.keys();
            for (int i = 0; i < keys.size(); i++) {
                double t = keys.get(i).time();
                out.add(t);
                if (i + 1 < keys.size() && keys.get(i).easing() instanceof StepsEasing s) {
                    for (int k = 1; k < s.count(); k++) {
                        out.add(t + (keys.get(i + 1).time() - t) * k / s.count());
                    }
                }
            }
        }
        return out;
    }

    @SafeVarargs
    static List<Double> all(List<Double>... times) {
        return Stream.of(times).flatMap(List::stream).distinct().sorted().toList();
    }
}
