package tundra.core.file;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.FileTime;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.Properties;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tundra.core.edit.BringBack;
import tundra.core.geometry.Point;
import tundra.core.model.Asset;
import tundra.core.model.Board;
import tundra.core.model.Clock;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Motif;
import tundra.core.model.Project;
import tundra.core.model.Scene;
import tundra.core.model.Timeline;
import tundra.core.model.Values;
import tundra.core.motion.Easing;
import tundra.core.motion.Key;
import tundra.core.motion.Track;

/** What was saved before, and who else has a file open. */
class VersionsTest {
    private static final long DAY = Duration.ofDays(1).toMillis(), NOON = 20_000 * DAY + DAY / 2;
    @TempDir
    private Path folder;

    private static Element box(String id, double x) {
        return new Element(id, id, false, false, Values.NONE.with(tundra.core.model.Properties.POSITION, new Point(x, 0)), new Content.Rectangle());
    }

    private static Project piece(Element... elements) {
        var b = new Board(new Point(100, 100), Values.NONE, List.of(elements),
                List.of(new Timeline("m", Timeline.MAIN, 1_000_000, false, true, Map.of())), List.of());
        return new Project("p", "P", 24, List.of(new Scene("s", "S", b)), Map.of(), Map.of());
    }

    @Test
    void theLastSavesAndTheLastOfEachDayAreKept() throws Exception {
        var versions = new Versions(folder);
        // ten saves a day, for forty days
        for (int day = 0; day < 40; day++) {
            for (int i = 0; i < 10; i++) {
                versions.keep(piece(box("a", day * 10 + i)), new byte[] {1, 2, 3}, NOON + day * DAY + i * 1000);
            }
        }
        List<Versions.Version> all = versions.of(piece());
        assertThat(all.subList(0, 20)).extracting(Versions.Version::time).allMatch(t -> t >= NOON + 38 * DAY);
        assertThat(all.subList(20, all.size())).as("the last of each day").extracting(v -> (v.time() - NOON) % DAY).containsOnly(9000L);
        assertThat(all).hasSize(20 + 28);
        assertThat(versions.open(all.getLast()).project()).isEqualTo(piece(box("a", 10 * 10 + 9)));
        assertThat(all.getLast().picture()).hasBinaryContent(new byte[] {1, 2, 3});
        try (var in = Files.list(folder.resolve("p"))) {
            assertThat(in.filter(x -> x.toString().endsWith(".png"))).hasSize(all.size());
        }
        // the same once more is no version
        versions.keep(piece(box("a", 399)), null, NOON + 50 * DAY);
        assertThat(versions.of(piece())).hasSize(all.size());
    }

    @Test
    void filesLieThereOnceAndGoWithTheLastVersionThatNamesThem() throws Exception {
        var versions = new Versions(folder);
        Asset picture = Asset.picture("Ridge.png", "image/png", 1, 1, new byte[] {5, 6, 7});
        Project with = piece(box("a", 1)).withAsset(picture);
        versions.keep(with, null, NOON);
        for (int i = 0; i < 19; i++) {
            versions.keep(piece(box("a", 2 + i)), null, NOON + 1 + i);
        }
        versions.sweep();
        Path kept = folder.resolve("assets").resolve(picture.hash());
        assertThat(kept).exists();
        assertThat(versions.open(versions.of(with).getLast()).project().assets().get(picture.hash()).source().bytes()).containsExactly(5, 6, 7);
        versions.keep(piece(box("a", 99)), null, NOON + 100);
        versions.sweep();
        assertThat(kept).as("another window may be about to name what was written just now").exists();
        Files.setLastModifiedTime(kept, FileTime.fromMillis(System.currentTimeMillis() - Duration.ofHours(2).toMillis()));
        versions.sweep();
        assertThat(kept).doesNotExist();
        // what is damaged is no version, and hurts none
        Files.writeString(folder.resolve("p").resolve("12-nonsense.json.gz"), "x");
        assertThat(versions.of(with)).hasSize(20);
    }

    @Test
    void anElementComesBackWithItsKeysItsMotifAndItsPlace() {
        var lamp = new Motif("lamp", "Lamp", new Board(new Point(10, 10), Values.NONE, List.of(box("in", 0)),
                List.of(new Timeline("lm", Timeline.MAIN, 1_000_000, false, true, Map.of())), List.of()));
        var instance = new Element("i", "Lamp", false, false, Values.NONE, new Content.Instance("lamp", new Point(10, 10), Clock.OWN));
        Project then = piece(box("a", 1), instance, box("b", 2), box("c", 3)).withMotifs(List.of(lamp));
        var track = new Track<>(List.of(new Key<>(0, 0.0, Easing.LINEAR), new Key<>(500_000, 90.0, Easing.LINEAR)));
        then = then.mapBoard("s", x -> x.mapTimeline("m", t -> t.with("b", tundra.core.model.Properties.ROTATION, track)));
        Project now = piece(box("a", 1), box("b", 77), box("c", 3), box("d", 4));
        assertThat(BringBack.changed(now, then, "s")).extracting(Element::id).containsExactly("i", "b");
        Project out = BringBack.elements(now, then, "s", Set.of("i", "b"));
        Board board = out.scenes().getFirst().board();
        assertThat(board.elements()).extracting(Element::id).containsExactly("a", "i", "b", "c", "d");
        assertThat(board.find("b")).isEqualTo(then.scenes().getFirst().board().find("b"));
        assertThat(board.main().track("b", tundra.core.model.Properties.ROTATION)).isEqualTo(track);
        assertThat(out.motif("lamp")).isEqualTo(lamp);
        assertThat(BringBack.changed(out, then, "s")).isEmpty();
    }

    @Test
    void anotherProcessThatHasAFileOpenIsNoticedUntilItEnds() throws Exception {
        Path file = folder.resolve("piece.tundra"), mark = folder.resolve(".piece.tundra.open");
        assertThat(OpenMark.holder(file)).isNull();
        OpenMark own = OpenMark.put(file);
        assertThat(OpenMark.holder(file)).as("this process").isNull();
        var about = new Properties();
        try (var in = Files.newBufferedReader(mark)) {
            about.load(in);
        }
        Process other = new ProcessBuilder("sleep", "60").start();
        try {
            about.setProperty("process", String.valueOf(other.pid()));
            about.setProperty("started", String.valueOf(other.info().startInstant().orElseThrow().toEpochMilli()));
            store(about, mark);
            assertThat(OpenMark.holder(file).words()).isEqualTo("another window of Tundra");
            // a process that got its number later is another one
            about.setProperty("started", "1");
            store(about, mark);
            assertThat(OpenMark.holder(file)).isNull();
        } finally {
            other.destroyForcibly().waitFor();
        }
        about.setProperty("host", "fellmark");
        store(about, mark);
        assertThat(OpenMark.holder(file).words()).isEqualTo("Tundra on “fellmark”");
        Files.setLastModifiedTime(mark, FileTime.fromMillis(System.currentTimeMillis() - Duration.ofMinutes(11).toMillis()));
        assertThat(OpenMark.holder(file)).as("it has not said anything for long").isNull();
        Files.writeString(mark, "nonsense");
        assertThat(OpenMark.holder(file)).isNull();
        own.close();
        OpenMark.put(file).close();
        assertThat(mark).doesNotExist();
    }

    private static void store(Properties p, Path to) throws Exception {
        try (var out = Files.newBufferedWriter(to)) {
            p.store(out, null);
        }
    }
}
