package tundra.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;
import java.util.function.BiFunction;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import org.assertj.core.api.SoftAssertions;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Test;
import tundra.core.fit.Fit;
import tundra.core.fit.Frames;
import tundra.core.fit.Layouts;
import tundra.core.fit.Lens;
import tundra.core.frame.FrameBuilder;
import tundra.core.frame.Moment;
import tundra.core.geometry.Point;
import tundra.core.model.Actions;
import tundra.core.model.Board;
import tundra.core.model.Clock;
import tundra.core.model.Color;
import tundra.core.model.Content;
import tundra.core.model.Differs;
import tundra.core.model.Dragging;
import tundra.core.model.Element;
import tundra.core.model.Events;
import tundra.core.model.Layout;
import tundra.core.model.Motif;
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.core.model.Property;
import tundra.core.model.Reaction;
import tundra.core.model.Scene;
import tundra.core.model.Setting;
import tundra.core.model.Tie;
import tundra.core.model.Timeline;
import tundra.core.model.Tree;
import tundra.core.model.ValueType;
import tundra.core.model.Values;
import tundra.core.motion.Easing;
import tundra.core.motion.Key;
import tundra.core.motion.Track;
import tundra.render.Fonts;

/** What goes with the size of its scene or group on the page: ties, heights, letters, corners and motifs for their own widths, at many sizes. */
class TiesPageTest extends InBrowser {
    /** Of place, which is linear for whatever an element looks like. */
    private static final List<Property<String>> TIES = List.of(Properties.TIE_X, Properties.LEFT_IN, Properties.RIGHT_IN, Properties.WAY_IN);

    /** The same with ties drawn by lot, also in a layout. */
    static Project tied(long seed, boolean text) {
        var r = new Random(seed);
        return LayoutPageTest.random(seed, text).mapBoard("scene", b -> {
            Board out = b;
            for (String id : Tree.ids(b.elements())) {
                out = out.withRest(id, v -> ties(v, r));
            }
            Board phone = Lens.get(out, LayoutPageTest.PHONE);
            for (String id : Tree.ids(phone.elements())) {
                phone = r.nextInt(3) == 0 ? phone.withRest(id, v -> ties(v, r)) : phone;
            }
            return Lens.put(out, LayoutPageTest.PHONE, phone, Lens.Scope.ONLY_HERE);
        });
    }

    private static Values ties(Values of, Random r) {
        Values v = of;
        for (Property<String> p : TIES) {
            List<String> words = ((ValueType.ChoiceType) p.type()).options();
            String word = words.get(r.nextInt(words.size()));
            v = r.nextInt(2) == 0 && !word.equals("both sides") ? v.with(p, word) : v;
        }
        return v;
    }

    @Test
    void tiesTakeEverythingWhereTheyTakeItInTheEditor() throws Exception {
        for (long seed = 1; seed <= LayoutPageTest.SEEDS; seed++) {
            for (boolean text : LayoutPageTest.kinds(seed)) {
                Project p = tied(seed, text);
                var visit = new Visit(browser, folder, "tied-" + text + seed, p);
                var random = new Random(seed);
                var soft = new SoftAssertions();
                var seen = new ArrayList<String>();
                for (int width : new int[] {600, 700, 1000, 440, 400, 620, 799, 900}) {
                    Layout l = Layouts.at(p.scenes().getFirst().board(), width);
                    Project now = p.mapBoard("scene", b -> Layouts.seen(b, l, new Point(width, l == null ? b.size().y() : l.size().y()),
                            Fonts.BUNDLED));
                    Board b = now.scenes().getFirst().board();
                    browser.resize(width, (int) b.size().y());
                    browser.until("return document.querySelector('.t-scene').getBoundingClientRect().width === " + width);
                    Moment m = Moment.opened(b, Math.round(2_000_000 * random.nextDouble()));
                    visit.go(m);
                    double db = visit.like(now, m);
                    seen.add(String.format(Locale.ROOT, "%d: %.1f", width, db));
                    soft.assertThat(db).as("seed %d at %d px, %s", seed, width, m).isGreaterThanOrEqualTo(text ? 40 : 44);
                }
                System.out.println("PSNR of seed " + seed + (text ? " with texts" : "") + " by its width: " + seen + " dB");
                soft.assertAll();
            }
        }
    }

    private static Project high(Project p, String rule) {
        UnaryOperator<Board> change = b -> {
            var ids = Tree.ids(b.elements());
            // what takes the less or the greater of both sides is linear in neither alone
            return b.mapElements(ids, e -> e.withRest(e.rest().with(Properties.RESIZE, "stretch")))
                    .withCanvas(b.canvas().with(Properties.SCENE_HEIGHT, rule));
        };
        return p.mapBoard("scene", change);
    }

