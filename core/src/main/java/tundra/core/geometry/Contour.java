package tundra.core.geometry;

import java.util.ArrayList;
import java.util.List;

/** One run of nodes, open or closed. */
public record Contour(List<Node> nodes, boolean closed) {
    public Contour {
        nodes = List.copyOf(nodes);
    }

    /** Segments end to end as nodes; a node is smooth where its handles lie in one line. */
    public static Contour of(List<Cubic> segments, boolean closed) {
        var nodes = new ArrayList<Node>();
        int n = segments.size();
        for (int i = 0; i < n + (closed ? 0 : 1); i++) {
            Cubic before = i > 0 ? segments.get(i - 1) : closed ? segments.getLast() : null;
            Cubic after = i < n ? segments.get(i) : null;
            Point at = after != null ? after.p0() : before.p3();
            Point in = before == null ? Point.ZERO : before.p2().minus(before.p3()), out = after == null ? Point.ZERO : after.p1().minus(at);
            nodes.add(new Node(at, in, out, inLine(in, out)));
        }
        return new Contour(nodes, closed);
    }

    private static boolean inLine(Point in, Point out) {
        double a = in.length(), b = out.length();
        return a > 1e-6 && b > 1e-6 && (in.x() * out.x() + in.y() * out.y()) / (a * b) < -0.9999;
    }

    /** The segments between neighbouring nodes, and the closing one. */
    public List<Cubic> segments() {
        var out = new ArrayList<Cubic>();
        int n = nodes.size();
        for (int i = 0; i + 1 < n || (closed && i < n && n > 1); i++) {
            Node a = nodes.get(i), b = nodes.get((i + 1) % n);
            out.add(new Cubic(a.at(), a.at().plus(a.out()), b.at().plus(b.in()), b.at()));
        }
        return out;
    }

    public Contour through(Affine m) {
        return new Contour(nodes.stream().map(n -> n.through(m)).toList(), closed);
    }
}
