package tundra.render;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.assertj.core.api.Assertions.withinPercentage;

import io.github.humbleui.skija.Canvas;
import io.github.humbleui.skija.Image;
import io.github.humbleui.skija.Surface;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import tundra.core.frame.Frame;
import tundra.core.frame.FrameBuilder;
import tundra.core.geometry.Point;
import tundra.core.model.Board;
import tundra.core.model.Color;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.core.model.Timeline;
import tundra.core.model.Values;
import tundra.core.motion.Easing;
import tundra.core.motion.Key;
import tundra.core.motion.Track;

class PainterTest {
    private final List<Element> elements = new ArrayList<>();
    private Timeline main = new Timeline("main", Timeline.MAIN, 2_000_000, false, true, Map.of());

    private Element add(String id, Content c, double x, double y, double w, double h, String fill) {
        var e = new Element(id, id, false, false, Values.NONE.with(Properties.POSITION, new Point(x, y)).with(Properties.SIZE, new Point(w, h))
                .with(Properties.FILL, Color.parse(fill)), c);
        elements.add(e);
        return e;
    }

    private Frame frame(long t) {
        return new FrameBuilder(new Board(new Point(200, 100), Values.NONE, elements, List.of(main), List.of()), Fonts.BUNDLED).at(t);
    }

    private BufferedImage still() throws Exception {
        return ImageIO.read(new ByteArrayInputStream(Still.png(Project.empty("p", new Point(200, 100), 24), frame(0))));
    }

    private static double coverage(BufferedImage image) {
        double sum = 0;
        for (int y = 0; y < image.getHeight(); y++) {
            for (int x = 0; x < image.getWidth(); x++) {
                sum += 1 - (image.getRGB(x, y) & 255) / 255.0;
            }
        }
        return sum;
    }

    @Test
    void aRectangleCoversItsPixelsExactly() throws Exception {
        add("r", new Content.Rectangle(), 50, 50, 20, 10, "#C8503A");
        BufferedImage i = still();
        assertThat(i.getRGB(40, 45)).isEqualTo(0xFFC8503A);
        assertThat(i.getRGB(59, 54)).isEqualTo(0xFFC8503A);
        assertThat(i.getRGB(60, 54)).isEqualTo(0xFFFFFFFF);
        assertThat(i.getRGB(39, 45)).isEqualTo(0xFFFFFFFF);
    }

    @Test
    void areasAreThoseOfTheForms() throws Exception {
        add("e", new Content.Ellipse(), 100, 50, 120, 60, "#000000");
        assertThat(coverage(still())).isCloseTo(Math.PI * 60 * 30, withinPercentage(0.5));
        elements.clear();
        // a round corner takes (1 - pi/4) r² away
        elements.add(add("r", new Content.Rectangle(), 100, 50, 80, 60, "#000000").with(Properties.CORNER_RADIUS, 20.0)
                .with(Properties.ROTATION, 20.0));
        elements.removeFirst();
        assertThat(coverage(still())).isCloseTo(80 * 60 - 4 * (1 - Math.PI / 4) * 400, withinPercentage(0.5));
        elements.clear();
        // a ring: stroke of 6 around a circle of radius 30
        elements.add(add("s", new Content.Ellipse(), 100, 50, 60, 60, "#00000000").with(Properties.STROKE, Color.BLACK).with(Properties.STROKE_WIDTH,
                6.0));
        elements.removeFirst();
        assertThat(coverage(still())).isCloseTo(2 * Math.PI * 30 * 6, withinPercentage(0.5));
    }

    @Test
    void aGroupFadesAsOne() throws Exception {
        var a = new Element("a", "a", false, false, Values.NONE.with(Properties.POSITION, new Point(30, 30)).with(Properties.SIZE, new Point(40, 40))
                .with(Properties.FILL, Color.BLACK), new Content.Rectangle());
        var b = new Element("b", "b", false, false, a.rest().with(Properties.POSITION, new Point(50, 50)), new Content.Rectangle());
        elements.add(new Element("g", "g", false, false, Values.NONE.with(Properties.POSITION, new Point(50, 50)).with(Properties.OPACITY, 0.5),
                new Content.Group(List.of(a, b), new Point(100, 100))));
        BufferedImage i = still();
        // where both lie the group is no darker than where one does
        assertThat(i.getRGB(40, 40) & 255).isCloseTo(127, within(1));
        assertThat(i.getRGB(20, 20) & 255).isCloseTo(127, within(1));
    }

