package tundra.app.tool;

import javafx.scene.canvas.GraphicsContext;
import javafx.scene.paint.Color;
import tundra.core.geometry.Point;

/** The small marks that can be taken hold of. */
final class Marks {
    private Marks() {}

    static void square(GraphicsContext g, Point at, Color ink, boolean chosen) {
        g.setFill(chosen ? ink : Color.WHITE);
        g.fillRect(at.x() - 3.5, at.y() - 3.5, 7, 7);
        g.setStroke(ink);
        g.setLineWidth(1.2);
        g.strokeRect(at.x() - 3.5, at.y() - 3.5, 7, 7);
    }

    static void round(GraphicsContext g, Point at, double r, Color fill, Color ink) {
        g.setFill(fill);
        g.fillOval(at.x() - r, at.y() - r, 2 * r, 2 * r);
        g.setStroke(ink);
        g.setLineWidth(1.2);
        g.strokeOval(at.x() - r, at.y() - r, 2 * r, 2 * r);
    }

    static void arm(GraphicsContext g, Point from, Point to, Color ink) {
        g.setStroke(ink);
        g.setLineWidth(1);
        g.strokeLine(from.x(), from.y(), to.x(), to.y());
    }
}
