package tundra.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import javafx.scene.control.Label;
import javafx.scene.control.ListView;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import tundra.app.command.Command;
import tundra.app.command.CommandIds;

/** Finding anything by name, as quickly as a hand types. */
class FindTest extends InWindow {
    @SuppressWarnings("unchecked")
    private List<String> found() throws Exception {
        return RealWindow.fx(() -> ((ListView<Command>) t.node("find-list")).getItems().stream().map(c -> c.name().get()).toList());
    }

    private List<String> find(String words) throws Exception {
        RealWindow.fx(() -> {
            ((TextField) t.node("find-query")).setText(words);
            return null;
        });
        return found();
    }

    /** Each key goes down before the window has dealt with the one before. */
    @Test
    void lettersStayInTheirOrderHoweverQuicklyTheyAreTyped() throws Exception {
        t.run("flipbook");
        t.keys(KeyCode.CONTROL, KeyCode.K);
        for (int round = 0; round < 4; round++) {
            RealWindow.fx(() -> {
                ((TextField) t.node("find-query")).clear();
                return null;
            });
            t.burst("reaction");
            t.until(() -> ((TextField) t.stage.getScene().lookup("#find-query")).getText().length() == 8);
            assertThat(RealWindow.fx(() -> ((TextField) t.node("find-query")).getText())).isEqualTo("reaction");
        }
    }

    @Test
    void whatIsNamedSoComesFirstAndUndoOnlyByItsWord() throws Exception {
        t.keys(KeyCode.R);
        t.drag(t.canvas(100, 100), t.canvas(200, 160));
        t.run("duplicate");
        t.keys(KeyCode.CONTROL, KeyCode.K);
        assertThat(find("duplicate").getFirst()).startsWith("Duplicate");
        assertThat(find("duplicate")).noneMatch(n -> n.startsWith("Undo"));
        assertThat(find("undo").getFirst()).startsWith("Undo duplicate");
        assertThat(find("group").getFirst()).isEqualTo("Group");
    }

    @Test
    void slipsAndOtherWordsAreUnderstood() throws Exception {
        t.keys(KeyCode.R);
        t.drag(t.canvas(100, 100), t.canvas(200, 160));
        RealWindow.fx(() -> {
            t.studio.setDesk(tundra.app.studio.Desk.INTERACT);
            t.studio.select(List.of());
            return null;
        });
        t.settle();
        t.keys(KeyCode.CONTROL, KeyCode.K);
        assertThat(find("raeciton")).as("two pairs of letters changed places").anyMatch(n -> n.toLowerCase().contains("reaction"));
        RealWindow.fx(() -> {
            t.studio.select(List.of(t.studio.board().elements().getFirst().id()));
            return null;
        });
        assertThat(find("dupilcate")).anyMatch(n -> n.startsWith("Duplicate"));
        assertThat(find("pivot")).anyMatch(n -> n.startsWith("Pivot to the middle"));
        assertThat(find("rotate")).anyMatch(n -> n.startsWith("Turn a quarter"));
        assertThat(find("to nodes")).anyMatch(n -> n.equals("Turn into path"));
        assertThat(find("dark")).anyMatch(n -> n.equals("Polar night theme"));
        assertThat(find("night").getFirst()).isEqualTo("Polar night theme");
        assertThat(find("publish").getFirst()).isEqualTo("Publish desk");
        assertThat(find("delete").getFirst()).startsWith("Delete");
    }

    @Test
    void nothingFoundSaysSoAndOffersTheNearest() throws Exception {
        t.keys(KeyCode.CONTROL, KeyCode.K);
        assertThat(find("qqwertzu")).isNotEmpty();
        assertThat(RealWindow.fx(() -> ((Label) t.node("find-nothing")).getText())).contains("Nothing is called «qqwertzu»");
        assertThat(RealWindow.fx(() -> t.node("find-nothing").isVisible())).isTrue();
        find("zoom");
        assertThat(RealWindow.fx(() -> t.node("find-nothing").isVisible())).isFalse();
    }

    @Test
    void everyCommandThatSomethingCallsIsThere() throws Exception {
        for (java.lang.reflect.Field f : CommandIds.class.getFields()) {
            String id = (String) f.get(null);
            boolean one = t.w.commands.all().stream().anyMatch(c -> id.endsWith("-") ? c.id().startsWith(id) : c.id().equals(id));
            assertThat(one).as(id).isTrue();
        }
    }
}
