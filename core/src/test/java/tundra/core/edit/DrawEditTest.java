package tundra.core.edit;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import tundra.core.frame.FakeMeasurer;
import tundra.core.frame.Frame;
import tundra.core.frame.FrameBuilder;
import tundra.core.frame.Mark;
import tundra.core.geometry.Affine;
import tundra.core.geometry.Node;
import tundra.core.geometry.Outline;
import tundra.core.geometry.Point;
import tundra.core.geometry.Rect;
import tundra.core.model.Board;
import tundra.core.model.Color;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Properties;
import tundra.core.model.RulerLine;
import tundra.core.model.Timeline;
import tundra.core.model.Values;
import tundra.core.motion.Easing;
import tundra.core.motion.Key;
import tundra.core.motion.Track;

/** Reshaping, aligning, snapping and regrouping leave what is seen where it should be. */
class DrawEditTest {
    private static Element shape(String id, Content c, double x, double y, double w, double h) {
        return new Element(id, id, false, false, Values.NONE.with(Properties.POSITION, new Point(x + w / 2, y + h / 2))
                .with(Properties.SIZE, new Point(w, h)).with(Properties.FILL, Color.BLACK), c);
    }

    private static Element box(String id, double x, double y, double w, double h) {
        return shape(id, new Content.Rectangle(), x, y, w, h);
    }

    private static Board board(Element... elements) {
        return new Board(new Point(400, 300), Values.NONE, List.of(elements), List.of(new Timeline(Timeline.MAIN, 2_000_000)), List.of());
    }

    private static Frame frame(Board b, long time) {
        return new FrameBuilder(b, new FakeMeasurer()).at(time);
    }

    private static Rect seen(Board b, String id) {
        return frame(b, 0).find(id).bounds();
    }

    private static void same(Rect a, Rect b) {
        assertThat(a.topLeft().distance(b.topLeft()) + a.bottomRight().distance(b.bottomRight())).as("%s and %s", a, b).isLessThan(1e-6);
    }

    @Test
    void aTurnedElementLeavesAStretchedGroupAsItWasSeen() {
        Element turned = box("e", 20, 10, 40, 20).with(Properties.ROTATION, 30.0);
        var group = new Element("g", "g", false, false, Values.NONE.with(Properties.POSITION, new Point(150, 100))
                .with(Properties.SCALE, new Point(2, 0.5))
                .with(Properties.ROTATION, 15.0).with(Properties.SKEW, new Point(10, 0)), new Content.Group(List.of(turned), new Point(100, 60)));
        Board b = board(group);
        var before = frame(b, 0).find("e").corners();
        Board apart = Arrange.ungroup(b, List.of("g"), frame(b, 0)).board();
        var after = frame(apart, 0).find("e").corners();
        for (int i = 0; i < 4; i++) {
            assertThat(after.get(i).distance(before.get(i))).as("corner %d", i).isLessThan(1e-6);
        }
        assertThat(apart.find("e").rest().get(Properties.SKEW)).isNotEqualTo(Point.ZERO);
    }

    @Test
    void aShapeTurnedIntoAPathLooksTheSame() {
        Board b = board(shape("e", new Content.Polygon(5, 0.5), 50, 40, 100, 80).with(Properties.ROTATION, 25.0));
        var before = frame(b, 0).find("e");
        Outline was = ((Mark.Fill) before.node().marks().getFirst()).form().outline().through(before.toCanvas());
        Board after = Reshape.toPath(b, "e");
        var now = frame(after, 0).find("e");
        Outline is = ((Mark.Fill) now.node().marks().getFirst()).form().outline().through(now.toCanvas());
        assertThat(after.find("e").content()).isInstanceOf(Content.Path.class);
        same(was.bounds(), is.bounds());
    }

