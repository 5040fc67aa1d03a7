package tundra.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.AccessDeniedException;
import java.nio.file.FileSystemException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.Set;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.json.JsonMapper;
import tundra.app.cli.CommandLine;
import tundra.app.job.Troubles;
import tundra.core.edit.Arrange;
import tundra.core.edit.Drawings;
import tundra.core.file.ProjectFile;
import tundra.core.fit.Layouts;
import tundra.core.fit.Lens;
import tundra.core.geometry.Point;
import tundra.core.model.Flipbook;
import tundra.core.model.Project;
import tundra.core.model.Tree;
import tundra.render.VideoReader;
import tundra.samples.Buttons;
import tundra.samples.DrawnMark;
import tundra.samples.FrostGlass;
import tundra.samples.Hop;
import tundra.samples.OpenNight;
import tundra.samples.ScrolledStory;

class CommandLineTest {
    private static final String DEMO = Path.of(System.getProperty("tundra.samples"), "open-night.tundra").toString();
    private static final String FROST = Path.of(System.getProperty("tundra.samples"), "frost-glass.tundra").toString();
    private static final String HOP = Path.of(System.getProperty("tundra.samples"), "hop.tundra").toString();
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
        assertThat(ProjectFile.read(Path.of(HOP))).as("run samples' Hop again").isEqualTo(Hop.project());
        for (var e : Map.of("drawn-mark", DrawnMark.project(), "buttons", Buttons.project(), "scrolled-story", ScrolledStory.project()).entrySet()) {
            Path file = Path.of(DEMO).resolveSibling(e.getKey() + ".tundra");
            assertThat(ProjectFile.read(file)).as("write samples/%s again", e.getKey()).isEqualTo(e.getValue());
            assertThat(run("check", file.toString())).as("nothing is found in %s", e.getKey()).isZero();
        }
        assertThat(ProjectFile.read(Path.of(FROST))).as("run samples' FrostGlass again").isEqualTo(FrostGlass.project());
    }

    @Test
    void checkTellsWhatItFinds() throws Exception {
        assertThat(run("check", DEMO)).isZero();
        assertThat(out.strip()).isEqualTo("Open Night: nothing found (1 meant to be so).");
        assertThat(run("check", HOP, "--json")).isZero();
        Project p = Hop.project();
        Flipbook hare = (Flipbook) p.scenes().getFirst().board().find("s-hare").content();
        var late = hare.drawings().subList(3, 20).stream().map(d -> d.id()).toList();
        Path bad = folder.resolve("bad.tundra");
        ProjectFile.write(p.mapBoard("s-hop", b -> b.mapElement("s-hare", e -> e.withContent(Drawings.shift(hare, late, 1)))
                .mapTimeline("t-main", t -> t.withDuration(4_000_000))), bad);
        assertThat(run("check", bad.toString())).isEqualTo(2);
        assertThat(out).contains("1 finding").contains("Blank frame · Hop at").contains("between Squash 3 and Push 4");
        assertThat(run("check", bad.toString(), "--json")).isEqualTo(2);
        var found = tools.jackson.databind.json.JsonMapper.builder().build().readTree(out).get("findings");
        assertThat(found.size()).isEqualTo(1);
        assertThat(found.get(0).get("check").asString()).isEqualTo("blank");
        assertThat(found.get(0).get("drawing").asString()).isEqualTo("Push 4");
        fails("0 to 1000", "check", DEMO, "--jump", "-3");
        fails("isn't there", "check", folder.resolve("none.tundra").toString());
    }

    @Test
    void sheetsAndSeriesHoldTheDrawings() throws Exception {
        Path png = folder.resolve("hare.png");
        assertThat(run("sheet", HOP, "--flipbook", "hare", "--columns", "4", "--margin", "3", "--spacing", "2", "--to", png.toString())).isZero();
        var json = tools.jackson.databind.json.JsonMapper.builder().build().readTree(Files.readString(folder.resolve("hare.json")));
        assertThat(json.get("frameRate").asInt()).isEqualTo(10);
        assertThat(json.get("drawings").size()).isEqualTo(20);
        int frames = 0;
        for (var d : json.get("drawings")) {
            frames += d.get("frames").asInt();
        }
        assertThat(frames).isEqualTo(20);
        assertThat(run("sheet", HOP, "--flipbook", "Hare", "--series", folder.resolve("series").toString())).isZero();
        var sheet = ImageIO.read(png.toFile());
        for (int i = 0; i < 20; i++) {
            var d = json.get("drawings").get(i);
            var one = ImageIO.read(folder.resolve(String.format("series/hare-%03d.png", i + 1)).toFile());
            assertThat(one.getWidth()).isEqualTo(d.get("width").asInt());
            int inked = 0;
            double squares = 0;
            for (int y = 0; y < one.getHeight(); y++) {
                for (int x = 0; x < one.getWidth(); x++) {
                    int p = sheet.getRGB(d.get("x").asInt() + x, d.get("y").asInt() + y), q = one.getRGB(x, y);
                    for (int shift = 0; shift < 32; shift += 8) {
                        squares += Math.pow((p >>> shift & 255) - (q >>> shift & 255), 2);
                    }
                    inked += one.getRGB(x, y) >>> 24 > 128 ? 1 : 0;
                }
            }
            assertThat(inked).as("something is drawn on %d", i).isGreaterThan(1000);
            // edges and gradients round a little otherwise where they start at another pixel
            assertThat(10 * Math.log10(255 * 255 * 4.0 * one.getWidth() * one.getHeight() / Math.max(1, squares))).as("drawing %d, dB", i)
                    .isGreaterThan(50);
        }
        // the frames of a scene, opaque and of the canvas's size
        assertThat(run("sheet", HOP, "--until", "0.5", "--series", folder.resolve("frames").toString())).isZero();
        assertThat(folder.resolve("frames/hop-005.png")).exists();
        assertThat(folder.resolve("frames/hop-006.png")).doesNotExist();
        fails("no flipbook “Moth”", "sheet", HOP, "--flipbook", "Moth", "--to", png.toString());
        fails("either --to", "sheet", HOP);
        fails("pixels", "sheet", HOP, "--flipbook", "Hare", "--scale", "16", "--columns", "12", "--to", folder.resolve("huge.png").toString());
        assertThat(folder.resolve("huge.png")).doesNotExist();
    }

    @Test
    void publishWritesThePage() throws Exception {
        assertThat(run("publish", DEMO, "--to", folder.resolve("page").toString())).isZero();
        assertThat(folder.resolve("page/index.html")).exists();
        try (var files = Files.list(folder.resolve("page"))) {
            assertThat(files.map(f -> f.getFileName().toString())).anyMatch(n -> n.matches("tundra-player\\.[0-9a-f]{8}\\.js"));
        }
    }

    @Test
    void aFrameGoesOutAsSvgAndComesBackAsAProject() throws Exception {
        Path svg = folder.resolve("arrival.svg"), back = folder.resolve("back.tundra");
        assertThat(run("svg", DEMO, "--at", "3", "--to", svg.toString())).isZero();
        assertThat(Files.readString(svg)).contains("<title>Station</title>").contains("linearGradient").contains("Open Night");
        assertThat(run("import", svg.toString(), "--to", back.toString())).isZero();
        var p = ProjectFile.read(back);
        assertThat(p.scenes().getFirst().board().size()).isEqualTo(new Point(1280, 640));
        assertThat(Tree.ids(p.scenes().getFirst().board().elements())).hasSizeGreaterThan(60);
        fails("is there already", "import", svg.toString(), "--to", back.toString());
        fails("can't be brought in", "import", DEMO, "--to", folder.resolve("no.tundra").toString());
        assertThat(folder.resolve("no.tundra")).doesNotExist();
        fails("between 0 and 86400", "svg", DEMO, "--at", "-1", "--to", folder.resolve("no.svg").toString());
    }

    @Test
    void stillWritesAPictureOfTheAskedSize() throws Exception {
        Path png = folder.resolve("a.png");
        assertThat(run("still", DEMO, "--at", "1.5", "--size", "320x160", "--to", png.toString())).isZero();
        var image = ImageIO.read(png.toFile());
        assertThat(image.getWidth()).isEqualTo(320);
        assertThat(image.getHeight()).isEqualTo(160);
        assertThat(run("still", DEMO, "--scene", "arrival", "--at", "0", "--to", png.toString())).isZero();
        assertThat(ImageIO.read(png.toFile()).getWidth()).isEqualTo(1280);
    }

    @Test
    void aLayoutAndAnySizeCanBeSeenCheckedAndPublished() throws Exception {
        Project demo = ProjectFile.read(Path.of(DEMO));
        String scene = demo.scenes().getFirst().id(), first = demo.scenes().getFirst().board().elements().getFirst().id();
        Path piece = folder.resolve("piece.tundra"), png = folder.resolve("a.png");
        ProjectFile.write(demo.mapBoard(scene, b -> {
            var low = Layouts.add(Lens.base(b), "Low", 900, 1200, new Point(1000, 300), null);
            return Lens.put(low, low.layouts().getFirst().id(), Arrange.delete(Lens.get(low, low.layouts().getFirst().id()), Set.of(first)),
                    Lens.Scope.ONLY_HERE);
        }), piece);
        assertThat(run("still", piece.toString(), "--layout", "low", "--to", png.toString())).isZero();
        var image = ImageIO.read(png.toFile());
        assertThat(List.of(image.getWidth(), image.getHeight())).containsExactly(1000, 300);
        // the layout of that width, at any size between
        Path svg = folder.resolve("a.svg");
        assertThat(run("svg", piece.toString(), "--canvas", "1100x310", "--to", svg.toString())).isZero();
        assertThat(Files.readString(svg)).contains("1100").contains("310");
        assertThat(run("check", piece.toString(), "--layout", "Low")).isIn(0, 2);
        assertThat(run("publish", piece.toString(), "--layout", "Low", "--to", folder.resolve("page").toString())).isZero();
        try (var files = Files.list(folder.resolve("page"))) {
            Path css = files.filter(f -> f.toString().endsWith(".css") && f.getFileName().toString().startsWith("piece")).findFirst().orElseThrow();
            assertThat(Files.readString(css)).contains("1000px").contains("300px");
        }
        fails("There is no layout “High” in " + demo.scenes().getFirst().name() + "; there is Low.", "still", piece.toString(), "--layout", "High",
                "--to", png.toString());
        fails("it has none", "still", HOP, "--layout", "High", "--to", png.toString());
        fails("No scene has a layout “High”.", "publish", DEMO, "--layout", "High", "--to", folder.resolve("other").toString());
    }

    @Test
    void nothingIsWrittenOverThatIsNotOfItsKind() throws Exception {
        Path piece = Files.copy(Path.of(DEMO), folder.resolve("piece.tundra")), other = Files.copy(Path.of(HOP), folder.resolve("other.tundra"));
        Path notes = Files.writeString(folder.resolve("notes.txt"), "mine"), png = folder.resolve("a.png");
        byte[] before = Files.readAllBytes(piece);
        for (String command : List.of("still", "svg", "sheet")) {
            fails("the file that is read", command, piece.toString(), "--to", piece.toString());
            fails("the file that is read", command, piece.toString(), "--force", "--to", folder.resolve("./piece.tundra").toString());
            fails("there already", command, piece.toString(), "--to", other.toString());
            fails("there already", command, piece.toString(), "--to", notes.toString());
            fails("is a folder", command, piece.toString(), "--to", folder.toString());
            fails("no folder “none”", command, piece.toString(), "--to", folder.resolve("none/a.png").toString());
        }
        assertThat(Files.readAllBytes(piece)).isEqualTo(before);
        assertThat(Files.readString(notes)).isEqualTo("mine");
        // its own kind is written over, and anything else when that is asked for
        for (int i = 0; i < 2; i++) {
            assertThat(run("still", piece.toString(), "--size", "64x32", "--to", png.toString())).isZero();
        }
        assertThat(run("still", piece.toString(), "--size", "64x32", "--force", "--to", notes.toString())).isZero();
        assertThat(Files.size(notes)).isGreaterThan(100);
    }

    @Test
    void whatCantBeIsSaidInOneSentence() throws Exception {
        fails("isn't there", "info", folder.resolve("none.tundra").toString());
        fails("it is a folder", "info", folder.toString());
        fails("between 0 and 86400", "still", DEMO, "--at", "NaN", "--to", folder.resolve("a.png").toString());
        fails("between 0 and 86400", "sheet", DEMO, "--from", "-3", "--until", "-1", "--to", folder.resolve("a.png").toString());
        fails("between 0 and 86400", "sheet", DEMO, "--from", "NaN", "--to", folder.resolve("a.png").toString());
        fails("million pixels", "still", DEMO, "--size", "16384x16384", "--to", folder.resolve("a.png").toString());
        Path svg = Files.writeString(folder.resolve("bad.svg"), "<svg xmlns='http://www.w3.org/2000/svg'>\n<rect\n</svg>");
        fails("damaged near line 3", "import", svg.toString(), "--to", folder.resolve("a.tundra").toString());
        Path deep = Files.writeString(folder.resolve("deep.svg"), "<svg xmlns='http://www.w3.org/2000/svg'>" + "<g>".repeat(300) + "</g>".repeat(300)
                + "</svg>");
        fails("nested deeper", "import", deep.toString(), "--to", folder.resolve("a.tundra").toString());
        assertThat(new ProcessBuilder("mkfifo", folder.resolve("pipe").toString()).start().waitFor()).isZero();
        fails("a pipe or a device", "info", folder.resolve("pipe").toString());
        fails("a pipe or a device", "import", folder.resolve("pipe").toString(), "--to", folder.resolve("a.tundra").toString());
        assertThat(CommandLine.unknown("pubish")).contains("neither a command nor a file").contains("publish", "still");
        assertThat(CommandLine.unknown(DEMO)).isNull();
        assertThat(CommandLine.unknown("later.tundra")).isNull();
        try (var all = Files.list(folder)) {
            assertThat(all.map(p -> p.getFileName().toString())).containsExactlyInAnyOrder("bad.svg", "deep.svg", "pipe");
        }
    }

    @Test
    void infoTellsInWordsAndJson() {
        assertThat(run("info", DEMO)).isZero();
        assertThat(out).contains("Open Night, 24 frames a second").contains("Arrival: 1280.0×640.0").contains("Weather: 8.0 s").contains("loops");
        assertThat(out).contains("motif Wind flag: 34.0×46.0, 2 elements, 0 reactions, placed 4 times");
        assertThat(run("info", DEMO, "--json")).isZero();
        var json = new JsonMapper().readTree(out);
        assertThat(json.get("scenes").get(0).get("reactions").intValue()).isEqualTo(7);
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
        fails("--working says how many seconds", "shot", DEMO, "--desk", "publish", "--working", "2", "--to", folder.resolve("x.png").toString());
        fails("--working says how many seconds", "shot", DEMO, "--desk", "publish", "--run", "make-all", "--working", "-1", "--to",
                folder.resolve("x.png").toString());
        fails("a file, not a folder", "publish", DEMO, "--to", DEMO);
    }

    @Test
    void everyCommandHasHelp() {
        for (String c : new String[] {"publish", "still", "info", "new", "shot", "film", "loop"}) {
            assertThat(run(c, "--help")).isZero();
            assertThat(out).contains("Usage: tundra " + c).contains("FILE");
        }
        assertThat(run("--help")).isZero();
        assertThat(out).contains("publish", "still", "info", "new", "shot");
    }

    @Test
    void filmsAndLoopsAreMade() throws Exception {
        Path film = folder.resolve("night.webm");
        assertThat(run("film", DEMO, "--width", "320", "--from", "1", "--until", "1.5", "--times", "2", "--quality", "small", "--to",
                film.toString())).as(err).isZero();
        assertThat(out).contains("24 pictures");
        var made = VideoReader.read(film);
        assertThat(List.of(made.width(), made.height())).containsExactly(320, 160);
        assertThat(made.duration()).isBetween(960_000L, 1_040_000L);
        Path loop = folder.resolve("hop.png");
        assertThat(run("loop", HOP, "--width", "200", "--clear", "--back", "--to", loop.toString())).as(err).isZero();
        assertThat(ImageIO.read(loop.toFile()).getWidth()).isEqualTo(200);
        fails("doesn't end as a film does; there is MP4, WebM, WebM AV1", "film", DEMO, "--to", folder.resolve("a.avi").toString());
        fails("--rate is a number from 0 to 120", "film", DEMO, "--rate", "fast", "--to", film.toString());
        fails("is one of good, small, best", "film", DEMO, "--quality", "no", "--to", film.toString());
        fails("An MP4 can't be seen through", "film", DEMO, "--clear", "--to", folder.resolve("a.mp4").toString());
        fails("nothing between 9.0 s", "film", DEMO, "--from", "9", "--until", "8", "--to", film.toString());
        Path words = Files.writeString(folder.resolve("words.gif"), "words");
        fails("is not a GIF picture; it was left as it is", "loop", HOP, "--to", words.toString());
        assertThat(words).hasContent("words");
        assertThat(VideoReader.read(film).hash()).isEqualTo(made.hash());
    }

    @Test
    void oddTargetsGetASentence() throws Exception {
        fails("is a folder; name the project's file", "new", "/");
        Path file = Files.writeString(folder.resolve("x.txt"), "x");
        fails("is a file; --series names a folder", "sheet", HOP, "--flipbook", "Hare", "--series", file.toString());
        fails("Name the folder to write the page into", "publish", DEMO, "--to", "");
        assertThat(Files.readString(file)).isEqualTo("x");
        // a project that is there is written over only when that is asked for
        Path project = folder.resolve("there.tundra");
        assertThat(run("new", project.toString(), "--size", "100x50")).isZero();
        fails("write over it with --force", "new", project.toString(), "--size", "200x50");
        assertThat(run("new", project.toString(), "--size", "200x50", "--force")).isZero();
        assertThat(ProjectFile.read(project).scenes().getFirst().board().size().x()).isEqualTo(200);
        // somebody else's page too
        Path page = Files.createDirectories(folder.resolve("others"));
        Files.writeString(page.resolve("index.html"), "<h1>mine</h1>");
        fails("Tundra did not make", "publish", DEMO, "--to", page.toString());
        assertThat(run("publish", DEMO, "--to", page.toString(), "--force")).isZero();
    }

    @Test
    void whatTheSystemForbidsIsSaidInASentence() {
        assertThat(Troubles.sentence(new AccessDeniedException("/x/a.png"))).isEqualTo("You may not write to “a.png”. Nothing was changed.");
        assertThat(Troubles.sentence(new FileSystemException("/x/a.png", null, "No space left on device")))
                .isEqualTo("There is no room left on the disk for “a.png”. Nothing was changed.");
        assertThat(Troubles.sentence(new IOException("No space left on device")))
                .isEqualTo("There is no room left on the disk. Nothing was changed.");
    }

    @Test
    void versionsAreComparedJoinedUnpackedAndPacked() throws Exception {
        Project p = Hop.project();
        Path base = folder.resolve("base.tundra"), mine = folder.resolve("mine.tundra"), theirs = folder.resolve("theirs.tundra"),
                to = folder.resolve("both.tundra"), dir = folder.resolve("unpacked");
        ProjectFile.write(p, base);
        ProjectFile.write(p.withName("Mine"), mine);
        ProjectFile.write(p.mapBoard("s-hop", b -> b.mapTimeline("t-main", t -> t.withDuration(4_000_000))), theirs);
        assertThat(run("diff", base.toString(), base.toString())).isZero();
        assertThat(run("diff", base.toString(), theirs.toString())).isEqualTo(2);
        assertThat(out.strip()).isEqualTo("Duration of timeline “Main” in “Hop”: 2 s → 4 s.");
        assertThat(run("merge", mine.toString(), theirs.toString(), "--base", base.toString(), "--to", to.toString())).isZero();
        Project both = ProjectFile.read(to);
        assertThat(both.name()).isEqualTo("Mine");
        assertThat(both.scenes().getFirst().board().main().duration()).isEqualTo(4_000_000);
        Path other = folder.resolve("other.tundra");
        ProjectFile.write(p.withName("Other"), other);
        Files.delete(to);
        assertThat(run("merge", mine.toString(), other.toString(), "--base", base.toString(), "--to", to.toString())).isEqualTo(2);
        assertThat(err).contains("Name was changed in both").contains("Nothing was written");
        assertThat(to).doesNotExist();
        assertThat(run("merge", mine.toString(), other.toString(), "--base", base.toString(), "--to", to.toString(), "--prefer", "theirs"))
                .isEqualTo(2);
        assertThat(ProjectFile.read(to).name()).isEqualTo("Other");
        assertThat(run("unpack", base.toString(), "--to", dir.toString())).isZero();
        assertThat(dir.resolve("project.json")).exists();
        Path packed = folder.resolve("packed.tundra");
        assertThat(run("pack", dir.toString(), "--to", packed.toString())).isZero();
        assertThat(Files.readAllBytes(packed)).isEqualTo(Files.readAllBytes(base));
        fails("holds no project.json", "pack", folder.toString(), "--to", packed.toString());
    }
}
