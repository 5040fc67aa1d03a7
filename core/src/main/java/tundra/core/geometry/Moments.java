package tundra.core.geometry;

/**
 * The area inside outlines and its centre, by Green's theorem over the curves themselves: exact but for rounding. Contours count
 * with their direction, so outlines should not overlap; open ones are closed by a line.
 *
 * @param area in px², never negative
 * @param centre the centre of area; the origin where there is no area
 */
public record Moments(double area, Point centre) {
    // Gauss-Legendre, 5 points on [-1, 1] (Abramowitz & Stegun, table 25.4): exact up to degree 9, the integrands have 8
    private static final double[] X = {0, 0.5384693101056831, -0.5384693101056831, 0.9061798459386640, -0.9061798459386640};
    private static final double[] W = {0.5688888888888889, 0.4786286704993665, 0.4786286704993665, 0.2369268850561891, 0.2369268850561891};

    public static Moments of(Outline outline) {
        double[] sum = new double[3];
        for (Contour c : outline.contours()) {
            var segments = c.segments();
            segments.forEach(s -> add(s, sum));
            if (!c.closed() && !segments.isEmpty()) {
                add(Cubic.line(segments.getLast().p3(), segments.getFirst().p0()), sum);
            }
        }
        double area = sum[0];
        return Math.abs(area) < 1e-12 ? new Moments(0, Point.ZERO) : new Moments(Math.abs(area), new Point(sum[1] / area, sum[2] / area));
    }

    /** ½∮(x dy − y dx), ½∮x² dy, −½∮y² dx. */
    private static void add(Cubic s, double[] sum) {
        for (int i = 0; i < X.length; i++) {
            double t = (1 + X[i]) / 2, w = W[i] / 2;
            Point p = s.at(t), d = s.slope(t);
            sum[0] += w * (p.x() * d.y() - p.y() * d.x()) / 2;
            sum[1] += w * p.x() * p.x() * d.y() / 2;
            sum[2] -= w * p.y() * p.y() * d.x() / 2;
        }
    }
}
