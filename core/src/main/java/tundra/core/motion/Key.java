package tundra.core.motion;

import tundra.core.geometry.Point;

/**
 * A value at a time (µs), with the easing to the next key. {@code in} and {@code out} are the handles of a motion path, as
 * offsets in px; they are zero for every property but position.
 */
public record Key<T>(long time, T value, Easing easing, Point in, Point out) {
    public Key(long time, T value, Easing easing) {
        this(time, value, easing, Point.ZERO, Point.ZERO);
    }

    public Key<T> at(long newTime) {
        return new Key<>(newTime, value, easing, in, out);
    }

    public Key<T> with(T newValue) {
        return new Key<>(time, newValue, easing, in, out);
    }

    public Key<T> with(Easing newEasing) {
        return new Key<>(time, value, newEasing, in, out);
    }

    public Key<T> withHandles(Point newIn, Point newOut) {
        return new Key<>(time, value, easing, newIn, newOut);
    }

    public boolean curved() {
        return !in.equals(Point.ZERO) || !out.equals(Point.ZERO);
    }
}
