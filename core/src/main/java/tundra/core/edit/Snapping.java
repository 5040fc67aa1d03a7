package tundra.core.edit;

import java.util.ArrayList;
import java.util.List;
import tundra.core.geometry.Point;
import tundra.core.geometry.Rect;

/** Snaps a moving box to the edges and centre lines of the canvas. */
public final class Snapping {
    private Snapping() {}

    /** A line that was snapped to: at x (vertical) or at y, in canvas px. */
    public record Line(boolean vertical, double at) {}

    /** The correction to add to the move, and the lines that it touches. */
    public record Snap(Point by, List<Line> lines) {}

    /** @param within how near in canvas px counts */
    public static Snap of(Rect moving, Point canvas, double within) {
        double dx = nearest(moving.x(), moving.width(), canvas.x(), within);
        double dy = nearest(moving.y(), moving.height(), canvas.y(), within);
        Point by = new Point(Double.isNaN(dx) ? 0 : dx, Double.isNaN(dy) ? 0 : dy);
        var lines = new ArrayList<Line>();
        if (!Double.isNaN(dx)) {
            touched(moving.x() + dx, moving.width(), canvas.x()).forEach(at -> lines.add(new Line(true, at)));
        }
        if (!Double.isNaN(dy)) {
            touched(moving.y() + dy, moving.height(), canvas.y()).forEach(at -> lines.add(new Line(false, at)));
        }
        return new Snap(by, lines);
    }

    private static double nearest(double at, double length, double canvas, double within) {
        double best = Double.NaN;
        for (double own : new double[] {at, at + length / 2, at + length}) {
            for (double line : new double[] {0, canvas / 2, canvas}) {
                double d = line - own;
                if (Math.abs(d) <= within && (Double.isNaN(best) || Math.abs(d) < Math.abs(best))) {
                    best = d;
                }
            }
        }
        return best;
    }

    private static List<Double> touched(double at, double length, double canvas) {
        var out = new ArrayList<Double>();
        for (double line : new double[] {0, canvas / 2, canvas}) {
            if (Math.abs(at - line) < 1e-6 || Math.abs(at + length / 2 - line) < 1e-6 || Math.abs(at + length - line) < 1e-6) {
                out.add(line);
            }
        }
        return out;
    }
}
