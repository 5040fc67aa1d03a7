package tundra.samples;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import tundra.core.geometry.Affine;
import tundra.core.geometry.Contour;
import tundra.core.geometry.Node;
import tundra.core.geometry.Outline;
import tundra.core.geometry.Point;
import tundra.core.geometry.Rect;
import tundra.core.model.Color;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.FontSource;
import tundra.core.model.Properties;
import tundra.core.model.Values;

/** Short ways to draw. Coordinates are those of the parent; ids are made from the names, so that a file comes out the same. */
final class Art {
    private Art() {}

    static Color color(String hex) {
        return Color.parse(hex);
    }

    static Element named(String name, Content content, Values rest) {
        return new Element("s-" + name.toLowerCase(Locale.ROOT).replaceAll("[^a-z0-9]+", "-"), name, false, false, rest, content);
    }

    private static Values boxed(Rect r) {
        return Values.NONE.with(Properties.POSITION, r.centre()).with(Properties.SIZE, new Point(r.width(), r.height()));
    }

    static Element rectangle(String name, double x, double y, double w, double h, double radius, String fill) {
        Values v = boxed(new Rect(x, y, w, h)).with(Properties.FILL, color(fill));
        return named(name, new Content.Rectangle(), radius > 0 ? v.with(Properties.CORNER_RADIUS, radius) : v);
    }

    static Element circle(String name, double cx, double cy, double r, String fill) {
        return named(name, new Content.Ellipse(), boxed(new Rect(cx - r, cy - r, 2 * r, 2 * r)).with(Properties.FILL, color(fill)));
    }

    static Element polygon(String name, String fill, double... xy) {
        return path(name, Outline.polygon(xy)).with(Properties.FILL, color(fill));
    }

    /** A stroked open line through points. */
    static Element line(String name, String stroke, double width, double... xy) {
        Contour c = Outline.polygon(xy).contours().getFirst();
        return path(name, new Outline(List.of(new Contour(c.nodes(), false)))).with(Properties.STROKE, color(stroke))
                .with(Properties.STROKE_WIDTH, width);
    }

    /** An outline in the parent's coordinates as an element. */
    static Element path(String name, Outline outline) {
        Rect r = outline.bounds();
        return named(name, new Content.Path(outline.through(Affine.translate(-r.x(), -r.y())), new Point(r.width(), r.height())), boxed(r));
    }

    /** A smooth curve through points, level at each of them. */
    static List<Node> swell(double... xy) {
        var nodes = new ArrayList<Node>();
        int n = xy.length / 2;
        for (int i = 0; i < n; i++) {
            double before = i > 0 ? xy[2 * i - 2] : xy[0], after = i + 1 < n ? xy[2 * i + 2] : xy[2 * i];
            double reach = (after - before) / 5;
            double slope = i == 0 || i + 1 == n ? 0 : (xy[2 * i + 3] - xy[2 * i - 1]) / (after - before);
            nodes.add(Node.smooth(new Point(xy[2 * i], xy[2 * i + 1]), new Point(reach, reach * slope)));
        }
        return nodes;
    }

    /** The ground below a swell. */
    static Element ground(String name, String fill, double bottom, double... xy) {
        var nodes = swell(xy);
        nodes.add(Node.corner(xy[xy.length - 2], bottom));
        nodes.add(Node.corner(xy[0], bottom));
        nodes.set(0, open(nodes.getFirst(), true));
        nodes.set(xy.length / 2 - 1, open(nodes.get(xy.length / 2 - 1), false));
        return path(name, new Outline(List.of(new Contour(nodes, true)))).with(Properties.FILL, color(fill));
    }

    private static Node open(Node n, boolean first) {
        return new Node(n.at(), first ? Point.ZERO : n.in(), first ? n.out() : Point.ZERO, false);
    }

    /** Text whose top left corner is given; it turns around that corner. */
    static Element text(String name, String text, double x, double y, int weight, double size, String fill) {
        return named(name, new Content.Text(text, FontSource.STANDARD, weight, size, Content.Align.LEFT, 1.25),
                Values.NONE.with(Properties.POSITION, new Point(x, y)).with(Properties.PIVOT, Point.ZERO).with(Properties.FILL, color(fill)));
    }

    /** A group whose box is given, with children in the coordinates of its parent. */
    static Element group(String name, Rect box, Point pivot, List<Element> children) {
        var inside = children.stream().map(c -> c.with(Properties.POSITION, c.rest().get(Properties.POSITION).minus(box.topLeft()))).toList();
        Point at = box.topLeft().plus(pivot.times(new Point(box.width(), box.height())));
        return named(name, new Content.Group(inside, new Point(box.width(), box.height())),
                Values.NONE.with(Properties.POSITION, at).with(Properties.PIVOT, pivot));
    }
}
