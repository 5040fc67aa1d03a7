package tundra.bench;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import tundra.core.draw.RegionNet;
import tundra.core.geometry.Contour;
import tundra.core.geometry.Node;
import tundra.core.geometry.Outline;
import tundra.core.geometry.Point;

/** Regions between many strokes. */
final class RegionBench {
    private static final int RUNS = 5;

    private RegionBench() {}

    /** The best of five, in ms: making the net of 200 wandering strokes of 100 points, and finding the region of a click in it. */
    static double[] measure() {
        var random = new Random(5);
        List<Outline> strokes = new ArrayList<>();
        for (int i = 0; i < 200; i++) {
            var nodes = new ArrayList<Node>();
            double x = random.nextDouble() * 1280, y = random.nextDouble() * 720, a = random.nextDouble() * 6;
            for (int k = 0; k < 100; k++) {
                nodes.add(Node.corner(x, y));
                a += random.nextGaussian() * 0.2;
                x += 6 * Math.cos(a);
                y += 6 * Math.sin(a);
            }
            strokes.add(new Outline(List.of(new Contour(nodes, false))));
        }
        double[] best = {Double.MAX_VALUE, Double.MAX_VALUE};
        for (int r = 0; r < RUNS; r++) {
            long start = System.nanoTime();
            var net = new RegionNet(strokes, 4);
            best[0] = Math.min(best[0], (System.nanoTime() - start) / 1e6);
            start = System.nanoTime();
            int found = 0;
            for (int i = 0; i < 20; i++) {
                found += net.at(new Point(100 + i * 50, 360)) == null ? 0 : 1;
            }
            if (found == 0) {
                throw new IllegalStateException("no region was found");
            }
            best[1] = Math.min(best[1], (System.nanoTime() - start) / 1e6 / 20);
        }
        return best;
    }
}
