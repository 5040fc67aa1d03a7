package tundra.core.geometry;

import java.util.Collection;
import java.util.List;

/** An upright rectangle in CSS pixels; width and height are never negative. */
public record Rect(double x, double y, double width, double height) {

    public static Rect of(Point a, Point b) {
        return new Rect(Math.min(a.x(), b.x()), Math.min(a.y(), b.y()), Math.abs(a.x() - b.x()), Math.abs(a.y() - b.y()));
    }

    /** The smallest rectangle around all points; null for none. */
    public static Rect around(Collection<Point> points) {
        if (points.isEmpty()) {
            return null;
        }
        double x0 = Double.POSITIVE_INFINITY, y0 = x0, x1 = Double.NEGATIVE_INFINITY, y1 = x1;
        for (Point p : points) {
            x0 = Math.min(x0, p.x());
            y0 = Math.min(y0, p.y());
            x1 = Math.max(x1, p.x());
            y1 = Math.max(y1, p.y());
        }
        return new Rect(x0, y0, x1 - x0, y1 - y0);
    }

    /** The union; {@code b} may be null. */
    public Rect union(Rect b) {
        return b == null ? this : around(List.of(topLeft(), bottomRight(), b.topLeft(), b.bottomRight()));
    }

    public Rect grow(double by) {
        return new Rect(x - by, y - by, Math.max(0, width + 2 * by), Math.max(0, height + 2 * by));
    }

    public boolean contains(Point p) {
        return p.x() >= x && p.x() <= right() && p.y() >= y && p.y() <= bottom();
    }

    /** What lies in both; they must meet. */
    public Rect intersection(Rect o) {
        return of(new Point(Math.max(x, o.x), Math.max(y, o.y)), new Point(Math.min(right(), o.right()), Math.min(bottom(), o.bottom())));
    }

    public boolean intersects(Rect o) {
        return o.x <= right() && o.right() >= x && o.y <= bottom() && o.bottom() >= y;
    }

    public double right() {
        return x + width;
    }

    public double bottom() {
        return y + height;
    }

    public Point topLeft() {
        return new Point(x, y);
    }

    public Point bottomRight() {
        return new Point(right(), bottom());
    }

    public Point centre() {
        return new Point(x + width / 2, y + height / 2);
    }
}
