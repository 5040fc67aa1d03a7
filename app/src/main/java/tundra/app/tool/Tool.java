package tundra.app.tool;

import javafx.scene.Cursor;
import tundra.app.paint.SkiaGraphics;
import tundra.app.view.Viewport;
import tundra.core.geometry.Point;

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

    /** Draws something of a usual size around a point of the canvas, for who has no mouse; says whether it could. */
    default boolean drawAt(Point middle, double size) {
        return false;
    }

    /** Shows what it can be set to. */
    default void settings(ToolSettings row) {}

    /** Whether it has chosen something of its own, such as nodes, that is deleted, nudged and copied rather than the elements. */
    default boolean chose() {
        return false;
    }

    /** Deletes what it has chosen. */
    default void delete() {}

    /** Moves what it has chosen. */
    default void nudge(Point by) {}

    /** Chooses all that it can choose; says whether there is anything of its own. */
    default boolean chooseAll() {
        return false;
    }

    default void draw(SkiaGraphics g, Viewport v) {}

    default Cursor cursor() {
        return Cursor.CROSSHAIR;
    }
}
