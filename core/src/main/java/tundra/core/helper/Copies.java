package tundra.core.helper;

import java.util.List;
import java.util.Random;
import java.util.function.LongUnaryOperator;
import java.util.function.UnaryOperator;
import tundra.core.edit.Clip;
import tundra.core.edit.KeyClip;
import tundra.core.edit.Keys;
import tundra.core.edit.Placing;
import tundra.core.geometry.Point;
import tundra.core.model.Board;
import tundra.core.model.Color;
import tundra.core.model.ColorSpaces;
import tundra.core.model.Gradient;
import tundra.core.model.Paint;
import tundra.core.model.Properties;
import tundra.core.model.Property;
import tundra.core.model.Timeline;
import tundra.core.model.Tree;

/** Copies with their moves, each later, slower or mirrored. */
final class Copies implements Helper {
    @Override
    public String name() {
        return "Copies with their move";
    }

    @Override
    public String says() {
        return "Makes copies that do the same a little later, slower, mirrored, or each a little differently.";
    }

    @Override
    public List<Param> params() {
        return List.of(Param.number("Copies", "", 1, 200, 3), Param.number("Each later by", "s", -60, 60, 0.25), Param.percent("Each takes", 0.1, 10,
                1),
                Param.number("Each right by", "px", -10_000, 10_000, 0), Param.number("Each down by", "px", -10_000, 10_000, 0),
                Param.choice("Mirror", "no", "every other one"), Param.number("Turned by up to ±", "°", 0, 180, 0),
                Param.percent("Larger or smaller by ±", 0, 0.9, 0),
                Param.percent("Fainter by up to", 0, 1, 0), Param.number("Colour turned by ±", "°", 0, 180, 0), Param.number("Earlier or later by ±",
                "s", 0, 60, 0),
                Param.number("Way bent by up to ±", "px", 0, 10_000, 0), Param.number("Seed", "", 0, 9999, 1));
    }

    @Override
    public Written apply(Job job, double[] n) {
        var clip = Clip.of(job.project(), job.board(), job.elements());
        Board b = job.board();
        var random = new Random(Math.round(n[12]));
        for (int i = 1; i <= (int) Math.round(n[0]); i++) {
            var pasted = clip.paste(b, new Point(n[3] * i, n[4] * i));
            b = pasted.board();
            double factor = Math.pow(n[2], i);
            long by = Math.round((n[1] * i + n[10] * between(random)) * 1e6);
            for (String id : Tree.ids(pasted.ids().stream().map(b::find).toList())) {
                var refs = KeyClip.all(b.timeline(job.timeline()), List.of(id));
                long first = refs.stream().mapToLong(Keys.Ref::time).min().orElse(0);
                LongUnaryOperator times = t -> Math.max(0, job.project().snap(Math.round(first + (t - first) * factor) + by));
                long last = refs.stream().mapToLong(r -> times.applyAsLong(r.time())).max().orElse(0);
                b = b.mapTimeline(job.timeline(), t -> t.withDuration(Math.max(t.duration(), last)));
                b = Keys.retime(b, job.timeline(), refs, times);
            }
            for (String id : pasted.ids()) {
                b = varied(b, id, n, random);
            }
            if (n[5] > 0 && i % 2 == 1) {
                for (String id : pasted.ids()) {
                    b = Placing.mirrored(b, id, b.rest(id).get(Properties.POSITION).x());
                }
            }
        }
        return new Written(b, 0);
    }

    private static double between(Random random) {
        return random.nextDouble() * 2 - 1;
    }

    /** A copy turned, sized, faded, coloured and led a little differently, with all its keys. */
    private static Board varied(Board board, String id, double[] n, Random random) {
        // drawn for every copy alike, so that one range changes nothing of the others
        double turn = n[6] * between(random), size = 1 + n[7] * between(random), faint = 1 - n[8] * random.nextDouble(), hue = n[9] * between(random);
        long way = random.nextLong();
        Board b = changed(board, id, Properties.ROTATION, r -> r + turn);
        b = changed(b, id, Properties.SCALE, s -> s.times(size));
        b = changed(b, id, Properties.OPACITY, o -> o * faint);
        if (hue != 0) {
            for (String part : Tree.ids(List.of(b.find(id)))) {
                b = changed(b, part, Properties.FILL, p -> turned(p, hue));
                b = changed(b, part, Properties.STROKE, p -> turned(p, hue));
            }
        }
        return n[11] == 0 ? b : bent(b, id, n[11], new Random(way));
    }

    private static <T> Board changed(Board board, String id, Property<T> p, UnaryOperator<T> change) {
        Board b = board.mapElement(id, e -> p.appliesTo(e) ? e.with(p, p.clamped(change.apply(e.rest().get(p)))) : e);
        for (Timeline t : board.timelines()) {
            b = b.mapTimeline(t.id(), x -> x.mapKeys(id, p, k -> k.with(p.clamped(change.apply(k.value())))));
        }
        return b;
    }

    /** Every key of the way elsewhere by a random offset; without keys the place itself. */
    private static Board bent(Board board, String id, double most, Random random) {
        UnaryOperator<Point> off = p -> p.plus(new Point(most * between(random), most * between(random)));
        boolean keyed = board.timelines().stream().anyMatch(t -> t.track(id, Properties.POSITION) != null);
        if (!keyed) {
            return board.mapElement(id, e -> e.with(Properties.POSITION, off.apply(e.rest().get(Properties.POSITION))));
        }
        Board b = board;
        for (Timeline t : board.timelines()) {
            b = b.mapTimeline(t.id(), x -> x.mapKeys(id, Properties.POSITION, k -> k.with(off.apply(k.value()))));
        }
        return b;
    }

    private static Paint turned(Paint p, double hue) {
        return switch (p) {
            case Color c -> turned(c, hue);
            case Gradient g -> g.withStops(g.stops().stream().map(s -> new Gradient.Stop(s.at(), turned(s.color(), hue))).toList());
        };
    }

    private static Color turned(Color c, double hue) {
        double[] hsl = ColorSpaces.hsl(c);
        return ColorSpaces.ofHsl(hsl[0] + hue, hsl[1], hsl[2], c.alpha());
    }
}
