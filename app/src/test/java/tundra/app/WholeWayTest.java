package tundra.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.File;
import java.nio.file.Files;
import java.nio.file.Path;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.openqa.selenium.By;
import org.openqa.selenium.chrome.ChromeDriver;
import org.openqa.selenium.chrome.ChromeDriverService;
import org.openqa.selenium.chrome.ChromeOptions;
import tundra.app.job.Dialogs;
import tundra.core.file.ProjectFile;
import tundra.core.geometry.Point;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Project;
import tundra.core.model.Properties;

/** The whole way through the real window: draw, key, scrub, undo, save, open, publish, and tap it in a browser. */
class WholeWayTest {
    @TempDir
    private Path folder;

    @Test
    void drawnKeyedSavedPublishedAndTapped() throws Exception {
        try (var t = new RealWindow()) {
            // draw a rectangle
            t.keys(KeyCode.R);
            t.drag(t.canvas(60, 80), t.canvas(160, 140));
            Element box = t.studio.selected();
            assertThat(box.content()).isEqualTo(new Content.Rectangle());
            assertThat(box.rest().get(Properties.SIZE)).isEqualTo(new Point(100, 60));
            assertThat(box.rest().get(Properties.POSITION)).isEqualTo(new Point(110, 110));
            var fill = t.pixel(t.canvas(85, 95));
            assertThat(fill.getRed() * 255).isCloseTo(0x5F, within(2.0));
            assertThat(fill.getBlue() * 255).isCloseTo(0xA3, within(2.0));

            // two keys by dragging at two times
            t.keys(KeyCode.ALT, KeyCode.DIGIT2);
            t.drag(t.canvas(90, 100), t.canvas(100, 120));
            Point ruler = t.fx(() -> t.screen(t.window.timeline().lanes(), t.window.timeline().lanes().xOf(2_000_000), 20));
            t.click(ruler);
            assertThat(t.studio.time().playhead()).isEqualTo(2_000_000L);
            t.drag(t.canvas(100, 120), t.canvas(400, 220));
            var track = t.studio.timeline().track(box.id(), Properties.POSITION);
            assertThat(track.keys()).hasSize(2);
            assertThat(track.keys().get(0).value()).isEqualTo(new Point(120, 130));
            assertThat(track.keys().get(1).value()).isEqualTo(new Point(420, 230));
            assertThat(track.keys().get(1).time()).isEqualTo(2_000_000L);

            // scrub: half way in time is half way in space, since the easing is even at both ends
            t.drag(ruler, t.fx(() -> t.screen(t.window.timeline().lanes(), t.window.timeline().lanes().xOf(1_000_000), 20)));
            assertThat(t.studio.time().playhead()).isEqualTo(1_000_000L);
            assertThat(t.studio.picture().frame().find(box.id()).bounds().centre().x()).isCloseTo(270, within(0.5));
            assertThat(t.pixel(t.canvas(240, 165)).getRed() * 255).isCloseTo(0x5F, within(2.0));

            reaction(t);
            Project made = t.studio.project();
            undoAndRedo(t, made);
            Path file = saveAndOpen(t, made);
            Path page = publish(t);
            assertThat(Files.exists(file)).isTrue();
            tapInBrowser(page, box.id());
        }
    }

    private static void reaction(RealWindow t) throws Exception {
        t.keys(KeyCode.ALT, KeyCode.DIGIT3);
        t.click("do-add-reaction");
        assertThat(t.studio.board().reactions()).hasSize(1);
        // Main waits for the tap
        t.keys(KeyCode.ESCAPE);
        t.keys(KeyCode.ALT, KeyCode.DIGIT1);
        t.click("field-starts");
        assertThat(t.studio.timeline().starts()).isFalse();
    }

    private static void undoAndRedo(RealWindow t, Project made) throws Exception {
        int steps = 0;
        while (t.studio.history().undoName() != null) {
            t.keys(KeyCode.CONTROL, KeyCode.Z);
            steps++;
        }
        assertThat(steps).as("one step each: draw, two keys, reaction, start").isEqualTo(5);
        assertThat(t.studio.board().elements()).isEmpty();
        for (int i = 0; i < steps; i++) {
            t.keys(KeyCode.CONTROL, KeyCode.SHIFT, KeyCode.Z);
        }
        assertThat(t.studio.project()).isSameAs(made);
    }

    private Path saveAndOpen(RealWindow t, Project made) throws Exception {
        assertThat(t.stage.getTitle()).startsWith("•");
        t.fileToSave = folder.resolve("first");
        t.keys(KeyCode.CONTROL, KeyCode.S);
        Path file = folder.resolve("first.tundra");
        assertThat(t.stage.getTitle()).isEqualTo("first — Tundra");
        assertThat(ProjectFile.read(file).scenes()).isEqualTo(made.scenes());
        t.newPiece = new Dialogs.NewPiece(new Point(300, 200), 12);
        t.keys(KeyCode.CONTROL, KeyCode.N);
        assertThat(t.studio.board().size()).isEqualTo(new Point(300, 200));
        assertThat(t.unsavedAsked).isZero();
        t.fileToOpen = file;
        t.keys(KeyCode.CONTROL, KeyCode.O);
        assertThat(t.studio.project().scenes()).isEqualTo(made.scenes());
        return file;
    }

    private Path publish(RealWindow t) throws Exception {
        t.keys(KeyCode.ALT, KeyCode.DIGIT5);
        t.click("output-settings");
        t.folderToUse = folder.resolve("page");
        t.fire("output-where");
        t.fire("output-make");
        t.until(() -> Files.exists(folder.resolve("page/index.html")) && !t.w.jobs.busy());
        return folder.resolve("page/index.html");
    }

    /** Waits until a condition holds in the page, as long as WebDriver lets a script run. */
    private static void until(ChromeDriver driver, String condition) {
        driver.executeAsyncScript("const done = arguments[0]; (function step() { (" + condition + ") ? done() : requestAnimationFrame(step); })();");
    }

    private static void tapInBrowser(Path page, String id) throws Exception {
        var options = new ChromeOptions();
        options.setBinary("/usr/bin/chromium");
        options.addArguments("--headless", "--no-sandbox", "--disable-gpu", "--disable-quic", "--no-first-run", "--disable-background-networking",
                "--disable-component-update", "--disable-sync", "--user-data-dir=" + Files.createTempDirectory("tundra-chromium"));
        var driver = new ChromeDriver(new ChromeDriverService.Builder().usingDriverExecutable(new File("/usr/bin/chromedriver")).build(), options);
        try {
            driver.get(page.toUri().toString());
            until(driver, "typeof Tundra !== 'undefined' && Tundra.pieces.length > 0");
            var box = driver.findElement(By.className("t-" + id));
            int before = box.getRect().x;
            // what was never started doesn't apply: it stands where it was drawn
            assertThat(before).isEqualTo(driver.findElement(By.className("t-scene")).getRect().x + 60);
            box.click();
            until(driver, "Tundra.pieces[0].shown.timelines.some((t) => t.playing && t.time > t.duration / 4)");
            assertThat(box.getRect().x).isGreaterThan(before + 20);
            until(driver, "Tundra.pieces[0].shown.timelines.every((t) => !t.playing)");
            assertThat(box.getRect().x).isEqualTo(before + 310);
        } finally {
            driver.quit();
        }
    }
}
