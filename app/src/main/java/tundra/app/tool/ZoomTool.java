package tundra.app.tool;

import java.util.function.BiConsumer;
import java.util.function.Consumer;
import tundra.app.paint.SkiaGraphics;
import tundra.app.studio.Studio;
import tundra.app.view.Viewport;
import tundra.app.widget.Palette;
import tundra.core.geometry.Point;
import tundra.core.geometry.Rect;

/** Zooms in around a click or on the area that a drag encloses; out with Alt. */
public final class ZoomTool implements Tool {
    private static final double STEP = 1.5;
    private static final double LEAST = 6;
    private final Studio studio;
    private final BiConsumer<Double, Point> zoom;
    private final Consumer<Rect> zoomTo;
    private Point start;
    private Rect area;

    /**
     * @param zoom changes the zoom by a factor around a place of the view
     * @param zoomTo shows an area of the view as large as it can be
     */
    public ZoomTool(Studio studio, BiConsumer<Double, Point> zoom, Consumer<Rect> zoomTo) {
        this.studio = studio;
        this.zoom = zoom;
        this.zoomTo = zoomTo;
    }

    @Override
    public void press(Pointer p) {
        start = p.view();
        area = null;
    }

    @Override
    public void drag(Pointer p) {
        if (start != null) {
            Rect r = Rect.of(start, p.view());
            area = r.width() < LEAST && r.height() < LEAST || p.alt() ? null : r;
        }
    }

    @Override
    public void release(Pointer p) {
        if (start == null) {
            return;
        }
        if (area != null) {
            zoomTo.accept(area);
        } else {
            zoom.accept(p.alt() ? 1 / STEP : STEP, p.view());
        }
        start = null;
        area = null;
    }

    @Override
    public boolean cancel() {
        boolean any = start != null;
        start = null;
        area = null;
        return any;
    }

    @Override
    public void draw(SkiaGraphics g, Viewport v) {
        if (area != null) {
            g.setStroke(Palette.of(studio.dark()).space());
            g.setLineWidth(1);
            g.strokeRect(Math.floor(area.x()) + 0.5, Math.floor(area.y()) + 0.5, area.width(), area.height());
        }
    }
}
