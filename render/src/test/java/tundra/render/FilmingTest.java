package tundra.render;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import io.github.humbleui.skija.Bitmap;
import io.github.humbleui.skija.Codec;
import io.github.humbleui.skija.Data;
import io.github.humbleui.skija.Image;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.concurrent.CancellationException;
import javax.imageio.ImageIO;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.rendering.PDFRenderer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tundra.core.file.FileProblem;
import tundra.core.fit.BoardChanges;
import tundra.core.fit.Frames;
import tundra.core.fit.Run;
import tundra.core.fit.VisitorState;
import tundra.core.frame.Moment;
import tundra.core.geometry.Point;
import tundra.core.geometry.Rect;
import tundra.core.model.Board;
import tundra.core.model.Color;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Marker;
import tundra.core.model.Output;
import tundra.core.model.Outputs;
import tundra.core.model.PlacedSound;
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.core.model.Scene;
import tundra.core.model.Slot;
import tundra.core.model.Timeline;
import tundra.core.model.Transition;
import tundra.core.model.Values;
import tundra.core.motion.Easing;
import tundra.core.motion.Key;
import tundra.core.motion.Track;
import tundra.core.work.Progress;

/** Films and loops hold the pictures of the stills, at their times. */
class FilmingTest {
    private static final int W = 320, H = 180, RATE = 24;
    private static final String RED = "#C8503A", BLUE = "#2F78A3";
    @TempDir
    static Path folder;

    /** A square that goes from x 40 to x 280 in two seconds, one px in 1/120 s, over another one that stays. */
    private static Project piece() {
        Project p = Project.empty("P", new Point(W, H), RATE);
        var square = new Element("a", "A", false, false, Values.NONE.with(Properties.POSITION, new Point(40, 90))
                .with(Properties.SIZE, new Point(40, 40)).with(Properties.FILL, Color.parse(RED)), new Content.Rectangle());
        var still = new Element("b", "B", false, false, Values.NONE.with(Properties.POSITION, new Point(160, 30))
                .with(Properties.SIZE, new Point(200, 30)).with(Properties.FILL, Color.parse(BLUE)), new Content.Rectangle());
        var track = new Track<>(List.of(new Key<>(0, new Point(40, 90), Easing.LINEAR), new Key<>(2_000_000, new Point(280, 90), Easing.LINEAR)));
        return p.mapBoard(p.scenes().getFirst().id(), b -> b.withElements(List.of(still, square))
                .withTimelines(List.of(new Timeline(b.main().id(), Timeline.MAIN, 2_000_000, false, true, Map.of()).with("a", Properties.POSITION,
                track))));
    }

    private static Board board(Project p) {
        return p.scenes().getFirst().board();
    }

    private static int[] still(Project p, long time) throws Exception {
        byte[] png = Still.png(p, Frames.of(p, board(p), Fonts.BUNDLED).at(Moment.opened(board(p), time)), W, H);
        return ImageIO.read(new ByteArrayInputStream(png)).getRGB(0, 0, W, H, null, 0, W);
    }

    private static double psnr(int[] a, int[] b) {
        double sum = 0;
        for (int i = 0; i < a.length; i++) {
            for (int s = 0; s < 24; s += 8) {
                double d = (a[i] >> s & 255) - (b[i] >> s & 255);
                sum += d * d;
            }
        }
        return sum == 0 ? 99 : 10 * Math.log10(255 * 255 / (sum / (3.0 * a.length)));
    }

    private static Path made(Project p, Output o, String name) throws Exception {
        Path to = folder.resolve(name);
        new Filming(p, o).write(to, Progress.NONE);
        return to;
    }

    private static int[] pixels(Image image) {
        return Rasters.argb(image);
    }

    @Test
    void filmsHoldTheStillsAtTheirTimes() throws Exception {
        Project p = piece();
        for (String format : Outputs.FILM_FORMAT.choices()) {
            Path film = made(p, Outputs.FILM.made().with(Outputs.FILM_FORMAT, format).with(Outputs.QUALITY, "best"), format.replace(' ', '-')
                    + (format.equals("MP4") ? ".mp4" : ".webm"));
            try (var frames = new VideoFrames(film)) {
                assertThat(frames.duration()).as(format).isCloseTo(2_000_000, within(1_000_000L / RATE / 2));
                for (int i = 0; i < 48; i += 4) {
                    long time = Math.round(i * 1e6 / RATE);
                    try (Image image = frames.at(time + 1_000_000 / RATE / 2)) {
                        int[] seen = pixels(image);
                        assertThat(psnr(seen, still(p, time))).as("%s, picture %d", format, i).isGreaterThan(38);
                        // in the middle of the square, which is at 40 + 120 t
                        int at = seen[90 * W + (int) Math.round(40 + 120 * time / 1e6)];
                        Color red = Color.parse(RED);
                        assertThat(at >> 16 & 255).as(format).isCloseTo(red.argb() >> 16 & 255, within(2));
                        assertThat(at >> 8 & 255).isCloseTo(red.argb() >> 8 & 255, within(2));
                        assertThat(at & 255).isCloseTo(red.argb() & 255, within(2));
                    }
                }
            }
        }
    }

