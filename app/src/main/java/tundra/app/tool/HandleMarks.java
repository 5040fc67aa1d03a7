package tundra.app.tool;

import javafx.scene.paint.Color;
import tundra.app.paint.Dots;
import tundra.app.paint.SkiaGraphics;
import tundra.core.geometry.Point;

/** The small marks that can be taken hold of. */
final class HandleMarks {
    private HandleMarks() {}

    static void square(SkiaGraphics g, Point at, Color ink, boolean chosen) {
        Dots.square(g, at.x(), at.y(), 3.5, chosen ? ink : Color.WHITE, ink, 1.2);
    }

    static void round(SkiaGraphics g, Point at, double r, Color fill, Color ink) {
        Dots.round(g, at.x(), at.y(), r, fill, ink, 1.2);
    }

    static void arm(SkiaGraphics g, Point from, Point to, Color ink) {
        g.setStroke(ink);
        g.setLineWidth(1);
        g.strokeLine(from.x(), from.y(), to.x(), to.y());
    }
}
