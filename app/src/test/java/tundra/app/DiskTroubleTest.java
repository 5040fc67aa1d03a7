package tundra.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.junit.jupiter.api.Assumptions.assumeTrue;

import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.concurrent.TimeUnit;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tundra.core.file.ProjectFile;

/**
 * A disk that is full, can only be read or is gone: it is said once, work goes on, and nothing is lost. Needs the right to mount a small disk of
 * memory.
 */
class DiskTroubleTest extends InWindow {
    @TempDir
    private Path folder;
    private Path disk;

    private static boolean command(String... words) throws Exception {
        Process p = new ProcessBuilder(words).redirectErrorStream(true).redirectOutput(ProcessBuilder.Redirect.DISCARD).start();
        return p.waitFor(20, TimeUnit.SECONDS) && p.exitValue() == 0;
    }

    /** Also where the folder is there already and holds something. */
    private void mount(Path at) throws Exception {
        Files.createDirectories(at);
        boolean may;
        try {
            may = command("mount", "-t", "tmpfs", "-o", "size=512k", "tmpfs", at.toString());
        } catch (IOException e) {
            may = false;
        }
        assumeTrue(may, "no disk can be mounted here");
        disk = at;
    }

    @AfterEach
    void unmount() throws Exception {
        if (disk != null) {
            command("umount", "-l", disk.toString());
        }
    }

    /** Takes what is left of the disk. */
    private Path fill() throws IOException {
        Path f = disk.resolve("all-there-is");
        byte[] some = new byte[1024];
        try (OutputStream out = Files.newOutputStream(f)) {
            while (true) {
                out.write(some);
            }
        } catch (IOException e) {
            assertThat(e).hasMessageContaining("space");
        }
        return f;
    }

    private void draw(int x) throws Exception {
        t.keys(KeyCode.R);
        t.drag(t.canvas(x, 50), t.canvas(x + 30, 90));
    }

    private void save() throws Exception {
        RealWindow.fx(() -> {
            t.w.notices.hide();
            return null;
        });
        t.keys(KeyCode.CONTROL, KeyCode.S);
        t.settle();
    }

    private int elements() throws Exception {
        return RealWindow.fx(() -> t.studio.board().elements().size());
    }

    private String told() throws Exception {
        return RealWindow.fx(() -> t.w.notices.told());
    }

    /** It was told why, and what is open and what was saved are as they were. */
    private void refused(Path file, int saved, int open, String... why) throws Exception {
        save();
        assertThat(told()).contains("mast.tundra").containsIgnoringCase("the project is still open").containsAnyOf(why);
        assertThat(RealWindow.fx(t.studio::unsaved)).isTrue();
        assertThat(elements()).isEqualTo(open);
        if (saved > 0) {
            assertThat(ProjectFile.read(file).scenes().getFirst().board().elements()).hasSize(saved);
        }
    }

    @Test
    void theDiskOfThePieceIsFullThenOnlyReadThenGone() throws Exception {
        mount(folder.resolve("drive"));
        Path file = disk.resolve("mast.tundra");
        t.fileToSave = file;
        draw(50);
        save();
        assertThat(ProjectFile.read(file).scenes().getFirst().board().elements()).hasSize(1);

        Path full = fill();
        draw(100);
        refused(file, 1, 2, "the disk is full");
        Files.delete(full);
        save();
        assertThat(ProjectFile.read(file).scenes().getFirst().board().elements()).hasSize(2);
        assertThat(RealWindow.fx(t.studio::unsaved)).isFalse();

        assertThat(command("mount", "-o", "remount,ro", disk.toString())).isTrue();
        draw(150);
        refused(file, 2, 3, "the disk can only be read");
        assertThat(command("mount", "-o", "remount,rw", disk.toString())).isTrue();
        save();
        assertThat(ProjectFile.read(file).scenes().getFirst().board().elements()).hasSize(3);

        assertThat(command("umount", "-l", disk.toString())).isTrue();
        Files.delete(disk);
        draw(200);
        refused(file, 0, 4, "the folder is not there");
        t.keys(KeyCode.CONTROL, KeyCode.Z);
        assertThat(elements()).as("work goes on").isEqualTo(3);
        t.keys(KeyCode.CONTROL, KeyCode.SHIFT, KeyCode.Z);
        t.fileToSave = folder.resolve("elsewhere.tundra");
        t.run("save-as");
        t.settle();
        assertThat(ProjectFile.read(folder.resolve("elsewhere.tundra")).scenes().getFirst().board().elements()).hasSize(4);
        assertThat(RealWindow.fx(t.studio::unsaved)).isFalse();
    }

    @Test
    void whereItIsKeptForACrashTheDiskIsFull() throws Exception {
        Path recovery = t.w.settings.folder().resolve("recovery");
        mount(recovery);
        Path full = fill();
        RealWindow.fx(() -> {
            t.w.autosave.start();
            return null;
        });
        draw(50);
        t.until(() -> t.w.notices.told() != null);
        assertThat(told()).contains("can't be kept for the case of a crash").contains("save it yourself");
        RealWindow.fx(() -> {
            t.w.notices.hide();
            return null;
        });
        draw(100);
        RealWindow.fx(() -> {
            t.w.autosave.keep();
            return null;
        });
        t.settle();
        assertThat(told()).as("it is said once").isNull();
        assertThat(elements()).isEqualTo(2);
        Files.delete(full);
        draw(150);
        t.until(() -> t.w.autosave.settled());
        assertThat(told()).isNull();
        try (var kept = Files.walk(recovery)) {
            Path json = kept.filter(p -> p.endsWith("project.json")).findFirst().orElseThrow();
            assertThat(Files.readString(json).split("\"rectangle\"").length).as("all three are kept").isGreaterThanOrEqualTo(4);
        }
    }
}
