package tundra.core.edit;

import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.LongStream;
import tundra.core.geometry.Point;
import tundra.core.model.Board;
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.core.model.Timeline;
import tundra.core.motion.Easing;
import tundra.core.motion.Key;
import tundra.core.motion.MotionPath;
import tundra.core.motion.Track;

/** Elements that turn with their motion path. */
public final class Facing {
    /** What moves by less than so many px from frame to frame goes neither left nor right. */
    private static final double STILL = 0.01;

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

    /**
     * The board with an element mirrored wherever its way leads against the side that its art looks to: at once, by keys of its scale. One
     * that faces its path is turned over there instead, so that it never stands on its head.
     *
     * The board itself where it never goes there.
     */
    public static Board mirrored(Project p, Board board, String timeline, String element) {
        Timeline t = board.timeline(timeline);
        List<Long> frames = LongStream.rangeClosed(0, p.frameAt(t.duration())).map(p::frameTime).boxed().toList();
        boolean faces = PropertyEdit.valueAt(board, t, element, Properties.FACE_PATH, 0).equals("yes");
        double front = Math.cos(Math.toRadians(PropertyEdit.valueAt(board, t, element, Properties.FRONT, 0))) < -1e-9 ? -1 : 1;
        var turns = new TreeMap<Long, Double>();
        double last = 0;
        for (int i = 0; i + 1 < frames.size(); i++) {
            double way = front * (PropertyEdit.valueAt(board, t, element, Properties.POSITION, frames.get(i + 1)).x()
                    - PropertyEdit.valueAt(board, t, element, Properties.POSITION, frames.get(i)).x());
            double side = Math.abs(way) < STILL ? last : Math.signum(way);
            if (side != last) {
                turns.put(last == 0 ? 0L : frames.get(i), side);
                last = side;
            }
        }
        if (turns.values().stream().noneMatch(s -> s < 0)) {
            return board;
        }
        Track<Point> track = t.track(element, Properties.SCALE);
        Point rest = board.rest(element).get(Properties.SCALE);
        Track<Point> scales = track != null ? track : new Track<>(turns.keySet().stream().map(at -> new Key<>(at, rest, Easing.HOLD)).toList());
        for (long at : track == null ? List.<Long>of() : List.copyOf(turns.keySet())) {
            Point seen = PropertyEdit.valueAt(board, t, element, Properties.SCALE, at);
            for (long key : at == 0 ? new long[] {0} : new long[] {at - 1, at}) {
                scales = scales.keyAt(key) != null ? scales : Keys.insert(scales, key, seen);
            }
        }
        Track<Point> done = scales.map(k -> {
            Map.Entry<Long, Double> e = turns.floorEntry(k.time());
            double side = e == null ? 1 : e.getValue();
            return k.with(faces ? new Point(k.value().x(), side * Math.abs(k.value().y())) : new Point(side * Math.abs(k.value().x()), k.value()
                    .y()));
        });
        return board.mapTimeline(timeline, x -> x.with(element, Properties.SCALE, done));
    }

    /** The board with the front of the art where it flies to at a time, so that it stands there as it was drawn. */
    public static Board frontAhead(Board board, String timeline, String element, long time) {
        Timeline t = board.timeline(timeline);
        Track<Point> track = t.track(element, Properties.POSITION);
        if (track == null || track.keys().size() < 2) {
            return board;
        }
        double ahead = Math.IEEEremainder(new MotionPath(track).direction(t.worked(time)), 360);
        double front = Math.round(ahead * 10) / 10.0;
        return board.mapTimeline(timeline, x -> x.with(element, Properties.FRONT, null)).mapElement(element, e -> e.with(Properties.FRONT, front));
    }
}
