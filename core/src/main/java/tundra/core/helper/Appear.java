package tundra.core.helper;

import java.util.List;
import tundra.core.edit.SplitPosition;
import tundra.core.geometry.Point;
import tundra.core.geometry.Rect;
import tundra.core.model.Board;
import tundra.core.model.Content;
import tundra.core.model.Properties;
import tundra.core.model.Property;
import tundra.core.motion.Easing;
import tundra.core.motion.EasingText;

/** Comes into the picture, or leaves it. */
final class Appear implements Helper {
    private static final Easing SOFT = EasingText.parse("cubic-out"), AWAY = EasingText.parse("cubic-in");
    private static final List<Point> SIDES = List.of(new Point(-1, 0), new Point(1, 0), new Point(0, -1), new Point(0, 1));
    private static final int OUTLINE = 4;
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
                Param.number("Way", "px", -10_000, 10_000, 60), Param.choice(leaves ? "To the" : "From the", "left", "right", "top", "bottom"));
    }

    /** An outline can only be drawn where there is one to see. */
    @Override
    public boolean offers(Job job, int param, int choice) {
        return param != 0 || choice != OUTLINE || job.elements().stream().anyMatch(id -> outlined(job, id));
    }

    private static boolean outlined(Job job, String id) {
        return job.board().find(id).content() instanceof Content.Shape && job.seen(id, Properties.STROKE).visible()
                && job.seen(id, Properties.STROKE_WIDTH) > 0;
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
                case 3 -> slide(job, b, id, SIDES.get((int) n[3]).times(n[2]), from, to);
                case OUTLINE -> outlined(job, id)
                        ? pair(b, job, id, Properties.REVEAL, new Point(0, 0), new Point(0, 1), from, to, EasingText.parse("sine-both"))
                        : fade(job, b, id, from, to);
                default -> fade(job, b, id, from, to);
            };
        }
        return new Written(b, to - from);
    }

    /** By a way from a side; it fades as well where the way begins within the picture, so that nothing is suddenly there. */
    private Board slide(Job job, Board b, String id, Point by, long from, long to) {
        Board placed = place(job, b, id, by, from, to);
        Rect away = job.bounds(placed, id, leaves ? to : from), picture = new Rect(0, 0, b.size().x(), b.size().y());
        return away != null && away.intersects(picture) ? fade(job, placed, id, from, to) : placed;
    }

    private Board fade(Job job, Board b, String id, long from, long to) {
        return pair(b, job, id, Properties.OPACITY, 0.0, job.seen(id, Properties.OPACITY), from, to, leaves ? AWAY : SOFT);
    }

    private Board place(Job job, Board board, String id, Point by, long from, long to) {
        Point home = job.place(id);
        Board b = board;
        if (by.x() == 0 || SplitPosition.is(job.time(), id)) {
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