    /** A scene as high as its window, or in proportion to its width, in several layouts. */
    @Test
    void heightsAreThoseOfTheWindowOrGoWithTheWidth() throws Exception {
        for (String rule : List.of("the window's", "with the width")) {
            for (boolean text : new boolean[] {false, true}) {
                Project p = high(tied(rule.length(), text), rule);
                var visit = new Visit(browser, folder, "high-" + text + rule.length(), p);
                var soft = new SoftAssertions();
                var seen = new ArrayList<String>();
                for (Point wanted : new Point[] {new Point(600, 400), new Point(700, 520), new Point(1000, 300), new Point(440, 700),
                        new Point(620, 380)}) {
                    Layout l = Layouts.at(p.scenes().getFirst().board(), wanted.x());
                    Point drawn = l == null ? p.scenes().getFirst().board().size() : l.size();
                    // of whole px: the last row is no mixture with what lies behind the page
                    double wide = wanted.x();
                    while (rule.equals("with the width") && wide * drawn.y() % drawn.x() != 0) {
                        wide++;
                    }
                    Point window = new Point(wide, wanted.y());
                    Project now = p.mapBoard("scene", b -> Layouts.seen(b, l, window, Fonts.BUNDLED));
                    Board b = now.scenes().getFirst().board();
                    browser.resize((int) window.x(), (int) window.y());
                    browser.until("const r = document.querySelector('.t-scene').getBoundingClientRect(); return r.width === " + window.x()
                            + " && Math.abs(r.height - " + b.size().y() + ") < 0.05");
                    browser.resize((int) window.x(), (int) Math.ceil(b.size().y()));
                    Moment m = Moment.opened(b, 700_000);
                    visit.go(m);
                    double db = visit.like(now, m);
                    seen.add(String.format(Locale.ROOT, "%s: %.1f", window, db));
                    soft.assertThat(db).as("%s in %s", rule, window).isGreaterThanOrEqualTo(text ? 40 : 44);
                }
                System.out.println("PSNR of a scene whose height is " + rule + (text ? ", with texts" : "") + ": " + seen + " dB");
                soft.assertAll();
            }
        }
    }

    private static Project inRoom(Element e, Values canvas) {
        var main = new Timeline("main", Timeline.MAIN, 1_000_000, false, true, Map.of());
        return new Project("p", "P", 24,
                List.of(new Scene("scene", "Scene", new Board(new Point(400, 200), canvas, List.of(e), List.of(main), List.of()))), Map.of(),
                Map.of());
    }

    /** A headline as large as the width makes it, within bounds, in the editor and on the page; in its scene and in a layout. */
    @Test
    void lettersGoWithTheWidthWithinTheirBounds() throws Exception {
        var words = new Element("words", "Words", false, false, Values.NONE.with(Properties.POSITION, new Point(200, 100))
                .with(Properties.PIVOT, new Point(0.5, 0.25)).with(Properties.TIE_X, "middle").with(Properties.ROTATION, 10.0)
                .with(Properties.FILL, Color.BLACK).with(Properties.SIZE_IN, "%").with(Properties.SIZE_LEAST, 20.0).with(Properties.SIZE_MOST, 60.0),
                new Content.Text("Open night\nat the station", "Figtree", 600, 40, Content.Align.CENTRE, 1.2));
        Project p = inRoom(words, Values.NONE);
        p = p.mapBoard("scene", b ->
                b.withLayouts(List.of(new Layout("narrow", "Narrow", 0, 300, new Point(240, 400),
                Differs.NOTHING.withValues("words", v -> v.with(Properties.SIZE_LEAST, 38.0).with(Properties.POSITION, new Point(120, 100)))))));
        var visit = new Visit(browser, folder, "letters", p);
        var seen = new ArrayList<String>();
        // drawn at 400 px with letters of 40 px
        Map<Integer, Double> sizes = new TreeMap<>(Map.of(400, 40.0, 500, 50.0, 700, 60.0, 320, 32.0, 240, 40.0, 220, 38.0));
        for (var e : sizes.entrySet()) {
            int width = e.getKey();
            Layout l = Layouts.at(p.scenes().getFirst().board(), width);
            Project now = p.mapBoard("scene", b -> Layouts.seen(b, l, new Point(width, l == null ? 200 : 400), Fonts.BUNDLED));
            browser.resize(width, l == null ? 200 : 400);
            browser.until("return document.querySelector('.t-scene').getBoundingClientRect().width === " + width);
            double scale = ((Number) browser.run(
                    "return new DOMMatrix(getComputedStyle(document.querySelector('.t-words .t-p')).scale === 'none' ? '' : 'scale(' + getComputedStyle(document.querySelector('.t-words .t-p')).scale + ')').a")).doubleValue();
            assertThat(40 * scale).as("at %d", width).isCloseTo(e.getValue(), Offset.offset(0.01));
            Moment m = Moment.opened(now.scenes().getFirst().board(), 0);
            double db = visit.like(now, m);
            seen.add(String.format(Locale.ROOT, "%d: %.1f", width, db));
            // turned letters, of which nearly every pixel is an edge
            assertThat(db).as("at %d", width).isGreaterThanOrEqualTo(38);
        }
        System.out.println("PSNR of letters that go with the width: " + seen + " dB");
    }

