package tundra.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tundra.app.studio.Desk;
import tundra.app.timeline.TimelineCanvas;
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

/** Where edits go while animating: what is typed, pressed and dragged is what was meant. */
class EditsByHandTest extends InWindow {
    private static Element box(String id, double x, double y) {
        return new Element(id, id, false, false, Values.NONE.with(Properties.POSITION, new Point(x, y)).with(Properties.SIZE, new Point(60, 40))
                .with(Properties.FILL, Color.parse("#2F78A3")), new Content.Rectangle());
    }

    @BeforeEach
    void open() throws Exception {
        var main = new Timeline("main", Timeline.MAIN, 4_000_000, true, true, Map.of())
                .with("box", Properties.POSITION,
                new Track<>(List.of(new Key<>(0, new Point(100, 80), Easing.LINEAR), new Key<>(2_000_000, new Point(300, 80), Easing.LINEAR),
                new Key<>(4_000_000, new Point(100, 200), Easing.LINEAR))))
                .with("box", Properties.ROTATION,
                new Track<>(List.of(new Key<>(1_010_000, 0.0, Easing.LINEAR), new Key<>(3_000_000, 90.0, Easing.LINEAR))));
        animate(main, box("box", 50, 50), box("other", 500, 300));
    }

    private <T> Track<T> keys(Property<T> p) throws Exception {
        return RealWindow.fx(() -> t.studio.timeline().track("box", p));
    }

    private void seek(double seconds) throws Exception {
        RealWindow.fx(() -> {
            t.studio.time().seek(Math.round(seconds * 1e6));
            return null;
        });
        t.settle();
    }

    private void scope(EditScope s) throws Exception {
        RealWindow.fx(() -> {
            t.studio.target().setScope(s);
            return null;
        });
        t.settle();
    }

    private TimelineCanvas lanes() {
        return t.window.timeline().lanes();
    }

    @Test
    void enterOnANumberThatIsThereMakesItsKey() throws Exception {
        seek(1);
        t.fill("field-position-x", "200");
        assertThat(keys(Properties.POSITION).keyAt(1_000_000)).as("the number that is seen already").isNotNull();
        assertThat(keys(Properties.POSITION).keyAt(1_000_000).value()).isEqualTo(new Point(200, 80));
        int before = keys(Properties.POSITION).keys().size();
        seek(1.5);
        // whoever only looks leaves nothing behind
        t.enter("field-position-x");
        t.keys(KeyCode.ESCAPE);
        assertThat(keys(Properties.POSITION).keys()).hasSize(before);
    }

    @Test
    void inTheScopeOfRestFieldsShowAndTakeTheRestingValue() throws Exception {
        seek(1);
        scope(EditScope.REST);
        assertThat(t.shown("field-position-x")).isEqualTo("50");
        t.fill("field-position-x", "70");
        assertThat(RealWindow.fx(() -> t.studio.board().rest("box").get(Properties.POSITION))).isEqualTo(new Point(70, 50));
        assertThat(keys(Properties.POSITION).keys()).hasSize(3);
        scope(EditScope.KEY);
        assertThat(t.shown("field-position-x")).isEqualTo("200");
        t.run("rest-as-first-keys");
        assertThat(RealWindow.fx(() -> t.studio.board().rest("box").get(Properties.POSITION))).isEqualTo(new Point(100, 80));
    }

    @Test
    void aRingIsPressedOnlyWhereItIsLetGo() throws Exception {
        double y = RealWindow.fx(() -> lanes().rowY("box", Properties.ROTATION));
        Point ring = RealWindow.fx(() -> t.screen(lanes(), lanes().xOf(0) - 24, y));
        seek(2);
        t.dragHold(ring, ring.plus(new Point(-90, 60)));
        t.up();
        assertThat(keys(Properties.ROTATION).keyAt(2_000_000)).as("let go elsewhere").isNull();
        t.click(ring);
        assertThat(keys(Properties.ROTATION).keyAt(2_000_000)).isNotNull();
    }

