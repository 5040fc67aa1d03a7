package tundra.core.file;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.BufferedReader;
import java.io.InputStreamReader;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.nio.file.attribute.FileTime;
import java.nio.file.attribute.PosixFilePermissions;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.EnabledOnOs;
import org.junit.jupiter.api.condition.OS;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tundra.core.geometry.Point;
import tundra.core.model.Asset;
import tundra.core.model.AssetData;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Ids;
import tundra.core.model.Limits;
import tundra.core.model.Project;
import tundra.core.model.Values;

/** What is saved opens, and nothing that goes wrong while saving costs the old file. */
class SavingTest {
    private static final int KILLS = Integer.getInteger("saving.kills", 20);
    @TempDir
    private Path folder;

    private static Project empty(String name) {
        return Project.empty(name, new Point(100, 100), 24);
    }

    private static Project with(Project p, Element e) {
        return p.mapBoard(p.scenes().getFirst().id(), b -> b.withElements(List.of(e)));
    }

    private List<String> names() throws Exception {
        try (var all = Files.list(folder)) {
            return all.map(p -> p.getFileName().toString()).sorted().toList();
        }
    }

    @ParameterizedTest
    @ValueSource(strings = {"image/png", "image/jpeg", "image/webp", "image/gif", "audio/wav", "audio/mpeg", "audio/ogg", "audio/flac", "audio/mp4",
            "font/ttf", "font/otf"})
    void everyKindOfFileOnTheShelfIsThereAgain(String type) throws Exception {
        byte[] data = new byte[5000];
        new Random(7).nextBytes(data);
        var asset = new Asset(Asset.hash(data), "thing", type, 10, 10, 1000, data);
        Path file = folder.resolve("a.tundra");
        ProjectFile.write(empty("Shelf").withAsset(asset), file);
        Asset back = ProjectFile.read(file).assets().get(asset.hash());
        assertThat(back.mediaType()).isEqualTo(type);
        assertThat(back.data()).isEqualTo(data);
    }

    @Test
    void largeFilesOfTheShelfAreReadWhenTheyAreAskedForAlsoWhenTheProjectsFileWasSavedOver() throws Exception {
        byte[] large = new byte[3 << 20], small = new byte[500];
        new Random(8).nextBytes(large);
        Asset sound = Asset.sound("wind.wav", "audio/wav", 1000, large), picture = Asset.picture("dot.png", "image/png", 4, 4, small);
        Path file = folder.resolve("a.tundra"), other = folder.resolve("b.tundra");
        ProjectFile.write(empty("Shelf").withAsset(sound).withAsset(picture), file);
        Project opened = ProjectFile.read(file);
        assertThat(opened.assets().get(sound.hash()).source()).isInstanceOf(ZipData.class);
        assertThat(opened.assets().get(picture.hash()).source()).as("what is small is held").isInstanceOf(AssetData.Held.class);
        // the same from a project that was never read so far
        ProjectFile.write(opened, other);
        assertThat(ProjectFile.read(other).assets().get(sound.hash()).data()).isEqualTo(large);
        ProjectFile.write(empty("Without"), file);
        ProjectFile.write(empty("Without, again"), file);
        assertThat(opened.assets().get(sound.hash()).data()).isEqualTo(large);
        assertThat(opened.assets().get(picture.hash()).data()).isEqualTo(small);
    }

    @Test
    void whatAnotherProgramSpoiltIsNamedAndDoesNotReplaceTheFile() throws Exception {
        byte[] large = new byte[1 << 20];
        Path file = folder.resolve("a.tundra"), target = folder.resolve("b.tundra");
        ProjectFile.write(empty("Shelf").withAsset(Asset.sound("wind.wav", "audio/wav", 1000, large)), file);
        Project opened = ProjectFile.read(file);
        ProjectFile.write(empty("Before"), target);
        byte[] before = Files.readAllBytes(target);
        try (var ch = FileChannel.open(file, StandardOpenOption.WRITE)) {
            ch.write(ByteBuffer.wrap(new byte[] {1, 2, 3}), Files.size(file) / 2);
        }
        assertThatThrownBy(() -> ProjectFile.write(opened, target)).isInstanceOf(FileProblem.class)
                .hasMessageContaining("“b.tundra” was not saved").hasMessageContaining("can't be read from “a.tundra” any more");
        assertThat(Files.readAllBytes(target)).isEqualTo(before);
    }

