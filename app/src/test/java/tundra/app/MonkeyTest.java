package tundra.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.atomic.AtomicLong;
import java.util.concurrent.atomic.AtomicReference;
import java.util.concurrent.locks.LockSupport;
import javafx.application.Platform;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import tundra.app.command.Command;
import tundra.app.studio.Desk;
import tundra.core.file.ProjectFile;
import tundra.core.geometry.Point;
import tundra.core.model.Place;
import tundra.core.model.Project;
import tundra.core.model.Tree;

/**
 * Random commands, keys, clicks and drags over all desks, drawn by lot from a seed ({@code monkey.seed}) for so many seconds
 * ({@code monkey.seconds}): nothing is thrown, the window is never held for long, nothing grows, and all undone is the start.
 */
@Tag("long")
class MonkeyTest extends InWindow {
    private static final int SECONDS = Integer.getInteger("monkey.seconds", 45);
    private static final long SEED = Long.getLong("monkey.seed", 30);
    /** What leaves the piece, or the program. */
    private static final Set<String> LEFT_OUT = Set.of("new", "new-window", "open", "save", "save-as", "quit", "open-browser", "lesson",
            "start-page", "try", "theme", "save-sheet", "save-series", "make-all");
    private static final List<KeyCode> KEYS = List.of(KeyCode.R, KeyCode.E, KeyCode.P, KeyCode.N, KeyCode.S, KeyCode.K, KeyCode.LEFT, KeyCode.RIGHT,
            KeyCode.UP, KeyCode.DOWN, KeyCode.ESCAPE, KeyCode.ENTER, KeyCode.TAB, KeyCode.DELETE, KeyCode.COMMA, KeyCode.PERIOD, KeyCode.SPACE,
            KeyCode.HOME);
    /** The longest hold of the interface thread, in ms, and what was done last when it was. */
    private final AtomicLong longest = new AtomicLong();
    private final AtomicReference<String> doing = new AtomicReference<>(""), longestOf = new AtomicReference<>("");
    private final Map<String, Integer> done = new HashMap<>();
    /** What was done last, for whoever looks for a fault. */
    private final ArrayDeque<String> lately = new ArrayDeque<>();

    private static long handles() throws Exception {
        try (var all = Files.list(Path.of("/proc/self/fd"))) {
            return all.count();
        }
    }

    private static long resident() throws Exception {
        return Files.readAllLines(Path.of("/proc/self/status")).stream().filter(l -> l.startsWith("VmRSS"))
                .mapToLong(l -> Long.parseLong(l.replaceAll("\\D", "")) / 1024).findFirst().orElse(0);
    }

    private void on(Runnable work) throws Exception {
        RealWindow.fx(() -> {
            work.run();
            return null;
        });
    }

    /** Asks the interface thread for an answer again and again, and keeps how long the longest took. */
    private Thread watch(AtomicBoolean over) {
        return Thread.ofPlatform().daemon().start(() -> {
            while (!over.get()) {
                var answered = new CountDownLatch(1);
                long from = System.nanoTime();
                Platform.runLater(answered::countDown);
                try {
                    answered.await();
                } catch (InterruptedException e) {
                    return;
                }
                long took = (System.nanoTime() - from) / 1_000_000;
                if (took > longest.get()) {
                    longest.set(took);
                    longestOf.set(doing.get());
                }
                LockSupport.parkNanos(5_000_000);
            }
        });
    }

    private void step(Random r) throws Exception {
        int lot = r.nextInt(100);
        if (lot < 50) {
            List<Command> all = RealWindow.fx(() -> t.w.commands.all().stream().filter(c -> !LEFT_OUT.contains(c.id()) && !c.id().startsWith("make-")
                    && !c.id().startsWith("desk-") && c.enabled().getAsBoolean()).toList());
            Command c = all.get(r.nextInt(all.size()));
            doing.set(c.id());
            done.merge("command", 1, Integer::sum);
            on(() -> t.w.commands.run(c.id()));
            if (r.nextInt(3) == 0) {
                t.keys(KeyCode.ESCAPE);
            }
        } else if (lot < 58) {
            Desk d = Desk.values()[r.nextInt(Desk.values().length)];
            doing.set("desk " + d);
            on(() -> t.studio.setDesk(d));
        } else if (lot < 68) {
            KeyCode k = KEYS.get(r.nextInt(KEYS.size()));
            doing.set("key " + k);
            t.keys(k);
        } else if (lot < 80) {
            Point from = screen(r), to = screen(r);
            doing.set("drag");
            t.drag(from, to);
        } else if (lot < 88) {
            doing.set("select");
            var ids = new ArrayList<String>();
            on(() -> Tree.each(t.studio.board().elements(), e -> ids.add(e.id())));
            Collections.shuffle(ids, r);
            on(() -> t.studio.select(ids.subList(0, Math.min(ids.size(), 1 + r.nextInt(3)))));
        } else if (lot < 92) {
            doing.set("place");
            on(() -> {
                var places = new ArrayList<Place>(t.studio.kept().places().stream().toList());
                t.studio.navigation().showPlace(places.get(r.nextInt(places.size())).id());
            });
        } else if (lot < 96) {
            doing.set("seek");
            on(() -> t.studio.time().seek(r.nextInt(2_000_000)));
        } else {
            doing.set("undo and redo");
            on(() -> {
                for (int i = r.nextInt(6); i > 0; i--) {
                    t.studio.history().undo();
                }
                for (int i = r.nextInt(4); i > 0; i--) {
                    t.studio.history().redo();
                }
            });
        }
        RealWindow.pulses(1);
    }

