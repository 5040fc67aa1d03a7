package tundra.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import javafx.concurrent.Worker;
import javafx.scene.input.KeyCode;
import javafx.scene.web.WebView;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tundra.app.studio.Desk;
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
import tundra.core.model.Timeline;
import tundra.core.model.Values;

/** The page in the window, tried as visitors of several kinds. */
class TryItTest extends InWindow {
    private static PieceValue number(String id) {
        return new PieceValue(id, id, PieceValue.Kind.NUMBER, "0", false);
    }

    private static Reaction counts(String value, Event when) {
        return new Reaction("r-" + value, when, List.of(Actions.of(Actions.ADD_VALUE, value, 1.0)));
    }

    @BeforeEach
    void tryIt() throws Exception {
        var lamp = new Element("lamp", "Lamp", false, false, Values.NONE.with(Properties.POSITION, new Point(200, 150)).with(Properties.SIZE, new Point(160, 120)).with(Properties.FILL, Color.parse("#1C6A5E")), new Content.Rectangle());
        var reactions = List.of(counts("over", Events.of(Events.OVER, "lamp")), counts("tapped", Events.tapped("lamp")), counts("swiped", Events.of(Events.SWIPED, "lamp", "left")), counts("left", Events.of(Events.KEY_PRESSED, "Escape")),
                counts("lettered", Events.of(Events.KEY_PRESSED, "B")), counts("arrowed", Events.of(Events.KEY_PRESSED, "ArrowLeft")),
                new Reaction("quiet", Events.of(Events.OPENED), List.of(Conditions.of(Conditions.MOTION, "asked for")), false, List.of(Actions.of(Actions.SET_VALUE, "less", "1")), List.of(), false, ""));
        var board = new Board(new Point(640, 400), Values.NONE, List.of(lamp), List.of(new Timeline("main", Timeline.MAIN, 1_000_000, false, true, Map.of())), reactions);
        RealWindow.fx(() -> {
            t.studio.open(new Project(Ids.next(), "Test", 24, List.of(new Scene("s", "Scene", board)), Map.of(), Map.of())
                    .withValues(List.of(number("over"), number("tapped"), number("swiped"), number("left"), number("lettered"), number("arrowed"), number("less"))), null);
            t.studio.setDesk(Desk.INTERACT);
            return null;
        });
        t.settle();
        t.run("try");
        loaded("");
    }

    private static Object in(WebView v, String script) {
        return v.getEngine().executeScript(script);
    }

    /** Waits until the page with something in its address has begun. */
    private WebView loaded(String query) throws Exception {
        t.until(() -> t.stage.getScene().lookup("#try-web") instanceof WebView v && v.getEngine().getLoadWorker().getState() == Worker.State.SUCCEEDED
                && v.getEngine().getLocation().contains("127.0.0.1") && (query.isEmpty() ? !v.getEngine().getLocation().contains("&") : v.getEngine().getLocation().contains(query))
                && Boolean.TRUE.equals(in(v, "typeof Tundra === 'object' && Tundra.pieces.length === 1")));
        t.settle();
        return RealWindow.fx(() -> (WebView) t.stage.getScene().lookup("#try-web"));
    }

    private void is(WebView v, String value, int n) throws Exception {
        t.until(() -> ((Number) in(v, "Tundra.pieces[0].value('" + value + "')")).intValue() == n);
    }

    private int now(WebView v, String value) throws Exception {
        return RealWindow.fx(() -> ((Number) in(v, "Tundra.pieces[0].value('" + value + "')")).intValue());
    }

    @Test
    void aFingerComesOverNothing() throws Exception {
        WebView v = loaded("");
        Point lamp = RealWindow.fx(() -> t.screen(v, 200, 150)), beside = RealWindow.fx(() -> t.screen(v, 500, 330));
        t.drag(beside, beside);
        t.drag(lamp, lamp);
        is(v, "tapped", 1);
        assertThat(now(v, "over")).as("the mouse").isEqualTo(1);
        t.click("try-touch");
        loaded("&touch");
        t.drag(beside, beside);
        t.drag(lamp, lamp);
        is(v, "tapped", 1);
        assertThat(now(v, "over")).as("a finger").isZero();
        t.drag(lamp, RealWindow.fx(() -> t.screen(v, 130, 152)));
        is(v, "swiped", 1);
    }

    @Test
    void withoutAMouseByKeyboardOnly() throws Exception {
        WebView v = loaded("");
        t.click("try-keys");
        t.until(() -> v.isMouseTransparent() && v.isFocused() && Boolean.TRUE.equals(in(v, "typeof Tundra === 'object' && Tundra.pieces.length === 1")));
        Point lamp = RealWindow.fx(() -> t.screen(v, 200, 150));
        t.drag(lamp, lamp);
        RealWindow.fx(() -> {
            v.requestFocus();
            return null;
        });
        t.keys(KeyCode.TAB);
        t.keys(KeyCode.ENTER);
        is(v, "tapped", 1);
        assertThat(now(v, "over")).isZero();
        t.keys(KeyCode.ESCAPE);
        is(v, "left", 1);
        t.keys(KeyCode.B);
        is(v, "lettered", 1);
        t.keys(KeyCode.LEFT);
        is(v, "arrowed", 1);
    }

    @Test
    void withLessMotionAndInANarrowWindow() throws Exception {
        WebView v = loaded("");
        assertThat(now(v, "less")).isZero();
        t.click("try-less");
        loaded("&less");
        is(v, "less", 1);
        t.click("try-width");
        t.choose("try-width-375");
        t.until(() -> Boolean.TRUE.equals(in(v, "typeof Tundra === 'object' && innerWidth === 375")));
    }
}
