package tundra.core.draw;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Predicate;
import java.util.function.UnaryOperator;
import tundra.core.geometry.Contour;
import tundra.core.geometry.Cubic;
import tundra.core.geometry.Node;
import tundra.core.geometry.Outline;
import tundra.core.geometry.Point;

/** Changes of an outline's nodes. */
public final class NodeEdit {
    private static final int SAMPLES = 24;

    private NodeEdit() {}

    /** A node by its contour and its place in it. */
    public record Ref(int contour, int node) implements Comparable<Ref> {
        @Override
        public int compareTo(Ref o) {
            return contour != o.contour ? Integer.compare(contour, o.contour) : Integer.compare(node, o.node);
        }
    }

    /** A place on a segment: the segment that starts at a node, and the parameter on it. */
    public record OnSegment(int contour, int segment, double t, double distance) {}

    /** What a node can be turned into. */
    public enum Kind {
        CORNER, SMOOTH, SYMMETRIC
    }

    public static Node node(Outline o, Ref r) {
        return o.contours().get(r.contour()).nodes().get(r.node());
    }

    /** The place of the outline that is nearest to a point; null for an outline without segments. */
    public static OnSegment nearest(Outline o, Point p) {
        OnSegment best = null;
        for (int c = 0; c < o.contours().size(); c++) {
            int n = o.contours().get(c).segments().size();
            for (int s = 0; s < n; s++) {
                Cubic cubic = segment(o.contours().get(c), s);
                double far = best == null ? Double.POSITIVE_INFINITY : best.distance();
                if (best != null && !cubic.bounds().grow(far).contains(p)) {
                    continue;
                }
                double t = nearest(cubic, p), d = cubic.at(t).distance(p);
                if (d < far) {
                    best = new OnSegment(c, s, t, d);
                }
            }
        }
        return best;
    }

    /** A segment; a straight one runs evenly, so that its parameter is the fraction of its length. */
    private static Cubic segment(Contour c, int at) {
        Node a = c.nodes().get(at), b = c.nodes().get((at + 1) % c.nodes().size());
        return straight(a, b) ? Cubic.line(a.at(), b.at()) : new Cubic(a.at(), a.at().plus(a.out()), b.at().plus(b.in()), b.at());
    }

    private static boolean straight(Node a, Node b) {
        return a.out().equals(Point.ZERO) && b.in().equals(Point.ZERO);
    }

    /** The point at a place of the outline. */
    public static Point point(Outline o, OnSegment at) {
        return segment(o.contours().get(at.contour()), at.segment()).at(at.t());
    }

    private static double nearest(Cubic c, Point p) {
        double best = 0, far = Double.POSITIVE_INFINITY;
        for (int i = 0; i <= SAMPLES; i++) {
            double t = (double) i / SAMPLES, d = c.at(t).distance(p);
            if (d < far) {
                far = d;
                best = t;
            }
        }
        double step = 1.0 / SAMPLES;
        for (int i = 0; i < 30; i++) {
            step /= 2;
            double a = Math.max(0, best - step), b = Math.min(1, best + step);
            double da = c.at(a).distance(p), db = c.at(b).distance(p);
            if (da < far || db < far) {
                best = da < db ? a : b;
                far = Math.min(da, db);
            }
        }
        return best;
    }

    /** The outline with nodes changed one by one. */
    public static Outline map(Outline o, Set<Ref> refs, UnaryOperator<Node> change) {
        return mapContours(o, (i, c) -> {
            var nodes = new ArrayList<>(c.nodes());
            boolean any = false;
            for (Ref r : refs) {
                if (r.contour() == i) {
                    nodes.set(r.node(), change.apply(nodes.get(r.node())));
                    any = true;
                }
            }
            return any ? new Contour(nodes, c.closed()) : c;
        });
    }

    private interface Change {
        Contour of(int index, Contour c);
    }

