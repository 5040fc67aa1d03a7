package tundra.core.svg;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import tundra.core.draw.StrokeOutline;
import tundra.core.frame.StrokeStyle;
import tundra.core.geometry.Affine;
import tundra.core.geometry.Outline;
import tundra.core.geometry.Point;
import tundra.core.geometry.Rect;
import tundra.core.model.Color;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Paint;
import tundra.core.model.Properties;
import tundra.core.model.Values;

/** Shapes of an SVG drawing with their fill and stroke. */
final class SvgShapeReader {
    /** More dashes on one outline than this are no longer seen as such. */
    private static final int DASHES = 10_000;
    /** How far a map may be from keeping angles before strokes become outlines. */
    private static final double UNEVEN = 1.03;
    private final SvgReader reader;

    SvgShapeReader(SvgReader reader) {
        this.reader = reader;
    }

    SvgReader.Made shape(org.w3c.dom.Element e, Affine ctm, Map<String, String> css) {
        Outline own = SvgShapes.outline(e, reader.viewport, SvgReader.em(css));
        if (own == null || own.contours().isEmpty() || "hidden".equals(css.get("visibility")) || "collapse".equals(css.get("visibility"))) {
            return null;
        }
        Outline outline = own.through(ctm);
        Rect box = outline.bounds();
        if (box == null || SvgReader.outside(box)) {
            if (box != null) {
                reader.report.lost("A shape more than a million px away was left out");
            }
            return null;
        }
        if (css.keySet().stream().anyMatch(k -> k.startsWith("marker") && !css.get(k).equals("none"))) {
            reader.report.lost("An arrow head or other marker was left out");
        }
        Rect bounds = own.bounds();
        // a line has no area to fill
        Paint fill = Style.name(e).equals("line") ? Color.NONE : paint(css, "fill", "black", bounds, ctm, box);
        Paint stroke = paint(css, "stroke", "none", bounds, ctm, box);
        double width = SvgText.length(css.get("stroke-width"), 1, Math.hypot(reader.viewport.x(), reader.viewport.y()) / Math.sqrt(2),
                SvgReader.em(css));
        double scale = Math.sqrt(Math.abs(ctm.determinant()));
        boolean stroked = stroke.visible() && width > 0 && scale > 0;
        if ("non-scaling-stroke".equals(css.get("vector-effect")) && scale > 0) {
            width /= scale;
        }
        Values look = Values.NONE.with(Properties.POSITION, box.centre()).with(Properties.SIZE, new Point(box.width(), box.height()))
                .with(Properties.FILL, fill);
        boolean evenOdd = "evenodd".equals(css.get("fill-rule"));
        Outline local = outline.through(Affine.translate(-box.x(), -box.y()));
        var path = new Content.Path(local, new Point(box.width(), box.height()), evenOdd);
        String name = SvgReader.name(e, switch (Style.name(e)) {
            case "rect" -> "Rectangle";
            case "circle", "ellipse" -> "Ellipse";
            case "line", "polyline" -> "Line";
            case "polygon" -> "Polygon";
            default -> "Path";
        });
        if (!stroked) {
            return fill.visible() ? new SvgReader.Made(new Element(name, path, look), box) : null;
        }
        double[] dashes = dashes(css);
        double period = Arrays.stream(dashes).sum();
        if (period > 0 && own.segments().stream().mapToDouble(c -> c.length(0, 1)).sum() / period * dashes.length > DASHES) {
            reader.report.lost("A pattern of dashes too fine to be seen became a whole line");
            dashes = new double[0];
        }
        boolean simple = dashes.length <= 2 && unevenness(ctm) <= UNEVEN;
        if (!simple && own.segments().size() <= ClipReader.EXACT) {
            return outlined(name, own, ctm, css, width, dashes, fill.visible() ? new Element(name, path, look) : null, bounds);
        }
        if (unevenness(ctm) > UNEVEN) {
            reader.report.lost("An unevenly scaled stroke became an even one");
        }
        if (dashes.length > 2) {
            reader.report.lost("A pattern of dashes was made simpler");
        }
        look = look.with(Properties.STROKE, stroke).with(Properties.STROKE_WIDTH, width * scale)
                .with(Properties.STROKE_ENDS, word(css.get("stroke-linecap"), "butt", "round", "square"))
                .with(Properties.STROKE_JOINS, word(css.get("stroke-linejoin"), "miter", "round", "bevel"));
        if (dashes.length > 0) {
            look = look.with(Properties.DASH, dashes[0] * scale).with(Properties.GAP, dashes[1] * scale)
                    .with(Properties.DASH_OFFSET, SvgText.length(css.get("stroke-dashoffset"), 0, 100, SvgReader.em(css)) * scale);
        }
        return new SvgReader.Made(new Element(name, path, look), box);
    }

