package tundra.core.draw;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.Polygon;
import tundra.core.draw.NodeEdit.Ref;
import tundra.core.frame.StrokeStyle;
import tundra.core.geometry.Contour;
import tundra.core.geometry.Cubic;
import tundra.core.geometry.Inside;
import tundra.core.geometry.Node;
import tundra.core.geometry.Outline;
import tundra.core.geometry.Point;
import tundra.core.geometry.Rect;

/** Fitting, nodes and areas against closed forms and against JTS on fine polylines. */
class CurvesTest {
    private static final GeometryFactory JTS = new GeometryFactory();

    private static double distanceTo(Contour c, Point p) {
        double best = Double.POSITIVE_INFINITY;
        for (Cubic s : c.segments()) {
            for (int i = 0; i <= 400; i++) {
                best = Math.min(best, s.at(i / 400.0).distance(p));
            }
        }
        return best;
    }

    /** By the trapezium formula over fine chords; positive for clockwise on the screen. */
    private static double area(Outline o) {
        double sum = 0;
        for (Contour c : o.contours()) {
            List<Point> p = new ArrayList<>();
            c.segments().forEach(s -> {
                for (int i = 0; i < 200; i++) {
                    p.add(s.at(i / 200.0));
                }
            });
            for (int i = 0; i < p.size(); i++) {
                Point a = p.get(i), b = p.get((i + 1) % p.size());
                sum += (a.x() * b.y() - b.x() * a.y()) / 2;
            }
        }
        return Math.abs(sum);
    }

    private static Geometry polygon(Outline o) {
        Geometry all = JTS.createPolygon();
        for (Contour c : o.contours()) {
            var at = new ArrayList<Coordinate>();
            c.segments().forEach(s -> {
                for (int i = 0; i < 400; i++) {
                    Point p = s.at(i / 400.0);
                    at.add(new Coordinate(p.x(), p.y()));
                }
            });
            at.add(at.getFirst());
            Polygon one = JTS.createPolygon(at.toArray(Coordinate[]::new));
            all = all.isEmpty() ? one : all.symDifference(one);
        }
        return all;
    }

    private static Outline circle(double cx, double cy, double r) {
        return Outline.ellipse(new Rect(cx - r, cy - r, 2 * r, 2 * r));
    }

    @Test
    void aFittedCurveKeepsToItsTolerance() {
        var points = new ArrayList<Point>();
        for (int i = 0; i <= 300; i++) {
            double t = i / 300.0 * 4 * Math.PI;
            points.add(new Point(20 * t, 60 * Math.sin(t)));
        }
        for (double tolerance : new double[] {0.2, 1, 5}) {
            Contour c = FitCurve.open(points, tolerance);
            double worst = points.stream().mapToDouble(p -> distanceTo(c, p)).max().orElseThrow();
            assertThat(worst).as("off at tolerance %s", tolerance).isLessThanOrEqualTo(tolerance + 0.01);
            assertThat(c.nodes().getFirst().at()).isEqualTo(points.getFirst());
            assertThat(c.nodes().getLast().at()).isEqualTo(points.getLast());
        }
        assertThat(FitCurve.open(points, 0.2).nodes()).as("few segments for 301 points").hasSizeLessThan(20);
        assertThat(FitCurve.open(points, 5).nodes()).hasSizeLessThan(FitCurve.open(points, 0.2).nodes().size());
    }

    @Test
    void aCircleOfPointsBecomesACircle() {
        var ring = new ArrayList<Point>();
        for (int i = 0; i < 180; i++) {
            ring.add(new Point(100 + 50 * Math.cos(i * Math.PI / 90), 100 + 50 * Math.sin(i * Math.PI / 90)));
        }
        Contour c = FitCurve.ring(ring, 0.2, 30);
        assertThat(c.closed()).isTrue();
        assertThat(area(new Outline(List.of(c)))).isCloseTo(Math.PI * 2500, within(40.0));
        // and a square keeps its corners
        var square = new ArrayList<Point>();
        for (int i = 0; i < 40; i++) {
            square.add(i < 10 ? new Point(i * 10, 0) : i < 20 ? new Point(100, (i - 10) * 10) : i < 30 ? new Point(100 - (i - 20) * 10, 100)
                    : new Point(0, 100 - (i - 30) * 10));
        }
        Contour s = FitCurve.ring(square, 0.2, 30);
        assertThat(s.nodes().stream().map(Node::at)).contains(new Point(0, 0), new Point(100, 0), new Point(100, 100), new Point(0, 100));
        assertThat(area(new Outline(List.of(s)))).isCloseTo(10_000, within(0.5));
    }

