package tundra.core.edit;

import java.util.List;
import tundra.core.geometry.Affine;
import tundra.core.geometry.Point;
import tundra.core.geometry.Rect;
import tundra.core.model.Board;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Properties;
import tundra.core.model.Timeline;

/**
 * Sets the bounds of a group or a flipbook. What is seen stays where it is; the pivot stays in its place too, so that moves and turns go on as they
 * were.
 */
public final class GroupBox {
    private GroupBox() {}

    /** @param box the new bounds in the group's present coordinates; at least 1 px each way */
    public static Board set(Board board, String id, Rect box) {
        Element e = board.find(id);
        if (e == null || !(e.content() instanceof Content.Parent g) || !(box.width() >= 1) || !(box.height() >= 1)) {
            return board;
        }
        Point old = g.box(), by = Point.ZERO.minus(box.topLeft()), now = new Point(box.width(), box.height());
        Board b = board;
        if (!by.equals(Point.ZERO)) {
            for (Element c : g.children()) {
                b = Placing.shift(b, c.id(), by);
            }
        }
        List<Element> children = b.find(id).children();
        Content content = g instanceof Content.Group c && c.clip() != null ? new Content.Group(children, now, c.clip()
                .through(Affine.translate(by.x(), by.y())), c.scatter())
                : g.withChildren(children).withBox(now);
        b = b.mapElement(id, x -> x.withContent(content).with(Properties.PIVOT, pivot(x.rest().get(Properties.PIVOT), old, box)));
        for (Timeline t : board.timelines()) {
            if (t.track(id, Properties.PIVOT) == null) {
                continue;
            }
            b = b.mapTimeline(t.id(), x -> x.mapKeys(id, Properties.PIVOT, k -> k.with(pivot(k.value(), old, box))));
        }
        return b;
    }

    private static Point pivot(Point fraction, Point old, Rect box) {
        Point at = fraction.times(old).minus(box.topLeft());
        return new Point(at.x() / box.width(), at.y() / box.height());
    }
}
