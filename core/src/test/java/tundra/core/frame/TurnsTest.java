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
import tundra.core.model.Motif;
import tundra.core.model.Span;
import tundra.core.model.Timeline;
import tundra.core.model.Values;

/** What an instance of a motif of half a second (12 frames) plays on a timeline of two: worked out by hand. */
class TurnsTest {
    private static final Motif MOTIF = new Motif("m", "M", new Board(new Point(10, 10), Values.NONE, List.of(),
            List.of(new Timeline("in", "Main", 500_000, false, true, Map.of())), List.of()));

    private static Board around(Clock c, Span span) {
        Timeline t = new Timeline("main", "Main", 2_000_000, false, true, Map.of());
        var e = new Element("e", "Flag", false, false, Values.NONE, new Content.Instance("m", MOTIF.board().size(), c));
        return new Board(new Point(100, 100), Values.NONE, List.of(e), List.of(span == null ? t : t.withShown("e", span)), List.of());
    }

    private static Turns turns(Clock c, Span span) {
        Board b = around(c, span);
        return Turns.of(b, b.elements().getFirst(), MOTIF);
    }

    private static String missing(Clock c, Span span) {
        Board b = around(c, span);
        return Turns.missing(b, b.elements().getFirst(), MOTIF, 24);
    }

    @Test
    void aLoopGoesRoundFromItsPhaseOn() {
        assertThat(turns(Clock.OWN, null).turns()).hasSize(4).first().isEqualTo(new Turns.Turn(0, 500_000));
        Turns late = turns(Clock.OWN.withPhase(200_000), null);
        assertThat(late.turns().getFirst()).isEqualTo(new Turns.Turn(0, 300_000));
        assertThat(late.turns().getLast()).isEqualTo(new Turns.Turn(1_800_000, 2_000_000));
        assertThat(turns(Clock.OWN.withSpeed(2), null).turns()).hasSize(8);
        assertThat(turns(Clock.OWN.withSpeed(-1).withPhase(100_000), null).turns().getFirst()).as("backwards from its phase")
                .isEqualTo(new Turns.Turn(0, 100_000));
    }

    @Test
    void onceIsOneTurnAndHoldIsNone() {
        assertThat(turns(Clock.OWN.withRepeat(Clock.Repeat.ONCE), null).turns()).containsExactly(new Turns.Turn(0, 500_000));
        assertThat(turns(Clock.OWN.withRepeat(Clock.Repeat.HOLD), null).turns()).containsExactly(new Turns.Turn(0, 2_000_000));
    }

    @Test
    void aSpanTooShortLeavesFramesUnseen() {
        Clock once = Clock.PARENT.withRepeat(Clock.Repeat.ONCE);
        Span seven = new Span(1_000_000, 1_000_000 + 7 * 1_000_000 / 24);
        assertThat(turns(once, seven).never()).isEqualTo(new Span(seven.to(), 1_500_000));
        assertThat(missing(once, seven)).isEqualTo("shows 7 of its 12 frames");
        assertThat(missing(once.withSpeed(2), seven)).as("twice as fast it is over in time").isNull();
        assertThat(missing(once, new Span(0, 500_000))).isNull();
        assertThat(missing(once.withOwn(true), seven)).as("its own clock goes on").isNull();
    }
}
