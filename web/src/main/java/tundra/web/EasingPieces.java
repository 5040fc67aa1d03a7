package tundra.web;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.function.DoubleUnaryOperator;
import java.util.stream.DoubleStream;
import tundra.core.geometry.Numbers;
import tundra.core.motion.CubicEasing;
import tundra.core.motion.Easing;
import tundra.core.motion.FamilyEasing;
import tundra.core.motion.PartEasing;
import tundra.core.motion.SpringEasing;
import tundra.core.motion.StepsEasing;

/**
 * An easing in the functions that CSS has. What CSS has no function for is cut into pieces of {@code cubic-bezier} that meet its
 * value and slope at both ends (cubic Hermite interpolation; with x handles at 1/3 and 2/3 the Bézier's x is linear), until
 * they agree with it to 1e-6.
 */
final class EasingPieces {
    private static final double TOLERANCE = 1e-6;
    /** The last stretch of a quarter circle, where its slope grows without bound. */
    private static final double UPRIGHT = 1.0 / 64;

    private EasingPieces() {}

    /** One piece: progress {@code from}–{@code to} of the interval, in which the value goes {@code low}–{@code high}. */
    record Piece(double from, double to, double low, double high, String css) {}

    static List<Piece> of(Easing easing) {
        return switch (easing) {
            case Easing.Linear l -> whole("linear");
            case Easing.Hold h -> whole("steps(1, jump-end)");
            case CubicEasing c -> whole(c.text());
            case StepsEasing s -> whole(s.text());
            default -> pieces(easing, cuts(easing));
        };
    }

    /** One function for the whole interval, good to 5e-4: for colours, which have 8 bits. */
    static String single(Easing easing) {
        if (!(easing instanceof FamilyEasing || easing instanceof SpringEasing || easing instanceof PartEasing)) {
            return of(easing).getFirst().css();
        }
        var s = new StringBuilder("linear(");
        for (int i = 0; i <= 100; i++) {
            s.append(i == 0 ? "" : ",").append(Numbers.plain(easing.at(i / 100.0), 4));
        }
        return s.append(')').toString();
    }

    private static List<Piece> whole(String css) {
        return List.of(new Piece(0, 1, 0, 1, css));
    }

    private static List<Piece> pieces(Easing f, double[] cuts) {
        var out = new ArrayList<Piece>();
        for (int i = 0; i + 1 < cuts.length; i++) {
            double a = cuts[i], b = cuts[i + 1];
            if (f instanceof FamilyEasing e && e.family() == FamilyEasing.Family.CIRC && b - a <= UPRIGHT + 1e-9) {
                out.add(upright(e, a, b));
            } else {
                cut(f, a, b, out, 10);
            }
        }
        return out;
    }

    private static double[] cuts(Easing easing) {
        return switch (easing) {
            case FamilyEasing f -> corners(f);
            case SpringEasing s -> swings(s);
            case PartEasing p -> {
                var inside = Arrays.stream(cuts(p.of())).filter(c -> c > p.from() + 1e-9 && c < p.to() - 1e-9)
                        .map(c -> (c - p.from()) / (p.to() - p.from()));
                yield DoubleStream.concat(DoubleStream.concat(DoubleStream.of(0), inside),
                        DoubleStream.of(1)).toArray();
            }
            default -> new double[] {0, 1};
        };
    }

    /** Where the function has corners, turns or runs upright: a piece must not reach over them. */
    private static double[] corners(FamilyEasing f) {
        double[] cuts = switch (f.family()) {
            // bounce-out lands at 1/2.75, 2/2.75 and 2.5/2.75 and peaks half way between; mirrored for in
            case BOUNCE -> new double[] {0, 0.125 / 2.75, 0.25 / 2.75, 0.5 / 2.75, 0.75 / 2.75, 1.25 / 2.75, 1.75 / 2.75, 1};
            case CIRC -> new double[] {0, 1 - UPRIGHT, 1};
            default -> new double[] {0, 1};
        };
        return switch (f.direction()) {
            case IN -> cuts;
            case OUT -> mirrored(cuts);
            case BOTH -> both(cuts);
        };
    }

    /** A cut at each turn of a spring, so that no piece has to follow more than half a swing. */
    private static double[] swings(SpringEasing s) {
        double z = s.ratio();
        if (z >= 1) {
            return new double[] {0, 1};
        }
        double half = Math.PI / (Math.sqrt(s.stiffness() / s.mass()) * Math.sqrt(1 - z * z)) / s.settled();
        int n = (int) Math.min(200, Math.ceil(1 / half));
        double[] out = new double[n + 1];
        for (int i = 0; i <= n; i++) {
            out[i] = Math.min(1, i * half);
        }
        out[n] = 1;
        return out;
    }

