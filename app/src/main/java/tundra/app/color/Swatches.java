package tundra.app.color;

import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.paint.CycleMethod;
import javafx.scene.paint.LinearGradient;
import javafx.scene.paint.Stop;
import tundra.core.model.Color;
import tundra.core.model.Gradient;
import tundra.core.model.Paint;

/** Small pictures of paints. */
final class Swatches {
    private static final double CHECK = 5;

    private Swatches() {}

    static javafx.scene.paint.Color fx(Color c) {
        return javafx.scene.paint.Color.rgb(c.red(), c.green(), c.blue(), c.alpha() / 255.0);
    }

    /** The pattern that stands for transparency. */
    static void checks(GraphicsContext g, double w, double h) {
        checks(g, w, h, 0);
    }

    private static void checks(GraphicsContext g, double w, double h, double arc) {
        g.setFill(javafx.scene.paint.Color.WHITE);
        g.fillRoundRect(0, 0, w, h, arc, arc);
        g.setFill(javafx.scene.paint.Color.rgb(214, 222, 216));
        for (int y = 0; y * CHECK < h; y++) {
            for (int x = y % 2; x * CHECK < w; x += 2) {
                boolean corner = (x == 0 || (x + 1) * CHECK >= w) && (y == 0 || (y + 1) * CHECK >= h);
                if (arc == 0 || !corner) {
                    g.fillRect(x * CHECK, y * CHECK, CHECK, CHECK);
                }
            }
        }
    }

    /**
     * A paint across a rectangle with round corners of diameter {@code arc}; gradients run from left to right. A stroke through it is no paint at
     * all.
     */
    static void paint(Canvas c, Paint p, double arc) {
        GraphicsContext g = c.getGraphicsContext2D();
        double w = c.getWidth(), h = c.getHeight();
        g.clearRect(0, 0, w, h);
        checks(g, w, h, arc);
        g.setFill(p instanceof Gradient many ? ramp(many) : fx((Color) p));
        g.fillRoundRect(0, 0, w, h, arc, arc);
        // a light paint needs an edge on a light panel
        g.setStroke(javafx.scene.paint.Color.rgb(128, 140, 135, 0.5));
        g.setLineWidth(1);
        g.strokeRoundRect(0.5, 0.5, w - 1, h - 1, arc, arc);
        if (!p.visible()) {
            g.setStroke(javafx.scene.paint.Color.rgb(147, 160, 155));
            g.setLineWidth(1.5);
            g.strokeLine(2, h - 2, w - 2, 2);
        }
    }

    static LinearGradient ramp(Gradient g) {
        return new LinearGradient(0, 0, 1, 0, true, CycleMethod.NO_CYCLE, g.stops().stream().map(s -> new Stop(s.at(), fx(s.color()))).toList());
    }
}
