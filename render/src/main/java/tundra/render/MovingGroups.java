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
import tundra.core.geometry.Affine;
import tundra.core.geometry.Outline;
import tundra.core.geometry.Point;

/**
 * Images of groups that move or fade as a whole while their children stay as they are: for pictures in motion only. A group that only
 * glides is shown to a quarter of a pixel, from an image for each such place between the pixels, as crisp as fresh paint; one that
 * turns or is too large for that from one image that is sampled between the pixels, which is a little softer.
 */
final class MovingGroups implements AutoCloseable {
    /** Below this number of children painting them is as fast. */
    private static final int CHILDREN = 8;
    /** Of all images of a group, and of all groups together. */
    private static final long PIXELS = 8_000_000;
    private static final long ALL_PIXELS = 20_000_000;
    /** Places to a pixel, in each direction. */
    private static final int PLACES = 4;
    private static final int SAMPLED = -1;
    private final Painter painter;
    private final Map<String, Kept> kept = new HashMap<>();
    private long pixels;

    /** What a group held when it was seen last, and its images by their place between the pixels; none before it was seen twice. */
    private record Kept(List<FrameNode> children, List<Outline> clips, double scale, tundra.core.geometry.Rect ink, Map<Integer, Image> images) {
        Kept(FrameNode n, double scale) {
            this(n.children(), n.clips(), scale, ink(n.children()), new HashMap<>());
        }

        private static tundra.core.geometry.Rect ink(List<FrameNode> nodes) {
            tundra.core.geometry.Rect all = null;
            for (FrameNode n : nodes) {
                all = n.reach() == null ? all : n.toParent().bounds(n.reach()).union(all);
            }
            return all;
        }

        boolean shows(FrameNode n, double s) {
            // what turns keeps its scale but for rounding
            return Math.abs(scale - s) <= 1e-9 * s && clips.equals(n.clips()) && same(children, n.children());
        }

        long pixels() {
            return images.values().stream().mapToLong(i -> (long) i.getWidth() * i.getHeight()).sum();
        }

        void close() {
            images.values().forEach(Image::close);
        }
    }

    MovingGroups(Painter painter) {
        this.painter = painter;
    }

    /**
     * Paints a group from an image; false when it is better painted afresh.
     *
     * @param view from the node's surroundings to pixels: a place and a scale
     */
    boolean paint(Canvas canvas, FrameNode n, Affine view) {
        if (n.id() == null || n.children().size() < CHILDREN || !n.marks().isEmpty() || n.opacity() <= 0) {
            return false;
        }
        Affine m = view.times(n.toParent());
        double s = Math.sqrt(Math.abs(m.determinant()));
        Kept k = kept.get(n.id());
        if (k == null || !k.shows(n, s)) {
            if (k != null) {
                pixels -= k.pixels();
                k.close();
            }
            // children that move on their own would only be painted twice
            kept.put(n.id(), new Kept(n, s));
            return false;
        }
        if (k.ink == null) {
            return false;
        }
        double pad = 2 / s, left = k.ink.x() - pad, top = k.ink.y() - pad;
        int w = (int) Math.ceil((k.ink.width() + 2 * pad) * s) + 1, h = (int) Math.ceil((k.ink.height() + 2 * pad) * s) + 1;
        long size = (long) w * h;
        if (s <= 0 || size > PIXELS) {
            return false;
        }
        Point corner = m.apply(new Point(left, top));
        int qx = (int) Math.round(corner.x() * PLACES), qy = (int) Math.round(corner.y() * PLACES);
        int px = Math.floorMod(qx, PLACES), py = Math.floorMod(qy, PLACES), place = py * PLACES + px;
        boolean glides = m.b() == 0 && m.c() == 0 && m.a() == m.d() && m.a() > 0 && size * PLACES * PLACES <= PIXELS
                && (k.images.containsKey(place) || pixels + size <= ALL_PIXELS);
        Image image = glides ? k.images.computeIfAbsent(place, x -> image(n, s, left - px / (s * PLACES), top - py / (s * PLACES), w, h))
                : k.images.computeIfAbsent(SAMPLED, x -> image(n, s, left, top, w, h));
        canvas.save();
        try (var paint = new Paint().setAlphaf((float) n.opacity())) {
            if (glides) {
                canvas.resetMatrix();
                canvas.drawImage(image, Math.floorDiv(qx, PLACES), Math.floorDiv(qy, PLACES), paint);
            } else {
                canvas.concat(Painter.matrix(n.toParent()));
                canvas.drawImageRect(image, Rect.makeWH(w, h), Rect.makeXYWH((float) left, (float) top, (float) (w / s), (float) (h / s)),
                        SamplingMode.LINEAR, paint, false);
            }
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

    /** What the group holds, from (left, top) of its box on. */
    private Image image(FrameNode n, double scale, double left, double top, int w, int h) {
        try (Surface surface = Surface.makeRasterN32Premul(w, h)) {
            Canvas c = surface.getCanvas();
            c.scale((float) scale, (float) scale).translate((float) -left, (float) -top);
            painter.inside(c, n, 1, scale);
            pixels += (long) w * h;
            return surface.makeImageSnapshot();
        }
    }

    @Override
    public void close() {
        kept.values().forEach(Kept::close);
        kept.clear();
        pixels = 0;
    }
}
