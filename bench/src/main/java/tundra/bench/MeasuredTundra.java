package tundra.bench;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import javafx.animation.AnimationTimer;
import javafx.application.Platform;
import javafx.scene.layout.Region;
import javafx.stage.Stage;
import tundra.app.Launcher;
import tundra.app.TundraApp;

/** Tundra as it is, which says when its first window is seen and what memory it holds a moment later, and ends. */
public final class MeasuredTundra extends TundraApp {

    /** Keeps JavaFX's own checks of the start class out of the way. */
    public static final class Start {
        private Start() {}

        public static void main(String[] args) {
            Launcher.launch(MeasuredTundra.class, args);
        }
    }

    /** Waits until what was asked to be drawn is drawn: JavaFX's renderer does one thing after the other. */
    static void untilPainted() {
        new Region().snapshot(null, null);
    }

    @Override
    protected void shown(Stage stage) {
        new AnimationTimer() {
            private int pulses;
            private int whole;
            private boolean told;

            @Override
            public void handle(long now) {
                pulses++;
                whole += complete() ? 1 : 0;
                // what the window is made of at one pulse is given to the renderer in it
                if (!told && pulses >= 3 && whole >= 2) {
                    told = true;
                    untilPainted();
                    System.out.println("first window");
                }
                if (pulses == QUIT_AFTER) {
                    System.out.println("resident memory " + residentMegabytes() + " MB");
                    stop();
                    stage.close();
                    Platform.exit();
                }
            }
        }.start();
    }

    private static long residentMegabytes() {
        try (var lines = Files.lines(Path.of("/proc/self/status"))) {
            return lines.filter(l -> l.startsWith("VmRSS")).mapToLong(l -> Long.parseLong(l.replaceAll("\\D", "")) / 1024).findFirst().orElse(-1);
        } catch (IOException e) {
            return -1;
        }
    }
}
