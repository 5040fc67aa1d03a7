package tundra.app.details;

import javafx.geometry.Insets;
import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.layout.StackPane;
import tundra.app.studio.Studio;
import tundra.app.widget.Buttons;
import tundra.app.widget.Palette;
import tundra.core.model.Element;
import tundra.core.model.Properties;
import tundra.core.model.Scroll;

/**
 * Five windows onto a page that is scrolled further in each: how far the page has gone (a line) and how far an element that follows at a share
 * of its speed (a square).
 */
final class ParallaxStrip extends StackPane {
    private static final int WINDOWS = 5;
    private static final double WIDTH = 44, HEIGHT = 34, GAP = 6, STEP = 6;
    private final Studio studio;
    private final String element;
    private final Canvas canvas = new Canvas(WINDOWS * (WIDTH + GAP) - GAP, HEIGHT);

    ParallaxStrip(Studio studio, String element) {
        this.studio = studio;
        this.element = element;
        setId("parallax-strip");
        setPadding(new Insets(2, 0, 2, 0));
        getChildren().add(canvas);
        Buttons.tip(this, "The page scrolled further and further: the line goes with it, the square is this element");
        refresh();
    }

    void refresh() {
        if (!(studio.board().find(element) instanceof Element e)) {
            return;
        }
        double share = e.rest().get(Properties.PARALLAX);
        // where nothing scrolls it would only take room
        boolean scrolls = share != 0 || Scroll.length(studio.board()) > 0;
        setVisible(scrolls);
        setManaged(scrolls);
        Palette colors = Palette.of(studio.dark());
        GraphicsContext g = canvas.getGraphicsContext2D();
        g.clearRect(0, 0, canvas.getWidth(), canvas.getHeight());
        for (int i = 0; i < WINDOWS; i++) {
            double x = i * (WIDTH + GAP), line = HEIGHT - 6 - i * STEP, square = HEIGHT / 2
                    + (WINDOWS - 1) * STEP * 0.5 * Math.signum(share) * Math.min(1, Math.abs(share)) - i * STEP * share;
            g.setFill(colors.field());
            g.fillRect(x, 0, WIDTH, HEIGHT);
            g.setFill(colors.ink3());
            g.fillRect(x + 4, line, WIDTH - 8, 1.5);
            g.setFill(colors.space());
            g.fillRect(x + WIDTH / 2 - 4, Math.clamp(square - 4, 1, HEIGHT - 9), 8, 8);
        }
    }
}
