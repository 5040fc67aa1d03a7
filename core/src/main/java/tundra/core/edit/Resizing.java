package tundra.core.edit;

import tundra.core.geometry.Affine;
import tundra.core.geometry.Point;
import tundra.core.model.Content;
import tundra.core.model.Properties;
import tundra.core.model.Property;
import tundra.core.model.Values;

/**
 * An element dragged by a handle of its box. A handle is named by its place on the box: x and y are 0, 0.5 or 1. Elements with
 * a size change it; the others change their scale.
 */
public record Resizing(Content content, Values start, Point box, Point handle) {

    /** The values after a drag. {@code sizing} is the size or the scale property, whichever changed. */
    public record Result(Property<Point> sizing, Point sized, Point position) {}

    /**
     * @param by the way of the pointer, in the parent's coordinates
     * @param proportional keep the ratio of the sides
     * @param fromCentre keep the middle where it is rather than the opposite handle
     */
    public Result drag(Point by, boolean proportional, boolean fromCentre) {
        double turn = start.get(Properties.ROTATION);
        Point scale = start.get(Properties.SCALE), skew = start.get(Properties.SKEW);
        Point local = Affine.turned(turn, scale, skew).inverse().apply(by);
        double reach = fromCentre ? 2 : 1;
        double kx = factor(box.x(), local.x() * reach, handle.x()), ky = factor(box.y(), local.y() * reach, handle.y());
        if (proportional) {
            kx = even(handle, kx, ky);
            ky = kx;
        }
        boolean sized = !(content instanceof Content.Text || content instanceof Content.Group);
        Property<Point> sizing = sized ? Properties.SIZE : Properties.SCALE;
        if (sized) {
            kx = Math.max(0, kx);
            ky = Math.max(0, ky);
        }
        Point factor = new Point(kx, ky);
        Point value = sizing.clamped((sized ? box : scale).times(factor));
        Point nextBox = sized ? value : box, nextScale = sized ? scale : value;
        // what must not move: the opposite handle, or the middle
        Point anchor = fromCentre ? new Point(0.5, 0.5) : new Point(1 - handle.x(), 1 - handle.y());
        Point pivot = start.get(Properties.PIVOT);
        Point before = Affine.turned(turn, scale, skew).apply(anchor.minus(pivot).times(box));
        Point after = Affine.turned(turn, nextScale, skew).apply(anchor.minus(pivot).times(nextBox));
        return new Result(sizing, value, start.get(Properties.POSITION).plus(before).minus(after));
    }

    /** One factor for both sides: that of the side that the handle moves, at a corner the greater change. */
    static double even(Point handle, double kx, double ky) {
        return handle.x() == 0.5 ? ky : handle.y() == 0.5 ? kx : Math.abs(kx - 1) > Math.abs(ky - 1) ? kx : ky;
    }

    static double factor(double length, double by, double side) {
        if (side == 0.5 || length == 0) {
            return 1;
        }
        return (length + (side == 0 ? -by : by)) / length;
    }
}
