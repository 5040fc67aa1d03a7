package tundra.bench;

import java.nio.file.Path;
import java.util.HashMap;
import java.util.Locale;
import java.util.Map;
import org.openjdk.jmh.results.RunResult;
import org.openjdk.jmh.runner.Runner;
import org.openjdk.jmh.runner.options.OptionsBuilder;
import org.openjdk.jmh.runner.options.VerboseMode;
import tundra.core.model.Project;
import tundra.samples.FrostGlass;
import tundra.samples.OpenNight;

/** Prints the figures of speed and memory as a table, each with its baseline of the same run and what it is held to. */
public final class Bench {
    private static final int ROUNDS = 4;
    private static boolean all = true;

    private static final Map<String, String> WHAT = Map.of("element", "dragging one of 1,000 elements", "node", "dragging a node of 2,000",
            "flip", "stepping through 300 drawings, onion skin 2+2", "keys", "dragging 500 of 20,000 keys", "rows", "scrolling and zooming 500 rows");

    private Bench() {}

    /** The argument is the root of the project. Ends with 1 when a figure is over its bound. */
    public static void main(String[] args) throws Exception {
        Path root = Path.of(args[0]);
        System.out.printf(Locale.ROOT, "%-58s %12s %12s %8s   %s%n", "figure", "measured", "baseline", "ratio", "held to");
        Map<String, Double> ms = frames();
        ratio("300 moving elements, evaluate + paint / bare Skia calls", ms.get("paintMoving"), ms.get("paintBare"), "ms", 1.25);
        bound("demo frame at 1280x720, still parts kept", ms.get("demoFrame"), "ms", 8);
        bound("1,000 elements x 5 keyed properties, evaluate", ms.get("evaluate"), "ms", 4);
        bound("a frame at a random time of 20,000 keys", ms.get("manyKeys"), "ms", 3);
        bound("1,000 tied elements at another width, tie + evaluate", ms.get("fitted"), "ms", 33);
        bound("the same in four layouts", ms.get("layouts"), "ms", 83);
        rest();
        try (var page = new PageBench()) {
            PageBench.Result moving = page.moving();
            ratio("page of 300 elements, main thread / written by hand", moving.published(), moving.byHand(), "ms/s", 1.1);
            PageBench.Result demo = page.demo();
            ratio("page of the demo, main thread / written by hand", demo.published(), demo.byHand(), "ms/s", 1.1);
            PageBench.Reacting reacting = page.reactions();
            ratio("page of 200 elements with 200 reactions, ready / without", reacting.ready().published(), reacting.ready().byHand(), "ms", 1.1);
            bound("its main thread while idle, more than without", Math.max(0, reacting.idle().published() - reacting.idle().byHand()), "ms/s", 1);
            for (boolean live : new boolean[] {true, false}) {
                PageBench.Live frost = page.frost(live);
                String what = "page of Frost glass " + (live ? "live" : "in pictures");
                figure(what + ", main thread", frost.mainThread(), "ms/s");
                if (live) {
                    figure(what + ", pictures", frost.pictures(), "/s");
                } else {
                    least(what + ", pictures", frost.pictures(), "/s", 12);
                }
                figure(what + ", the browser's memory", frost.memory(), "MB");
            }
        }
        rest();
        double[] region = RegionBench.measure();
        bound("click to filled region, 200 strokes of 100 points, net kept", region[1], "ms", 150);
        figure("making that net, off the interface thread", region[0], "ms");
        rest();
        double[] flip = FlipBench.measure();
        bound("opening 300 drawings of 50 paths", flip[0], "ms", 1500);
        bound("a step among them with onion skin 2+2, evaluate + paint", flip[1], "ms", 16);
        rest();
        MotifBench.Instances instances = MotifBench.instances();
        ratio("1,000 instances of 10 shapes, evaluate + paint / bare Skia", instances.evaluated(), instances.bare(), "ms", 2);
        bound("Frost glass at 1920x1080", MotifBench.frost(1920), "ms", 1200);
        least("Frost glass scrubbed at fit zoom, every second pixel", 1000 / MotifBench.frost(384), "/s", 10);
        rest();
        var hand = new StartBench(root);
        var lines = hand.hand().lines().filter(l -> l.matches("[a-z]+ [0-9.]+ [0-9.]+")).toList();
        if (lines.size() < 8) {
            System.out.println("the hand's bench ended before it had measured everything" + verdict(false));
        }
        for (String line : lines) {
            String[] part = line.split(" ");
            double first = Double.parseDouble(part[1]), second = Double.parseDouble(part[2]);
            if (part[0].equals("play")) {
                bound("playing the demo, late frames", first, "%", 1);
                bound("playing the demo, interface thread works at most", second, "ms", 16);
                continue;
            }
            if (part[0].equals("opened")) {
                ratio("memory held after ten pieces were opened in a row / after one", first, second, "MB", 1.2);
                continue;
            }
            if (part[0].equals("wait")) {
                bound("playing the demo, interface thread answers within", first, "ms", 16);
                figure("meanwhile a thread with nothing to do answered within", second, "ms");
                continue;
            }
            String what = WHAT.get(part[0]);
            bound(what + ", interface thread per event", first, "ms", 16);
            least(what + ", pictures", second, "/s", 30);
        }
        rest();
        for (Project piece : new Project[] {OpenNight.project(), FrostGlass.project()}) {
            FilmBench.Result film = FilmBench.measure(piece, 4);
            ratio("4 s of " + piece.name() + " as an MP4 at 1080p / painting or packing alone", film.whole(), film.longer(), "s", 1 / 0.9);
        }
        rest();
        StartBench.Result start = new StartBench(root).measure();
        ratio("start until the start page is seen / empty themed window", start.tundraMs(), start.emptyMs(), "ms", 1.5);
        ratio("start with a piece until all panels of the window are seen / empty themed window", start.pieceMs(), start.emptyMs(), "ms", 1.5);
        bound("resident memory with the demo open", start.memoryMb(), "MB", 600);
        System.exit(all ? 0 : 1);
    }

