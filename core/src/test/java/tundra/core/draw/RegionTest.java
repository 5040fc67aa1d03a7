package tundra.core.draw;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.function.IntBinaryOperator;
import org.junit.jupiter.api.Test;
import tundra.core.geometry.Node;
import tundra.core.geometry.Outline;
import tundra.core.geometry.Point;
import tundra.core.geometry.Rect;
import tundra.core.model.Color;
import tundra.core.work.Progress;

/** Regions between strokes, and pictures traced into areas. */
class RegionTest {
    private static Outline line(double x0, double y0, double x1, double y1) {
        return Outline.of(false, Node.corner(x0, y0), Node.corner(x1, y1));
    }

    /** Four lines that cross at the corners of a square from 20 to 120. */
    private static List<Outline> grid() {
        return new ArrayList<>(List.of(line(0, 20, 200, 20), line(0, 120, 200, 120), line(20, 0, 20, 200), line(120, 0, 120, 200)));
    }

    @Test
    void crossingStrokesEncloseASquare() {
        var net = new RegionNet(grid(), 0);
        assertThat(net.size()).isEqualTo(1);
        Rect square = net.at(new Point(60, 60)).bounds();
        assertThat(square.topLeft().distance(new Point(20, 20)) + square.bottomRight().distance(new Point(120, 120))).isLessThan(1e-9);
        assertThat(net.at(new Point(150, 60))).isNull();
        assertThat(new RegionNet(List.of(), 4).at(Point.ZERO)).isNull();
    }

    @Test
    void aSmallGapIsBridgedAndALargeOneIsNot() {
        // three sides and a fourth that stops 3 px short
        var strokes = List.of(line(0, 0, 100, 0), line(100, 0, 100, 100), line(100, 100, 0, 100), line(0, 100, 0, 3));
        assertThat(new RegionNet(strokes, 0).at(new Point(50, 50))).isNull();
        assertThat(new RegionNet(strokes, 2).at(new Point(50, 50))).isNull();
        Outline found = new RegionNet(strokes, 4).at(new Point(50, 50));
        assertThat(found).isNotNull();
        assertThat(found.bounds().width()).isCloseTo(100, within(0.01));
    }

    @Test
    void aRingKeepsItsHoleAndItsCurves() {
        Outline outer = Outline.ellipse(new Rect(0, 0, 200, 200)), inner = Outline.ellipse(new Rect(60, 60, 80, 80));
        var net = new RegionNet(List.of(outer, inner), 0);
        Outline ring = net.at(new Point(20, 100));
        assertThat(ring.contours()).hasSize(2);
        assertThat(ring.segments()).as("few curves, not hundreds of chords").hasSizeLessThan(30);
        assertThat(net.at(new Point(100, 100)).bounds().width()).isCloseTo(80, within(0.5));
    }

    private static int[] picture(int w, int h, IntBinaryOperator color) {
        int[] out = new int[w * h];
        for (int y = 0; y < h; y++) {
            for (int x = 0; x < w; x++) {
                out[y * w + x] = color.applyAsInt(x, y);
            }
        }
        return out;
    }

    @Test
    void aDiscOnPaperIsTracedAsADisc() {
        int[] p = picture(120, 100, (x, y) -> Math.hypot(x + 0.5 - 60, y + 0.5 - 50) < 30 ? 0xFF1C6A5E : 0xFFF3F7FA);
        var sheets = Trace.of(p, 120, 100, new Trace.Options(2, 4, 0.4), Progress.NONE);
        assertThat(sheets).hasSize(2);
        assertThat(sheets.getFirst().color()).isEqualTo(Color.parse("#F3F7FA"));
        assertThat(sheets.getFirst().outline().bounds().width()).isCloseTo(120, within(1.5));
        Rect disc = sheets.get(1).outline().bounds();
        assertThat(disc.width()).isCloseTo(60, within(1.5));
        assertThat(disc.centre().x()).isCloseTo(60, within(0.5));
        assertThat(sheets.get(1).outline().segments()).as("a few curves").hasSizeLessThan(14);
        assertThat(sheets.get(1).color()).isEqualTo(Color.parse("#1C6A5E"));
    }

    @Test
    void aSquareKeepsItsCornersSpecksGoAndTransparencyStaysEmpty() {
        int[] p = picture(100, 100, (x, y) -> x < 10 ? 0 : x >= 30 && x < 80 && y >= 30 && y < 80 ? 0xFFC8503A : x == 20 && y == 20 ? 0xFFC8503A
                : 0xFFFFFFFF);
        var sheets = Trace.of(p, 100, 100, new Trace.Options(2, 6, 0.3), Progress.NONE);
        Outline red = sheets.get(1).outline();
        assertThat(red.contours()).as("the speck of one pixel is gone").hasSize(1);
        var corners = red.contours().getFirst().nodes().stream().map(Node::at).toList();
        for (Point c : List.of(new Point(30, 30), new Point(80, 30), new Point(80, 80), new Point(30, 80))) {
            assertThat(corners.stream().mapToDouble(q -> q.distance(c)).min().orElseThrow()).as("corner %s of %s", c, corners).isLessThan(0.8);
        }
        assertThat(sheets.getFirst().outline().bounds().x()).isCloseTo(10, within(0.7));
        assertThat(Trace.of(p, 100, 100, new Trace.Options(2, 6, 0.3), Progress.of(x -> { }, () -> true))).isEmpty();
    }
}
