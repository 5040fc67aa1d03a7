package tundra.bench;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Starts whole processes, Tundra and the empty window in turn, both with a start-up cache of their own. */
final class StartBench {
    private static final int RUNS = 15, MEMORY_RUNS = 5;
    private final Path root;
    private final Path work = Files.createTempDirectory("tundra-bench");

    /** Medians: until the start page is seen, an empty window, and all of the window around a piece. */
    record Result(double tundraMs, double emptyMs, double pieceMs, double memoryMb) {}

    StartBench(Path root) throws IOException {
        this.root = root;
    }

    private List<String> jars(String folder) throws IOException {
        try (var all = Files.list(root.resolve("build/" + folder))) {
            return all.map(Path::toString).filter(n -> n.endsWith(".jar")).sorted().toList();
        }
    }

    /** What the hand's bench says: drags in the real window. */
    String hand() throws IOException, InterruptedException {
        return inWindow("tundra.bench.HandBench", root.resolve("samples/open-night.tundra").toString());
    }

    /** What a program of these says that drives the real window; it is run as Tundra is. */
    String inWindow(String program, String argument) throws IOException, InterruptedException {
        List<String> c = command(false, false);
        c.set(c.size() - 1, program);
        c.add(argument);
        return run(c).said();
    }

    private List<String> command(boolean tundra, boolean demo, String... cache) throws IOException {
        var c = new ArrayList<String>();
        c.add(Path.of(System.getProperty("java.home"), "bin/java").toString());
        c.addAll(Arrays.asList(cache));
        c.addAll(List.of("--enable-native-access=javafx.graphics,javafx.web,javafx.media,ALL-UNNAMED", "--module-path", root.resolve("build/fx")
                .toString(),
                "--add-modules", "javafx.controls,javafx.swing,javafx.web", "-Dtundra.config=" + work.resolve("config"),
                "-Dtundra.styles=" + root.resolve("build/styles")));
        c.addAll(Files.readAllLines(root.resolve("bin/jvm.options")));
        var cp = new ArrayList<>(jars("lib"));
        cp.add(root.resolve("bench/target/tundra-bench-0.1.0.jar").toString());
        c.addAll(List.of("-cp", String.join(":", cp), tundra ? "tundra.bench.MeasuredTundra$Start" : "tundra.bench.EmptyWindow$Start"));
        if (demo) {
            c.add(root.resolve("samples/open-night.tundra").toString());
        }
        return c;
    }

    /** What a process said, and when it told of its first window, in ms from before it was started. */
    private record Run(double firstWindowMs, String said) {}

    /** The clock is this process's: a process's own start time is known to the whole second only. */
    private static Run run(List<String> command) throws IOException, InterruptedException {
        long start = System.nanoTime();
        Process p = new ProcessBuilder(command).redirectErrorStream(true).start();
        var said = new StringBuilder();
        double window = Double.NaN;
        try (var lines = p.inputReader()) {
            for (String line = lines.readLine(); line != null; line = lines.readLine()) {
                if (line.equals("first window")) {
                    window = (System.nanoTime() - start) / 1e6;
                }
                said.append(line).append('\n');
            }
        }
        p.waitFor();
        return new Run(window, said.toString());
    }

    private static double number(String out, String pattern) {
        Matcher m = Pattern.compile(pattern).matcher(out);
        if (!m.find()) {
            throw new IllegalStateException("no figure in: " + out);
        }
        return Double.parseDouble(m.group(1));
    }

    Result measure() throws IOException, InterruptedException {
        String[] caches = {work.resolve("tundra.aot").toString(), work.resolve("empty.aot").toString()};
        for (int i = 0; i < 2; i++) {
            run(command(i == 0, false, "-XX:AOTCacheOutput=" + caches[i]));
        }
        double[][] ms = new double[2][RUNS];
        for (int r = 0; r < RUNS; r++) {
            for (int k = 0; k < 2; k++) {
                // each comes as often after the other as before it
                int i = (r + k) % 2;
                ms[i][r] = run(command(i == 0, false, "-XX:AOTCache=" + caches[i])).firstWindowMs();
            }
        }
        double[] memory = new double[MEMORY_RUNS], piece = new double[MEMORY_RUNS];
        for (int r = 0; r < MEMORY_RUNS; r++) {
            Run run = run(command(true, true, "-XX:AOTCache=" + caches[0]));
            memory[r] = number(run.said(), "resident memory (\\d+) MB");
            piece[r] = run.firstWindowMs();
        }
        return new Result(median(ms[0]), median(ms[1]), median(piece), median(memory));
    }

    static double median(double[] v) {
        double[] s = v.clone();
        Arrays.sort(s);
        return s[s.length / 2];
    }
}
