package tundra.core.frame;

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
import tundra.core.model.Scroll;
import tundra.core.model.Timeline;
import tundra.core.model.Values;

class ParallaxTest {
    private static Element box(String id, double y, double parallax) {
        return new Element(id, id, false, false, Values.NONE.with(Properties.POSITION, new Point(50, y)).with(Properties.SIZE, new Point(20, 20))
                .with(Properties.PARALLAX, parallax), new Content.Rectangle());
    }

    @Test
    void whatFollowsTheScrollingIsShiftedByItsShare() {
        var group = new Element("group", "Group", false, false, Values.NONE.with(Properties.POSITION, new Point(100, 100))
                .with(Properties.SCALE, new Point(2, 2)), new Content.Group(List.of(box("inner", 30, 0.25)), new Point(100, 100), null));
        Board b = new Board(new Point(200, 200), Values.NONE, List.of(box("still", 50, 0), box("half", 50, 0.5), box("away", 50, -0.5), group),
                List.of(new Timeline("m", Timeline.MAIN, 1_000_000, false, false, Map.of()).withScroll(Scroll.over(400))), List.of());
        Frame rests = new FrameBuilder(b, new FakeMeasurer()).at(0), scrolled = Parallax.scrolled(rests, b, 120);
        assertThat(Parallax.scrolled(rests, b, 0)).isSameAs(rests);
        Map<String, Double> by = Map.of("still", 0.0, "half", -60.0, "away", 60.0, "inner", -60.0);
        // the inner one by 30 px of a group that is twice as large
        by.forEach((id, px) -> assertThat(scrolled.find(id).bounds().y() - rests.find(id).bounds().y()).as(id).isCloseTo(px, within(1e-9)));
        assertThat(scrolled.find("still").node()).as("what rests is the same").isSameAs(rests.find("still").node());
    }

    @Test
    void aTimelineStandsWhereItsShareOfTheWayIs() {
        var s = new Scroll(600, 0.25, 0.75, false, false, null);
        assertThat(s.time(0, 1000)).isZero();
        assertThat(s.time(0.5, 1000)).isEqualTo(500);
        assertThat(s.time(0.9, 1000)).isEqualTo(1000);
        assertThat(s.share(500, 1000)).isCloseTo(0.5, within(1e-12));
        assertThat(s.share(0, 1000)).isCloseTo(0.25, within(1e-12));
    }
}
