package tundra.core.edit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tundra.core.frame.FakeMeasurer;
import tundra.core.frame.FrameBuilder;
import tundra.core.geometry.Point;
import tundra.core.model.Board;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.core.model.Timeline;
import tundra.core.model.Values;
import tundra.core.motion.Easing;
import tundra.core.motion.Key;
import tundra.core.motion.Track;

class FacingTest {
    /** From 100, 100 along a straight line. */
    private static Board board(double dx, double dy, double front) {
        var e = new Element("gull", "Gull", false, false, Values.NONE.with(Properties.SIZE, new Point(40, 20)).with(Properties.FACE_PATH, "yes")
                .with(Properties.FRONT, front), new Content.Rectangle());
        var way = new Track<>(List.of(new Key<>(0, new Point(100, 100), Easing.LINEAR), new Key<>(2_000_000, new Point(100 + dx, 100 + dy),
                Easing.LINEAR)));
        var t = new Timeline("t", Timeline.MAIN, 4_000_000, false, true, Map.of()).with("gull", Properties.POSITION, way);
        return new Board(new Point(400, 400), Values.NONE, List.of(e), List.of(t), List.of());
    }

    private static double turn(Board b, long time) {
        var m = new FrameBuilder(b, new FakeMeasurer()).at(time).find("gull").toCanvas();
        return Math.toDegrees(Math.atan2(m.b(), m.a()));
    }

    @ParameterizedTest
    @CsvSource({"200, 0, 0, false", "-200, 0, 0, true", "-200, 0, 180, false", "0, 200, 0, false", "-100, 100, 0, true", "100, -100, 0, false",
            "100, 100, 180, true"})
    void whatFliesWithItsBackAheadIsTurnedOver(double dx, double dy, double front, boolean over) {
        assertThat(Facing.turnedOver(board(dx, dy, front), "t", "gull")).isEqualTo(over);
    }

    @ParameterizedTest
    @CsvSource({"-200, 0", "-120, 90", "60, 150", "0, -90"})
    void theFrontAheadLeavesTheArtAsItWasDrawn(double dx, double dy) {
        Board after = Facing.frontAhead(board(dx, dy, 0), "t", "gull", 1_000_000);
        assertThat(turn(after, 1_000_000)).isCloseTo(0, within(0.05));
        assertThat(Facing.turnedOver(after, "t", "gull")).isFalse();
    }

    @Test
    void withoutAWayNothingIsDone() {
        Board still = board(10, 10, 0).mapTimeline("t", t -> t.with("gull", Properties.POSITION, null));
        assertThat(Facing.turnedOver(still, "t", "gull")).isFalse();
        assertThat(Facing.frontAhead(still, "t", "gull", 0)).isSameAs(still);
    }

    /** To the right, to the left and to the right again, two seconds each. */
    private static Board toAndFro(boolean faces, double front, Track<Point> scale) {
        Board b = board(0, 0, front).withRest("gull", v -> v.with(Properties.FACE_PATH, faces ? "yes" : "no"));
        var way = new Track<>(List.of(new Key<>(0, new Point(100, 100), Easing.LINEAR), new Key<>(2_000_000, new Point(300, 100), Easing.LINEAR),
                new Key<>(4_000_000, new Point(100, 100), Easing.LINEAR), new Key<>(6_000_000, new Point(300, 100), Easing.LINEAR)));
        return b.mapTimeline("t", t -> t.withDuration(6_000_000).with("gull", Properties.POSITION, way).with("gull", Properties.SCALE, scale));
    }

    @Test
    void itIsMirroredWhereverItGoesAgainstItsFront() {
        var breathing = new Track<>(List.of(new Key<>(0, new Point(1, 1), Easing.LINEAR), new Key<>(6_000_000, new Point(2, 3), Easing.LINEAR)));
        Project p = Project.empty("p", new Point(400, 400), 25);
        for (Track<Point> scale : Arrays.asList(null, breathing)) {
            for (double front : new double[] {0, 180}) {
                for (boolean faces : new boolean[] {false, true}) {
                    Board was = toAndFro(faces, front, scale), now = Facing.mirrored(p, was, "t", "gull");
                    for (long t = 100_000; t < 6_000_000; t += 200_000) {
                        var before = new FrameBuilder(was, new FakeMeasurer()).at(t).find("gull").toCanvas();
                        var after = new FrameBuilder(now, new FakeMeasurer()).at(t).find("gull").toCanvas();
                        boolean left = t > 2_000_000 && t < 4_000_000, against = left == (front == 0);
                        // the art's front points where it goes, and its head is up
                        double ahead = (front == 0 ? 1 : -1) * after.a();
                        assertThat(Math.signum(ahead)).as("front %.0f, faces %s, at %d", front, faces, t).isEqualTo(left ? -1 : 1);
                        assertThat(after.d()).as("head up").isGreaterThan(0);
                        assertThat(Math.abs(after.a())).isCloseTo(Math.abs(before.a()), within(1e-6));
                        assertThat(against || !faces ? Math.abs(after.d()) : after.d()).isCloseTo(Math.abs(before.d()), within(1e-6));
                    }
                }
            }
        }
        Board right = board(200, 0, 0);
        assertThat(Facing.mirrored(p, right, "t", "gull")).as("what never goes against its front stays as it is").isSameAs(right);
    }
}
