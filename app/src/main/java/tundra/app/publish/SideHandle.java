package tundra.app.publish;

import java.util.function.IntConsumer;
import javafx.geometry.Orientation;
import javafx.scene.Cursor;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import tundra.app.widget.Buttons;
import tundra.core.geometry.Numbers;

/**
 * Stands at the right or lower side of the page that is tried, which stays in the middle: dragged, or by the arrow keys, it makes the page's window
 * larger or smaller.
 */
final class SideHandle extends StackPane {
    private static final int LEAST = 120, MOST = 4000, STEP = 10;
    private final boolean wide;
    private final IntConsumer changed;
    private double zoom = 1, length;
    /** Between the pointer and the page's side, in px of this window. */
    private double grip;

    /**
     * @param of horizontal for its width, vertical for its height
     * @param changed told the new length in CSS px
     */
    SideHandle(Orientation of, IntConsumer changed) {
        wide = of == Orientation.HORIZONTAL;
        this.changed = changed;
        setId(wide ? "try-handle" : "try-handle-below");
        getStyleClass().add(wide ? "try-handle" : "try-handle-below");
        setMaxSize(Region.USE_PREF_SIZE, Region.USE_PREF_SIZE);
        setCursor(wide ? Cursor.H_RESIZE : Cursor.V_RESIZE);
        setFocusTraversable(true);
        setAccessibleText(wide ? "How wide the page's window is; left and right change it" : "How high the page's window is; up and down change it");
        Buttons.tip(this, wide ? "Drag to make the page's window wider or narrower while it goes on"
                : "Drag to make the page's window higher or lower while it goes on");
        setOnMousePressed(e -> {
            requestFocus();
            grip = fromMiddle(e) - length / 2;
            e.consume();
        });
        setOnMouseDragged(e -> {
            put(2 * (fromMiddle(e) - grip) / zoom);
            e.consume();
        });
        addEventHandler(KeyEvent.KEY_PRESSED, e -> {
            int by = e.getCode() == (wide ? KeyCode.LEFT : KeyCode.UP) ? -STEP : e.getCode() == (wide ? KeyCode.RIGHT : KeyCode.DOWN) ? STEP : 0;
            if (by != 0) {
                put(length / zoom + by);
                e.consume();
            }
        });
    }

    private double fromMiddle(MouseEvent e) {
        var around = getParent().localToScene(getParent().getLayoutBounds());
        return wide ? e.getSceneX() - around.getCenterX() : e.getSceneY() - around.getCenterY();
    }

    private void put(double px) {
        changed.accept((int) Math.round(Numbers.clamp(px, LEAST, MOST)));
    }

    /**
     * The page was made another size.
     *
     * @param length of the page along it, in px of this window
     * @param zoom px of this window to a CSS px
     */
    void place(double length, double zoom) {
        this.zoom = zoom;
        this.length = length;
        if (wide) {
            setTranslateX(length / 2 + 10);
        } else {
            setTranslateY(length / 2 + 10);
        }
    }
}
