package tundra.app.details;

import java.util.List;
import java.util.function.ToDoubleFunction;
import javafx.geometry.VPos;
import javafx.scene.layout.Pane;
import javafx.scene.paint.Color;
import javafx.scene.text.Font;
import javafx.scene.text.TextAlignment;
import tundra.app.language.Language;
import tundra.app.paint.SkiaCanvas;
import tundra.app.paint.SkiaGraphics;
import tundra.app.studio.Studio;
import tundra.app.widget.Palette;
import tundra.core.flip.Registration;
import tundra.core.geometry.Numbers;

/** How far each drawing of a run lies off, in px against its place in the run: level is steady. */
final class JitterGraph extends Pane {
    private static final double HEIGHT = 66;
    private final Studio studio;
    private final SkiaCanvas canvas = new SkiaCanvas();
    private List<Registration.Place> places = List.of();
    private Registration.By by = Registration.By.FEET;

    JitterGraph(Studio studio) {
        this.studio = studio;
        setId("jitter");
        getStyleClass().add("easing-curve");
        setMinHeight(HEIGHT);
        setPrefHeight(HEIGHT);
        getChildren().add(canvas);
        widthProperty().addListener(o -> draw());
    }

    void show(List<Registration.Place> p, Registration.By how) {
        places = p;
        by = how;
        setAccessibleText("Off by at most " + Numbers.plain(most(), 2) + " px");
        draw();
    }

    private double most() {
        return places.stream().mapToDouble(p -> Math.max(Math.abs(p.off().x()), Math.abs(p.off().y()))).max().orElse(0);
    }

    private void draw() {
        double w = getWidth();
        if (w < 20) {
            return;
        }
        canvas.setSize(w, HEIGHT);
        canvas.paint(g -> painted(g, w));
    }

    private void painted(SkiaGraphics g, double w) {
        Palette c = Palette.of(studio.dark());
        g.setFont(Font.font("JetBrains Mono", 10));
        g.setTextBaseline(VPos.TOP);
        g.setTextAlign(TextAlignment.LEFT);
        g.setFill(c.ink2());
        if (places.size() < 2) {
            g.fillText(by == Registration.By.LINE && studio.board().lines().isEmpty() ? "drag a line out of a ruler first"
                    : "two drawings or more make a run", 8, 8);
            return;
        }
        double most = Math.max(0.5, most()), middle = HEIGHT / 2 + 8, tall = HEIGHT / 2 - 16;
        g.setStroke(c.line());
        g.setLineWidth(1);
        g.strokeLine(8, middle, w - 8, middle);
        boolean x = places.stream().anyMatch(p -> p.off().x() != 0), y = places.stream().anyMatch(p -> p.off().y() != 0);
        if (x) {
            line(g, c.interaction(), p -> p.off().x(), most, middle, tall, w);
        }
        if (y || !x) {
            line(g, c.time(), p -> p.off().y(), most, middle, tall, w);
        }
        g.fillText(Language.of("off by up to " + Numbers.plain(most(), 2) + " px"), 8, 4);
        g.setTextAlign(TextAlignment.RIGHT);
        if (x) {
            g.setFill(c.interaction());
            g.fillText("x", w - 18, 4);
        }
        if (y) {
            g.setFill(c.time());
            g.fillText("y", w - 8, 4);
        }
    }

    private void line(SkiaGraphics g, Color color, ToDoubleFunction<Registration.Place> part, double most, double middle, double tall, double w) {
        g.setStroke(color);
        g.setFill(color);
        g.setLineWidth(1.5);
        double lastX = 0, lastY = 0;
        String now = studio.book().drawing() == null ? "" : studio.book().drawing().id();
        for (int i = 0; i < places.size(); i++) {
            double x = 10 + (w - 20) * i / (places.size() - 1), y = middle + part.applyAsDouble(places.get(i)) / most * tall;
            if (i > 0) {
                g.strokeLine(lastX, lastY, x, y);
            }
            double r = places.get(i).drawing().equals(now) ? 3.5 : 1.8;
            g.fillOval(x - r, y - r, 2 * r, 2 * r);
            lastX = x;
            lastY = y;
        }
    }
}
