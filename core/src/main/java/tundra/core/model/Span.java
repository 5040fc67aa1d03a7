package tundra.core.model;

/** A stretch of time, in µs; it begins at {@code from} and is over at {@code to}. */
public record Span(long from, long to) {
    public Span {
        if (from < 0 || to <= from) {
            throw new IllegalArgumentException("a stretch of time ends after it begins");
        }
    }

    public boolean contains(long time) {
        return time >= from && time < to;
    }
}
