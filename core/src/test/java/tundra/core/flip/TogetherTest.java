package tundra.core.flip;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;
import tundra.core.frame.FakeMeasurer;
import tundra.core.frame.FrameBuilder;
import tundra.core.geometry.Point;
import tundra.core.model.Board;
import tundra.core.model.Color;
import tundra.core.model.Content;
import tundra.core.model.Drawing;
import tundra.core.model.Element;
import tundra.core.model.Flipbook;
import tundra.core.model.Properties;
import tundra.core.model.Timeline;
import tundra.core.model.Values;

/** Several drawings moved, turned and scaled as wholes: around one point, so that they stay in register. */
class TogetherTest {
    private static Flipbook book() {
        var drawings = new ArrayList<Drawing>();
        for (int i = 0; i < 4; i++) {
            var ink = new Element("ink" + i, "Ink", false, false, Values.NONE.with(Properties.POSITION, new Point(20 + 15 * i, 30))
                    .with(Properties.SIZE, new Point(10, 6)).with(Properties.FILL, Color.BLACK), new Content.Rectangle());
            drawings.add(new Drawing(new Element("d" + i, "Drawing", false, false, Values.NONE.with(Properties.POSITION,
                    new Point(50 + i, 40 - 2 * i)), new Content.Group(List.of(ink), new Point(100, 80))), i, 1));
        }
        return new Flipbook(drawings, new Point(100, 80), 10, Flipbook.Ending.HOLD);
    }

    private static List<Point> corners(Flipbook f, int i) {
        var e = new Element("book", "Book", false, false, Values.NONE.with(Properties.POSITION, new Point(50, 40)), f);
        var b = new Board(new Point(100, 80), Values.NONE, List.of(e), List.of(new Timeline("t", "Main", 1_000_000, false, true, Map.of())),
                List.of());
        return new FrameBuilder(b, new FakeMeasurer()).at(i * 100_000L).find("ink" + i).corners();
    }

    @Test
    void allChosenTurnAndGrowAroundTheMiddleOfTheBook() {
        Flipbook was = book(), now = Registration.together(was, Set.of("d1", "d2", "d3"), new Point(7, -3), 90, 2);
        assertThat(corners(now, 0)).isEqualTo(corners(was, 0));
        for (int i = 1; i < 4; i++) {
            for (int c = 0; c < 4; c++) {
                Point p = corners(was, i).get(c);
                // a quarter turn clockwise around (50, 40), twice as large, then on by (7, -3)
                Point want = new Point(50 - 2 * (p.y() - 40) + 7, 40 + 2 * (p.x() - 50) - 3);
                assertThat(corners(now, i).get(c).distance(want)).as("drawing %d", i).isLessThan(1e-9);
            }
        }
    }
}
