package tundra.core.fit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.Test;
import tundra.core.frame.FakeMeasurer;
import tundra.core.frame.FrameBuilder;
import tundra.core.geometry.Point;
import tundra.core.geometry.Rect;
import tundra.core.model.Board;
import tundra.core.model.Clock;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Properties;
import tundra.core.model.Property;
import tundra.core.model.Timeline;
import tundra.core.model.Tree;
import tundra.core.model.ValueType;
import tundra.core.model.Values;
import tundra.core.motion.Easing;
import tundra.core.motion.Key;
import tundra.core.motion.Track;

/** Ties: where boxes stand in a parent of another size, against what the words of a tie say. */
class FitTest {
    private static final Point DRAWN = new Point(1000, 600);

    private static Element box(String id, double x, double y, double w, double h) {
        return new Element(id, id, false, false, Values.NONE.with(Properties.PIVOT, new Point(0.25, 0.75))
                .with(Properties.POSITION, new Point(x + 0.25 * w, y + 0.75 * h)).with(Properties.SIZE, new Point(w, h)), new Content.Rectangle());
    }

    @SafeVarargs
    private static Element tied(Element e, Map.Entry<Property<String>, String>... words) {
        Values v = e.rest();
        for (var w : words) {
            v = v.with(w.getKey(), w.getValue());
        }
        return e.withRest(v);
    }

    private static Map.Entry<Property<String>, String> is(Property<String> p, String word) {
        return Map.entry(p, word);
    }

    private static Board board(Element... all) {
        return new Board(DRAWN, Values.NONE, List.of(all), List.of(new Timeline(Timeline.MAIN, 2_000_000)), List.of());
    }

    private static Rect at(Element e, double width, double height) {
        return seen(Fit.at(board(e), new Point(width, height)).find(e.id()));
    }

    /** The box that an element fills in its parent, by its place, size and scale. */
    private static Rect seen(Element e) {
        Values v = e.rest();
        Point size = (e.content() instanceof Content.Instance i ? i.box() : v.get(Properties.SIZE)).times(v.get(Properties.SCALE)),
                pivot = v.get(Properties.PIVOT), p = v.get(Properties.POSITION);
        return new Rect(p.x() - pivot.x() * size.x(), p.y() - pivot.y() * size.y(), size.x(), size.y());
    }

    private static void same(Rect is, double x, double y, double w, double h) {
        assertThat(is.x()).isCloseTo(x, within(1e-9));
        assertThat(is.y()).isCloseTo(y, within(1e-9));
        assertThat(is.width()).isCloseTo(w, within(1e-9));
        assertThat(is.height()).isCloseTo(h, within(1e-9));
    }

    @Test
    void eachTieKeepsWhatItsWordsSay() {
        Element e = box("a", 700, 100, 200, 80);
        for (double w : new double[] {320, 999, 1000, 1001, 1600}) {
            double k = w / 1000;
            same(at(e, w, 600), 700, 100, 200, 80);
            same(at(tied(e, is(Properties.TIE_X, "right")), w, 600), w - 100 - 200, 100, 200, 80);
            same(at(tied(e, is(Properties.TIE_X, "right"), is(Properties.RIGHT_IN, "%")), w, 600), w - 100 * k - 200, 100, 200, 80);
            same(at(tied(e, is(Properties.TIE_X, "right"), is(Properties.WIDTH_IN, "%")), w, 600), w - 100 - 200 * k, 100, 200 * k, 80);
            same(at(tied(e, is(Properties.TIE_X, "middle")), w, 600), w / 2 + 300 - 100, 100, 200, 80);
            same(at(tied(e, is(Properties.TIE_X, "middle"), is(Properties.LEFT_IN, "%")), w, 600), 800 * k - 100, 100, 200, 80);
            same(at(tied(e, is(Properties.LEFT_IN, "%")), w, 600), 700 * k, 100, 200, 80);
            same(at(tied(e, is(Properties.LEFT_IN, "%"), is(Properties.WIDTH_IN, "%")), w, 600), 700 * k, 100, 200 * k, 80);
            same(at(tied(e, is(Properties.TIE_X, "both sides"), is(Properties.LEFT_IN, "%"), is(Properties.RIGHT_IN, "%")), w, 600), 700 * k, 100,
                    200 * k, 80);
        }
        same(at(tied(e, is(Properties.TIE_X, "both sides")), 1300, 600), 700, 100, 500, 80);
        assertThat(at(tied(e, is(Properties.TIE_X, "both sides")), 500, 600).width()).as("never below nothing").isZero();
        same(at(tied(e, is(Properties.TIE_Y, "bottom")), 1000, 300), 700, 300 - 420 - 80, 200, 80);
        same(at(tied(e, is(Properties.TIE_Y, "both sides"), is(Properties.TIE_X, "middle")), 800, 900), 600, 100, 200, 380);
    }

