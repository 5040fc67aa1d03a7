package tundra.core.edit;

import java.util.function.UnaryOperator;
import tundra.core.geometry.Point;
import tundra.core.model.Board;
import tundra.core.model.Properties;
import tundra.core.motion.Easing;
import tundra.core.motion.Key;
import tundra.core.motion.PathShape;
import tundra.core.motion.Track;

/** Changes of motion paths as wholes. */
public final class Paths {
    private Paths() {}

    private static Board map(Board b, String timeline, String element, UnaryOperator<Track<Point>> change) {
        return b.mapTimeline(timeline, t -> {
            Track<Point> track = t.track(element, Properties.POSITION);
            return track == null ? t : t.with(element, Properties.POSITION, change.apply(track));
        });
    }

    /** How round the path runs through all keys without handles of their own: 0 to 1. */
    public static Board bend(Board b, String timeline, String element, double bend) {
        return map(b, timeline, element, t -> t.withShape(t.shape().withBend(bend)));
    }

    /** Gives up the handles that were set by hand, so that the bend makes all of them. */
    public static Board bendAll(Board b, String timeline, String element) {
        return map(b, timeline, element, t -> t.map(Key::bent));
    }

    /**
     * Closed, a key at the end leads back to where the path begins, and a timeline too short for it grows; opened, all keys stay where
     * they are.
     *
     * @param frame what one frame takes, in µs
     */
    public static Board closed(Board b, String timeline, String element, boolean closed, long frame) {
        Board out = map(b, timeline, element, t -> closed ? ClosedPath.close(t, frame) : t.withShape(t.shape().withClosed(false)));
        Track<Point> track = out.timeline(timeline).track(element, Properties.POSITION);
        return track == null ? out : out.mapTimeline(timeline, t -> t.withDuration(Math.max(t.duration(), track.keys().getLast().time())));
    }

    /** One easing for the whole way, to begin with: slow at both ends, or even where the path closes, so that it never slows at its join. */
    public static Board whole(Board b, String timeline, String element) {
        return whole(b, timeline, element, shape(b, timeline, element).closed() ? Easing.LINEAR : PropertyEdit.NEW_EASING);
    }

    /** One easing for the whole way; null gives each interval back its own. */
    public static Board whole(Board b, String timeline, String element, Easing easing) {
        return map(b, timeline, element, t -> t.withShape(t.shape().withWhole(easing)));
    }

    /** Moves one key of the path; a closed path stays closed. */
    public static Board move(Board b, String timeline, String element, long time, Point to) {
        return map(b, timeline, element, t -> {
            Key<Point> k = t.keyAt(time);
            if (k == null) {
                return t;
            }
            Track<Point> moved = t.with(k.with(to));
            return t.shape().closed() ? ClosedPath.ends(moved, time) : moved;
        });
    }

    public static PathShape shape(Board b, String timeline, String element) {
        Track<Point> t = b.timeline(timeline).track(element, Properties.POSITION);
        return t == null ? PathShape.PLAIN : t.shape();
    }
}