    @Test
    void whatCouldNotBeOpenedAgainDoesNotReplaceTheFile() throws Exception {
        Path file = folder.resolve("a.tundra");
        ProjectFile.write(empty("Before"), file);
        byte[] before = Files.readAllBytes(file);
        var tooLong = new Element("Long", new Content.Text("a".repeat(Limits.TEXT_CHARS + 1), "Figtree", 400, 20, Content.Align.LEFT, 1.2),
                Values.NONE);
        assertThatThrownBy(() -> ProjectFile.write(with(empty("After"), tooLong), file)).isInstanceOf(FileProblem.class)
                .hasMessageContaining("was not saved").hasMessageContaining("The file is as it was").hasMessageContaining("a.tundra.unsaved");
        Element e = new Element("Deep", new Content.Rectangle(), Values.NONE);
        for (int i = 0; i < 1000; i++) {
            e = new Element(Ids.next(), "Group " + i, false, false, Values.NONE, new Content.Group(List.of(e), new Point(1, 1), null));
        }
        Project deep = with(empty("After"), e);
        assertThatThrownBy(() -> ProjectFile.write(deep, file)).isInstanceOf(FileProblem.class)
                .hasMessageContaining("was not saved").hasMessageContaining("deeper").hasMessageContaining("The file is as it was");
        assertThat(Files.readAllBytes(file)).isEqualTo(before);
        assertThat(names()).containsExactly("a.tundra", "a.tundra.unsaved");
        assertThat(Files.size(folder.resolve("a.tundra.unsaved"))).isGreaterThan(300);
        // the next save goes on as ever
        ProjectFile.write(empty("After"), file);
        assertThat(ProjectFile.read(file).name()).isEqualTo("After");
    }

    @Test
    void aLinkIsFollowedAndRightsStay() throws Exception {
        Path real = Files.createDirectories(folder.resolve("elsewhere")).resolve("real.tundra"), link = folder.resolve("link.tundra");
        ProjectFile.write(empty("One"), real);
        Files.setPosixFilePermissions(real, PosixFilePermissions.fromString("rw-r-----"));
        Files.createSymbolicLink(link, real);
        ProjectFile.write(empty("Two"), link);
        assertThat(Files.isSymbolicLink(link)).isTrue();
        assertThat(ProjectFile.read(real).name()).isEqualTo("Two");
        assertThat(PosixFilePermissions.toString(Files.getPosixFilePermissions(real))).isEqualTo("rw-r-----");
        assertThat(ProjectFile.read(folder.resolve("elsewhere/real.tundra.previous")).name()).isEqualTo("One");
        // a link to a file that isn't there yet
        Path loose = folder.resolve("loose.tundra");
        Files.createSymbolicLink(loose, Path.of("elsewhere", "new.tundra"));
        ProjectFile.write(empty("Three"), loose);
        assertThat(Files.isSymbolicLink(loose)).isTrue();
        assertThat(ProjectFile.read(folder.resolve("elsewhere/new.tundra")).name()).isEqualTo("Three");
    }

    @Test
    void longNamesAreSavedAndTheirVersionBefore() throws Exception {
        Path file = folder.resolve("n".repeat(241) + ".tundra");
        ProjectFile.write(empty("One"), file);
        ProjectFile.write(empty("Two"), file);
        assertThat(ProjectFile.read(file).name()).isEqualTo("Two");
        assertThat(names()).hasSize(2).anyMatch(n -> n.endsWith(".previous"));
        Path umlauts = folder.resolve("ö".repeat(120) + ".tundra");
        ProjectFile.write(empty("One"), umlauts);
        ProjectFile.write(empty("Two"), umlauts);
        assertThat(ProjectFile.read(umlauts).name()).isEqualTo("Two");
    }

    @Test
    void leftOversOfKilledSavesAreSweptAndThoseOfRunningOnesAreNot() throws Exception {
        Path file = folder.resolve("a.tundra"), dead = Files.write(folder.resolve(".tundra-dead.saving"), new byte[99]);
        Path running = folder.resolve(".tundra-running.saving"), other = Files.write(folder.resolve(".mine.saving"), new byte[9]);
        Path fresh = Files.write(folder.resolve(".tundra-fresh.saving"), new byte[9]);
        Files.write(running, new byte[9]);
        old(dead);
        old(running);
        old(other);
        try (var ch = FileChannel.open(running, StandardOpenOption.CREATE, StandardOpenOption.WRITE); var lock = ch.lock()) {
            ProjectFile.write(empty("One"), file);
            assertThat(dead).doesNotExist();
            assertThat(running).exists();
            assertThat(other).exists();
            assertThat(fresh).as("another save may be about to lock it").exists();
        }
        ProjectFile.write(empty("Two"), file);
        assertThat(running).doesNotExist();
    }

