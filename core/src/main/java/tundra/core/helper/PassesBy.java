package tundra.core.helper;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import tundra.core.edit.Arrange;
import tundra.core.edit.Clip;
import tundra.core.geometry.Point;
import tundra.core.model.Board;
import tundra.core.model.Element;
import tundra.core.model.Properties;
import tundra.core.model.Tree;
import tundra.core.motion.Easing;
import tundra.core.motion.Key;
import tundra.core.motion.Track;

/**
 * Scenery that goes by at one speed for ever. What is as wide as the canvas goes on by its own width with a copy behind it, so that no seam is
 * seen; what is smaller leaves the canvas on one side and comes back on the other. Rounds are whole ones of the timeline, which loops.
 */
final class PassesBy implements Helper {
    /** Between the end of a round and the begin of the next, in µs. */
    private static final long JUMP = 1;
    private static final int MOST = 1000;

    @Override
    public String name() {
        return "Passes by";
    }

    @Override
    public String says() {
        return "Goes by evenly and comes round without a seam; of several layers those behind go slower.";
    }

    @Override
    public List<Param> params() {
        return List.of(Param.number("Once round in", "s", 0.1, 3600, 8), Param.choice("Goes", "to the left", "to the right", "up", "down"),
                Param.percent("Each layer behind slower by", 0, 0.9, 0.4));
    }

    @Override
    public Written apply(Job job, double[] n) {
        Board b = job.board();
        long whole = job.time().duration();
        boolean level = n[1] < 2;
        double sign = n[1] == 0 || n[1] == 2 ? -1 : 1;
        List<String> all = List.copyOf(Tree.ids(b.elements()));
        // from the front to the back
        List<String> layers = job.elements().stream().sorted(Comparator.comparingInt(all::indexOf).reversed()).toList();
        for (int i = 0; i < layers.size(); i++) {
            String id = layers.get(i);
            int rounds = (int) Math.max(1, Math.min(MOST, Math.round(whole / 1e6 / (n[0] / Math.pow(1 - n[2], i)))));
            Point box = job.box(id), scale = job.seen(id, Properties.SCALE), at = job.place(id);
            double canvas = level ? b.size().x() : b.size().y(), long1 = level ? box.x() * Math.abs(scale.x()) : box.y() * Math.abs(scale.y());
            Point along = level ? new Point(sign, 0) : new Point(0, sign);
            if (long1 >= canvas) {
                var copy = Clip.of(job.project(), b, List.of(id)).paste(b, along.times(-long1));
                b = beside(copy.board(), copy.ids().getFirst(), id);
                b = round(b, job, id, at, along, long1, 0, rounds);
                b = round(b, job, copy.ids().getFirst(), at.plus(along.times(-long1)), along, long1, 0, rounds);
            } else {
                // its middle goes from beyond one side to beyond the other; at the begin it is where it stands
                double way = canvas + long1, from = sign < 0 ? canvas + long1 / 2 : -long1 / 2, now = level ? at.x() : at.y();
                double share = Math.max(0, Math.min(1, (now - from) * sign / way));
                Point start = level ? new Point(from, at.y()) : new Point(at.x(), from);
                b = round(b, job, id, start, along, way, share, rounds);
            }
        }
        return new Written(b.mapTimeline(job.timeline(), t -> t.withLoop(true)), whole);
    }

    /** A copy among its original's neighbours, right in front of it. */
    private static Board beside(Board b, String copy, String id) {
        List<String> path = b.path(id);
        List<Element> siblings = path.size() == 1 ? b.elements() : b.find(path.get(path.size() - 2)).children();
        List<String> others = siblings.stream().map(Element::id).filter(x -> !x.equals(copy)).toList();
        return others.size() == siblings.size() ? b : Arrange.reorder(b, copy, others.indexOf(id) + 1);
    }

    /**
     * @param start where each round begins
     * @param share how far the first one is already
     */
    private static Board round(Board b, Job job, String id, Point start, Point along, double way, double share, int rounds) {
        long whole = job.time().duration();
        double period = (double) whole / rounds;
        Point end = start.plus(along.times(way));
        var keys = new ArrayList<Key<Point>>();
        keys.add(Job.key(0, start.plus(along.times(way * share)), Easing.LINEAR));
        for (int i = 1; i <= rounds; i++) {
            long turn = Math.round((i - share) * period);
            if (turn >= whole) {
                break;
            }
            if (turn > 2 * JUMP) {
                keys.add(Job.key(turn - JUMP, end, Easing.LINEAR));
                keys.add(Job.key(turn, start, Easing.LINEAR));
            }
        }
        keys.add(Job.key(whole, share == 0 ? end : start.plus(along.times(way * share)), Easing.LINEAR));
        var track = new Track<>(List.copyOf(keys));
        return b.mapTimeline(job.timeline(), t -> t.with(id, Properties.POSITION_X, null).with(id, Properties.POSITION_Y, null)
                .with(id, Properties.POSITION, track));
    }
}
