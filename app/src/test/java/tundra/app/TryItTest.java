package tundra.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import javafx.scene.control.Label;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tundra.app.page.PageView;
import tundra.app.studio.Desk;
import tundra.app.widget.LightButton;
import tundra.core.edit.Scripts;
import tundra.core.geometry.Point;
import tundra.core.model.Actions;
import tundra.core.model.Board;
import tundra.core.model.Color;
import tundra.core.model.Conditions;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Event;
import tundra.core.model.Events;
import tundra.core.model.Ids;
import tundra.core.model.PieceValue;
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.core.model.Reaction;
import tundra.core.model.Scene;
import tundra.core.model.Script;
import tundra.core.model.Timeline;
import tundra.core.model.Values;
import tundra.render.VideoReader;

/** The page in the window, tried as visitors of several kinds. */
class TryItTest extends InWindow {
    private TriedPage page;

    private static PieceValue number(String id) {
        return new PieceValue(id, id, PieceValue.Kind.NUMBER, "0", false);
    }

    private static Reaction counts(String value, Event when) {
        return new Reaction("r-" + value, when, List.of(Actions.of(Actions.ADD_VALUE, value, 1.0)));
    }

    @BeforeEach
    void tryIt() throws Exception {
        var lamp = new Element("lamp", "Lamp", false, false, Values.NONE.with(Properties.POSITION, new Point(200, 150))
                .with(Properties.SIZE, new Point(160, 120)).with(Properties.FILL, Color.parse("#1C6A5E")), new Content.Rectangle());
        var reactions = List.of(counts("over", Events.of(Events.OVER, "lamp")), counts("tapped", Events.tapped("lamp")),
                counts("swiped", Events.of(Events.SWIPED, "lamp", "left")), counts("left", Events.of(Events.KEY_PRESSED, "Escape")),
                counts("lettered", Events.of(Events.KEY_PRESSED, "B")), counts("arrowed", Events.of(Events.KEY_PRESSED, "ArrowLeft")),
                new Reaction("quiet", Events.of(Events.OPENED), List.of(Conditions.of(Conditions.MOTION, "asked for")), false,
                List.of(Actions.of(Actions.SET_VALUE, "less", "1")), List.of(), false, ""));
        var board = new Board(new Point(640, 400), Values.NONE, List.of(lamp),
                List.of(new Timeline("main", Timeline.MAIN, 1_000_000, false, true, Map.of())), reactions);
        RealWindow.fx(() -> {
            t.studio.open(new Project(Ids.next(), "Test", 24, List.of(new Scene("s", "Scene", board)), Map.of(), Map.of())
                    .withValues(List.of(number("over"), number("tapped"), number("swiped"), number("left"), number("lettered"), number("arrowed"),
                    number("less"))), null);
            t.studio.setDesk(Desk.INTERACT);
            return null;
        });
        t.settle();
        page = new TriedPage(t);
        t.run("try");
        page.begun("");
    }

    private void is(String value, int n) throws Exception {
        page.until("String(Tundra.pieces[0].value('" + value + "'))", "" + n);
    }

    private int now(String value) throws Exception {
        return Integer.parseInt(page.ask("String(Tundra.pieces[0].value('" + value + "'))"));
    }

    @Test
    void aFingerComesOverNothing() throws Exception {
        PageView v = page.view();
        Point lamp = RealWindow.fx(() -> t.screen(v, 200, 150)), beside = RealWindow.fx(() -> t.screen(v, 500, 330));
        t.drag(beside, beside);
        t.drag(lamp, lamp);
        is("tapped", 1);
        assertThat(now("over")).as("the mouse").isEqualTo(1);
        t.click("try-touch");
        page.begun("&touch");
        t.drag(beside, beside);
        t.drag(lamp, lamp);
        is("tapped", 1);
        assertThat(now("over")).as("a finger").isZero();
        t.drag(lamp, RealWindow.fx(() -> t.screen(v, 130, 152)));
        is("swiped", 1);
    }

    @Test
    void withoutAMouseByKeyboardOnly() throws Exception {
        PageView v = page.view();
        t.click("try-keys");
        t.until(() -> !v.hands() && v.isFocused() && v.loaded() != null);
        page.until("typeof Tundra === 'object' && Tundra.pieces.length === 1", "true");
        Point lamp = RealWindow.fx(() -> t.screen(v, 200, 150));
        t.drag(lamp, lamp);
        RealWindow.fx(() -> {
            v.requestFocus();
            return null;
        });
        t.keys(KeyCode.TAB);
        t.keys(KeyCode.ENTER);
        is("tapped", 1);
        assertThat(now("over")).isZero();
        t.keys(KeyCode.ESCAPE);
        is("left", 1);
        t.keys(KeyCode.B);
        is("lettered", 1);
        t.keys(KeyCode.LEFT);
        is("arrowed", 1);
    }

