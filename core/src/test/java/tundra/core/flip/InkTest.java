package tundra.core.flip;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import tundra.core.edit.Resizing;
import tundra.core.frame.FakeMeasurer;
import tundra.core.frame.FrameBuilder;
import tundra.core.frame.FrameNode;
import tundra.core.frame.HitTest;
import tundra.core.frame.Moment;
import tundra.core.geometry.Affine;
import tundra.core.geometry.Contour;
import tundra.core.geometry.Moments;
import tundra.core.geometry.Node;
import tundra.core.geometry.Outline;
import tundra.core.geometry.Point;
import tundra.core.geometry.Rect;
import tundra.core.model.Board;
import tundra.core.model.Color;
import tundra.core.model.Content;
import tundra.core.model.Drawing;
import tundra.core.model.Element;
import tundra.core.model.Flipbook;
import tundra.core.model.Properties;
import tundra.core.model.RulerLine;
import tundra.core.model.Timeline;
import tundra.core.model.Values;

/** What drawings cover, and bringing them into line by it. */
class InkTest {
    private static final Point BOX = new Point(400, 300);

    private static Element shape(Content c, double x, double y, double w, double h) {
        return new Element("Shape", c, Values.NONE.with(Properties.POSITION, new Point(x + w / 2, y + h / 2)).with(Properties.SIZE, new Point(w, h))
                .with(Properties.FILL, Color.BLACK));
    }

    private static Element art(Element... parts) {
        return Flipbook.blank("Art", BOX).withChildren(List.of(parts));
    }

    private static Flipbook book(Flipbook.Ending ending, List<Element> arts) {
        var out = new ArrayList<Drawing>();
        arts.forEach(a -> out.add(new Drawing(a, 2 * out.size(), 2)));
        return new Flipbook(out, BOX, 24, ending);
    }

    private static FrameBuilder builder(Flipbook book) {
        Element e = new Element("book", "Book", false, false, Values.NONE.with(Properties.POSITION, new Point(200, 150)), book);
        return new FrameBuilder(new Board(BOX, Values.NONE, List.of(e), List.of(new Timeline("Main", 5_000_000)), List.of()), new FakeMeasurer());
    }

    private static Ink ink(Element... parts) {
        Flipbook b = book(Flipbook.Ending.LOOP, List.of(art(parts)));
        return Ink.of(builder(b).drawing(b.drawings().getFirst(), 0), h -> PictureInk.FULL);
    }

    @Test
    void momentsOfKnownForms() {
        Moments box = Moments.of(Outline.rectangle(new Rect(10, 20, 30, 40), 0));
        assertThat(box.area()).isCloseTo(1200, within(1e-9));
        assertThat(box.centre().distance(new Point(25, 40))).isLessThan(1e-9);
        Moments triangle = Moments.of(Outline.polygon(0, 0, 90, 0, 0, 60));
        assertThat(triangle.area()).isCloseTo(2700, within(1e-9));
        assertThat(triangle.centre().distance(new Point(30, 20))).isLessThan(1e-9);
        // the standard cubic circle is off by 0.027 % of its radius at most
        Moments circle = Moments.of(Outline.ellipse(new Rect(0, 0, 200, 100)));
        assertThat(circle.area()).isCloseTo(Math.PI * 100 * 50, within(Math.PI * 5000 * 0.0006));
        assertThat(circle.centre().distance(new Point(100, 50))).isLessThan(1e-9);
        // under one arch of y = x² from 0 to 1, as a cubic: area 1/3 below the line y = 1 … closed by a line from (1, 1) to (0, 0)
        var parabola = new Outline(List.of(new Contour(List.of(new Node(new Point(0, 0), Point.ZERO, new Point(1 / 3.0, 0), false),
                new Node(new Point(1, 1), new Point(-1 / 3.0, -2 / 3.0), Point.ZERO, false)), false)));
        assertThat(Moments.of(parabola).area()).isCloseTo(0.5 - 1 / 3.0, within(1e-12));
        assertThat(Moments.of(parabola).centre().x()).as("∫x(x − x²)dx / (1/6)").isCloseTo(0.5, within(1e-12));
        assertThat(Moments.of(parabola).centre().y()).as("½∫(x² − x⁴)dx / (1/6)").isCloseTo(0.4, within(1e-12));
    }

