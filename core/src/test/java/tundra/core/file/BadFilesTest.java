package tundra.core.file;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.catchThrowable;

import java.io.ByteArrayOutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import tundra.core.geometry.Point;
import tundra.core.model.Drawing;
import tundra.core.model.Element;
import tundra.core.model.Flipbook;
import tundra.core.model.Limits;
import tundra.core.model.Project;
import tundra.core.model.Values;

/** Every kind of broken file gives one clear sentence that names the file. */
class BadFilesTest {
    private static final Project GOOD = ProjectFileTest.random(5);
    @TempDir
    private Path folder;

    private static byte[] zip(Map<String, byte[]> entries) throws Exception {
        var out = new ByteArrayOutputStream();
        try (var z = new ZipOutputStream(out)) {
            for (var e : entries.entrySet()) {
                z.putNextEntry(new ZipEntry(e.getKey()));
                z.write(e.getValue());
            }
        }
        return out.toByteArray();
    }

    private static Map<String, byte[]> parts() {
        var m = new LinkedHashMap<String, byte[]>();
        m.put("mimetype", Limits.MIME.getBytes(StandardCharsets.US_ASCII));
        m.put("project.json", ProjectWriter.write(GOOD).getBytes(StandardCharsets.UTF_8));
        GOOD.assets().values().forEach(a -> m.put("assets/" + a.hash() + ".png", a.data()));
        return m;
    }

    private static byte[] with(String entry, byte[] data) throws Exception {
        var m = parts();
        m.put(entry, data);
        return zip(m);
    }

    private static byte[] without(String start) throws Exception {
        var m = parts();
        m.keySet().removeIf(k -> k.startsWith(start));
        return zip(m);
    }

    private static byte[] json(UnaryOperator<String> change) throws Exception {
        String good = ProjectWriter.write(GOOD), bad = change.apply(good);
        assertThat(bad).as("the change must change something").isNotEqualTo(good);
        return with("project.json", bad.getBytes(StandardCharsets.UTF_8));
    }

    private static byte[] replaced(String from, String to) throws Exception {
        return json(s -> s.replaceFirst(from, to));
    }

    private static byte[] deep() throws Exception {
        return replaced("\"frameRate\"", "\"x\":" + "[".repeat(5000) + "]".repeat(5000) + ",\"frameRate\"");
    }

    /** A project of one flipbook, with a change in its text. */
    private static byte[] flipbook(String from, String to) throws Exception {
        Point box = new Point(10, 10);
        var book = new Flipbook(List.of(new Drawing(Flipbook.blank("a", box).withId("art-a"), 0, 4),
                new Drawing(Flipbook.blank("b", box).withId("art-b"), 6, 2)), box, 24,
                Flipbook.Ending.LOOP);
        Project p = Project.empty("Book", new Point(100, 100), 24);
        p = p.mapBoard(p.scenes().getFirst().id(), b -> b.withElements(List.of(new Element("Hare", book, Values.NONE))));
        String good = ProjectWriter.write(p), bad = good.replaceFirst(from, to);
        assertThat(bad).as("the change must change something").isNotEqualTo(good);
        return zip(Map.of("mimetype", Limits.MIME.getBytes(StandardCharsets.US_ASCII), "project.json", bad.getBytes(StandardCharsets.UTF_8)));
    }

