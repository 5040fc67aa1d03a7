package tundra.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertTimeoutPreemptively;

import java.io.ByteArrayOutputStream;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.HashSet;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tundra.app.cli.CommandLine;
import tundra.core.check.Checks;
import tundra.core.file.FileProblem;
import tundra.core.file.ProjectFile;
import tundra.core.fit.Frames;
import tundra.core.frame.Frame;
import tundra.core.frame.Moment;
import tundra.core.model.Board;
import tundra.core.model.Project;
import tundra.core.svg.SvgWriter;
import tundra.core.work.Progress;
import tundra.render.Fonts;
import tundra.render.PictureSheets;
import tundra.render.SkiaImageComparer;
import tundra.render.SkiaSeries;
import tundra.render.Still;
import tundra.web.Page;
import tundra.web.PageCompiler;

/** Small files that once ended the program, never ended, or could not be published, exported or saved again. */
class HostilePiecesTest {
    @TempDir
    private Path folder;

    private Path file(String name) throws Exception {
        Path out = folder.resolve(name + ".tundra");
        try (var in = HostilePiecesTest.class.getResourceAsStream("hostile/" + name + ".tundra")) {
            Files.copy(in, out);
        }
        return out;
    }

    /** Each is opened, or refused with a sentence that says why; what is opened is looked over, painted, published, exported and saved. */
    @ParameterizedTest
    @CsvSource(delimiter = '|', value = {"actions10000|", "blur700|has 700 effects, and 50 is the most",
            "chain250|motifs in motifs more than 100 deep", "fx-rect-empty|", "one-file|", "parts300|",
        "script2000-nocomments|", "star|", "tinybox-reveal|", "tree2x60|shows more than 100000 instances"})
    void endsWithASentenceOrAPage(String name, String refused) throws Exception {
        Path file = file(name);
        assertTimeoutPreemptively(Duration.ofSeconds(40), () -> {
            Project p;
            try {
                p = ProjectFile.open(file).project();
            } catch (FileProblem e) {
                assertThat(refused).as("%s is refused: %s", name, e.getMessage()).isNotNull();
                assertThat(e.getMessage()).contains(refused);
                return;
            }
            assertThat(refused).as("%s is opened", name).isNull();
            Board b = p.scenes().getFirst().board();
            Checks.run(p, Fonts.BUNDLED, new SkiaImageComparer(), Checks.JUMP, Progress.NONE);
            Frame frame = Frames.of(p, b, Fonts.BUNDLED).at(Moment.opened(b, 0));
            assertThat(Still.png(p, frame)).isNotEmpty();
            assertThat(SvgWriter.write(p, frame, Fonts.BUNDLED)).contains("<svg");
            Page page = new PageCompiler(Fonts.BUNDLED, Fonts.BUNDLED, new PictureSheets(), new SkiaSeries(Progress.NONE)).compile(p, null);
            assertThat(new String(page.files().get("piece.js").bytes(), StandardCharsets.UTF_8)).doesNotContain("NaN", "Infinity");
            if (name.equals("one-file")) {
                assertThat(new HashSet<>(page.files().keySet())).as("a file for each script").contains("script-" + p.scripts().get(0).name() + ".js",
                        "script-" + p.scripts().get(1).name() + "-2.js");
            }
            Path again = folder.resolve("again.tundra");
            ProjectFile.write(p, again);
            assertThat(ProjectFile.read(again).scenes()).hasSameSizeAs(p.scenes());
        });
    }

    @Test
    void namesMoveNoCursor() throws Exception {
        var said = new ByteArrayOutputStream();
        PrintStream out = System.out;
        try {
            System.setOut(new PrintStream(said, true, StandardCharsets.UTF_8));
            Path file = folder.resolve("escape.tundra");
            Project p = TundraApp.blank();
            ProjectFile.write(p.mapBoard(p.scenes().getFirst().id(), b -> b).withName("A\u001b[2Jb\u009b1mc é"), file);
            CommandLine.run("info", file.toString());
        } finally {
            System.setOut(out);
        }
        assertThat(said.toString(StandardCharsets.UTF_8)).contains("A?[2Jb?1mc é").doesNotContain("\u001b", "\u009b");
    }
}
