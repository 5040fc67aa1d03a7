package tundra.core.edit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import tundra.core.geometry.Affine;
import tundra.core.geometry.Moments;
import tundra.core.geometry.Outline;
import tundra.core.geometry.Point;
import tundra.core.geometry.Rect;
import tundra.core.model.Board;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Morph;
import tundra.core.model.Properties;
import tundra.core.model.Property;
import tundra.core.model.Timeline;
import tundra.core.model.Values;
import tundra.core.motion.Easing;
import tundra.core.motion.EasingText;
import tundra.core.motion.Key;
import tundra.core.motion.MotionPath;
import tundra.core.motion.PathShape;
import tundra.core.motion.Track;

/** Keys stretched, reversed, copied; positions split and joined; moves from shapes and back; outlines between two forms. */
class KeyTimeTest {
    private final Element e = element("e", new Content.Rectangle());
    private final Element other = element("o", new Content.Ellipse());
    private Board board = new Board(new Point(640, 400), Values.NONE, List.of(e, other),
            List.of(new Timeline("t", "Main", 4_000_000, false, true, Map.of())), List.of());

    private static Element element(String id, Content c) {
        return new Element(id, id, false, false, Values.NONE.with(Properties.POSITION, new Point(50, 60)).with(Properties.SIZE, new Point(40, 20)),
                c);
    }

    @SafeVarargs
    private <T> void keys(String id, Property<T> p, Key<T>... keys) {
        board = board.mapTimeline("t", t -> t.with(id, p, new Track<>(List.of(keys))));
    }

    private static <T> Key<T> key(double seconds, T value, String easing) {
        return new Key<>(Math.round(seconds * 1e6), value, EasingText.parse(easing));
    }

    private List<Keys.Ref> all() {
        return KeyClip.all(board.main(), List.of("e"));
    }

    private double rotation(Board b, double seconds) {
        return PropertyEdit.valueAt(b, b.main(), "e", Properties.ROTATION, Math.round(seconds * 1e6));
    }

    @Test
    void stretchedKeysKeepTheirProportions() {
        keys("e", Properties.ROTATION, key(1, 0.0, "linear"), key(1.5, 10.0, "linear"), key(2, 20.0, "linear"));
        var times = Keys.stretch(board.main(), 1_000_000, 2, t -> t);
        Board b = Keys.retime(board, "t", all(), times);
        assertThat(Keys.times(b.main(), "e")).containsExactly(1_000_000L, 2_000_000L, 3_000_000L);
        assertThat(Keys.moved(all(), times)).extracting(Keys.Ref::time).containsExactly(1_000_000L, 2_000_000L, 3_000_000L);
        // nothing leaves the timeline
        Board far = Keys.retime(board, "t", all(), Keys.stretch(board.main(), 1_000_000, 100, t -> t));
        assertThat(Keys.times(far.main(), "e")).allMatch(t -> t <= 4_000_000);
    }

    @Test
    void reversedKeysPlayTheMirrorImage() {
        keys("e", Properties.ROTATION, key(1, 0.0, "cubic-bezier(0.3,0.1,0.2,1)"), key(2, 90.0, "bounce-out"),
                key(2.5, 30.0, "steps(3, jump-start)"), key(3, 60.0, "linear"));
        Board b = Keys.reverse(board, "t", all());
        for (double s = 1.003; s < 3; s += 0.017) {
            assertThat(rotation(b, 4 - s)).as("at %.3f", s).isCloseTo(rotation(board, s), within(1e-5));
        }
        assertThat(Keys.reverse(b, "t", KeyClip.all(b.main(), List.of("e"))).main().track("e", Properties.ROTATION).keys()).extracting(Key::value)
                .containsExactly(0.0, 90.0, 30.0, 60.0);
    }

    @Test
    void copiedKeysGoToOtherElementsAndLeaveOutWhatTheyLack() {
        keys("e", Properties.ROTATION, key(1, 0.0, "linear"), key(2, 45.0, "linear"));
        keys("e", Properties.CORNER_RADIUS, key(1, 0.0, "linear"), key(2, 9.0, "linear"));
        keys("e", Properties.POSITION, key(1, new Point(50, 60), "linear"), key(2, new Point(150, 60), "linear"));
        board = board.withRest("o", v -> v.with(Properties.POSITION, new Point(300, 200)));
        KeyClip clip = KeyClip.whole(board.main(), List.of("e"));
        var pasted = clip.paste(board, "t", Map.of("o", 0), 500_000, true);
        Timeline t = pasted.board().main();
        assertThat(t.tracksOf("o").keySet()).containsExactly(Properties.POSITION, Properties.ROTATION);
        assertThat(t.track("o", Properties.ROTATION).keys()).extracting(Key::time).containsExactly(500_000L, 1_500_000L);
        assertThat(t.track("o", Properties.POSITION).keys()).extracting(Key::value).containsExactly(new Point(300, 200), new Point(400, 200));
        assertThat(pasted.refs()).hasSize(4);
        // as it stood, and past the end of the timeline, which grows
        var late = clip.paste(board, "t", Map.of("o", 0), 3_500_000, false);
        assertThat(late.board().main().duration()).isEqualTo(4_500_000);
        assertThat(late.board().main().track("o", Properties.POSITION).keys().getFirst().value()).isEqualTo(new Point(50, 60));
    }

