package tundra.core.svg;

import java.util.Locale;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import tundra.core.geometry.Affine;
import tundra.core.model.Color;
import tundra.core.model.ColorSpaces;

/** The small texts of SVG attributes: lengths, colours, transforms. */
final class SvgText {
    private static final Pattern LENGTH =
            Pattern.compile("\\s*([+-]?(?:\\d+\\.?\\d*|\\.\\d+)(?:[eE][+-]?\\d+)?)\\s*(px|pt|pc|mm|cm|in|em|ex|rem|%|q)?\\s*",
            Pattern.CASE_INSENSITIVE);
    private static final Pattern FUNCTION = Pattern.compile("(matrix|translate|scale|rotate|skewX|skewY)\\s*\\(([^)]*)\\)");
    private static final Pattern NUMBER = Pattern.compile("[+-]?(?:\\d+\\.?\\d*|\\.\\d+)(?:[eE][+-]?\\d+)?");

    /** No number and no function is longer; longer texts are made to keep a reader busy. */
    private static final int LONG = 100;

    private SvgText() {}

    /** A length in px; {@code fallback} where it can't be read. {@code whole} is what 100 % is, {@code em} the font size. */
    static double length(String s, double fallback, double whole, double em) {
        Matcher m = s == null || s.length() > LONG ? null : LENGTH.matcher(s);
        if (m == null || !m.matches()) {
            return fallback;
        }
        double v = Double.parseDouble(m.group(1));
        String unit = m.group(2) == null ? "px" : m.group(2).toLowerCase(Locale.ROOT);
        double out = v * switch (unit) {
            case "pt" -> 96 / 72.0;
            case "pc" -> 16;
            case "mm" -> 96 / 25.4;
            case "cm" -> 96 / 2.54;
            case "q" -> 96 / 101.6;
            case "in" -> 96;
            case "em", "rem" -> em;
            case "ex" -> em / 2;
            case "%" -> whole / 100;
            default -> 1;
        };
        return Double.isFinite(out) && Math.abs(out) < 1e7 ? out : fallback;
    }

    /** A fraction written as a number or in %. */
    static double fraction(String s, double fallback) {
        double v = length(s, Double.NaN, 1, 1);
        return Double.isNaN(v) ? fallback : v;
    }

    static double[] numbers(String s) {
        return s == null ? new double[0] : NUMBER.matcher(s).results().mapToDouble(r -> Double.parseDouble(r.group())).toArray();
    }

    static Affine transform(String s) {
        Affine out = Affine.IDENTITY;
        if (s == null) {
            return out;
        }
        Matcher m = FUNCTION.matcher(s.substring(0, Math.min(s.length(), 100 * LONG)));
        while (m.find()) {
            double[] v = numbers(m.group(2));
            out = out.times(one(m.group(1), v));
        }
        return out;
    }

    private static Affine one(String name, double[] v) {
        if (v.length == 0) {
            return Affine.IDENTITY;
        }
        return switch (name) {
            case "matrix" -> v.length < 6 ? Affine.IDENTITY : new Affine(v[0], v[1], v[2], v[3], v[4], v[5]);
            case "translate" -> Affine.translate(v[0], v.length > 1 ? v[1] : 0);
            case "scale" -> Affine.scale(v[0], v.length > 1 ? v[1] : v[0]);
            case "rotate" -> v.length < 3 ? Affine.rotate(v[0])
                    : Affine.translate(v[1], v[2]).times(Affine.rotate(v[0])).times(Affine.translate(-v[1], -v[2]));
            case "skewX" -> new Affine(1, 0, Math.tan(Math.toRadians(v[0])), 1, 0, 0);
            default -> new Affine(1, Math.tan(Math.toRadians(v[0])), 0, 1, 0, 0);
        };
    }

    /** A CSS colour; null where it can't be read. {@code current} stands for currentColor. */
    static Color color(String s, Color current) {
        if (s == null) {
            return null;
        }
        String t = s.strip().toLowerCase(Locale.ROOT);
        if (t.equals("currentcolor")) {
            return current;
        }
        if (t.equals("transparent")) {
            return Color.NONE;
        }
        if (t.startsWith("#")) {
            String h = t.substring(1);
            if (h.matches("[0-9a-f]{4}")) {
                h = h.replaceAll("(.)", "$1$1");
            }
            return h.matches("[0-9a-f]{3}|[0-9a-f]{6}|[0-9a-f]{8}") ? Color.parse(h) : null;
        }
        if (t.startsWith("rgb")) {
            return rgb(t);
        }
        if (t.startsWith("hsl")) {
            double[] v = numbers(t);
            return v.length < 3 ? null : ColorSpaces.ofHsl(v[0], v[1] / 100, v[2] / 100, v.length > 3 ? alpha(v[3], t) : 255);
        }
        String hex = CssColors.NAMES.get(t);
        return hex == null ? null : Color.parse(hex);
    }

    private static Color rgb(String t) {
        double[] v = numbers(t);
        if (v.length < 3) {
            return null;
        }
        // the channels are all numbers or all percentages; the alpha goes its own way
        boolean percent = t.matches("rgba?\\(\\s*[^\\s,/%]+%.*");
        int[] c = new int[3];
        for (int i = 0; i < 3; i++) {
            c[i] = channel(percent ? v[i] * 255 / 100 : v[i]);
        }
        return new Color(c[0], c[1], c[2], v.length > 3 ? alpha(v[3], t) : 255);
    }

    private static int alpha(double v, String t) {
        return channel(t.endsWith("%)") ? v * 255 / 100 : v * 255);
    }

    private static int channel(double v) {
        return (int) Math.max(0, Math.min(255, Math.round(v)));
    }

    /** Declarations of a style text, without {@code !important}. */
    static void declarations(String style, Map<String, String> into) {
        for (String d : StyleSheet.withoutComments(style).split(";")) {
            int colon = d.indexOf(':');
            if (colon > 0) {
                into.put(d.substring(0, colon).strip().toLowerCase(Locale.ROOT), d.substring(colon + 1).replace("!important", "").strip());
            }
        }
    }
}