    private record Shown(int[] argb, int ms) {}

    private static List<Shown> loop(Path file) throws Exception {
        var out = new ArrayList<Shown>();
        try (Data data = Data.makeFromBytes(Files.readAllBytes(file)); Codec codec = Codec.makeFromData(data)) {
            for (int i = 0; i < codec.getFrameCount(); i++) {
                try (var bitmap = new Bitmap()) {
                    bitmap.allocPixels(codec.getImageInfo());
                    codec.readPixels(bitmap, i);
                    try (Image image = Image.makeRasterFromBitmap(bitmap.setImmutable())) {
                        out.add(new Shown(pixels(image), codec.getFrameInfo(i).getDuration()));
                    }
                }
            }
        }
        return out;
    }

    @Test
    void loopsHoldTheStillsAndGoOnForEver() throws Exception {
        Project p = piece();
        for (String format : List.of("GIF", "WebP")) {
            List<Shown> shown = loop(made(p, Outputs.LOOP.made().with(Outputs.LOOP_FORMAT, format).with(Outputs.RATE, 20.0), "loop."
                    + format.toLowerCase(Locale.ROOT)));
            assertThat(shown).as(format).hasSize(40).allMatch(s -> s.ms() == 50);
            for (int i = 0; i < 40; i += 3) {
                assertThat(psnr(shown.get(i).argb(), still(p, i * 50_000L))).as("%s, picture %d", format, i).isGreaterThan(format.equals("GIF") ? 42
                        : 60);
            }
        }
        Path apng = made(p, Outputs.LOOP.made().with(Outputs.LOOP_FORMAT, "APNG"), "loop.png");
        // its first picture is that of any PNG reader; the animation chunk says how many there are, and 0 plays are for ever
        assertThat(psnr(ImageIO.read(apng.toFile()).getRGB(0, 0, W, H, null, 0, W), still(p, 0))).isEqualTo(99);
        byte[] bytes = Files.readAllBytes(apng);
        int at = new String(bytes, StandardCharsets.ISO_8859_1).indexOf("acTL") + 4;
        var chunk = ByteBuffer.wrap(bytes, at, 8);
        assertThat(List.of(chunk.getInt(), chunk.getInt())).containsExactly(48, 0);
        assertThat(new String(Files.readAllBytes(folder.resolve("loop.gif")), StandardCharsets.ISO_8859_1)).contains("NETSCAPE2.0\u0003\u0001\0\0\0");
    }

    @Test
    void whatIsBehindIsSeenThrough() throws Exception {
        Project p = piece();
        for (String format : List.of("GIF", "WebP")) {
            List<Shown> shown = loop(made(p, Outputs.LOOP.made().with(Outputs.LOOP_FORMAT, format).with(Outputs.CLEAR, "yes")
                    .with(Outputs.RATE, 10.0), "clear." + format.toLowerCase(Locale.ROOT)));
            for (int i = 0; i < shown.size(); i++) {
                int[] seen = shown.get(i).argb();
                assertThat(seen[170 * W + 10] >>> 24).as("%s, behind", format).isZero();
                assertThat(seen[90 * W + 40 + 12 * i] >>> 24).as("%s, the square", format).isEqualTo(255);
            }
        }
    }

    @Test
    void thereAndBackAndSeveralTimes() throws Exception {
        Project p = piece();
        // 0 to 2 s at 10: 20 pictures, and the 18 between the ends once more
        assertThat(new Filming(p, Outputs.LOOP.made().with(Outputs.BACK, "yes").with(Outputs.RATE, 10.0)).frames()).isEqualTo(38);
        assertThat(new Filming(p, Outputs.FILM.made().with(Outputs.TIMES, 3.0).with(Outputs.FROM, 500_000L).with(Outputs.UNTIL, 1_500_000L)).frames())
                .isEqualTo(72);
        Path wide = made(p, Outputs.FILM.made().with(Outputs.WIDTH, 101.0), "odd.mp4");
        try (var frames = new VideoFrames(wide); Image image = frames.at(0)) {
            assertThat(List.of(image.getWidth(), image.getHeight())).containsExactly(102, 56);
        }
    }

