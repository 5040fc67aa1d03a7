package tundra.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Map;
import javafx.scene.control.ScrollBar;
import org.junit.jupiter.api.Test;
import tundra.core.geometry.Point;
import tundra.core.model.Color;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Properties;
import tundra.core.model.Scroll;
import tundra.core.model.Timeline;
import tundra.core.model.Values;

/** The page's scroll bar beside the canvas. */
class ScrollRailTest extends InWindow {
    private static Element box(String id, double x, double parallax) {
        return new Element(id, id, false, false, Values.NONE.with(Properties.POSITION, new Point(x, 200)).with(Properties.SIZE, new Point(80, 60))
                .with(Properties.PARALLAX, parallax)
                .with(Properties.FILL, Color.parse("#1C6A5E")), new Content.Rectangle());
    }

    private double y(String id) throws Exception {
        return RealWindow.fx(() -> t.studio.picture().frame().find(id).bounds().centre().y());
    }

    @Test
    void itMovesTheTimelineAndWhatFollowsAtAShare() throws Exception {
        animate(new Timeline("main", Timeline.MAIN, 2_000_000, false, false, Map.of()).withScroll(new Scroll(800, 0.5, 1, false, false, null)),
                box("Ridge", 200, 0.25), box("Hut", 400, 0));
        ScrollBar bar = (ScrollBar) t.node("scroll-bar");
        assertThat(RealWindow.fx(bar::isVisible)).isTrue();
        assertThat(RealWindow.fx(bar::getMax)).isEqualTo(800);
        // by hand: the thumb is drawn down
        double before = y("Ridge");
        Point thumb = RealWindow.fx(() -> {
            var n = bar.lookup(".thumb");
            return t.screen(n, n.getLayoutBounds().getWidth() / 2, n.getLayoutBounds().getHeight() / 2);
        });
        t.drag(thumb, new Point(thumb.x(), thumb.y() + 3000));
        t.settle();
        assertThat(RealWindow.fx(bar::getValue)).isEqualTo(800);
        assertThat(RealWindow.fx(t.studio.time()::playhead)).isEqualTo(2_000_000);
        assertThat(y("Ridge")).isCloseTo(before - 200, within(1e-6));
        assertThat(y("Hut")).isCloseTo(before, within(1e-6));
        // taken in hand, everything is where it rests; the bar follows the playhead
        t.click(RealWindow.fx(() -> t.canvas(400, 200)));
        t.settle();
        assertThat(y("Ridge")).isCloseTo(before, within(1e-6));
        RealWindow.fx(() -> {
            t.studio.time().seek(1_000_000);
            return null;
        });
        t.settle();
        assertThat(RealWindow.fx(bar::getValue)).isCloseTo(600, within(1e-6));
        RealWindow.fx(() -> {
            t.studio.edit("By the clock", b -> b.mapTimeline("main", x -> x.withScroll(null)));
            return null;
        });
        t.settle();
        assertThat(RealWindow.fx(() -> bar.getParent().isVisible())).isFalse();
    }
}
