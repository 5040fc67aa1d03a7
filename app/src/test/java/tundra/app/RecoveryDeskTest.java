package tundra.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Random;
import java.util.concurrent.TimeUnit;
import javafx.animation.AnimationTimer;
import javafx.application.Platform;
import javafx.scene.input.KeyCode;
import javafx.stage.Stage;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tundra.app.builtin.Workshop;
import tundra.app.job.Dialogs;
import tundra.app.studio.Settings;
import tundra.app.widget.Look;
import tundra.app.window.MainWindow;
import tundra.app.window.WindowDialogs;
import tundra.core.file.ProjectFile;
import tundra.core.file.Recovery;
import tundra.core.geometry.Point;
import tundra.core.model.Project;

/** A crash takes at most a few seconds with it, and what someone else wrote is not written over unasked. */
class RecoveryDeskTest extends InWindow {
    private static final int KILLS = Integer.getInteger("recovery.kills", 3);
    @TempDir
    private Path folder;

    /** As a process leaves it that was killed: without a lock. */
    private void left(String name, Path file) throws Exception {
        Recovery recovery = t.w.autosave.recovery();
        Path all = t.w.settings.folder().resolve("recovery");
        try (Recovery.Slot slot = recovery.begin()) {
            slot.keep(Project.empty(name, new Point(90, 60), 24), file, null);
            try (var places = Files.list(all)) {
                Path from = places.filter(p -> p.getFileName().toString().startsWith("piece-") && Files.exists(p.resolve("project.json"))
                        && read(p).contains("\"" + name + "\"")).findFirst().orElseThrow();
                Path to = Files.createDirectory(all.resolve("piece-left-" + name));
                for (String f : List.of("project.json", "about.properties")) {
                    Files.copy(from.resolve(f), to.resolve(f));
                }
            }
        }
    }

