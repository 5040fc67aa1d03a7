package tundra.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import javafx.geometry.Bounds;
import javafx.scene.Node;
import javafx.scene.control.ContextMenu;
import javafx.scene.control.Label;
import javafx.scene.control.ListView;
import javafx.scene.input.KeyCode;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;
import javafx.stage.Window;
import javafx.stage.WindowEvent;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.Test;
import tundra.app.command.Command;
import tundra.app.job.Dialogs;
import tundra.app.studio.Desk;
import tundra.app.tool.ToolKind;
import tundra.core.geometry.Point;
import tundra.core.model.Actions;
import tundra.core.model.Project;
import tundra.core.model.Scene;
import tundra.core.model.Timeline;

/** The frame of the window: finding things, losing nothing, themes, reactions and trying them. */
class WindowTest extends InWindow {
    private void openDemo() throws Exception {
        t.fx(() -> {
            t.w.files.load(Path.of(System.getProperty("tundra.samples"), "open-night.tundra"));
            return null;
        });
        t.settle();
    }

    @Test
    void everythingIsFoundByName() throws Exception {
        openDemo();
        t.keys(KeyCode.CONTROL, KeyCode.K);
        t.type("select sled");
        var list = (ListView<?>) t.node("find-list");
        assertThat(list.getItems()).extracting(c -> ((Command) c).name().get()).startsWith("Select Sled (group)")
                .contains("Select Start the sled (instance)");
        t.keys(KeyCode.ENTER);
        assertThat(t.studio.selected().name()).isEqualTo("Sled");
        t.keys(KeyCode.CONTROL, KeyCode.K);
        t.type("animate");
        t.keys(KeyCode.ENTER);
        assertThat(t.studio.desk()).isEqualTo(Desk.ANIMATE);
        t.keys(KeyCode.CONTROL, KeyCode.K);
        t.keys(KeyCode.ESCAPE);
        assertThat(t.fx(() -> t.stage.getScene().lookup("#find-query"))).isNull();
    }

    @Test
    void everyCommandHasANameAndNoShortcutIsUsedTwice() {
        var shortcuts = new HashMap<String, String>();
        for (Command c : t.w.commands.all()) {
            assertThat(c.name().get()).isNotBlank();
            if (c.shortcut() != null) {
                assertThat(shortcuts.put(c.shortcut().getName(), c.id())).as(c.id() + " shares its shortcut").isNull();
            }
        }
        assertThat(shortcuts).hasSizeGreaterThan(40);
    }

    @Test
    void changesAreNotLostWithoutAsking() throws Exception {
        t.keys(KeyCode.R);
        t.drag(t.canvas(50, 50), t.canvas(90, 90));
        Project mine = t.studio.project();
        t.newPiece = new Dialogs.NewPiece(new Point(100, 100), 12);
        t.unsavedAnswer = Dialogs.Unsaved.CANCEL;
        t.keys(KeyCode.CONTROL, KeyCode.N);
        assertThat(t.unsavedAsked).isEqualTo(1);
        assertThat(t.studio.project()).isSameAs(mine);
        t.fx(() -> {
            t.stage.getOnCloseRequest().handle(new WindowEvent(t.stage, WindowEvent.WINDOW_CLOSE_REQUEST));
            return null;
        });
        assertThat(t.unsavedAsked).isEqualTo(2);
        assertThat(t.stage.isShowing()).isTrue();
        t.unsavedAnswer = Dialogs.Unsaved.DISCARD;
        t.keys(KeyCode.CONTROL, KeyCode.N);
        assertThat(t.studio.project().frameRate()).isEqualTo(12);
        assertThat(t.words("saved-state")).isEqualTo("new\n");
    }

    @Test
    void bothThemesShow() throws Exception {
        openDemo();
        Point panel = t.fx(() -> t.screen(t.w.details.get(), 100, 500));
        assertThat(t.pixel(panel).getBrightness()).isGreaterThan(0.9);
        t.run("theme");
        assertThat(t.pixel(panel).getBrightness()).isLessThan(0.2);
        assertThat(t.w.settings.dark()).isTrue();
    }

