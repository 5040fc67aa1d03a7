package tundra.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import javafx.scene.web.WebView;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tundra.core.geometry.Point;
import tundra.core.model.Actions;
import tundra.core.model.Board;
import tundra.core.model.Color;
import tundra.core.model.Content;
import tundra.core.model.Dragging;
import tundra.core.model.Element;
import tundra.core.model.Events;
import tundra.core.model.PieceValue;
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.core.model.Reaction;
import tundra.core.model.Scene;
import tundra.core.model.Scroll;
import tundra.core.model.Timeline;
import tundra.core.model.Values;
import tundra.core.motion.Easing;
import tundra.core.motion.Key;
import tundra.core.motion.Track;

/** Dragging and scrolling in the engine that Try it shows the page with. */
class InteractInViewTest extends InWindow {
    @TempDir
    private Path folder;
    private WebView view;

    private static Element box(String id, double x, double y) {
        return new Element(id, id, false, false, Values.NONE.with(Properties.POSITION, new Point(x, y)).with(Properties.SIZE, new Point(60, 40))
                .with(Properties.FILL, Color.parse("#1C6A5E")), new Content.Rectangle());
    }

    private Object run(String script) throws Exception {
        return RealWindow.fx(() -> view.getEngine().executeScript(script));
    }

    @AfterEach
    void close() throws Exception {
        RealWindow.fx(() -> {
            view.getScene().getWindow().hide();
            return null;
        });
    }

    @Test
    void aPartIsDraggedToItsPlaceWithTheMouse() throws Exception {
        var board = new Board(new Point(500, 300), Values.NONE, List.of(box("slot", 380, 200), box("vane", 80, 80)),
                List.of(new Timeline("main", Timeline.MAIN, 1_000_000, false, true, Map.of())),
                List.of(new Reaction("r", Events.of(Events.LANDED, "vane"), List.of(Actions.of(Actions.ADD_VALUE, "n", 1.0)))))
                .withDrags(List.of(Dragging.of("d", List.of(new Dragging.Pair("vane", List.of("slot"))))));
        Project p = new Project("p", "P", 24, List.of(new Scene("s", "S", board)), Map.of(), Map.of())
                .withValues(List.of(new PieceValue("n", "n", PieceValue.Kind.NUMBER, "0", false)));
        view = PageInView.open(t, p, folder);
        t.settle();
        System.out.println("in the view: pointer events " + run("typeof PointerEvent") + ", capture "
                + run("typeof Element.prototype.setPointerCapture") + ", observer " + run("typeof IntersectionObserver") + ", visibility "
                + run("typeof Element.prototype.checkVisibility"));
        Point from = RealWindow.fx(() -> t.screen(view, 80, 80)), to = RealWindow.fx(() -> t.screen(view, 385, 195));
        t.drag(from, to);
        t.until(() -> ((Number) view.getEngine().executeScript("Tundra.pieces[0].value('n')")).intValue() == 1);
        // it glides the last px into its place
        t.until(() -> view.getEngine()
                .executeScript("(() => { const r = document.querySelector('.t-vane .t-p > *').getBoundingClientRect(); return Math.round(r.x + r.width / 2) + ' ' + Math.round(r.y + r.height / 2); })()").equals("380 200"));
    }

    @Test
    void aTimelineGoesWithTheScrollBar() throws Exception {
        var main = new Timeline("main", Timeline.MAIN, 1_000_000, false, false, Map.of()).with("dot", Properties.POSITION,
                new Track<>(List.of(new Key<>(0, new Point(100, 150), Easing.LINEAR), new Key<>(1_000_000, new Point(300, 150), Easing.LINEAR))))
                .withScroll(Scroll.over(600));
        Project p = new Project("p", "P", 24,
                List.of(new Scene("s", "S", new Board(new Point(500, 300), Values.NONE, List.of(box("dot", 100, 150)), List.of(main), List.of()))),
                Map.of(), Map.of());
        view = PageInView.open(t, p, folder);
        t.settle();
        run("scrollTo(0, 300)");
        t.until(() -> Math.abs(((Number) view.getEngine().executeScript("document.querySelector('.t-dot .t-p > *').getBoundingClientRect().x + 30"))
                .doubleValue() - 200) < 1);
        assertThat(((Number) run("document.querySelector('.t-dot .t-p > *').getBoundingClientRect().y + 20")).doubleValue()).as("the scene stands")
                .isEqualTo(150);
        run("scrollTo(0, 0)");
        t.until(() -> Math.abs(((Number) view.getEngine().executeScript("document.querySelector('.t-dot .t-p > *').getBoundingClientRect().x + 30"))
                .doubleValue() - 100) < 1);
    }
}
