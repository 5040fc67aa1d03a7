package tundra.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import tundra.app.tool.ToolKind;
import tundra.app.tool.ToolOptions;
import tundra.core.edit.Arrange;
import tundra.core.geometry.Outline;
import tundra.core.geometry.Point;
import tundra.core.geometry.Rect;
import tundra.core.model.Color;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Gradient;
import tundra.core.model.Properties;
import tundra.core.model.RulerLine;
import tundra.core.model.Values;

/** The pens, nodes, paints and regions of the Draw desk, with mouse and keyboard in a real window. */
class DrawToolsTest extends InWindow {
    private Element add(String name, Content content, Rect r, Values look) throws Exception {
        var e = new Element(name, content, look.with(Properties.POSITION, r.centre()).with(Properties.SIZE, new Point(r.width(), r.height())));
        RealWindow.fx(() -> {
            t.studio.edit("Add " + name, b -> Arrange.add(b, e));
            t.studio.select(List.of(e.id()));
            return null;
        });
        t.settle();
        return e;
    }

    private static Values filled(String color) {
        return Values.NONE.with(Properties.FILL, Color.parse(color));
    }

    private Element now(Element e) {
        return t.studio.board().find(e.id());
    }

    private Outline outline(Element e) {
        return ((Content.Path) now(e).content()).outline();
    }

    private Element last() {
        return t.studio.board().elements().getLast();
    }

    /** The pointer along points of the canvas, from press to release. */
    private void scribble(double... xy) throws Exception {
        t.moveTo(t.canvas(xy[0], xy[1]));
        t.down();
        for (int i = 2; i < xy.length; i += 2) {
            Point from = new Point(xy[i - 2], xy[i - 1]), to = new Point(xy[i], xy[i + 1]);
            for (int k = 1; k <= 8; k++) {
                Point p = from.lerp(to, k / 8.0);
                t.moveTo(t.canvas(p.x(), p.y()));
            }
        }
        t.up();
    }

    @Test
    void theFreehandPencilLeavesASmoothLineAndEscapeLeavesNothing() throws Exception {
        t.keys(KeyCode.D);
        scribble(60, 100, 120, 60, 180, 140, 240, 80);
        Element e = last();
        assertThat(e.name()).isEqualTo("Line");
        assertThat(e.rest().get(Properties.STROKE).visible()).isTrue();
        assertThat(outline(e).contours().getFirst().nodes()).as("few nodes").hasSizeBetween(2, 10);
        assertThat(e.rest().get(Properties.SIZE).x()).isCloseTo(180, within(8.0));
        assertThat(t.w.tools.kind()).as("stays in hand for the next line").isEqualTo(ToolKind.FREEHAND);
        // with Shift a straight line in steps of 45°
        t.hold(KeyCode.SHIFT);
        scribble(60, 250, 200, 262);
        t.letGo(KeyCode.SHIFT);
        assertThat(last().rest().get(Properties.SIZE).y()).isCloseTo(0, within(0.01));
        int before = t.studio.board().elements().size();
        t.dragHold(t.canvas(300, 60), t.canvas(360, 90));
        t.keys(KeyCode.ESCAPE);
        t.up();
        assertThat(t.studio.board().elements()).hasSize(before);
        t.run("undo");
        assertThat(t.studio.board().elements()).hasSize(before - 1);
    }

    @Test
    void theBrushLeavesOneFilledOutline() throws Exception {
        t.keys(KeyCode.B);
        scribble(60, 100, 200, 100);
        Element e = last();
        assertThat(e.rest().get(Properties.FILL).visible()).isTrue();
        assertThat(e.rest().get(Properties.STROKE).visible()).isFalse();
        assertThat(e.rest().get(Properties.SIZE).x()).isGreaterThan(140);
        assertThat(e.rest().get(Properties.SIZE).y()).as("as thick as its tip").isBetween(8.0, 15.0);
        assertThat(outline(e).contours().getFirst().closed()).isTrue();
        t.keys(KeyCode.CONTROL, KeyCode.Z);
        assertThat(t.studio.board().elements()).isEmpty();
    }

