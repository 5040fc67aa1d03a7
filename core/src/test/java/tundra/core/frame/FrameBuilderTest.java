package tundra.core.frame;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import tundra.core.geometry.Node;
import tundra.core.geometry.Outline;
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
import tundra.core.motion.EasingText;
import tundra.core.motion.Key;
import tundra.core.motion.MotionPath;
import tundra.core.motion.Track;

class FrameBuilderTest {
    private static final TextMeasurer MEASURE = new FakeMeasurer();
    private final List<Element> elements = new ArrayList<>();
    private Timeline main = new Timeline("main", Timeline.MAIN, 2_000_000, false, true, Map.of());

    private Element add(String id, Content c, double x, double y, double w, double h) {
        var e = new Element(id, id, false, false, Values.NONE.with(Properties.POSITION, new Point(x, y)).with(Properties.SIZE, new Point(w, h))
                .with(Properties.FILL, Color.BLACK), c);
        elements.add(e);
        return e;
    }

    private Board board(Timeline... more) {
        var all = new ArrayList<Timeline>();
        all.add(main);
        all.addAll(List.of(more));
        return new Board(new Point(400, 300), Values.NONE, elements, all, List.of());
    }

    private <T> Track<T> fromTo(T a, T b) {
        return new Track<>(List.of(new Key<>(0, a, Easing.LINEAR), new Key<>(2_000_000, b, Easing.LINEAR)));
    }

    @Test
    void keysDecideAndRestingValuesHoldElsewhere() {
        add("box", new Content.Rectangle(), 50, 60, 40, 20);
        main = main.with("box", Properties.POSITION, fromTo(new Point(50, 60), new Point(150, 60)));
        var b = new FrameBuilder(board(), MEASURE);
        assertThat(b.at(1_000_000).find("box").bounds()).isEqualTo(new Rect(80, 50, 40, 20));
        assertThat(b.valueAt("box", Properties.SIZE, 1_000_000)).isEqualTo(new Point(40, 20));
    }

    @Test
    void growingKeepsThePivotInPlace() {
        add("box", new Content.Rectangle(), 100, 100, 40, 20);
        elements.replaceAll(e -> e.with(Properties.PIVOT, new Point(0, 1)));
        main = main.with("box", Properties.SIZE, fromTo(new Point(40, 20), new Point(80, 60)));
        assertThat(new FrameBuilder(board(), MEASURE).at(2_000_000).find("box").bounds()).isEqualTo(new Rect(100, 40, 80, 60));
    }

    @Test
    void childrenMoveWithTheirGroup() {
        var inside = new Element("in", "in", false, false, Values.NONE.with(Properties.POSITION, new Point(10, 0))
                .with(Properties.SIZE, new Point(2, 2)),
                new Content.Ellipse());
        add("group", new Content.Group(List.of(inside), new Point(20, 20)), 100, 100, 0, 0);
        main = main.with("group", Properties.ROTATION, fromTo(0.0, 180.0));
        Frame f = new FrameBuilder(board(), MEASURE).at(1_000_000);
        // the child's middle lies 10 above the group's pivot; a quarter turn clockwise puts it 10 to the right
        Point at = f.find("in").bounds().centre();
        assertThat(at.x()).isCloseTo(110, within(1e-9));
        assertThat(at.y()).isCloseTo(100, within(1e-9));
    }

    @Test
    void whatDoesNotMoveIsTheSameInstance() {
        add("still", new Content.Rectangle(), 0, 0, 10, 10);
        add("moving", new Content.Rectangle(), 0, 0, 10, 10);
        main = main.with("moving", Properties.OPACITY, fromTo(0.0, 1.0));
        var b = new FrameBuilder(board(), MEASURE);
        assertThat(b.at(0).nodes().get(0)).isSameAs(b.at(1_000_000).nodes().get(0));
        assertThat(b.at(0).nodes().get(1)).isNotSameAs(b.at(1_000_000).nodes().get(1));
        // also across an edit of something else
        elements.set(1, elements.get(1).withName("renamed"));
        var next = new FrameBuilder(board(), MEASURE, b, false);
        assertThat(next.at(0).nodes().get(0)).isSameAs(b.at(0).nodes().get(0));
        // but not when it was changed itself, or began to move
        elements.set(0, elements.get(0).with(Properties.OPACITY, 0.5));
        assertThat(new FrameBuilder(board(), MEASURE, next, false).at(0).nodes().get(0).opacity()).isEqualTo(0.5);
    }

