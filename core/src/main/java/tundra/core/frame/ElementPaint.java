package tundra.core.frame;

import java.util.ArrayList;
import java.util.List;
import tundra.core.geometry.Affine;
import tundra.core.geometry.Outline;
import tundra.core.geometry.Point;
import tundra.core.geometry.Rect;
import tundra.core.model.Content;
import tundra.core.model.Paint;
import tundra.core.model.Properties;
import tundra.core.model.Values;

/** What an element of given values paints. */
public final class ElementPaint {
    /** The least side of rectangles and ellipses, in px. */
    public static final double THIN = 0.001;

    private ElementPaint() {}

    /** The content with what its values say of it: the outline of a path, how a text is set, the size of a group. */
    public static Content resolved(Content content, Values v) {
        return switch (content) {
            case Content.Path p when v.has(Properties.OUTLINE) -> new Content.Path(v.get(Properties.OUTLINE), p.box(), p.evenOdd());
            case Content.Text t when v.has(Properties.LETTER_SPACING) -> t.with(v).withSpacing(v.get(Properties.LETTER_SPACING));
            default -> content.with(v);
        };
    }

    /** What hides parts of the children of an element of given values. */
    static List<Outline> clips(Content content, Values v) {
        if (content instanceof Content.Block b && b.kind().gallery()) {
            return List.of(Outline.rectangle(new Rect(0, 0, b.box().x(), b.box().y()), 0));
        }
        if (!(content instanceof Content.Group g)) {
            return List.of();
        }
        boolean cut = v.get(Properties.OVERFLOW).equals("clipped");
        if (!cut) {
            return g.clip() == null ? List.of() : List.of(g.clip());
        }
        Outline box = Outline.rectangle(new Rect(0, 0, g.box().x(), g.box().y()), 0);
        return g.clip() == null ? List.of(box) : List.of(g.clip(), box);
    }

    /** @param layout of a text; null for anything else */
    static Point box(Content content, Values v, TextLayout layout) {
        return switch (content) {
            case Content.Shape s -> v.get(Properties.SIZE);
            case Content.Picture p -> v.get(Properties.SIZE);
            case Content.Text t -> layout.box();
            case Content.Parent g -> g.box();
            case Content.Instance i -> i.box();
        };
    }

    static List<Mark> of(Content content, Values v, TextLayout layout) {
        return switch (content) {
            case Content.Shape s -> painted(form(s, v), v);
            case Content.Text t -> v.get(Properties.FILL).visible()
                    ? List.of(new Mark.Glyphs(t, layout, v.get(Properties.FILL))) : List.of();
            case Content.Picture p -> List.of(new Mark.Image(p.asset(), v.get(Properties.SIZE)));
            case Content.Block b -> BlockArt.ground(b);
            case Content.Parent g -> List.of();
            case Content.Instance i -> List.of();
        };
    }

    /** The form of a shape of given values, in its box. */
    public static Form form(Content.Shape shape, Values v) {
        Point size = v.get(Properties.SIZE);
        return switch (shape) {
            case Content.Rectangle r -> new Form.Box(thick(size), v.get(Properties.CORNER_RADIUS));
            case Content.Ellipse e -> new Form.Oval(thick(size));
            case Content.Polygon p -> new Form.Curve(Outline.star(size, p.points(), p.inner()));
            case Content.Path p -> new Form.Curve(stretched(p, size), p.evenOdd());
        };
    }

    /** A shape without any width is stroked as a hardly wider one is, which looks alike where it grows from nothing. */
    private static Point thick(Point size) {
        return size.x() >= THIN && size.y() >= THIN ? size : new Point(Math.max(THIN, size.x()), Math.max(THIN, size.y()));
    }

    /** A path's outline in a box of another size. A box without width or height is not stretched that way. */
    static Outline stretched(Content.Path p, Point size) {
        if (size.equals(p.box())) {
            return p.outline();
        }
        return p.outline().through(Affine.scale(ratio(size.x(), p.box().x()), ratio(size.y(), p.box().y())));
    }

    private static double ratio(double to, double from) {
        return from < 1e-9 ? 1 : to / from;
    }

    private static List<Mark> painted(Form form, Values v) {
        var out = new ArrayList<Mark>(2);
        Paint fill = v.get(Properties.FILL), stroke = v.get(Properties.STROKE);
        Point box = v.get(Properties.SIZE);
        if (fill.visible()) {
            out.add(new Mark.Fill(form, fill, box));
        }
        if (stroke.visible() && v.get(Properties.STROKE_WIDTH) > 0) {
            StrokeStyle.runs(form, v).forEach(r -> out.add(new Mark.Stroke(r.form(), stroke, box, r.style())));
        }
        return out;
    }
}