    @Test
    void linesPolygonsAndStars() throws Exception {
        t.keys(KeyCode.L);
        t.drag(t.canvas(50, 50), t.canvas(150, 90));
        assertThat(t.studio.selected().name()).isEqualTo("Line");
        assertThat(t.studio.selected().rest().get(Properties.SIZE)).isEqualTo(new Point(100, 40));
        t.keys(KeyCode.L);
        t.click(t.canvas(200, 50));
        t.click(t.canvas(260, 50));
        t.click(t.canvas(260, 100));
        t.keys(KeyCode.ENTER);
        assertThat(t.studio.selected().name()).isEqualTo("Polyline");
        assertThat(outline(t.studio.selected()).contours().getFirst().nodes()).hasSize(3);
        t.keys(KeyCode.L);
        t.click(t.canvas(300, 200));
        t.click(t.canvas(360, 200));
        t.keys(KeyCode.ESCAPE);
        assertThat(t.studio.board().elements()).hasSize(2);
        t.keys(KeyCode.G);
        t.drag(t.canvas(300, 50), t.canvas(380, 130));
        assertThat(t.studio.selected().content()).isEqualTo(new Content.Polygon(5, 0.45));
        t.click("field-points");
        t.keys(KeyCode.CONTROL, KeyCode.A);
        t.type("8");
        t.keys(KeyCode.ENTER);
        assertThat(((Content.Polygon) t.studio.selected().content()).points()).isEqualTo(8);
    }

    @Test
    void nodesAreMovedAddedConvertedAndTakenAway() throws Exception {
        Element e = add("Field", new Content.Rectangle(), new Rect(100, 100, 120, 80), filled("#5F8FA3"));
        t.keys(KeyCode.N);
        // dragging a corner turns the rectangle into a path
        t.drag(t.canvas(220, 180), t.canvas(260, 200));
        assertThat(now(e).content()).isInstanceOf(Content.Path.class);
        assertThat(now(e).rest().get(Properties.SIZE)).isEqualTo(new Point(160, 100));
        Rect seen = RealWindow.fx(() -> t.studio.picture().frame().find(e.id()).bounds());
        assertThat(seen.x()).as("the rest stays in its place").isCloseTo(100, within(0.01));
        assertThat(t.studio.history().undoName()).isEqualTo("Move nodes");
        t.keys(KeyCode.CONTROL, KeyCode.Z);
        assertThat(now(e).content()).as("one step of undo").isInstanceOf(Content.Rectangle.class);

        t.doubleClick(t.canvas(160, 100));
        assertThat(outline(e).contours().getFirst().nodes()).hasSize(5);
        t.run("nodes-smooth");
        assertThat(outline(e).contours().getFirst().nodes().stream().filter(n -> n.smooth())).hasSize(1);
        t.keys(KeyCode.DELETE);
        assertThat(outline(e).contours().getFirst().nodes()).hasSize(4);
        // the line itself bends
        t.drag(t.canvas(160, 180), t.canvas(160, 210));
        assertThat(RealWindow.fx(() -> t.studio.picture().frame().find(e.id()).bounds().bottom())).isCloseTo(210, within(1.5));
        // Escape in the middle of a drag leaves it as it was
        Outline before = outline(e);
        t.dragHold(t.canvas(100, 100), t.canvas(60, 60));
        t.keys(KeyCode.ESCAPE);
        t.up();
        assertThat(outline(e)).isEqualTo(before);
        // a marquee over all nodes and Delete takes the shape away
        t.drag(t.canvas(80, 80), t.canvas(250, 195));
        t.keys(KeyCode.CONTROL, KeyCode.A);
        t.keys(KeyCode.DELETE);
        assertThat(now(e)).isNull();
    }