    private static Element child(String id, double x, double y, Values ties) {
        return new Element(id, id, false, false, Values.NONE.with(Properties.POSITION, new Point(x, y)).with(Properties.SIZE, new Point(30, 20))
                .with(Properties.FILL, Color.parse("#1C6A5E")), new Content.Rectangle()).withRest(
                Values.NONE.with(Properties.POSITION, new Point(x, y)).with(Properties.SIZE, new Point(30, 20))
                .with(Properties.FILL, Color.parse("#1C6A5E")).with(Properties.TIE_X, ties.get(Properties.TIE_X))
                .with(Properties.TIE_Y, ties.get(Properties.TIE_Y)).with(Properties.TOP_IN, ties.get(Properties.TOP_IN)));
    }

    /** A menu whose height grows from nothing, clipped: what it holds is taken along by its ties, also in a group within, and in a wider window. */
    @Test
    void whatAGroupHoldsFollowsItsKeyedSize() throws Exception {
        var inner = new Element("inner", "inner", false, false, Values.NONE.with(Properties.POSITION, new Point(150, 30))
                .with(Properties.SIZE, new Point(60, 40)).with(Properties.TIE_X, "right").with(Properties.TIE_Y, "bottom"),
                new Content.Group(List.of(child("deep", 20, 15, Values.NONE.with(Properties.TIE_X, "right"))), new Point(60, 40)));
        var children = List.of(child("stays", 20, 15, Values.NONE), child("falls", 20, 80, Values.NONE.with(Properties.TIE_Y, "bottom")),
                child("middle", 100, 50, Values.NONE.with(Properties.TIE_X, "middle").with(Properties.TIE_Y, "middle")),
                child("share", 60, 50, Values.NONE.with(Properties.TOP_IN, "%")), inner);
        var menu = new Element("menu", "Menu", false, false, Values.NONE.with(Properties.POSITION, new Point(20, 20))
                .with(Properties.PIVOT, Point.ZERO).with(Properties.SIZE, new Point(200, 100)).with(Properties.OVERFLOW, "clipped")
                .with(Properties.TIE_X, "both sides"), new Content.Group(children, new Point(200, 100)));
        BiFunction<Long, Point, Key<Point>> key = (t, v) -> new Key<>(t, v, Easing.LINEAR);
        var main = new Timeline("main", Timeline.MAIN, 1_000_000, false, false, Map.of()).with("menu", Properties.SIZE,
                new Track<>(List.of(key.apply(0L, new Point(200, 0)), key.apply(1_000_000L, new Point(160, 160)))))
                .with("inner", Properties.SIZE, new Track<>(List.of(key.apply(0L, new Point(60, 40)), key.apply(1_000_000L, new Point(90, 60)))));
        Project p = new Project("p", "P", 24,
                List.of(new Scene("scene", "Scene", new Board(new Point(400, 200), Values.NONE, List.of(menu), List.of(main), List.of()))), Map.of(),
                Map.of());
        var visit = new Visit(browser, folder, "carried", p);
        var seen = new ArrayList<String>();
        for (int width : new int[] {400, 520, 380}) {
            browser.resize(width, 200);
            browser.until("return document.querySelector('.t-scene').getBoundingClientRect().width === " + width);
            Project now = p.mapBoard("scene", b -> Layouts.seen(b, null, new Point(width, 200), Fonts.BUNDLED));
            for (long t : new long[] {0, 250_000, 700_000, 1_000_000}) {
                Moment m = Moment.main(now.scenes().getFirst().board(), t);
                visit.go(m);
                var frame = new FrameBuilder(now.scenes().getFirst().board(), Fonts.BUNDLED).at(m);
                for (String id : List.of("stays", "falls", "middle", "share", "deep")) {
                    var r = (List<?>) browser.run("const r = document.querySelector('.t-" + id
                            + " .t-p > *').getBoundingClientRect(); return [r.x, r.y]");
                    var at = frame.find(id).bounds();
                    assertThat(((Number) r.get(0)).doubleValue()).as(id + " across at " + t + ", " + width).isCloseTo(at.x(), Offset.offset(0.05));
                    assertThat(((Number) r.get(1)).doubleValue()).as(id + " down at " + t + ", " + width).isCloseTo(at.y(), Offset.offset(0.05));
                }
                double db = visit.like(now, m);
                seen.add(String.format(Locale.ROOT, "%d at %d: %.1f", width, t, db));
                assertThat(db).as("at %d, %d", width, t).isGreaterThanOrEqualTo(44);
            }
        }
        // by closed form at its end, as drawn: 40 px narrower and 60 px higher than at rest
        var end = new FrameBuilder(p.scenes().getFirst().board(), Fonts.BUNDLED).at(Moment.main(p.scenes().getFirst().board(), 1_000_000));
        assertThat(end.find("falls").bounds().y()).isCloseTo(20 + 80 - 10 + 60, Offset.offset(1e-9));
        assertThat(end.find("middle").bounds().x()).isCloseTo(20 + 100 - 15 - 20, Offset.offset(1e-9));
        assertThat(end.find("share").bounds().y()).isCloseTo(20 + 40 * 1.6, Offset.offset(1e-9));
        System.out.println("PSNR of what a group with a keyed size holds: " + seen + " dB");
    }

