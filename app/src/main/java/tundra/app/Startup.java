package tundra.app;

import javafx.animation.AnimationTimer;
import javafx.application.Platform;
import javafx.stage.Stage;

/** Measures the start for bin/bench and trains the start-up cache: with {@code tundra.quit} set, it ends after the first pictures. */
final class Startup {
    private Startup() {}

    static void reached(Stage stage) {
        if (!Boolean.getBoolean("tundra.quit")) {
            return;
        }
        new AnimationTimer() {
            private int pulses;

            @Override
            public void handle(long now) {
                if (++pulses == 3) {
                    long ms = ProcessHandle.current().info().startInstant()
                            .map(s -> java.time.Duration.between(s, java.time.Instant.now()).toMillis()).orElse(-1L);
                    System.out.println("first window after " + ms + " ms");
                }
                if (pulses == 20) {
                    stop();
                    stage.close();
                    Platform.exit();
                }
            }
        }.start();
    }
}
