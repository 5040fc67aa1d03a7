package tundra.core.edit;

import tundra.core.geometry.Point;
import tundra.core.model.Board;
import tundra.core.model.Properties;
import tundra.core.model.Timeline;
import tundra.core.motion.MotionPath;
import tundra.core.motion.Track;

/** Elements that turn with their motion path. */
public final class Facing {
    private Facing() {}

    /** Whether an element that faces its path sets out turned over, so that its front is likely another one. */
    public static boolean turnedOver(Board board, String timeline, String element) {
        Timeline t = board.timeline(timeline);
        Track<Point> track = t.track(element, Properties.POSITION);
        if (track == null || track.keys().size() < 2 || !PropertyEdit.valueAt(board, t, element, Properties.FACE_PATH, 0).equals("yes")) {
            return false;
        }
        double turn = new MotionPath(track).direction(track.keys().getFirst().time()) - PropertyEdit.valueAt(board, t, element, Properties.FRONT, 0);
        return Math.abs(Math.IEEEremainder(turn, 360)) > 90.5;
    }

    /** The board with the front of the art where it flies to at a time, so that it stands there as it was drawn. */
    public static Board frontAhead(Board board, String timeline, String element, long time) {
        Timeline t = board.timeline(timeline);
        Track<Point> track = t.track(element, Properties.POSITION);
        if (track == null || track.keys().size() < 2) {
            return board;
        }
        double ahead = Math.IEEEremainder(new MotionPath(track).direction(t.local(time)), 360);
        double front = Math.round(ahead * 10) / 10.0;
        return board.mapTimeline(timeline, x -> x.with(element, Properties.FRONT, null)).mapElement(element, e -> e.with(Properties.FRONT, front));
    }
}