    @Test
    void aGradientIsChosenAndPlacedByItsHandles() throws Exception {
        Element e = add("Sky", new Content.Rectangle(), new Rect(100, 100, 200, 100), filled("#2E5D73"));
        RealWindow.fx(() -> {
            t.studio.target().set("Gradient", null, e.id(), Properties.FILL,
                    Gradient.linear(List.of(new Gradient.Stop(0, Color.BLACK), new Gradient.Stop(1, Color.WHITE))));
            t.w.tools.take(ToolKind.GRADIENT);
            return null;
        });
        t.settle();
        t.drag(t.canvas(300, 150), t.canvas(200, 200));
        var g = (Gradient) now(e).rest().get(Properties.FILL);
        assertThat(g.end().x()).isCloseTo(0.5, within(0.01));
        assertThat(g.end().y()).isCloseTo(1, within(0.01));
        assertThat(g.start()).isEqualTo(new Point(0, 0.5));
        t.drag(t.canvas(100, 150), t.canvas(120, 120));
        assertThat(((Gradient) now(e).rest().get(Properties.FILL)).start().x()).isCloseTo(0.1, within(0.01));
        t.dragHold(t.canvas(200, 200), t.canvas(260, 180));
        t.keys(KeyCode.ESCAPE);
        t.up();
        assertThat(((Gradient) now(e).rest().get(Properties.FILL)).end().x()).isCloseTo(0.5, within(0.01));
        // the picture has both ends of it
        t.run("select-none");
        assertThat(t.pixel(t.canvas(105, 195)).getBrightness()).isLessThan(t.pixel(t.canvas(295, 195)).getBrightness() + 1);
        assertThat(t.pixel(t.canvas(296, 198)).getBrightness()).isGreaterThan(0.9);
    }

    @Test
    void aRegionBetweenStrokesIsFilledBeneathThem() throws Exception {
        Values line = Values.NONE.with(Properties.STROKE, Color.BLACK).with(Properties.STROKE_WIDTH, 4.0);
        add("Ring", new Content.Ellipse(), new Rect(100, 100, 120, 120), line);
        t.run("select-none");
        t.keys(KeyCode.F);
        t.click(t.canvas(160, 160));
        t.until(() -> t.studio.board().elements().size() == 2);
        Element fill = t.studio.board().elements().getFirst();
        assertThat(fill.name()).isEqualTo("Fill");
        assertThat(fill.rest().get(Properties.SIZE).x()).isCloseTo(120, within(0.6));
        t.click(t.canvas(400, 300));
        t.settle();
        assertThat(t.studio.board().elements()).as("nothing encloses that place").hasSize(2);
        t.keys(KeyCode.CONTROL, KeyCode.Z);
        assertThat(t.studio.board().elements()).extracting(Element::name).containsExactly("Ring");
        t.keys(KeyCode.ESCAPE);
        assertThat(t.w.tools.kind()).as("Escape puts the tool away").isEqualTo(ToolKind.SELECT);
        t.click(t.canvas(160, 160));
        t.settle();
        assertThat(t.studio.board().elements()).hasSize(1);
    }

    @Test
    void aPolygonKeepsItsProportionGrowsFromTheMiddleAndIsGivenUp() throws Exception {
        t.keys(KeyCode.G);
        t.hold(KeyCode.SHIFT);
        t.drag(t.canvas(100, 100), t.canvas(180, 140));
        t.letGo(KeyCode.SHIFT);
        Point size = t.studio.selected().rest().get(Properties.SIZE);
        assertThat(size.x()).isEqualTo(size.y());
        t.keys(KeyCode.G);
        t.hold(KeyCode.ALT);
        t.drag(t.canvas(300, 200), t.canvas(340, 230));
        t.letGo(KeyCode.ALT);
        assertThat(t.studio.selected().rest().get(Properties.SIZE)).isEqualTo(new Point(80, 60));
        assertThat(t.studio.selected().rest().get(Properties.POSITION)).isEqualTo(new Point(300, 200));
        t.keys(KeyCode.G);
        t.dragHold(t.canvas(50, 50), t.canvas(90, 90));
        t.keys(KeyCode.ESCAPE);
        t.up();
        assertThat(t.studio.board().elements()).hasSize(2);
        t.keys(KeyCode.CONTROL, KeyCode.Z);
        t.keys(KeyCode.CONTROL, KeyCode.Z);
        assertThat(t.studio.board().elements()).isEmpty();
    }

