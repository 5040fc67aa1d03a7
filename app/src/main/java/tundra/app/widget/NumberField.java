package tundra.app.widget;

import java.util.function.BiConsumer;
import java.util.function.BooleanSupplier;
import javafx.scene.Cursor;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseEvent;
import tundra.core.edit.Arithmetic;
import tundra.core.geometry.Numbers;

/**
 * A number with a label: typed with sums and units, scrubbed by dragging the label, stepped by the arrow keys (Shift ten times,
 * Alt a tenth).
 */
public final class NumberField extends RestingField {
    private static final double WIDTH = 40;
    private static final String MIXED = "mixed";
    private final int decimals;
    private double value = Double.NaN;
    private double step;
    private BooleanSupplier repeats = () -> false;
    private BiConsumer<Double, Object> onChange = (v, merge) -> { };
    /** The same for all values of the scrub under way; null for none. */
    private Object scrub;
    private double scrubX;
    private double scrubFrom;

    public NumberField(String name, String label, int decimals) {
        super(name, label, WIDTH);
        this.decimals = decimals;
        setOnMouseMoved(e -> setCursor(e.getX() < wordsX() ? Cursor.H_RESIZE : Cursor.TEXT));
        setOnMouseDragged(e -> {
            if (scrub != null && !isDisabled() && !Double.isNaN(scrubFrom)) {
                double step = e.isShiftDown() ? 10 : e.isAltDown() ? 0.1 : 1;
                change(scrubFrom + Math.rint(e.getSceneX() - scrubX) * step * unit(), scrub);
            }
        });
        setOnMouseReleased(e -> scrub = null);
    }

    @Override
    protected void pressed(MouseEvent e) {
        if (e.getX() >= wordsX()) {
            super.pressed(e);
            return;
        }
        scrub = new Object();
        scrubX = e.getSceneX();
        scrubFrom = value;
    }

    private double unit() {
        return step > 0 ? step : decimals > 2 ? 0.01 : 1;
    }

    /** What one press of an arrow key or one px of a scrub changes, where that is not 1 or, with more than two decimals, 0.01. */
    public void setStep(double step) {
        this.step = step;
    }

    /** Gets each new value, and an object that is the same for all values of one scrub. */
    public NumberField onChange(BiConsumer<Double, Object> change) {
        onChange = change;
        return this;
    }

    public void show(double v) {
        if (v != value || Double.isNaN(v) || text().equals(MIXED)) {
            value = v;
            setText(Double.isNaN(v) ? "" : Numbers.plain(v, decimals));
        }
    }

    /** Says that what is shown differs; what is typed holds for all. */
    public void showMixed() {
        value = Double.NaN;
        setText(MIXED);
    }

    @Override
    protected void key(KeyEvent e) {
        if (e.getCode() == KeyCode.UP || e.getCode() == KeyCode.DOWN) {
            double step = unit() * (e.isShiftDown() ? 10 : e.isAltDown() ? 0.1 : 1);
            commit();
            e.consume();
            if (Double.isNaN(value)) {
                return;
            }
            change(Numbers.round(value + (e.getCode() == KeyCode.UP ? step : -step), decimals + 1), null);
        }
    }

    /** Whether Enter gives the number also where it is the one that is there. */
    public NumberField repeats(BooleanSupplier when) {
        repeats = when;
        return this;
    }

    @Override
    protected void entered() {
        if (!Double.isNaN(value) && text().equals(Numbers.plain(value, decimals)) && repeats.getAsBoolean()) {
            onChange.accept(value, null);
        } else {
            commit();
        }
    }

    @Override
    protected void commit() {
        if (text().equals(MIXED) || text().isBlank() || text().equals(Numbers.plain(value, decimals))) {
            if (!Double.isNaN(value)) {
                setText(Numbers.plain(value, decimals));
            }
            return;
        }
        try {
            change(Arithmetic.parse(text()), null);
        } catch (IllegalArgumentException e) {
            setText(Double.isNaN(value) ? MIXED : Numbers.plain(value, decimals));
        }
    }

    private void change(double v, Object merge) {
        if (v != value && Double.isFinite(v)) {
            show(v);
            onChange.accept(v, merge);
        }
    }
}
