package tundra.render;

import io.github.humbleui.skija.Canvas;
import io.github.humbleui.skija.ColorAlphaType;
import io.github.humbleui.skija.ColorSpace;
import io.github.humbleui.skija.ImageInfo;
import io.github.humbleui.skija.Picture;
import io.github.humbleui.skija.PictureRecorder;
import io.github.humbleui.skija.Pixmap;
import io.github.humbleui.skija.Surface;
import io.github.humbleui.types.Rect;
import java.lang.ref.Reference;
import java.nio.ByteBuffer;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Consumer;
import java.util.stream.IntStream;

/**
 * A raster picture painted by all processors: what is drawn is recorded once and played onto bands of its rows at the same time.
 * The bands are cut at whole pixels; only where an edge crosses such a cut may its smoothing differ a little from a single surface's.
 */
public final class Bands implements AutoCloseable {
    /** More bands than processors, since the rows of a picture are not equally rich; a path is outlined anew in each band that it meets. */
    private static final int PER_PROCESSOR = 2;
    private static final int LEAST_ROWS = 48;
    /** Held, since the surfaces write to its memory without knowing of it. */
    private final ByteBuffer pixels;
    private final int width;
    private final int height;
    private final int rows;
    private final List<Surface> surfaces = new ArrayList<>();

    /** @param pixels width × height premultiplied pixels of 4 bytes in the machine's order, in direct memory */
    public Bands(ByteBuffer pixels, int width, int height) {
        this.pixels = pixels;
        this.width = width;
        this.height = height;
        int wanted = PER_PROCESSOR * Runtime.getRuntime().availableProcessors();
        rows = Math.max(LEAST_ROWS, Math.ceilDiv(height, wanted));
        for (int y = 0; y < height; y += rows) {
            int h = Math.min(rows, height - y);
            var info = ImageInfo.makeN32(width, h, ColorAlphaType.PREMUL, ColorSpace.getSRGB());
            surfaces.add(Surface.wrapPixels(Pixmap.make(info, pixels.slice(y * width * 4, h * width * 4), width * 4)));
        }
    }

    /** Replaces the picture by what is drawn on a canvas of the picture's size. */
    public void paint(Consumer<Canvas> drawing) {
        try (var recorder = new PictureRecorder()) {
            drawing.accept(recorder.beginRecording(Rect.makeWH(width, height)));
            try (Picture recorded = recorder.finishRecordingAsPicture()) {
                IntStream.range(0, surfaces.size()).parallel().forEach(i -> play(recorded, i));
                Reference.reachabilityFence(pixels);
            }
        }
    }

    private void play(Picture recorded, int band) {
        Canvas c = surfaces.get(band).getCanvas();
        int saved = c.save();
        c.translate(0, -band * rows);
        recorded.playback(c);
        c.restoreToCount(saved);
    }

    @Override
    public void close() {
        surfaces.forEach(Surface::close);
    }
}
