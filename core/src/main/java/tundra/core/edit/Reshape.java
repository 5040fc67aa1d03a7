package tundra.core.edit;

import tundra.core.frame.ElementPaint;
import tundra.core.geometry.Affine;
import tundra.core.geometry.Outline;
import tundra.core.geometry.Point;
import tundra.core.geometry.Rect;
import tundra.core.model.Board;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Properties;
import tundra.core.model.Timeline;

/** Gives paths other outlines. What was keyed goes on as it was seen: sizes and pivots are carried over to the new box. */
public final class Reshape {
    private Reshape() {}

    /** Any shape as a path of the same form; a path stays as it is. */
    public static Board toPath(Board board, String id) {
        Element e = board.find(id);
        if (!(e.content() instanceof Content.Shape s) || s instanceof Content.Path) {
            return board;
        }
        Point size = e.rest().get(Properties.SIZE);
        Outline o = ElementPaint.form(s, e.rest()).outline();
        Board b = board.mapElement(id, x -> x.withContent(new Content.Path(o, size)));
        for (Timeline t : board.timelines()) {
            b = b.mapTimeline(t.id(), x -> x.with(id, Properties.CORNER_RADIUS, null));
        }
        return outline(b, id, o);
    }

    /** Sets the outline of a path, in the coordinates of the box that it has; its box becomes the new outline's bounds. */
    public static Board outline(Board board, String id, Outline outline) {
        Element e = board.find(id);
        var path = (Content.Path) e.content();
        Rect bounds = outline.bounds();
        if (bounds == null) {
            return board;
        }
        Point box = path.box(), now = new Point(bounds.width(), bounds.height());
        Outline moved = bounds.x() == 0 && bounds.y() == 0 ? outline : outline.through(Affine.translate(-bounds.x(), -bounds.y()));
        Point grown = new Point(ratio(now.x(), box.x()), ratio(now.y(), box.y()));
        Board b = board.mapElement(id, x -> x.withContent(new Content.Path(moved, now, path.evenOdd()))
                .with(Properties.SIZE, sized(x.rest().get(Properties.SIZE), box, now, grown))
                .with(Properties.PIVOT, pivot(x.rest().get(Properties.PIVOT), box, bounds)));
        for (Timeline t : board.timelines()) {
            b = b.mapTimeline(t.id(), x -> x
                    .mapKeys(id, Properties.SIZE, k -> k.with(sized(k.value(), box, now, grown)))
                    .mapKeys(id, Properties.PIVOT, k -> k.with(pivot(k.value(), box, bounds))));
        }
        return settled(b, id, e, bounds);
    }

    /** A side that was nothing can't be stretched: it takes the new length. */
    private static Point sized(Point size, Point box, Point now, Point grown) {
        return new Point(box.x() == 0 ? now.x() : size.x() * grown.x(), box.y() == 0 ? now.y() : size.y() * grown.y());
    }

    private static double ratio(double to, double from) {
        return from == 0 ? 1 : to / from;
    }

    /** The fraction of the new box where the old pivot stands; the middle of a side without length. */
    private static Point pivot(Point old, Point box, Rect bounds) {
        return new Point(bounds.width() == 0 ? 0.5 : (old.x() * box.x() - bounds.x()) / bounds.width(),
                bounds.height() == 0 ? 0.5 : (old.y() * box.y() - bounds.y()) / bounds.height());
    }

    /** Where a side has no length the pivot had to move with the outline: the positions follow. */
    private static Board settled(Board b, String id, Element before, Rect bounds) {
        var old = (Content.Path) before.content();
        Point p = before.rest().get(Properties.PIVOT);
        Point by = new Point(bounds.width() == 0 ? bounds.x() - p.x() * old.box().x() : 0, bounds.height() == 0 ? bounds.y() - p.y() * old.box().y()
                : 0);
        if (by.equals(Point.ZERO)) {
            return b;
        }
        Affine turn = Affine.rotate(before.rest().get(Properties.ROTATION));
        return Placing.shift(b, id, turn.applyOffset(by.times(before.rest().get(Properties.SCALE))));
    }
}