    @Test
    void hiddenElementsAreNotThereAndLockedOnesAreNotHit() {
        add("hidden", new Content.Rectangle(), 50, 50, 40, 40);
        add("locked", new Content.Rectangle(), 50, 50, 40, 40);
        add("free", new Content.Ellipse(), 50, 50, 40, 40);
        elements.set(0, elements.get(0).withHidden(true));
        elements.set(1, elements.get(1).withLocked(true));
        Frame f = new FrameBuilder(board(), MEASURE).at(0);
        assertThat(f.find("hidden")).isNull();
        assertThat(HitTest.under(f, new Point(50, 50), 0)).containsExactly(List.of("free"));
        assertThat(HitTest.under(f, new Point(33, 33), 0)).as("the ellipse's corner is empty").isEmpty();
        assertThat(HitTest.meeting(f, null, new Rect(0, 0, 35, 35))).containsExactly("free");
    }

    @Test
    void theTopmostIsHitFirstAndALineNearIt() {
        add("below", new Content.Rectangle(), 50, 50, 40, 40);
        var outline = Outline.of(false, Node.corner(0, 0), Node.corner(100, 0));
        elements.add(new Element("line", "line", false, false, Values.NONE.with(Properties.POSITION, new Point(50, 50))
                .with(Properties.SIZE, new Point(100, 0)).with(Properties.STROKE, Color.BLACK).with(Properties.STROKE_WIDTH, 4.0),
                new Content.Path(outline, new Point(100, 0))));
        Frame f = new FrameBuilder(board(), MEASURE).at(0);
        assertThat(HitTest.under(f, new Point(50, 51.5), 0)).containsExactly(List.of("line"), List.of("below"));
        assertThat(HitTest.under(f, new Point(90, 53), 0)).isEmpty();
        assertThat(HitTest.under(f, new Point(90, 53), 2)).containsExactly(List.of("line"));
    }

    @Test
    void timelinesGoByTheirOwnLoopAndTheLaterOneWins() {
        add("box", new Content.Rectangle(), 0, 0, 10, 10);
        main = main.with("box", Properties.ROTATION, fromTo(0.0, 100.0));
        var second = new Timeline("t2", "Turn", 1_000_000, true, true, Map.of()).with("box", Properties.OPACITY,
                new Track<>(List.of(new Key<>(0, 0.0, Easing.LINEAR), new Key<>(1_000_000, 1.0, Easing.LINEAR))));
        var b = new FrameBuilder(board(second), MEASURE);
        assertThat(b.valueAt("box", Properties.OPACITY, 1_250_000)).isCloseTo(0.25, within(1e-9));
        assertThat(b.valueAt("box", Properties.ROTATION, 5_000_000)).isEqualTo(100);
        var third = second.with("box", Properties.ROTATION, new Track<>(List.of(new Key<>(0, 7.0, Easing.LINEAR))));
        assertThat(new FrameBuilder(board(third), MEASURE).valueAt("box", Properties.ROTATION, 0)).isEqualTo(7);
    }

    @Test
    void textIsLaidOutInLines() {
        var t = new Content.Text("ab\nabcd", "F", 400, 20, Content.Align.CENTRE, 1.5);
        TextLayout l = TextLayout.of(t, MEASURE);
        assertThat(l.box()).isEqualTo(new Point(40, 60));
        // two letters of 10 px in a box of 40; leading of 10 px, half above: 5 + 16 of ascent
        assertThat(l.lines().get(0)).isEqualTo(new TextLayout.Line("ab", 10, 21));
        assertThat(l.lines().get(1)).isEqualTo(new TextLayout.Line("abcd", 0, 51));
    }

    @Test
    void overshootingValuesAreClamped() {
        add("box", new Content.Rectangle(), 0, 0, 10, 10);
        main = main.with("box", Properties.OPACITY, new Track<>(List.of(new Key<>(0, 0.0, EasingText.parse("back-out")),
                new Key<>(2_000_000, 1.0, Easing.LINEAR))));
        assertThat(new FrameBuilder(board(), MEASURE).valueAt("box", Properties.OPACITY, 1_200_000)).isEqualTo(1);
    }

    @Test
    void laneCurvesRangeOverTheWholeTrack() {
        add("box", new Content.Rectangle(), 0, 0, 10, 10);
        main = main.with("box", Properties.POSITION, fromTo(new Point(10, 5), new Point(110, 5)));
        LaneCurve c = LaneCurve.of(main, "box", Properties.POSITION, new MotionPath(main.track("box", Properties.POSITION)), new LaneRanges(),
                500_000, 500_000, 3);
        assertThat(c.parts()[0]).containsExactly(new double[] {35, 60, 85}, within(1e-9));
        assertThat(c.height(0, 60)).isCloseTo(0.5, within(1e-9));
        assertThat(c.height(0, 110)).isCloseTo(1, within(1e-9));
        assertThat(c.height(1, 5)).isEqualTo(0.5);
    }

