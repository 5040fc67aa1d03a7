package tundra.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import javafx.geometry.Bounds;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.control.Control;
import javafx.scene.control.ListView;
import javafx.scene.control.ScrollPane;
import javafx.scene.input.KeyCode;
import javafx.stage.Window;
import org.fxmisc.flowless.Virtualized;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import tundra.app.studio.Desk;
import tundra.app.tool.ToolKind;
import tundra.app.widget.LightButton;
import tundra.core.geometry.Point;
import tundra.core.model.Board;
import tundra.core.model.Color;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Ids;
import tundra.core.model.Layout;
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.core.model.Scene;
import tundra.core.model.Timeline;
import tundra.core.model.Values;

/** On every desk, with every tool and several kinds of things selected, in small and large windows: everything has its room. */
@Tag("long")
class RoomTest extends InWindow {
    private static Element element(String id, Content c) {
        return new Element(id, id, false, false, Values.NONE.with(Properties.POSITION, new Point(200, 150)).with(Properties.SIZE, new Point(160, 120))
                .with(Properties.FILL, Color.parse("#1C6A5E")), c);
    }

    private static boolean hides(Node n) {
        return n instanceof ScrollPane || n instanceof ListView<?> || n.getClip() != null || n.getStyleClass().contains("virtual-flow")
                || n instanceof Virtualized;
    }

    /** What lies beyond the window, by its id or class. */
    private static void beyond(Node n, double wide, double high, List<String> out) {
        if (!n.isVisible() || hides(n)) {
            return;
        }
        Bounds b = n.localToScene(n.getLayoutBounds());
        boolean button = n instanceof LightButton || n instanceof Control;
        if (button && n.isManaged() && b.getWidth() > 0 && (b.getMaxX() > wide + 1 || b.getMaxY() > high + 1 || b.getMinX() < -1
                || b.getMinY() < -1)) {
            out.add((n.getId() == null ? n.getClass().getSimpleName() + n.getStyleClass() : n.getId()) + " " + Math.round(b.getMinX()) + "–"
                    + Math.round(b.getMaxX()) + ", " + Math.round(b.getMinY()) + "–" + Math.round(b.getMaxY()));
        }
        if (n instanceof Parent p) {
            p.getChildrenUnmodifiable().forEach(c -> beyond(c, wide, high, out));
        }
    }

    /** @param where is said before each */
    private List<String> beyond(String where) throws Exception {
        return RealWindow.fx(() -> {
            var out = new ArrayList<String>();
            beyond(t.stage.getScene().getRoot(), t.stage.getScene().getWidth(), t.stage.getScene().getHeight(), out);
            return out.stream().map(x -> where + x).toList();
        });
    }

    private void resize(int[] size) throws Exception {
        RealWindow.fx(() -> {
            t.stage.setWidth(size[0]);
            t.stage.setHeight(size[1]);
            return null;
        });
    }

    @Test
    void nothingLeavesTheWindowAndTheCanvasStands() throws Exception {
        var all = List.of(element("box", new Content.Rectangle()),
                element("words", new Content.Text("Open night", "Figtree", 400, 24, Content.Align.LEFT, 1.2)),
                element("group", new Content.Group(List.of(element("inner", new Content.Ellipse())), new Point(160, 120), null)));
        var board = new Board(new Point(640, 400), Values.NONE, all, List.of(new Timeline("main", Timeline.MAIN, 1_000_000, false, true, Map.of())),
                List.of());
        RealWindow.fx(() -> {
            t.studio.open(new Project(Ids.next(), "A piece of a long name", 24, List.of(new Scene("s", "Arrival", board),
                    new Scene("z", "Night walk", board.withElements(List.of()))), Map.of(), Map.of()), null);
            return null;
        });
        var wrong = new ArrayList<String>();
        for (int[] size : new int[][] {{900, 560}, {1000, 640}, {1280, 800}, {1580, 960}}) {
            resize(size);
            t.settle();
            for (Desk d : List.of(Desk.DRAW, Desk.ANIMATE, Desk.INTERACT)) {
                RealWindow.fx(() -> {
                    t.studio.setDesk(d);
                    return null;
                });
                t.settle();
                RealWindow.pulses(4);
                t.run("fit");
                t.settle();
                for (List<String> ids : List.of(List.<String>of(), List.of("box"), List.of("words"), List.of("group"), List.of("box", "words"))) {
                    for (ToolKind k : ToolKind.values()) {
                        RealWindow.fx(() -> {
                            t.w.tools.take(ToolKind.SELECT);
                            t.studio.select(ids);
                            Parent root = t.stage.getScene().getRoot();
                            root.applyCss();
                            root.layout();
                            var before = t.w.canvas.viewport();
                            double width = t.w.canvas.getWidth(), height = t.w.canvas.getHeight();
                            t.w.tools.take(k);
                            root.applyCss();
                            root.layout();
                            String where = size[0] + "×" + size[1] + " " + d + " " + k + " " + ids + ": ";
                            if (t.w.canvas.viewport().zoom() != before.zoom() || t.w.canvas.getWidth() != width || t.w.canvas.getHeight() != height) {
                                wrong.add(where + "the canvas is " + Math.round(t.w.canvas.getWidth()) + "×" + Math.round(t.w.canvas.getHeight())
                                        + ", was " + Math.round(width) + "×" + Math.round(height));
                            }
                            var out = new ArrayList<String>();
                            beyond(root, t.stage.getScene().getWidth(), t.stage.getScene().getHeight(), out);
                            out.forEach(x -> wrong.add(where + x));
                            return null;
                        });
                    }
                }
            }
        }
        t.run("try");
        t.settle();
        for (int[] size : new int[][] {{900, 560}, {1000, 640}, {1280, 800}}) {
            resize(size);
            t.settle();
            RealWindow.pulses(3);
            wrong.addAll(beyond(size[0] + "×" + size[1] + " while it is tried: "));
        }
        assertThat(wrong.stream().limit(40)).as("%d in all", wrong.size()).isEmpty();
    }

