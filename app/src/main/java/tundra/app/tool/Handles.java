package tundra.app.tool;

import java.util.ArrayList;
import java.util.List;
import tundra.app.view.Viewport;
import tundra.core.frame.Frame;
import tundra.core.geometry.Affine;
import tundra.core.geometry.Point;
import tundra.core.geometry.Rect;

/** The handles around a selected element: eight that resize and a knob that turns. */
final class Handles {
    static final double REACH = 7;
    private static final double KNOB = 24;

    private Handles() {}

    /** A handle by its place on the box (0, 0.5 or 1) and where it stands in the view. */
    record Handle(Point place, Point view) {}

    static List<Handle> of(Frame.Placed placed, Viewport v) {
        return of(placed.toCanvas(), placed.node().box(), v);
    }

    /** The handles of a box that lies along the axes of the canvas. */
    static List<Handle> of(Rect r, Viewport v) {
        return of(Affine.translate(r.x(), r.y()), new Point(r.width(), r.height()), v);
    }

    private static List<Handle> of(Affine toCanvas, Point box, Viewport v) {
        var out = new ArrayList<Handle>();
        for (double y : new double[] {0, 0.5, 1}) {
            for (double x : new double[] {0, 0.5, 1}) {
                if (x != 0.5 || y != 0.5) {
                    out.add(new Handle(new Point(x, y), v.toView(toCanvas.apply(box.times(new Point(x, y))))));
                }
            }
        }
        return out;
    }

    /** The handle at a place of the view; null for none. */
    static Handle at(List<Handle> handles, Point view) {
        Handle best = null;
        for (Handle h : handles) {
            // corners win over edges where the box is tiny
            double d = h.view.distance(view) + (h.place.x() == 0.5 || h.place.y() == 0.5 ? 0.5 : 0);
            if (d <= REACH && (best == null || d < best.view.distance(view))) {
                best = h;
            }
        }
        return best;
    }

    /** Where the knob stands that turns all that lies in a box of the canvas. */
    static Point knob(Rect r, Viewport v) {
        return v.toView(new Point(r.centre().x(), r.y())).plus(new Point(0, -KNOB));
    }

    /** Where the turning knob stands: above the middle of the top edge. */
    static Point knob(Frame.Placed placed, Viewport v) {
        Point box = placed.node().box();
        Point top = v.toView(placed.toCanvas().apply(new Point(box.x() / 2, 0)));
        Point bottom = v.toView(placed.toCanvas().apply(new Point(box.x() / 2, box.y())));
        Point up = top.minus(bottom);
        if (up.length() < 1e-6) {
            up = new Point(0, -1);
        }
        return top.plus(up.times(KNOB / up.length()));
    }
}
