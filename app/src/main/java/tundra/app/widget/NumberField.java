package tundra.app.widget;

import java.util.function.BiConsumer;
import javafx.scene.Cursor;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import tundra.core.edit.Arithmetic;
import tundra.core.geometry.Numbers;

/**
 * A number with a label: typed with sums and units, scrubbed by dragging the label, stepped by the arrow keys (Shift ten times,
 * Alt a tenth).
 */
public final class NumberField extends HBox {
    private final TextField text = new TextField();
    private final Label label;
    private final int decimals;
    private double value = Double.NaN;
    private BiConsumer<Double, Object> onChange = (v, merge) -> { };
    private Object scrub;
    private double scrubX;
    private double scrubFrom;

    public NumberField(String name, String label, int decimals) {
        this.label = new Label(label);
        this.decimals = decimals;
        getStyleClass().add("number-field");
        this.label.getStyleClass().add("number-label");
        this.label.setMinWidth(USE_PREF_SIZE);
        this.label.setCursor(Cursor.H_RESIZE);
        text.setAccessibleText(name);
        setHgrow(text, Priority.ALWAYS);
        text.setPrefColumnCount(4);
        getChildren().addAll(this.label, text);
        text.setOnAction(e -> commit());
        text.focusedProperty().addListener((o, was, is) -> {
            if (!is) {
                commit();
            } else {
                javafx.application.Platform.runLater(text::selectAll);
            }
        });
        text.addEventFilter(KeyEvent.KEY_PRESSED, this::key);
        this.label.setOnMousePressed(e -> {
            scrub = new Object();
            scrubX = e.getSceneX();
            scrubFrom = value;
        });
        this.label.setOnMouseDragged(e -> {
            if (!isDisabled()) {
                double step = e.isShiftDown() ? 10 : e.isAltDown() ? 0.1 : 1;
                change(scrubFrom + Math.rint(e.getSceneX() - scrubX) * step * unit(), scrub);
            }
        });
    }

    private double unit() {
        return decimals > 2 ? 0.01 : 1;
    }

    /** Gets each new value, and an object that is the same for all values of one scrub. */
    public NumberField onChange(BiConsumer<Double, Object> change) {
        onChange = change;
        return this;
    }

    public TextField text() {
        return text;
    }

    public void show(double v) {
        if (v != value || Double.isNaN(v)) {
            value = v;
            text.setText(Double.isNaN(v) ? "" : Numbers.plain(v, decimals));
        }
    }

    private void key(KeyEvent e) {
        if (e.getCode() == KeyCode.UP || e.getCode() == KeyCode.DOWN) {
            double step = unit() * (e.isShiftDown() ? 10 : e.isAltDown() ? 0.1 : 1);
            commit();
            change(Numbers.round(value + (e.getCode() == KeyCode.UP ? step : -step), decimals + 1), null);
            e.consume();
        } else if (e.getCode() == KeyCode.ESCAPE) {
            text.setText(Numbers.plain(value, decimals));
            text.selectAll();
            e.consume();
        }
    }

    private void commit() {
        if (text.getText().isBlank() || text.getText().equals(Numbers.plain(value, decimals))) {
            if (!Double.isNaN(value)) {
                text.setText(Numbers.plain(value, decimals));
            }
            return;
        }
        try {
            change(Arithmetic.parse(text.getText()), null);
        } catch (IllegalArgumentException e) {
            text.setText(Numbers.plain(value, decimals));
        }
    }

    private void change(double v, Object merge) {
        if (v != value && Double.isFinite(v)) {
            show(v);
            onChange.accept(v, merge);
        }
    }
}
