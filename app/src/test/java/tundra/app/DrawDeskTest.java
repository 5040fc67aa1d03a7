package tundra.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.awt.image.BufferedImage;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import javafx.scene.Node;
import javafx.scene.control.ListCell;
import javafx.scene.input.KeyCode;
import javafx.scene.paint.Color;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tundra.app.job.Dialogs;
import tundra.app.tool.ToolKind;
import tundra.app.widget.LightLabel;
import tundra.core.geometry.Point;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Project;
import tundra.core.model.Properties;

/** The tools of the Draw desk, with mouse and keyboard in a real window. */
class DrawDeskTest extends InWindow {
    @TempDir
    private Path folder;

    private Element draw(KeyCode tool, double x0, double y0, double x1, double y1) throws Exception {
        t.keys(tool);
        t.drag(t.canvas(x0, y0), t.canvas(x1, y1));
        return t.studio.selected();
    }

    private Point position(Element e) {
        return t.studio.board().find(e.id()).rest().get(Properties.POSITION);
    }

    private Point size(Element e) {
        return t.studio.board().find(e.id()).rest().get(Properties.SIZE);
    }

    private List<String> names() {
        return t.studio.board().elements().stream().map(Element::name).toList();
    }

    @Test
    void shapesAreDrawnInProportionFromTheCentreAndGivenUp() throws Exception {
        Element e = draw(KeyCode.E, 100, 100, 180, 140);
        assertThat(e.content()).isEqualTo(new Content.Ellipse());
        assertThat(size(e)).isEqualTo(new Point(80, 40));
        assertThat(t.w.tools.kind()).isEqualTo(ToolKind.SELECT);

        t.keys(KeyCode.R);
        t.hold(KeyCode.SHIFT);
        t.drag(t.canvas(300, 100), t.canvas(350, 120));
        t.letGo(KeyCode.SHIFT);
        assertThat(size(t.studio.selected())).isEqualTo(new Point(50, 50));

        t.keys(KeyCode.R);
        t.hold(KeyCode.ALT);
        t.drag(t.canvas(450, 250), t.canvas(480, 270));
        t.letGo(KeyCode.ALT);
        assertThat(position(t.studio.selected())).isEqualTo(new Point(450, 250));
        assertThat(size(t.studio.selected())).isEqualTo(new Point(60, 40));

        int before = t.studio.board().elements().size();
        t.keys(KeyCode.R);
        t.dragHold(t.canvas(50, 250), t.canvas(90, 290));
        t.keys(KeyCode.ESCAPE);
        t.up();
        assertThat(t.studio.board().elements()).hasSize(before);
        assertThat(t.studio.history().undoName()).isEqualTo("Draw Rectangle");
        // a click without a drag draws nothing
        t.keys(KeyCode.R);
        t.click(t.canvas(60, 260));
        assertThat(t.studio.board().elements()).hasSize(before);
    }

    @Test
    void thePenSetsCornersAndSmoothNodesAndClosesOrEnds() throws Exception {
        t.keys(KeyCode.P);
        t.click(t.canvas(100, 100));
        t.click(t.canvas(200, 100));
        t.drag(t.canvas(200, 200), t.canvas(180, 240));
        t.click(t.canvas(100, 100));
        var path = (Content.Path) t.studio.selected().content();
        var contour = path.outline().contours().getFirst();
        assertThat(contour.closed()).isTrue();
        assertThat(contour.nodes()).hasSize(3);
        assertThat(contour.nodes().get(2).smooth()).isTrue();
        assertThat(contour.nodes().get(2).out().x()).isCloseTo(-20, within(1.0));
        assertThat(t.studio.selected().rest().get(Properties.FILL).visible()).isTrue();

        t.keys(KeyCode.P);
        t.click(t.canvas(300, 100));
        t.click(t.canvas(400, 150));
        t.keys(KeyCode.ENTER);
        assertThat(((Content.Path) t.studio.selected().content()).outline().contours().getFirst().closed()).isFalse();
        assertThat(t.studio.selected().rest().get(Properties.STROKE).visible()).as("a line can be seen").isTrue();

        t.keys(KeyCode.P);
        t.click(t.canvas(300, 300));
        t.click(t.canvas(400, 350));
        t.keys(KeyCode.ESCAPE);
        assertThat(t.studio.board().elements()).hasSize(2);
        // a double click ends it too
        t.click(t.canvas(300, 300));
        t.doubleClick(t.canvas(420, 340));
        assertThat(t.studio.board().elements()).hasSize(3);
    }

