package tundra.app.studio;

import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.function.Consumer;
import javafx.application.Platform;
import tundra.app.job.Work;

/** The one way in which everybody hears of changes: once a pulse for all that changed in it. */
final class Changes {
    /** While it plays, views other than the moving ones hear of the playhead each so many frames. */
    private static final int TOLD_EVERY = 6;

    private final List<Consumer<Set<Aspect>>> listeners = new CopyOnWriteArrayList<>();
    private final List<Runnable> frameListeners = new CopyOnWriteArrayList<>();
    /** What is to be told, and by whoever asked for it: the window is made beside the interface thread. */
    private final EnumSet<Aspect> pending = EnumSet.noneOf(Aspect.class);
    private final Consumer<Runnable> later;
    private int untold;

    Changes() {
        this(Platform::runLater);
    }

    /** @param later runs something at the next pulse */
    Changes(Consumer<Runnable> later) {
        this.later = later;
    }

    void listen(Consumer<Set<Aspect>> listener) {
        listeners.add(listener);
    }

    void unlisten(Consumer<Set<Aspect>> listener) {
        listeners.remove(listener);
    }

    void eachFrame(Runnable listener) {
        frameListeners.add(listener);
    }

    void changed(Aspect... aspects) {
        boolean first;
        synchronized (pending) {
            first = pending.isEmpty();
            pending.addAll(List.of(aspects));
        }
        if (first) {
            later.accept(this::tell);
        }
    }

    /** The next frame is shown while it plays. */
    void frame() {
        frameListeners.forEach(Runnable::run);
        if (++untold % TOLD_EVERY == 0) {
            changed(Aspect.PLAYHEAD);
        }
    }

    private void tell() {
        EnumSet<Aspect> now;
        synchronized (pending) {
            now = EnumSet.copyOf(pending);
            pending.clear();
        }
        // one that fails keeps the others from nothing
        listeners.forEach(l -> Work.guarded("telling of a change", () -> l.accept(now)));
    }
}