    /** A layout's own share of going along with the page; also where the scene as drawn has none. */
    @Test
    void eachLayoutGoesAlongAtItsOwnShare() throws Exception {
        Values dark = Values.NONE.with(Properties.SIZE, new Point(40, 30)).with(Properties.FILL, Color.parse("#1C6A5E"));
        for (double drawn : new double[] {0, 0.5}) {
            var cloud = new Element("cloud", "Cloud", false, false, dark.with(Properties.POSITION, new Point(100, 100))
                    .with(Properties.PARALLAX, drawn), new Content.Rectangle());
            Board b = new Board(new Point(400, 2000), Values.NONE, List.of(cloud),
                    List.of(new Timeline("main", Timeline.MAIN, 1_000_000, false, false, Map.of())), List.of()).withLayouts(List.of(
                    new Layout("narrow", "Narrow", 0, 300, new Point(240, 2000),
                    Differs.NOTHING.withValues("cloud", v -> v.with(Properties.PARALLAX, 0.25)))));
            new Visit(browser, folder, "share" + drawn, new Project("p", "P", 24, List.of(new Scene("scene", "Scene", b)), Map.of(), Map.of()));
            for (int width : new int[] {400, 250, 420}) {
                browser.resize(width, 300);
                browser.run("scrollTo(0, 200)");
                double share = width < 300 ? 0.25 : drawn;
                browser.until("return scrollY === 200 && Math.abs(document.querySelector('.t-cloud .t-p > *').getBoundingClientRect().y - "
                        + (85 - 200 - share * 200) + ") < 0.6");
            }
        }
    }

    /** A picture's box that covers the whole window, one that is contained in a corner of it, and one that goes by a single side. */
    @Test
    void whatCoversTheWindowDoesSoAtEverySize() throws Exception {
        Values dark = Values.NONE.with(Properties.FILL, Color.parse("#1C6A5E")).with(Properties.TIE_X, "both sides")
                .with(Properties.TIE_Y, "both sides");
        BiFunction<Element, Integer, Element> holds = (e, n) ->
                e.withContent(new Content.Group(List.of(new Element("in" + n, "in" + n, false, false, Values.NONE.with(Properties.POSITION,
                new Point(60, 40)).with(Properties.SIZE, new Point(80, 50))
                .with(Properties.FILL, Color.parse("#E9B44C")), new Content.Rectangle())), Tie.box(e)));
        var ground = holds.apply(new Element("ground", "Ground", false, false, dark.with(Properties.POSITION, new Point(200, 100))
                .with(Properties.SIZE, new Point(400, 200)).with(Properties.RESIZE, "cover").with(Properties.RESIZE_POINT, new Point(0.3, 1)),
                new Content.Group(List.of(), new Point(400, 200))), 1);
        var corner = holds.apply(new Element("corner", "Corner", false, false, dark.with(Properties.POSITION, new Point(300, 140))
                .with(Properties.PIVOT, new Point(0.25, 0.75)).with(Properties.SCALE, new Point(0.8, 0.8)).with(Properties.SIZE, new Point(120, 80))
                .with(Properties.LEFT_IN, "%").with(Properties.TOP_IN, "%").with(Properties.RESIZE, "contain").with(Properties.RESIZE_POINT,
                new Point(1, 0.5)), new Content.Group(List.of(), new Point(120, 80))), 2);
        var side = holds.apply(new Element("side", "Side", false, false, dark.with(Properties.TIE_Y, "bottom")
                .with(Properties.POSITION, new Point(100, 150)).with(Properties.SIZE, new Point(160, 60)).with(Properties.RESIZE, "contain"),
                new Content.Group(List.of(), new Point(160, 60))), 3);
        // the same in a group that follows both sides
        var group = new Element("outer", "Outer", false, false, dark.with(Properties.POSITION, new Point(200, 100))
                .with(Properties.SIZE, new Point(360, 180)),
                new Content.Group(List.of(holds.apply(corner.withId("nested").with(Properties.POSITION, new Point(200, 90)), 4)),
                new Point(360, 180)));
        Board drawn = new Board(new Point(400, 200), Values.NONE.with(Properties.SCENE_HEIGHT, "the window's"), List.of(ground, corner, side, group),
                List.of(new Timeline("main", Timeline.MAIN, 1_000_000, false, true, Map.of())), List.of())
                .withLayouts(List.of(new Layout("narrow", "Narrow", 0, 300, new Point(240, 300))));
        Project p = new Project("p", "P", 24, List.of(new Scene("scene", "Scene", drawn)), Map.of(), Map.of());
        new Visit(browser, folder, "covering", p);
        for (int[] window : new int[][] {{400, 200}, {600, 200}, {400, 420}, {700, 500}, {350, 160}, {260, 500}, {220, 240}, {500, 700}}) {
            browser.resize(window[0], window[1]);
            Layout l = Layouts.at(drawn, window[0]);
            Board b = Layouts.seen(drawn, l, new Point(window[0], window[1]), Fonts.BUNDLED);
            browser.until("const r = document.querySelector('.t-scene').getBoundingClientRect(); return r.width === " + window[0]
                    + " && r.height === " + window[1]);
            var frame = new FrameBuilder(b, Fonts.BUNDLED).at(0);
            for (String id : List.of("in1", "in2", "in3", "in4")) {
                var r = frame.find(id).bounds();
                var at = List.of(r.x(), r.y(), r.width(), r.height());
                browser.until("const r = document.querySelector('.t-" + id + " .t-p > *').getBoundingClientRect(); return " + at
                        + ".every((v, i) => Math.abs(v - [r.x, r.y, r.width, r.height][i]) < 0.06)");
            }
        }
    }

