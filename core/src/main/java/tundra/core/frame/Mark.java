package tundra.core.frame;

import tundra.core.geometry.Point;
import tundra.core.model.Content;
import tundra.core.model.Paint;

/** One thing to paint, in the coordinates of its element's box. {@code box} is the box's size, which gradients go by. */
public sealed interface Mark {
    record Fill(Form form, Paint paint, Point box) implements Mark {}

    record Stroke(Form form, Paint paint, Point box, StrokeStyle style) implements Mark {}

    /** A picture of the project, by its hash, stretched to a size. */
    record Image(String asset, Point size) implements Mark {}

    record Glyphs(Content.Text text, TextLayout layout, Paint paint) implements Mark {}
}
