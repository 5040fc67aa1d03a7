package tundra.core.file;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.networknt.schema.JsonSchemaFactory;
import com.networknt.schema.SpecVersion;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeSet;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tundra.core.edit.OutputEdits;
import tundra.core.edit.OutputRange;
import tundra.core.edit.OutputWords;
import tundra.core.edit.Rules;
import tundra.core.edit.Scenes;
import tundra.core.geometry.Point;
import tundra.core.model.LabelledSlot;
import tundra.core.model.Marker;
import tundra.core.model.Output;
import tundra.core.model.OutputKind;
import tundra.core.model.Outputs;
import tundra.core.model.Project;
import tundra.core.model.Slot;
import tundra.core.work.Progress;

/** What is made of a piece: the list of it in the file, its changes, and folders that are written to. */
class OutputFileTest {
    @TempDir
    private Path folder;

    private static Project piece() {
        return Project.empty("Two Lamps", new Point(320, 200), 24);
    }

    /** Something else than at first, for a slot. */
    private static Object other(Slot s, Project p) {
        return switch (s.type()) {
            case CHOICE -> s.choices().getLast();
            case NUMBER -> Math.min(s.max(), (Double) s.standard() + 3);
            case DURATION -> 1_250_000L;
            case SCENE -> p.scenes().getLast().id();
            case COLOR -> "#336699";
            case LINK -> "https://fellmark.example/";
            case TEXT -> "words & “more”";
            default -> s.standard();
        };
    }

    @Test
    void everySettingOfEveryKindComesBackFromTheFile() throws Exception {
        Project p = Scenes.add(piece(), null).project();
        p = p.withOutputs(List.of());
        for (OutputKind k : Outputs.ALL) {
            p = OutputEdits.add(p, k);
            Output o = p.outputs().getLast();
            for (LabelledSlot s : k.settings()) {
                p = OutputEdits.set(p, o.id(), s.slot(), other(s.slot(), p));
            }
            p = OutputEdits.map(p, o.id(), x -> x.withFile("out/" + k.key()));
        }
        Path file = folder.resolve("a.tundra");
        ProjectFile.write(p, file);
        Project back = ProjectFile.read(file);
        assertThat(back.outputs()).isEqualTo(p.outputs()).hasSize(8);
        // without a list of its own a piece has the usual ones, and a list that was emptied stays so
        ProjectFile.write(piece(), file);
        assertThat(ProjectFile.read(file).outputs()).isEqualTo(Outputs.USUAL);
        ProjectFile.write(piece().withOutputs(List.of()), file);
        assertThat(ProjectFile.read(file).outputs()).isEmpty();
    }

    @Test
    void whatNamesASceneThatIsGoneIsOfTheFirstOne() {
        Project p = Scenes.add(piece(), null).project();
        String second = p.scenes().getLast().id();
        Project named = OutputEdits.set(OutputEdits.set(p, "usual-film", Outputs.SCENES, second), "usual-loop", Outputs.SCENE, second);
        Project without = named.withScenes(List.of(named.scenes().getFirst()));
        Project kept = Rules.tidied(named, without);
        assertThat(kept.output("usual-film").text(Outputs.SCENES)).isEmpty();
        assertThat(kept.output("usual-loop").text(Outputs.SCENE)).isEmpty();
        Project all = OutputEdits.set(p, "usual-film", Outputs.SCENES, Slot.EVERYTHING);
        assertThat(Rules.tidied(p, all).output("usual-film").text(Outputs.SCENES)).isEqualTo(Slot.EVERYTHING);
        assertThat(OutputEdits.scene(all, all.output("usual-film"))).isNull();
    }

