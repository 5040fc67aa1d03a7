package tundra.app.window;

import java.util.function.DoubleConsumer;
import java.util.function.DoubleSupplier;
import javafx.geometry.Pos;
import javafx.scene.control.Slider;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import tundra.app.tool.ToolKind;
import tundra.app.tool.ToolOptions;
import tundra.app.widget.Caption;
import tundra.app.widget.NumberField;

/** The settings of the drawing tool in hand, in a bar over the tools; not there for tools without any. */
final class ToolOptionsBar extends HBox {
    private final Workshop w;
    private final ToolOptions o;
    private ToolKind shown;

    ToolOptionsBar(Workshop w) {
        super(10);
        this.w = w;
        this.o = w.options;
        setId("tool-options");
        setAlignment(Pos.CENTER_LEFT);
        getStyleClass().addAll("tool-bar-float", "tool-options");
        setMaxSize(Region.USE_PREF_SIZE, Region.USE_PREF_SIZE);
        w.studio.listen(what -> refresh());
        refresh();
    }

    private void refresh() {
        if (shown == w.tools.kind()) {
            return;
        }
        shown = w.tools.kind();
        getChildren().clear();
        switch (shown) {
            case FREEHAND -> slider("Smoothing", 1, () -> o.smoothing, v -> o.smoothing = v);
            case BRUSH -> {
                number("Size", "px", 1, () -> o.brushSize, v -> o.brushSize = Math.max(0.5, Math.min(500, v)));
                slider("Roundness", 1, () -> o.roundness, v -> o.roundness = v);
                slider("Smoothing", 1, () -> o.smoothing, v -> o.smoothing = v);
            }
            case POLYGON -> {
                number("Points", "", 0, () -> o.points, v -> o.points = (int) Math.max(3, Math.min(100, Math.round(v))));
                number("Inner radius", "%", 0, () -> o.inner * 100, v -> o.inner = Math.max(0, Math.min(1, v / 100)));
                note("100 % draws a polygon, less a star");
            }
            case FILL -> {
                number("Bridges gaps up to", "px", 1, () -> o.gap, v -> o.gap = Math.max(0, Math.min(200, v)));
                note("click an area that strokes enclose");
            }
            case NODES -> note("drag a node, a handle or the line itself · double click adds a node · Delete takes it away");
            case GRADIENT -> note("drag the ends, the stops between, or draw the gradient anew on the shape");
            case PICK -> note("click a colour for the fill · Alt for the stroke · Shift keeps the tool");
            default -> { }
        }
        setVisible(!getChildren().isEmpty());
        setManaged(isVisible());
    }

    private void label(String words) {
        getChildren().add(new Caption(words, "quiet"));
    }

    /** Shortened where the window is narrow. */
    private void note(String words) {
        var note = new Caption(words, "quiet");
        note.setMinWidth(0);
        getChildren().add(note);
    }

    private void slider(String name, double max, DoubleSupplier now, DoubleConsumer take) {
        label(name);
        var s = new Slider(0, max, now.getAsDouble());
        s.setId("option-" + name.toLowerCase(java.util.Locale.ROOT));
        s.setAccessibleText(name);
        s.setPrefWidth(110);
        s.valueProperty().addListener((x, was, is) -> take.accept(is.doubleValue()));
        getChildren().add(s);
    }

    private void number(String name, String unit, int decimals, DoubleSupplier now, DoubleConsumer take) {
        label(name);
        var f = new NumberField(name, unit, decimals);
        f.setId("option-" + name.toLowerCase(java.util.Locale.ROOT).replace(' ', '-'));
        f.setPrefWidth(84);
        f.onChange((v, merge) -> {
            take.accept(v);
            f.show(now.getAsDouble());
        });
        f.show(now.getAsDouble());
        getChildren().add(f);
    }
}
