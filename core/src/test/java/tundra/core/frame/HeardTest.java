package tundra.core.frame;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import tundra.core.geometry.Point;
import tundra.core.model.Asset;
import tundra.core.model.Board;
import tundra.core.model.Clock;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Motif;
import tundra.core.model.PlacedSound;
import tundra.core.model.Project;
import tundra.core.model.Timeline;
import tundra.core.model.Values;

/** What is heard of motifs, against times worked out by hand. */
class HeardTest {
    private static final Asset BELL = Asset.sound("bell.wav", "audio/wav", 200_000, new byte[] {1, 2, 3});

    /** A second of a motif with a bell of 0.2 s, placed once in a scene of three seconds. */
    private static List<PlacedSound> heard(PlacedSound bell, Clock clock) {
        var ring = new Motif("ring", "Ring", new Board(new Point(10, 10), Values.NONE, List.of(),
                List.of(new Timeline("in", Timeline.MAIN, 1_000_000, true, true, Map.of()).withSounds(List.of(bell))), List.of()));
        var e = new Element("one", "One", false, false, Values.NONE, new Content.Instance("ring", new Point(10, 10), clock));
        Project p = Project.empty("P", new Point(100, 100), 24).withMotifs(List.of(ring)).withAsset(BELL);
        Board b = p.scenes().getFirst().board().withElements(List.of(e))
                .withTimelines(List.of(new Timeline("main", Timeline.MAIN, 3_000_000, false, true, Map.of())));
        return AudibleSounds.on(p, b, b.main());
    }

    private static PlacedSound at(long start) {
        return new PlacedSound("s", BELL.hash(), start, 0.5);
    }

    @Test
    void onceInEachTurn() {
        assertThat(heard(at(300_000), Clock.OWN)).extracting(PlacedSound::start).containsExactly(300_000L, 1_300_000L, 2_300_000L);
        assertThat(heard(at(300_000), Clock.PARENT.withPhase(100_000))).extracting(PlacedSound::start).containsExactly(200_000L, 1_200_000L,
                2_200_000L);
    }

    @Test
    void aPhaseAmidTheSoundHearsItsRestFirst() {
        List<PlacedSound> all = heard(at(300_000), Clock.OWN.withPhase(350_000));
        // it began 50 ms ago: 150 ms of it are left; then at the end of each turn of one second
        assertThat(all).extracting(PlacedSound::start).containsExactly(0L, 950_000L, 1_950_000L, 2_950_000L);
        assertThat(all).extracting(PlacedSound::from).containsExactly(50_000L, 0L, 0L, 0L);
        assertThat(all).extracting(PlacedSound::length).as("cut where the scene's timeline ends").containsExactly(150_000L, 200_000L, 200_000L,
                50_000L);
    }

    @Test
    void twiceAsFastItComesTwiceAsOftenAndBackwardsNever() {
        assertThat(heard(at(400_000), Clock.OWN.withSpeed(2))).extracting(PlacedSound::start)
                .containsExactly(200_000L, 700_000L, 1_200_000L, 1_700_000L, 2_200_000L, 2_700_000L);
        assertThat(heard(at(400_000), Clock.OWN.withSpeed(-1))).isEmpty();
        assertThat(heard(at(400_000), Clock.OWN.withRepeat(Clock.Repeat.HOLD))).isEmpty();
        assertThat(heard(at(400_000), Clock.OWN.withRepeat(Clock.Repeat.ONCE))).hasSize(1);
    }

    @Test
    void aLoopingSoundFillsItsTurn() {
        List<PlacedSound> all = heard(at(500_000).withLoop(true), Clock.OWN.withRepeat(Clock.Repeat.ONCE));
        assertThat(all).extracting(PlacedSound::start).containsExactly(500_000L, 700_000L, 900_000L);
        assertThat(all.getLast().length()).isEqualTo(100_000);
    }

    /** A part as short as can be, begun again and again over a day, is a part that can be heard, and takes no time to work out. */
    @Test
    void theShortestPartOverADayIsWorkedOutAtOnce() {
        PlacedSound shortest = at(0).trimmed(0, 1).withLoop(true);
        assertThat(shortest.part(200_000)).isEqualTo(PlacedSound.SHORTEST);
        long began = System.nanoTime();
        assertThat(heard(shortest.withStart(-80_000_000_000L), Clock.OWN)).isNotEmpty();
        assertThat(System.nanoTime() - began).as("ns; by one part after the other it would be hours").isLessThan(5_000_000_000L);
    }
}
