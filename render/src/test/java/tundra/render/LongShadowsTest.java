package tundra.render;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import io.github.humbleui.skija.Surface;
import java.util.List;
import org.junit.jupiter.api.Test;
import tundra.core.fit.Frames;
import tundra.core.frame.Moment;
import tundra.core.geometry.Point;
import tundra.core.model.Board;
import tundra.core.model.Color;
import tundra.core.model.Content;
import tundra.core.model.Effect;
import tundra.core.model.EffectKind;
import tundra.core.model.Element;
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.core.model.Values;

/** Long shadows where the shapes say that they must be, at any scale, and several of them. */
class LongShadowsTest {
    private static Effect shadow(double direction, String color) {
        return new Effect(EffectKind.LONG_SHADOW).with(Properties.LONG_DIRECTION, direction).with(Properties.LONG_LENGTH, 40.0)
                .with(Properties.LONG_FADE, 0.0)
                .with(Properties.SHADOW_COLOR, Color.parse(color));
    }

    /** A white square of 20 px around (30, 30) on black, with effects, painted at a scale; the colour at a place of the board. */
    private static int color(double scale, Point elementScale, Point at, Effect... effects) {
        var e = new Element("a", "A", false, false, Values.NONE.with(Properties.POSITION, new Point(30, 30)).with(Properties.SIZE, new Point(20, 20))
                .with(Properties.SCALE, elementScale)
                .with(Properties.FILL, Color.WHITE), new Content.Rectangle()).withEffects(List.of(effects));
        Project p = Project.empty("p", new Point(100, 100), 24);
        Board b = p.scenes().getFirst().board().withElements(List.of(e)).withRest(Board.CANVAS, v -> v.with(Properties.BACKGROUND, Color.BLACK));
        try (var painter = new Painter(); Surface s = Surface.makeRasterN32Premul(9, 9)) {
            s.getCanvas().translate((float) (4 - at.x() * scale), (float) (4 - at.y() * scale)).scale((float) scale, (float) scale);
            painter.paint(s.getCanvas(), Frames.of(p, b, Fonts.BUNDLED).at(Moment.opened(b, 0)), scale);
            try (var image = s.makeImageSnapshot()) {
                return Rasters.argb(image)[4 * 9 + 4] & 0xFFFFFF;
            }
        }
    }

    @Test
    void itIsDrawnOutInItsDirectionAsFarAsItsLength() {
        // to the right: from the square's edge at 40 to 80
        for (double x : new double[] {42, 55, 77}) {
            assertThat(color(1, new Point(1, 1), new Point(x, 30), shadow(0, "#FF0000FF"))).as("at %s", x).isEqualTo(0xFF0000);
        }
        assertThat(color(1, new Point(1, 1), new Point(84, 30), shadow(0, "#FF0000FF"))).isZero();
        assertThat(color(1, new Point(1, 1), new Point(30, 30), shadow(0, "#FF0000FF"))).as("beneath the square").isEqualTo(0xFFFFFF);
        assertThat(color(1, new Point(1, 1), new Point(16, 30), shadow(0, "#FF0000FF"))).isZero();
    }

    @Test
    void aSecondOneFallsOffTheFirstAsWell() {
        Effect[] two = {shadow(0, "#FF0000FF"), shadow(90, "#00FF00FF")};
        assertThat(color(1, new Point(1, 1), new Point(60, 30), two)).isEqualTo(0xFF0000);
        assertThat(color(1, new Point(1, 1), new Point(30, 60), two)).as("down from the square").isEqualTo(0x00FF00);
        assertThat(color(1, new Point(1, 1), new Point(60, 60), two)).as("down from the red shadow").isEqualTo(0x00FF00);
    }

    @Test
    void closeUpItIsTheSameWithFewerPixels() {
        // 101 px a side at 100 pixels a px would be 100 million pixels
        int inside = color(100, new Point(1, 1), new Point(55, 30), shadow(0, "#FF0000FF"));
        // the edges of the steps are half pixels there, which leave seams of 1.5 %
        assertThat((double) (inside >> 16)).isCloseTo(255, within(4.0));
        assertThat(inside & 0xFFFF).isZero();
        assertThat(color(100, new Point(1, 1), new Point(84, 30), shadow(0, "#FF0000FF"))).isZero();
    }

    @Test
    void whatIsPressedFlatIsNotSeen() {
        assertThat(color(1, new Point(0, 1), new Point(30, 30), shadow(0, "#FF0000FF"))).isZero();
        assertThat((double) (color(1, new Point(-1, 1), new Point(10, 30), shadow(0, "#FF0000FF")) >> 16)).as("mirrored, to the left")
                .isCloseTo(255, within(2.0));
    }
}
