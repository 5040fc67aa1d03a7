package tundra.core.model;

/**
 * A timeline that the page's scrolling moves.
 *
 * @param length how far the page scrolls while the scene stands, in px; not asked where an element's way through the window counts
 * @param from where in that way the timeline begins, 0 to 1
 * @param to where it ends, more than {@code from}
 * @param smooth whether it comes after softly instead of exactly
 * @param rests whether scrolling comes to a stop at its markers
 * @param through the element whose way through the window counts, from where it comes in to where it has left; null for the scene's own length
 */
public record Scroll(double length, double from, double to, boolean smooth, boolean rests, String through) {
    public Scroll {
        if (!(length >= 1) || !(from >= 0) || !(to <= 1) || !(from < to)) {
            throw new IllegalArgumentException("scrolling goes from a share of its way to a later one");
        }
    }

    /** How far the page scrolls while a scene stands, in px; 0 when nothing on it goes by that. */
    public static double length(Board b) {
        return b.timelines().stream().map(Timeline::scroll).filter(s -> s != null && s.through() == null).mapToDouble(Scroll::length).max().orElse(0);
    }

    /** Where a timeline of a duration in µs stands after a share of the way. */
    public long time(double share, long duration) {
        return Math.round(Math.clamp((share - from) / (to - from), 0, 1) * duration);
    }

    /** After which share of the way a timeline of a duration stands at a time, both in µs. */
    public double share(long time, long duration) {
        return from + (to - from) * Math.clamp(time / (double) duration, 0, 1);
    }

    /** Over a length of the page, exactly. */
    public static Scroll over(double length) {
        return new Scroll(length, 0, 1, false, false, null);
    }

    public Scroll withThrough(String t) {
        return new Scroll(length, from, to, smooth, rests, t);
    }
}
