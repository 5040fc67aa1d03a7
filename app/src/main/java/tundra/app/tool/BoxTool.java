package tundra.app.tool;

import java.util.List;
import javafx.scene.canvas.GraphicsContext;
import tundra.app.canvas.Viewport;
import tundra.app.studio.Studio;
import tundra.core.edit.Arrange;
import tundra.core.edit.Snapping;
import tundra.core.geometry.Point;
import tundra.core.geometry.Rect;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Properties;

/** Draws a rectangle or an ellipse by dragging. Shift makes the sides equal, Alt draws from the centre, Ctrl does not snap. */
public final class BoxTool implements Tool {
    private final Studio studio;
    private final ToolBox tools;
    private final Paints paints;
    private final Content content;
    private final String name;
    private Point start;
    private Object drag;
    private List<Snapping.Line> lines = List.of();

    public BoxTool(Studio studio, ToolBox tools, Paints paints, Content content, String name) {
        this.studio = studio;
        this.tools = tools;
        this.paints = paints;
        this.content = content;
        this.name = name;
    }

    @Override
    public void press(Pointer p) {
        start = snapped(p);
        drag = new Object();
    }

    private Point snapped(Pointer p) {
        Point at = new Point(Math.round(p.at().x()), Math.round(p.at().y()));
        lines = List.of();
        if (p.ctrl()) {
            return at;
        }
        var snap = Snapping.of(new Rect(at.x(), at.y(), 0, 0), studio.board().size(), 6 / p.viewport().zoom());
        lines = snap.lines();
        return at.plus(snap.by());
    }

    @Override
    public void drag(Pointer p) {
        if (start == null) {
            return;
        }
        Point way = snapped(p).minus(start);
        if (p.shift()) {
            double side = Math.max(Math.abs(way.x()), Math.abs(way.y()));
            way = new Point(Math.copySign(side, way.x()), Math.copySign(side, way.y()));
        }
        Rect r = p.alt() ? Rect.of(start.minus(way), start.plus(way)) : Rect.of(start, start.plus(way));
        studio.cancel(drag);
        if (r.width() < 1 || r.height() < 1) {
            return;
        }
        var e = new Element(name, content, paints.closed().with(Properties.POSITION, r.centre())
                .with(Properties.SIZE, new Point(r.width(), r.height())));
        studio.edit("Draw " + name, drag, b -> Arrange.add(b, e));
        studio.select(List.of(e.id()));
    }

    @Override
    public void release(Pointer p) {
        boolean drawn = start != null && studio.selected() != null && studio.undoName() != null && studio.undoName().equals("Draw " + name);
        start = null;
        lines = List.of();
        if (drawn) {
            tools.take(ToolKind.SELECT);
        }
    }

    @Override
    public boolean cancel() {
        if (start == null) {
            return false;
        }
        studio.cancel(drag);
        start = null;
        lines = List.of();
        return true;
    }

    @Override
    public void draw(GraphicsContext g, Viewport v) {
        SnapLines.draw(g, v, lines, studio.board().size(), studio.dark());
    }
}