    private static Outline mapContours(Outline o, Change change) {
        var out = new ArrayList<Contour>();
        for (int i = 0; i < o.contours().size(); i++) {
            Contour c = change.of(i, o.contours().get(i));
            if (c != null && !c.nodes().isEmpty()) {
                out.add(c);
            }
        }
        return new Outline(out);
    }

    /** Adds a node on a segment; the form stays as it is (de Casteljau). Gives the new node's place too. */
    public static Outline insert(Outline o, OnSegment at) {
        return mapContours(o, (i, c) -> {
            if (i != at.contour()) {
                return c;
            }
            Cubic[] halves = segment(c, at.segment()).split(at.t());
            var nodes = new ArrayList<>(c.nodes());
            int next = (at.segment() + 1) % nodes.size();
            Node a = nodes.get(at.segment()), b = nodes.get(next);
            if (straight(a, b)) {
                Point p = halves[0].p3();
                nodes.add(at.segment() + 1, Node.corner(p.x(), p.y()));
                return new Contour(nodes, c.closed());
            }
            nodes.set(at.segment(), new Node(a.at(), a.in(), halves[0].p1().minus(a.at()), a.smooth()));
            nodes.set(next, new Node(b.at(), halves[1].p2().minus(b.at()), nodes.get(next).out(), b.smooth()));
            Point m = halves[0].p3();
            nodes.add(at.segment() + 1, new Node(m, halves[0].p2().minus(m), halves[1].p1().minus(m), true));
            return new Contour(nodes, c.closed());
        });
    }

    /** Takes nodes away; each gap is closed by the one segment that lies nearest to what was there (least squares). */
    public static Outline delete(Outline o, Set<Ref> refs) {
        return mapContours(o, (i, c) -> {
            Contour out = c;
            for (Ref r : new TreeSet<>(refs).descendingSet()) {
                if (r.contour() == i && out != null) {
                    out = without(out, r.node());
                }
            }
            return out;
        });
    }

    private static Contour without(Contour c, int at) {
        int n = c.nodes().size();
        if (n <= 2) {
            return null;
        }
        var nodes = new ArrayList<>(c.nodes());
        boolean end = !c.closed() && (at == 0 || at == n - 1);
        if (!end) {
            int before = (at - 1 + n) % n, after = (at + 1) % n;
            Node a = nodes.get(before), m = nodes.get(at), b = nodes.get(after);
            if (!straight(a, m) || !straight(m, b)) {
                Cubic one = new Cubic(a.at(), a.at().plus(a.out()), m.at().plus(m.in()), m.at());
                Cubic two = new Cubic(m.at(), m.at().plus(m.out()), b.at().plus(b.in()), b.at());
                var samples = new ArrayList<Point>();
                for (int i = 0; i <= SAMPLES; i++) {
                    samples.add(one.at((double) i / SAMPLES));
                }
                for (int i = 1; i <= SAMPLES; i++) {
                    samples.add(two.at((double) i / SAMPLES));
                }
                Cubic fitted = FitCurve.one(samples, direction(one, 0), direction(two, 1));
                nodes.set(before, new Node(a.at(), a.in(), fitted.p1().minus(a.at()), a.smooth()));
                nodes.set(after, new Node(b.at(), fitted.p2().minus(b.at()), nodes.get(after).out(), b.smooth()));
            }
        }
        nodes.remove(at);
        if (!c.closed() && end) {
            int last = nodes.size() - 1;
            nodes.set(0, new Node(nodes.get(0).at(), Point.ZERO, nodes.get(0).out(), false));
            nodes.set(last, new Node(nodes.get(last).at(), nodes.get(last).in(), Point.ZERO, false));
        }
        return new Contour(nodes, c.closed());
    }

    /** The unit direction into the curve from an end. */
    private static Point direction(Cubic c, int end) {
        double r = Math.toRadians(c.direction(end) + (end == 1 ? 180 : 0));
        return new Point(Math.cos(r), Math.sin(r));
    }

