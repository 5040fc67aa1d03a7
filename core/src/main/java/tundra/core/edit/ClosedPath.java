package tundra.core.edit;

import tundra.core.geometry.Point;
import tundra.core.motion.Key;
import tundra.core.motion.Track;

/** Keeps the two ends of a closed motion path in one place. */
final class ClosedPath {
    private ClosedPath() {}

    /** After the key at a time was changed: when it is one end, the other follows. */
    @SuppressWarnings("unchecked")
    static <T> Track<T> ends(Track<T> track, long changed) {
        Key<T> first = track.keys().getFirst(), last = track.keys().getLast();
        if (changed == first.time()) {
            return track.with(last.with(first.value()));
        }
        return changed == last.time() ? track.with(first.with(last.value())) : track;
    }

    /** A closed path from an open one: its last key comes to where the first is, or one more key does when they are far apart. */
    static Track<Point> close(Track<Point> track, long duration) {
        Key<Point> first = track.keys().getFirst(), last = track.keys().getLast();
        Track<Point> shaped = track.withShape(track.shape().withClosed(true));
        if (track.keys().size() < 2 || last.value().distance(first.value()) < 1e-9) {
            return shaped;
        }
        long gap = track.keys().size() > 1 ? last.time() - track.keys().get(track.keys().size() - 2).time() : 1_000_000;
        long at = Math.min(duration, last.time() + gap);
        return at > last.time() ? shaped.with(new Key<>(at, first.value(), first.easing())) : shaped.with(last.with(first.value()));
    }
}
