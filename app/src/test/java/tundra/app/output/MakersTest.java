package tundra.app.output;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.concurrent.CancellationException;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tundra.app.cli.CommandLine;
import tundra.core.file.FileProblem;
import tundra.core.file.ProjectFile;
import tundra.core.geometry.Point;
import tundra.core.model.Asset;
import tundra.core.model.Color;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Output;
import tundra.core.model.OutputKind;
import tundra.core.model.Outputs;
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.core.model.Timeline;
import tundra.core.model.Values;
import tundra.core.motion.Easing;
import tundra.core.motion.Key;
import tundra.core.motion.Track;
import tundra.core.work.Progress;

/** Every kind of output in every format: made whole, refused with one sentence, or given up without a trace. */
class MakersTest {
    @TempDir
    private Path folder;

    private static Project piece() {
        Project p = Project.empty("Two Lamps", new Point(128, 96), 12);
        var box = new Element("box", "Box", false, false, Values.NONE.with(Properties.POSITION, new Point(30, 40))
                .with(Properties.SIZE, new Point(30, 30)).with(Properties.FILL, Color.parse("#C8503C")), new Content.Rectangle());
        var words = new Element("words", "Words", false, false, Values.NONE.with(Properties.POSITION, new Point(64, 80))
                .with(Properties.FILL, Color.BLACK), new Content.Text("Come", "Figtree", 600, 14, Content.Align.LEFT, 1.2));
        var track = new Track<>(List.of(new Key<>(0, new Point(30, 40), Easing.LINEAR), new Key<>(500_000, new Point(90, 40), Easing.LINEAR)));
        return p.mapBoard(p.scenes().getFirst().id(), b -> b.withElements(List.of(box, words))
                .withTimelines(List.of(new Timeline(b.main().id(), Timeline.MAIN, 500_000, false, true, Map.of()).with("box", Properties.POSITION,
                track))));
    }

    /** Each kind as it is at first, and in each of its formats and ways. */
    private static List<Output> all() {
        var out = new ArrayList<Output>();
        for (OutputKind k : Outputs.ALL) {
            out.add(k.made("o" + out.size(), k.label()));
            k.settings().stream().filter(s -> s.slot().key().matches("format|as|which|pictures|back")).forEach(s -> s.slot().choices().stream()
                    .skip(1)
                    .filter(c -> !c.equals("each marker")).forEach(c -> out.add(k.made("o" + out.size(), k.label()).with(s.slot(), c))));
        }
        return out;
    }

    private static TreeMap<String, String> files(Path of) throws Exception {
        var out = new TreeMap<String, String>();
        if (Files.exists(of)) {
            try (var all = Files.walk(of)) {
                for (Path p : all.filter(Files::isRegularFile).toList()) {
                    out.put(of.relativize(p).toString(), Asset.hash(Files.readAllBytes(p)));
                }
            }
        }
        return out;
    }

    private Path to(Output o, String name) {
        String ending = Outputs.ending(o);
        return folder.resolve(name + "-" + o.id() + (ending.isEmpty() ? "" : "." + ending));
    }

    @Test
    void eachIsMadeWholeAndMadeAgainOverItself() throws Exception {
        Project p = piece();
        for (Output o : all()) {
            Path to = to(o, "made");
            Made made = Makers.make(p, o, to, false, Progress.NONE);
            assertThat(made.bytes()).as("%s %s", o.kind().key(), o.settings().values()).isGreaterThan(100);
            assertThat(Files.isDirectory(to)).isEqualTo(Outputs.ending(o).isEmpty());
            if (!Outputs.ending(o).isEmpty()) {
                // it starts as its ending says
                FileStart.allow(to, Outputs.ending(o), false);
            }
            Makers.make(p, o, to, false, Progress.NONE);
        }
    }

    @Test
    void whatStandsInTheWayIsSaidAndLeftAsItIs() throws Exception {
        Project p = piece();
        for (Output o : all()) {
            boolean one = !Outputs.ending(o).isEmpty();
            // something else of that name
            Path other = to(o, "other");
            if (one) {
                Files.writeString(other, "my notes");
            } else {
                Files.createDirectories(other);
                Files.writeString(other.resolve("index.html"), "my notes");
                Files.writeString(other.resolve("00000.png"), "my notes");
            }
            var before = files(folder);
            assertThatThrownBy(() -> Makers.make(p, o, other, false, Progress.NONE)).as("%s %s", o.kind().key(), o.settings().values())
                    .isInstanceOf(FileProblem.class).satisfies(e -> assertThat(e.getMessage().lines()).hasSize(1));
            assertThat(files(folder)).isEqualTo(before);
            // a folder where the file would be, or a file where the folder would be
            Path wrong = to(o, "wrong");
            if (one) {
                Files.createDirectories(wrong);
            } else {
                Files.writeString(wrong, "my notes");
            }
            assertThatThrownBy(() -> Makers.make(p, o, wrong, false, Progress.NONE)).isInstanceOf(FileProblem.class);
            // a file on the way
            Path under = Files.writeString(folder.resolve("file-" + o.id()), "my notes").resolve(to(o, "x").getFileName());
            assertThatThrownBy(() -> Makers.make(p, o, under, false, Progress.NONE)).isInstanceOf(IOException.class);
        }
    }

