package tundra.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import javafx.scene.Node;
import javafx.scene.control.ComboBox;
import javafx.scene.control.ListView;
import javafx.scene.control.skin.ComboBoxListViewSkin;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.HBox;
import javafx.scene.layout.StackPane;
import org.junit.jupiter.api.Test;
import tundra.app.widget.LightComboBox;
import tundra.app.widget.WordsOf;
import tundra.core.geometry.Point;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Properties;
import tundra.core.model.Scroll;
import tundra.core.model.Timeline;
import tundra.core.model.Values;

/** Boxes with a list that is made only once they are used. */
class LightComboBoxTest extends InWindow {
    private static boolean light(ComboBox<?> box) {
        return !(box.getSkin() instanceof ComboBoxListViewSkin<?>);
    }

    /** Lays boxes over the window, in a row. */
    private void show(ComboBox<?>... boxes) throws Exception {
        RealWindow.fx(() -> {
            var row = new HBox(20, boxes);
            row.getStyleClass().add("root-colors");
            ((StackPane) t.stage.getScene().getRoot()).getChildren().add(row);
            return null;
        });
        t.settle();
        RealWindow.pulses(3);
    }

    private static Element lamp(String id) {
        return new Element(id, "Lamp " + id, false, false, Values.NONE.with(Properties.POSITION, new Point(80, 80))
                .with(Properties.SIZE, new Point(40, 40)), new Content.Ellipse());
    }

    private static <B extends ComboBox<Integer>> B filled(B box, String id) {
        box.setId(id);
        box.getItems().setAll(1, 20, 300);
        box.setConverter(new WordsOf<>(i -> i + " sleds of the station"));
        box.setPromptText("mixed");
        return box;
    }

    private void says(String id, String words) throws Exception {
        RealWindow.pulses(3);
        assertThat(t.words(id)).contains(words);
    }

    @Test
    void itLooksAsWideAndTallAsTheToolkitsOwnBeforeAndAfterItIsUsed() throws Exception {
        var own = filled(new ComboBox<>(), "own");
        var light = filled(new LightComboBox<>(), "light");
        show(own, light);
        for (int i = 0; i < 2; i++) {
            assertThat(light(light)).isEqualTo(i == 0);
            assertThat(light.getWidth()).as("px").isCloseTo(own.getWidth(), within(0.5));
            assertThat(light.getHeight()).isEqualTo(own.getHeight());
            Node arrow = RealWindow.fx(() -> light.lookup(".arrow-button")), other = RealWindow.fx(() -> own.lookup(".arrow-button"));
            assertThat(light.getWidth() - arrow.getBoundsInParent().getMaxX()).as("room right of the arrow")
                    .isCloseTo(own.getWidth() - other.getBoundsInParent().getMaxX(), within(1.0));
            RealWindow.fx(() -> {
                light.show();
                light.hide();
                return null;
            });
            RealWindow.pulses(3);
        }
        RealWindow.fx(() -> {
            light.setValue(300);
            return null;
        });
        assertThat(light.getValue()).isEqualTo(300);
    }

    @Test
    void whatIsSetBeforeItIsUsedIsSaid() throws Exception {
        var box = filled(new LightComboBox<>(), "light");
        show(box);
        says("light", "mixed");
        var told = new ArrayList<Integer>();
        box.setOnAction(e -> told.add(box.getValue()));
        RealWindow.fx(() -> {
            box.setValue(20);
            return null;
        });
        says("light", "20 sleds of the station");
        RealWindow.fx(() -> {
            box.setConverter(new WordsOf<>(i -> i + " lamps"));
            return null;
        });
        says("light", "20 lamps");
        assertThat(told).as("changes that were told of").containsExactly(20);
        assertThat(light(box)).as("nothing of it needs a list").isTrue();
    }

    @Test
    void mouseAndKeyboardOpenItAtTheFirstTime() throws Exception {
        var byMouse = filled(new LightComboBox<>(), "by-mouse");
        var byKeys = filled(new LightComboBox<>(), "by-keys");
        show(byMouse, byKeys);
        t.click("by-mouse");
        t.until(byMouse::isShowing);
        var list = (ListView<?>) ((ComboBoxListViewSkin<?>) byMouse.getSkin()).getPopupContent();
        assertThat(list.getItems()).hasSize(3);
        t.keys(KeyCode.DOWN);
        t.keys(KeyCode.DOWN);
        t.keys(KeyCode.ENTER);
        t.until(() -> !byMouse.isShowing());
        assertThat(byMouse.getValue()).isEqualTo(20);
        RealWindow.fx(() -> {
            byKeys.requestFocus();
            return null;
        });
        t.until(byKeys::isFocused);
        t.keys(KeyCode.DOWN);
        assertThat(byKeys.getValue()).as("without opening it").isEqualTo(1);
        t.keys(KeyCode.F4);
        t.until(byKeys::isShowing);
        t.keys(KeyCode.ESCAPE);
        t.until(() -> !byKeys.isShowing());
        assertThat(byKeys.getValue()).isEqualTo(1);
    }

    @Test
    void allElementsAreListedForWhoWantsATimelineToGoByOneOfThem() throws Exception {
        animate(new Timeline("main", Timeline.MAIN, 4_000_000, true, true, Map.of()), lamp("a"), lamp("b"));
        RealWindow.fx(() -> {
            t.studio.select(List.of());
            return null;
        });
        t.settle();
        @SuppressWarnings("unchecked")
        var by = (ComboBox<String>) t.node("field-driven");
        assertThat(by.getItems()).as("before it is opened").hasSize(2);
        RealWindow.fx(() -> {
            by.show();
            assertThat(by.getItems()).contains("a", "b").hasSize(4);
            t.studio.time().seek(1_000_000);
            t.studio.edit("Resize", b -> b.withSize(new Point(640, 401)));
            return null;
        });
        t.settle();
        RealWindow.pulses(3);
        RealWindow.fx(() -> {
            assertThat(by.isShowing()).isTrue();
            assertThat(by.getItems()).as("while it is open and something else changes").contains("a", "b").hasSize(4);
            by.getSelectionModel().select("b");
            by.hide();
            return null;
        });
        t.settle();
        Scroll scroll = t.studio.timeline().scroll();
        assertThat(scroll.through()).isEqualTo("b");
        assertThat(by.getValue()).isEqualTo("b");
        t.run("undo");
        t.settle();
        assertThat(t.studio.timeline().scroll()).isNull();
        says("field-driven", "the clock");
    }
}
