package tundra.core.motion;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tundra.core.geometry.Point;

/** Cutting an interval changes nothing of what is seen, and a way with one easing is passed where its keys say. */
class SplitEasingTest {
    @ParameterizedTest
    @ValueSource(strings = {"linear", "hold", "ease", "ease-in", "ease-out", "cubic-bezier(0.2, 1.6, 0.4, -0.3)", "sine-both", "expo-out", "back-in",
            "elastic-out",
            "bounce-out", "circ-in", "spring(180, 8, 1)", "steps(4, jump-end)", "part(bounce-out, 0.1, 0.8)"})
    void bothHalvesTogetherAreTheWhole(String text) {
        Easing whole = EasingText.parse(text);
        for (double cut : new double[] {0.1, 0.25, 0.5, 0.77}) {
            if (text.startsWith("steps") && cut % 0.25 != 0) {
                continue;
            }
            SplitEasing halves = SplitEasing.at(whole, cut);
            double at = whole.at(cut);
            for (double p = 0.001; p < 1; p += 0.009) {
                double got = p < cut ? at * halves.before().at(p / cut) : at + (1 - at) * halves.after().at((p - cut) / (1 - cut));
                assertThat(got).as("%s cut at %s, at %.3f", text, cut, p).isCloseTo(whole.at(p), within(1e-6));
            }
            assertThat(EasingText.parse(halves.after().text()).at(0.4)).as("its text says the same").isCloseTo(halves.after().at(0.4), within(1e-6));
        }
    }

    private static Track<Point> way(String easing, Point... points) {
        var keys = new ArrayList<Key<Point>>();
        for (int i = 0; i < points.length; i++) {
            keys.add(new Key<>(i * 1_000_000L, points[i], Easing.LINEAR));
        }
        return new Track<>(keys, new PathShape(0, false, EasingText.parse(easing)));
    }

    @ParameterizedTest
    @ValueSource(strings = {"linear", "ease-in-out", "cubic-out", "back-out"})
    void aKeyStandsWhereItIsPassed(String easing) {
        Track<Point> t = WholeWay.timed(way(easing, new Point(0, 0), new Point(100, 0), new Point(100, 300), new Point(400, 300)));
        var path = new MotionPath(t);
        for (Key<Point> k : t.keys()) {
            assertThat(path.at(k.time()).distance(k.value())).as("at %d µs", k.time()).isLessThan(0.01);
        }
        assertThat(WholeWay.timed(t)).isSameAs(t);
    }

    @Test
    void evenSpeedSharesOutTheTimeByLength() {
        // 100 of 400 px after a quarter of 2 s
        Track<Point> t = WholeWay.timed(way("linear", new Point(0, 0), new Point(100, 0), new Point(400, 0)));
        assertThat(t.keys()).extracting(Key::time).containsExactly(0L, 500_000L, 2_000_000L);
    }

    @ParameterizedTest
    @ValueSource(longs = {200_000, 700_000, 1_000_000, 1_300_000, 1_900_000, 2_700_000})
    void whatIsDraggedStaysUnderThePointer(long time) {
        for (String easing : List.of("linear", "ease-in-out", "sine-out")) {
            Track<Point> t = WholeWay.timed(way(easing, new Point(0, 0), new Point(150, 40), new Point(260, 200), new Point(400, 120)));
            Point from = new MotionPath(t).at(time), to = from.plus(new Point(17, -38));
            Track<Point> dragged = WholeWay.through(t, time, to);
            assertThat(new MotionPath(dragged).at(time).distance(to)).as("%s at %d", easing, time).isLessThan(0.02);
            if (time > 500_000 && time < 2_500_000) {
                assertThat(dragged.keys().getFirst()).isEqualTo(t.keys().getFirst());
                assertThat(dragged.keys().getLast()).isEqualTo(t.keys().getLast());
            }
        }
    }
}