    /** Turns nodes into corners, smooth or symmetric ones. A corner without handles gets some from its neighbours. */
    public static Outline convert(Outline o, Set<Ref> refs, Kind kind) {
        return mapContours(o, (i, c) -> {
            var nodes = new ArrayList<>(c.nodes());
            int n = nodes.size();
            for (Ref r : refs) {
                if (r.contour() == i) {
                    Node before = r.node() > 0 || c.closed() ? nodes.get((r.node() - 1 + n) % n) : null;
                    Node after = r.node() < n - 1 || c.closed() ? nodes.get((r.node() + 1) % n) : null;
                    nodes.set(r.node(), converted(nodes.get(r.node()), before, after, kind));
                }
            }
            return new Contour(nodes, c.closed());
        });
    }

    private static Node converted(Node node, Node before, Node after, Kind kind) {
        if (kind == Kind.CORNER) {
            return node.smooth() ? new Node(node.at(), node.in(), node.out(), false) : new Node(node.at(), Point.ZERO, Point.ZERO, false);
        }
        Point in = node.in(), out = node.out();
        Point way = out.minus(in);
        if (way.length() < 1e-9) {
            Point a = before == null ? node.at() : before.at(), b = after == null ? node.at() : after.at();
            way = b.minus(a);
        }
        if (way.length() < 1e-9) {
            return node;
        }
        Point unit = way.times(1 / way.length());
        double lin = in.length() > 1e-9 ? in.length() : before == null ? 0 : before.at().distance(node.at()) / 3;
        double lout = out.length() > 1e-9 ? out.length() : after == null ? 0 : after.at().distance(node.at()) / 3;
        if (kind == Kind.SYMMETRIC) {
            lin = lout = (lin + lout) / 2;
        }
        return new Node(node.at(), unit.times(-lin), unit.times(lout), true);
    }

    /** Drags a handle of a node; the other one of a smooth node turns along, and goes along in length when {@code mirror} is set. */
    public static Node pull(Node n, boolean out, Point to, boolean mirror, boolean apart) {
        Point other = out ? n.in() : n.out();
        boolean smooth = n.smooth() && !apart;
        if (smooth && to.length() > 1e-9) {
            double l = mirror ? to.length() : other.length();
            other = to.times(-l / to.length());
        }
        return out ? new Node(n.at(), other, to, smooth) : new Node(n.at(), to, other, smooth);
    }

    /**
     * Bends a segment so that its point at {@code t} moves by an offset. Both handles share the way by their weight at the
     * place (Bernstein polynomials); of a smooth end the other handle turns along.
     */
    public static Outline bend(Outline o, OnSegment at, Point by) {
        return mapContours(o, (i, c) -> {
            if (i != at.contour()) {
                return c;
            }
            double t = Math.max(0.08, Math.min(0.92, at.t())), u = 1 - t;
            double w1 = 3 * u * u * t, w2 = 3 * u * t * t, sum = w1 * w1 + w2 * w2;
            var nodes = new ArrayList<>(c.nodes());
            int next = (at.segment() + 1) % nodes.size();
            Node a = nodes.get(at.segment()), b = nodes.get(next);
            Cubic s = segment(c, at.segment());
            Point out = s.p1().minus(a.at()), in = s.p2().minus(b.at());
            nodes.set(at.segment(), pull(a, true, out.plus(by.times(w1 / sum)), false, false));
            nodes.set(next, pull(nodes.get(next), false, in.plus(by.times(w2 / sum)), false, false));
            return new Contour(nodes, c.closed());
        });
    }

    /** Opens the outline at nodes: each becomes two ends in one place. */
    public static Outline breakAt(Outline o, Set<Ref> refs) {
        var out = new ArrayList<Contour>();
        for (int i = 0; i < o.contours().size(); i++) {
            Contour c = o.contours().get(i);
            int contour = i;
            List<Integer> cuts = refs.stream().filter(r -> r.contour() == contour).map(Ref::node).sorted().toList();
            out.addAll(broken(c, cuts));
        }
        return new Outline(out);
    }

