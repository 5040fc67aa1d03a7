package tundra.app.tool;

import tundra.core.model.Color;
import tundra.core.model.Paint;
import tundra.core.model.Properties;
import tundra.core.model.Property;
import tundra.core.model.Values;

/** The fill and stroke that new shapes get: those that were chosen last. */
public final class Paints {
    public Paint fill = Color.parse("#5F8FA3");
    public Paint stroke = Color.NONE;
    public double width = 2;

    /** What was chosen for an element is what the next one gets. */
    public <T> void remember(Property<T> p, T value) {
        if (p == Properties.FILL && ((Paint) value).visible()) {
            fill = (Paint) value;
        } else if (p == Properties.STROKE) {
            stroke = (Paint) value;
        } else if (p == Properties.STROKE_WIDTH && (Double) value > 0) {
            width = (Double) value;
        }
    }

    /** For a closed shape. */
    public Values closed() {
        Values v = Values.NONE.with(Properties.FILL, fill);
        return stroke.visible() ? v.with(Properties.STROKE, stroke).with(Properties.STROKE_WIDTH, width) : v;
    }

    /** For a line: a stroke and no fill, since a line without a stroke can't be seen. */
    public Values open() {
        return Values.NONE.with(Properties.STROKE, stroke.visible() ? stroke : Color.parse("#1D2926")).with(Properties.STROKE_WIDTH, width);
    }

    public Values text() {
        return Values.NONE.with(Properties.FILL, Color.parse("#1D2926"));
    }
}