    @Test
    void thePickerTakesStrokesWithAltAndStaysWithShift() throws Exception {
        add("Hut", new Content.Rectangle(), new Rect(300, 100, 80, 80), filled("#C8503A"));
        Element e = add("Snow", new Content.Rectangle(), new Rect(100, 100, 80, 80), filled("#F3F7FA"));
        t.keys(KeyCode.C);
        t.hold(KeyCode.ALT);
        t.hold(KeyCode.SHIFT);
        t.click(t.canvas(340, 140));
        t.letGo(KeyCode.SHIFT);
        t.letGo(KeyCode.ALT);
        assertThat(now(e).rest().get(Properties.STROKE)).isEqualTo(Color.parse("#C8503A"));
        assertThat(now(e).rest().get(Properties.FILL)).isEqualTo(Color.parse("#F3F7FA"));
        assertThat(t.w.tools.kind()).isEqualTo(ToolKind.PICK);
        t.keys(KeyCode.ESCAPE);
        assertThat(t.w.tools.kind()).isEqualTo(ToolKind.SELECT);
        assertThat(now(e).rest().get(Properties.STROKE)).isEqualTo(Color.parse("#C8503A"));
    }

    @Test
    void thePenStepsItsDirectionWithShiftAndIsUndoneInOneStep() throws Exception {
        t.keys(KeyCode.P);
        t.click(t.canvas(100, 100));
        t.hold(KeyCode.SHIFT);
        t.click(t.canvas(200, 104));
        t.letGo(KeyCode.SHIFT);
        t.keys(KeyCode.ENTER);
        var nodes = outline(t.studio.selected()).contours().getFirst().nodes();
        assertThat(nodes.get(1).at().y()).isCloseTo(nodes.get(0).at().y(), within(1e-6));
        t.keys(KeyCode.CONTROL, KeyCode.Z);
        assertThat(t.studio.board().elements()).isEmpty();
    }

    @Test
    void combiningFollowsTheEvenOddRuleOfItsParts() throws Exception {
        var ring = new Outline(List.of(Outline.rectangle(new Rect(0, 0, 100, 100), 0).contours().getFirst(),
                Outline.rectangle(new Rect(25, 25, 50, 50), 0).contours().getFirst()));
        add("Ring", new Content.Path(ring, new Point(100, 100), true), new Rect(100, 100, 100, 100), filled("#C8503A"));
        add("Bar", new Content.Rectangle(), new Rect(140, 60, 20, 60), filled("#5F8FA3"));
        t.run("select-all");
        t.run("combine-UNION");
        t.run("select-none");
        assertThat(t.pixel(t.canvas(150, 70)).getGreen()).as("the bar").isCloseTo(0x50 / 255.0, within(0.03));
        assertThat(t.pixel(t.canvas(150, 150)).getGreen()).as("the hole stays open").isGreaterThan(0.9);
        assertThat(t.pixel(t.canvas(110, 150)).getGreen()).as("the ring").isCloseTo(0x50 / 255.0, within(0.03));
    }