    @Test
    void whatIsGivenUpOrCantBeLeavesTheOldFile() throws Exception {
        Project p = piece();
        Path old = Files.writeString(folder.resolve("old.mp4"), "old");
        int[] asked = {0};
        assertThatThrownBy(() -> new Filming(p, Outputs.FILM.made()).write(old, Progress.of(done -> { }, () -> ++asked[0] > 10)))
                .isInstanceOf(CancellationException.class);
        assertThat(old).hasContent("old");
        try (var all = Files.list(folder)) {
            assertThat(all.map(f -> f.getFileName().toString()).filter(n -> n.startsWith(".tundra"))).isEmpty();
        }
        assertThatThrownBy(() -> new Filming(p, Outputs.FILM.made().with(Outputs.CLEAR, "yes"))).isInstanceOf(FileProblem.class)
                .hasMessage("An MP4 can't be seen through; make a WebM. Nothing was written.");
        assertThatThrownBy(() -> new Filming(p, Outputs.FILM.made().with(Outputs.FROM, 3_000_000L)))
                .hasMessageContaining("nothing between 3.0 s and 2.0 s");
        assertThatThrownBy(() -> new Filming(p, Outputs.FILM.made().with(Outputs.TIMES, 1000.0).with(Outputs.RATE, 120.0)))
                .hasMessageContaining("240000 pictures");
        assertThatThrownBy(() -> new Filming(p, Outputs.FILM.made()).write(folder.resolve("none").resolve("a.mp4"), Progress.NONE))
                .isInstanceOf(IOException.class);
    }

    /** A square wave of 1 kHz that begins with its first sample: 0.2 s as WAV. */
    private static byte[] wave() {
        int n = 9600;
        var out = ByteBuffer.allocate(44 + 2 * n).order(ByteOrder.LITTLE_ENDIAN);
        out.put("RIFF".getBytes()).putInt(36 + 2 * n).put("WAVEfmt ".getBytes()).putInt(16).putShort((short) 1).putShort((short) 1).putInt(48_000)
                .putInt(96_000).putShort((short) 2).putShort((short) 16).put("data".getBytes()).putInt(2 * n);
        for (int i = 0; i < n; i++) {
            out.putShort((short) (i / 24 % 2 == 0 ? 16_000 : -16_000));
        }
        return out.array();
    }

    /** The first sample that is loud from one on. */
    private static int onset(float[] samples, int from) {
        for (int i = from; i < samples.length / 2; i++) {
            if (Math.abs(samples[2 * i]) > 0.2) {
                return i;
            }
        }
        return -1;
    }

    @Test
    void soundsAreHeardWhenTheyAreSeenToBe() throws Exception {
        var sound = SoundReader.read("tick.wav", wave());
        Project p = piece().withAsset(sound);
        p = p.mapBoard(p.scenes().getFirst().id(),
                b -> b.mapTimeline(b.main().id(), t -> t.withSounds(List.of(new PlacedSound("s", sound.hash(), 500_000, 1)))));
        for (String format : Outputs.FILM_FORMAT.choices()) {
            Path film = made(p, Outputs.FILM.made().with(Outputs.FILM_FORMAT, format).with(Outputs.TIMES, 2.0), "sound-" + format.replace(' ', '-')
                    + (format.equals("MP4") ? ".mp4" : ".webm"));
            float[] heard = SoundReader.decode("film", Files.readAllBytes(film));
            assertThat(heard.length / 2).as(format).isCloseTo(4 * 48_000, within(2000));
            // 1 ms are 48 samples
            assertThat(onset(heard, 0)).as(format).isCloseTo(24_000, within(48));
            assertThat(onset(heard, 60_000)).as("%s, the second time", format).isCloseTo(24_000 + 96_000, within(48));
            assertThat(onset(heard, 130_000)).isEqualTo(-1);
        }
        Path silent = made(p, Outputs.FILM.made().with(Outputs.SOUND, "no"), "silent.mp4");
        assertThatThrownBy(() -> SoundReader.decode("film", Files.readAllBytes(silent))).isInstanceOf(FileProblem.class);
    }

