package tundra.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ListView;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import org.fxmisc.richtext.CodeArea;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tundra.app.studio.Desk;
import tundra.app.timeline.TimelineCanvas;
import tundra.core.edit.Arrange;
import tundra.core.edit.Reactions;
import tundra.core.geometry.Point;
import tundra.core.model.Actions;
import tundra.core.model.Board;
import tundra.core.model.Color;
import tundra.core.model.Conditions;
import tundra.core.model.Content;
import tundra.core.model.Dragging;
import tundra.core.model.Element;
import tundra.core.model.Events;
import tundra.core.model.PieceValue;
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.core.model.Reaction;
import tundra.core.model.Scene;
import tundra.core.model.Script;
import tundra.core.model.Setting;
import tundra.core.model.Slot;
import tundra.core.model.Timeline;
import tundra.core.model.Values;

/** Reactions, values and scenes made with mouse and keyboard in a real window. */
class InteractDeskTest extends InWindow {
    @BeforeEach
    void open() throws Exception {
        var main = new Timeline("main", Timeline.MAIN, 2_000_000, false, true, Map.of());
        animate(main, shape("Lamp", 200, 200), shape("Vane", 480, 120));
        RealWindow.fx(() -> {
            t.studio.select(List.of("Lamp"));
            t.studio.setDesk(Desk.INTERACT);
            return null;
        });
        t.settle();
    }

    private static Element shape(String id, double x, double y) {
        return new Element(id, id, false, false, Values.NONE.with(Properties.POSITION, new Point(x, y)).with(Properties.SIZE, new Point(80, 60))
                .with(Properties.FILL, Color.parse("#1C6A5E")), new Content.Rectangle());
    }

    private Project project() throws Exception {
        return RealWindow.fx(t.studio::project);
    }

    private Board board() throws Exception {
        return RealWindow.fx(t.studio::board);
    }

    private Reaction reaction() throws Exception {
        return board().reactions().getFirst();
    }

    private void undo() throws Exception {
        t.keys(KeyCode.CONTROL, KeyCode.Z);
    }

    /** Opens a word and takes the first one that is found by some letters. */
    private void pick(String chip, String letters) throws Exception {
        t.click(chip);
        search(letters);
        t.keys(KeyCode.ENTER);
        t.settle();
    }

    private void search(String letters) throws Exception {
        TextField field = t.popup("#picker-search");
        RealWindow.fx(() -> {
            field.setText(letters);
            return null;
        });
    }

    /** Types into the field of a word. */
    private void type(String text) throws Exception {
        TextField field = t.popup("#picker-field");
        RealWindow.fx(() -> {
            field.setText(text);
            return null;
        });
        t.keys(KeyCode.ENTER);
        t.settle();
    }

    @Test
    void aSentenceIsMadeOfWordsThatArePicked() throws Exception {
        t.run("add-reaction");
        assertThat(reaction().when()).isEqualTo(Events.tapped("Lamp"));
        pick("chip-event", "comes over");
        assertThat(reaction().when()).isEqualTo(Events.of(Events.OVER, "Lamp"));
        pick("chip-verb", "xylophone");
        assertThat(reaction().actions()).as("nothing is found by that").extracting(a -> a.kind()).containsExactly(Actions.PLAY_FROM_START);
        Label nothing = t.popup("#picker-nothing");
        assertThat(RealWindow.fx(nothing::getText)).isEqualTo("Nothing here is called “xylophone”.");
        t.keys(KeyCode.ESCAPE);
        pick("chip-verb", "hide");
        assertThat(reaction().actions().getFirst().kind()).isIn(Actions.HIDE, Actions.TOGGLE_SHOWN);
        undo();
        assertThat(reaction().actions().getFirst().kind()).isEqualTo(Actions.PLAY_FROM_START);
        undo();
        undo();
        assertThat(board().reactions()).isEmpty();
    }

    @Test
    void aPropertyIsSetToWhatIsTyped() throws Exception {
        t.run("add-reaction");
        pick("chip-verb", "set opacity");
        assertThat(reaction().actions().getFirst().slots().get(Actions.SETTING)).isEqualTo(Setting.of(Properties.OPACITY, 0.5));
        pick("chip-setting", "rotation");
        type("45");
        assertThat(reaction().actions().getFirst().slots().get(Actions.SETTING)).isEqualTo(Setting.of(Properties.ROTATION, 45.0));
        t.click("chip-over");
        type("1.5");
        assertThat(reaction().actions().getFirst().slots().get(Actions.OVER)).isEqualTo(1_500_000L);
    }

