package tundra.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import tundra.core.geometry.Point;
import tundra.core.model.Properties;
import tundra.core.model.Property;

/** A whole piece of work by hand alone: a figure runs up to a gap, crouches, jumps over it with a turn and lands. */
class JumpTest extends InWindow {
    /** Presses, drags, keys and numbers typed. */
    private int handlings;

    private void draw(KeyCode tool, double x, double y, double toX, double toY) throws Exception {
        t.keys(tool);
        t.drag(t.canvas(x, y), t.canvas(toX, toY));
        handlings += 2;
    }

    private void press(KeyCode... keys) throws Exception {
        t.keys(keys);
        handlings++;
    }

    /** Presses the ruler where a time stands. */
    private void at(double seconds) throws Exception {
        var lanes = t.window.timeline().lanes();
        t.click(RealWindow.fx(() -> t.screen(lanes, lanes.xOf(Math.round(seconds * 1e6)), 20)));
        handlings++;
        assertThat(t.studio.time().playhead()).as("the ruler's frame").isCloseTo(Math.round(seconds * 1e6), within(25_000L));
    }

    private void type(String field, String value) throws Exception {
        t.fill(field, value);
        handlings++;
    }

    private void click(String id) throws Exception {
        t.click(id);
        handlings++;
    }

    private Point seen() throws Exception {
        return RealWindow.fx(() -> t.studio.target().valueAt(t.studio.selected().id(), Properties.POSITION));
    }

    private void dragBy(double dx, double dy) throws Exception {
        // by the body, above the feet where the pivot is
        Point from = seen().plus(new Point(0, -30));
        t.drag(t.canvas(from.x(), from.y()), t.canvas(from.x() + dx, from.y() + dy));
        handlings++;
    }

    @Test
    void aFigureJumpsOverAGapWithATurn() throws Exception {
        t.run("fit");
        draw(KeyCode.R, 0, 320, 260, 380);
        draw(KeyCode.R, 380, 320, 640, 380);
        draw(KeyCode.R, 60, 260, 100, 320);
        draw(KeyCode.E, 66, 232, 94, 260);
        t.hold(KeyCode.SHIFT);
        t.click(t.canvas(80, 290));
        t.letGo(KeyCode.SHIFT);
        handlings++;
        assertThat(t.studio.selection()).hasSize(2);
        press(KeyCode.CONTROL, KeyCode.G);
        t.run("pivot-feet");
        handlings++;
        assertThat(seen().distance(new Point(80, 320))).isLessThan(3);
        press(KeyCode.ALT, KeyCode.DIGIT2);
        press(KeyCode.K);
        at(1);
        dragBy(150, 0);
        click("key-scale");
        click("link-scale");
        at(1.25);
        type("field-scale-y", "75");
        press(KeyCode.K);
        click("key-rotation");
        at(1.625);
        dragBy(90, -130);
        at(2);
        dragBy(90, 130);
        type("field-rotation", "360");
        type("field-scale-y", "105");
        at(2.125);
        type("field-scale-y", "80");
        at(2.375);
        type("field-scale-y", "100");
        String figure = t.studio.selected().id();
        assertThat(value(figure, Properties.POSITION, 1.25)).as("it crouches where it stands").isEqualTo(value(figure, Properties.POSITION, 1));
        assertThat(value(figure, Properties.POSITION, 2).y()).as("it lands on the ground").isCloseTo(320, within(3.0));
        assertThat(value(figure, Properties.POSITION, 2).x()).as("beyond the gap").isGreaterThan(390);
        assertThat(value(figure, Properties.POSITION, 1.625).y()).isLessThan(200);
        assertThat(value(figure, Properties.POSITION, 2.375)).isEqualTo(value(figure, Properties.POSITION, 2));
        assertThat(value(figure, Properties.ROTATION, 1.25)).isZero();
        assertThat(value(figure, Properties.ROTATION, 2)).isEqualTo(360);
        assertThat(value(figure, Properties.SCALE, 0.5)).isEqualTo(new Point(1, 1));
        assertThat(value(figure, Properties.SCALE, 1.25).y()).isCloseTo(0.75, within(1e-9));
        assertThat(handlings).as("presses, drags, keys and numbers").isLessThan(40);
        // on the interface thread, where the panels read the board meanwhile
        RealWindow.fx(() -> {
            while (t.studio.history().undo()) {
                continue;
            }
            return null;
        });
        assertThat(t.studio.board().elements()).isEmpty();
    }

    private <T> T value(String id, Property<T> p, double seconds) throws Exception {
        return RealWindow.fx(() -> t.studio.picture().builder().valueAt(id, p, Math.round(seconds * 1e6)));
    }
}
