package tundra.core.check;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tundra.core.geometry.Outline;
import tundra.core.geometry.Point;
import tundra.core.geometry.Rect;
import tundra.core.model.Board;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Properties;
import tundra.core.model.Property;
import tundra.core.model.Scene;
import tundra.core.model.Timeline;
import tundra.core.model.Values;
import tundra.core.motion.Easing;
import tundra.core.motion.EasingText;
import tundra.core.motion.Key;
import tundra.core.motion.Track;

class LoopChecksTest {
    private static final Outline SMALL = Outline.rectangle(new Rect(0, 0, 60, 40), 0), WIDE = Outline.rectangle(new Rect(0, 0, 90, 40), 0);

    private static <T> Board board(boolean loop, Property<T> p, Easing easing, List<T> values) {
        var keys = new ArrayList<Key<T>>();
        for (int i = 0; i < values.size(); i++) {
            keys.add(new Key<>(2_000_000L * i / (values.size() - 1), values.get(i), easing));
        }
        var t = new Timeline("main", "Main", 2_000_000, loop, true, Map.of()).with("hill", p, new Track<>(keys));
        var hill = new Element("hill", "Hill", false, false, Values.NONE, new Content.Path(SMALL, new Point(60, 40)));
        return new Board(new Point(400, 300), Values.NONE, List.of(hill), List.of(t), List.of());
    }

    private static List<Finding> found(Board b) {
        return LoopChecks.of(new Scene("s", "S", b));
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', value = {"linear|0", "sine-both|1", "quad-in|0", "quad-out|0", "cubic-both|1", "steps(4)|0"})
    void whatTurnsOnAndOnAndHaltsAtTheSeamIsTold(String easing, int findings) {
        Board b = board(true, Properties.ROTATION, EasingText.parse(easing), List.of(0.0, 360.0));
        List<Finding> all = found(b);
        assertThat(all).hasSize(findings);
        if (findings == 1) {
            assertThat(all.getFirst().check()).isEqualTo(Check.SEAM);
            assertThat(all.getFirst().text()).isEqualTo("Hill goes on in one direction but halts where Main begins anew: rotation slows down there.");
            assertThat(found(all.getFirst().fix().change().apply(b))).isEmpty();
        }
    }

    @Test
    void whatSwaysOrEndsMayHalt() {
        Easing soft = EasingText.parse("sine-both");
        assertThat(found(board(true, Properties.ROTATION, soft, List.of(0.0, 30.0, 0.0)))).as("to and fro").isEmpty();
        assertThat(found(board(false, Properties.ROTATION, soft, List.of(0.0, 360.0)))).as("once").isEmpty();
        assertThat(found(board(true, Properties.POSITION, soft, List.of(new Point(0, 50), new Point(400, 50))))).as("passing by").hasSize(1);
    }

    @Test
    void aFormThatChangesFastForEverIsTold() {
        // 30 px there and back in 2 s: 30 px a second when even; soft it is faster in the middle
        assertThat(found(board(true, Properties.OUTLINE, EasingText.parse("sine-both"), List.of(SMALL, WIDE, SMALL)))).singleElement()
                .satisfies(f -> {
            assertThat(f.check()).isEqualTo(Check.BUSY);
            assertThat(f.text()).startsWith("Hill changes its form for ever");
        });
        assertThat(found(board(true, Properties.OUTLINE, Easing.HOLD, List.of(SMALL, WIDE, SMALL)))).as("jumps").isEmpty();
        assertThat(found(board(false, Properties.OUTLINE, EasingText.parse("sine-both"), List.of(SMALL, WIDE, SMALL)))).as("once").isEmpty();
        Outline near = Outline.rectangle(new Rect(0, 0, 70, 40), 0);
        assertThat(found(board(true, Properties.OUTLINE, EasingText.parse("sine-both"), List.of(SMALL, near, SMALL)))).as("slowly").isEmpty();
    }
}
