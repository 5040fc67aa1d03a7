package tundra.core.motion;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.function.Function;
import java.util.function.UnaryOperator;

/**
 * The keys of one property of one element: at least one, in the order of time, one a time.
 *
 * @param shape of the motion path when the property is the position; plain for every other
 */
public record Track<T>(List<Key<T>> keys, PathShape shape) {
    public Track {
        keys = List.copyOf(keys);
        if (keys.isEmpty()) {
            throw new IllegalArgumentException("a track needs a key");
        }
        for (int i = 1; i < keys.size(); i++) {
            if (keys.get(i).time() <= keys.get(i - 1).time()) {
                throw new IllegalArgumentException("keys must follow each other in time");
            }
        }
    }

    public Track(List<Key<T>> keys) {
        this(keys, PathShape.PLAIN);
    }

    public Track<T> withKeys(List<Key<T>> k) {
        return new Track<>(k, shape);
    }

    public Track<T> withShape(PathShape s) {
        return new Track<>(keys, s);
    }

    /** Blends two values at a progress that may overshoot 0..1. */
    @FunctionalInterface
    public interface Blend<T> {
        T at(T a, T b, double p);
    }

    /** The index of the last key at or before {@code time}; -1 before the first. */
    public int before(long time) {
        int lo = 0, hi = keys.size() - 1, found = -1;
        while (lo <= hi) {
            int m = (lo + hi) >>> 1;
            if (keys.get(m).time() <= time) {
                found = m;
                lo = m + 1;
            } else {
                hi = m - 1;
            }
        }
        return found;
    }

    /** The eased progress through the interval that starts at key {@code i}. */
    public double progress(int i, double time) {
        Key<T> a = keys.get(i);
        double span = keys.get(i + 1).time() - a.time();
        return a.easing().at((time - a.time()) / span);
    }

    /** The value at a time in µs, whole or not; the first key's before it, the last key's after it. */
    public T at(double time, Blend<T> blend) {
        int i = before((long) Math.floor(time));
        if (i < 0) {
            return keys.getFirst().value();
        }
        if (i == keys.size() - 1) {
            return keys.getLast().value();
        }
        return blend.at(keys.get(i).value(), keys.get(i + 1).value(), progress(i, time));
    }

    public Key<T> keyAt(long time) {
        int i = before(time);
        return i >= 0 && keys.get(i).time() == time ? keys.get(i) : null;
    }

    /** With this key added, or in place of the one at its time. */
    public Track<T> with(Key<T> key) {
        var out = new ArrayList<>(keys);
        out.removeIf(k -> k.time() == key.time());
        out.add(key);
        out.sort(Comparator.comparingLong(Key::time));
        return withKeys(out);
    }

    /** Without the key at a time; null when none is left. */
    public Track<T> without(long time) {
        var out = keys.stream().filter(k -> k.time() != time).toList();
        return out.isEmpty() ? null : withKeys(out);
    }

    public Track<T> map(UnaryOperator<Key<T>> change) {
        return withKeys(keys.stream().map(change).toList());
    }

    public <R> Track<R> values(Function<T, R> to) {
        return new Track<>(keys.stream().map(k -> k.<R>with(to.apply(k.value()))).toList(), shape);
    }
}
