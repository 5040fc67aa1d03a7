package tundra.core.geometry;

import java.util.List;

/**
 * An affine map in the order of SVG's {@code matrix(a b c d e f)}: x' = a·x + c·y + e, y' = b·x + d·y + f.
 */
public record Affine(double a, double b, double c, double d, double e, double f) {
    public static final Affine IDENTITY = new Affine(1, 0, 0, 1, 0, 0);

    public static Affine translate(double x, double y) {
        return new Affine(1, 0, 0, 1, x, y);
    }

    public static Affine scale(double x, double y) {
        return new Affine(x, 0, 0, y, 0, 0);
    }

    /** Clockwise on the screen (y down), in degrees. */
    public static Affine rotate(double degrees) {
        double r = Math.toRadians(degrees);
        double cos = Math.cos(r), sin = Math.sin(r);
        return new Affine(cos, sin, -sin, cos, 0, 0);
    }

    /** CSS {@code skewX(x) skewY(y)}, in degrees. */
    public static Affine skew(Point degrees) {
        if (degrees.equals(Point.ZERO)) {
            return IDENTITY;
        }
        double x = Math.tan(Math.toRadians(degrees.x())), y = Math.tan(Math.toRadians(degrees.y()));
        return new Affine(1 + x * y, y, x, 1, 0, 0);
    }

    /** Turned, scaled and skewed as CSS does it: the skew comes first, the turn last. */
    public static Affine turned(double degrees, Point scale, Point skew) {
        Affine r = degrees == 0 ? IDENTITY : rotate(degrees);
        return r.times(scale(scale.x(), scale.y())).times(skew(skew));
    }

    /** CSS individual transforms around a pivot: the pivot (local) lands on {@code position}. */
    public static Affine placed(Point position, double degrees, Point scale, Point skew, Point pivot) {
        Affine m = turned(degrees, scale, skew);
        double a = m.a, b = m.b, c = m.c, d = m.d;
        return new Affine(a, b, c, d,
                position.x() - a * pivot.x() - c * pivot.y(),
                position.y() - b * pivot.x() - d * pivot.y());
    }

    /** This map after {@code inner}. */
    public Affine times(Affine o) {
        return new Affine(a * o.a + c * o.b, b * o.a + d * o.b,
                a * o.c + c * o.d, b * o.c + d * o.d,
                a * o.e + c * o.f + e, b * o.e + d * o.f + f);
    }

    public Point apply(Point p) {
        return new Point(a * p.x() + c * p.y() + e, b * p.x() + d * p.y() + f);
    }

    /** The linear part only: for offsets. */
    public Point applyOffset(Point p) {
        return new Point(a * p.x() + c * p.y(), b * p.x() + d * p.y());
    }

    /** The four corners of a box in turn: top left, top right, bottom right, bottom left. */
    public List<Point> corners(Rect r) {
        return List.of(apply(r.topLeft()), apply(new Point(r.right(), r.y())),
                apply(r.bottomRight()), apply(new Point(r.x(), r.bottom())));
    }

    public Rect bounds(Rect r) {
        return Rect.around(corners(r));
    }

    public double determinant() {
        return a * d - b * c;
    }

    public boolean invertible() {
        return Math.abs(determinant()) > 1e-12;
    }

    /** The inverse; a flattened map (determinant 0) gives the identity, so that callers stay total. */
    public Affine inverse() {
        double k = determinant();
        if (!invertible()) {
            return IDENTITY;
        }
        return new Affine(d / k, -b / k, -c / k, a / k, (c * f - d * e) / k, (b * e - a * f) / k);
    }
}
