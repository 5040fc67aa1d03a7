package tundra.app;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.function.BooleanSupplier;
import javafx.animation.AnimationTimer;
import javafx.application.Platform;
import javafx.scene.layout.Region;
import javafx.stage.Stage;

/** Measures the start for bin/bench and trains the start-up cache: with {@code tundra.quit} set, it ends after the first pictures. */
public final class Startup {
    private Startup() {}

    private static long residentMegabytes() {
        try (var lines = Files.lines(Path.of("/proc/self/status"))) {
            return lines.filter(l -> l.startsWith("VmRSS")).mapToLong(l -> Long.parseLong(l.replaceAll("\\D", "")) / 1024).findFirst().orElse(-1);
        } catch (IOException e) {
            return -1;
        }
    }

    /** Waits until what was asked to be drawn is drawn: JavaFX's renderer does one thing after the other. */
    public static void untilPainted() {
        new Region().snapshot(null, null);
    }

    static void reached(Stage stage, BooleanSupplier complete) {
        if (!Boolean.getBoolean("tundra.quit")) {
            return;
        }
        new AnimationTimer() {
            private int pulses;
            private int whole;
            private boolean told;

            @Override
            public void handle(long now) {
                pulses++;
                if (complete.getAsBoolean()) {
                    whole++;
                }
                // what the window is made of at one pulse is given to the renderer in it
                if (!told && pulses >= 3 && whole >= 2) {
                    told = true;
                    untilPainted();
                    System.out.println("first window");
                }
                if (pulses == 60) {
                    System.out.println("resident memory " + residentMegabytes() + " MB");
                    stop();
                    stage.close();
                    Platform.exit();
                }
            }
        }.start();
    }
}
