package tundra.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.function.UnaryOperator;
import javafx.scene.Node;
import javafx.scene.SnapshotParameters;
import javafx.scene.canvas.Canvas;
import javafx.scene.control.ListView;
import javafx.scene.image.PixelReader;
import javafx.scene.input.KeyCode;
import javafx.scene.paint.Color;
import org.junit.jupiter.api.Test;
import tundra.core.model.Project;
import tundra.core.model.Swatch;

/** The panels beside the canvas, from an empty piece on. */
class PanelsTest extends InWindow {
    private static final String NOTHING = "Nothing drawn yet.";

    private Node list() throws Exception {
        return RealWindow.fx(() -> t.stage.getScene().lookup("#outline-list"));
    }

    /** All words that a panel shows. */
    private void edit(UnaryOperator<Project> change) throws Exception {
        RealWindow.fx(() -> {
            t.studio.editProject("Change", null, change);
            return null;
        });
        t.settle();
    }

    @Test
    void theOutlinesListComesWithTheFirstRowAndStays() throws Exception {
        assertThat(list()).isNull();
        assertThat(t.words("outline")).contains(NOTHING);
        t.keys(KeyCode.R);
        t.drag(t.canvas(100, 100), t.canvas(180, 140));
        t.settle();
        assertThat(((ListView<?>) list()).getItems()).hasSize(1);
        assertThat(t.words("outline")).contains("Rectangle").doesNotContain(NOTHING);
        t.keys(KeyCode.CONTROL, KeyCode.Z);
        t.settle();
        assertThat(((ListView<?>) list()).getItems()).isEmpty();
        assertThat(t.words("outline")).contains(NOTHING);
        t.keys(KeyCode.CONTROL, KeyCode.SHIFT, KeyCode.Z);
        t.settle();
        assertThat(((ListView<?>) list()).getItems()).hasSize(1);
    }

    @Test
    void theShelfTellsWhatItIsForWhileItIsEmpty() throws Exception {
        assertThat(t.words("shelf")).contains("Drop a file");
        edit(p -> p.withSwatches(List.of(new Swatch("Red", tundra.core.model.Color.parse("#C8503A")))));
        assertThat(t.words("shelf")).doesNotContain("Drop a file");
        t.until(() -> t.stage.getScene().lookup("#shelf").lookupAll(".swatch-button").size() == 1);
        edit(p -> p.withSwatches(List.of()));
        assertThat(t.words("shelf")).contains("Drop a file");
        assertThat(RealWindow.fx(() -> t.node("shelf").lookupAll(".swatch-button"))).isEmpty();
    }

    @Test
    void aSampleIsRoundHasAnEdgeAndShowsWhatIsTransparent() throws Exception {
        t.keys(KeyCode.R);
        t.drag(t.canvas(100, 100), t.canvas(180, 140));
        Canvas sample = (Canvas) RealWindow.fx(() -> t.node("field-fill").lookup(".swatch-button").lookupAll("*").stream()
                .filter(n -> n instanceof Canvas).findFirst().orElseThrow());
        t.fill("field-fill", "FFFFFF");
        RealWindow.fx(() -> {
            PixelReader p = pixels(sample);
            assertThat(p.getColor(10, 9)).isEqualTo(Color.WHITE);
            assertThat(p.getColor(0, 0).getOpacity()).as("corner").isLessThan(0.3);
            Color edge = p.getColor(0, 9);
            assertThat(edge.getBrightness()).as("edge of a white sample").isBetween(0.6, 0.9);
            assertThat(edge.getOpacity()).isEqualTo(1);
            return null;
        });
        t.fill("field-fill", "none");
        RealWindow.fx(() -> {
            PixelReader p = pixels(sample);
            // squares of 5 px, white and not, away from edge and stroke
            assertThat(p.getColor(3, 7)).isNotEqualTo(p.getColor(7, 7));
            assertThat(p.getColor(12, 12)).isNotEqualTo(p.getColor(17, 12));
            return null;
        });
    }

    private static PixelReader pixels(Canvas c) {
        var clear = new SnapshotParameters();
        clear.setFill(Color.TRANSPARENT);
        return c.snapshot(clear, null).getPixelReader();
    }

    @Test
    void whatChangesSeldomIsKeptAsAPictureOnceTheWindowStands() throws Exception {
        Node tools = RealWindow.fx(() -> t.node("tool-SELECT").getParent());
        t.until(tools::isCache);
    }
}