    @Test
    void withLessMotionAndInANarrowWindow() throws Exception {
        PageView v = page.view();
        assertThat(now("less")).isZero();
        t.click("try-less");
        page.begun("&less");
        is("less", 1);
        t.click("try-width");
        t.choose("try-width-375");
        page.until("typeof Tundra === 'object' && innerWidth === 375", "true");
    }

    @Test
    void theWindowIsMadeNarrowerWhileThePageGoesOn() throws Exception {
        page.until("String((window.marked = 1))", "1");
        var handle = t.node("try-handle");
        int before = Integer.parseInt(page.ask("String(innerWidth)"));
        Point grip = RealWindow.fx(() -> t.screen(handle, 4, 30));
        t.drag(grip, new Point(grip.x() - 60, grip.y()));
        page.until("String(innerWidth < " + (before - 80) + " && window.marked === 1)", "true");
        // the page follows the hand a little later
        t.settle();
        int now = Integer.parseInt(RealWindow.fx(() -> ((LightButton) t.node("try-width")).getText()).replaceAll("\\D", ""));
        page.until("String(innerWidth)", "" + now);
        RealWindow.fx(() -> {
            handle.requestFocus();
            return null;
        });
        t.keys(KeyCode.RIGHT);
        page.until("String(innerWidth)", "" + (now + 10));
        assertThat(RealWindow.fx(() -> ((LightButton) t.node("try-width")).getText())).isEqualTo(now + 10 + " px wide");
    }

    @Test
    void theWindowIsMadeHigherWhileThePageGoesOn() throws Exception {
        page.until("String((window.marked = 1))", "1");
        int before = Integer.parseInt(page.ask("String(innerHeight)"));
        RealWindow.fx(() -> {
            t.node("try-handle-below").requestFocus();
            return null;
        });
        t.keys(KeyCode.UP);
        t.keys(KeyCode.UP);
        page.until("innerHeight + ' ' + window.marked", before - 20 + " 1");
        as("try-dark");
        page.until("String(matchMedia('(prefers-color-scheme: dark)').matches)", "true");
        assertThat(RealWindow.fx(() -> ((LightButton) t.node("try-width")).getText())).isEqualTo("As wide as the scene, " + (before - 20)
                + " high, dark");
        as("try-dark");
        as("try-width-0");
        page.until("String(innerHeight)", "" + before);
    }

    /** How long the window takes to do something, in ms, while the page is in trouble. */
    private long answersWithin() throws Exception {
        long most = 0;
        for (int i = 0; i < 20; i++) {
            long from = System.nanoTime();
            RealWindow.fx(() -> {
                t.studio.select(List.of("lamp"));
                return null;
            });
            most = Math.max(most, System.nanoTime() - from);
            RealWindow.pulses(1);
        }
        return most / 1_000_000;
    }

    /** Those that run pages for this one. */
    private static Stream<ProcessHandle> processes() {
        return ProcessHandle.current().children().filter(p -> p.info().command().orElse("").endsWith("java"));
    }

    private boolean troubled() {
        return t.stage.getScene().lookup("#try-trouble").getParent().isVisible();
    }

    @Test
    void aPageThatHangsOrDiesIsRunAgain() throws Exception {
        RealWindow.fx(() -> t.window.tryView().page().ask("for (;;) {}"));
        t.until(this::troubled);
        assertThat(t.words("try-trouble")).startsWith("The page does not answer").contains("Your piece is safe.");
        long wait = answersWithin();
        System.out.println("while the page stands still the window answers within " + wait + " ms");
        assertThat(wait).isLessThan(1000);
        t.click("try-anew");
        page.begun("");
        assertThat(RealWindow.fx(this::troubled)).isFalse();
        assertThat(now("tapped")).isZero();

        processes().forEach(ProcessHandle::destroyForcibly);
        t.until(() -> troubled() && ((Label) t.stage.getScene().lookup("#try-trouble")).getText()
                .startsWith("The page's process has ended by itself. Your piece is safe."));
        t.click("try-anew");
        page.begun("");
        PageView v = page.view();
        Point lamp = RealWindow.fx(() -> t.screen(v, 200, 150));
        t.drag(lamp, lamp);
        is("tapped", 1);
    }

    /** A script that never ends is ended, and the log says which and where. */
    @Test
    void aLoopThatNeverEndsIsStopped() throws Exception {
        RealWindow.fx(() -> {
            t.studio.editProject("script", null, p -> {
                Project q = Scripts.add(p, "spin");
                Script s = q.scripts().getFirst();
                return Scripts.source(q, s.id(), "export function spin(page) {\n  page.set('tapped', 7);\n  while (true) {}\n}\n")
                        .mapBoard("s", b -> b.withReactions(List.of(new Reaction("r", Events.tapped("lamp"), List.of(Actions.of(Actions.RUN, s.id()),
                        Actions.of(Actions.ADD_VALUE, "over", 3.0))))));
            });
            return null;
        });
        t.click("try-again");
        t.settle();
        page.begun("");
        page.ask("setTimeout(() => document.querySelector('[aria-label=Lamp]').click())");
        t.until(() -> t.w.tryIt.log().stream().anyMatch(l -> l.text().contains("the script spin went on and on in line 3, so it was stopped")));
        is("tapped", 7);
        is("over", 3);
    }

