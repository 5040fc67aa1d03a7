package tundra.core.model;

import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import tundra.core.geometry.Contour;
import tundra.core.geometry.Cubic;
import tundra.core.geometry.Node;
import tundra.core.geometry.Outline;
import tundra.core.geometry.Point;
import tundra.core.motion.Key;
import tundra.core.motion.Track;

/**
 * Outlines between two keys: the nodes are matched in order from the first one on. The contour with fewer nodes gets more by
 * cutting its longest segments, which leaves its form as it is; a contour that the other outline lacks grows out of its middle.
 */
public final class Morph {
    /** Blends outlines again and again, as along a track: their nodes are matched once for every two of them. One thread at a time. */
    public static final class Matching implements Track.Blend<Outline> {
        private final Map<Ends, Pair> known = new HashMap<>();

        @Override
        public Outline at(Outline a, Outline b, double p) {
            return a == b ? a : blended(known.computeIfAbsent(new Ends(a, b), k -> matched(a, b)), p);
        }
    }

    /** Two outlines by their instances: comparing all nodes would cost as much as matching them. */
    private record Ends(Outline a, Outline b) {
        @Override
        public boolean equals(Object o) {
            return o instanceof Ends e && e.a == a && e.b == b;
        }

        @Override
        public int hashCode() {
            return System.identityHashCode(a) * 31 + System.identityHashCode(b);
        }
    }

    private Morph() {}

    /** The fastest that a node goes, in px per s, by samples of each interval. */
    public static double speed(Track<Outline> track) {
        int samples = 8;
        var blend = new Matching();
        double most = 0;
        for (int i = 0; i + 1 < track.keys().size(); i++) {
            Key<Outline> a = track.keys().get(i), b = track.keys().get(i + 1);
            double seconds = (b.time() - a.time()) / 1e6 / samples;
            List<Point> before = nodes(blend, a, b, 0);
            for (int s = 1; s <= samples; s++) {
                List<Point> now = nodes(blend, a, b, (double) s / samples);
                for (int n = 0; n < Math.min(now.size(), before.size()); n++) {
                    most = Math.max(most, now.get(n).minus(before.get(n)).length() / seconds);
                }
                before = now;
            }
        }
        return most;
    }

    private static List<Point> nodes(Matching blend, Key<Outline> a, Key<Outline> b, double p) {
        return blend.at(a.value(), b.value(), a.easing().at(p)).contours().stream().flatMap(c -> c.nodes().stream()).map(Node::at).toList();
    }

    /** Two outlines with as many contours and nodes. */
    public record Pair(Outline from, Outline to) {}

    public static Outline at(Outline a, Outline b, double p) {
        return a == b ? a : blended(matched(a, b), p);
    }

    private static Outline blended(Pair matched, double p) {
        return blend(matched.from, matched.to, p);
    }

    /** Both forms with their nodes matched; the forms themselves are what they were. */
    public static Pair matched(Outline a, Outline b) {
        var from = new ArrayList<Contour>();
        var to = new ArrayList<Contour>();
        int n = Math.max(a.contours().size(), b.contours().size());
        for (int i = 0; i < n; i++) {
            Contour x = i < a.contours().size() ? a.contours().get(i) : seed(b.contours().get(i));
            Contour y = i < b.contours().size() ? b.contours().get(i) : seed(a.contours().get(i));
            boolean closed = x.closed() && y.closed();
            x = opened(x, closed);
            y = opened(y, closed);
            int nodes = Math.max(x.nodes().size(), y.nodes().size());
            from.add(cut(x, nodes));
            to.add(cut(y, nodes));
        }
        return new Pair(new Outline(from), new Outline(to));
    }

    /** A contour as small as a point, in the middle of the one that it grows into. */
    private static Contour seed(Contour c) {
        Point sum = Point.ZERO;
        for (Node n : c.nodes()) {
            sum = sum.plus(n.at());
        }
        Point middle = c.nodes().isEmpty() ? Point.ZERO : sum.times(1.0 / c.nodes().size());
        return new Contour(c.nodes().stream().map(n -> new Node(middle, Point.ZERO, Point.ZERO, false)).toList(), c.closed());
    }

