package tundra.bench;

import io.github.humbleui.skija.Surface;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.concurrent.Callable;
import tundra.bench.GrowthBench.Row;
import tundra.core.edit.Rules;
import tundra.core.file.ProjectFile;
import tundra.core.frame.FrameBuilder;
import tundra.core.frame.HitTest;
import tundra.core.geometry.Point;
import tundra.core.model.Element;
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.render.Fonts;
import tundra.render.Painter;
import tundra.render.StillStore;

/** How what core and the painter do grows with the number of elements. */
final class GrowthInCore {
    private static final double ANY = Double.POSITIVE_INFINITY;
    static final List<Row> ROWS = List.of(new Row("a frame, evaluated", "ms", ANY, 0), new Row("a frame, painted while it plays", "ms", ANY, 0),
            new Row("what lies under a point", "ms", ANY, 0),
            new Row("a version with one element moved, checked", "ms", ANY, 0), new Row("a version with all elements moved, checked", "ms", 300, 0),
            new Row("writing the file", "ms", ANY, 0),
            new Row("reading the file", "ms", 2000, 0));
    private static final int RUNS = 15;

    private GrowthInCore() {}

    static Project piece(int count) {
        return Pieces.project(Pieces.some(count, GrowthBench.ONE_IN));
    }

    static void write(int count, Path file) throws Exception {
        ProjectFile.write(piece(count), file);
    }

    static Map<String, double[]> measure() throws Exception {
        var out = new LinkedHashMap<String, double[]>();
        ROWS.forEach(r -> out.put(r.what(), new double[GrowthBench.SIZES.length]));
        for (int i = 0; i < GrowthBench.SIZES.length; i++) {
            double[] ms = of(piece(GrowthBench.SIZES[i]));
            for (int k = 0; k < ms.length; k++) {
                out.get(ROWS.get(k).what())[i] = ms[k];
            }
        }
        return out;
    }

    private static double[] of(Project p) throws Exception {
        var board = p.scenes().getFirst().board();
        var builder = new FrameBuilder(board, Fonts.BUNDLED);
        var random = new Random(1);
        Path file = Files.createTempFile("growth", ".tundra");
        try (Surface s = Surface.makeRasterN32Premul(Pieces.WIDTH, Pieces.HEIGHT); var painter = new Painter(); var store = new StillStore(painter)) {
            double evaluated = best(() -> builder.at(random.nextInt(4_000_000)));
            var frames = new Object() {
                int turn;
            };
            double painted = best(() -> {
                var frame = builder.at(frames.turn++ * 41_667L);
                long began = System.nanoTime();
                store.paint(s.getCanvas(), frame, 1, 0, 0, Pieces.WIDTH, Pieces.HEIGHT, true);
                return new Took(System.nanoTime() - began);
            });
            var frame = builder.at(0);
            double hit = best(() -> HitTest.under(frame, new Point(random.nextInt(Pieces.WIDTH), random.nextInt(Pieces.HEIGHT)), 2));
            String one = board.elements().get(board.elements().size() / 2).id();
            double moved = best(() -> checked(p, p.mapBoard(p.scenes().getFirst().id(), b -> b.mapElements(Set.of(one), e -> moved(e, random)))));
            double allMoved = best(() ->
                    checked(p, p.mapBoard(p.scenes().getFirst().id(), b -> b.withElements(b.elements().stream().map(e -> moved(e, random))
                    .toList()))));
            double written = best(() -> {
                ProjectFile.write(p, file);
                return null;
            });
            double read = best(() -> ProjectFile.read(file));
            return new double[] {evaluated, painted, hit, moved, allMoved, written, read};
        } finally {
            Files.delete(file);
        }
    }

    private static Element moved(Element e, Random r) {
        return e.with(Properties.POSITION, new Point(r.nextInt(Pieces.WIDTH), r.nextInt(Pieces.HEIGHT)));
    }

    private static Object checked(Project before, Project after) {
        Project tidied = Rules.tidied(before, after);
        return List.of(tidied, String.valueOf(Rules.refusal(before, tidied)));
    }

    /** What a run says of itself, in ns. */
    private record Took(long ns) {}

    /** The best of some runs, in ms, after as many that warm up. */
    private static double best(Callable<?> work) throws Exception {
        double best = ANY;
        for (int i = 0; i < 2 * RUNS; i++) {
            long began = System.nanoTime();
            Object made = work.call();
            double ms = (made instanceof Took t ? t.ns : System.nanoTime() - began) / 1e6;
            best = i < RUNS ? best : Math.min(best, ms);
        }
        return best;
    }
}
