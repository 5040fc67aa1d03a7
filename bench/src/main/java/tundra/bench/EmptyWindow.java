package tundra.bench;

import javafx.animation.AnimationTimer;
import javafx.application.Application;
import javafx.application.Platform;
import javafx.scene.Scene;
import javafx.scene.layout.BorderPane;
import javafx.stage.Stage;
import tundra.app.widget.Look;

/** The baseline of the start: a JavaFX window of the same size with Tundra's theme and fonts and nothing in it. */
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
        Look.theme(false);
        var scene = new Scene(new BorderPane(), 1280, 800);
        Look.dress(scene);
        stage.setScene(scene);
        stage.show();
        new AnimationTimer() {
            private int pulses;

            @Override
            public void handle(long now) {
                if (++pulses == 3) {
                    MeasuredTundra.untilPainted();
                    System.out.println("first window");
                    stop();
                    stage.close();
                    Platform.exit();
                }
            }
        }.start();
    }
}
