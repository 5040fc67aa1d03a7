package tundra.core.work;

import java.util.concurrent.CancellationException;
import java.util.function.BooleanSupplier;
import java.util.function.DoubleConsumer;

/**
 * How far long work has come, and whether it shall be given up. The work tells and asks at safe points of its own choosing; nothing
 * interrupts its thread, so that no file is closed beneath it.
 */
public interface Progress {
    /** Nobody looks and nobody gives it up. */
    Progress NONE = of(x -> { }, () -> false);

    /** @param done 0 to 1 */
    void share(double done);

    boolean cancelled();

    /** Ends the work here if it shall be given up. */
    default void check() {
        if (cancelled()) {
            throw new CancellationException("given up");
        }
    }

    /** For a part of the work that leads from one share of the whole to another. */
    default Progress part(double from, double to) {
        return of(x -> share(from + (to - from) * x), this::cancelled);
    }

    static Progress of(DoubleConsumer told, BooleanSupplier cancelled) {
        return new Progress() {
            @Override
            public void share(double done) {
                told.accept(done);
            }

            @Override
            public boolean cancelled() {
                return cancelled.getAsBoolean();
            }
        };
    }
}
