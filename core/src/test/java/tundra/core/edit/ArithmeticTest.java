package tundra.core.edit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Sums as they are typed into a number field. */
class ArithmeticTest {
    @ParameterizedTest
    @CsvSource(delimiter = '|', value = {
        "12 | 12", "-3.5 | -3.5", "+4 | 4", "1,5 | 1.5", ".5 | 0.5", "7. | 7",
        "2 + 3 * 4 | 14", "(2 + 3) * 4 | 20", "2 - 3 - 4 | -5", "100 / 8 / 5 | 2.5", "2 * -3 | -6", "--2 | 2", "-(1 + 2) | -3",
        "640 / 3 | 213.33333333333334", "1280 × 0.75 | 960", "10 − 4 | 6", "((((1)))) | 1",
        "12px | 12", "50 % | 50", "90° | 90", "1.5 s | 1.5", "24 fps | 24", "10 + 20 px | 30",
    })
    void sums(String typed, double value) {
        assertThat(Arithmetic.parse(typed)).isCloseTo(value, within(1e-12));
    }

    @ParameterizedTest
    @ValueSource(strings = {"", " ", "px", "abc", "1 2", "1 +", "* 3", "(1 + 2", "1 + 2)", "1..2", "3 / 0", "1e400", "NaN", "Infinity", "12 pt"})
    void whatIsNoSumIsSaidInOneSentence(String typed) {
        assertThatThrownBy(() -> Arithmetic.parse(typed)).isInstanceOf(IllegalArgumentException.class)
                .hasMessageMatching("“.*” (is not a number or a sum|has a bracket that is not closed)");
    }
}
