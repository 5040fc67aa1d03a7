package tundra.app.color;

import java.util.ArrayList;
import java.util.function.BiConsumer;
import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.input.KeyCode;
import javafx.scene.input.MouseEvent;
import tundra.core.model.Color;
import tundra.core.model.Gradient;

/** The stops of a gradient along a bar: a click adds one, dragging moves it, dragging it well below the bar takes it away. */
final class StopBar extends Canvas {
    private static final double W = 252;
    private static final double BAR = 18;
    private static final double H = 36;
    private static final double PAD = 7;
    private final BiConsumer<Gradient, Object> onChange;
    private final Runnable onChosen;
    private Gradient gradient;
    private int chosen;
    private Object drag;
    private Gradient before;

    StopBar(BiConsumer<Gradient, Object> onChange, Runnable onChosen) {
        super(W, H);
        this.onChange = onChange;
        this.onChosen = onChosen;
        setId("stop-bar");
        setAccessibleText("Stops of the gradient");
        setFocusTraversable(true);
        setOnMousePressed(this::press);
        setOnMouseDragged(this::drag);
        setOnKeyPressed(e -> {
            if (e.getCode() == KeyCode.DELETE || e.getCode() == KeyCode.BACK_SPACE) {
                remove();
                e.consume();
            } else if (e.getCode() == KeyCode.LEFT || e.getCode() == KeyCode.RIGHT) {
                move(gradient.stops().get(chosen).at() + (e.getCode() == KeyCode.LEFT ? -0.01 : 0.01), null);
                e.consume();
            }
        });
    }

    void show(Gradient g) {
        gradient = g;
        chosen = Math.min(chosen, g.stops().size() - 1);
        paint();
    }

    Color chosenColor() {
        return gradient.stops().get(chosen).color();
    }

    void setChosenColor(Color c, Object merge) {
        var all = new ArrayList<>(gradient.stops());
        all.set(chosen, new Gradient.Stop(all.get(chosen).at(), c));
        take(gradient.withStops(all), merge);
    }

    private double x(double at) {
        return PAD + at * (W - 2 * PAD);
    }

    private double at(double x) {
        return Math.max(0, Math.min(1, (x - PAD) / (W - 2 * PAD)));
    }

    private void press(MouseEvent e) {
        requestFocus();
        drag = new Object();
        before = gradient;
        int near = -1;
        for (int i = 0; i < gradient.stops().size(); i++) {
            double d = Math.abs(x(gradient.stops().get(i).at()) - e.getX());
            if (d < 7 && (near < 0 || d < Math.abs(x(gradient.stops().get(near).at()) - e.getX()))) {
                near = i;
            }
        }
        if (near >= 0) {
            chosen = near;
            paint();
            onChosen.run();
        } else if (gradient.stops().size() < Gradient.MAX_STOPS) {
            double at = at(e.getX());
            Gradient g = gradient.withStopAt(at);
            chosen = index(g, at, -1);
            take(g, drag);
            onChosen.run();
        }
        e.consume();
    }

    private static int index(Gradient g, double at, int fallback) {
        for (int i = 0; i < g.stops().size(); i++) {
            if (g.stops().get(i).at() == at) {
                return i;
            }
        }
        return Math.max(0, fallback);
    }

    private void drag(MouseEvent e) {
        if (e.getY() > H + 24 && gradient.stops().size() > 2) {
            remove();
            drag = new Object();
        } else {
            move(at(e.getX()), drag);
        }
        e.consume();
    }

    private void move(double to, Object merge) {
        double at = Math.max(0, Math.min(1, to));
        var all = new ArrayList<>(gradient.stops());
        Gradient.Stop s = new Gradient.Stop(at, all.remove(chosen).color());
        int place = 0;
        while (place < all.size() && all.get(place).at() <= at) {
            place++;
        }
        all.add(place, s);
        chosen = place;
        take(gradient.withStops(all), merge);
    }

    private void remove() {
        if (gradient.stops().size() > 2) {
            var all = new ArrayList<>(gradient.stops());
            all.remove(chosen);
            chosen = Math.max(0, chosen - 1);
            take(gradient.withStops(all), drag);
            onChosen.run();
        }
    }

    private void take(Gradient g, Object merge) {
        gradient = g;
        paint();
        onChange.accept(g, merge);
    }

    private void paint() {
        GraphicsContext g = getGraphicsContext2D();
        g.clearRect(0, 0, W, H);
        g.save();
        g.translate(PAD, 0);
        Swatches.checks(g, W - 2 * PAD, BAR);
        g.setFill(Swatches.ramp(gradient));
        g.fillRect(0, 0, W - 2 * PAD, BAR);
        g.restore();
        for (int i = 0; i < gradient.stops().size(); i++) {
            Gradient.Stop s = gradient.stops().get(i);
            double x = x(s.at());
            g.setFill(Swatches.fx(s.color().withAlpha(255)));
            g.setStroke(i == chosen ? javafx.scene.paint.Color.web("#1C6A5E") : javafx.scene.paint.Color.web("#93A09B"));
            g.setLineWidth(i == chosen ? 2.5 : 1.5);
            g.fillRoundRect(x - 5, BAR + 3, 10, 12, 5, 5);
            g.strokeRoundRect(x - 5, BAR + 3, 10, 12, 5, 5);
        }
    }
}
