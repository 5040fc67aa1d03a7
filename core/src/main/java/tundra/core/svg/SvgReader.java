package tundra.core.svg;

import java.io.IOException;
import java.util.ArrayList;
import java.util.Base64;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.regex.Pattern;
import org.w3c.dom.Document;
import org.w3c.dom.Node;
import tundra.core.file.FileProblem;
import tundra.core.file.Savable;
import tundra.core.frame.TextMeasurer;
import tundra.core.geometry.Affine;
import tundra.core.geometry.Outline;
import tundra.core.geometry.Point;
import tundra.core.geometry.Rect;
import tundra.core.model.Asset;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Limits;
import tundra.core.model.Properties;
import tundra.core.model.Values;

/**
 * Reads an SVG drawing as elements: shapes and paths with their transforms worked in, groups, gradients, clip paths, text and
 * embedded pictures. Links to anything outside of the file are not followed.
 */
public final class SvgReader {
    private static final Pattern URL = Pattern.compile("url\\(\\s*['\"]?#([^'\")]+)['\"]?\\s*\\)");
    private static final int ELEMENTS = 50_000;
    private static final int DEPTH = 150;
    final Style style = new Style();
    final Budget budget = new Budget();
    final Report report = new Report();
    final Map<String, org.w3c.dom.Element> ids;
    final Gradients gradients;
    private final TextReader texts;
    private final PictureSource pictures;
    private final Map<String, Asset> assets = new LinkedHashMap<>();
    private final ClipReader ofClips = new ClipReader(this);
    private final SvgShapeReader ofShapes = new SvgShapeReader(this);
    Point viewport;
    private int count;

    /** An element and the box around what it paints, in the drawing's coordinates. */
    record Made(Element element, Rect box) {}

    private SvgReader(Document d, TextMeasurer measure, PictureSource pictures) {
        ids = SvgXml.ids(d);
        gradients = new Gradients(ids, style);
        texts = new TextReader(style, measure, report);
        this.pictures = pictures;
    }

    /**
     * @param name of the file, for messages
     * @throws FileProblem with one sentence when it isn't an SVG drawing or is too large
     */
    public static SvgArt read(String name, byte[] data, TextMeasurer measure, PictureSource pictures) throws FileProblem {
        try {
            Document d = SvgXml.read(data);
            SvgArt art = new SvgReader(d, measure, pictures).art(name, d.getDocumentElement());
            String problem = Savable.problem(ArtPlacing.project(art, "Art", 24));
            if (problem != null) {
                throw new FileProblem("a part of it lies beyond what a project can hold (" + problem + ")");
            }
            return art;
        } catch (FileProblem e) {
            throw new FileProblem("“" + name + "” can't be brought in: " + e.getMessage() + ". Nothing was changed.", e);
        }
    }

    private SvgArt art(String name, org.w3c.dom.Element root) throws FileProblem {
        sheets(root);
        double[] box = SvgText.numbers(root.getAttribute("viewBox"));
        boolean hasBox = box.length == 4 && box[2] > 0 && box[3] > 0;
        double w = SvgText.length(root.getAttribute("width"), -1, hasBox ? box[2] : 300, 16);
        double h = SvgText.length(root.getAttribute("height"), -1, hasBox ? box[3] : 150, 16);
        if (w <= 0 && h <= 0) {
            w = hasBox ? box[2] : 300;
            h = hasBox ? box[3] : 150;
        } else if (w <= 0) {
            w = hasBox ? h * box[2] / box[3] : 300;
        } else if (h <= 0) {
            h = hasBox ? w * box[3] / box[2] : 150;
        }
        if (w > Limits.LENGTH || h > Limits.LENGTH) {
            throw new FileProblem("it is larger than a million px along one side");
        }
        viewport = hasBox ? new Point(box[2], box[3]) : new Point(w, h);
        Affine view = hasBox ? fitted(root.getAttribute("preserveAspectRatio"), box, w, h) : Affine.IDENTITY;
        var made = children(root, view, style.of(root, Map.of()), 0);
        return new SvgArt(name, new Point(w, h), made.stream().map(Made::element).toList(), assets, report.sentences());
    }

