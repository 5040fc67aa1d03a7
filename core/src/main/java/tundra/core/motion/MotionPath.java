package tundra.core.motion;

import java.util.ArrayList;
import java.util.List;
import tundra.core.geometry.ArcLength;
import tundra.core.geometry.Cubic;
import tundra.core.geometry.Point;

/**
 * The curve that a position follows. Eased progress is distance along the curve, so that speed does not depend on how the
 * handles lie.
 */
public final class MotionPath {
    private final Track<Point> track;
    private final List<ArcLength> lengths = new ArrayList<>();

    public MotionPath(Track<Point> track) {
        this.track = track;
        for (int i = 0; i + 1 < track.keys().size(); i++) {
            lengths.add(curved(i) ? new ArcLength(segment(i)) : null);
        }
    }

    /** The curve between key {@code i} and the next. */
    public Cubic segment(int i) {
        Key<Point> a = track.keys().get(i), b = track.keys().get(i + 1);
        return curved(i)
                ? new Cubic(a.value(), a.value().plus(a.out()), b.value().plus(b.in()), b.value())
                : Cubic.line(a.value(), b.value());
    }

    /** Whether the interval that starts at key {@code i} bends. */
    public boolean curved(int i) {
        return !track.keys().get(i).out().equals(Point.ZERO) || !track.keys().get(i + 1).in().equals(Point.ZERO);
    }

    /** The place at a time in µs, which may lie between two whole ones. */
    public Point at(double time) {
        int i = track.before((long) Math.floor(time));
        if (i < 0) {
            return track.keys().getFirst().value();
        }
        if (i >= lengths.size()) {
            return track.keys().getLast().value();
        }
        return along(i, track.progress(i, time));
    }

    /** The place at eased progress {@code p} of an interval; overshoot goes on along the end's direction. */
    public Point along(int i, double p) {
        Point a = track.keys().get(i).value(), b = track.keys().get(i + 1).value();
        ArcLength arc = lengths.get(i);
        if (arc == null) {
            return a.lerp(b, p);
        }
        if (p < 0 || p > 1) {
            double end = p < 0 ? 0 : 1;
            double angle = Math.toRadians(segment(i).direction(end));
            double beyond = (p - end) * arc.total();
            return (p < 0 ? a : b).plus(new Point(Math.cos(angle), Math.sin(angle)).times(beyond));
        }
        return arc.pointAt(p * arc.total());
    }
}
