package tundra.core.motion;

import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Reads the text form of an easing. */
public final class EasingText {
    private static final String N = "\\s*(-?[0-9.]+(?:e-?[0-9]+)?)\\s*";
    private static final Pattern CUBIC = Pattern.compile("cubic-bezier\\(" + N + "," + N + "," + N + "," + N + "\\)");
    private static final Pattern STEPS = Pattern.compile("steps\\(\\s*([0-9]{1,5})\\s*(?:,\\s*([a-z-]+)\\s*)?\\)");

    private static final Pattern SPRING = Pattern.compile("spring\\(" + N + "," + N + "," + N + "\\)");

    private static final Pattern PART = Pattern.compile("part\\((.+)," + N + "," + N + "\\)");
    /** How often a part may be one of a part. */
    private static final int DEPTH = 8;

    private EasingText() {}

    /** The easing of a text; throws IllegalArgumentException with one sentence when there is none. */
    public static Easing parse(String text) {
        return parse(text, 0);
    }

    private static Easing parse(String text, int depth) {
        String s = text.trim().toLowerCase(Locale.ROOT);
        switch (s) {
            case "linear": return Easing.LINEAR;
            case "hold": return Easing.HOLD;
            case "ease": return new CubicEasing(0.25, 0.1, 0.25, 1);
            case "ease-in": return new CubicEasing(0.42, 0, 1, 1);
            case "ease-out": return new CubicEasing(0, 0, 0.58, 1);
            case "ease-in-out": return new CubicEasing(0.42, 0, 0.58, 1);
            default:
        }
        Matcher m = CUBIC.matcher(s);
        if (m.matches()) {
            return new CubicEasing(num(m, 1), num(m, 2), num(m, 3), num(m, 4));
        }
        m = STEPS.matcher(s);
        if (m.matches()) {
            return new StepsEasing(Integer.parseInt(m.group(1)), jump(m.group(2)));
        }
        m = SPRING.matcher(s);
        if (m.matches()) {
            return new SpringEasing(num(m, 1), num(m, 2), num(m, 3));
        }
        m = PART.matcher(s);
        if (m.matches() && depth < DEPTH) {
            return new PartEasing(parse(m.group(1), depth + 1), num(m, 2), num(m, 3));
        }
        int dash = s.indexOf('-');
        try {
            return new FamilyEasing(FamilyEasing.Family.valueOf(s.substring(0, dash).toUpperCase(Locale.ROOT)),
                    FamilyEasing.Direction.valueOf(s.substring(dash + 1).toUpperCase(Locale.ROOT)));
        } catch (IllegalArgumentException | IndexOutOfBoundsException e) {
            throw new IllegalArgumentException("“" + text + "” is not an easing", e);
        }
    }

    private static double num(Matcher m, int group) {
        return Double.parseDouble(m.group(group));
    }

    private static StepsEasing.Jump jump(String css) {
        if (css == null || css.equals("end")) {
            return StepsEasing.Jump.END;
        }
        for (var j : StepsEasing.Jump.values()) {
            if (j.css.equals(css) || css.equals("start") && j == StepsEasing.Jump.START) {
                return j;
            }
        }
        throw new IllegalArgumentException("“" + css + "” is not a way for steps to jump");
    }
}
