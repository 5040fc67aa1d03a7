package tundra.app.canvas;

import io.github.humbleui.skija.Canvas;
import io.github.humbleui.skija.Paint;
import io.github.humbleui.types.Rect;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.IntBuffer;
import java.util.ArrayDeque;
import java.util.HashMap;
import java.util.Map;
import java.util.concurrent.atomic.AtomicReference;
import java.util.function.Consumer;
import javafx.application.Platform;
import javafx.scene.image.ImageView;
import javafx.scene.image.PixelBuffer;
import javafx.scene.image.PixelFormat;
import javafx.scene.image.WritableImage;
import tundra.core.frame.Frame;
import tundra.core.model.Asset;
import tundra.render.Bands;
import tundra.render.Painter;
import tundra.render.StillStore;

/**
 * Paints frames on a thread of its own into pixel buffers that it shares with JavaFX. The newest request wins; older ones that
 * wait are dropped. A picture that would take long is painted coarsely first, and whole once no newer one is asked for.
 */
final class RenderLoop implements AutoCloseable {
    /** What to paint: the frame at a scale, in a view of device pixels. */
    record Request(Frame frame, Map<String, Asset> assets, double scale, double x, double y, int width, int height, int surround, boolean inMotion,
            boolean veiled) {
        /** The same with a fraction of the pixels. */
        Request coarse(int by) {
            return by == 1 ? this : new Request(frame, assets, scale / by, x / by, y / by, Math.ceilDiv(width, by), Math.ceilDiv(height, by),
                    surround, inMotion, veiled);
        }

        int pixels() {
            return width * height;
        }
    }

    /** Painted in memory that Skia writes to and shown from an array: JavaFX copies that row by row, and direct memory pixel by pixel. */
    private static final class Picture {
        final Bands bands;
        final IntBuffer direct;
        final int[] pixels;
        final PixelBuffer<IntBuffer> buffer;
        final WritableImage image;

        Picture(int w, int h) {
            ByteBuffer bytes = ByteBuffer.allocateDirect(w * h * 4).order(ByteOrder.nativeOrder());
            bands = new Bands(bytes, w, h);
            direct = bytes.asIntBuffer();
            pixels = new int[w * h];
            buffer = new PixelBuffer<>(w, h, IntBuffer.wrap(pixels), PixelFormat.getIntArgbPreInstance());
            image = new WritableImage(buffer);
        }

        void paint(Consumer<Canvas> drawing) {
            bands.paint(drawing);
            direct.get(0, pixels);
        }
    }

    /** What is kept of pictures, for each coarseness by itself: one that is coarse for a moment leaves the whole one as it is. */
    private static final class Stores implements AutoCloseable {
        private final Map<Integer, StillStore> all = new HashMap<>();
        private final Painter painter;

        Stores(Painter painter) {
            this.painter = painter;
        }

        StillStore of(int coarse) {
            return all.computeIfAbsent(coarse, c -> new StillStore(painter));
        }

        void forget() {
            all.values().forEach(StillStore::forget);
        }

        @Override
        public void close() {
            all.values().forEach(StillStore::close);
        }
    }

    /** For how many ms nothing new has to be asked for until a coarse picture is painted whole. */
    private static final long REST = 150;
    /** After so many ms without a picture less is kept of what was decoded for them. */
    private static final long IDLE = 30_000;
    private final ImageView view;
    private final Thread thread;
    private final Object lock = new Object();
    private final AtomicReference<Picture> ready = new AtomicReference<>();
    private final ArrayDeque<Picture> free = new ArrayDeque<>();
    private final ArrayDeque<Picture> shown = new ArrayDeque<>();
    private final Coarseness coarseness = new Coarseness();
    private Request next;
    /** What stands there coarsely; null when nothing does. */
    private Request unfinished;
    private boolean busy;
    private boolean open = true;
    private volatile long painted;
    private volatile String problem;
    private final Consumer<Throwable> onProblem;

    /** @param onProblem hears on the interface thread why a frame could not be painted, once for each reason */
    RenderLoop(ImageView view, Consumer<Throwable> onProblem) {
        this.view = view;
        this.onProblem = onProblem;
        thread = new Thread(this::run, "render");
        thread.setDaemon(true);
        thread.start();
    }

    void paint(Request r) {
        synchronized (lock) {
            next = r;
            lock.notifyAll();
        }
    }

