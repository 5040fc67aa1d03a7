package tundra.core.frame;

import java.util.ArrayList;
import java.util.List;
import tundra.core.geometry.Affine;
import tundra.core.geometry.Outline;
import tundra.core.geometry.Point;
import tundra.core.model.Color;
import tundra.core.model.Content;
import tundra.core.model.Properties;
import tundra.core.model.Values;

/** What an element of given values paints. */
final class Marks {
    private Marks() {}

    static Point box(Content content, Values v, TextMeasurer measure) {
        return switch (content) {
            case Content.Shape s -> v.get(Properties.SIZE);
            case Content.Picture p -> v.get(Properties.SIZE);
            case Content.Text t -> TextLayout.of(t, measure).box();
            case Content.Group g -> g.box();
        };
    }

    static List<Mark> of(Content content, Values v, TextMeasurer measure) {
        return switch (content) {
            case Content.Rectangle r -> painted(new Form.Box(v.get(Properties.SIZE), v.get(Properties.CORNER_RADIUS)), v);
            case Content.Ellipse e -> painted(new Form.Oval(v.get(Properties.SIZE)), v);
            case Content.Path p -> painted(new Form.Curve(stretched(p, v.get(Properties.SIZE))), v);
            case Content.Text t -> v.get(Properties.FILL).visible()
                    ? List.of(new Mark.Glyphs(t, TextLayout.of(t, measure), v.get(Properties.FILL))) : List.of();
            case Content.Picture p -> List.of(new Mark.Image(p.asset(), v.get(Properties.SIZE)));
            case Content.Group g -> List.of();
        };
    }

    /** A path's outline in a box of another size. A box without width or height is not stretched that way. */
    static Outline stretched(Content.Path p, Point size) {
        if (size.equals(p.box())) {
            return p.outline();
        }
        return p.outline().through(Affine.scale(ratio(size.x(), p.box().x()), ratio(size.y(), p.box().y())));
    }

    private static double ratio(double to, double from) {
        return from == 0 ? 1 : to / from;
    }

    private static List<Mark> painted(Form form, Values v) {
        var out = new ArrayList<Mark>(2);
        Color fill = v.get(Properties.FILL), stroke = v.get(Properties.STROKE);
        double width = v.get(Properties.STROKE_WIDTH);
        if (fill.visible()) {
            out.add(new Mark.Fill(form, fill));
        }
        if (stroke.visible() && width > 0) {
            out.add(new Mark.Stroke(form, stroke, width));
        }
        return out;
    }
}
