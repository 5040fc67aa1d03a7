package tundra.web;

import java.util.ArrayList;
import java.util.List;
import java.util.function.DoubleFunction;
import java.util.function.Predicate;
import tundra.core.motion.Track;

/** Cuts a motion that CSS cannot express into straight pieces, as few as keep within a tolerance. */
final class Baker {
    /** In px, and what is as much of other units; half of what may be seen by the parity tests, the other half is for the browser's own rounding. */
    static final double TOLERANCE = 0.008;
    /** The same for ways that bend, in px: they take as many pieces as the root of this is smaller, and are most of what a page has to load. */
    static final double WAY = 0.05;
    /** What CSS cannot blend is set this often, in µs: 120 times a second. */
    static final double FRAME = 1e6 / 120;
    private static final int DEPTH = 14;
    private static final int LOOKS = 400;

    private Baker() {}

    /**
     * A time in µs and the numbers there.
     *
     * @param asked the time that they were asked for, on the side of a jump that is meant
     */
    record Sample(double time, double[] at, double asked) {
        Sample(double time, double asked, DoubleFunction<double[]> f) {
            this(time, f.apply(asked), asked);
        }
    }

    /**
     * Samples that, joined by straight lines, follow {@code f}. The function must be continuous between the given times.
     *
     * @param times where its pieces meet, in µs, ascending, at least two
     * @param tolerance by how much any number may differ
     */
    static List<Sample> straight(DoubleFunction<double[]> f, List<Double> times, double tolerance) {
        var out = new ArrayList<Sample>();
        // a first interval that jumps at its very start holds before it
        var start = new Sample(times.getFirst(), times.getFirst() - 1, f);
        for (int i = 0; i + 1 < times.size(); i++) {
            // a jump at a cut is met from both sides
            double eps = Math.min(1e-3, (times.get(i + 1) - times.get(i)) / 4);
            var a = new Sample(times.get(i), times.get(i) + eps, f);
            var b = new Sample(times.get(i + 1), times.get(i + 1) - eps, f);
            if (out.isEmpty() && distance(start.at, a.at) > tolerance) {
                out.add(start);
            }
            if (out.isEmpty() || distance(out.getLast().at, a.at) > tolerance) {
                out.add(a);
            }
            between(f, a, b, out, 0, tolerance);
            out.add(b);
        }
        // a last interval that jumps at its very end arrives
        var end = new Sample(times.getLast(), times.getLast(), f);
        if (distance(out.getLast().at, end.at) > tolerance) {
            out.add(end);
        }
        return out;
    }

    private static void between(DoubleFunction<double[]> f, Sample a, Sample b, List<Sample> out, int depth, double tolerance) {
        if (depth >= DEPTH || depth > 1 && fits(f, a, b, tolerance)) {
            return;
        }
        double t = (a.time + b.time) / 2;
        var m = new Sample(t, t, f);
        between(f, a, m, out, depth + 1, tolerance);
        out.add(m);
        between(f, m, b, out, depth + 1, tolerance);
    }

    private static boolean fits(DoubleFunction<double[]> f, Sample a, Sample b, double tolerance) {
        for (double p : new double[] {0.25, 0.5, 0.75}) {
            double[] seen = f.apply(a.time + (b.time - a.time) * p);
            double[] line = new double[seen.length];
            for (int i = 0; i < line.length; i++) {
                line[i] = a.at[i] + (b.at[i] - a.at[i]) * p;
            }
            if (distance(seen, line) > tolerance) {
                return false;
            }
        }
        return true;
    }

    private static double distance(double[] a, double[] b) {
        double d = 0;
        for (int i = 0; i < a.length; i++) {
            d = Math.max(d, Math.abs(a[i] - b[i]));
        }
        return d;
    }

    /** Whether the values of a track are ever out of bounds on their way from key to key. */
    static <T> boolean leaves(Track<?> track, DoubleFunction<T> at, Predicate<T> out) {
        double first = track.keys().getFirst().time(), last = track.keys().getLast().time();
        for (int i = 0, n = LOOKS * (track.keys().size() - 1); i <= n; i++) {
            if (out.test(at.apply(first + (last - first) * i / Math.max(1, n)))) {
                return true;
            }
        }
        return false;
    }
}