    /** A motif that has a layout, three times in a scene that has one. */
    static Project inlays() {
        Function<String, Element> box = id -> new Element(id, id, false, false, Values.NONE.with(Properties.POSITION, new Point(30, 20))
                .with(Properties.SIZE, new Point(40, 20)).with(Properties.FILL, Color.parse("#1C6A5E")), new Content.Rectangle());
        Element label = new Element("label", "label", false, false, Values.NONE.with(Properties.POSITION, new Point(120, 8))
                .with(Properties.PIVOT, Point.ZERO).with(Properties.FILL, Color.BLACK), new Content.Text("Tonight", "Figtree", 600, 18,
                Content.Align.LEFT, 1.2));
        var turns = new Timeline("turns", Timeline.MAIN, 4_000_000, true, true, Map.of()).with("blade", Properties.POSITION, new Track<>(List.of(
                new Key<>(0L, new Point(30, 20), Easing.LINEAR), new Key<>(4_000_000L, new Point(90, 20), Easing.LINEAR))));
        var small = new Layout("small", "Small", 0, 150, new Point(100, 80),
                Differs.NOTHING.withValues("label", v -> v.with(Properties.POSITION, new Point(10, 50)))
                .withTimeline("turns", x -> x.with(new Differs.Keyed("blade", Properties.POSITION), new Track<>(List.of(
                        new Key<>(0L, new Point(30, 20), Easing.LINEAR), new Key<>(4_000_000L, new Point(70, 60), Easing.LINEAR))))));
        Board entry = new Board(new Point(200, 40), Values.NONE, List.of(box.apply("blade"), label), List.of(turns), List.of())
                .withLayouts(List.of(small));
        BiFunction<String, Values, Element> placed = (id, v) -> new Element(id, id, false, false, v.with(Properties.PIVOT, Point.ZERO),
                new Content.Instance("entry", new Point(200, 40), Clock.OWN));
        List<Element> all = List.of(placed.apply("wide", Values.NONE.with(Properties.POSITION, new Point(10, 10))),
                placed.apply("half", Values.NONE.with(Properties.POSITION, new Point(10, 70)).with(Properties.SCALE, new Point(0.5, 0.5))),
                placed.apply("tied", Values.NONE.with(Properties.POSITION, new Point(10, 140)).with(Properties.SCALE, new Point(0.9, 0.9))
                .with(Properties.TIE_X, "both sides").with(Properties.RESIZE, "cover")));
        Board b = new Board(new Point(400, 260), Values.NONE, all, List.of(new Timeline("main", Timeline.MAIN, 1_000_000, false, true, Map.of())),
                List.of())
                .withLayouts(List.of(new Layout("narrow", "Narrow", 0, 300, new Point(240, 260),
                Differs.NOTHING.withValues("wide", v -> v.with(Properties.SCALE, new Point(0.6, 0.6))))));
        return new Project("p", "P", 24, List.of(new Scene("scene", "Scene", b)), Map.of(), Map.of())
                .withMotifs(List.of(new Motif("entry", "Entry", entry)));
    }

