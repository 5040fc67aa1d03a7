package tundra.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import javax.imageio.ImageIO;
import org.assertj.core.api.SoftAssertions;
import org.junit.jupiter.api.Test;
import tundra.core.edit.Arrange;
import tundra.core.edit.Placing;
import tundra.core.fit.Frames;
import tundra.core.frame.FrameBuilder;
import tundra.core.geometry.Point;
import tundra.core.geometry.Rect;
import tundra.core.model.Asset;
import tundra.core.model.Board;
import tundra.core.model.Color;
import tundra.core.model.Content;
import tundra.core.model.Drawing;
import tundra.core.model.Element;
import tundra.core.model.Flipbook;
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.core.model.Scene;
import tundra.core.model.Timeline;
import tundra.core.model.Values;
import tundra.core.work.Progress;
import tundra.render.Fonts;
import tundra.render.PictureSheets;
import tundra.render.Still;
import tundra.samples.OpenNight;

/** Flipbooks in Chromium, frame by frame. */
class FlipParityTest extends InBrowser {
    private static Page published(Project p, String name) throws Exception {
        Page page = new PageCompiler(Fonts.BUNDLED, Fonts.BUNDLED, new PictureSheets()).compile(p, null);
        Publisher.publish(page, folder.resolve(name), Progress.NONE);
        return page;
    }

    /** Pictures of one size: a card that turns, drawn here. */
    private static List<Asset> cards(int n) throws Exception {
        var out = new ArrayList<Asset>();
        for (int i = 0; i < n; i++) {
            var image = new BufferedImage(64, 48, BufferedImage.TYPE_INT_ARGB);
            var g = image.createGraphics();
            g.setColor(new java.awt.Color(40 + 30 * i, 90, 160 - 20 * i));
            g.fillRect(i % 3 == 0 ? 0 : 4, 4, i % 3 == 0 ? 64 : 56, 40);
            g.setColor(java.awt.Color.ORANGE);
            g.fillOval(6 + 7 * i, 12, 20, 20);
            g.dispose();
            var bytes = new ByteArrayOutputStream();
            ImageIO.write(image, "png", bytes);
            out.add(Asset.picture("card " + i + ".png", "image/png", 64, 48, bytes.toByteArray()));
        }
        return out;
    }

    private static BufferedImage image(byte[] png) throws Exception {
        return ImageIO.read(new ByteArrayInputStream(png));
    }

    private static byte[] cut(byte[] png, Rect r) throws Exception {
        BufferedImage all = image(png);
        int x = (int) Math.max(0, r.x()), y = (int) Math.max(0, r.y());
        int w = (int) Math.min(all.getWidth() - x, r.right() - x), h = (int) Math.min(all.getHeight() - y, r.bottom() - y);
        var out = new ByteArrayOutputStream();
        ImageIO.write(all.getSubimage(x, y, Math.max(1, w), Math.max(1, h)), "png", out);
        return out.toByteArray();
    }

    private static List<Double> times(Board b, long t) {
        return b.timelines().stream().map(x -> x.local(t) / 1000.0).toList();
    }

    @Test
    void everyFrameOfEveryKindLooksTheSame() throws Exception {
        Project p = new FlipPiece(cards(5)).make();
        Page page = published(p, "flip");
        assertThat(page.files().keySet()).as("the pictures go as one sheet").contains("pictures/sheet-pictures.png")
                .noneMatch(f -> f.matches("pictures/[0-9a-f]{16}.*"));
        Board b = p.scenes().getFirst().board();
        var builder = new FrameBuilder(b, Fonts.BUNDLED);
        browser.open(folder.resolve("flip"), 500, 320);
        var soft = new SoftAssertions();
        double least = 99;
        for (long f = 0; f < 48; f++) {
            // at the very start of the frame, and just before its end
            for (long t : new long[] {p.frameTime(f), p.frameTime(f + 1) - 50}) {
                double db = Psnr.of(Still.png(p, builder.at(t)), browser.still(times(b, t), t / 1000.0));
                least = Math.min(least, db);
                soft.assertThat(db).as("frame %d at %d µs", f, t).isGreaterThanOrEqualTo(40);
            }
        }
        System.out.printf(Locale.ROOT, "PSNR of flip: %.1f dB at least%n", least);
        soft.assertAll();
    }

