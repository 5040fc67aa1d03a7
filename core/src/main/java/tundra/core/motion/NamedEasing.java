package tundra.core.motion;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/** An easing with what it feels like and what the trade calls it. */
public record NamedEasing(String feel, String trade, Easing easing) {
    /** What the picker offers, in its order. */
    public static final List<NamedEasing> ALL = all();

    private static List<NamedEasing> all() {
        var out = new ArrayList<NamedEasing>();
        out.add(new NamedEasing("even speed", "linear", Easing.LINEAR));
        for (String css : List.of("ease", "ease-in", "ease-out", "ease-in-out")) {
            out.add(new NamedEasing(feel(css.equals("ease-in") ? FamilyEasing.Direction.IN
                    : css.equals("ease-out") ? FamilyEasing.Direction.OUT : FamilyEasing.Direction.BOTH), css, EasingText.parse(css)));
        }
        for (var f : FamilyEasing.Family.values()) {
            for (var d : FamilyEasing.Direction.values()) {
                var e = new FamilyEasing(f, d);
                out.add(new NamedEasing(feel(f, d), trade(f, d), e));
            }
        }
        out.add(new NamedEasing("springs into place", "spring · soft", new SpringEasing(100, 10, 1)));
        out.add(new NamedEasing("springs into place", "spring · lively", new SpringEasing(180, 8, 1)));
        out.add(new NamedEasing("settles like a weight", "spring · heavy", new SpringEasing(60, 16, 2)));
        out.add(new NamedEasing("in steps", "steps", new StepsEasing(4, StepsEasing.Jump.END)));
        out.add(new NamedEasing("holds, then jumps", "hold", Easing.HOLD));
        return List.copyOf(out);
    }

    private static String trade(FamilyEasing.Family f, FamilyEasing.Direction d) {
        return "ease-" + (d == FamilyEasing.Direction.BOTH ? "in-out" : d.name().toLowerCase(Locale.ROOT)) + " · "
                + f.name().toLowerCase(Locale.ROOT);
    }

    private static String feel(FamilyEasing.Family f, FamilyEasing.Direction d) {
        String end = switch (d) {
            case IN -> " at the start";
            case OUT -> " at the end";
            case BOTH -> " at both ends";
        };
        return switch (f) {
            case BACK -> "swings past" + end;
            case ELASTIC -> "springs" + end;
            case BOUNCE -> "bounces" + end;
            default -> feel(d);
        };
    }

    private static String feel(FamilyEasing.Direction d) {
        return switch (d) {
            case IN -> "starts gently";
            case OUT -> "lands softly";
            case BOTH -> "gentle at both ends";
        };
    }

    /** The entry of an easing; one made by hand is described by its form. */
    public static NamedEasing of(Easing easing) {
        for (NamedEasing n : ALL) {
            if (n.easing.equals(easing)) {
                return n;
            }
        }
        String feel = switch (easing) {
            case StepsEasing s -> "in steps";
            case SpringEasing s -> s.ratio() < 1 ? "springs into place" : "settles like a weight";
            case PartEasing p -> "a part of «" + of(p.of()).feel() + "»";
            default -> "drawn by hand";
        };
        return new NamedEasing(feel, easing.text(), easing);
    }
}
