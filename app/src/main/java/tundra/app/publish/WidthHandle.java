package tundra.app.publish;

import java.util.function.IntConsumer;
import javafx.scene.Cursor;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import tundra.app.widget.Buttons;
import tundra.core.geometry.Numbers;

/** Stands at the right side of the page that is tried, which stays in the middle: dragged, or by the arrow keys, it makes the page's window wider or narrower. */
final class WidthHandle extends StackPane {
    private static final int LEAST = 120, MOST = 4000, STEP = 10;
    private final IntConsumer changed;
    private double zoom = 1, width;
    /** Between the pointer and the page's side, in px of this window. */
    private double grip;

    /** @param changed told the new width in CSS px */
    WidthHandle(IntConsumer changed) {
        this.changed = changed;
        setId("try-handle");
        getStyleClass().add("try-handle");
        setMaxSize(Region.USE_PREF_SIZE, Region.USE_PREF_SIZE);
        setCursor(Cursor.H_RESIZE);
        setFocusTraversable(true);
        setAccessibleText("How wide the page's window is; left and right change it");
        Buttons.tip(this, "Drag to make the page's window wider or narrower while it goes on");
        setOnMousePressed(e -> {
            requestFocus();
            grip = fromMiddle(e.getSceneX()) - width / 2;
            e.consume();
        });
        setOnMouseDragged(e -> {
            put(2 * (fromMiddle(e.getSceneX()) - grip) / zoom);
            e.consume();
        });
        addEventHandler(KeyEvent.KEY_PRESSED, e -> {
            int by = switch (e.getCode()) {
                case LEFT -> -STEP;
                case RIGHT -> STEP;
                default -> 0;
            };
            if (by != 0) {
                put(width / zoom + by);
                e.consume();
            }
        });
    }

    private double fromMiddle(double sceneX) {
        var around = getParent().localToScene(getParent().getLayoutBounds());
        return sceneX - around.getCenterX();
    }

    private void put(double px) {
        changed.accept((int) Math.round(Numbers.clamp(px, LEAST, MOST)));
    }

    /**
     * The page was made another size.
     *
     * @param wide of the page, in px of this window
     * @param zoom px of this window to a CSS px
     */
    void place(double wide, double zoom) {
        this.zoom = zoom;
        width = wide;
        setTranslateX(wide / 2 + 10);
    }
}
