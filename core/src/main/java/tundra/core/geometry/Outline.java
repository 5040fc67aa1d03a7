package tundra.core.geometry;

import java.util.ArrayList;
import java.util.List;

/** A drawable outline: any number of contours, filled by the non-zero rule. */
public record Outline(List<Contour> contours) {
    /** Handle length for a quarter of a circle of radius 1 (error 2.7e-4 of the radius). */
    public static final double QUARTER = 4.0 / 3 * (Math.sqrt(2) - 1);

    public Outline {
        contours = List.copyOf(contours);
    }

    public static Outline of(boolean closed, Node... nodes) {
        return new Outline(List.of(new Contour(List.of(nodes), closed)));
    }

    /** A closed polygon from x, y pairs. */
    public static Outline polygon(double... xy) {
        var nodes = new ArrayList<Node>();
        for (int i = 0; i + 1 < xy.length; i += 2) {
            nodes.add(Node.corner(xy[i], xy[i + 1]));
        }
        return new Outline(List.of(new Contour(nodes, true)));
    }

    public static Outline ellipse(Rect r) {
        double rx = r.width() / 2, ry = r.height() / 2, kx = rx * QUARTER, ky = ry * QUARTER;
        Point c = r.centre();
        return of(true,
                Node.smooth(new Point(c.x(), r.y()), new Point(kx, 0)),
                Node.smooth(new Point(r.right(), c.y()), new Point(0, ky)),
                Node.smooth(new Point(c.x(), r.bottom()), new Point(-kx, 0)),
                Node.smooth(new Point(r.x(), c.y()), new Point(0, -ky)));
    }

    /** A rectangle with round corners; the radius is at most half of the shorter side. */
    public static Outline rectangle(Rect r, double radius) {
        double q = Math.min(radius, Math.min(r.width(), r.height()) / 2);
        if (q <= 0) {
            return polygon(r.x(), r.y(), r.right(), r.y(), r.right(), r.bottom(), r.x(), r.bottom());
        }
        double k = q * QUARTER;
        var nodes = new ArrayList<Node>();
        double[][] corners = {{r.right(), r.y(), 1, 0}, {r.right(), r.bottom(), 0, 1}, {r.x(), r.bottom(), -1, 0}, {r.x(), r.y(), 0, -1}};
        for (double[] c : corners) {
            Point corner = new Point(c[0], c[1]), along = new Point(c[2], c[3]), next = new Point(-c[3], c[2]);
            nodes.add(new Node(corner.minus(along.times(q)), Point.ZERO, along.times(k), false));
            nodes.add(new Node(corner.plus(next.times(q)), next.times(-k), Point.ZERO, false));
        }
        return new Outline(List.of(new Contour(nodes, true)));
    }

    /** A regular polygon, or a star, in the ellipse that fills a box from the origin; its first corner is at the top. */
    public static Outline star(Point size, int points, double inner) {
        boolean star = inner < 1;
        int n = star ? 2 * points : points;
        double[] xy = new double[2 * n];
        for (int i = 0; i < n; i++) {
            double a = 2 * Math.PI * i / n, r = star && i % 2 == 1 ? inner : 1;
            xy[2 * i] = size.x() / 2 * (1 + r * Math.sin(a));
            xy[2 * i + 1] = size.y() / 2 * (1 - r * Math.cos(a));
        }
        return polygon(xy);
    }

    public List<Cubic> segments() {
        return contours.stream().flatMap(c -> c.segments().stream()).toList();
    }

    /** The tight bounds of the curve itself, without any stroke; null when there is no node. */
    public Rect bounds() {
        Rect all = null;
        for (Contour c : contours) {
            for (Node n : c.nodes()) {
                all = new Rect(n.at().x(), n.at().y(), 0, 0).union(all);
            }
            for (Cubic s : c.segments()) {
                all = s.bounds().union(all);
            }
        }
        return all;
    }

    public Outline through(Affine m) {
        return new Outline(contours.stream().map(c -> c.through(m)).toList());
    }

    /** SVG path data, absolute commands, three decimals. */
    public String svgPath() {
        var s = new StringBuilder();
        for (Contour c : contours) {
            if (c.nodes().isEmpty()) {
                continue;
            }
            append(s.append('M'), c.nodes().getFirst().at());
            int n = c.nodes().size();
            for (int i = 0; i < (c.closed() && n > 1 ? n : n - 1); i++) {
                Node a = c.nodes().get(i), b = c.nodes().get((i + 1) % n);
                if (a.out().equals(Point.ZERO) && b.in().equals(Point.ZERO)) {
                    if (i + 1 < n) {
                        append(s.append('L'), b.at());
                    }
                } else {
                    append(s.append('C'), a.at().plus(a.out()));
                    append(s.append(' '), b.at().plus(b.in()));
                    append(s.append(' '), b.at());
                }
            }
            if (c.closed()) {
                s.append('Z');
            }
        }
        return s.toString();
    }

    private static void append(StringBuilder s, Point p) {
        s.append(Numbers.plain(p.x(), 3)).append(' ').append(Numbers.plain(p.y(), 3));
    }

    /** SVG path data in which every segment is a curve, so that outlines of as many nodes have texts of the same form. */
    public String svgCurves(int decimals) {
        var s = new StringBuilder();
        for (Contour c : contours) {
            if (c.nodes().isEmpty()) {
                continue;
            }
            number(s.append('M'), c.nodes().getFirst().at(), decimals);
            for (Cubic g : c.segments()) {
                number(s.append('C'), g.p1(), decimals);
                number(s.append(' '), g.p2(), decimals);
                number(s.append(' '), g.p3(), decimals);
            }
            s.append(c.closed() ? "Z" : "");
        }
        return s.toString();
    }

    private static void number(StringBuilder s, Point p, int decimals) {
        s.append(Numbers.plain(p.x(), decimals)).append(' ').append(Numbers.plain(p.y(), decimals));
    }
}
