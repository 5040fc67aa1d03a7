package tundra.core.edit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tundra.core.frame.FakeMeasurer;
import tundra.core.frame.FrameBuilder;
import tundra.core.geometry.Point;
import tundra.core.model.Asset;
import tundra.core.model.Board;
import tundra.core.model.Color;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.core.model.Span;
import tundra.core.model.Timeline;
import tundra.core.model.Tree;
import tundra.core.model.Values;
import tundra.core.motion.Easing;
import tundra.core.motion.Key;
import tundra.core.motion.Track;

/** Whole moves that are shifted, mirrored and copied, compared by the corners that are seen at many times. */
class PlacingTest {
    private Board board;

    private static Element box(String id, double x, double y) {
        return new Element(id, id, false, false, Values.NONE.with(Properties.POSITION, new Point(x, y)).with(Properties.SIZE, new Point(40, 20))
                .with(Properties.FILL, Color.BLACK), new Content.Rectangle());
    }

    @BeforeEach
    void aBoxThatMovesInAGroupThatTurns() {
        var group = new Element("group", "Sled", false, false, Values.NONE.with(Properties.POSITION, new Point(200, 150)),
                new Content.Group(List.of(box("inner", 30, 20), box("other", 60, 50)), new Point(100, 80)));
        var main = new Timeline("main", "Main", 2_000_000, false, true, Map.of())
                .with("group", Properties.POSITION, new Track<>(List.of(
                        new Key<>(0, new Point(200, 150), Easing.LINEAR, Point.ZERO, new Point(60, -40), true),
                        new Key<>(2_000_000, new Point(400, 250), Easing.LINEAR, new Point(-30, -80), Point.ZERO, true))))
                .with("group", Properties.ROTATION,
                new Track<>(List.of(new Key<>(0, 10.0, Easing.LINEAR), new Key<>(2_000_000, 130.0, Easing.LINEAR))))
                .with("inner", Properties.SCALE,
                new Track<>(List.of(new Key<>(0, new Point(1, 1), Easing.LINEAR), new Key<>(1_000_000, new Point(2, 0.5), Easing.LINEAR))))
                .withShown("inner", new Span(0, 1_900_000));
        board = new Board(new Point(640, 400), Values.NONE, List.of(box("ground", 320, 380), group), List.of(main), List.of());
    }

    private static List<Point> corners(Board b, String id, long time) {
        return new FrameBuilder(b, new FakeMeasurer()).at(time).find(id).corners();
    }

    private static final long[] TIMES = {0, 333_333, 1_000_000, 1_500_000, 1_899_999};

    @Test
    void aShiftedMoveIsTheSameMoveElsewhere() {
        Point by = new Point(-33, 21);
        Board b = Placing.shift(board, "group", by);
        for (long t : TIMES) {
            List<Point> was = corners(board, "inner", t), now = corners(b, "inner", t);
            for (int i = 0; i < 4; i++) {
                assertThat(now.get(i).distance(was.get(i).plus(by))).as(t + " µs").isLessThan(1e-9);
            }
        }
        assertThat(Placing.shift(board, "group", Point.ZERO)).isSameAs(board);
    }

    @Test
    void aMirroredMoveIsTheMirrorImageAtEveryTime() {
        Board b = Placing.mirrored(board, "group", 320);
        for (long t : TIMES) {
            List<Point> was = corners(board, "inner", t), now = corners(b, "inner", t);
            for (int i = 0; i < 4; i++) {
                assertThat(now.get(i).distance(new Point(640 - was.get(i).x(), was.get(i).y()))).as(t + " µs").isLessThan(1e-6);
            }
        }
        Board twice = Placing.mirrored(b, "group", 320);
        for (long t : TIMES) {
            assertThat(corners(twice, "other", t).getFirst().distance(corners(board, "other", t).getFirst())).isLessThan(1e-6);
        }
    }

    @Test
    void aSplitPositionIsShiftedInBothHalves() {
        Board split = board.mapTimeline("main", t -> t.with("group", Properties.POSITION, null)
                .with("group", Properties.POSITION_X,
                new Track<>(List.of(new Key<>(0, 10.0, Easing.LINEAR), new Key<>(1_000_000, 90.0, Easing.LINEAR))))
                .with("group", Properties.POSITION_Y, new Track<>(List.of(new Key<>(0, 70.0, Easing.LINEAR)))));
        Board b = Placing.shift(split, "group", new Point(5, -7));
        assertThat(b.main().track("group", Properties.POSITION_X).keys()).extracting(Key::value).containsExactly(15.0, 95.0);
        assertThat(b.main().track("group", Properties.POSITION_Y).keys()).extracting(Key::value).containsExactly(63.0);
    }

