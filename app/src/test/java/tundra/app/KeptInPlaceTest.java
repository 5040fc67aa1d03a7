package tundra.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import javafx.geometry.Bounds;
import javafx.scene.Node;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.Region;
import org.junit.jupiter.api.Test;
import tundra.app.studio.Desk;
import tundra.core.edit.Keys;
import tundra.core.file.ProjectFile;
import tundra.core.geometry.Outline;
import tundra.core.geometry.Point;
import tundra.core.model.Color;
import tundra.core.model.Content;
import tundra.core.model.Drawing;
import tundra.core.model.Element;
import tundra.core.model.Flipbook;
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.core.model.Timeline;
import tundra.core.model.Values;
import tundra.core.motion.Easing;
import tundra.core.motion.Key;
import tundra.core.motion.Track;

/** What stays where it is while other things come, go and change; and what a row offers in every state. */
class KeptInPlaceTest extends InWindow {
    private void demo(Desk desk) throws Exception {
        Project demo = ProjectFile.read(Path.of(System.getProperty("tundra.samples"), "open-night.tundra"));
        RealWindow.fx(() -> {
            t.studio.open(demo, null);
            t.studio.setDesk(desk);
            return null;
        });
        t.settle();
    }

    private void select(String name) throws Exception {
        RealWindow.fx(() -> {
            t.studio.select(List.of(t.studio.board().elements().stream().filter(e -> e.name().equals(name)).findFirst().orElseThrow().id()));
            return null;
        });
        t.settle();
    }

    private Bounds box(String id) throws Exception {
        Node n = t.node(id);
        return RealWindow.fx(() -> n.localToScene(n.getLayoutBounds()));
    }

    private static Element path(String id) {
        Outline o = Outline.polygon(0, 0, 60, 0, 60, 40);
        return new Element(id, id, false, false, Values.NONE.with(Properties.POSITION, new Point(200, 200)).with(Properties.SIZE, new Point(60, 40))
                .with(Properties.STROKE, Color.BLACK).with(Properties.FILL, Color.parse("#C8503A")), new Content.Path(o, new Point(60, 40)));
    }

    @Test
    void everyRowHasItsKeyCircleAndKeysAnUnchangedValue() throws Exception {
        animate(new Timeline("main", Timeline.MAIN, 4_000_000, false, true, Map.of()), path("flag"));
        for (var p : List.of(Properties.POSITION, Properties.SIZE, Properties.ROTATION, Properties.SCALE, Properties.PIVOT, Properties.SKEW,
                Properties.OPACITY, Properties.FILL,
                Properties.STROKE, Properties.STROKE_WIDTH, Properties.DASH, Properties.GAP, Properties.DASH_OFFSET, Properties.REVEAL)) {
            t.click("key-" + p.key());
            assertThat(t.studio.timeline().track("flag", p)).as(p.key()).isNotNull();
            assertThat((Object) t.studio.timeline().track("flag", p).keys().getFirst().value()).as(p.key())
                    .isEqualTo(RealWindow.fx(() -> t.studio.target().valueAt("flag", p)));
            assertThat(box("key-" + p.key()).getMaxX()).as("the ring of %s is whole", p.key())
                    .isLessThan(RealWindow.fx(() -> t.stage.getScene().getWidth()));
            t.run("undo");
        }
    }

    @Test
    void aClickOnANameLeavesTheRowsWhereTheyAre() throws Exception {
        demo(Desk.ANIMATE);
        var lanes = t.window.timeline().lanes();
        var all = RealWindow.fx(() -> t.studio.board().elements().stream().map(Element::id).toList());
        for (String name : List.of("Title", "Sled", "Menu")) {
            String id = RealWindow.fx(() -> t.studio.board().elements().stream().filter(e -> e.name().equals(name)).findFirst().orElseThrow().id());
            var before = RealWindow.fx(() -> all.stream().map(e -> lanes.rowY(e, null)).toList());
            t.click(RealWindow.fx(() -> t.screen(lanes, 60, lanes.rowY(id, null))));
            assertThat(RealWindow.fx(() -> t.studio.selected().name())).isEqualTo(name);
            assertThat(RealWindow.fx(() -> all.stream().map(e -> lanes.rowY(e, null)).toList())).as(name).isEqualTo(before);
        }
        t.run("fold-all");
        var folded = RealWindow.fx(() -> all.reversed().stream().limit(5).map(e -> lanes.rowY(e, null)).toList());
        for (int i = 1; i < folded.size(); i++) {
            assertThat(folded.get(i) - folded.get(i - 1)).as("nothing unfolded between them").isCloseTo(folded.get(1) - folded.get(0), within(0.1));
        }
    }

