package tundra.core.svg;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;
import org.w3c.dom.Element;
import org.w3c.dom.Node;
import tundra.core.geometry.Affine;
import tundra.core.geometry.Point;
import tundra.core.geometry.Rect;
import tundra.core.model.Color;
import tundra.core.model.Gradient;
import tundra.core.model.Paint;

/** Reads gradients, with what they take from others by reference. */
final class Gradients {
    /** Gradients whose ends lie so many boxes away aren't told from a colour. */
    private static final double FAR = 1e5;
    private final Map<String, Element> ids;
    private final Style style;

    Gradients(Map<String, Element> ids, Style style) {
        this.ids = ids;
        this.style = style;
    }

    /**
     * A gradient for a shape; null when the element isn't a gradient with stops.
     *
     * @param bounds of the shape in its own space
     * @param ctm from that space to the drawing
     * @param box the shape's box in the drawing
     * @param opacity multiplies the alpha of all stops
     */
    Paint read(Element e, Rect bounds, Affine ctm, Rect box, Point viewport, double opacity) {
        List<Element> chain = chain(e);
        boolean linear = Style.name(e).equals("linearGradient");
        if (!linear && !Style.name(e).equals("radialGradient")) {
            return null;
        }
        var stops = stops(chain, opacity);
        if (stops.isEmpty()) {
            return Color.NONE;
        }
        if (stops.size() == 1) {
            return stops.getFirst().color();
        }
        boolean user = attribute(chain, "gradientUnits", "objectBoundingBox").equals("userSpaceOnUse");
        if (!user && (bounds.width() == 0 || bounds.height() == 0)) {
            return Color.NONE;
        }
        double w = user ? viewport.x() : 1, h = user ? viewport.y() : 1;
        Affine units = user ? Affine.IDENTITY : new Affine(bounds.width(), 0, 0, bounds.height(), bounds.x(), bounds.y());
        Affine own = SvgText.transform(attribute(chain, "gradientTransform", null));
        Affine geometry;
        Point focus = Point.ZERO;
        if (linear) {
            double x1 = SvgText.length(attribute(chain, "x1", "0%"), 0, w, 16), y1 = SvgText.length(attribute(chain, "y1", "0%"), 0, h, 16);
            double x2 = SvgText.length(attribute(chain, "x2", "100%"), w, w, 16), y2 = SvgText.length(attribute(chain, "y2", "0%"), 0, h, 16);
            geometry = new Affine(x2 - x1, y2 - y1, y1 - y2, x2 - x1, x1, y1);
        } else {
            double diagonal = user ? Math.hypot(w, h) / Math.sqrt(2) : 1;
            double cx = SvgText.length(attribute(chain, "cx", "50%"), w / 2, w, 16), cy = SvgText.length(attribute(chain, "cy", "50%"), h / 2, h, 16);
            double r = SvgText.length(attribute(chain, "r", "50%"), diagonal / 2, diagonal, 16);
            double fx = SvgText.length(attribute(chain, "fx", null), cx, w, 16), fy = SvgText.length(attribute(chain, "fy", null), cy, h, 16);
            if (r <= 0) {
                return stops.getLast().color();
            }
            geometry = new Affine(r, 0, 0, r, cx, cy);
            focus = new Point((fx - cx) / r, (fy - cy) / r);
        }
        Affine all = Affine.translate(-box.x(), -box.y()).times(ctm).times(units).times(own).times(geometry);
        if (!all.invertible()) {
            return stops.getLast().color();
        }
        var spread = switch (attribute(chain, "spreadMethod", "pad").toLowerCase(Locale.ROOT)) {
            case "repeat" -> Gradient.Spread.REPEAT;
            case "reflect" -> Gradient.Spread.REFLECT;
            default -> Gradient.Spread.PAD;
        };
        var g = new Gradient(linear ? Gradient.Kind.LINEAR : Gradient.Kind.RADIAL, Point.ZERO, new Point(1, 0), new Point(0, 1), focus, spread,
                stops);
        Gradient placed = g.through(all, new Point(box.width(), box.height()));
        // on a box that is next to nothing beside it one colour of it is seen
        double far = Stream.of(placed.start(), placed.end(), placed.side(), placed.focus())
                .mapToDouble(p -> Math.max(Math.abs(p.x()), Math.abs(p.y()))).max().orElse(0);
        return far < FAR ? placed : stops.get(stops.size() / 2).color();
    }

    private List<Element> chain(Element e) {
        var out = new ArrayList<Element>();
        Set<Element> seen = new HashSet<>();
        for (Element at = e; at != null && seen.add(at);) {
            out.add(at);
            String href = SvgXml.href(at);
            at = href.startsWith("#") ? ids.get(href.substring(1)) : null;
        }
        return out;
    }

    private static String attribute(List<Element> chain, String name, String standard) {
        return chain.stream().filter(e -> e.hasAttribute(name)).map(e -> e.getAttribute(name).strip()).findFirst().orElse(standard);
    }

    private List<Gradient.Stop> stops(List<Element> chain, double opacity) {
        for (Element e : chain) {
            var out = new ArrayList<Gradient.Stop>();
            double last = 0;
            for (Node n = e.getFirstChild(); n != null; n = n.getNextSibling()) {
                if (n instanceof Element s && Style.name(s).equals("stop") && out.size() < Gradient.MAX_STOPS) {
                    var css = style.of(s, inherited(s));
                    Color c = SvgText.color(css.getOrDefault("stop-color", "black"), SvgText.color(css.getOrDefault("color", "black"), Color.BLACK));
                    c = c == null ? Color.BLACK : c;
                    double alpha = c.alpha() * Math.max(0, Math.min(1, SvgText.fraction(css.get("stop-opacity"), 1))) * opacity;
                    last = Math.max(last, Math.max(0, Math.min(1, SvgText.fraction(s.getAttribute("offset"), 0))));
                    out.add(new Gradient.Stop(last, c.withAlpha((int) Math.round(alpha))));
                }
            }
            if (!out.isEmpty()) {
                return out;
            }
        }
        return List.of();
    }

    private Map<String, String> inherited(Element stop) {
        return stop.getParentNode() instanceof Element p && p.hasAttribute("color") ? Map.of("color", p.getAttribute("color")) : Map.of();
    }
}