    @Test
    void theHaresRunLooksTheSameInEveryFrame() throws Exception {
        Project demo = OpenNight.project();
        Board all = demo.scenes().getFirst().board();
        // the hare by itself on a low canvas, so that a cut shows nothing else
        Project p = demo.mapBoard(demo.scenes().getFirst().id(), b -> Placing.shift(Arrange.delete(b,
                b.elements().stream().map(Element::id).filter(id -> !id.equals("s-hare")).toList()), "s-hare", new Point(0, -440))
                .withSize(new Point(1280, 140)));
        Board b = p.scenes().getFirst().board();
        published(p, "hare");
        var builder = Frames.of(p, b, Fonts.BUNDLED);
        browser.open(folder.resolve("hare"), 1280, 140);
        var soft = new SoftAssertions();
        double least = 99;
        int seen = 0;
        for (long f = p.frameAt(2_000_000); f < p.frameAt(8_000_000); f++) {
            long t = p.frameTime(f);
            var frame = builder.at(t);
            var node = frame.nodes().getFirst();
            Rect where = node.toParent().bounds(node.inked()).grow(6);
            if (where.x() > all.size().x() - 20) {
                continue;
            }
            double db = Psnr.of(cut(Still.png(p, frame), where), cut(browser.still(times(b, t), t / 1000.0), where));
            least = Math.min(least, db);
            seen++;
            soft.assertThat(db).as("frame %d", f).isGreaterThanOrEqualTo(36);
        }
        System.out.printf(Locale.ROOT, "PSNR of the hare, cut out: %.1f dB at least over %d frames%n", least, seen);
        assertThat(seen).isGreaterThan(120);
        soft.assertAll();
    }

    @Test
    @SuppressWarnings("unchecked")
    void drawingsAreSwitchedOffTheMainThread() throws Exception {
        Project p = new FlipPiece(cards(5)).make();
        published(p, "steps");
        browser.open(folder.resolve("steps"), 500, 320);
        var properties = (List<String>) browser.run("""
                return [...new Set(document.getAnimations().flatMap(a => Object.keys(a.effect.getKeyframes()[0])))]""");
        assertThat(properties).contains("opacity", "translate").doesNotContain("visibility", "display", "backgroundPosition");
        assertThat((Map<String, Object>) browser.run("return { n: document.querySelectorAll('.t-pictures img').length }")).containsEntry("n", 1L);
    }

    /** A flipbook that loops under a timeline of a day has the keys of one round, and shows the right drawing at any time of the day. */
    @Test
    void aDayOfALoopingFlipbookIsOneRound() throws Exception {
        long day = 86_400_000_000L;
        for (int start : new int[] {0, 5}) {
            var drawings = new ArrayList<Drawing>();
            for (int i = 0; i < 5; i++) {
                var ink = new Element("ink" + i, "ink" + i, false, false, Values.NONE.with(Properties.POSITION, new Point(10 + 10 * i, 20))
                        .with(Properties.SIZE, new Point(8, 8))
                        .with(Properties.FILL, Color.BLACK), new Content.Rectangle());
                drawings.add(new Drawing(new Element("d" + i, "d" + i, false, false, Values.NONE, new Content.Group(List.of(ink), new Point(60, 40),
                        null)), start + 2 * i, i == 2 ? 1 : 2));
            }
            var book = new Element("book", "book", false, false, Values.NONE.with(Properties.POSITION, new Point(60, 50)),
                    new Flipbook(drawings, new Point(60, 40), 12, Flipbook.Ending.LOOP));
            for (boolean loop : new boolean[] {false, true}) {
                var board = new Board(new Point(120, 100), Values.NONE, List.of(book),
                        List.of(new Timeline("main", Timeline.MAIN, day, loop, true, Map.of())), List.of());
                Project p = new Project("p", "P", 24, List.of(new Scene("s", "S", board)), Map.of(), Map.of());
                Page page = published(p, "day" + start + loop);
                assertThat(page.files().get("piece.js").length()).as("bytes").isLessThan(20_000);
                browser.open(folder.resolve("day" + start + loop), 120, 100);
                var builder = new FrameBuilder(board, Fonts.BUNDLED);
                var random = new Random(4);
                // within the first rounds, and anywhere; not on a drawing's very edge
                var times = IntStream.range(0, 60).mapToLong(n -> Math.round((n < 20 ? n : random.nextInt(86_000 * 12)) * 1e6 / 12) + 20_000).boxed()
                        .toList();
                var drawn = times.stream().map(t -> IntStream.range(0, 5).filter(i -> builder.at(t).find("d" + i) != null).mapToObj(String::valueOf)
                        .collect(Collectors.joining(","))).toList();
                Object seen = browser.run("""
                        const t = Tundra.pieces[0].timeline('Main');
                        t.pause();
                        return arguments[0].map(at => (t.goTo(at), [0, 1, 2, 3, 4].filter(i => getComputedStyle(document.querySelector('.t-d' + i + '-d')).opacity === '1').join()))""", times.stream().map(t -> t / 1000.0).toList());
                assertThat(drawn).as("from frame %d on, looping %s", start, loop).isEqualTo(seen).contains("0", "4");
            }
        }
    }
}
