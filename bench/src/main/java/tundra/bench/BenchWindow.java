package tundra.bench;

import java.io.IOException;
import java.lang.management.ManagementFactory;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.Callable;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.TimeUnit;
import javafx.application.Platform;
import javafx.scene.input.MouseButton;
import javafx.scene.robot.Robot;
import javafx.stage.Stage;
import tundra.app.builtin.Workshop;
import tundra.app.job.Dialogs;
import tundra.app.studio.Settings;
import tundra.app.widget.Look;
import tundra.app.window.MainWindow;
import tundra.core.geometry.Point;
import tundra.core.model.Project;

/** The real window, driven by a robot, for figures that are taken in it. */
abstract class BenchWindow implements Dialogs {
    static final int EVENTS = 240;
    /** How long anything that is asked of the interface thread may take, in s. */
    private static final int PATIENCE = 300;
    Stage stage;
    MainWindow window;
    Workshop w;
    Robot robot;

    /** Interface thread time for each event in ms, and pictures a second while dragging. */
    record Result(double eventMs, double pictures) {}

    /** What a program in a window of its own does. */
    interface Program {
        void run() throws Exception;
    }

    /** Runs it with settings of its own, and ends the process. */
    static void run(Program program) throws IOException {
        System.setProperty("tundra.config", Files.createTempDirectory("tundra-bench").toString());
        try {
            program.run();
        } catch (Exception e) {
            // the window's threads would keep a failed run alive
            e.printStackTrace();
            System.exit(1);
        }
        System.exit(0);
    }

    static <T> T fx(Callable<T> work) throws Exception {
        var done = new CompletableFuture<T>();
        Platform.runLater(() -> {
            try {
                done.complete(work.call());
            } catch (Throwable e) {
                done.completeExceptionally(e);
            }
        });
        return done.get(PATIENCE, TimeUnit.SECONDS);
    }

    final void open() throws Exception {
        var up = new CompletableFuture<Void>();
        Platform.startup(() -> up.complete(null));
        up.get();
        fx(() -> {
            Look.theme(false);
            stage = new Stage();
            w = new Workshop(Project.empty("bench", new Point(1280, 720), 24), Settings.load(), this, url -> { });
            window = new MainWindow(w);
            window.open(stage, 1280, 800);
            stage.show();
            robot = new Robot();
            return null;
        });
        Thread.sleep(1500);
    }

    final void move(Point canvas) throws Exception {
        fx(() -> {
            Point v = w.canvas.viewport().toView(canvas);
            var s = w.canvas.localToScreen(v.x(), v.y());
            robot.mouseMove(s.getX(), s.getY());
            return null;
        });
    }

    final Result drag(Point from) throws Exception {
        Thread.sleep(800);
        move(from);
        fx(() -> {
            robot.mousePress(MouseButton.PRIMARY);
            return null;
        });
        for (int i = 0; i < 60; i++) {
            move(from.plus(new Point(i % 12, i % 9)));
            Thread.sleep(8);
        }
        long thread = fx(() -> Thread.currentThread().threadId());
        var threads = ManagementFactory.getThreadMXBean();
        long painted = fx(() -> w.canvas.painted()), cpu = threads.getThreadCpuTime(thread), start = System.nanoTime();
        for (int i = 0; i < EVENTS; i++) {
            move(from.plus(new Point(100 * Math.sin(i / 20.0), 60 * Math.cos(i / 15.0) - 60)));
            Thread.sleep(8);
        }
        double seconds = (System.nanoTime() - start) / 1e9;
        double ms = (threads.getThreadCpuTime(thread) - cpu) / 1e6 / EVENTS;
        double pictures = (fx(() -> w.canvas.painted()) - painted) / seconds;
        fx(() -> {
            robot.mouseRelease(MouseButton.PRIMARY);
            return null;
        });
        return new Result(ms, pictures);
    }

    @Override
    public Optional<Path> open(String title, String kind, List<String> patterns, Path beside) {
        return Optional.empty();
    }

    @Override
    public Optional<Path> save(String title, String name, Path beside) {
        return Optional.empty();
    }

    @Override
    public Optional<Path> folder(String title, Path start) {
        return Optional.empty();
    }

    @Override
    public Unsaved unsaved(String project) {
        return Unsaved.DISCARD;
    }

    @Override
    public Outside changedOutside(String file) {
        return Outside.CANCEL;
    }

    @Override
    public Optional<NewPiece> newPiece() {
        return Optional.empty();
    }

    @Override
    public void report(String headline, String meaning, List<String> lines) {}
}
