package tundra.core.edit;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tundra.core.frame.FakeMeasurer;
import tundra.core.frame.Frame;
import tundra.core.frame.FrameBuilder;
import tundra.core.geometry.Point;
import tundra.core.geometry.Rect;
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
import tundra.core.motion.MotionPath;
import tundra.core.motion.Track;

class EditTest {
    private static final String MAIN = "main";

    private static Element box(String id, double x, double y) {
        return new Element(id, id, false, false, Values.NONE.with(Properties.POSITION, new Point(x, y)).with(Properties.SIZE, new Point(40, 20))
                .with(Properties.FILL, Color.BLACK), new Content.Rectangle());
    }

    private static Board board(Element... elements) {
        return new Board(new Point(400, 300), Values.NONE, List.of(elements),
                List.of(new Timeline(MAIN, Timeline.MAIN, 4_000_000, false, true, Map.of())), List.of());
    }

    private static Frame frame(Board b, long t) {
        return new FrameBuilder(b, new FakeMeasurer()).at(t);
    }

    private static Track<Point> positions(Board b, String id) {
        return b.timeline(MAIN).track(id, Properties.POSITION);
    }

    private static Board set(Board b, EditScope scope, long time, Point p) {
        return new PropertyEdit(MAIN, time, scope).set(b, "a", Properties.POSITION, p);
    }

    // --- edit scope ---

    @Test
    void aFirstKeyLaterThanTheStartWritesTheStartToo() {
        Board b = set(board(box("a", 10, 10)), EditScope.KEY, 1_000_000, new Point(50, 10));
        assertThat(positions(b, "a").keys()).extracting(Key::time).containsExactly(0L, 1_000_000L);
        assertThat(positions(b, "a").keys()).extracting(Key::value).containsExactly(new Point(10, 10), new Point(50, 10));
        assertThat(b.find("a").rest().get(Properties.POSITION)).isEqualTo(new Point(10, 10));
    }

    @Test
    void aKeyHereIsChangedOrAdded() {
        Board b = set(board(box("a", 10, 10)), EditScope.KEY, 2_000_000, new Point(50, 10));
        b = set(b, EditScope.KEY, 2_000_000, new Point(70, 10));
        b = set(b, EditScope.KEY, 1_000_000, new Point(5, 5));
        assertThat(positions(b, "a").keys()).extracting(Key::value).containsExactly(new Point(10, 10), new Point(5, 5), new Point(70, 10));
    }

    @Test
    void theWholeMoveShiftsEveryKeyByWhatIsSeen() {
        Board b = set(board(box("a", 10, 10)), EditScope.KEY, 2_000_000, new Point(50, 10));
        // at one second it is seen at 30: put it at 40 and all keys go 10 to the right
        Board moved = set(b, EditScope.WHOLE_MOVE, 1_000_000, new Point(40, 15));
        assertThat(positions(moved, "a").keys()).extracting(Key::value).containsExactly(new Point(20, 15), new Point(60, 15));
    }

    @Test
    void theWholeMoveOfAnUnkeyedPropertyAndTheRestingValueChangeWhatRests() {
        Board plain = board(box("a", 10, 10));
        assertThat(set(plain, EditScope.WHOLE_MOVE, 0, new Point(3, 4)).find("a").rest().get(Properties.POSITION)).isEqualTo(new Point(3, 4));
        Board keyed = set(plain, EditScope.KEY, 0, new Point(50, 10));
        Board rest = set(keyed, EditScope.REST, 0, new Point(9, 9));
        assertThat(rest.find("a").rest().get(Properties.POSITION)).isEqualTo(new Point(9, 9));
        assertThat(positions(rest, "a")).isEqualTo(positions(keyed, "a"));
    }

