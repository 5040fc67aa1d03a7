package tundra.app.color;

import java.util.function.BiConsumer;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.Cursor;
import javafx.scene.Node;
import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.image.PixelWriter;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import javafx.scene.paint.CycleMethod;
import javafx.scene.paint.LinearGradient;
import javafx.scene.paint.Stop;
import tundra.app.widget.NumberField;
import tundra.core.model.Color;
import tundra.core.model.ColorSpaces;

/** One colour: a plane of saturation and value, strips of hue and alpha, and all of its numbers. */
final class ColorPicker extends VBox {
    private static final double W = 252;
    private static final double H = 116;
    private static final double STRIP = 14;
    private final Canvas plane = new Canvas(W, H);
    private final Canvas hues = new Canvas(W, STRIP);
    private final Canvas alphas = new Canvas(W, STRIP);
    private final TextField hex = new TextField();
    private final NumberField[] rgb = {new NumberField("Red", "R", 0), new NumberField("Green", "G", 0), new NumberField("Blue", "B", 0)};
    private final NumberField[] hsl = {new NumberField("Hue", "H", 0), new NumberField("Saturation", "S", 0), new NumberField("Lightness", "L", 0)};
    private final NumberField alpha = new NumberField("Opacity of the colour", "%", 0);
    private final BiConsumer<Color, Object> onChange;
    private double hue;
    private double saturation;
    private double value;
    private Color color = Color.BLACK;
    private Object drag = new Object();

    /** @param onChange gets each new colour, and an object that is the same for all colours of one drag */
    ColorPicker(BiConsumer<Color, Object> onChange) {
        this.onChange = onChange;
        setSpacing(8);
        plane.setAccessibleText("Saturation and value");
        handle(plane, (x, y) -> fromPlane(x, 1 - y));
        handle(hues, (x, y) -> {
            hue = Math.min(359.99, x * 360);
            take(ColorSpaces.ofHsv(hue, saturation, value, color.alpha()), drag);
        });
        handle(alphas, (x, y) -> take(color.withAlpha((int) Math.round(x * 255)), drag));
        hex.setAccessibleText("Colour as hex");
        hex.setId("picker-hex");
        hex.getStyleClass().add("mono");
        hex.setPrefColumnCount(8);
        hex.setOnAction(e -> readHex());
        hex.focusedProperty().addListener((o, was, is) -> {
            if (!is) {
                readHex();
            }
        });
        channel(0);
        channel(1);
        channel(2);
        for (int i = 0; i < 3; i++) {
            int part = i;
            hsl[i].onChange((v, merge) -> {
                double[] now = ColorSpaces.hsl(color);
                now[0] = hue;
                now[part] = part == 0 ? v : Math.max(0, Math.min(100, v)) / 100;
                hue = part == 0 ? v : hue;
                take(ColorSpaces.ofHsl(now[0], now[1], now[2], color.alpha()), merge);
            });
        }
        alpha.onChange((v, merge) -> take(color.withAlpha((int) Math.round(Math.max(0, Math.min(100, v)) * 2.55)), merge));
        getChildren().addAll(plane, hues, alphas, row(new Label("Hex"), hex, alpha), row(rgb), row(hsl));
    }

    private void channel(int part) {
        rgb[part].onChange((v, merge) -> {
            int c = (int) Math.max(0, Math.min(255, Math.round(v)));
            take(new Color(part == 0 ? c : color.red(), part == 1 ? c : color.green(), part == 2 ? c : color.blue(), color.alpha()), merge);
        });
    }

    private static HBox row(Node... nodes) {
        var row = new HBox(6, nodes);
        row.setAlignment(Pos.CENTER_LEFT);
        for (Node n : nodes) {
            if (!(n instanceof Label)) {
                HBox.setHgrow(n, Priority.ALWAYS);
            }
        }
        row.setPadding(new Insets(0));
        row.setPrefWidth(W);
        return row;
    }

