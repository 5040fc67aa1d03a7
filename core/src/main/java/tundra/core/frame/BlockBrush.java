package tundra.core.frame;

import java.util.ArrayList;
import java.util.List;
import tundra.core.geometry.Affine;
import tundra.core.geometry.Outline;
import tundra.core.geometry.Point;
import tundra.core.geometry.Rect;
import tundra.core.model.Color;
import tundra.core.model.Content;
import tundra.core.model.Slot;

/** Puts together the picture of a block, in its box. What it makes has no ids: it belongs to the block. */
final class BlockBrush {
    private final TextMeasurer measure;
    private final List<FrameNode> out = new ArrayList<>();

    BlockBrush(TextMeasurer measure) {
        this.measure = measure;
    }

    List<FrameNode> done() {
        return out;
    }

    static Color color(Content.Block b, Slot s) {
        return Color.parse(b.text(s));
    }

    void node(Affine at, Point box, List<Mark> marks) {
        out.add(new FrameNode(null, false, at, 1, box, marks, List.of(), List.of()));
    }

    void clipped(List<FrameNode> inside, Outline clip, Point box) {
        out.add(new FrameNode(null, false, Affine.IDENTITY, 1, box, List.of(), inside, List.of(clip)));
    }

    /** A rectangle with round corners; its stroke lies inside, as the border of a box does on the page. */
    void rect(Rect r, double radius, Color fill, Color stroke, double width) {
        var marks = new ArrayList<Mark>();
        Point box = new Point(r.width(), r.height());
        if (fill != null && fill.visible()) {
            marks.add(new Mark.Fill(new Form.Box(box, radius), fill, box));
        }
        node(Affine.translate(r.x(), r.y()), box, marks);
        if (stroke != null && stroke.visible() && width > 0) {
            Point inner = new Point(Math.max(0.001, r.width() - width), Math.max(0.001, r.height() - width));
            node(Affine.translate(r.x() + width / 2, r.y() + width / 2), inner,
                    List.of(new Mark.Stroke(new Form.Box(inner, Math.max(0, radius - width / 2)), stroke, inner, line(width))));
        }
    }

    void circle(Point middle, double radius, Color fill) {
        Point box = new Point(2 * radius, 2 * radius);
        node(Affine.translate(middle.x() - radius, middle.y() - radius), box, List.of(new Mark.Fill(new Form.Oval(box), fill, box)));
    }

    void fill(Outline o, Color fill, Point box) {
        node(Affine.IDENTITY, box, List.of(new Mark.Fill(new Form.Curve(o, true), fill, box)));
    }

    void stroke(Outline o, Color stroke, double width, double dash, Point box) {
        node(Affine.IDENTITY, box,
                List.of(new Mark.Stroke(new Form.Curve(o), stroke, box, new StrokeStyle(width, "round", "round", dash > 0 ? List.of(dash, dash)
                : List.of(), 0))));
    }

    static StrokeStyle line(double width) {
        return new StrokeStyle(width, "butt", "miter", List.of(), 0);
    }

    /**
     * Words whose first line box begins at a place.
     *
     * @param wrap the width at which lines break and by which they are aligned; 0 for none
     */
    TextLayout text(String words, String family, int weight, double size, double lineHeight, Color ink, Point at, double wrap, Content.Align align) {
        var t = new Content.Text(words, family, weight, size, align, lineHeight, 0, wrap);
        TextLayout layout = TextLayout.of(t, measure);
        if (!words.isEmpty()) {
            node(Affine.translate(at.x(), at.y()), layout.box(), List.of(new Mark.Glyphs(t, layout, ink)));
        }
        return layout;
    }
}
