package tundra.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import javafx.event.ActionEvent;
import javafx.scene.Parent;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.ProgressBar;
import javafx.scene.control.TextField;
import javafx.scene.input.Clipboard;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tundra.app.studio.Desk;
import tundra.core.edit.OutputEdits;
import tundra.core.file.ProjectFile;
import tundra.core.geometry.Point;
import tundra.core.model.Asset;
import tundra.core.model.Output;
import tundra.core.model.Outputs;
import tundra.render.VideoReader;

/** The outputs of a piece on the Publish desk: listed, said, made one after the other, given up, and refused where they can't be. */
class OutputDeskTest extends InWindow {
    @TempDir
    private Path folder;

    private String said(String kind) throws Exception {
        return RealWindow.fx(() -> ((Label) t.node("output-state-usual-" + kind)).getText());
    }

    private void pick(String kind) throws Exception {
        t.click("output-usual-" + kind);
    }

    private void desk() throws Exception {
        t.keys(KeyCode.R);
        t.drag(t.canvas(100, 100), t.canvas(200, 160));
        t.keys(KeyCode.ALT, KeyCode.DIGIT5);
        t.until(() -> t.studio.desk() == Desk.PUBLISH);
        t.folderToUse = folder;
    }

    private Output output(String kind) throws Exception {
        return RealWindow.fx(() -> t.studio.project().output("usual-" + kind));
    }

    /** Chooses from a list. */
    private void choose(String id, int which) throws Exception {
        RealWindow.fx(() -> {
            var box = (ComboBox<?>) t.node(id);
            box.getSelectionModel().select(which);
            return null;
        });
    }

    @Test
    void aFilmIsMadeAsItsSettingsSayGivenUpAndRefused() throws Exception {
        desk();
        pick("film");
        t.click("output-settings");
        t.fill("output-field-width", "160");
        t.fill("output-field-until", "0.5");
        t.fill("output-field-rate", "10");
        t.fileToSave = folder.resolve("one.mp4");
        t.fire("output-where");
        t.fire("output-make");
        t.until(() -> Files.exists(folder.resolve("one.mp4")) && !t.w.jobs.busy());
        Asset made = VideoReader.read(folder.resolve("one.mp4"));
        assertThat(made.width()).isEqualTo(160);
        assertThat(made.duration()).isBetween(490_000L, 510_000L);
        assertThat(said("film")).contains("5 pictures").contains("made today").doesNotContain("changed since");
        assertThat(output("film").number(Outputs.WIDTH)).isEqualTo(160);
        // a film that takes long is given up: what was there before stays
        byte[] before = Files.readAllBytes(folder.resolve("one.mp4"));
        t.fill("output-field-until", "600");
        t.fill("output-field-width", "1280");
        t.fire("output-make");
        var bar = (ProgressBar) ((Parent) t.node("output-usual-film")).lookup(".progress-bar");
        t.until(() -> t.w.jobs.busy() && bar.isVisible() && bar.getProgress() > 0);
        t.fire("output-cancel-usual-film");
        t.until(() -> !t.w.jobs.busy());
        assertThat(said("film")).isEqualTo("given up; nothing was written");
        assertThat(folder.resolve("one.mp4")).hasBinaryContent(before);
        // what can't be is said on its card
        t.fire("output-field-clear");
        t.fire("output-make");
        t.until(() -> t.label("output-state-usual-film").contains("can't be seen through"));
        assertThat(folder.resolve("one.mp4")).hasBinaryContent(before);
        // what was said of it are steps of undo like any other
        t.keys(KeyCode.CONTROL, KeyCode.Z);
        assertThat(output("film").is(Outputs.CLEAR)).isFalse();
    }

