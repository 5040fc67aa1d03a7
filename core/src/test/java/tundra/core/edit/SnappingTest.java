package tundra.core.edit;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tundra.core.geometry.Point;
import tundra.core.geometry.Rect;
import tundra.core.model.RulerLine;

/** Where a moving box goes when it comes near a line; the places are worked out by hand. */
class SnappingTest {
    private static final Point CANVAS = new Point(400, 300);

    private static Snapping around(Rect... others) {
        return new Snapping(CANVAS, List.of(others), List.of());
    }

    @ParameterizedTest(name = "a box of 40 x 20 at {0}, {1} goes by {2}, {3}")
    @CsvSource({
        "3, 100, -3, 0", // left edge to the canvas's
        "357, 100, 3, 0", // right edge to 400
        "178, 100, 2, 0", // middle to 200
        "100, -4, 0, 4", // top edge
        "100, 283, 0, -3", // bottom edge to 300
        "100, 137, 0, 3", // middle to 150
        "100, 100, 0, 0", // nothing near
        "4, 296, -4, 4", // its top edge to the lower side of the canvas
    })
    void theCanvasHasEdgesAndCentreLines(double x, double y, double byX, double byY) {
        var snap = around().of(new Rect(x, y, 40, 20), 5);
        assertThat(snap.by()).isEqualTo(new Point(byX, byY));
        assertThat(snap.lines()).hasSize((byX != 0 ? 1 : 0) + (byY != 0 ? 1 : 0));
    }

    @Test
    void theNearestLineWinsAndNothingBeyondReach() {
        // its left edge is 4 from 104, its right edge 2 from 142
        var two = around(new Rect(104, 200, 10, 10), new Rect(142, 230, 30, 10));
        assertThat(two.of(new Rect(100, 80, 40, 20), 5).by().x()).isEqualTo(2);
        assertThat(two.of(new Rect(100, 80, 40, 20), 1.5).by()).isEqualTo(Point.ZERO);
        assertThat(two.of(new Rect(100, 80, 40, 20), 1.5).lines()).isEmpty();
    }

    @Test
    void aLineReachesOverAllThatItTouches() {
        var snap = around(new Rect(100, 200, 60, 30)).of(new Rect(98, 40, 25, 20), 3);
        assertThat(snap.by()).isEqualTo(new Point(2, 0));
        assertThat(snap.lines()).containsExactly(new Snapping.Line(true, 100, 40, 230));
    }

    @Test
    void rulerLinesSnapAlongTheirOwnAxisOnly() {
        var s = new Snapping(CANVAS, List.of(), List.of(new RulerLine(true, 77), new RulerLine(false, 222)));
        var snap = s.of(new Rect(75, 220, 13, 13), 4);
        assertThat(snap.by()).isEqualTo(new Point(2, 2));
        assertThat(snap.lines()).containsExactlyInAnyOrder(new Snapping.Line(true, 77, 0, 300), new Snapping.Line(false, 222, 0, 400));
        assertThat(s.of(new Rect(219, 100, 13, 13), 4).lines()).as("an upright line says nothing of y").isEmpty();
    }

    @Test
    void betweenTwoNeighboursTheGapsBecomeEqual() {
        // room from 50 to 150: a box of 33 stands even at 83.5
        var snap = around(new Rect(20, 100, 30, 30), new Rect(150, 100, 30, 30)).of(new Rect(81, 105.5, 33, 5), 4);
        assertThat(snap.by()).isEqualTo(new Point(2.5, 0));
        assertThat(snap.gaps()).hasSize(2).allSatisfy(g -> {
            assertThat(g.level()).isTrue();
            assertThat(g.length()).isEqualTo(33.5);
        });
        assertThat(snap.gaps().get(0)).isEqualTo(new Snapping.Gap(true, 50, 83.5, 108));
    }

    @Test
    void aRowGoesOnWithTheGapThatItHas() {
        // a gap of 17 between the two; the third stands 17 beyond, on either side
        var row = around(new Rect(61, 100, 30, 30), new Rect(108, 100, 30, 30));
        assertThat(row.of(new Rect(152, 107, 21, 9), 4).by().x()).isEqualTo(3);
        assertThat(row.of(new Rect(152, 107, 21, 9), 4).gaps()).extracting(Snapping.Gap::length).containsExactly(17.0, 17.0);
        assertThat(row.of(new Rect(25, 107, 21, 9), 4).by().x()).isEqualTo(-2);
        // the same down the canvas
        var column = around(new Rect(100, 31, 30, 30), new Rect(100, 78, 30, 30));
        assertThat(column.of(new Rect(107, 122, 9, 21), 4).by().y()).isEqualTo(3);
    }

    @Test
    void whatDoesNotLieAcrossIsNoNeighbour() {
        var snap = around(new Rect(20, 200, 30, 30), new Rect(150, 100, 30, 30)).of(new Rect(81, 106, 33, 11), 4);
        assertThat(snap.gaps()).isEmpty();
    }

    /** A neck 10 px wide under a head whose edges stand at 100 and 160, drawn with a reach of 6 px. */
    @Test
    void aSmallBoxIsDrawnBesideALine() {
        var head = around(new Rect(100, 40, 60, 60));
        Point pressed = new Point(125, 100);
        assertThat(head.corner(pressed, new Point(135, 106), 6).by()).as("neither the middle at 130 nor the edge that was pressed takes it")
                .isEqualTo(Point.ZERO);
        assertThat(head.corner(new Point(100, 100), new Point(104, 104), 6).by()).as("never back to where it began").isEqualTo(Point.ZERO);
        assertThat(head.corner(new Point(100, 100), new Point(157, 150), 6).by()).as("a large one still snaps").isEqualTo(new Point(3, 0));
        assertThat(head.corner(new Point(100, 100), new Point(165, 150), 6).by()).isEqualTo(new Point(-5, 0));
    }
}
