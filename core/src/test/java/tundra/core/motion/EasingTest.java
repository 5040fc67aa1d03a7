package tundra.core.motion;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class EasingTest {
    /** The Bézier's y where its x is p, found by halving: another way than the code's Newton steps. */
    private static double byHalving(double x1, double y1, double x2, double y2, double p) {
        double lo = 0, hi = 1;
        for (int i = 0; i < 200; i++) {
            double t = (lo + hi) / 2, u = 1 - t;
            if (3 * u * u * t * x1 + 3 * u * t * t * x2 + t * t * t < p) {
                lo = t;
            } else {
                hi = t;
            }
        }
        double t = (lo + hi) / 2, u = 1 - t;
        return 3 * u * u * t * y1 + 3 * u * t * t * y2 + t * t * t;
    }

    @ParameterizedTest
    @CsvSource({"0.25,0.1,0.25,1", "0.42,0,1,1", "0,0,0.58,1", "1,0,0,1", "0,1,1,0", "0.2,1.8,0.6,-0.7", "1,1,1,1", "0,0,0,0"})
    void cubicBezierIsSolvedToAMillionth(double x1, double y1, double x2, double y2) {
        var e = new CubicEasing(x1, y1, x2, y2);
        for (double p = 0.001; p < 1; p += 0.0077) {
            assertThat(e.at(p)).isCloseTo(byHalving(x1, y1, x2, y2, p), within(1e-6));
        }
    }

    @Test
    void everyEasingStartsAtZeroAndEndsAtOne() {
        for (NamedEasing n : NamedEasing.ALL) {
            assertThat(n.easing().at(0)).as(n.trade()).isCloseTo(0, within(1e-9));
            assertThat(n.easing().at(1)).as(n.trade()).isCloseTo(1, within(1e-9));
        }
    }

    @ParameterizedTest
    @CsvSource({
        // closed forms: 1-cos(pi/8), 1/16, 1/64, 1/256, 1/1024, (2^-7.5 - 2^-10)/(1 - 2^-10), 1-sqrt(15)/4
        "sine-in,0.25,0.0761204675", "quad-in,0.25,0.0625", "cubic-in,0.25,0.015625", "quart-in,0.25,0.00390625", "quint-in,0.25,0.0009765625",
        "expo-in,0.25,0.0045521547", "circ-in,0.25,0.0317541634", "sine-out,0.5,0.7071067812", "circ-out,0.5,0.8660254038",
        "back-in,0.5,-0.0876975", "back-out,0.5,1.0876975", "bounce-out,0.363636363636,1", "bounce-out,0.545454545454,0.75",
        "bounce-in,0.0,0", "quad-both,0.25,0.125", "cubic-both,0.75,0.9375", "elastic-out,0.075,0.999511957"})
    void familiesHaveTheirClosedForms(String text, double p, double value) {
        assertThat(EasingText.parse(text).at(p)).isCloseTo(value, within(5e-7));
    }

    @ParameterizedTest
    @CsvSource({
        // CSS Easing Functions 2, 2.4: the value just at, and just before, each jump of three steps
        "jump-start,0,0.333333333", "jump-start,0.32,0.333333333", "jump-start,0.34,0.666666667", "jump-start,0.67,1",
        "jump-end,0,0", "jump-end,0.34,0.333333333", "jump-end,0.99,0.666666667", "jump-end,1,1",
        "jump-none,0,0", "jump-none,0.34,0.5", "jump-none,0.99,1", "jump-both,0,0.25", "jump-both,0.34,0.5", "jump-both,0.99,0.75"})
    void stepsJumpWhereCssSays(String jump, double p, double value) {
        assertThat(EasingText.parse("steps(3, " + jump + ")").at(p)).isCloseTo(value, within(1e-8));
    }

    @Test
    void textsReadBackAsTheyWere() {
        for (NamedEasing n : NamedEasing.ALL) {
            assertThat(EasingText.parse(n.easing().text())).isEqualTo(n.easing());
        }
        assertThat(EasingText.parse("cubic-bezier( .2, -1 ,0.5,2)")).isEqualTo(new CubicEasing(0.2, -1, 0.5, 2));
        assertThat(EasingText.parse("steps(4)")).isEqualTo(new StepsEasing(4, StepsEasing.Jump.END));
    }

    @ParameterizedTest
    @CsvSource(delimiter = ';', value = {"swoosh", "cubic-bezier(2,0,0,1)", "cubic-bezier(0,0,1)", "steps(0)", "steps(1, jump-none)",
            "sine-sideways", "''"})
    void nonsenseIsRefusedInWords(String text) {
        assertThatThrownBy(() -> EasingText.parse(text)).isInstanceOf(IllegalArgumentException.class).hasMessageMatching("(?s).{10,}");
    }
}
