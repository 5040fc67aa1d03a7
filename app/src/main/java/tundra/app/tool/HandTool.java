package tundra.app.tool;

import java.util.function.Consumer;
import javafx.scene.Cursor;
import tundra.core.geometry.Point;

/** Moves the view. */
public final class HandTool implements Tool {
    private final Consumer<Point> pan;
    private Point last;

    public HandTool(Consumer<Point> pan) {
        this.pan = pan;
    }

    @Override
    public void press(Pointer p) {
        last = p.view();
    }

    @Override
    public void drag(Pointer p) {
        pan.accept(p.view().minus(last));
        last = p.view();
    }

    @Override
    public Cursor cursor() {
        return Cursor.OPEN_HAND;
    }
}
