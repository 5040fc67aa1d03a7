package tundra.app.window;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import javafx.animation.PauseTransition;
import javafx.application.Platform;
import javafx.scene.Node;
import javafx.scene.Scene;
import javafx.util.Duration;

/**
 * What a window does not wait for at its start: what stands beside the canvas is made while the renderer draws the first picture
 * on its own thread, and what changes seldom is kept as a picture only once all stands.
 */
final class DeferredPanels {
    private static final Duration SOON = Duration.millis(500);
    private final List<Runnable> later = new ArrayList<>();
    private final Set<Node> keptAsPictures = new HashSet<>();
    private boolean done;

    /** Begins with the scene's first picture. */
    void begin(Scene scene) {
        scene.addPostLayoutPulseListener(new Runnable() {
            @Override
            public void run() {
                scene.removePostLayoutPulseListener(this);
                Platform.runLater(() -> furnish(scene));
            }
        });
    }

    private void furnish(Scene scene) {
        done = true;
        later.forEach(Runnable::run);
        later.clear();
        // what a pulse styles for the first time it styles and paints in the next pulse once more, all of the window
        scene.getRoot().applyCss();
        var soon = new PauseTransition(SOON);
        soon.setOnFinished(e -> keptAsPictures.forEach(n -> n.setCache(true)));
        soon.play();
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