    private static List<Contour> broken(Contour c, List<Integer> cuts) {
        if (cuts.isEmpty()) {
            return List.of(c);
        }
        int n = c.nodes().size();
        var run = new ArrayList<Node>();
        var out = new ArrayList<Contour>();
        int start = c.closed() ? cuts.getFirst() : 0;
        int count = c.closed() ? n + 1 : n;
        for (int k = 0; k < count; k++) {
            int at = (start + k) % n;
            Node node = c.nodes().get(at);
            run.add(node);
            if (cuts.contains(at) && run.size() > 1) {
                out.add(openRun(run));
                run.clear();
                run.add(node);
            }
        }
        if (run.size() > 1) {
            out.add(openRun(run));
        }
        return out;
    }

    private static Contour openRun(List<Node> run) {
        var nodes = new ArrayList<>(run);
        Node first = nodes.getFirst(), last = nodes.getLast();
        nodes.set(0, new Node(first.at(), Point.ZERO, first.out(), false));
        nodes.set(nodes.size() - 1, new Node(last.at(), last.in(), Point.ZERO, false));
        return new Contour(nodes, false);
    }

    /** Joins two ends of open contours — of one, which closes it, or of two, which makes them one — in the middle between them. */
    public static Outline join(Outline o, Ref a, Ref b) {
        if (!end(o, a) || !end(o, b) || a.equals(b)) {
            return o;
        }
        if (a.contour() == b.contour()) {
            return mapContours(o, (i, c) -> i == a.contour() ? closed(c) : c);
        }
        Contour first = o.contours().get(a.contour()), second = o.contours().get(b.contour());
        List<Node> left = a.node() == 0 ? reversed(first.nodes()) : first.nodes();
        List<Node> right = b.node() == 0 ? second.nodes() : reversed(second.nodes());
        var nodes = new ArrayList<>(left.subList(0, left.size() - 1));
        nodes.add(middle(left.getLast(), right.getFirst()));
        nodes.addAll(right.subList(1, right.size()));
        var out = new ArrayList<>(o.contours());
        out.set(a.contour(), new Contour(nodes, false));
        out.remove(b.contour());
        return new Outline(out);
    }

    private static boolean end(Outline o, Ref r) {
        Contour c = o.contours().get(r.contour());
        return !c.closed() && (r.node() == 0 || r.node() == c.nodes().size() - 1);
    }

    private static Node middle(Node end, Node start) {
        Point at = end.at().lerp(start.at(), 0.5);
        return new Node(at, end.in(), start.out(), false);
    }

    private static Contour closed(Contour c) {
        var nodes = new ArrayList<>(c.nodes());
        Node last = nodes.getLast(), first = nodes.getFirst();
        if (nodes.size() > 2 && last.at().distance(first.at()) < 1) {
            nodes.removeLast();
            nodes.set(0, middle(last, first));
        }
        return new Contour(nodes, true);
    }

    private static List<Node> reversed(List<Node> nodes) {
        return nodes.reversed().stream().map(n -> new Node(n.at(), n.out(), n.in(), n.smooth())).toList();
    }

    /** Closes all contours by a straight segment, or opens them at their first node. */
    public static Outline withClosed(Outline o, boolean close) {
        return mapContours(o, (i, c) -> close ? c.nodes().size() > 1 ? closed(c) : c : new Contour(c.nodes(), false));
    }

    /** All nodes within an area, by their number. */
    public static Set<Ref> inside(Outline o, Predicate<Point> area) {
        var out = new TreeSet<Ref>(Comparator.naturalOrder());
        Map<Ref, Point> all = new LinkedHashMap<>();
        for (int c = 0; c < o.contours().size(); c++) {
            for (int n = 0; n < o.contours().get(c).nodes().size(); n++) {
                all.put(new Ref(c, n), o.contours().get(c).nodes().get(n).at());
            }
        }
        all.forEach((r, p) -> {
            if (area.test(p)) {
                out.add(r);
            }
        });
        return out;
    }
}
