package tundra.app.tool;

import java.util.function.DoubleConsumer;
import java.util.function.DoubleSupplier;

/** The row in which the tool in hand shows its settings. */
public interface ToolSettings {
    /** The paint of areas that are drawn. */
    void fill(String name);

    /** The paint and width of strokes that are drawn. */
    void stroke();

    /** A number from 0 to {@code max}. */
    void slider(String name, double max, DoubleSupplier now, DoubleConsumer take);

    void number(String name, String unit, int decimals, DoubleSupplier now, DoubleConsumer take);
}
