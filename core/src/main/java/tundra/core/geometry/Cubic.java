package tundra.core.geometry;

/** One cubic Bézier segment. */
public record Cubic(Point p0, Point p1, Point p2, Point p3) {
    // Gauss-Legendre, 8 points on [-1, 1] (Abramowitz & Stegun, table 25.4)
    private static final double[] X = {0.1834346424956498, 0.5255324099163290, 0.7966664774136267, 0.9602898564975363};
    private static final double[] W = {0.3626837833783620, 0.3137066458778873, 0.2223810344533745, 0.1012285362903763};

    public static Cubic line(Point a, Point b) {
        return new Cubic(a, a.lerp(b, 1 / 3.0), a.lerp(b, 2 / 3.0), b);
    }

    public Point at(double t) {
        double u = 1 - t;
        double a = u * u * u, b = 3 * u * u * t, c = 3 * u * t * t, d = t * t * t;
        return new Point(a * p0.x() + b * p1.x() + c * p2.x() + d * p3.x(),
                a * p0.y() + b * p1.y() + c * p2.y() + d * p3.y());
    }

    /** The first derivative. */
    public Point slope(double t) {
        double u = 1 - t;
        double a = 3 * u * u, b = 6 * u * t, c = 3 * t * t;
        return new Point(a * (p1.x() - p0.x()) + b * (p2.x() - p1.x()) + c * (p3.x() - p2.x()),
                a * (p1.y() - p0.y()) + b * (p2.y() - p1.y()) + c * (p3.y() - p2.y()));
    }

    /** The direction of travel in degrees, also where a handle has no length. */
    public double direction(double t) {
        Point s = slope(t);
        if (s.length() < 1e-9) {
            double h = 1e-4;
            s = at(Math.min(1, t + h)).minus(at(Math.max(0, t - h)));
        }
        return Math.toDegrees(Math.atan2(s.y(), s.x()));
    }

    /** The length from {@code a} to {@code b}, by Gauss-Legendre quadrature on halves until they agree to 1e-6 px. */
    public double length(double a, double b) {
        return length(a, b, quadrature(a, b), 12);
    }

    private double length(double a, double b, double whole, int depth) {
        double m = (a + b) / 2;
        double left = quadrature(a, m), right = quadrature(m, b);
        if (depth == 0 || Math.abs(left + right - whole) < 1e-6) {
            return left + right;
        }
        return length(a, m, left, depth - 1) + length(m, b, right, depth - 1);
    }

    private double quadrature(double a, double b) {
        double h = (b - a) / 2, m = (a + b) / 2, sum = 0;
        for (int i = 0; i < X.length; i++) {
            sum += W[i] * (speed(m - h * X[i]) + speed(m + h * X[i]));
        }
        return sum * h;
    }

    /** The length of the first derivative, without making points: paths are measured with it thousands of times. */
    private double speed(double t) {
        double u = 1 - t, a = 3 * u * u, b = 6 * u * t, c = 3 * t * t;
        double x = a * (p1.x() - p0.x()) + b * (p2.x() - p1.x()) + c * (p3.x() - p2.x());
        double y = a * (p1.y() - p0.y()) + b * (p2.y() - p1.y()) + c * (p3.y() - p2.y());
        return Math.sqrt(x * x + y * y);
    }

    /** Both halves at {@code t} (de Casteljau). */
    public Cubic[] split(double t) {
        Point a = p0.lerp(p1, t), b = p1.lerp(p2, t), c = p2.lerp(p3, t);
        Point ab = a.lerp(b, t), bc = b.lerp(c, t), m = ab.lerp(bc, t);
        return new Cubic[] {new Cubic(p0, a, ab, m), new Cubic(m, bc, c, p3)};
    }

    /** The tight bounds, from the roots of the derivative. */
    public Rect bounds() {
        double[] x = range(p0.x(), p1.x(), p2.x(), p3.x());
        double[] y = range(p0.y(), p1.y(), p2.y(), p3.y());
        return new Rect(x[0], y[0], x[1] - x[0], y[1] - y[0]);
    }

    private static double[] range(double a, double b, double c, double d) {
        double lo = Math.min(a, d), hi = Math.max(a, d);
        double qa = -a + 3 * b - 3 * c + d, qb = 2 * (a - 2 * b + c), qc = b - a;
        for (double t : roots(qa, qb, qc)) {
            if (t > 0 && t < 1) {
                double u = 1 - t;
                double v = u * u * u * a + 3 * u * u * t * b + 3 * u * t * t * c + t * t * t * d;
                lo = Math.min(lo, v);
                hi = Math.max(hi, v);
            }
        }
        return new double[] {lo, hi};
    }

    private static double[] roots(double a, double b, double c) {
        if (Math.abs(a) < 1e-12) {
            return Math.abs(b) < 1e-12 ? new double[0] : new double[] {-c / b};
        }
        double disc = b * b - 4 * a * c;
        if (disc < 0) {
            return new double[0];
        }
        double s = Math.sqrt(disc);
        return new double[] {(-b + s) / (2 * a), (-b - s) / (2 * a)};
    }

    public Cubic through(Affine m) {
        return new Cubic(m.apply(p0), m.apply(p1), m.apply(p2), m.apply(p3));
    }
}
