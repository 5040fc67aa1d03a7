package tundra.core.frame;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tundra.core.geometry.Point;
import tundra.core.model.Board;
import tundra.core.model.Clock;
import tundra.core.model.Color;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Motif;
import tundra.core.model.Properties;
import tundra.core.model.Span;
import tundra.core.model.Timeline;
import tundra.core.model.Values;
import tundra.core.motion.Easing;
import tundra.core.motion.Key;
import tundra.core.motion.Track;

/** A motif of 12 ms: tables of its local time, worked out by hand. */
class ClockTest {
    @ParameterizedTest
    @CsvSource({
        // repeat, phase, speed, at, local
        "LOOP, 0, 1, 0, 0", "LOOP, 0, 1, 5, 5", "LOOP, 0, 1, 12, 0", "LOOP, 0, 1, 31, 7", "LOOP, 4, 1, 10, 2", "LOOP, 0, -1, 1, 11",
                "LOOP, 0, -1, 25, 11",
        "LOOP, 5, -2, 3, 11", "LOOP, 0, 0.5, 9, 5", "LOOP, -3, 1, 0, 9", "LOOP, 30, 1, 0, 6",
        "ONCE, 0, 1, 5, 5", "ONCE, 0, 1, 12, 12", "ONCE, 0, 1, 40, 12", "ONCE, 7, 2, 2, 11", "ONCE, 7, 2, 3, 12", "ONCE, 12, -1, 5, 7",
        "ONCE, 12, -3, 5, 0", "ONCE, 0, -1, 5, 0",
        "HOLD, 7, 1, 0, 7", "HOLD, 7, 3, 100, 7", "HOLD, 99, 1, 5, 12",
    })
    void theLocalTime(Clock.Repeat repeat, long phase, double speed, long at, long local) {
        assertThat(new Clock(true, repeat, phase, speed).local(at, 12)).isEqualTo(local);
    }

    private static final Board VANE = new Board(new Point(10, 10), Values.NONE,
            List.of(new Element("dot", "Dot", false, false, Values.NONE, new Content.Rectangle())),
            List.of(new Timeline("in", Timeline.MAIN, 12, false, true, Map.of()).with("dot", Properties.ROTATION,
                    new Track<>(List.of(new Key<>(0, 0.0, Easing.LINEAR), new Key<>(12, 12.0, Easing.LINEAR))))), List.of());

    private static Board scene(Clock c, Span span) {
        Timeline main = new Timeline("main", Timeline.MAIN, 100, false, true, Map.of());
        var e = new Element("vane", "Vane", false, false, Values.NONE.with(Properties.POSITION, new Point(50, 50)),
                new Content.Instance("m", VANE.size(), c));
        return new Board(new Point(100, 100), Values.NONE, List.of(e), List.of(span == null ? main : main.withShown("vane", span)), List.of());
    }

    private static double turn(Board scene, Moment m) {
        var motifs = new MotifFrames(List.of(new Motif("m", "Vane", VANE)), List.of(), new FakeMeasurer(), null, (x, layout) -> x);
        FrameNode vane = new FrameBuilder(scene, new FakeMeasurer(), null, false, motifs).at(m).nodes().getFirst();
        return Math.toDegrees(Math.atan2(vane.children().getFirst().toParent().b(), vane.children().getFirst().toParent().a()));
    }

    @Test
    void aClockOfItsOwnGoesOnWhateverTheTimelineDoes() {
        Board b = scene(Clock.OWN, null);
        assertThat(turn(b, new Moment(List.of(new Moment.Standing("main", 3)), 17))).isCloseTo(5, Assertions.within(1e-9));
        assertThat(turn(b, new Moment(List.of(), 8))).isCloseTo(8, Assertions.within(1e-9));
    }

    @Test
    void inStepWithItsParentItBeginsWithItsSpan() {
        Board b = scene(Clock.PARENT.withPhase(2), new Span(30, 90));
        assertThat(turn(b, new Moment(List.of(new Moment.Standing("main", 35)), 999))).isCloseTo(7, Assertions.within(1e-9));
        assertThat(turn(b, new Moment(List.of(new Moment.Standing("main", 41)), 0))).as("13 of 12: again").isCloseTo(1, Assertions.within(1e-9));
        assertThat(turn(b.withTimelines(b.timelines()), Moment.opened(b, 30))).isCloseTo(2, Assertions.within(1e-9));
    }

