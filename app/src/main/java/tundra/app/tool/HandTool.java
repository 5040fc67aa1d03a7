package tundra.app.tool;

import java.util.function.Consumer;
import javafx.scene.Cursor;
import tundra.core.geometry.Point;

/** Moves the view; with Shift only along one side. */
public final class HandTool implements Tool {
    private final Consumer<Point> pan;
    private Point start;
    private Point moved;

    public HandTool(Consumer<Point> pan) {
        this.pan = pan;
    }

    @Override
    public void press(Pointer p) {
        start = p.view();
        moved = Point.ZERO;
    }

    @Override
    public void drag(Pointer p) {
        if (start != null) {
            Point way = p.view().minus(start);
            to(!p.shift() ? way : Math.abs(way.x()) >= Math.abs(way.y()) ? new Point(way.x(), 0) : new Point(0, way.y()));
        }
    }

    private void to(Point way) {
        pan.accept(way.minus(moved));
        moved = way;
    }

    @Override
    public void release(Pointer p) {
        start = null;
    }

    @Override
    public boolean cancel() {
        if (start == null) {
            return false;
        }
        to(Point.ZERO);
        start = null;
        return true;
    }

    @Override
    public Cursor cursor() {
        return Cursor.OPEN_HAND;
    }
}
