package tundra.core.frame;

import tundra.core.geometry.Point;
import tundra.core.model.Color;
import tundra.core.model.Content;

/** One thing to paint, in the coordinates of its element's box. */
public sealed interface Mark {
    record Fill(Form form, Color color) implements Mark {}

    /** A line of {@code width} px, half on each side; mitred to a limit of 4, butt ends. */
    record Stroke(Form form, Color color, double width) implements Mark {}

    /** A picture of the project, by its hash, stretched to a size. */
    record Image(String asset, Point size) implements Mark {}

    record Glyphs(Content.Text text, TextLayout layout, Color color) implements Mark {}
}