    @Test
    void namesFilesAndOrdersFollowWhatIsDone() {
        Project p = piece();
        assertThat(p.outputs().stream().map(o -> Outputs.file(p.name(), o)).toList()).containsExactly("two-lamps-page", "two-lamps-embed",
                "two-lamps-film.mp4", "two-lamps-loop.gif", "two-lamps-frames.png");
        Project named = OutputEdits.map(OutputEdits.rename(p, "usual-film", "For the class"), "usual-loop", o -> o.withFile("chat/wave.gif"));
        assertThat(Outputs.file("x", named.output("usual-film"))).isEqualTo("x-for-the-class.mp4");
        Project webp = OutputEdits.set(named, "usual-loop", Outputs.LOOP_FORMAT, "WebP");
        assertThat(webp.output("usual-loop").file()).as("the ending follows the format").isEqualTo("chat/wave.webp");
        Project series = OutputEdits.set(p, "usual-frames", Outputs.WHICH, "every frame");
        assertThat(Outputs.file("x", series.output("usual-frames"))).as("a folder").isEqualTo("x-frames");
        Project twice = OutputEdits.copy(named, "usual-film");
        assertThat(twice.outputs().get(3).name()).isEqualTo("For the class 2");
        assertThat(OutputEdits.rename(twice, "usual-loop", "For the class").output("usual-loop").name()).isEqualTo("For the class 3");
        assertThat(OutputEdits.move(p, "usual-page", 2).outputs().get(2).id()).isEqualTo("usual-page");
        assertThat(OutputEdits.move(p, "usual-page", -1)).isSameAs(p);
        assertThat(OutputEdits.remove(p, "usual-page").output("usual-page")).isNull();
        assertThat(OutputEdits.named(webp).output("usual-loop").file()).isEmpty();
        assertThat(OutputWords.of(p, OutputEdits.set(p, "usual-film", Outputs.WIDTH, 640.0).output("usual-film")))
                .isEqualTo("MP4 · 640×400 · 24 fps");
    }

    @Test
    void filesLeadNowhereElse() {
        for (String bad : List.of("..", "../a", "a/../../b", "/etc/a", "a//b", "C:\\a", "a\nb", ".", "a/./b", "")) {
            assertThat(Output.isFile(bad)).as(bad).isFalse();
        }
        assertThat(List.of("film.mp4", "out/für alle.gif", "a/b/c")).allMatch(Output::isFile);
        Project p = piece(), wrong = OutputEdits.map(p, "usual-film", o -> o.withFile("../x.mp4"));
        assertThat(Rules.refusal(p, wrong)).contains("can't be the name of a file");
        Project many = p;
        for (int i = 0; i < 200; i++) {
            many = OutputEdits.add(many, Outputs.LOOP);
        }
        assertThat(Rules.refusal(p, many)).contains("200 outputs");
    }

    @Test
    void exchangeFollowsItsSchema() throws Exception {
        var schema = JsonSchemaFactory.getInstance(SpecVersion.VersionFlag.V202012)
                .getSchema(Files.readString(Path.of("../docs/tundra-timelines-1.schema.json")));
        Project demo = ProjectFile.read(Path.of("../samples/open-night.tundra"));
        String json = Exchange.json(demo);
        assertThat(schema.validate(json, com.networknt.schema.InputFormat.JSON)).isEmpty();
        var root = Json.MAPPER.readTree(json);
        assertThat(root.get("boards")).hasSize(demo.places().size());
        var keys = new TreeSet<Double>();
        root.get("boards").forEach(b -> b.get("timelines")
                .forEach(t -> t.get("tracks").forEach(x -> x.get("keys").forEach(k -> keys.add(k.get("seconds").asDouble())))));
        assertThat(keys.last()).isLessThanOrEqualTo(60).isGreaterThan(5);
        assertThat(schema.validate(json.replaceFirst("\"kind\" : \"scene\"", "\"kind\" : \"room\""), com.networknt.schema.InputFormat.JSON))
                .isNotEmpty();
    }

    private static Map<String, OutputFolder.Part> parts(String... names) {
        var out = new LinkedHashMap<String, OutputFolder.Part>();
        for (String n : names) {
            out.put(n, () -> new ByteArrayInputStream(n.getBytes(StandardCharsets.UTF_8)));
        }
        return out;
    }

