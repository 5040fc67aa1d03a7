package tundra.core.helper;

import java.util.ArrayList;
import java.util.List;
import tundra.core.edit.Placing;
import tundra.core.edit.Resting;
import tundra.core.geometry.Affine;
import tundra.core.geometry.Point;
import tundra.core.model.Board;
import tundra.core.model.Properties;
import tundra.core.motion.Easing;
import tundra.core.motion.FamilyEasing.Direction;
import tundra.core.motion.FamilyEasing.Family;
import tundra.core.motion.FamilyEasing;
import tundra.core.motion.Key;

/**
 * Falls from a height onto the floor where the element is and bounces until it lies still. A fall from h under gravity g takes
 * √(2h/g), and a ball that keeps the fraction k of its energy rises to k·h; each half of an arc is a parabola, which is what
 * the quadratic easings are. It is stretched while it falls to the floor and squashed from the contact on. Contacts may be brought to
 * frames; the heights then follow from the times.
 */
final class Bounce implements Helper {
    /** Below this height, in px, it lies still. */
    private static final double STILL = 0.5;
    private static final int MOST = 60;
    /** For how long before and after a contact it is not what it was, in s, at most. */
    private static final double REACH = 0.12;
    private static final Easing FALL = new FamilyEasing(Family.QUAD, Direction.IN), RISE = new FamilyEasing(Family.QUAD, Direction.OUT);

    @Override
    public String name() {
        return "Bounce";
    }

    @Override
    public String says() {
        return "Falls and bounces, each arc as gravity has it.";
    }

    @Override
    public List<Param> params() {
        return List.of(Param.number("Height", "px", 1, 10_000, 200), Param.percent("Height kept", 0, 0.98, 0.55),
                Param.number("Bounces, 0 for all", "", 0, MOST, 0), Param.number("Gravity", "px/s²", 50, 100_000, 2400),
                Param.percent("Squash and stretch", 0, 0.8, 0.2), Param.number("Travel", "px", -10_000, 10_000, 0),
                Param.choice("It stands now", "on the floor", "at the top"), Param.choice("Contacts", "as gravity has them", "on frames"));
    }

    /** A height that it falls from, and the seconds of the fall. */
    record Arc(double height, double seconds) {}

    static List<Arc> arcs(double height, double kept, int bounces, double gravity) {
        var out = new ArrayList<Arc>();
        int most = bounces > 0 ? bounces + 1 : MOST;
        for (double h = height; out.size() < most && (h > STILL || out.isEmpty()); h *= kept) {
            out.add(new Arc(h, Math.sqrt(2 * h / gravity)));
        }
        return out;
    }

    /** The arcs between contacts that stand on frames; one too short for a frame is the last. */
    private static List<Arc> onFrames(Job job, List<Arc> arcs, double gravity) {
        var out = new ArrayList<Arc>();
        double t = 0;
        long before = job.at();
        for (int i = 0; i < arcs.size(); i++) {
            t += i == 0 ? arcs.get(i).seconds() : 2 * arcs.get(i).seconds();
            long contact = job.frame(t);
            double seconds = (contact - before) / 1e6 / (i == 0 ? 1 : 2);
            if (seconds <= 0 && i > 0) {
                break;
            }
            double fall = Math.max(seconds, 1e-3);
            out.add(new Arc(gravity * fall * fall / 2, fall));
            before = contact;
        }
        return out;
    }

    @Override
    public Written apply(Job job, double[] n) {
        Board b = job.board();
        List<Arc> arcs = arcs(n[0], n[1], (int) Math.round(n[2]), n[3]);
        if (n[7] > 0) {
            arcs = onFrames(job, arcs, n[3]);
        }
        double whole = arcs.stream().mapToDouble(a -> 2 * a.seconds).sum() - arcs.getFirst().seconds;
        for (String id : job.elements()) {
            b = one(job, job.apart(b, id), id, arcs, n[4], n[5], n[6] > 0 ? arcs.getFirst().height() : 0, whole);
        }
        return new Written(b, Math.round(whole * 1e6));
    }

