package tundra.core.geometry;

import java.math.BigDecimal;
import java.math.RoundingMode;

/** Numbers as text, the same in every locale. */
public final class Numbers {
    private Numbers() {}

    /** Plain decimal with at most {@code decimals} places, without trailing zeros or exponent. */
    public static String plain(double v, int decimals) {
        if (v == Math.rint(v) && Math.abs(v) < 1e15) {
            return Long.toString((long) v);
        }
        String s = BigDecimal.valueOf(v).setScale(decimals, RoundingMode.HALF_EVEN).stripTrailingZeros().toPlainString();
        return s.equals("-0") ? "0" : s;
    }

    /** The number that {@link #plain} reads back as. */
    public static double readBack(double v, int decimals) {
        return Double.isFinite(v) ? Double.parseDouble(plain(v, decimals)) : v;
    }

    public static double clamp(double v, double min, double max) {
        return Math.max(min, Math.min(max, v));
    }

    /** Rounded to {@code decimals} places: what a hand-made edit writes. */
    public static double round(double v, int decimals) {
        double k = Math.pow(10, decimals);
        return Math.rint(v * k) / k;
    }
}
