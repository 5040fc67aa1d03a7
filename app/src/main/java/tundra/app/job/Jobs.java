package tundra.app.job;

import java.util.concurrent.Callable;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.function.Consumer;
import javafx.application.Platform;

/** Runs long work off the interface thread and brings its end back to it. */
public final class Jobs {
    private final Notices notices;
    private int running;

    public Jobs(Notices notices) {
        this.notices = notices;
    }

    /** Whether any work is under way. */
    public boolean busy() {
        return running > 0;
    }

    /** @param done gets the result on the interface thread; a failure becomes a notice with its sentence */
    public <T> void run(Callable<T> work, Consumer<T> done) {
        start(work, done, null);
    }

    /**
     * The same for work that can be given up: its thread is interrupted, and whatever it comes to then is dropped.
     *
     * @param givenUp what is told then
     * @return gives the work up
     */
    public <T> Runnable start(Callable<T> work, Consumer<T> done, String givenUp) {
        running++;
        var dropped = new AtomicBoolean();
        Thread thread = Thread.ofVirtual().name("job").start(() -> {
            try {
                T result = work.call();
                end(() -> done.accept(result), dropped);
            } catch (Throwable e) {
                String words = Troubles.sentence(e);
                end(() -> notices.problem(words), dropped);
            }
        });
        return () -> {
            if (!dropped.getAndSet(true)) {
                thread.interrupt();
                notices.news(givenUp);
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
