package tundra.core.edit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tundra.core.geometry.Point;
import tundra.core.model.Actions;
import tundra.core.model.Board;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Events;
import tundra.core.model.Marker;
import tundra.core.model.PlacedSound;
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.core.model.Reaction;
import tundra.core.model.Span;
import tundra.core.model.Timeline;
import tundra.core.model.Values;
import tundra.core.motion.Easing;
import tundra.core.motion.Key;
import tundra.core.motion.Track;

/** Shortening a timeline, keys by frames, and what happens before a first key. */
class DurationsTest {
    private Board board;

    @BeforeEach
    void piece() {
        var e = new Element("e", "e", false, false, Values.NONE.with(Properties.ROTATION, 10.0), new Content.Rectangle());
        var t = new Timeline("t", "Main", 4_000_000, false, true, Map.of())
                .with("e", Properties.ROTATION,
                new Track<>(List.of(new Key<>(1_000_000, 0.0, Easing.LINEAR), new Key<>(3_000_000, 80.0, Easing.LINEAR))))
                .withMarkers(List.of(new Marker("m", "end", 3_500_000))).withRange(new Span(500_000, 3_000_000))
                .withShown("e", new Span(0, 2_500_000));
        board = new Board(new Point(100, 100), Values.NONE, List.of(e), List.of(t), List.of());
    }

    private Track<Double> turns(Board b) {
        return b.main().track("e", Properties.ROTATION);
    }

    @Test
    void trimmedKeysLeaveWhatWasSeenAtTheEnd() {
        Board b = Durations.trimmed(board, "t", 2_000_000);
        assertThat(b.main().duration()).isEqualTo(2_000_000);
        assertThat(turns(b).keys()).extracting(Key::time).containsExactly(1_000_000L, 2_000_000L);
        assertThat(turns(b).keys().getLast().value()).isCloseTo(40, within(1e-9));
        assertThat(b.main().markers().getFirst().time()).as("a marker never ends beyond it").isEqualTo(2_000_000);
        assertThat(b.main().range()).isEqualTo(new Span(500_000, 2_000_000));
    }

    @Test
    void squeezedKeysKeepTheirProportions() {
        Board b = Durations.squeezed(board, "t", 1_500_000);
        assertThat(b.main().duration()).isEqualTo(1_500_000);
        assertThat(turns(b).keys()).extracting(Key::time).containsExactly(500_000L, 1_500_000L);
        assertThat(turns(b).keys()).extracting(Key::value).containsExactly(0.0, 80.0);
        assertThat(b.main().shown().get("e")).isEqualTo(new Span(0, 1_250_000));
        assertThat(b.main().range()).isEqualTo(new Span(250_000, 1_500_000));
        assertThat(b.main().markers().getFirst().time()).isEqualTo(1_500_000);
    }

    @Test
    void aDurationNeverEndsBeforeTheLastKey() {
        assertThat(Durations.to(board.main(), 100).duration()).isEqualTo(3_000_000);
        assertThat(Durations.to(board.main(), 3_200_000).markers().getFirst().time()).isEqualTo(3_200_000);
    }

    @Test
    void keysMovedByFramesKeepTheirDistances() {
        Project p = Project.empty("p", new Point(10, 10), 24);
        var by = Keys.byFrames(p, 3);
        assertThat(by.applyAsLong(p.frameTime(5))).isEqualTo(p.frameTime(8));
        assertThat(by.applyAsLong(1_234_567) - by.applyAsLong(1_200_000)).as("off the frames").isEqualTo(34_567);
        assertThat(Keys.byFrames(p, -3).applyAsLong(by.applyAsLong(1_234_567))).isEqualTo(1_234_567);
    }

    @Test
    void aStretchLeavesItsFixedEndWhereItIs() {
        var times = Keys.stretch(board.main(), 1_010_001, 1.5, t -> Math.round(t / 40_000.0) * 40_000);
        assertThat(times.applyAsLong(1_010_001)).isEqualTo(1_010_001);
        assertThat(times.applyAsLong(2_010_001) % 40_000).isZero();
    }

    @Test
    void beforeAFirstKeyItMovesFromTheStartOrStaysUntilThen() {
        Board bare = board.mapTimeline("t", t -> t.with("e", Properties.ROTATION, null));
        Board slow = new PropertyEdit("t", 2_000_000, EditScope.KEY, PropertyEdit.FirstKey.FROM_START).set(bare, "e", Properties.ROTATION, 50.0);
        Board late = new PropertyEdit("t", 2_000_000, EditScope.KEY, PropertyEdit.FirstKey.UNTIL_HERE).set(bare, "e", Properties.ROTATION, 50.0);
        assertThat(PropertyEdit.valueAt(slow, slow.main(), "e", Properties.ROTATION, 1_000_000)).isCloseTo(30, within(1e-6));
        assertThat(PropertyEdit.valueAt(late, late.main(), "e", Properties.ROTATION, 1_999_999)).isEqualTo(10);
        assertThat(PropertyEdit.valueAt(late, late.main(), "e", Properties.ROTATION, 2_000_000)).isEqualTo(50);
    }

    @Test
    void aDragOfTheRestingValueMovesItByTheDrag() {
        Board b = new PropertyEdit("t", 2_000_000, EditScope.REST).drag(board, "e", Properties.ROTATION, 40.0, 45.0);
        assertThat(b.rest("e").get(Properties.ROTATION)).as("10 and the 5 of the drag, not the 45 that are seen").isEqualTo(15);
        assertThat(turns(b)).isEqualTo(turns(board));
    }

    /** Sounds and cues go along with all else, at twice the time and at half of it. */
    @Test
    void soundsAndCuesGoAlong() {
        var cue = new Reaction("r", Events.of(Events.PASSED, "t", 1_200_000L, "forwards"), List.of(Actions.of(Actions.GO_TO, "t", 600_000L),
                Actions.of(Actions.WAIT, 500_000L)));
        Board with = board.withReactions(List.of(cue)).mapTimeline("t", t -> t.withSounds(List.of(new PlacedSound("bell", "hash", 800_000, 1))));
        Board longer = Durations.stretched(with, "t", 8_000_000);
        assertThat(longer.main().duration()).isEqualTo(8_000_000);
        assertThat(turns(longer).keys()).extracting(Key::time).containsExactly(2_000_000L, 6_000_000L);
        assertThat(longer.main().markers().getFirst().time()).isEqualTo(7_000_000);
        assertThat(longer.main().sounds().getFirst().start()).isEqualTo(1_600_000);
        assertThat(longer.main().shown().get("e")).isEqualTo(new Span(0, 5_000_000));
        Reaction moved = longer.reactions().getFirst();
        assertThat(moved.when().slots().get(Events.TIME)).isEqualTo(2_400_000L);
        assertThat(moved.actions().getFirst().slots().get(Actions.TIME)).isEqualTo(1_200_000L);
        assertThat(moved.actions().getLast().slots().get(Actions.DURATION)).as("how long one waits is no time of the timeline").isEqualTo(500_000L);
        Board shorter = Durations.squeezed(with, "t", 1_500_000);
        assertThat(shorter.main().sounds().getFirst().start()).isEqualTo(400_000);
        assertThat(shorter.reactions().getFirst().when().slots().get(Events.TIME)).isEqualTo(600_000L);
        // another timeline's cue stays
        Board other = with.withTimelines(List.of(with.main(), new Timeline("u", "Other", 1_000_000, false, true, Map.of())));
        assertThat(Durations.stretched(other, "u", 2_000_000).reactions()).isEqualTo(with.reactions());
    }
}
