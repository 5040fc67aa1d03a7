package tundra.bench;

import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.Callable;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicLong;
import javafx.application.Platform;
import javafx.scene.Scene;
import tundra.app.command.CommandIds;
import tundra.app.studio.Desk;
import tundra.app.tool.ToolKind;
import tundra.bench.GrowthBench.Row;
import tundra.core.file.ProjectFile;
import tundra.core.geometry.Point;
import tundra.core.model.Element;
import tundra.core.model.Project;
import tundra.core.model.Properties;

/**
 * How what is done in the real window grows with the number of elements: until the first picture of each action, and what a drag and playing show.
 */
public final class GrowthInWindow extends BenchWindow {
    private static final double ANY = Double.POSITIVE_INFINITY;
    private static final int RUNS = 6;
    static final List<Row> ROWS = List.of(new Row("opening, after the window stands", "ms", 2000, 0), new Row("select all", "ms", 300, 0),
            new Row("nudge all", "ms", 300, 0),
            new Row("align all", "ms", 300, 0), new Row("group all", "ms", 300, 0), new Row("take all apart", "ms", 300, 0),
            new Row("copy all", "ms", 300, 0), new Row("paste all", "ms", 500, 0),
            new Row("undo the paste", "ms", 300, 0), new Row("delete all", "ms", 300, 0), new Row("undo the deletion", "ms", 300, 0),
            new Row("lock all", "ms", 300, 0),
            new Row("longest hold of the interface thread", "ms", 500, 0), new Row("find anything, a letter", "ms", 50, 0),
            new Row("another desk", "ms", 300, 0),
            new Row("dragging one, an event", "ms", ANY, 0), new Row("dragging one, pictures", "/s", ANY, 30),
            new Row("playing, pictures", "/s", ANY, 12));
    /** The longest that a message to the interface thread waited since it was asked last, in ns. */
    private final AtomicLong held = new AtomicLong();

    private GrowthInWindow() {}

    /** Prints a line for each figure. The argument is the piece. */
    public static void main(String[] args) throws Exception {
        run(() -> new GrowthInWindow().measure(Path.of(args[0])));
    }

    private void measure(Path file) throws Exception {
        open();
        Thread watch = Thread.ofPlatform().daemon().start(this::watch);
        Project p = ProjectFile.read(file);
        long began = System.nanoTime();
        Project read = ProjectFile.read(file);
        double reading = (System.nanoTime() - began) / 1e6;
        said("opening, after the window stands", reading + took(() -> {
            w.studio.open(read, null);
            return null;
        }));
        for (int i = 0; i < 2; i++) {
            fx(() -> {
                w.studio.open(p, null);
                return null;
            });
            settle();
        }
        held.set(0);
        actions();
        said("longest hold of the interface thread", held.get() / 1e6);
        watch.interrupt();
        fx(() -> {
            w.studio.open(p, null);
            w.studio.select(List.of());
            w.tools.take(ToolKind.SELECT);
            return null;
        });
        settle();
        find();
        said("another desk", best(() -> {
            w.studio.setDesk(w.studio.desk() == Desk.DRAW ? Desk.ANIMATE : Desk.DRAW);
            return null;
        }, 4));
        fx(() -> {
            w.studio.setDesk(Desk.DRAW);
            return null;
        });
        settle();
        // the topmost, so that a press takes it
        Element top = p.scenes().getFirst().board().elements().getLast();
        Result drag = drag(top.rest().get(Properties.POSITION));
        said("dragging one, an event", drag.eventMs());
        said("dragging one, pictures", drag.pictures());
        play(p);
    }

