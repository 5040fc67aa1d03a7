package tundra.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import javafx.scene.control.Label;
import javafx.scene.control.ListView;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tundra.core.edit.EditScope;
import tundra.core.geometry.Point;
import tundra.core.model.Color;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Properties;
import tundra.core.model.Property;
import tundra.core.model.Timeline;
import tundra.core.model.Values;
import tundra.core.motion.Easing;
import tundra.core.motion.Key;
import tundra.core.motion.Track;

/** Time in a real window: the strip, the lanes, the path, playing. */
class AnimateDeskTest extends InWindow {

    @BeforeEach
    void open() throws Exception {
        var box = new Element("box", "Box", false, false, Values.NONE.with(Properties.POSITION, new Point(100, 100))
                .with(Properties.SIZE, new Point(60, 40)).with(Properties.FILL, Color.parse("#C8503A")), new Content.Rectangle());
        var main = new Timeline("main", Timeline.MAIN, 4_000_000, false, true, Map.of()).with("box", Properties.POSITION,
                new Track<>(List.of(new Key<>(0, new Point(100, 100), Easing.LINEAR), new Key<>(2_000_000, new Point(300, 100), Easing.LINEAR),
                        new Key<>(4_000_000, new Point(300, 200), Easing.LINEAR)))).with("box", Properties.OPACITY,
                new Track<>(List.of(new Key<>(1_000_000, 1.0, Easing.LINEAR), new Key<>(3_000_000, 0.5, Easing.LINEAR))));
        animate(main, box);
    }

    private Track<Point> positions() {
        return t.studio.timeline().track("box", Properties.POSITION);
    }

    private Point bead(Property<?> p, long time) throws Exception {
        t.settle();
        return t.fx(() -> {
            Point at = t.window.timeline().lanes().place("box", p, time);
            return t.screen(t.window.timeline().lanes(), at.x(), at.y());
        });
    }

    private double pxPerSecond() throws Exception {
        return t.fx(() -> t.window.timeline().lanes().xOf(1_000_000) - t.window.timeline().lanes().xOf(0));
    }

    private Point shown() throws Exception {
        return t.fx(() -> t.studio.picture().frame().find("box").bounds().centre());
    }

    @Test
    void theStripDecidesWhereADragGoes() throws Exception {
        t.fx(() -> {
            t.studio.time().seek(1_000_000);
            return null;
        });
        t.settle();
        assertThat(shown()).isEqualTo(new Point(200, 100));
        var strip = (Label) t.node("consequence");
        assertThat(strip.getText()).isEqualTo("dragging Box adds a position key here");
        t.keys(KeyCode.DIGIT2);
        assertThat(t.studio.target().scope()).isEqualTo(EditScope.WHOLE_MOVE);
        assertThat(strip.getText()).isEqualTo("dragging Box shifts its whole move, 3 position keys");
        t.hold(KeyCode.CONTROL);
        t.drag(t.canvas(185, 90), t.canvas(185, 110));
        t.letGo(KeyCode.CONTROL);
        assertThat(positions().keys()).hasSize(3);
        assertThat(positions().keys().getFirst().value().y()).isCloseTo(120, within(1.5));
        assertThat(positions().keys().getLast().value().y()).isCloseTo(220, within(1.5));
        t.click("scope-REST");
        Track<Point> before = positions();
        t.drag(t.canvas(185, 110), t.canvas(205, 150));
        assertThat(positions()).isEqualTo(before);
        assertThat(t.studio.board().find("box").rest().get(Properties.POSITION)).isNotEqualTo(new Point(100, 100));
        t.keys(KeyCode.DIGIT1);
        t.drag(t.canvas(185, 110), t.canvas(225, 150));
        assertThat(positions().keys()).hasSize(4);
    }

    @Test
    void keysAreDraggedSelectedDeletedAndGivenUp() throws Exception {
        Point at = bead(Properties.POSITION, 2_000_000);
        t.drag(at, at.plus(new Point(pxPerSecond() / 2, 0)));
        assertThat(positions().keys()).extracting(Key::time).containsExactly(0L, 2_500_000L, 4_000_000L);
        t.keys(KeyCode.CONTROL, KeyCode.Z);
        assertThat(positions().keys().get(1).time()).isEqualTo(2_000_000);
        Point again = bead(Properties.POSITION, 2_000_000);
        t.dragHold(again, again.plus(new Point(-pxPerSecond(), 0)));
        assertThat(positions().keys().get(1).time()).isEqualTo(1_000_000);
        t.keys(KeyCode.ESCAPE);
        t.up();
        assertThat(positions().keys().get(1).time()).isEqualTo(2_000_000);
        // a marquee over both opacity keys, then Delete
        Point a = bead(Properties.OPACITY, 1_000_000), b = bead(Properties.OPACITY, 3_000_000);
        t.drag(new Point(a.x() - 20, Math.min(a.y(), b.y()) - 6), new Point(b.x() + 20, Math.max(a.y(), b.y()) + 6));
        assertThat(t.studio.time().keys()).hasSize(2);
        t.keys(KeyCode.DELETE);
        assertThat(t.studio.timeline().track("box", Properties.OPACITY)).isNull();
        assertThat(t.studio.board().find("box")).isNotNull();
        // double click in a lane sets a key on the curve
        Point lane = bead(Properties.POSITION, 2_000_000).plus(new Point(pxPerSecond(), 6));
        t.doubleClick(lane);
        assertThat(positions().keys()).hasSize(4);
        assertThat(positions().keyAt(3_000_000).value()).isEqualTo(new Point(300, 150));
    }

