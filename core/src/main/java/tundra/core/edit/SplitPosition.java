package tundra.core.edit;

import java.util.ArrayList;
import java.util.List;
import java.util.TreeSet;
import java.util.function.DoubleFunction;
import java.util.function.LongUnaryOperator;
import tundra.core.geometry.Point;
import tundra.core.model.Board;
import tundra.core.model.Properties;
import tundra.core.model.Property;
import tundra.core.model.Timeline;
import tundra.core.motion.Easing;
import tundra.core.motion.Key;
import tundra.core.motion.MotionPath;
import tundra.core.motion.Track;

/**
 * Position as one 2-D property, or as x and y with keys of their own. What straight keys say is converted as it is; a bent path
 * becomes short straight pieces, at frames, that stay within a tenth of a pixel of it.
 */
public final class SplitPosition {
    private static final double TOLERANCE = 0.1;
    /** In µs: keys don't come closer than a 240th of a second. */
    private static final long SHORTEST = 1_000_000 / 240;

    private SplitPosition() {}

    public static boolean is(Timeline t, String element) {
        return t.track(element, Properties.POSITION_X) != null || t.track(element, Properties.POSITION_Y) != null;
    }

    /** Whether x or y has a key at a time. */
    public static boolean keyed(Timeline t, String element, long time) {
        Track<Double> x = t.track(element, Properties.POSITION_X), y = t.track(element, Properties.POSITION_Y);
        return x != null && x.keyAt(time) != null || y != null && y.keyAt(time) != null;
    }

    static Point at(Board board, Timeline t, String element, long time) {
        return new Point(PropertyEdit.valueAt(board, t, element, Properties.POSITION_X, time),
                PropertyEdit.valueAt(board, t, element, Properties.POSITION_Y, time));
    }

    /** @param frames brings a time to the nearest frame: new keys stand on those */
    public static Board split(Board board, String timeline, String element, LongUnaryOperator frames) {
        Timeline t = board.timeline(timeline);
        Track<Point> track = t.track(element, Properties.POSITION);
        if (track == null || is(t, element)) {
            return board;
        }
        Track<Point> straight = straightened(track, frames);
        return board.mapTimeline(timeline, x -> x.with(element, Properties.POSITION, null)
                .with(element, Properties.POSITION_X, straight.values(Point::x))
                .with(element, Properties.POSITION_Y, straight.values(Point::y)));
    }

    private static Track<Point> straightened(Track<Point> track, LongUnaryOperator frames) {
        var path = new MotionPath(track);
        boolean whole = track.shape().whole() != null;
        var keys = new ArrayList<Key<Point>>();
        for (int i = 0; i + 1 < track.keys().size(); i++) {
            Key<Point> a = track.keys().get(i);
            if (!whole && !path.curved(i)) {
                keys.add(new Key<>(a.time(), a.value(), a.easing()));
            } else {
                pieces(path::at, a.time(), track.keys().get(i + 1).time(), frames, keys);
            }
        }
        Key<Point> last = track.keys().getLast();
        keys.add(new Key<>(last.time(), last.value(), last.easing()));
        return new Track<>(keys);
    }

    /** Straight keys from a time on up to, not with, another. */
    private static void pieces(DoubleFunction<Point> f, long from, long to, LongUnaryOperator frames, List<Key<Point>> out) {
        long middle = frames.applyAsLong((from + to) / 2);
        boolean cut = middle > from && middle < to && to - from > SHORTEST && !fits(f, from, to);
        if (cut) {
            pieces(f, from, middle, frames, out);
            pieces(f, middle, to, frames, out);
        } else {
            out.add(new Key<>(from, f.apply(from), Easing.LINEAR));
        }
    }

    private static boolean fits(DoubleFunction<Point> f, long from, long to) {
        for (int k = 1; k < 8; k++) {
            double t = from + (to - from) * k / 8.0;
            if (f.apply(t).distance(f.apply(from).lerp(f.apply(to), k / 8.0)) > TOLERANCE) {
                return false;
            }
        }
        return true;
    }

    /** Back to one property. Intervals that both halves ease alike stay as they are. */
    public static Board join(Board board, String timeline, String element, LongUnaryOperator frames) {
        Timeline t = board.timeline(timeline);
        Track<Double> x = t.track(element, Properties.POSITION_X), y = t.track(element, Properties.POSITION_Y);
        if (!is(t, element)) {
            return board;
        }
        var times = new TreeSet<Long>();
        for (Track<Double> half : x == null ? List.of(y) : y == null ? List.of(x) : List.of(x, y)) {
            half.keys().forEach(k -> times.add(k.time()));
        }
        DoubleFunction<Point> f = time -> new Point(value(board, element, x, Properties.POSITION_X, time),
                value(board, element, y, Properties.POSITION_Y, time));
        var all = List.copyOf(times);
        var keys = new ArrayList<Key<Point>>();
        for (int i = 0; i < all.size(); i++) {
            long from = all.get(i);
            Easing alike = alike(x, y, from, i + 1 < all.size() ? all.get(i + 1) : Long.MAX_VALUE);
            if (alike != null || i + 1 == all.size()) {
                keys.add(new Key<>(from, f.apply(from), alike == null ? Easing.LINEAR : alike));
            } else {
                pieces(f, from, all.get(i + 1), frames, keys);
            }
        }
        return board.mapTimeline(timeline, z -> z.with(element, Properties.POSITION_X, null).with(element, Properties.POSITION_Y, null)
                .with(element, Properties.POSITION, new Track<>(keys)));
    }

    private static double value(Board board, String element, Track<Double> half, Property<Double> p, double time) {
        return half == null ? Resting.of(board, element, p) : half.at(time, p.type()::lerp);
    }

    /** The one easing of both halves through an interval; null when they differ or only one of them has keys there. */
    private static Easing alike(Track<Double> x, Track<Double> y, long from, long to) {
        Key<Double> a = x == null ? null : x.keyAt(from), b = y == null ? null : y.keyAt(from);
        boolean ends = to == Long.MAX_VALUE || (x == null || x.keyAt(to) != null) && (y == null || y.keyAt(to) != null);
        if (!ends || x != null && a == null || y != null && b == null) {
            return null;
        }
        Easing one = a != null ? a.easing() : b.easing();
        return b == null || one.equals(b.easing()) ? one : null;
    }
}
