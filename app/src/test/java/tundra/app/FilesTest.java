package tundra.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.image.BufferedImage;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import javafx.scene.control.Label;
import javafx.scene.input.KeyCode;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tundra.app.job.Dialogs;
import tundra.core.file.ProjectFile;
import tundra.core.geometry.Point;
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.core.model.Scene;

/** Files in the real window: saving, failing to, recent ones, drops, and publishing where it may not. */
class FilesTest {
    @TempDir
    private Path folder;
    private RealWindow t;

    @BeforeEach
    void open() throws Exception {
        t = new RealWindow();
        t.keys(KeyCode.R);
        t.drag(t.canvas(50, 50), t.canvas(90, 90));
    }

    @AfterEach
    void close() throws Exception {
        t.close();
    }

    private void save(Path to) throws Exception {
        t.fileToSave = to;
        t.keys(KeyCode.CONTROL, KeyCode.SHIFT, KeyCode.S);
        t.settle();
    }

    @Test
    void aFailedSaveLosesNothingAndSaysWhatToDo() throws Exception {
        Project mine = t.studio.project();
        save(folder.resolve("nowhere/piece.tundra"));
        assertThat(t.w.notices.told()).contains("the folder is not there").contains("save it to another folder");
        assertThat(t.studio.project()).isSameAs(mine);
        assertThat(t.studio.unsaved()).isTrue();
        save(folder.resolve("piece.tundra"));
        assertThat(t.studio.unsaved()).isFalse();
        assertThat(t.words("saved-state")).isEqualTo("saved\n");
        assertThat(ProjectFile.read(folder.resolve("piece.tundra")).name()).isEqualTo("piece");
    }

    @Test
    void savingOnTheWayOutGoesOnOnlyWhenItWorked() throws Exception {
        t.unsavedAnswer = Dialogs.Unsaved.SAVE;
        t.fileToSave = folder.resolve("nowhere/piece.tundra");
        t.newPiece = new Dialogs.NewPiece(new Point(10, 10), 12);
        Project mine = t.studio.project();
        t.keys(KeyCode.CONTROL, KeyCode.N);
        t.settle();
        assertThat(t.studio.project()).isSameAs(mine);
        t.fileToSave = folder.resolve("piece.tundra");
        t.keys(KeyCode.CONTROL, KeyCode.N);
        t.until(() -> t.studio.project().frameRate() == 12);
        assertThat(ProjectFile.read(folder.resolve("piece.tundra")).scenes().getFirst().board().elements()).hasSize(1);
    }

    @Test
    void undoReachesBackThroughASaveAndCountsAsAChange() throws Exception {
        save(folder.resolve("piece.tundra"));
        t.keys(KeyCode.CONTROL, KeyCode.Z);
        t.keys(KeyCode.CONTROL, KeyCode.Z);
        assertThat(t.studio.board().elements()).isEmpty();
        assertThat(t.studio.unsaved()).isTrue();
        t.keys(KeyCode.CONTROL, KeyCode.SHIFT, KeyCode.Z);
        t.keys(KeyCode.CONTROL, KeyCode.SHIFT, KeyCode.Z);
        assertThat(t.studio.unsaved()).as("back at what was saved").isFalse();
    }

    @Test
    void recentFilesAreFoundByName() throws Exception {
        save(folder.resolve("lantern.tundra"));
        t.newPiece = new Dialogs.NewPiece(new Point(10, 10), 12);
        t.keys(KeyCode.CONTROL, KeyCode.N);
        t.keys(KeyCode.CONTROL, KeyCode.K);
        t.type("lantern");
        t.keys(KeyCode.ENTER);
        t.until(() -> t.studio.project().name().equals("lantern"));
        assertThat(t.studio.board().elements()).hasSize(1);
    }

