package tundra.web;

import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import tundra.core.frame.Form;
import tundra.core.frame.Marks;
import tundra.core.frame.TextLayout;
import tundra.core.frame.TextMeasurer;
import tundra.core.geometry.Contour;
import tundra.core.geometry.Numbers;
import tundra.core.geometry.Outline;
import tundra.core.geometry.Point;
import tundra.core.model.Asset;
import tundra.core.model.Board;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Flipbook;
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.core.model.Scene;
import tundra.core.model.Events;
import tundra.core.model.Values;

/** The HTML of a scene: each element a box of its own with its resting values, so that it can move off the main thread. */
final class Markup {
    private final Project project;
    private final TextMeasurer measure;
    private final StringBuilder out = new StringBuilder();
    private final Map<String, Boxed> boxes = new HashMap<>();
    private final Set<Face> faces = new LinkedHashSet<>();
    private final Set<String> pictures = new LinkedHashSet<>();
    private final Map<String, FlipSheet> sheets = new LinkedHashMap<>();
    private final Map<String, FlipSheet> flips = new HashMap<>();

    /** A font that the page uses. */
    record Face(String family, int weight) {}

    Markup(Project project, TextMeasurer measure) {
        this.project = project;
        this.measure = measure;
    }

    String html() {
        return out.toString();
    }

    Map<String, Boxed> boxes() {
        return boxes;
    }

    Set<Face> faces() {
        return faces;
    }

    Set<String> pictures() {
        return pictures;
    }

    /** The sheets that the page needs, by their paths. */
    Map<String, FlipSheet> sheets() {
        return sheets;
    }

    /** Flipbooks that are published as a sheet, by their ids. */
    Map<String, FlipSheet> flips() {
        return flips;
    }

    static String sceneTarget(Scene s) {
        return PageId.of(s.id());
    }

    static String picturePath(Asset a) {
        return "pictures/" + a.hash().substring(0, 16) + "." + a.ending();
    }

    static String escape(String s) {
        var b = new StringBuilder();
        s.codePoints().forEach(c -> {
            switch (c) {
                case '&' -> b.append("&amp;");
                case '<' -> b.append("&lt;");
                case '>' -> b.append("&gt;");
                case '"' -> b.append("&quot;");
                case '\'' -> b.append("&#39;");
                default -> {
                    if (c >= 32 || c == '\t') {
                        b.appendCodePoint(c);
                    }
                }
            }
        });
        return b.toString();
    }

    void scene(Scene s, boolean first) {
        Board b = s.board();
        var reactive = new HashSet<String>();
        b.reactions().forEach(r -> {
            if (r.when().kind() == Events.TAPPED) {
                reactive.add((String) r.when().slots().get(Events.ELEMENT));
            }
        });
        out.append("<section id=\"").append(sceneTarget(s)).append("\" class=\"t-scene\" aria-label=\"").append(escape(s.name()))
                .append("\" style=\"width:").append(px(b.size().x())).append(";height:").append(px(b.size().y()))
                .append(";background-color:").append(b.canvas().get(Properties.BACKGROUND).hex()).append('"')
                .append(first ? "" : " hidden").append(">\n");
        b.elements().forEach(e -> element(b, e, reactive));
        out.append("</section>\n");
    }