    /** Layouts have their room on every desk that shows them, also three with names as long as people give. */
    @Test
    void layoutsHaveTheirRoom() throws Exception {
        var all = List.of(element("box", new Content.Rectangle()),
                element("words", new Content.Text("Open night", "Figtree", 400, 24, Content.Align.LEFT, 1.2)));
        var board = new Board(new Point(960, 400), Values.NONE, all, List.of(new Timeline("main", Timeline.MAIN, 1_000_000, false, true, Map.of())),
                List.of()).withLayouts(List.of(
                new Layout("a", "Phone upright", 0, 500, new Point(360, 640)), new Layout("b", "Tablet", 500, 900, new Point(768, 1024)),
                new Layout("c", "Low wide banner", 1400, Layout.WIDEST, new Point(1600, 240))));
        RealWindow.fx(() -> {
            t.studio.open(new Project(Ids.next(), "A piece of a long name", 24, List.of(new Scene("s", "Arrival", board)), Map.of(), Map.of()), null);
            return null;
        });
        var wrong = new ArrayList<String>();
        for (int[] size : new int[][] {{900, 560}, {1000, 640}, {1280, 800}}) {
            for (Desk d : List.of(Desk.ADAPT, Desk.DRAW, Desk.ANIMATE, Desk.INTERACT)) {
                for (String layout : new String[] {null, "a", "c"}) {
                    resize(size);
                    RealWindow.fx(() -> {
                        t.studio.setDesk(d);
                        t.studio.layouts().setLayout(layout);
                        t.studio.select(List.of("words"));
                        return null;
                    });
                    t.settle();
                    RealWindow.pulses(3);
                    wrong.addAll(beyond(size[0] + "×" + size[1] + " " + d + " " + layout + ": "));
                }
            }
        }
        assertThat(wrong.stream().limit(40)).as("%d in all", wrong.size()).isEmpty();
    }

    /** A button that is opened in place has its way back, its looks and its drawings in view, whatever it and its scene are called. */
    @Test
    void theWayIntoAButtonHasItsRoom() throws Exception {
        var ground = element("box", new Content.Rectangle());
        var board = new Board(new Point(640, 400), Values.NONE, List.of(ground),
                List.of(new Timeline("main", Timeline.MAIN, 1_000_000, false, true, Map.of())), List.of());
        Project p = new Project(Ids.next(), "P", 24, List.of(new Scene("s", "Arrival at the station by night", board)), Map.of(), Map.of());
        RealWindow.fx(() -> {
            t.studio.open(p, null);
            t.studio.select(List.of("box"));
            return null;
        });
        t.run("button-make");
        t.run("motif-make");
        t.run("motif-open");
        RealWindow.fx(() -> {
            t.studio.navigation().openInPlace(t.studio.board().elements().getFirst().id());
            t.studio.setDesk(Desk.DRAW);
            t.studio.time().seek(500_000);
            return null;
        });
        t.settle();
        assertThat(t.words("way")).contains("only pointer over");
        for (int[] size : new int[][] {{900, 560}, {1000, 640}, {1280, 800}}) {
            resize(size);
            t.settle();
            RealWindow.pulses(3);
            var out = new ArrayList<String>();
            RealWindow.fx(() -> {
                beyond(t.stage.getScene().getRoot(), t.stage.getScene().getWidth(), t.stage.getScene().getHeight(), out);
                return null;
            });
            assertThat(out).as("%d×%d", size[0], size[1]).isEmpty();
        }
    }

    /** The settings for which there is no room stand in a box, and work from there. */
    @Test
    void settingsWithoutRoomAreInABox() throws Exception {
        RealWindow.fx(() -> {
            t.stage.setWidth(1000);
            t.stage.setHeight(640);
            t.w.tools.take(ToolKind.POLYGON);
            return null;
        });
        t.settle();
        t.click("more-settings");
        t.settle();
        Node radius = RealWindow.fx(() -> Window.getWindows().stream().map(w -> w.getScene().lookup("#option-inner-radius")).filter(Objects::nonNull)
                .findFirst().orElseThrow());
        assertThat(RealWindow.fx(() -> radius.isVisible() && radius.getScene() != t.stage.getScene())).as("in the box").isTrue();
        t.keys(KeyCode.ESCAPE);
        t.until(() -> radius.getScene() == t.stage.getScene());
    }
}
