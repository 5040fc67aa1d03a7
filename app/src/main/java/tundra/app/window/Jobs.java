package tundra.app.window;

import java.util.concurrent.Callable;
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
        running++;
        Thread.ofVirtual().name("job").start(() -> {
            try {
                T result = work.call();
                Platform.runLater(() -> {
                    running--;
                    done.accept(result);
                });
            } catch (Throwable e) {
                String words = Troubles.sentence(e);
                Platform.runLater(() -> {
                    running--;
                    notices.problem(words);
                });
            }
        });
    }
}
