package tundra.bench;

import javafx.animation.AnimationTimer;
import javafx.application.Application;
import javafx.application.Platform;
import javafx.scene.Scene;
import javafx.scene.layout.BorderPane;
import javafx.stage.Stage;

/** The baseline of the start: a JavaFX window of the same size with the same base theme and nothing in it. */
public final class EmptyWindow extends Application {

    /** Keeps JavaFX's own checks of the start class out of the way. */
    public static final class Start {
        private Start() {}

        public static void main(String[] args) {
            Application.launch(EmptyWindow.class, args);
        }
    }

    @Override
    public void start(Stage stage) {
        Application.setUserAgentStylesheet(new atlantafx.base.theme.PrimerLight().getUserAgentStylesheet());
        stage.setScene(new Scene(new BorderPane(), 1280, 800));
        stage.show();
        new AnimationTimer() {
            private int pulses;

            @Override
            public void handle(long now) {
                if (++pulses == 3) {
                    long ms = ProcessHandle.current().info().startInstant()
                            .map(s -> java.time.Duration.between(s, java.time.Instant.now()).toMillis()).orElse(-1L);
                    System.out.println("first window after " + ms + " ms");
                    stop();
                    stage.close();
                    Platform.exit();
                }
            }
        }.start();
    }
}
