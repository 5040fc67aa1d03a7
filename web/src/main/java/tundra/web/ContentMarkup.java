package tundra.web;

import java.util.List;
import java.util.Set;
import tundra.core.frame.ElementPaint;
import tundra.core.frame.TextLayout;
import tundra.core.geometry.Contour;
import tundra.core.geometry.Numbers;
import tundra.core.geometry.Outline;
import tundra.core.geometry.Point;
import tundra.core.model.Asset;
import tundra.core.model.Board;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Flipbook;
import tundra.core.model.Gradient;
import tundra.core.model.Paint;
import tundra.core.model.Properties;
import tundra.core.model.Property;
import tundra.core.model.Values;

/** What an element of the page holds: shapes with their paints, texts, pictures, the drawings of flipbooks. */
final class ContentMarkup {
    /** Begins the picture of shapes, which are not read out. */
    static final String SHAPES = "<svg class=\"t-p\" aria-hidden=\"true\">";
    private final Markup markup;

    ContentMarkup(Markup markup) {
        this.markup = markup;
    }

    /** All drawings lie on top of each other, each in a box that is seen at its frames; or side by side on one picture. */
    void flipbook(Board board, Element e, Flipbook f, Set<String> reactive) {
        FlipSheet sheet = FlipSheet.of(board, e, f, markup.project.assets(), reactive);
        if (sheet != null) {
            markup.sheets.put(sheet.path(), sheet);
            markup.flips.put(e.id(), sheet);
            markup.out.append(sheet.markup(e, markup.css));
            return;
        }
        int first = f.indexAt(0);
        for (int i = 0; i < f.drawings().size(); i++) {
            Element art = f.drawings().get(i).art();
            if (!art.hidden()) {
                String name = drawingTarget(art);
                if (i != first) {
                    markup.css.put(name, "opacity", "0");
                }
                markup.out.append("<div class=\"").append(name).append("\">");
                markup.element(board, art, reactive);
                markup.out.append("</div>\n");
            }
        }
    }

    /** The box that shows or hides a drawing. */
    static String drawingTarget(Element art) {
        return PageId.of(art.id()) + "-d";
    }

    void content(PageElement e) {
        switch (e.content()) {
            case Content.Parent g -> { }
            case Content.Instance i -> { }
            case Content.Picture p -> picture(e, p);
            case Content.Text t -> {
                // what is tapped is read out by its name, which these words are part of
                markup.out.append(markup.tapped > 0 ? SHAPES : "<svg class=\"t-p\">")
                        .append(PaintText.definitions(e.board(), e.element(), e.box().size()));
                text(e);
                markup.out.append("</svg>");
            }
            case Content.Shape s -> {
                markup.out.append(SHAPES);
                shape(e, s);
                markup.out.append("</svg>");
            }
        }
    }

    void shape(PageElement e, Content.Shape s) {
        markup.out.append(PaintText.definitions(e.board(), e.element(), e.box().size()));
        String name = e.box().shape();
        boolean split = StrokeText.split(e.board(), e.element());
        String paints = gradient(e, Properties.FILL) + (split ? "" : gradient(e, Properties.STROKE));
        switch (s) {
            case Content.Rectangle r -> markup.out.append("<rect class=\"").append(name).append('"').append(paints).append("/>");
            case Content.Ellipse x -> markup.out.append("<ellipse class=\"").append(name).append('"').append(paints).append("/>");
            default -> markup.out.append("<path class=\"").append(name).append("\" d=\"").append(FormChannel.data(s, e.box().size())).append('"')
                    .append(paints).append("/>");
        }
        if (split) {
            List<Contour> contours = ElementPaint.form(s, e.element().rest()).outline().contours();
            List<String> names = e.strokes();
            for (int i = 0; i < names.size(); i++) {
                var one = new Outline(i < contours.size() ? List.of(contours.get(i)) : List.of());
                markup.css.put(names.get(i), "fill", "none");
                markup.out.append("<path class=\"").append(names.get(i)).append("\" d=\"").append(one.svgPath()).append('"')
                        .append(gradient(e, Properties.STROKE)).append("/>");
            }
        }
    }

    /** A gradient that rests, as an attribute; nothing for a colour. */
    private static String gradient(PageElement e, Property<Paint> p) {
        return e.rest(p) instanceof Gradient ? " " + p.key() + "=\"" + PaintText.css(e.element(), p, e.rest(p)) + "\"" : "";
    }