    @Test
    void aPositionIsSplitAndJoinedWithoutAJump() {
        keys("e", Properties.POSITION, key(0, new Point(0, 0), "sine-both"), key(1, new Point(100, 50), "linear"),
                new Key<>(3_000_000, new Point(300, 0), Easing.LINEAR, new Point(-80, 120), Point.ZERO));
        var path = new MotionPath(board.main().track("e", Properties.POSITION));
        Board split = SplitPosition.split(board, "t", "e", t -> Math.round(t * 24 / 1e6) * 1_000_000 / 24);
        assertThat(split.main().track("e", Properties.POSITION)).isNull();
        for (double s = 0; s <= 3; s += 0.01) {
            Point seen = PropertyEdit.valueAt(split, split.main(), "e", Properties.POSITION, Math.round(s * 1e6));
            assertThat(seen.distance(path.at(s * 1e6))).as("at %.2f", s).isLessThan(0.25);
        }
        assertThat(split.main().track("e", Properties.POSITION_X).keys().getFirst().easing()).as("what is straight keeps its easing")
                .isEqualTo(EasingText.parse("sine-both"));
        Board joined = SplitPosition.join(split, "t", "e", t -> t);
        assertThat(SplitPosition.is(joined.main(), "e")).isFalse();
        for (double s = 0; s <= 3; s += 0.01) {
            Point seen = PropertyEdit.valueAt(joined, joined.main(), "e", Properties.POSITION, Math.round(s * 1e6));
            assertThat(seen.distance(path.at(s * 1e6))).isLessThan(0.35);
        }
        // dragging changes the key that it is on, of both halves
        Board moved = new PropertyEdit("t", 1_000_000, EditScope.KEY).set(split, "e", Properties.POSITION, new Point(7, 8));
        assertThat(moved.main().track("e", Properties.POSITION_Y).keyAt(1_000_000).value()).isEqualTo(8);
    }

    @Test
    void aClosedPathStaysClosed() {
        keys("e", Properties.POSITION, key(0, new Point(0, 0), "linear"), key(1, new Point(100, 0), "linear"), key(2, new Point(50, 80), "linear"));
        Board b = Paths.closed(board, "t", "e", true, 40_000);
        var keys = b.main().track("e", Properties.POSITION).keys();
        assertThat(keys).hasSize(4);
        assertThat(keys.getLast().value()).isEqualTo(new Point(0, 0));
        // 100 + √(50² + 80²) px took 2 s; the way home is as long as the second side, so √8900 / (100 + √8900) · 2 s, to frames of 40 ms
        assertThat(keys.getLast().time()).isEqualTo(2_000_000 + 24 * 40_000);
        Board moved = Paths.move(b, "t", "e", 0, new Point(-5, 5));
        assertThat(moved.main().track("e", Properties.POSITION).keys().getLast().value()).isEqualTo(new Point(-5, 5));
        Board keyed = new PropertyEdit("t", 2_960_000, EditScope.KEY).set(b, "e", Properties.POSITION, new Point(9, 9));
        assertThat(keyed.main().track("e", Properties.POSITION).keys().getFirst().value()).isEqualTo(new Point(9, 9));
    }

    @Test
    void aShapeBecomesAMoveAndTheMoveTheShape() {
        var circle = new Content.Path(Outline.ellipse(new Rect(0, 0, 100, 100)), new Point(100, 100));
        KeyClip clip = KeyClip.along(circle, new Point(100, 100), Affine.translate(200, 50), 2_000_000);
        Board b = clip.paste(board, "t", Map.of("e", 0), 0, false).board();
        var track = b.main().track("e", Properties.POSITION);
        assertThat(track.shape()).isEqualTo(new PathShape(0, true, Easing.LINEAR));
        var path = new MotionPath(track);
        for (int i = 0; i < 100; i++) {
            assertThat(path.at(i * 20_000.0).distance(new Point(250, 100))).as("on the circle").isCloseTo(50, within(0.05));
        }
        assertThat(path.length()).isCloseTo(Math.PI * 100, within(0.1));
        Element back = KeyClip.whole(b.main(), List.of("e")).shape("Way", Values.NONE);
        assertThat(back.rest().get(Properties.SIZE).distance(new Point(100, 100))).isLessThan(0.01);
        assertThat(Moments.of(((Content.Path) back.content()).outline()).area()).isCloseTo(Math.PI * 2500, within(5.0));
    }

    @Test
    void outlinesBlendNodeByNodeAndGetNodesWhereTheyLackThem() {
        Outline square = Outline.rectangle(new Rect(0, 0, 100, 100), 0), triangle = Outline.polygon(0, 0, 100, 0, 50, 100);
        assertThat(Moments.of(square).area()).isCloseTo(10_000, within(1e-9));
        assertThat(Moments.of(triangle).area()).isCloseTo(5000, within(1e-9));
        assertThat(Moments.of(Outline.ellipse(new Rect(0, 0, 100, 60))).area()).isCloseTo(Math.PI * 50 * 30, within(5.0));
        var pair = Morph.matched(square, triangle);
        assertThat(pair.from().contours().getFirst().nodes()).hasSameSizeAs(pair.to().contours().getFirst().nodes());
        assertThat(Moments.of(pair.to()).area()).as("cutting changes no form").isCloseTo(5000, within(1e-9));
        assertThat(Morph.at(square, triangle, 0)).isEqualTo(pair.from());
        // two squares of a quarter and of all the area: half way the side is in the middle of both
        Outline small = Outline.rectangle(new Rect(25, 25, 50, 50), 0);
        assertThat(Moments.of(Morph.at(square, small, 0.5)).area()).isCloseTo(75 * 75, within(1e-6));
        Outline turned = Morph.startingAt(square, 0, 1);
        assertThat(turned.contours().getFirst().nodes().getFirst()).isEqualTo(square.contours().getFirst().nodes().get(1));
        // a contour that the other lacks grows from a point
        Outline two = new Outline(List.of(square.contours().getFirst(), small.contours().getFirst()));
        assertThat(Moments.of(Morph.at(square, two, 0)).area()).isCloseTo(10_000, within(1e-6));
    }
}