    private static Board one(Job job, Board board, String id, List<Arc> arcs, double squash, double travel, double below, double whole) {
        Point floor = job.place(id).plus(new Point(0, below));
        var y = new ArrayList<Key<Double>>();
        var scale = new ArrayList<Key<Point>>();
        Point size = job.seen(id, Properties.SCALE);
        double t = 0;
        y.add(Job.key(time(job, 0), floor.y() - arcs.getFirst().height(), FALL));
        scale.add(Job.key(time(job, 0), size, Easing.LINEAR));
        for (int i = 0; i < arcs.size(); i++) {
            Arc a = arcs.get(i);
            t += i == 0 ? a.seconds() : 2 * a.seconds();
            if (i > 0) {
                y.add(Job.key(time(job, t - a.seconds()), floor.y() - a.height(), FALL));
            }
            y.add(Job.key(time(job, t), floor.y(), i + 1 < arcs.size() ? RISE : Easing.LINEAR));
            // as fast as it comes down, as flat it is: speed goes with the root of the height
            double flat = squash * Math.sqrt(a.height() / arcs.getFirst().height());
            double half = Math.min(REACH, (i + 1 < arcs.size() ? arcs.get(i + 1).seconds() : a.seconds()) / 2);
            if (flat > 0.005 && time(job, t - half) > scale.getLast().time()) {
                contact(job, scale, size, flat, t, half);
            }
        }
        Board b = squash > 0 ? onFeet(job, board, id) : board;
        double feet = squash > 0 ? Resting.of(b, id, Properties.POSITION).y() - Resting.of(board, id, Properties.POSITION).y() : 0;
        b = Job.write(b, job.timeline(), id, Properties.POSITION_Y, y.stream().map(k -> k.<Double>with(k.value() + feet)).toList());
        if (squash > 0) {
            b = Job.write(b, job.timeline(), id, Properties.SCALE, scale);
        }
        if (travel != 0) {
            double x = Resting.of(b, id, Properties.POSITION).x() - Resting.of(board, id, Properties.POSITION).x() + floor.x();
            b = Job.write(b, job.timeline(), id, Properties.POSITION_X,
                    List.of(Job.key(time(job, 0), x, Easing.LINEAR), Job.key(time(job, whole), x + travel, Easing.LINEAR)));
        }
        return b;
    }

    /** Longer up to the contact, flat from it on, with the area kept; then back to what it was. */
    private static void contact(Job job, List<Key<Point>> scale, Point size, double flat, double t, double half) {
        scale.add(Job.key(time(job, t - half), size, FALL));
        long stretched = time(job, t - Math.min(half / 2, 1.0 / job.project().frameRate()));
        if (stretched > scale.getLast().time() && stretched < time(job, t)) {
            scale.add(Job.key(stretched, size.times(new Point(1 - flat / 2, 1 / (1 - flat / 2))), Easing.HOLD));
        }
        scale.add(Job.key(time(job, t), size.times(new Point(1 / (1 - flat), 1 - flat)), RISE));
        scale.add(Job.key(time(job, t + half), size, Easing.LINEAR));
    }

    /** The pivot at the middle of the lower edge, so that what is squashed stays on the floor. */
    private static Board onFeet(Job job, Board b, String id) {
        Point feet = new Point(0.5, 1), box = job.box(id);
        if (job.time().track(id, Properties.PIVOT) != null || b.rest(id).get(Properties.PIVOT).equals(feet)) {
            return b;
        }
        Affine m = Affine.turned(job.seen(id, Properties.ROTATION), job.seen(id, Properties.SCALE), job.seen(id, Properties.SKEW));
        return Placing.pivot(b, id, feet, m, box);
    }

    private static long time(Job job, double seconds) {
        return job.at() + Math.round(seconds * 1e6);
    }
}