    /** Also an amount less, which the property could not be by itself. */
    @Test
    void aPropertyChangesByWhatIsTyped() throws Exception {
        t.run("add-reaction");
        pick("chip-verb", "change by");
        assertThat(reaction().actions().getFirst().kind()).isEqualTo(Actions.CHANGE_BY);
        pick("chip-setting", "another amount");
        type("-15");
        assertThat(reaction().actions().getFirst().slots().get(Actions.CHANGE)).isEqualTo(Setting.of(Properties.OPACITY, -0.15));
        pick("chip-setting", "rotation");
        type("-30");
        assertThat(reaction().actions().getFirst().slots().get(Actions.CHANGE)).isEqualTo(Setting.of(Properties.ROTATION, -30.0));
    }

    @Test
    void whatWasJustMadeIsInView() throws Exception {
        for (int i = 1; i <= 9; i++) {
            t.run("add-reaction");
            inView("sentence-" + i);
        }
        t.run("add-piece-reaction");
        inView("piece-sentence-1");
        undo();
        undo();
        t.keys(KeyCode.CONTROL, KeyCode.SHIFT, KeyCode.Z);
        inView("sentence-9");
    }

    private void inView(String id) throws Exception {
        t.until(() -> {
            var s = t.stage.getScene().lookup("#" + id);
            var scroll = t.stage.getScene().lookup("#reactions .scroll-pane");
            return s != null && scroll.localToScene(scroll.getBoundsInLocal()).contains(s.localToScene(s.getBoundsInLocal()));
        });
    }

    @Test
    void reactionsAreGroupedFoldedAndTakenApart() throws Exception {
        for (int i = 0; i < 3; i++) {
            t.run("add-reaction");
        }
        t.click("sentence-menu-2");
        t.choose("new-group");
        type("Lights");
        assertThat(groups()).containsExactly("", "Lights", "");
        t.click("sentence-menu-1");
        t.choose("into-group");
        assertThat(groups()).containsExactly("Lights", "Lights", "");
        t.click("group-1");
        t.settle();
        assertThat(t.stage.getScene().lookup("#sentence-1")).as("folded").isNull();
        assertThat((Object) t.stage.getScene().lookup("#sentence-3")).isNotNull();
        t.click("group-1");
        t.settle();
        assertThat((Object) t.stage.getScene().lookup("#sentence-1")).isNotNull();
        t.click("group-menu-1");
        t.choose("group-down");
        assertThat(groups()).containsExactly("", "Lights", "Lights");
        t.click("group-menu-1");
        t.choose("group-rename");
        type("Lamps");
        assertThat(groups()).containsExactly("", "Lamps", "Lamps");
        t.click("group-menu-1");
        t.choose("group-switch");
        assertThat(board().reactions()).extracting(Reaction::off).containsExactly(false, true, true);
        t.click("sentence-menu-3");
        t.choose("out-of-group");
        assertThat(groups()).containsExactly("", "Lamps", "");
        t.click("group-menu-1");
        t.choose("group-apart");
        assertThat(groups()).containsOnly("");
        undo();
        undo();
        assertThat(groups()).containsExactly("", "Lamps", "Lamps");
    }

    private List<String> groups() throws Exception {
        return board().reactions().stream().map(Reaction::group).toList();
    }

    @Test
    void reactionsOfTheWholePieceNameNothingOfAScene() throws Exception {
        t.run("add-piece-reaction");
        assertThat(project().reactions()).hasSize(1);
        assertThat(board().reactions()).isEmpty();
        assertThat(project().reactions().getFirst().when().kind()).isEqualTo(Events.KEY_PRESSED);
        t.click("chip-event");
        ListView<?> list = t.popup("#picker-list");
        var offered = RealWindow.fx(() -> list.getItems().stream().map(Object::toString).toList());
        assertThat(offered).noneMatch(x -> x.contains("is tapped")).anyMatch(x -> x.contains("any scene opens"));
        search("any scene opens");
        t.keys(KeyCode.ENTER);
        t.settle();
        assertThat(project().reactions().getFirst().when()).isEqualTo(Events.of(Events.OPENED));
        t.click("piece-sentence-menu-1");
        t.choose("other-reach");
        assertThat(project().reactions()).isEmpty();
        assertThat(board().reactions()).hasSize(1);
        t.click("sentence-menu-1");
        t.choose("other-reach");
        assertThat(project().reactions()).hasSize(1);
        undo();
        undo();
        undo();
        undo();
        assertThat(project().reactions()).isEmpty();
        assertThat(board().reactions()).isEmpty();
    }

    @Test
    void aMotifsReactionNamesItsInstance() throws Exception {
        RealWindow.fx(() -> {
            t.studio.select(List.of("Lamp"));
            return null;
        });
        t.run("motif-make");
        t.settle();
        t.run("motif-open");
        t.settle();
        t.run("add-reaction");
        pick("chip-verb", "hide");
        t.click("chip-elements");
        ListView<?> list = t.popup("#picker-list");
        RealWindow.fx(() -> {
            int at = -1;
            for (int i = 0; i < list.getItems().size(); i++) {
                at = list.getItems().get(i).toString().contains("this instance") ? i : at;
            }
            list.getSelectionModel().select(at);
            return null;
        });
        t.keys(KeyCode.ENTER);
        t.settle();
        assertThat(reaction().actions().getFirst().slots().get(Actions.ELEMENTS)).isEqualTo(List.of(Slot.INSTANCE));
    }

