package tundra.core.frame;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import tundra.core.geometry.Point;
import tundra.core.model.Board;
import tundra.core.model.Color;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Properties;
import tundra.core.model.Property;
import tundra.core.model.Span;
import tundra.core.model.Timeline;
import tundra.core.model.Values;
import tundra.core.motion.Easing;
import tundra.core.motion.Key;
import tundra.core.motion.Track;

/** What several timelines, spans, split positions and facing make of an element at a time. */
class PosesTest {
    private static final Element BOX = new Element("box", "Box", false, false, Values.NONE.with(Properties.POSITION, new Point(50, 60))
            .with(Properties.SIZE, new Point(10, 10))
            .with(Properties.FILL, Color.BLACK), new Content.Rectangle());

    private static Timeline timeline(String id, long duration, boolean loop) {
        return new Timeline(id, id, duration, loop, true, Map.of());
    }

    @SafeVarargs
    private static <T> Track<T> linear(long step, T... values) {
        var keys = new ArrayList<Key<T>>();
        for (int i = 0; i < values.length; i++) {
            keys.add(new Key<>(i * step, values[i], Easing.LINEAR));
        }
        return new Track<>(keys);
    }

    private static FrameBuilder builder(Element e, Timeline... timelines) {
        return new FrameBuilder(new Board(new Point(200, 100), Values.NONE, List.of(e), List.of(timelines), List.of()), new FakeMeasurer());
    }

    private static double at(FrameBuilder b, Property<Double> p, long time) {
        return b.valueAt("box", p, time);
    }

    @Test
    void eachTimelineGoesByItsOwnLengthAndLoop() {
        var b = builder(BOX, timeline("main", 4_000_000, false).with("box", Properties.ROTATION, linear(4_000_000, 0.0, 400.0)),
                timeline("blink", 500_000, true).with("box", Properties.OPACITY, linear(500_000, 1.0, 0.0)));
        assertThat(at(b, Properties.ROTATION, 1_000_000)).isCloseTo(100, within(1e-9));
        assertThat(at(b, Properties.ROTATION, 9_000_000)).as("it stays at its end").isCloseTo(400, within(1e-9));
        assertThat(at(b, Properties.OPACITY, 125_000)).isCloseTo(0.75, within(1e-9));
        assertThat(at(b, Properties.OPACITY, 7_125_000)).as("15th round").isCloseTo(0.75, within(1e-9));
    }

    @Test
    void ofTwoTimelinesTheLaterInTheListHasItsSay() {
        var one = timeline("one", 1_000_000, false).with("box", Properties.ROTATION, linear(1_000_000, 0.0, 90.0));
        var two = timeline("two", 1_000_000, false).with("box", Properties.ROTATION, linear(1_000_000, 10.0, 10.0));
        assertThat(at(builder(BOX, one, two), Properties.ROTATION, 500_000)).isEqualTo(10);
        assertThat(at(builder(BOX, two, one), Properties.ROTATION, 500_000)).isCloseTo(45, within(1e-9));
    }

    @Test
    void aSpanShowsFromItsStartUpToItsEnd() {
        var b = builder(BOX, timeline("main", 4_000_000, false).withShown("box", new Span(1_000_000, 2_000_000)));
        for (long[] t : new long[][] {{0, 0}, {999_999, 0}, {1_000_000, 1}, {1_999_999, 1}, {2_000_000, 0}, {3_000_000, 0}}) {
            assertThat(b.at(t[0]).nodes()).as(t[0] + " µs").hasSize((int) t[1]);
        }
    }

    @Test
    void ofTwoSpansThatOfTheTimelineStartedLastDecides() {
        var b = builder(BOX, timeline("main", 4_000_000, false).withShown("box", new Span(0, 3_000_000)),
                timeline("loop", 1_000_000, true).withShown("box", new Span(0, 400_000)));
        assertThat(b.at(2_300_000).nodes()).hasSize(1);
        assertThat(b.at(2_500_000).nodes()).isEmpty();
        assertThat(b.at(3_300_000).nodes()).as("the other one's is over").hasSize(1);
    }

    @Test
    void halvesOfAPositionAreIndependent() {
        var b = builder(BOX, timeline("main", 2_000_000, false).with("box", Properties.POSITION_X, linear(1_000_000, 0.0, 100.0)));
        assertThat(b.valueAt("box", Properties.POSITION, 250_000)).isEqualTo(new Point(25, 60));
    }

    @Test
    void facingAddsTheWaysDirectionToTheRotation() {
        Element facing = BOX.with(Properties.FACE_PATH, "yes").with(Properties.FRONT, 30.0).with(Properties.ROTATION, 5.0);
        var b = builder(facing, timeline("main", 2_000_000, false).with("box", Properties.POSITION,
                linear(1_000_000, new Point(0, 0), new Point(100, 0), new Point(100, 100))));
        assertThat(at(b, Properties.ROTATION, 500_000)).isCloseTo(5 - 30, within(1e-6));
        assertThat(at(b, Properties.ROTATION, 1_500_000)).as("downwards").isCloseTo(5 + 90 - 30, within(1e-6));
    }

    @Test
    void aPathIsMeasuredOnceForCanvasAndLanes() {
        var main = timeline("main", 2_000_000, false).with("box", Properties.POSITION, linear(1_000_000, new Point(0, 0), new Point(100, 0)));
        var b = builder(BOX, main);
        assertThat(b.path("main", "box")).isSameAs(b.path("main", "box"));
        assertThat(b.path("main", "box").at(500_000)).isEqualTo(new Point(50, 0));
        assertThat(b.path("main", "nobody")).isNull();
        assertThat(b.path("other", "box")).isNull();
        var next = new FrameBuilder(b.board().mapTimeline("main", t -> t.with("box", Properties.ROTATION, linear(1_000_000, 0.0, 1.0))),
                new FakeMeasurer(), b, false);
        assertThat(next.path("main", "box")).as("taken over").isSameAs(b.path("main", "box"));
    }

    @Test
    void theBackgroundHasKeysToo() {
        var b = builder(BOX, timeline("main", 1_000_000, false).with(Board.CANVAS, Properties.BACKGROUND,
                linear(1_000_000, Color.BLACK, Color.WHITE)));
        assertThat(b.at(0).background()).isEqualTo(Color.BLACK);
        assertThat(b.at(500_000).background().red()).isBetween(127, 128);
        assertThat(b.at(1_000_000).background()).isEqualTo(Color.WHITE);
    }
}
