package tundra.core.motion;

import java.util.List;
import tundra.core.geometry.ArcLength;
import tundra.core.geometry.Cubic;
import tundra.core.geometry.Point;

/**
 * The curve that a position follows. Eased progress is distance along the curve, so that speed does not depend on how the
 * handles lie.
 */
public final class MotionPath {
    private static final int DIRECTIONS = 32;
    private final Track<Point> track;
    private final List<Key<Point>> keys;
    /** The measured curves; one is measured when it is first walked, since most of a document's paths are not at any one time. */
    private final ArcLength[] arcs;
    /** Of each interval the way to its start along the path; the last is the whole length. Null until it is asked for. */
    private double[] upTo;
    private double[][] directions;

    public MotionPath(Track<Point> track) {
        this(track, null);
    }

    /** @param before an earlier version of the path, whose measures are taken over where the form is the same; null for none */
    public MotionPath(Track<Point> track, MotionPath before) {
        this.track = track;
        this.keys = Bend.handles(track);
        this.arcs = new ArcLength[Math.max(0, keys.size() - 1)];
        for (int i = 0; before != null && i < arcs.length && i < before.arcs.length; i++) {
            arcs[i] = before.arcs[i] != null && before.segment(i).equals(segment(i)) ? before.arcs[i] : null;
        }
    }

    /** The measure of a curved interval; null for a straight one. */
    private ArcLength arc(int i) {
        if (arcs[i] == null && curved(i)) {
            arcs[i] = new ArcLength(segment(i));
        }
        return arcs[i];
    }

    private double[] upTo() {
        if (upTo == null) {
            double[] sums = new double[keys.size()];
            for (int i = 0; i < arcs.length; i++) {
                ArcLength arc = arc(i);
                sums[i + 1] = sums[i] + (arc == null ? keys.get(i).value().distance(keys.get(i + 1).value()) : arc.total());
            }
            upTo = sums;
        }
        return upTo;
    }

    public Track<Point> track() {
        return track;
    }

    /** The keys with the handles that are seen: their own, or those that the path's bend makes. */
    public List<Key<Point>> keys() {
        return keys;
    }

    /** In px. */
    public double length() {
        return upTo()[keys.size() - 1];
    }

    /** The way along the path to key {@code i}, in px. */
    public double lengthTo(int i) {
        return upTo()[i];
    }

    /** The curve between key {@code i} and the next. */
    public Cubic segment(int i) {
        Key<Point> a = keys.get(i), b = keys.get(i + 1);
        return curved(i)
                ? new Cubic(a.value(), a.value().plus(a.out()), b.value().plus(b.in()), b.value())
                : Cubic.line(a.value(), b.value());
    }

    /** Whether the interval that starts at key {@code i} bends. */
    public boolean curved(int i) {
        return !keys.get(i).out().equals(Point.ZERO) || !keys.get(i + 1).in().equals(Point.ZERO);
    }

    /** Where on the path a time (µs, whole or not) is: an interval and the eased progress through it, which may overshoot. */
    private record Spot(int interval, double progress) {}

    private Spot spot(double time) {
        int i = track.before((long) Math.floor(time));
        if (i < 0 || arcs.length == 0) {
            return new Spot(0, 0);
        }
        if (i >= arcs.length) {
            return new Spot(arcs.length - 1, 1);
        }
        if (track.shape().whole() == null) {
            return new Spot(i, track.progress(i, time));
        }
        double from = keys.getFirst().time(), span = keys.getLast().time() - from;
        return spotAt(track.shape().whole().at((time - from) / span) * length());
    }

    private Spot spotAt(double distance) {
        int i = 0;
        while (i + 1 < arcs.length && distance > upTo()[i + 1]) {
            i++;
        }
        double span = upTo()[i + 1] - upTo()[i];
        return new Spot(i, span == 0 ? 0 : (distance - upTo()[i]) / span);
    }

    /** The progress along the interval that starts at key {@code i} at a time within it. */
    public double progress(int i, double time) {
        Spot s = spot(time);
        return s.interval == i ? s.progress : s.interval < i ? 0 : 1;
    }

    /** The place at a time in µs, which may lie between two whole ones. */
    public Point at(double time) {
        if (arcs.length == 0) {
            return keys.getFirst().value();
        }
        Spot s = spot(time);
        return along(s.interval, s.progress);
    }

    /** The place at eased progress {@code p} of an interval; overshoot goes on along the end's direction. */
    public Point along(int i, double p) {
        Point a = keys.get(i).value(), b = keys.get(i + 1).value();
        ArcLength arc = arc(i);
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

    /**
     * The direction of the path at a time in degrees, clockwise from the right. It goes on past 180° instead of jumping back,
     * so that what faces the path never spins the long way round.
     */
    public double direction(double time) {
        if (arcs.length == 0 || length() == 0) {
            return 0;
        }
        Spot s = spot(time);
        double p = Math.max(0, Math.min(1, s.progress));
        double[] known = directions()[s.interval];
        double near = known[(int) Math.round(p * DIRECTIONS)];
        return near + wrapped(raw(s.interval, p) - near);
    }

    private double raw(int i, double p) {
        ArcLength arc = arc(i);
        return segment(i).direction(arc == null ? 0.5 : arc.parameterAt(p * arc.total()));
    }

    private double[][] directions() {
        if (directions == null) {
            var all = new double[arcs.length][DIRECTIONS + 1];
            double last = raw(0, 0);
            for (int i = 0; i < all.length; i++) {
                boolean still = upTo()[i + 1] - upTo()[i] < 1e-9;
                for (int k = 0; k <= DIRECTIONS; k++) {
                    // where nothing moves the last direction is kept
                    last = still ? last : last + wrapped(raw(i, (double) k / DIRECTIONS) - last);
                    all[i][k] = last;
                }
            }
            directions = all;
        }
        return directions;
    }

    private static double wrapped(double degrees) {
        return degrees - 360 * Math.rint(degrees / 360);
    }
}