    /** A stroke that Tundra's own can't be the same as, as a filled outline over the shape's fill. */
    private SvgReader.Made outlined(String name, Outline own, Affine ctm, Map<String, String> css, double width, double[] dashes, Element filled,
            Rect bounds) {
        var pattern = new ArrayList<Double>();
        for (double d : dashes) {
            pattern.add(d);
        }
        var strokeStyle = new StrokeStyle(width, word(css.get("stroke-linecap"), "butt", "round", "square"),
                word(css.get("stroke-linejoin"), "miter", "round", "bevel"), pattern, SvgText.length(css.get("stroke-dashoffset"), 0, 100,
                SvgReader.em(css)));
        Outline area = StrokeOutline.of(own, strokeStyle).through(ctm);
        Rect box = area.bounds();
        if (box == null) {
            return filled == null ? null : new SvgReader.Made(filled, own.through(ctm).bounds());
        }
        Paint paint = paint(css, "stroke", "none", bounds, ctm, box);
        var content = new Content.Path(area.through(Affine.translate(-box.x(), -box.y())), new Point(box.width(), box.height()));
        var stroke = new SvgReader.Made(new Element(name + " stroke", content, Values.NONE.with(Properties.POSITION, box.centre())
                .with(Properties.SIZE, new Point(box.width(), box.height())).with(Properties.FILL, paint)), box);
        return filled == null ? stroke : SvgReader.wrapped(name, List.of(new SvgReader.Made(filled, own.through(ctm).bounds()), stroke), null);
    }

    private static double[] dashes(Map<String, String> css) {
        String s = css.get("stroke-dasharray");
        double[] v = s == null || s.equals("none") ? new double[0] : SvgText.numbers(s);
        double sum = 0;
        for (double d : v) {
            if (d < 0) {
                return new double[0];
            }
            sum += d;
        }
        if (sum <= 0) {
            return new double[0];
        }
        if (v.length % 2 == 1) {
            double[] twice = Arrays.copyOf(v, v.length * 2);
            System.arraycopy(v, 0, twice, v.length, v.length);
            v = twice;
        }
        return v;
    }

    /** The ratio of the greatest to the least stretch of a map. */
    private static double unevenness(Affine m) {
        double e = (m.a() + m.d()) / 2, f = (m.a() - m.d()) / 2, g = (m.b() + m.c()) / 2, h = (m.b() - m.c()) / 2;
        double q = Math.hypot(e, h), r = Math.hypot(f, g);
        return Math.abs(q - r) < 1e-12 ? Double.POSITIVE_INFINITY : (q + r) / Math.abs(q - r);
    }

    private static String word(String s, String... known) {
        for (String k : known) {
            if (k.equals(s)) {
                return k;
            }
        }
        return known[0];
    }

    /** A solid colour of a text, or what stands for it. */
    Paint solid(Map<String, String> css, Rect box) {
        return paint(css, "fill", "black", box, Affine.IDENTITY, box);
    }

    private Paint paint(Map<String, String> css, String property, String standard, Rect bounds, Affine ctm, Rect box) {
        String whole = css.getOrDefault(property, standard), s = whole.substring(0, Math.min(whole.length(), 400));
        double opacity = Math.max(0, Math.min(1, SvgText.fraction(css.get(property + "-opacity"), 1)));
        Color current = SvgText.color(css.get("color"), Color.BLACK);
        if (s.startsWith("url(")) {
            org.w3c.dom.Element of = reader.reference(s);
            Paint p = of == null ? null : reader.gradients.read(of, bounds, ctm, box, reader.viewport, opacity);
            if (p != null) {
                return p instanceof Color c && c.visible() ? c : p;
            }
            if (of != null && Style.name(of).equals("pattern")) {
                reader.report.lost("A pattern became one colour");
                return average(of).withAlpha((int) Math.round(255 * opacity));
            }
            s = s.replaceFirst("url\\([^)]*\\)", "").strip();
            s = s.isEmpty() ? "none" : s;
        }
        if (s.equals("none")) {
            return Color.NONE;
        }
        Color c = SvgText.color(s, current == null ? Color.BLACK : current);
        c = c == null ? SvgText.color(standard.equals("none") ? "transparent" : standard, Color.BLACK) : c;
        return c.withAlpha((int) Math.round(c.alpha() * opacity));
    }

    private Color average(org.w3c.dom.Element pattern) {
        var all = pattern.getElementsByTagName("*");
        for (int i = 0; i < all.getLength(); i++) {
            var css = reader.style.of((org.w3c.dom.Element) all.item(i), Map.of());
            Color c = SvgText.color(css.get("fill"), Color.BLACK);
            if (c != null && c.visible()) {
                return c;
            }
        }
        String href = SvgXml.href(pattern);
        org.w3c.dom.Element next = href.startsWith("#") ? reader.ids.get(href.substring(1)) : null;
        return next != null && next != pattern && SvgXml.href(next).isEmpty() ? average(next) : Color.parse("#93A09B");
    }
}
