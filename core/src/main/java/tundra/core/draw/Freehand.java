package tundra.core.draw;

import java.util.ArrayList;
import java.util.List;
import tundra.core.geometry.Contour;
import tundra.core.geometry.Node;
import tundra.core.geometry.Outline;
import tundra.core.geometry.Point;

/** A hand's line made smooth: trembling is averaged away, then few Béziers are fitted. */
public final class Freehand {
    /** At smoothing 0 the fitted curve keeps within this of the hand's points, in px. */
    private static final double FINEST = 0.35;
    /** What smoothing 1 adds to it. */
    private static final double COARSEST = 12;

    private Freehand() {}

    /** How far the fitted curve may lie off the averaged points, in px, for a smoothing of 0 to 1. */
    public static double tolerance(double smoothing) {
        double s = Math.max(0, Math.min(1, smoothing));
        return FINEST + COARSEST * s * s;
    }

    /** An open outline through the points of a pointer; closed when it comes back to its start within {@code join} px. */
    public static Outline line(List<Point> points, double smoothing, double join) {
        List<Point> calm = points;
        for (int i = 0; i < Math.round(smoothing * 8); i++) {
            calm = averaged(calm);
        }
        boolean closes = calm.size() > 8 && calm.getFirst().distance(calm.getLast()) <= join;
        if (closes) {
            calm = new ArrayList<>(calm);
            calm.set(calm.size() - 1, calm.getFirst());
        }
        Contour c = FitCurve.open(calm, tolerance(smoothing));
        return new Outline(List.of(closes && c.nodes().size() > 2 ? joined(c) : c));
    }

    private static List<Point> averaged(List<Point> p) {
        var out = new ArrayList<>(p);
        for (int i = 1; i + 1 < p.size(); i++) {
            out.set(i, p.get(i - 1).plus(p.get(i).times(2)).plus(p.get(i + 1)).times(0.25));
        }
        return out;
    }

    private static Contour joined(Contour c) {
        var nodes = new ArrayList<>(c.nodes());
        var last = nodes.removeLast();
        var first = nodes.getFirst();
        nodes.set(0, new Node(first.at(), last.in(), first.out(), false));
        return new Contour(nodes, true);
    }
}