    @Test
    void panelWidthsAreRememberedForEachDesk() throws Exception {
        demo(Desk.DRAW);
        double before = RealWindow.fx(() -> ((Region) t.node("edge-right").getParent()).getWidth());
        Point edge = t.middle("edge-right");
        t.flick(edge, new Point(edge.x() - 60, edge.y()));
        assertThat(RealWindow.fx(() -> ((Region) t.node("edge-right").getParent()).getWidth())).isCloseTo(before + 60, within(2.0));
        t.keys(KeyCode.ALT, KeyCode.DIGIT2);
        t.settle();
        assertThat(RealWindow.fx(() -> ((Region) t.node("edge-right").getParent()).getWidth())).as("another desk's own").isLessThan(before + 40);
        t.keys(KeyCode.ALT, KeyCode.DIGIT1);
        t.settle();
        assertThat(RealWindow.fx(() -> ((Region) t.node("edge-right").getParent()).getWidth())).isCloseTo(before + 60, within(2.0));
    }

    @Test
    void nothingSlidesWhenTheSavedStateChangesAndNoticesCoverNoTool() throws Exception {
        demo(Desk.DRAW);
        var tab = RealWindow.fx(() -> t.stage.getScene().getRoot().lookup(".tab-button"));
        double x = RealWindow.fx(() -> tab.localToScene(0, 0).getX());
        select("Title");
        t.fill("field-position-x", "500");
        assertThat(RealWindow.fx(() -> tab.localToScene(0, 0).getX())).isEqualTo(x);
        for (Desk d : List.of(Desk.DRAW, Desk.ANIMATE, Desk.INTERACT)) {
            RealWindow.fx(() -> {
                t.studio.setDesk(d);
                t.w.notices.problem("“north.svg” can't be brought in: its XML is damaged near line 12. Nothing was changed.");
                return null;
            });
            t.settle();
            assertThat(box("notice").intersects(box("tools"))).as(d + ": the notice covers the tools").isFalse();
        }
    }

    @Test
    void toolsStandInTheSamePlaceOnEveryDesk() throws Exception {
        demo(Desk.DRAW);
        for (Desk d : List.of(Desk.DRAW, Desk.ANIMATE, Desk.INTERACT)) {
            RealWindow.fx(() -> {
                t.studio.setDesk(d);
                return null;
            });
            t.settle();
            Bounds canvas = box("canvas"), tools = box("tools");
            assertThat(tools.getMinX() - canvas.getMinX()).as(d.toString()).isCloseTo(10, within(1.0));
            assertThat(tools.getMinY() - canvas.getMinY()).as(d.toString()).isCloseTo(10, within(1.0));
            assertThat(canvas.contains(tools)).as("the card is whole on " + d).isTrue();
        }
    }

    @Test
    void undoBringsBackTheSelectionAndCtrlYDoesAgain() throws Exception {
        animate(new Timeline("main", Timeline.MAIN, 4_000_000, false, true, Map.of()), path("a"), path("b"));
        t.fill("field-rotation", "30");
        RealWindow.fx(() -> {
            t.studio.select(List.of("b"));
            return null;
        });
        t.keys(KeyCode.CONTROL, KeyCode.Z);
        assertThat(t.studio.selection()).containsExactly("a");
        t.keys(KeyCode.CONTROL, KeyCode.Y);
        assertThat((Object) t.studio.timeline().track("a", Properties.ROTATION)).isNotNull();
    }

    private static Drawing drawing(int i) {
        return new Drawing(Flipbook.blank("Drawing " + i, new Point(100, 80)).withChildren(List.of(path("d" + i), path("e" + i))), 2 * i, 2);
    }

    private void book() throws Exception {
        var all = new ArrayList<Drawing>();
        for (int i = 0; i < 5; i++) {
            all.add(drawing(i));
        }
        var book = new Element("book", "Book", false, false, Values.NONE.with(Properties.POSITION, new Point(200, 200)),
                new Flipbook(all, new Point(100, 80), 24, Flipbook.Ending.LOOP));
        animate(new Timeline("main", Timeline.MAIN, 4_000_000, false, true, Map.of()), book, path("floor"));
        RealWindow.fx(() -> {
            t.studio.setDesk(Desk.DRAW);
            t.studio.select(List.of("book"));
            return null;
        });
        t.settle();
    }

