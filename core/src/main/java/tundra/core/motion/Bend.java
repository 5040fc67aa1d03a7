package tundra.core.motion;

import java.util.ArrayList;
import java.util.List;
import tundra.core.geometry.Point;

/**
 * The handles that a path's bend gives to the keys without any of their own: a cardinal spline with tension 1 − bend (Bartels,
 * Beatty and Barsky, An Introduction to Splines, 1987, chapter 21). Each tangent lies along the chord between the neighbours;
 * its two handles are shared out by the distances to them, so that an uneven path makes no loops.
 */
final class Bend {
    private Bend() {}

    /** The keys with the handles that are seen. */
    static List<Key<Point>> handles(Track<Point> track) {
        double bend = track.shape().bend();
        boolean closed = track.shape().closed() && track.keys().size() > 2;
        List<Key<Point>> keys = track.keys();
        if (bend == 0 || keys.stream().allMatch(Key::own)) {
            return keys;
        }
        int n = keys.size();
        var out = new ArrayList<>(keys);
        for (int i = 0; i < n; i++) {
            Point before = i > 0 ? keys.get(i - 1).value() : closed ? keys.get(n - 2).value() : null;
            Point after = i + 1 < n ? keys.get(i + 1).value() : closed ? keys.get(1).value() : null;
            if (!keys.get(i).own() && before != null && after != null) {
                out.set(i, through(keys.get(i), before, after, bend));
            }
        }
        if (!closed) {
            end(out, 0, 1, bend);
            end(out, n - 1, n - 2, bend);
        }
        return out;
    }

    private static Key<Point> through(Key<Point> k, Point before, Point after, double bend) {
        Point chord = after.minus(before);
        double a = k.value().distance(before), b = k.value().distance(after);
        if (a + b < 1e-9) {
            return k;
        }
        double reach = bend * 2 / 3;
        return new Key<>(k.time(), k.value(), k.easing(), chord.times(-reach * a / (a + b)), chord.times(reach * b / (a + b)), false);
    }

    /** An end of an open path aims at the near handle of its neighbour. */
    private static void end(List<Key<Point>> keys, int i, int next, double bend) {
        if (next < 0 || next >= keys.size() || keys.get(i).own()) {
            return;
        }
        Key<Point> k = keys.get(i), b = keys.get(next);
        Point aim = b.value().plus(i < next ? b.in() : b.out()).minus(k.value()).times(bend / 2);
        keys.set(i, new Key<>(k.time(), k.value(), k.easing(), i < next ? Point.ZERO : aim, i < next ? aim : Point.ZERO, false));
    }
}