    /** The map from a view box to a viewport (SVG 2, section 8.6). */
    private static Affine fitted(String aspect, double[] box, double w, double h) {
        double sx = w / box[2], sy = h / box[3];
        String a = aspect == null || aspect.isBlank() ? "xMidYMid meet" : aspect.strip();
        if (a.startsWith("none")) {
            return new Affine(sx, 0, 0, sy, -box[0] * sx, -box[1] * sy);
        }
        double s = a.contains("slice") ? Math.max(sx, sy) : Math.min(sx, sy);
        double x = a.startsWith("xMin") ? 0 : a.startsWith("xMax") ? 1 : 0.5, y = a.contains("YMin") ? 0 : a.contains("YMax") ? 1 : 0.5;
        return new Affine(s, 0, 0, s, (w - box[2] * s) * x - box[0] * s, (h - box[3] * s) * y - box[1] * s);
    }

    private void sheets(org.w3c.dom.Element e) {
        for (Node n = e.getFirstChild(); n != null; n = n.getNextSibling()) {
            if (n instanceof org.w3c.dom.Element c) {
                if (Style.name(c).equals("style")) {
                    style.add(c.getTextContent());
                } else {
                    sheets(c);
                }
            }
        }
    }

    // --- the tree ---

    private List<Made> children(org.w3c.dom.Element parent, Affine ctm, Map<String, String> css, int depth) throws FileProblem {
        var out = new ArrayList<Made>();
        for (Node n = parent.getFirstChild(); n != null; n = n.getNextSibling()) {
            if (n instanceof org.w3c.dom.Element e) {
                Made m = element(e, ctm, css, depth + 1);
                if (m != null) {
                    out.add(m);
                }
            }
        }
        return out;
    }

    private Made element(org.w3c.dom.Element e, Affine outer, Map<String, String> parent, int depth) throws FileProblem {
        budget.visit();
        if (depth > DEPTH) {
            throw new FileProblem("its groups lie deeper in each other than " + DEPTH);
        }
        String kind = Style.name(e);
        Map<String, String> css = style.of(e, parent);
        if ("none".equals(css.get("display")) || kind.equals("defs") || kind.equals("symbol") && !inUse) {
            return null;
        }
        Affine ctm = outer.times(SvgText.transform(css.getOrDefault("transform", e.getAttribute("transform"))));
        Made made = switch (kind) {
            case "g", "a" -> group(e, children(e, ctm, css, depth));
            case "svg" -> nested(e, ctm, css, depth);
            case "symbol" -> nested(e, ctm, css, depth);
            case "switch" -> chosen(e, ctm, css, depth);
            case "use" -> use(e, ctm, css, depth);
            case "path", "rect", "circle", "ellipse", "line", "polyline", "polygon" -> ofShapes.shape(e, ctm, css);
            case "text" -> group(e, texts.read(e, ctm, css, ofShapes::solid));
            case "image" -> picture(e, ctm, css);
            case "foreignObject" -> {
                report.lost("A block of HTML was left out");
                yield null;
            }
            case "animate", "animateTransform", "animateMotion", "set" -> {
                report.lost("An animation was left out");
                yield null;
            }
            default -> null;
        };
        if (made == null) {
            return null;
        }
        if (++count > ELEMENTS) {
            throw new FileProblem("it holds more than " + ELEMENTS + " elements");
        }
        return finished(e, made, ctm, css);
    }

    private boolean inUse;
    /** The copy whose symbol or drawing is read next; null for none. */
    private org.w3c.dom.Element using;
    /** What is being copied right now. */
    private final Set<org.w3c.dom.Element> copied = new HashSet<>();

    /** Opacity, clip path and what there is no room for. */
    private Made finished(org.w3c.dom.Element e, Made made, Affine ctm, Map<String, String> css) throws FileProblem {
        Made m = made;
        double opacity = Math.max(0, Math.min(1, SvgText.fraction(css.get("opacity"), 1)));
        if (opacity < 1) {
            m = new Made(m.element().with(Properties.OPACITY, m.element().rest().get(Properties.OPACITY) * opacity), m.box());
        }
        if (css.containsKey("filter") && !css.get("filter").equals("none")) {
            report.lost("A filter (" + filterWords(css.get("filter")) + ") was left out");
        }
        if (css.containsKey("mask") && !css.get("mask").equals("none")) {
            report.lost("A mask was left out");
        }
        if (css.containsKey("mix-blend-mode") && !css.get("mix-blend-mode").equals("normal")) {
            report.lost("A blend mode was left out");
        }
        org.w3c.dom.Element clip = reference(css.get("clip-path"));
        if (clip != null && Style.name(clip).equals("clipPath")) {
            Outline o = ofClips.clipOutline(clip, ctm, made.box(), 0);
            if (o == null) {
                return null;
            }
            m = wrapped(name(e, "Clipped"), List.of(m), o);
        }
        return m;
    }

