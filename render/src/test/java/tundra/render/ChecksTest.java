package tundra.render;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.function.IntFunction;
import org.junit.jupiter.api.Test;
import tundra.core.check.Check;
import tundra.core.check.Checks;
import tundra.core.check.Finding;
import tundra.core.edit.Drawings;
import tundra.core.geometry.Point;
import tundra.core.geometry.Rect;
import tundra.core.model.Asset;
import tundra.core.model.Color;
import tundra.core.model.Content;
import tundra.core.model.Drawing;
import tundra.core.model.Element;
import tundra.core.model.Flipbook;
import tundra.core.model.Gradient;
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.core.model.Span;
import tundra.core.model.Values;
import tundra.core.work.Progress;

/** Each check finds what was planted, ten times, and is silent on the ten pieces without it. */
class ChecksTest {
    private static final Point BOX = new Point(300, 200);

    private static Element part(String name, Content c, Point at, Point size, Color fill) {
        return new Element(name, c, Values.NONE.with(Properties.POSITION, at).with(Properties.SIZE, size).with(Properties.FILL, fill));
    }

    /** A hop of so many drawings that ends where it began: body and head go up and down, stretch and gather. */
    private static Flipbook hop(int n, Flipbook.Ending ending) {
        var out = new ArrayList<Drawing>();
        for (int i = 0; i < n; i++) {
            double p = 2 * Math.PI * i / n;
            Point at = new Point(150 + 12 * Math.sin(p), 120 - 30 * (1 - Math.cos(p)) / 2);
            double k = 1 + 0.12 * Math.sin(p);
            Element body = part("Body", new Content.Ellipse(), at, new Point(90 * k, 50 / k), Color.parse("#DDE6EA"));
            Element head = part("Head", new Content.Ellipse(), at.plus(new Point(48, -20)), new Point(34, 30), Color.parse("#C8D4DA"));
            out.add(new Drawing(Flipbook.blank("Drawing " + (i + 1), BOX).withChildren(List.of(body, head)), 2 * i, 2));
        }
        return new Flipbook(out, BOX, 24, ending);
    }

    private static Flipbook with(Flipbook b, int i, Element art) {
        var all = new ArrayList<>(b.drawings());
        all.set(i, all.get(i).withArt(art));
        return b.withDrawings(all);
    }

    private static Flipbook add(Flipbook b, int i, Element part) {
        var parts = new ArrayList<>(b.drawings().get(i).art().children());
        parts.add(part);
        return with(b, i, b.drawings().get(i).art().withChildren(parts));
    }

    private static Project project(Flipbook book) {
        Element e = new Element("hare", "Hare", false, false, Values.NONE.with(Properties.POSITION, new Point(320, 180)), book);
        Project p = Project.empty("Check", new Point(640, 360), 24);
        return p.mapBoard(p.scenes().getFirst().id(), b -> b.withElements(List.of(e)));
    }

    private static List<Finding> check(Project p) {
        try (var eyes = new SkiaImageComparer()) {
            return Checks.run(p, Fonts.BUNDLED, eyes, Checks.JUMP, Progress.NONE);
        }
    }

    /** Ten with and ten without; the planted ones are found by that check at the right drawing, and by nothing else. */
    private static void tenOfEach(Check check, IntFunction<Project> planted, IntFunction<Project> clean, IntFunction<String> where) {
        for (int i = 0; i < 10; i++) {
            var found = check(planted.apply(i));
            assertThat(found).as("%s %d", check, i).isNotEmpty().allMatch(f -> f.check() == check);
            assertThat(found).as("%s %d", check, i).anyMatch(f -> f.text().contains(where.apply(0)));
            assertThat(check(clean.apply(i))).as("the clean twin of %s %d", check, i).isEmpty();
        }
    }

    private static Flipbook.Ending ending(int i) {
        return Flipbook.Ending.values()[i % 3];
    }

    private static Project mended(Project p, Finding f) {
        return p.mapBoard(f.scene(), f.fix().change());
    }

    @Test
    void blankFrames() {
        IntFunction<Project> planted = i -> {
            Flipbook b = hop(8 + i % 4, ending(i));
            int at = 1 + i % 5;
            if (i % 2 == 0) {
                String id = b.drawings().get(at).id();
                return project(Drawings.shift(b, b.drawings().subList(at, b.drawings().size()).stream().map(Drawing::id).toList(), 1 + i % 3));
            }
            return project(Drawings.insert(b, at, List.of(new Drawing(Flipbook.blank("Drawing x", BOX), 0, 1 + i % 2))));
        };
        // a pause of a second is meant
        IntFunction<Project> clean = i -> {
            Flipbook b = hop(8 + i % 4, ending(i));
            int at = 1 + i % 5;
            return project(i % 2 == 0 ? Drawings.shift(b, b.drawings().subList(at, b.drawings().size()).stream().map(Drawing::id).toList(), 24) : b);
        };
        tenOfEach(Check.BLANK, planted, clean, x -> "flash");
        for (int i = 0; i < 10; i++) {
            Project p = planted.apply(i);
            var found = check(p);
            assertThat(found.getFirst().fix()).isNotNull();
            assertThat(check(mended(p, found.getFirst()))).as("mended %d", i).isEmpty();
        }
    }