    @Test
    void whatAGroupHoldsFollowsTheGroup() {
        Element child = tied(box("c", 150, 10, 40, 20), is(Properties.TIE_X, "right"));
        Element bar = tied(box("d", 10, 10, 100, 20), is(Properties.TIE_X, "both sides"));
        Element group = tied(new Element("g", "g", false, false, Values.NONE.with(Properties.PIVOT, Point.ZERO)
                .with(Properties.POSITION, new Point(50, 50)), new Content.Group(List.of(child, bar), new Point(200, 40))),
                is(Properties.TIE_X, "both sides"));
        Board b = Fit.at(board(group), new Point(1300, 600));
        same(seen(b.find("g")), 50, 50, 500, 40);
        same(seen(b.find("c")), 450, 10, 40, 20);
        same(seen(b.find("d")), 10, 10, 400, 20);
        // one that keeps its art is only moved, and what it holds stays as drawn
        Board kept = Fit.at(board(tied(group, is(Properties.RESIZE, "keep"))), new Point(1300, 600));
        same(seen(kept.find("g")), 50 + 150, 50, 200, 40);
        assertThat(kept.find("c")).isEqualTo(child);
    }

    @Test
    void artIsKeptContainedOrCoversAndItsPointStays() {
        Element e = tied(box("a", 100, 100, 200, 100), is(Properties.TIE_X, "both sides"), is(Properties.TIE_Y, "both sides"));
        // the box becomes 100,100 600 × 200
        Point size = new Point(1400, 700);
        same(seen(Fit.at(board(tied(e, is(Properties.RESIZE, "keep"))), size).find("a")), 300, 150, 200, 100);
        same(seen(Fit.at(board(tied(e, is(Properties.RESIZE, "contain"))), size).find("a")), 200, 100, 400, 200);
        same(seen(Fit.at(board(tied(e, is(Properties.RESIZE, "cover"))), size).find("a")), 100, 50, 600, 300);
        Element corner = tied(e, is(Properties.RESIZE, "contain"));
        same(seen(Fit.at(board(corner.withRest(corner.rest().with(Properties.RESIZE_POINT, new Point(1, 0)))), size).find("a")), 300, 100, 400, 200);
        // what has no size of its own is scaled
        Element motif = tied(new Element("m", "m", false, false, Values.NONE.with(Properties.PIVOT, Point.ZERO)
                .with(Properties.POSITION, new Point(100, 100)), new Content.Instance("x", new Point(200, 100), Clock.OWN)),
                is(Properties.TIE_X, "both sides"));
        same(seen(Fit.at(board(motif), size).find("m")), 100, 100, 600, 100);
    }

    @Test
    void keysTravelWithTheTieOrGoWithTheParent() {
        Element e = tied(box("a", 900, 100, 50, 50), is(Properties.TIE_X, "right"));
        var track = new Track<>(List.of(new Key<>(0, new Point(500, 100), Easing.LINEAR).withHandles(Point.ZERO, new Point(40, 8)),
                new Key<>(1_000_000, new Point(912.5, 137.5), Easing.LINEAR)));
        Board b = board(e);
        b = b.withTimelines(List.of(b.main().with("a", Properties.POSITION, track)));
        Track<Point> px = Fit.at(b, new Point(700, 600)).main().track("a", Properties.POSITION);
        assertThat(px.keys().stream().map(Key::value)).containsExactly(new Point(200, 100), new Point(612.5, 137.5));
        assertThat(px.keys().getFirst().out()).isEqualTo(new Point(40, 8));
        Board share = b.mapElement("a", x -> tied(x, is(Properties.WAY_IN, "%")));
        Track<Point> percent = Fit.at(share, new Point(500, 300)).main().track("a", Properties.POSITION);
        assertThat(percent.keys().stream().map(Key::value)).containsExactly(new Point(250, 50), new Point(456.25, 68.75));
        assertThat(percent.keys().getFirst().out()).isEqualTo(new Point(20, 4));
    }

    @Test
    void aTiedTextBreaksAnewAndOneThatTakesItsWidthFromItsWordsKeepsIt() {
        var words = new Content.Text("Open night", "Figtree", 400, 20, Content.Align.LEFT, 1.2);
        Element wrapped = tied(new Element("t", "t", false, false, Values.NONE.with(Properties.PIVOT, Point.ZERO)
                .with(Properties.POSITION, new Point(100, 100)), words.withWrap(800)), is(Properties.TIE_X, "both sides"),
                is(Properties.TIE_Y, "both sides"));
        Element now = Fit.at(board(wrapped), new Point(400, 900)).find("t");
        assertThat(((Content.Text) now.content()).wrap()).isEqualTo(200);
        assertThat(now.rest().get(Properties.POSITION)).isEqualTo(new Point(100, 100));
        assertThat(now.rest().get(Properties.SCALE)).isEqualTo(new Point(1, 1));
        Element free = tied(wrapped.withContent(words), is(Properties.TIE_X, "right"));
        Element moved = Fit.at(board(free), new Point(400, 900)).find("t");
        assertThat(((Content.Text) moved.content()).wrap()).isZero();
        assertThat(moved.rest().get(Properties.POSITION)).isEqualTo(new Point(-500, 100));
    }