    private String filterWords(String css) {
        org.w3c.dom.Element f = reference(css);
        if (f == null) {
            return css.replaceAll("\\(.*", "");
        }
        var names = new ArrayList<String>();
        for (Node n = f.getFirstChild(); n != null; n = n.getNextSibling()) {
            if (n instanceof org.w3c.dom.Element c && Style.name(c).startsWith("fe")) {
                names.add(Style.name(c).substring(2).replaceAll("([a-z])([A-Z])", "$1 $2").toLowerCase(Locale.ROOT));
            }
        }
        return names.isEmpty() ? "empty" : String.join(", ", names.stream().distinct().limit(3).toList());
    }

    org.w3c.dom.Element reference(String css) {
        if (css == null) {
            return null;
        }
        var m = URL.matcher(css.substring(0, Math.min(css.length(), 400)));
        return m.find() ? ids.get(m.group(1).strip()) : null;
    }

    static String name(org.w3c.dom.Element e, String standard) {
        for (Node n = e.getFirstChild(); n != null; n = n.getNextSibling()) {
            if (n instanceof org.w3c.dom.Element c && Style.name(c).equals("title") && !c.getTextContent().isBlank()) {
                String t = c.getTextContent().strip().replaceAll("\\s+", " ");
                return t.substring(0, Math.min(60, t.length()));
            }
        }
        String whole = e.getAttribute("id");
        String id = whole.substring(0, Math.min(60, whole.length())).replace('_', ' ').strip();
        return id.isEmpty() || id.matches("[A-Za-z]+[\\d-]*[A-Za-z]?\\d*") && id.matches(".*\\d.*") ? standard : id;
    }

    private Made group(org.w3c.dom.Element e, List<Made> made) {
        if (made.isEmpty()) {
            return null;
        }
        if (made.size() == 1) {
            // a group of one is that one, by the group's name where it has one of its own
            Made one = made.getFirst();
            String own = name(e, "");
            return own.isEmpty() ? one : new Made(one.element().withName(own), one.box());
        }
        return wrapped(name(e, Style.name(e).equals("text") ? "Text" : "Group"), made, null);
    }

    /** A group around elements, whose box is theirs. */
    static Made wrapped(String name, List<Made> made, Outline clip) {
        Rect box = null;
        for (Made m : made) {
            box = m.box().union(box);
        }
        Point by = box.topLeft().times(-1);
        var inside = made.stream().map(m -> m.element().with(Properties.POSITION, m.element().rest().get(Properties.POSITION).plus(by))).toList();
        var content = new Content.Group(inside, new Point(box.width(), box.height()), clip == null ? null
                : clip.through(Affine.translate(by.x(), by.y())));
        return new Made(new Element(name, content, Values.NONE.with(Properties.POSITION, box.centre())), box);
    }

    /** A copy of a symbol or drawing says itself how large it is, where it does (SVG 2, section 5.5). */
    private String sizeOf(org.w3c.dom.Element e, String side) {
        String own = using == null ? "" : using.getAttribute(side);
        return own.isEmpty() ? e.getAttribute(side) : own;
    }

    private Made nested(org.w3c.dom.Element e, Affine ctm, Map<String, String> css, int depth) throws FileProblem {
        double[] box = SvgText.numbers(e.getAttribute("viewBox"));
        double w = SvgText.length(sizeOf(e, "width"), viewport.x(), viewport.x(), 16);
        double h = SvgText.length(sizeOf(e, "height"), viewport.y(), viewport.y(), 16);
        using = null;
        Affine m = ctm.times(Affine.translate(SvgText.length(e.getAttribute("x"), 0, viewport.x(), 16), SvgText.length(e.getAttribute("y"), 0,
                viewport.y(), 16)));
        Point before = viewport;
        boolean hasBox = box.length == 4 && box[2] > 0 && box[3] > 0;
        viewport = hasBox ? new Point(box[2], box[3]) : new Point(w, h);
        boolean was = inUse;
        inUse = false;
        var made = children(e, hasBox ? m.times(fitted(e.getAttribute("preserveAspectRatio"), box, w, h)) : m, css, depth);
        inUse = was;
        viewport = before;
        if (made.isEmpty()) {
            return null;
        }
        boolean clips = !"visible".equals(css.get("overflow")) && w > 0 && h > 0;
        Outline edge = Outline.rectangle(new Rect(0, 0, w, h), 0).through(m);
        Rect all = made.stream().map(Made::box).reduce(null, (a, b) -> b.union(a), (a, b) -> a);
        Rect inner = edge.bounds();
        boolean inside = inner.grow(0.5).contains(all.topLeft()) && inner.grow(0.5).contains(all.bottomRight());
        return clips && !inside ? wrapped(name(e, "Drawing"), made, edge) : group(e, made);
    }

