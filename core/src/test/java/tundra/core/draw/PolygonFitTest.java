package tundra.core.draw;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.function.BiPredicate;
import org.junit.jupiter.api.Test;
import tundra.core.geometry.Contour;
import tundra.core.geometry.Inside;
import tundra.core.geometry.Outline;
import tundra.core.geometry.Node;
import tundra.core.geometry.Point;
import tundra.core.work.Progress;

/** Straight shapes that are traced have their corners and no other nodes; round ones are no polygons. */
class PolygonFitTest {
    private static final int SIDE = 140;

    private static List<Contour> traced(BiPredicate<Double, Double> ink) {
        int[] argb = new int[SIDE * SIDE];
        for (int y = 0; y < SIDE; y++) {
            for (int x = 0; x < SIDE; x++) {
                argb[y * SIDE + x] = ink.test(x + 0.5, y + 0.5) ? 0xFF1D2926 : 0xFFFFFFFF;
            }
        }
        return Trace.of(argb, SIDE, SIDE, new Trace.Options(2, 8, 0.5), Progress.NONE).getLast().outline().contours();
    }

    private static List<Point> turned(List<Point> of, double degrees) {
        double c = Math.cos(Math.toRadians(degrees)), s = Math.sin(Math.toRadians(degrees));
        return of.stream().map(p -> new Point(70 + c * p.x() - s * p.y(), 70 + s * p.x() + c * p.y())).toList();
    }

    private static List<Point> star(int points, double outer, double inner) {
        var out = new ArrayList<Point>();
        for (int i = 0; i < 2 * points; i++) {
            double a = Math.PI * i / points, r = i % 2 == 0 ? outer : inner;
            out.add(new Point(r * Math.sin(a), -r * Math.cos(a)));
        }
        return out;
    }

    @Test
    void straightShapesHaveTheirCorners() {
        List<List<Point>> shapes = List.of(List.of(new Point(-40, -25), new Point(40, -25), new Point(40, 25), new Point(-40, 25)),
                List.of(new Point(-45, 40), new Point(0, -45), new Point(45, 40)), star(5, 60, 24),
                List.of(new Point(-40, -40), new Point(0, -40), new Point(0, 0), new Point(40, 0), new Point(40, 40), new Point(-40, 40)));
        for (List<Point> shape : shapes) {
            for (double angle : new double[] {0, 9, 30, 45, 71}) {
                List<Point> want = turned(shape, angle);
                var outline = new Outline(List.of(new Contour(want.stream().map(p -> Node.corner(p.x(), p.y())).toList(), true)));
                var all = traced((x, y) -> Inside.filled(outline, new Point(x, y)));
                assertThat(all).hasSize(1);
                assertThat(all.getFirst().nodes()).as("%d corners at %.0f°", want.size(), angle).hasSize(want.size()).allSatisfy(n -> {
                    assertThat(n.in()).isEqualTo(Point.ZERO);
                    assertThat(want.stream().mapToDouble(p -> p.distance(n.at())).min().orElseThrow()).isCloseTo(0, within(1.6));
                });
            }
        }
    }

    @Test
    void roundShapesStayRound() {
        // a capsule, an egg and a wave: each has curves that no straight side may cut
        List<BiPredicate<Double, Double>> round = List.of(
                (x, y) -> Math.hypot(Math.max(0, Math.abs(x - 70) - 25), y - 70) < 25,
                (x, y) -> Math.hypot((x - 70) / 40, (y - 70) / (y < 70 ? 55.0 : 35.0)) < 1,
                (x, y) -> y > 60 + 14 * Math.sin(x / 11) && y < 110 && x > 20 && x < 120);
        for (var form : round) {
            Contour c = traced(form).getFirst();
            assertThat(c.nodes()).anyMatch(n -> n.out().length() > 3);
        }
    }
}