    @Test
    void textIsPlacedAndTypedAtOnce() throws Exception {
        t.keys(KeyCode.T);
        t.click(t.canvas(200, 150));
        t.until(t.w.typing::active);
        t.type("Hi hut");
        Element e = t.studio.selected();
        assertThat(((Content.Text) e.content()).text()).isEqualTo("Hi hut");
        // undo from the canvas: the typing is one step, the placing another
        t.click(t.canvas(40, 350));
        t.keys(KeyCode.CONTROL, KeyCode.Z);
        assertThat(((Content.Text) t.studio.board().elements().getFirst().content()).text()).isEqualTo("Text");
        t.keys(KeyCode.CONTROL, KeyCode.Z);
        assertThat(t.studio.board().elements()).isEmpty();
    }

    @Test
    void elementsAreMovedSnappedResizedAndTurned() throws Exception {
        Element e = draw(KeyCode.R, 100, 100, 200, 160);
        t.drag(t.canvas(150, 120), t.canvas(190, 150));
        assertThat(position(e)).isEqualTo(new Point(190, 160));
        // near the left edge it snaps to it; with Ctrl it does not
        t.drag(t.canvas(190, 150), t.canvas(54, 150));
        assertThat(position(e)).isEqualTo(new Point(50, 160));
        t.hold(KeyCode.CONTROL);
        t.drag(t.canvas(50, 150), t.canvas(54, 150));
        t.letGo(KeyCode.CONTROL);
        assertThat(position(e).x()).isCloseTo(54, within(0.01));
        // Shift keeps to one direction
        t.hold(KeyCode.SHIFT);
        t.drag(t.canvas(60, 150), t.canvas(160, 165));
        t.letGo(KeyCode.SHIFT);
        assertThat(position(e)).isEqualTo(new Point(154, 160));
        // the lower right handle
        t.drag(t.canvas(204, 190), t.canvas(244, 230));
        assertThat(size(e)).isEqualTo(new Point(140, 100));
        assertThat(position(e)).isEqualTo(new Point(174, 180));
        // the knob above the top edge: from up to the right is a quarter turn
        t.drag(t.canvas(174, 130 - 24), t.canvas(260, 180));
        assertThat(t.studio.target().valueAt(e.id(), Properties.ROTATION)).isCloseTo(90, within(1.0));
        // Escape in the middle of a drag takes it back
        Project before = t.studio.project();
        t.dragHold(t.canvas(174, 180), t.canvas(300, 300));
        assertThat(t.studio.project()).isNotSameAs(before);
        t.keys(KeyCode.ESCAPE);
        t.up();
        assertThat(t.studio.project()).isSameAs(before);
    }

    @Test
    void theKnobThatTurnsIsDrawnInTheColourOfSpace() throws Exception {
        draw(KeyCode.R, 200, 200, 320, 280);
        Point between = t.canvas(260, 200).minus(new Point(0, 12));
        // spruce: green over red; black or grey are neither
        Color c = t.pixel(between);
        assertThat(c.getGreen() - c.getRed()).as("%s", c).isGreaterThan(0.15);
    }

