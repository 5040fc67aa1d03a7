package tundra.core.edit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import tundra.core.frame.FakeMeasurer;
import tundra.core.frame.Frame;
import tundra.core.frame.FrameBuilder;
import tundra.core.geometry.Point;
import tundra.core.geometry.Rect;
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

/** Other bounds of a group: nothing that is seen moves, at any time. */
class GroupBoxTest {
    private static final Point BOX = new Point(200, 100);

    private static Board board(boolean keyed) {
        var part = new Element("part", "Part", false, false, Values.NONE.with(Properties.POSITION, new Point(60, 40))
                .with(Properties.SIZE, new Point(50, 30))
                .with(Properties.FILL, Color.BLACK), new Content.Rectangle());
        var group = new Element("group", "Group", false, false, Values.NONE.with(Properties.POSITION, new Point(300, 200))
                .with(Properties.ROTATION, 30.0)
                .with(Properties.SCALE, new Point(1.5, 0.8)).with(Properties.PIVOT, new Point(0.25, 0.75)), new Content.Group(List.of(part), BOX));
        var main = new Timeline("main", Timeline.MAIN, 2_000_000, false, true, Map.of());
        if (keyed) {
            main = main.with("group", Properties.ROTATION,
                    new Track<>(List.of(new Key<>(0, 0.0, Easing.LINEAR), new Key<>(2_000_000, 180.0, Easing.LINEAR))))
                    .with("group", Properties.PIVOT,
                    new Track<>(List.of(new Key<>(0, new Point(0, 0), Easing.LINEAR), new Key<>(2_000_000, new Point(1, 1), Easing.LINEAR))))
                    .with("part", Properties.POSITION,
                    new Track<>(List.of(new Key<>(0, new Point(60, 40), Easing.LINEAR), new Key<>(2_000_000, new Point(160, 70), Easing.LINEAR))));
        }
        return new Board(new Point(640, 400), Values.NONE, List.of(group), List.of(main), List.of());
    }

    private static List<Point> corners(Board b, long time) {
        Frame.Placed p = new FrameBuilder(b, new FakeMeasurer()).at(time).find("part");
        return p.corners();
    }

    private static void same(Board a, Board b) {
        for (long t = 0; t <= 2_000_000; t += 250_000) {
            List<Point> x = corners(a, t), y = corners(b, t);
            for (int i = 0; i < 4; i++) {
                assertThat(y.get(i).distance(x.get(i))).as("corner %d at %d", i, t).isLessThan(1e-9);
            }
        }
    }

    @Test
    void whatIsSeenStays() {
        for (boolean keyed : new boolean[] {false, true}) {
            for (Rect box : List.of(new Rect(0, 0, 400, 300), new Rect(-50, 20, 120, 60), new Rect(35, 25, 50, 30))) {
                Board after = GroupBox.set(board(keyed), "group", box);
                assertThat(((Content.Group) after.find("group").content()).box()).isEqualTo(new Point(box.width(), box.height()));
                same(board(keyed), after);
            }
        }
    }

    @Test
    void thePivotStaysInItsPlace() {
        Board after = GroupBox.set(board(false), "group", new Rect(-50, 20, 120, 60));
        // it stood at (50, 75) of the old box
        Point pivot = after.find("group").rest().get(Properties.PIVOT);
        assertThat(pivot.x()).isCloseTo((50 + 50) / 120.0, within(1e-12));
        assertThat(pivot.y()).isCloseTo((75 - 20) / 60.0, within(1e-12));
        assertThat(after.find("group").rest().get(Properties.POSITION)).isEqualTo(new Point(300, 200));
    }

    @Test
    void boundsWithoutExtentAndOtherElementsAreLeftAlone() {
        Board b = board(false);
        assertThat(GroupBox.set(b, "group", new Rect(0, 0, 0.5, 40))).isSameAs(b);
        assertThat(GroupBox.set(b, "group", new Rect(0, 0, Double.NaN, 40))).isSameAs(b);
        assertThat(GroupBox.set(b, "part", new Rect(0, 0, 40, 40))).isSameAs(b);
        assertThat(GroupBox.set(b, "nobody", new Rect(0, 0, 40, 40))).isSameAs(b);
    }
}
