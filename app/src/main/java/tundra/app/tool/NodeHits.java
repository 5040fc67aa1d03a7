package tundra.app.tool;

import java.util.Set;
import java.util.TreeSet;
import tundra.app.view.Viewport;
import tundra.core.draw.NodeEdit.Ref;
import tundra.core.draw.NodeEdit;
import tundra.core.geometry.Contour;
import tundra.core.geometry.Node;
import tundra.core.geometry.Point;

/** What of the nodes lies where the pointer is. */
final class NodeHits {
    private static final double NEAR = 7;
    private final NodesTool tool;

    NodeHits(NodesTool tool) {
        this.tool = tool;
    }

    NodesTool.Over at(Pointer p) {
        Viewport v = p.viewport();
        NodesTool.Over best = null;
        double far = NEAR;
        for (NodesTool.Shown s : tool.shown()) {
            for (Ref r : NodeEdit.inside(s.outline(), x -> true)) {
                Node n = NodeEdit.node(s.outline(), r);
                double d = v.toView(s.toCanvas().apply(n.at())).distance(p.view());
                if (d <= far) {
                    far = d;
                    best = new NodesTool.Over.OnNode(s, r);
                }
            }
        }
        if (best != null) {
            return best;
        }
        for (NodesTool.Shown s : tool.shown()) {
            for (Ref r : withHandles(s)) {
                Node n = NodeEdit.node(s.outline(), r);
                for (boolean out : new boolean[] {true, false}) {
                    Point h = out ? n.out() : n.in();
                    double d = v.toView(s.toCanvas().apply(n.at().plus(h))).distance(p.view());
                    if (!h.equals(Point.ZERO) && d <= far) {
                        far = d;
                        best = new NodesTool.Over.OnHandle(s, r, out);
                    }
                }
            }
        }
        return best != null ? best : onLine(p);
    }

    private NodesTool.Over onLine(Pointer p) {
        for (NodesTool.Shown s : tool.shown().reversed()) {
            if (s.toCanvas().invertible()) {
                var near = NodeEdit.nearest(s.outline(), s.toCanvas().inverse().apply(p.at()));
                if (near != null) {
                    if (p.viewport().toView(s.toCanvas().apply(NodeEdit.point(s.outline(), near))).distance(p.view()) <= NEAR) {
                        return new NodesTool.Over.OnLine(s, near);
                    }
                }
            }
        }
        return null;
    }

    /** Handles are shown of chosen nodes and of their neighbours. */
    Set<Ref> withHandles(NodesTool.Shown s) {
        var out = new TreeSet<Ref>();
        for (Ref r : tool.chosenOf(s)) {
            Contour c = s.outline().contours().get(r.contour());
            int n = c.nodes().size();
            for (int by = -1; by <= 1; by++) {
                int at = r.node() + by;
                if (c.closed() || at >= 0 && at < n) {
                    out.add(new Ref(r.contour(), Math.floorMod(at, n)));
                }
            }
        }
        return out;
    }
}
