package tundra.app.details;

import javafx.animation.AnimationTimer;
import javafx.scene.layout.Pane;
import javafx.scene.shape.Circle;
import tundra.core.motion.Easing;

/** Two dots that move as two easings say, again and again: the one in use above the one that is pointed out. */
final class EasingPreview extends Pane {
    private final Circle above = new Circle(5);
    private final Circle below = new Circle(6);
    private final Easing used;
    private Easing pointed;
    private long start;
    private final AnimationTimer timer = new AnimationTimer() {
        @Override
        public void handle(long now) {
            start = start == 0 ? now : start;
            double p = Math.min(1, (now - start) / 1e9 % 1.6 / 1.1);
            above.setCenterX(14 + 110 * used.at(p));
            below.setCenterX(14 + 110 * pointed.at(p));
        }
    };

    EasingPreview(Easing used) {
        this.used = used;
        this.pointed = used;
        setPrefSize(140, 44);
        above.setCenterY(11);
        below.setCenterY(32);
        above.getStyleClass().add("preview-dot-used");
        below.getStyleClass().add("preview-dot");
        getChildren().addAll(above, below);
    }

    void point(Easing e) {
        pointed = e;
        start = 0;
    }

    void play() {
        timer.start();
    }

    void stop() {
        timer.stop();
    }
}