    @Test
    void thingsTwiceAndLeftOver() {
        IntFunction<Project> planted = i -> {
            Flipbook b = hop(9, ending(i));
            int at = 2 + i % 5;
            Element body = b.drawings().get(at).art().children().getFirst(), before = b.drawings().get(at - 1).art().children().getFirst();
            return project(switch (i % 3) {
                case 0 -> add(b, at, Drawings.renewed(body).withName("Body copy"));
                case 1 -> with(b, at, Drawings.renewed(b.drawings().get(at - 1).art()).withName("Drawing " + (at + 1)));
                // the head of the drawing before, which has the same form in all of them
                default -> add(b, at, Drawings.renewed(b.drawings().get(at - 1).art().children().getLast()));
            });
        };
        tenOfEach(Check.REPEATED, planted, i -> project(hop(9 + i, ending(i))), x -> "Drawing");
        for (int i = 0; i < 10; i++) {
            Project p = planted.apply(i);
            var found = check(p).getFirst();
            if (i % 3 == 2) {
                assertThat(found.fix()).as("which of the two is meant isn't known").isNull();
            } else {
                assertThat(check(mended(p, found))).as("mended %d", i).isEmpty();
            }
        }
    }

    @Test
    void sizeJumps() {
        IntFunction<Project> planted = i -> {
            Flipbook b = hop(10, i % 2 == 0 ? Flipbook.Ending.HOLD : Flipbook.Ending.VANISH);
            int at = 1 + i % 8;
            double k = i % 2 == 0 ? 1.3 + i * 0.03 : 0.8 - i * 0.01;
            return project(with(b, at, b.drawings().get(at).art().with(Properties.SCALE, new Point(k, k))));
        };
        IntFunction<Project> clean = i -> {
            Flipbook b = hop(10, ending(i));
            // the same stretch the other way keeps the area
            double k = 1.05 + i * 0.01;
            return project(with(b, 1 + i % 8, b.drawings().get(1 + i % 8).art().with(Properties.SCALE, new Point(k, 1 / k))));
        };
        tenOfEach(Check.SIZE, planted, clean, x -> "%");
        for (int i = 0; i < 10; i++) {
            // larger or smaller than both its neighbours: it is named, and they aren't
            assertThat(check(planted.apply(i))).singleElement().satisfies(f -> assertThat(f.text()).contains("covers"));
            assertThat(check(planted.apply(i)).getFirst().text()).startsWith("Hare: Drawing " + (2 + i % 8) + " covers");
        }
    }

    @Test
    void blanksHeldLongCopiesAsideAndJumpsUpward() {
        Flipbook b = hop(10, Flipbook.Ending.LOOP);
        var held = check(project(Drawings.insert(b, 4, List.of(new Drawing(Flipbook.blank("Drawing x", BOX), 0, 12)))));
        assertThat(held).singleElement().satisfies(f -> assertThat(f.text()).contains("Drawing x shows nothing for 12 frames"));
        Element head = b.drawings().get(5).art().children().getLast();
        Element copy = Drawings.renewed(head).withName("Head 2").with(Properties.POSITION, head.rest().get(Properties.POSITION)
                .plus(new Point(16, 16)));
        var aside = check(project(add(b, 5, copy)));
        assertThat(aside).anyMatch(f -> f.check() == Check.REPEATED && f.text().contains("Head 2 in Drawing 6 looks left over"));
        Element art = b.drawings().get(5).art();
        for (double up : new double[] {-150, 150}) {
            var jump = check(project(with(b, 5, art.with(Properties.POSITION, art.rest().get(Properties.POSITION).plus(new Point(0, up))))));
            assertThat(jump).as("by %.0f px", up).anyMatch(f -> f.check() == Check.SIZE && f.text().startsWith("Hare: Drawing 6 jumps "
                    + (up < 0 ? "up" : "down")));
        }
    }

    @Test
    void loopsWhoseEndsDontMeet() {
        IntFunction<Project> planted = i -> {
            Flipbook all = hop(14 + i, Flipbook.Ending.LOOP);
            // cut off after the jump's height, it falls back at once
            return project(all.withDrawings(all.drawings().subList(0, all.drawings().size() / 2 + 1)));
        };
        tenOfEach(Check.LOOP, planted, i -> project(hop(14 + i, Flipbook.Ending.LOOP)), x -> "loop jumps");
        for (int i = 0; i < 10; i++) {
            Flipbook all = hop(14 + i, Flipbook.Ending.HOLD);
            assertThat(check(project(all.withDrawings(all.drawings().subList(0, 8))))).as("what doesn't loop needs no matching ends").isEmpty();
        }
    }