    /** What the page shows is shown: the picture that came over is the page's. */
    @Test
    void thePictureIsThePages() throws Exception {
        PageView v = page.view();
        page.until("String(document.readyState)", "complete");
        t.until(() -> v.snapshot(null, null).getPixelReader().getArgb(200, 150) == 0xFF1C6A5E);
        page.ask("document.querySelector('.t-lamp').style.visibility = 'hidden'");
        t.until(() -> v.snapshot(null, null).getPixelReader().getArgb(200, 150) == 0xFFFFFFFF);
        assertThat(processes()).hasSize(1);
        // the process ends with the window
        RealWindow.fx(() -> {
            t.w.tryIt.close();
            return null;
        });
        long end = System.nanoTime() + 20_000_000_000L;
        while (processes().findAny().isPresent()) {
            assertThat(System.nanoTime()).as("ends with the window").isLessThan(end);
            RealWindow.pulses(1);
        }
    }

    /** Tab goes through the page's parts and then on in the window, as everywhere. */
    @Test
    void theKeyboardGoesThroughThePageAndOut() throws Exception {
        PageView v = page.view();
        RealWindow.fx(() -> {
            v.requestFocus();
            return null;
        });
        t.keys(KeyCode.TAB);
        page.until("document.activeElement.getAttribute('aria-label')", "Lamp");
        assertThat(v.isFocused()).isTrue();
        t.keys(KeyCode.TAB);
        t.until(() -> !v.isFocused() && t.stage.getScene().getFocusOwner() != null);
    }

    /** One tries the scene that one works on; the way from the first one is beside it. */
    @Test
    void itBeginsInTheSceneThatIsOpen() throws Exception {
        RealWindow.fx(() -> {
            t.studio.editProject("scene", null, p -> {
                var all = new ArrayList<>(p.scenes());
                all.add(new Scene("z", "Night walk", new Board(new Point(640, 400), Values.NONE, List.of(),
                        List.of(new Timeline("zm", Timeline.MAIN, 1_000_000, false, true, Map.of())), List.of())));
                return p.withScenes(all);
            });
            t.studio.navigation().showPlace("z");
            return null;
        });
        t.settle();
        t.run("try");
        page.begun("&scene=z");
        page.until("Tundra.pieces[0].shown.name", "Night walk");
        t.click("try-first");
        page.begun("");
        page.until("Tundra.pieces[0].shown.name", "Scene");
    }

    @Test
    void aVisitIsRecordedAndFilmed(@TempDir Path folder) throws Exception {
        RealWindow.fx(() -> {
            t.studio.edit("Move", b -> b.mapTimeline(b.main().id(), x -> x.withLoop(true)));
            return null;
        });
        t.run("try");
        t.until(() -> t.w.tryIt.log().stream().anyMatch(l -> l.text().contains("ready")));
        t.fire("try-record");
        t.until(() -> t.w.tryIt.log().stream().anyMatch(l -> l.text().contains("ready")) && t.w.tryIt.recording() > 1);
        t.fire("try-record");
        t.until(() -> t.w.notices.told() != null && t.w.notices.told().startsWith("Recorded "));
        t.fileToSave = folder.resolve("visit.mp4");
        t.fire("notice-action");
        t.until(() -> Files.exists(folder.resolve("visit.mp4")) && t.w.notices.told() != null && t.w.notices.told()
                .startsWith("The film of the visit is made"));
        assertThat(VideoReader.read(folder.resolve("visit.mp4")).duration()).isGreaterThan(0);
    }

    private void as(String what) throws Exception {
        t.click("try-width");
        t.choose(what);
    }

    @Test
    void itIsSeenTwiceAsLargeTurnedAndOverASlowLine() throws Exception {
        page.until("innerWidth + ' ' + innerHeight", "640 400");
        as("try-large");
        page.until("innerWidth + ' ' + innerHeight", "320 200");
        as("try-large");
        page.until("innerWidth + ' ' + innerHeight", "640 400");
        as("try-turned");
        page.until("innerWidth + ' ' + innerHeight", "400 640");
        as("try-turned");
        as("try-slow");
        // two rounds of 0.3 s at least
        t.until(() -> t.w.tryIt.log().stream().anyMatch(l -> l.text().matches(".*everything after (0\\.[6-9]|[1-9]\\d*\\.\\d) s")));
    }
}