    private void element(Board board, Element e, Set<String> reactive) {
        if (e.hidden() || e.guide()) {
            return;
        }
        Values v = e.rest();
        String id = PageId.of(e.id());
        Point box = box(e);
        Point pivot = v.get(Properties.PIVOT).times(box);
        boolean split = Channels.keyed(board, e.id(), Properties.SIZE) || Channels.keyed(board, e.id(), Properties.PIVOT)
                || Channels.keyed(board, e.id(), Properties.LETTER_SPACING);
        Point shift = split ? Point.ZERO : pivot;
        boolean group = e.content() instanceof Content.Parent;
        boxes.put(e.id(), new Boxed(id, split ? id + "-b" : null, group ? null : id + "-s", shift, box));
        out.append("<div id=\"").append(id).append('"');
        if (reactive.contains(e.id())) {
            out.append(" class=\"t-tap\" role=\"button\" tabindex=\"0\" aria-label=\"").append(escape(e.name())).append('"');
        }
        out.append(" style=\"");
        if (!split) {
            size(box);
            out.append("transform-origin:").append(Channels.pair(pivot, 4, "px")).append(';');
        }
        out.append("translate:").append(Channels.pair(v.get(Properties.POSITION).minus(shift), 4, "px"));
        if (v.get(Properties.ROTATION) != 0) {
            out.append(";rotate:").append(Numbers.plain(v.get(Properties.ROTATION), 5)).append("deg");
        }
        if (!v.get(Properties.SCALE).equals(new Point(1, 1))) {
            out.append(";scale:").append(Channels.pair(v.get(Properties.SCALE), 6, ""));
        }
        if (!v.get(Properties.SKEW).equals(Point.ZERO)) {
            out.append(";transform:").append(Channels.skew(v.get(Properties.SKEW)));
        }
        if (v.get(Properties.OPACITY) != 1) {
            out.append(";opacity:").append(Numbers.plain(v.get(Properties.OPACITY), 6));
        }
        if (!split && e.content() instanceof Content.Group g && g.clip() != null) {
            clip(g);
        }
        out.append("\">");
        if (split) {
            out.append("<div id=\"").append(id).append("-b\" style=\"");
            size(box);
            out.append("translate:").append(Channels.pair(v.get(Properties.PIVOT).times(-100), 5, "%"));
            if (e.content() instanceof Content.Group g && g.clip() != null) {
                clip(g);
            }
            out.append("\">");
        }
        content(board, e, id + "-s", box);
        if (e.content() instanceof Flipbook f) {
            flipbook(board, e, f, reactive);
        } else {
            e.children().forEach(c -> element(board, c, reactive));
        }
        out.append(split ? "</div></div>\n" : "</div>\n");
    }

    /** All drawings lie on top of each other, each in a box that is seen at its frames; or side by side on one picture. */
    private void flipbook(Board board, Element e, Flipbook f, Set<String> reactive) {
        FlipSheet sheet = FlipSheet.of(board, e, f, project.assets(), reactive);
        if (sheet != null) {
            sheets.put(sheet.path(), sheet);
            flips.put(e.id(), sheet);
            out.append(sheet.markup(e));
            return;
        }
        int first = f.indexAt(0);
        for (int i = 0; i < f.drawings().size(); i++) {
            Element art = f.drawings().get(i).art();
            if (!art.hidden()) {
                out.append("<div id=\"").append(drawingTarget(art)).append('"').append(i == first ? ">" : " style=\"opacity:0\">");
                element(board, art, reactive);
                out.append("</div>\n");
            }
        }
    }

    /** The box that shows or hides a drawing. */
    static String drawingTarget(Element art) {
        return PageId.of(art.id()) + "-d";
    }

    private Point box(Element e) {
        return switch (e.content()) {
            case Content.Text t -> TextLayout.of((Content.Text) Marks.resolved(t, e.rest()), measure).box();
            case Content.Parent g -> g.box();
            default -> e.rest().get(Properties.SIZE);
        };
    }

    private void size(Point box) {
        out.append("width:").append(px(box.x())).append(";height:").append(px(box.y())).append(';');
    }

    private void content(Board board, Element e, String id, Point box) {
        switch (e.content()) {
            case Content.Parent g -> { }
            case Content.Picture p -> picture(e, p, id, box);
            case Content.Text t -> {
                out.append("<svg class=\"t-p\">").append(PaintText.definitions(board, e, box));
                text(e, t, id);
                out.append("</svg>");
            }
            case Content.Shape s -> {
                out.append("<svg class=\"t-p\" aria-hidden=\"true\">").append(PaintText.definitions(board, e, box)).append('<');
                shape(e, s, id, box);
                paint(board, e, s, id);
                out.append("</svg>");
            }
        }
    }

    private void clip(Content.Group g) {
        out.append(";clip-path:path('").append(g.clip().svgPath()).append("')");
    }