    @Test
    void drawingsThatNeverShow() {
        IntFunction<Project> planted = i -> {
            Flipbook b = hop(8 + i, ending(i));
            Project p = project(b);
            String scene = p.scenes().getFirst().id();
            return switch (i % 3) {
                case 0 -> p.mapBoard(scene, x -> x.mapTimeline(x.main().id(), t -> t.withDuration(b.timeOf(b.end() - 3))));
                case 1 -> p.mapBoard(scene, x -> x.mapTimeline(x.main().id(), t -> t.withDuration(b.timeOf(b.end()))
                        .withShown("hare", new Span(0, b.timeOf(b.end() - 3)))));
                default -> p.mapBoard(scene, x -> x.mapElement(b.drawings().getLast().id(), e -> e.withHidden(true)));
            };
        };
        IntFunction<Project> clean = i -> {
            Flipbook b = hop(8 + i, ending(i));
            Project p = project(b);
            String scene = p.scenes().getFirst().id();
            return switch (i % 3) {
                case 0 -> p.mapBoard(scene, x -> x.mapTimeline(x.main().id(), t -> t.withDuration(b.timeOf(b.end()))));
                // seen late, but a loop comes round again
                case 1 -> p.mapBoard(scene, x -> x.mapElement("hare", e -> e.withContent(b.withEnding(Flipbook.Ending.LOOP)))
                        .mapTimeline(x.main().id(), t -> t.withShown("hare", new Span(b.timeOf(b.end() / 2), 4_000_000))));
                default -> p;
            };
        };
        for (int i = 0; i < 10; i++) {
            var found = check(planted.apply(i)).stream().filter(f -> f.check() == Check.UNSEEN).toList();
            assertThat(found).as("planted %d", i).isNotEmpty();
            assertThat(found.getLast().text()).contains("never shows");
            assertThat(check(clean.apply(i))).as("the clean twin %d", i).isEmpty();
        }
    }

    @Test
    void picturesAreMeasuredByWhatIsSeenOfThem() {
        int[] argb = new int[40 * 20];
        for (int y = 5; y < 15; y++) {
            for (int x = 10; x < 20; x++) {
                argb[y * 40 + x] = 0xFF336699;
            }
        }
        var ink = SkiaImageComparer.ink(Asset.picture("a.png", "image/png", 40, 20, Rasters.png(argb, 40, 20)));
        assertThat(ink.bounds()).isEqualTo(new Rect(0.25, 0.25, 0.25, 0.5));
        assertThat(ink.area()).isEqualTo(0.125);
        assertThat(ink.centre()).isEqualTo(new Point(0.375, 0.5));
    }

    @Test
    void textsInFontsThatAreNotThereAndFontsThatCantBeRead() {
        Element text = new Element("Sign", new Content.Text("Hello", "Nowhere Sans", 400, 20, Content.Align.LEFT, 1.2),
                Values.NONE.with(Properties.FILL, Color.BLACK).with(Properties.POSITION, new Point(60, 60)));
        Project p = project(hop(8, Flipbook.Ending.LOOP)).withAsset(Asset.font("torn.ttf", "font/ttf", new byte[] {0, 1, 0, 0, 9, 9}));
        p = p.mapBoard(p.scenes().getFirst().id(), b -> b.withElements(List.of(b.elements().getFirst(), text)));
        var found = check(p);
        assertThat(found).extracting(Finding::check).containsExactly(Check.FONT, Check.FONT);
        assertThat(found.get(0).text()).contains("torn").contains("Bring it in again");
        assertThat(found.get(1).text()).contains("Sign is set in “Nowhere Sans”").contains("Figtree");
        assertThat(found.get(1).element()).isEqualTo(text.id());
        assertThat(check(mended(p, found.get(1)))).hasSize(1);
    }

    @Test
    void gradientsThatCantBePainted() {
        var stops = List.of(new Gradient.Stop(0, Color.parse("#112233")), new Gradient.Stop(1, Color.parse("#AABBCC")));
        Project p = project(hop(8, Flipbook.Ending.LOOP));
        var tiny = Gradient.radial(stops).placed(new Point(0, 0), new Point(1e30, 0), new Point(0, 1e-30));
        var good = Gradient.linear(stops);
        for (var g : List.of(tiny, good)) {
            Element e = part("Sky", new Content.Rectangle(), new Point(50, 50), new Point(90, 1e-9), Color.parse("#000000")).with(Properties.FILL, g);
            Project q = p.mapBoard(p.scenes().getFirst().id(), b -> b.withElements(List.of(e)));
            assertThat(check(q)).extracting(Finding::check).isEqualTo(g == good ? List.of() : List.of(Check.UNPAINTED));
        }
    }
}
