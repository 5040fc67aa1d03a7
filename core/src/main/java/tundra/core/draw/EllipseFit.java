package tundra.core.draw;

import java.util.List;
import tundra.core.geometry.Contour;
import tundra.core.geometry.Outline;
import tundra.core.geometry.Point;
import tundra.core.geometry.Rect;

/**
 * Finds the upright ellipse that a pixel edge runs along, if it does: a·x² + b·y² + c·x + d·y = 1 by least squares (Fitzgibbon, Pilu and
 * Fisher, Direct Least Square Fitting of Ellipses, 1999, without the mixed term).
 */
final class EllipseFit {
    /** Shorter edges could be anything. */
    private static final int LEAST = 32;
    /** How far the middles of a disc's pixel edges lie off its circle at most, in pixels. */
    private static final double OFF = 0.62;

    private EllipseFit() {}

    /** The ellipse as a contour of four nodes; null where the edge is another form. */
    static Contour of(List<Point> edge) {
        if (edge.size() < LEAST) {
            return null;
        }
        double mx = edge.stream().mapToDouble(Point::x).average().orElseThrow(), my = edge.stream().mapToDouble(Point::y).average().orElseThrow();
        double size = edge.stream().mapToDouble(p -> Math.hypot(p.x() - mx, p.y() - my)).max().orElseThrow();
        double[][] m = new double[4][5];
        for (Point p : edge) {
            double x = (p.x() - mx) / size, y = (p.y() - my) / size;
            double[] row = {x * x, y * y, x, y};
            for (int i = 0; i < 4; i++) {
                for (int k = 0; k < 4; k++) {
                    m[i][k] += row[i] * row[k];
                }
                m[i][4] += row[i];
            }
        }
        double[] v = solved(m);
        if (v == null || v[0] <= 0 || v[1] <= 0) {
            return null;
        }
        double cx = -v[2] / (2 * v[0]), cy = -v[3] / (2 * v[1]), whole = 1 + v[0] * cx * cx + v[1] * cy * cy;
        double rx = Math.sqrt(whole / v[0]) * size, ry = Math.sqrt(whole / v[1]) * size, x0 = mx + cx * size, y0 = my + cy * size;
        for (Point p : edge) {
            if (off(p.x() - x0, p.y() - y0, rx, ry) > OFF) {
                return null;
            }
        }
        return Outline.ellipse(new Rect(x0 - rx, y0 - ry, 2 * rx, 2 * ry)).contours().getFirst();
    }

    /** About how far a place lies off the ellipse: the value of its function by the length of its slope. */
    private static double off(double x, double y, double rx, double ry) {
        double f = x * x / (rx * rx) + y * y / (ry * ry) - 1;
        double slope = 2 * Math.hypot(x / (rx * rx), y / (ry * ry));
        return slope == 0 ? Double.MAX_VALUE : Math.abs(f) / slope;
    }

    /** Gauss's elimination with pivots; null where the equations have no single solution. */
    private static double[] solved(double[][] m) {
        int n = m.length;
        for (int i = 0; i < n; i++) {
            int best = i;
            for (int k = i + 1; k < n; k++) {
                best = Math.abs(m[k][i]) > Math.abs(m[best][i]) ? k : best;
            }
            double[] row = m[best];
            m[best] = m[i];
            m[i] = row;
            if (Math.abs(row[i]) < 1e-9) {
                return null;
            }
            for (int k = 0; k < n; k++) {
                double factor = k == i ? 0 : m[k][i] / row[i];
                for (int c = i; c <= n && factor != 0; c++) {
                    m[k][c] -= factor * row[c];
                }
            }
        }
        double[] out = new double[n];
        for (int i = 0; i < n; i++) {
            out[i] = m[i][n] / m[i][i];
        }
        return out;
    }
}
