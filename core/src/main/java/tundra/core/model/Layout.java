package tundra.core.model;

import tundra.core.geometry.Point;

/**
 * A version of a board for a range of widths. It holds only what differs from the base; everything else flows in from there.
 *
 * @param from the least width that it is for, in px
 * @param to   the first width that it is no longer for, in px; {@link #WIDEST} for no end
 * @param size of its canvas, at which its numbers are what they say
 */
public record Layout(String id, String name, int from, int to, Point size, Differs differs) {
    /** Wider than any window. */
    public static final int WIDEST = 1_000_000;

    public Layout {
        if (from < 0 || to > WIDEST || from >= to) {
            throw new IllegalArgumentException("a layout is for widths from the lesser to the greater");
        }
    }

    /** One in which nothing differs yet. */
    public Layout(String id, String name, int from, int to, Point size) {
        this(id, name, from, to, size, Differs.NOTHING);
    }

    public boolean holds(double width) {
        return width >= from && width < to;
    }

    public Layout withName(String n) {
        return new Layout(id, n, from, to, size, differs);
    }

    public Layout withRange(int f, int t) {
        return new Layout(id, name, f, t, size, differs);
    }

    public Layout withSize(Point s) {
        return new Layout(id, name, from, to, s, differs);
    }

    public Layout withDiffers(Differs d) {
        return new Layout(id, name, from, to, size, d);
    }

    public Layout withId(String i) {
        return new Layout(i, name, from, to, size, differs);
    }
}
