package tundra.core.model;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.function.UnaryOperator;

/**
 * Parts that visitors can drag: to places that they fit (match pairs), or freely.
 *
 * @param pairs which part fits where
 * @param way how a part can be moved
 * @param area the element that parts are kept within; null for none
 * @param missed what becomes of a part that is let go elsewhere; parts without a place always stay
 * @param back how long going home takes, in µs
 * @param overlap by what a part is over a place
 * @param share how much of a part's area must lie over the place, 0 to 1, for {@link Overlap#AREA}
 * @param snaps whether a part that landed goes to the middle of its place; else it stays where it was let go
 * @param many whether a place takes several parts
 * @param opacity of a part while it is carried, 0 to 1
 * @param tilt of a part while it is carried, in degrees
 */
public record Dragging(String id, List<Pair> pairs, Way way, String area, Missed missed, long back, Overlap overlap, double share, boolean snaps, boolean many, double opacity, double tilt) {
    /** A part and the places that it fits; none for one that is dragged freely. */
    public record Pair(String part, List<String> places) {
        public Pair {
            places = List.copyOf(places);
        }
    }

    /** How a part can be moved. */
    public enum Way {
        FREE("freely"), ACROSS("across only"), DOWN("up and down only"), TURN("around its pivot");

        public final String words;

        Way(String words) {
            this.words = words;
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

    public Dragging {
        pairs = List.copyOf(pairs);
    }

    public static Dragging of(String id, List<Pair> pairs) {
        return new Dragging(id, pairs, Way.FREE, null, Missed.HOME, 300_000, Overlap.CENTRE, 0.5, true, false, 0.85, 0);
    }

    /** Whether parts fit anywhere. */
    public boolean matches() {
        return pairs.stream().anyMatch(p -> !p.places.isEmpty());
    }

    public Dragging withId(String i) {
        return new Dragging(i, pairs, way, area, missed, back, overlap, share, snaps, many, opacity, tilt);
    }

    public Dragging withPairs(List<Pair> p) {
        return new Dragging(id, p, way, area, missed, back, overlap, share, snaps, many, opacity, tilt);
    }

    public Dragging withWay(Way w) {
        return new Dragging(id, pairs, w, area, missed, back, overlap, share, snaps, many, opacity, tilt);
    }

    public Dragging withArea(String a) {
        return new Dragging(id, pairs, way, a, missed, back, overlap, share, snaps, many, opacity, tilt);
    }

    public Dragging withMissed(Missed m) {
        return new Dragging(id, pairs, way, area, m, back, overlap, share, snaps, many, opacity, tilt);
    }

    public Dragging withBack(long b) {
        return new Dragging(id, pairs, way, area, missed, b, overlap, share, snaps, many, opacity, tilt);
    }

    public Dragging withOverlap(Overlap o) {
        return new Dragging(id, pairs, way, area, missed, back, o, share, snaps, many, opacity, tilt);
    }

    public Dragging withShare(double s) {
        return new Dragging(id, pairs, way, area, missed, back, overlap, s, snaps, many, opacity, tilt);
    }

    public Dragging withSnaps(boolean s) {
        return new Dragging(id, pairs, way, area, missed, back, overlap, share, s, many, opacity, tilt);
    }

    public Dragging withMany(boolean m) {
        return new Dragging(id, pairs, way, area, missed, back, overlap, share, snaps, m, opacity, tilt);
    }

    public Dragging withOpacity(double o) {
        return new Dragging(id, pairs, way, area, missed, back, overlap, share, snaps, many, o, tilt);
    }

    public Dragging withTilt(double t) {
        return new Dragging(id, pairs, way, area, missed, back, overlap, share, snaps, many, opacity, t);
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
        return out.isEmpty() ? null : withPairs(out).withArea(area == null ? null : change.apply(area));
    }
}
