package tundra.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.function.DoubleFunction;
import org.junit.jupiter.api.Test;

/** Curves cut into straight pieces, against the curves themselves. */
class BakerTest {
    private static double at(List<Baker.Sample> all, double time, int number) {
        for (int i = 0; i + 1 < all.size(); i++) {
            Baker.Sample a = all.get(i), b = all.get(i + 1);
            if (time >= a.time() && time <= b.time() && b.time() > a.time()) {
                return a.at()[number] + (b.at()[number] - a.at()[number]) * (time - a.time()) / (b.time() - a.time());
            }
        }
        throw new AssertionError("no piece at " + time);
    }

    private static double worst(List<Baker.Sample> all, DoubleFunction<double[]> f, double from, double to) {
        double most = 0;
        for (double t = from; t <= to; t += (to - from) / 5000) {
            for (int n = 0; n < f.apply(t).length; n++) {
                most = Math.max(most, Math.abs(at(all, t, n) - f.apply(t)[n]));
            }
        }
        return most;
    }

    @Test
    void aCircleIsFollowedWithinTheTolerance() {
        DoubleFunction<double[]> circle = t -> new double[] {300 * Math.cos(t / 1e6 * Math.PI), 300 * Math.sin(t / 1e6 * Math.PI)};
        var all = Baker.straight(circle, List.of(0.0, 2_000_000.0), Baker.TOLERANCE);
        assertThat(worst(all, circle, 0, 2_000_000)).as("px").isLessThan(1.5 * Baker.TOLERANCE);
        // chords of an arc within e of it span 2·√(2e/r) at the most: no fewer could do, and not many more are made
        double least = 2 * Math.PI / (2 * Math.sqrt(2 * Baker.TOLERANCE / 300));
        assertThat((double) all.size()).isBetween(least * 0.8, least * 4);
    }

    @Test
    void aStraightWayNeedsFewPieces() {
        DoubleFunction<double[]> line = t -> new double[] {t / 1000, 5};
        assertThat(Baker.straight(line, List.of(0.0, 1_000_000.0), Baker.TOLERANCE)).hasSizeLessThanOrEqualTo(5);
    }

    @Test
    void aJumpAtACutIsMetFromBothSides() {
        DoubleFunction<double[]> step = t -> new double[] {t < 500_000 ? 10 : 70};
        var all = Baker.straight(step, List.of(0.0, 500_000.0, 1_000_000.0), Baker.TOLERANCE);
        assertThat(at(all, 499_999, 0)).isEqualTo(10);
        assertThat(at(all, 500_001, 0)).isEqualTo(70);
        assertThat(all.stream().filter(s -> s.time() == 500_000).map(s -> s.at()[0])).containsExactly(10.0, 70.0);
    }

    @Test
    void timesRiseAndBeginAndEndWhereTheyShould() {
        DoubleFunction<double[]> bounce = t -> new double[] {200 * Math.abs(Math.sin(t / 300_000 * Math.PI))};
        var cuts = List.of(0.0, 300_000.0, 600_000.0, 900_000.0);
        var all = Baker.straight(bounce, cuts, Baker.TOLERANCE);
        assertThat(all.getFirst().time()).isZero();
        assertThat(all.getLast().time()).isEqualTo(900_000);
        assertThat(all).extracting(Baker.Sample::time).isSorted();
        assertThat(worst(all, bounce, 0, 900_000)).isLessThan(1.5 * Baker.TOLERANCE);
        assertThat(at(all, 300_000, 0)).as("the touch itself").isCloseTo(0, within(0.01));
    }

    @Test
    void lengthsAreWrittenShort() {
        assertThat(CssText.px(12)).isEqualTo("12px");
        assertThat(CssText.px(-0.00001)).isEqualTo("0px");
        assertThat(CssText.px(1.23456)).isEqualTo("1.2346px");
    }
}
