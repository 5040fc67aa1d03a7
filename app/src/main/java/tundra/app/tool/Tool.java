package tundra.app.tool;

import javafx.scene.Cursor;
import javafx.scene.canvas.GraphicsContext;
import tundra.app.view.Viewport;

/** A tool of the canvas: a small state machine that hears the pointer and edits through the studio. */
public interface Tool {
    default void press(Pointer p) {}

    default void drag(Pointer p) {}

    default void release(Pointer p) {}

    default void move(Pointer p) {}

    /** Gives up what is under way, without a trace; says whether there was something. */
    default boolean cancel() {
        return false;
    }

    /** Ends what is under way and keeps it; says whether there was something. */
    default boolean finish() {
        return false;
    }

    default void draw(GraphicsContext g, Viewport v) {}

    default Cursor cursor() {
        return Cursor.CROSSHAIR;
    }
}
