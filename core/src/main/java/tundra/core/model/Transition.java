package tundra.core.model;

import java.util.Arrays;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import tundra.core.motion.Easing;
import tundra.core.motion.EasingText;

/**
 * How one scene takes the place of another.
 *
 * @param side where the new scene moves to; nothing of that for a cut, a fade and a zoom
 * @param time in µs
 */
public record Transition(Kind kind, Side side, long time, Easing easing) {
    public enum Kind {
        CUT("cut"), FADE("fade"), SLIDE("slide"), PUSH("push"), COVER("cover"), ZOOM("zoom");

        public final String word;

        Kind(String word) {
            this.word = word;
        }

        /** Whether it has a direction. */
        public boolean moves() {
            return this == SLIDE || this == PUSH || this == COVER;
        }
    }

    /** The way that the new scene takes. */
    public enum Side {
        LEFT, RIGHT, UP, DOWN;

        public String word() {
            return name().toLowerCase(Locale.ROOT);
        }

        public Side opposite() {
            return switch (this) {
                case LEFT -> RIGHT;
                case RIGHT -> LEFT;
                case UP -> DOWN;
                case DOWN -> UP;
            };
        }
    }

    /** In a sentence: as the scene says that is opened. */
    public static final String OWN = "";
    public static final long LONGEST = 20_000_000;
    private static final Easing USUAL = EasingText.parse("cubic-bezier(0.3, 0, 0.2, 1)");
    public static final Transition CUT = new Transition(Kind.CUT, Side.LEFT, 500_000, USUAL);
    private static final Pattern TEXT = Pattern.compile("(cut|fade|slide|push|cover|zoom)(?: (left|right|up|down))? (\\d{1,8}) (.+)");

    public Transition {
        time = Math.max(0, Math.min(LONGEST, time));
    }

    /** As it is written in files and sentences, such as {@code push left 500000 ease}; the time in µs. */
    public String text() {
        return kind.word + (kind.moves() ? " " + side.word() : "") + " " + time + " " + easing.text();
    }

    /** Null for a text that is none. */
    public static Transition parse(String text) {
        Matcher m = TEXT.matcher(text);
        if (!m.matches()) {
            return null;
        }
        Kind k = Arrays.stream(Kind.values()).filter(x -> x.word.equals(m.group(1))).findFirst().orElseThrow();
        if (k.moves() != (m.group(2) != null)) {
            return null;
        }
        try {
            return new Transition(k, m.group(2) == null ? Side.LEFT : Side.valueOf(m.group(2).toUpperCase(Locale.ROOT)), Long.parseLong(m.group(3)),
                    EasingText.parse(m.group(4)));
        } catch (IllegalArgumentException e) {
            return null;
        }
    }

    public Transition with(Kind k) {
        return new Transition(k, side, time, easing);
    }

    public Transition with(Side s) {
        return new Transition(kind, s, time, easing);
    }

    public Transition withTime(long t) {
        return new Transition(kind, side, t, easing);
    }

    public Transition with(Easing e) {
        return new Transition(kind, side, time, e);
    }
}
