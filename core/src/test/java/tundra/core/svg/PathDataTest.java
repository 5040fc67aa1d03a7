package tundra.core.svg;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import tundra.core.geometry.Contour;
import tundra.core.geometry.Cubic;
import tundra.core.geometry.Moments;
import tundra.core.geometry.Node;
import tundra.core.geometry.Outline;
import tundra.core.geometry.Point;

/** Path data as SVG 2, chapter 9, has it. */
class PathDataTest {
    private static List<Contour> read(String d) {
        return PathData.read(d).contours();
    }

    private static List<Point> nodes(String d) {
        return read(d).getFirst().nodes().stream().map(Node::at).toList();
    }

    private static Point p(double x, double y) {
        return new Point(x, y);
    }

    /** The standard's own triangle, in each of its spellings. */
    @ParameterizedTest
    @ValueSource(strings = {"M 100 100 L 300 100 L 200 300 z", "M100 100L300 100 200 300Z", "M100,100 300,100 200,300 z", "m100 100 200 0-100 200z",
        "M1e2 10e1H300L2E2+300z", "M 100 100h200l-100,200Z"})
    void oneTriangle(String d) {
        assertThat(read(d)).hasSize(1);
        assertThat(read(d).getFirst().closed()).isTrue();
        assertThat(nodes(d)).containsExactly(p(100, 100), p(300, 100), p(200, 300));
    }

    @Test
    void numbersNeedNoSpaceBetweenThem() {
        assertThat(nodes("M.5.5-1.25-.75 1.5e1.5")).containsExactly(p(0.5, 0.5), p(-1.25, -0.75), p(15, 0.5));
    }

    @Test
    void relativeCommandsStartWhereTheLastOneEnded() {
        assertThat(nodes("m10 10 5 5v-3h4")).containsExactly(p(10, 10), p(15, 15), p(15, 12), p(19, 12));
        // after closing the pen stands at the contour's start again
        List<Contour> two = read("m10 10h20v20z m5 5h4v4z");
        assertThat(two).hasSize(2);
        assertThat(two.get(1).nodes().getFirst().at()).isEqualTo(p(15, 15));
    }

    @Test
    void aQuadraticIsTheCubicOfTheSameForm() {
        Cubic c = read("M0 0Q30 60 90 0").getFirst().segments().getFirst();
        for (double t = 0; t <= 1; t += 0.1) {
            double u = 1 - t;
            Point exact = p(2 * u * t * 30 + t * t * 90, 2 * u * t * 60);
            assertThat(c.at(t).distance(exact)).isLessThan(1e-9);
        }
    }

    @Test
    void shorthandsMirrorTheControlBefore() {
        List<Cubic> s = read("M0 0C10 20 30 20 40 0S70-20 80 0").getFirst().segments();
        assertThat(s.get(1).p1()).isEqualTo(p(50, -20));
        List<Cubic> t = read("M0 0Q20 40 40 0T80 0").getFirst().segments();
        // the control of the second is (60, -40)
        assertThat(t.get(1).at(0.5).distance(p(60, -20))).isLessThan(1e-9);
        // with nothing before them the control is where the pen stands
        assertThat(read("M0 0S30 20 40 0").getFirst().segments().getFirst().p1()).isEqualTo(p(0, 0));
    }

    @ParameterizedTest
    @CsvSource({"0,0", "0,1", "1,0", "1,1"})
    void arcsLieOnTheirEllipseOnTheSideThatTheFlagsName(int large, int sweep) {
        // from (50, 0) to (0, 30) on an ellipse of 50 × 30: one centre is the origin, the other (50, 30)
        List<Cubic> arc = read("M50 0A50 30 0 " + large + " " + sweep + " 0 30").getFirst().segments();
        boolean origin = large == 0 && sweep == 1 || large == 1 && sweep == 0;
        Point c = origin ? p(0, 0) : p(50, 30);
        for (Cubic s : arc) {
            for (double t = 0; t <= 1; t += 0.125) {
                Point q = s.at(t).minus(c);
                assertThat(Math.hypot(q.x() / 50, q.y() / 30)).isCloseTo(1, within(3e-4));
            }
        }
        assertThat(arc).as("a quarter or three").hasSize(large == 1 ? 3 : 1);
        assertThat(arc.getLast().p3()).isEqualTo(p(0, 30));
    }

    @Test
    void aTurnedArcIsTurned() {
        // half an ellipse of 40 × 10 that stands at 90°: from the top to the bottom over the right side
        List<Cubic> arc = read("M0-40A40 10 90 0 1 0 40").getFirst().segments();
        double most = arc.stream().mapToDouble(s -> s.bounds().right()).max().orElse(0);
        assertThat(most).isCloseTo(10, within(0.01));
    }

    @Test
    void radiiThatDontReachGrowAndFlagsMayStickTogether() {
        // 100 apart with radius 10: a half circle of 50
        Outline o = PathData.read("M0 0a10 10 0 01100 0z");
        assertThat(Moments.of(o).area()).isCloseTo(Math.PI * 50 * 50 / 2, within(2.0));
        // without a radius it is a line
        assertThat(nodes("M0 0A0 5 0 0 1 20 0")).containsExactly(p(0, 0), p(20, 0));
    }

    @ParameterizedTest
    @ValueSource(strings = {"M0 0L10 0L20", "M0 0L10 0L20 x", "M0 0L10 0 Lbad", "M0 0L10 0A5 5 0 2 1 20 0", "M0 0L10 0 , ,"})
    void whatComesBeforeAMistakeIsKept(String d) {
        assertThat(nodes(d)).containsExactly(p(0, 0), p(10, 0));
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "   ", "L10 10", "10 10", "nonsense"})
    void whatIsNoPathIsEmpty(String d) {
        assertThat(read(d)).isEmpty();
    }
}