    private Made chosen(org.w3c.dom.Element e, Affine ctm, Map<String, String> css, int depth) throws FileProblem {
        for (Node n = e.getFirstChild(); n != null; n = n.getNextSibling()) {
            if (n instanceof org.w3c.dom.Element c && !c.hasAttribute("requiredExtensions") && !Style.name(c).equals("foreignObject")
                    && (c.getAttribute("systemLanguage").isEmpty() || c.getAttribute("systemLanguage").startsWith("en"))) {
                return element(c, ctm, css, depth + 1);
            }
        }
        return null;
    }

    private Made use(org.w3c.dom.Element e, Affine ctm, Map<String, String> css, int depth) throws FileProblem {
        String href = SvgXml.href(e);
        org.w3c.dom.Element of = href.startsWith("#") ? ids.get(href.substring(1)) : null;
        if (of == null) {
            report.lost(href.startsWith("#") ? "A copy of something that isn't there was left out" : "A part of another file was left out");
            return null;
        }
        for (Node up = e; up != null; up = up.getParentNode()) {
            if (up == of) {
                return null;
            }
        }
        if (!copied.add(of)) {
            // a copy of something that holds a copy of it, by whatever way
            return null;
        }
        Affine m = ctm.times(Affine.translate(SvgText.length(e.getAttribute("x"), 0, viewport.x(), 16), SvgText.length(e.getAttribute("y"), 0,
                viewport.y(), 16)));
        boolean was = inUse;
        inUse = true;
        String kind = Style.name(of);
        using = kind.equals("symbol") || kind.equals("svg") ? e : null;
        Made made = element(of, m, css, depth + 1);
        inUse = was;
        using = null;
        copied.remove(of);
        return made == null ? null : wrapped(name(e, name(of, "Copy")), List.of(made), null);
    }

    // --- shapes ---

    static boolean outside(Rect box) {
        double far = Math.max(Math.max(-box.x(), -box.y()), Math.max(box.right(), box.bottom()));
        return !(far < Limits.LENGTH / 2) || !Double.isFinite(box.width() + box.height());
    }

    static double em(Map<String, String> css) {
        return SvgText.length(css.get("font-size"), 16, 16, 16);
    }

    // --- clip paths ---

    // --- pictures ---

    private Made picture(org.w3c.dom.Element e, Affine ctm, Map<String, String> css) {
        String href = SvgXml.href(e).replaceAll("\\s+", "");
        if (!href.startsWith("data:")) {
            report.lost("A linked picture was left out: only pictures inside of the file are read");
            return null;
        }
        try {
            int comma = href.indexOf(',');
            byte[] data = Base64.getMimeDecoder().decode(href.substring(comma + 1));
            Asset a = pictures.read("picture in the drawing", data);
            assets.put(a.hash(), a);
            double w = SvgText.length(e.getAttribute("width"), a.width(), viewport.x(), 16);
            double h = SvgText.length(e.getAttribute("height"), a.height(), viewport.y(), 16);
            Rect r = new Rect(SvgText.length(e.getAttribute("x"), 0, viewport.x(), 16), SvgText.length(e.getAttribute("y"), 0, viewport.y(), 16), w,
                    h);
            if (!e.getAttribute("preserveAspectRatio").startsWith("none")) {
                double k = Math.min(w / a.width(), h / a.height());
                r = new Rect(r.x() + (w - a.width() * k) / 2, r.y() + (h - a.height() * k) / 2, a.width() * k, a.height() * k);
            }
            Placement p = Placement.of(ctm, report);
            Point size = new Point(r.width() * p.scaleX(), r.height() * Math.abs(p.scaleY()));
            Values v = Values.NONE.with(Properties.POSITION, ctm.apply(r.centre())).with(Properties.SIZE, size)
                    .with(Properties.ROTATION, p.rotation()).with(Properties.SCALE, new Point(1, p.scaleY() < 0 ? -1 : 1));
            return new Made(new Element(name(e, "Picture"), new Content.Picture(a.hash()), v), ctm.bounds(r));
        } catch (IOException | IllegalArgumentException x) {
            report.lost("A damaged picture was left out");
            return null;
        }
    }
}