    @Test
    void aHandsTremblingGoes() {
        var random = new Random(4);
        var points = new ArrayList<Point>();
        for (int i = 0; i <= 200; i++) {
            points.add(new Point(i * 2, 100 + random.nextGaussian() * 1.2));
        }
        Outline rough = Freehand.line(points, 0, 0), calm = Freehand.line(points, 0.5, 0);
        assertThat(calm.contours().getFirst().nodes().size()).isLessThan(rough.contours().getFirst().nodes().size() / 3);
        calm.segments().forEach(s -> assertThat(s.at(0.5).y()).isCloseTo(100, within(3.0)));
    }

    @Test
    void aNodeAddedOnASegmentLeavesTheFormAlone() {
        Outline before = circle(50, 50, 40);
        var at = NodeEdit.nearest(before, new Point(85, 30));
        Outline after = NodeEdit.insert(before, at);
        assertThat(after.contours().getFirst().nodes()).hasSize(5);
        assertThat(area(after)).isCloseTo(area(before), within(0.05));
        for (double t = 0; t < 1; t += 0.05) {
            Point p = before.contours().getFirst().segments().getFirst().at(t);
            assertThat(distanceTo(after.contours().getFirst(), p)).isLessThan(0.2);
        }
        // and taken away again it is the same circle
        Outline back = NodeEdit.delete(after, Set.of(new Ref(0, at.segment() + 1)));
        assertThat(back.contours().getFirst().nodes()).hasSize(4);
        assertThat(area(back)).isCloseTo(area(before), within(1.0));
    }

    @Test
    void aNodeOfASquareTakenAwayLeavesATriangle() {
        Outline square = Outline.polygon(0, 0, 10, 0, 10, 10, 0, 10);
        Outline out = NodeEdit.delete(square, Set.of(new Ref(0, 1)));
        assertThat(area(out)).isCloseTo(50, within(1e-9));
        assertThat(NodeEdit.delete(square, NodeEdit.inside(square, p -> true)).contours()).isEmpty();
    }

    @Test
    void bendingMovesTheSegmentToThePointer() {
        Outline line = Outline.of(false, Node.corner(0, 0), Node.corner(100, 0));
        var at = NodeEdit.nearest(line, new Point(40, 0));
        assertThat(at.t()).isCloseTo(0.4, within(0.001));
        Outline bent = NodeEdit.bend(line, at, new Point(0, 30));
        Point p = bent.segments().getFirst().at(0.4);
        assertThat(p.x()).isCloseTo(40, within(0.01));
        assertThat(p.y()).isCloseTo(30, within(0.01));
        assertThat(bent.contours().getFirst().nodes().getFirst().at()).isEqualTo(Point.ZERO);
    }

    @Test
    void nodesTurnIntoCornersSmoothAndSymmetricOnes() {
        Outline o = Outline.of(false, Node.corner(0, 0), Node.corner(30, 60), Node.corner(60, 0));
        Node smooth = NodeEdit.node(NodeEdit.convert(o, Set.of(new Ref(0, 1)), NodeEdit.Kind.SMOOTH), new Ref(0, 1));
        assertThat(smooth.smooth()).isTrue();
        // parallel to the line between the neighbours
        assertThat(smooth.out().y()).isCloseTo(0, within(1e-9));
        assertThat(smooth.in().x()).isNegative();
        Node free = NodeEdit.pull(smooth, true, new Point(10, 10), false, true);
        assertThat(free.smooth()).isFalse();
        assertThat(free.in()).isEqualTo(smooth.in());
        Node turned = NodeEdit.pull(smooth, true, new Point(0, 10), true, false);
        assertThat(turned.in().distance(new Point(0, -10))).isLessThan(1e-9);
        Outline two = NodeEdit.convert(o, Set.of(new Ref(0, 1)), NodeEdit.Kind.SYMMETRIC);
        Node s = NodeEdit.node(two, new Ref(0, 1));
        assertThat(s.in().length()).isCloseTo(s.out().length(), within(1e-9));
        Node corner = NodeEdit.node(NodeEdit.convert(NodeEdit.convert(two, Set.of(new Ref(0, 1)), NodeEdit.Kind.CORNER), Set.of(new Ref(0, 1)),
                NodeEdit.Kind.CORNER), new Ref(0, 1));
        assertThat(corner.out()).isEqualTo(Point.ZERO);
    }

    @Test
    void pathsBreakAndJoin() {
        Outline square = Outline.polygon(0, 0, 10, 0, 10, 10, 0, 10);
        Outline open = NodeEdit.breakAt(square, Set.of(new Ref(0, 2)));
        assertThat(open.contours()).hasSize(1);
        assertThat(open.contours().getFirst().closed()).isFalse();
        assertThat(open.contours().getFirst().nodes()).hasSize(5);
        Outline halves = NodeEdit.breakAt(square, Set.of(new Ref(0, 0), new Ref(0, 2)));
        assertThat(halves.contours()).hasSize(2);
        Outline joined = NodeEdit.join(halves, new Ref(0, 2), new Ref(1, 0));
        assertThat(joined.contours()).hasSize(1);
        Outline closed = NodeEdit.join(joined, new Ref(0, 0), new Ref(0, 4));
        assertThat(closed.contours().getFirst().closed()).isTrue();
        assertThat(area(closed)).isCloseTo(100, within(1e-9));
        assertThat(closed.contours().getFirst().nodes()).as("the two ends became one node").hasSize(4);
    }

