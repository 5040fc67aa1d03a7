package tundra.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.ProgressBar;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tundra.app.studio.Desk;
import tundra.core.model.Asset;
import tundra.render.VideoReader;

/** Films and loops are made on the Publish desk, given up, and refused where they can't be. */
class OutputDeskTest extends InWindow {
    @TempDir
    private Path folder;

    private String said(String kind) throws Exception {
        return RealWindow.fx(() -> ((Label) t.node("output-state-" + kind)).getText());
    }

    @Test
    void aFilmIsMadeAsItsSettingsSayGivenUpAndRefused() throws Exception {
        t.keys(KeyCode.R);
        t.drag(t.canvas(100, 100), t.canvas(200, 160));
        t.keys(KeyCode.ALT, KeyCode.DIGIT5);
        t.until(() -> t.studio.desk() == Desk.PUBLISH);
        t.click("output-settings-film");
        t.fill("output-film-width", "160");
        t.fill("output-film-until", "0.5");
        t.fill("output-film-rate", "10");
        t.fileToSave = folder.resolve("one.mp4");
        t.click("output-make-film");
        t.until(() -> Files.exists(folder.resolve("one.mp4")) && !t.w.jobs.busy());
        Asset made = VideoReader.read(folder.resolve("one.mp4"));
        assertThat(made.width()).isEqualTo(160);
        assertThat(made.duration()).isBetween(490_000L, 510_000L);
        assertThat(said("film")).startsWith("5 pictures · ");
        // a film that takes long is given up: what was there before stays
        byte[] before = Files.readAllBytes(folder.resolve("one.mp4"));
        t.fill("output-film-until", "600");
        t.fill("output-film-width", "1280");
        var make = (Button) t.node("output-make-film");
        RealWindow.fx(() -> {
            make.fire();
            return null;
        });
        t.until(() -> t.w.jobs.busy() && ((ProgressBar) make.getParent().getParent().lookup(".progress-bar")).getProgress() > 0);
        var cancel = (Button) t.node("output-cancel-film");
        RealWindow.fx(() -> {
            cancel.fire();
            return null;
        });
        t.until(() -> !t.w.jobs.busy());
        assertThat(said("film")).isEqualTo("given up; nothing was written");
        assertThat(folder.resolve("one.mp4")).hasBinaryContent(before);
        // what can't be is said, and nothing is asked
        RealWindow.fx(() -> {
            ((javafx.scene.control.CheckBox) t.node("output-film-clear")).fire();
            return null;
        });
        t.click("output-make-film");
        t.until(() -> t.w.notices.told() != null && t.w.notices.told().contains("can't be seen through"));
        assertThat(folder.resolve("one.mp4")).hasBinaryContent(before);
    }

    @Test
    void aLoopIsFoundByNameAndMade() throws Exception {
        t.keys(KeyCode.R);
        t.drag(t.canvas(100, 100), t.canvas(200, 160));
        t.fileToSave = null;
        t.run("make-loop");
        t.until(() -> t.studio.desk() == Desk.PUBLISH);
        t.click("output-settings-loop");
        @SuppressWarnings("unchecked")
        var format = (ComboBox<String>) t.node("output-loop-format");
        RealWindow.fx(() -> {
            format.setValue("WebP");
            return null;
        });
        assertThat(said("loop")).isEqualTo("WebP · not made yet");
        t.fill("output-loop-width", "120");
        t.fill("output-loop-until", "0.3");
        t.fileToSave = folder.resolve("one.webp");
        t.run("make-loop");
        t.until(() -> Files.exists(folder.resolve("one.webp")) && !t.w.jobs.busy());
        assertThat(new String(Files.readAllBytes(folder.resolve("one.webp")), 0, 12, java.nio.charset.StandardCharsets.ISO_8859_1)).startsWith("RIFF").endsWith("WEBP");
    }
}
