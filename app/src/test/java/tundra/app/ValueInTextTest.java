package tundra.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tundra.app.studio.Desk;
import tundra.core.edit.PieceValues;
import tundra.core.frame.Mark;
import tundra.core.geometry.Point;
import tundra.core.model.Color;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.PieceValue;
import tundra.core.model.Properties;
import tundra.core.model.Timeline;
import tundra.core.model.Values;

/** A value that a text shows, set in by hand. */
class ValueInTextTest extends InWindow {
    @BeforeEach
    void open() throws Exception {
        animate(new Timeline("main", Timeline.MAIN, 2_000_000, false, true, Map.of()), new Element("score", "Score", false, false,
                Values.NONE.with(Properties.POSITION, new Point(300, 200)).with(Properties.FILL, Color.BLACK),
                new Content.Text("Placed: ", "Figtree", 400, 40, Content.Align.LEFT, 1.2)));
        RealWindow.fx(() -> {
            t.studio.editProject("New value", null, p -> PieceValues.add(p, "placed", PieceValue.Kind.NUMBER));
            t.studio.setDesk(Desk.DRAW);
            t.studio.select(List.of("score"));
            return null;
        });
        t.settle();
    }

    private String written() throws Exception {
        return RealWindow.fx(() -> ((Content.Text) t.studio.board().find("score").content()).text());
    }

    private String seen() throws Exception {
        return RealWindow.fx(() -> ((Mark.Glyphs) t.studio.picture().frame().find("score").node().marks().getFirst()).layout().lines().getFirst()
                .text());
    }

    /** Where no value is there yet one is made, in one step; words that end there get a space. */
    @Test
    void aNewOneIsMadeWhereItIsShown() throws Exception {
        RealWindow.fx(() -> {
            t.studio.edit("words", b -> b.mapElement("score", e -> e.withContent(((Content.Text) e.content()).withText("Points:"))));
            return null;
        });
        t.settle();
        t.click("text-value");
        t.choose("text-value-new");
        t.settle();
        assertThat(written()).isEqualTo("Points: {score}");
        assertThat(seen()).isEqualTo("Points: 0");
        RealWindow.fx(() -> {
            t.studio.history().undo();
            return null;
        });
        assertThat(written()).isEqualTo("Points:");
        assertThat(RealWindow.fx(() -> t.studio.project().values())).hasSize(1);
    }

    @Test
    void itIsChosenInTheDetailsAndTypedOver() throws Exception {
        t.click("text-value");
        t.choose("text-value-" + RealWindow.fx(() -> t.studio.project().values().getFirst().id()));
        assertThat(written()).isEqualTo("Placed: {placed}");
        assertThat(seen()).isEqualTo("Placed: 0");
        // typed on the canvas its name is seen, and shown again as what it is afterwards
        t.doubleClick(RealWindow.fx(() -> t.canvas(310, 210)));
        t.until(() -> t.w.typing.active());
        t.until(() -> {
            try {
                return seen().equals("Placed: {placed}");
            } catch (Exception e) {
                return false;
            }
        });
        t.keys(KeyCode.END);
        t.burst("X");
        assertThat(written()).isEqualTo("Placed: {placed}x");
        assertThat(seen()).isEqualTo("Placed: {placed}x");
        t.keys(KeyCode.ESCAPE);
        t.settle();
        assertThat(seen()).isEqualTo("Placed: 0x");
        RealWindow.fx(() -> {
            String id = t.studio.project().values().getFirst().id();
            t.studio.editProject("Rename", null, p -> PieceValues.map(p, id, v -> v.withName("in place").withStart("3")));
            return null;
        });
        t.settle();
        assertThat(written()).isEqualTo("Placed: {in place}x");
        assertThat(seen()).isEqualTo("Placed: 3x");
        t.keys(KeyCode.CONTROL, KeyCode.Z);
        assertThat(seen()).isEqualTo("Placed: 0x");
    }
}
