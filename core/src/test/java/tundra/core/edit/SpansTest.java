package tundra.core.edit;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import tundra.core.geometry.Point;
import tundra.core.model.Board;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Marker;
import tundra.core.model.Properties;
import tundra.core.model.Span;
import tundra.core.model.Timeline;
import tundra.core.model.Values;

/** Spans and markers of a timeline of one second, and keys that are set and taken away by one button. */
class SpansTest {
    private static final Timeline T = new Timeline("main", "Main", 1_000_000, false, true, Map.of());

    @Test
    void seenFromHereOnAndUntilHere() {
        assertThat(Spans.from(T, "a", 300_000).shown()).containsEntry("a", new Span(300_000, 1_000_000));
        assertThat(Spans.until(T, "a", 300_000).shown()).containsEntry("a", new Span(0, 300_000));
        Timeline late = T.withShown("a", new Span(500_000, 700_000));
        assertThat(Spans.until(late, "a", 400_000)).as("it would end before it begins").isNull();
        assertThat(Spans.from(late, "a", 700_000)).isNull();
        assertThat(Spans.from(late, "a", 600_000).shown()).containsEntry("a", new Span(600_000, 700_000));
    }

    @Test
    void trimmingKeepsALeastLengthAndSlidingTheWholeOne() {
        Span was = new Span(200_000, 600_000);
        assertThat(Spans.trimStart(T, "a", was, 900_000, 40_000).shown()).containsEntry("a", new Span(560_000, 600_000));
        assertThat(Spans.trimEnd(T, "a", was, 100_000, 40_000).shown()).containsEntry("a", new Span(200_000, 240_000));
        assertThat(Spans.slide(T, "a", was, 900_000).shown()).containsEntry("a", new Span(600_000, 1_000_000));
        assertThat(Spans.trimEnd(T.withShown("a", was), "a", new Span(0, 600_000), 1_000_000, 40_000).shown()).as("all of it is no span").isEmpty();
    }

    @Test
    void markersHaveNamesOfTheirOwn() {
        Timeline two = Markers.add(Markers.add(T, 100_000), 200_000);
        assertThat(two.markers()).extracting(Marker::name).containsExactly("Marker", "Marker 2");
        String second = Markers.at(two, 200_000).id();
        assertThat(Markers.rename(two, second, "Marker").markers().get(1).name()).isEqualTo("Marker 2");
        assertThat(Markers.rename(two, second, "Landed").markers().get(1).name()).isEqualTo("Landed");
        assertThat(Markers.move(two, second, 50_000).markers()).as("in the order of time").extracting(Marker::id).first().isEqualTo(second);
        assertThat(Markers.delete(two, second).markers()).hasSize(1);
    }

    @Test
    void oneButtonSetsAKeyAndTakesItAway() {
        var e = new Element("a", "A", false, false, Values.NONE.with(Properties.POSITION, new Point(3, 4)), new Content.Rectangle());
        var b = new Board(new Point(10, 10), Values.NONE, List.of(e), List.of(T), List.of());
        Board keyed = Keys.toggle(b, "main", "a", Properties.ROTATION, 500_000);
        assertThat(Keys.isAt(keyed.main(), "a", Properties.ROTATION, 500_000)).isTrue();
        assertThat(Keys.toggle(keyed, "main", "a", Properties.ROTATION, 500_000).main().track("a", Properties.ROTATION)).isNull();
        Board split = SplitPosition.split(Keys.toggle(b, "main", "a", Properties.POSITION, 0), "main", "a", t -> t);
        Board gone = Keys.toggle(split, "main", "a", Properties.POSITION, 0);
        assertThat(gone.main().track("a", Properties.POSITION_X)).as("both halves go together").isNull();
        assertThat(gone.main().track("a", Properties.POSITION_Y)).isNull();
    }
}
