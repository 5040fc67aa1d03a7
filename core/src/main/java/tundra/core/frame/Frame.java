package tundra.core.frame;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import tundra.core.geometry.Affine;
import tundra.core.geometry.Point;
import tundra.core.geometry.Rect;
import tundra.core.model.Color;

/** A board at one moment, resolved to final numbers: plain data that a painter paints. */
public final class Frame {
    /** So often it is searched through before an index is made. */
    private static final int SEARCHES = 6;
    private final Point size;
    private final Color background;
    private final List<FrameNode> nodes;
    private volatile Map<String, Placed> index;
    private int asked;

    public Frame(Point size, Color background, List<FrameNode> nodes) {
        this.size = size;
        this.background = background;
        this.nodes = nodes;
    }

    public Point size() {
        return size;
    }

    public Color background() {
        return background;
    }

    /** From back to front. */
    public List<FrameNode> nodes() {
        return nodes;
    }

    @Override
    public boolean equals(Object o) {
        return this == o || o instanceof Frame f && size.equals(f.size) && background.equals(f.background) && nodes.equals(f.nodes);
    }

    @Override
    public int hashCode() {
        return Objects.hash(size, background, nodes);
    }

    /** An element and its way to the canvas. */
    public record Placed(FrameNode node, Affine toCanvas) {
        public List<Point> corners() {
            return toCanvas.corners(new Rect(0, 0, node.box().x(), node.box().y()));
        }

        public Rect bounds() {
            return Rect.around(corners());
        }
    }

    /** Where an element stands; null when the frame does not show it. */
    public Placed find(String id) {
        return index == null && asked++ < SEARCHES ? find(nodes, id, Affine.IDENTITY) : index().get(id);
    }

    /** What stands directly in a group, from back to front; on the canvas itself when the group is null. Nothing when the group isn't shown. */
    public List<Placed> level(String group) {
        if (group == null) {
            return nodes.stream().filter(n -> n.id() != null).map(n -> new Placed(n, n.toParent())).toList();
        }
        Placed of = find(group);
        var out = new ArrayList<Placed>();
        if (of != null) {
            directly(of.node(), of.toCanvas(), out);
        }
        return out;
    }

    /** What has no id is part of how the element around it shows what it holds. */
    private static void directly(FrameNode of, Affine toCanvas, List<Placed> out) {
        for (FrameNode n : of.children()) {
            Affine m = toCanvas.times(n.toParent());
            if (n.id() == null) {
                directly(n, m, out);
            } else {
                out.add(new Placed(n, m));
            }
        }
    }

    /** Where every element stands, for asking after many of them. */
    public Map<String, Placed> index() {
        if (index == null) {
            var out = new HashMap<String, Placed>();
            index(nodes, Affine.IDENTITY, out);
            index = out;
        }
        return index;
    }

    private static void index(List<FrameNode> in, Affine outer, Map<String, Placed> out) {
        for (FrameNode n : in) {
            Affine m = outer.times(n.toParent());
            if (n.id() != null) {
                out.putIfAbsent(n.id(), new Placed(n, m));
            }
            if (n.motif() == null) {
                index(n.children(), m, out);
            }
        }
    }

    /** Looks for an id first and multiplies the maps of its way alone. */
    private static Placed find(List<FrameNode> in, String id, Affine outer) {
        for (FrameNode n : in) {
            if (id.equals(n.id())) {
                return new Placed(n, outer.times(n.toParent()));
            }
            if (n.motif() == null && !n.children().isEmpty() && holds(n.children(), id)) {
                return find(n.children(), id, outer.times(n.toParent()));
            }
        }
        return null;
    }

    private static boolean holds(List<FrameNode> in, String id) {
        for (FrameNode n : in) {
            if (id.equals(n.id()) || n.motif() == null && holds(n.children(), id)) {
                return true;
            }
        }
        return false;
    }
}
