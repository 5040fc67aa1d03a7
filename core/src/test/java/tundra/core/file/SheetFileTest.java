package tundra.core.file;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tundra.core.flip.SheetGrid;
import tundra.core.frame.FakeMeasurer;
import tundra.core.frame.FrameBuilder;
import tundra.core.geometry.Point;
import tundra.core.geometry.Rect;
import tundra.core.model.Board;
import tundra.core.model.Color;
import tundra.core.model.Content;
import tundra.core.model.Drawing;
import tundra.core.model.Element;
import tundra.core.model.Flipbook;
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.core.model.Values;

/** What goes onto a sheet of drawings, and its JSON. */
class SheetFileTest {
    private static final Point BOX = new Point(100, 80);

    /** Squares of 20 px whose middles stand at x = 30, 60 and 90; the second comes after a gap of two frames. */
    private static Element book(Flipbook.Ending ending) {
        var out = new ArrayList<Drawing>();
        int[] starts = {0, 4, 5}, holds = {2, 1, 3};
        for (int i = 0; i < 3; i++) {
            var square = new Element("Square", new Content.Rectangle(), Values.NONE.with(Properties.POSITION, new Point(30 + 30 * i, 40))
                    .with(Properties.SIZE, new Point(20, 20)).with(Properties.FILL, Color.BLACK));
            out.add(new Drawing(Flipbook.blank("Drawing " + (i + 1), BOX).withChildren(List.of(square)), starts[i], holds[i]));
        }
        return new Element("book", "Hare", false, false, Values.NONE, new Flipbook(out, BOX, 12, ending));
    }

    private static SheetFile.Series series(Flipbook.Ending ending) {
        Board b = Project.empty("p", BOX, 12).scenes().getFirst().board().withElements(List.of(book(ending)));
        return SheetFile.of(b, b.find("book"), new FrameBuilder(b, new FakeMeasurer()));
    }

    @Test
    void oneAreaHoldsAllDrawings() {
        SheetFile.Series s = series(Flipbook.Ending.LOOP);
        assertThat(s.area()).as("from the left of the first to the right of the last").isEqualTo(new Rect(20, 30, 80, 20));
        assertThat(s.width(1)).isEqualTo(80);
        assertThat(s.height(2)).isEqualTo(40);
        assertThat(s.pictures()).extracting(SheetFile.Picture::frames).containsExactly(2, 1, 3);
        assertThat(s.pictures()).extracting(SheetFile.Picture::gap).containsExactly(0, 2, 0);
    }

    @Test
    void aGridHoldsEveryPictureWithNoRowTooMany() {
        SheetFile.Series s = series(Flipbook.Ending.LOOP);
        for (int columns = 1; columns <= 5; columns++) {
            SheetGrid g = s.grid(columns, 3, 2);
            assertThat(g.columns() * g.rows()).isGreaterThanOrEqualTo(3);
            assertThat(g.columns() * (g.rows() - 1)).isLessThan(3);
        }
        SheetGrid g = s.grid(2, 3, 4);
        assertThat(s.sheetWidth(g, 1)).isEqualTo(3 + 80 + 4 + 80 + 3);
        assertThat(s.sheetHeight(g, 1)).isEqualTo(3 + 20 + 4 + 20 + 3);
        // pictures four times as wide as high make a square sheet in one column
        assertThat(s.grid(0, 0, 0).columns()).isEqualTo(1);
    }

    @Test
    void theJsonNamesEveryCell() throws Exception {
        SheetFile.Series s = series(Flipbook.Ending.LOOP);
        SheetGrid g = s.grid(2, 3, 4);
        JsonNode json = Json.MAPPER.readTree(SheetFile.json(s, g, 1, "hare.png"));
        assertThat(json.get("picture").asString()).isEqualTo("hare.png");
        assertThat(json.get("frameRate").asInt()).isEqualTo(12);
        assertThat(json.get("loops").asBoolean()).isTrue();
        JsonNode drawings = json.get("drawings");
        assertThat(drawings.size()).isEqualTo(3);
        int[][] at = {{3, 3}, {87, 3}, {3, 27}};
        for (int i = 0; i < 3; i++) {
            assertThat(drawings.get(i).get("x").asInt()).isEqualTo(at[i][0]);
            assertThat(drawings.get(i).get("y").asInt()).isEqualTo(at[i][1]);
            assertThat(drawings.get(i).get("width").asInt()).isEqualTo(80);
        }
        assertThat(drawings.get(1).get("emptyBefore").asInt()).isEqualTo(2);
        assertThat(drawings.get(0).has("emptyBefore")).isFalse();
        assertThat(Json.MAPPER.readTree(SheetFile.json(series(Flipbook.Ending.HOLD), g, 1, "x")).get("loops").asBoolean()).isFalse();
    }

    @Test
    void aSceneGoesOutFrameByFrame() {
        Project p = Project.empty("p", new Point(64, 48), 10);
        Board b = p.scenes().getFirst().board();
        SheetFile.Series s = SheetFile.of(p, "Scene", b, new FrameBuilder(b, new FakeMeasurer()), 2, 7);
        assertThat(s.pictures()).extracting(SheetFile.Picture::name).containsExactly("Frame 2", "Frame 3", "Frame 4", "Frame 5", "Frame 6");
        assertThat(s.area()).isEqualTo(new Rect(0, 0, 64, 48));
        assertThat(s.rate()).isEqualTo(10);
    }
}
