package tundra.core.motion;

import tundra.core.geometry.Numbers;

/** CSS {@code cubic-bezier(x1, y1, x2, y2)} (CSS Easing Functions 2, section 2.3); x1 and x2 lie in 0..1. */
public record CubicEasing(double x1, double y1, double x2, double y2) implements Easing {
    private static final int DIGITS = 6;

    public CubicEasing {
        if (!(x1 >= 0 && x1 <= 1 && x2 >= 0 && x2 <= 1) || !Double.isFinite(y1) || !Double.isFinite(y2)) {
            throw new IllegalArgumentException("cubic-bezier needs x values from 0 to 1 and finite y values");
        }
        // what its text says is what it is
        x1 = Numbers.readBack(x1, DIGITS);
        y1 = Numbers.readBack(y1, DIGITS);
        x2 = Numbers.readBack(x2, DIGITS);
        y2 = Numbers.readBack(y2, DIGITS);
    }

    @Override
    public double at(double p) {
        if (p <= 0 || p >= 1) {
            return Math.max(0, Math.min(1, p));
        }
        return poly(y1, y2, parameterAt(p));
    }

    /** Solves x(t) = p to 1e-9: Newton where it converges, else bisection. */
    private double parameterAt(double p) {
        double t = p;
        for (int i = 0; i < 8; i++) {
            double miss = poly(x1, x2, t) - p;
            if (Math.abs(miss) < 1e-9) {
                return t;
            }
            double slope = 3 * (1 - t) * (1 - t) * x1 + 6 * (1 - t) * t * (x2 - x1) + 3 * t * t * (1 - x2);
            if (Math.abs(slope) < 1e-6) {
                break;
            }
            t -= miss / slope;
        }
        double lo = 0, hi = 1;
        while (hi - lo > 1e-12) {
            double m = (lo + hi) / 2;
            if (poly(x1, x2, m) < p) {
                lo = m;
            } else {
                hi = m;
            }
        }
        return (lo + hi) / 2;
    }

    private static double poly(double a, double b, double t) {
        double u = 1 - t;
        return 3 * u * u * t * a + 3 * u * t * t * b + t * t * t;
    }

    @Override
    public String text() {
        return "cubic-bezier(" + num(x1) + ", " + num(y1) + ", " + num(x2) + ", " + num(y2) + ")";
    }

    private static String num(double v) {
        return Numbers.plain(v, DIGITS);
    }
}
