package tundra.core.svg;

import java.util.ArrayList;
import java.util.List;
import tundra.core.geometry.Affine;
import tundra.core.geometry.Cubic;
import tundra.core.geometry.Point;

/** Elliptical arcs of path data as cubics, by the formulas of SVG 2, appendix B.2. Each spans at most a quarter turn (error 2.7e-4 of the radius). */
final class Arcs {
    private Arcs() {}

    static List<Cubic> cubics(Point from, Point to, double rx, double ry, double degrees, boolean large, boolean sweep) {
        if (from.distance(to) < 1e-12) {
            return List.of();
        }
        Affine turn = Affine.rotate(degrees);
        Point half = Affine.rotate(-degrees).apply(from.minus(to).times(0.5));
        double x = half.x(), y = half.y();
        double lambda = x * x / (rx * rx) + y * y / (ry * ry);
        double a = lambda > 1 ? rx * Math.sqrt(lambda) : rx, b = lambda > 1 ? ry * Math.sqrt(lambda) : ry;
        double up = a * a * b * b - a * a * y * y - b * b * x * x;
        double k = Math.sqrt(Math.max(0, up / (a * a * y * y + b * b * x * x))) * (large == sweep ? -1 : 1);
        Point centre = new Point(k * a * y / b, -k * b * x / a);
        double start = Math.atan2((y - centre.y()) / b, (x - centre.x()) / a);
        double end = Math.atan2((-y - centre.y()) / b, (-x - centre.x()) / a);
        double span = end - start;
        if (sweep && span < 0) {
            span += 2 * Math.PI;
        } else if (!sweep && span > 0) {
            span -= 2 * Math.PI;
        }
        Point middle = from.lerp(to, 0.5);
        Affine m = new Affine(turn.a() * a, turn.b() * a, turn.c() * b, turn.d() * b, 0, 0);
        Point c = turn.apply(centre).plus(middle);
        int n = (int) Math.max(1, Math.ceil(Math.abs(span) / (Math.PI / 2) - 1e-9));
        var out = new ArrayList<Cubic>();
        double step = span / n, h = 4 / 3.0 * Math.tan(step / 4);
        for (int i = 0; i < n; i++) {
            double t0 = start + i * step, t1 = t0 + step;
            Point p0 = new Point(Math.cos(t0), Math.sin(t0)), p3 = new Point(Math.cos(t1), Math.sin(t1));
            Point p1 = p0.plus(new Point(-p0.y(), p0.x()).times(h)), p2 = p3.minus(new Point(-p3.y(), p3.x()).times(h));
            out.add(new Cubic(i == 0 ? from : m.apply(p0).plus(c), m.apply(p1).plus(c), m.apply(p2).plus(c), i == n - 1 ? to : m.apply(p3).plus(c)));
        }
        return out;
    }
}
