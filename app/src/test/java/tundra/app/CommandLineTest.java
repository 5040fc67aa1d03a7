package tundra.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayOutputStream;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.json.JsonMapper;
import tundra.app.cli.CommandLine;
import tundra.core.file.ProjectFile;
import tundra.samples.OpenNight;

class CommandLineTest {
    private static final String DEMO = Path.of(System.getProperty("tundra.samples"), "open-night.tundra").toString();
    @TempDir
    private Path folder;
    private String out;
    private String err;

    private int run(String... args) {
        PrintStream oldOut = System.out, oldErr = System.err;
        var o = new ByteArrayOutputStream();
        var e = new ByteArrayOutputStream();
        try {
            System.setOut(new PrintStream(o, true, StandardCharsets.UTF_8));
            System.setErr(new PrintStream(e, true, StandardCharsets.UTF_8));
            return CommandLine.run(args);
        } finally {
            System.setOut(oldOut);
            System.setErr(oldErr);
            out = o.toString(StandardCharsets.UTF_8);
            err = e.toString(StandardCharsets.UTF_8);
        }
    }

    private void fails(String words, String... args) {
        assertThat(run(args)).isEqualTo(1);
        assertThat(err.strip()).contains(words).doesNotContain("\n").doesNotContain("Exception");
        assertThat(out).isEmpty();
    }

    @Test
    void theSampleIsWhatItsCodeMakes() throws Exception {
        assertThat(ProjectFile.read(Path.of(DEMO))).as("run samples' OpenNight again").isEqualTo(OpenNight.project());
    }

    @Test
    void publishWritesThePage() {
        assertThat(run("publish", DEMO, "--to", folder.resolve("page").toString())).isZero();
        assertThat(folder.resolve("page/index.html")).exists();
        assertThat(folder.resolve("page/tundra-player.js")).exists();
    }

    @Test
    void aFrameGoesOutAsSvgAndComesBackAsAProject() throws Exception {
        Path svg = folder.resolve("arrival.svg"), back = folder.resolve("back.tundra");
        assertThat(run("svg", DEMO, "--at", "3", "--to", svg.toString())).isZero();
        assertThat(Files.readString(svg)).contains("<title>Station</title>").contains("linearGradient").contains("Open Night");
        assertThat(run("import", svg.toString(), "--to", back.toString())).isZero();
        var p = ProjectFile.read(back);
        assertThat(p.scenes().getFirst().board().size()).isEqualTo(new tundra.core.geometry.Point(1280, 640));
        assertThat(tundra.core.model.Tree.ids(p.scenes().getFirst().board().elements())).hasSizeGreaterThan(60);
        fails("is there already", "import", svg.toString(), "--to", back.toString());
        fails("can't be brought in", "import", DEMO, "--to", folder.resolve("no.tundra").toString());
        assertThat(folder.resolve("no.tundra")).doesNotExist();
        fails("between 0 and 86400", "svg", DEMO, "--at", "-1", "--to", folder.resolve("no.svg").toString());
    }

    @Test
    void stillWritesAPictureOfTheAskedSize() throws Exception {
        Path png = folder.resolve("a.png");
        assertThat(run("still", DEMO, "--at", "1.5", "--size", "320x160", "--to", png.toString())).isZero();
        var image = javax.imageio.ImageIO.read(png.toFile());
        assertThat(image.getWidth()).isEqualTo(320);
        assertThat(image.getHeight()).isEqualTo(160);
        assertThat(run("still", DEMO, "--scene", "arrival", "--at", "0", "--to", png.toString())).isZero();
        assertThat(javax.imageio.ImageIO.read(png.toFile()).getWidth()).isEqualTo(1280);
    }

    @Test
    void infoTellsInWordsAndJson() {
        assertThat(run("info", DEMO)).isZero();
        assertThat(out).contains("Open Night, 24 frames a second").contains("Arrival: 1280.0×640.0").contains("Weather: 8.0 s").contains("loops");
        assertThat(run("info", DEMO, "--json")).isZero();
        var json = new JsonMapper().readTree(out);
        assertThat(json.get("scenes").get(0).get("reactions").intValue()).isEqualTo(1);
        assertThat(json.get("frameRate").intValue()).isEqualTo(24);
    }

    @Test
    void newMakesAProjectAndOverwritesNone() throws Exception {
        Path file = folder.resolve("fresh.tundra");
        assertThat(run("new", file.toString(), "--size", "390x844", "--fps", "12")).isZero();
        assertThat(ProjectFile.read(file).frameRate()).isEqualTo(12);
        assertThat(ProjectFile.read(file).scenes().getFirst().board().size().y()).isEqualTo(844);
        byte[] before = Files.readAllBytes(file);
        fails("is there already", "new", file.toString());
        assertThat(Files.readAllBytes(file)).isEqualTo(before);
    }

    @Test
    void mistakesAreOneSentence() {
        fails("isn't there", "info", folder.resolve("none.tundra").toString());
        fails("--to", "publish", DEMO);
        fails("not a size", "new", folder.resolve("x.tundra").toString(), "--size", "wide");
        fails("between 1 and 240", "new", folder.resolve("x.tundra").toString(), "--fps", "0");
        fails("no scene", "still", DEMO, "--scene", "Nowhere", "--at", "0", "--to", folder.resolve("x.png").toString());
        fails("between 0 and", "still", DEMO, "--at", "-1", "--to", folder.resolve("x.png").toString());
        fails("no desk", "shot", DEMO, "--desk", "kitchen", "--to", folder.resolve("x.png").toString());
        fails("a file, not a folder", "publish", DEMO, "--to", DEMO);
    }

    @Test
    void everyCommandHasHelp() {
        for (String c : new String[] {"publish", "still", "info", "new", "shot"}) {
            assertThat(run(c, "--help")).isZero();
            assertThat(out).contains("Usage: tundra " + c).contains("FILE");
        }
        assertThat(run("--help")).isZero();
        assertThat(out).contains("publish", "still", "info", "new", "shot");
    }
}
