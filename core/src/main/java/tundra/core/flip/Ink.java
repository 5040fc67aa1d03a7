package tundra.core.flip;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;
import java.util.function.Supplier;
import tundra.core.draw.Combine;
import tundra.core.draw.StrokeOutline;
import tundra.core.frame.Form;
import tundra.core.frame.FrameNode;
import tundra.core.frame.Mark;
import tundra.core.geometry.Affine;
import tundra.core.geometry.Moments;
import tundra.core.geometry.Outline;
import tundra.core.geometry.Point;
import tundra.core.geometry.Rect;

/**
 * What a drawing covers, in the coordinates of its flipbook.
 *
 * @param bounds around fills, strokes, letters and pictures; null when nothing can be seen
 * @param area in px²: all fills together, counted once where they overlap, and pictures by their opacity; that of the strokes where
 *     nothing is filled
 * @param centre the centre of that area
 */
public record Ink(Rect bounds, double area, Point centre) {
    public static final Ink NONE = new Ink(null, 0, Point.ZERO);

    public boolean empty() {
        return bounds == null;
    }

    /**
     * @param drawing as it stands in its flipbook
     * @param pictures what of a picture can be seen, by its hash
     */
    public static Ink of(FrameNode drawing, Function<String, PictureInk> pictures) {
        var c = new Collector(pictures);
        c.node(drawing, Affine.IDENTITY, null);
        return c.ink();
    }

    /** By how much an area changed, as a fraction of the one before; 0 where there was none. */
    public static double change(Ink before, Ink now) {
        return before.area <= 0 ? 0 : now.area / before.area - 1;
    }

    private static final class Collector {
        private final Function<String, PictureInk> pictures;
        private final List<Outline> fills = new ArrayList<>();
        /** Worked out only where nothing is filled. */
        private final List<Supplier<Outline>> strokes = new ArrayList<>();
        private Rect bounds;
        private double area;
        private Point moment = Point.ZERO;

        Collector(Function<String, PictureInk> pictures) {
            this.pictures = pictures;
        }

        void node(FrameNode n, Affine outer, Outline clip) {
            if (n.opacity() <= 0) {
                return;
            }
            Affine m = outer.times(n.toParent());
            for (Mark mark : n.marks()) {
                mark(mark, m, clip);
            }
            Outline inner = clip;
            for (Outline c : n.clips()) {
                Outline own = c.through(m);
                inner = inner == null ? own : Combine.of(Combine.Operation.INTERSECT, List.of(inner, own));
            }
            for (FrameNode c : n.children()) {
                node(c, m, inner);
            }
        }

        private void mark(Mark mark, Affine m, Outline clip) {
            switch (mark) {
                case Mark.Fill f -> {
                    Outline o = f.form() instanceof Form.Curve c && c.evenOdd() ? Combine.fromEvenOdd(c.outline()) : f.form().outline();
                    add(o.through(m), clip);
                }
                case Mark.Stroke s -> stroke(s, m, clip);
                case Mark.Glyphs g -> add(Outline.rectangle(new Rect(0, 0, g.layout().box().x(), g.layout().box().y()), 0).through(m), clip);
                case Mark.Image i -> picture(i, m);
                case Mark.Film f -> add(Outline.rectangle(new Rect(0, 0, f.size().x(), f.size().y()), 0).through(m), clip);
            }
        }

        private void stroke(Mark.Stroke s, Affine m, Outline clip) {
            Supplier<Outline> covered = () -> seen(StrokeOutline.of(s.form().outline(), s.style()).through(m), clip);
            Rect b;
            if (clip == null && m.b() == 0 && m.c() == 0) {
                Rect own = StrokeOutline.bounds(s.form().outline(), s.style());
                b = own == null ? null : m.bounds(own);
            } else {
                b = covered.get().bounds();
            }
            if (b != null) {
                bounds = b.union(bounds);
                strokes.add(covered);
            }
        }

        private static Outline seen(Outline o, Outline clip) {
            return clip == null ? o : Combine.of(Combine.Operation.INTERSECT, List.of(o, clip));
        }

        private void add(Outline o, Outline clip) {
            Outline seen = seen(o, clip);
            Rect b = seen.bounds();
            if (b != null) {
                bounds = b.union(bounds);
                fills.add(seen);
            }
        }

        private void picture(Mark.Image i, Affine m) {
            PictureInk ink = pictures.apply(i.asset());
            if (ink == null || ink.bounds() == null) {
                return;
            }
            Rect b = ink.bounds();
            double w = i.size().x(), h = i.size().y();
            bounds = m.bounds(new Rect(b.x() * w, b.y() * h, b.width() * w, b.height() * h)).union(bounds);
            double a = ink.area() * w * h * Math.abs(m.determinant());
            area += a;
            moment = moment.plus(m.apply(ink.centre().times(new Point(w, h))).times(a));
        }

        Ink ink() {
            if (bounds == null) {
                return NONE;
            }
            List<Outline> counted = fills.isEmpty() && area == 0 ? strokes.stream().map(Supplier::get).toList() : fills;
            if (!counted.isEmpty()) {
                Moments all = Moments.of(Combine.of(Combine.Operation.UNION, counted));
                area += all.area();
                moment = moment.plus(all.centre().times(all.area()));
            }
            return new Ink(bounds, area, area == 0 ? bounds.centre() : moment.times(1 / area));
        }
    }
}
