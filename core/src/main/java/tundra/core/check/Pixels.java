package tundra.core.check;

import tundra.core.geometry.Numbers;

/** Colours as eyes see them: relative luminance and contrast as WCAG 2.2 defines them. */
final class Pixels {
    private Pixels() {}

    /** Of a colour, 0 for black to 1 for white. @param argb opaque */
    static double luminance(int argb) {
        return 0.2126 * linear(argb >> 16 & 255) + 0.7152 * linear(argb >> 8 & 255) + 0.0722 * linear(argb & 255);
    }

    private static double linear(int channel) {
        double c = channel / 255.0;
        return c <= 0.04045 ? c / 12.92 : Math.pow((c + 0.055) / 1.055, 2.4);
    }

    /** 1 to 21. */
    static double contrast(int a, int b) {
        double x = luminance(a), y = luminance(b);
        return (Math.max(x, y) + 0.05) / (Math.min(x, y) + 0.05);
    }

    /** A colour laid over another one. @param alpha 0 to 1, of the upper one */
    static int over(int upper, double alpha, int lower) {
        int out = 0xFF000000;
        for (int s = 0; s < 24; s += 8) {
            out |= (int) Math.round(Numbers.clamp((upper >> s & 255) * alpha + (lower >> s & 255) * (1 - alpha), 0, 255)) << s;
        }
        return out;
    }

    /** How far red stands out, 0 to 320; above 0 only for a saturated red (the definition of a red flash). */
    static double red(int argb) {
        double r = argb >> 16 & 255, g = argb >> 8 & 255, b = argb & 255, sum = r + g + b;
        return sum > 0 && r / sum >= 0.8 ? Math.max(0, (r - g - b) / 255 * 320) : 0;
    }

    /** How much two pictures differ, 0 to 1. */
    static double difference(int[] a, int[] b) {
        long sum = 0;
        for (int i = 0; i < a.length; i++) {
            for (int s = 0; s < 24; s += 8) {
                sum += Math.abs((a[i] >> s & 255) - (b[i] >> s & 255));
            }
        }
        return sum / (255.0 * 3 * a.length);
    }
}
