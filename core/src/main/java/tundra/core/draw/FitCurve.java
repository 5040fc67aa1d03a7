package tundra.core.draw;

import java.util.ArrayList;
import java.util.List;
import tundra.core.geometry.Contour;
import tundra.core.geometry.Cubic;
import tundra.core.geometry.Node;
import tundra.core.geometry.Point;

/**
 * Fits few cubic Béziers to a row of points by least squares (P. J. Schneider, "An algorithm for automatically fitting digitized
 * curves", Graphics Gems, 1990): a segment that lies further off than the tolerance is improved by Newton's method and, failing
 * that, cut at its worst point.
 */
public final class FitCurve {
    private static final int ROUNDS = 12;
    private final List<Point> points;
    private final double tolerance;
    private final List<Cubic> out = new ArrayList<>();

    private FitCurve(List<Point> points, double tolerance) {
        this.points = points;
        this.tolerance = tolerance;
    }

    /** An open contour whose ends are the first and last point. Neighbouring points should differ. */
    public static Contour open(List<Point> points, double tolerance) {
        List<Point> p = distinct(points);
        if (p.size() < 2) {
            return new Contour(p.isEmpty() ? List.of() : List.of(Node.corner(p.getFirst().x(), p.getFirst().y())), false);
        }
        return Contour.of(segments(p, tolerance), false);
    }

    /**
     * A closed contour through a ring of points: a corner where the line turns by more than an angle, curves between.
     *
     * @param ring the first point isn't repeated at the end
     * @param degrees from which turn on a point is a corner
     */
    public static Contour ring(List<Point> ring, double tolerance, double degrees) {
        List<Point> p = new ArrayList<>(distinct(ring));
        if (p.size() > 1 && p.getFirst().distance(p.getLast()) < 1e-6) {
            p.removeLast();
        }
        int n = p.size();
        if (n < 3) {
            return new Contour(List.of(), true);
        }
        var corners = new ArrayList<Integer>();
        double least = Math.cos(Math.toRadians(degrees));
        for (int i = 0; i < n; i++) {
            Point a = unit(p.get(i).minus(p.get((i - 1 + n) % n))), b = unit(p.get((i + 1) % n).minus(p.get(i)));
            if (dot(a, b) < least) {
                corners.add(i);
            }
        }
        if (corners.isEmpty()) {
            corners.add(0);
        }
        var all = new ArrayList<Cubic>();
        for (int k = 0; k < corners.size(); k++) {
            int from = corners.get(k), to = corners.get((k + 1) % corners.size());
            var run = new ArrayList<Point>();
            for (int i = from; ; i = (i + 1) % n) {
                run.add(p.get(i));
                if (i == to && run.size() > 1) {
                    break;
                }
            }
            if (run.size() == 2) {
                all.add(new Cubic(run.getFirst(), run.getFirst(), run.getLast(), run.getLast()));
            } else {
                all.addAll(segments(run, tolerance));
            }
        }
        return Contour.of(all, true);
    }

    /** The segments through a row of distinct points, at least two. */
    static List<Cubic> segments(List<Point> p, double tolerance) {
        var f = new FitCurve(p, tolerance);
        if (f.straight()) {
            return List.of(new Cubic(p.getFirst(), p.getFirst(), p.getLast(), p.getLast()));
        }
        f.fit(0, p.size() - 1, f.tangent(0, 1), f.tangent(p.size() - 1, -1));
        return f.out;
    }

    /** A single segment with given unit directions at its ends, however far off it may lie. */
    static Cubic one(List<Point> p, Point startDirection, Point endDirection) {
        var f = new FitCurve(p, 0);
        double[] u = f.lengths(0, p.size() - 1);
        Cubic best = f.leastSquares(0, p.size() - 1, u, startDirection, endDirection);
        for (int i = 0; i < ROUNDS; i++) {
            f.newton(0, p.size() - 1, u, best);
            best = f.leastSquares(0, p.size() - 1, u, startDirection, endDirection);
        }
        return best;
    }

    /** Whether all points lie on one line as well as a hand or a pixel can. */
    private boolean straight() {
        Point a = points.getFirst(), way = points.getLast().minus(a);
        double l = way.length(), near = Math.min(0.4, tolerance);
        return l > 0 && points.stream().allMatch(p -> Math.abs((p.x() - a.x()) * way.y() - (p.y() - a.y()) * way.x()) / l <= near
                && dot(p.minus(a), way) >= -near * l && dot(p.minus(a), way) <= l * (l + near));
    }

