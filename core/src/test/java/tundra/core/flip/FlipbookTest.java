package tundra.core.flip;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import tundra.core.edit.Drawings;
import tundra.core.edit.Exposures;
import tundra.core.geometry.Point;
import tundra.core.model.Board;
import tundra.core.model.Content;
import tundra.core.model.Drawing;
import tundra.core.model.Element;
import tundra.core.model.Flipbook;
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.core.model.Timeline;
import tundra.core.model.Tree;
import tundra.core.model.Values;

/** Drawings in time. */
class FlipbookTest {
    private static final Point BOX = new Point(100, 80);

    /** Drawings a, b, c … with these starts and exposures, in pairs. */
    private static Flipbook book(Flipbook.Ending ending, int... times) {
        var out = new ArrayList<Drawing>();
        for (int i = 0; i < times.length; i += 2) {
            String id = String.valueOf((char) ('a' + i / 2));
            out.add(new Drawing(Flipbook.blank(id, BOX).withId(id), times[i], times[i + 1]));
        }
        return new Flipbook(out, BOX, 24, ending);
    }

    private static Flipbook held(int... times) {
        return book(Flipbook.Ending.HOLD, times);
    }

    /** «a0-2 b2-5» */
    private static String times(Flipbook b) {
        return String.join(" ", b.drawings().stream().map(d -> (d.id().length() > 1 ? "+" : d.id()) + d.start() + "-" + d.end()).toList());
    }

    /** What each frame shows. */
    private static String shows(Flipbook b, int frames) {
        var s = new StringBuilder();
        IntStream.range(0, frames).forEach(f -> {
            int i = b.indexAt(f);
            s.append(i < 0 ? "." : b.drawings().get(i).id());
        });
        return s.toString();
    }

    @Test
    void eachFrameShowsItsDrawing() {
        assertThat(shows(book(Flipbook.Ending.HOLD, 1, 2, 3, 1, 6, 2), 12)).isEqualTo(".aab..cccccc");
        assertThat(shows(book(Flipbook.Ending.VANISH, 1, 2, 3, 1, 6, 2), 12)).isEqualTo(".aab..cc....");
        assertThat(shows(book(Flipbook.Ending.LOOP, 1, 2, 3, 1, 6, 2), 16)).isEqualTo(".aab..ccaab..cca");
        assertThat(shows(book(Flipbook.Ending.LOOP), 3)).isEqualTo("...");
    }

    @Test
    void aFrameIsTakenByTheTimeItBegins() {
        for (int rate : new int[] {12, 24, 25, 30, 7, 240}) {
            Flipbook b = held(0, 1).withRate(rate);
            for (long f = 0; f < 5000; f++) {
                long t = b.timeOf(f);
                assertThat(b.frameAt(t)).isEqualTo(f);
                assertThat(f == 0 ? 0 : b.frameAt(t - 1)).isEqualTo(Math.max(0, f - 1));
            }
        }
    }