    @Test
    void textIsAsWideAsItMeasures() throws Exception {
        var t = new Content.Text("HHHHHHHH", "Figtree", 700, 20, Content.Align.LEFT, 1.2);
        elements.add(new Element("t", "t", false, false, Values.NONE.with(Properties.POSITION, new Point(10, 20)).with(Properties.PIVOT, Point.ZERO)
                .with(Properties.FILL, Color.BLACK), t));
        BufferedImage i = still();
        int last = 0;
        for (int x = 0; x < 200; x++) {
            for (int y = 0; y < 100; y++) {
                last = (i.getRGB(x, y) & 255) < 128 ? x : last;
            }
        }
        double width = Fonts.BUNDLED.width("Figtree", 700, 20, "HHHHHHHH", true);
        assertThat(last).isBetween((int) (10 + width - 5), (int) (10 + width));
        assertThat(width).isCloseTo(2 * Fonts.BUNDLED.width("Figtree", 700, 10, "HHHHHHHH", true), within(0.01));
        assertThat(Fonts.BUNDLED.width("No Such Font", 400, 20, "abc", true)).isEqualTo(Fonts.BUNDLED.width("Figtree", 400, 20, "abc", true));
    }

    @Test
    void everyFamilyHasItsFileAndLicence() {
        for (String family : Fonts.BUNDLED.families()) {
            assertThat(new String(Fonts.BUNDLED.licence(family), StandardCharsets.UTF_8)).contains("SIL OPEN FONT LICENSE");
            for (int weight : Fonts.BUNDLED.weights(family)) {
                assertThat(Fonts.BUNDLED.file(family, weight)).hasSizeGreaterThan(10_000);
            }
        }
    }

    @Test
    void keptPicturesOfStillPartsLookLikeFreshOnes() {
        for (int i = 0; i < 12; i++) {
            elements.add(add("e" + i, i % 2 == 0 ? new Content.Ellipse() : new Content.Rectangle(), 10 + i * 16, 50, 30, 20 + i, "#5F8FA380")
                    .with(Properties.ROTATION, 7.0 * i));
            elements.remove(elements.size() - 2);
        }
        main = main.with("e6", Properties.ROTATION,
                new Track<>(List.of(new Key<>(0, 0.0, Easing.LINEAR), new Key<>(2_000_000, 90.0, Easing.LINEAR))));
        var builder = new FrameBuilder(new Board(new Point(200, 100), Values.NONE, elements, List.of(main), List.of()), Fonts.BUNDLED);
        try (var painter = new Painter(); var store = new StillStore(painter); Surface kept = Surface.makeRasterN32Premul(300, 150);
                Surface fresh = Surface.makeRasterN32Premul(300, 150)) {
            for (int f = 0; f < 6; f++) {
                Frame frame = builder.at(f * 300_000L);
                kept.getCanvas().clear(0xFFFFFFFF);
                store.paint(kept.getCanvas(), frame, 1.4, 3, 5, 300, 150, true);
                Canvas c = fresh.getCanvas();
                c.clear(0xFFFFFFFF);
                c.save();
                c.translate(3, 5).scale(1.4f, 1.4f);
                painter.paint(c, frame, 1.4);
                c.restore();
                assertThat(psnr(kept, fresh)).as("frame " + f + ", in dB").isGreaterThanOrEqualTo(50);
            }
        }
    }