    /** A text whose letters go with the width of the scene, about its pivot and within its bounds. */
    private void letters(PageElement e, Point box) {
        Values v = e.element().rest();
        if (!v.get(Properties.SIZE_IN).equals("%")) {
            return;
        }
        double size = ((Content.Text) e.element().content()).size(), least = v.get(Properties.SIZE_LEAST), most = v.get(Properties.SIZE_MOST);
        String name = e.box().box() + " .t-p", wider = "1 + (var(--w) - var(--n)) / " + Numbers.plain(e.board().size().x(), 4);
        markup.css.put(name, "scale", "clamp(" + Numbers.plain(least / size, 6) + "," + wider + "," + (most > 0 ? Numbers.plain(most / size, 6)
                : "1000") + ")");
        Point pivot = v.get(Properties.PIVOT);
        markup.css.put(name, "transform-origin", CssText.px(pivot.x() * box.x()) + " " + CssText.px(pivot.y() * box.y()));
    }

    private void text(PageElement e) {
        var t = TextChannel.rest(e);
        TextChannel.weights(e).forEach(w -> markup.faces.add(new Markup.Face(t.family(), w)));
        String name = e.box().shape();
        boolean rests = !TextChannel.moves(e.board(), e.element());
        boolean anew = rests && t.wrap() > 0 && (markup.values.any(e.id()) || Tied.wraps(e.element()));
        markup.css.put(name, "color", e.element().rest().get(Properties.FILL).main().hex());
        markup.out.append("<text class=\"").append(name).append('"').append(gradient(e, Properties.FILL));
        if (anew) {
            markup.wraps = true;
            markup.out.append(" data-wrap=\"").append(Markup.escape(markup.values.wrapped(e.id(), t))).append('"');
        }
        if (e.board().canvas().get(Properties.SCENE_HEIGHT).equals("its content's")) {
            // how high a line is: the scene is as high as its words
            markup.out.append(" data-lead=\"").append(Numbers.plain(t.size() * t.lineHeight(), 4)).append('"');
        }
        markup.out.append('>');
        TextLayout layout = TextLayout.of(t, markup.measure);
        letters(e, layout.box());
        List<TextLayout.Line> lines = layout.lines();
        int n = 0, from = 0;
        for (var line : lines) {
            boolean changes = anew || rests && markup.values.within(e.id(), from, from + line.text().length());
            markup.out.append("<tspan class=\"").append(name).append('-').append(n++).append("\" x=\"")
                    .append(changes ? ValueTexts.place(t.align(), line.x(), TextLayout.width(t, line.text(), markup.measure, t.spacing() == 0),
                    t.spacing()) : Numbers.plain(line.x(), 4))
                    .append("\" y=\"").append(Numbers.plain(line.baseline(), 4)).append("\">").append(markup.values.line(e.id(), line.text(), from))
                    .append("</tspan>");
            from += line.text().length() + 1;
        }
        for (int most = TextChannel.lines(e); n < most; n++) {
            markup.out.append("<tspan class=\"").append(name).append('-').append(n).append("\"></tspan>");
        }
        markup.out.append("</text>");
    }

    /** Whether an element is a flipbook of nothing but pictures, which is told of as one. */
    static boolean ofPictures(Element e) {
        return e.content() instanceof Flipbook f && f.drawings().stream().allMatch(d -> d.art().children().stream()
                .allMatch(x -> x.content() instanceof Content.Picture));
    }

    /** Whether a picture is one drawing of many: those are there at once, each from the first moment in which it is seen. */
    private static boolean drawn(PageElement e) {
        List<String> path = e.board().path(e.id());
        return path.stream().anyMatch(id -> e.board().find(id) instanceof Element x && ofPictures(x));
    }

    private void picture(PageElement e, Content.Picture p) {
        Asset a = markup.project.assets().get(p.asset());
        markup.pictures.add(p.asset());
        markup.out.append("<img class=\"").append(e.box().shape()).append("\" src=\"").append(Markup.picturePath(a)).append("\" alt=\"")
                .append(drawn(e) ? "" : Markup.escape(e.element().name()))
                .append(drawn(e) ? "\" decoding=\"sync" : "").append("\" draggable=\"false\">");
    }
}
