package tundra.app.job;

import java.util.concurrent.Callable;
import java.util.concurrent.CancellationException;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.function.Consumer;
import java.util.function.DoubleConsumer;
import javafx.application.Platform;
import tundra.core.work.Progress;

/** Runs long work off the interface thread and brings its end back to it. */
public final class Jobs {
    private final Notices notices;
    private int running;

    public Jobs(Notices notices) {
        this.notices = notices;
    }

    /** Long work that tells how far it is and asks whether it shall be given up. */
    public interface Long<T> {
        T call(Progress progress) throws Exception;
    }

    /** Whether any work is under way. */
    public boolean busy() {
        return running > 0;
    }

    /** @param done gets the result on the interface thread; a failure becomes a notice with its sentence */
    public <T> void run(Callable<T> work, Consumer<T> done) {
        start(p -> work.call(), x -> { }, done, () -> { });
    }

    /**
     * The same for work that can be given up: it is asked to end at a point of its own choosing, and whatever it comes to then is dropped.
     *
     * @param share gets 0 to 1 on the interface thread
     * @param givenUp what is done then, at once
     * @return gives the work up
     */
    public <T> Runnable start(Long<T> work, DoubleConsumer share, Consumer<T> done, Runnable givenUp) {
        running++;
        var dropped = new AtomicBoolean();
        Progress progress = Progress.of(x -> Platform.runLater(() -> {
            if (!dropped.get()) {
                share.accept(x);
            }
        }), dropped::get);
        Thread.ofVirtual().name("job").start(() -> {
            try {
                T result = work.call(progress);
                end(() -> done.accept(result), dropped);
            } catch (CancellationException e) {
                end(() -> { }, dropped);
            } catch (Throwable e) {
                String words = Troubles.sentence(e);
                end(() -> notices.problem(words), dropped);
            }
        });
        return () -> {
            if (!dropped.getAndSet(true)) {
                givenUp.run();
            }
        };
    }

    private void end(Runnable then, AtomicBoolean dropped) {
        Platform.runLater(() -> {
            running--;
            if (!dropped.getAndSet(true)) {
                then.run();
            }
        });
    }
}
