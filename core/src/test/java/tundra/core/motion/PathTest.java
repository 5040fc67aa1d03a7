package tundra.core.motion;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tundra.core.geometry.Point;

/** Bent, closed and faced paths, and springs, against what follows from their definitions. */
class PathTest {
    private static Track<Point> path(PathShape shape, Easing easing, double... xy) {
        var keys = new ArrayList<Key<Point>>();
        for (int i = 0; i < xy.length / 2; i++) {
            keys.add(new Key<>(i * 1_000_000L, new Point(xy[2 * i], xy[2 * i + 1]), easing));
        }
        return new Track<>(keys, shape);
    }

    @Test
    void noBendIsStraightAndAllBendIsACatmullRomSpline() {
        var straight = new MotionPath(path(PathShape.PLAIN, Easing.LINEAR, 0, 0, 100, 0, 100, 100));
        assertThat(straight.at(500_000)).isEqualTo(new Point(50, 0));
        // on evenly spaced keys the tangent is half the chord of the neighbours at bend 0.5, and a handle a third of it
        var half = new MotionPath(path(new PathShape(0.5, false, null), Easing.LINEAR, 0, 0, 100, 0, 200, 0, 200, 100));
        assertThat(half.keys().get(1).out().distance(new Point(200 * 0.5 / 3, 0))).isLessThan(1e-9);
        assertThat(half.keys().get(2).in().distance(new Point(-100 * 0.5 / 3, -100 * 0.5 / 3))).isLessThan(1e-9);
    }

    @Test
    void handlesSetByHandAreKeptApartFromTheBend() {
        var track = path(new PathShape(1, false, null), Easing.LINEAR, 0, 0, 100, 50, 200, 0);
        var mixed = track.with(track.keys().get(1).withHandles(Point.ZERO, Point.ZERO));
        var keys = new MotionPath(mixed).keys();
        assertThat(keys.get(1).out()).as("a corner made by hand stays one").isEqualTo(Point.ZERO);
        assertThat(new MotionPath(track).keys().get(1).out().length()).isGreaterThan(10);
    }

    @Test
    void aClosedPathFlowsThroughItsJoin() {
        var path = new MotionPath(path(new PathShape(0.7, true, Easing.LINEAR), Easing.LINEAR, 0, 0, 100, -40, 180, 60, 60, 120, 0, 0));
        double h = 500;
        Point out = path.at(h).minus(path.at(0)).times(1 / h), in = path.at(4_000_000).minus(path.at(4_000_000 - h)).times(1 / h);
        assertThat(out.distance(in)).as("the same velocity on both sides, px per µs").isLessThan(out.length() * 1e-2);
        assertThat(path.direction(4_000_000 - 1) - path.direction(0)).as("once around").isCloseTo(360, within(0.5));
    }

    @Test
    void oneEasingForTheWholeWayHasOneSpeed() {
        var track = path(new PathShape(0.8, false, Easing.LINEAR), Easing.HOLD, 0, 0, 10, 0, 200, 150, 210, 150);
        var path = new MotionPath(track);
        // chords of 3,000 short steps add up to the length; each step is as long as any other
        double sum = 0, least = Double.MAX_VALUE, most = 0;
        for (int i = 0; i < 3000; i++) {
            double d = path.at(i * 1000.0).distance(path.at(i * 1000.0 + 1000));
            sum += d;
            least = Math.min(least, d);
            most = Math.max(most, d);
        }
        assertThat(sum).isCloseTo(path.length(), within(0.05));
        assertThat(most - least).isLessThan(0.002);
    }

    @Test
    void theDirectionNeverJumpsTheLongWayRound() {
        // a circle of four keys, walked three times
        double k = 0.5522847498;
        var keys = new ArrayList<Key<Point>>();
        for (int i = 0; i <= 12; i++) {
            double a = i * Math.PI / 2;
            Point at = new Point(100 * Math.cos(a), 100 * Math.sin(a)), t = new Point(-100 * k * Math.sin(a), 100 * k * Math.cos(a));
            keys.add(new Key<>(i * 1_000_000L, at, Easing.LINEAR, t.times(-1), t));
        }
        var path = new MotionPath(new Track<>(keys));
        for (int i = 0; i < 1200; i++) {
            double t = i * 10_000.0;
            // the tangent of a circle at the same way round
            assertThat(path.direction(t)).isCloseTo(90 + t / 1e6 * 90, within(0.5));
        }
    }

    @ParameterizedTest
    @ValueSource(strings = {"spring(100, 10, 1)", "spring(180, 8, 1)", "spring(100, 20, 1)", "spring(60, 40, 2)"})
    void aSpringFollowsItsEquation(String text) {
        var s = (SpringEasing) EasingText.parse(text);
        assertThat(EasingText.parse(s.text())).isEqualTo(s);
        // Runge-Kutta of the fourth order with steps of a ten-thousandth of a second
        double x = 1, v = 0, h = 1e-4;
        for (int i = 0; i < 20_000; i++) {
            if (i % 1000 == 0) {
                assertThat(s.away(i * h)).isCloseTo(x, within(1e-7));
            }
            double a1 = acceleration(s, x, v), v2 = v + h / 2 * a1, a2 = acceleration(s, x + h / 2 * v, v2);
            double v3 = v + h / 2 * a2, a3 = acceleration(s, x + h / 2 * v2, v3), v4 = v + h * a3, a4 = acceleration(s, x + h * v3, v4);
            x += h / 6 * (v + 2 * v2 + 2 * v3 + v4);
            v += h / 6 * (a1 + 2 * a2 + 2 * a3 + a4);
        }
        assertThat(Math.abs(s.away(s.settled()))).isLessThanOrEqualTo(0.0011);
        assertThat(s.at(0)).isZero();
        assertThat(s.at(1)).isEqualTo(1);
        assertThat(s.at(0.999999)).isCloseTo(1, within(1e-4));
    }

    private static double acceleration(SpringEasing s, double x, double v) {
        return -(s.stiffness() * x + s.damping() * v) / s.mass();
    }

    @Test
    void aTrackKeepsItsShapeThroughEveryChange() {
        var shape = new PathShape(0.3, true, Easing.LINEAR);
        Track<Point> t = path(shape, Easing.LINEAR, 0, 0, 1, 1, 2, 0);
        assertThat(List.of(t.with(new Key<>(5, Point.ZERO, Easing.LINEAR)), t.without(0), t.map(k -> k), t.withKeys(t.keys())))
                .allSatisfy(x -> assertThat(x.shape()).isEqualTo(shape));
    }
}
