package tundra.core.edit;

import java.util.List;
import tundra.core.geometry.Affine;
import tundra.core.geometry.Point;
import tundra.core.geometry.Rect;
import tundra.core.model.Board;
import tundra.core.model.Content;
import tundra.core.model.Properties;
import tundra.core.model.Property;
import tundra.core.model.Values;

/**
 * Several elements dragged by a handle of the box around them all. The sides keep their ratio where an element is turned, since
 * it could not be stretched along the canvas's axes without a skew.
 *
 * @param bounds around all, on the canvas
 * @param handle by its place on the box: x and y are 0, 0.5 or 1
 */
public record ResizingSeveral(Rect bounds, Point handle, List<Part> parts) {

    /**
     * @param start its values when the drag began
     * @param parent from its parent to the canvas
     */
    public record Part(String id, Content content, Values start, Point box, Affine parent) {
        /** Quarter turns from the canvas's axes; -1 when it stands askew. */
        int quarters() {
            Affine m = parent.times(Affine.rotate(start.get(Properties.ROTATION)));
            double turns = Math.toDegrees(Math.atan2(m.b(), m.a())) / 90;
            boolean upright = Math.abs(turns - Math.rint(turns)) < 1e-6 && Math.abs(m.a() * m.c() + m.b() * m.d()) < 1e-9;
            return upright ? Math.floorMod((int) Math.rint(turns), 4) : -1;
        }
    }

    /** Sets one property of a board's element. */
    @FunctionalInterface
    public interface Setter {
        <T> Board set(Board b, String id, Property<T> p, T value);
    }

    /**
     * The board with all parts resized.
     *
     * @param by the way of the pointer on the canvas
     * @param keepArea what one side gains the other loses; where an element is turned nothing can be stretched so
     */
    public Board drag(Board board, Point by, boolean proportional, boolean fromCentre, boolean keepArea, Setter setter) {
        boolean even = proportional || parts.stream().anyMatch(p -> p.quarters() < 0);
        double reach = fromCentre ? 2 : 1;
        double kx = factor(bounds.width(), by.x() * reach, handle.x()), ky = factor(bounds.height(), by.y() * reach, handle.y());
        if (keepArea && !proportional) {
            double k = even ? 1 : handle.x() == 0.5 ? 1 / ky : handle.y() == 0.5 || Math.abs(Math.log(kx)) >= Math.abs(Math.log(ky)) ? kx : 1 / ky;
            kx = k;
            ky = 1 / k;
        } else if (even) {
            kx = Resizing.even(handle, kx, ky);
            ky = kx;
        }
        Point anchor = fromCentre ? bounds.centre()
                : new Point(bounds.x() + bounds.width() * (1 - handle.x()), bounds.y() + bounds.height() * (1 - handle.y()));
        Affine stretch = Affine.translate(anchor.x(), anchor.y()).times(Affine.scale(kx, ky)).times(Affine.translate(-anchor.x(), -anchor.y()));
        Board out = board;
        for (Part p : parts) {
            boolean across = p.quarters() % 2 == 1;
            Point k = across ? new Point(ky, kx) : new Point(kx, ky);
            out = setter.set(out, p.id, Properties.POSITION, p.parent.inverse()
                    .apply(stretch.apply(p.parent.apply(p.start.get(Properties.POSITION)))));
            boolean sized = Resizing.sized(p.content);
            out = sized ? setter.set(out, p.id, Properties.SIZE, p.box.times(k))
                    : setter.set(out, p.id, Properties.SCALE, p.start.get(Properties.SCALE).times(k));
        }
        return out;
    }

    private static double factor(double length, double by, double side) {
        // what several are together never turns over
        return Math.max(0.001, Resizing.factor(length, by, side));
    }
}
