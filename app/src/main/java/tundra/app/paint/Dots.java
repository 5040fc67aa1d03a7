package tundra.app.paint;

import io.github.humbleui.skija.Image;
import io.github.humbleui.skija.Surface;
import java.util.HashMap;
import java.util.Map;
import javafx.scene.paint.Color;

/** Small marks that stand in hundreds: circles as ready pictures and squares as plain areas, many times as quick as stroked ones. */
public final class Dots {
    private static final Map<Look, Image> MADE = new HashMap<>();

    private Dots() {}

    private record Look(double radius, Color fill, Color ink, double line, double density) {
        int half() {
            return (int) Math.ceil(radius + line / 2 + 1);
        }
    }

    /** A circle with an outline, at the nearest whole px of the screen. */
    public static void round(SkiaGraphics g, double x, double y, double radius, Color fill, Color ink, double line) {
        double density = g.density();
        var look = new Look(radius, fill, ink, line, density);
        Image image = MADE.computeIfAbsent(look, Dots::make);
        int half = look.half();
        g.drawImage(image, Math.rint((x - half) * density) / density, Math.rint((y - half) * density) / density, image.getWidth() / density,
                image.getHeight() / density);
    }

    private static Image make(Look l) {
        int half = l.half(), side = (int) Math.ceil(2 * half * l.density);
        try (Surface s = Surface.makeRasterN32Premul(side, side)) {
            s.getCanvas().scale((float) l.density, (float) l.density);
            var g = new SkiaGraphics(s.getCanvas(), 2 * half, l.density);
            g.setFill(l.fill);
            g.setStroke(l.ink);
            g.setLineWidth(l.line);
            g.fillOval(half - l.radius, half - l.radius, 2 * l.radius, 2 * l.radius);
            g.strokeOval(half - l.radius, half - l.radius, 2 * l.radius, 2 * l.radius);
            return s.makeImageSnapshot();
        }
    }

    /** A square with an outline. */
    public static void square(SkiaGraphics g, double x, double y, double half, Color fill, Color ink, double line) {
        double out = half + line / 2, in = half - line / 2;
        g.setFill(ink);
        g.fillRect(x - out, y - out, 2 * out, 2 * out);
        g.setFill(fill);
        g.fillRect(x - in, y - in, 2 * in, 2 * in);
    }
}