    private void actions() throws Exception {
        said("select all", best(() -> {
            w.commands.run("select-none");
            return null;
        }, "select-all"));
        said("nudge all", best(null, "nudge-right-1"));
        said("align all", bestUndone(CommandIds.ALIGN_LEFT));
        double[] group = {ANY, ANY}, copies = {ANY, ANY, ANY};
        double deleted = ANY, back = ANY;
        for (int i = 0; i < RUNS; i++) {
            run("select-all");
            group[0] = Math.min(group[0], run(CommandIds.GROUP));
            group[1] = Math.min(group[1], run(CommandIds.UNGROUP));
            run(CommandIds.UNDO);
            run(CommandIds.UNDO);
            run("select-all");
            copies[0] = Math.min(copies[0], run(CommandIds.COPY));
            copies[1] = Math.min(copies[1], run(CommandIds.PASTE));
            copies[2] = Math.min(copies[2], run(CommandIds.UNDO));
            run("select-all");
            deleted = Math.min(deleted, run(CommandIds.DELETE));
            back = Math.min(back, run(CommandIds.UNDO));
        }
        said("group all", group[0]);
        said("take all apart", group[1]);
        said("copy all", copies[0]);
        said("paste all", copies[1]);
        said("undo the paste", copies[2]);
        said("delete all", deleted);
        said("undo the deletion", back);
        run("select-all");
        said("lock all", bestUndone(CommandIds.LOCK));
    }

    private void find() throws Exception {
        double best = ANY;
        for (int i = 0; i < RUNS; i++) {
            double all = 0;
            String query = "";
            for (char c : "element 77".toCharArray()) {
                query += c;
                String now = query;
                long began = System.nanoTime();
                fx(() -> w.commands.find(now));
                all += (System.nanoTime() - began) / 1e6;
            }
            best = Math.min(best, all / 10);
        }
        said("find anything, a letter", best);
    }

    private void play(Project p) throws Exception {
        fx(() -> {
            w.studio.open(p, null);
            w.studio.setDesk(Desk.ANIMATE);
            w.playback.setLoop(true);
            w.playback.play();
            return null;
        });
        Thread.sleep(2000);
        long before = w.canvas.painted(), start = System.nanoTime();
        Thread.sleep(4000);
        said("playing, pictures", (w.canvas.painted() - before) / ((System.nanoTime() - start) / 1e9));
    }

    /** Asks the interface thread again and again how long it takes to answer. */
    private void watch() {
        try {
            while (true) {
                long asked = System.nanoTime();
                fx(() -> null);
                held.accumulateAndGet(System.nanoTime() - asked, Math::max);
                Thread.sleep(2);
            }
        } catch (Exception e) {
            // it is over
            Thread.currentThread().interrupt();
        }
    }

    private double best(Callable<?> first, String command) throws Exception {
        double best = ANY;
        for (int i = 0; i < RUNS; i++) {
            if (first != null) {
                took(first);
            }
            best = Math.min(best, run(command));
        }
        return best;
    }

    private double bestUndone(String command) throws Exception {
        double best = ANY;
        for (int i = 0; i < RUNS; i++) {
            best = Math.min(best, run(command));
            run(CommandIds.UNDO);
        }
        return best;
    }

    private double best(Callable<?> work, int runs) throws Exception {
        double best = ANY;
        for (int i = 0; i < runs; i++) {
            best = Math.min(best, took(work));
        }
        return best;
    }

    private double run(String command) throws Exception {
        return took(() -> {
            if (!w.commands.run(command)) {
                throw new IllegalStateException(command + " can't be done");
            }
            return null;
        });
    }

    /** Until every panel was told and the first picture of it is there, in ms; then all is left to come to rest. */
    private double took(Callable<?> work) throws Exception {
        long before = w.canvas.painted(), began = System.nanoTime();
        fx(work);
        pulse();
        // what changes nothing on the canvas has no picture of its own
        while (w.canvas.painted() == before && !fx(w.canvas::settled)) {
            Thread.sleep(1);
        }
        double ms = (System.nanoTime() - began) / 1e6;
        settle();
        return ms;
    }

    private void settle() throws Exception {
        do {
            pulse();
        } while (!fx(() -> w.canvas.getScene() == null || w.canvas.settled()));
    }

    /** Waits for a pulse, in which what was changed is told. */
    private void pulse() throws Exception {
        var pulse = new CompletableFuture<Void>();
        fx(() -> {
            Scene scene = stage.getScene();
            scene.addPostLayoutPulseListener(new Runnable() {
                @Override
                public void run() {
                    scene.removePostLayoutPulseListener(this);
                    pulse.complete(null);
                }
            });
            Platform.requestNextPulse();
            return null;
        });
        pulse.get(60, TimeUnit.SECONDS);
    }

    private static void said(String what, double figure) {
        System.out.printf(Locale.ROOT, "%s %.3f%n", what.replace(",", ""), figure);
    }
}
