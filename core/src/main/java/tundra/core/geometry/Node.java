package tundra.core.geometry;

/** A node of an outline. {@code in} and {@code out} are the handles, as offsets from the node; zero is no handle. */
public record Node(Point at, Point in, Point out, boolean smooth) {

    public static Node corner(double x, double y) {
        return new Node(new Point(x, y), Point.ZERO, Point.ZERO, false);
    }

    /** A smooth node whose handles mirror each other. */
    public static Node smooth(Point at, Point out) {
        return new Node(at, out.times(-1), out, true);
    }

    public Node through(Affine m) {
        return new Node(m.apply(at), m.applyOffset(in), m.applyOffset(out), smooth);
    }
}
