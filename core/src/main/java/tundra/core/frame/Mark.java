package tundra.core.frame;

import tundra.core.geometry.Point;
import tundra.core.geometry.Rect;
import tundra.core.model.Color;
import tundra.core.model.Content;
import tundra.core.model.Paint;

/** One thing to paint, in the coordinates of its element's box. {@code box} is the box's size, which gradients go by. */
public sealed interface Mark {
    /** The box around what it paints on, the ends and corners of strokes included; null for nothing. */
    default Rect reach() {
        return switch (this) {
            case Fill f -> f.form.bounds();
            case Stroke s -> s.form.bounds() instanceof Rect r ? r.grow(s.style.reach()) : null;
            case Image i -> new Rect(0, 0, i.size.x(), i.size.y());
            case Film f -> new Rect(0, 0, f.size.x(), f.size.y());
            case Glyphs g -> new Rect(0, 0, g.layout.box().x(), g.layout.box().y());
        };
    }

    record Fill(Form form, Paint paint, Point box) implements Mark {}

    record Stroke(Form form, Paint paint, Point box, StrokeStyle style) implements Mark {}

    /**
     * A picture of the project, by its hash, stretched to a size.
     *
     * @param tint all its pixels in one colour, by their opacity; null for its own colours
     */
    record Image(String asset, Point size, Color tint) implements Mark {
        public Image(String asset, Point size) {
            this(asset, size, null);
        }
    }

    /**
     * A picture of a video of the project, by its hash.
     *
     * @param time in the file, in µs
     * @param fits how it lies in the size: cover, contain or stretch, as CSS {@code object-fit}
     */
    record Film(String asset, long time, Point size, String fits) implements Mark {}

    record Glyphs(Content.Text text, TextLayout layout, Paint paint) implements Mark {}
}
