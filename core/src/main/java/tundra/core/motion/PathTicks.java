package tundra.core.motion;

import java.util.ArrayList;
import java.util.List;
import tundra.core.geometry.Point;

/** The marks across a motion path at equal times; their spacing shows the speed. */
public final class PathTicks {
    private PathTicks() {}

    /**
     * @param at where the path is crossed
     * @param direction of travel there, in degrees
     * @param second whether it is a whole second
     */
    public record Tick(Point at, double direction, boolean second) {}

    /** One tick a frame between the first and the last key. */
    public static List<Tick> of(Track<Point> track, int frameRate) {
        var path = new MotionPath(track);
        long from = track.keys().getFirst().time(), to = track.keys().getLast().time();
        var out = new ArrayList<Tick>();
        for (long f = (long) Math.ceil(from * frameRate / 1e6); f * 1e6 / frameRate <= to; f++) {
            double t = f * 1e6 / frameRate;
            Point ahead = path.at(Math.min(to, t + 2000)), behind = path.at(Math.max(from, t - 2000));
            double direction = Math.toDegrees(Math.atan2(ahead.y() - behind.y(), ahead.x() - behind.x()));
            out.add(new Tick(path.at(t), direction, f % frameRate == 0));
        }
        return out;
    }
}
