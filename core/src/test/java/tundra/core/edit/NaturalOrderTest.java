package tundra.core.edit;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

class NaturalOrderTest {
    @Test
    void numbersInNamesCountAsNumbers() {
        var order = List.of("a1b", "a1c", "idle 1", "Idle 2", "idle 10", "idle-009", "idle-10", "idle-10a", "walk", "walk 3 of 9", "walk 3 of 10",
                "walk 12345678901234567890", "walk 12345678901234567891");
        for (int seed = 0; seed < 20; seed++) {
            var mixed = new ArrayList<>(order);
            Collections.shuffle(mixed, new Random(seed));
            mixed.sort(NaturalOrder.OF_NAMES);
            assertThat(mixed).isEqualTo(order);
        }
        assertThat(NaturalOrder.OF_NAMES.compare("idle 2", "idle 02")).as("told apart all the same").isNotZero();
    }

    @Test
    void namesAreNumberedWhenOnlyANumberTellsThemApart() {
        assertThat(NaturalOrder.numbered(List.of("run 1", "run 2", "run 10"))).isTrue();
        assertThat(NaturalOrder.numbered(List.of("run 1", "jump 2"))).isFalse();
        assertThat(NaturalOrder.numbered(List.of("run 1", "run 1"))).isFalse();
        assertThat(NaturalOrder.numbered(List.of("run", "run 2"))).isFalse();
    }
}
