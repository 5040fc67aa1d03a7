package tundra.app.paint;

import io.github.humbleui.skija.Canvas;
import io.github.humbleui.skija.ColorAlphaType;
import io.github.humbleui.skija.ColorSpace;
import io.github.humbleui.skija.ImageInfo;
import io.github.humbleui.skija.Picture;
import io.github.humbleui.skija.Pixmap;
import io.github.humbleui.skija.Surface;
import java.lang.ref.Reference;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.IntBuffer;
import java.util.Arrays;
import javafx.geometry.Rectangle2D;
import javafx.scene.image.Image;
import javafx.scene.image.PixelBuffer;
import javafx.scene.image.PixelFormat;
import javafx.scene.image.WritableImage;

/** The pixels of a {@link SkiaCanvas} of one size: those that Skia paints, and those that JavaFX shows. */
final class PaintedPixels {
    private final int width;
    private final int height;
    /** Held, since the surface writes to its memory without knowing of it. */
    private final ByteBuffer bytes;
    private final Surface surface;
    /** As they were painted last, on the thread that paints. */
    private int[] painted;
    private int[] next;
    private final int[] shown;
    private final PixelBuffer<IntBuffer> buffer;
    private final WritableImage image;

    /** Rows that differ from the picture before, with their pixels. */
    record Rows(int top, int[] pixels) {}

    PaintedPixels(int w, int h) {
        width = w;
        height = h;
        bytes = ByteBuffer.allocateDirect(4 * w * h).order(ByteOrder.nativeOrder());
        surface = Surface.wrapPixels(Pixmap.make(ImageInfo.makeN32(w, h, ColorAlphaType.PREMUL, ColorSpace.getSRGB()), bytes, 4 * w));
        painted = new int[w * h];
        next = new int[w * h];
        shown = new int[w * h];
        // of an array: JavaFX copies that row by row, and direct memory pixel by pixel
        buffer = new PixelBuffer<>(w, h, IntBuffer.wrap(shown), PixelFormat.getIntArgbPreInstance());
        image = new WritableImage(buffer);
    }

    int width() {
        return width;
    }

    int height() {
        return height;
    }

    Image image() {
        return image;
    }

    /**
     * On the thread that paints.
     *
     * @param whole whether it replaces what is there
     * @return null where no pixel differs
     */
    Rows paint(Picture recorded, boolean whole) {
        Canvas c = surface.getCanvas();
        if (whole) {
            c.clear(0);
        }
        recorded.playback(c);
        bytes.asIntBuffer().get(0, next);
        Reference.reachabilityFence(bytes);
        int first = Arrays.mismatch(painted, next);
        if (first < 0) {
            return null;
        }
        int top = first / width, bottom = height;
        while (Arrays.equals(painted, (bottom - 1) * width, bottom * width, next, (bottom - 1) * width, bottom * width)) {
            bottom--;
        }
        int[] was = painted;
        painted = next;
        next = was;
        return new Rows(top, Arrays.copyOfRange(painted, top * width, bottom * width));
    }

    /** On the interface thread. */
    void show(Rows rows) {
        System.arraycopy(rows.pixels, 0, shown, rows.top * width, rows.pixels.length);
        var area = new Rectangle2D(0, rows.top, width, rows.pixels.length / (double) width);
        buffer.updateBuffer(b -> area);
    }
}
