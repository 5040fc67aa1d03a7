package tundra.core.model;

import java.util.Locale;

/** An sRGB colour, 8 bits a channel, not premultiplied. */
public record Color(int red, int green, int blue, int alpha) implements Paint {
    public static final Color NONE = new Color(0, 0, 0, 0);
    public static final Color BLACK = new Color(0, 0, 0, 255);
    public static final Color WHITE = new Color(255, 255, 255, 255);

    public Color {
        if (((red | green | blue | alpha) & ~0xFF) != 0) {
            throw new IllegalArgumentException("a colour's channels go from 0 to 255");
        }
    }

    /** Reads #RGB, #RRGGBB or #RRGGBBAA, with or without the sign. */
    public static Color parse(String text) {
        String s = text.trim();
        s = s.startsWith("#") ? s.substring(1) : s;
        if (s.matches("[0-9a-fA-F]{3}")) {
            s = s.replaceAll("(.)", "$1$1");
        }
        if (!s.matches("[0-9a-fA-F]{6}([0-9a-fA-F]{2})?")) {
            throw new IllegalArgumentException("“" + text + "” is not a colour such as #1C6A5E or #1C6A5E80");
        }
        long v = Long.parseLong(s.length() == 6 ? s + "ff" : s, 16);
        return new Color((int) (v >> 24 & 255), (int) (v >> 16 & 255), (int) (v >> 8 & 255), (int) (v & 255));
    }

    /** #RRGGBB, or #RRGGBBAA when it is not opaque. */
    public String hex() {
        String rgb = String.format(Locale.ROOT, "#%02X%02X%02X", red, green, blue);
        return alpha == 255 ? rgb : rgb + String.format(Locale.ROOT, "%02X", alpha);
    }

    public int argb() {
        return alpha << 24 | red << 16 | green << 8 | blue;
    }

    @Override
    public boolean visible() {
        return alpha > 0;
    }

    @Override
    public Color main() {
        return this;
    }

    public Color withAlpha(int a) {
        return new Color(red, green, blue, a);
    }

    /** Blended with premultiplied alpha (CSS Color 4, section 12.3), clamped to what 8 bits hold. */
    public Color lerp(Color o, double p) {
        double a0 = alpha / 255.0, a1 = o.alpha / 255.0;
        double a = Math.max(0, Math.min(1, a0 + (a1 - a0) * p));
        if (a <= 0) {
            return NONE;
        }
        return new Color(mix(red * a0, o.red * a1, p, a), mix(green * a0, o.green * a1, p, a), mix(blue * a0, o.blue * a1, p, a),
                (int) Math.round(a * 255));
    }

    private static int mix(double x, double y, double p, double alpha) {
        return (int) Math.max(0, Math.min(255, Math.round((x + (y - x) * p) / alpha)));
    }
}
