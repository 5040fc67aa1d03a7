package tundra.core.helper;

import java.util.List;
import tundra.core.geometry.Point;
import tundra.core.model.Board;
import tundra.core.model.Content;
import tundra.core.model.Properties;
import tundra.core.model.Property;
import tundra.core.motion.Easing;
import tundra.core.motion.EasingText;

/** Comes into the picture, or leaves it. */
final class Appear implements Helper {
    private static final Easing SOFT = EasingText.parse("cubic-out"), AWAY = EasingText.parse("cubic-in");
    private final boolean leaves;

    Appear(boolean leaves) {
        this.leaves = leaves;
    }

    @Override
    public String name() {
        return leaves ? "Leave" : "Appear";
    }

    @Override
    public String says() {
        return leaves ? "Takes the element out of the picture from the playhead on." : "Brings the element into the picture, from the playhead on.";
    }

    @Override
    public List<Param> params() {
        return List.of(Param.choice("How", "fade", "rise", "pop", "slide", "draw the outline"), Param.number("Time", "s", 0.02, 60, 0.6),
                Param.number("Way", "px", -10_000, 10_000, 60));
    }

    @Override
    public Written apply(Job job, double[] n) {
        Board b = job.board();
        long from = job.at(), to = Math.max(from + 1, job.frame(n[1]));
        for (String id : job.elements()) {
            b = switch ((int) n[0]) {
                case 1 -> place(job, fade(job, b, id, from, to), id, new Point(0, n[2]), from, to);
                case 2 -> pair(b, job, id, Properties.SCALE, Point.ZERO, job.seen(id, Properties.SCALE), from, to,
                        EasingText.parse(leaves ? "back-in" : "back-out"));
                case 3 -> place(job, b, id, new Point(-job.place(id).x() - job.box(id).x() - Math.abs(n[2]), 0), from, to);
                case 4 -> b.find(id).content() instanceof Content.Shape
                        ? pair(b, job, id, Properties.REVEAL, new Point(0, 0), new Point(0, 1), from, to, EasingText.parse("sine-both")) : fade(job, b, id, from, to);
                default -> fade(job, b, id, from, to);
            };
        }
        return new Written(b, to - from);
    }

    private Board fade(Job job, Board b, String id, long from, long to) {
        return pair(b, job, id, Properties.OPACITY, 0.0, job.seen(id, Properties.OPACITY), from, to, leaves ? AWAY : SOFT);
    }

    private Board place(Job job, Board board, String id, Point by, long from, long to) {
        Point home = job.place(id);
        Board b = board;
        if (by.x() == 0 || tundra.core.edit.SplitPosition.is(job.time(), id)) {
            b = job.apart(b, id);
            b = pair(b, job, id, Properties.POSITION_Y, home.y() + by.y(), home.y(), from, to, leaves ? AWAY : SOFT);
            return by.x() == 0 ? b : pair(b, job, id, Properties.POSITION_X, home.x() + by.x(), home.x(), from, to, leaves ? AWAY : SOFT);
        }
        return pair(b, job, id, Properties.POSITION, home.plus(by), home, from, to, leaves ? AWAY : SOFT);
    }

    private <T> Board pair(Board b, Job job, String id, Property<T> p, T away, T there, long from, long to, Easing easing) {
        T first = leaves ? there : away, last = leaves ? away : there;
        return Job.write(b, job.timeline(), id, p, List.of(Job.key(from, first, easing), Job.key(to, last, Easing.LINEAR)));
    }
}
