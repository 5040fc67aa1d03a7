package tundra.render;

import io.github.humbleui.skija.Image;
import io.github.humbleui.skija.Surface;
import java.io.IOException;
import java.util.ArrayDeque;
import java.util.List;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.CancellationException;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.LinkedBlockingQueue;
import tundra.core.fit.Frames;
import tundra.core.frame.FrameBuilder;
import tundra.core.frame.Moment;
import tundra.core.model.Board;
import tundra.core.model.Project;
import tundra.core.work.Progress;

/**
 * What a board shows at many moments, painted by several workers and handed on in their order. Each worker has a builder and a painter of its
 * own; no more pictures than two for each of them are held.
 */
final class PaintedFrames {
    /** Gets the pictures in their order: straight pixels, row by row. */
    interface Taker {
        void take(int number, int[] argb) throws IOException;
    }

    private final class Worker implements AutoCloseable {
        private final FrameBuilder builder = Frames.of(project, board, Fonts.of(project.assets()));
        private final Painter painter = new Painter();
        private final Surface surface = Surface.makeRasterN32Premul(width, height);

        Worker() {
            painter.use(project.assets());
        }

        int[] paint(long time) {
            painter.whole(surface.getCanvas(), builder.at(Moment.opened(board, time)), width, height, clear);
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

    private final Project project;
    private final Board board;
    private final int width;
    private final int height;
    private final boolean clear;

    PaintedFrames(Project project, Board board, int width, int height, boolean clear) {
        this.project = project;
        this.board = board;
        this.width = width;
        this.height = height;
        this.clear = clear;
    }

    /** @param times in µs after the scene was opened */
    void each(List<Long> times, Progress progress, Taker to) throws IOException {
        int workers = Math.max(1, Math.min(Runtime.getRuntime().availableProcessors(), times.size()));
        BlockingQueue<Worker> free = new LinkedBlockingQueue<>();
        ExecutorService run = Executors.newFixedThreadPool(workers, Thread.ofPlatform().daemon().name("frames-", 1).factory());
        try {
            for (int i = 0; i < workers; i++) {
                free.add(new Worker());
            }
            var ahead = new ArrayDeque<Future<int[]>>();
            int asked = 0;
            for (int i = 0; i < times.size(); i++) {
                while (asked < times.size() && ahead.size() < 2 * workers) {
                    long time = times.get(asked++);
                    ahead.add(run.submit(() -> {
                        Worker w = free.take();
                        try {
                            return w.paint(time);
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