    @Test
    void areasCombineAsClosedFormsSay() {
        Outline a = Outline.rectangle(new Rect(0, 0, 100, 100), 0), b = Outline.rectangle(new Rect(60, 40, 100, 100), 0);
        assertThat(area(Combine.of(Combine.Operation.UNION, List.of(a, b)))).isCloseTo(20_000 - 2400, within(1e-6));
        assertThat(area(Combine.of(Combine.Operation.SUBTRACT, List.of(a, b)))).isCloseTo(7600, within(1e-6));
        assertThat(area(Combine.of(Combine.Operation.INTERSECT, List.of(a, b)))).isCloseTo(2400, within(1e-6));
        assertThat(polygon(Combine.of(Combine.Operation.EXCLUDE, List.of(a, b))).getArea()).isCloseTo(20_000 - 4800, within(1e-6));
    }

    @Test
    void curvedAreasCombineAsJtsSays() {
        Outline a = circle(100, 100, 60), b = circle(150, 110, 45);
        Geometry pa = polygon(a), pb = polygon(b);
        assertThat(polygon(Combine.of(Combine.Operation.UNION, List.of(a, b))).getArea()).isCloseTo(pa.union(pb).getArea(), within(0.5));
        assertThat(polygon(Combine.of(Combine.Operation.SUBTRACT, List.of(a, b))).getArea()).isCloseTo(pa.difference(pb).getArea(), within(0.5));
        Outline meet = Combine.of(Combine.Operation.INTERSECT, List.of(a, b));
        assertThat(polygon(meet).getArea()).isCloseTo(pa.intersection(pb).getArea(), within(0.5));
        assertThat(meet.segments()).as("curves stay curves").hasSizeLessThan(12);
    }

    @Test
    void aStrokeCoversItsLengthTimesItsWidth() {
        Outline line = Outline.of(false, Node.corner(0, 0), Node.corner(100, 0));
        var butt = new StrokeStyle(10, "butt", "miter", List.of(), 0);
        assertThat(area(StrokeOutline.of(line, butt))).isCloseTo(1000, within(0.01));
        var round = new StrokeStyle(10, "round", "miter", List.of(), 0);
        assertThat(area(StrokeOutline.of(line, round))).isCloseTo(1000 + Math.PI * 25, within(0.3));
        var dashed = new StrokeStyle(10, "butt", "miter", List.of(10.0, 10.0), 0);
        assertThat(area(StrokeOutline.of(line, dashed))).isCloseTo(500, within(0.5));
        for (StrokeStyle s : List.of(butt, round, dashed)) {
            // quicker, and around just the same
            Rect quick = StrokeOutline.bounds(line, s), whole = StrokeOutline.of(line, s).bounds();
            assertThat(List.of(quick.x(), quick.y(), quick.right(), quick.bottom())).usingComparatorForType((a, b) -> Math.abs(a - b) < 1e-3 ? 0
                    : Double.compare(a, b), Double.class)
                    .isEqualTo(List.of(whole.x(), whole.y(), whole.right(), whole.bottom()));
        }
        // a ring: π (r1² - r0²)
        assertThat(polygon(StrokeOutline.of(circle(0, 0, 50), butt)).getArea()).isCloseTo(Math.PI * (55 * 55 - 45 * 45), within(5.0));
    }

    @Test
    void aBrushsTipIsSweptAlong() {
        Outline level = Outline.of(false, Node.corner(0, 0), Node.corner(100, 0));
        // a flat tip that lies level leaves a thin line along itself and a wide one across
        assertThat(StrokeOutline.swept(level, 20, 0.2, 0).bounds().height()).isCloseTo(4, within(0.05));
        Outline upright = Outline.of(false, Node.corner(0, 0), Node.corner(0, 100));
        assertThat(StrokeOutline.swept(upright, 20, 0.2, 0).bounds().width()).isCloseTo(20, within(0.05));
        assertThat(area(StrokeOutline.swept(level, 20, 1, 0))).isCloseTo(2000 + Math.PI * 100, within(2.0));
    }

    @Test
    void evenOddOutlinesKeepTheirHoles() {
        Outline rings = new Outline(List.of(circle(0, 0, 50).contours().getFirst(), circle(0, 0, 20).contours().getFirst()));
        Outline plain = Combine.fromEvenOdd(rings);
        assertThat(Inside.evenOdd(rings, Point.ZERO)).isFalse();
        assertThat(Inside.filled(rings, Point.ZERO)).isTrue();
        assertThat(Inside.filled(plain, Point.ZERO)).isFalse();
        assertThat(Inside.filled(plain, new Point(35, 0))).isTrue();
    }
}
