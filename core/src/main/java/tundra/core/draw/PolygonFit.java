package tundra.core.draw;

import java.util.ArrayList;
import java.util.List;
import java.util.TreeSet;
import tundra.core.geometry.Contour;
import tundra.core.geometry.Node;
import tundra.core.geometry.Point;

/** Finds whether the edge of a sheet of pixels is a polygon: its corners where its straight sides meet. */
final class PolygonFit {
    /** What has more corners is no shape that anyone drew with straight sides. */
    private static final int MOST = 16;
    /** How far a side may lie off the pixels' edge, in pixels; its chord, whose ends lie off it themselves, twice as far. */
    private static final double OFF = 0.75;
    /** A shorter side could be part of a curve, in pixels. */
    private static final double LEAST = 5;
    /**
     * By how much the middle of a side may lie off the rest of it on the average, in pixels: one alone, where the steps of the pixels may add
     * up, and all together, where those cancel out and only arcs go on bulging to one side.
     */
    private static final double BULGE = 0.5, BULGES = 0.13;
    /** Where sides meet at a flatter angle than this there is no corner: the sine of 14°. */
    private static final double FLAT = 0.24;

    private PolygonFit() {}

    /** A line through a place, in a direction of length 1, along which the edge runs. */
    private record Side(Point at, Point way, double bulge) {
        double off(Point p) {
            return (p.x() - at.x()) * way.y() - (p.y() - at.y()) * way.x();
        }
    }

    /**
     * The corners as a closed contour; null where the edge is another form.
     *
     * @param ring the middles of the pixels' edges, in order
     */
    static Contour of(List<Point> ring) {
        int n = ring.size();
        Point middle = new Point(ring.stream().mapToDouble(Point::x).average().orElseThrow(), ring.stream().mapToDouble(Point::y).average()
                .orElseThrow());
        int one = farthest(ring, middle), other = farthest(ring, ring.get(one)), first = Math.min(one, other), second = Math.max(one, other);
        var marks = new TreeSet<Integer>(List.of(first, second));
        if (!split(ring, first, second, marks) || !split(ring, second, first + n, marks) || marks.size() < 3) {
            return null;
        }
        List<Integer> at = List.copyOf(marks);
        var sides = new ArrayList<Side>();
        for (int i = 0; i < at.size(); i++) {
            Side s = side(ring, at.get(i), i + 1 < at.size() ? at.get(i + 1) : at.getFirst() + n);
            if (s == null) {
                return null;
            }
            sides.add(s);
        }
        if (Math.abs(sides.stream().mapToDouble(Side::bulge).average().orElseThrow()) > BULGES) {
            return null;
        }
        var nodes = new ArrayList<Node>();
        for (int i = 0; i < sides.size(); i++) {
            Point corner = meeting(sides.get((i + sides.size() - 1) % sides.size()), sides.get(i));
            if (corner == null || corner.distance(ring.get(at.get(i))) > 4) {
                return null;
            }
            nodes.add(Node.corner(corner.x(), corner.y()));
        }
        return new Contour(nodes, true);
    }

    private static int farthest(List<Point> ring, Point from) {
        int best = 0;
        for (int i = 1; i < ring.size(); i++) {
            best = ring.get(i).distance(from) > ring.get(best).distance(from) ? i : best;
        }
        return best;
    }

    /** Splits a stretch where it lies farthest off its chord until all of it lies near; false where that takes too many corners. */
    private static boolean split(List<Point> ring, int from, int to, TreeSet<Integer> marks) {
        int n = ring.size();
        Point a = ring.get(from % n), b = ring.get(to % n), way = b.minus(a);
        double length = Math.max(1e-9, way.length());
        var chord = new Side(a, way.times(1 / length), 0);
        int worst = -1;
        double most = 2 * OFF;
        for (int i = from + 1; i < to; i++) {
            double off = Math.abs(chord.off(ring.get(i % n)));
            if (off > most) {
                most = off;
                worst = i;
            }
        }
        if (worst < 0) {
            return true;
        }
        marks.add(worst % n);
        return marks.size() <= MOST && split(ring, from, worst, marks) && split(ring, worst, to, marks);
    }

    /** The line that fits a stretch best; null where the stretch is short, or bends. */
    private static Side side(List<Point> ring, int from, int to) {
        int n = ring.size();
        var run = new ArrayList<Point>();
        // what lies right at a corner belongs to either side
        int trim = to - from > 12 ? 3 : 1;
        for (int i = from + trim; i <= to - trim; i++) {
            run.add(ring.get(i % n));
        }
        if (ring.get(from % n).distance(ring.get(to % n)) < LEAST || run.size() < 3) {
            return null;
        }
        double mx = run.stream().mapToDouble(Point::x).average().orElseThrow(), my = run.stream().mapToDouble(Point::y).average().orElseThrow();
        double xx = 0, xy = 0, yy = 0;
        for (Point p : run) {
            xx += (p.x() - mx) * (p.x() - mx);
            xy += (p.x() - mx) * (p.y() - my);
            yy += (p.y() - my) * (p.y() - my);
        }
        double angle = 0.5 * Math.atan2(2 * xy, xx - yy);
        Point along = new Point(Math.cos(angle), Math.sin(angle)), way = run.getLast().minus(run.getFirst());
        // as the edge runs, so that what bulges out always does so to the same side
        var side = new Side(new Point(mx, my), along.x() * way.x() + along.y() * way.y() < 0 ? along.times(-1) : along, 0);
        double outer = 0, inner = 0;
        int third = run.size() / 3;
        for (int i = 0; i < run.size(); i++) {
            double off = side.off(run.get(i));
            if (Math.abs(off) > OFF) {
                return null;
            }
            if (i >= third && i < run.size() - third) {
                inner += off / (run.size() - 2 * third);
            } else {
                outer += off / (2 * third);
            }
        }
        double bulge = third > 2 ? inner - outer : 0;
        return Math.abs(bulge) > BULGE ? null : new Side(side.at, side.way, bulge);
    }

    /** Where two lines meet; null where they run nearly the same way. */
    private static Point meeting(Side a, Side b) {
        double cross = a.way.x() * b.way.y() - a.way.y() * b.way.x();
        if (Math.abs(cross) < FLAT) {
            return null;
        }
        double k = ((b.at.x() - a.at.x()) * b.way.y() - (b.at.y() - a.at.y()) * b.way.x()) / cross;
        return a.at.plus(a.way.times(k));
    }
}
