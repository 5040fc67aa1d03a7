package tundra.core.check;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import tundra.core.fit.Frames;
import tundra.core.frame.FrameBuilder;
import tundra.core.frame.Moment;
import tundra.core.frame.TextMeasurer;
import tundra.core.geometry.Rect;
import tundra.core.model.Board;
import tundra.core.model.Project;
import tundra.core.model.Scene;
import tundra.core.work.Progress;

/**
 * Flashes that can set off seizures (WCAG 2.2, 2.3.1): more than three in a second over a quarter of any 10° of the visual field, which are
 * 341×256 CSS px where the screen is 1024×768.
 */
final class FlashChecks {
    private static final double AREA = 341 * 256 / 4.0;
    /** Of a cell in CSS px, pictures a second, and how long is looked at in s. */
    private static final int CELL = 16, RATE = 30, LONGEST = 30;
    /** A change of relative luminance that counts, where the darker of the two is below the limit; one of a saturated red. */
    private static final double STEP = 0.1, DARK = 0.8, RED = 20;
    /** Changes there and back of more than three flashes. */
    private static final int CHANGES = 7;

    private FlashChecks() {}

    static List<Finding> of(Project p, Scene scene, TextMeasurer measure, ImageComparer eyes, Progress progress) {
        Board b = scene.board();
        int w = (int) Math.max(1, Math.min(160, Math.round(b.size().x() / CELL))),
                h = (int) Math.max(1, Math.min(160, Math.round(b.size().y() / CELL)));
        double cell = b.size().x() * b.size().y() / w / h;
        FrameBuilder builder = Frames.of(p, b, measure);
        int rate = Math.min(RATE, p.frameRate()), frames = (int) Math.min((long) LONGEST * rate,
                Math.max(2 * rate, Math.round(b.main().duration() / 1e6 * rate)));
        var light = new Changes(w * h, rate);
        var red = new Changes(w * h, rate);
        for (int i = 0; i < frames && !progress.cancelled(); i++) {
            int[] now = eyes.pixels(builder.at(Moment.opened(b, Math.round(i * 1e6 / rate))), new Rect(0, 0, b.size().x(), b.size().y()), w, h);
            int lit = 0, reddened = 0;
            for (int k = 0; k < now.length; k++) {
                lit += light.add(k, i, Pixels.luminance(now[k]), STEP, DARK) ? 1 : 0;
                reddened += red.add(k, i, Pixels.red(now[k]), RED, Double.MAX_VALUE) ? 1 : 0;
            }
            if (lit * cell > AREA || reddened * cell > AREA) {
                return List.of(new Finding(Check.FLASHES, scene.id(), null, null, Math.round(Math.max(0, i - rate) * 1e6 / rate), scene.name()
                        + " flashes more than three times in a second over " + Math.round(Math.max(lit, reddened) * cell / b.size().x() / b.size()
                        .y() * 100)
                        + " % of its canvas" + (reddened * cell > AREA ? " in red" : "")
                        + ". That can set off seizures: make it slower, smaller or fainter.", null));
            }
        }
        return List.of();
    }

    /** The turns of a value in each cell: where it goes the other way by a step that counts. */
    private static final class Changes {
        private final double[] low, high;
        private final int[] way;
        private final List<List<Integer>> turns = new ArrayList<>();
        private final int rate;

        Changes(int cells, int rate) {
            low = new double[cells];
            high = new double[cells];
            way = new int[cells];
            this.rate = rate;
            Arrays.fill(low, Double.NaN);
            for (int i = 0; i < cells; i++) {
                turns.add(null);
            }
        }

        /** Whether a cell has turned more often in the last second than three flashes do. */
        boolean add(int cell, int frame, double v, double step, double dark) {
            if (Double.isNaN(low[cell])) {
                low[cell] = v;
                high[cell] = v;
                return false;
            }
            low[cell] = Math.min(low[cell], v);
            high[cell] = Math.max(high[cell], v);
            int now = way[cell] <= 0 && v - low[cell] >= step && low[cell] < dark ? 1 : way[cell] >= 0 && high[cell] - v >= step && v < dark ? -1 : 0;
            if (now != 0) {
                way[cell] = now;
                low[cell] = v;
                high[cell] = v;
                if (turns.get(cell) == null) {
                    turns.set(cell, new ArrayList<>());
                }
                turns.get(cell).add(frame);
            } else if (way[cell] > 0) {
                // it goes on up: the next way down is measured from its top
                low[cell] = v;
            } else if (way[cell] < 0) {
                high[cell] = v;
            }
            List<Integer> all = turns.get(cell);
            return all != null && all.size() >= CHANGES && frame - all.get(all.size() - CHANGES) < rate;
        }
    }
}