    /** A closed contour that has to meet an open one ends where it began. */
    private static Contour opened(Contour c, boolean closed) {
        if (!c.closed() || closed || c.nodes().isEmpty()) {
            return c;
        }
        var nodes = new ArrayList<>(c.nodes());
        nodes.add(nodes.getFirst());
        return new Contour(nodes, false);
    }

    private static Contour cut(Contour c, int nodes) {
        if (c.nodes().isEmpty() || c.nodes().size() == nodes) {
            return c;
        }
        if (c.nodes().size() == 1) {
            return new Contour(Collections.nCopies(nodes, c.nodes().getFirst()), c.closed());
        }
        var segments = new ArrayList<>(c.segments());
        int wanted = c.closed() ? nodes : nodes - 1;
        while (segments.size() < wanted) {
            int longest = 0;
            for (int i = 1; i < segments.size(); i++) {
                if (segments.get(i).length(0, 1) > segments.get(longest).length(0, 1) + 1e-6) {
                    longest = i;
                }
            }
            Cubic[] halves = segments.remove(longest).split(0.5);
            segments.addAll(longest, List.of(halves));
        }
        return Contour.of(segments, c.closed());
    }

    private static Outline blend(Outline a, Outline b, double p) {
        var out = new ArrayList<Contour>();
        for (int i = 0; i < a.contours().size(); i++) {
            List<Node> x = a.contours().get(i).nodes(), y = b.contours().get(i).nodes();
            var nodes = new ArrayList<Node>(x.size());
            for (int k = 0; k < x.size(); k++) {
                Node m = x.get(k), n = y.get(k);
                nodes.add(new Node(m.at().lerp(n.at(), p), m.in().lerp(n.in(), p), m.out().lerp(n.out(), p), m.smooth() && n.smooth()));
            }
            out.add(new Contour(nodes, a.contours().get(i).closed()));
        }
        return new Outline(out);
    }

    /** {@code a} changed as {@code from} was to become {@code to}; {@code to} itself where their nodes don't match. */
    static Outline shifted(Outline a, Outline from, Outline to) {
        if (!alike(a, from) || !alike(from, to)) {
            return a.equals(from) ? to : a;
        }
        var out = new ArrayList<Contour>();
        for (int i = 0; i < a.contours().size(); i++) {
            var nodes = new ArrayList<Node>();
            for (int k = 0; k < a.contours().get(i).nodes().size(); k++) {
                Node x = a.contours().get(i).nodes().get(k), f = from.contours().get(i).nodes().get(k), t = to.contours().get(i).nodes().get(k);
                nodes.add(new Node(x.at().plus(t.at()).minus(f.at()), x.in().plus(t.in()).minus(f.in()), x.out().plus(t.out()).minus(f.out()),
                        t.smooth()));
            }
            out.add(new Contour(nodes, a.contours().get(i).closed()));
        }
        return new Outline(out);
    }

    private static boolean alike(Outline a, Outline b) {
        if (a.contours().size() != b.contours().size()) {
            return false;
        }
        for (int i = 0; i < a.contours().size(); i++) {
            Contour x = a.contours().get(i), y = b.contours().get(i);
            if (x.nodes().size() != y.nodes().size() || x.closed() != y.closed()) {
                return false;
            }
        }
        return true;
    }

    /** The same outline with the contour of a node beginning there; only a closed contour can begin elsewhere. */
    public static Outline startingAt(Outline o, int contour, int node) {
        Contour c = o.contours().get(contour);
        if (!c.closed()) {
            return o;
        }
        var nodes = new ArrayList<>(c.nodes());
        Collections.rotate(nodes, -node);
        var all = new ArrayList<>(o.contours());
        all.set(contour, new Contour(nodes, true));
        return new Outline(all);
    }
}
