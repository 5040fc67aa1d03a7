package tundra.core.frame;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import tundra.core.geometry.Point;
import tundra.core.model.Board;
import tundra.core.model.Clock;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Properties;
import tundra.core.model.Span;
import tundra.core.model.Timeline;
import tundra.core.model.Values;
import tundra.core.motion.Easing;
import tundra.core.motion.Key;
import tundra.core.motion.Track;

/** Which timelines have a say, and which of them decides. */
class MomentTest {
    private static final Element MENU = new Element("menu", "Menu", false, false,
            Values.NONE.with(Properties.SIZE, new Point(10, 10)).with(Properties.OPACITY, 0.5), new Content.Rectangle());

    private static Timeline timeline(String id, long duration, boolean starts, double from, double to) {
        return new Timeline(id, id, duration, false, starts, Map.of()).with("menu", Properties.OPACITY,
                new Track<>(List.of(new Key<>(0, from, Easing.LINEAR), new Key<>(duration, to, Easing.LINEAR))));
    }

    private static final Timeline MAIN = new Timeline("main", "Main", 4_000_000, true, true, Map.of());
    private static final Timeline OPEN = timeline("open", 1_000_000, false, 0, 1), CLOSE = timeline("close", 2_000_000, false, 1, 0);
    private static final Board BOARD = new Board(new Point(100, 100), Values.NONE, List.of(MENU), List.of(MAIN, OPEN, CLOSE), List.of());
    private static final FrameBuilder BUILDER = new FrameBuilder(BOARD, new FakeMeasurer());

    private static double opacity(Moment m) {
        return BUILDER.valueAt("menu", Properties.OPACITY, m);
    }

    @Test
    void whatWasNeverStartedDoesNotApply() {
        assertThat(opacity(Moment.opened(BOARD, 500_000))).isEqualTo(0.5);
        assertThat(opacity(Moment.REST)).isEqualTo(0.5);
    }

    @Test
    void theTimelineStartedLastDecides() {
        Moment opened = Moment.opened(BOARD, 5_000_000).with("open", 250_000);
        assertThat(opened.timeOf("main")).as("it loops").isEqualTo(1_000_000);
        assertThat(opacity(opened)).isEqualTo(0.25);
        Moment closing = opened.with("close", 500_000);
        assertThat(opacity(closing)).isEqualTo(0.75);
        assertThat(opacity(closing.with("open", 100_000))).as("opened again").isEqualTo(0.1);
        assertThat(closing.with("open", 100_000).standings()).extracting(Moment.Standing::timeline).containsExactly("main", "close", "open");
    }

    @Test
    void whatIsEditedIsOnTop() {
        assertThat(opacity(Moment.editing(BOARD, "open", 500_000))).isEqualTo(0.5);
        assertThat(opacity(Moment.editing(BOARD, "open", 5_000_000))).as("it stays at its end").isEqualTo(1);
        assertThat(opacity(Moment.editing(BOARD, "close", 500_000))).isEqualTo(0.75);
        assertThat(opacity(Moment.editing(BOARD, "main", 500_000))).isEqualTo(0.5);
        assertThat(Moment.editing(BOARD, "gone", 1)).isEqualTo(Moment.opened(BOARD, 1));
    }

    @Test
    void spansAndHalvesGoByTheSameRule() {
        Timeline one = new Timeline("one", "one", 1_000_000, false, true, Map.of()).withShown("menu", new Span(0, 500_000))
                .with("menu", Properties.POSITION_X, new Track<>(List.of(new Key<>(0, 7.0, Easing.LINEAR))));
        Timeline two = new Timeline("two", "two", 1_000_000, false, false, Map.of()).withShown("menu", new Span(200_000, 1_000_000))
                .with("menu", Properties.POSITION_Y, new Track<>(List.of(new Key<>(0, 9.0, Easing.LINEAR))));
        Board b = new Board(new Point(100, 100), Values.NONE, List.of(MENU), List.of(one, two), List.of());
        var builder = new FrameBuilder(b, new FakeMeasurer());
        Moment opened = Moment.opened(b, 100_000);
        assertThat(builder.shown("menu", opened)).isTrue();
        assertThat(builder.shown("menu", opened.with("two", 100_000))).isFalse();
        assertThat(builder.shown("menu", opened.with("two", 300_000))).isTrue();
        assertThat(builder.shown("menu", Moment.REST.with("two", 300_000).with("one", 600_000))).isFalse();
        assertThat(builder.valueAt("menu", Properties.POSITION, opened)).isEqualTo(new Point(7, 0));
        assertThat(builder.valueAt("menu", Properties.POSITION, opened.with("two", 0))).isEqualTo(new Point(7, 9));
    }

    @Test
    void aMotifThatRunsOnceStaysAtItsVeryEnd() {
        Board motif = new Board(new Point(10, 10), Values.NONE, List.of(), List.of(new Timeline("m", Timeline.MAIN, 600_000, true, true, Map.of()),
                new Timeline("half", "half", 300_000, true, true, Map.of())), List.of());
        var once = Moment.opened(BOARD, 5_000_000).inside(BOARD, "menu", Clock.OWN.withRepeat(Clock.Repeat.ONCE), motif);
        assertThat(once.timeOf("m")).as("though its Main would begin anew").isEqualTo(600_000);
        assertThat(once.timeOf("half")).isZero();
        assertThat(Moment.opened(BOARD, 600_000).inside(BOARD, "menu", Clock.OWN, motif).timeOf("m")).isZero();
        assertThat(Moment.opened(BOARD, 300_000).inside(BOARD, "menu", Clock.OWN, motif).timeOf("half")).isZero();
    }
}