    /** How many frames were painted so far. */
    long painted() {
        return painted;
    }

    /** Whether nothing waits, is being painted, or is on its way to the screen. */
    boolean idle() {
        synchronized (lock) {
            return next == null && !busy && ready.get() == null;
        }
    }

    private void run() {
        try (var painter = new Painter(); var stores = new Stores(painter); var surround = new Paint()) {
            Map<String, Asset> assets = null;
            while (true) {
                Request r = await(painter);
                if (r == null) {
                    return;
                }
                if (r.assets != assets) {
                    assets = r.assets;
                    painter.use(assets);
                    stores.forget();
                }
                try {
                    int by = r == unfinished ? 1 : coarseness.of(r.pixels());
                    Request now = r.coarse(by);
                    Picture p = take(now.width, now.height);
                    long began = System.nanoTime();
                    p.paint(c -> paint(now, c, stores.of(by), surround));
                    coarseness.took((System.nanoTime() - began) / 1e9, now.pixels());
                    unfinished = by == 1 ? null : r;
                    painted++;
                    problem = null;
                    Picture dropped = ready.getAndSet(p);
                    if (dropped != null) {
                        give(dropped);
                    } else {
                        Platform.runLater(this::show);
                    }
                } catch (RuntimeException | Error e) {
                    // whatever a picture throws, the next one is painted
                    unfinished = null;
                    report(e);
                }
            }
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    /** What is to be painted next: the newest request, or, after a rest, what stands there coarsely. Null once the loop is closed. */
    private Request await(Painter painter) throws InterruptedException {
        synchronized (lock) {
            busy = unfinished != null;
            long until = System.currentTimeMillis() + REST;
            for (long left = REST; next == null && open && (unfinished == null || left > 0); left = until - System.currentTimeMillis()) {
                lock.wait(unfinished == null ? IDLE : left);
                if (next == null && unfinished == null) {
                    painter.rest();
                }
            }
            if (!open) {
                return null;
            }
            Request r = next == null ? unfinished : next;
            next = null;
            busy = true;
            return r;
        }
    }

    /** What can't be painted is told once, and leaves no older picture standing in its place. */
    private void report(Throwable e) {
        Platform.runLater(() -> view.setImage(null));
        if (!String.valueOf(e).equals(problem)) {
            problem = String.valueOf(e);
            Platform.runLater(() -> onProblem.accept(e));
        }
    }

    private static void paint(Request r, Canvas c, StillStore store, Paint surround) {
        c.clear(r.surround);
        store.paint(c, r.frame, r.scale, r.x, r.y, r.width, r.height, r.inMotion);
        if (!r.veiled) {
            return;
        }
        // what lies outside of the canvas is seen through the surround, since it is not published
        surround.setColor(r.surround & 0xFFFFFF | 0xEE000000);
        float x0 = within(r.x, r.width), y0 = within(r.y, r.height);
        float x1 = within(r.x + r.frame.size().x() * r.scale, r.width), y1 = within(r.y + r.frame.size().y() * r.scale, r.height);
        c.drawRect(Rect.makeLTRB(0, 0, r.width, y0), surround);
        c.drawRect(Rect.makeLTRB(0, y1, r.width, r.height), surround);
        c.drawRect(Rect.makeLTRB(0, y0, x0, y1), surround);
        c.drawRect(Rect.makeLTRB(x1, y0, r.width, y1), surround);
    }

    private static float within(double v, int side) {
        return (float) Math.max(0, Math.min(side, v));
    }

    private Picture take(int w, int h) {
        synchronized (free) {
            while (!free.isEmpty()) {
                Picture p = free.poll();
                if (p.buffer.getWidth() == w && p.buffer.getHeight() == h) {
                    return p;
                }
                p.bands.close();
            }
        }
        return new Picture(w, h);
    }

    private void give(Picture p) {
        synchronized (free) {
            if (free.size() < 4) {
                free.add(p);
            } else {
                p.bands.close();
            }
        }
    }

    private void show() {
        Picture p = ready.getAndSet(null);
        if (p == null) {
            return;
        }
        p.buffer.updateBuffer(b -> null);
        view.setImage(p.image);
        shown.add(p);
        // JavaFX may still be drawing the one before
        if (shown.size() > 2) {
            give(shown.poll());
        }
    }

    @Override
    public void close() {
        synchronized (lock) {
            open = false;
            lock.notifyAll();
        }
    }
}
