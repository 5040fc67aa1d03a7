package tundra.app;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import tundra.app.studio.Desk;
import tundra.core.geometry.Point;
import tundra.core.model.Board;
import tundra.core.model.Element;
import tundra.core.model.Ids;
import tundra.core.model.Project;
import tundra.core.model.Scene;
import tundra.core.model.Timeline;
import tundra.core.model.Values;

/** A test that has a real window of its own for each of its methods. */
abstract class InWindow {
    protected RealWindow t;

    @BeforeEach
    void openWindow() throws Exception {
        t = new RealWindow();
    }

    /** Opens a piece of 640 × 400 px on the Animate desk, with its first element selected. */
    protected void animate(Timeline main, Element... elements) throws Exception {
        var board = new Board(new Point(640, 400), Values.NONE, List.of(elements), List.of(main), List.of());
        RealWindow.fx(() -> {
            t.studio.open(new Project(Ids.next(), "Test", 24, List.of(new Scene("s", "Scene", board)), Map.of(), Map.of()), null);
            t.studio.select(List.of(elements[0].id()));
            t.studio.setDesk(Desk.ANIMATE);
            return null;
        });
        t.until(t.w.canvas::isFocused);
        t.settle();
        RealWindow.pulses(6);
        t.settle();
        t.run("fit");
    }

    @AfterEach
    void closeWindow() throws Exception {
        t.close();
    }
}