    @Test
    void overlapsCountOnceAndStrokesOnlyWithoutFills() {
        Ink two = ink(shape(new Content.Rectangle(), 0, 0, 100, 50), shape(new Content.Rectangle(), 50, 0, 100, 50));
        assertThat(two.area()).isCloseTo(7500, within(1e-6));
        assertThat(two.bounds()).isEqualTo(new Rect(0, 0, 150, 50));
        assertThat(two.centre().distance(new Point(75, 25))).isLessThan(1e-6);
        Element line = shape(new Content.Rectangle(), 100, 100, 50, 50).with(Properties.FILL, Color.NONE).with(Properties.STROKE, Color.BLACK)
                .with(Properties.STROKE_WIDTH, 10.0);
        Ink stroke = ink(line);
        assertThat(stroke.area()).isCloseTo(60 * 60 - 40 * 40, within(0.1));
        assertThat(stroke.bounds().bottom()).isCloseTo(155, within(1e-4));
        Ink both = ink(shape(new Content.Rectangle(), 0, 0, 10, 10), line);
        assertThat(both.area()).isCloseTo(100, within(1e-6));
        assertThat(both.bounds().bottom()).as("feet are strokes too").isCloseTo(155, within(1e-4));
        assertThat(ink().empty()).isTrue();
    }

    @Test
    void aClipHidesWhatLiesOutside() {
        Element inside = shape(new Content.Rectangle(), 0, 0, 100, 100);
        var clipped = new Element("Clip", new Content.Group(List.of(inside), new Point(100, 100), Outline.rectangle(new Rect(0, 0, 40, 100), 0)),
                Values.NONE.with(Properties.POSITION, new Point(50, 50)));
        Ink i = ink(clipped);
        assertThat(i.area()).isCloseTo(4000, within(1e-6));
        assertThat(i.bounds().right()).isCloseTo(40, within(1e-9));
    }

    @Test
    void registrationBringsShiftedDrawingsBack() {
        var random = new Random(7);
        for (Registration.By by : Registration.By.values()) {
            for (boolean upright : new boolean[] {false, true}) {
                var arts = new ArrayList<Element>();
                var shifts = new ArrayList<Point>();
                for (int i = 0; i < 9; i++) {
                    Point s = i == 0 && by != Registration.By.LINE ? Point.ZERO : new Point(random.nextDouble(-20, 20), random.nextDouble(-20, 20));
                    shifts.add(s);
                    Element a = art(shape(new Content.Ellipse(), 100, 90, 80, 60).with(Properties.ROTATION, 20.0),
                            shape(new Content.Polygon(5, 0.4), 130, 110, 70, 90));
                    arts.add(a.with(Properties.POSITION, a.rest().get(Properties.POSITION).plus(s)));
                }
                Flipbook b = book(Flipbook.Ending.LOOP, arts);
                Ink first = Ink.of(builder(b).drawing(b.drawings().getFirst().withArt(b.drawings().getFirst().art()), 0), h -> null);
                var line = by == Registration.By.LINE ? new RulerLine(upright, upright ? first.centre().x() - shifts.getFirst().x()
                        : first.bounds().bottom() - shifts.getFirst().y()) : null;
                FrameBuilder fb = builder(b);
                var ids = b.drawings().stream().map(Drawing::id).toList();
                var places = Registration.places(b, ids, by, line, d -> Ink.of(fb.drawing(d, 0), h -> null));
                boolean x = by == Registration.By.CENTRE || by == Registration.By.PIVOT || by == Registration.By.LINE && upright;
                boolean y = by != Registration.By.LINE || !upright;
                Flipbook back = Registration.apply(b, places);
                for (int i = 0; i < arts.size(); i++) {
                    Point p = back.drawings().get(i).art().rest().get(Properties.POSITION);
                    if (x) {
                        assertThat(p.x()).as("%s %d", by, i).isCloseTo(BOX.x() / 2, within(0.05));
                        assertThat(places.get(i).off().x()).isCloseTo(shifts.get(i).x(), within(0.05));
                    }
                    if (y) {
                        assertThat(p.y()).as("%s %d", by, i).isCloseTo(BOX.y() / 2, within(0.05));
                        assertThat(places.get(i).off().y()).isCloseTo(shifts.get(i).y(), within(0.05));
                    }
                    if (by == Registration.By.FEET) {
                        assertThat(p.x()).as("feet leave the way across alone").isCloseTo(BOX.x() / 2 + shifts.get(i).x(), within(1e-9));
                    }
                }
            }
        }
    }