    @Test
    void aBeadThatIsDraggedStraightDownKeepsItsTime() throws Exception {
        double y = RealWindow.fx(() -> lanes().rowY("box", Properties.ROTATION));
        t.click(RealWindow.fx(() -> t.screen(lanes(), 26, y)));
        t.settle();
        // it stands between two frames
        Point bead = RealWindow.fx(() -> lanes().place("box", Properties.ROTATION, 1_010_000));
        Point at = RealWindow.fx(() -> t.screen(lanes(), bead.x(), bead.y()));
        t.drag(at, at.plus(new Point(0, -20)));
        assertThat(keys(Properties.ROTATION).keys().getFirst().time()).isEqualTo(1_010_000);
        assertThat(keys(Properties.ROTATION).keys().getFirst().value()).isGreaterThan(5);
    }

    @Test
    void atTheVeryEndOfALoopTheEndIsShownAndTyped() throws Exception {
        seek(4);
        assertThat(t.shown("field-position-y")).isEqualTo("200");
        t.fill("field-position-x", "120");
        assertThat(keys(Properties.POSITION).keys().getLast().value()).isEqualTo(new Point(120, 200));
        assertThat(keys(Properties.POSITION).keys().getFirst().value()).as("the start is another key").isEqualTo(new Point(100, 80));
        Point seen = RealWindow.fx(() -> t.studio.picture().placed("box").bounds().centre());
        assertThat(seen.x()).isCloseTo(120, within(1.0));
    }

    @Test
    void aWalkerIsMirroredWhereItGoesLeftAndUndoneAtOnce() throws Exception {
        t.run("path-mirror");
        var scale = keys(Properties.SCALE);
        assertThat(scale.keys()).extracting(k -> Math.signum(k.value().x())).containsExactly(1.0, -1.0);
        assertThat(scale.keys().getLast().time()).isBetween(1_950_000L, 2_050_000L);
        t.keys(KeyCode.CONTROL, KeyCode.Z);
        assertThat(keys(Properties.SCALE)).isNull();
    }

    @Test
    void aPivotThatIsTypedLeavesTheArt() throws Exception {
        seek(2.5);
        var before = RealWindow.fx(() -> t.studio.picture().placed("box").corners());
        t.fill("field-pivot-x", "0");
        var after = RealWindow.fx(() -> t.studio.picture().placed("box").corners());
        assertThat(RealWindow.fx(() -> t.studio.target().valueAt("box", Properties.PIVOT)).x()).isZero();
        for (long key : new long[] {0, 2_000_000, 4_000_000}) {
            assertThat(keys(Properties.POSITION).keyAt(key)).isNotNull();
        }
        assertThat(after.getFirst().distance(before.getFirst())).as("between two keys of a turning way").isLessThan(8);
    }

    @Test
    void theRowOfWhatIsSelectedComesIntoSight() throws Exception {
        RealWindow.fx(() -> {
            t.studio.edit("x", b -> b.withElements(IntStream.range(0, 40).mapToObj(i -> box("e" + i, 10 * i, 20)).toList()));
            return null;
        });
        t.settle();
        for (String id : List.of("e0", "e39", "e20")) {
            RealWindow.fx(() -> {
                t.studio.select(List.of(id));
                return null;
            });
            t.settle();
            double y = RealWindow.fx(() -> lanes().rowY(id, null)), height = RealWindow.fx(() -> lanes().getHeight());
            assertThat(y).as(id).isBetween(0.0, height);
        }
    }

    @Test
    void renamedByF2WhereOneIs() throws Exception {
        t.keys(KeyCode.F2);
        t.untilTyping();
        t.type("Kite");
        t.keys(KeyCode.ENTER);
        t.until(() -> t.studio.board().find("box").name().equals("Kite"));
        assertThat(RealWindow.fx(t.studio::desk)).isEqualTo(Desk.ANIMATE);
        t.keys(KeyCode.F2);
        t.untilTyping();
        t.type("Nothing");
        t.keys(KeyCode.ESCAPE);
        assertThat(RealWindow.fx(() -> t.studio.board().find("box").name())).isEqualTo("Kite");
    }
}