    /** Round to the half of its lesser side, however narrow it gets; and of its full radius again where it is wide. */
    @Test
    void cornersNeverExceedHalfOfASide() throws Exception {
        var pill = new Element("pill", "Pill", false, false, Values.NONE.with(Properties.POSITION, new Point(200, 100))
                .with(Properties.SIZE, new Point(120, 80)).with(Properties.FILL, Color.parse("#1C6A5E")).with(Properties.CORNER_RADIUS, 50.0)
                .with(Properties.TIE_X, "both sides"),
                new Content.Rectangle());
        Project p = inRoom(pill, Values.NONE);
        var visit = new Visit(browser, folder, "corners", p);
        for (int width : new int[] {400, 360, 340, 310, 290, 500, 700}) {
            browser.resize(width, 200);
            browser.until("return document.querySelector('.t-scene').getBoundingClientRect().width === " + width);
            Project now = p.mapBoard("scene", b -> Layouts.seen(b, null, new Point(width, 200), Fonts.BUNDLED));
            double least = Math.min(50, Math.min(120 + width - 400, 80) / 2.0);
            assertThat(((Number) browser.run("return parseFloat(getComputedStyle(document.querySelector('.t-pill .t-p > *')).rx)")).doubleValue())
                    .as("at %d", width).isCloseTo(least, within(0.02));
            assertThat(visit.like(now, Moment.opened(now.scenes().getFirst().board(), 0))).as("at %d", width).isGreaterThanOrEqualTo(44);
        }
    }

    /**
     * Instances of a motif show its layout for their own width: as they stand, in another layout of the scene, and as their ties make them wider;
     * time goes on.
     */
    @Test
    void anInstanceShowsTheLayoutForItsOwnWidth() throws Exception {
        Project p = inlays();
        Board b = p.scenes().getFirst().board();
        var visit = new Visit(browser, folder, "inlays", p);
        var seen = new ArrayList<String>();
        for (int width : new int[] {400, 250, 460, 330, 280, 400}) {
            Layout l = Layouts.at(b, width);
            Project now = p.mapBoard("scene", x -> Layouts.seen(x, l, new Point(width, 260), Fonts.BUNDLED));
            browser.resize(width, 260);
            browser.until("return document.querySelector('.t-scene').getBoundingClientRect().width === " + width);
            Moment m = Moment.opened(now.scenes().getFirst().board(), 700_000);
            visit.go(m);
            double db = visit.like(now, m);
            seen.add(String.format(Locale.ROOT, "%d: %.1f", width, db));
            assertThat(db).as("at %d", width).isGreaterThanOrEqualTo(40);
        }
        System.out.println("PSNR of instances in layouts of their motif: " + seen + " dB");
        // as drawn the first is wide, the second is small; in the narrow layout the first is small too
        assertThat(browser.run("return [...document.querySelectorAll('.t-scene [data-layout]')].map((x) => x.dataset.layout).join()"))
                .isEqualTo("base,t-small,base");
        browser.resize(250, 260);
        browser.until("return [...document.querySelectorAll('.t-scene [data-layout]')].map((x) => x.dataset.layout).join().startsWith('t-small,t-small')");
    }

    /** What an action sets is meant where the scene has its ties take it, and goes on with the width; what was dragged stays on its place. */
    @Test
    void whatIsSetAndWhatHasLandedGoAlongWithTheWidth() throws Exception {
        Values dark = Values.NONE.with(Properties.SIZE, new Point(40, 30)).with(Properties.FILL, Color.parse("#1C6A5E"));
        var lamp = new Element("lamp", "Lamp", false, false, dark.with(Properties.POSITION, new Point(300, 50)).with(Properties.TIE_X, "right"),
                new Content.Rectangle());
        var part = new Element("part", "Part", false, false, dark.with(Properties.POSITION, new Point(60, 150)), new Content.Rectangle());
        var place = new Element("place", "Place", false, false, dark.with(Properties.POSITION, new Point(340, 150)).with(Properties.TIE_X, "right")
                .with(Properties.FILL, Color.parse("#DDDDDD")), new Content.Rectangle());
        var main = new Timeline("main", Timeline.MAIN, 1_000_000, false, false, Map.of());
        var set = new Reaction("r", Events.of(Events.KEY_PRESSED, "S"),
                List.of(tundra.core.model.Actions.of(tundra.core.model.Actions.SET, List.of("lamp"),
                Setting.of(Properties.POSITION, new Point(350, 90)), 0L, "linear")));
        Board b = new Board(new Point(400, 200), Values.NONE, List.of(place, part, lamp), List.of(main), List.of(set))
                .withDrags(List.of(Dragging.of("d", List.of(new Dragging.Pair("part", List.of("place"))))))
                .withLayouts(List.of(new Layout("narrow", "Narrow", 0, 300, new Point(240, 300),
                Differs.NOTHING.withValues("place", v -> v.with(Properties.POSITION, new Point(120, 250))))));
        new Visit(browser, folder, "set", new Project("p", "P", 24, List.of(new Scene("scene", "Scene", b)), Map.of(), Map.of()));
        browser.resize(500, 200);
        browser.until("return document.querySelector('.t-scene').getBoundingClientRect().width === 500");
        browser.drag(new Point(60, 150), new Point(438, 152));
        browser.until("return Tundra.pieces[0].shown.board.parts.get('t-part').place === 't-place'");
        browser.run("document.body.focus()");
        new org.openqa.selenium.interactions.Actions(browser.driver).sendKeys("s").perform();
        String middle = "const at = (id) => { const r = document.querySelector('.t-' + id + ' .t-p > *').getBoundingClientRect(); return [r.x + r.width / 2, r.y + r.height / 2]; }, near = (a, b) => Math.hypot(a[0] - b[0], a[1] - b[1]) < 0.6;";
        browser.until(middle + "return near(at('lamp'), [450, 90]) && near(at('part'), [440, 150])");
        for (int width : new int[] {600, 380, 500, 260, 450}) {
            browser.resize(width, 300);
            browser.until("return document.querySelector('.t-scene').getBoundingClientRect().width === " + width);
            // 100 px wider as it was set: 350 of 400 is 50 px from the right
            browser.until(middle + "return near(at('part'), at('place')) && " + (width < 300 ? "true" : "near(at('lamp'), [" + (width - 50)
                    + ", 90])"));
        }
    }

