package tundra.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import javafx.scene.AccessibleAttribute;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.control.ButtonBase;
import javafx.scene.control.ComboBoxBase;
import javafx.scene.control.Labeled;
import javafx.scene.control.ListView;
import javafx.scene.control.Slider;
import javafx.scene.control.TextInputControl;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import tundra.app.studio.Desk;
import tundra.app.widget.LightButton;
import tundra.core.geometry.Point;
import tundra.core.model.Board;
import tundra.core.model.Content;
import tundra.core.model.Properties;
import tundra.core.model.Property;
import tundra.samples.OpenNight;

/** Drawn, placed, sized and keyed without a mouse; panels folded; every control says what it is. */
class ByKeyboardTest extends InWindow {
    private Board board() {
        return t.studio.board();
    }

    private <T> T value(Property<T> p) {
        return t.studio.target().valueAt(t.studio.selection().iterator().next(), p);
    }

    @Test
    void aShapeIsDrawnMovedSizedAndKeyed() throws Exception {
        t.keys(KeyCode.E);
        t.keys(KeyCode.ENTER);
        t.until(() -> board().elements().size() == 1 && board().elements().getFirst().content() instanceof Content.Ellipse);
        Point middle = value(Properties.POSITION), size = value(Properties.SIZE);
        assertThat(middle.x()).isBetween(0.0, 640.0);
        t.keys(KeyCode.SHIFT, KeyCode.RIGHT);
        t.keys(KeyCode.DOWN);
        assertThat(value(Properties.POSITION)).isEqualTo(middle.plus(new Point(10, 1)));
        for (int i = 0; i < 3; i++) {
            t.keys(KeyCode.CONTROL, KeyCode.ALT, KeyCode.RIGHT);
        }
        t.keys(KeyCode.CONTROL, KeyCode.ALT, KeyCode.SHIFT, KeyCode.DOWN);
        assertThat(value(Properties.SIZE)).isEqualTo(size.plus(new Point(3, 10)));
        t.keys(KeyCode.CONTROL, KeyCode.Z);
        assertThat(value(Properties.SIZE)).as("a run of presses is one step").isEqualTo(size);
        t.keys(KeyCode.L);
        t.keys(KeyCode.ENTER);
        t.until(() -> board().elements().size() == 2);
        // from one element to the other
        String line = t.studio.selection().iterator().next();
        t.keys(KeyCode.CONTROL, KeyCode.CLOSE_BRACKET);
        assertThat(t.studio.selection()).doesNotContain(line).hasSize(1);
        t.keys(KeyCode.CONTROL, KeyCode.OPEN_BRACKET);
        t.keys(KeyCode.CONTROL, KeyCode.CLOSE_BRACKET);
        assertThat((String) RealWindow.fx(() -> t.w.canvas.queryAccessibleAttribute(AccessibleAttribute.TEXT)))
                .matches("Canvas of .*, 2 elements\\. Selected: Ellipse at \\d+, \\d+, \\d+ by \\d+");
        // two keys, walked through
        t.keys(KeyCode.ALT, KeyCode.DIGIT2);
        t.keys(KeyCode.K);
        t.keys(KeyCode.PERIOD);
        t.keys(KeyCode.PERIOD);
        t.keys(KeyCode.SHIFT, KeyCode.RIGHT);
        t.until(() -> t.studio.timeline().track(t.studio.selection().iterator().next(), Properties.POSITION).keys().size() == 2);
        t.keys(KeyCode.F8);
        assertThat(t.studio.time().keys()).hasSize(1).allMatch(k -> k.time() == 0);
        t.keys(KeyCode.F8);
        assertThat(t.studio.time().keys()).hasSize(1).allMatch(k -> k.time() > 0);
        assertThat((String) RealWindow.fx(() -> t.window.timeline().lanes().queryAccessibleAttribute(AccessibleAttribute.TEXT)))
                .matches("Timeline Main, playhead at [\\d.]+ of [\\d.]+ seconds, 2 keys, 1 chosen");
        long at = t.studio.time().keys().iterator().next().time();
        t.keys(KeyCode.ALT, KeyCode.RIGHT);
        assertThat(t.studio.time().keys()).allMatch(k -> k.time() > at);
        t.keys(KeyCode.SHIFT, KeyCode.F8);
        t.run("bead-also");
        assertThat(t.studio.time().keys()).hasSize(2);
    }

    @Test
    void panelsAreFoldedByDeskAndTheCanvasStandsAlone() throws Exception {
        double wide = RealWindow.fx(() -> t.w.canvas.getWidth());
        t.keys(KeyCode.CONTROL, KeyCode.ALT, KeyCode.R);
        t.until(() -> t.w.canvas.getWidth() > wide + 150);
        t.keys(KeyCode.ALT, KeyCode.DIGIT2);
        t.until(() -> t.w.details.get().getScene() != null && t.w.details.get().isVisible() && t.w.details.get().getParent().isVisible());
        t.keys(KeyCode.ALT, KeyCode.DIGIT1);
        t.until(() -> t.w.canvas.getWidth() > wide + 150);
        t.keys(KeyCode.CONTROL, KeyCode.ALT, KeyCode.R);
        t.until(() -> Math.abs(t.w.canvas.getWidth() - wide) < 1);
        t.keys(KeyCode.F11);
        t.until(() -> t.stage.isFullScreen() && t.w.canvas.getWidth() > t.stage.getScene().getWidth() - 2);
        t.keys(KeyCode.ESCAPE);
        t.until(() -> !t.stage.isFullScreen() && Math.abs(t.w.canvas.getWidth() - wide) < 2);
    }

    private static void all(Node n, List<Node> out) {
        if (n.isVisible()) {
            out.add(n);
            if (n instanceof Parent p) {
                p.getChildrenUnmodifiable().forEach(c -> all(c, out));
            }
        }
    }

    private static boolean named(Node n) {
        String text = n instanceof Labeled l ? l.getText() : n instanceof LightButton p ? p.getText() : n instanceof TextInputControl f
                ? f.getPromptText() : null;
        return text != null && !text.isBlank() || n.getAccessibleText() != null && !n.getAccessibleText().isBlank() || n instanceof ButtonBase b
                && b.getTooltip() != null;
    }

    @Test
    void everyControlOfEveryDeskSaysWhatItIs() throws Exception {
        RealWindow.fx(() -> {
            t.studio.open(OpenNight.project(), null);
            t.studio.select(List.of(t.studio.board().elements().getLast().id()));
            return null;
        });
        var silent = new ArrayList<String>();
        int looked = 0;
        for (Desk d : Desk.values()) {
            RealWindow.fx(() -> {
                t.studio.setDesk(d);
                return null;
            });
            t.settle();
            List<Node> there = RealWindow.fx(() -> {
                var out = new ArrayList<Node>();
                all(t.stage.getScene().getRoot(), out);
                return out;
            });
            for (Node n : there) {
                boolean control = n instanceof ButtonBase || n instanceof LightButton || n instanceof TextInputControl
                        || n instanceof ComboBoxBase<?> || n instanceof Slider || n instanceof ListView<?>;
                // parts of other controls, such as the arrow of a choice
                boolean own = n.getParent() != null && n.getParent().getClass().getName().startsWith("tundra") || n.getId() != null;
                if (control && own && n.isFocusTraversable()) {
                    looked++;
                    if (!RealWindow.fx(() -> named(n))) {
                        silent.add(d + ": " + n);
                    }
                }
            }
        }
        assertThat(looked).isGreaterThan(40);
        assertThat(silent).isEmpty();
    }
}