    @Test
    void linesNodesBrushAndGradientHearTheirModifiers() throws Exception {
        t.keys(KeyCode.L);
        t.hold(KeyCode.SHIFT);
        t.drag(t.canvas(50, 50), t.canvas(150, 58));
        t.letGo(KeyCode.SHIFT);
        assertThat(t.studio.selected().rest().get(Properties.SIZE).y()).as("in steps of 15°").isCloseTo(0, within(0.01));
        t.keys(KeyCode.L);
        t.hold(KeyCode.ALT);
        t.drag(t.canvas(300, 200), t.canvas(350, 200));
        t.letGo(KeyCode.ALT);
        assertThat(t.studio.selected().rest().get(Properties.SIZE).x()).as("to both sides").isCloseTo(100, within(0.01));
        t.keys(KeyCode.CONTROL, KeyCode.Z);
        t.keys(KeyCode.B);
        t.dragHold(t.canvas(60, 300), t.canvas(160, 320));
        t.keys(KeyCode.ESCAPE);
        t.up();
        assertThat(t.studio.board().elements()).as("the brush gave up").hasSize(1);
        t.run("select-all");
        t.run("delete");
        Element e = add("Field", new Content.Rectangle(), new Rect(100, 100, 120, 80), filled("#5F8FA3"));
        t.keys(KeyCode.N);
        t.hold(KeyCode.SHIFT);
        t.drag(t.canvas(220, 180), t.canvas(260, 190));
        t.letGo(KeyCode.SHIFT);
        Rect r = RealWindow.fx(() -> t.studio.picture().frame().find(e.id()).bounds());
        assertThat(r.right()).isCloseTo(260, within(1.0));
        assertThat(r.bottom()).as("along one direction").isCloseTo(180, within(0.01));
        t.keys(KeyCode.CONTROL, KeyCode.Z);
        RealWindow.fx(() -> {
            t.studio.target().set("Gradient", null, e.id(), Properties.FILL,
                    Gradient.linear(List.of(new Gradient.Stop(0, Color.BLACK), new Gradient.Stop(1, Color.WHITE))));
            t.w.tools.take(ToolKind.GRADIENT);
            return null;
        });
        t.settle();
        t.hold(KeyCode.SHIFT);
        t.drag(t.canvas(220, 140), t.canvas(200, 144));
        t.letGo(KeyCode.SHIFT);
        Point end = ((Gradient) now(e).rest().get(Properties.FILL)).end();
        assertThat(end.y()).as("in steps of an angle").isCloseTo(0.5, within(0.001));
        assertThat(end.x()).isBetween(0.7, 0.95);
        t.keys(KeyCode.CONTROL, KeyCode.Z);
        assertThat(((Gradient) now(e).rest().get(Properties.FILL)).end().x()).isEqualTo(1);
    }

    @Test
    void severalAreResizedTogether() throws Exception {
        Element a = add("A", new Content.Rectangle(), new Rect(100, 100, 40, 40), filled("#C8503A"));
        Element b = add("B", new Content.Ellipse(), new Rect(200, 160, 40, 40), filled("#5F8FA3"));
        t.run("select-all");
        t.drag(t.canvas(240, 200), t.canvas(310, 200));
        assertThat(now(a).rest().get(Properties.SIZE)).isEqualTo(new Point(60, 40));
        assertThat(now(b).rest().get(Properties.POSITION).x()).as("140 of 140 px became 210").isCloseTo(280, within(0.01));
        assertThat(t.studio.history().undoName()).isEqualTo("Resize 2 elements");
        t.keys(KeyCode.CONTROL, KeyCode.Z);
        assertThat(now(a).rest().get(Properties.SIZE)).isEqualTo(new Point(40, 40));
        t.dragHold(t.canvas(240, 200), t.canvas(310, 230));
        t.keys(KeyCode.ESCAPE);
        t.up();
        assertThat(now(b).rest().get(Properties.SIZE)).isEqualTo(new Point(40, 40));
        // turned ones keep their proportion, and so does everything with Shift; with Alt the middle stays
        t.hold(KeyCode.SHIFT);
        t.hold(KeyCode.ALT);
        t.drag(t.canvas(240, 200), t.canvas(310, 200));
        t.letGo(KeyCode.ALT);
        t.letGo(KeyCode.SHIFT);
        assertThat(now(a).rest().get(Properties.SIZE)).isEqualTo(new Point(80, 80));
        assertThat(RealWindow.fx(() -> t.studio.picture().frame().find(a.id()).bounds()).x()).isCloseTo(30, within(0.01));
    }

