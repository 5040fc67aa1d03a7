package tundra.app.timeline;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import tundra.core.geometry.Point;
import tundra.core.model.Board;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Properties;
import tundra.core.model.Timeline;
import tundra.core.model.Values;
import tundra.core.motion.Easing;
import tundra.core.motion.Key;
import tundra.core.motion.Track;

class TimeScaleTest {
    @Test
    void timesAndPlacesGoBothWays() {
        TimeScale s = TimeScale.fit(300, 800, 8_000_000);
        assertThat(s.x(0)).isEqualTo(300);
        assertThat(s.x(8_000_000)).isEqualTo(1100);
        assertThat(s.time(s.x(1_234_567))).isCloseTo(1_234_567, within(1e-3));
    }

    @Test
    void zoomingKeepsTheTimeUnderThePointerAndNeverShowsTimesBeforeTheStart() {
        TimeScale s = new TimeScale(300, 1_000_000, 100);
        TimeScale in = s.zoomed(3, 700);
        assertThat(in.time(700)).isCloseTo(s.time(700), within(1.0));
        assertThat(s.zoomed(0.01, 700).start()).isZero();
        assertThat(s.scrolled(-5000, 8_000_000).start()).isZero();
        assertThat(s.scrolled(1e9, 8_000_000).start()).isEqualTo(8_000_000);
    }

    @Test
    void rowsShowTheFrontElementFirstAndLanesOfWhatIsUnfolded() {
        var child = new Element("child", "Child", false, false, Values.NONE, new Content.Rectangle());
        var still = new Element("still", "Still", false, false, Values.NONE, new Content.Rectangle());
        var group = new Element("group", "Group", false, false, Values.NONE, new Content.Group(List.of(child, still), new Point(1, 1)));
        var front = new Element("front", "Front", true, false, Values.NONE, new Content.Ellipse());
        var t = new Timeline("t", "T", 1_000_000, false, true, Map.of())
                .with("child", Properties.OPACITY, new Track<>(List.of(new Key<>(0, 1.0, Easing.LINEAR))))
                .with("front", Properties.POSITION, new Track<>(List.of(new Key<>(0, new Point(0, 0), Easing.LINEAR))));
        var board = new Board(new Point(1, 1), Values.NONE, List.of(group, front), List.of(t), List.of());
        var rows = new TimeRows();
        rows.build(board, t, Map.of());
        assertThat(rows.all()).extracting(TimeRows.Row::name).containsExactly("Front", "Group");
        rows.unfold("front");
        rows.toggle("group");
        rows.build(board, t, Map.of());
        assertThat(rows.all()).extracting(TimeRows.Row::name).as("still children are left out").containsExactly("Front", "Position", "Group",
                "Child");
        assertThat(rows.height()).isEqualTo(3 * TimeRows.ELEMENT + TimeRows.TALL);
        assertThat(rows.at(TimeRows.ELEMENT + 5).property()).isSameAs(Properties.POSITION);
        assertThat(rows.at(5000)).isNull();
        rows.toggle("group");
        rows.build(board, t, Map.of());
        assertThat(rows.all()).hasSize(3);
    }
}
