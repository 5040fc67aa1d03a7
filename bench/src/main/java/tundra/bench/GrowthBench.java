package tundra.bench;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;

/** Prints how the figures grow with the piece: 100, 1,000, 10,000 and 30,000 elements, in core, in the real window and in a browser. */
public final class GrowthBench {
    static final int[] SIZES = {100, 1_000, 10_000, 30_000};
    /** One element in so many moves. */
    static final int ONE_IN = 20;
    /** A step from 1,000 to 10,000 elements, and one from there to 30,000, may take so many times as long. */
    private static final double TENFOLD = 13, THREEFOLD = 4;
    /** What takes less than this is not told from what is beside it, in ms. */
    private static final double SMALL = 2;
    private static boolean all = true;

    private GrowthBench() {}

    /**
     * A figure for each size.
     *
     * @param most what it may be at 10,000 elements; infinite where only its growth counts
     * @param least what it has to be there; 0 for nothing
     */
    record Row(String what, String unit, double most, double least) {}

    /**
     * The argument is the root of the project; "core", "window" and "page" after it name what is measured, all by default. Ends with 1 when a figure
     * is over its bound.
     */
    public static void main(String[] args) throws Exception {
        Path root = Path.of(args[0]);
        List<String> parts = args.length > 1 ? List.of(args).subList(1, args.length) : List.of("core", "window", "page");
        System.out.printf(Locale.ROOT, "%-46s %-5s %9s %9s %9s %9s %8s %8s   %s%n", "figure", "", "100", "1,000", "10,000", "30,000", "x10", "x3",
                "held to");
        if (parts.contains("core")) {
            table(GrowthInCore.ROWS, GrowthInCore.measure());
        }
        if (parts.contains("window")) {
            Bench.rest();
            table(GrowthInWindow.ROWS, window(root));
        }
        if (parts.contains("page")) {
            Bench.rest();
            table(GrowthOfPage.ROWS, GrowthOfPage.measure());
            double[] compared = GrowthOfPage.compared();
            double ratio = compared[0] / compared[1];
            System.out.printf(Locale.ROOT, "%-46s %-5s %9.1f %9.1f by hand %27.2f   at most 1.10%s%n",
                    "page of 1,000 with 286 animations, main thread", "ms/s", compared[0], compared[1], ratio,
                    verdict(ratio <= 1.1));
        }
        System.exit(all ? 0 : 1);
    }

    /** Runs a process for each size: what one of them leaves behind slows no other. */
    private static Map<String, double[]> window(Path root) throws Exception {
        var out = new LinkedHashMap<String, double[]>();
        for (int i = 0; i < SIZES.length; i++) {
            Path file = Files.createTempFile("growth", ".tundra");
            GrowthInCore.write(SIZES[i], file);
            for (String line : new StartBench(root).inWindow("tundra.bench.GrowthInWindow", file.toString()).lines().toList()) {
                int gap = line.lastIndexOf(' ');
                if (line.matches("[a-z ]+ [0-9.]+")) {
                    out.computeIfAbsent(line.substring(0, gap), k -> new double[SIZES.length])[i] = Double.parseDouble(line.substring(gap + 1));
                } else if (!line.startsWith("WARNING")) {
                    System.err.println(line);
                }
            }
            Files.delete(file);
        }
        return out;
    }

    private static void table(List<Row> rows, Map<String, double[]> figures) {
        for (Row r : rows) {
            double[] v = figures.getOrDefault(r.what, figures.get(r.what.replace(",", "")));
            if (v == null) {
                System.out.println(r.what + ": not measured" + verdict(false));
                continue;
            }
            var told = new ArrayList<String>();
            boolean ok = true;
            if (r.most < Double.POSITIVE_INFINITY) {
                told.add("at most " + (int) r.most);
                ok &= v[2] <= r.most;
            }
            if (r.least > 0) {
                told.add("at least " + (int) r.least);
                ok &= v[2] >= r.least;
            }
            // what comes in pictures a second falls as the piece grows
            boolean rate = r.unit.equals("/s");
            double ten = rate ? v[1] / v[2] : Math.max(SMALL, v[2]) / Math.max(SMALL, v[1]), three = rate ? v[2] / v[3]
                    : Math.max(SMALL, v[3]) / Math.max(SMALL, v[2]);
            ok &= ten <= TENFOLD && three <= THREEFOLD;
            System.out.printf(Locale.ROOT, "%-46s %-5s %9.1f %9.1f %9.1f %9.1f %8.1f %8.1f   %s%s%n", r.what, r.unit, v[0], v[1], v[2], v[3], ten,
                    three, String.join(", ", told), verdict(ok));
        }
    }

    private static String verdict(boolean ok) {
        all &= ok;
        return ok ? "" : "   OVER";
    }
}
