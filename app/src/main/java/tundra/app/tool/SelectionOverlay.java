package tundra.app.tool;

import java.util.List;
import javafx.scene.paint.Color;
import tundra.app.paint.SkiaGraphics;
import tundra.app.studio.Studio;
import tundra.app.view.Overlay;
import tundra.app.view.Viewport;
import tundra.app.widget.Palette;
import tundra.core.frame.Frame;
import tundra.core.geometry.Point;
import tundra.core.geometry.Rect;
import tundra.core.model.Element;
import tundra.core.model.Properties;

/** Draws the boxes around what is selected, with handles when it is one element. */
public final class SelectionOverlay implements Overlay {
    /** Of more selected elements than this no further ones are outlined: nobody could tell them apart. */
    private static final int MOST = 2000;
    private final Studio studio;
    private final ToolBox tools;

    public SelectionOverlay(Studio studio, ToolBox tools) {
        this.studio = studio;
        this.tools = tools;
    }

    static void outline(SkiaGraphics g, Viewport v, Frame.Placed placed, Color color, double width) {
        List<Point> c = placed.corners().stream().map(v::toView).toList();
        g.setStroke(color);
        g.setLineWidth(width);
        g.strokePolygon(c.stream().mapToDouble(Point::x).toArray(), c.stream().mapToDouble(Point::y).toArray(), 4);
    }

    /** Adds the four sides of a box to the path. */
    private static void trace(SkiaGraphics g, Viewport v, Frame.Placed placed) {
        List<Point> c = placed.corners();
        for (int i = 0; i < 4; i++) {
            Point p = v.toView(c.get(i));
            if (i == 0) {
                g.moveTo(p.x(), p.y());
            } else {
                g.lineTo(p.x(), p.y());
            }
        }
        g.closePath();
    }

    /** An outline from four filled bars, much quicker than a stroke; says whether the box stands upright, so that it could be drawn. */
    private static boolean upright(SkiaGraphics g, Viewport v, Frame.Placed placed, Color color, double width) {
        List<Point> c = placed.corners();
        if (Math.abs(c.get(0).y() - c.get(1).y()) > 1e-6 || Math.abs(c.get(1).x() - c.get(2).x()) > 1e-6) {
            return false;
        }
        Point a = v.toView(c.get(0)), b = v.toView(c.get(2));
        double x = Math.min(a.x(), b.x()) - width / 2, y = Math.min(a.y(), b.y()) - width / 2;
        double w = Math.abs(a.x() - b.x()) + width, h = Math.abs(a.y() - b.y()) + width;
        g.setFill(color);
        g.fillRect(x, y, w, width);
        g.fillRect(x, y + h - width, w, width);
        g.fillRect(x, y + width, width, h - 2 * width);
        g.fillRect(x + w - width, y + width, width, h - 2 * width);
        return true;
    }

    @Override
    public void draw(SkiaGraphics g, Viewport v) {
        Palette colors = Palette.of(studio.dark());
        inside(g, v, colors);
        unseen(g, v, colors);
        if (tools.kind() == ToolKind.NODES) {
            return;
        }
        double width = tools.kind() == ToolKind.SELECT ? 1.5 : 1;
        g.beginPath();
        for (String id : studio.selection().stream().limit(MOST).toList()) {
            Frame.Placed placed = studio.picture().placed(id);
            if (placed != null && !upright(g, v, placed, colors.space(), width)) {
                trace(g, v, placed);
            }
        }
        g.setStroke(colors.space());
        g.setLineWidth(width);
        g.stroke();
        Rect around = studio.time().playing() || tools.kind() != ToolKind.SELECT ? null : Selected.bounds(studio);
        if (around != null) {
            Point a = v.toView(around.topLeft()), b = v.toView(around.bottomRight());
            g.setStroke(colors.space());
            g.setLineWidth(1);
            g.setLineDashes(4, 3);
            g.strokeRect(a.x(), a.y(), b.x() - a.x(), b.y() - a.y());
            g.setLineDashes();
            Point knob = Handles.knob(around, v);
            g.strokeLine((a.x() + b.x()) / 2, a.y(), knob.x(), knob.y());
            Handles.of(around, v).forEach(h -> HandleMarks.square(g, h.view(), colors.space(), false));
            HandleMarks.round(g, knob, 4, Color.WHITE, colors.space());
        }
        Element one = studio.selected();
        Frame.Placed placed = one == null ? null : studio.picture().frame().find(one.id());
        if (placed == null || studio.time().playing() || tools.kind() != ToolKind.SELECT) {
            return;
        }
        if (!one.locked()) {
            Point knob = Handles.knob(placed, v);
            Point top = v.toView(placed.toCanvas().apply(new Point(placed.node().box().x() / 2, 0)));
            g.setStroke(colors.space());
            g.setLineWidth(1.5);
            g.strokeLine(top.x(), top.y(), knob.x(), knob.y());
            for (Handles.Handle h : Handles.of(placed, v)) {
                HandleMarks.square(g, h.view(), colors.space(), false);
            }
            HandleMarks.round(g, knob, 4, Color.WHITE, colors.space());
        }
        Point pivot = v.toView(placed.toCanvas().apply(studio.target().valueAt(one.id(), Properties.PIVOT).times(placed.node().box())));
        g.setLineWidth(1.2);
        g.setStroke(Color.WHITE);
        g.strokeOval(pivot.x() - 4.5, pivot.y() - 4.5, 9, 9);
        g.setStroke(colors.space());
        g.strokeOval(pivot.x() - 3.5, pivot.y() - 3.5, 7, 7);
        g.strokeLine(pivot.x() - 6, pivot.y(), pivot.x() + 6, pivot.y());
        g.strokeLine(pivot.x(), pivot.y() - 6, pivot.x(), pivot.y() + 6);
    }

    /** Where something stands that is selected or pointed at and can't be seen. */
    private void unseen(SkiaGraphics g, Viewport v, Palette colors) {
        Element e = studio.presence().unseen();
        if (e != null) {
            g.setLineDashes(2, 4);
            outline(g, v, studio.presence().unseenAt(e), colors.space(), 1.5);
            g.setLineDashes();
        }
    }

    /** The group that is being edited, so that it is plain where a drawing goes. */
    private void inside(SkiaGraphics g, Viewport v, Palette colors) {
        Frame.Placed group = studio.groups().inside() == null ? null : studio.picture().frame().find(studio.groups().inside());
        if (group != null) {
            g.setLineDashes(5, 4);
            outline(g, v, group, colors.space().deriveColor(0, 1, 1, 0.7), 1.2);
            g.setLineDashes();
        }
    }
}
