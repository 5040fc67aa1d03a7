package tundra.core.draw;

import java.awt.Shape;
import java.awt.geom.Path2D;
import java.awt.geom.PathIterator;
import java.util.ArrayList;
import java.util.List;
import tundra.core.geometry.Contour;
import tundra.core.geometry.Cubic;
import tundra.core.geometry.Node;
import tundra.core.geometry.Outline;
import tundra.core.geometry.Point;

/** Outlines as the JDK's geometry classes and back. */
final class Awt {
    private Awt() {}

    static Path2D path(Outline outline) {
        var p = new Path2D.Double(Path2D.WIND_NON_ZERO);
        for (Contour c : outline.contours()) {
            if (c.nodes().isEmpty()) {
                continue;
            }
            Point start = c.nodes().getFirst().at();
            p.moveTo(start.x(), start.y());
            int n = c.nodes().size();
            for (int i = 0; i < (c.closed() && n > 1 ? n : n - 1); i++) {
                Node a = c.nodes().get(i), b = c.nodes().get((i + 1) % n);
                Point h = a.at().plus(a.out()), k = b.at().plus(b.in());
                if (a.out().equals(Point.ZERO) && b.in().equals(Point.ZERO)) {
                    p.lineTo(b.at().x(), b.at().y());
                } else {
                    p.curveTo(h.x(), h.y(), k.x(), k.y(), b.at().x(), b.at().y());
                }
            }
            if (c.closed()) {
                p.closePath();
            }
        }
        return p;
    }

    static Outline outline(Shape shape) {
        var contours = new ArrayList<Contour>();
        var segments = new ArrayList<Cubic>();
        double[] v = new double[6];
        Point start = Point.ZERO, at = Point.ZERO;
        for (PathIterator i = shape.getPathIterator(null); !i.isDone(); i.next()) {
            switch (i.currentSegment(v)) {
                case PathIterator.SEG_MOVETO -> {
                    end(segments, false, contours);
                    start = at = new Point(v[0], v[1]);
                }
                case PathIterator.SEG_LINETO -> {
                    Point to = new Point(v[0], v[1]);
                    if (to.distance(at) > 1e-9) {
                        segments.add(new Cubic(at, at, to, to));
                    }
                    at = to;
                }
                case PathIterator.SEG_QUADTO -> {
                    Point c = new Point(v[0], v[1]), to = new Point(v[2], v[3]);
                    segments.add(new Cubic(at, at.lerp(c, 2 / 3.0), to.lerp(c, 2 / 3.0), to));
                    at = to;
                }
                case PathIterator.SEG_CUBICTO -> {
                    Point to = new Point(v[4], v[5]);
                    segments.add(new Cubic(at, new Point(v[0], v[1]), new Point(v[2], v[3]), to));
                    at = to;
                }
                default -> {
                    if (at.distance(start) > 1e-6) {
                        segments.add(new Cubic(at, at, start, start));
                    }
                    end(segments, true, contours);
                    at = start;
                }
            }
        }
        end(segments, false, contours);
        return new Outline(contours);
    }

    private static void end(List<Cubic> segments, boolean closed, List<Contour> contours) {
        if (!segments.isEmpty()) {
            if (closed) {
                // the end of the last segment may miss the start by rounding
                Cubic last = segments.getLast();
                Point start = segments.getFirst().p0();
                segments.set(segments.size() - 1, new Cubic(last.p0(), last.p1(), last.p2().plus(start.minus(last.p3())), start));
            }
            contours.add(Contour.of(segments, closed));
            segments.clear();
        }
    }
}
