package tundra.core.edit;

import tundra.core.geometry.Numbers;

/** Reads what is typed into a number field: sums with + - * / and brackets, and a unit behind it that is passed over. */
public final class Arithmetic {
    private final String s;
    private int at;

    private Arithmetic(String s) {
        this.s = s;
    }

    /** The value; throws IllegalArgumentException with one sentence when it is not a sum. */
    public static double parse(String text) {
        String clean = text.strip().replace(',', '.').replace('×', '*').replace('−', '-').replaceFirst("\\s*(px|%|°|s|fps)$", "");
        var a = new Arithmetic(clean);
        double v = a.sum();
        a.blank();
        if (a.at < clean.length() || clean.isEmpty() || !Double.isFinite(v)) {
            throw new IllegalArgumentException("“" + text + "” is not a number or a sum");
        }
        return v;
    }

    /** The same between two bounds; throws IllegalArgumentException with one sentence when it lies outside of them. */
    public static double within(String text, double min, double max) {
        double v = parse(text);
        if (v < min || v > max) {
            throw new IllegalArgumentException("It should lie between " + Numbers.plain(min, 2) + " and " + Numbers.plain(max, 2) + ".");
        }
        return v;
    }

    private double sum() {
        double v = product();
        while (true) {
            if (take('+')) {
                v += product();
            } else if (take('-')) {
                v -= product();
            } else {
                return v;
            }
        }
    }

    private double product() {
        double v = factor();
        while (true) {
            if (take('*')) {
                v *= factor();
            } else if (take('/')) {
                v /= factor();
            } else {
                return v;
            }
        }
    }

    private double factor() {
        if (take('-')) {
            return -factor();
        }
        if (take('+')) {
            return factor();
        }
        if (take('(')) {
            double v = sum();
            if (!take(')')) {
                throw new IllegalArgumentException("“" + s + "” has a bracket that is not closed");
            }
            return v;
        }
        blank();
        int from = at;
        while (at < s.length() && (Character.isDigit(s.charAt(at)) || s.charAt(at) == '.')) {
            at++;
        }
        try {
            return Double.parseDouble(s.substring(from, at));
        } catch (NumberFormatException e) {
            throw new IllegalArgumentException("“" + s + "” is not a number or a sum", e);
        }
    }

    private boolean take(char c) {
        blank();
        if (at < s.length() && s.charAt(at) == c) {
            at++;
            return true;
        }
        return false;
    }

    private void blank() {
        while (at < s.length() && s.charAt(at) == ' ') {
            at++;
        }
    }
}
