package tundra.app;

import static org.assertj.core.api.Assertions.assertThat;

import javafx.event.Event;
import javafx.geometry.Bounds;
import javafx.scene.AccessibleAction;
import javafx.scene.AccessibleAttribute;
import javafx.scene.AccessibleRole;
import javafx.scene.control.Tooltip;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.paint.Color;
import javafx.scene.text.Text;
import org.junit.jupiter.api.Test;
import tundra.app.studio.Desk;
import tundra.app.tool.ToolKind;
import tundra.app.widget.Buttons;
import tundra.app.widget.LightLabel;
import tundra.app.widget.LightButton;
import tundra.core.geometry.Point;

/** The window's own buttons and captions. */
class LightButtonTest extends InWindow {

    private LightButton press(String id) throws Exception {
        return (LightButton) t.node(id);
    }

    @Test
    void theMouseHasToComeUpWhereItWentDown() throws Exception {
        Point pen = t.middle("tool-PEN");
        t.drag(pen, t.canvas(100, 100));
        assertThat(t.w.tools.kind()).isEqualTo(ToolKind.SELECT);
        t.drag(t.canvas(100, 100), pen);
        assertThat(t.w.tools.kind()).isEqualTo(ToolKind.SELECT);
        t.click("tool-PEN");
        assertThat(t.w.tools.kind()).isEqualTo(ToolKind.PEN);
        assertThat(press("tool-PEN").isSelected()).isTrue();
        assertThat(press("tool-SELECT").isSelected()).isFalse();
        t.until(t.w.canvas::isFocused);
        // a second click takes nothing back
        t.click("tool-PEN");
        assertThat(press("tool-PEN").isSelected()).isTrue();
    }

    @Test
    void spaceAndEnterPressWhatHasTheKeyboard() throws Exception {
        focus("tool-RECTANGLE");
        t.hold(KeyCode.SPACE);
        assertThat(t.w.tools.kind()).as("held down").isEqualTo(ToolKind.SELECT);
        t.letGo(KeyCode.SPACE);
        assertThat(t.w.tools.kind()).isEqualTo(ToolKind.RECTANGLE);
        // Space that went down elsewhere presses nothing here
        focus("tool-PEN");
        RealWindow.fx(() -> {
            Event.fireEvent(t.node("tool-PEN"), new KeyEvent(KeyEvent.KEY_RELEASED, " ", " ", KeyCode.SPACE, false, false, false, false));
            return null;
        });
        assertThat(t.w.tools.kind()).isEqualTo(ToolKind.RECTANGLE);
        focus("desk-INTERACT");
        t.keys(KeyCode.ENTER);
        assertThat(t.studio.desk()).isEqualTo(Desk.INTERACT);
    }

    @Test
    void theRingAroundWhatHasTheKeyboardTakesNoRoom() throws Exception {
        for (String id : new String[] {"tool-NODES", "desk-ANIMATE", "do-find"}) {
            Bounds before = RealWindow.fx(() -> t.node(id).getLayoutBounds());
            // the ring is only there for the keyboard: it comes from the one before by Tab
            focus(id);
            t.keys(KeyCode.SHIFT, KeyCode.TAB);
            t.keys(KeyCode.TAB);
            t.until(() -> t.stage.getScene().getFocusOwner() == t.stage.getScene().lookup("#" + id));
            t.settle();
            assertThat(RealWindow.fx(() -> t.node(id).isFocusVisible())).isTrue();
            assertThat(RealWindow.fx(() -> t.node(id).getLayoutBounds())).as(id).isEqualTo(before);
        }
        assertThat(RealWindow.fx(() -> t.node("tool-ZOOM").getLayoutX())).as("all in one column")
                .isEqualTo(RealWindow.fx(() -> t.node("tool-SELECT").getLayoutX()));
    }

    private void focus(String id) throws Exception {
        RealWindow.fx(() -> {
            t.node(id).requestFocus();
            return null;
        });
        t.settle();
    }