    private static void old(Path file) throws Exception {
        Files.setLastModifiedTime(file, FileTime.fromMillis(System.currentTimeMillis() - 3_600_000));
    }

    /** Saves of several files in one folder at once: none takes the temporary file of another away. */
    @Test
    void savesSideBySideAllArrive() throws Exception {
        var wrong = new ConcurrentLinkedQueue<String>();
        try (var threads = Executors.newFixedThreadPool(8)) {
            for (int n = 0; n < 8; n++) {
                Path file = folder.resolve("piece" + n + ".tundra");
                threads.submit(() -> {
                    for (int i = 0; i < 40; i++) {
                        try {
                            ProjectFile.write(empty("Round " + i), file);
                        } catch (Exception e) {
                            wrong.add(file.getFileName() + ", round " + i + ": " + e.getMessage());
                        }
                    }
                });
            }
        }
        assertThat(wrong).isEmpty();
        for (int n = 0; n < 8; n++) {
            assertThat(ProjectFile.read(folder.resolve("piece" + n + ".tundra")).name()).isEqualTo("Round 39");
        }
    }

    @Test
    void savingThatIsKilledLeavesAWholeFile() throws Exception {
        byte[] noise = new byte[4 << 20];
        new Random(3).nextBytes(noise);
        Path file = folder.resolve("a.tundra");
        ProjectFile.write(empty("Start").withAsset(new Asset(Asset.hash(noise), "noise", "audio/wav", 0, 0, 1000, noise)), file);
        int killed = 0;
        var random = new Random(11);
        for (int i = 0; i < KILLS; i++) {
            Process p = new ProcessBuilder(Path.of(System.getProperty("java.home"), "bin", "java").toString(), "-XX:TieredStopAtLevel=1", "-cp",
                    System.getProperty("java.class.path"),
                    SavesOnAndOn.class.getName(), file.toString()).redirectErrorStream(true).start();
            var told = new BufferedReader(new InputStreamReader(p.getInputStream(), StandardCharsets.UTF_8));
            assertThat(told.readLine()).isEqualTo("saving");
            // not a wait for anything: the moment of the kill is meant to be any
            killed += p.waitFor(random.nextInt(120), TimeUnit.MILLISECONDS) ? 0 : 1;
            p.destroyForcibly().waitFor();
            assertThat(ProjectFile.read(file).assets()).hasSize(1);
            Path before = folder.resolve("a.tundra.previous");
            if (Files.exists(before)) {
                assertThat(ProjectFile.read(before).assets()).hasSize(1);
            }
        }
        assertThat(killed).isEqualTo(KILLS);
        try (var all = Files.list(folder)) {
            for (Path p : all.toList()) {
                old(p);
            }
        }
        ProjectFile.write(ProjectFile.read(file), file);
        assertThat(names()).containsExactly("a.tundra", "a.tundra.previous");
    }

    /** Run as a process of its own, to be killed. */
    static final class SavesOnAndOn {
        public static void main(String[] args) throws Exception {
            Path file = Path.of(args[0]);
            Project p = ProjectFile.read(file);
            System.out.println("saving");
            for (int i = 0; ; i++) {
                ProjectFile.write(p.withName("Version " + i), file);
            }
        }
    }

    @Test
    void whatCantBeWrittenIsSaidInOneSentence() throws Exception {
        assertThatThrownBy(() -> ProjectFile.write(empty("A"), folder)).hasMessageContaining("it is a folder");
        Path file = Files.write(folder.resolve("file"), new byte[3]);
        assertThatThrownBy(() -> ProjectFile.write(empty("A"), file.resolve("a.tundra"))).isInstanceOf(FileProblem.class)
                .hasMessageContaining("can't be saved");
        var bad = new ArrayList<String>(names());
        assertThat(bad).containsExactly("file");
    }

    /** The system's folder of processes takes no files from anybody, also not from root. */
    @Test
    @EnabledOnOs(OS.LINUX)
    void aFolderThatTakesNoFiles() {
        assertThatThrownBy(() -> ProjectFile.write(empty("A"), Path.of("/proc/a.tundra"))).isInstanceOf(FileProblem.class)
                .hasMessageStartingWith("“a.tundra” can't be saved in /proc (")
                .hasMessageEndingWith("). The project is still open; save it to another folder.");
    }
}
