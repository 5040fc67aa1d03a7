package tundra.core.helper;

import java.util.ArrayList;
import java.util.List;
import tundra.core.model.Board;
import tundra.core.model.Properties;
import tundra.core.motion.EasingText;
import tundra.core.motion.Key;

/** Swings like a pendulum, each time a little less, and hangs still. */
final class Swing implements Helper {
    @Override
    public String name() {
        return "Swing";
    }

    @Override
    public String says() {
        return "Turns to and fro around its pivot, less each time, until it hangs still.";
    }

    @Override
    public List<Param> params() {
        return List.of(Param.number("Angle", "°", 0.1, 360, 20), Param.number("Time to and fro", "s", 0.05, 60, 1),
                Param.percent("Kept each way", 0, 0.99, 0.75), Param.number("Ways, 0 for all", "", 0, 200, 0));
    }

    @Override
    public Written apply(Job job, double[] n) {
        int ways = n[3] > 0 ? (int) Math.round(n[3]) : n[2] <= 0 ? 1
                : (int) Math.min(200, Math.max(1, Math.ceil(Math.log(0.2 / n[0]) / Math.log(n[2]))));
        Board b = job.board();
        long end = job.at();
        for (String id : job.elements()) {
            double home = job.seen(id, Properties.ROTATION);
            var keys = new ArrayList<Key<Double>>();
            // half a cosine is what a pendulum does between two turning points
            var easing = EasingText.parse("sine-both");
            for (int k = 0; k <= ways; k++) {
                double angle = k == ways ? 0 : n[0] * Math.pow(n[2], k) * (k % 2 == 0 ? 1 : -1);
                keys.add(Job.key(job.at() + Math.round(k * n[1] / 2 * 1e6), home + angle, easing));
            }
            end = keys.getLast().time();
            b = Job.write(b, job.timeline(), id, Properties.ROTATION, keys);
        }
        return new Written(b, end - job.at());
    }
}