    @Test
    void valuesConditionsAndOtherwise() throws Exception {
        t.click("value-add");
        type("placed");
        assertThat(project().values()).extracting(PieceValue::name).containsExactly("placed");
        t.run("add-reaction");
        t.click("sentence-menu-1");
        t.choose("add-condition");
        t.popup("#picker-list");
        t.keys(KeyCode.ENTER);
        t.settle();
        assertThat(reaction().conditions()).extracting(c -> c.kind()).containsExactly(Conditions.VALUE);
        t.click("sentence-menu-1");
        t.choose("add-otherwise");
        search("hide");
        t.keys(KeyCode.ENTER);
        t.settle();
        assertThat(reaction().otherwise()).extracting(a -> a.kind()).containsExactly(Actions.HIDE);
        // what is done next is chosen where it will stand
        t.click("chip-then-otherwise");
        search("score");
        t.keys(KeyCode.ENTER);
        t.settle();
        assertThat(reaction().otherwise()).hasSize(2);
        assertThat(reaction().otherwise().getLast().kind()).isEqualTo(Actions.SET_VALUE);
        t.click("sentence-menu-1");
        t.choose("switch");
        t.settle();
        assertThat(reaction().off()).isTrue();
        // what names a value goes with it
        t.click("value-1");
        Button delete = t.popup("#value-delete");
        RealWindow.fx(() -> {
            delete.fire();
            return null;
        });
        t.settle();
        assertThat(project().values()).isEmpty();
        assertThat(reaction().conditions()).isEmpty();
        undo();
        assertThat(reaction().conditions()).hasSize(1);
    }

    @Test
    void partsAreGivenTheirPlacesByNameAndByHand() throws Exception {
        RealWindow.fx(() -> {
            t.studio.edit("Places", b -> Arrange.add(Arrange.add(b, shape("Lamp slot", 300, 300)), shape("Yard", 100, 300)));
            t.studio.select(List.of("Lamp", "Vane"));
            return null;
        });
        t.settle();
        t.run("match-pairs");
        assertThat(board().drags()).hasSize(1);
        assertThat(board().drags().getFirst().pairs()).extracting(Dragging.Pair::part).containsExactlyInAnyOrder("Lamp", "Vane");
        t.click("drag-by-name-1");
        t.settle();
        assertThat(board().drags().getFirst().pairs()).contains(new Dragging.Pair("Lamp", List.of("Lamp slot")),
                new Dragging.Pair("Vane", List.of()));
        int vane = board().drags().getFirst().pairs().getFirst().part().equals("Vane") ? 1 : 2;
        t.click("pair-fits-" + vane);
        t.popup("#picker-list");
        ListView<?> list = t.popup("#picker-list");
        RealWindow.fx(() -> {
            int at = -1;
            for (int i = 0; i < list.getItems().size(); i++) {
                at = list.getItems().get(i).toString().contains("Yard") ? i : at;
            }
            list.getSelectionModel().select(at);
            return null;
        });
        t.keys(KeyCode.ENTER);
        t.settle();
        assertThat(board().drags().getFirst().pairs()).contains(new Dragging.Pair("Vane", List.of("Yard")));
        t.click("pair-lands-" + vane);
        t.settle();
        assertThat(reaction().when()).isEqualTo(Events.of(Events.LANDED, "Vane"));
        // once there is such a sentence, its chip leads to it
        t.click("pair-lands-" + vane);
        t.settle();
        assertThat(board().reactions()).hasSize(1);
        assertThat(t.stage.getScene().getFocusOwner().getId()).isEqualTo("sentence-1");
        t.click("drag-snaps");
        t.settle();
        assertThat(board().drags().getFirst().fit().snaps()).isFalse();
        // a place that is deleted leaves the table, and comes back with it
        RealWindow.fx(() -> {
            t.studio.edit("Delete", b -> Arrange.delete(b, List.of("Yard", "Vane")));
            return null;
        });
        assertThat(board().drags().getFirst().pairs()).containsExactly(new Dragging.Pair("Lamp", List.of("Lamp slot")));
        assertThat(board().reactions()).isEmpty();
        undo();
        assertThat(board().drags().getFirst().pairs()).hasSize(2);
        t.click("drag-delete-1");
        t.settle();
        assertThat(board().drags()).isEmpty();
    }

