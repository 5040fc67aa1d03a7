package tundra.app.paint;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import io.github.humbleui.skija.Bitmap;
import io.github.humbleui.skija.Surface;
import java.util.function.Consumer;
import javafx.geometry.VPos;
import javafx.scene.paint.Color;
import javafx.scene.shape.FillRule;
import javafx.scene.text.Font;
import javafx.scene.text.TextAlignment;
import org.junit.jupiter.api.Test;
import tundra.app.widget.Look;

/** What is drawn by hand lands on the pixels that JavaFX's documentation of {@code GraphicsContext} says. */
class SkiaGraphicsTest {
    private static final int W = 60, H = 40;

    /** The colours of the pixels, row by row. */
    private static int[] painted(double density, Consumer<SkiaGraphics> drawing) {
        int w = (int) (W * density), h = (int) (H * density);
        try (Surface s = Surface.makeRasterN32Premul(w, h); var bitmap = new Bitmap()) {
            s.getCanvas().clear(0xFFFFFFFF).scale((float) density, (float) density);
            drawing.accept(new SkiaGraphics(s.getCanvas(), W, density));
            bitmap.allocPixels(s.getImageInfo());
            s.readPixels(bitmap, 0, 0);
            int[] out = new int[w * h];
            for (int i = 0; i < out.length; i++) {
                out[i] = bitmap.getColor(i % w, i / w);
            }
            return out;
        }
    }

    /** How much black there is, in whole pixels. */
    private static double ink(int[] pixels) {
        double sum = 0;
        for (int p : pixels) {
            sum += 1 - (p & 0xFF) / 255.0;
        }
        return sum;
    }

    private static double middle(int[] pixels) {
        double sum = 0;
        for (int i = 0; i < pixels.length; i++) {
            sum += (1 - (pixels[i] & 0xFF) / 255.0) * (i % W + 0.5);
        }
        return sum / ink(pixels);
    }

    @Test
    void areasCoverTheirPixels() {
        assertThat(ink(painted(1, g -> g.fillRect(3, 4, 10, 5)))).isCloseTo(50, within(0.01));
        assertThat(ink(painted(1, g -> g.fillRect(3.5, 4, 10, 5)))).isCloseTo(50, within(0.3));
        // Skia gives each pixel at an edge a little less than what is covered of it, so more of a small disc is missing than of a large one
        assertThat(ink(painted(1, g -> g.fillOval(10, 10, 20, 20)))).isCloseTo(Math.PI * 100, within(12.0));
        assertThat(ink(painted(8, g -> g.fillOval(10, 10, 20, 20))) / 64).isCloseTo(Math.PI * 100, within(1.5));
        assertThat(ink(painted(1, g -> g.fillRoundRect(5, 5, 30, 20, 10, 10)))).isCloseTo(600 - (4 - Math.PI) * 25, within(4.0));
        assertThat(ink(painted(2, g -> g.fillRect(3, 4, 10, 5)))).isCloseTo(200, within(0.01));
        assertThat(ink(painted(1, g -> g.fillPolygon(new double[] {0, 20, 0}, new double[] {0, 0, 20}, 3)))).isCloseTo(200, within(0.5));
        // nothing at all where a side is missing
        assertThat(ink(painted(1, g -> g.fillRect(3, 4, -10, 5)))).isZero();
    }

    @Test
    void linesAreAsWideAsTheyAreSaidAndTheirEndsAreSquare() {
        assertThat(ink(painted(1, g -> {
            g.setLineWidth(2);
            g.strokeLine(10, 10, 30, 10);
        }))).isCloseTo(2 * 22, within(0.01));
        assertThat(ink(painted(1, g -> g.strokeRect(10.5, 10.5, 20, 10)))).isCloseTo(60, within(0.01));
        assertThat(ink(painted(1, g -> {
            g.setLineWidth(2);
            g.setLineDashes(4, 6);
            g.strokeLine(10, 10, 29.9, 10);
        }))).as("two dashes of four px and two ends of one each").isCloseTo(2 * 2 * 6, within(0.5));
        assertThat(ink(painted(1, g -> {
            g.beginPath();
            g.moveTo(10, 10);
            g.bezierCurveTo(20, 10, 20, 10, 30, 10);
            g.setLineWidth(4);
            g.stroke();
        }))).isCloseTo(4 * 24, within(0.5));
    }

    @Test
    void whatIsSavedComesBack() {
        int[] pixels = painted(1, g -> {
            g.setFill(Color.WHITE);
            g.save();
            g.setFill(Color.BLACK);
            g.translate(20, 0);
            g.beginPath();
            g.rect(0, 0, 5, 5);
            g.clip();
            g.fillRect(0, 0, 10, 10);
            g.restore();
            // white again, and back where it was
            g.fillRect(20, 0, 2, 40);
        });
        assertThat(ink(pixels)).isCloseTo(15, within(0.01));
        assertThat(ink(painted(1, g -> {
            g.setGlobalAlpha(0.5);
            g.fillRect(0, 0, 10, 10);
        }))).isCloseTo(50, within(0.5));
        assertThat(ink(painted(1, g -> {
            g.setFillRule(FillRule.EVEN_ODD);
            g.beginPath();
            g.rect(0, 0, 20, 20);
            g.rect(5, 5, 10, 10);
            g.fill();
        }))).isCloseTo(300, within(0.1));
    }

    @Test
    void wordsStandWhereTheyAreAligned() {
        Look.fonts();
        double[] middles = new double[3];
        for (TextAlignment a : new TextAlignment[] {TextAlignment.LEFT, TextAlignment.CENTER, TextAlignment.RIGHT}) {
            int[] pixels = painted(1, g -> {
                g.setFont(Font.font("Figtree", 14));
                g.setTextAlign(a);
                g.setTextBaseline(VPos.CENTER);
                g.fillText("oooo", 30, 20);
            });
            assertThat(ink(pixels)).isGreaterThan(20);
            middles[a == TextAlignment.LEFT ? 0 : a == TextAlignment.CENTER ? 1 : 2] = middle(pixels);
        }
        assertThat(middles[1]).isCloseTo(30, within(0.6));
        assertThat(middles[0] - 30).isCloseTo(30 - middles[2], within(0.8)).isGreaterThan(8);
        double narrow = ink(painted(1, g -> {
            g.setFont(Font.font("Figtree", 14));
            g.fillText("oooooooo", 2, 20, 20);
        })), wide = ink(painted(1, g -> {
            g.setFont(Font.font("Figtree", 14));
            g.fillText("oooooooo", 2, 20);
        }));
        assertThat(narrow).as("narrowed to 20 px").isLessThan(wide * 0.6);
    }
}
