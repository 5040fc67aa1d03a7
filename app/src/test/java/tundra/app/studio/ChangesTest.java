package tundra.app.studio;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import java.util.concurrent.CyclicBarrier;
import java.util.concurrent.Executors;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;

/** Whoever changes something, on whatever thread, everybody hears of it. */
class ChangesTest {
    /** The window is made beside the interface thread, so that both may tell of the first changes at once. */
    @Test
    void changesOnTwoThreadsAreAllTold() throws Exception {
        try (var threads = Executors.newFixedThreadPool(2)) {
            for (int i = 0; i < 3000; i++) {
                var pulse = new LinkedBlockingQueue<Runnable>();
                var changes = new Changes(pulse::add);
                Set<Aspect> heard = EnumSet.noneOf(Aspect.class);
                changes.listen(heard::addAll);
                var together = new CyclicBarrier(2);
                var first = threads.submit(() -> {
                    together.await();
                    changes.changed(Aspect.DOCUMENT);
                    return null;
                });
                var second = threads.submit(() -> {
                    together.await();
                    changes.changed(Aspect.SCENE);
                    return null;
                });
                for (Runnable r; !(first.isDone() && second.isDone() && pulse.isEmpty()); ) {
                    r = pulse.poll(1, TimeUnit.MILLISECONDS);
                    if (r != null) {
                        r.run();
                    }
                }
                first.get();
                second.get();
                assertThat(heard).as("round " + i).containsExactly(Aspect.DOCUMENT, Aspect.SCENE);
                changes.changed(Aspect.FILE);
                assertThat(pulse).as("it goes on being told").hasSize(1);
            }
        }
    }

    @Test
    void oneThatFailsKeepsTheOthersFromNothing() {
        var pulse = new LinkedBlockingQueue<Runnable>();
        var changes = new Changes(pulse::add);
        Set<Aspect> heard = EnumSet.noneOf(Aspect.class);
        changes.listen(x -> {
            throw new IllegalStateException("a view that fails");
        });
        changes.listen(heard::addAll);
        changes.changed(Aspect.DESK);
        List.copyOf(pulse).forEach(Runnable::run);
        assertThat(heard).containsExactly(Aspect.DESK);
    }
}