    @Test
    void droppedPicturesComeInTogetherAndABadOneStopsAll() throws Exception {
        var files = new ArrayList<Path>();
        for (int i = 0; i < 2; i++) {
            Path p = folder.resolve("dot" + i + ".png");
            ImageIO.write(new BufferedImage(8 + i, 8, BufferedImage.TYPE_INT_RGB), "png", p.toFile());
            files.add(p);
        }
        t.fx(() -> {
            t.w.files.importing.bringIn(files);
            return null;
        });
        t.settle();
        assertThat(t.studio.selection()).hasSize(2);
        assertThat(t.studio.project().assets()).hasSize(2);
        t.keys(KeyCode.CONTROL, KeyCode.Z);
        assertThat(t.studio.board().elements()).as("one step of undo").hasSize(1);
        Path bad = folder.resolve("bad.png");
        Files.writeString(bad, "no picture");
        Project before = t.studio.project();
        t.fx(() -> {
            t.w.files.importing.bringIn(List.of(files.getFirst(), bad));
            return null;
        });
        t.settle();
        assertThat(t.w.notices.told()).startsWith("“bad.png”");
        assertThat(t.studio.project()).isSameAs(before);
    }

    @Test
    void aFolderWithAnotherPageIsLeftAlone() throws Exception {
        Path mine = folder.resolve("diary");
        Files.createDirectories(mine);
        Files.writeString(mine.resolve("index.html"), "my diary");
        t.keys(KeyCode.ALT, KeyCode.DIGIT5);
        t.click("output-settings");
        t.folderToUse = mine;
        t.fire("output-where");
        t.fire("output-make");
        t.until(() -> t.label("output-state-usual-page").contains("Tundra did not make"));
        assertThat(Files.readString(mine.resolve("index.html"))).isEqualTo("my diary");
        t.folderToUse = folder.resolve("page");
        t.fire("output-where");
        t.fire("output-make");
        t.until(() -> Files.exists(folder.resolve("page/index.html")) && !t.w.jobs.busy());
        assertThat(RealWindow.fx(() -> ((Label) t.node("output-state-usual-page")).getText())).contains(" files").contains("made today");
    }

    @Test
    void undoShowsTheSceneWhereTheChangeWas() throws Exception {
        RealWindow.fx(() -> {
            var p = t.studio.project();
            var other = new Scene("other", "Other", p.scenes().getFirst().board().withElements(List.of()));
            t.studio.open(p.withScenes(List.of(p.scenes().getFirst(), other)), null);
            t.studio.navigation().showPlace("other");
            return null;
        });
        String first = t.studio.project().scenes().getFirst().id();
        t.keys(KeyCode.R);
        t.drag(t.canvas(10, 10), t.canvas(40, 40));
        assertThat(t.studio.project().scene("other").board().elements()).hasSize(1);
        RealWindow.fx(() -> {
            t.studio.navigation().showPlace(first);
            return null;
        });
        t.keys(KeyCode.CONTROL, KeyCode.Z);
        assertThat(t.studio.scene().id()).isEqualTo("other");
        assertThat(t.studio.board().elements()).isEmpty();
        RealWindow.fx(() -> {
            t.studio.navigation().showPlace(first);
            return null;
        });
        t.keys(KeyCode.CONTROL, KeyCode.SHIFT, KeyCode.Z);
        assertThat(t.studio.scene().id()).isEqualTo("other");
        assertThat(t.studio.board().elements()).hasSize(1);
    }

    /** A copy is a piece of its own: its page goes beside it, and the page of the old piece stays as it is. */
    @Test
    void aCopyIsAPieceOfItsOwnWithAPageOfItsOwn() throws Exception {
        save(folder.resolve("first.tundra"));
        String id = t.studio.project().id();
        t.keys(KeyCode.ALT, KeyCode.DIGIT5);
        t.click("output-settings");
        t.folderToUse = folder.resolve("page");
        t.fire("output-where");
        t.fire("output-make");
        t.until(() -> Files.exists(folder.resolve("page/index.html")) && !t.w.jobs.busy());
        String page = Files.readString(folder.resolve("page/index.html"));
        save(folder.resolve("second.tundra"));
        assertThat(t.studio.unsaved()).isFalse();
        assertThat(t.studio.project().id()).isNotEqualTo(id).isEqualTo(ProjectFile.read(folder.resolve("second.tundra")).id());
        assertThat(ProjectFile.read(folder.resolve("first.tundra")).id()).isEqualTo(id);
        // also what is undone is of the copy
        t.keys(KeyCode.CONTROL, KeyCode.Z);
        assertThat(t.studio.project().id()).isNotEqualTo(id);
        t.keys(KeyCode.CONTROL, KeyCode.SHIFT, KeyCode.Z);
        assertThat(t.studio.unsaved()).isFalse();
        t.fire("output-make");
        t.until(() -> Files.exists(folder.resolve("second-page/index.html")) && !t.w.jobs.busy());
        assertThat(Files.readString(folder.resolve("page/index.html"))).isEqualTo(page);
    }

