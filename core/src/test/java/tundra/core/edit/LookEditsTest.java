package tundra.core.edit;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import tundra.core.frame.FakeMeasurer;
import tundra.core.frame.FrameBuilder;
import tundra.core.frame.HitTest;
import tundra.core.frame.Moment;
import tundra.core.frame.Pickable;
import tundra.core.geometry.Point;
import tundra.core.model.Board;
import tundra.core.model.Color;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Properties;
import tundra.core.model.Property;
import tundra.core.model.Span;
import tundra.core.model.Timeline;
import tundra.core.model.Values;
import tundra.core.motion.Easing;
import tundra.core.motion.Key;
import tundra.core.motion.Track;

/** Edits for one look of several, resting as the first keys have it, the very end of a loop, and what can be picked. */
class LookEditsTest {
    private static final List<Long> LOOKS = List.of(0L, 500_000L, 1_000_000L, 1_500_000L);

    private static Element box(String id, Color fill) {
        return new Element(id, id, false, false, Values.NONE.with(Properties.POSITION, new Point(50, 50)).with(Properties.SIZE, new Point(40, 20))
                .with(Properties.FILL, fill), new Content.Rectangle());
    }

    private static Board board(Timeline t) {
        return new Board(new Point(200, 100), Values.NONE, List.of(box("e", Color.BLACK)), List.of(t), List.of());
    }

    private static <T> T seen(Board b, Property<T> p, long time) {
        return PropertyEdit.valueAt(b, b.main(), "e", p, time);
    }

    @Test
    void aChangeOfOneLookLeavesTheOthers() {
        var still = new Timeline("t", "Main", 1_500_000, false, true, Map.of());
        var keyed = still.with("e", Properties.FILL, new Track<>(List.of(new Key<>(0, Color.parse("#102030"), Easing.LINEAR),
                new Key<>(1_500_000, Color.parse("#405060"), Easing.LINEAR))));
        for (Timeline t : List.of(still, keyed)) {
            Board was = board(t);
            for (long look : LOOKS) {
                Board now = new PropertyEdit("t", look, EditScope.KEY).keeping(LOOKS).set(was, "e", Properties.FILL, Color.parse("#E0A030"));
                for (long other : LOOKS) {
                    assertThat(seen(now, Properties.FILL, other)).as("at %d after a change at %d", other, look)
                            .isEqualTo(other == look ? Color.parse("#E0A030") : seen(was, Properties.FILL, other));
                }
            }
        }
    }

    @Test
    void aTimelineThatWaitsRestsAsItsFirstKeys() {
        var t = new Timeline("t", "Open", 1_000_000, false, false, Map.of())
                .with("e", Properties.OPACITY, new Track<>(List.of(new Key<>(0, 0.25, Easing.LINEAR), new Key<>(1_000_000, 1.0, Easing.LINEAR))))
                .with("e", Properties.POSITION_X,
                new Track<>(List.of(new Key<>(200_000, 10.0, Easing.LINEAR), new Key<>(1_000_000, 90.0, Easing.LINEAR))));
        Board now = Resting.asFirstKeys(board(t), "t", id -> true);
        assertThat(now.rest("e").get(Properties.OPACITY)).isEqualTo(0.25);
        assertThat(now.rest("e").get(Properties.POSITION)).isEqualTo(new Point(10, 50));
        assertThat(Resting.asFirstKeys(board(t), "t", id -> false)).isEqualTo(board(t));
    }

    @Test
    void atTheVeryEndOfALoopTheEndIsSeenAndWritten() {
        var t = new Timeline("t", "Main", 1_000_000, true, true, Map.of())
                .with("e", Properties.POSITION,
                new Track<>(List.of(new Key<>(0, new Point(10, 20), Easing.LINEAR), new Key<>(1_000_000, new Point(90, 70), Easing.LINEAR))));
        Board b = board(t);
        assertThat(seen(b, Properties.POSITION, 1_000_000)).isEqualTo(new Point(90, 70));
        assertThat(new FrameBuilder(b, new FakeMeasurer()).valueAt("e", Properties.POSITION, Moment.editing(b, "t", 1_000_000)))
                .isEqualTo(new Point(90, 70));
        // one coordinate that is typed there leaves the other
        Point typed = new Point(80, seen(b, Properties.POSITION, 1_000_000).y());
        Board now = new PropertyEdit("t", 1_000_000, EditScope.KEY).set(b, "e", Properties.POSITION, typed);
        assertThat(now.main().track("e", Properties.POSITION).keyAt(1_000_000).value()).isEqualTo(new Point(80, 70));
        assertThat(Moment.opened(b, 1_000_000).timeOf("t")).as("a visitor is in the next round by then").isZero();
    }

    @Test
    void whatIsHiddenFadedOrOutOfItsTimeCanBePicked() {
        Board plain = board(new Timeline("t", "Main", 1_000_000, false, true, Map.of()));
        var faded = plain.mapTimeline("t", t -> t.with("e", Properties.OPACITY, new Track<>(List.of(new Key<>(0, 0.0, Easing.LINEAR)))));
        for (Board b : List.of(plain, plain.mapElement("e", e -> e.withHidden(true)), faded,
                plain.withRest("e", v -> v.with(Properties.OPACITY, 0.0)),
                plain.mapTimeline("t", t -> t.withShown("e", new Span(500_000, 900_000))),
                plain.withRest("e", v -> v.with(Properties.FILL, Color.NONE).with(Properties.STROKE, Color.NONE)
                .with(Properties.TOUCH, "its whole box")))) {
            var frame = new FrameBuilder(Pickable.board(b), new FakeMeasurer()).at(0);
            assertThat(HitTest.under(frame, new Point(50, 50), 1)).containsExactly(List.of("e"));
            assertThat(HitTest.under(frame, new Point(150, 50), 1)).isEmpty();
        }
    }
}
