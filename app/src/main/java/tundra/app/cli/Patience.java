package tundra.app.cli;

import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import java.util.function.IntSupplier;

/** Commands that end by themselves: one that takes longer than a minute, or what {@code tundra.patience} says in seconds, is given up. */
final class Patience {
    private static final long SECONDS = Long.getLong("tundra.patience", 60);

    private Patience() {}

    static int run(IntSupplier command) {
        return run(command, SECONDS);
    }

    static int run(IntSupplier command, long seconds) {
        var done = new CompletableFuture<Integer>();
        Thread.ofPlatform().daemon().name("command").start(() -> {
            try {
                done.complete(command.getAsInt());
            } catch (Throwable e) {
                done.completeExceptionally(e);
            }
        });
        try {
            return done.get(seconds, TimeUnit.SECONDS);
        } catch (TimeoutException e) {
            System.err.println("That took longer than " + (seconds == 1 ? "one second" : seconds + " seconds")
                    + ", so it was given up; the project is unchanged. Look at it with “check”, or allow more: JAVA_TOOL_OPTIONS=-Dtundra.patience=SECONDS.");
            return 1;
        } catch (ExecutionException e) {
            if (e.getCause() instanceof Error x) {
                throw x;
            }
            throw new IllegalStateException(e.getCause());
        } catch (InterruptedException e) {
            throw new IllegalStateException(e);
        }
    }
}
