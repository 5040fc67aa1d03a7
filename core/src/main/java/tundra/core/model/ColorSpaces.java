package tundra.core.model;

/** Other coordinates of sRGB colours, as CSS Color 4 converts them. */
public final class ColorSpaces {
    private ColorSpaces() {}

    /** Hue in degrees 0 to 360, saturation and lightness 0 to 1. A grey has hue 0. */
    public static double[] hsl(Color c) {
        double r = c.red() / 255.0, g = c.green() / 255.0, b = c.blue() / 255.0;
        double max = Math.max(r, Math.max(g, b)), min = Math.min(r, Math.min(g, b)), d = max - min;
        double l = (max + min) / 2;
        double s = d == 0 ? 0 : d / (1 - Math.abs(2 * l - 1));
        return new double[] {hue(r, g, b, max, d), Math.min(1, s), l};
    }

    private static double hue(double r, double g, double b, double max, double d) {
        if (d == 0) {
            return 0;
        }
        double h = max == r ? (g - b) / d % 6 : max == g ? (b - r) / d + 2 : (r - g) / d + 4;
        return (h * 60 + 360) % 360;
    }

    public static Color ofHsl(double h, double s, double l, int alpha) {
        double a = s * Math.min(l, 1 - l);
        return new Color(hslChannel(0, h, l, a), hslChannel(8, h, l, a), hslChannel(4, h, l, a), alpha);
    }

    private static int hslChannel(int n, double h, double l, double a) {
        double k = (n + (h % 360 + 360) % 360 / 30) % 12;
        return channel(l - a * Math.max(-1, Math.min(Math.min(k - 3, 9 - k), 1)));
    }

    /** Hue in degrees, saturation and value 0 to 1. */
    public static double[] hsv(Color c) {
        double[] hsl = hsl(c);
        double v = hsl[2] + hsl[1] * Math.min(hsl[2], 1 - hsl[2]);
        return new double[] {hsl[0], v == 0 ? 0 : 2 * (1 - hsl[2] / v), v};
    }

    public static Color ofHsv(double h, double s, double v, int alpha) {
        double l = v * (1 - s / 2), m = Math.min(l, 1 - l);
        return ofHsl(h, m == 0 ? 0 : (v - l) / m, l, alpha);
    }

    private static int channel(double v) {
        return (int) Math.max(0, Math.min(255, Math.round(v * 255)));
    }
}
