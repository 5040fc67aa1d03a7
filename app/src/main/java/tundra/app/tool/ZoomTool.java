package tundra.app.tool;

import java.util.function.BiConsumer;
import tundra.core.geometry.Point;

/** Zooms in around a click; out with Alt. */
public final class ZoomTool implements Tool {
    private final BiConsumer<Double, Point> zoom;

    public ZoomTool(BiConsumer<Double, Point> zoom) {
        this.zoom = zoom;
    }

    @Override
    public void press(Pointer p) {
        zoom.accept(p.alt() ? 1 / 1.5 : 1.5, p.view());
    }
}
