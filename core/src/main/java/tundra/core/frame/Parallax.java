package tundra.core.frame;

import java.util.ArrayList;
import java.util.List;
import tundra.core.geometry.Affine;
import tundra.core.model.Board;
import tundra.core.model.Element;
import tundra.core.model.Properties;
import tundra.core.model.Tree;

/** What follows the page's scrolling at a share of its speed. */
public final class Parallax {
    private Parallax() {}

    /** A frame of a board as it is seen when the page is scrolled by some px. */
    public static Frame scrolled(Frame f, Board b, double px) {
        if (px == 0) {
            return f;
        }
        boolean[] any = {false};
        Tree.each(b.elements(), e -> any[0] |= e.rest().get(Properties.PARALLAX) != 0);
        return !any[0] ? f : new Frame(f.size(), f.background(), shifted(f.nodes(), b, px));
    }

    private static List<FrameNode> shifted(List<FrameNode> nodes, Board b, double px) {
        var out = new ArrayList<FrameNode>(nodes.size());
        for (FrameNode n : nodes) {
            Element e = n.id() == null ? null : b.find(n.id());
            double share = e == null ? 0 : e.rest().get(Properties.PARALLAX);
            List<FrameNode> children = n.motif() != null || n.children().isEmpty() ? n.children() : shifted(n.children(), b, px);
            Affine placed = share == 0 ? n.toParent() : Affine.translate(0, -px * share).times(n.toParent());
            if (!children.equals(n.children())) {
                out.add(new FrameNode(n.id(), n.locked(), placed, n.opacity(), n.box(), n.marks(), children, n.clips(), n.motif(), n.look()));
            } else {
                out.add(share == 0 ? n : n.withPlacement(placed));
            }
        }
        return out;
    }
}
