package tundra.core.motion;

import java.util.ArrayList;
import java.util.List;
import java.util.function.LongUnaryOperator;
import tundra.core.geometry.Point;

/**
 * Paths with one easing for the whole way. There the keys between the ends only shape the path; each of them stands at the time at
 * which the path passes it, so that what a key says is what is seen.
 */
public final class WholeWay {
    /** A key passed within so many µs of a time is passed at it. */
    private static final long SAME = 20_000;
    private static final long ROUNDED = 3;
    /** Within this part of the way to the next key a place is passed by moving the key. */
    private static final double NEAR = 0.25;
    private static final int SAMPLES = 512;
    private static final double CLOSE = 0.002;

    private WholeWay() {}

    public static boolean is(Track<?> track) {
        return track.shape().whole() != null && track.keys().size() > 1;
    }

    /** The track with every key between the ends at the time at which it is passed; the same one where they stand so already. */
    public static Track<Point> timed(Track<Point> track) {
        if (!is(track) || track.keys().size() < 3) {
            return track;
        }
        var path = new MotionPath(track);
        List<Key<Point>> keys = track.keys();
        int n = keys.size();
        long from = keys.getFirst().time(), to = keys.getLast().time();
        if (path.length() == 0 || to - from < n) {
            return track;
        }
        var out = new ArrayList<Key<Point>>();
        out.add(keys.getFirst());
        for (int i = 1; i < n - 1; i++) {
            long passed = from + Math.round((to - from) * progressAt(track.shape().whole(), path.lengthTo(i) / path.length()));
            long least = out.getLast().time() + 1, most = to - (n - 1 - i), now = keys.get(i).time();
            // what numbers written to a file lose changes nothing
            out.add(Math.abs(now - passed) <= ROUNDED && now >= least && now <= most ? keys.get(i) : keys.get(i)
                    .at(Math.max(least, Math.min(most, passed))));
        }
        out.add(keys.getLast());
        return out.equals(keys) ? track : track.withKeys(out);
    }

    /** The first progress at which an easing reaches a value. */
    private static double progressAt(Easing easing, double value) {
        double before = 0;
        for (int k = 1; k <= SAMPLES; k++) {
            double p = (double) k / SAMPLES;
            if (easing.at(p) >= value) {
                double lo = before, hi = p;
                for (int i = 0; i < 40; i++) {
                    double m = (lo + hi) / 2;
                    if (easing.at(m) >= value) {
                        hi = m;
                    } else {
                        lo = m;
                    }
                }
                return hi;
            }
            before = p;
        }
        return 1;
    }

    /**
     * The track with its ends at other times and the rest between them as before.
     *
     * @param from before {@code to}
     */
    static Track<Point> between(Track<Point> track, long from, long to) {
        List<Key<Point>> keys = track.keys();
        int n = keys.size();
        long last = Math.max(to, from + n);
        var out = new ArrayList<Key<Point>>();
        for (int i = 0; i < n; i++) {
            out.add(keys.get(i).at(i == n - 1 ? last : from + i));
        }
        return timed(track.withKeys(out));
    }

    /** The track with the ends that a change of times gives; keys between the ends have no times of their own to change. */
    public static Track<Point> retimed(Track<Point> track, LongUnaryOperator first, LongUnaryOperator last) {
        long a = first.applyAsLong(track.keys().getFirst().time()), b = last.applyAsLong(track.keys().getLast().time());
        return between(track, Math.min(a, b), Math.max(a, b));
    }

    /**
     * The track changed so that a place is passed at a time: by the key that is passed then, else by a new one. Where neither can, the
     * nearer end is moved.
     */
    public static Track<Point> through(Track<Point> track, long time, Point place) {
        List<Key<Point>> keys = track.keys();
        int at = -1;
        for (int i = 0; i < keys.size(); i++) {
            boolean nearer = at < 0 || Math.abs(keys.get(i).time() - time) < Math.abs(keys.get(at).time() - time);
            if (Math.abs(keys.get(i).time() - time) <= (i == 0 || i == keys.size() - 1 ? 0 : SAME) && nearer) {
                at = i;
            }
        }
        Track<Point> with = track;
        if (at < 0) {
            Track<Point> moved = solved(track, near(track, time), time, place);
            if (moved != null) {
                return timed(moved);
            }
            at = track.before(time) + 1;
            with = track.with(new Key<>(time, new MotionPath(track).at(time), Easing.LINEAR));
        }
        Track<Point> solved = solved(with, at, time, place);
        if (solved == null) {
            // so near to an end that no bend leads there in time: the end comes along
            long middle = (keys.getFirst().time() + keys.getLast().time()) / 2;
            solved = solved(track, time < middle ? 0 : keys.size() - 1, time, place);
        }
        return timed(solved != null ? solved : placed(with, at, place));
    }

    /** The key between the ends beside which a time is passed, so near that a further one would make a cusp; -1 for none. */
    private static int near(Track<Point> track, long time) {
        var path = new MotionPath(track);
        int i = track.before(time);
        double done = path.progress(i, time);
        int key = done < NEAR ? i : done > 1 - NEAR ? i + 1 : -1;
        return key > 0 && key < track.keys().size() - 1 ? key : -1;
    }

    /** The track with one key where the place is passed at the time; null when none was found. */
    private static Track<Point> solved(Track<Point> track, int key, long time, Point place) {
        if (key < 0) {
            return null;
        }
        Point node = track.keys().get(key).value().plus(place.minus(new MotionPath(track).at(time)));
        for (int i = 0; i < 40; i++) {
            Point miss = place.minus(passed(track, key, node, time));
            if (miss.length() < CLOSE) {
                return placed(track, key, node);
            }
            node = node.plus(step(track, key, node, time, miss));
        }
        return null;
    }

    private static Track<Point> placed(Track<Point> track, int key, Point node) {
        return track.with(track.keys().get(key).with(node));
    }

    private static Point passed(Track<Point> track, int key, Point node, long time) {
        return new MotionPath(placed(track, key, node)).at(time);
    }

    /** Newton's step with measured slopes, at most as far as what is missed asks for. */
    private static Point step(Track<Point> track, int key, Point node, long time, Point miss) {
        double h = 0.25;
        Point here = passed(track, key, node, time);
        Point dx = passed(track, key, node.plus(new Point(h, 0)), time).minus(here).times(1 / h);
        Point dy = passed(track, key, node.plus(new Point(0, h)), time).minus(here).times(1 / h);
        double det = dx.x() * dy.y() - dx.y() * dy.x();
        if (Math.abs(det) < 0.02) {
            return miss;
        }
        var step = new Point((miss.x() * dy.y() - miss.y() * dy.x()) / det, (dx.x() * miss.y() - dx.y() * miss.x()) / det);
        double most = 3 * miss.length();
        return step.length() > most ? step.times(most / step.length()) : step;
    }
}