    @Test
    void theConsequenceIsNamedBeforeItHappens() {
        Board b = board(box("a", 10, 10));
        Element a = b.find("a");
        assertThat(new PropertyEdit(MAIN, 500_000, EditScope.KEY).consequence(b, a))
                .isEqualTo("dragging a sets its first position key here: it moves all the way from 0 s");
        Board keyed = set(b, EditScope.KEY, 1_000_000, new Point(50, 10));
        assertThat(new PropertyEdit(MAIN, 1_000_000, EditScope.KEY).consequence(keyed, a)).isEqualTo("dragging a changes its second position key");
        assertThat(new PropertyEdit(MAIN, 700_000, EditScope.KEY).consequence(keyed, a)).contains("adds a position key");
        assertThat(new PropertyEdit(MAIN, 0, EditScope.WHOLE_MOVE).consequence(keyed, a)).contains("whole move, 2 position keys");
        assertThat(new PropertyEdit(MAIN, 0, EditScope.REST).consequence(keyed, a)).contains("still decide what is seen");
    }

    // --- keys ---

    @Test
    void keysMoveTogetherAndStayWithinTheTimeline() {
        Board b = set(set(board(box("a", 0, 0)), EditScope.KEY, 0, new Point(0, 0)), EditScope.KEY, 3_000_000, new Point(9, 9));
        var refs = List.of(new Keys.Ref("a", Properties.POSITION, 0), new Keys.Ref("a", Properties.POSITION, 3_000_000));
        assertThat(positions(Keys.shift(b, MAIN, refs, 5_000_000), "a").keys()).extracting(Key::time).containsExactly(1_000_000L, 4_000_000L);
        assertThat(Keys.shift(b, MAIN, refs, -1)).isSameAs(b);
        // onto another key: that one gives way
        assertThat(positions(Keys.shift(b, MAIN, refs.subList(0, 1), 3_000_000), "a").keys()).hasSize(1);
        assertThat(positions(Keys.delete(b, MAIN, refs.subList(0, 1)), "a").keys()).hasSize(1);
        assertThat(positions(Keys.delete(b, MAIN, refs), "a")).isNull();
        assertThat(positions(Keys.ease(b, MAIN, refs.subList(0, 1), Easing.HOLD), "a").keys().getFirst().easing()).isEqualTo(Easing.HOLD);
    }

    @Test
    void aKeySetOnABentPathKeepsItsForm() {
        Track<Point> bent = new Track<>(List.of(new Key<>(0, new Point(0, 0), Easing.LINEAR, Point.ZERO, new Point(100, -80)),
                new Key<>(4_000_000, new Point(300, 0), Easing.LINEAR, new Point(-20, 150), Point.ZERO)));
        Board b = board(box("a", 0, 0)).mapTimeline(MAIN, t -> t.with("a", Properties.POSITION, bent));
        Board cut = Keys.addAt(b, MAIN, "a", Properties.POSITION, 1_500_000);
        assertThat(positions(cut, "a").keys()).hasSize(3);
        var before = new MotionPath(bent);
        var after = new MotionPath(positions(cut, "a"));
        for (int i = 0; i <= 40; i++) {
            assertThat(after.at(i * 100_000.0).distance(before.at(i * 100_000.0))).isLessThan(0.01);
        }
    }

    // --- history ---

    @Test
    void undoAndRedoGoThroughAllVersionsInAnyOrder() {
        Project p = Project.empty("P", new Point(10, 10), 24);
        var h = new History(p);
        var versions = new ArrayList<Project>(List.of(p));
        for (int i = 0; i < 50; i++) {
            Project next = h.project().withName("P" + i);
            h.add("step " + i, next, null);
            versions.add(next);
        }
        int at = 50;
        var random = new Random(5);
        for (int i = 0; i < 2000; i++) {
            boolean back = random.nextBoolean();
            assertThat(back ? h.undo() : h.redo()).isEqualTo(back ? at > 0 : at < 50);
            at = Math.max(0, Math.min(50, at + (back ? -1 : 1)));
            assertThat(h.project()).isSameAs(versions.get(at));
            assertThat(h.undoName()).isEqualTo(at == 0 ? null : "step " + (at - 1));
        }
    }

    @Test
    void oneDragIsOneStepAndCanBeGivenUp() {
        Project p = Project.empty("P", new Point(10, 10), 24);
        var h = new History(p);
        Object drag = new Object();
        h.add("Move", p.withName("a"), drag);
        h.add("Move", p.withName("b"), drag);
        h.undo();
        assertThat(h.project()).isSameAs(p);
        h.redo();
        assertThat(h.project().name()).isEqualTo("b");
        h.cancel(drag);
        assertThat(h.project()).isSameAs(p);
        assertThat(h.redoName()).isNull();
        h.add("nothing", p, null);
        assertThat(h.undoName()).isNull();
    }

