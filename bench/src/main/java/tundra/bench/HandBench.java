package tundra.bench;

import java.lang.management.ManagementFactory;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.concurrent.Callable;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.TimeUnit;
import javafx.application.Platform;
import javafx.scene.Scene;
import javafx.scene.input.MouseButton;
import javafx.scene.robot.Robot;
import javafx.stage.Stage;
import tundra.app.studio.Settings;
import tundra.app.tool.ToolKind;
import tundra.app.widget.Look;
import tundra.app.window.Asker;
import tundra.app.window.MainWindow;
import tundra.app.window.Workshop;
import tundra.core.geometry.Contour;
import tundra.core.geometry.Node;
import tundra.core.geometry.Outline;
import tundra.core.geometry.Point;
import tundra.core.geometry.Rect;
import tundra.core.model.Color;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.core.model.Values;

/** Drags in the real window with real mouse events: the interface thread's own time for each, and the pictures it gives. */
public final class HandBench implements Asker {
    private static final int EVENTS = 240;
    private Stage stage;
    private Workshop w;
    private Robot robot;

    /** Interface thread time for each event in ms, and pictures a second while dragging. */
    record Result(double eventMs, double pictures) {}

    private HandBench() {}

    /** Prints the figures in the form that {@link Bench} reads. */
    public static void main(String[] args) throws Exception {
        System.setProperty("tundra.config", Files.createTempDirectory("tundra-bench").toString());
        var b = new HandBench();
        b.open();
        Result one = b.element(), node = b.node();
        System.out.printf(java.util.Locale.ROOT, "element %.2f %.1f%nnode %.2f %.1f%n", one.eventMs, one.pictures, node.eventMs, node.pictures);
        System.exit(0);
    }

    private static <T> T fx(Callable<T> work) throws Exception {
        var done = new CompletableFuture<T>();
        Platform.runLater(() -> {
            try {
                done.complete(work.call());
            } catch (Throwable e) {
                done.completeExceptionally(e);
            }
        });
        return done.get(60, TimeUnit.SECONDS);
    }

    private void open() throws Exception {
        var up = new CompletableFuture<Void>();
        Platform.startup(() -> up.complete(null));
        up.get();
        fx(() -> {
            Look.theme(false);
            stage = new Stage();
            w = new Workshop(Project.empty("bench", new Point(1280, 720), 24), Settings.load(), this, url -> { });
            var scene = new Scene(new MainWindow(stage, w).root(), 1280, 800);
            Look.dress(scene);
            stage.setScene(scene);
            stage.show();
            robot = new Robot();
            return null;
        });
        Thread.sleep(1500);
    }

    private Result element() throws Exception {
        var random = new Random(3);
        var all = new ArrayList<Element>();
        for (int i = 0; i < 1000; i++) {
            all.add(new Element("E" + i, i % 2 == 0 ? new Content.Rectangle() : new Content.Ellipse(), Values.NONE
                    .with(Properties.POSITION, new Point(random.nextDouble() * 1280, random.nextDouble() * 720)).with(Properties.SIZE, new Point(24, 18))
                    .with(Properties.FILL, new Color(random.nextInt(256), random.nextInt(256), random.nextInt(256), 255))));
        }
        all.add(new Element("Dragged", new Content.Rectangle(), Values.NONE.with(Properties.POSITION, new Point(300, 300))
                .with(Properties.SIZE, new Point(60, 60)).with(Properties.FILL, Color.parse("#C8503A"))));
        fx(() -> {
            w.studio.edit("set up", b -> b.withElements(all));
            w.tools.take(ToolKind.SELECT);
            return null;
        });
        return drag(new Point(300, 300));
    }

    private Result node() throws Exception {
        var nodes = new ArrayList<Node>();
        for (int i = 0; i < 2000; i++) {
            double a = 2 * Math.PI * i / 2000, r = 250 + 20 * Math.sin(a * 60);
            nodes.add(Node.smooth(new Point(250 + r * Math.cos(a), 250 + r * Math.sin(a)), new Point(-Math.sin(a), Math.cos(a)).times(0.26)));
        }
        var outline = new Outline(List.of(new Contour(nodes, true)));
        Rect b = outline.bounds();
        Outline there = outline.through(tundra.core.geometry.Affine.translate(-b.x(), -b.y()));
        Point size = new Point(b.width(), b.height());
        var e = new Element("Path", new Content.Path(there, size), Values.NONE.with(Properties.POSITION, new Point(640, 360)).with(Properties.SIZE, size)
                .with(Properties.FILL, Color.parse("#5F8FA3")).with(Properties.STROKE, Color.BLACK));
        fx(() -> {
            w.studio.edit("set up", x -> x.withElements(List.of(e)));
            w.studio.select(List.of(e.id()));
            w.tools.take(ToolKind.NODES);
            return null;
        });
        Point first = there.contours().getFirst().nodes().getFirst().at();
        return drag(new Point(640 - size.x() / 2 + first.x(), 360 - size.y() / 2 + first.y()));
    }

    private void move(Point canvas) throws Exception {
        fx(() -> {
            Point v = w.canvas.viewport().toView(canvas);
            var s = w.canvas.localToScreen(v.x(), v.y());
            robot.mouseMove(s.getX(), s.getY());
            return null;
        });
    }

    private Result drag(Point from) throws Exception {
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
    public Optional<Path> open(String title, String kind, List<String> patterns) {
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
    public Optional<String> words(String title, String label, String start) {
        return Optional.empty();
    }

    @Override
    public Optional<NewPiece> newPiece() {
        return Optional.empty();
    }

    @Override
    public void report(String headline, String meaning, List<String> lines) {}
}