    private Point screen(Random r) throws Exception {
        return RealWindow.fx(() -> t.w.canvas.getScene() == null ? t.screen(t.stage.getScene().getRoot(), 400 + r.nextInt(400), 200 + r.nextInt(300))
                : t.screen(t.w.canvas, 60 + r.nextInt((int) Math.max(1, t.w.canvas.getWidth() - 80)),
                20 + r.nextInt((int) Math.max(1, t.w.canvas.getHeight() - 40))));
    }

    @Test
    void randomWorkThrowsNothingHoldsNothingAndIsUndone() throws Exception {
        Project start = CommandContextsTest.piece();
        on(() -> t.studio.open(start, null));
        byte[] first = ProjectFile.bytes(start);
        var over = new AtomicBoolean();
        Thread watch = watch(over);
        var r = new Random(SEED);
        long begun = System.nanoTime(), length = SECONDS * 1_000_000_000L;
        long threads = 0, handles = 0, resident = 0;
        int steps = 0;
        longest.set(0);
        while (System.nanoTime() - begun < length) {
            try {
                step(r);
            } catch (AssertionError e) {
                throw new AssertionError("at step " + steps + ", after " + lately + ", with busy " + t.w.jobs.busy() + ", desk "
                        + RealWindow.fx(t.studio::desk) + ", playing " + RealWindow.fx(t.studio.time()::playing) + ", canvas still "
                        + RealWindow.fx(t.w.canvas::settled), e);
            }
            steps++;
            lately.add(doing.get());
            if (lately.size() > 25) {
                lately.removeFirst();
            }
            if (threads == 0 && System.nanoTime() - begun > length / 4) {
                System.gc();
                threads = Thread.activeCount();
                handles = handles();
                resident = resident();
            }
        }
        over.set(true);
        watch.join();
        t.keys(KeyCode.ESCAPE);
        t.keys(KeyCode.ESCAPE);
        System.gc();
        System.out.println("monkey: " + steps + " steps in " + SECONDS + " s, the longest hold " + longest.get() + " ms (" + longestOf.get()
                + "), threads " + threads + " → " + Thread.activeCount() + ", handles " + handles + " → " + handles() + ", resident "
                + resident + " → " + resident() + " MB, versions " + RealWindow.fx(() -> t.studio.history().versions()));
        on(() -> {
            while (t.studio.history().redo()) {
                continue;
            }
        });
        byte[] last = ProjectFile.bytes(RealWindow.fx(t.studio::kept));
        on(() -> t.studio.history().goToVersion(0));
        assertThat(ProjectFile.bytes(RealWindow.fx(t.studio::kept))).as("all undone").isEqualTo(first);
        on(() -> {
            while (t.studio.history().redo()) {
                continue;
            }
        });
        on(() -> {
            while (t.studio.history().undo()) {
                continue;
            }
        });
        assertThat(ProjectFile.bytes(RealWindow.fx(t.studio::kept))).as("all undone, one by one").isEqualTo(first);
        on(() -> {
            while (t.studio.history().redo()) {
                continue;
            }
        });
        Project end = RealWindow.fx(t.studio::kept);
        assertThat(ProjectFile.read(ProjectFile.bytes(end))).as("what came of it can be saved and opened")
                .isEqualTo(ProjectFile.read(ProjectFile.bytes(end)));
        assertThat(ProjectFile.bytes(end)).as("all redone").isEqualTo(last);
        assertThat(longest.get()).as("ms of the longest hold, by " + longestOf.get()).isLessThan(3000);
        assertThat(Thread.activeCount()).isLessThan((int) threads + 20);
        assertThat(handles()).isLessThan(handles + 60);
    }
}
