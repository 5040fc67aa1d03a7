package tundra.app.studio;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import java.util.function.Consumer;
import javafx.application.Platform;

/** The one way in which everybody hears of changes: once a pulse for all that changed in it. */
final class Changes {
    /** While it plays, views other than the moving ones hear of the playhead each so many frames. */
    private static final int TOLD_EVERY = 6;

    private final List<Consumer<Set<Aspect>>> listeners = new ArrayList<>();
    private final List<Runnable> frameListeners = new ArrayList<>();
    private final EnumSet<Aspect> pending = EnumSet.noneOf(Aspect.class);
    private int untold;

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
        if (pending.isEmpty()) {
            Platform.runLater(this::tell);
        }
        pending.addAll(List.of(aspects));
    }

    /** The next frame is shown while it plays. */
    void frame() {
        frameListeners.forEach(Runnable::run);
        if (++untold % TOLD_EVERY == 0) {
            changed(Aspect.PLAYHEAD);
        }
    }

    private void tell() {
        var now = EnumSet.copyOf(pending);
        pending.clear();
        List.copyOf(listeners).forEach(l -> l.accept(now));
    }
}