    @Test
    void manyAtTheSameLocalTimeAreOnePicture() {
        Board one = scene(Clock.OWN, null);
        Element e = one.elements().getFirst();
        Board b = one.withElements(List.of(e, e.withId("b"), e.withId("c")
                .withContent(new Content.Instance("m", VANE.size(), Clock.OWN.withPhase(12)))));
        var motifs = new MotifFrames(List.of(new Motif("m", "Vane", VANE)), List.of(), new FakeMeasurer(), null, (x, layout) -> x);
        var nodes = new FrameBuilder(b, new FakeMeasurer(), null, false, motifs).at(5).nodes();
        assertThat(nodes.get(1).children()).isSameAs(nodes.get(0).children());
        assertThat(nodes.get(2).children()).as("a turn ahead is the same").isSameAs(nodes.get(0).children());
    }

    @Test
    void whatLiesInAMotifIsNoPartOfTheBoard() {
        Board b = scene(Clock.OWN, null);
        var motifs = new MotifFrames(List.of(new Motif("m", "Vane",
                new Board(VANE.size(), Values.NONE, List.of(new Element("dot", "Dot", false, false,
                Values.NONE.with(Properties.SIZE, new Point(10, 10)).with(Properties.PIVOT, Point.ZERO).with(Properties.FILL, Color.parse("#000000")),
                new Content.Rectangle())), VANE.timelines(), List.of()))), List.of(), new FakeMeasurer(), null, (x, layout) -> x);
        Frame f = new FrameBuilder(b, new FakeMeasurer(), null, false, motifs).at(0);
        assertThat(f.find("dot")).isNull();
        assertThat(f.index()).containsOnlyKeys("vane");
        assertThat(HitTest.under(f, new Point(50, 50), 0)).containsExactly(List.of("vane"));
        assertThat(HitTest.under(f, new Point(80, 50), 0)).isEmpty();
    }

    @Test
    void aMotifThatHasNoClocksInsideIsPaintedOnceForEachOfItsMoments() {
        for (Clock clock : List.of(Clock.OWN, Clock.PARENT)) {
            var motifs = new MotifFrames(List.of(new Motif("m", "Vane", VANE)), List.of(), new FakeMeasurer(), null, (x, layout) -> x);
            Board scene = scene(clock, null);
            var builder = new FrameBuilder(scene, new FakeMeasurer(), null, false, motifs);
            List<FrameNode> first = builder.at(5).nodes().getFirst().children();
            assertThat(builder.at(8).nodes().getFirst().children()).isNotEqualTo(first);
            assertThat(builder.at(17).nodes().getFirst().children()).as("a turn later").isSameAs(first);
        }
        // what goes by a clock inside stands elsewhere a turn later: 5 and 31 of 12, in a motif of 13
        var vane = new Element("vane", "Vane", false, false, Values.NONE, new Content.Instance("m", VANE.size(), Clock.OWN));
        var outer = new Board(VANE.size(), Values.NONE, List.of(vane), List.of(new Timeline("o", Timeline.MAIN, 13, true, true, Map.of())),
                List.of());
        var motifs = new MotifFrames(List.of(new Motif("m", "Vane", VANE), new Motif("o", "Outer", outer)), List.of(), new FakeMeasurer(), null,
                (x, layout) -> x);
        var e = new Element("outer", "Outer", false, false, Values.NONE, new Content.Instance("o", VANE.size(), Clock.OWN));
        Board scene = new Board(new Point(100, 100), Values.NONE, List.of(e),
                List.of(new Timeline("main", Timeline.MAIN, 100, false, true, Map.of())),
                List.of());
        var builder = new FrameBuilder(scene, new FakeMeasurer(), null, false, motifs);
        assertThat(turned(builder.at(5))).isEqualTo(5);
        assertThat(turned(builder.at(31))).isEqualTo(7);
    }

    private static long turned(Frame f) {
        var dot = f.nodes().getFirst().children().getFirst().children().getFirst().toParent();
        return Math.round(Math.toDegrees(Math.atan2(dot.b(), dot.a())));
    }
}