    @Test
    void feetOfChangingFormsMeet() {
        var arts = List.of(art(shape(new Content.Ellipse(), 50, 50, 80, 60)), art(shape(new Content.Ellipse(), 50, 70, 60, 110)),
                art(shape(new Content.Rectangle(), 10, 10, 30, 30).with(Properties.ROTATION, 45.0)), art());
        Flipbook b = book(Flipbook.Ending.LOOP, arts);
        FrameBuilder fb = builder(b);
        var places = Registration.places(b, b.drawings().stream().map(Drawing::id).toList(), Registration.By.FEET, null,
                d -> Ink.of(fb.drawing(d, 0), h -> null));
        assertThat(places).as("the empty one has no place").hasSize(3);
        Flipbook back = Registration.apply(b, places);
        FrameBuilder after = builder(back);
        for (int i = 0; i < 3; i++) {
            assertThat(Ink.of(after.drawing(back.drawings().get(i), 0), h -> null).bounds().bottom()).isCloseTo(110, within(0.001));
        }
    }

    @Test
    void aGuideLineIsFoundInTheFlipbooksOwnCoordinates() {
        var m = new Affine(2, 0, 0, 2, 100, 40);
        assertThat(Registration.local(new RulerLine(false, 240), m)).isEqualTo(new RulerLine(false, 100));
        assertThat(Registration.local(new RulerLine(true, 240), m)).isEqualTo(new RulerLine(true, 70));
        assertThat(Registration.local(new RulerLine(true, 240), Affine.rotate(10))).isNull();
    }

    @Test
    void keptAreaIsKept() {
        var random = new Random(3);
        for (int i = 0; i < 200; i++) {
            boolean group = i % 2 == 0;
            Element part = group ? art(shape(new Content.Polygon(7, 0.5), 20, 30, 120, 70), shape(new Content.Ellipse(), 80, 60, 90, 90))
                    : shape(new Content.Polygon(6, 0.7), 40, 50, 130, 90).with(Properties.SKEW, new Point(20, 0));
            part = part.with(Properties.ROTATION, random.nextDouble(360));
            Point box = group ? BOX : new Point(130, 90);
            Point handle = new Point[] {new Point(1, 0.5), new Point(0.5, 0), new Point(0, 1), new Point(1, 1)}[i % 4];
            var r = new Resizing(part.content(), part.rest(), box, handle)
                    .dragKeepingArea(new Point(random.nextDouble(-60, 60), random.nextDouble(-60, 60)), i % 3 == 0);
            Element after = part.with(r.sizing(), r.sized()).with(Properties.POSITION, r.position());
            double a = ink(part).area(), b = ink(after).area();
            assertThat(b / a).as("drag %d", i).isCloseTo(1, within(0.001));
        }
    }

    @Test
    void onionSkinShowsNeighboursBeneathAndNothingElse() {
        var arts = new ArrayList<Element>();
        for (int i = 0; i < 6; i++) {
            arts.add(art(shape(new Content.Rectangle(), 20 * i, 0, 50, 50)));
        }
        Flipbook b = book(Flipbook.Ending.HOLD, arts);
        FrameBuilder fb = builder(b);
        var skin = OnionSkin.STANDARD.withRange(2, 1);
        assertThat(skin.around(b, 6)).extracting(OnionSkin.Ghost::index).containsExactly(1, 2, 4);
        assertThat(skin.around(b, 0)).extracting(OnionSkin.Ghost::index).containsExactly(1);
        assertThat(skin.around(b.withEnding(Flipbook.Ending.LOOP), 0)).extracting(OnionSkin.Ghost::index).containsExactlyInAnyOrder(4, 5, 1);
        assertThat(skin.withPinned(b.drawings().get(5).id()).around(b, 6)).extracting(OnionSkin.Ghost::index).containsExactly(1, 2, 4, 5);
        assertThat(skin.withRange(0, 0).around(b, 6)).isEmpty();
        Moment time = Moment.opened(fb.board(), b.timeOf(6));
        var plain = fb.at(time);
        var over = skin.over(plain, fb, "book", time, new OnionLayers());
        List<FrameNode> children = over.nodes().getFirst().children();
        assertThat(children).hasSize(4);
        assertThat(children.getLast()).as("the drawing itself lies on top, untouched").isSameAs(plain.nodes().getFirst().children().getFirst());
        assertThat(children.subList(0, 3)).allMatch(n -> n.locked() && n.id().isEmpty());
        assertThat(HitTest.under(over, new Point(25, 25), 1)).as("a ghost can't be picked").isEmpty();
        assertThat(HitTest.under(over, new Point(105, 25), 1)).isNotEmpty();
        assertThat(skin.withOn(false).over(plain, fb, "book", time, new OnionLayers())).isSameAs(plain);
        assertThat(fb.at(time)).as("what is published has none").isEqualTo(plain);
    }
}
