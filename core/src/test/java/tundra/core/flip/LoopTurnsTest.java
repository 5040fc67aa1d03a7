package tundra.core.flip;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tundra.core.geometry.Point;
import tundra.core.model.Drawing;
import tundra.core.model.Flipbook;
import tundra.core.model.Span;

class LoopTurnsTest {
    private static final long SECOND = 1_000_000;

    /** Three drawings of two frames each at 12 frames a second: a turn takes half a second. @param from the frame of the first */
    private static Flipbook book(int from, Flipbook.Ending ending) {
        List<Drawing> drawings = IntStream.range(0, 3)
                .mapToObj(i -> new Drawing(Flipbook.blank("Drawing " + (i + 1), new Point(10, 10)), from + 2 * i, 2)).toList();
        return new Flipbook(drawings, new Point(10, 10), 12, ending);
    }

    private static long at(Flipbook b, long frame, double around, Span seen) {
        return LoopTurns.timeOf(b, frame, Math.round(around * SECOND), 8 * SECOND, t -> seen == null || seen.contains(t));
    }

    @ParameterizedTest
    @CsvSource({"0, 0", "0.4, 0", "0.5, 0.5", "1.3, 1", "7.9, 7.5"})
    void aLoopStaysInTheTurnThatItIsIn(double around, double turn) {
        assertThat(at(book(0, Flipbook.Ending.LOOP), 0, around, null)).isEqualTo(Math.round(turn * SECOND));
        // the second drawing begins a sixth of a second later
        assertThat(at(book(0, Flipbook.Ending.LOOP), 2, around, null)).isEqualTo(Math.round((turn + 1 / 6.0) * SECOND));
    }

    @ParameterizedTest
    @CsvSource({"0.3, 2", "2.2, 2", "2.6, 2.5", "7, 3.5"})
    void itGoesToTheNearestTurnThatIsSeen(double around, double turn) {
        assertThat(at(book(0, Flipbook.Ending.LOOP), 0, around, new Span(2 * SECOND, 4 * SECOND))).isEqualTo(Math.round(turn * SECOND));
    }

    @Test
    void aDrawingBeforeTheSpanOfItsTurnIsSoughtInTheNext() {
        // from 2.1 s on: the first drawing is seen from 2.5 s, the second already at 2 s + a sixth
        var seen = new Span(2_100_000, 4 * SECOND);
        assertThat(at(book(0, Flipbook.Ending.LOOP), 0, 0, seen)).isEqualTo(2_500_000);
        assertThat(at(book(0, Flipbook.Ending.LOOP), 2, 0, seen)).isEqualTo(2_166_667);
    }

    @Test
    void withoutAnyTurnInSightItStaysWhereItIs() {
        assertThat(at(book(0, Flipbook.Ending.LOOP), 2, 1.2, new Span(9 * SECOND, 10 * SECOND))).isEqualTo(1_166_667);
    }

    @Test
    void theLastTurnIsTheLastThatBeginsInTime() {
        assertThat(LoopTurns.timeOf(book(0, Flipbook.Ending.LOOP), 4, 900_000, 700_000, t -> true)).isEqualTo(333_333);
    }

    @ParameterizedTest
    @CsvSource({"HOLD", "VANISH"})
    void whatDoesNotStartOverHasOneTurn(Flipbook.Ending ending) {
        assertThat(at(book(0, ending), 2, 3, new Span(2 * SECOND, 4 * SECOND))).isEqualTo(166_667);
    }

    @Test
    void framesBeforeTheFirstDrawingComeOnce() {
        assertThat(at(book(6, Flipbook.Ending.LOOP), 3, 5, null)).isEqualTo(250_000);
        // turns of half a second from half a second on
        assertThat(at(book(6, Flipbook.Ending.LOOP), 6, 1.7, null)).isEqualTo(1_500_000);
    }
}