    @Test
    void drawingsMayNotShareAFrame() {
        assertThatThrownBy(() -> held(0, 3, 2, 1)).isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> held(0, 0)).isInstanceOf(IllegalArgumentException.class);
    }

    @Test
    void holdingLongerMovesTheRest() {
        assertThat(times(Drawings.hold(held(0, 2, 2, 1, 5, 2), 0, 4))).isEqualTo("a0-4 b4-5 c7-9");
        assertThat(times(Drawings.hold(held(0, 2, 2, 3, 5, 2), 1, -4))).isEqualTo("a0-2 b2-3 c3-5");
    }

    @Test
    void splitLeavesTimesAsTheyAre() {
        Flipbook s = Drawings.split(held(0, 2, 2, 5), 4);
        assertThat(times(s)).isEqualTo("a0-2 b2-4 +4-7");
        assertThat(Drawings.split(held(0, 2), 0)).isEqualTo(held(0, 2));
        assertThat(Drawings.split(held(0, 2), 2)).isEqualTo(held(0, 2));
    }

    @Test
    void deletedDrawingsCloseUpAndClearedOnesLeaveAGap() {
        Flipbook b = held(0, 2, 2, 3, 6, 1, 7, 1);
        assertThat(times(Drawings.delete(b, List.of("b")))).isEqualTo("a0-2 c3-4 d4-5");
        assertThat(times(Drawings.clear(b, List.of("b", "c")))).isEqualTo("a0-2 d7-8");
    }

    @Test
    void shiftingPushesWhatItMeetsAndStopsAtWhatIsBefore() {
        Flipbook b = held(0, 2, 2, 2, 6, 2);
        assertThat(times(Drawings.shift(b, List.of("b"), 1))).isEqualTo("a0-2 b3-5 c6-8");
        assertThat(times(Drawings.shift(b, List.of("b"), 4))).isEqualTo("a0-2 b6-8 c8-10");
        assertThat(times(Drawings.shift(b, List.of("c"), -9))).isEqualTo("a0-2 b2-4 c4-6");
        assertThat(times(Drawings.shift(b, List.of("b", "c"), -1))).as("no room before b").isEqualTo(times(b));
    }

    @Test
    void reorderTakesExposuresAlong() {
        Flipbook b = held(0, 1, 1, 2, 3, 3);
        assertThat(times(Drawings.reorder(b, List.of("c"), 0))).isEqualTo("c0-3 a3-4 b4-6");
        assertThat(times(Drawings.reorder(b, List.of("a", "b"), 1))).isEqualTo("c0-3 a3-4 b4-6");
        assertThat(times(Drawings.reorder(b, List.of("a", "b", "c"), 2))).isEqualTo(times(b));
    }

    @Test
    void insertedDrawingsKeepTheirDistances() {
        Flipbook b = held(0, 2, 2, 2);
        List<Drawing> copies = Drawings.copies(held(4, 1, 7, 2), List.of("a", "b"));
        assertThat(times(Drawings.insert(b, 1, copies))).isEqualTo("a0-2 +2-3 +5-7 b7-9");
        assertThat(times(Drawings.insert(b, 2, copies))).isEqualTo("a0-2 b2-4 +4-5 +7-9");
        assertThat(times(Drawings.fill(held(0, 2, 6, 1), 3, 9, Flipbook.blank("x", BOX)))).isEqualTo("a0-2 +3-6 b6-7");
    }

    @Test
    void mergedNeighboursFillTheirStretch() {
        assertThat(times(Drawings.merge(held(0, 2, 4, 3, 8, 1), 0))).isEqualTo("a0-7 c8-9");
    }

    @Test
    void copyToNextMayRepeatTheStep() {
        Element leg = new Element("Leg", new Content.Rectangle(), Values.NONE.with(Properties.POSITION, new Point(10, 20))
                .with(Properties.ROTATION, 5.0));
        Element moved = leg.withId("leg2").with(Properties.POSITION, new Point(14, 19)).with(Properties.ROTATION, 20.0);
        var b = new Flipbook(List.of(new Drawing(Flipbook.blank("a", BOX).withChildren(List.of(leg)), 0, 2),
                new Drawing(Flipbook.blank("b", BOX).withChildren(List.of(moved)), 2, 2)), BOX, 24, Flipbook.Ending.LOOP);
        Element same = Drawings.copyToNext(b, 1, false).drawings().get(2).art().children().getFirst();
        assertThat(same.rest()).isEqualTo(moved.rest());
        assertThat(same.id()).isNotEqualTo("leg2");
        Element on = Drawings.copyToNext(b, 1, true).drawings().get(2).art().children().getFirst();
        assertThat(on.rest().get(Properties.POSITION)).isEqualTo(new Point(18, 18));
        assertThat(on.rest().get(Properties.ROTATION)).isEqualTo(35);
    }

    @Test
    void scaledExposuresRoundEachEdgeAndTellTheError() {
        var s = Exposures.scaled(held(0, 1, 1, 1, 2, 1, 3, 1), d -> true, 1.5);
        assertThat(times(s.book())).as("edges at 1.5, 3, 4.5, 6").isEqualTo("a0-2 b2-3 c3-4 d4-6");
        assertThat(s.error()).isCloseTo(0.5, within(1e-9));
        assertThat(times(Exposures.scaled(held(0, 2, 2, 2, 4, 2), d -> d.id().equals("b"), 2).book())).isEqualTo("a0-2 b2-6 c6-8");
        assertThat(times(Exposures.scaled(held(0, 2, 4, 2), d -> true, 3).book())).as("gaps grow with them").isEqualTo("a0-6 b12-18");
        assertThat(times(Exposures.scaled(held(0, 1, 1, 1), d -> true, 0.1).book())).as("one frame each is the least").isEqualTo("a0-1 b1-2");
    }

    @Test
    void aRunIsRetimedToItsFrames() {
        var s = Exposures.retimed(held(2, 2, 4, 2, 6, 2, 8, 4), d -> !d.id().equals("d"), 9);
        assertThat(times(s.book())).isEqualTo("a2-5 b5-8 c8-11 d11-15");
        assertThat(s.error()).isZero();
    }

    @Test
    void anotherFrameRateKeepsTheSeconds() {
        Element e = new Element("Hare", held(0, 2, 2, 1, 3, 3), Values.NONE);
        Project p = Project.empty("P", new Point(100, 100), 24);
        p = p.mapBoard(p.scenes().getFirst().id(), b -> b.withElements(List.of(e)));
        var doubled = Exposures.atRate(p, 48);
        Flipbook b = (Flipbook) doubled.project().scenes().getFirst().board().find(e.id()).content();
        assertThat(times(b)).isEqualTo("a0-4 b4-6 c6-12");
        assertThat(b.rate()).isEqualTo(48);
        assertThat(doubled.project().frameRate()).isEqualTo(48);
        assertThat(doubled.error()).isZero();
        var odd = Exposures.atRate(p, 30);
        // edges at 2.5, 3.75 and 7.5 frames of 1/30 s
        assertThat(odd.error()).isCloseTo(0.5 / 30, within(1e-9));
    }

    @Test
    void theTreeFindsAndChangesWhatIsInADrawing() {
        Element leg = new Element("leg", "Leg", false, false, Values.NONE, new Content.Rectangle());
        Flipbook b = held(0, 2, 3, 2);
        b = b.withChildren(List.of(b.drawings().get(0).art(), b.drawings().get(1).art().withChildren(List.of(leg))));
        Element e = new Element("Hare", b, Values.NONE);
        var board = new Board(new Point(10, 10), Values.NONE, List.of(e), List.of(new Timeline("Main", 1_000_000)), List.of());
        assertThat(Tree.path(board.elements(), "leg")).containsExactly(e.id(), "b", "leg");
        Board changed = board.mapElement("leg", x -> x.withName("Paw"));
        assertThat(changed.find("leg").name()).isEqualTo("Paw");
        assertThat(times((Flipbook) changed.find(e.id()).content())).isEqualTo("a0-2 b3-5");
        Board without = board.withElements(Tree.remove(board.elements(), "b"));
        assertThat(times((Flipbook) without.find(e.id()).content())).isEqualTo("a0-2");
        Flipbook more = ((Flipbook) board.find(e.id()).content()).withChildren(List.of(b.drawings().get(0).art(), b.drawings().get(1).art(),
                leg.withId("x")));
        assertThat(more.drawings().getLast().start()).isEqualTo(5);
        assertThat(more.drawings().getLast().art().children()).extracting(Element::id).containsExactly("x");
    }
}
