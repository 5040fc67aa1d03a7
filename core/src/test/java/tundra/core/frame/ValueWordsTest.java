package tundra.core.frame;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import tundra.core.edit.PieceValues;
import tundra.core.fit.Frames;
import tundra.core.geometry.Point;
import tundra.core.model.Board;
import tundra.core.model.Color;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.PieceValue;
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.core.model.Scene;
import tundra.core.model.Timeline;
import tundra.core.model.Values;

class ValueWordsTest {
    private static final PieceValue PLACED = new PieceValue("v", "placed", PieceValue.Kind.NUMBER, "0", false);
    private static final PieceValue NAME = new PieceValue("w", "placed by", PieceValue.Kind.TEXT, "somebody", false);

    private static Project piece(String words) {
        var text = new Element("words", "Words", false, false, Values.NONE.with(Properties.FILL, Color.BLACK), new Content.Text(words, "Lora", 400,
                10, Content.Align.LEFT, 1));
        var board = new Board(new Point(100, 100), Values.NONE, List.of(text),
                List.of(new Timeline("main", Timeline.MAIN, 1_000_000, false, true, Map.of())), List.of());
        return new Project("p", "P", 24, List.of(new Scene("s", "S", board)), Map.of(), Map.of()).withValues(List.of(PLACED, NAME));
    }

    private static String words(Project p) {
        return ((Content.Text) p.scenes().getFirst().board().find("words").content()).text();
    }

    private static String seen(FrameBuilder b) {
        return ((Mark.Glyphs) b.at(0).find("words").node().marks().getFirst()).layout().lines().getFirst().text();
    }

    @Test
    void valuesStandWhereTheirNamesStandBetweenBraces() {
        var values = List.of(PLACED, NAME);
        assertThat(ValueWords.in("{placed} of 3, {placed by}", values)).containsExactly(new ValueWords.Span(0, 8, PLACED),
                new ValueWords.Span(15, 26, NAME));
        assertThat(ValueWords.in("{other} {placed {placed}", values)).containsExactly(new ValueWords.Span(16, 24, PLACED));
        assertThat(ValueWords.in("{placed}", List.of())).isEmpty();
        var shown = ValueWords.shown("{placed} of 3, {placed by}!", values);
        assertThat(shown.text()).isEqualTo("0 of 3, somebody!");
        assertThat(shown.values()).containsExactly(new ValueWords.Span(0, 1, PLACED), new ValueWords.Span(8, 16, NAME));
    }

    @Test
    void theCanvasShowsWhatTheyAreAtFirstAndTheirNamesWhileTyped() {
        Project p = piece("{placed} of 3");
        Board b = p.scenes().getFirst().board();
        var seen = Frames.of(p, b, new FakeMeasurer());
        assertThat(seen(seen)).isEqualTo("0 of 3");
        assertThat(seen.boxAt(b.find("words"), 0).x())
                .isEqualTo(new FrameBuilder(b.mapElement("words", e -> e.withContent(((Content.Text) e.content()).withText("0 of 3"))),
                new FakeMeasurer()).boxAt(
                b.mapElement("words", e -> e.withContent(((Content.Text) e.content()).withText("0 of 3"))).find("words"), 0).x());
        var typed = Frames.of(p, b, new FakeMeasurer());
        typed.showAsWritten("words");
        assertThat(seen(typed)).isEqualTo("{placed} of 3");
    }

    @Test
    void renamingFollowsAndDeletingLeavesWhatItWas() {
        Project p = piece("{placed} of 3");
        assertThat(PieceValues.showing(p, "v")).isEqualTo(1);
        assertThat(PieceValues.showing(p, "w")).isZero();
        assertThat(words(PieceValues.map(p, "v", v -> v.withName("raised")))).isEqualTo("{raised} of 3");
        assertThat(words(PieceValues.map(p, "v", v -> v.withStart("7")))).isEqualTo("{placed} of 3");
        assertThat(words(PieceValues.delete(p, "v"))).isEqualTo("0 of 3");
    }
}
