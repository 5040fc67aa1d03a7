package tundra.core.flip;

import tundra.core.geometry.Point;
import tundra.core.geometry.Rect;

/**
 * What of a picture isn't transparent, in fractions of its width and height.
 *
 * @param bounds around every pixel that can be seen; null when there is none
 * @param area of the whole, each pixel by its opacity
 * @param centre of that area
 */
public record PictureInk(Rect bounds, double area, Point centre) {
    /** A picture without any transparency. */
    public static final PictureInk FULL = new PictureInk(new Rect(0, 0, 1, 1), 1, new Point(0.5, 0.5));
}