    @Test
    void aScriptIsTypedCheckedCompletedAndUndone() throws Exception {
        t.click("script-add");
        type("celebrate");
        assertThat(project().scripts()).hasSize(1);
        var code = (CodeArea) t.node("script-code");
        RealWindow.fx(() -> {
            code.requestFocus();
            code.moveTo(code.getText().indexOf('\n') + 3);
            code.insertText(code.getCaretPosition(), "page.find(");
            return null;
        });
        var tool = t.w.tools.active();
        // letters are letters here, not tools
        t.type("r");
        assertThat(t.w.tools.active()).isSameAs(tool);
        t.until(() -> project2().scripts().getFirst().source().contains("page.find(r"));
        t.until(() -> ((Label) t.stage.getScene().lookup("#script-state")).getText().startsWith("It can't be read"));
        RealWindow.fx(() -> {
            code.replaceText(code.getText().replace("page.find(r", "page.find(\"Lmap\").hide();\n  page."));
            code.moveTo(code.getText().indexOf("page.", code.getText().indexOf("hide")) + 5);
            return null;
        });
        t.keys(KeyCode.CONTROL, KeyCode.SPACE);
        t.choose("complete-timeline");
        String completed = RealWindow.fx(() -> code.getText());
        assertThat(completed).contains("page.timeline");
        RealWindow.fx(() -> {
            code.replaceText(code.getText().replace("page.timeline", ""));
            return null;
        });
        t.until(() -> ((Label) t.stage.getScene().lookup("#script-state")).getText().equals("Nothing is called “Lmap”; did you mean “Lamp”?"));
        t.run("undo");
        assertThat(project().scripts().getFirst().source()).as("what was typed at once is one step").isEqualTo(Script.empty("x", "celebrate")
                .source());
        t.run("undo");
        assertThat(project().scripts()).isEmpty();
    }

    private Project project2() {
        return t.studio.project();
    }

    @Test
    void scenesByTheirTabs() throws Exception {
        t.click("scene-add");
        assertThat(project().scenes()).extracting(Scene::name).containsExactly("Scene", "Scene 2");
        assertThat(RealWindow.fx(() -> t.studio.scene().name())).isEqualTo("Scene 2");
        t.run("scene-rename");
        t.untilTyping();
        t.keys(KeyCode.CONTROL, KeyCode.A);
        t.type("Visit");
        t.keys(KeyCode.ENTER);
        assertThat(project().scenes().getLast().name()).isEqualTo("Visit");
        t.click("tab-1");
        t.run("scene-duplicate");
        assertThat(project().scenes()).extracting(Scene::name).containsExactly("Scene", "Scene 2", "Visit");
        assertThat(board().elements()).hasSize(2);
        assertThat(board().elements().getFirst().id()).isNotEqualTo("Lamp");
        t.run("scene-later");
        assertThat(project().scenes()).extracting(Scene::name).containsExactly("Scene", "Visit", "Scene 2");
        // an action that leads there goes with the scene, and comes back with it
        t.click("tab-1");
        RealWindow.fx(() -> {
            String to = t.studio.project().scenes().get(1).id();
            t.studio.edit("Lead on", b -> Reactions.with(b, new Reaction("r", Events.tapped("Lamp"), List.of(Actions.of(Actions.OPEN_SCENE, to)))));
            t.studio.navigation().showPlace(to);
            return null;
        });
        t.run("scene-delete");
        assertThat(project().scenes()).hasSize(2);
        assertThat(project().scenes().getFirst().board().reactions()).isEmpty();
        undo();
        assertThat(project().scenes()).hasSize(3);
        assertThat(project().scenes().getFirst().board().reactions()).hasSize(1);
    }

    @Test
    void aCueIsMadeAboveTheRulerAndDraggedInTime() throws Exception {
        RealWindow.fx(() -> {
            t.studio.setDesk(Desk.ANIMATE);
            return null;
        });
        t.settle();
        TimelineCanvas lanes = t.window.timeline().lanes();
        Point at = RealWindow.fx(() -> t.screen(lanes, lanes.xOf(1_000_000), 8));
        t.doubleClick(at);
        assertThat(reaction().when()).isEqualTo(Events.of(Events.PASSED, "main", 1_000_000L, "forwards"));
        assertThat(reaction().actions()).containsExactly(Actions.of(Actions.PAUSE, "main"));
        t.drag(at.plus(new Point(8, 0)), RealWindow.fx(() -> t.screen(lanes, lanes.xOf(1_500_000), 8)).plus(new Point(8, 0)));
        assertThat((Long) reaction().when().slots().get(Events.TIME)).isBetween(1_400_000L, 1_600_000L);
        undo();
        assertThat(reaction().when().slots().get(Events.TIME)).isEqualTo(1_000_000L);
        undo();
        assertThat(board().reactions()).isEmpty();
    }
}