    /** A piece from elsewhere can name its outputs as it likes: what is of another kind is never written over. */
    @Test
    void aNameOfSomethingElseIsRefused() throws Exception {
        Project p = piece();
        Path other = folder.resolve("other.tundra");
        ProjectFile.write(p, other);
        var before = files(folder);
        for (Output o : all()) {
            if (!Outputs.ending(o).isEmpty()) {
                assertThatThrownBy(() -> Makers.make(p, o, other, false, Progress.NONE)).as("%s %s", o.kind().key(), o.settings().values())
                        .isInstanceOf(FileProblem.class).hasMessageContaining("should end with");
            }
        }
        Path json = Files.writeString(folder.resolve("package.json"), "{\"name\": \"mine\"}");
        assertThatThrownBy(() -> Makers.make(p, Outputs.EXCHANGE.made(), json, false, Progress.NONE)).isInstanceOf(FileProblem.class);
        assertThat(Files.readString(json)).contains("mine");
        Files.delete(json);
        assertThat(files(folder)).isEqualTo(before);
    }

    @Test
    void whatIsGivenUpLeavesNoTrace() throws Exception {
        Project p = piece();
        for (Output o : all()) {
            if (o.kind() == Outputs.EXCHANGE || o.kind() == Outputs.SHEET) {
                // done before anybody could give it up
                continue;
            }
            Path to = to(o, "given-up");
            var before = files(folder);
            int[] asked = {0};
            assertThatThrownBy(() -> Makers.make(p, o, to, false, Progress.of(x -> { }, () -> asked[0]++ >= 0)))
                    .as("%s %s", o.kind().key(), o.settings().values()).isInstanceOf(CancellationException.class);
            assertThat(files(folder)).as("%s %s", o.kind().key(), o.settings().values()).isEqualTo(before);
        }
    }

    /** A disk without room: what is there stays, and it is said. */
    @Test
    void aFullDiskIsSaid() throws Exception {
        Path full = Path.of("/dev/full");
        if (!Files.exists(full)) {
            return;
        }
        Path small = Files.createDirectories(folder.resolve("small"));
        Process mounted = new ProcessBuilder("mount", "-t", "tmpfs", "-o", "size=16k", "tmpfs", small.toString()).redirectErrorStream(true).start();
        if (mounted.waitFor() != 0) {
            // only an administrator may mount
            return;
        }
        try {
            Project p = piece();
            for (Output o : List.of(Outputs.PAGE.made("p", "Web page"), Outputs.EMBED.made("e", "Embed"), Outputs.PAGE.made("z", "Zip")
                    .with(Outputs.PAGE_AS, "ZIP"), Outputs.FRAMES.made("f", "Frames").with(Outputs.WHICH, "every frame")
                    .with(Outputs.WIDTH, 1280.0))) {
                Path to = small.resolve(to(o, "x").getFileName());
                assertThatThrownBy(() -> Makers.make(p, o, to, false, Progress.NONE)).as(o.name()).isInstanceOf(FileProblem.class)
                        .hasMessageContaining("the disk is full");
                assertThat(files(small)).as(o.name()).isEmpty();
            }
        } finally {
            new ProcessBuilder("umount", small.toString()).start().waitFor();
        }
    }

    @Test
    void savedOutputsAreMadeFromTheCommandLine() throws Exception {
        Path file = folder.resolve("lamps.tundra");
        ProjectFile.write(piece().withOutputs(List.of(Outputs.LOOP.made("l", "For the chat"), Outputs.SVG.made("s", "Mark"))), file);
        assertThat(CommandLine.run("make", file.toString(), "--to", folder.resolve("out").toString())).isZero();
        assertThat(files(folder.resolve("out")).keySet()).containsExactly("lamps-for-the-chat.gif", "lamps-mark.svg");
        assertThat(CommandLine.run("make", file.toString(), "Nothing", "--to", folder.resolve("out").toString())).isEqualTo(1);
        Files.writeString(folder.resolve("out/lamps-mark.svg"), "my notes");
        assertThat(CommandLine.run("make", file.toString(), "--to", folder.resolve("out").toString())).as("one is told, the other is made")
                .isEqualTo(1);
        assertThat(Files.readString(folder.resolve("out/lamps-mark.svg"), StandardCharsets.UTF_8)).isEqualTo("my notes");
    }
}
