package tundra.app.paint;

import io.github.humbleui.skija.Picture;
import io.github.humbleui.skija.PictureRecorder;
import io.github.humbleui.types.Rect;
import java.util.concurrent.Executor;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.Consumer;
import javafx.application.Platform;
import javafx.scene.image.ImageView;
import tundra.app.job.Work;

/**
 * What is drawn by hand in the window: recorded on the interface thread, painted by Skia on a thread of its own, and shown at the next pulse. Where
 * there is no graphics card that is
 * several times as quick as JavaFX's own canvas. Methods are for the interface thread.
 */
public final class SkiaCanvas extends ImageView {
    /** One for all canvases: what was recorded first is shown first. */
    private static final Executor THREAD = Work.line("painting");
    private static final AtomicInteger UNDER_WAY = new AtomicInteger();
    private double width, height, density = 1;
    private PaintedPixels pixels;
    /** Whole pictures that wait to be painted. */
    private final AtomicInteger whole = new AtomicInteger();

    /** Whether all that was drawn, on any canvas, is on its way to the screen. */
    public static boolean settled() {
        return UNDER_WAY.get() == 0;
    }

    /** In px of the window; what was painted is gone when it changes. */
    public void setSize(double w, double h) {
        if (w != width || h != height) {
            width = w;
            height = h;
            pixels = null;
        }
    }

    public double width() {
        return width;
    }

    public double height() {
        return height;
    }

    /** Replaces all that is shown. */
    public void paint(Consumer<SkiaGraphics> drawing) {
        draw(drawing, true);
    }

    /** Paints over what is shown. */
    public void paintOver(Consumer<SkiaGraphics> drawing) {
        draw(drawing, false);
    }

    private void draw(Consumer<SkiaGraphics> drawing, boolean replaces) {
        double now = getScene() == null || getScene().getWindow() == null ? density : getScene().getWindow().getOutputScaleX();
        if (now != density) {
            density = now;
            pixels = null;
        }
        int w = (int) Math.ceil(width * density), h = (int) Math.ceil(height * density);
        if (w < 1 || h < 1) {
            return;
        }
        if (pixels == null) {
            pixels = new PaintedPixels(w, h);
        }
        PaintedPixels to = pixels;
        Picture recorded;
        try (var recorder = new PictureRecorder()) {
            var canvas = recorder.beginRecording(Rect.makeWH(w, h));
            canvas.scale((float) density, (float) density);
            drawing.accept(new SkiaGraphics(canvas, width, density));
            recorded = recorder.finishRecordingAsPicture();
        }
        UNDER_WAY.incrementAndGet();
        whole.addAndGet(replaces ? 1 : 0);
        THREAD.execute(() -> {
            PaintedPixels.Rows changed = null;
            try (recorded) {
                // one that a whole one follows needs not be seen
                if (whole.addAndGet(replaces ? -1 : 0) == 0) {
                    changed = to.paint(recorded, replaces);
                }
            } finally {
                PaintedPixels.Rows rows = changed;
                Platform.runLater(() -> {
                    UNDER_WAY.decrementAndGet();
                    show(to, rows);
                });
            }
        });
    }

    /** @param rows those that differ from what is shown; null for none */
    private void show(PaintedPixels from, PaintedPixels.Rows rows) {
        if (from != pixels) {
            // of another size meanwhile
            return;
        }
        if (rows != null) {
            from.show(rows);
        }
        if (getImage() != from.image()) {
            setImage(from.image());
            setFitWidth(from.width() / density);
            setFitHeight(from.height() / density);
        }
    }
}
