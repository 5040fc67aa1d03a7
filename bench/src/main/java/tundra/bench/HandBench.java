package tundra.bench;

import java.lang.management.BufferPoolMXBean;
import java.lang.management.GarbageCollectorMXBean;
import java.lang.management.ManagementFactory;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import java.util.concurrent.Executors;
import javafx.scene.input.KeyCode;
import javafx.scene.input.MouseButton;
import javafx.scene.input.ScrollEvent;
import tundra.app.studio.Desk;
import tundra.app.timeline.TimelineCanvas;
import tundra.app.tool.ToolKind;
import tundra.core.edit.Keys;
import tundra.core.file.ProjectFile;
import tundra.core.geometry.Affine;
import tundra.core.geometry.Contour;
import tundra.core.geometry.Node;
import tundra.core.geometry.Outline;
import tundra.core.geometry.Point;
import tundra.core.geometry.Rect;
import tundra.core.model.Board;
import tundra.core.model.Color;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.core.model.Values;

/** Drags in the real window with real mouse events: the interface thread's own time for each, and the pictures it gives. */
public final class HandBench extends BenchWindow {
    /**
     * How the demo played.
     *
     * @param late   frames that were dropped, in %
     * @param worked the most that the interface thread worked before it answered, with pauses of the whole virtual machine, in ms
     * @param waited how long it took to answer at most, in ms: what else the machine does is in it
     * @param idle   how long a thread with nothing to do took meanwhile, in ms
     */
    record Play(double late, double worked, double waited, double idle) {}

    private HandBench() {}

    /** Prints the figures in the form that {@link Bench} reads. The argument is the demo piece. */
    public static void main(String[] args) throws Exception {
        run(() -> new HandBench().measure(Path.of(args[0])));
    }

    private void measure(Path demo) throws Exception {
        open();
        Bench.rest();
        Result one = element(), node = node();
        System.out.printf(Locale.ROOT, "element %.2f %.1f%nnode %.2f %.1f%n", one.eventMs(), one.pictures(), node.eventMs(), node.pictures());
        Bench.rest();
        Result flip = flip();
        System.out.printf(Locale.ROOT, "flip %.2f %.1f%n", flip.eventMs(), flip.pictures());
        Bench.rest();
        Result[] keys = keys();
        Bench.rest();
        Play play = play(ProjectFile.read(demo));
        System.out.printf(Locale.ROOT, "keys %.2f %.1f%nrows %.2f %.1f%nplay %.2f %.1f%nwait %.2f %.2f%n", keys[0].eventMs(), keys[0].pictures(),
                keys[1].eventMs(), keys[1].pictures(), play.late, play.worked, play.waited, play.idle);
        double[] opened = pieces(demo);
        System.out.printf(Locale.ROOT, "opened %.1f %.1f%n", opened[1], opened[0]);
    }

    /** MB that are held with a piece open, and with the same one open after ten were opened one after the other, each looked at on three desks. */
    private double[] pieces(Path demo) throws Exception {
        look(demo);
        double one = held();
        for (int i = 0; i < 10; i++) {
            look(demo);
        }
        return new double[] {one, held()};
    }

    private void look(Path demo) throws Exception {
        Project p = ProjectFile.read(demo);
        fx(() -> {
            w.studio.open(p, null);
            return null;
        });
        for (Desk d : List.of(Desk.DRAW, Desk.ANIMATE, Desk.INTERACT)) {
            fx(() -> {
                w.studio.setDesk(d);
                return null;
            });
            for (long end = System.nanoTime() + 10_000_000_000L; !fx(w.canvas::settled) && System.nanoTime() < end; ) {
                Thread.sleep(50);
            }
            Thread.sleep(300);
        }
    }

