package tundra.app.timeline;

import java.util.HashMap;
import java.util.Map;
import javafx.scene.SnapshotParameters;
import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.image.Image;
import javafx.scene.paint.Color;
import javafx.scene.transform.Transform;
import tundra.app.widget.Palette;

/** The beads of keys as small pictures: hundreds of them are put down in the time that a few take to be drawn as circles. */
final class BeadImages {
    private static final int HALF = 8;
    private static final Map<Look, Image> MADE = new HashMap<>();

    private BeadImages() {}

    private record Look(boolean chosen, boolean here, double density, Color time, Color field, Color ink) {}

    /** Puts a bead at the nearest whole px of the screen. */
    static void draw(GraphicsContext g, double x, double y, boolean chosen, boolean here, double density, Palette colors) {
        var look = new Look(chosen, here, density, colors.time(), colors.field(), colors.ink1());
        Image image = MADE.computeIfAbsent(look, BeadImages::make);
        g.drawImage(image, Math.rint((x - HALF) * density) / density, Math.rint((y - HALF) * density) / density, 2 * HALF, 2 * HALF);
    }

    private static Image make(Look l) {
        var canvas = new Canvas(2 * HALF, 2 * HALF);
        GraphicsContext g = canvas.getGraphicsContext2D();
        double r = l.chosen ? 5.2 : 4.6;
        g.setFill(l.chosen || l.here ? l.time : l.field);
        g.setStroke(l.chosen ? l.ink : l.time);
        g.setLineWidth(l.chosen ? 2.5 : 1.6);
        g.fillOval(HALF - r, HALF - r, 2 * r, 2 * r);
        g.strokeOval(HALF - r, HALF - r, 2 * r, 2 * r);
        var how = new SnapshotParameters();
        how.setFill(Color.TRANSPARENT);
        how.setTransform(Transform.scale(l.density, l.density));
        return canvas.snapshot(how, null);
    }
}
