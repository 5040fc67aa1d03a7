package tundra.core.model;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.function.UnaryOperator;
import tundra.core.motion.CubicEasing;
import tundra.core.motion.Easing;

/**
 * Parts that visitors can drag: to places that they fit (match pairs), or freely.
 *
 * @param pairs which part fits where
 * @param motion how parts move
 * @param fit when a part has landed, and what becomes of it otherwise
 * @param carried how a part looks while it is carried
 */
public record Dragging(String id, List<Pair> pairs, Motion motion, Fit fit, Carried carried) {
    /** A part and the places that it fits; none for one that is dragged freely. */
    public record Pair(String part, List<String> places) {
        public Pair {
            places = List.copyOf(places);
        }
    }

    /**
     * How parts move.
     *
     * @param area the element that parts are kept within; null for none
     * @param glides whether a part that is let go while it moves goes on, slower and slower
     */
    public record Motion(Way way, String area, boolean glides) {
        public Motion withWay(Way w) {
            return new Motion(w, area, glides);
        }

        public Motion withArea(String a) {
            return new Motion(way, a, glides);
        }

        public Motion withGlides(boolean g) {
            return new Motion(way, area, g);
        }
    }

    /** Where a part can be moved to. */
    public enum Way {
        FREE("freely"), ACROSS("across only"), DOWN("up and down only"), TURN("around its pivot"),
        /** To where its motion path is nearest to the pointer: that plays the timeline which the path is on. */
        PATH("along its motion path");

        public final String words;

        Way(String words) {
            this.words = words;
        }
    }

    /**
     * When a part has landed, and what becomes of it otherwise.
     *
     * @param overlap by what a part is over a place
     * @param share how much of a part's area must lie over the place, 0 to 1, for {@link Overlap#AREA}
     * @param snaps whether a part that landed goes to the middle of its place; else it stays where it was let go
     * @param many whether a place takes several parts
     * @param missed what becomes of a part that is let go elsewhere; parts without a place always stay
     * @param back how long going home takes, in µs
     * @param easing of going home
     */
    public record Fit(Overlap overlap, double share, boolean snaps, boolean many, Missed missed, long back, Easing easing) {
        /** As CSS's ease-out. */
        public static final Easing USUAL = new CubicEasing(0, 0, 0.58, 1);

        public Fit withOverlap(Overlap o, double s) {
            return new Fit(o, s, snaps, many, missed, back, easing);
        }

        public Fit withSnaps(boolean s) {
            return new Fit(overlap, share, s, many, missed, back, easing);
        }

        public Fit withMany(boolean m) {
            return new Fit(overlap, share, snaps, m, missed, back, easing);
        }

        public Fit withMissed(Missed m) {
            return new Fit(overlap, share, snaps, many, m, back, easing);
        }

        public Fit withBack(long b) {
            return new Fit(overlap, share, snaps, many, missed, b, easing);
        }

        public Fit withEasing(Easing e) {
            return new Fit(overlap, share, snaps, many, missed, back, e);
        }
    }

    /** What becomes of a part that was let go where it doesn't fit. */
    public enum Missed {
        HOME("goes home"), STAYS("stays");

        public final String words;

        Missed(String words) {
            this.words = words;
        }
    }

    /** By what a part is over a place. */
    public enum Overlap {
        POINTER("the pointer"), CENTRE("its middle"), AREA("its area");

        public final String words;

        Overlap(String words) {
            this.words = words;
        }
    }

    /**
     * How a part looks while it is carried.
     *
     * @param opacity 0 to 1
     * @param tilt in degrees
     * @param look other properties and what they are meanwhile; each property once
     */
    public record Carried(double opacity, double tilt, Cursor cursor, List<Setting> look) {
        public Carried {
            look = List.copyOf(look);
        }

        public Carried withOpacity(double o) {
            return new Carried(o, tilt, cursor, look);
        }

        public Carried withTilt(double t) {
            return new Carried(opacity, t, cursor, look);
        }

        public Carried withCursor(Cursor c) {
            return new Carried(opacity, tilt, c, look);
        }

        /** With what a property is meanwhile, in place of what it was. */
        public Carried with(Setting s) {
            var out = new ArrayList<>(look);
            out.replaceAll(x -> x.property() == s.property() ? s : x);
            if (!out.contains(s)) {
                out.add(s);
            }
            return new Carried(opacity, tilt, cursor, out);
        }

        public Carried without(Property<?> p) {
            return new Carried(opacity, tilt, cursor, look.stream().filter(x -> x.property() != p).toList());
        }
    }

    /** The pointer's form while it carries, by its CSS name. */
    public enum Cursor {
        GRABBING("grabbing", "a closed hand"), POINTER("pointer", "a pointing hand"), MOVE("move", "four arrows"), CROSSHAIR("crosshair", "a cross"),
                NONE("none", "no pointer");

        public final String css;
        public final String words;

        Cursor(String css, String words) {
            this.css = css;
            this.words = words;
        }
    }

    public Dragging {
        pairs = List.copyOf(pairs);
    }

    public static Dragging of(String id, List<Pair> pairs) {
        return new Dragging(id, pairs, new Motion(Way.FREE, null, false), new Fit(Overlap.CENTRE, 0.5, true, false, Missed.HOME, 300_000, Fit.USUAL),
                new Carried(0.85, 0, Cursor.GRABBING, List.of()));
    }

    /** Whether parts fit anywhere. */
    public boolean matches() {
        return pairs.stream().anyMatch(p -> !p.places.isEmpty());
    }

    public Dragging withId(String i) {
        return new Dragging(i, pairs, motion, fit, carried);
    }

    public Dragging withPairs(List<Pair> p) {
        return new Dragging(id, p, motion, fit, carried);
    }

    public Dragging withMotion(UnaryOperator<Motion> change) {
        return new Dragging(id, pairs, change.apply(motion), fit, carried);
    }

    public Dragging withFit(UnaryOperator<Fit> change) {
        return new Dragging(id, pairs, motion, change.apply(fit), carried);
    }

    public Dragging withCarried(UnaryOperator<Carried> change) {
        return new Dragging(id, pairs, motion, fit, change.apply(carried));
    }

    /**
     * With the elements that it names changed; those that become null are left out. Parts that become the same fit where each of them did,
     * and no part fits itself. Null when no part is left.
     */
    public Dragging map(UnaryOperator<String> change) {
        var places = new LinkedHashMap<String, LinkedHashSet<String>>();
        for (Pair p : pairs) {
            String part = change.apply(p.part);
            if (part != null) {
                var of = places.computeIfAbsent(part, x -> new LinkedHashSet<>());
                p.places.stream().map(change).filter(x -> x != null && !x.equals(part)).forEach(of::add);
            }
        }
        var out = new ArrayList<Pair>();
        places.forEach((part, of) -> out.add(new Pair(part, List.copyOf(of))));
        return out.isEmpty() ? null : withPairs(out).withMotion(m -> m.area == null ? m : m.withArea(change.apply(m.area)));
    }
}