    /** Where lines break anew, a scene is as high as what it holds; in the editor and on the page. */
    @Test
    void aSceneGrowsWithItsContent() throws Exception {
        var words = new Element("words", "Words", false, false, Values.NONE.with(Properties.POSITION, new Point(20, 20))
                .with(Properties.PIVOT, Point.ZERO).with(Properties.TIE_X, "both sides").with(Properties.FILL, Color.BLACK),
                new Content.Text("The station opens its doors for a night under the northern lights, with soup.", "Figtree", 400, 20,
                Content.Align.LEFT, 1.5, 0, 360));
        Project p = inRoom(words, Values.NONE.with(Properties.SCENE_HEIGHT, "its content's").with(Properties.SCENE_OVERFLOW, "scrolls"));
        new Visit(browser, folder, "content", p);
        var heights = new ArrayList<Double>();
        for (int width : new int[] {400, 300, 200, 1000, 400}) {
            browser.resize(width, 500);
            double high = Layouts.seen(p.scenes().getFirst().board(), null, new Point(width, 500), Fonts.BUNDLED).size().y();
            heights.add(high);
            browser.until("const r = document.querySelector('.t-scene').getBoundingClientRect(); return r.width === " + width
                    + " && Math.abs(r.height - " + high + ") < 1.5");
        }
        // lines of 30 px from 20 px on, the more the narrower
        assertThat(heights).allMatch(h -> (h - 20) % 30 == 0);
        assertThat(heights.get(2)).isGreaterThan(heights.get(1));
        assertThat(heights.get(1)).isGreaterThan(heights.get(0));
        assertThat(heights.get(0)).isGreaterThan(heights.get(3)).isEqualTo(heights.get(4));
        assertThat(browser.run("return getComputedStyle(document.querySelector('.t-scene')).overflowY")).isEqualTo("auto");
    }

    /** The whole scene in its window: kept, contained, covering and stretched, with the point that stays. */
    @Test
    void aWholeSceneFitsItsWindowByItsRule() throws Exception {
        var dot = new Element("dot", "Dot", false, false, Values.NONE.with(Properties.POSITION, new Point(200, 100))
                .with(Properties.SIZE, new Point(40, 20)).with(Properties.FILL, Color.BLACK), new Content.Rectangle());
        Map<String, List<Double>> expected = Map.of(
                // a window of 600×600 for a scene of 400×200: what is left over is shared by the point, a quarter before it across, all of it above
                "keep", List.of(50.0, 400.0, 400.0, 200.0), "contain", List.of(0.0, 300.0, 600.0, 300.0), "cover",
                        List.of(-150.0, 0.0, 1200.0, 600.0), "stretch", List.of(0.0, 0.0, 600.0, 600.0));
        for (var e : expected.entrySet()) {
            Project p = inRoom(dot, Values.NONE.with(Properties.SCENE_RESIZE, e.getKey()).with(Properties.SCENE_POINT, new Point(0.25, 1)));
            new Visit(browser, folder, "whole-" + e.getKey(), p);
            browser.resize(600, 600);
            double x = e.getValue().get(0), y = e.getValue().get(1), w = e.getValue().get(2), h = e.getValue().get(3);
            var at = List.of(x + 180 / 400.0 * w, y + 90 / 200.0 * h, w / 10, h / 10);
            browser.until("const r = document.querySelector('.t-dot').getBoundingClientRect(); return " + at
                    + ".every((v, i) => Math.abs(v - [r.x, r.y, r.width, r.height][i]) < 0.1)");
            // the page is as high as its window, and nothing goes over
            assertThat(browser.run("return [document.documentElement.scrollHeight, document.documentElement.scrollWidth].join()")).as(e.getKey())
                    .isEqualTo("600,600");
            // the centre of the window is the scene's where it covers it
            assertThat(browser.run("return !!document.elementFromPoint(300, 598)?.closest('.tundra')")).as(e.getKey()).isEqualTo(true);
        }
    }