    @Test
    void aPivotThatIsMovedLeavesTheArtAtTheTimeThatIsSeen() {
        var frame = new FrameBuilder(board, new FakeMeasurer()).at(700_000);
        var placed = frame.find("group");
        Board b = Placing.pivot(board, "group", new Point(0, 1), placed.node().toParent(), placed.node().box());
        List<Point> was = corners(board, "inner", 700_000), now = corners(b, "inner", 700_000);
        for (int i = 0; i < 4; i++) {
            assertThat(now.get(i).distance(was.get(i))).isLessThan(1e-6);
        }
        assertThat(b.rest("group").get(Properties.PIVOT)).isEqualTo(new Point(0, 1));
    }

    // --- the clipboard ---

    private static Project project(Board b, Asset... assets) {
        Project p = Project.empty("p", b.size(), 24);
        for (Asset a : assets) {
            p = p.withAsset(a);
        }
        return p.mapBoard(p.scenes().getFirst().id(), x -> b);
    }

    @Test
    void aCopiedGroupBringsTheKeysAndTimesOfAllThatLiesInIt() {
        var pasted = Clip.of(project(board), board, List.of("group")).paste(board, new Point(12, 34));
        Board b = pasted.board();
        assertThat(pasted.ids()).hasSize(1);
        Element copy = b.find(pasted.ids().getFirst());
        assertThat(b.elements().getLast()).isSameAs(copy);
        String inner = copy.children().getFirst().id();
        assertThat(Set.of("group", "inner", "other")).doesNotContain(copy.id(), inner);
        assertThat(b.main().shown().get(inner)).isEqualTo(new Span(0, 1_900_000));
        for (long t : TIMES) {
            assertThat(corners(b, inner, t).getFirst().distance(corners(board, "inner", t).getFirst().plus(new Point(12, 34)))).isLessThan(1e-9);
        }
        var names = new ArrayList<String>();
        Tree.each(b.elements(), e -> names.add(e.name()));
        assertThat(names).doesNotHaveDuplicates().contains("Sled 2", "inner 2", "other 2");
    }

    @Test
    void whatLiesInACopiedGroupIsNotCopiedTwice() {
        var clip = Clip.of(project(board), board, List.of("inner", "group", "ground"));
        assertThat(clip.elements()).extracting(Element::id).as("in the order of the board").containsExactly("ground", "group");
        assertThat(Clip.of(project(board), board, List.of("inner")).paste(board, Point.ZERO).board().elements()).hasSize(3);
    }

    @Test
    void onlyPicturesThatAreShownGoAlong() {
        Asset used = Asset.picture("used.png", "image/png", 4, 4, new byte[] {1}), unused = Asset.picture("unused.png", "image/png", 4, 4,
                new byte[] {2});
        var picture = new Element("pic", "Pic", false, false, Values.NONE, new Content.Picture(used.hash()));
        Board b = board.withElements(List.of(picture));
        var clip = Clip.of(project(b, used, unused), b, List.of("pic"));
        assertThat(clip.withParts(project(board), a -> "").assets()).containsOnlyKeys(used.hash());
        assertThat(Clip.withParts(project(board), List.of(picture), project(board), a -> "").assets()).isEmpty();
    }

    @Test
    void aPasteOnABoardWithoutTheTimelineLeavesItsKeysBehind() {
        var clip = Clip.of(project(board), board, List.of("group"));
        Board other = new Board(new Point(100, 100), Values.NONE, List.of(), List.of(new Timeline("t", "Weather", 1_000_000, false, true, Map.of())),
                List.of());
        var pasted = clip.paste(other, Point.ZERO);
        assertThat(pasted.board().timelines().getFirst().tracks()).isEmpty();
        assertThat(pasted.board().find(pasted.ids().getFirst()).rest().get(Properties.POSITION).distance(new Point(200, 150)))
                .isCloseTo(0, within(1e-12));
    }
}
