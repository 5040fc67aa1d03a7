package tundra.core.edit;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import tundra.core.frame.FakeMeasurer;
import tundra.core.frame.FrameBuilder;
import tundra.core.frame.Moment;
import tundra.core.geometry.Point;
import tundra.core.model.Board;
import tundra.core.model.Color;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Properties;
import tundra.core.model.Timeline;
import tundra.core.model.Values;
import tundra.core.motion.Easing;
import tundra.core.motion.Key;
import tundra.core.motion.Track;

/** A pivot that is typed: the art stays where it stands at the playhead and at every key of its position, in every scope. */
class PivotsTest {
    private static final long[] TIMES = {0, 1_000_000, 2_000_000};

    private static <T> Track<T> track(List<T> values) {
        var keys = new ArrayList<Key<T>>();
        for (int i = 0; i < values.size(); i++) {
            keys.add(new Key<>(TIMES[i], values.get(i), Easing.LINEAR));
        }
        return new Track<>(keys);
    }

    private static Board board(boolean moves, boolean apart, boolean pivots) {
        var e = new Element("e", "Sail", false, false, Values.NONE.with(Properties.POSITION, new Point(100, 80))
                .with(Properties.SIZE, new Point(40, 20))
                .with(Properties.SCALE, new Point(1.5, 0.75)).with(Properties.FILL, Color.BLACK), new Content.Rectangle());
        var group = new Element("g", "Boat", false, false, Values.NONE.with(Properties.POSITION, new Point(200, 150)).with(Properties.ROTATION, 20.0),
                new Content.Group(List.of(e), new Point(200, 160)));
        var t = new Timeline("main", "Main", 2_000_000, true, true, Map.of()).with("e", Properties.ROTATION, track(List.of(0.0, 70.0, 140.0)));
        t = moves ? t.with("e", Properties.POSITION, track(List.of(new Point(100, 80), new Point(160, 40), new Point(60, 100)))) : t;
        t = pivots ? t.with("e", Properties.PIVOT, track(List.of(new Point(0.5, 0.5), new Point(0.2, 0.9), new Point(0.5, 0.5)))) : t;
        Board b = new Board(new Point(400, 300), Values.NONE, List.of(group), List.of(t), List.of());
        return apart ? SplitPosition.split(b, "main", "e", x -> x) : b;
    }

    private static FrameBuilder builder(Board b) {
        return new FrameBuilder(b, new FakeMeasurer());
    }

    private static List<Point> corners(Board b, long time) {
        return builder(b).at(Moment.editing(b, "main", time)).find("e").corners();
    }

    private static void same(Board was, Board now, long time, String what) {
        List<Point> a = corners(was, time), b = corners(now, time);
        for (int i = 0; i < a.size(); i++) {
            assertThat(a.get(i).distance(b.get(i))).as("%s at %d", what, time).isLessThan(1e-6);
        }
    }

    @Test
    void theArtStaysAtEveryKeyInEveryScope() {
        for (boolean moves : new boolean[] {false, true}) {
            for (boolean apart : new boolean[] {false, true}) {
                for (boolean pivots : new boolean[] {false, true}) {
                    for (EditScope scope : EditScope.values()) {
                        for (long playhead : TIMES) {
                            if (apart && !moves) {
                                continue;
                            }
                            Board was = board(moves, apart, pivots);
                            var edit = new PropertyEdit("main", playhead, scope);
                            Board now = Pivots.set(was, "e", new Point(0, 1), edit, edit, builder(was));
                            String what = scope + (moves ? " moving" : " standing") + (apart ? " apart" : "") + (pivots ? " with keys of its pivot"
                                    : "");
                            assertThat(now).as(what).isNotEqualTo(was);
                            same(was, now, playhead, what);
                            for (long t : moves ? TIMES : new long[0]) {
                                same(was, now, t, what);
                            }
                        }
                    }
                }
            }
        }
    }

    @Test
    void whatIsTypedIsWhatThePivotIs() {
        for (boolean pivots : new boolean[] {false, true}) {
            for (EditScope scope : EditScope.values()) {
                Board was = board(true, false, pivots);
                var edit = new PropertyEdit("main", 1_000_000, scope);
                Board now = Pivots.set(was, "e", new Point(0.25, 1), edit, edit, builder(was));
                Point seen = builder(now).valueAt("e", Properties.PIVOT, 1_000_000);
                Point is = pivots && scope == EditScope.REST ? now.rest("e").get(Properties.PIVOT) : seen;
                assertThat(is.distance(new Point(0.25, 1))).as("%s, %s", scope, pivots).isLessThan(1e-9);
            }
        }
    }
}