    @Test
    void undoSaysWhatItTakesBack() throws Exception {
        t.keys(KeyCode.E);
        t.drag(t.canvas(50, 50), t.canvas(90, 90));
        assertThat(t.w.commands.get("undo").name().get()).isEqualTo("Undo draw Ellipse");
        t.click("do-undo");
        assertThat(t.w.commands.get("redo").name().get()).isEqualTo("Redo draw Ellipse");
        t.click("do-redo");
        assertThat(t.studio.board().elements()).hasSize(1);
    }

    @Test
    void windowsMayBeTinyOrHuge() throws Exception {
        openDemo();
        for (int[] size : new int[][] {{900, 560}, {1590, 980}, {1280, 800}}) {
            for (Desk d : Desk.values()) {
                t.fx(() -> {
                    t.stage.setWidth(size[0]);
                    t.stage.setHeight(size[1]);
                    t.studio.setDesk(d);
                    return null;
                });
                t.settle();
            }
            t.fx(() -> {
                t.studio.setDesk(Desk.DRAW);
                return null;
            });
            t.settle();
            Bounds canvas = seen(t.w.canvas);
            for (ToolKind k : ToolKind.values()) {
                assertThat(canvas.contains(seen(t.node("tool-" + k)))).as("%s at %d px", k.label, size[0]).isTrue();
            }
        }
        assertThat(t.studio.project().name()).isEqualTo("Open Night");
    }

    /** Keys that come while a desk is made go to nothing that they were not meant for, such as the menu in the corner. */
    @Test
    void keysPressedWhileADeskIsMadeOpenNothing() throws Exception {
        openDemo();
        for (Desk d : List.of(Desk.ANIMATE, Desk.INTERACT, Desk.PUBLISH, Desk.DRAW, Desk.PUBLISH, Desk.ANIMATE)) {
            RealWindow.fx(() -> {
                t.studio.setDesk(d);
                return null;
            });
            for (int i = 0; i < 4; i++) {
                Node focus = RealWindow.fx(() -> t.stage.getScene().getFocusOwner());
                assertThat(focus == null || focus == t.w.canvas || focus == t.stage.getScene().getRoot()).as("%s, pulse %d: the keyboard is at %s",
                        d, i, focus).isTrue();
                t.hold(KeyCode.SPACE);
                t.letGo(KeyCode.SPACE);
                RealWindow.pulses(1);
            }
            t.settle();
            RealWindow.fx(() -> {
                t.w.playback.stop();
                return null;
            });
            assertThat(RealWindow.fx(() -> Window.getWindows().stream().filter(w -> w instanceof ContextMenu).count())).as("menus").isZero();
        }
    }

    /** Twelve scenes in a small window: the piece keeps its name, every tab has its place, and the long names are cut to one width. */
    @Test
    void manyScenesLeaveThePieceItsName() throws Exception {
        RealWindow.fx(() -> {
            t.stage.setWidth(1000);
            t.stage.setHeight(640);
            Project p = t.studio.project();
            var scenes = new ArrayList<Scene>();
            for (int i = 0; i < 12; i++) {
                scenes.add(new Scene("s" + i, i % 3 == 0 ? "A scene of a very long name " + i : "S" + i, p.scenes().getFirst().board()
                        .withTimelines(List.of(
                        new Timeline("t" + i, Timeline.MAIN, 1_000_000, false, true, Map.of())))));
            }
            t.studio.open(p.withScenes(scenes).withName("Harbour lights"), null);
            return null;
        });
        t.settle();
        Bounds bar = seen(t.node("do-undo"));
        double before = seen(t.node("saved-state")).getMaxX();
        for (int i = 1; i <= 12; i++) {
            Bounds tab = seen(t.node("tab-" + i));
            assertThat(tab.getMinX()).as("tab " + i).isGreaterThanOrEqualTo(before);
            assertThat(tab.getWidth()).isGreaterThanOrEqualTo(39);
            before = tab.getMaxX();
        }
        assertThat(before).isLessThan(bar.getMinX());
        assertThat(seen(t.node("tab-1")).getWidth()).isCloseTo(seen(t.node("tab-4")).getWidth(), Assertions.within(1.0));
        assertThat(seen(t.stage.getScene().lookup("#saved-state")).getMinX() - seen(t.node("main-menu")).getMaxX()).as("room for the piece's name")
                .isGreaterThan(60);
    }

