package tundra.core.edit;

import tundra.core.model.Span;
import tundra.core.model.Timeline;

/** When an element is seen on a timeline. All times in µs. */
public final class Spans {
    private Spans() {}

    /** The whole time where nothing else is said. */
    public static Span of(Timeline t, String element) {
        return t.shown().getOrDefault(element, new Span(0, Math.max(1, t.duration())));
    }

    /** Seen from a time on; null when it would end before it begins. */
    public static Timeline from(Timeline t, String element, long time) {
        Span s = of(t, element);
        return time >= s.to() ? null : t.withShown(element, new Span(time, s.to()));
    }

    /** Seen until a time; null when it would end before it begins. */
    public static Timeline until(Timeline t, String element, long time) {
        Span s = of(t, element);
        return s.from() >= time ? null : t.withShown(element, new Span(s.from(), time));
    }

    /** With its beginning elsewhere, a least length kept. */
    public static Timeline trimStart(Timeline t, String element, Span was, long from, long least) {
        return set(t, element, Math.min(from, was.to() - least), was.to());
    }

    /** With its end elsewhere, a least length kept. */
    public static Timeline trimEnd(Timeline t, String element, Span was, long to, long least) {
        return set(t, element, was.from(), Math.max(was.from() + least, to));
    }

    /** As long as it was from another time on, within the timeline. */
    public static Timeline slide(Timeline t, String element, Span was, long from) {
        long length = was.to() - was.from(), start = Math.min(from, t.duration() - length);
        return set(t, element, start, start + length);
    }

    /** What covers all of the timeline is no span. */
    private static Timeline set(Timeline t, String element, long from, long to) {
        return t.withShown(element, from <= 0 && to >= t.duration() ? null : new Span(Math.max(0, from), Math.max(from + 1, to)));
    }
}
