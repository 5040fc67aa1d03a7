package tundra.core.geometry;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Maps, boxes and ready outlines against their closed forms. */
class AffineTest {
    private static void near(Point a, Point b) {
        assertThat(a.distance(b)).as("%s and %s", a, b).isLessThan(1e-9);
    }

    private static Affine any(Random r) {
        return Affine.placed(new Point(r.nextDouble() * 100, r.nextDouble() * 100), r.nextDouble() * 360,
                new Point(0.2 + r.nextDouble(), -0.2 - r.nextDouble()),
                new Point(r.nextDouble() * 60 - 30, r.nextDouble() * 20), new Point(r.nextDouble() * 50, r.nextDouble() * 50));
    }

    @Test
    void aMapAfterItsInverseIsNothing() {
        var r = new Random(4);
        for (int i = 0; i < 200; i++) {
            Affine m = any(r), n = any(r);
            Point p = new Point(r.nextDouble() * 500 - 250, r.nextDouble() * 500 - 250);
            near(m.inverse().apply(m.apply(p)), p);
            near(m.times(n).apply(p), m.apply(n.apply(p)));
            near(m.applyOffset(p), m.apply(p).minus(m.apply(Point.ZERO)));
            assertThat(m.times(n).determinant()).isCloseTo(m.determinant() * n.determinant(), within(1e-9));
        }
    }

    @ParameterizedTest(name = "{0}° takes (1, 0) to ({1}, {2})")
    @CsvSource({"0, 1, 0", "90, 0, 1", "180, -1, 0", "270, 0, -1", "-90, 0, -1", "360, 1, 0", "30, 0.8660254037844386, 0.5"})
    void turnsGoClockwiseOnACanvasWhoseYGoesDown(double degrees, double x, double y) {
        near(Affine.rotate(degrees).apply(new Point(1, 0)), new Point(x, y));
    }

    @Test
    void skewLeansByTheTangent() {
        near(Affine.skew(new Point(45, 0)).apply(new Point(0, 10)), new Point(10, 10));
        near(Affine.skew(new Point(0, 45)).apply(new Point(10, 0)), new Point(10, 10));
        near(Affine.skew(new Point(30, 0)).apply(new Point(7, 10)), new Point(7 + 10 * Math.tan(Math.PI / 6), 10));
    }

    @Test
    void thePivotStandsWhereThePositionSays() {
        var r = new Random(6);
        for (int i = 0; i < 50; i++) {
            Point at = new Point(r.nextInt(300), r.nextInt(300)), pivot = new Point(r.nextInt(40), r.nextInt(40));
            near(Affine.placed(at, r.nextInt(360), new Point(2, 0.3), new Point(12, 0), pivot).apply(pivot), at);
        }
    }

    @Test
    void boundsHoldTheFourCornersAndNoMore() {
        Rect b = Affine.rotate(45).bounds(new Rect(0, 0, 10, 10));
        double d = 10 * Math.sqrt(2);
        assertThat(b.x()).isCloseTo(-d / 2, within(1e-9));
        assertThat(b.width()).isCloseTo(d, within(1e-9));
        assertThat(b.height()).isCloseTo(d, within(1e-9));
        assertThat(Affine.IDENTITY.corners(new Rect(1, 2, 3, 4))).containsExactly(new Point(1, 2), new Point(4, 2), new Point(4, 6), new Point(1, 6));
    }

    @Test
    void boxesMeetUniteAndGrow() {
        Rect a = new Rect(0, 0, 10, 10), b = new Rect(6, -4, 10, 8), far = new Rect(30, 0, 1, 1);
        assertThat(a.union(b)).isEqualTo(new Rect(0, -4, 16, 14));
        assertThat(a.union(null)).isEqualTo(a);
        assertThat(a.intersection(b)).isEqualTo(new Rect(6, 0, 4, 4));
        assertThat(a.intersects(b)).isTrue();
        assertThat(a.intersects(far)).isFalse();
        assertThat(a.grow(2)).isEqualTo(new Rect(-2, -2, 14, 14));
        assertThat(a.contains(new Point(10, 0))).isTrue();
        assertThat(a.contains(new Point(10.001, 0))).isFalse();
        assertThat(Rect.of(new Point(5, 9), new Point(2, 1))).isEqualTo(new Rect(2, 1, 3, 8));
        assertThat(Rect.around(List.of(new Point(1, 1), new Point(-2, 5), new Point(0, 0)))).isEqualTo(new Rect(-2, 0, 3, 5));
    }

    @ParameterizedTest(name = "a regular polygon of {0} corners")
    @CsvSource({"3", "4", "5", "6", "12"})
    void regularPolygonsHaveTheAreaOfTheFormula(int corners) {
        // n/2 · r² · sin(2π/n)
        double area = corners / 2.0 * 50 * 50 * Math.sin(2 * Math.PI / corners);
        Outline o = Outline.star(new Point(100, 100), corners, 1);
        assertThat(o.contours().getFirst().nodes()).hasSize(corners);
        assertThat(o.contours().getFirst().nodes().getFirst().at()).isEqualTo(new Point(50, 0));
        assertThat(Moments.of(o).area()).isCloseTo(area, within(1e-6));
        near(Moments.of(o).centre(), new Point(50, 50));
    }

    @ParameterizedTest(name = "a star of {0} points, inner radius {1}")
    @CsvSource({"5, 0.5", "6, 0.3", "3, 0.9"})
    void starsHaveTheAreaOfTheFormula(int points, double inner) {
        // 2n triangles between a long and a short spoke
        double area = points * 50 * 50 * inner * Math.sin(Math.PI / points);
        assertThat(Moments.of(Outline.star(new Point(100, 100), points, inner)).area()).isCloseTo(area, within(1e-6));
        assertThat(Moments.of(Outline.star(new Point(200, 50), points, inner)).area()).as("stretched").isCloseTo(area, within(1e-6));
    }

    @Test
    void roundedRectanglesLoseTheirCorners() {
        // each corner of radius r loses (1 − π/4) r²; four Béziers miss that by less than a thousandth
        for (double r : new double[] {0, 5, 12, 20}) {
            double lost = (4 - Math.PI) * r * r;
            assertThat(Moments.of(Outline.rectangle(new Rect(10, 10, 100, 40), r)).area()).isCloseTo(4000 - lost, within(1e-3 * r * r + 1e-9));
        }
        assertThat(Outline.rectangle(new Rect(0, 0, 100, 40), 500)).as("at most half of the shorter side")
                .isEqualTo(Outline.rectangle(new Rect(0, 0, 100, 40), 20));
        assertThat(Moments.of(Outline.ellipse(new Rect(0, 0, 80, 30))).area()).isCloseTo(Math.PI * 40 * 15, within(0.6));
    }
}
