package tundra.render;

import io.github.humbleui.skija.Canvas;
import io.github.humbleui.skija.Image;
import io.github.humbleui.skija.Surface;
import java.util.List;
import java.util.Map;
import java.util.function.Consumer;
import tundra.core.frame.Frame;
import tundra.core.frame.FrameNode;
import tundra.core.geometry.Point;
import tundra.core.geometry.Rect;
import tundra.core.model.Asset;

/** A small picture of one node: rows of pixels, not premultiplied. */
public record Thumbnail(int width, int height, int[] argb) {

    /** Paints them, one thread at a time. Keeps decoded pictures for as long as the shelf stays the same. */
    public static final class Maker {
        private final Painter painter = new Painter();
        private Map<String, Asset> shelf;

        /** @param area in the coordinates of the node's parent */
        public Thumbnail paint(FrameNode node, Rect area, double scale, Map<String, Asset> assets) {
            use(assets);
            return paint(new Point(area.width(), area.height()), scale, c -> {
                c.scale((float) scale, (float) scale).translate((float) -area.x(), (float) -area.y());
                painter.nodes(c, List.of(node), scale);
            });
        }

        /** A whole frame with its background. */
        public Thumbnail paint(Frame frame, double scale, Map<String, Asset> assets) {
            use(assets);
            return paint(frame.size(), scale, c -> {
                c.scale((float) scale, (float) scale);
                painter.paint(c, frame, scale);
            });
        }

        private void use(Map<String, Asset> assets) {
            if (assets != shelf) {
                painter.use(assets);
                shelf = assets;
            }
        }

        private static Thumbnail paint(Point size, double scale, Consumer<Canvas> by) {
            int w = (int) Math.max(1, Math.min(2000, Math.ceil(size.x() * scale))),
                    h = (int) Math.max(1, Math.min(2000, Math.ceil(size.y() * scale)));
            try (Surface s = Surface.makeRasterN32Premul(w, h)) {
                by.accept(s.getCanvas());
                try (Image image = s.makeImageSnapshot()) {
                    return new Thumbnail(w, h, Rasters.argb(image));
                }
            }
        }
    }
}