    @Test
    void aReshapedPathKeepsItsKeysInPlace() {
        var outline = Outline.polygon(0, 0, 100, 0, 100, 50, 0, 50);
        Board b = board(shape("e", new Content.Path(outline, new Point(100, 50)), 100, 100, 100, 50))
                .mapTimeline(board().main().id(), t -> t);
        String main = b.main().id();
        b = b.mapTimeline(main, t -> t.with("e", Properties.SIZE, new Track<>(List.of(new Key<>(0, new Point(100, 50), Easing.LINEAR),
                new Key<>(1_000_000, new Point(200, 100), Easing.LINEAR)))));
        // the lower right corner is pulled out to (150, 80)
        Board after = Reshape.outline(b, "e", Outline.polygon(0, 0, 100, 0, 150, 80, 0, 50));
        Rect start = frame(after, 0).find("e").bounds(), end = frame(after, 1_000_000).find("e").bounds();
        same(start, new Rect(100, 100, 150, 80));
        // twice as large around the same pivot, the old middle at (150, 125)
        same(end, new Rect(50, 75, 300, 160));
    }

    @Test
    void aLineWithoutHeightCanBePulledOpen() {
        Board b = board(shape("e", new Content.Path(Outline.of(false, Node.corner(0, 0), Node.corner(60, 0)),
                new Point(60, 0)), 20, 50, 60, 0));
        Board after = Reshape.outline(b, "e", Outline.of(false, Node.corner(0, 0), Node.corner(60, 30)));
        same(seen(after, "e"), new Rect(20, 50, 60, 30));
        Board back = Reshape.outline(after, "e", Outline.of(false, Node.corner(0, 10), Node.corner(60, 10)));
        same(seen(back, "e"), new Rect(20, 60, 60, 0));
    }

    @Test
    void elementsAreAlignedSpreadAndMatched() {
        Board b = board(box("a", 10, 10, 30, 20), box("b", 100, 60, 50, 40), box("c", 300, 30, 20, 20));
        var ids = List.of("a", "b", "c");
        Rect all = Align.around(b, ids, frame(b, 0));
        assertThat(all).isEqualTo(new Rect(10, 10, 310, 90));
        Board bottom = Align.to(b, ids, frame(b, 0), Align.Edge.BOTTOM, all);
        assertThat(seen(bottom, "a").bottom()).isEqualTo(100);
        assertThat(seen(bottom, "c").bottom()).isEqualTo(100);
        assertThat(seen(bottom, "c").x()).isEqualTo(300);
        Board even = Align.distribute(b, ids, frame(b, 0), true);
        // 310 across, 100 of it taken: two gaps of 105
        assertThat(seen(even, "b").x()).isEqualTo(40 + 105);
        assertThat(seen(even, "c").x()).isEqualTo(300);
        Board same = Align.matchSize(b, List.of("a"), frame(b, 0), true, true, new Rect(0, 0, 60, 60));
        assertThat(seen(same, "a").width()).isEqualTo(60);
        assertThat(Align.distribute(b, List.of("a", "b"), frame(b, 0), true)).isEqualTo(b);
    }

    @Test
    void aWholeMoveIsAlignedWithItsKeys() {
        Board b = board(box("a", 10, 10, 30, 20));
        b = b.mapTimeline(b.main().id(), t -> t.with("a", Properties.POSITION, new Track<>(List.of(new Key<>(0, new Point(25, 20), Easing.LINEAR),
                new Key<>(1_000_000, new Point(125, 20), Easing.LINEAR)))));
        Board right = Align.to(b, List.of("a"), frame(b, 0), Align.Edge.RIGHT, new Rect(0, 0, 400, 300));
        assertThat(seen(right, "a").right()).isEqualTo(400);
        assertThat(frame(right, 1_000_000).find("a").bounds().right()).isEqualTo(500);
    }