    @Test
    void aColourIsPickedFromThePicture() throws Exception {
        add("Hut", new Content.Rectangle(), new Rect(300, 100, 80, 80), filled("#C8503A"));
        Element e = add("Snow", new Content.Rectangle(), new Rect(100, 100, 80, 80), filled("#F3F7FA"));
        t.keys(KeyCode.C);
        t.click(t.canvas(340, 140));
        assertThat(now(e).rest().get(Properties.FILL)).isEqualTo(Color.parse("#C8503A"));
        assertThat(t.w.tools.kind()).isEqualTo(ToolKind.SELECT);
        t.run("undo");
        assertThat(now(e).rest().get(Properties.FILL)).isEqualTo(Color.parse("#F3F7FA"));
    }

    @Test
    void groupsAreEditedInPlace() throws Exception {
        add("A", new Content.Rectangle(), new Rect(100, 100, 40, 40), filled("#C8503A"));
        add("B", new Content.Rectangle(), new Rect(200, 100, 40, 40), filled("#5F8FA3"));
        t.run("select-all");
        t.run("group");
        Element group = t.studio.selected();
        t.run("select-none");
        t.doubleClick(t.canvas(120, 120));
        assertThat(t.studio.groups().inside()).isEqualTo(group.id());
        assertThat(t.studio.selected().name()).isEqualTo("A");
        // what is drawn now goes into the group
        t.keys(KeyCode.R);
        t.drag(t.canvas(152, 109), t.canvas(170, 128));
        assertThat(now(group).children()).hasSize(3);
        assertThat(RealWindow.fx(() -> t.studio.picture().frame().find(t.studio.selected().id()).bounds())).isEqualTo(new Rect(152, 109, 18, 19));
        t.keys(KeyCode.ESCAPE);
        assertThat(t.studio.groups().inside()).isNull();
        assertThat(t.studio.selected().id()).isEqualTo(group.id());
    }

    @Test
    void whatLiesBeneathIsReachedWithAlt() throws Exception {
        add("Low", new Content.Rectangle(), new Rect(100, 100, 100, 100), filled("#C8503A"));
        add("High", new Content.Rectangle(), new Rect(120, 120, 100, 100), filled("#5F8FA3"));
        t.run("select-none");
        for (String name : List.of("High", "Low", "High")) {
            t.hold(KeyCode.ALT);
            t.click(t.canvas(150, 150));
            t.letGo(KeyCode.ALT);
            assertThat(t.studio.selected().name()).isEqualTo(name);
        }
    }

    @Test
    void neighboursAreSnappedToAndAligned() throws Exception {
        add("A", new Content.Rectangle(), new Rect(100, 100, 40, 40), filled("#C8503A"));
        Element b = add("B", new Content.Rectangle(), new Rect(203, 160, 40, 40), filled("#5F8FA3"));
        t.drag(t.canvas(223, 180), t.canvas(222, 123));
        assertThat(now(b).rest().get(Properties.POSITION).y()).as("the middles meet").isEqualTo(120);
        Element c = add("C", new Content.Rectangle(), new Rect(330, 200, 30, 20), filled("#E9B44C"));
        t.run("select-all");
        t.run("align-TOP");
        assertThat(now(c).rest().get(Properties.POSITION).y()).isEqualTo(110);
        t.run("distribute-level");
        Rect ra = RealWindow.fx(() -> t.studio.picture().frame().find(t.studio.board().elements().get(0).id()).bounds());
        Rect rb = RealWindow.fx(() -> t.studio.picture().frame().find(b.id()).bounds()), rc = RealWindow.fx(() -> t.studio.picture().frame()
                .find(c.id()).bounds());
        assertThat(rb.x() - ra.right()).isCloseTo(rc.x() - rb.right(), within(1e-6));
        RealWindow.fx(() -> t.w.options.alignTo = ToolOptions.AlignTo.LAST);
        t.run("match-width");
        assertThat(now(b).rest().get(Properties.SIZE).x()).isEqualTo(30);
        t.run("undo");
        assertThat(now(b).rest().get(Properties.SIZE).x()).isEqualTo(40);
    }

