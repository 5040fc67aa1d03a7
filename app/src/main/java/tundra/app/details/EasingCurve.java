package tundra.app.details;

import java.util.function.BiConsumer;
import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.StackPane;
import tundra.app.widget.Palette;
import tundra.core.geometry.Numbers;
import tundra.core.geometry.Point;
import tundra.core.motion.CubicEasing;
import tundra.core.motion.Easing;

/** An easing drawn as a curve; a cubic one has two handles to drag. */
final class EasingCurve extends StackPane {
    private static final double PAD = 16;
    private final Canvas canvas;
    private final boolean editable;
    private Easing easing = Easing.LINEAR;
    private Easing with;
    private boolean dark;
    private BiConsumer<Easing, Object> onChange = (e, merge) -> { };
    private int held;
    private Object merge;

    EasingCurve(double width, double height, boolean editable) {
        canvas = new Canvas(width, height);
        this.editable = editable;
        getStyleClass().add("easing-curve");
        setMaxSize(USE_PREF_SIZE, USE_PREF_SIZE);
        getChildren().add(canvas);
        if (editable) {
            addEventHandler(MouseEvent.MOUSE_PRESSED, this::press);
            addEventHandler(MouseEvent.MOUSE_DRAGGED, this::drag);
            addEventHandler(MouseEvent.MOUSE_RELEASED, e -> held = 0);
        }
    }

    EasingCurve onChange(BiConsumer<Easing, Object> change) {
        onChange = change;
        return this;
    }

    void show(Easing e, boolean darkTheme) {
        easing = e;
        dark = darkTheme;
        draw();
    }

    /** Draws two easings over each other: the second is the one shown. */
    void compare(Easing other, Easing e, boolean darkTheme) {
        with = other.equals(e) ? null : other;
        show(e, darkTheme);
    }

    private double pad() {
        return editable ? PAD : canvas.getHeight() > 60 ? 22 : 4;
    }

    private Point at(double x, double y) {
        double p = pad();
        return new Point(p + x * (canvas.getWidth() - 2 * p), canvas.getHeight() - p - y * (canvas.getHeight() - 2 * p));
    }

    private void draw() {
        Palette colors = Palette.of(dark);
        GraphicsContext g = canvas.getGraphicsContext2D();
        g.clearRect(0, 0, canvas.getWidth(), canvas.getHeight());
        if (with != null) {
            g.setStroke(colors.ink3());
            g.setLineWidth(1.2);
            line(g, with);
        }
        g.setStroke(colors.time());
        g.setLineWidth(editable ? 2 : 1.5);
        line(g, easing);
        if (editable && easing instanceof CubicEasing c) {
            handle(g, colors, at(0, 0), at(c.x1(), c.y1()));
            handle(g, colors, at(1, 1), at(c.x2(), c.y2()));
        }
    }

    private void line(GraphicsContext g, Easing e) {
        int steps = canvas.getWidth() > 60 ? 200 : 60;
        g.beginPath();
        for (int i = 0; i <= steps; i++) {
            Point p = at((double) i / steps, e.at((double) i / steps));
            if (i == 0) {
                g.moveTo(p.x(), p.y());
            } else {
                g.lineTo(p.x(), p.y());
            }
        }
        g.stroke();
    }

    private static void handle(GraphicsContext g, Palette colors, Point from, Point to) {
        g.setStroke(colors.ink3());
        g.setLineWidth(1);
        g.strokeLine(from.x(), from.y(), to.x(), to.y());
        g.setFill(colors.field());
        g.setStroke(colors.ink1());
        g.fillOval(to.x() - 4, to.y() - 4, 8, 8);
        g.strokeOval(to.x() - 4, to.y() - 4, 8, 8);
    }

    private void press(MouseEvent e) {
        if (easing instanceof CubicEasing c) {
            var p = canvas.sceneToLocal(e.getSceneX(), e.getSceneY());
            var at = new Point(p.getX(), p.getY());
            double a = at(c.x1(), c.y1()).distance(at), b = at(c.x2(), c.y2()).distance(at);
            held = Math.min(a, b) > 12 ? 0 : a < b ? 1 : 2;
            merge = new Object();
        }
    }

    private void drag(MouseEvent e) {
        if (held == 0 || !(easing instanceof CubicEasing c)) {
            return;
        }
        var p = canvas.sceneToLocal(e.getSceneX(), e.getSceneY());
        double x = Numbers.round(Numbers.clamp((p.getX() - pad()) / (canvas.getWidth() - 2 * pad()), 0, 1), 2);
        double y = Numbers.round(Numbers.clamp((canvas.getHeight() - pad() - p.getY()) / (canvas.getHeight() - 2 * pad()), -1, 2), 2);
        easing = held == 1 ? new CubicEasing(x, y, c.x2(), c.y2()) : new CubicEasing(c.x1(), c.y1(), x, y);
        draw();
        onChange.accept(easing, merge);
    }
}
