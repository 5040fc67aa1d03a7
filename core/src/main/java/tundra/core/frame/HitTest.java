package tundra.core.frame;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import tundra.core.geometry.Affine;
import tundra.core.geometry.Inside;
import tundra.core.geometry.Outline;
import tundra.core.geometry.Point;
import tundra.core.geometry.Rect;

/** Finds what lies under a point or in a rectangle of the canvas. Locked elements are passed over. */
public final class HitTest {
    private HitTest() {}

    /** The ids from the outermost group to the element that is hit, for everything under the point, topmost first. */
    public static List<List<String>> under(Frame frame, Point p, double tolerance) {
        var out = new ArrayList<List<String>>();
        collect(frame.nodes(), Affine.IDENTITY, p, tolerance, List.of(), out);
        return out;
    }

    private static void collect(List<FrameNode> nodes, Affine outer, Point p, double tolerance, List<String> path, List<List<String>> out) {
        for (FrameNode n : nodes.reversed()) {
            if (n.locked()) {
                continue;
            }
            Affine m = outer.times(n.toParent());
            if (n.reach() == null || !m.bounds(n.reach()).grow(tolerance).contains(p)) {
                continue;
            }
            var here = new ArrayList<>(path);
            if (n.id() != null) {
                here.add(n.id());
            }
            if (n.motif() != null) {
                // what lies in it is no part of this board
                if (!within(n, m, p, tolerance).isEmpty()) {
                    out.add(here);
                }
                continue;
            }
            if (n.clips().isEmpty() || m.invertible() && n.clips().stream().allMatch(c -> Inside.filled(c, m.inverse().apply(p)))) {
                collect(n.children(), m, p, tolerance, here, out);
            }
            if (n.id() != null && m.invertible() && hit(n, m.inverse().apply(p), tolerance / Math.sqrt(Math.abs(m.determinant())))) {
                out.add(here);
            }
        }
    }

    private static List<List<String>> within(FrameNode n, Affine m, Point p, double tolerance) {
        var inside = new ArrayList<List<String>>();
        collect(n.children(), m, p, tolerance, List.of(), inside);
        return inside;
    }

    private static boolean hit(FrameNode n, Point p, double tolerance) {
        return n.marks().stream().anyMatch(mark -> switch (mark) {
            case Mark.Fill f -> near(f.form(), p, tolerance)
                    && ((f.form() instanceof Form.Curve c && c.evenOdd() ? Inside.evenOdd(c.outline(), p) : Inside.filled(f.form().outline(), p))
                    || Inside.distance(f.form().outline(), p) <= tolerance);
            case Mark.Stroke s -> near(s.form(), p, tolerance + s.style().width())
                    && Inside.distance(s.form().outline(), p) <= s.style().width() / 2 + tolerance;
            case Mark.Film f -> new Rect(0, 0, f.size().x(), f.size().y()).grow(tolerance).contains(p);
            case Mark.Image i -> new Rect(0, 0, i.size().x(), i.size().y()).grow(tolerance).contains(p);
            case Mark.Glyphs g -> new Rect(0, 0, n.box().x(), n.box().y()).grow(tolerance).contains(p);
        });
    }

    private static boolean near(Form form, Point p, double margin) {
        Outline o = form.outline();
        Rect b = o.bounds();
        return b != null && b.grow(margin).contains(p);
    }

    /** Of what stands directly in a group (null: on the canvas) the elements whose boxes meet a rectangle of the canvas. */
    public static Set<String> meeting(Frame frame, String group, Rect area) {
        var out = new TreeSet<String>();
        for (Frame.Placed p : frame.level(group)) {
            if (p.node().id() != null && !p.node().locked() && p.bounds().intersects(area)) {
                out.add(p.node().id());
            }
        }
        return out;
    }
}
