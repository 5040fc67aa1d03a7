package tundra.app.window;

import java.util.ArrayDeque;
import java.util.Deque;
import java.util.HashSet;
import java.util.Set;
import javafx.animation.PauseTransition;
import javafx.application.Platform;
import javafx.scene.Node;
import javafx.scene.Scene;
import javafx.util.Duration;

/**
 * What a window does not wait for at its start: what stands beside the canvas is made while the renderer draws the first picture
 * on its own thread, all that the start page lies over once that is seen, and what changes seldom is kept as a picture only once all stands.
 */
final class DeferredPanels {
    private static final Duration SOON = Duration.millis(500), BEHIND = Duration.millis(150);
    private final Deque<Runnable> later = new ArrayDeque<>();
    private final Set<Node> keptAsPictures = new HashSet<>();
    private Scene scene;
    private boolean behind;
    private boolean done;

    /** All of the window is behind something that is seen first, and put there by this. */
    void behind(Runnable window) {
        behind = true;
        later.addFirst(window);
    }

    /** Begins with the scene's first picture. */
    void begin(Scene scene) {
        this.scene = scene;
        scene.addPostLayoutPulseListener(new Runnable() {
            @Override
            public void run() {
                scene.removePostLayoutPulseListener(this);
                if (behind) {
                    after(BEHIND, DeferredPanels.this::next);
                } else {
                    Platform.runLater(DeferredPanels.this::finish);
                }
            }
        });
    }

    private static void after(Duration time, Runnable run) {
        var pause = new PauseTransition(time);
        pause.setOnFinished(e -> run.run());
        pause.play();
    }

    /** One part after the other, with room between them for what is done in front. */
    private void next() {
        if (done) {
            return;
        }
        if (later.isEmpty()) {
            finish();
            return;
        }
        later.removeFirst().run();
        scene.getRoot().applyCss();
        Platform.runLater(this::next);
    }

    /** Makes all that is still missing. */
    void finish() {
        if (done) {
            return;
        }
        done = true;
        later.forEach(Runnable::run);
        later.clear();
        // what a pulse styles for the first time it styles and paints in the next pulse once more, all of the window
        scene.getRoot().applyCss();
        after(SOON, () -> keptAsPictures.forEach(n -> n.setCache(true)));
    }

    /** Whether all of the window is there. */
    boolean done() {
        return done;
    }

    /** Does something now, or with the rest at the start. */
    void add(Runnable part) {
        if (done) {
            part.run();
        } else {
            later.add(part);
        }
    }

    /** For what changes seldom over a canvas that changes often. */
    void keepAsPicture(Node n) {
        n.setCache(done);
        keptAsPictures.add(n);
    }
}