    private Bounds seen(Node n) throws Exception {
        return RealWindow.fx(() -> n.localToScene(n.getLayoutBounds()));
    }

    @Test
    void reactionsAreSentencesWhoseWordsChange() throws Exception {
        t.keys(KeyCode.R);
        t.drag(t.canvas(50, 50), t.canvas(90, 90));
        t.run("add-reaction");
        assertThat(t.studio.desk()).isEqualTo(Desk.INTERACT);
        t.click("chip-verb");
        t.keys(KeyCode.DOWN);
        t.keys(KeyCode.ENTER);
        var action = t.studio.board().reactions().getFirst().actions().getFirst();
        assertThat(action.kind()).isEqualTo(Actions.PAUSE);
        t.keys(KeyCode.CONTROL, KeyCode.Z);
        assertThat(t.studio.board().reactions().getFirst().actions().getFirst().kind()).isEqualTo(Actions.PLAY_FROM_START);
        t.keys(KeyCode.CONTROL, KeyCode.Z);
        assertThat(t.studio.board().reactions()).isEmpty();
    }

    @Test
    void tryingRunsTheRealPageAndLogsWhatFires() throws Exception {
        openDemo();
        t.keys(KeyCode.CONTROL, KeyCode.T);
        t.until(() -> t.w.tryIt.log().stream().anyMatch(l -> l.text().equals("the piece is ready")));
        new TriedPage(t).ask("document.querySelector('[aria-label=\"Start the sled\"]').click()");
        t.until(() -> t.w.tryIt.log().stream().anyMatch(l -> l.text().equals("When Start the sled is tapped") && l.reaction().equals("r-start")));
        t.until(() -> t.w.tryIt.log().stream().anyMatch(l -> l.text().equals("play Sled run from start")));
        assertThat(t.fx(() -> t.stage.getScene().lookup("#sentence-1").getStyleClass())).contains("lit");
        // a line of the log leads to its moment on the canvas
        t.until(() -> t.w.tryIt.log().stream().anyMatch(l -> l.timeline().equals("t-sled")));
        var line = t.w.tryIt.log().stream().filter(l -> l.timeline().equals("t-sled")).findFirst().orElseThrow();
        t.fx(() -> {
            t.stage.getScene().getRoot().lookupAll(".log-jump").stream().filter(n -> ((Label) n).getText().endsWith(line.text())).findFirst()
                    .orElseThrow()
                    .fireEvent(new MouseEvent(MouseEvent.MOUSE_CLICKED, 0, 0, 0, 0, MouseButton.PRIMARY, 1, false, false, false, false, true, false,
                    false, true, false, true, null));
            return null;
        });
        t.settle();
        assertThat(t.fx(() -> t.studio.timeline().name())).isEqualTo("Sled run");
        t.keys(KeyCode.CONTROL, KeyCode.T);
        t.until(() -> t.stage.getScene().lookup("#try-leave") != null);
        // the system's browser gets the same page, whose log comes here too
        t.run("open-browser");
        assertThat(t.opened).startsWith("http://127.0.0.1:");
        try (HttpClient c = HttpClient.newHttpClient()) {
            String page = c.send(HttpRequest.newBuilder(URI.create(t.opened)).build(), HttpResponse.BodyHandlers.ofString()).body();
            assertThat(page).contains("Open Night").contains("tundra-log.js");
        }
        t.click("try-leave");
        assertThat(t.fx(() -> t.w.canvas.getScene() != null)).isTrue();
    }
}
