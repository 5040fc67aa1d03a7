package tundra.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import java.util.concurrent.Callable;
import javafx.scene.Node;
import javafx.scene.input.KeyCode;
import org.assertj.core.api.SoftAssertions;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Test;
import tundra.app.studio.Desk;
import tundra.core.geometry.Point;
import tundra.core.geometry.Rect;
import tundra.core.model.Color;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Gradient;
import tundra.core.model.Marker;
import tundra.core.model.Properties;
import tundra.core.model.Span;
import tundra.core.model.Timeline;
import tundra.core.model.Values;
import tundra.core.motion.Easing;
import tundra.core.motion.Key;
import tundra.core.motion.Track;

/** A quick drag ends where the pointer was let go, whatever is dragged: press, one far move, release. */
class QuickHandTest extends InWindow {
    private static final Offset<Double> NEAR = within(1.6);
    private final SoftAssertions soft = new SoftAssertions();

    private Element one() throws Exception {
        return RealWindow.fx(() -> t.studio.selected());
    }

    private Rect bounds() throws Exception {
        return RealWindow.fx(() -> t.studio.picture().frame().find(t.studio.selected().id()).bounds());
    }

    private void near(String what, Point got, double x, double y) {
        soft.assertThat(got.x()).as(what + ": x").isCloseTo(x, NEAR);
        soft.assertThat(got.y()).as(what + ": y").isCloseTo(y, NEAR);
    }

    private void flick(double x, double y, double toX, double toY) throws Exception {
        t.flick(t.canvas(x, y), t.canvas(toX, toY));
    }

    private void again() throws Exception {
        t.run("undo");
        t.run("select-none");
        t.run("tool-SELECT");
    }

    @Test
    void shapesReachThePlaceOfTheRelease() throws Exception {
        for (String tool : List.of("RECTANGLE", "ELLIPSE", "POLYGON")) {
            t.run("tool-" + tool);
            flick(100, 100, 300, 220);
            near(tool, bounds().bottomRight(), 300, 220);
            again();
        }
        for (String tool : List.of("FREEHAND", "BRUSH")) {
            t.run("tool-" + tool);
            flick(100, 100, 300, 220);
            Point end = RealWindow.fx(() -> t.studio.picture().frame().find(t.studio.board().elements().getLast().id()).bounds()).bottomRight();
            soft.assertThat(end.x()).as(tool).isCloseTo(300, within(8.0));
            soft.assertThat(end.y()).as(tool).isCloseTo(220, within(8.0));
            again();
        }
        t.run("tool-TEXT");
        flick(100, 100, 340, 160);
        soft.assertThat(((Content.Text) one().content()).wrap()).as("wrap width").isCloseTo(240, NEAR);
        soft.assertAll();
    }

    @Test
    void handlesNodesAndGradientsReachIt() throws Exception {
        t.run("tool-RECTANGLE");
        t.drag(t.canvas(100, 100), t.canvas(200, 160));
        flick(150, 130, 300, 200);
        near("move", bounds().centre(), 300, 200);
        flick(350, 230, 450, 300);
        near("corner", bounds().bottomRight(), 450, 300);
        // the knob stands 24 px over the middle of the top edge: a quarter turn to the right
        Rect b = bounds();
        flick(b.centre().x(), b.y() - 24, b.centre().x() + 120, b.centre().y());
        soft.assertThat(one().rest().get(Properties.ROTATION)).as("turn").isCloseTo(90, within(2.0));
        t.run("undo");
        t.run("tool-NODES");
        flick(450, 300, 500, 340);
        near("node", bounds().bottomRight(), 500, 340);
        t.run("undo");
        flick(350, 300, 350, 360);
        soft.assertThat(RealWindow.fx(() -> ((Content.Path) t.studio.selected().content()).outline().bounds()).bottomRight().y()
                + bounds().y()).as("bent segment").isCloseTo(360, within(3.0));
        t.run("undo");
        t.run("tool-SELECT");
        RealWindow.fx(() -> {
            t.studio.edit("Gradient", x -> x.mapElement(t.studio.selected().id(), e -> e.with(Properties.FILL,
                    Gradient.linear(List.of(new Gradient.Stop(0, Color.BLACK), new Gradient.Stop(1, Color.WHITE))))));
            return null;
        });
        t.run("tool-GRADIENT");
        Rect r = bounds();
        Point end = RealWindow.fx(() -> ((Gradient) t.studio.selected().rest().get(Properties.FILL)).end());
        Point from = r.topLeft().plus(end.times(new Point(r.width(), r.height())));
        flick(from.x(), from.y(), r.x() + r.width() / 2, r.y() + r.height() / 2);
        Point now = RealWindow.fx(() -> ((Gradient) t.studio.selected().rest().get(Properties.FILL)).end());
        soft.assertThat(now.x()).as("gradient end").isCloseTo(0.5, within(0.02));
        t.run("select-none");
        t.run("tool-SELECT");
        flick(180, 90, 520, 360);
        soft.assertThat(RealWindow.fx(() -> t.studio.selection())).as("marquee").hasSize(1);
        t.run("tool-HAND");
        Point before = RealWindow.fx(() -> t.w.canvas.viewport().origin());
        flick(100, 100, 180, 150);
        Point moved = RealWindow.fx(() -> t.w.canvas.viewport().origin()).minus(before);
        near("hand", moved, 80, 50);
        t.run("rulers");
        t.run("actual-size");
        Point ruler = RealWindow.fx(() -> t.screen(t.w.canvas, 200, 6));
        t.flick(ruler, t.canvas(200, 120));
        soft.assertThat(RealWindow.fx(() -> t.studio.board().lines().getFirst().at())).as("ruler line").isCloseTo(120, NEAR);
        soft.assertAll();
    }