    @Test
    void severalAreSelectedByMarqueeAndShiftAndGrouped() throws Exception {
        Element a = draw(KeyCode.R, 100, 100, 140, 140);
        Element b = draw(KeyCode.E, 200, 100, 240, 140);
        Element c = draw(KeyCode.R, 300, 250, 340, 290);
        t.click(t.canvas(500, 350));
        assertThat(t.studio.selection()).isEmpty();
        t.drag(t.canvas(80, 80), t.canvas(260, 160));
        assertThat(t.studio.selection()).containsExactlyInAnyOrder(a.id(), b.id());
        t.hold(KeyCode.SHIFT);
        t.click(t.canvas(320, 270));
        t.click(t.canvas(220, 120));
        t.letGo(KeyCode.SHIFT);
        assertThat(t.studio.selection()).containsExactlyInAnyOrder(a.id(), c.id());
        t.drag(t.canvas(120, 120), t.canvas(130, 125));
        assertThat(position(c)).isEqualTo(new Point(330, 275));
        t.keys(KeyCode.CONTROL, KeyCode.G);
        assertThat(names()).containsExactly("Ellipse", "Group");
        t.keys(KeyCode.CONTROL, KeyCode.SHIFT, KeyCode.G);
        assertThat(names()).containsExactly("Ellipse", "Rectangle", "Rectangle 2");
        assertThat(position(a)).isEqualTo(new Point(130, 125));
    }

    @Test
    void theKeyboardNudgesCopiesDeletesAndOrders() throws Exception {
        Element a = draw(KeyCode.R, 100, 100, 140, 140);
        t.keys(KeyCode.RIGHT);
        t.keys(KeyCode.RIGHT);
        t.keys(KeyCode.SHIFT, KeyCode.DOWN);
        assertThat(position(a)).isEqualTo(new Point(122, 130));
        t.keys(KeyCode.CONTROL, KeyCode.D);
        assertThat(names()).containsExactly("Rectangle", "Rectangle 2");
        t.keys(KeyCode.CONTROL, KeyCode.SHIFT, KeyCode.DOWN);
        assertThat(names()).containsExactly("Rectangle 2", "Rectangle");
        t.keys(KeyCode.CONTROL, KeyCode.C);
        t.keys(KeyCode.DELETE);
        assertThat(names()).containsExactly("Rectangle");
        t.keys(KeyCode.CONTROL, KeyCode.V);
        t.keys(KeyCode.CONTROL, KeyCode.V);
        assertThat(names()).containsExactly("Rectangle", "Rectangle 2", "Rectangle 3");
        // clumsy: with nothing selected, nothing happens
        t.keys(KeyCode.ESCAPE);
        Project before = t.studio.project();
        t.keys(KeyCode.DELETE);
        t.keys(KeyCode.LEFT);
        t.keys(KeyCode.CONTROL, KeyCode.G);
        assertThat(t.studio.project()).isSameAs(before);
    }

    private Node cell(String name) throws Exception {
        t.settle();
        return t.fx(() -> t.stage.getScene().getRoot().lookupAll(".outline .list-cell").stream()
                .filter(n -> n instanceof ListCell<?> c && !c.isEmpty() && c.lookup(".element-name") instanceof LightLabel l
                        && l.getText().equals(name)).findFirst().orElseThrow(() -> new AssertionError("no row " + name)));
    }

    private Point at(Node n, double x) throws Exception {
        return t.fx(() -> t.screen(n, x, n.getLayoutBounds().getHeight() / 2));
    }

    @Test
    void theOutlineRenamesLocksHidesAndReorders() throws Exception {
        Element a = draw(KeyCode.R, 100, 100, 140, 140);
        draw(KeyCode.E, 200, 100, 240, 140);
        t.doubleClick(at(cell("Rectangle"), 60));
        t.untilTyping();
        t.type("Hut");
        t.keys(KeyCode.ENTER);
        assertThat(names()).containsExactly("Hut", "Ellipse");
        assertThat(t.studio.history().undoName()).isEqualTo("Rename Rectangle");
        // lock: its button is at the right end of the row
        Node row = cell("Hut");
        Node lock = t.fx(() -> row.lookupAll(".row-toggle").stream().findFirst().orElseThrow());
        t.click(t.fx(() -> t.screen(lock, 8, 8)));
        assertThat(t.studio.board().find(a.id()).locked()).isTrue();
        t.click(t.canvas(120, 120));
        assertThat(t.studio.selection()).as("a locked element is not hit").isEmpty();
        Node row2 = cell("Hut");
        Node eye = t.fx(() -> row2.lookupAll(".row-toggle").stream().skip(1).findFirst().orElseThrow());
        t.click(t.fx(() -> t.screen(eye, 8, 8)));
        assertThat(t.studio.board().find(a.id()).hidden()).isTrue();
        // the front one is the first row: dragging Hut above Ellipse brings it to the front
        t.drag(at(cell("Hut"), 70), at(cell("Ellipse"), 70).plus(new Point(0, -9)));
        assertThat(names()).containsExactly("Ellipse", "Hut");
    }

