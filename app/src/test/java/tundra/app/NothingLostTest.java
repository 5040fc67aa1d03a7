package tundra.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.control.ListView;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.VBox;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tundra.app.job.Dialogs;
import tundra.core.file.ProjectFile;
import tundra.core.geometry.Point;
import tundra.core.model.Color;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Properties;
import tundra.core.model.Values;

/** Earlier versions, the history, and files that someone else changes, in the real window. */
class NothingLostTest extends InWindow {
    @TempDir
    private Path folder;

    @BeforeEach
    void twoBoxes() throws Exception {
        RealWindow.fx(() -> {
            t.studio.edit("Add two boxes", b -> b.withElements(List.of(box("lamp", 20), box("hut", 200))));
            return null;
        });
    }

    private static Element box(String id, double x) {
        return new Element(id, "The " + id, false, false, Values.NONE.with(Properties.POSITION, new Point(x, 60))
                .with(Properties.SIZE, new Point(60, 40)).with(Properties.FILL, Color.parse("#2F78A3")), new Content.Rectangle());
    }

    private void move(String id, double x) throws Exception {
        RealWindow.fx(() -> {
            t.studio.edit("Move " + id, b -> b.mapElement(id, e -> e.with(Properties.POSITION, new Point(x, 60))));
            return null;
        });
    }

    private int rows(String id) {
        return t.stage.getScene().lookup("#" + id) instanceof VBox box ? box.getChildren().size() : 0;
    }

    private double x(String id) {
        return t.studio.kept().scenes().getFirst().board().find(id).rest().get(Properties.POSITION).x();
    }

    private void saved(Path file) throws Exception {
        RealWindow.fx(() -> {
            t.w.files.save(file, () -> { });
            return null;
        });
        t.until(() -> file.equals(t.studio.file()) && !t.studio.unsaved());
    }

    @SuppressWarnings("unchecked")
    @Test
    void aVersionIsLookedAtAndBroughtBackWholeOrByElement() throws Exception {
        Path file = folder.resolve("piece.tundra");
        double lamp = x("lamp");
        saved(file);
        t.until(() -> t.w.files.versions().of(t.studio.kept()).size() == 1);
        move("lamp", 33);
        String other = t.studio.kept().scenes().getFirst().board().elements().stream().map(e -> e.id()).filter(i -> !i.equals("lamp")).findFirst()
                .orElseThrow();
        double was = x(other);
        move(other, 44);
        saved(file);
        t.until(() -> t.w.files.versions().of(t.studio.kept()).size() == 2);
        t.run("earlier-versions");
        t.until(() -> rows("earlier-changes") > 0);
        t.keys(KeyCode.DOWN);
        t.until(() -> rows("earlier-elements") == 2);
        assertThat(((VBox) t.node("earlier-changes")).getChildren()).filteredOn(n -> n instanceof Label).extracting(n -> ((Label) n).getText())
                .anyMatch(s -> s.matches("Position of “.*” in “.*”: .* → 33, 60\\."));
        RealWindow.fx(() -> {
            ((VBox) t.node("earlier-elements")).getChildren().stream().map(n -> (CheckBox) n)
                    .filter(c -> c.getText().equals(t.studio.kept().scenes().getFirst().board().find("lamp").name())).findFirst().orElseThrow()
                    .fire();
            return null;
        });
        t.fire("earlier-some");
        assertThat(x("lamp")).isEqualTo(lamp);
        assertThat(x(other)).isEqualTo(44);
        t.keys(KeyCode.CONTROL, KeyCode.Z);
        assertThat(x("lamp")).isEqualTo(33);
        t.run("earlier-versions");
        RealWindow.fx(() -> {
            ((ListView<Object>) t.node("earlier-list")).getSelectionModel().selectLast();
            return null;
        });
        t.until(() -> !t.stage.getScene().lookup("#earlier-whole").isDisabled());
        t.fire("earlier-whole");
        assertThat(List.of(x("lamp"), x(other))).containsExactly(lamp, was);
        assertThat(t.studio.file()).isEqualTo(file);
    }

