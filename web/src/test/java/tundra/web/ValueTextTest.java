package tundra.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import tundra.core.geometry.Point;
import tundra.core.model.Actions;
import tundra.core.model.Board;
import tundra.core.model.Color;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Events;
import tundra.core.model.PieceValue;
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.core.model.Reaction;
import tundra.core.model.Scene;
import tundra.core.model.Timeline;
import tundra.core.model.Values;

/** Values that stand in texts, on the page. */
class ValueTextTest extends InBrowser {
    private static Element text(String id, String words, double y, Content.Align align, double wrap) {
        return new Element(id, id, false, false, Values.NONE.with(Properties.POSITION, new Point(150, y)).with(Properties.FILL, Color.BLACK),
                new Content.Text(words, "Figtree", 400, 20, align, 1.2, 0, wrap));
    }

    private static String words(String id) {
        return (String) browser.run("return [...document.querySelectorAll('.t-' + arguments[0] + ' text > tspan')].map(x => x.textContent).join('|')", id);
    }

    private static double[] seen(String id) {
        var r = (List<?>) browser.run("const r = document.querySelector('.t-' + arguments[0] + ' text').getBoundingClientRect(); return [r.left, r.right]", id);
        return new double[] {((Number) r.get(0)).doubleValue(), ((Number) r.get(1)).doubleValue()};
    }

    @Test
    void theyAreKeptUpWithAndStayWhereTheLineIsSet() throws Exception {
        var values = List.of(new PieceValue("n", "placed", PieceValue.Kind.NUMBER, "0", false), new PieceValue("who", "<b>\"'&who", PieceValue.Kind.TEXT, "a b", false),
                new PieceValue("on", "on", PieceValue.Kind.YES_NO, "no", false));
        var reactions = List.of(new Reaction("r", Events.of(Events.KEY_PRESSED, "A"), List.of(Actions.of(Actions.ADD_VALUE, "n", 1234.0), Actions.of(Actions.SET_VALUE, "who", "</tspan><i>x"), Actions.of(Actions.TOGGLE_VALUE, "on"))));
        var elements = List.of(text("left", "{placed} of {placed}", 30, Content.Align.LEFT, 0), text("middle", "A wide line\n{placed}!", 80, Content.Align.CENTRE, 0),
                text("right", "A wide line\n{on}", 150, Content.Align.RIGHT, 0), text("wrapped", "By {<b>\"'&who} here", 220, Content.Align.LEFT, 52), text("plain", "{none}", 280, Content.Align.LEFT, 0));
        var board = new Board(new Point(400, 320), Values.NONE, elements, List.of(new Timeline("main", Timeline.MAIN, 1_000_000, false, true, Map.of())), reactions);
        Project p = new Project("p", "P", 24, List.of(new Scene("s", "S", board)), Map.of(), Map.of()).withValues(values);
        open(p, "chips", 400, 320);
        assertThat(words("left")).isEqualTo("0 of 0");
        assertThat(words("middle")).isEqualTo("A wide line|0!");
        assertThat(words("right")).isEqualTo("A wide line|no");
        assertThat(words("wrapped")).as("broken where it is at first").isEqualTo("By a|b|here");
        assertThat(words("plain")).isEqualTo("{none}");
        String line = "const r = document.querySelectorAll('.t-%s text > tspan')[1].getBoundingClientRect(); return %s";
        double middle = ((Number) browser.run(line.formatted("middle", "r.left + r.width / 2"))).doubleValue(), right = ((Number) browser.run(line.formatted("right", "r.right"))).doubleValue();
        key("a");
        assertThat(words("left")).isEqualTo("1234 of 1234");
        assertThat(words("middle")).isEqualTo("A wide line|1234!");
        assertThat(words("right")).isEqualTo("A wide line|yes");
        assertThat(words("wrapped")).as("as text, all of it where it begins").isEqualTo("By </tspan><i>x||here");
        assertThat(((Number) browser.run(line.formatted("middle", "r.left + r.width / 2"))).doubleValue()).isCloseTo(middle, within(0.6));
        assertThat(((Number) browser.run(line.formatted("right", "r.right"))).doubleValue()).isCloseTo(right, within(0.6));
        assertThat(seen("left")[0]).isLessThan(seen("left")[1]);
        assertThat(browser.run("return document.querySelectorAll('i, b').length")).isEqualTo(0L);
    }
}
