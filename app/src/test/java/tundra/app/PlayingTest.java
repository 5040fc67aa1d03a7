package tundra.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.IntStream;
import javafx.scene.control.Label;
import javafx.scene.input.KeyCode;
import javafx.scene.paint.Color;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tundra.app.studio.Aspect;
import tundra.app.studio.Desk;
import tundra.app.studio.PathsShown;
import tundra.core.edit.TimeText;
import tundra.core.geometry.Point;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Properties;
import tundra.core.model.Span;
import tundra.core.model.Timeline;
import tundra.core.model.Values;
import tundra.core.motion.Easing;
import tundra.core.motion.Key;
import tundra.core.motion.Track;

/** Playing in a real window: what follows each frame, what catches up when it stops. */
class PlayingTest extends InWindow {

    @BeforeEach
    void open() throws Exception {
        var box = new Element("box", "Box", false, false, Values.NONE.with(Properties.POSITION, new Point(100, 100))
                .with(Properties.SIZE, new Point(40, 40))
                .with(Properties.FILL, tundra.core.model.Color.parse("#C8503A")), new Content.Rectangle());
        var main = new Timeline("main", Timeline.MAIN, 4_000_000, false, true, Map.of()).with("box", Properties.POSITION,
                new Track<>(List.of(new Key<>(0, new Point(100, 100), Easing.LINEAR), new Key<>(4_000_000, new Point(500, 300), Easing.LINEAR))));
        animate(main, box);
    }

    private String time() throws Exception {
        var label = (Label) t.node("time");
        return RealWindow.fx(label::getText);
    }

    private double shownX() throws Exception {
        return Double.parseDouble(t.shown("field-position-x"));
    }

    @Test
    void theKeyboardBelongsToTheCanvasOnEachDeskThatHasOne() throws Exception {
        for (Desk d : List.of(Desk.DRAW, Desk.ANIMATE, Desk.INTERACT, Desk.PUBLISH, Desk.ANIMATE)) {
            RealWindow.fx(() -> {
                t.studio.setDesk(d);
                return null;
            });
            if (d != Desk.PUBLISH) {
                t.until(() -> t.w.canvas.getScene() != null && t.w.canvas.isFocused());
            }
        }
    }

    @Test
    void movingViewsHearOfEachFrameTheOthersNowAndThen() throws Exception {
        var frames = new ArrayList<Long>();
        var told = new ArrayList<Set<Aspect>>();
        RealWindow.fx(() -> {
            t.studio.eachFrame(() -> frames.add(t.studio.time().playhead()));
            t.studio.listen(told::add);
            return null;
        });
        t.keys(KeyCode.SPACE);
        t.until(() -> t.studio.time().playhead() > 1_500_000);
        int between = RealWindow.fx(told::size);
        String playing = time();
        t.keys(KeyCode.SPACE);
        assertThat(frames).as("forwards, each frame once").isSorted().doesNotHaveDuplicates();
        assertThat(frames).allMatch(f -> f == t.studio.project().snap(f));
        assertThat(between).as("a sixth of them, and what play itself tells").isLessThanOrEqualTo(frames.size() / 6 + 4);
        assertThat(playing).isNotEqualTo("0:00.00");
        // once it stands everything says the same
        double seconds = t.studio.time().playhead() / 1e6;
        assertThat(shownX()).isCloseTo(100 + 100 * seconds, within(0.06));
        assertThat(time()).isEqualTo(TimeText.clock(t.studio.time().playhead()));
    }

    @Test
    void theMarkedPartGoesRoundAndTheEndStops() throws Exception {
        RealWindow.fx(() -> {
            t.studio.edit("Mark", b -> b.mapTimeline("main", x -> x.withRange(new Span(1_000_000, 1_250_000))));
            return null;
        });
        t.keys(KeyCode.SPACE);
        t.until(() -> t.studio.time().playhead() >= 1_000_000);
        var seen = new ArrayList<Long>();
        t.until(() -> {
            seen.add(t.studio.time().playhead());
            return IntStream.range(1, seen.size()).filter(i -> seen.get(i) < seen.get(i - 1)).count() >= 3;
        });
        t.keys(KeyCode.SPACE);
        assertThat(seen).allMatch(x -> x >= 1_000_000 && x < 1_250_000);
        assertThat(seen.stream().skip(1).filter(x -> x == 1_000_000).count()).as("it came round").isPositive();
        RealWindow.fx(() -> {
            t.studio.edit("Unmark", b -> b.mapTimeline("main", x -> x.withRange(null)));
            t.studio.time().seek(3_800_000);
            return null;
        });
        t.keys(KeyCode.SPACE);
        t.until(() -> !t.studio.time().playing());
        assertThat(t.studio.time().playhead()).isEqualTo(4_000_000);
        assertThat(time()).isEqualTo("0:04.00");
    }

    @Test
    void aViewThatIsZoomedInFollowsUnlessItIsToldNotTo() throws Exception {
        var lanes = t.window.timeline().lanes();
        RealWindow.fx(() -> {
            lanes.zoom(12);
            return null;
        });
        t.settle();
        double right = RealWindow.fx(lanes::getWidth);
        assertThat(RealWindow.fx(() -> lanes.xOf(2_000_000))).as("two seconds lie out of view").isGreaterThan(right);
        assertThat(lanes.follows()).isTrue();
        t.keys(KeyCode.SPACE);
        t.until(() -> t.studio.time().playhead() > 2_000_000);
        assertThat(RealWindow.fx(() -> lanes.xOf(t.studio.time().playhead()))).as("the playhead is in view").isBetween(0.0, right);
        t.keys(KeyCode.SPACE);
        t.run("follow");
        assertThat(lanes.follows()).isFalse();
        t.keys(KeyCode.HOME);
        double zero = RealWindow.fx(() -> lanes.xOf(0));
        t.keys(KeyCode.SPACE);
        t.until(() -> t.studio.time().playhead() > 2_600_000);
        t.keys(KeyCode.SPACE);
        assertThat(RealWindow.fx(() -> lanes.xOf(0))).as("the view stayed").isEqualTo(zero);
    }

    @Test
    void thePathUnderThePointerIsShownAndNoneWhenNoneIsWanted() throws Exception {
        // half way along, clear of every tick's line
        Point onPath = t.canvas(301.5, 200.75);
        t.run("paths-" + PathsShown.NONE);
        assertThat(t.pixel(onPath)).isEqualTo(Color.WHITE);
        t.run("paths-" + PathsShown.SELECTED);
        assertThat(t.pixel(onPath)).isNotEqualTo(Color.WHITE);
        t.keys(KeyCode.ESCAPE);
        t.run("paths-" + PathsShown.POINTER);
        t.moveTo(t.canvas(600, 40));
        assertThat(t.pixel(onPath)).as("the pointer is elsewhere").isEqualTo(Color.WHITE);
        t.moveTo(t.canvas(104, 104));
        assertThat(t.pixel(onPath)).as("over the box").isNotEqualTo(Color.WHITE);
    }
}