    @SuppressWarnings("unchecked")
    @Test
    void theHistoryGoesToAnyStepAndLivesOnAfterSaving() throws Exception {
        double first = x("lamp");
        for (int i = 1; i <= 5; i++) {
            move("lamp", 100 + i);
        }
        saved(folder.resolve("steps.tundra"));
        t.keys(KeyCode.CONTROL, KeyCode.SHIFT, KeyCode.H);
        t.until(() -> t.label("history-count").matches("(\\d) of \\1"));
        ListView<Integer> list = (ListView<Integer>) t.node("history-list");
        int all = RealWindow.fx(() -> list.getItems().size());
        RealWindow.fx(() -> {
            list.requestFocus();
            list.getSelectionModel().clearAndSelect(3);
            return null;
        });
        t.keys(KeyCode.ENTER);
        assertThat(x("lamp")).isEqualTo(102);
        t.until(() -> t.label("history-count").startsWith("3 of "));
        RealWindow.fx(() -> {
            list.getSelectionModel().clearAndSelect(1);
            return null;
        });
        t.keys(KeyCode.ENTER);
        assertThat(x("lamp")).isEqualTo(first);
        RealWindow.fx(() -> {
            list.getSelectionModel().clearAndSelect(all - 1);
            return null;
        });
        t.keys(KeyCode.ENTER);
        assertThat(x("lamp")).isEqualTo(105);
        t.keys(KeyCode.ESCAPE);
        t.until(() -> t.stage.getScene().lookup("#history") == null);
    }

    @Test
    void aFileThatSomeoneElseChangesIsToldWhileItIsWorkedOn() throws Exception {
        Path file = folder.resolve("shared.tundra");
        saved(file);
        ProjectFile.write(t.studio.kept().withName("Theirs"), file);
        RealWindow.fx(() -> {
            t.w.files.watch.look();
            return null;
        });
        t.until(() -> t.label("notice").startsWith("“shared.tundra” was changed by someone else."));
        t.fire("notice-action");
        t.until(() -> t.studio.kept().name().equals("Theirs"));
        move("lamp", 12);
        ProjectFile.write(t.studio.kept().withName("Theirs again"), file);
        RealWindow.fx(() -> {
            t.w.files.watch.look();
            return null;
        });
        t.until(() -> t.label("notice").contains("while you work on it"));
        t.outsideAnswer = Dialogs.Outside.KEEP_BOTH;
        t.fire("notice-action");
        Path mine = folder.resolve("shared (mine).tundra");
        t.until(() -> mine.equals(t.studio.file()));
        assertThat(ProjectFile.read(file).name()).isEqualTo("Theirs again");
        assertThat(ProjectFile.read(mine).scenes().getFirst().board().find("lamp").rest().get(Properties.POSITION).x()).isEqualTo(12);
        assertThat(Files.list(folder).filter(p -> p.toString().endsWith(".open"))).hasSizeLessThanOrEqualTo(2);
    }

    /** What is offered about a file does nothing to another piece that was opened meanwhile. */
    @Test
    void whatIsOfferedAboutOneFileIsNotDoneToAnother() throws Exception {
        Path first = folder.resolve("first.tundra"), second = folder.resolve("second.tundra");
        saved(first);
        ProjectFile.write(t.studio.kept().withName("Second").withId("another"), second);
        move("lamp", 12);
        byte[] theirs = ProjectFile.bytes(t.studio.kept().withName("Theirs"));
        Files.write(first, theirs);
        RealWindow.fx(() -> {
            t.w.files.watch.look();
            return null;
        });
        t.until(() -> t.label("notice").contains("while you work on it"));
        RealWindow.fx(() -> {
            t.studio.open(ProjectFile.read(second), second);
            return null;
        });
        t.settle();
        t.outsideAnswer = Dialogs.Outside.WRITE_MINE;
        if (t.stage.getScene().lookup("#notice-action") != null) {
            t.fire("notice-action");
        }
        t.settle();
        assertThat(Files.readAllBytes(first)).as("it was not written over with another piece").isEqualTo(theirs);
        assertThat(t.studio.file()).isEqualTo(second);
    }
}
