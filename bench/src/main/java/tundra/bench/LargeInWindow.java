package tundra.bench;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Locale;
import tundra.app.studio.Desk;
import tundra.core.file.ProjectFile;
import tundra.core.model.Project;
import tundra.core.model.Scene;

/** Plays every scene of a large piece in the real window, and says what the process holds then. */
public final class LargeInWindow extends BenchWindow {
    private LargeInWindow() {}

    /** Prints a line for each figure. The argument is the piece. */
    public static void main(String[] args) throws Exception {
        run(() -> new LargeInWindow().measure(ProjectFile.read(Path.of(args[0]))));
    }

    private void measure(Project p) throws Exception {
        open();
        fx(() -> {
            w.studio.open(p, null);
            w.studio.setDesk(Desk.ANIMATE);
            return null;
        });
        double least = Double.POSITIVE_INFINITY, all = 0, most = 0;
        for (Scene s : p.scenes()) {
            fx(() -> {
                w.playback.stop();
                w.studio.navigation().showPlace(s.id());
                w.playback.setLoop(true);
                w.playback.play();
                return null;
            });
            Thread.sleep(2000);
            long before = w.canvas.painted(), began = System.nanoTime();
            Thread.sleep(3000);
            double pictures = (w.canvas.painted() - before) / ((System.nanoTime() - began) / 1e9);
            least = Math.min(least, pictures);
            all += pictures / p.scenes().size();
            most = Math.max(most, resident());
        }
        said("playing a scene: pictures in the middle", all);
        said("playing a scene: pictures in the slowest", least);
        said("resident memory while scenes are played: at most", most);
        fx(() -> {
            w.playback.stop();
            return null;
        });
        Thread.sleep(20_000);
        said("resident memory twenty seconds later", resident());
    }

    private static double resident() throws IOException {
        return Files.readAllLines(Path.of("/proc/self/status")).stream().filter(l -> l.startsWith("VmRSS:"))
                .mapToDouble(l -> Double.parseDouble(l.replaceAll("[^0-9]", "")) / 1024).sum();
    }

    private static void said(String what, double figure) {
        System.out.printf(Locale.ROOT, "%s %.1f%n", what, figure);
    }
}
