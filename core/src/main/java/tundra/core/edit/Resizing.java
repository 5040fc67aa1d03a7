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
    /** How thin keeping the area may make it. */
    private static final double LEAST = 0.02;

    /** The values after a drag. {@code sizing} is the size or the scale property, whichever changed. */
    public record Result(Property<Point> sizing, Point sized, Point position) {}

    /**
     * @param by the way of the pointer, in the parent's coordinates
     * @param proportional keep the ratio of the sides
     * @param fromCentre keep the middle where it is rather than the opposite handle
     */
    public Result drag(Point by, boolean proportional, boolean fromCentre) {
        Point k = factors(by, fromCentre);
        double even = even(handle, k.x(), k.y());
        return scaled(proportional ? new Point(even, even) : k, fromCentre);
    }

    /**
     * As {@link #drag}, with the area kept: what one side gains the other loses. At a corner the side leads that changes more.
     */
    public Result dragKeepingArea(Point by, boolean fromCentre) {
        Point f = factors(by, fromCentre);
        boolean wide = handle.y() == 0.5 || handle.x() != 0.5
                && Math.abs(Math.log(Math.max(LEAST, f.x()))) >= Math.abs(Math.log(Math.max(LEAST, f.y())));
        double k = Math.max(LEAST, Math.min(1 / LEAST, wide ? f.x() : f.y()));
        return scaled(wide ? new Point(k, 1 / k) : new Point(1 / k, k), fromCentre);
    }

    /** Whether its handles change its size; texts and groups are scaled by theirs. */
    static boolean sized(Content content) {
        return content instanceof Content.Block || !(content instanceof Content.Text || content instanceof Content.Parent
                || content instanceof Content.Instance);
    }

    /** What a drag would stretch each side by. */
    private Point factors(Point by, boolean fromCentre) {
        Point local = Affine.turned(start.get(Properties.ROTATION), start.get(Properties.SCALE), start.get(Properties.SKEW)).inverse().apply(by);
        double reach = fromCentre ? 2 : 1;
        return new Point(factor(box.x(), local.x() * reach, handle.x()), factor(box.y(), local.y() * reach, handle.y()));
    }

    private Result scaled(Point k, boolean fromCentre) {
        double turn = start.get(Properties.ROTATION);
        Point scale = start.get(Properties.SCALE), skew = start.get(Properties.SKEW);
        boolean sized = sized(content);
        Property<Point> sizing = sized ? Properties.SIZE : Properties.SCALE;
        Point factor = sized ? new Point(Math.max(0, k.x()), Math.max(0, k.y())) : k;
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
