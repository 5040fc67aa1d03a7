package tundra.app.tool;

import java.util.List;
import tundra.app.studio.Studio;
import tundra.core.geometry.Affine;
import tundra.core.geometry.Outline;
import tundra.core.geometry.Point;
import tundra.core.geometry.Rect;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Properties;
import tundra.core.model.Values;

/** Puts what was drawn on the canvas into the document: into the group that is being edited, or on top of all. */
final class DrawnShapes {
    private DrawnShapes() {}

    /** A path of an outline in canvas coordinates; nothing when it has no extent at all. */
    static Element path(String name, Outline outline, Values look) {
        Rect r = outline.bounds();
        if (r == null || r.width() == 0 && r.height() == 0) {
            return null;
        }
        Point box = new Point(r.width(), r.height());
        return new Element(name, new Content.Path(outline.through(Affine.translate(-r.x(), -r.y())), box),
                look.with(Properties.POSITION, r.centre()).with(Properties.SIZE, box));
    }

    /** Adds an element that is placed in canvas coordinates, and selects it. */
    static void add(Studio studio, String name, Object merge, Element e) {
        if (e != null) {
            studio.edit(name, merge, b -> studio.add(b, e));
            studio.select(List.of(e.id()));
            if (studio.book().is()) {
                studio.groups().enter(studio.book().id());
            }
        }
    }

    /** To one decimal: what a hand means. */
    static Point tenth(Point p) {
        return new Point(Math.rint(p.x() * 10) / 10, Math.rint(p.y() * 10) / 10);
    }

    /** A point moved so that its way from another keeps to steps of an angle. */
    static Point stepped(Point from, Point to, double degrees) {
        Point way = to.minus(from);
        double angle = Math.toRadians(Math.rint(Math.toDegrees(Math.atan2(way.y(), way.x())) / degrees) * degrees);
        return from.plus(new Point(Math.cos(angle), Math.sin(angle)).times(way.length()));
    }
}
