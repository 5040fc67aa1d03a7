package tundra.core.geometry;

import java.util.ArrayList;
import java.util.List;

/** One run of nodes, open or closed. */
public record Contour(List<Node> nodes, boolean closed) {
    public Contour {
        nodes = List.copyOf(nodes);
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
