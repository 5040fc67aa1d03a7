package tundra.app.job;

import java.util.concurrent.CancellationException;
import java.util.concurrent.Executor;
import java.util.concurrent.Executors;
import java.util.function.Consumer;
import javafx.application.Platform;

/** Starts all that runs beside the interface thread. Whatever it throws is told, and what goes on goes on. */
public final class Work {
    /** Null without a window: then there is only the console. */
    private static volatile Consumer<Throwable> told;

    private Work() {}

    /** Has all that nobody caught, on any thread, told on the interface thread as well as on the console. */
    public static void onTrouble(Consumer<Throwable> listener) {
        told = listener;
        Thread.setDefaultUncaughtExceptionHandler((thread, e) -> trouble(thread.getName(), e));
    }

    /** Runs something on a thread of its own. */
    public static void start(String name, Runnable work) {
        Thread.ofVirtual().name(name).start(() -> guarded(name, work));
    }

    /** A thread on which one thing is done after the other, in the order in which it was asked for. */
    public static Executor line(String name) {
        var thread = Executors.newSingleThreadExecutor(Thread.ofPlatform().daemon().name(name).factory());
        return work -> thread.execute(() -> guarded(name, work));
    }

    /** Does something and tells what it throws; also for a loop that goes on after it. */
    public static void guarded(String name, Runnable work) {
        try {
            work.run();
        } catch (CancellationException e) {
            // given up as was asked
        } catch (Throwable e) {
            trouble(name, e);
        }
    }

    /** Tells what went wrong somewhere, on the console and in the window. */
    public static void trouble(String name, Throwable e) {
        System.err.println("in " + name + ":");
        e.printStackTrace();
        Consumer<Throwable> tell = told;
        if (tell == null) {
            return;
        }
        if (Platform.isFxApplicationThread()) {
            tell.accept(e);
        } else {
            Platform.runLater(() -> tell.accept(e));
        }
    }
}