    /** A version that was left lets go of what it can make again; the builder that showed it still shows it when it comes back at once. */
    @Test
    void aVersionThatComesBackIsShownAsItWas() {
        Element leaf = new Element("leaf", "leaf", false, false, Values.NONE.with(Properties.SIZE, new Point(10, 10))
                .with(Properties.FILL, Color.BLACK), new Content.Rectangle());
        Element group = new Element("group", "group", false, false, Values.NONE, new Content.Group(List.of(leaf), new Point(10, 10), null));
        Project start = Project.empty("P", new Point(100, 100), 24);
        String scene = start.scenes().getFirst().id();
        Project first = start.mapBoard(scene, b -> b.withElements(List.of(group)))
                .mapBoard(scene, b -> b.mapElement("leaf", e -> e.with(Properties.OPACITY, 0.5)));
        var builder = new FrameBuilder(first.scenes().getFirst().board(), new FakeMeasurer());
        Frame seen = builder.at(0);
        Project second = first.mapBoard(scene, b -> b.mapElement("leaf", e -> e.with(Properties.OPACITY, 0.7)));
        first.release(second);
        assertThat(builder.at(0)).isEqualTo(seen);
        assertThat(builder.at(1000).nodes()).isEqualTo(seen.nodes());
    }

    /** A new version makes anew what was changed, and hands on the very nodes of everything else, moving or not. */
    @Test
    void versionsThatFollowEachOtherShareTheNodesOfWhatStays() {
        add("still", new Content.Rectangle(), 10, 10, 5, 5);
        add("moves", new Content.Ellipse(), 50, 60, 40, 20);
        add("dragged", new Content.Rectangle(), 90, 90, 8, 8);
        main = main.with("moves", Properties.POSITION, fromTo(new Point(50, 60), new Point(150, 60)));
        Board first = board();
        var one = new FrameBuilder(first, MEASURE);
        List<FrameNode> before = one.at(500_000).nodes();
        Board second = first.mapElement("dragged", e -> e.with(Properties.POSITION, new Point(95, 99)));
        var two = new FrameBuilder(second, MEASURE, one, false);
        List<FrameNode> after = two.at(500_000).nodes();
        assertThat(after.get(0)).isSameAs(before.get(0));
        assertThat(after.get(1)).isSameAs(before.get(1));
        assertThat(after.get(2)).isNotSameAs(before.get(2));
        assertThat(two.at(500_000).find("dragged").bounds()).isEqualTo(new Rect(91, 95, 8, 8));
        // other keys move it otherwise, whatever was kept
        Board third = second.mapTimeline("main", t -> t.with("moves", Properties.POSITION, fromTo(new Point(50, 60), new Point(50, 160)))
                .with("still", Properties.ROTATION, fromTo(0.0, 90.0)));
        var three = new FrameBuilder(third, MEASURE, two, false);
        assertThat(three.at(1_000_000).find("moves").bounds()).isEqualTo(new Rect(30, 100, 40, 20));
        assertThat(three.at(1_000_000).nodes().getFirst().toParent().b()).isCloseTo(Math.sin(Math.PI / 4), within(1e-9));
        // and a version that is gone back to is as it was
        assertThat(new FrameBuilder(first, MEASURE, three, false).at(500_000)).isEqualTo(one.at(500_000)).isEqualTo(new FrameBuilder(first, MEASURE)
                .at(500_000));
    }

    /** What went long ago is let go of, and what is there is found all the same. */
    @Test
    void thousandsOfVersionsAreNotKept() {
        for (int i = 0; i < 50; i++) {
            add("e" + i, new Content.Rectangle(), i, 10, 5, 5);
        }
        Board b = board();
        var builder = new FrameBuilder(b, MEASURE);
        for (int i = 0; i < 3000; i++) {
            int x = i;
            b = b.mapElement("e7", e -> e.with(Properties.POSITION, new Point(x, 10)));
            builder = new FrameBuilder(b, MEASURE, builder, false);
            assertThat(builder.at(0).nodes().get(7).toParent().e()).isEqualTo(x - 2.5);
        }
        assertThat(builder.held()).isLessThan(1200);
    }
}