    @Test
    void scenesFollowEachOtherByTheirTransitions() throws Exception {
        Project one = piece();
        var board = new Board(new Point(W, H), Values.NONE.with(Properties.BACKGROUND, Color.parse("#204060")), List.of(),
                List.of(new Timeline(Timeline.MAIN, 1_000_000)), List.of());
        var way = new Transition(Transition.Kind.PUSH, Transition.Side.LEFT, 500_000, Easing.LINEAR);
        var second = new Scene("second", "Second", board);
        second = second.withOpening(second.opening().with(way));
        Project p = one.withScenes(List.of(one.scenes().getFirst(), second));
        Output all = Outputs.FILM.made().with(Outputs.SCENES, Slot.EVERYTHING).with(Outputs.QUALITY, "best");
        var filming = new Filming(p, all);
        assertThat(filming.frames()).isEqualTo(3 * RATE);
        Path to = folder.resolve("scenes.mp4");
        filming.write(to, Progress.NONE);
        try (var frames = new VideoFrames(to)) {
            // half way: the second scene covers the right half, the first one has gone so far to the left
            try (Image image = frames.at(2_250_000 + 1_000_000 / RATE / 2)) {
                int[] seen = pixels(image), last = still(p, 2_250_000);
                int[] expected = new int[W * H];
                for (int i = 0; i < W * H; i++) {
                    expected[i] = i % W < W / 2 ? last[i + W / 2] : 0xFF204060;
                }
                assertThat(psnr(seen, expected)).isGreaterThan(38);
            }
            try (Image image = frames.at(2_900_000)) {
                assertThat(near(pixels(image)[20], 0xFF204060)).isTrue();
            }
        }
    }

    private static boolean near(int a, int b) {
        for (int s = 0; s < 24; s += 8) {
            if (Math.abs((a >> s & 255) - (b >> s & 255)) > 12) {
                return false;
            }
        }
        return true;
    }

    @Test
    void aSceneOfAnotherShapeIsContainedOnTheChosenColour() throws Exception {
        Project p = piece();
        Path to = made(p, Outputs.FILM.made().with(Outputs.WIDTH, 320.0).with(Outputs.HEIGHT, 320.0).with(Outputs.AROUND, "#205020")
                .with(Outputs.UNTIL, 200_000L).with(Outputs.QUALITY, "best"), "square.mp4");
        try (var frames = new VideoFrames(to); Image image = frames.at(20_000)) {
            int[] seen = pixels(image);
            assertThat(image.getHeight()).isEqualTo(320);
            assertThat(near(seen[30 * 320 + 160], 0xFF205020)).isTrue();
            assertThat(near(seen[300 * 320 + 160], 0xFF205020)).isTrue();
            assertThat(near(seen[160 * 320 + 300], 0xFFFFFFFF)).isTrue();
        }
    }

    @Test
    void threePicturesTellAboutHowLargeTheWholeWillBe() throws Exception {
        Project p = piece();
        for (String format : List.of("GIF", "APNG", "WebP")) {
            var filming = new Filming(p, Outputs.LOOP.made().with(Outputs.LOOP_FORMAT, format));
            Path to = folder.resolve("size." + format);
            filming.write(to, Progress.NONE);
            assertThat(filming.expected(Progress.NONE)).as(format).isBetween(Files.size(to) / 3, Files.size(to) * 3);
        }
    }

    @Test
    void anAvifHoldsTheStillsToo() throws Exception {
        Project p = piece();
        Path to = made(p, Outputs.LOOP.made().with(Outputs.LOOP_FORMAT, "AVIF"), "loop.avif");
        assertThat(new String(Files.readAllBytes(to), 4, 8, StandardCharsets.ISO_8859_1)).isEqualTo("ftypavis");
        try (var frames = new VideoFrames(to)) {
            for (int i = 0; i < 48; i += 4) {
                long time = Math.round(i * 1e6 / RATE);
                try (Image image = frames.at(time + 1_000_000 / RATE / 2)) {
                    assertThat(psnr(pixels(image), still(p, time))).as("picture %d", i).isGreaterThan(38);
                }
            }
        }
        assertThatThrownBy(() -> new Filming(p, Outputs.LOOP.made().with(Outputs.LOOP_FORMAT, "AVIF").with(Outputs.CLEAR, "yes")))
                .hasMessageContaining("can't be seen through");
    }