    @Test
    void whatIsDraggedInPanelsReachesIt() throws Exception {
        t.run("tool-RECTANGLE");
        t.drag(t.canvas(100, 100), t.canvas(200, 160));
        Node x = t.node("field-position-x");
        Point label = RealWindow.fx(() -> t.screen(x, 6, 12));
        t.flick(label, label.plus(new Point(60, 0)));
        soft.assertThat(one().rest().get(Properties.POSITION).x()).as("scrubbed number").isCloseTo(210, NEAR);
        t.run("flipbook");
        Point edge = RealWindow.fx(() -> t.screen(t.window.drawings(), t.window.drawings().x(2) - 3, 30));
        double frame = RealWindow.fx(() -> t.window.drawings().x(3) - t.window.drawings().x(2));
        t.flick(edge, edge.plus(new Point(4 * frame, 0)));
        soft.assertThat(RealWindow.fx(() -> t.studio.book().book().drawings().getFirst().frames())).as("held").isEqualTo(6);
        soft.assertAll();
    }

    private Point lane(double seconds, double y) throws Exception {
        return RealWindow.fx(() -> t.screen(t.window.timeline().lanes(), t.window.timeline().lanes().xOf(Math.round(seconds * 1e6)), y));
    }

    private <T> T now(Callable<T> what) throws Exception {
        return RealWindow.fx(what);
    }

    @Test
    void timesReachIt() throws Exception {
        var box = new Element("box", "box", false, false, Values.NONE.with(Properties.POSITION, new Point(100, 100))
                .with(Properties.SIZE, new Point(60, 40))
                .with(Properties.FILL, Color.parse("#C8503A")), new Content.Rectangle());
        animate(new Timeline("main", Timeline.MAIN, 4_000_000, false, true, Map.of())
                .with("box", Properties.POSITION,
                new Track<>(List.of(new Key<>(0, new Point(100, 100), Easing.LINEAR), new Key<>(1_000_000, new Point(300, 100), Easing.LINEAR))))
                .withMarkers(List.of(new Marker("m", "half", 500_000))).withShown("box", new Span(0, 2_000_000))
                .withRange(new Span(250_000, 3_000_000)), box);
        t.flick(lane(0.25, 40), lane(3, 40));
        soft.assertThat(now(() -> t.studio.time().playhead())).as("playhead").isEqualTo(3_000_000L);
        Point bead = now(() -> t.screen(t.window.timeline().lanes(), 0, 0))
                .plus(now(() -> t.window.timeline().lanes().place("box", Properties.POSITION, 1_000_000)));
        t.flick(bead, new Point(lane(2, 0).x(), bead.y()));
        soft.assertThat(now(() -> t.studio.timeline().track("box", Properties.POSITION).keys().getLast().time())).as("bead").isEqualTo(2_000_000L);
        double row = now(() -> t.window.timeline().lanes().rowY("box", null));
        t.flick(lane(2, row), lane(3.5, row));
        soft.assertThat(now(() -> t.studio.timeline().shown().get("box").to())).as("trimmed end").isEqualTo(3_500_000L);
        t.flick(lane(0.51, 8), lane(1.51, 8));
        soft.assertThat(now(() -> t.studio.timeline().markers().getFirst().time())).as("marker").isEqualTo(1_500_000L);
        t.flick(lane(3, 6), lane(3.75, 6));
        soft.assertThat(now(() -> t.studio.timeline().range().to())).as("part that plays").isEqualTo(3_750_000L);
        // the first bead of the path on the canvas
        now(() -> {
            t.studio.time().seek(0);
            return null;
        });
        t.settle();
        flick(300, 100, 400, 180);
        near("bead of the path", now(() -> t.studio.timeline().track("box", Properties.POSITION).keys().getLast().value()), 400, 180);
        soft.assertThat(now(() -> t.studio.desk())).isEqualTo(Desk.ANIMATE);
        soft.assertAll();
    }

    @Test
    void theKeyboardIsTheCanvasesAgainAfterEnter() throws Exception {
        t.run("tool-RECTANGLE");
        t.drag(t.canvas(100, 100), t.canvas(200, 160));
        t.run("desk-ANIMATE");
        t.settle();
        t.enter("field-rotation");
        t.type("30");
        t.keys(KeyCode.ENTER);
        t.keys(KeyCode.DIGIT2);
        t.keys(KeyCode.RIGHT);
        assertThat(RealWindow.fx(() -> t.studio.target().valueAt(t.studio.selected().id(), Properties.ROTATION))).isEqualTo(30.0);
        assertThat(t.shown("field-rotation")).isEqualTo("30");
        assertThat(RealWindow.fx(() -> t.studio.target().scope().name())).isEqualTo("WHOLE_MOVE");
        assertThat(RealWindow.fx(() -> t.studio.target().valueAt(t.studio.selected().id(), Properties.POSITION))).isEqualTo(new Point(151, 130));
    }
}
