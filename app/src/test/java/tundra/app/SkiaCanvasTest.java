package tundra.app;

import static org.assertj.core.api.Assertions.assertThat;

import javafx.scene.paint.Color;
import org.junit.jupiter.api.Test;
import tundra.app.paint.SkiaCanvas;

/** What is drawn by hand is shown as it was drawn last, however quickly one drawing follows another. */
class SkiaCanvasTest {
    private static void plain(SkiaCanvas c, Color color) {
        c.paint(g -> {
            g.setFill(color);
            g.fillRect(0, 0, 20, 10);
        });
    }

    private static Color seen(SkiaCanvas c, int x) {
        return c.getImage().getPixelReader().getColor(x, 5);
    }

    private static void shown(RealWindow t) throws Exception {
        t.until(SkiaCanvas::settled);
    }

    @Test
    void whatIsPaintedOverStandsOnWhatWasPaintedLast() throws Exception {
        try (var t = new RealWindow()) {
            var c = new SkiaCanvas();
            for (int i = 0; i < 40; i++) {
                RealWindow.fx(() -> {
                    c.setSize(20, 10);
                    plain(c, Color.LIME);
                    plain(c, Color.RED);
                    c.paintOver(g -> {
                        g.setFill(Color.BLUE);
                        g.fillRect(0, 0, 10, 10);
                    });
                    return null;
                });
                shown(t);
                assertThat(RealWindow.fx(() -> seen(c, 5))).isEqualTo(Color.BLUE);
                assertThat(RealWindow.fx(() -> seen(c, 15))).as("round " + i).isEqualTo(Color.RED);
                RealWindow.fx(() -> {
                    plain(c, Color.LIME);
                    return null;
                });
                shown(t);
                assertThat(RealWindow.fx(() -> seen(c, 5))).isEqualTo(Color.LIME);
            }
        }
    }

    @Test
    void anotherSizeBeginsAnewAndEmptyOnesShowNothing() throws Exception {
        try (var t = new RealWindow()) {
            var c = new SkiaCanvas();
            RealWindow.fx(() -> {
                c.setSize(0, 10);
                plain(c, Color.RED);
                return null;
            });
            shown(t);
            assertThat(RealWindow.fx(c::getImage)).isNull();
            RealWindow.fx(() -> {
                c.setSize(20, 10);
                plain(c, Color.RED);
                c.setSize(30, 10);
                c.paint(g -> { });
                return null;
            });
            shown(t);
            assertThat(RealWindow.fx(() -> c.getImage().getWidth())).isEqualTo(30);
            assertThat(RealWindow.fx(() -> seen(c, 5))).isEqualTo(Color.TRANSPARENT);
        }
    }
}