    /** The best iteration of each, measured in turns: what else the machine does only ever adds, and a slow phase of it meets all. */
    private static Map<String, Double> frames() throws Exception {
        var out = new HashMap<String, Double>();
        var options = new OptionsBuilder().include(FrameBench.class.getName()).verbosity(VerboseMode.SILENT).build();
        for (int round = 0; round < ROUNDS; round++) {
            rest();
            for (RunResult r : new Runner(options).run()) {
                String name = r.getParams().getBenchmark();
                out.merge(name.substring(name.lastIndexOf('.') + 1), r.getPrimaryResult().getStatistics().getMin(), Math::min);
            }
        }
        return out;
    }

    /** A virtual machine that has worked for long is given less of its host for a while; each figure begins rested. */
    static void rest() throws InterruptedException {
        Thread.sleep(15_000);
    }

    private static void ratio(String figure, double measured, double baseline, String unit, double most) {
        double ratio = measured / baseline;
        System.out.printf(Locale.ROOT, "%-58s %7.2f %-4s %7.2f %-4s %8.2f   at most %.2f%s%n", figure, measured, unit, baseline, unit, ratio, most,
                verdict(ratio <= most));
    }

    private static void bound(String figure, double measured, String unit, double most) {
        System.out.printf(Locale.ROOT, "%-58s %7.2f %-4s %12s %8s   at most %.0f %s%s%n", figure, measured, unit, "-", "-", most, unit,
                verdict(measured <= most));
    }

    private static void least(String figure, double measured, String unit, double least) {
        System.out.printf(Locale.ROOT, "%-58s %7.2f %-4s %12s %8s   at least %.0f %s%s%n", figure, measured, unit, "-", "-", least, unit,
                verdict(measured >= least));
    }

    private static void figure(String figure, double measured, String unit) {
        System.out.printf(Locale.ROOT, "%-58s %7.2f %-4s %12s %8s   told only%n", figure, measured, unit, "-", "-");
    }

    private static String verdict(boolean ok) {
        all &= ok;
        return ok ? "" : "   OVER";
    }
}