    private static double[] mirrored(double[] cuts) {
        double[] out = new double[cuts.length];
        for (int i = 0; i < cuts.length; i++) {
            out[i] = 1 - cuts[cuts.length - 1 - i];
        }
        return out;
    }

    private static double[] both(double[] cuts) {
        int n = cuts.length;
        double[] out = new double[2 * n - 1], back = mirrored(cuts);
        for (int i = 0; i < n; i++) {
            out[i] = cuts[i] / 2;
            out[n - 1 + i] = 0.5 + back[i] / 2;
        }
        return out;
    }

    private static void cut(Easing f, double a, double b, List<Piece> out, int depth) {
        double low = f.at(a), high = f.at(b), h = b - a;
        double s0 = slope(f, a, h, 1), s1 = slope(f, b, h, -1);
        double worst = 0;
        for (double t = 0.125; t < 1; t += 0.125) {
            double u = 1 - t;
            double hermite = low + 3 * u * u * t * (s0 * h / 3) + 3 * u * t * t * (high - low - s1 * h / 3) + t * t * t * (high - low);
            worst = Math.max(worst, Math.abs(hermite - f.at(a + t * h)));
        }
        double rise = high - low;
        if (depth > 0 && (worst > TOLERANCE || Math.abs(rise) < 1e-9 && Math.abs(s0 * h) > TOLERANCE)) {
            double m = (a + b) / 2;
            cut(f, a, m, out, depth - 1);
            cut(f, m, b, out, depth - 1);
            return;
        }
        if (Math.abs(rise) < 1e-9) {
            out.add(new Piece(a, b, low, high, "linear"));
            return;
        }
        out.add(new Piece(a, b, low, high, "cubic-bezier(0.3333333," + number(s0 * h / 3 / rise) + ",0.6666667,"
                + number(1 - s1 * h / 3 / rise) + ")"));
    }

    /**
     * The piece next to an upright tangent. There the function goes with the square root of the way, so the Bézier's x goes
     * with the square of its parameter, and y is interpolated over the parameter.
     */
    private static Piece upright(FamilyEasing f, double a, double b) {
        boolean atStart = Math.abs(f.at(a + 1e-9) - f.at(a)) > 1e-6;
        double h = b - a, low = f.at(a), rise = f.at(b) - low;
        DoubleUnaryOperator y = t -> f.at(atStart ? a + h * t * t : b - h * (1 - t) * (1 - t));
        double d = 1e-4;
        double s0 = (-3 * y.applyAsDouble(0) + 4 * y.applyAsDouble(d) - y.applyAsDouble(2 * d)) / (2 * d);
        double s1 = (3 * y.applyAsDouble(1) - 4 * y.applyAsDouble(1 - d) + y.applyAsDouble(1 - 2 * d)) / (2 * d);
        String x = atStart ? "0,%s,0.3333333,%s" : "0.6666667,%s,1,%s";
        return new Piece(a, b, low, f.at(b), "cubic-bezier(" + String.format(x, number(s0 / 3 / rise), number(1 - s1 / 3 / rise)) + ")");
    }

    /** The one-sided slope, by differences of second order with steps of 1e-5 of the piece. */
    private static double slope(Easing f, double p, double h, int side) {
        double d = side * h * 1e-5;
        return (-3 * f.at(p) + 4 * f.at(p + d) - f.at(p + 2 * d)) / (2 * d);
    }

    private static String number(double v) {
        return Numbers.plain(v, 7);
    }

    /** Where within 0 to 1 an easing reaches or leaves its end, in turn. */
    static List<Double> arrivals(Easing e) {
        var out = new ArrayList<Double>();
        int n = 600;
        boolean there = e.at(0) >= 1;
        for (int i = 1; i < n; i++) {
            double lo = (i - 1.0) / n, hi = (double) i / n;
            if (e.at(hi) >= 1 != there) {
                there = !there;
                for (int k = 0; k < 30; k++) {
                    double m = (lo + hi) / 2;
                    if (e.at(m) >= 1 == there) {
                        hi = m;
                    } else {
                        lo = m;
                    }
                }
                out.add(hi);
            }
        }
        return out;
    }
}