    /** Of the heap and of memory beside it that Java knows. */
    private double held() throws Exception {
        for (int i = 0; i < 4; i++) {
            System.gc();
            // what JavaFX no longer needs it lets go of when it paints next
            fx(() -> {
                w.canvas.redrawOverlay();
                MeasuredTundra.untilPainted();
                return null;
            });
            Thread.sleep(300);
        }
        long beside = ManagementFactory.getPlatformMXBeans(BufferPoolMXBean.class).stream().mapToLong(BufferPoolMXBean::getMemoryUsed).sum();
        return (ManagementFactory.getMemoryMXBean().getHeapMemoryUsage().getUsed() + beside) / 1e6;
    }

    private Result element() throws Exception {
        var random = new Random(3);
        var all = new ArrayList<Element>();
        for (int i = 0; i < 1000; i++) {
            all.add(new Element("E" + i, i % 2 == 0 ? new Content.Rectangle() : new Content.Ellipse(), Values.NONE
                    .with(Properties.POSITION, new Point(random.nextDouble() * 1280, random.nextDouble() * 720))
                    .with(Properties.SIZE, new Point(24, 18))
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
        Outline there = outline.through(Affine.translate(-b.x(), -b.y()));
        Point size = new Point(b.width(), b.height());
        var e = new Element("Path", new Content.Path(there, size), Values.NONE.with(Properties.POSITION, new Point(640, 360))
                .with(Properties.SIZE, size)
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

    /** Stepping through 300 drawings of 50 paths by key, with an onion skin of two and two. */
    private Result flip() throws Exception {
        fx(() -> {
            w.studio.open(FlipBench.project(), null);
            w.studio.setDesk(Desk.DRAW);
            w.studio.select(List.of(w.studio.board().elements().getFirst().id()));
            w.studio.book().setSkin(FlipBench.SKIN);
            w.studio.book().goTo(0);
            w.canvas.requestFocus();
            return null;
        });
        Thread.sleep(4000);
        for (int i = 0; i < 40; i++) {
            step();
        }
        long thread = fx(() -> Thread.currentThread().threadId());
        var threads = ManagementFactory.getThreadMXBean();
        long painted = fx(() -> w.canvas.painted()), cpu = threads.getThreadCpuTime(thread), start = System.nanoTime();
        for (int i = 0; i < EVENTS; i++) {
            step();
        }
        double seconds = (System.nanoTime() - start) / 1e9;
        return new Result((threads.getThreadCpuTime(thread) - cpu) / 1e6 / EVENTS, (fx(() -> w.canvas.painted()) - painted) / seconds);
    }

    private void step() throws Exception {
        fx(() -> {
            robot.keyType(KeyCode.CLOSE_BRACKET);
            return null;
        });
        Thread.sleep(25);
    }

    /** Dragging 500 chosen keys of 20,000 in a timeline of 500 elements, then zooming and scrolling in it. */
    private Result[] keys() throws Exception {
        Board board = Pieces.manyKeys();
        var refs = new ArrayList<Keys.Ref>();
        fx(() -> {
            w.studio.open(Pieces.project(board), null);
            w.studio.setDesk(Desk.ANIMATE);
            board.elements().forEach(e -> w.studio.timeline().tracksOf(e.id()).keySet().forEach(p -> { }));
            return null;
        });
        Thread.sleep(800);
        var ids = board.elements().reversed().stream().map(Element::id).toList();
        fx(() -> {
            w.studio.select(ids.subList(0, 500));
            for (String id : ids) {
                refs.add(new Keys.Ref(id, Properties.POSITION, w.studio.timeline().track(id, Properties.POSITION).keys().get(4).time()));
            }
            w.studio.time().selectKeys(refs);
            return null;
        });
        Thread.sleep(1500);
        TimelineCanvas lanes = fx(() -> window.timeline().lanes());
        Point bead = null;
        for (int i = 0; i < 100 && bead == null; i++) {
            Thread.sleep(100);
            bead = fx(() -> lanes.place(refs.getFirst().element(), Properties.POSITION, refs.getFirst().time()));
        }
        if (bead == null) {
            throw new IllegalStateException("the first lane is not in view");
        }
        Point from = bead;
        place(lanes, bead);
        fx(() -> {
            robot.mousePress(MouseButton.PRIMARY);
            return null;
        });
        Result dragged = timed(lanes, i -> place(lanes, from.plus(new Point(40 * Math.sin(i / 20.0), 0))));
        fx(() -> {
            robot.mouseRelease(MouseButton.PRIMARY);
            return null;
        });
        Thread.sleep(500);
        Result scrolled = timed(lanes, i -> fx(() -> {
            boolean zoom = i % 40 < 20;
            lanes.fireEvent(new ScrollEvent(ScrollEvent.SCROLL, 600, 150, 0, 0, false, zoom, false, false, true, false,
                    0, i % 80 < 40 ? -24 : 24, 0, 0, ScrollEvent.HorizontalTextScrollUnits.NONE, 0,
                    ScrollEvent.VerticalTextScrollUnits.NONE, 0, 0, null));
            return null;
        }));
        return new Result[] {dragged, scrolled};
    }

    private void place(TimelineCanvas lanes, Point at) throws Exception {
        fx(() -> {
            var s = lanes.localToScreen(at.x(), at.y());
            robot.mouseMove(s.getX(), s.getY());
            return null;
        });
    }

    /** What is done in each event. */
    private interface Step {
        void at(int i) throws Exception;
    }

    private Result timed(TimelineCanvas lanes, Step step) throws Exception {
        for (int i = 0; i < 60; i++) {
            step.at(i);
            Thread.sleep(8);
        }
        long thread = fx(() -> Thread.currentThread().threadId());
        var threads = ManagementFactory.getThreadMXBean();
        long drawn = fx(lanes::drawn), cpu = threads.getThreadCpuTime(thread), start = System.nanoTime();
        for (int i = 0; i < EVENTS; i++) {
            step.at(i);
            Thread.sleep(8);
        }
        double seconds = (System.nanoTime() - start) / 1e9;
        return new Result((threads.getThreadCpuTime(thread) - cpu) / 1e6 / EVENTS, (fx(lanes::drawn) - drawn) / seconds);
    }

    /**
     * Plays the demo for ten seconds: late frames in percent, how long the interface thread was held at most, in ms, and how long
     * at most a thread with nothing else to do took to answer in the same way, which is the machine's doing.
     */
    private Play play(Project project) throws Exception {
        fx(() -> {
            w.studio.open(project, null);
            w.studio.setDesk(Desk.ANIMATE);
            w.playback.setLoop(true);
            return null;
        });
        Thread.sleep(2500);
        fx(() -> {
            w.playback.play();
            return null;
        });
        Thread.sleep(1500);
        long[] before = fx(() -> new long[] {w.playback.framesDue(), w.playback.framesDropped()});
        long thread = fx(() -> Thread.currentThread().threadId());
        double worked = 0, waited = 0, machine = 0;
        var idle = Executors.newSingleThreadExecutor();
        long end = System.nanoTime() + 10_000_000_000L;
        while (System.nanoTime() < end) {
            double worksBefore = works(thread);
            long asked = System.nanoTime();
            long done = fx(System::nanoTime);
            waited = Math.max(waited, (done - asked) / 1e6);
            worked = Math.max(worked, works(thread) - worksBefore);
            long askedToo = System.nanoTime();
            machine = Math.max(machine, (idle.submit(System::nanoTime).get() - askedToo) / 1e6);
            Thread.sleep(1);
        }
        idle.shutdown();
        long[] after = fx(() -> new long[] {w.playback.framesDue(), w.playback.framesDropped()});
        fx(() -> {
            w.playback.stop();
            return null;
        });
        return new Play(100.0 * (after[1] - before[1]) / Math.max(1, after[0] - before[0]), worked, waited, machine);
    }

    /** What a thread has worked so far, and the whole virtual machine has paused for, in ms. */
    private static double works(long thread) {
        return ManagementFactory.getThreadMXBean().getThreadCpuTime(thread) / 1e6
                + ManagementFactory.getGarbageCollectorMXBeans().stream().mapToLong(GarbageCollectorMXBean::getCollectionTime).sum();
    }
}
