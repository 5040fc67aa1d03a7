package tundra.core.geometry;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;

class GeometryTest {
    private static final Cubic WAVE = new Cubic(new Point(0, 0), new Point(120, -200), new Point(180, 260), new Point(300, 40));

    /** The length by Simpson's rule with a million steps: another method than the code's. */
    private static double simpson(Cubic c, double a, double b) {
        int n = 200_000;
        double h = (b - a) / n, sum = c.slope(a).length() + c.slope(b).length();
        for (int i = 1; i < n; i++) {
            sum += (i % 2 == 0 ? 2 : 4) * c.slope(a + i * h).length();
        }
        return sum * h / 3;
    }

    @Test
    void lengthOfACubicAgreesWithSimpson() {
        assertThat(WAVE.length(0, 1)).isCloseTo(simpson(WAVE, 0, 1), within(1e-5));
        assertThat(WAVE.length(0.2, 0.7)).isCloseTo(simpson(WAVE, 0.2, 0.7), within(1e-5));
    }

    @Test
    void aStraightCubicIsAsLongAsItsChord() {
        assertThat(Cubic.line(new Point(0, 0), new Point(30, 40)).length(0, 1)).isCloseTo(50, within(1e-9));
    }

    @Test
    void aPlaceByArcLengthIsThatFarAlong() {
        var arc = new ArcLength(WAVE);
        for (double p = 0.05; p < 1; p += 0.05) {
            double t = arc.parameterAt(p * arc.total());
            assertThat(simpson(WAVE, 0, t)).isCloseTo(p * arc.total(), within(0.001));
        }
    }

    @Test
    void aCurveWithoutHandlesAtOneEndIsStillFound() {
        var c = new Cubic(new Point(0, 0), new Point(0, 0), new Point(100, 100), new Point(100, 100));
        var arc = new ArcLength(c);
        assertThat(arc.total()).isCloseTo(Math.sqrt(20_000), within(1e-6));
        assertThat(arc.pointAt(arc.total() / 2).x()).isCloseTo(50, within(0.001));
    }

    @Test
    void boundsReachTheExtremes() {
        // y(t) = 3·30·t(1-t) has its top 22.5 at t = 1/2
        var c = new Cubic(new Point(0, 0), new Point(10, 30), new Point(20, 30), new Point(30, 0));
        assertThat(c.bounds()).isEqualTo(new Rect(0, 0, 30, 22.5));
    }

    @Test
    void splittingKeepsTheCurve() {
        Cubic[] half = WAVE.split(0.3);
        for (double t = 0; t <= 1; t += 0.1) {
            assertThat(half[0].at(t).distance(WAVE.at(0.3 * t))).isLessThan(1e-9);
            assertThat(half[1].at(t).distance(WAVE.at(0.3 + 0.7 * t))).isLessThan(1e-9);
        }
    }

    @Test
    void anOutlinedEllipseHasTheEllipsesBoundsAndStaysOnIt() {
        Outline o = Outline.ellipse(new Rect(10, 20, 200, 100));
        Rect b = o.bounds();
        assertThat(b.x()).isCloseTo(10, within(1e-9));
        assertThat(b.height()).isCloseTo(100, within(1e-9));
        for (Cubic s : o.segments()) {
            Point p = s.at(0.37);
            double r = Math.hypot((p.x() - 110) / 100, (p.y() - 70) / 50);
            assertThat(r).isCloseTo(1, within(3e-4));
        }
    }

    @Test
    void theRadiusOfARectangleIsAtMostHalfItsShorterSide() {
        assertThat(Outline.rectangle(new Rect(0, 0, 100, 20), 500).bounds()).isEqualTo(new Rect(0, 0, 100, 20));
        assertThat(Outline.rectangle(new Rect(0, 0, 100, 20), 0).svgPath()).isEqualTo("M0 0L100 0L100 20L0 20Z");
    }

    @Test
    void pathDataIsPlainSvg() {
        var o = Outline.of(false, Node.corner(0, 0), Node.smooth(new Point(10.5, 5), new Point(2, 0)), Node.corner(20, 0));
        assertThat(o.svgPath()).isEqualTo("M0 0C0 0 8.5 5 10.5 5C12.5 5 20 0 20 0");
    }

    @Test
    void individualTransformsApplyInCssOrderAroundThePivot() {
        // a point right of the pivot, scaled by 2, turned by 90° clockwise, ends below the place of the pivot
        Affine m = Affine.placed(new Point(100, 50), 90, new Point(2, 3), Point.ZERO, new Point(10, 10));
        Point p = m.apply(new Point(15, 10));
        assertThat(p.x()).isCloseTo(100, within(1e-9));
        assertThat(p.y()).isCloseTo(60, within(1e-9));
        Point back = m.inverse().apply(p);
        assertThat(back.distance(new Point(15, 10))).isLessThan(1e-9);
    }

    @Test
    void aFlatMapHasTheIdentityForItsInverse() {
        assertThat(Affine.scale(0, 1).inverse()).isEqualTo(Affine.IDENTITY);
    }

    @Test
    void insideFollowsTheNonZeroRule() {
        // a square with a hole that turns the other way
        var hole = new Outline(List.of(Outline.polygon(0, 0, 100, 0, 100, 100, 0, 100).contours().getFirst(),
                Outline.polygon(30, 30, 30, 70, 70, 70, 70, 30).contours().getFirst()));
        assertThat(Inside.filled(hole, new Point(10, 10))).isTrue();
        assertThat(Inside.filled(hole, new Point(50, 50))).isFalse();
        assertThat(Inside.filled(hole, new Point(120, 50))).isFalse();
        Outline circle = Outline.ellipse(new Rect(0, 0, 100, 100));
        assertThat(Inside.filled(circle, new Point(50 + 49.8 * Math.cos(1), 50 + 49.8 * Math.sin(1)))).isTrue();
        assertThat(Inside.filled(circle, new Point(50 + 50.3 * Math.cos(1), 50 + 50.3 * Math.sin(1)))).isFalse();
        assertThat(Inside.distance(circle, new Point(50, 50))).isCloseTo(50, within(0.11));
    }

    @Test
    void numbersAreWrittenPlainly() {
        assertThat(Numbers.plain(12, 3)).isEqualTo("12");
        assertThat(Numbers.plain(1e-7, 3)).isEqualTo("0");
        assertThat(Numbers.plain(-0.00001, 3)).isEqualTo("0");
        assertThat(Numbers.plain(1234567.891, 2)).isEqualTo("1234567.89");
        assertThat(Numbers.plain(-2.5, 3)).isEqualTo("-2.5");
    }
}
