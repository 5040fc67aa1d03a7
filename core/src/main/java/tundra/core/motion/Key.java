package tundra.core.motion;

import java.util.function.UnaryOperator;
import tundra.core.geometry.Point;

/**
 * A value at a time (µs), with the easing to the next key. {@code in} and {@code out} are the handles of a motion path, as
 * offsets in px; they are zero for every property but position.
 *
 * @param own whether the handles were set by hand; where they weren't, the path's bend makes them
 */
public record Key<T>(long time, T value, Easing easing, Point in, Point out, boolean own) {
    public Key(long time, T value, Easing easing) {
        this(time, value, easing, Point.ZERO, Point.ZERO, false);
    }

    /** With handles set by hand. */
    public Key(long time, T value, Easing easing, Point in, Point out) {
        this(time, value, easing, in, out, true);
    }

    public Key<T> at(long newTime) {
        return new Key<>(newTime, value, easing, in, out, own);
    }

    public <R> Key<R> with(R newValue) {
        return new Key<>(time, newValue, easing, in, out, own);
    }

    public Key<T> with(Easing newEasing) {
        return new Key<>(time, value, newEasing, in, out, own);
    }

    public Key<T> withHandles(Point newIn, Point newOut) {
        return new Key<>(time, value, easing, newIn, newOut, true);
    }

    /** With its handles carried along by a change of its surroundings; whether they are its own stays. */
    public Key<T> mapHandles(UnaryOperator<Point> change) {
        return new Key<>(time, value, easing, change.apply(in), change.apply(out), own);
    }

    /** Without handles of its own: the path's bend makes them. */
    public Key<T> bent() {
        return new Key<>(time, value, easing, Point.ZERO, Point.ZERO, false);
    }

    public boolean curved() {
        return !in.equals(Point.ZERO) || !out.equals(Point.ZERO);
    }
}
