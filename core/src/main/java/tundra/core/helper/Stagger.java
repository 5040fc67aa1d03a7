package tundra.core.helper;

import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import java.util.Random;
import tundra.core.edit.KeyClip;
import tundra.core.edit.Keys;
import tundra.core.model.Board;
import tundra.core.motion.Easing;
import tundra.core.motion.EasingText;

/** Lets the moves of several elements begin one after the other. */
final class Stagger implements Helper {
    private static final List<Easing> STEPS = List.of(Easing.LINEAR, EasingText.parse("quad-in"), EasingText.parse("quad-out"),
            EasingText.parse("sine-both"));

    @Override
    public String name() {
        return "Stagger";
    }

    @Override
    public String says() {
        return "Lets the moves of the selected elements begin one after the other.";
    }

    @Override
    public List<Param> params() {
        return List.of(Param.number("Step", "s", 0, 60, 0.15), Param.choice("Order", "as listed", "from the end", "from the middle", "by chance"),
                Param.choice("Steps", "all alike", "longer and longer", "shorter and shorter", "gentle at both ends"),
                Param.number("Seed", "", 0, 99_999, 1));
    }

    @Override
    public String refuses(Job job) {
        long moving = job.elements().stream().filter(id -> !job.time().tracksOf(id).isEmpty()).count();
        return moving < 2 ? "Select at least two elements that have keys." : null;
    }

    @Override
    public Written apply(Job job, double[] n) {
        List<String> order = ordered(job.elements().stream().filter(id -> !job.time().tracksOf(id).isEmpty()).toList(), (int) n[1], (long) n[3]);
        Easing easing = STEPS.get((int) n[2]);
        double whole = n[0] * (order.size() - 1);
        Board b = job.board();
        for (int i = 0; i < order.size(); i++) {
            long by = job.project().snap(Math.round(whole * easing.at((double) i / (order.size() - 1)) * 1e6));
            var refs = KeyClip.all(job.time(), List.of(order.get(i)));
            long last = refs.stream().mapToLong(Keys.Ref::time).max().orElse(0) + by;
            b = b.mapTimeline(job.timeline(), t -> t.withDuration(Math.max(t.duration(), last)));
            b = Keys.retime(b, job.timeline(), refs, time -> time + by);
        }
        return new Written(b, Math.round(whole * 1e6));
    }

    static List<String> ordered(List<String> ids, int order, long seed) {
        var out = new ArrayList<>(ids);
        switch (order) {
            case 1 -> Collections.reverse(out);
            case 2 -> {
                double middle = (ids.size() - 1) / 2.0;
                out.sort(Comparator.comparingDouble(id -> Math.abs(ids.indexOf(id) - middle)));
            }
            case 3 -> Collections.shuffle(out, new Random(seed));
            default -> { }
        }
        return out;
    }
}
