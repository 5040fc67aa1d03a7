package tundra.app.tool;

import tundra.core.edit.GroupBox;
import tundra.core.edit.TurningSeveral;
import tundra.core.geometry.Numbers;
import tundra.core.geometry.Point;
import tundra.core.geometry.Rect;
import tundra.core.model.Properties;
import tundra.core.model.Values;

/** Turns and resizes what is selected by its handles. */
final class HandleDrags {
    private final SelectTool tool;

    HandleDrags(SelectTool tool) {
        this.tool = tool;
    }

    SelectTool.Gesture turnSeveral(Pointer p, Rect around) {
        TurningSeveral turning = Selected.turning(tool.studio, tool.options);
        Point centre = turning.centre() == null ? around.centre() : turning.centre();
        return new SelectTool.Gesture.TurnSeveral(centre, angle(centre, p.at()), turning, new Object());
    }

    void turn(SelectTool.Gesture.TurnSeveral t, Pointer p) {
        double by = stepped(Math.IEEEremainder(angle(t.centre(), p.at()) - t.pointer(), 360), p);
        tool.studio.again("Turn " + t.turning().parts().size() + " elements", t.merge(),
                b -> t.turning().turn(b, by, Selected.dragging(tool.studio, t.turning().parts())));
    }

    /** Whole degrees; with Shift steps of 15, with Ctrl tenths. */
    private static double stepped(double degrees, Pointer p) {
        double step = p.shift() ? 15 : p.ctrl() ? 0.1 : 1;
        return Numbers.round(Math.rint(degrees / step) * step, 3);
    }

    static double angle(Point centre, Point at) {
        return Math.toDegrees(Math.atan2(at.y() - centre.y(), at.x() - centre.x()));
    }

    void resize(SelectTool.Gesture.Resize r, Pointer p) {
        Point at = p.ctrl() ? p.at() : new Point(Math.rint(p.at().x()), Math.rint(p.at().y()));
        Point from = p.ctrl() ? r.from() : new Point(Math.rint(r.from().x()), Math.rint(r.from().y()));
        Point by = r.toParent().inverse().applyOffset(at.minus(from));
        var result = tool.studio.book().keepArea() && !p.shift() ? r.resizing().dragKeepingArea(by, p.alt()) : r.resizing()
                .drag(by, p.shift(), p.alt());
        Values start = r.resizing().start();
        tool.studio.again("Resize " + tool.studio.board().find(r.id()).name(), r.merge(), b -> tool.studio.target().drag(
                tool.studio.target().drag(b, r.id(), result.sizing(), start.get(result.sizing()), result.sized()), r.id(), Properties.POSITION,
                start.get(Properties.POSITION), result.position()));
    }

    void resize(SelectTool.Gesture.Several g, Pointer p) {
        Point by = p.at().minus(g.from());
        Point way = p.ctrl() ? by : new Point(Math.rint(by.x()), Math.rint(by.y()));
        tool.studio.again("Resize " + g.resizing().parts().size() + " elements", g.merge(),
                b -> g.resizing().drag(b, way, p.shift(), p.alt(), tool.studio.book().keepArea(), Selected.dragging(tool.studio, g.resizing()
                .parts())));
    }

    void bounds(SelectTool.Gesture.Bounds g, Pointer p) {
        Point at = g.toCanvas().inverse().apply(p.at());
        double x0 = g.handle().x() == 0 ? at.x() : 0, x1 = g.handle().x() == 1 ? at.x() : g.box().x();
        double y0 = g.handle().y() == 0 ? at.y() : 0, y1 = g.handle().y() == 1 ? at.y() : g.box().y();
        tool.studio.again("Set bounds of " + tool.studio.board().find(g.id()).name(), g.merge(),
                b -> GroupBox.set(b, g.id(), new Rect(x0, y0, Math.max(1, x1 - x0), Math.max(1, y1 - y0))));
    }

    /** Snaps to the ends and the middle of a side. */
    static double nearThird(double fraction, double length) {
        for (double f : new double[] {0, 0.5, 1}) {
            if (Math.abs(fraction - f) * length < 5) {
                return f;
            }
        }
        return Numbers.round(fraction, 4);
    }

    void turn(SelectTool.Gesture.Turn t, Pointer p) {
        double now = angle(t.centre(), p.at());
        double value = stepped(t.rotation() + Math.IEEEremainder(now - t.pointer(), 360), p);
        tool.studio.again("Turn " + tool.studio.board().find(t.id()).name(), t.merge(), b -> tool.studio.target()
                .drag(b, t.id(), Properties.ROTATION, t.rotation(), value));
    }
}