    @Test
    void areasAreCombined() throws Exception {
        add("A", new Content.Rectangle(), new Rect(100, 100, 100, 100), filled("#C8503A"));
        add("B", new Content.Ellipse(), new Rect(150, 120, 100, 60), filled("#5F8FA3"));
        t.run("select-all");
        t.run("combine-SUBTRACT");
        assertThat(t.studio.board().elements()).hasSize(1);
        Element e = t.studio.selected();
        assertThat(e.name()).isEqualTo("A");
        assertThat(e.rest().get(Properties.FILL)).isEqualTo(Color.parse("#C8503A"));
        assertThat(t.pixel(t.canvas(180, 150)).getRed()).as("a hole where the ellipse was").isGreaterThan(0.9);
        t.run("undo");
        assertThat(t.studio.board().elements()).hasSize(2);
    }

    @Test
    void rulerLinesAreDraggedOutAndBack() throws Exception {
        t.run("rulers");
        Point ruler = RealWindow.fx(() -> t.screen(t.w.canvas, 8, 300));
        t.drag(ruler, t.canvas(200, 150));
        assertThat(t.studio.board().lines()).containsExactly(new RulerLine(true, 200));
        t.drag(t.canvas(200, 250), ruler);
        assertThat(t.studio.board().lines()).isEmpty();
        t.run("undo");
        assertThat(t.studio.board().lines()).hasSize(1);
        // and elements snap to it
        Element e = add("A", new Content.Rectangle(), new Rect(100, 100, 40, 40), filled("#C8503A"));
        t.drag(t.canvas(120, 120), t.canvas(203, 220));
        assertThat(now(e).rest().get(Properties.POSITION).x()).isEqualTo(200);
    }

    @Test
    void thePivotIsMovedOnTheCanvas() throws Exception {
        Element e = add("A", new Content.Rectangle(), new Rect(100, 100, 120, 80), filled("#C8503A"));
        t.hold(KeyCode.CONTROL);
        t.drag(t.canvas(160, 140), t.canvas(220, 180));
        t.letGo(KeyCode.CONTROL);
        assertThat(now(e).rest().get(Properties.PIVOT)).satisfies(p -> assertThat(p.distance(new Point(1, 1))).isLessThan(0.01));
        // once it isn't in the middle it is taken hold of without a key
        t.drag(t.canvas(220, 180), t.canvas(160, 180));
        assertThat(now(e).rest().get(Properties.PIVOT).x()).isCloseTo(0.5, within(0.01));
        assertThat(RealWindow.fx(() -> t.studio.picture().frame().find(e.id()).bounds())).as("the art stays").satisfies(
                r -> assertThat(r.topLeft().distance(new Point(100, 100))).isLessThan(0.01));
    }

    @Test
    void theHandMovesTheViewKeepsADirectionAndGoesBack() throws Exception {
        t.keys(KeyCode.H);
        Point before = t.canvas(0, 0);
        t.drag(t.canvas(100, 100), t.canvas(160, 130));
        assertThat(t.canvas(0, 0).minus(before).distance(new Point(60, 30))).isLessThan(1e-9);
        t.hold(KeyCode.SHIFT);
        t.drag(t.canvas(100, 100), t.canvas(140, 112));
        t.letGo(KeyCode.SHIFT);
        assertThat(t.canvas(0, 0).minus(before).distance(new Point(100, 30))).as("only across").isLessThan(1e-9);
        t.dragHold(t.canvas(100, 100), t.canvas(50, 160));
        t.keys(KeyCode.ESCAPE);
        assertThat(t.canvas(0, 0).minus(before).distance(new Point(100, 30))).as("given up").isLessThan(1e-9);
        t.moveTo(t.canvas(60, 60));
        t.up();
        assertThat(t.canvas(0, 0).minus(before).distance(new Point(100, 30))).isLessThan(1e-9);
        assertThat(t.studio.history().undoName()).as("a view is no change").isNull();
    }

