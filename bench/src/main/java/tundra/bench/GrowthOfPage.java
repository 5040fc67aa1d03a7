package tundra.bench;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import tundra.bench.GrowthBench.Row;

/** How the published page grows with the number of elements, in Chromium. */
final class GrowthOfPage {
    private static final double ANY = Double.POSITIVE_INFINITY;
    static final List<Row> ROWS = List.of(new Row("the page, compiled", "ms", ANY, 0), new Row("its files", "KB", ANY, 0),
            new Row("it is loaded", "ms", 5000, 0), new Row("its parts in the browser", "", ANY, 0),
            new Row("its main thread", "ms/s", ANY, 0), new Row("its pictures", "/s", ANY, 10));

    private GrowthOfPage() {}

    static Map<String, double[]> measure() throws Exception {
        var out = new LinkedHashMap<String, double[]>();
        ROWS.forEach(r -> out.put(r.what(), new double[GrowthBench.SIZES.length]));
        for (int i = 0; i < GrowthBench.SIZES.length; i++) {
            try (var page = new PageBench()) {
                PageBench.Grown g = page.grown(GrowthInCore.piece(GrowthBench.SIZES[i]));
                double[] v = {g.compiled(), g.kilobytes(), g.loaded(), g.parts(), g.mainThread(), g.pictures()};
                for (int k = 0; k < v.length; k++) {
                    out.get(ROWS.get(k).what())[i] = v[k];
                }
            }
        }
        return out;
    }

    /** The main thread of a page of 1,000 elements with 286 animations, and of one by hand, in ms/s. */
    static double[] compared() throws Exception {
        try (var page = new PageBench()) {
            PageBench.Result r = page.some(1000, 7);
            return new double[] {r.published(), r.byHand()};
        }
    }
}
