package tundra.app.window;

import java.util.function.DoubleConsumer;
import java.util.function.DoubleSupplier;
import javafx.scene.Cursor;
import javafx.scene.layout.Region;

/** The edge of a panel that is dragged to make it wider or narrower. */
final class SideEdge extends Region {
    private static final double WIDE = 5;
    private double from;
    private double start;

    /**
     * @param right whether it is the panel's right edge
     * @param now the panel's width in px
     * @param change takes another width
     * @param done runs when it was let go
     */
    SideEdge(boolean right, DoubleSupplier now, DoubleConsumer change, Runnable done) {
        setCursor(Cursor.H_RESIZE);
        setMinWidth(WIDE);
        setMaxWidth(WIDE);
        setOnMousePressed(e -> {
            from = e.getSceneX();
            start = now.getAsDouble();
            e.consume();
        });
        setOnMouseDragged(e -> change.accept(start + (right ? 1 : -1) * (e.getSceneX() - from)));
        setOnMouseReleased(e -> done.run());
    }
}
