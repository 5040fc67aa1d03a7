package tundra.render;

import io.github.humbleui.skija.Canvas;
import io.github.humbleui.skija.Image;
import io.github.humbleui.skija.Surface;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import tundra.core.check.ImageComparer;
import tundra.core.flip.PictureInk;
import tundra.core.frame.Frame;
import tundra.core.frame.FrameNode;
import tundra.core.geometry.Point;
import tundra.core.geometry.Rect;
import tundra.core.model.Asset;
import tundra.core.model.Paint;
import tundra.core.model.Project;

/** Sees for the checks by painting small pictures. One thread at a time. */
public final class SkiaImageComparer implements ImageComparer {
    /** Of the longer side of the pictures that are compared, in px. */
    private static final int SIDE = 160;
    private final Painter painter = new Painter();
    private final Map<String, PictureInk> inks = new HashMap<>();
    private Map<String, Asset> assets = Map.of();

    @Override
    public void use(Project project) {
        assets = project.assets();
        painter.use(assets);
    }

    @Override
    public PictureInk picture(String hash) {
        return inks.computeIfAbsent(hash, h -> {
            Asset a = assets.get(h);
            return a == null ? null : ink(a);
        });
    }

    /** What of a picture isn't transparent; null when it can't be read. */
    public static PictureInk ink(Asset a) {
        try (Image image = PictureReader.decode(a.data())) {
            return ink(Rasters.argb(image), image.getWidth(), image.getHeight());
        } catch (RuntimeException e) {
            return null;
        }
    }

    private static PictureInk ink(int[] argb, int w, int h) {
        int x0 = w, y0 = h, x1 = -1, y1 = -1;
        double sum = 0, sx = 0, sy = 0;
        for (int y = 0; y < h; y++) {
            for (int x = 0; x < w; x++) {
                double a = (argb[y * w + x] >>> 24) / 255.0;
                if (a > 0.03) {
                    x0 = Math.min(x0, x);
                    x1 = Math.max(x1, x);
                    y0 = Math.min(y0, y);
                    y1 = Math.max(y1, y);
                    sum += a;
                    sx += a * (x + 0.5);
                    sy += a * (y + 0.5);
                }
            }
        }
        if (x1 < 0) {
            return new PictureInk(null, 0, new Point(0.5, 0.5));
        }
        return new PictureInk(new Rect((double) x0 / w, (double) y0 / h, (x1 + 1.0 - x0) / w, (y1 + 1.0 - y0) / h), sum / w / h,
                new Point(sx / sum / w, sy / sum / h));
    }

    @Override
    public List<String> families() {
        return Fonts.of(assets).families();
    }

    @Override
    public List<Asset> unreadableFonts() {
        return Fonts.unreadable(assets);
    }

    @Override
    public boolean paints(Paint p, Point box) {
        return Shading.can(p, box);
    }

    @Override
    public double difference(FrameNode a, FrameNode b) {
        Rect one = a.inked() == null ? null : a.toParent().bounds(a.inked()), other = b.inked() == null ? null : b.toParent().bounds(b.inked());
        if (one == null || other == null) {
            return one == other ? 0 : 1;
        }
        Rect all = one.union(other);
        double scale = SIDE / Math.max(1e-6, Math.max(all.width(), all.height()));
        int w = (int) Math.ceil(all.width() * scale) + 2, h = (int) Math.ceil(all.height() * scale) + 2;
        int[] p = paint(a, all, scale, w, h), q = paint(b, all, scale, w, h);
        double differs = 0, covered = 0;
        for (int i = 0; i < p.length; i++) {
            double most = 0;
            for (int shift = 0; shift < 32; shift += 8) {
                most = Math.max(most, Math.abs((p[i] >>> shift & 255) - (q[i] >>> shift & 255)) / 255.0);
            }
            differs += most;
            covered += Math.max(p[i] >>> 24, q[i] >>> 24) / 255.0;
        }
        return covered == 0 ? 0 : Math.min(1, differs / covered);
    }

    private int[] paint(FrameNode n, Rect all, double scale, int w, int h) {
        try (Surface s = Surface.makeRasterN32Premul(w, h)) {
            Canvas c = s.getCanvas();
            c.translate(1, 1).scale((float) scale, (float) scale).translate((float) -all.x(), (float) -all.y());
            painter.nodes(c, List.of(n), scale);
            try (Image image = s.makeImageSnapshot()) {
                return Rasters.argb(image);
            }
        }
    }

    @Override
    public int[] pixels(Frame f, Rect area, int width, int height) {
        try (Surface s = Surface.makeRasterN32Premul(width, height)) {
            Canvas c = s.getCanvas();
            c.clear(f.background().argb() | 0xFF000000);
            double across = width / area.width(), down = height / area.height();
            c.scale((float) across, (float) down).translate((float) -area.x(), (float) -area.y());
            painter.picture(f.nodes(), () -> painter.nodes(c, f.nodes(), Math.max(across, down)));
            try (Image image = s.makeImageSnapshot()) {
                return Rasters.argb(image);
            }
        }
    }

    @Override
    public boolean hasLetter(String family, int weight, int codePoint) {
        return Fonts.of(assets).hasLetter(family, weight, codePoint);
    }

    @Override
    public void close() {
        painter.close();
    }
}