    @Test
    void theGlassZoomsOnAClickOrAnAreaAndOutWithAlt() throws Exception {
        t.keys(KeyCode.Z);
        Point at = t.canvas(200, 150);
        t.click(at);
        assertThat(zoom()).isCloseTo(1.5, within(1e-9));
        assertThat(t.canvas(200, 150).distance(at)).as("the place stands still").isLessThan(1.01);
        t.hold(KeyCode.ALT);
        t.click(at);
        t.letGo(KeyCode.ALT);
        assertThat(zoom()).isCloseTo(1, within(1e-9));
        t.dragHold(t.canvas(100, 100), t.canvas(200, 160));
        t.keys(KeyCode.ESCAPE);
        t.up();
        assertThat(zoom()).as("given up").isCloseTo(1, within(1e-9));
        t.drag(t.canvas(100, 100), t.canvas(200, 160));
        double w = RealWindow.fx(() -> t.w.canvas.getWidth()), h = RealWindow.fx(() -> t.w.canvas.getHeight());
        assertThat(zoom()).isCloseTo(Math.min(w / 100, h / 60), within(0.35));
        Point middle = RealWindow.fx(() -> t.w.canvas.viewport().toCanvas(new Point(w / 2, h / 2)));
        assertThat(middle.distance(new Point(150, 130))).isLessThan(1.5);
    }

    private double zoom() throws Exception {
        return RealWindow.fx(() -> t.w.canvas.viewport().zoom());
    }

    @Test
    void aTextDraggedWrapsAtThatWidthAndCanBeGivenUp() throws Exception {
        t.keys(KeyCode.T);
        t.dragHold(t.canvas(60, 60), t.canvas(200, 120));
        t.keys(KeyCode.ESCAPE);
        t.up();
        assertThat(t.studio.board().elements()).isEmpty();
        t.keys(KeyCode.T);
        // near the left edge it snaps to it; with Ctrl it does not
        t.drag(t.canvas(4, 60), t.canvas(170, 120));
        Element e = t.studio.selected();
        assertThat(e.rest().get(Properties.POSITION)).isEqualTo(new Point(0, 60));
        assertThat(((Content.Text) e.content()).wrap()).isEqualTo(170);
        t.keys(KeyCode.ESCAPE);
        t.keys(KeyCode.ESCAPE);
        t.keys(KeyCode.T);
        t.hold(KeyCode.CONTROL);
        t.drag(t.canvas(4, 160), t.canvas(170, 220));
        t.letGo(KeyCode.CONTROL);
        assertThat(t.studio.selected().rest().get(Properties.POSITION)).isEqualTo(new Point(4, 160));
        t.keys(KeyCode.ESCAPE);
        t.keys(KeyCode.ESCAPE);
        t.keys(KeyCode.T);
        t.hold(KeyCode.ALT);
        t.drag(t.canvas(330, 290), t.canvas(390, 330));
        t.letGo(KeyCode.ALT);
        assertThat(t.studio.selected().rest().get(Properties.POSITION)).as("from the middle").isEqualTo(new Point(270, 250));
        assertThat(((Content.Text) t.studio.selected().content()).wrap()).isEqualTo(120);
        t.keys(KeyCode.ESCAPE);
        for (int i = 0; i < 3; i++) {
            t.keys(KeyCode.CONTROL, KeyCode.Z);
        }
        assertThat(t.studio.board().elements()).isEmpty();
    }
}
