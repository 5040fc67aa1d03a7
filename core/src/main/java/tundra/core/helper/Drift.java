package tundra.core.helper;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import tundra.core.geometry.Point;
import tundra.core.model.Board;
import tundra.core.model.Properties;
import tundra.core.model.Property;
import tundra.core.motion.Easing;
import tundra.core.motion.EasingText;
import tundra.core.motion.Key;
import tundra.core.motion.PathShape;
import tundra.core.motion.Track;

/**
 * Wanders around where it is and comes back into its own track. The place follows a round closed path at one even speed; the
 * turn goes from rest to rest. So value and slope are the same at both ends.
 */
final class Drift implements Helper {
    private static final Easing GENTLE = EasingText.parse("sine-both");

    @Override
    public String name() {
        return "Drift";
    }

    @Override
    public String says() {
        return "Wanders around its place and closes into a loop without a jolt.";
    }

    @Override
    public List<Param> params() {
        return List.of(Param.number("Amount", "px", 0, 10_000, 20), Param.number("Turn", "°", 0, 360, 4), Param.number("Pace", "a second", 0.1, 20, 1),
                Param.number("Length, 0 to the end", "s", 0, 3600, 0), Param.number("Seed", "", 0, 99_999, 7));
    }

    @Override
    public Written apply(Job job, double[] n) {
        Board b = job.board();
        long length = n[3] > 0 ? Math.round(n[3] * 1e6) : Math.max(1_000_000, job.time().duration() - job.at());
        int steps = (int) Math.max(3, Math.min(2000, Math.round(length / 1e6 * n[2])));
        for (int i = 0; i < job.elements().size(); i++) {
            String id = job.elements().get(i);
            var random = new Random(Math.round(n[4]) * 31 + i);
            if (n[0] > 0) {
                b = place(job, b, id, n[0], steps, length, random);
            }
            if (n[1] > 0) {
                b = numbers(job, b, id, Properties.ROTATION, n[1], steps, length, random);
            }
        }
        return new Written(b, length);
    }

    private static Board place(Job job, Board b, String id, double amount, int steps, long length, Random random) {
        Point home = job.place(id);
        var keys = new ArrayList<Key<Point>>();
        for (int k = 0; k <= steps; k++) {
            double a = random.nextDouble() * 2 * Math.PI, r = amount * Math.sqrt(random.nextDouble());
            Point at = k == 0 || k == steps ? home : home.plus(new Point(r * Math.cos(a), r * Math.sin(a)));
            keys.add(Job.key(job.at() + length * k / steps, at, Easing.LINEAR));
        }
        var track = new Track<>(keys, new PathShape(0.9, true, Easing.LINEAR));
        return b.mapTimeline(job.timeline(), t -> t.withDuration(Math.max(t.duration(), job.at() + length))
                .with(id, Properties.POSITION_X, null).with(id, Properties.POSITION_Y, null).with(id, Properties.POSITION, track));
    }

    private static Board numbers(Job job, Board b, String id, Property<Double> p, double amount, int steps, long length, Random random) {
        double home = job.seen(id, p);
        var keys = new ArrayList<Key<Double>>();
        for (int k = 0; k <= steps; k++) {
            double v = k == 0 || k == steps ? home : home + amount * (2 * random.nextDouble() - 1);
            keys.add(Job.key(job.at() + length * k / steps, v, GENTLE));
        }
        return Job.write(b, job.timeline(), id, p, keys);
    }
}