    /** The time in ns and the playhead in µs, as soon as it has passed a place. */
    private long[] whenPast(long place) throws Exception {
        long[] at = new long[2];
        t.until(() -> {
            at[0] = System.nanoTime();
            at[1] = t.studio.time().playhead();
            return at[1] >= place;
        });
        return at;
    }

    @Test
    void thePlayheadStepsJumpsAndPlays() throws Exception {
        t.keys(KeyCode.PERIOD);
        assertThat(t.studio.time().playhead()).isEqualTo(41_667);
        t.keys(KeyCode.COMMA);
        assertThat(t.studio.time().playhead()).isZero();
        t.keys(KeyCode.SHIFT, KeyCode.PERIOD);
        assertThat(t.studio.time().playhead()).isEqualTo(1_000_000);
        t.keys(KeyCode.END);
        assertThat(t.studio.time().playhead()).isEqualTo(4_000_000);
        t.keys(KeyCode.SHIFT, KeyCode.COMMA);
        assertThat(t.studio.time().playhead()).isEqualTo(3_000_000);
        t.keys(KeyCode.HOME);
        t.keys(KeyCode.SPACE);
        assertThat(t.studio.time().playing()).isTrue();
        // the playhead goes by the clock, however slow the machine: two looks at both, a good second apart
        long[] first = whenPast(300_000), second = whenPast(1_500_000);
        assertThat((second[1] - first[1]) / 1e3 - (second[0] - first[0]) / 1e6).as("ms ahead of the clock").isBetween(-250.0, 250.0);
        t.keys(KeyCode.SPACE);
        assertThat(t.studio.time().playing()).isFalse();
        long at = t.studio.time().playhead();
        assertThat(at).isGreaterThanOrEqualTo(second[1]);
        assertThat(at).as("on a frame").isEqualTo(t.studio.project().snap(at));
    }

    @Test
    void aKeyOfThePathIsDraggedOnTheCanvas() throws Exception {
        t.drag(t.canvas(300, 100), t.canvas(340, 140));
        assertThat(t.studio.time().playhead()).as("taking a key goes to its time").isEqualTo(2_000_000);
        assertThat(positions().keyAt(2_000_000).value().x()).isCloseTo(340, within(2.0));
        assertThat(positions().keyAt(2_000_000).value().y()).isCloseTo(140, within(2.0));
    }

    @Test
    void theEasingIsPickedByWhatItFeelsLike() throws Exception {
        t.click(bead(Properties.POSITION, 0));
        t.click("easing-choice");
        ListView<?> list = t.popup("#easing-list");
        t.fx(() -> {
            list.requestFocus();
            // the first row is the name of a group, and so is the third
            list.getSelectionModel().clearAndSelect(3);
            return null;
        });
        t.keys(KeyCode.DOWN);
        t.keys(KeyCode.ENTER);
        assertThat(positions().keys().getFirst().easing().text()).isEqualTo("cubic-bezier(0.42, 0, 1, 1)");
        assertThat(t.studio.history().undoName()).isEqualTo("Change easing");
    }

    @Test
    void propertiesAreKeyedFromTheDetailsAndByK() throws Exception {
        t.click("key-rotation");
        assertThat(t.studio.timeline().track("box", Properties.ROTATION).keys()).hasSize(1);
        t.click("key-rotation");
        assertThat(t.studio.timeline().track("box", Properties.ROTATION)).isNull();
        t.fx(() -> {
            t.studio.time().seek(1_000_000);
            return null;
        });
        t.keys(KeyCode.K);
        assertThat(positions().keyAt(1_000_000).value()).isEqualTo(new Point(200, 100));
    }

    @Test
    void furtherTimelinesAreAddedAndChosen() throws Exception {
        t.run("new-timeline");
        assertThat(t.studio.board().timelines()).extracting(Timeline::name).containsExactly("Main", "Timeline");
        assertThat(t.studio.timeline().name()).isEqualTo("Timeline");
        // the box is moved by Main: a drag there goes to Main's keys, and the strip says so
        assertThat(t.studio.target().consequence()).endsWith("on Main");
        // its name is asked for where it stands
        t.until(() -> t.stage.getScene().getFocusOwner() instanceof TextField);
        t.keys(KeyCode.ESCAPE);
        t.keys(KeyCode.CONTROL, KeyCode.Z);
        assertThat(t.studio.timeline().name()).isEqualTo("Main");
    }
}