    // --- arranging ---

    @Test
    void groupingAndTakingApartKeepsThePicture() {
        Board b = board(box("a", 50, 60), box("b", 150, 100).with(Properties.ROTATION, 30.0), box("c", 300, 200));
        b = set(b, EditScope.KEY, 2_000_000, new Point(90, 80));
        var grouped = Arrange.group(b, Set.of("a", "b"), frame(b, 0));
        for (long t : new long[] {0, 1_000_000, 2_000_000}) {
            same(frame(b, t), frame(grouped.board(), t), "a", "b", "c");
        }
        String g = grouped.ids().getFirst();
        assertThat(grouped.board().elements()).extracting(Element::name).containsExactly("Group", "c");
        // turned and scaled as a whole, then taken apart: still the same picture
        Board turned = grouped.board().mapElement(g, e -> e.with(Properties.ROTATION, 40.0).with(Properties.SCALE, new Point(1.5, 1.5)));
        var apart = Arrange.ungroup(turned, Set.of(g), frame(turned, 0));
        for (long t : new long[] {0, 1_000_000, 2_000_000}) {
            same(frame(turned, t), frame(apart.board(), t), "a", "b", "c");
        }
        assertThat(apart.ids()).containsExactly("a", "b");
    }

    private static void same(Frame x, Frame y, String... ids) {
        for (String id : ids) {
            var p = x.find(id).corners();
            var q = y.find(id).corners();
            for (int i = 0; i < 4; i++) {
                assertThat(p.get(i).distance(q.get(i))).as(id).isLessThan(1e-6);
            }
        }
    }

    @Test
    void deletingTakesKeysAndReactionsAlong() {
        Board b = set(board(box("a", 0, 0), box("b", 0, 0)), EditScope.KEY, 0, new Point(1, 1));
        b = Reactions.add(Reactions.add(b, "a", MAIN), "b", MAIN);
        Board left = Arrange.delete(b, Set.of("a"));
        assertThat(left.timeline(MAIN).tracks()).isEmpty();
        assertThat(left.reactions()).hasSize(1);
        assertThat(left.elements()).extracting(Element::id).containsExactly("b");
    }

    @Test
    void theOrderChangesByStepsOrAllTheWay() {
        Board b = board(box("a", 0, 0), box("b", 0, 0), box("c", 0, 0));
        assertThat(Arrange.step(b, Set.of("a"), 1).elements()).extracting(Element::id).containsExactly("b", "a", "c");
        assertThat(Arrange.step(b, Set.of("a", "b"), 1_000_000).elements()).extracting(Element::id).contains("c");
        assertThat(Arrange.step(b, Set.of("c"), -1_000_000).elements()).extracting(Element::id).containsExactly("c", "a", "b");
        assertThat(Arrange.step(b, Set.of("c"), 1).elements()).isEqualTo(b.elements());
    }

    @Test
    void copiesGetNewIdsFreeNamesAndTheKeys() {
        Project p = Project.empty("P", new Point(400, 300), 24);
        Board b = set(board(box("a", 10, 10)), EditScope.KEY, 1_000_000, new Point(50, 10));
        Clip clip = Clip.of(p, b, Set.of("a"));
        var first = clip.paste(b, new Point(5, 5));
        var second = clip.paste(first.board(), new Point(10, 10));
        assertThat(second.board().elements()).extracting(Element::name).containsExactly("a", "a 2", "a 3");
        assertThat(positions(second.board(), second.ids().getFirst()).keys()).extracting(Key::value)
                .containsExactly(new Point(20, 20), new Point(60, 20));
        assertThat(positions(second.board(), "a").keys()).extracting(Key::value).containsExactly(new Point(10, 10), new Point(50, 10));
    }

    @Test
    void namesStayUnique() {
        Board b = board(box("a", 0, 0), box("b", 0, 0));
        assertThat(Names.rename(b, "b", "a").find("b").name()).isEqualTo("a 2");
        assertThat(Names.rename(b, "b", "  ")).isSameAs(b);
        assertThat(Names.rename(b, "b", " Hut ").find("b").name()).isEqualTo("Hut");
    }

