package tundra.render;

import io.github.humbleui.skija.Canvas;
import io.github.humbleui.skija.Image;
import io.github.humbleui.skija.Paint;
import io.github.humbleui.skija.SamplingMode;
import io.github.humbleui.skija.Surface;
import io.github.humbleui.types.Rect;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import tundra.core.frame.FrameNode;

/**
 * Images of groups that move or fade as a whole while their children stay as they are. Sampled between pixels, so a little
 * softer than fresh paint: for pictures in motion only.
 */
final class MovingGroups implements AutoCloseable {
    /** Below this number of children painting them is as fast. */
    private static final int CHILDREN = 8;
    private static final double PIXELS = 8_000_000;
    private final Painter painter;
    private final Map<String, Kept> kept = new HashMap<>();

    /** The children's picture; {@code at} is where it lies in the group's box. */
    private record Kept(List<FrameNode> children, double scale, Image image, Rect at) {}

    MovingGroups(Painter painter) {
        this.painter = painter;
    }

    /** Paints a group from its image; false when it is better painted afresh. */
    boolean paint(Canvas canvas, FrameNode n, double scale) {
        if (n.children().size() < CHILDREN || !n.marks().isEmpty() || n.opacity() <= 0) {
            return false;
        }
        double s = scale * Math.sqrt(Math.abs(n.toParent().determinant()));
        Kept k = kept.get(n.id());
        if (k == null || k.scale != s || !same(k.children, n.children())) {
            if (k != null) {
                k.image.close();
            }
            k = keep(n, s);
            if (k == null) {
                kept.remove(n.id());
                return false;
            }
            kept.put(n.id(), k);
        }
        canvas.save();
        canvas.concat(Painter.matrix(n.toParent()));
        try (var paint = new Paint().setAlphaf((float) n.opacity())) {
            canvas.drawImageRect(k.image, Rect.makeWH(k.image.getWidth(), k.image.getHeight()), k.at, SamplingMode.LINEAR, paint, false);
        }
        canvas.restore();
        return true;
    }

    private static boolean same(List<FrameNode> a, List<FrameNode> b) {
        for (int i = 0; i < a.size(); i++) {
            if (i >= b.size() || a.get(i) != b.get(i)) {
                return false;
            }
        }
        return a.size() == b.size();
    }

    private Kept keep(FrameNode n, double s) {
        tundra.core.geometry.Rect all = null;
        for (FrameNode c : n.children()) {
            all = c.toParent().bounds(c.painted()).union(all);
        }
        double pad = 2 / s;
        int w = (int) Math.ceil((all.width() + 2 * pad) * s), h = (int) Math.ceil((all.height() + 2 * pad) * s);
        if (s <= 0 || (double) w * h > PIXELS) {
            return null;
        }
        try (Surface surface = Surface.makeRasterN32Premul(w, h)) {
            Canvas c = surface.getCanvas();
            c.scale((float) s, (float) s).translate((float) (pad - all.x()), (float) (pad - all.y()));
            painter.nodes(c, n.children(), s);
            return new Kept(n.children(), s, surface.makeImageSnapshot(),
                    Rect.makeXYWH((float) (all.x() - pad), (float) (all.y() - pad), (float) (w / s), (float) (h / s)));
        }
    }

    @Override
    public void close() {
        kept.values().forEach(k -> k.image.close());
        kept.clear();
    }
}
