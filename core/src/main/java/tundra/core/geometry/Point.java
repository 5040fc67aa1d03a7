package tundra.core.geometry;

/** A place or an offset in CSS pixels; x to the right, y down. */
public record Point(double x, double y) {
    public static final Point ZERO = new Point(0, 0);

    public Point plus(Point o) {
        return new Point(x + o.x, y + o.y);
    }

    public Point minus(Point o) {
        return new Point(x - o.x, y - o.y);
    }

    public Point times(double k) {
        return new Point(x * k, y * k);
    }

    /** Product part by part, as a scale is applied. */
    public Point times(Point o) {
        return new Point(x * o.x, y * o.y);
    }

    public Point lerp(Point o, double p) {
        return new Point(x + (o.x - x) * p, y + (o.y - y) * p);
    }

    public double length() {
        return Math.hypot(x, y);
    }

    public double distance(Point o) {
        return Math.hypot(x - o.x, y - o.y);
    }
}
