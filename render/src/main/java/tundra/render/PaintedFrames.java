package tundra.render;

import io.github.humbleui.skija.Canvas;
import io.github.humbleui.skija.Image;
import io.github.humbleui.skija.Surface;
import java.io.IOException;
import java.util.ArrayDeque;
import java.util.Map;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.CancellationException;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.function.Supplier;
import tundra.core.model.Asset;
import tundra.core.work.Progress;

/**
 * Many pictures one after the other, painted by several workers and handed on in their order. Each worker has a source and a painter of its
 * own; no more pictures than two for each of them are held.
 */
final class PaintedFrames {
    /** Paints the pictures by their numbers, in any order. */
    interface Source {
        void paint(Painter painter, Canvas canvas, int number);
    }

    /** Gets the pictures in their order: straight pixels, row by row. */
    interface Taker {
        void take(int number, int[] argb) throws IOException;
    }

    private final class Worker implements AutoCloseable {
        private final Source source = sources.get();
        private final Painter painter = new Painter();
        private final Surface surface = Surface.makeRasterN32Premul(width, height);

        Worker() {
            painter.use(shelf);
        }

        int[] paint(int number) {
            source.paint(painter, surface.getCanvas(), number);
            try (Image image = surface.makeImageSnapshot()) {
                return Rasters.argb(image);
            }
        }

        @Override
        public void close() {
            surface.close();
            painter.close();
        }
    }

    private final Map<String, Asset> shelf;
    private final Supplier<Source> sources;
    private final int width;
    private final int height;

    /** @param sources makes one for each worker */
    PaintedFrames(Map<String, Asset> shelf, Supplier<Source> sources, int width, int height) {
        this.shelf = shelf;
        this.sources = sources;
        this.width = width;
        this.height = height;
    }

    /** The pictures from number 0 on. */
    void each(int count, Progress progress, Taker to) throws IOException {
        int workers = Math.max(1, Math.min(Runtime.getRuntime().availableProcessors(), count));
        BlockingQueue<Worker> free = new LinkedBlockingQueue<>();
        ExecutorService run = Executors.newFixedThreadPool(workers, Thread.ofPlatform().daemon().name("frames-", 1).factory());
        try {
            for (int i = 0; i < workers; i++) {
                free.add(new Worker());
            }
            var ahead = new ArrayDeque<Future<int[]>>();
            int asked = 0;
            for (int i = 0; i < count; i++) {
                while (asked < count && ahead.size() < 2 * workers) {
                    int number = asked++;
                    ahead.add(run.submit(() -> {
                        Worker w = free.take();
                        try {
                            return w.paint(number);
                        } finally {
                            free.add(w);
                        }
                    }));
                }
                progress.check();
                to.take(i, ahead.remove().get());
            }
        } catch (InterruptedException e) {
            throw new CancellationException();
        } catch (ExecutionException e) {
            throw e.getCause() instanceof RuntimeException x ? x : new IllegalStateException(e.getCause());
        } finally {
            run.shutdownNow();
            run.close();
            free.forEach(Worker::close);
        }
    }
}