    static Stream<Arguments> broken() throws Exception {
        byte[] good = ProjectFile.bytes(GOOD);
        return Stream.of(
                Arguments.of("drawings that share a frame", flipbook("\"start\" : 6", "\"start\" : 3"), "lies within the drawing before it"),
                Arguments.of("a drawing for no frame", flipbook("\"frames\" : 4", "\"frames\" : 0"), "whole number from 1"),
                Arguments.of("a drawing that starts before all", flipbook("\"start\" : 0", "\"start\" : -2"), "whole number from 0"),
                Arguments.of("an ending that isn't known", flipbook("\"loop\"", "\"bounce\""), "should be loop, hold or vanish"),
                Arguments.of("a drawing that is no group", flipbook("\"group\"", "\"ellipse\""), "should be a group"),
                Arguments.of("a rate of nothing", flipbook("\"rate\" : 24", "\"rate\" : 0"), "whole number from 1"),
                Arguments.of("empty", new byte[0], "empty"),
                Arguments.of("not a zip", "hello there, I am a text".getBytes(StandardCharsets.UTF_8), "not a Tundra project"),
                Arguments.of("cut short", Arrays.copyOf(good, good.length * 2 / 3), "damaged or cut short"),
                Arguments.of("cut in the directory", Arrays.copyOf(good, good.length - 30), "damaged or cut short"),
                Arguments.of("another zip", zip(Map.of("a.txt", new byte[] {1})), "not a Tundra project"),
                Arguments.of("wrong type", with("mimetype", "application/zip".getBytes(StandardCharsets.US_ASCII)), "not a Tundra project"),
                Arguments.of("path out", with("../evil.sh", new byte[] {1}), "forbidden name"),
                Arguments.of("absolute path", with("/etc/evil", new byte[] {1}), "forbidden name"),
                Arguments.of("windows path", with("c:\\evil", new byte[] {1}), "forbidden name"),
                Arguments.of("no project", without("project.json"), "not a Tundra project"),
                Arguments.of("missing picture", without("assets/"), "is missing"),
                Arguments.of("damaged picture", with("assets/" + GOOD.assets().keySet().iterator().next() + ".png", new byte[] {9}), "is damaged"),
                Arguments.of("half a JSON", json(s -> s.substring(0, s.length() / 2)), "near line"),
                Arguments.of("deep JSON", deep(), "is damaged and can't be read"),
                Arguments.of("not an object", with("project.json", "[1]".getBytes(StandardCharsets.UTF_8)), "should be an object"),
                Arguments.of("newer schema", replaced("\"tundra\" : 2", "\"tundra\" : 99"), "newer Tundra"),
                Arguments.of("not a number", replaced("\"frameRate\" : 24", "\"frameRate\" : NaN"), "near line"),
                Arguments.of("number as text", replaced("\"frameRate\" : 24", "\"frameRate\" : \"24\""), "frameRate"),
                Arguments.of("huge number", replaced("\"size\" : \\[ 300.0", "\"size\" : [ 1e999"), "size"),
                Arguments.of("negative size", replaced("\"size\" : \\[ 300.0", "\"size\" : [ -300.0"), "size"),
                Arguments.of("huge picture", replaced("\"width\" : 3", "\"width\" : 50000"), "width"),
                Arguments.of("wrong reference", replaced("\"event\" : \"tapped\",\\s+\"element\" : \"[a-z0-9]+\"",
                        "\"event\" : \"tapped\", \"element\" : \"nobody\""), "isn't there"),
                Arguments.of("keys of nobody", replaced("\"keys\" : \\{", "\"keys\" : { \"nobody\" : {},"), "isn't there"),
                Arguments.of("id used twice", json(s -> s.replace(GOOD.scenes().getFirst().id(), GOOD.id())), "used twice"),
                Arguments.of("unknown easing", replaced("\"easing\" : \"[^\"]+\"", "\"easing\" : \"swoosh\""), "easing"),
                Arguments.of("gradient without stops", replaced("\"stops\" : \\[[^\\]]*\\]", "\"stops\" : [ ]"), "1 to 100 stops"),
                Arguments.of("unknown kind of gradient", replaced("\"gradient\" : \"\\w+\"", "\"gradient\" : \"spiral\""),
                "a word that Tundra doesn't know"),
                Arguments.of("ruler line that is no number", replaced("\"at\" : 12.5", "\"at\" : \"left\""), "a ruler line"),
                Arguments.of("keys out of order", replaced("\"at\" : (\\d+),(\\s+\"value\")", "\"at\" : 2999999,$2"), "after the key before"),
                Arguments.of("unknown element type", replaced("\"type\" : \"[a-z]+\"", "\"type\" : \"hologram\""), "hologram"),
                Arguments.of("no scenes", json(s -> "{\"tundra\":1,\"id\":\"x\",\"name\":\"n\",\"frameRate\":24,\"scenes\":[],\"assets\":[]}"),
                "scenes"));
    }

    @ParameterizedTest(name = "{0}")
    @MethodSource("broken")
    void isRefusedWithOneSentence(String kind, byte[] bytes, String words) throws Exception {
        Path file = folder.resolve("bad.tundra");
        Files.write(file, bytes);
        Throwable t = catchThrowable(() -> ProjectFile.read(file));
        assertThat(t).isInstanceOf(FileProblem.class);
        assertThat(t.getMessage()).startsWith("“bad.tundra” can't be opened: ").contains(words).endsWith("Nothing was changed.").doesNotContain("\n")
                .doesNotContain("Exception");
        assertThat(t.getMessage().length()).isLessThan(400);
        assertThat(Files.readAllBytes(file)).isEqualTo(bytes);
    }

    @Test
    void aFileThatIsNotThereAndAFolderAreSaidSo() {
        assertThat(catchThrowable(() -> ProjectFile.read(folder.resolve("none.tundra")))).hasMessageContaining("isn't there");
        assertThat(catchThrowable(() -> ProjectFile.read(folder))).hasMessageContaining("it is a folder");
    }

    @Test
    void aZipThatUnpacksWithoutEndIsStopped() throws Exception {
        // 300 MB of zeros pack to 300 kB
        var out = new ByteArrayOutputStream();
        try (var z = new ZipOutputStream(out)) {
            z.putNextEntry(new ZipEntry("assets/bomb"));
            byte[] zeros = new byte[1 << 20];
            for (int i = 0; i < 300; i++) {
                z.write(zeros);
            }
        }
        assertThat(catchThrowable(() -> ProjectFile.read(out.toByteArray()))).hasMessageContaining("unpacks to more");
    }
}
