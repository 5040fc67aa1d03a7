package tundra.core.motion;

import java.util.Locale;

/** The classic easing families (Robert Penner, 2001), each going in, out or both. */
public record FamilyEasing(Family family, Direction direction) implements Easing {
    /** The families by their trade names; each has its {@code in} form. */
    public enum Family {
        SINE, QUAD, CUBIC, QUART, QUINT, EXPO, CIRC, BACK, ELASTIC, BOUNCE;

        /** Overshoot of 10 % (Penner's constant). */
        static final double BACK_K = 1.70158;

        double in(double p) {
            return switch (this) {
                case SINE -> 1 - Math.cos(p * Math.PI / 2);
                case QUAD -> p * p;
                case CUBIC -> p * p * p;
                case QUART -> p * p * p * p;
                case QUINT -> p * p * p * p * p;
                case EXPO -> p <= 0 ? 0 : (Math.pow(2, 10 * (p - 1)) - 0x1p-10) / (1 - 0x1p-10);
                case CIRC -> 1 - Math.sqrt(Math.max(0, 1 - p * p));
                case BACK -> p * p * ((BACK_K + 1) * p - BACK_K);
                case ELASTIC -> (swing(p) - swing(0)) / (1 - swing(0));
                case BOUNCE -> 1 - bounceOut(1 - p);
            };
        }

        /** Penner's elastic, which does not start at 0: the caller takes that small jump away. */
        private static double swing(double p) {
            return -Math.pow(2, 10 * (p - 1)) * Math.sin((p - 1 - 0.075) * 2 * Math.PI / 0.3);
        }

        private static double bounceOut(double p) {
            double n = 7.5625, d = 2.75;
            if (p < 1 / d) {
                return n * p * p;
            }
            double q = p < 2 / d ? p - 1.5 / d : p < 2.5 / d ? p - 2.25 / d : p - 2.625 / d;
            return n * q * q + (p < 2 / d ? 0.75 : p < 2.5 / d ? 0.9375 : 0.984375);
        }
    }

    /** Which end of the interval is eased. */
    public enum Direction {
        IN, OUT, BOTH
    }

    @Override
    public double at(double p) {
        if (p <= 0 || p >= 1) {
            return Math.max(0, Math.min(1, p));
        }
        return switch (direction) {
            case IN -> family.in(p);
            case OUT -> 1 - family.in(1 - p);
            case BOTH -> p < 0.5 ? family.in(2 * p) / 2 : 1 - family.in(2 - 2 * p) / 2;
        };
    }

    @Override
    public String text() {
        return (family + "-" + direction).toLowerCase(Locale.ROOT);
    }
}
