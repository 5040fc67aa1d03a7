package tundra.core.geometry;

import java.util.ArrayList;
import java.util.List;

/** Whether a point lies in an outline or near its line. Curves are flattened to chords within 0.1 px. */
public final class Inside {
    private Inside() {}

    /** By the non-zero winding rule; open contours count as closed, as a fill closes them. */
    public static boolean filled(Outline outline, Point p) {
        int winding = 0;
        for (Contour c : outline.contours()) {
            List<Point> line = flatten(c);
            for (int i = 0; i < line.size(); i++) {
                winding += crossing(line.get(i), line.get((i + 1) % line.size()), p);
            }
        }
        return winding != 0;
    }

    /** By the even-odd rule. */
    public static boolean evenOdd(Outline outline, Point p) {
        int crossings = 0;
        for (Contour c : outline.contours()) {
            List<Point> line = flatten(c);
            for (int i = 0; i < line.size(); i++) {
                crossings += Math.abs(crossing(line.get(i), line.get((i + 1) % line.size()), p));
            }
        }
        return crossings % 2 == 1;
    }

    /** The distance in px from {@code p} to the nearest point of the line; infinite for an empty outline. */
    public static double distance(Outline outline, Point p) {
        double best = Double.POSITIVE_INFINITY;
        for (Contour c : outline.contours()) {
            List<Point> line = flatten(c);
            int n = line.size();
            if (n == 1) {
                best = Math.min(best, line.getFirst().distance(p));
            }
            for (int i = 0; i + 1 < n; i++) {
                best = Math.min(best, toSegment(line.get(i), line.get(i + 1), p));
            }
        }
        return best;
    }

    /** The polyline of a contour; a closed one ends where it starts. */
    public static List<Point> flatten(Contour c) {
        var out = new ArrayList<Point>();
        if (c.nodes().isEmpty()) {
            return out;
        }
        out.add(c.nodes().getFirst().at());
        for (Cubic s : c.segments()) {
            // chord error of a cubic cut in n pieces is at most |second difference| / (8 n²) · 6 (Wang's bound)
            double bend = Math.max(s.p0().minus(s.p1().times(2)).plus(s.p2()).length(),
                    s.p1().minus(s.p2().times(2)).plus(s.p3()).length());
            int n = (int) Numbers.clamp(Math.ceil(Math.sqrt(6 * bend / (8 * 0.1))), 1, 200);
            for (int i = 1; i <= n; i++) {
                out.add(s.at((double) i / n));
            }
        }
        return out;
    }

    private static int crossing(Point a, Point b, Point p) {
        double side = (b.x() - a.x()) * (p.y() - a.y()) - (p.x() - a.x()) * (b.y() - a.y());
        if (a.y() <= p.y()) {
            return b.y() > p.y() && side > 0 ? 1 : 0;
        }
        return b.y() <= p.y() && side < 0 ? -1 : 0;
    }

    private static double toSegment(Point a, Point b, Point p) {
        Point d = b.minus(a);
        double len2 = d.x() * d.x() + d.y() * d.y();
        double t = len2 == 0 ? 0 : Numbers.clamp(((p.x() - a.x()) * d.x() + (p.y() - a.y()) * d.y()) / len2, 0, 1);
        return a.plus(d.times(t)).distance(p);
    }
}
