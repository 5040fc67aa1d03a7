package tundra.core.edit;

import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import tundra.core.frame.Frame;
import tundra.core.geometry.Point;
import tundra.core.geometry.Rect;
import tundra.core.model.RulerLine;

/**
 * Snaps a moving box to the edges and centre lines of the canvas and of other elements, to ruler lines, and to places where the
 * gaps between neighbours become equal. Made once for a drag.
 */
public final class Snapping {
    /** The share of a drag within which its end snaps. */
    private static final double OF_DRAG = 0.25;
    private final Point canvas;
    private final List<Rect> others;
    private final List<RulerLine> lines;

    /** A line that was snapped to: at x (vertical) or at y, in canvas px, from one end to the other. */
    public record Line(boolean vertical, double at, double from, double to) {}

    /** One of several equal gaps, along x (level) or y, at a height across; in canvas px. */
    public record Gap(boolean level, double from, double to, double across) {
        public double length() {
            return to - from;
        }
    }

    /** The correction to add to the move, and the lines and gaps that it makes. */
    public record Snap(Point by, List<Line> lines, List<Gap> gaps) {
        public static final Snap NONE = new Snap(Point.ZERO, List.of(), List.of());
    }

    public Snapping(Point canvas, List<Rect> others, List<RulerLine> lines) {
        this.canvas = canvas;
        this.others = List.copyOf(others);
        this.lines = List.copyOf(lines);
    }

    /** To all that is seen directly in a group (null: on the canvas), but for what moves itself. */
    public static Snapping around(Frame frame, String group, Collection<String> moving, List<RulerLine> lines) {
        var boxes = new ArrayList<Rect>();
        for (Frame.Placed p : frame.level(group)) {
            if (p.node().id() != null && !moving.contains(p.node().id()) && p.node().opacity() > 0) {
                boxes.add(p.bounds());
            }
        }
        return new Snapping(frame.size(), boxes, lines);
    }

    /** @param within how near in canvas px counts */
    public Snap of(Rect moving, double within) {
        return snap(moving, axis(moving, within, true), axis(moving, within, false));
    }

    /**
     * The corner of a box that is being drawn. The smaller the box still is, the nearer a line must be, and what the other corner stands on is
     * none: otherwise nothing small could be drawn beside anything.
     *
     * @param pressed the corner where the drag began
     */
    public Snap corner(Point pressed, Point at, double within) {
        Rect point = new Rect(at.x(), at.y(), 0, 0);
        return snap(point, beside(axis(point, Math.min(within, OF_DRAG * Math.abs(at.x() - pressed.x())), true), at.x(), pressed.x()),
                beside(axis(point, Math.min(within, OF_DRAG * Math.abs(at.y() - pressed.y())), false), at.y(), pressed.y()));
    }

    private static Axis beside(Axis a, double at, double pressed) {
        return a.any && Math.abs(at + a.by - pressed) < 1e-9 ? new Axis(0, false) : a;
    }

    private Snap snap(Rect moving, Axis x, Axis y) {
        Rect at = new Rect(moving.x() + x.by, moving.y() + y.by, moving.width(), moving.height());
        var found = new ArrayList<Line>();
        var gaps = new ArrayList<Gap>();
        if (x.any) {
            touched(at, true, found);
        }
        if (y.any) {
            touched(at, false, found);
        }
        equal(at, true, gaps);
        equal(at, false, gaps);
        return new Snap(new Point(x.by, y.by), found, gaps);
    }

    private record Axis(double by, boolean any) {}

    private static double low(Rect r, boolean x) {
        return x ? r.x() : r.y();
    }

    private static double length(Rect r, boolean x) {
        return x ? r.width() : r.height();
    }

    private Axis axis(Rect m, double within, boolean x) {
        double best = Double.NaN;
        double at = low(m, x), l = length(m, x);
        double[] own = {at, at + l / 2, at + l};
        double end = x ? canvas.x() : canvas.y();
        for (double line : new double[] {0, end / 2, end}) {
            best = nearer(best, own, line, within);
        }
        for (RulerLine r : lines) {
            if (r.upright() == x) {
                best = nearer(best, own, r.at(), within);
            }
        }
        for (Rect o : others) {
            double a = low(o, x), b = a + length(o, x);
            best = nearer(nearer(nearer(best, own, a, within), own, (a + b) / 2, within), own, b, within);
        }
        if (Double.isNaN(best) || Math.abs(best) > 1e-9) {
            for (double place : equalPlaces(m, x)) {
                double d = place - at;
                if (Math.abs(d) <= within && (Double.isNaN(best) || Math.abs(d) < Math.abs(best))) {
                    best = d;
                }
            }
        }
        return new Axis(Double.isNaN(best) ? 0 : best, !Double.isNaN(best));
    }

