package tundra.core.helper;

import java.util.ArrayList;
import java.util.List;
import tundra.core.frame.ElementPaint;
import tundra.core.model.Board;
import tundra.core.model.Content;
import tundra.core.model.Properties;
import tundra.core.model.Values;
import tundra.core.motion.Easing;
import tundra.core.motion.EasingText;
import tundra.core.motion.Key;

/** Sends one short dash along a stroke from its start to its end. */
final class FlyingDash implements Helper {
    @Override
    public String name() {
        return "Flying dash";
    }

    @Override
    public String says() {
        return "Sends a short piece of the stroke along its outline.";
    }

    @Override
    public List<Param> params() {
        return List.of(Param.number("Dash", "px", 1, 10_000, 40), Param.number("Time", "s", 0.02, 600, 1.5), Param.number("Times", "", 1, 100, 1),
                Param.choice("Speed", "even", "gentle at both ends"));
    }

    @Override
    public String refuses(Job job) {
        boolean strokes = job.elements().stream().anyMatch(id -> job.board().find(id).content() instanceof Content.Shape
                && job.board().rest(id).get(Properties.STROKE).visible());
        return strokes ? null : "Select a shape that has a stroke.";
    }

    @Override
    public Written apply(Job job, double[] n) {
        Board b = job.board();
        Easing easing = EasingText.parse(n[3] > 0 ? "sine-both" : "linear");
        int times = (int) Math.round(n[2]);
        long one = Math.round(n[1] * 1e6);
        for (String id : job.elements()) {
            if (b.find(id).content() instanceof Content.Shape s) {
                Values v = b.rest(id);
                double length = ElementPaint.form(s, v).outline().segments().stream().mapToDouble(c -> c.length(0, 1)).sum();
                // a gap longer than the outline: no second dash is ever on it
                b = b.withRest(id, x -> x.with(Properties.DASH, n[0]).with(Properties.GAP, length + n[0]));
                var keys = new ArrayList<Key<Double>>();
                for (int k = 0; k < times; k++) {
                    keys.add(Job.key(job.at() + k * one, n[0], easing));
                    keys.add(Job.key(job.at() + (k + 1) * one - (k + 1 < times ? 1 : 0), -length, Easing.HOLD));
                }
                b = Job.write(b, job.timeline(), id, Properties.DASH_OFFSET, keys);
            }
        }
        return new Written(b, one * times);
    }
}
