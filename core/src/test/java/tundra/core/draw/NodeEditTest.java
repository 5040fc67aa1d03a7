package tundra.core.draw;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;
import tundra.core.draw.NodeEdit.Kind;
import tundra.core.draw.NodeEdit.OnSegment;
import tundra.core.draw.NodeEdit.Ref;
import tundra.core.geometry.Contour;
import tundra.core.geometry.Cubic;
import tundra.core.geometry.Node;
import tundra.core.geometry.Outline;
import tundra.core.geometry.Point;

/** What changes of nodes do to the form that they make. */
class NodeEditTest {
    private static final Outline SQUARE = Outline.polygon(0, 0, 90, 0, 90, 90, 0, 90);
    /** Open, two arches. */
    private static final Outline ARCHES = new Outline(List.of(new Contour(List.of(
            new Node(new Point(0, 0), Point.ZERO, new Point(10, -40), false),
            new Node(new Point(100, 0), new Point(-20, -30), new Point(20, 30), true),
            new Node(new Point(200, 0), new Point(-10, 50), Point.ZERO, false)), false)));

    private static Cubic segment(Outline o, int i) {
        return o.contours().getFirst().segments().get(i);
    }

    private static List<Node> nodes(Outline o) {
        return o.contours().getFirst().nodes();
    }

    @Test
    void aNodeAddedAnywhereLeavesTheForm() {
        for (double t : new double[] {0.1, 0.5, 0.83}) {
            Outline more = NodeEdit.insert(ARCHES, new OnSegment(0, 1, t, 0));
            assertThat(nodes(more)).hasSize(4);
            Cubic old = segment(ARCHES, 1);
            for (int i = 0; i <= 20; i++) {
                double u = i / 20.0;
                assertThat(segment(more, 1).at(u).distance(old.at(u * t))).isLessThan(1e-9);
                assertThat(segment(more, 2).at(u).distance(old.at(t + u * (1 - t)))).isLessThan(1e-9);
            }
        }
        // the last side of a closed form runs back to its first node
        Outline five = NodeEdit.insert(SQUARE, new OnSegment(0, 3, 0.5, 0));
        assertThat(nodes(five).getLast().at()).isEqualTo(new Point(0, 45));
    }

    @Test
    void theNearestPlaceIsFoundOnStraightAndBentSegments() {
        OnSegment at = NodeEdit.nearest(SQUARE, new Point(30, -7));
        assertThat(at.segment()).isZero();
        assertThat(at.t()).isCloseTo(1 / 3.0, within(1e-6));
        assertThat(at.distance()).isCloseTo(7, within(1e-9));
        for (double t : new double[] {0.07, 0.4, 0.77}) {
            Cubic c = segment(ARCHES, 0);
            double normal = Math.toRadians(c.direction(t) + 90);
            Point off = c.at(t).plus(new Point(Math.cos(normal), Math.sin(normal)).times(2));
            at = NodeEdit.nearest(ARCHES, off);
            assertThat(at.segment()).isZero();
            assertThat(at.distance()).isCloseTo(2, within(1e-6));
            assertThat(NodeEdit.point(ARCHES, at).distance(c.at(t))).isLessThan(1e-3);
        }
        assertThat(NodeEdit.nearest(new Outline(List.of()), Point.ZERO)).isNull();
    }

    @Test
    void aCornerTakenAwayIsBridgedStraightAndAnAddedNodeTakenAwayLeavesNoTrace() {
        Outline three = NodeEdit.delete(SQUARE, Set.of(new Ref(0, 1)));
        assertThat(nodes(three)).extracting(Node::at).containsExactly(new Point(0, 0), new Point(90, 90), new Point(0, 90));
        Outline back = NodeEdit.delete(NodeEdit.insert(ARCHES, new OnSegment(0, 0, 0.4, 0)), Set.of(new Ref(0, 1)));
        assertThat(nodes(back)).hasSize(3);
        for (int i = 0; i <= 20; i++) {
            assertThat(NodeEdit.nearest(ARCHES, segment(back, 0).at(i / 20.0)).distance()).as("px").isLessThan(0.5);
        }
    }

    @Test
    void theEndsOfAnOpenFormLoseTheirOuterHandlesAndTwoNodesAreTheLeast() {
        Outline two = NodeEdit.delete(ARCHES, Set.of(new Ref(0, 0)));
        assertThat(nodes(two)).hasSize(2);
        assertThat(nodes(two).getFirst().in()).isEqualTo(Point.ZERO);
        assertThat(nodes(two).getFirst().out()).isEqualTo(new Point(20, 30));
        assertThat(NodeEdit.delete(two, Set.of(new Ref(0, 1))).contours()).as("one node is no form").isEmpty();
        assertThat(NodeEdit.delete(SQUARE, Set.of(new Ref(0, 0), new Ref(0, 1), new Ref(0, 2), new Ref(0, 3))).contours()).isEmpty();
    }

    @Test
    void aCornerBecomesSmoothAlongItsNeighboursAndBack() {
        Outline smooth = NodeEdit.convert(SQUARE, Set.of(new Ref(0, 1)), Kind.SMOOTH);
        Node n = nodes(smooth).get(1);
        assertThat(n.smooth()).isTrue();
        // along the chord from (0, 0) to (90, 90), a third of the way to each neighbour
        assertThat(n.out().x()).isCloseTo(30 / Math.sqrt(2), within(1e-9));
        assertThat(n.out().y()).isCloseTo(30 / Math.sqrt(2), within(1e-9));
        assertThat(n.in()).isEqualTo(n.out().times(-1));
        Outline loose = NodeEdit.convert(smooth, Set.of(new Ref(0, 1)), Kind.CORNER);
        assertThat(nodes(loose).get(1)).as("its handles stay, no longer joined").isEqualTo(new Node(n.at(), n.in(), n.out(), false));
        assertThat(NodeEdit.convert(loose, Set.of(new Ref(0, 1)), Kind.CORNER)).isEqualTo(SQUARE);
    }