    @Test
    void aLoopIsFoundByNameMadeAndToldWhenThePieceHasChanged() throws Exception {
        desk();
        pick("loop");
        t.click("output-settings");
        choose("output-field-format", Outputs.LOOP_FORMAT.choices().indexOf("WebP"));
        t.fill("output-field-width", "120");
        t.fill("output-field-until", "0.3");
        t.run("make-loop");
        Path to = folder.resolve(RealWindow.fx(() -> Outputs.file(t.studio.project().name(), t.studio.project().output("usual-loop"))));
        assertThat(to.getFileName().toString()).endsWith("-loop.webp");
        t.until(() -> Files.exists(to) && !t.w.jobs.busy());
        assertThat(new String(Files.readAllBytes(to), 0, 12, StandardCharsets.ISO_8859_1)).startsWith("RIFF").endsWith("WEBP");
        assertThat(said("loop")).doesNotContain("changed since");
        RealWindow.fx(() -> {
            t.studio.edit("Change", b -> b.withSize(new Point(400, 300)));
            return null;
        });
        t.until(() -> t.label("output-state-usual-loop").contains("changed since"));
        t.keys(KeyCode.CONTROL, KeyCode.Z);
        t.until(() -> !t.label("output-state-usual-loop").contains("changed since"));
    }

    @Test
    void allOutputsAreMadeWithOnePressAndKeptWithThePiece() throws Exception {
        desk();
        pick("film");
        t.click("output-settings");
        t.fill("output-field-until", "0.2");
        pick("loop");
        t.fill("output-field-until", "0.2");
        // one more of a kind that isn't there yet
        RealWindow.fx(() -> {
            t.studio.editProject("Add", null, p -> OutputEdits.add(p, Outputs.EXCHANGE));
            return null;
        });
        t.click("outputs-all");
        List<Output> all = RealWindow.fx(() -> t.studio.project().outputs());
        t.until(() -> !t.w.jobs.busy() && all.stream().allMatch(o -> Files.exists(folder.resolve(Outputs.file(t.studio.project().name(), o)))));
        assertThat(all).hasSize(6);
        t.until(() -> t.w.notices.told() != null && t.w.notices.told().startsWith("6 outputs are made"));
        // the list comes back with the file
        t.fileToSave = folder.resolve("kept.tundra");
        t.keys(KeyCode.CONTROL, KeyCode.S);
        t.until(() -> Files.exists(folder.resolve("kept.tundra")) && !t.studio.unsaved());
        assertThat(ProjectFile.read(folder.resolve("kept.tundra")).outputs()).isEqualTo(RealWindow.fx(() -> t.studio.project().outputs()));
    }

    @Test
    void outputsAreNamedCopiedMovedAndTakenOffAndTheirCodeIsCopied() throws Exception {
        desk();
        pick("embed");
        t.click("output-copy");
        String code = RealWindow.fx(() -> Clipboard.getSystemClipboard().getString());
        assertThat(code).contains("/embed.js\"").contains("-piece></");
        t.click("output-settings");
        RealWindow.fx(() -> {
            var name = (TextField) t.node("output-name");
            name.setText("For the blog");
            name.fireEvent(new ActionEvent());
            return null;
        });
        assertThat(output("embed").name()).isEqualTo("For the blog");
        assertThat(RealWindow.fx(() -> Outputs.file(t.studio.project().name(), t.studio.project().output("usual-embed")))).endsWith("-for-the-blog");
        RealWindow.fx(() -> {
            t.studio.editProject("Copy", null, p -> OutputEdits.copy(p, "usual-embed"));
            t.studio.editProject("Move", null, p -> OutputEdits.move(p, "usual-page", 10));
            return null;
        });
        assertThat(RealWindow.fx(() -> t.studio.project().outputs().stream().map(Output::name).toList())).containsExactly("For the blog",
                "For the blog 2", "Film", "Loop", "Still frames", "Web page");
        for (int i = 0; i < 3; i++) {
            t.keys(KeyCode.CONTROL, KeyCode.Z);
        }
        assertThat(output("embed").name()).isEqualTo("Embed piece");
    }
}