    private static List<Point> distinct(List<Point> points) {
        var out = new ArrayList<Point>();
        for (Point p : points) {
            if (out.isEmpty() || out.getLast().distance(p) > 1e-6) {
                out.add(p);
            }
        }
        return out;
    }

    /** The unit direction at a point, by the point a little further on. */
    private Point tangent(int at, int step) {
        Point from = points.get(at);
        Point way = Point.ZERO;
        for (int i = at + step; i >= 0 && i < points.size() && Math.abs(i - at) <= 3; i += step) {
            way = points.get(i).minus(from);
            if (way.length() > tolerance) {
                break;
            }
        }
        return unit(way);
    }

    private static Point unit(Point p) {
        double l = p.length();
        return l < 1e-12 ? new Point(1, 0) : p.times(1 / l);
    }

    private void fit(int first, int last, Point start, Point end) {
        if (last - first == 1) {
            double d = points.get(first).distance(points.get(last)) / 3;
            out.add(new Cubic(points.get(first), points.get(first).plus(start.times(d)), points.get(last).plus(end.times(d)), points.get(last)));
            return;
        }
        double[] u = lengths(first, last);
        Cubic best = leastSquares(first, last, u, start, end);
        double[] worst = worst(first, last, u, best);
        for (int i = 0; i < ROUNDS && worst[0] > tolerance && worst[0] < tolerance * 40; i++) {
            newton(first, last, u, best);
            best = leastSquares(first, last, u, start, end);
            worst = worst(first, last, u, best);
        }
        if (worst[0] <= tolerance) {
            out.add(best);
            return;
        }
        int cut = (int) worst[1];
        Point way = unit(points.get(cut - 1).minus(points.get(cut + 1)));
        fit(first, cut, start, way);
        fit(cut, last, way.times(-1), end);
    }

    /** Parameters by the length of the chords. */
    private double[] lengths(int first, int last) {
        double[] u = new double[last - first + 1];
        for (int i = 1; i < u.length; i++) {
            u[i] = u[i - 1] + points.get(first + i).distance(points.get(first + i - 1));
        }
        for (int i = 1; i < u.length; i++) {
            u[i] /= u[u.length - 1];
        }
        return u;
    }

    private Cubic leastSquares(int first, int last, double[] u, Point start, Point end) {
        Point p0 = points.get(first), p3 = points.get(last);
        double c00 = 0, c01 = 0, c11 = 0, x0 = 0, x1 = 0;
        for (int i = 0; i < u.length; i++) {
            double t = u[i], v = 1 - t;
            double b0 = v * v * v, b1 = 3 * t * v * v, b2 = 3 * t * t * v, b3 = t * t * t;
            Point a = start.times(b1), b = end.times(b2);
            c00 += dot(a, a);
            c01 += dot(a, b);
            c11 += dot(b, b);
            Point rest = points.get(first + i).minus(p0.times(b0 + b1)).minus(p3.times(b2 + b3));
            x0 += dot(a, rest);
            x1 += dot(b, rest);
        }
        double det = c00 * c11 - c01 * c01;
        double l = 0, r = 0;
        if (Math.abs(det) > 1e-12) {
            l = (x0 * c11 - x1 * c01) / det;
            r = (c00 * x1 - c01 * x0) / det;
        }
        double chord = p0.distance(p3);
        if (l < 1e-6 * chord || r < 1e-6 * chord) {
            // Wu and Barsky's choice where the equations have no use
            l = r = chord / 3;
        }
        return new Cubic(p0, p0.plus(start.times(l)), p3.plus(end.times(r)), p3);
    }

    private double[] worst(int first, int last, double[] u, Cubic c) {
        double far = -1;
        int at = (first + last) / 2;
        for (int i = 1; i < u.length - 1; i++) {
            double d = c.at(u[i]).distance(points.get(first + i));
            if (d > far) {
                far = d;
                at = first + i;
            }
        }
        return new double[] {far, at};
    }

    private void newton(int first, int last, double[] u, Cubic c) {
        for (int i = 0; i < u.length; i++) {
            Point d = c.at(u[i]).minus(points.get(first + i)), s = c.slope(u[i]);
            double h = 1e-4, t = u[i];
            Point bend = c.slope(Math.min(1, t + h)).minus(c.slope(Math.max(0, t - h))).times(1 / (Math.min(1, t + h) - Math.max(0, t - h)));
            double down = dot(s, s) + dot(d, bend);
            if (Math.abs(down) > 1e-12) {
                u[i] = Math.max(0, Math.min(1, t - dot(d, s) / down));
            }
        }
    }

    private static double dot(Point a, Point b) {
        return a.x() * b.x() + a.y() * b.y();
    }
}