    @Test
    void aLargeGroupThatMovesIsKeptWhileItMovesAndCrispWhenItStands() {
        var inside = new ArrayList<Element>();
        for (int i = 0; i < 10; i++) {
            inside.add(new Element("c" + i, "c" + i, false, false, Values.NONE.with(Properties.POSITION, new Point(8 + i * 9, 20))
                    .with(Properties.SIZE, new Point(14, 30)).with(Properties.FILL, Color.parse("#2E5D7390")), new Content.Ellipse()));
        }
        elements.add(new Element("g", "g", false, false, Values.NONE.with(Properties.POSITION, new Point(60, 50)),
                new Content.Group(inside, new Point(100, 40))));
        main = main.with("g", Properties.POSITION, new Track<>(List.of(new Key<>(0, new Point(60, 50), Easing.LINEAR),
                new Key<>(2_000_000, new Point(140, 50), Easing.LINEAR))));
        var builder = new FrameBuilder(new Board(new Point(200, 100), Values.NONE, elements, List.of(main), List.of()), Fonts.BUNDLED);
        try (var painter = new Painter(); var store = new StillStore(painter); Surface kept = Surface.makeRasterN32Premul(200, 100);
                Surface fresh = Surface.makeRasterN32Premul(200, 100)) {
            for (int f = 0; f < 8; f++) {
                Frame frame = builder.at(f * 213_000L);
                boolean inMotion = f % 4 != 3;
                store.paint(kept.getCanvas().clear(0xFFFFFFFF), frame, 1, 0, 0, 200, 100, inMotion);
                painter.paint(fresh.getCanvas().clear(0xFFFFFFFF), frame, 1);
                assertThat(psnr(kept, fresh)).as("frame " + f).isGreaterThanOrEqualTo(inMotion ? 36 : 99);
            }
        }
    }

    @Test
    void aPictureInBandsLooksLikeTheOneOfASingleSurface() {
        var random = new Random(3);
        for (int i = 0; i < 40; i++) {
            elements.add(add("e" + i, i % 2 == 0 ? new Content.Ellipse() : new Content.Rectangle(), random.nextInt(500), random.nextInt(400), 60, 90,
                    "#5F8FA380")
                    .with(Properties.ROTATION, 37.0 * i).with(Properties.STROKE, Color.BLACK).with(Properties.STROKE_WIDTH, 2.5));
            elements.remove(elements.size() - 2);
        }
        elements.add(new Element("w", "w", false, false, Values.NONE.with(Properties.POSITION, new Point(250, 200)).with(Properties.OPACITY, 0.5)
                .with(Properties.FILL, Color.BLACK), new Content.Text("A line over the bands", "Figtree", 600, 44, Content.Align.LEFT, 1.2)));
        Frame frame = new FrameBuilder(new Board(new Point(500, 401), Values.NONE, elements, List.of(main), List.of()), Fonts.BUNDLED).at(0);
        var pixels = ByteBuffer.allocateDirect(4 * 500 * 401);
        try (var painter = new Painter(); var bands = new Bands(pixels, 500, 401); Surface one = Surface.makeRasterN32Premul(500, 401)) {
            painter.paint(one.getCanvas().clear(0xFFFFFFFF), frame, 1);
            bands.paint(c -> painter.paint(c.clear(0xFFFFFFFF), frame, 1));
            byte[] banded = new byte[pixels.capacity()];
            pixels.get(0, banded);
            try (var image = one.makeImageSnapshot()) {
                // Skia approximates a curve that is cut a little differently along its edge
                assertThat(psnr(bytes(image), banded)).as("in dB").isGreaterThanOrEqualTo(44);
            }
        }
    }

    private static double psnr(Surface a, Surface b) {
        try (var x = a.makeImageSnapshot(); var y = b.makeImageSnapshot()) {
            return psnr(bytes(x), bytes(y));
        }
    }

    private static double psnr(byte[] p, byte[] q) {
        double sum = 0;
        for (int i = 0; i < p.length; i++) {
            sum += Math.pow((p[i] & 255) - (q[i] & 255), 2);
        }
        return sum == 0 ? 99 : 10 * Math.log10(255.0 * 255 * p.length / sum);
    }

    private static byte[] bytes(Image image) {
        var pixels = image.peekPixels();
        byte[] out = new byte[pixels.remaining()];
        pixels.get(out);
        return out;
    }
}
