package tundra.render;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.util.List;
import java.util.Map;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import tundra.core.file.ProjectFile;
import tundra.core.frame.FrameBuilder;
import tundra.core.geometry.Point;
import tundra.core.model.Board;
import tundra.core.model.Color;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Gradient;
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.core.model.Timeline;
import tundra.core.model.Values;

/** What can't be painted or read is left out, and the rest goes on. */
class OddInputsTest {
    private static Gradient gradient(Gradient.Kind kind, double far) {
        return new Gradient(kind, new Point(-far, 0), new Point(far, 0), new Point(0, far), Point.ZERO, Gradient.Spread.PAD,
                List.of(new Gradient.Stop(0, Color.parse("#FF0000")), new Gradient.Stop(1, Color.parse("#0000FF"))));
    }

    @Test
    void gradientsOnNextToNothingDoNotStopThePicture() throws Exception {
        for (double far : new double[] {1e-30, 1e-9, 1, 1e6, 4e6, 1e12, 1e30}) {
            for (double width : new double[] {0, 1e-12, 1e-4, 50}) {
                for (Gradient.Kind kind : Gradient.Kind.values()) {
                    var thin = new Element("thin", "Thin", false, false, Values.NONE.with(Properties.POSITION, new Point(20, 20))
                            .with(Properties.SIZE, new Point(width, 20))
                            .with(Properties.FILL, gradient(kind, far)), new Content.Rectangle());
                    var beside = new Element("beside", "Beside", false, false, Values.NONE.with(Properties.POSITION, new Point(80, 50))
                            .with(Properties.SIZE, new Point(20, 20))
                            .with(Properties.FILL, Color.parse("#00FF00")), new Content.Rectangle());
                    var board = new Board(new Point(100, 100), Values.NONE, List.of(thin, beside),
                            List.of(new Timeline("t", Timeline.MAIN, 1_000_000, false, true, Map.of())), List.of());
                    byte[] png = Still.png(Project.empty("P", new Point(100, 100), 24), new FrameBuilder(board, Fonts.BUNDLED).at(0), 100, 100);
                    assertThat(ImageIO.read(new ByteArrayInputStream(png)).getRGB(80, 50)).as("what stands beside it, %s %s %s", kind, far, width)
                            .isEqualTo(0xFF00FF00);
                }
            }
        }
    }

    @Test
    void aProjectWithADamagedFontOpensAndIsShownInAnother() throws Exception {
        Project p;
        try (var in = OddInputsTest.class.getResourceAsStream("nullfont.tundra")) {
            p = ProjectFile.read(in.readAllBytes());
        }
        assertThat(Fonts.unreadable(p.assets())).hasSize(1);
        assertThat(Fonts.familyOf(Fonts.unreadable(p.assets()).getFirst())).isEqualTo("Figtree");
        assertThat(new FrameBuilder(p.scenes().getFirst().board(), Fonts.of(p.assets())).at(0)).isNotNull();
    }
}
