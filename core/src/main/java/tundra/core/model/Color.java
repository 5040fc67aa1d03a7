package tundra.core.model;

import java.util.HexFormat;

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
        if (s.length() == 3) {
            char r = s.charAt(0), g = s.charAt(1), b = s.charAt(2);
            s = new String(new char[] {r, r, g, g, b, b});
        }
        if (s.length() != 6 && s.length() != 8 || !s.chars().allMatch(Color::isHexDigit)) {
            throw new IllegalArgumentException("“" + text + "” is not a colour such as #1C6A5E or #1C6A5E80");
        }
        long v = Long.parseLong(s.length() == 6 ? s + "ff" : s, 16);
        return new Color((int) (v >> 24 & 255), (int) (v >> 16 & 255), (int) (v >> 8 & 255), (int) (v & 255));
    }

    private static boolean isHexDigit(int c) {
        return c < 128 && Character.digit(c, 16) >= 0;
    }

    /** #RRGGBB, or #RRGGBBAA when it is not opaque. */
    public String hex() {
        HexFormat f = HexFormat.of().withUpperCase();
        var s = new StringBuilder(9).append('#').append(f.toHexDigits((byte) red)).append(f.toHexDigits((byte) green))
                .append(f.toHexDigits((byte) blue));
        return (alpha == 255 ? s : s.append(f.toHexDigits((byte) alpha))).toString();
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
