package tundra.core.motion;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;
import tundra.core.geometry.Point;

class TrackTest {
    private static final Track.Blend<Double> BLEND = (a, b, p) -> a + (b - a) * p;

    private static Track<Double> track() {
        return new Track<>(List.of(new Key<>(1_000_000, 10.0, Easing.LINEAR), new Key<>(3_000_000, 30.0, Easing.HOLD),
                new Key<>(4_000_000, 50.0, Easing.LINEAR)));
    }

    @Test
    void valuesAreHeldOutsideAndBlendedBetween() {
        assertThat(track().at(0, BLEND)).isEqualTo(10);
        assertThat(track().at(2_000_000, BLEND)).isEqualTo(20);
        assertThat(track().at(2_000_000.5, BLEND)).isCloseTo(20.000005, within(1e-9));
        assertThat(track().at(3_999_999, BLEND)).isEqualTo(30);
        assertThat(track().at(4_000_000, BLEND)).isEqualTo(50);
        assertThat(track().at(9_000_000, BLEND)).isEqualTo(50);
    }

    @Test
    void keysAreAddedReplacedAndTakenAway() {
        Track<Double> t = track().with(new Key<>(2_000_000, 0.0, Easing.LINEAR)).with(new Key<>(3_000_000, 1.0, Easing.LINEAR));
        assertThat(t.keys()).extracting(Key::time).containsExactly(1_000_000L, 2_000_000L, 3_000_000L, 4_000_000L);
        assertThat(t.keyAt(3_000_000).value()).isEqualTo(1);
        assertThat(t.without(2_000_000).keys()).hasSize(3);
        assertThat(new Track<>(List.of(new Key<>(0, 1.0, Easing.LINEAR))).without(0)).isNull();
    }

    @Test
    void keysMustFollowEachOther() {
        assertThatThrownBy(() -> new Track<>(List.of(new Key<>(5, 1.0, Easing.LINEAR), new Key<>(5, 2.0, Easing.LINEAR))))
                .isInstanceOf(IllegalArgumentException.class);
    }

    @Test
    void aPathGoesAtEvenSpeedHoweverItsHandlesLie() {
        // handles that would rush and linger if the curve's parameter were the time
        var path = new MotionPath(new Track<>(List.of(
                new Key<>(0, new Point(0, 0), Easing.LINEAR, Point.ZERO, new Point(5, 60)),
                new Key<>(1_000_000, new Point(200, 0), Easing.LINEAR, new Point(-190, 10), Point.ZERO))));
        double first = 0;
        Point before = path.at(0);
        for (int i = 1; i <= 100; i++) {
            Point now = path.at(i * 10_000);
            double step = now.distance(before);
            first = i == 1 ? step : first;
            // chords of a curve are a little shorter where it bends
            assertThat(step).as("step " + i).isBetween(first * 0.9, first * 1.02);
            before = now;
        }
        assertThat(before).isEqualTo(new Point(200, 0));
    }

    @Test
    void overshootGoesOnAlongTheEnd() {
        var path = new MotionPath(new Track<>(List.of(
                new Key<>(0, new Point(0, 0), Easing.LINEAR, Point.ZERO, new Point(0, 50)),
                new Key<>(1_000_000, new Point(100, 100), Easing.LINEAR, new Point(-50, 0), Point.ZERO))));
        Point beyond = path.along(0, 1.1);
        assertThat(beyond.y()).isCloseTo(100, within(1e-6));
        assertThat(beyond.x()).isGreaterThan(105);
    }

    @Test
    void ticksStandAtEqualTimesAndMarkSeconds() {
        Track<Point> line = new Track<>(List.of(new Key<>(0, new Point(0, 0), Easing.LINEAR), new Key<>(2_000_000, new Point(100, 0),
                Easing.LINEAR)));
        var ticks = PathTicks.of(line, 10);
        assertThat(ticks).hasSize(21);
        assertThat(ticks.get(7).at().x()).isCloseTo(35, within(1e-9));
        assertThat(ticks.get(7).direction()).isEqualTo(0);
        assertThat(ticks).filteredOn(PathTicks.Tick::second).hasSize(3);
    }
}