    @Test
    void snapsToNeighboursLinesAndEqualGaps() {
        var s = new Snapping(new Point(4000, 3000), List.of(new Rect(50, 50, 40, 40), new Rect(120, 55, 30, 30)), List.of(new RulerLine(true, 333)));
        // the left edges meet
        var edge = s.of(new Rect(53, 200, 20, 20), 6);
        assertThat(edge.by().x()).isEqualTo(-3);
        assertThat(edge.lines()).contains(new Snapping.Line(true, 50, 50, 220));
        assertThat(s.of(new Rect(330, 222, 21, 21), 6).by().x()).isEqualTo(3);
        // a third in row with a gap of 30 like that between the two
        var row = s.of(new Rect(177, 60, 22, 20), 6);
        assertThat(row.by().x()).isEqualTo(3);
        assertThat(row.gaps()).hasSize(2).allSatisfy(g -> assertThat(g.length()).isEqualTo(30));
        // in the middle between two
        var middle = new Snapping(new Point(4000, 3000), List.of(new Rect(1010, 1000, 40, 40), new Rect(1130, 1000, 40, 40)), List.of());
        assertThat(middle.of(new Rect(1077, 1011, 20, 21), 6).by().x()).isEqualTo(3);
        assertThat(s.of(new Rect(223, 228, 11, 13), 3).lines()).isEmpty();
    }

    @Test
    void movedIntoAGroupAnElementStaysWhereItIsSeen() {
        var group = new Element("g", "g", false, false, Values.NONE.with(Properties.POSITION, new Point(200, 150)).with(Properties.ROTATION, 40.0)
                .with(Properties.SCALE, new Point(1.5, 1.5)), new Content.Group(List.of(box("in", 0, 0, 10, 10)), new Point(80, 60)));
        Board b = board(group, box("e", 100, 80, 60, 20).with(Properties.ROTATION, 10.0));
        Frame f = frame(b, 0);
        Affine was = f.find("e").toCanvas();
        Board in = Arrange.into(b, "e", "g", 0, f);
        assertThat(in.elements()).hasSize(1);
        assertThat(in.find("g").children().getFirst().id()).isEqualTo("e");
        Affine is = frame(in, 0).find("e").toCanvas();
        assertThat(is.apply(Point.ZERO).distance(was.apply(Point.ZERO))).isLessThan(1e-9);
        assertThat(is.apply(new Point(60, 20)).distance(was.apply(new Point(60, 20)))).isLessThan(1e-9);
        Board out = Arrange.into(in, "e", null, 0, frame(in, 0));
        assertThat(frame(out, 0).find("e").toCanvas().apply(new Point(60, 20)).distance(was.apply(new Point(60, 20)))).isLessThan(1e-9);
        // not into itself
        assertThat(Arrange.into(b, "g", "g", 0, f)).isEqualTo(b);
        assertThat(Arrange.into(b, "g", "in", 0, f)).isEqualTo(b);
        // and what is drawn while a group is open lands in it where it was drawn
        Board drawn = Arrange.add(b, "g", box("n", 210, 140, 30, 20), f);
        assertThat(frame(drawn, 0).find(drawn.find("g").children().getLast().id()).toCanvas().apply(Point.ZERO).distance(new Point(210, 140)))
                .isLessThan(1e-9);
    }

    @Test
    void typingEditsWordsAroundTheCaret() {
        TextCaret c = TextCaret.all("hut").insert("näve");
        assertThat(c.text()).isEqualTo("näve");
        assertThat(c.step(false, false).backspace().text()).isEqualTo("näe");
        assertThat(new TextCaret("a 🐇b", 4, 4).backspace().text()).as("a letter of two chars goes whole").isEqualTo("a b");
        assertThat(new TextCaret("one two", 0, 0).word(true, false).caret()).isEqualTo(3);
        assertThat(new TextCaret("one two", 7, 7).word(false, true).selected()).isEqualTo("two");
        assertThat(new TextCaret("abc", 1, 1).delete().text()).isEqualTo("ac");
        assertThat(new TextCaret("abc", 99, -3).selected()).isEqualTo("abc");
    }
}