    private List<Integer> held() throws Exception {
        return RealWindow.fx(() -> ((Flipbook) t.studio.board().find("book").content()).drawings().stream().map(Drawing::frames).toList());
    }

    @Test
    void steppingWhatTheRunTakesSpreadsTheFrames() throws Exception {
        book();
        t.click("field-takes");
        // each press is one frame more
        for (int i = 0; i < 12; i++) {
            t.keys(KeyCode.UP);
            List<Integer> held = held();
            assertThat(held.stream().mapToInt(x -> x).max().orElseThrow() - held.stream().mapToInt(x -> x).min().orElseThrow()).as("%s", held)
                    .isLessThanOrEqualTo(1);
        }
        assertThat(held().stream().mapToInt(x -> x).sum()).isEqualTo(22);
    }

    @Test
    void leavingAFlipbookIsSeenAndLeadsBack() throws Exception {
        book();
        Point origin = RealWindow.fx(() -> t.w.canvas.viewport().origin());
        RealWindow.fx(() -> {
            t.studio.groups().enter("book");
            return null;
        });
        t.settle();
        t.keys(KeyCode.ESCAPE);
        t.keys(KeyCode.ESCAPE);
        assertThat(t.studio.groups().inside()).isNull();
        assertThat(RealWindow.fx(() -> t.w.canvas.viewport().origin())).as("the canvas stays").isEqualTo(origin);
        assertThat(RealWindow.fx(() -> t.window.drawings().getScene() != null)).as("the strip stays").isTrue();
        t.click("place-back");
        assertThat(t.studio.book().is()).isTrue();
    }

    @Test
    void rowsOfADrawingAreDroppedBetweenRows() throws Exception {
        book();
        RealWindow.fx(() -> {
            t.studio.groups().enter("book");
            return null;
        });
        t.settle();
        var list = t.node("outline-list");
        // floor, Book, and the two parts of the drawing that is seen: the lower one goes above the upper
        Point lower = RealWindow.fx(() -> t.screen(list, 80, 3 * 26 + 13)), above = RealWindow.fx(() -> t.screen(list, 80, 2 * 26 + 4));
        t.drag(lower, above);
        Flipbook after = (Flipbook) t.studio.board().find("book").content();
        assertThat(after.drawings().getFirst().art().children()).extracting(Element::id).containsExactly("e0", "d0");
        assertThat(t.studio.board().elements()).hasSize(2);
    }

    @Test
    void valuesFromTheCurveEditorAreRounded() throws Exception {
        animate(new Timeline("main", Timeline.MAIN, 4_000_000, false, true, Map.of()).with("flag", Properties.ROTATION,
                new Track<>(List.of(new Key<>(0, 0.0, Easing.LINEAR), new Key<>(2_000_000, 90.0, Easing.LINEAR)))), path("flag"));
        var lanes = t.window.timeline().lanes();
        RealWindow.fx(() -> {
            t.studio.time().selectKeys(List.of(new Keys.Ref("flag", Properties.ROTATION, 2_000_000)));
            return null;
        });
        t.run("lane-grow");
        t.settle();
        Point bead = RealWindow.fx(() -> {
            Point at = lanes.place("flag", Properties.ROTATION, 2_000_000);
            return t.screen(lanes, at.x(), at.y());
        });
        t.drag(bead, bead.plus(new Point(0, 17)));
        double value = t.studio.timeline().track("flag", Properties.ROTATION).keys().getLast().value();
        assertThat(value).isNotEqualTo(90).isEqualTo(Math.rint(value * 10) / 10);
    }

    @Test
    void fontsAndReactionsComeAlong() throws Exception {
        demo(Desk.DRAW);
        select("Start the sled");
        int before = RealWindow.fx(() -> t.studio.board().reactions().size());
        t.keys(KeyCode.CONTROL, KeyCode.C);
        t.keys(KeyCode.CONTROL, KeyCode.V);
        assertThat(RealWindow.fx(() -> t.studio.board().reactions().size())).isEqualTo(before + 1);
        t.keys(KeyCode.CONTROL, KeyCode.X);
        t.keys(KeyCode.CONTROL, KeyCode.V);
        assertThat(RealWindow.fx(() -> t.studio.board().reactions().size())).as("cut and pasted").isEqualTo(before + 1);
        t.keys(KeyCode.CONTROL, KeyCode.D);
        assertThat(RealWindow.fx(() -> t.studio.board().reactions().size())).as("duplicated").isEqualTo(before + 2);
    }
}