    private void shape(Element e, Content.Shape s, String id, Point box) {
        switch (s) {
            case Content.Rectangle r -> {
                double q = Math.min(e.rest().get(Properties.CORNER_RADIUS), Math.min(box.x(), box.y()) / 2);
                out.append("rect id=\"").append(id).append("\" style=\"width:").append(side(box.x())).append(";height:").append(side(box.y()));
                if (q > 0) {
                    out.append(";rx:").append(px(q)).append(";ry:").append(px(q));
                }
                out.append(';');
            }
            case Content.Ellipse x -> out.append("ellipse id=\"").append(id).append("\" style=\"cx:").append(px(box.x() / 2))
                    .append(";cy:").append(px(box.y() / 2)).append(";rx:").append(side(box.x() / 2)).append(";ry:").append(side(box.y() / 2)).append(';');
            case Content.Polygon p -> out.append("path id=\"").append(id).append("\" d=\"")
                    .append(Outline.star(box, p.points(), p.inner()).svgPath()).append("\" style=\"");
            case Content.Path p -> out.append("path id=\"").append(id).append("\" d=\"").append(Channels.stretched(p, box)).append("\" style=\"").append(p.evenOdd() ? "fill-rule:evenodd;" : "");
        }
    }

    private void paint(Board board, Element e, Content.Shape s, String id) {
        Values v = e.rest();
        out.append("fill:").append(PaintText.css(e, Properties.FILL, v.get(Properties.FILL)));
        Form form = Marks.form(s, v);
        if (!StrokeText.split(board, e)) {
            stroke(e, form);
            out.append("\"/>");
            return;
        }
        out.append("\"/>");
        List<Contour> contours = form.outline().contours();
        for (int i = 0; i < StrokeText.contours(board, e); i++) {
            var one = new Outline(i < contours.size() ? List.of(contours.get(i)) : List.of());
            out.append("<path id=\"").append(id).append('-').append(i).append("\" d=\"").append(one.svgPath()).append("\" style=\"fill:none");
            stroke(e, new Form.Curve(one));
            out.append("\"/>");
        }
    }

    private void stroke(Element e, Form form) {
        out.append(";stroke:").append(PaintText.css(e, Properties.STROKE, e.rest().get(Properties.STROKE)))
                .append(StrokeText.css(StrokeText.hiddenOr(form, e.rest())));
    }

    private void text(Element e, Content.Text unspaced, String id) {
        var t = (Content.Text) Marks.resolved(unspaced, e.rest());
        faces.add(new Face(t.family(), t.weight()));
        out.append("<text id=\"").append(id).append("\" style=\"font:").append(t.weight()).append(' ').append(px(t.size()))
                .append(" '").append(PageCompiler.family(t.family(), t.weight())).append("';fill:")
                .append(PaintText.css(e, Properties.FILL, e.rest().get(Properties.FILL)))
                .append(t.spacing() == 0 ? "" : ";letter-spacing:" + px(t.spacing()) + ";font-feature-settings:" + escape(TextChannels.APART)).append("\">");
        int n = 0;
        for (var line : TextLayout.of(t, measure).lines()) {
            out.append("<tspan id=\"").append(id).append('-').append(n++).append("\" x=\"").append(Numbers.plain(line.x(), 4)).append("\" y=\"").append(Numbers.plain(line.baseline(), 4))
                    .append("\">").append(escape(line.text())).append("</tspan>");
        }
        out.append("</text>");
    }

    private void picture(Element e, Content.Picture p, String id, Point box) {
        Asset a = project.assets().get(p.asset());
        pictures.add(p.asset());
        out.append("<img id=\"").append(id).append("\" src=\"").append(picturePath(a)).append("\" alt=\"").append(escape(e.name()))
                .append("\" draggable=\"false\" style=\"width:").append(px(box.x())).append(";height:").append(px(box.y())).append("\">");
    }

    /** Of a shape: one without any width isn't painted by browsers, and its stroke is a line. */
    private static String side(double v) {
        return px(Math.max(Marks.THIN, v));
    }

    private static String px(double v) {
        return Numbers.plain(v, 4) + "px";
    }
}
