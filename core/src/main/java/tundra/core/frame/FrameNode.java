package tundra.core.frame;

import java.util.List;
import tundra.core.geometry.Affine;
import tundra.core.geometry.Outline;
import tundra.core.geometry.Point;
import tundra.core.geometry.Rect;

/**
 * An element at one time. The same instance comes back for as long as nothing in it changes, so that a painter can keep its
 * picture.
 *
 * @param toParent from its box to its parent
 * @param box its width and height
 * @param clip hides what of the children lies outside; null hides nothing
 */
public record FrameNode(String id, boolean locked, Affine toParent, double opacity, Point box, List<Mark> marks, List<FrameNode> children,
        Outline clip) {

    /** The same node placed otherwise. */
    public FrameNode withPlacement(Affine m) {
        return new FrameNode(id, locked, m, opacity, box, marks, children, clip);
    }

    public FrameNode withOpacity(double o) {
        return new FrameNode(id, locked, toParent, o, box, marks, children, clip);
    }

    public FrameNode withChildren(List<FrameNode> c) {
        return new FrameNode(id, locked, toParent, opacity, box, marks, c, clip);
    }

    /** The box around all that it paints, strokes included, in its own coordinates. */
    public Rect painted() {
        Rect all = new Rect(0, 0, box.x(), box.y());
        for (Mark m : marks) {
            if (m instanceof Mark.Stroke s) {
                Rect outline = s.form().outline().bounds();
                all = outline == null ? all : outline.grow(s.style().reach()).union(all);
            } else if (m instanceof Mark.Glyphs g) {
                all = all.grow(g.text().size() / 2);
            }
        }
        for (FrameNode c : children) {
            all = c.toParent().bounds(c.painted()).union(all);
        }
        return all;
    }

    /** The box around what can be seen of it, in its own coordinates: its marks and children, cut by its clip; null for nothing. */
    public Rect inked() {
        Rect all = null;
        for (Mark m : marks) {
            Rect r = switch (m) {
                case Mark.Fill f -> f.form().outline().bounds();
                case Mark.Stroke s -> s.form().outline().bounds() == null ? null : s.form().outline().bounds().grow(s.style().reach());
                case Mark.Image i -> new Rect(0, 0, i.size().x(), i.size().y());
                case Mark.Glyphs g -> new Rect(0, 0, g.layout().box().x(), g.layout().box().y());
            };
            all = r == null ? all : r.union(all);
        }
        for (FrameNode c : children) {
            Rect r = c.inked();
            all = r == null ? all : c.toParent().bounds(r).union(all);
        }
        Rect within = clip == null ? null : clip.bounds();
        return all == null || within == null ? all : all.intersects(within) ? all.intersection(within) : null;
    }
}
