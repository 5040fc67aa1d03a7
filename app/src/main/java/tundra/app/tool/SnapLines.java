package tundra.app.tool;

import java.util.List;
import javafx.scene.canvas.GraphicsContext;
import tundra.app.canvas.Viewport;
import tundra.app.widget.Palette;
import tundra.core.edit.Snapping;
import tundra.core.geometry.Point;

/** Shows what a move snapped to. */
final class SnapLines {
    private SnapLines() {}

    static void draw(GraphicsContext g, Viewport v, List<Snapping.Line> lines, Point canvas, boolean dark) {
        g.setStroke(Palette.of(dark).fitting());
        g.setLineWidth(1);
        g.setLineDashes(4, 3);
        for (Snapping.Line l : lines) {
            Point a = v.toView(l.vertical() ? new Point(l.at(), 0) : new Point(0, l.at()));
            Point b = v.toView(l.vertical() ? new Point(l.at(), canvas.y()) : new Point(canvas.x(), l.at()));
            g.strokeLine(Math.floor(a.x()) + 0.5, Math.floor(a.y()) + 0.5, Math.floor(b.x()) + 0.5, Math.floor(b.y()) + 0.5);
        }
        g.setLineDashes();
    }
}