    @Test
    void movingThePivotDoesNotMoveTheArt() {
        Board b = set(board(box("a", 100, 100).with(Properties.ROTATION, 30.0).with(Properties.SCALE, new Point(2, 1))), EditScope.KEY, 1_000_000,
                new Point(200, 120));
        Frame before = frame(b, 0);
        var placed = before.find("a");
        Board after = Placing.pivot(b, "a", new Point(0, 1), placed.node().toParent(), placed.node().box());
        for (long t : new long[] {0, 500_000, 1_000_000}) {
            same(frame(b, t), frame(after, t), "a");
        }
    }

    // --- resizing and snapping ---

    @ParameterizedTest
    @CsvSource({"0,0", "0.5,0", "1,0", "0,0.5", "1,0.5", "0,1", "0.5,1", "1,1"})
    void theOppositeHandleStaysWhereItIs(double hx, double hy) {
        Element e = box("a", 100, 100).with(Properties.ROTATION, 25.0).with(Properties.SCALE, new Point(1.5, 0.8))
                .with(Properties.PIVOT, new Point(0.2, 0.9));
        Board b = board(e);
        var r = new Resizing(e.content(), e.rest(), new Point(40, 20), new Point(hx, hy)).drag(new Point(7, -4), false, false);
        Board after = b.mapElement("a", x -> x.with(r.sizing(), r.sized()).with(Properties.POSITION, r.position()));
        Point before = frame(b, 0).find("a").toCanvas().apply(new Point(40 * (1 - hx), 20 * (1 - hy)));
        Point s = r.sized();
        Point now = frame(after, 0).find("a").toCanvas().apply(new Point(s.x() * (1 - hx), s.y() * (1 - hy)));
        assertThat(now.distance(before)).isLessThan(1e-9);
        if (hx != 0.5 && hy != 0.5) {
            Point handle = frame(b, 0).find("a").toCanvas().apply(new Point(40 * hx, 20 * hy)).plus(new Point(7, -4));
            assertThat(frame(after, 0).find("a").toCanvas().apply(s.times(new Point(hx, hy))).distance(handle)).isLessThan(1e-9);
        }
    }

    @Test
    void proportionsAndTheCentreCanBeKept() {
        Element e = box("a", 100, 100);
        var resizing = new Resizing(e.content(), e.rest(), new Point(40, 20), new Point(1, 1));
        assertThat(resizing.drag(new Point(40, 0), true, false).sized()).isEqualTo(new Point(80, 40));
        var centred = resizing.drag(new Point(10, 10), false, true);
        assertThat(centred.sized()).isEqualTo(new Point(60, 40));
        assertThat(centred.position()).isEqualTo(new Point(100, 100));
        assertThat(resizing.drag(new Point(-500, 0), false, false).sized().x()).isZero();
        // a text has no size of its own: it is scaled
        var text = new Resizing(new Content.Text("x", "F", 400, 10, Content.Align.LEFT, 1), Values.NONE, new Point(40, 20), new Point(1, 1));
        assertThat(text.drag(new Point(40, 20), false, false).sizing()).isSameAs(Properties.SCALE);
    }

    @Test
    void boxesSnapToEdgesAndCentresOfTheCanvas() {
        var snapping = new Snapping(new Point(400, 300), List.of(), List.of());
        var near = snapping.of(new Rect(3, 138, 40, 20), 6);
        assertThat(near.by()).isEqualTo(new Point(-3, 2));
        assertThat(near.lines()).containsExactly(new Snapping.Line(true, 0, 0, 300), new Snapping.Line(false, 150, 0, 400));
        assertThat(snapping.of(new Rect(30, 40, 40, 20), 6).lines()).isEmpty();
        assertThat(snapping.of(new Rect(355, 40, 40, 20), 6).by()).isEqualTo(new Point(5, 0));
    }

    @Test
    void timesReadLikeAClock() {
        assertThat(TimeText.clock(61_505_000)).isEqualTo("1:01.51");
        assertThat(TimeText.seconds(1_500_000)).isEqualTo("1.5 s");
    }
}
