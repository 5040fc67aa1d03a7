package tundra.core.svg;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.Duration;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.Timeout;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tundra.core.file.FileProblem;
import tundra.core.file.ProjectFile;
import tundra.core.frame.FakeMeasurer;
import tundra.core.frame.FrameBuilder;
import tundra.core.geometry.Point;
import tundra.core.model.Project;
import tundra.core.model.Properties;

/** Drawings made to hurt: each is read or refused within the limit, and what is read can be saved and opened again. */
@Timeout(value = 20, threadMode = Timeout.ThreadMode.SEPARATE_THREAD)
class HostileSvgTest {
    @TempDir
    private Path folder;

    private static SvgArt text(String svg) throws FileProblem {
        return SvgReader.read("a.svg", svg.getBytes(StandardCharsets.UTF_8), new FakeMeasurer(), (n, d) -> {
            throw new IOException("no picture");
        });
    }

    private static SvgArt body(String s) throws FileProblem {
        return text("<svg xmlns='http://www.w3.org/2000/svg' viewBox='0 0 100 100'>" + s + "</svg>");
    }

    private static SvgArt file(String name) throws Exception {
        try (var in = HostileSvgTest.class.getResourceAsStream(name + ".svg")) {
            return text(new String(in.readAllBytes(), StandardCharsets.UTF_8));
        }
    }

    private void saves(SvgArt art) throws Exception {
        Path file = folder.resolve("a.tundra");
        Project p = ArtPlacing.project(art, "Art", 24);
        ProjectFile.write(p, file);
        assertThat(ProjectFile.read(file)).isEqualTo(p);
        Project on = Project.empty("On", new Point(640, 400), 24);
        ProjectFile.write(on.mapBoard(on.scenes().getFirst().id(), b -> ArtPlacing.add(b, art, "art").board()), file);
        var board = ProjectFile.read(file).scenes().getFirst().board();
        assertThat(new FrameBuilder(board, new FakeMeasurer()).at(0)).isNotNull();
    }

    @ParameterizedTest
    @ValueSource(strings = {"dash", "dash2", "dashbig", "deep", "grad", "svg100", "svg497", "rich", "sym"})
    void whatIsReadCanBeSaved(String name) throws Exception {
        saves(file(name));
    }

    @Test
    void copiesOfCopiesEnd() {
        assertThatThrownBy(() -> file("laughs")).isInstanceOf(FileProblem.class).hasMessageContaining("copies of copies")
                .hasMessageContaining("Nothing was changed");
    }

    @Test
    void whatIsTooLargeIsRefused() {
        assertThatThrownBy(() -> file("wide")).isInstanceOf(FileProblem.class).hasMessageContaining("a million px");
        assertThatThrownBy(() -> body("<g>".repeat(160) + "<rect width='9' height='9'/>" + "</g>".repeat(160))).isInstanceOf(FileProblem.class)
                .hasMessageContaining("deeper");
    }

    @Test
    void manyLettersAndFarShapesAreCutAndSaid() throws Exception {
        var art = body("<text y='9'>" + "ab ".repeat(60_000) + "</text><rect width='9' height='9'/><rect x='3e6' width='9' height='9'/>");
        assertThat(art.report()).anySatisfy(s -> assertThat(s).contains("100000 letters"))
                .anySatisfy(s -> assertThat(s).contains("a million px away"));
        saves(art);
    }

    @Test
    void tooFineDashesBecomeALine() throws Exception {
        for (String name : new String[] {"dash", "dash2"}) {
            var art = file(name);
            assertThat(art.report()).anySatisfy(s -> assertThat(s).contains("too fine"));
            assertThat(art.elements().getFirst().rest().get(Properties.DASH)).isZero();
        }
    }

    @ParameterizedTest
    @ValueSource(strings = {"/*", "@", "a ", "{", "}", "a{", "<!--", "a,", "a>", ";", ". "})
    void styleSheetsOfOneThingOverAndOverAreReadInTime(String part) throws Exception {
        String sheet = part.repeat(2_000_000 / part.length());
        var art = body("<style><![CDATA[" + sheet + "]]></style><rect width='9' height='9' fill='red'/>");
        assertThat(art.elements()).hasSize(1);
    }

    @Test
    void manyRulesForManyShapesAreReadInTime() throws Exception {
        var sheet = new StringBuilder();
        for (int i = 0; i < 5000; i++) {
            sheet.append("g .c").append(i).append(" rect{fill:#123}");
        }
        var shapes = "<rect width='1' height='1' class='a b c d'/>".repeat(20_000);
        long start = System.nanoTime();
        try {
            assertThat(body("<style>" + sheet + "</style><g>" + shapes + "</g>").elements()).isNotEmpty();
        } catch (FileProblem e) {
            assertThat(e).hasMessageContaining("longer than 10 seconds");
        }
        assertThat(Duration.ofNanos(System.nanoTime() - start)).isLessThan(Duration.ofSeconds(14));
    }

    @Test
    void idsAndAddressesOfAnyLengthAreRead() throws Exception {
        String id = "a1".repeat(200_000);
        var art = body("<rect id='" + id + "' width='9' height='9' fill='" + "url(#".repeat(100_000) + "'/>");
        assertThat(art.elements()).hasSizeLessThan(2);
        String digits = "1".repeat(500_000);
        body("<rect id='r' width='" + digits + "x' height='9' transform='" + "matrix(".repeat(100_000) + "'/><g style='" + "a:b;".repeat(100_000)
                + "'/>"
                + "<text font-size='" + digits + "%' class='" + "a ".repeat(100_000) + "' fill='rgb(" + digits + "' clip-path='"
                + "url( ".repeat(100_000) + "'>a</text>");
    }

    @Test
    void rulesForPrintAreNotForTheScreen() throws Exception {
        var art = body("<style>rect{fill:#ff0000} @media print{rect{fill:#0000ff}} @media screen{.b{fill:#00ff00}} @font-face{font-family:x}</style>"
                + "<rect width='9' height='9'/><rect class='b' width='9' height='9'/>");
        assertThat(art.elements().get(0).rest().get(Properties.FILL).toString()).contains("red=255");
        assertThat(art.elements().get(1).rest().get(Properties.FILL).toString()).contains("green=255");
    }

    @Test
    void fiftyThousandShapesOfOneNameArePlacedInLinearTime() throws Exception {
        var art = body("<rect width='9' height='9'/>".repeat(49_000));
        long start = System.nanoTime();
        ArtPlacing.project(art, "Art", 24);
        double whole = System.nanoTime() - start;
        // by the square it would take minutes
        assertThat(whole / 1e9).isLessThan(3);
    }
}
