package tundra.app.canvas;

import javafx.geometry.Orientation;
import javafx.scene.control.ScrollBar;
import javafx.scene.layout.StackPane;
import tundra.app.studio.Studio;
import tundra.core.model.Scene;
import tundra.core.model.Scroll;
import tundra.core.model.Timeline;

/** The page's scroll bar beside the canvas, while the timeline that is worked on goes by the page's scrolling. */
public final class ScrollRail extends StackPane {
    private final Studio studio;
    private ScrollBar bar;
    private boolean showing;

    public ScrollRail(Studio studio) {
        this.studio = studio;
        setId("scroll-rail");
        setPickOnBounds(false);
        setMaxWidth(USE_PREF_SIZE);
        studio.listen(what -> refresh());
        refresh();
    }

    private void refresh() {
        Timeline t = studio.timeline();
        Scroll s = t.scroll();
        boolean on = s != null && s.through() == null && studio.place() instanceof Scene;
        setVisible(on);
        setManaged(on);
        if (!on) {
            return;
        }
        if (bar == null) {
            make();
        }
        double length = Scroll.length(studio.board()), page = length + studio.board().size().y();
        showing = true;
        bar.setMax(length);
        // its thumb is as long as the window's part of the page
        bar.setVisibleAmount(length * studio.board().size().y() / page);
        bar.setUnitIncrement(40);
        bar.setBlockIncrement(studio.board().size().y());
        bar.setValue(studio.scroll().at() != 0 ? studio.scroll().at() : length * s.share(studio.time().playhead(), t.duration()));
        showing = false;
    }

    private void make() {
        bar = new ScrollBar();
        bar.setId("scroll-bar");
        bar.setOrientation(Orientation.VERTICAL);
        bar.setAccessibleText("How far the page is scrolled");
        bar.setFocusTraversable(true);
        bar.valueProperty().addListener((o, was, is) -> {
            if (!showing) {
                studio.scroll().to(is.doubleValue());
            }
        });
        getChildren().setAll(bar);
    }
}
