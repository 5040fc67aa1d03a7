package tundra.core.svg;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.ByteArrayInputStream;
import java.nio.charset.StandardCharsets;
import java.util.List;
import javax.xml.parsers.DocumentBuilderFactory;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import tundra.core.geometry.Cubic;
import tundra.core.geometry.Node;
import tundra.core.geometry.Outline;
import tundra.core.geometry.Point;
import tundra.core.geometry.Rect;

/** SVG's basic shapes and arcs against their equations. */
class ShapesTest {
    /** Of an element in a drawing of 400×300 whose letters are 16 high. */
    private static Outline outline(String element) throws Exception {
        var factory = DocumentBuilderFactory.newInstance();
        factory.setNamespaceAware(true);
        var e = factory.newDocumentBuilder().parse(new ByteArrayInputStream(element.getBytes(StandardCharsets.UTF_8))).getDocumentElement();
        return SvgShapes.outline(e, new Point(400, 300), 16);
    }

    /** How far the farthest of many points is from an ellipse, as a part of its radius. */
    private static double off(List<Cubic> arcs, Point c, double rx, double ry) {
        double most = 0;
        for (Cubic a : arcs) {
            for (int i = 0; i <= 50; i++) {
                Point p = a.at(i / 50.0);
                most = Math.max(most, Math.abs(Math.hypot((p.x() - c.x()) / rx, (p.y() - c.y()) / ry) - 1));
            }
        }
        return most;
    }

    @Test
    void aCircleLiesOnItsEquationAndBeginsAtTheRight() throws Exception {
        Outline o = outline("<circle cx='100' cy='80' r='50'/>");
        assertThat(off(o.segments(), new Point(100, 80), 50, 50)).isLessThan(2.8e-4);
        Node first = o.contours().getFirst().nodes().getFirst();
        assertThat(first.at()).isEqualTo(new Point(150, 80));
        assertThat(first.out().y()).as("clockwise, downwards").isPositive();
        assertThat(o.contours().getFirst().closed()).isTrue();
    }

    @Test
    void percentagesAreOfWidthHeightAndDiagonal() throws Exception {
        // sqrt((400² + 300²) / 2) = 353.55
        Rect circle = outline("<circle cx='50%' cy='50%' r='10%'/>").bounds();
        assertThat(circle.centre().x()).isCloseTo(200, within(1e-6));
        assertThat(circle.centre().y()).isCloseTo(150, within(1e-6));
        assertThat(circle.width()).isCloseTo(70.7107, within(0.01));
        Rect ellipse = outline("<ellipse cx='10%' cy='10%' rx='5%' ry='5%'/>").bounds();
        assertThat(ellipse.width()).isCloseTo(40, within(1e-6));
        assertThat(ellipse.height()).isCloseTo(30, within(1e-6));
    }

    @Test
    void aRoundedRectangleHasFourQuarterEllipses() throws Exception {
        Outline o = outline("<rect x='10' y='20' width='100' height='60' rx='20' ry='10'/>");
        assertThat(o.bounds()).isEqualTo(new Rect(10, 20, 100, 60));
        List<Cubic> corners = o.segments().stream().filter(s -> s.p0().x() != s.p3().x() && s.p0().y() != s.p3().y()).toList();
        assertThat(corners).hasSize(4);
        List<Point> centres = List.of(new Point(90, 30), new Point(90, 70), new Point(30, 70), new Point(30, 30));
        for (int i = 0; i < 4; i++) {
            assertThat(off(corners.subList(i, i + 1), centres.get(i), 20, 10)).as("corner %d", i).isLessThan(2.8e-4);
        }
    }

    @ParameterizedTest
    @CsvSource({"rx='30', 30, 30", "ry='12', 12, 12", "rx='500' ry='8', 50, 8", "rx='500', 50, 30"})
    void radiiThatAreMissingOrTooLargeAreAsTheStandardSays(String radii, double rx, double ry) throws Exception {
        Outline o = outline("<rect width='100' height='60' " + radii + "/>");
        assertThat(off(List.of(o.segments().stream().filter(s -> s.p0().x() != s.p3().x() && s.p0().y() != s.p3().y()).findFirst().orElseThrow()),
                new Point(100 - rx, ry), rx, ry)).isLessThan(2.8e-4);
    }

    @ParameterizedTest
    @ValueSource(strings = {"<circle r='0'/>", "<ellipse rx='3'/>", "<rect width='10'/>", "<rect width='-5' height='5'/>", "<polygon points='3,4'/>",
            "<g/>"})
    void whatHasNoAreaIsNotDrawn(String element) throws Exception {
        assertThat(outline(element)).isNull();
    }

    @Test
    void linesAndPolygonsGoThroughTheirPoints() throws Exception {
        Outline line = outline("<line x1='1em' y1='10' x2='100%' y2='50%'/>");
        assertThat(line.contours().getFirst().nodes()).extracting(Node::at).containsExactly(new Point(16, 10), new Point(400, 150));
        assertThat(line.contours().getFirst().closed()).isFalse();
        // a single number at the end is left over
        Outline polygon = outline("<polygon points='0,0 10-5, 20 , 30 7'/>");
        assertThat(polygon.contours().getFirst().nodes()).extracting(Node::at).containsExactly(new Point(0, 0), new Point(10, -5), new Point(20, 30));
        assertThat(polygon.contours().getFirst().closed()).isTrue();
        assertThat(outline("<polyline points='0,0 10,0 10,10'/>").contours().getFirst().closed()).isFalse();
    }

    @ParameterizedTest
    @CsvSource({"true, true, 3", "true, false, 3", "false, true, 1", "false, false, 1"})
    void theFourArcsBetweenTwoPoints(boolean large, boolean sweep, int pieces) {
        // from (0, -50) to (50, 0): the centres of radius 50 are (0, 0) and (50, -50)
        List<Cubic> arc = Arcs.cubics(new Point(0, -50), new Point(50, 0), 50, 50, 0, large, sweep);
        Point centre = large == sweep ? new Point(50, -50) : Point.ZERO;
        assertThat(arc).hasSize(pieces);
        assertThat(off(arc, centre, 50, 50)).isLessThan(2.8e-4);
        assertThat(arc.getFirst().p0()).isEqualTo(new Point(0, -50));
        assertThat(arc.getLast().p3()).isEqualTo(new Point(50, 0));
        double length = arc.stream().mapToDouble(c -> c.length(0, 1)).sum();
        assertThat(length).isCloseTo(50 * Math.PI / 2 * (large ? 3 : 1), within(0.05));
    }

    @Test
    void radiiThatDoNotReachAreStretched() {
        // half a circle over the distance, whatever the radius was
        List<Cubic> arc = Arcs.cubics(new Point(0, 0), new Point(100, 0), 10, 10, 0, false, true);
        assertThat(off(arc, new Point(50, 0), 50, 50)).isLessThan(2.8e-4);
        assertThat(arc.getFirst().at(1).y()).as("sweeping clockwise: over the top").isNegative();
    }

    @Test
    void aTurnedEllipseIsTheSameInItsOwnAxes() {
        List<Cubic> arc = Arcs.cubics(new Point(30, 0), new Point(0, 60), 60, 30, 90, false, true);
        assertThat(off(arc, Point.ZERO, 30, 60)).isLessThan(2.8e-4);
    }

    @Test
    void noWayIsNoArc() {
        assertThat(Arcs.cubics(new Point(4, 4), new Point(4, 4), 10, 10, 0, true, true)).isEmpty();
    }
}