    @Test
    void whatCannotBeDoneIsGreyAndDoesNothing() throws Exception {
        assertThat(press("do-undo").isDisabled()).isTrue();
        RealWindow.fx(() -> {
            press("do-undo").fire();
            return null;
        });
        assertThat(t.studio.history().redoName()).isNull();
        t.keys(KeyCode.R);
        t.drag(t.canvas(100, 100), t.canvas(180, 140));
        assertThat(press("do-undo").isDisabled()).isFalse();
        t.click("do-undo");
        assertThat(t.studio.board().elements()).isEmpty();
    }

    @Test
    void aScreenReaderHearsOfItAndCanPressIt() throws Exception {
        LightButton pen = press("tool-PEN");
        assertThat(pen.getAccessibleRole()).isEqualTo(AccessibleRole.TOGGLE_BUTTON);
        assertThat(press("do-find").getAccessibleRole()).isEqualTo(AccessibleRole.BUTTON);
        assertThat(RealWindow.fx(() -> pen.queryAccessibleAttribute(AccessibleAttribute.TEXT))).isEqualTo(ToolKind.PEN.label);
        assertThat(RealWindow.fx(() -> press("desk-DRAW").queryAccessibleAttribute(AccessibleAttribute.TEXT))).isEqualTo("Draw");
        RealWindow.fx(() -> {
            pen.executeAccessibleAction(AccessibleAction.FIRE);
            return null;
        });
        assertThat(t.w.tools.kind()).isEqualTo(ToolKind.PEN);
        assertThat(RealWindow.fx(() -> pen.queryAccessibleAttribute(AccessibleAttribute.SELECTED))).isEqualTo(true);
    }

    @Test
    void theTipSaysWhatItDoesNow() throws Exception {
        LightButton undo = press("do-undo");
        RealWindow.fx(() -> {
            Buttons.tip(undo, "first");
            return null;
        });
        t.moveTo(t.middle("do-find"));
        RealWindow.fx(() -> {
            Buttons.tip(t.node("do-find"), "second");
            return null;
        });
        assertThat(RealWindow.fx(() -> t.node("do-find").getProperties().values().stream().filter(Tooltip.class::isInstance)
                .map(v -> ((Tooltip) v).getText()).distinct().toList()))
                .containsExactly("second");
        assertThat(RealWindow.fx(() -> undo.getProperties().values().stream().noneMatch(Tooltip.class::isInstance)))
                .as("not made before the pointer comes").isTrue();
    }

    @Test
    void wordsAreShortenedOnceTheyMayBeAndComeBack() throws Exception {
        String longName = "A piece with a name that is much too long for the bar at the top of a window of any size that is in use";
        var name = (LightLabel) RealWindow.fx(() -> t.stage.getScene().getRoot().lookup(".project-name"));
        RealWindow.fx(() -> {
            t.studio.editProject("Name", null, p -> p.withName(longName + longName));
            return null;
        });
        t.settle();
        Text seen = (Text) RealWindow.fx(() -> name.lookup(".words"));
        assertThat(seen.getText()).startsWith("A piece with").endsWith("…").hasSizeLessThan(longName.length() * 2);
        assertThat(name.getText()).hasSize(longName.length() * 2);
        assertThat(seen.getLayoutBounds().getWidth()).isLessThanOrEqualTo(name.getWidth() + 0.5);
        t.run("undo");
        t.settle();
        assertThat(seen.getText()).isEqualTo(t.studio.project().name());
    }

    /** The colours of look.md by day. */
    @Test
    void wordsAndMarksHaveTheColoursOfTheirState() throws Exception {
        assertThat(fill("desk-DRAW")).isEqualTo(Color.web("#1C6A5E"));
        assertThat(fill("desk-PUBLISH")).isEqualTo(Color.web("#5C6B66"));
        assertThat(fill("do-try")).isEqualTo(Color.WHITE);
        t.run("theme");
        t.settle();
        assertThat(fill("desk-DRAW")).isEqualTo(Color.web("#5CC2AE"));
        assertThat(fill("do-try")).isEqualTo(Color.web("#0E1715"));
    }

    private Object fill(String id) throws Exception {
        return RealWindow.fx(() -> ((Text) t.node(id).lookup(".words")).getFill());
    }
}
