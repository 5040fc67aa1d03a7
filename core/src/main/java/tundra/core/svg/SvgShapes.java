package tundra.core.svg;

import java.util.ArrayList;
import java.util.List;
import org.w3c.dom.Element;
import tundra.core.geometry.Contour;
import tundra.core.geometry.Cubic;
import tundra.core.geometry.Node;
import tundra.core.geometry.Outline;
import tundra.core.geometry.Point;
import tundra.core.geometry.Rect;

/** The outlines of SVG's shapes in their own space. */
final class SvgShapes {
    private SvgShapes() {}

    /** Null when the element is no shape, or one that isn't drawn. */
    static Outline outline(Element e, Point viewport, double em) {
        double w = viewport.x(), h = viewport.y(), d = Math.hypot(w, h) / Math.sqrt(2);
        return switch (Style.name(e)) {
            case "path" -> PathData.read(e.getAttribute("d"));
            case "rect" -> rectangle(e, w, h, em);
            case "circle" -> {
                double r = SvgText.length(e.getAttribute("r"), 0, d, em);
                yield r <= 0 ? null : ellipse(SvgText.length(e.getAttribute("cx"), 0, w, em), SvgText.length(e.getAttribute("cy"), 0, h, em), r, r);
            }
            case "ellipse" -> {
                double rx = SvgText.length(e.getAttribute("rx"), 0, w, em), ry = SvgText.length(e.getAttribute("ry"), 0, h, em);
                yield rx <= 0 || ry <= 0 ? null
                        : ellipse(SvgText.length(e.getAttribute("cx"), 0, w, em), SvgText.length(e.getAttribute("cy"), 0, h, em), rx, ry);
            }
            case "line" -> Outline.of(false,
                    Node.corner(SvgText.length(e.getAttribute("x1"), 0, w, em), SvgText.length(e.getAttribute("y1"), 0, h, em)),
                    Node.corner(SvgText.length(e.getAttribute("x2"), 0, w, em), SvgText.length(e.getAttribute("y2"), 0, h, em)));
            case "polyline" -> points(e, false);
            case "polygon" -> points(e, true);
            default -> null;
        };
    }

    /** Starts at the right and goes clockwise, as dashes do in a browser. */
    private static Outline ellipse(double cx, double cy, double rx, double ry) {
        double kx = rx * Outline.QUARTER, ky = ry * Outline.QUARTER;
        return Outline.of(true, Node.smooth(new Point(cx + rx, cy), new Point(0, ky)), Node.smooth(new Point(cx, cy + ry), new Point(-kx, 0)),
                Node.smooth(new Point(cx - rx, cy), new Point(0, -ky)), Node.smooth(new Point(cx, cy - ry), new Point(kx, 0)));
    }

    private static Outline rectangle(Element e, double w, double h, double em) {
        double x = SvgText.length(e.getAttribute("x"), 0, w, em), y = SvgText.length(e.getAttribute("y"), 0, h, em);
        double width = SvgText.length(e.getAttribute("width"), 0, w, em), height = SvgText.length(e.getAttribute("height"), 0, h, em);
        if (width <= 0 || height <= 0) {
            return null;
        }
        double rx = SvgText.length(e.getAttribute("rx"), -1, w, em), ry = SvgText.length(e.getAttribute("ry"), -1, h, em);
        rx = rx < 0 ? Math.max(0, ry) : rx;
        ry = ry < 0 ? rx : ry;
        rx = Math.min(rx, width / 2);
        ry = Math.min(ry, height / 2);
        if (rx <= 0 || ry <= 0) {
            return Outline.rectangle(new Rect(x, y, width, height), 0);
        }
        double r = x + width, b = y + height;
        var out = new ArrayList<Cubic>();
        line(out, new Point(x + rx, y), new Point(r - rx, y));
        out.addAll(Arcs.cubics(new Point(r - rx, y), new Point(r, y + ry), rx, ry, 0, false, true));
        line(out, new Point(r, y + ry), new Point(r, b - ry));
        out.addAll(Arcs.cubics(new Point(r, b - ry), new Point(r - rx, b), rx, ry, 0, false, true));
        line(out, new Point(r - rx, b), new Point(x + rx, b));
        out.addAll(Arcs.cubics(new Point(x + rx, b), new Point(x, b - ry), rx, ry, 0, false, true));
        line(out, new Point(x, b - ry), new Point(x, y + ry));
        out.addAll(Arcs.cubics(new Point(x, y + ry), new Point(x + rx, y), rx, ry, 0, false, true));
        return new Outline(List.of(Contour.of(out, true)));
    }

    private static void line(List<Cubic> out, Point a, Point b) {
        if (a.distance(b) > 1e-9) {
            out.add(new Cubic(a, a, b, b));
        }
    }

    private static Outline points(Element e, boolean closed) {
        double[] v = SvgText.numbers(e.getAttribute("points"));
        var nodes = new ArrayList<Node>();
        for (int i = 0; i + 1 < v.length; i += 2) {
            nodes.add(Node.corner(v[i], v[i + 1]));
        }
        return nodes.size() < 2 ? null : new Outline(List.of(new Contour(nodes, closed)));
    }
}
