package tundra.app;

import java.util.function.BooleanSupplier;
import javafx.animation.AnimationTimer;
import javafx.application.Platform;
import javafx.stage.Stage;

/** Measures the start for bin/bench and trains the start-up cache: with {@code tundra.quit} set, it ends after the first pictures. */
final class Startup {
    private Startup() {}

    private static long residentMegabytes() {
        try (var lines = java.nio.file.Files.lines(java.nio.file.Path.of("/proc/self/status"))) {
            return lines.filter(l -> l.startsWith("VmRSS")).mapToLong(l -> Long.parseLong(l.replaceAll("\\D", "")) / 1024).findFirst().orElse(-1);
        } catch (java.io.IOException e) {
            return -1;
        }
    }

    static void reached(Stage stage, BooleanSupplier complete) {
        if (!Boolean.getBoolean("tundra.quit")) {
            return;
        }
        new AnimationTimer() {
            private int pulses;

            @Override
            public void handle(long now) {
                if (complete.getAsBoolean()) {
                    pulses++;
                }
                if (pulses == 3) {
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
