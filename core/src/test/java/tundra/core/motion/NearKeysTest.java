package tundra.core.motion;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;
import tundra.core.geometry.Point;

/** Drags of a way that has one easing, near a key between its ends: that key is moved, so that the way never doubles back on itself. */
class NearKeysTest {
    private static Track<Point> way(String easing) {
        var keys = List.of(new Key<>(0, new Point(0, 100), Easing.LINEAR), new Key<>(500_000, new Point(100, 40), Easing.LINEAR),
                new Key<>(1_000_000, new Point(220, 60), Easing.LINEAR),
                new Key<>(2_000_000, new Point(400, 120), Easing.LINEAR));
        return WholeWay.timed(new Track<>(keys, PathShape.PLAIN.withBend(0.6).withWhole(EasingText.parse(easing))));
    }

    /** The sharpest turn along the way within a tenth of a px, in degrees. */
    private static double sharpest(Track<Point> t) {
        var path = new MotionPath(t);
        double most = 0;
        for (int i = 0; i + 1 < t.keys().size(); i++) {
            double before = path.segment(i).direction(0.001);
            for (double p = 0.01; p < 1; p += 0.01) {
                double now = path.segment(i).direction(p);
                most = Math.max(most, Math.abs(Math.IEEEremainder(now - before, 360)));
                before = now;
            }
        }
        return most;
    }

    /** When the way is so far before or after a key, as a share of the way to the next. */
    private static long passed(Track<Point> t, int key, double beside) {
        var path = new MotionPath(t);
        int i = beside < 0 ? key - 1 : key;
        double wanted = beside < 0 ? 1 + beside : beside;
        long lo = t.keys().get(i).time(), hi = t.keys().get(i + 1).time();
        while (hi - lo > 1) {
            long m = (lo + hi) / 2;
            if (path.progress(i, m) < wanted) {
                lo = m;
            } else {
                hi = m;
            }
        }
        return hi;
    }

    @Test
    void nearAKeyTheKeyIsMovedAndNoCuspIsMade() {
        for (String easing : List.of("linear", "ease-in-out", "cubic-out")) {
            Track<Point> was = way(easing);
            for (int key = 1; key <= 2; key++) {
                for (double beside : new double[] {-0.2, -0.08, 0.08, 0.2}) {
                    long time = passed(was, key, beside);
                    Point place = new MotionPath(was).at(time).plus(new Point(12, -30));
                    Track<Point> now = WholeWay.through(was, time, place);
                    assertThat(now.keys()).as("%s, beside key %d by %.2f of the way", easing, key, beside).hasSize(4);
                    assertThat(new MotionPath(now).at(time).distance(place)).as("it passes where it was dragged to").isCloseTo(0, within(0.05));
                    assertThat(sharpest(now)).as("%s, beside key %d by %.2f of the way", easing, key, beside).isLessThan(30);
                }
            }
        }
    }

    @Test
    void farFromAnyKeyANewOneShapesTheWay() {
        Track<Point> was = way("linear");
        long time = (was.keys().get(2).time() + was.keys().get(3).time()) / 2;
        Point place = new MotionPath(was).at(time).plus(new Point(0, 30));
        Track<Point> now = WholeWay.through(was, time, place);
        assertThat(now.keys()).hasSize(5);
        assertThat(new MotionPath(now).at(time).distance(place)).isCloseTo(0, within(0.05));
    }
}
