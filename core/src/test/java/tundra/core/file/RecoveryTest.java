package tundra.core.file;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.BufferedReader;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Random;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tundra.core.geometry.Point;
import tundra.core.model.Asset;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Project;
import tundra.core.model.Values;

/** What is worked on outlives the process. */
class RecoveryTest {
    private static final Asset SNOW = Asset.picture("snow.png", "image/png", 4, 4, new byte[] {1, 2, 3, 4});
    private static final int KILLS = Integer.getInteger("keeping.kills", 6);
    @TempDir
    private Path folder;

    private Recovery recovery() {
        return new Recovery(folder.resolve("recovery"));
    }

    private static Project piece(String name) {
        Project p = Project.empty(name, new Point(100, 80), 24).withAsset(SNOW);
        return p.mapBoard(p.scenes().getFirst().id(),
                b -> b.withElements(List.of(new Element("pic", "Pic", false, false, Values.NONE, new Content.Picture(SNOW.hash())))));
    }

    @Test
    void whatARunningProcessHoldsIsItsOwnAndIsGoneWhenItCloses() throws Exception {
        try (Recovery.Slot slot = recovery().begin()) {
            slot.keep(piece("Mine"), null, new byte[] {9});
            assertThat(recovery().found()).as("it is open").isEmpty();
            slot.keep(piece("Mine again"), folder.resolve("mine.tundra"), null);
        }
        assertThat(recovery().found()).isEmpty();
        recovery().sweep();
        try (var left = Files.walk(folder)) {
            assertThat(left.filter(Files::isRegularFile)).isEmpty();
        }
    }

    @Test
    void whatWasSavedIsNotAtRisk() throws Exception {
        Project p = piece("Saved");
        String kept = killedAfter(folder, "saved");
        assertThat(kept).isEqualTo("saved");
        assertThat(recovery().found()).isEmpty();
        assertThat(p.assets()).hasSize(1);
    }

    @Test
    void aKilledProcessLeavesItsPieceToGoOnWith() throws Exception {
        killedAfter(folder, "kept");
        List<Recovery.Found> found = recovery().found();
        assertThat(found).hasSize(1);
        Recovery.Found f = found.getFirst();
        assertThat(f.name()).isEqualTo("Kept");
        assertThat(f.file()).isEqualTo(folder.resolve("kept.tundra"));
        assertThat(f.picture()).containsExactly(7, 7);
        assertThat(System.currentTimeMillis() - f.time()).isBetween(0L, 60_000L);
        ProjectFile.Opened opened = recovery().open(f);
        assertThat(opened.leftOut()).isEmpty();
        assertThat(opened.project().scenes().getFirst().board().elements()).hasSize(1);
        assertThat(opened.project().assets().get(SNOW.hash()).data()).containsExactly(1, 2, 3, 4);
        assertThat(folder.resolve("kept.tundra")).as("never the user's own file").doesNotExist();
        recovery().drop(f);
        assertThat(recovery().found()).isEmpty();
        assertThat(opened.project().assets().get(SNOW.hash()).data()).as("it still has what was brought in").hasSize(4);
        assertThat(folder.resolve("recovery/assets/" + SNOW.hash())).doesNotExist();
    }

    /** Killed at any moment, what is found is a whole version, and no older than the last that was told to be kept. */
    @Test
    void killedAtAnyMomentTheVersionIsWhole() throws Exception {
        var random = new Random(5);
        for (int i = 0; i < KILLS; i++) {
            Process p = start(folder, "on");
            var told = new BufferedReader(new InputStreamReader(p.getInputStream(), StandardCharsets.UTF_8));
            assertThat(told.readLine()).isEqualTo("begun");
            // not a wait for anything: the moment of the kill is meant to be any
            assertThat(p.waitFor(40 + random.nextInt(160), TimeUnit.MILLISECONDS)).isFalse();
            // by its handle, which leaves what it told to be read
            p.toHandle().destroyForcibly();
            p.waitFor();
            int last = 0;
            for (String line; (line = told.readLine()) != null; ) {
                last = line.matches("\\d+") ? Integer.parseInt(line) : last;
            }
            Recovery.Found f = recovery().found().getFirst();
            Project kept = recovery().open(f).project();
            assertThat(Integer.parseInt(kept.name())).isBetween(last, last + 1);
            recovery().drop(f);
        }
    }

    private static Process start(Path folder, String how) throws Exception {
        return new ProcessBuilder(Path.of(System.getProperty("java.home"), "bin", "java").toString(), "-XX:TieredStopAtLevel=1", "-cp",
                System.getProperty("java.class.path"),
                Keeps.class.getName(), folder.toString(), how).redirectError(ProcessBuilder.Redirect.DISCARD).start();
    }

    private static String killedAfter(Path folder, String how) throws Exception {
        Process p = start(folder, how);
        String told = new BufferedReader(new InputStreamReader(p.getInputStream(), StandardCharsets.UTF_8)).readLine();
        p.destroyForcibly().waitFor();
        return told;
    }

    /** Run as a process of its own, to be killed. */
    static final class Keeps {
        private Keeps() {}

        public static void main(String[] args) throws Exception {
            Path folder = Path.of(args[0]);
            Recovery.Slot slot = new Recovery(folder.resolve("recovery")).begin();
            switch (args[1]) {
                case "kept" -> slot.keep(piece("Kept"), folder.resolve("kept.tundra"), new byte[] {7, 7});
                case "saved" -> {
                    slot.keep(piece("Saved"), null, null);
                    slot.clear();
                }
                default -> {
                    slot.keep(piece("0"), null, null);
                    System.out.println("begun");
                    for (int i = 1; ; i++) {
                        slot.keep(piece(String.valueOf(i)), null, null);
                        System.out.println(i);
                    }
                }
            }
            System.out.println(args[1]);
            Thread.currentThread().join();
        }
    }
}
