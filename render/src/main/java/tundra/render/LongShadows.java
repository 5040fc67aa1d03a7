package tundra.render;

import io.github.humbleui.skija.BlendMode;
import io.github.humbleui.skija.Canvas;
import io.github.humbleui.skija.ColorFilter;
import io.github.humbleui.skija.ColorMatrix;
import io.github.humbleui.skija.Image;
import io.github.humbleui.skija.Paint;
import io.github.humbleui.skija.SamplingMode;
import io.github.humbleui.skija.Surface;
import io.github.humbleui.types.Rect;
import java.util.List;
import java.util.function.Consumer;
import tundra.core.frame.Filter.LongShadow;
import tundra.core.frame.Filter;
import tundra.core.frame.FrameNode;

/**
 * Nodes with a long shadow, painted step by step into images. As one of Skia's filters each of the steps would ask twice for the one before,
 * so that the whole would cost twice as much with every step.
 */
final class LongShadows {
    /** A larger image is painted with fewer pixels. */
    private static final double PIXELS = 16e6;
    private final tundra.core.geometry.Rect content;
    private final List<Filter> before;
    private final LongShadow shadow;
    private final List<Filter> after;
    /** Pixels a px of the node, and where its coordinates begin on the images. */
    private final double scale;
    private final double left;
    private final double top;
    private final int width;
    private final int height;
    private final boolean upright;

    private LongShadows(Canvas canvas, tundra.core.geometry.Rect content, List<Filter> all, int at) {
        this.content = content;
        before = all.subList(0, at);
        shadow = (LongShadow) all.get(at);
        after = all.subList(at + 1, all.size());
        float[] m = canvas.getLocalToDevice().asMatrix33().getMat();
        var r = content.grow(1 + shadow.reach() + before.stream().mapToDouble(Filter::reach).sum());
        double device = Math.sqrt(Math.abs(m[0] * (double) m[4] - m[1] * (double) m[3])), most = Math.sqrt(PIXELS / (r.width() * r.height()));
        scale = Math.min(device, most);
        upright = m[1] == 0 && m[3] == 0 && m[0] == m[4] && m[0] > 0 && scale == device;
        // where it stands upright its pixels are the picture's
        left = upright ? (Math.floor(m[2] + r.x() * scale) - m[2]) / scale : r.x();
        top = upright ? (Math.floor(m[5] + r.y() * scale) - m[5]) / scale : r.y();
        width = (int) Math.ceil(r.width() * scale) + 2;
        height = (int) Math.ceil(r.height() * scale) + 2;
    }

    /**
     * Paints a node that has a long shadow, on a canvas in its coordinates; false for one that has none.
     *
     * @param inside paints what the node shows without its effects
     */
    static boolean paint(Canvas canvas, FrameNode n, double alpha, Consumer<Canvas> inside) {
        return paint(canvas, n.content(), n.look().filters(), alpha, n.look().blend(), inside);
    }

    private static boolean paint(Canvas canvas, tundra.core.geometry.Rect content, List<Filter> all, double alpha, String blend,
            Consumer<Canvas> inside) {
        int last = all.size() - 1;
        while (last >= 0 && !(all.get(last) instanceof LongShadow)) {
            last--;
        }
        if (last < 0) {
            return false;
        }
        var s = new LongShadows(canvas, content, all, last);
        // what is pressed flat is not seen
        if (s.scale > 0) {
            s.paint(canvas, alpha, blend, inside);
        }
        return true;
    }

    private void paint(Canvas canvas, double alpha, String blend, Consumer<Canvas> inside) {
        try (Image source = source(inside); Image whole = whole(source); var filtering = new Filtering(after, scale);
                var paint = new Paint().setAlphaf((float) alpha).setBlendMode(Filtering.blend(blend)).setImageFilter(filtering.filter())) {
            int saved = canvas.save();
            if (!after.isEmpty()) {
                canvas.saveLayer((Rect) null, paint);
            }
            canvas.translate((float) left, (float) top).scale((float) (1 / scale), (float) (1 / scale));
            var all = Rect.makeWH(width, height);
            canvas.drawImageRect(whole, all, all, upright ? SamplingMode.DEFAULT : SamplingMode.LINEAR, after.isEmpty() ? paint : null, true);
            canvas.restoreToCount(saved);
        }
    }

    private Image source(Consumer<Canvas> inside) {
        return image(c -> {
            c.scale((float) scale, (float) scale).translate((float) -left, (float) -top);
            if (paint(c, content, before, 1, "normal", inside)) {
                return;
            }
            try (var filtering = new Filtering(before, scale); var paint = new Paint().setImageFilter(filtering.filter())) {
                c.saveLayer((Rect) null, before.isEmpty() ? null : paint);
            }
            inside.accept(c);
            c.restore();
        });
    }

    /**
     * The shadow by itself, also beneath what casts it.
     *
     * @param area what the image shows, in the node's coordinates
     */
    record Shadow(Image image, tundra.core.geometry.Rect area) {}

    /**
     * The shadow of a node whose first effect is one, at so many pixels a px.
     *
     * @param inside paints what the node shows without its effects
     */
    static Shadow of(FrameNode n, double scale, Consumer<Canvas> inside) {
        try (Surface device = Surface.makeRasterN32Premul(1, 1)) {
            Canvas c = device.getCanvas();
            c.scale((float) scale, (float) scale);
            var s = new LongShadows(c, n.content(), n.look().filters(), 0);
            try (Image source = s.source(inside)) {
                return new Shadow(s.drawnOut(source), new tundra.core.geometry.Rect(s.left, s.top, s.width / s.scale, s.height / s.scale));
            }
        }
    }

    private Image whole(Image source) {
        try (Image shadow = drawnOut(source)) {
            return image(c -> {
                c.drawImage(shadow, 0, 0);
                c.drawImage(source, 0, 0);
            });
        }
    }

    private Image drawnOut(Image source) {
        Image at, covered = source;
        try (var color = ColorFilter.makeBlend(shadow.color().argb(), BlendMode.SRC_IN); var paint = new Paint().setColorFilter(color)) {
            at = image(c -> c.drawImage(source, 0, 0, paint));
        }
        try (var out = new Paint().setBlendMode(BlendMode.DST_OUT)) {
            for (int i = 0; i < LongShadow.STAGES; i++) {
                Image a = at, there = covered;
                // whole pixels, as Skia's and the browsers' offset filters move
                float dx = Math.round(shadow.step(i).x() * scale), dy = Math.round(shadow.step(i).y() * scale);
                float kept = (float) shadow.kept(i);
                // only where nothing is yet, so that it never grows darker where copies meet
                at = image(c -> {
                    // by a matrix as in a filter: a paint's alpha has only 256 steps
                    try (var fade = ColorFilter.makeMatrix(new ColorMatrix(1, 0, 0, 0, 0, 0, 1, 0, 0, 0, 0, 0, 1, 0, 0, 0, 0, 0, kept,
                            0)); var fainter = new Paint().setColorFilter(fade)) {
                        c.drawImage(a, dx, dy, fainter);
                    }
                    c.drawImage(there, 0, 0, out);
                    c.drawImage(a, 0, 0);
                });
                covered = image(c -> {
                    c.drawImage(there, dx, dy);
                    c.drawImage(there, 0, 0);
                });
                a.close();
                if (there != source) {
                    there.close();
                }
            }
        }
        covered.close();
        return at;
    }

    private Image image(Consumer<Canvas> painting) {
        try (Surface s = Surface.makeRasterN32Premul(width, height)) {
            painting.accept(s.getCanvas());
            return s.makeImageSnapshot();
        }
    }
}
