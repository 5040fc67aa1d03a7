package tundra.core.helper;

import java.util.List;
import tundra.core.edit.Clip;
import tundra.core.edit.KeyClip;
import tundra.core.edit.Keys;
import tundra.core.edit.Placing;
import tundra.core.geometry.Point;
import tundra.core.model.Board;
import tundra.core.model.Properties;

/** Copies with their moves, each later, slower or mirrored. */
final class Copies implements Helper {
    @Override
    public String name() {
        return "Copies with their move";
    }

    @Override
    public String says() {
        return "Makes copies that do the same a little later, slower or mirrored.";
    }

    @Override
    public List<Param> params() {
        return List.of(Param.number("Copies", "", 1, 200, 3), Param.number("Each later by", "s", -60, 60, 0.25), Param.percent("Each takes", 0.1, 10, 1),
                Param.number("Each right by", "px", -10_000, 10_000, 0), Param.number("Each down by", "px", -10_000, 10_000, 0),
                Param.choice("Mirror", "no", "every other one"));
    }

    @Override
    public Written apply(Job job, double[] n) {
        var clip = Clip.of(job.project(), job.board(), job.elements());
        Board b = job.board();
        for (int i = 1; i <= (int) Math.round(n[0]); i++) {
            var pasted = clip.paste(b, new Point(n[3] * i, n[4] * i));
            b = pasted.board();
            double factor = Math.pow(n[2], i);
            long by = Math.round(n[1] * i * 1e6);
            for (String id : tundra.core.model.Tree.ids(pasted.ids().stream().map(b::find).toList())) {
                var refs = KeyClip.all(b.timeline(job.timeline()), List.of(id));
                long first = refs.stream().mapToLong(Keys.Ref::time).min().orElse(0);
                java.util.function.LongUnaryOperator times = t -> Math.max(0, job.project().snap(Math.round(first + (t - first) * factor) + by));
                long last = refs.stream().mapToLong(r -> times.applyAsLong(r.time())).max().orElse(0);
                b = b.mapTimeline(job.timeline(), t -> t.withDuration(Math.max(t.duration(), last)));
                b = Keys.retime(b, job.timeline(), refs, times);
            }
            if (n[5] > 0 && i % 2 == 1) {
                for (String id : pasted.ids()) {
                    b = Placing.mirrored(b, id, b.rest(id).get(Properties.POSITION).x());
                }
            }
        }
        return new Written(b, 0);
    }
}