    @Test
    void aSymmetricNodeHasHandlesOfTheMeanLength() {
        Node n = nodes(NodeEdit.convert(ARCHES, Set.of(new Ref(0, 1)), Kind.SYMMETRIC)).get(1);
        double mean = Math.hypot(20, 30);
        assertThat(n.in().length()).isCloseTo(mean, within(1e-9));
        assertThat(n.out().length()).isCloseTo(mean, within(1e-9));
        assertThat(n.in().plus(n.out()).length()).isLessThan(1e-9);
    }

    @Test
    void theOtherHandleOfASmoothNodeTurnsAlong() {
        Node n = new Node(new Point(5, 5), new Point(-6, 0), new Point(12, 0), true);
        Node turned = NodeEdit.pull(n, true, new Point(0, 20), false, false);
        assertThat(turned.out()).isEqualTo(new Point(0, 20));
        assertThat(turned.in().distance(new Point(0, -6))).as("turned along, as long as it was").isLessThan(1e-12);
        assertThat(turned.smooth()).isTrue();
        assertThat(NodeEdit.pull(n, true, new Point(0, 20), true, false).in().distance(new Point(0, -20))).as("mirrored in length too")
                .isLessThan(1e-12);
        Node apart = NodeEdit.pull(n, false, new Point(0, 20), false, true);
        assertThat(apart).isEqualTo(new Node(n.at(), new Point(0, 20), new Point(12, 0), false));
        assertThat(NodeEdit.pull(n, true, Point.ZERO, false, false).in()).as("a handle pulled in says no direction").isEqualTo(n.in());
    }

    @Test
    void aBentSegmentPassesWhereItWasPulled() {
        for (double t : new double[] {0.2, 0.5, 0.7}) {
            Point by = new Point(13, -21);
            Outline bent = NodeEdit.bend(SQUARE, new OnSegment(0, 0, t, 0), by);
            Point was = Cubic.line(new Point(0, 0), new Point(90, 0)).at(t);
            assertThat(segment(bent, 0).at(t).distance(was.plus(by))).isLessThan(1e-9);
            assertThat(nodes(bent)).extracting(Node::at).isEqualTo(nodes(SQUARE).stream().map(Node::at).toList());
            assertThat(segment(bent, 1)).as("its neighbour").isEqualTo(segment(SQUARE, 1));
        }
    }

    @Test
    void breakingAndJoiningGiveTheSameLine() {
        Outline open = NodeEdit.breakAt(SQUARE, Set.of(new Ref(0, 1)));
        assertThat(open.contours()).hasSize(1);
        assertThat(open.contours().getFirst().closed()).isFalse();
        assertThat(nodes(open)).extracting(Node::at).containsExactly(new Point(90, 0), new Point(90, 90), new Point(0, 90), new Point(0, 0),
                new Point(90, 0));
        Outline again = NodeEdit.join(open, new Ref(0, 0), new Ref(0, 4));
        assertThat(again.contours().getFirst().closed()).isTrue();
        assertThat(nodes(again)).hasSize(4);
        Outline two = NodeEdit.breakAt(SQUARE, Set.of(new Ref(0, 0), new Ref(0, 2)));
        assertThat(two.contours()).hasSize(2).allSatisfy(c -> assertThat(c.nodes()).hasSize(3));
        Outline halves = NodeEdit.breakAt(ARCHES, Set.of(new Ref(0, 1)));
        assertThat(halves.contours()).hasSize(2);
        assertThat(halves.contours().getFirst().nodes().getLast().out()).isEqualTo(Point.ZERO);
        Outline whole = NodeEdit.join(halves, new Ref(0, 1), new Ref(1, 0));
        assertThat(whole.contours()).hasSize(1);
        assertThat(nodes(whole)).extracting(Node::at).isEqualTo(nodes(ARCHES).stream().map(Node::at).toList());
        assertThat(segment(whole, 1)).isEqualTo(segment(ARCHES, 1));
    }

    @Test
    void endsThatLieApartMeetInTheMiddleWhicheverWayTheyRun() {
        Outline lines = new Outline(List.of(new Contour(List.of(Node.corner(0, 0), Node.corner(50, 0)), false),
                new Contour(List.of(Node.corner(100, 100), Node.corner(60, 10)), false)));
        Outline one = NodeEdit.join(lines, new Ref(0, 1), new Ref(1, 1));
        assertThat(nodes(one)).extracting(Node::at).containsExactly(new Point(0, 0), new Point(55, 5), new Point(100, 100));
        assertThat(NodeEdit.join(lines, new Ref(0, 0), new Ref(0, 0))).as("with itself").isEqualTo(lines);
        assertThat(NodeEdit.join(SQUARE, new Ref(0, 0), new Ref(0, 2))).as("a closed form has no ends").isEqualTo(SQUARE);
    }

    @Test
    void closingOpeningAndChoosing() {
        Outline closed = NodeEdit.withClosed(ARCHES, true);
        assertThat(closed.contours().getFirst().closed()).isTrue();
        assertThat(closed.contours().getFirst().segments()).hasSize(3);
        assertThat(NodeEdit.withClosed(closed, false)).isEqualTo(ARCHES);
        assertThat(NodeEdit.inside(SQUARE, p -> p.x() > 45)).containsExactly(new Ref(0, 1), new Ref(0, 2));
        assertThat(NodeEdit.node(SQUARE, new Ref(0, 2)).at()).isEqualTo(new Point(90, 90));
    }
}
