package tundra.core.helper;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import tundra.core.geometry.Point;
import tundra.core.model.Board;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Properties;
import tundra.core.motion.Easing;
import tundra.core.motion.EasingText;
import tundra.core.motion.Key;
import tundra.core.motion.PathShape;
import tundra.core.motion.Track;

/**
 * Wanders around where it is and comes back into its own track. The place follows a round closed path at one even speed; the
 * turn goes from rest to rest. So value and slope are the same at both ends. The instances of a scatter wander around their places one
 * by one, each a part of the round further than the one before.
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
        return List.of(Param.number("Amount", "px", 0, 10_000, 20), Param.number("Turn", "°", 0, 360, 4), Param.number("Pace", "a second", 0.1, 20,
                1),
                Param.number("Length, 0 to the end", "s", 0, 3600, 0), Param.number("Seed", "", 0, 99_999, 7));
    }

    @Override
    public Written apply(Job job, double[] n) {
        Board b = job.board();
        long length = n[3] > 0 ? Math.round(n[3] * 1e6) : Math.max(1_000_000, job.time().duration() - job.at());
        int steps = (int) Math.max(3, Math.min(2000, Math.round(length / 1e6 * n[2])));
        int seed = 0;
        for (String id : job.elements()) {
            Element e = b.find(id);
            boolean scatter = e.content() instanceof Content.Group g && g.scatter() != null;
            List<Element> wanderers = scatter ? e.children() : List.of(e);
            for (int i = 0; i < wanderers.size(); i++) {
                var random = new Random(Math.round(n[4]) * 31 + seed++);
                Element of = wanderers.get(i);
                var round = new Round(job.timeline(), of.id(), job.at(), length, steps, scatter ? steps * i / wanderers.size() : 0);
                if (n[0] > 0) {
                    b = place(b, round, scatter ? of.rest().get(Properties.POSITION) : job.place(id), n[0], random);
                }
                if (n[1] > 0) {
                    b = turn(b, round, scatter ? of.rest().get(Properties.ROTATION) : job.seen(id, Properties.ROTATION), n[1], random);
                }
            }
        }
        return new Written(b, length);
    }

    /**
     * One way round, in even steps from a time on.
     *
     * @param home the step at which the element is at home: 0, or another so that the instances of a scatter are out of step
     */
    private record Round(String timeline, String element, long at, long length, int steps, int home) {
        long time(int step) {
            return at + length * step / steps;
        }

        boolean home(int step) {
            return step % steps == home % steps;
        }
    }

    private static Board place(Board b, Round way, Point home, double amount, Random random) {
        var keys = new ArrayList<Key<Point>>();
        for (int k = 0; k < way.steps; k++) {
            double a = random.nextDouble() * 2 * Math.PI, r = amount * Math.sqrt(random.nextDouble());
            keys.add(Job.key(way.time(k), way.home(k) ? home : home.plus(new Point(r * Math.cos(a), r * Math.sin(a))), Easing.LINEAR));
        }
        keys.add(Job.key(way.time(way.steps), keys.getFirst().value(), Easing.LINEAR));
        var track = new Track<>(keys, new PathShape(0.9, true, Easing.LINEAR));
        return b.mapTimeline(way.timeline, t -> t.withDuration(Math.max(t.duration(), way.time(way.steps)))
                .with(way.element, Properties.POSITION_X, null).with(way.element, Properties.POSITION_Y, null).with(way.element, Properties.POSITION,
                track));
    }

    private static Board turn(Board b, Round way, double home, double amount, Random random) {
        var keys = new ArrayList<Key<Double>>();
        for (int k = 0; k < way.steps; k++) {
            keys.add(Job.key(way.time(k), way.home(k) ? home : home + amount * (2 * random.nextDouble() - 1), GENTLE));
        }
        keys.add(Job.key(way.time(way.steps), keys.getFirst().value(), GENTLE));
        return Job.write(b, way.timeline, way.element, Properties.ROTATION, keys);
    }
}