    private static String read(Path place) {
        try {
            return Files.readString(place.resolve("project.json"));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private void offer() throws Exception {
        RealWindow.fx(() -> {
            t.window.offerWhatWasLeft();
            return null;
        });
        t.node("recovery");
        t.settle();
    }

    private boolean offered() throws Exception {
        return RealWindow.fx(() -> t.stage.getScene().lookup("#recovery") != null);
    }

    @Test
    void whatWasLeftIsOfferedAndGoneOnWith() throws Exception {
        Path file = folder.resolve("mast.tundra");
        left("Mast", file);
        offer();
        assertThat(t.words("recovery")).contains("One piece was not saved", "Mast", "kept today at");
        t.keys(KeyCode.ENTER);
        t.until(() -> t.studio.project().name().equals("Mast") && !t.w.jobs.busy());
        assertThat(offered()).isFalse();
        assertThat(t.studio.unsaved()).as("its file holds something else").isTrue();
        assertThat(t.studio.file()).isEqualTo(file);
        t.keys(KeyCode.CONTROL, KeyCode.S);
        t.settle();
        assertThat(ProjectFile.read(file).name()).isEqualTo("Mast");
        assertThat(t.studio.unsaved()).isFalse();
        assertThat(t.w.autosave.recovery().found()).isEmpty();
    }

    @Test
    void itCanBeLookedAtLetGoOrPutOff() throws Exception {
        left("One", null);
        left("Two", null);
        offer();
        assertThat(t.words("recovery")).contains("2 pieces were not saved", "never saved to a file");
        t.keys(KeyCode.ESCAPE);
        assertThat(offered()).as("put off").isFalse();
        assertThat(t.w.autosave.recovery().found()).hasSize(2);
        offer();
        t.click("recovery-look");
        t.until(() -> t.studio.project().name().matches("One|Two") && !t.w.jobs.busy());
        assertThat(t.w.autosave.recovery().found()).as("it stays kept").hasSize(2);
        t.click("notice-action");
        t.until(() -> t.w.autosave.recovery().found().size() == 1);
        t.unsavedAnswer = Dialogs.Unsaved.DISCARD;
        offer();
        t.click("recovery-let-go");
        t.until(() -> t.w.autosave.recovery().found().isEmpty());
        assertThat(offered()).isFalse();
    }

    @Test
    void whatSomeoneElseWroteMeanwhileIsAskedAbout() throws Exception {
        Path file = folder.resolve("shared.tundra");
        t.fileToSave = file;
        t.keys(KeyCode.CONTROL, KeyCode.S);
        t.settle();
        t.keys(KeyCode.R);
        t.drag(t.canvas(50, 50), t.canvas(90, 90));
        Project theirs = Project.empty("Theirs", new Point(70, 70), 12);
        ProjectFile.write(theirs, file);
        t.keys(KeyCode.CONTROL, KeyCode.S);
        t.settle();
        assertThat(t.outsideAsked).isEqualTo(1);
        assertThat(ProjectFile.read(file).name()).as("nothing was written").isEqualTo("Theirs");
        assertThat(t.studio.unsaved()).isTrue();
        t.outsideAnswer = Dialogs.Outside.KEEP_BOTH;
        t.keys(KeyCode.CONTROL, KeyCode.S);
        t.settle();
        assertThat(ProjectFile.read(file).name()).isEqualTo("Theirs");
        assertThat(ProjectFile.read(folder.resolve("shared (mine).tundra")).scenes().getFirst().board().elements()).hasSize(1);
        assertThat(t.studio.file()).isEqualTo(folder.resolve("shared (mine).tundra"));
        // written over, theirs stays beside it
        Path mine = t.studio.file();
        ProjectFile.write(theirs, mine);
        t.outsideAnswer = Dialogs.Outside.WRITE_MINE;
        t.keys(KeyCode.CONTROL, KeyCode.S);
        t.settle();
        assertThat(ProjectFile.read(mine).scenes().getFirst().board().elements()).hasSize(1);
        assertThat(ProjectFile.read(folder.resolve("shared (mine).tundra.previous")).name()).isEqualTo("Theirs");
        int asked = t.outsideAsked;
        t.keys(KeyCode.CONTROL, KeyCode.S);
        t.settle();
        assertThat(t.outsideAsked).as("it is mine now").isEqualTo(asked);
        ProjectFile.write(theirs, mine);
        t.outsideAnswer = Dialogs.Outside.TAKE_THEIRS;
        t.keys(KeyCode.CONTROL, KeyCode.S);
        t.until(() -> t.studio.project().name().equals("Theirs"));
    }

    /** The window is killed while it is worked in: of what was done, at most the last five seconds are lost. */
    @Test
    void killedWhileEditingAtMostFiveSecondsAreLost() throws Exception {
        var random = new Random(7);
        long worst = 0;
        for (int i = 0; i < KILLS; i++) {
            Path config = Files.createDirectory(folder.resolve("run" + i));
            Process p = new ProcessBuilder(Path.of(System.getProperty("java.home"), "bin", "java").toString(), "--enable-native-access=ALL-UNNAMED",
                    "-Dprism.order=sw", "-XX:TieredStopAtLevel=1",
                    "-Dtundra.config=" + config, "-cp", System.getProperty("java.class.path"), EditsOnAndOn.class.getName())
                    .redirectError(ProcessBuilder.Redirect.DISCARD).start();
            var told = new BufferedReader(new InputStreamReader(p.getInputStream(), StandardCharsets.UTF_8));
            assertThat(told.readLine()).isEqualTo("1");
            long began = System.nanoTime();
            // not a wait for anything: the moment of the kill is meant to be any, once something can have been kept
            assertThat(p.waitFor(2500 + random.nextInt(3500), TimeUnit.MILLISECONDS)).isFalse();
            p.toHandle().destroyForcibly();
            p.waitFor();
            long ran = System.nanoTime() - began;
            int last = 1;
            for (String line; (line = told.readLine()) != null; ) {
                last = Integer.parseInt(line);
            }
            var recovery = new Recovery(config.resolve("recovery"));
            assertThat(recovery.found()).hasSizeLessThan(2);
            int kept = recovery.found().isEmpty() ? 0 : (int) recovery.open(recovery.found().getFirst()).project().scenes().getFirst().board().size()
                    .x();
            // edits come evenly, so what is lost of them is what is lost of the time
            long lost = last <= kept ? 0 : ran / 1_000_000 * (last - kept) / last;
            worst = Math.max(worst, lost);
            assertThat(lost).as("ms of %d edits, of which %d were kept", last, kept).isLessThan(5000);
        }
        System.out.println(KILLS + " kills while editing: at most " + worst + " ms of work were lost");
    }

    /** Run as a process of its own, to be killed: a window in which something is changed all the time. */
    static final class EditsOnAndOn {
        private EditsOnAndOn() {}

        public static void main(String[] args) {
            Platform.startup(() -> {
                Look.theme(false);
                var stage = new Stage();
                var w = new Workshop(Project.empty("Untitled", new Point(1, 100), 24), Settings.load(), new WindowDialogs(() -> stage), url -> { });
                var window = new MainWindow(w);
                window.open(stage, 900, 600);
                stage.show();
                w.autosave.start();
                new AnimationTimer() {
                    private long last;
                    private int n;

                    @Override
                    public void handle(long now) {
                        if (now - last > 40_000_000) {
                            last = now;
                            n++;
                            w.studio.edit("Wider", b -> b.withSize(new Point(n, 100)));
                            System.out.println(n);
                        }
                    }
                }.start();
            });
        }
    }
}