    private static double nearer(double best, double[] own, double line, double within) {
        for (double o : own) {
            double d = line - o;
            if (Math.abs(d) <= within && (Double.isNaN(best) || Math.abs(d) < Math.abs(best))) {
                best = d;
            }
        }
        return best;
    }

    /** The neighbours before and after along an axis, of those that lie across from the box; null where there is none. */
    private Rect[] neighbours(Rect m, boolean x) {
        Rect before = null, after = null;
        for (Rect o : others) {
            boolean across = low(o, !x) < low(m, !x) + length(m, !x) && low(m, !x) < low(o, !x) + length(o, !x);
            if (across && low(o, x) + length(o, x) <= low(m, x) + length(m, x) / 2
                    && (before == null || low(o, x) + length(o, x) > low(before, x) + length(before, x))) {
                before = o;
            }
            if (across && low(o, x) >= low(m, x) + length(m, x) / 2 && (after == null || low(o, x) < low(after, x))) {
                after = o;
            }
        }
        return new Rect[] {before, after};
    }

    /** Where the box would have to start for equal gaps: between its neighbours, or in row with two on one side. */
    private List<Double> equalPlaces(Rect m, boolean x) {
        var out = new ArrayList<Double>();
        Rect[] n = neighbours(m, x);
        double l = length(m, x);
        if (n[0] != null && n[1] != null) {
            out.add((low(n[0], x) + length(n[0], x) + low(n[1], x) - l) / 2);
        }
        if (n[0] != null) {
            Rect further = neighbours(n[0], x)[0];
            if (further != null) {
                out.add(low(n[0], x) + length(n[0], x) + low(n[0], x) - low(further, x) - length(further, x));
            }
        }
        if (n[1] != null) {
            Rect further = neighbours(n[1], x)[1];
            if (further != null) {
                out.add(low(n[1], x) - (low(further, x) - low(n[1], x) - length(n[1], x)) - l);
            }
        }
        return out;
    }

    private void equal(Rect m, boolean x, List<Gap> out) {
        Rect[] n = neighbours(m, x);
        double start = low(m, x), end = start + length(m, x), across = low(m, !x) + length(m, !x) / 2;
        double before = n[0] == null ? Double.NaN : start - low(n[0], x) - length(n[0], x);
        double after = n[1] == null ? Double.NaN : low(n[1], x) - end;
        if (before > 0 && Math.abs(before - after) < 1e-6) {
            out.add(new Gap(x, start - before, start, across));
            out.add(new Gap(x, end, end + after, across));
        }
        Rect left = n[0] == null ? null : neighbours(n[0], x)[0], right = n[1] == null ? null : neighbours(n[1], x)[1];
        if (left != null && before > 0 && Math.abs(low(n[0], x) - low(left, x) - length(left, x) - before) < 1e-6) {
            out.add(new Gap(x, low(left, x) + length(left, x), low(n[0], x), across));
            out.add(new Gap(x, start - before, start, across));
        }
        if (right != null && after > 0 && Math.abs(low(right, x) - low(n[1], x) - length(n[1], x) - after) < 1e-6) {
            out.add(new Gap(x, end, end + after, across));
            out.add(new Gap(x, low(n[1], x) + length(n[1], x), low(right, x), across));
        }
    }

    private void touched(Rect m, boolean x, List<Line> out) {
        double at = low(m, x), l = length(m, x);
        double end = x ? canvas.x() : canvas.y(), other = x ? canvas.y() : canvas.x();
        for (double own : new double[] {at, at + l / 2, at + l}) {
            for (double line : new double[] {0, end / 2, end}) {
                if (Math.abs(own - line) < 1e-6) {
                    out.add(new Line(x, line, 0, other));
                }
            }
            for (RulerLine r : lines) {
                if (r.upright() == x && Math.abs(own - r.at()) < 1e-6) {
                    out.add(new Line(x, r.at(), 0, other));
                }
            }
            double from = low(m, !x), to = from + length(m, !x);
            boolean any = false;
            for (Rect o : others) {
                double a = low(o, x), b = a + length(o, x);
                if (Math.abs(own - a) < 1e-6 || Math.abs(own - (a + b) / 2) < 1e-6 || Math.abs(own - b) < 1e-6) {
                    any = true;
                    from = Math.min(from, low(o, !x));
                    to = Math.max(to, low(o, !x) + length(o, !x));
                }
            }
            if (any) {
                out.add(new Line(x, own, from, to));
            }
        }
    }
}
