package tundra.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import javafx.scene.Node;
import javafx.scene.control.ContextMenu;
import javafx.scene.control.MenuItem;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.text.Text;
import javafx.stage.Window;
import org.junit.jupiter.api.Test;
import tundra.app.widget.NumberField;
import tundra.core.geometry.Point;

/** The fields, panels and menus that are only made in full once somebody goes there. */
class FieldsTest extends InWindow {

    private NumberField number(String id) throws Exception {
        return (NumberField) t.node(id);
    }

    private TextField typing(String id) throws Exception {
        NumberField f = number(id);
        return (TextField) RealWindow.fx(() -> f.lookup(".text-field"));
    }

    @Test
    void aNumberRestsUntilThePointerOrTheKeyboardComes() throws Exception {
        assertThat(typing("field-canvas-w")).isNull();
        assertThat(t.shown("field-canvas-w")).isEqualTo("640");
        TextField width = t.enter("field-canvas-w");
        assertThat(width.getSelectedText()).isEqualTo("640");
        // a click into it while it is typed in puts the caret there
        t.click(RealWindow.fx(() -> t.screen(width, 9, 11)));
        assertThat(width.getSelectedText()).isEmpty();
        assertThat(width.getCaretPosition()).isLessThan(3);
        t.keys(KeyCode.TAB);
        t.until(() -> t.stage.getScene().getFocusOwner() instanceof TextField);
        Node focus = RealWindow.fx(() -> t.stage.getScene().getFocusOwner());
        assertThat(focus).as("the height is next").isSameAs(typing("field-canvas-h"));
        t.type("480");
        t.keys(KeyCode.ENTER);
        assertThat(t.studio.board().size()).isEqualTo(new Point(640, 480));
        assertThat(t.w.canvas.isFocused()).as("Enter gives the keyboard back").isTrue();
        t.enter("field-canvas-w");
        t.type("9");
        t.keys(KeyCode.ESCAPE);
        assertThat(width.getText()).isEqualTo("640");
        assertThat(t.w.canvas.isFocused()).as("and so does Escape").isTrue();
        assertThat(t.studio.board().size()).isEqualTo(new Point(640, 480));
        t.run("undo");
        assertThat(t.studio.board().size().y()).isEqualTo(400);
        assertThat(t.shown("field-canvas-h")).isEqualTo("400");
    }

    @Test
    void aNumberThatHasNoRoomIsShortenedWhileItRests() throws Exception {
        NumberField f = number("field-duration");
        RealWindow.fx(() -> {
            f.setMinWidth(60);
            f.setMaxWidth(60);
            f.show(1234567.25);
            return null;
        });
        t.settle();
        var words = (Text) f.lookup(".words");
        assertThat(words.getText()).startsWith("1").endsWith("…");
        assertThat(words.getBoundsInParent().getMaxX()).isLessThan(60.0);
        assertThat(f.text()).as("nothing of it is lost").isEqualTo("1234567.25");
    }

    @Test
    void panelsScrollOnceTheyAreTooTall() throws Exception {
        t.keys(KeyCode.R);
        t.drag(t.canvas(50, 50), t.canvas(90, 90));
        var details = t.w.details.get();
        assertThat(details.lookup(".panel-bar")).as("all of it fits").isNull();
        TextField x = t.enter("field-position-x");
        RealWindow.fx(() -> {
            t.stage.setHeight(560);
            return null;
        });
        t.until(() -> details.lookup(".panel-bar") != null);
        t.settle();
        assertThat(x.isFocused()).as("who types goes on").isTrue();
        assertThat(bottom("field-stroke")).as("below the window").isGreaterThan(560);
        t.scroll(t.fx(() -> t.screen(details, 100, 300)), 40);
        assertThat(bottom("field-stroke")).as("the last row can be reached").isBetween(300.0, 560.0);
        // who goes to a field by keyboard sees it
        RealWindow.fx(() -> {
            x.getParent().getParent().lookup(".resting-field").requestFocus();
            return null;
        });
        t.settle();
        assertThat(bottom("field-position-x")).isBetween(60.0, 560.0);
        RealWindow.fx(() -> {
            t.stage.setHeight(900);
            return null;
        });
        t.until(() -> !details.lookup(".panel-bar").isVisible());
    }

    private double bottom(String id) throws Exception {
        Node n = t.node(id);
        return RealWindow.fx(() -> n.localToScene(n.getBoundsInLocal()).getMaxY());
    }

    @Test
    void theMenuOpensUnderItsButtonAndDoesWhatItSays() throws Exception {
        t.click("main-menu");
        t.until(() -> menu() != null);
        assertThat(menu().getItems().stream().map(MenuItem::getText).filter(w -> w != null).map(w -> w.split(" ")[0]).toList())
                .containsSubsequence(List.of("New", "Open", "Save", "Quit"));
        Point under = t.middle("main-menu");
        assertThat(menu().getY()).isGreaterThan(under.y());
        RealWindow.fx(() -> {
            menu().getItems().stream().filter(i -> i.getText() != null && i.getText().startsWith(t.w.commands.get("theme").name().get())).findFirst()
                    .orElseThrow().fire();
            menu().hide();
            return null;
        });
        assertThat(t.studio.dark()).isTrue();
    }

    private static ContextMenu menu() {
        return Window.getWindows().stream().filter(w -> w instanceof ContextMenu).map(w -> (ContextMenu) w).findFirst().orElse(null);
    }
}