    /** Every picture of a series, and each other format of one, is the still of its moment. */
    @Test
    void framesAreTheStillsOfTheirMoments() throws Exception {
        Project plain = piece();
        Project p = plain.mapBoard(plain.scenes().getFirst().id(),
                b -> b.mapTimeline(b.main().id(),
                t -> t.withMarkers(List.of(new Marker("m1", "Later", 1_500_000), new Marker("m2", "First", 250_000)))));
        Path every = folder.resolve("every");
        new FrameFiles(p, Outputs.FRAMES.made().with(Outputs.WHICH, "every frame").with(Outputs.EVERY, 4.0)).write(every, false, Progress.NONE);
        try (var all = Files.list(every)) {
            assertThat(all.filter(x -> x.toString().endsWith(".png")).count()).isEqualTo(12);
        }
        for (int f = 0; f < 48; f += 4) {
            int[] seen = ImageIO.read(every.resolve(String.format(Locale.ROOT, "%05d.png", f)).toFile()).getRGB(0, 0, W, H, null, 0, W);
            assertThat(psnr(seen, still(p, p.frameTime(f)))).as("frame %d", f).isEqualTo(99);
        }
        Path marked = folder.resolve("marked");
        new FrameFiles(p, Outputs.FRAMES.made().with(Outputs.WHICH, "each marker").with(Outputs.FRAMES_FORMAT, "WebP"))
                .write(marked, false, Progress.NONE);
        try (var image = PictureReader.decode(Files.readAllBytes(marked.resolve("001-first.webp")))) {
            assertThat(psnr(pixels(image), still(p, 250_000))).isGreaterThan(60);
        }
        assertThat(marked.resolve("002-later.webp")).exists();
        Path pdf = folder.resolve("one.pdf");
        new FrameFiles(p, Outputs.FRAMES.made().with(Outputs.FRAMES_FORMAT, "PDF").with(Outputs.AT, 1_000_000L)).write(pdf, false, Progress.NONE);
        try (var doc = Loader.loadPDF(pdf.toFile())) {
            assertThat(doc.getNumberOfPages()).isEqualTo(1);
            // 96 CSS px are an inch
            assertThat(doc.getPage(0).getMediaBox().getWidth()).isEqualTo(W * 0.75f);
            int[] seen = new PDFRenderer(doc).renderImageWithDPI(0, 96).getRGB(0, 0, W, H, null, 0, W);
            assertThat(psnr(seen, still(p, 1_000_000))).isGreaterThan(30);
        }
        assertThatThrownBy(() -> new FrameFiles(piece(), Outputs.FRAMES.made().with(Outputs.WHICH, "each marker"))).isInstanceOf(FileProblem.class)
                .hasMessageContaining("no markers");
    }

    /** A visit in which Main stands for half a second, plays on from its begin, and is set back and played once more. */
    @Test
    void aVisitSoundsAsItWasHeard() throws Exception {
        var sound = SoundReader.read("tick.wav", wave());
        Project plain = piece().withAsset(sound);
        Project p = plain.mapBoard(plain.scenes().getFirst().id(),
                b -> b.mapTimeline(b.main().id(), t -> t.withSounds(List.of(new PlacedSound("s", sound.hash(), 500_000, 1)))));
        String scene = p.scenes().getFirst().id(), main = board(p).main().id();
        var states = new ArrayList<VisitorState>();
        for (int i = 0; i <= 180; i++) {
            // a frame of the browser each 1/60 s
            long time = i * 1_000_000L / 60, at = time < 500_000 ? 0 : time < 2_000_000 ? time - 500_000 : time - 2_000_000;
            states.add(new VisitorState(time, new Point(W, H), List.of(new VisitorState.SceneState(scene, new Rect(0, 0, W, H), 1, null, null,
                    new Moment(List.of(new Moment.Standing(main, at))), BoardChanges.NONE)), Map.of()));
        }
        Path to = folder.resolve("visit.mp4");
        new Filming(p, Outputs.FILM.made().with(Outputs.RATE, 30.0), new Run(states)).write(to, Progress.NONE);
        float[] heard = SoundReader.decode("film", Files.readAllBytes(to));
        // at 0.5 + 0.5 s and at 2 + 0.5 s, as near as a frame of the browser tells
        assertThat(onset(heard, 0)).isCloseTo(48_000, within(900));
        assertThat(onset(heard, 70_000)).isCloseTo(120_000, within(900));
        assertThat(onset(heard, 135_000)).isEqualTo(-1);
    }
}
