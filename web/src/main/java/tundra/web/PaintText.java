package tundra.web;

import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import tundra.core.frame.ElementPaint;
import tundra.core.geometry.Point;
import tundra.core.geometry.Rect;
import tundra.core.model.Board;
import tundra.core.model.Color;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Gradient;
import tundra.core.model.GradientBlend;
import tundra.core.model.Paint;
import tundra.core.model.Properties;
import tundra.core.model.Property;
import tundra.core.model.Timeline;
import tundra.core.svg.GradientText;

/** Colours and gradients as CSS and SVG text. */
final class PaintText {
    private PaintText() {}

    /** CSS of a paint of an element's property. */
    static String css(Element e, Property<Paint> p, Paint paint) {
        return switch (paint) {
            case Color c -> c.visible() || e.rest().has(p) ? c.hex() : "none";
            case Gradient g -> "url(#" + id(e, g) + ")";
        };
    }

    /** Stands for the gradient's content, so that the same one is written once. */
    private static String id(Element e, Gradient g) {
        return PageId.of(e.id()) + "-g" + Integer.toHexString(g.hashCode());
    }

    /** The gradient that blends from a key of an element's property to the next. */
    static String blendId(Element e, Property<Paint> p, Timeline t, int key) {
        return PageId.of(e.id()) + "-k" + p.key() + "-" + PageId.of(t.id()) + "-" + key;
    }

    /** Whether the browser stretches an element's gradients with its shape: where its size changes. */
    static boolean byShape(Board board, Element e, Point box) {
        return Keyed.any(board, e.id(), Properties.SIZE) && e.content() instanceof Content.Shape s && fillsBox(s, e, box);
    }

    /** Whether the player stretches an element's gradients with its size, which the browser can't where the shape isn't its box. */
    static boolean byPlayer(Board board, Element e, Point box) {
        if (e.content() instanceof Content.Text) {
            return TextChannel.moves(board, e);
        }
        return Keyed.any(board, e.id(), Properties.SIZE) && e.content() instanceof Content.Shape && !byShape(board, e, box);
    }

    /** The gradients that an element rests with or is keyed to, by their ids on the page. */
    static Map<String, Gradient> gradients(Board board, Element e) {
        Set<Gradient> all = new LinkedHashSet<>();
        collect(board, e, Properties.FILL, all);
        collect(board, e, Properties.STROKE, all);
        var out = new LinkedHashMap<String, Gradient>();
        all.forEach(g -> out.put(id(e, g), g));
        return out;
    }

    /** The definitions of all gradients that an element rests with or is keyed to; empty when there are none. */
    static String definitions(Board board, Element e, Point box) {
        Map<String, Gradient> all = gradients(board, e);
        boolean byShape = byShape(board, e, box);
        Map<String, GradientBlend.Pair> blends = blends(board, e);
        if (all.isEmpty() && blends.isEmpty()) {
            return "";
        }
        var out = new StringBuilder("<defs>");
        all.forEach((id, g) -> GradientText.definition(out, id, g, byShape ? "objectBoundingBox" : "userSpaceOnUse",
                g.toBox(byShape ? new Point(1, 1) : box)));
        blends.forEach((id, pair) -> GradientText.definition(out, id, pair.from(), byShape ? "objectBoundingBox" : "userSpaceOnUse",
                pair.from().toBox(byShape ? new Point(1, 1) : box), true));
        return out.append("</defs>").toString();
    }

    /** The gradients that change from key to key, by their ids on the page. */
    static Map<String, GradientBlend.Pair> blends(Board board, Element e) {
        var out = new LinkedHashMap<String, GradientBlend.Pair>();
        for (Property<Paint> p : List.of(Properties.FILL, Properties.STROKE)) {
            for (Timeline t : board.timelines()) {
                var track = t.track(e.id(), p);
                for (int i = 0; track != null && i + 1 < track.keys().size(); i++) {
                    var pair = GradientBlend.pair(track.keys().get(i).value(), track.keys().get(i + 1).value());
                    if (pair != null) {
                        out.put(blendId(e, p, t, i), pair);
                    }
                }
            }
        }
        return out;
    }

    private static void collect(Board board, Element e, Property<Paint> p, Set<Gradient> all) {
        if (e.rest().get(p) instanceof Gradient g) {
            all.add(g);
        }
        for (Timeline t : board.timelines()) {
            var track = t.track(e.id(), p);
            if (track != null) {
                track.keys().forEach(k -> {
                    if (k.value() instanceof Gradient g) {
                        all.add(g);
                    }
                });
            }
        }
    }

    private static boolean fillsBox(Content.Shape s, Element e, Point box) {
        Rect r = ElementPaint.form(s, e.rest()).outline().bounds();
        return r != null && r.width() > 0 && r.height() > 0
                && Math.abs(r.x()) + Math.abs(r.y()) + Math.abs(r.width() - box.x()) + Math.abs(r.height() - box.y()) < 0.01;
    }
}
