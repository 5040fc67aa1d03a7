package tundra.render;

import io.github.humbleui.skija.Canvas;
import io.github.humbleui.skija.Image;
import io.github.humbleui.skija.Matrix33;
import io.github.humbleui.skija.Surface;
import java.util.HashMap;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import tundra.core.frame.FrameNode;
import tundra.core.geometry.Rect;

/**
 * What a motif shows at a moment, painted once however often it stands in a picture: as an image in pixels of the picture, where it stands upright
 * and at the same scale and place between the pixels. For one picture.
 */
final class SharedMotifs implements AutoCloseable {
    /** Below this number of marks painting them is as fast. */
    private static final int MARKS = 16;
    private static final long PIXELS = 16_000_000;
    private final Painter painter;
    private final Map<List<FrameNode>, Integer> uses = new IdentityHashMap<>();
    private final Map<List<FrameNode>, Map<At, Kept>> images = new IdentityHashMap<>();

    /** At a scale and a place between the pixels. */
    private record At(float scaleX, float scaleY, float x, float y) {}

    /** @param x where its left edge lies from the motif's origin, in whole pixels */
    private record Kept(Image image, int x, int y) {}

    /** @param nodes of the picture */
    SharedMotifs(Painter painter, List<FrameNode> nodes) {
        this.painter = painter;
        nodes.forEach(this::count);
        uses.values().removeIf(n -> n < 2);
    }

    private void count(FrameNode n) {
        if (n.motif() != null) {
            uses.merge(n.children(), 1, Integer::sum);
        }
        // what a motif holds is counted once: it is painted once
        if (n.motif() == null || uses.get(n.children()) == 1) {
            n.children().forEach(this::count);
        }
    }

    private static int marks(List<FrameNode> nodes) {
        return nodes.stream().mapToInt(n -> n.marks().size() + marks(n.children())).sum();
    }

    /** Paints what an instance shows; false when it is better painted as it is. */
    boolean paint(Canvas canvas, FrameNode n) {
        if (n.look().passes() || !uses.containsKey(n.children()) || marks(n.children()) < MARKS) {
            return false;
        }
        float[] m = canvas.getLocalToDevice().asMatrix33().getMat();
        if (m[1] != 0 || m[3] != 0 || m[6] != 0 || m[7] != 0 || m[0] <= 0 || m[4] <= 0) {
            return false;
        }
        int px = (int) Math.floor(m[2]), py = (int) Math.floor(m[5]);
        var at = new At(m[0], m[4], m[2] - px, m[5] - py);
        Kept k = images.computeIfAbsent(n.children(), x -> new HashMap<>()).computeIfAbsent(at, x -> image(n, x));
        if (k == null || k.image == null) {
            return false;
        }
        canvas.save();
        canvas.setMatrix(Matrix33.IDENTITY);
        canvas.drawImage(k.image, px + k.x, py + k.y);
        canvas.restore();
        return true;
    }

    private Kept image(FrameNode n, At at) {
        Rect r = null;
        for (FrameNode c : n.children()) {
            r = c.reach() == null ? r : c.toParent().bounds(c.reach()).union(r);
        }
        if (r == null) {
            return new Kept(null, 0, 0);
        }
        int x0 = (int) Math.floor(r.x() * at.scaleX) - 2, y0 = (int) Math.floor(r.y() * at.scaleY) - 2;
        int w = (int) Math.ceil(r.right() * at.scaleX) + 3 - x0, h = (int) Math.ceil(r.bottom() * at.scaleY) + 3 - y0;
        if ((long) w * h > PIXELS || w < 1 || h < 1) {
            return new Kept(null, 0, 0);
        }
        try (Surface s = Surface.makeRasterN32Premul(w, h)) {
            Canvas c = s.getCanvas();
            c.translate(at.x - x0, at.y - y0).scale(at.scaleX, at.scaleY);
            painter.nodes(c, n.children(), at.scaleX);
            return new Kept(s.makeImageSnapshot(), x0, y0);
        }
    }

    @Override
    public void close() {
        images.values().forEach(of -> of.values().forEach(k -> {
            if (k.image != null) {
                k.image.close();
            }
        }));
        images.clear();
    }
}