    /** Every kind of element that follows its parent's width, also in a group that does, and a motif. */
    static Project sized() {
        var all = new ArrayList<Element>();
        Values both = Values.NONE.with(Properties.TIE_X, "both sides").with(Properties.FILL, Color.parse("#2F78A3")),
                share = both.with(Properties.TIE_X, "left").with(Properties.LEFT_IN, "%").with(Properties.WIDTH_IN, "%");
        all.add(new Element("rect", "rect", false, false, put(both, 40, 20, 500, 40), new Content.Rectangle()));
        all.add(new Element("oval", "oval", false, false, put(share, 60, 80, 300, 40), new Content.Ellipse()));
        all.add(new Element("star", "star", false, false, put(both, 400, 80, 160, 40), new Content.Polygon(5, 0.5)));
        all.add(new Element("words", "words", false, false, put(both, 100, 140, 400, 0).without(Properties.SIZE),
                new Content.Text("The observatory opens its dome at nine, and the sleds leave from the mast", "Figtree", 400, 18, Content.Align.LEFT,
                1.3).withWrap(400)));
        Element inside = new Element("inside", "inside", false, false, put(both, 10, 10, 180, 30), new Content.Rectangle()),
                right = new Element("right", "right", false, false, put(Values.NONE.with(Properties.TIE_X, "right")
                .with(Properties.FILL, Color.BLACK), 180, 50, 40, 20), new Content.Rectangle());
        all.add(new Element("group", "group", false, false, put(both, 80, 260, 240, 80).without(Properties.SIZE).without(Properties.FILL),
                new Content.Group(List.of(inside, right), new Point(240, 80))));
        all.add(new Element("motif", "motif", false, false, put(both.with(Properties.RESIZE, "contain").with(Properties.RESIZE_POINT,
                new Point(0, 0)), 400, 260, 120, 60).without(Properties.SIZE).without(Properties.FILL), new Content.Instance("m", new Point(120, 60),
                Clock.OWN)));
        var motif = new Motif("m", "M", new Board(new Point(120, 60), Values.NONE, List.of(LayoutPageTest.box("dot", 60, 30)),
                List.of(new Timeline(Timeline.MAIN, 1_000_000)), List.of()));
        Board b = new Board(new Point(600, 400), Values.NONE, all, List.of(new Timeline("main", Timeline.MAIN, 1_000_000, false, true, Map.of())),
                List.of());
        return new Project("sized", "Sized", 24, List.of(new Scene("scene", "S", b)), Map.of(), Map.of()).withMotifs(List.of(motif));
    }

    private static Values put(Values v, double x, double y, double w, double h) {
        return v.with(Properties.PIVOT, new Point(0.25, 0.5)).with(Properties.SIZE, new Point(w, h))
                .with(Properties.POSITION, new Point(x + 0.25 * w, y + 0.5 * h));
    }

    @Test
    void whatFollowsItsParentsWidthHasItsBoxAtEveryWidth() throws Exception {
        Project p = sized();
        var visit = new Visit(browser, folder, "sized", p);
        var soft = new SoftAssertions();
        for (int width = 560; width <= 1600; width += LayoutPageTest.SEEDS == LayoutPageTest.USUAL ? 173 : 41) {
            browser.resize(width, 400);
            browser.until("return document.querySelector('.t-scene').getBoundingClientRect().width === " + width);
            int w = width;
            Project now = p.mapBoard("scene", b -> Fit.at(b, new Point(w, 400)));
            Board b = now.scenes().getFirst().board();
            var frame = Frames.of(now, b, Fonts.of(now.assets())).at(0);
            for (String id : List.of("rect", "oval", "words", "group", "inside", "right", "motif")) {
                var r = (List<?>) browser.run("const x = document.querySelector('.t-" + id + "-b') ?? document.querySelector('.t-" + id
                        + "'), r = x.getBoundingClientRect(); return [r.x, r.y, r.width, r.height]");
                var mine = frame.find(id).bounds();
                double[] wanted = {mine.x(), mine.y(), mine.width(), mine.height()};
                for (int i = 0; i < 4; i++) {
                    soft.assertThat(((Number) r.get(i)).doubleValue()).as("%s of %s at %d px", List.of("x", "y", "width", "height").get(i), id, width)
                            .isCloseTo(wanted[i], within(0.05));
                }
            }
            double db = visit.like(now, Moment.opened(b, 0));
            soft.assertThat(db).as("at %d px", width).isGreaterThanOrEqualTo(40);
        }
        soft.assertAll();
    }
}