    private interface At {
        void at(double x, double y);
    }

    private void handle(Canvas c, At at) {
        c.setOnMousePressed(e -> {
            drag = new Object();
            at.at(clamp(e.getX() / c.getWidth()), clamp(e.getY() / c.getHeight()));
        });
        c.setOnMouseDragged(e -> at.at(clamp(e.getX() / c.getWidth()), clamp(e.getY() / c.getHeight())));
        c.setCursor(Cursor.CROSSHAIR);
    }

    private static double clamp(double v) {
        return Math.max(0, Math.min(1, v));
    }

    private void fromPlane(double s, double v) {
        saturation = s;
        value = v;
        take(ColorSpaces.ofHsv(hue, s, v, color.alpha()), drag);
    }

    private void readHex() {
        try {
            Color c = Color.parse(hex.getText());
            take(hex.getText().replace("#", "").length() > 6 ? c : c.withAlpha(color.alpha()), null);
        } catch (IllegalArgumentException e) {
            hex.setText(color.withAlpha(255).hex());
        }
    }

    private void take(Color c, Object merge) {
        if (!c.equals(color)) {
            show(c);
            onChange.accept(c, merge);
        } else {
            paint();
        }
    }

    /** Shows a colour. The hue of a grey stays what it was. */
    void show(Color c) {
        color = c;
        double[] hsv = ColorSpaces.hsv(c);
        if (!c.equals(ColorSpaces.ofHsv(hue, saturation, value, c.alpha()))) {
            hue = hsv[1] > 0 && hsv[2] > 0 ? hsv[0] : hue;
            saturation = hsv[2] > 0 ? hsv[1] : saturation;
            value = hsv[2];
        }
        hex.setText(c.withAlpha(255).hex());
        int[] parts = {c.red(), c.green(), c.blue()};
        double[] l = ColorSpaces.hsl(c);
        for (int i = 0; i < 3; i++) {
            rgb[i].show(parts[i]);
            hsl[i].show(i == 0 ? Math.round(hue) : Math.round(l[i] * 100));
        }
        alpha.show(Math.round(c.alpha() / 2.55));
        paint();
    }

    private void paint() {
        PixelWriter pixels = plane.getGraphicsContext2D().getPixelWriter();
        for (int y = 0; y < (int) H; y++) {
            for (int x = 0; x < (int) W; x++) {
                pixels.setArgb(x, y, ColorSpaces.ofHsv(hue, x / (W - 1), 1 - y / (H - 1), 255).argb());
            }
        }
        ring(plane.getGraphicsContext2D(), saturation * W, (1 - value) * H);
        GraphicsContext g = hues.getGraphicsContext2D();
        for (int x = 0; x < (int) W; x++) {
            g.setFill(Swatches.fx(ColorSpaces.ofHsv(x / W * 360, 1, 1, 255)));
            g.fillRect(x, 0, 1, STRIP);
        }
        ring(g, hue / 360 * W, STRIP / 2);
        GraphicsContext a = alphas.getGraphicsContext2D();
        Swatches.checks(a, W, STRIP);
        a.setFill(new LinearGradient(0, 0, 1, 0, true, CycleMethod.NO_CYCLE, new Stop(0, Swatches.fx(color.withAlpha(0))),
                new Stop(1, Swatches.fx(color.withAlpha(255)))));
        a.fillRect(0, 0, W, STRIP);
        ring(a, color.alpha() / 255.0 * W, STRIP / 2);
    }

    private static void ring(GraphicsContext g, double x, double y) {
        g.setLineWidth(2);
        g.setStroke(javafx.scene.paint.Color.WHITE);
        g.strokeOval(x - 5, y - 5, 10, 10);
        g.setLineWidth(1);
        g.setStroke(javafx.scene.paint.Color.rgb(0, 0, 0, 0.6));
        g.strokeOval(x - 6, y - 6, 12, 12);
    }
}
