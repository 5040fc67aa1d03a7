package tundra.core.frame;

import java.util.List;
import tundra.core.geometry.Affine;
import tundra.core.geometry.Point;
import tundra.core.geometry.Rect;

/**
 * An element at one time. The same instance comes back for as long as nothing in it changes, so that a painter can keep its
 * picture.
 *
 * @param toParent from its box to its parent
 * @param box its width and height
 */
public record FrameNode(String id, boolean locked, Affine toParent, double opacity, Point box, List<Mark> marks, List<FrameNode> children) {

    /** The box around all that it paints, strokes included, in its own coordinates. */
    public Rect painted() {
        Rect all = new Rect(0, 0, box.x(), box.y());
        for (Mark m : marks) {
            if (m instanceof Mark.Stroke s) {
                // a mitre of limit 4 reaches 4 half widths out
                Rect outline = s.form().outline().bounds();
                all = outline == null ? all : outline.grow(s.width() * 2).union(all);
            } else if (m instanceof Mark.Glyphs g) {
                all = all.grow(g.text().size() / 2);
            }
        }
        for (FrameNode c : children) {
            all = c.toParent().bounds(c.painted()).union(all);
        }
        return all;
    }
}
