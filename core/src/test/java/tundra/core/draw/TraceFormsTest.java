package tundra.core.draw;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.function.BiPredicate;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tundra.core.geometry.Contour;
import tundra.core.geometry.Inside;
import tundra.core.geometry.Point;
import tundra.core.work.Progress;

/** Clean forms stay clean when they are traced. */
class TraceFormsTest {
    private static final int SIDE = 120;

    /** The contours of the ink on white. */
    private static List<Contour> traced(BiPredicate<Double, Double> ink) {
        int[] argb = new int[SIDE * SIDE];
        for (int y = 0; y < SIDE; y++) {
            for (int x = 0; x < SIDE; x++) {
                argb[y * SIDE + x] = ink.test(x + 0.5, y + 0.5) ? 0xFF1D2926 : 0xFFFFFFFF;
            }
        }
        var sheets = Trace.of(argb, SIDE, SIDE, new Trace.Options(2, 8, 0.5), Progress.NONE);
        return sheets.getLast().outline().contours();
    }

    @ParameterizedTest
    @ValueSource(doubles = {8, 17.3, 31, 44.6})
    void aDiscAndItsHoleAreCirclesOfFourNodes(double radius) {
        double cx = 61.2, cy = 58.7, hole = radius * 0.6;
        var all = traced((x, y) -> Math.hypot(x - cx, y - cy) <= radius && Math.hypot(x - cx, y - cy) > hole);
        assertThat(all).hasSize(2);
        for (Contour c : all) {
            assertThat(c.nodes()).hasSize(4);
            double want = Math.abs(Math.hypot(c.nodes().getFirst().at().x() - cx, c.nodes().getFirst().at().y() - cy) - radius) < 1.5 ? radius : hole;
            for (Point p : Inside.flatten(c)) {
                assertThat(Math.hypot(p.x() - cx, p.y() - cy)).isCloseTo(want, within(0.5));
            }
        }
    }

    @Test
    void aSquareKeepsItsCornersAndIsNoCircle() {
        for (int half : new int[] {4, 9, 30}) {
            var all = traced((x, y) -> Math.abs(x - 60) < half && Math.abs(y - 60) < half);
            assertThat(all).hasSize(1);
            assertThat(all.getFirst().nodes()).as("a square of %d px", 2 * half).hasSize(4).allSatisfy(n -> {
                assertThat(Math.abs(n.at().x() - 60)).isCloseTo(half, within(0.5));
                assertThat(Math.abs(n.at().y() - 60)).isCloseTo(half, within(0.5));
            });
        }
    }
}
