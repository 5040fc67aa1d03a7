package tundra.core.block;

/**
 * How an item of a gallery lies: its middle in the gallery's box in px, then scaled and turned about it.
 *
 * @param x of its middle
 * @param y of its middle
 * @param scale 1 as large as the cell
 * @param rotation degrees, clockwise
 * @param opacity 0 to 1
 * @param front what has more of it lies over what has less
 */
public record Placement(double x, double y, double scale, double rotation, double opacity, double front) {}