    @Test
    void aSaveThatEndsLateGivesItsPathToNoOtherPiece() throws Exception {
        Path file = folder.resolve("late.tundra");
        t.fileToSave = file;
        RealWindow.fx(() -> {
            // another piece is opened in the same turn in which the save is begun
            t.w.commands.run("save-as");
            t.studio.open(Project.empty("Other", new Point(50, 50), 12), null);
            return null;
        });
        t.until(() -> !t.w.jobs.busy());
        assertThat(ProjectFile.read(file).scenes().getFirst().board().elements()).hasSize(1);
        assertThat(t.studio.file()).isNull();
        assertThat(t.studio.project().name()).isEqualTo("Other");
    }

    @Test
    void whatWasMadeWhileAnotherPieceWasReadIsAskedAbout() throws Exception {
        save(folder.resolve("mine.tundra"));
        Project other = Project.empty("Other", new Point(50, 50), 12);
        ProjectFile.write(other, folder.resolve("other.tundra"));
        t.unsavedAnswer = Dialogs.Unsaved.CANCEL;
        RealWindow.fx(() -> {
            t.w.files.load(folder.resolve("other.tundra"));
            t.studio.edit("Paint", b -> b.mapElement(b.elements().getFirst().id(), e -> e.withName("Newer")));
            return null;
        });
        t.until(() -> !t.w.jobs.busy() && t.unsavedAsked == 1);
        assertThat(t.studio.board().elements().getFirst().name()).isEqualTo("Newer");
    }

    /** Edits that are taken back before the next picture, and drags that are given up at once, leave the picture alive. */
    @Test
    void whatIsUndoneAtOnceLeavesThePictureAlive() throws Exception {
        t.run("group");
        String group = t.studio.selected().id(), inner = t.studio.selected().children().getFirst().id();
        RealWindow.fx(() -> {
            // changes within a group are kept aside until the list is looked at
            t.studio.edit("Name", b -> b.mapElement(inner, e -> e.withName("Inner")));
            return null;
        });
        t.settle();
        int[] before = t.picture();
        for (int i = 0; i < 300; i++) {
            int n = i;
            RealWindow.fx(() -> {
                if (n % 3 == 0) {
                    var drag = new Object();
                    t.studio.again("Drag", drag, b -> b.mapElement(inner, e -> e.with(Properties.OPACITY, 0.3 + n / 1000.0)));
                    t.studio.cancel(drag);
                } else {
                    t.studio.edit("Fade", b -> b.mapElement(n % 3 == 1 ? inner : group, e -> e.with(Properties.OPACITY, 0.3 + n / 1000.0)));
                    t.studio.history().undo();
                }
                return null;
            });
            RealWindow.pulses(1);
        }
        assertThat(t.picture()).isEqualTo(before);
        assertThat(t.studio.board().find(inner).name()).isEqualTo("Inner");
    }

    @Test
    void onlyWhatIsThereIsSelected() throws Exception {
        RealWindow.fx(() -> {
            t.studio.select(List.of("nobody", t.studio.board().elements().getFirst().id()));
            return null;
        });
        t.settle();
        assertThat(t.studio.selection()).hasSize(1);
        t.keys(KeyCode.RIGHT);
    }
}
