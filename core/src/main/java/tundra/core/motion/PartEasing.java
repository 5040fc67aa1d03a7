package tundra.core.motion;

import tundra.core.geometry.Numbers;

/**
 * A stretch of another easing, brought to 0..1 in progress and value: what is left of an interval that was cut.
 *
 * @param of the easing of the whole interval; its value must differ at the two ends
 * @param from where the stretch begins, 0 to 1
 * @param to where it ends, greater than {@code from}, at most 1
 */
public record PartEasing(Easing of, double from, double to) implements Easing {
    private static final int DIGITS = 9;

    public PartEasing {
        from = Numbers.readBack(from, DIGITS);
        to = Numbers.readBack(to, DIGITS);
        if (!(from >= 0 && from < to && to <= 1) || Math.abs(of.at(to) - of.at(from)) < 1e-12) {
            throw new IllegalArgumentException("a part of an easing needs 0 ≤ from < to ≤ 1 and different values there");
        }
    }

    @Override
    public double at(double p) {
        if (p <= 0 || p >= 1) {
            return Math.max(0, Math.min(1, p));
        }
        double low = of.at(from);
        return (of.at(from + (to - from) * p) - low) / (of.at(to) - low);
    }

    @Override
    public String text() {
        return "part(" + of.text() + ", " + Numbers.plain(from, DIGITS) + ", " + Numbers.plain(to, DIGITS) + ")";
    }
}
