package tundra.web;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.function.Function;
import tundra.core.edit.Draggings;
import tundra.core.geometry.Numbers;
import tundra.core.geometry.Point;
import tundra.core.model.Board;
import tundra.core.model.Color;
import tundra.core.model.Properties;
import tundra.core.model.Property;
import tundra.core.model.Span;
import tundra.core.model.Timeline;
import tundra.core.motion.Track;

/**
 * The table of channels: what each property is on the page. Resting looks and keys both come from it, in this order, so that what depends
 * on something else comes after it.
 */
final class Channels {
    static final List<Channel> TABLE = List.of(
            new PlaceChannel(),
            new TurnChannel(),
            new ValueChannel<>(Properties.SCALE, outer(), "scale", v -> CssText.pair(v, 6, "")),
            new ValueChannel<>(Properties.SKEW, outer(), "transform", Channels::skew),
            new OpacityChannel(),
            new PivotChannel(),
            new WordChannel(Properties.SHOWN, outer(), "visibility", v -> v.equals("yes") ? "inherit" : "hidden"),
            new WordChannel(Properties.OVERFLOW, e -> List.of(e.box().box()), "overflow", v -> v.equals("clipped") ? "clip" : "visible"),
            new WordChannel(Properties.CURSOR, outer(), "cursor", v -> v),
            new TouchChannel(),
            new HeadingChannel(),
            new WordChannel(Properties.BLEND, Channels::blended, "mixBlendMode", v -> v),
            new WordChannel(Properties.ISOLATE, outer(), "isolation", v -> v.equals("yes") ? "isolate" : "auto"),
            new FilterChannel(),
            new PaintChannel(Properties.FILL, "fill", e -> e.box().shape() == null ? List.of() : List.of(e.box().shape())),
            new PaintChannel(Properties.STROKE, "stroke", PageElement::strokes),
            new ValueChannel<>(Properties.STROKE_WIDTH, PageElement::strokes, "strokeWidth", v -> CssText.px(Math.max(0, v))),
            new WordChannel(Properties.STROKE_ENDS, PageElement::strokes, "strokeLinecap", v -> v),
            new WordChannel(Properties.STROKE_JOINS, PageElement::strokes, "strokeLinejoin", v -> v),
            new GradientMapChannel(),
            new SizeChannel(),
            new FormChannel(),
            new CornerChannel(),
            new DashChannel(),
            new TextChannel());

    private Channels() {}

    private static Function<PageElement, List<String>> outer() {
        return e -> List.of(e.box().outer());
    }

    /** What blends is the outermost box: one that is moved shuts off what lies in it from what is behind. */
    private static List<String> blended(PageElement e) {
        String outer = e.box().outer();
        if (e.element().rest().get(Properties.PARALLAX) != 0) {
            return List.of(outer + "-y");
        }
        return List.of(Draggings.of(e.board(), e.id()) != null ? outer + "-h" : outer);
    }

    private static String skew(Point degrees) {
        return "skewX(" + CssText.deg(degrees.x()) + ") skewY(" + CssText.deg(degrees.y()) + ")";
    }

    /** How an element looks while nothing moves it. */
    static void rest(PageElement e, StyleSheet css) {
        for (Channel c : TABLE) {
            if (applies(c, e)) {
                c.rest(e, css);
            }
        }
    }

    /** How the canvas looks while nothing changes it. */
    static void rest(Board board, String canvas, StyleSheet css) {
        css.put(canvas, "background-color", board.canvas().get(Properties.BACKGROUND).hex());
    }

    /**
     * The keys of one timeline of a board.
     *
     * @param canvas the name of the board's own part of the page
     * @param element finds what is published of an element, by its id or that of one of its effects; null for what isn't
     */
    static List<PageTrack> keys(Timeline timeline, String canvas, Function<String, PageElement> element, Mixes mixes) {
        var out = new Tracks(timeline, mixes);
        background(timeline.track(Board.CANVAS, Properties.BACKGROUND), canvas, out);
        var elements = new LinkedHashSet<PageElement>();
        timeline.tracks().keySet().forEach(id -> elements.add(element.apply(id)));
        timeline.shown().keySet().forEach(id -> elements.add(element.apply(id)));
        elements.remove(null);
        for (PageElement e : elements) {
            for (Channel c : TABLE) {
                if (applies(c, e)) {
                    c.keys(e, out);
                }
            }
            span(timeline.shown().get(e.id()), e, out);
        }
        return out.all();
    }

    private static boolean applies(Channel c, PageElement e) {
        for (Property<?> p : c.of()) {
            if (p.appliesTo(e.element())) {
                return true;
            }
        }
        return c.everywhere();
    }

    private static void background(Track<Color> track, String canvas, Tracks out) {
        if (track != null) {
            out.add(canvas, "backgroundColor",
                    new ArrayList<>(track.keys().stream().map(k -> new PageTrack.PageKey((double) k.time() / out.timeline().duration(),
                    k.value().hex(), EasingPieces.single(k.easing()))).toList()));
        }
    }

    /** Seen means no more than that it isn't hidden itself: it inherits whether what holds it is. */
    private static void span(Span s, PageElement e, Tracks out) {
        if (s == null) {
            return;
        }
        double d = out.timeline().duration();
        var keys = new ArrayList<PageTrack.PageKey>();
        keys.add(new PageTrack.PageKey(0, s.from() == 0 ? "inherit" : "hidden", "step-end"));
        if (s.from() > 0 && s.from() <= d) {
            keys.add(new PageTrack.PageKey(s.from() / d, "inherit", "step-end"));
        }
        if (s.to() <= d) {
            keys.add(new PageTrack.PageKey(s.to() / d, "hidden", "step-end"));
        }
        out.add(e.box().span() == null ? e.box().outer() : e.box().span(), "!visibility", keys);
    }

    /** A number of CSS. */
    static String plain(double v) {
        return Numbers.plain(v, 6);
    }
}