    @Test
    void numbersAndColoursAreTyped() throws Exception {
        Element a = draw(KeyCode.R, 100, 100, 140, 140);
        t.enter("field-position-x");
        t.type("300-50");
        t.keys(KeyCode.ENTER);
        assertThat(position(a)).isEqualTo(new Point(250, 120));
        // the canvas has the keyboard again: an arrow nudges
        t.keys(KeyCode.SHIFT, KeyCode.UP);
        assertThat(position(a)).isEqualTo(new Point(250, 110));
        t.enter("field-position-x");
        t.keys(KeyCode.SHIFT, KeyCode.UP);
        assertThat(position(a)).isEqualTo(new Point(260, 110));
        t.keys(KeyCode.ENTER);
        t.enter("field-position-y");
        t.type("120");
        t.keys(KeyCode.ENTER);
        t.enter("field-fill");
        t.type("e9b44c");
        t.keys(KeyCode.ENTER);
        assertThat(t.studio.board().find(a.id()).rest().get(Properties.FILL).main().hex()).isEqualTo("#E9B44C");
        // nonsense changes nothing
        Project before = t.studio.project();
        t.enter("field-position-x");
        t.type("hut");
        t.keys(KeyCode.ENTER);
        assertThat(t.studio.project()).isSameAs(before);
        // the label is scrubbed
        Node label = t.node("field-position-y").lookup(".number-label");
        Point from = t.fx(() -> t.screen(label, 3, 8));
        t.drag(from, from.plus(new Point(24, 0)));
        assertThat(position(a).y()).isCloseTo(144, within(1.0));
    }

    @Test
    void picturesComeInAndBadOnesChangeNothing() throws Exception {
        var image = new BufferedImage(1000, 500, BufferedImage.TYPE_INT_RGB);
        Path good = folder.resolve("ridge.png"), bad = folder.resolve("bad.png");
        ImageIO.write(image, "png", good.toFile());
        Files.write(bad, new byte[] {1, 2, 3});
        t.fileToOpen = good;
        t.keys(KeyCode.CONTROL, KeyCode.I);
        t.settle();
        assertThat(t.studio.selected().name()).isEqualTo("ridge");
        assertThat(size(t.studio.selected())).as("fitted into the canvas").isEqualTo(new Point(640, 320));
        assertThat(t.pixel(t.canvas(320, 100)).getBrightness()).isLessThan(0.05);
        Project before = t.studio.project();
        t.fileToOpen = bad;
        t.keys(KeyCode.CONTROL, KeyCode.I);
        t.settle();
        assertThat(t.w.notices.told()).startsWith("“bad.png” can't be brought in");
        assertThat(t.studio.project()).isSameAs(before);
        Path broken = folder.resolve("broken.tundra");
        Files.write(broken, new byte[] {'P', 'K', 3, 4, 0});
        t.fileToOpen = broken;
        t.unsavedAnswer = Dialogs.Unsaved.DISCARD;
        t.keys(KeyCode.CONTROL, KeyCode.O);
        t.settle();
        assertThat(t.w.notices.told()).startsWith("“broken.tundra” can't be opened");
        assertThat(t.studio.project()).isSameAs(before);
    }
}
