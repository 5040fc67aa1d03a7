package tundra.core.frame;

import java.util.ArrayList;
import java.util.List;
import tundra.core.geometry.Contour;
import tundra.core.geometry.Cubic;
import tundra.core.geometry.Outline;
import tundra.core.geometry.Point;
import tundra.core.model.Properties;
import tundra.core.model.Values;

/**
 * How a stroke runs along an outline.
 *
 * @param width in px, half on each side
 * @param ends butt, round or square
 * @param joins miter (to a limit of 4), round or bevel
 * @param pattern lengths of dashes and gaps in turn, in px; empty draws the stroke through
 * @param offset where in the pattern the outline starts, in px
 */
public record StrokeStyle(double width, String ends, String joins, List<Double> pattern, double offset) {
    public static final double MITER_LIMIT = 4;

    /** Beyond this many dashes of a revealed outline the dashes run through. */
    private static final int MAX_DASHES = 2000;

    public StrokeStyle {
        pattern = List.copyOf(pattern);
    }

    /** A part of an outline and the style of its stroke. */
    public record Run(Form form, StrokeStyle style) {}

    /** How the stroke of given values runs: in one piece, or contour by contour where each is revealed by its own length. */
    public static List<Run> runs(Form form, Values v) {
        double dash = v.get(Properties.DASH), gap = v.get(Properties.GAP);
        Point reveal = v.get(Properties.REVEAL);
        boolean all = reveal.x() <= 0 && reveal.y() >= 1;
        if (all) {
            List<Double> pattern = dash > 0 && gap > 0 ? List.of(dash, gap) : List.of();
            return List.of(new Run(form, style(v, pattern, pattern.isEmpty() ? 0 : v.get(Properties.DASH_OFFSET))));
        }
        if (reveal.x() >= reveal.y()) {
            return List.of();
        }
        List<Contour> contours = form.outline().contours();
        var out = new ArrayList<Run>();
        for (Contour c : contours) {
            double length = length(c);
            if (length > 0) {
                Form one = contours.size() == 1 ? form : new Form.Curve(new Outline(List.of(c)));
                StrokeStyle style = revealed(v, length, reveal, dash, gap);
                if (style != null) {
                    out.add(new Run(one, style));
                }
            }
        }
        return out;
    }

    private static StrokeStyle style(Values v, List<Double> pattern, double offset) {
        return new StrokeStyle(v.get(Properties.STROKE_WIDTH), v.get(Properties.STROKE_ENDS), v.get(Properties.STROKE_JOINS), pattern, offset);
    }

    /** Null where only a gap is revealed. */
    private static StrokeStyle revealed(Values v, double length, Point reveal, double dash, double gap) {
        double from = reveal.x() * length, to = reveal.y() * length;
        double period = dash + gap;
        if (dash <= 0 || gap <= 0 || (to - from) / period > MAX_DASHES) {
            return style(v, List.of(to - from, length + 1), -from);
        }
        // the dashes that lie between as one long pattern, which starts where the first of them does
        var pattern = new ArrayList<Double>();
        double first = from, at = from;
        double phase = v.get(Properties.DASH_OFFSET) % period;
        for (double s = Math.floor((from + phase) / period) * period - phase; s < to; s += period) {
            double a = Math.max(from, s), b = Math.min(to, s + dash);
            if (b > a) {
                if (pattern.isEmpty()) {
                    first = a;
                } else {
                    pattern.add(a - at);
                }
                pattern.add(b - a);
                at = b;
            }
        }
        if (pattern.isEmpty()) {
            return null;
        }
        pattern.add(length + 1);
        return style(v, pattern, -first);
    }

    static double length(Contour c) {
        return c.segments().stream().mapToDouble((Cubic s) -> s.length(0, 1)).sum();
    }

    /** How far paint may lie from the outline. */
    public double reach() {
        return width / 2 * (joins.equals("miter") ? MITER_LIMIT : ends.equals("square") ? Math.sqrt(2) : 1);
    }

    /** The pattern as plain numbers. */
    public float[] intervals() {
        float[] out = new float[pattern.size()];
        for (int i = 0; i < out.length; i++) {
            out[i] = pattern.get(i).floatValue();
        }
        return out;
    }
}
