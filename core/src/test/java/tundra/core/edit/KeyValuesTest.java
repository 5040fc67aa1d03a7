package tundra.core.edit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.Test;
import tundra.core.geometry.Point;
import tundra.core.model.Board;
import tundra.core.model.Color;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Properties;
import tundra.core.model.Timeline;
import tundra.core.model.Values;
import tundra.core.motion.CubicEasing;
import tundra.core.motion.Easing;
import tundra.core.motion.EasingText;
import tundra.core.motion.Key;
import tundra.core.motion.Track;

/** Keys raised and easings pulled as in a tall lane. */
class KeyValuesTest {
    private final Board board = new Board(new Point(200, 100), Values.NONE,
            List.of(new Element("e", "e", false, false, Values.NONE.with(Properties.SIZE, new Point(10, 10)), new Content.Rectangle())),
            List.of(new Timeline("main", "Main", 4_000_000, false, true, Map.of())
                    .with("e", Properties.OPACITY, track(Easing.LINEAR, 0.2, 0.8, 0.5))
                    .with("e", Properties.POSITION, track(EasingText.parse("sine-both"), new Point(10, 20), new Point(110, 20), new Point(50, 90)))
                    .with("e", Properties.FILL, track(Easing.LINEAR, Color.BLACK, Color.WHITE))), List.of());

    @SafeVarargs
    private static <T> Track<T> track(Easing easing, T... values) {
        var keys = new ArrayList<Key<T>>();
        for (int i = 0; i < values.length; i++) {
            keys.add(new Key<>(i * 1_000_000L, values[i], easing));
        }
        return new Track<>(keys);
    }

    private static Keys.Ref opacity(long at) {
        return new Keys.Ref("e", Properties.OPACITY, at);
    }

    private static List<Double> opacities(Board b) {
        return b.main().track("e", Properties.OPACITY).keys().stream().map(Key::value).toList();
    }

    @Test
    void aKeyRisesAloneOrWithTheChosenOnesAndKeepsWithinItsRange() {
        assertThat(opacities(KeyValues.shift(board, "main", List.of(), opacity(1_000_000), 0, -0.3, false))).containsExactly(0.2, 0.5, 0.5);
        // shown as %: 80 and 12.34 come to 92.3
        assertThat(opacities(KeyValues.shift(board, "main", List.of(), opacity(1_000_000), 0, 0.1234, true)).get(1))
                .isCloseTo(0.923, Assertions.within(1e-9));
        assertThat(opacities(KeyValues.shift(board, "main", List.of(opacity(0), opacity(1_000_000)), opacity(0), 0, 0.1, false)))
                .satisfiesExactly(v -> assertThat(v).isCloseTo(0.3, within(1e-12)), v -> assertThat(v).isCloseTo(0.9, within(1e-12)),
                v -> assertThat(v).isEqualTo(0.5));
        assertThat(opacities(KeyValues.shift(board, "main", List.of(), opacity(1_000_000), 0, 5, false))).containsExactly(0.2, 1.0, 0.5);
    }

    @Test
    void onlyTheHeldPartOfAPlaceMoves() {
        Board b = KeyValues.shift(board, "main", Set.of(), new Keys.Ref("e", Properties.POSITION, 0), 1, 15, false);
        assertThat(b.main().track("e", Properties.POSITION).keys()).extracting(Key::value)
                .containsExactly(new Point(10, 35), new Point(110, 20), new Point(50, 90));
    }

    @Test
    void coloursHaveNoNumberToRaise() {
        Board b = KeyValues.shift(board, "main", Set.of(), new Keys.Ref("e", Properties.FILL, 0), 0, 100, false);
        assertThat(b).isEqualTo(board);
    }

    @Test
    void aPulledHandleMakesAnyEasingACubicOne() {
        // from 0.2 to 0.8 in the first second: a quarter of the time at 0.65 is three quarters of the way
        Board b = KeyValues.pull(board, "main", opacity(0), 0, false, 250_000, 0.65);
        assertThat(easing(b, 0)).isEqualTo(new CubicEasing(0.25, 0.75, 2 / 3.0, 2 / 3.0));
        b = KeyValues.pull(b, "main", opacity(0), 0, true, 900_000, 0.2);
        assertThat(easing(b, 0)).isEqualTo(new CubicEasing(0.25, 0.75, 0.9, 0));
        assertThat(easing(b, 1)).as("the next interval").isEqualTo(Easing.LINEAR);
    }

    @Test
    void aHandleStaysInItsIntervalButMayOvershoot() {
        Board b = KeyValues.pull(board, "main", opacity(0), 0, true, 3_000_000, 1.1);
        CubicEasing c = (CubicEasing) easing(b, 0);
        assertThat(c.x2()).isEqualTo(1);
        assertThat(c.y2()).isEqualTo(1.5);
        b = KeyValues.pull(board, "main", opacity(0), 0, true, -500_000, 100);
        c = (CubicEasing) easing(b, 0);
        assertThat(c.x2()).isZero();
        assertThat(c.y2()).as("at most").isEqualTo(5);
    }

    @Test
    void whereNothingChangesThereIsNothingToPull() {
        assertThat(KeyValues.pull(board, "main", opacity(2_000_000), 0, false, 0, 1)).as("after the last key").isEqualTo(board);
        assertThat(KeyValues.pull(board, "main", new Keys.Ref("e", Properties.POSITION, 0), 1, false, 500_000, 30)).as("y is 20 at both ends")
                .isEqualTo(board);
        assertThat(KeyValues.pull(board, "main", new Keys.Ref("e", Properties.SCALE, 0), 0, false, 500_000, 30)).as("no such track").isEqualTo(board);
    }

    private static Easing easing(Board b, int i) {
        return b.main().track("e", Properties.OPACITY).keys().get(i).easing();
    }
}
