package tundra.app.view;

import tundra.core.geometry.Numbers;
import tundra.core.geometry.Point;
import tundra.core.geometry.Rect;

/** Which part of the canvas the view shows: view = canvas × zoom + origin, all in logical px. */
public record Viewport(double zoom, Point origin) {
    public static final double MIN = 0.05;
    public static final double MAX = 32;
    /** What is smaller than this on the screen can't be worked on, in px. */
    private static final double SMALL = 24;

    /** The whole canvas, centred in an area of the view, at most at twice its size. */
    public static Viewport fit(Point canvas, Rect area) {
        double zoom = Numbers.clamp(Math.min(area.width() / canvas.x(), area.height() / canvas.y()), MIN, 2);
        return new Viewport(zoom, new Point(Math.round(area.x() + (area.width() - canvas.x() * zoom) / 2),
                Math.round(area.y() + (area.height() - canvas.y() * zoom) / 2)));
    }

    /** The canvas within an area of the view: moved as little as that takes; fitted where it is larger, or too small to work on. */
    public Viewport showing(Point canvas, Rect area) {
        double w = canvas.x() * zoom, h = canvas.y() * zoom;
        if (w > area.width() || h > area.height() || Math.max(w, h) < SMALL) {
            return fit(canvas, area);
        }
        return new Viewport(zoom, new Point(Numbers.clamp(origin.x(), area.x(), area.right() - w),
                Numbers.clamp(origin.y(), area.y(), area.bottom() - h)));
    }

    public Point toView(Point canvas) {
        return canvas.times(zoom).plus(origin);
    }

    public Point toCanvas(Point view) {
        return view.minus(origin).times(1 / zoom);
    }

    /** Zoomed by a factor with a point of the view standing still. */
    public Viewport zoomed(double factor, Point at) {
        double z = Numbers.clamp(zoom * factor, MIN, MAX);
        return new Viewport(z, at.minus(toCanvas(at).times(z)));
    }

    public Viewport moved(Point by) {
        return new Viewport(zoom, origin.plus(by));
    }
}