    /** What is seen is linear in the parent's size, as long as nothing is squeezed to nothing, and at its own size a board is what it was. */
    @Test
    void everyBoxIsLinearInTheWidth() {
        var random = new Random(3);
        List<Property<?>> words = Properties.TIES.stream().filter(p -> p != Properties.RESIZE && p != Properties.RESIZE_POINT
                && p != Properties.WAY_IN && p.appliesTo(new Element("any", "any", false, false, Values.NONE, new Content.Rectangle()))).toList();
        var boards = new RandomBoards(random);
        int[] counted = {0};
        for (int n = 0; n < 60; n++) {
            Board drawn = Lens.base(boards.board());
            var ids = new ArrayList<>(Tree.ids(drawn.elements()));
            Board b = drawn;
            for (String id : ids) {
                for (Property<?> p : words) {
                    b = b.withRest(id, v -> any(v, p, random));
                }
            }
            assertThat(Fit.at(b, b.size())).isSameAs(b);
            Board drawnWithTies = b;
            Map<String, Rect> one = boxes(Fit.at(b, new Point(1640, 1000))), two = boxes(Fit.at(b, new Point(2640, 1600))), three =
                    boxes(Fit.at(b, new Point(3640, 2200)));
            one.forEach((id, r) -> {
                // what is squeezed to nothing, and what lies in it, is no longer linear
                if (drawnWithTies.path(id).stream().anyMatch(x -> List.of(one, two, three).stream().anyMatch(m -> m.get(x).width() <= 0 || m.get(x)
                        .height() <= 0))) {
                    return;
                }
                counted[0]++;
                assertThat(two.get(id).x() - r.x()).as(id).isCloseTo(three.get(id).x() - two.get(id).x(), within(1e-6));
                assertThat(two.get(id).y() - r.y()).as(id).isCloseTo(three.get(id).y() - two.get(id).y(), within(1e-6));
                assertThat(two.get(id).width() - r.width()).as(id).isCloseTo(three.get(id).width() - two.get(id).width(), within(1e-6));
            });
        }
        assertThat(counted[0]).isGreaterThan(300);
    }

    @SuppressWarnings("unchecked")
    private static Values any(Values v, Property<?> p, Random random) {
        var word = (Property<String>) p;
        List<String> options = ((ValueType.ChoiceType) p.type()).options();
        return v.with(word, options.get(random.nextInt(options.size())));
    }

    private static Map<String, Rect> boxes(Board b) {
        var out = new HashMap<String, Rect>();
        Tree.each(b.elements(), e -> {
            if (!(e.content() instanceof Content.Text)) {
                out.put(e.id(), seen(e));
            }
        });
        assertThat(new FrameBuilder(b, new FakeMeasurer()).at(0).index()).isNotEmpty();
        return out;
    }

    /** As a CSS clamp() has it: the letters of 40 px grow as the canvas does, between 20 and 60 px, about their pivot. */
    @Test
    void lettersGoWithTheWidthBetweenTheirBounds() {
        var words = new Element("words", "Words", false, false, Values.NONE.with(Properties.POSITION, new Point(100, 50))
                .with(Properties.SCALE, new Point(2, 2)).with(Properties.SIZE_IN, "%").with(Properties.SIZE_LEAST, 20.0)
                .with(Properties.SIZE_MOST, 60.0), new Content.Text("Open night", "Figtree", 600, 40, Content.Align.LEFT, 1.2, 0, 180));
        Board b = new Board(new Point(400, 200), Values.NONE, List.of(words, words.withId("kept").with(Properties.SIZE_IN, "px")),
                List.of(new Timeline("main", Timeline.MAIN, 1_000_000, false, true, Map.of())), List.of());
        for (var e : Map.of(400, 40.0, 500, 50.0, 600, 60.0, 900, 60.0, 200, 20.0, 100, 20.0).entrySet()) {
            Board at = Fit.at(b, new Point(e.getKey(), 200));
            assertThat(at.find("words").rest().get(Properties.SCALE).x() / 2 * 40).as("at %d px", e.getKey()).isCloseTo(e.getValue(), within(1e-9));
            assertThat(at.find("words").rest().get(Properties.POSITION)).isEqualTo(new Point(100, 50));
            assertThat(((Content.Text) at.find("words").content()).wrap()).as("its lines stay as they are broken").isEqualTo(180);
            assertThat(at.find("kept").rest().get(Properties.SCALE)).isEqualTo(new Point(2, 2));
        }
    }
}
