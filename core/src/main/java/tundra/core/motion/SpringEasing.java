package tundra.core.motion;

/**
 * A weight on a spring that is let go at the first value and comes to rest at the second: the closed form of
 * m·x″ + c·x′ + k·x = 0 with x(0) = 1 and x′(0) = 0. The interval lasts until the swing stays within a thousandth.
 *
 * @param stiffness k, in N/m
 * @param damping c, in N·s/m
 * @param mass m, in kg
 */
public record SpringEasing(double stiffness, double damping, double mass) implements Easing {
    private static final double STILL = 0.001;

    public SpringEasing {
        if (!(stiffness >= 1 && stiffness <= 10_000 && damping >= 0.1 && damping <= 1000 && mass >= 0.01 && mass <= 100)) {
            throw new IllegalArgumentException("a spring needs a stiffness of 1 to 10000, a damping of 0.1 to 1000 and a mass of 0.01 to 100");
        }
    }

    /** How far from rest the weight is after {@code t} seconds, as a fraction of where it was let go. */
    public double away(double t) {
        double w = Math.sqrt(stiffness / mass), z = ratio();
        if (Math.abs(z - 1) < 1e-6) {
            return Math.exp(-w * t) * (1 + w * t);
        }
        if (z < 1) {
            double d = w * Math.sqrt(1 - z * z);
            return Math.exp(-z * w * t) * (Math.cos(d * t) + z * w / d * Math.sin(d * t));
        }
        double root = w * Math.sqrt(z * z - 1), a = -z * w + root, b = -z * w - root;
        return (b * Math.exp(a * t) - a * Math.exp(b * t)) / (b - a);
    }

    /** The damping ratio: below 1 it swings, at 1 it comes back soonest without a swing. */
    public double ratio() {
        return damping / (2 * Math.sqrt(stiffness * mass));
    }

    /** Seconds until it stays within a thousandth: from the envelope where it swings, by bisection where it creeps. */
    public double settled() {
        double w = Math.sqrt(stiffness / mass), z = ratio();
        if (z < 1 - 1e-6) {
            return -Math.log(STILL * Math.sqrt(1 - z * z)) / (z * w);
        }
        double lo = 0, hi = 1;
        while (away(hi) > STILL) {
            hi *= 2;
        }
        for (int i = 0; i < 60; i++) {
            double m = (lo + hi) / 2;
            if (away(m) > STILL) {
                lo = m;
            } else {
                hi = m;
            }
        }
        return hi;
    }

    /** What is left at the end is spread over the interval, so that it ends exactly on the second value. */
    @Override
    public double at(double p) {
        if (p <= 0 || p >= 1) {
            return Math.max(0, Math.min(1, p));
        }
        double end = settled();
        return 1 - away(p * end) + p * away(end);
    }

    @Override
    public String text() {
        return "spring(" + number(stiffness) + ", " + number(damping) + ", " + number(mass) + ")";
    }

    private static String number(double v) {
        return v == Math.rint(v) ? Long.toString((long) v) : Double.toString(v);
    }
}
