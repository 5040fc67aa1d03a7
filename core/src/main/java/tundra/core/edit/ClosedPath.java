package tundra.core.edit;

import tundra.core.geometry.Point;
import tundra.core.motion.Key;
import tundra.core.motion.MotionPath;
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

    /**
     * A closed path from an open one: where its ends lie apart a key is added that leads back, with all that was there left as it is.
     * The way home takes the time that it has at the speed of the way so far.
     *
     * @param least what one frame takes, in µs
     */
    static Track<Point> close(Track<Point> track, long least) {
        Key<Point> first = track.keys().getFirst(), last = track.keys().getLast();
        Track<Point> shaped = track.withShape(track.shape().withClosed(true));
        double home = last.value().distance(first.value());
        if (track.keys().size() < 2 || home < 1e-9) {
            return shaped;
        }
        double way = new MotionPath(track).length();
        long took = last.time() - first.time();
        double guess = way < 1e-9 ? took : took * home / way;
        long frames = Math.max(1, Math.round(guess / least));
        return shaped.with(new Key<>(last.time() + frames * least, first.value(), first.easing()));
    }
}
