package tundra.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tundra.core.geometry.Point;
import tundra.core.model.Actions;
import tundra.core.model.Board;
import tundra.core.model.Color;
import tundra.core.model.Content;
import tundra.core.model.Dragging;
import tundra.core.model.Element;
import tundra.core.model.Events;
import tundra.core.model.PageSettings;
import tundra.core.model.PieceValue;
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.core.model.Reaction;
import tundra.core.model.Scene;
import tundra.core.model.Timeline;
import tundra.core.model.Values;

/** How large a piece is seen in windows of several sizes, and that it is tapped and dragged there as it is where it is seen as drawn. */
class FitTest extends InBrowser {
    private static Element box(String id, double x, double y) {
        return new Element(id, id, false, false, Values.NONE.with(Properties.POSITION, new Point(x, y)).with(Properties.SIZE, new Point(60, 40))
                .with(Properties.FILL, Color.parse("#2F78A3")), new Content.Rectangle());
    }

    private static Project piece(PageSettings.Fit fit) {
        var board = new Board(new Point(800, 400), Values.NONE, List.of(box("slot", 600, 300), box("part", 200, 100), box("lamp", 400, 200)),
                List.of(new Timeline("main", Timeline.MAIN, 1_000_000, false, false, Map.of())),
                List.of(new Reaction("r", Events.tapped("lamp"), List.of(Actions.of(Actions.ADD_VALUE, "n", 1.0))),
                new Reaction("l", Events.of(Events.LANDED, "part"), List.of(Actions.of(Actions.ADD_VALUE, "n", 10.0)))))
                .withDrags(List.of(Dragging.of("d", List.of(new Dragging.Pair("part", List.of("slot"))))));
        return new Project("p", "P", 24, List.of(new Scene("s", "S", board)), Map.of(), Map.of())
                .withValues(List.of(new PieceValue("n", "n", PieceValue.Kind.NUMBER, "0", false))).withPage(new PageSettings(fit, "de"));
    }

    // worked out by hand: 800 by 400 px in the window
    @ParameterizedTest
    @CsvSource({"AS_DRAWN,400,400,1", "AS_DRAWN,1200,600,1", "NO_WIDER,400,400,0.5", "NO_WIDER,1200,600,1", "WIDTH,400,400,0.5",
            "WIDTH,1200,900,1.5", "WHOLE,1200,300,0.75", "WHOLE,600,900,0.75"})
    void itIsAsLargeAsItWasAskedFor(PageSettings.Fit fit, int width, int height, double scale) throws Exception {
        open(piece(fit), fit + "-" + width, width, height);
        assertThat(browser.run("return document.documentElement.lang")).isEqualTo("de");
        assertThat(browser.run("return innerWidth")).as("the visitor's window").isEqualTo((long) width);
        browser.until("return document.querySelector('.t-s').getBoundingClientRect().width > 0");
        var r = (List<?>) browser.run(
                "const r = document.querySelector('.t-s').getBoundingClientRect(); return [r.x, r.width, document.documentElement.scrollHeight]");
        assertThat(((Number) r.get(1)).doubleValue()).isCloseTo(800 * scale, within(0.6));
        double left = ((Number) r.get(0)).doubleValue();
        if (800 * scale <= width) {
            assertThat(left).as("in the middle").isCloseTo((width - 800 * scale) / 2, within(0.6));
            assertThat(((Number) r.get(2)).doubleValue()).as("as high as it is seen").isCloseTo(Math.max(height, 400 * scale), within(1.0));
            browser.click(left + 400 * scale, 200 * scale);
            browser.until("return Tundra.pieces[0].value('n') === 1");
            browser.mouse("mousePressed", left + 200 * scale, 100 * scale, 1);
            browser.mouse("mouseMoved", left + 400 * scale, 250 * scale, 1);
            browser.mouse("mouseMoved", left + 598 * scale, 299 * scale, 1);
            browser.mouse("mouseReleased", left + 598 * scale, 299 * scale, 0);
            browser.until("return Tundra.pieces[0].value('n') === 11");
        }
    }
}