    @Test
    void aFolderKeepsWhatIsOfOthersAndTheVersionBefore() throws Exception {
        Path to = folder.resolve("series");
        Files.createDirectories(to);
        Files.writeString(to.resolve("mine.txt"), "mine");
        OutputFolder.write("The pictures", parts("1.png", "2.png"), null, to, false, Progress.NONE);
        OutputFolder.write("The pictures", parts("1.png"), null, to, false, Progress.NONE);
        assertThat(to.resolve("2.png")).as("of the version before").exists();
        OutputFolder.write("The pictures", parts("1.png"), null, to, false, Progress.NONE);
        assertThat(to.resolve("2.png")).doesNotExist();
        assertThat(to.resolve("mine.txt")).hasContent("mine");
        // one that breaks in the middle changes nothing
        var broken = parts("1.png", "3.png");
        broken.put("3.png", () -> {
            throw new IOException("broken");
        });
        assertThatThrownBy(() -> OutputFolder.write("The pictures", broken, null, to, false, Progress.NONE)).isInstanceOf(FileProblem.class)
                .hasMessageContaining("(broken)");
        try (var all = Files.list(to)) {
            assertThat(all.map(x -> x.getFileName().toString()).sorted().toList()).containsExactly(".tundra-files", "1.png", "mine.txt");
        }
        assertThat(OutputFolder.write("The pictures", parts("1.png", "2.png"), null, to, false, Progress.of(x -> { }, () -> true))).isFalse();
        assertThat(to.resolve("2.png")).doesNotExist();
    }

    @Test
    void theFingerprintTellsWhatChanged() {
        Project p = piece();
        String now = Fingerprint.of(p);
        assertThat(Fingerprint.of(OutputEdits.rename(p, "usual-film", "X"))).isEqualTo(now);
        assertThat(Fingerprint.of(p.withFrameRate(25))).isNotEqualTo(now);
        Output film = p.output("usual-film");
        assertThat(Fingerprint.of(now, film.with(Outputs.WIDTH, 100.0))).isNotEqualTo(Fingerprint.of(now, film));
        assertThat(Fingerprint.of(now, film.withName("X"))).isEqualTo(Fingerprint.of(now, film));
    }

    /** A marker says where a range begins or ends; once it is gone the times say it again. */
    @Test
    void aRangeGoesByMarkersUntilTheyAreGone() throws Exception {
        Project p = piece();
        String scene = p.scenes().getFirst().id();
        p = p.mapBoard(scene, b -> b.mapTimeline(b.main().id(), t -> t.withDuration(4_000_000)
                .withMarkers(List.of(new Marker("a", "In", 500_000), new Marker("z", "Out", 2_500_000)))));
        Output o = Outputs.FILM.made("o", "Film").with(Outputs.FROM, 1_000_000L).with(Outputs.FROM_MARKER, "a").with(Outputs.UNTIL_MARKER, "z");
        p = p.withOutputs(List.of(o));
        assertThat(OutputRange.of(o, p.scenes().getFirst().board())).isEqualTo(new OutputRange(500_000, 2_500_000));
        Project read = ProjectFile.read(ProjectFile.bytes(p));
        assertThat(read.outputs()).isEqualTo(p.outputs());
        Project without = p.mapBoard(scene, b -> b.mapTimeline(b.main().id(), t -> t.withMarkers(List.of(t.markers().getLast()))));
        Output tidy = Rules.tidied(p, without).outputs().getFirst();
        assertThat(tidy.settings().get(Outputs.FROM_MARKER)).isEqualTo("");
        assertThat(OutputRange.of(tidy, without.scenes().getFirst().board())).isEqualTo(new OutputRange(1_000_000, 2_500_000));
        Output back = o.with(Outputs.FROM_MARKER, "z").with(Outputs.UNTIL_MARKER, "a");
        assertThat(OutputRange.of(back, p.scenes().getFirst().board()).problem())
                .isEqualTo("There is nothing between 2.5 s and 0.5 s; choose another range. Nothing was written.");
    }
}
