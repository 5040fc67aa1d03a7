package tundra.core.motion;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import tundra.core.motion.FamilyEasing.Direction;
import tundra.core.motion.FamilyEasing.Family;

/** An easing with what it feels like and what the trade calls it; no two of those offered feel alike. */
public record NamedEasing(Group group, String feel, String trade, Easing easing) {
    /** Kinds of feeling, in the order of the picker. */
    public enum Group {
        EVEN("even"), STARTS_GENTLY("starts gently"), LANDS_SOFTLY("lands softly"), BOTH("gentle at both ends"), OVERSHOOTS("overshoots"),
                SPRINGS("springs"),
        BOUNCES("bounces"), STEPS("steps"), HOLDS("holds"), OWN("made here");

        public final String words;

        Group(String words) {
            this.words = words;
        }
    }

    /** How strong the families of one shape are, from the weakest on; CSS's own keyword lies between the first two. */
    private static final List<Family> BY_STRENGTH = List.of(Family.SINE, Family.QUAD, Family.CUBIC, Family.QUART, Family.QUINT, Family.EXPO,
            Family.CIRC);
    private static final List<String> STRENGTH = List.of("a touch", "clearly", "well", "strongly", "very strongly", "extremely", "like a wheel");

    /** What the picker offers, by feeling, then by strength. */
    public static final List<NamedEasing> ALL = all();

    private static List<NamedEasing> all() {
        var out = new ArrayList<NamedEasing>();
        out.add(new NamedEasing(Group.EVEN, "even speed", "linear", Easing.LINEAR));
        shaped(out, Group.STARTS_GENTLY, Direction.IN, "ease-in");
        shaped(out, Group.LANDS_SOFTLY, Direction.OUT, "ease-out");
        shaped(out, Group.BOTH, Direction.BOTH, "ease-in-out");
        out.add(new NamedEasing(Group.BOTH, "quick off, then softly in", "ease", EasingText.parse("ease")));
        lively(out, Group.OVERSHOOTS, Family.BACK, "swings past");
        lively(out, Group.SPRINGS, Family.ELASTIC, "springs");
        out.add(new NamedEasing(Group.SPRINGS, "springs into place, softly", "spring · soft", new SpringEasing(100, 10, 1)));
        out.add(new NamedEasing(Group.SPRINGS, "springs into place, lively", "spring · lively", new SpringEasing(180, 8, 1)));
        out.add(new NamedEasing(Group.SPRINGS, "settles like a weight", "spring · heavy", new SpringEasing(60, 16, 2)));
        lively(out, Group.BOUNCES, Family.BOUNCE, "bounces");
        out.add(new NamedEasing(Group.STEPS, "in steps", "steps", new StepsEasing(4, StepsEasing.Jump.END)));
        out.add(new NamedEasing(Group.HOLDS, "holds, then jumps", "hold", Easing.HOLD));
        return List.copyOf(out);
    }

    private static void shaped(List<NamedEasing> out, Group group, Direction d, String css) {
        for (int i = 0; i < BY_STRENGTH.size(); i++) {
            var e = new FamilyEasing(BY_STRENGTH.get(i), d);
            out.add(new NamedEasing(group, group.words + ", " + STRENGTH.get(i), trade(BY_STRENGTH.get(i), d), e));
            if (i == 0) {
                out.add(new NamedEasing(group, group.words + ", a little", css, EasingText.parse(css)));
            }
        }
    }

    private static void lively(List<NamedEasing> out, Group group, Family f, String words) {
        for (Direction d : Direction.values()) {
            String where = switch (d) {
                case IN -> " at the start";
                case OUT -> " at the end";
                case BOTH -> " at both ends";
            };
            out.add(new NamedEasing(group, words + where, trade(f, d), new FamilyEasing(f, d)));
        }
    }

    private static String trade(Family f, Direction d) {
        return "ease-" + (d == Direction.BOTH ? "in-out" : d.name().toLowerCase(Locale.ROOT)) + " · " + f.name().toLowerCase(Locale.ROOT);
    }

    /** The entry of an easing; one made by hand is described by its form. */
    public static NamedEasing of(Easing easing) {
        for (NamedEasing n : ALL) {
            if (n.easing.equals(easing)) {
                return n;
            }
        }
        return switch (easing) {
            case StepsEasing s -> new NamedEasing(Group.STEPS, "in " + s.count() + " steps", easing.text(), easing);
            case SpringEasing s -> new NamedEasing(Group.SPRINGS, s.ratio() < 1 ? "a spring of your own" : "a weight of your own", easing.text(),
                    easing);
            case PartEasing p -> new NamedEasing(Group.OWN, "a part of «" + of(p.of()).feel() + "»", "what a key in between left of it", easing);
            default -> new NamedEasing(Group.OWN, "drawn by hand", easing.text(), easing);
        };
    }
}
