package tundra.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import tundra.core.geometry.Point;
import tundra.core.frame.TextLayout;
import tundra.core.frame.ValueWords;
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
import tundra.render.Fonts;

/** Values that stand in texts, on the page. */
class ValueTextTest extends InBrowser {
    private static Element text(String id, String words, double y, Content.Align align, double wrap) {
        return new Element(id, id, false, false, Values.NONE.with(Properties.POSITION, new Point(150, y)).with(Properties.FILL, Color.BLACK),
                new Content.Text(words, "Figtree", 400, 20, align, 1.2, 0, wrap));
    }

    private static String words(String id) {
        return (String) browser.run(
                "return [...document.querySelectorAll('.t-' + arguments[0] + ' text > tspan')].map(x => x.textContent).join('|')", id);
    }

    private static double[] seen(String id) {
        var r = (List<?>) browser.run(
                "const r = document.querySelector('.t-' + arguments[0] + ' text').getBoundingClientRect(); return [r.left, r.right]", id);
        return new double[] {((Number) r.get(0)).doubleValue(), ((Number) r.get(1)).doubleValue()};
    }

    @Test
    void aTextThatBreaksAtAWidthBreaksAnew() throws Exception {
        var who = new PieceValue("who", "who", PieceValue.Kind.TEXT, "the keeper", true);
        var said = List.of("a", "the keeper of the light at the end of the northern pier", "x y z",
                "one two three four five six seven eight nine ten", "", "Ærøskøbing und Großmöllen");
        var elements = new ArrayList<Element>();
        for (Content.Align align : Content.Align.values()) {
            elements.add(text(align.name(), "Tonight {who} walks\nhome, and {who} sleeps", 20 + 130 * align.ordinal(), align, 170));
            elements.add(new Element(align + "2", align + "2", false, false, Values.NONE.with(Properties.POSITION,
                    new Point(400, 20 + 130 * align.ordinal())).with(Properties.FILL, Color.BLACK),
                    new Content.Text("{who} is up", "Figtree", 700, 18, align, 1.3, 2, 140)));
        }
        var reactions = new ArrayList<Reaction>();
        for (int i = 0; i < said.size(); i++) {
            reactions.add(new Reaction("r" + i, Events.of(Events.KEY_PRESSED, "" + i), List.of(Actions.of(Actions.SET_VALUE, "who", said.get(i)))));
        }
        var board = new Board(new Point(640, 420), Values.NONE, elements,
                List.of(new Timeline("main", Timeline.MAIN, 1_000_000, false, true, Map.of())), reactions);
        Project p = new Project("breaks", "P", 24, List.of(new Scene("s", "S", board)), Map.of(), Map.of()).withValues(List.of(who));
        open(p, "breaks", 640, 420);
        for (int round = 0; round < 2; round++) {
            for (int i = said.size() - 1; i >= 0; i--) {
                key("" + i);
                same(p, said.get(i));
            }
            // what is kept for the next visit is broken so from the beginning
            browser.run("location.reload()");
            browser.until("return globalThis.Tundra?.pieces.length === 1 && document.querySelector('.t-LEFT text > tspan').textContent.startsWith('Tonight a')");
            same(p, said.getFirst());
        }
    }

    /** The lines of all texts, and where they stand, are those that the canvas has for a value. */
    private static void same(Project p, String value) {
        Project now = p.withValues(List.of(new PieceValue("who", "who", PieceValue.Kind.TEXT, value, true)));
        for (Element e : p.scenes().getFirst().board().elements()) {
            var t = (Content.Text) ValueWords.shown(e.content(), now.values());
            List<TextLayout.Line> lines = TextLayout.of(t, Fonts.of(Map.of())).lines();
            assertThat(words(e.id()).replaceAll("\\|+$", "")).as("%s with “%s”", e.id(), value)
                    .isEqualTo(String.join("|", lines.stream().map(TextLayout.Line::text).toList()).replaceAll("\\|+$", ""));
            var at = (List<?>) browser.run(
                    "return [...document.querySelectorAll('.t-' + arguments[0] + ' text > tspan')].filter(x => x.textContent.trim()).map(x => { const b = x.getExtentOfChar(0); return [b.x, +x.getAttribute('y')]; })", e.id());
            double box = TextLayout.of(t, Fonts.of(Map.of())).box().x(), wrap = t.wrap();
            List<TextLayout.Line> inked = lines.stream().filter(l -> !l.text().isBlank()).toList();
            for (int i = 0; i < at.size(); i++) {
                var xy = (List<?>) at.get(i);
                // a word that is wider than the width makes the box wider: the page keeps the width
                double shift = t.align() == Content.Align.LEFT ? 0 : t.align() == Content.Align.CENTRE ? (box - wrap) / 2 : box - wrap;
                assertThat(((Number) xy.get(0)).doubleValue()).as("%s, line %d with “%s”", e.id(), i, value).isCloseTo(inked.get(i).x() - shift,
                        within(0.6));
                assertThat(((Number) xy.get(1)).doubleValue()).isCloseTo(inked.get(i).baseline(), within(0.01));
            }
        }
    }

    @Test
    void theyAreKeptUpWithAndStayWhereTheLineIsSet() throws Exception {
        var values = List.of(new PieceValue("n", "placed", PieceValue.Kind.NUMBER, "0", false),
                new PieceValue("who", "<b>\"'&who", PieceValue.Kind.TEXT, "a b", false),
                new PieceValue("on", "on", PieceValue.Kind.YES_NO, "no", false));
        var reactions = List.of(new Reaction("r", Events.of(Events.KEY_PRESSED, "A"), List.of(Actions.of(Actions.ADD_VALUE, "n", 1234.0),
                Actions.of(Actions.SET_VALUE, "who", "</tspan><i>x"), Actions.of(Actions.TOGGLE_VALUE, "on"))));
        var elements = List.of(text("left", "{placed} of {placed}", 30, Content.Align.LEFT, 0), text("middle", "A wide line\n{placed}!", 80,
                Content.Align.CENTRE, 0),
                text("right", "A wide line\n{on}", 150, Content.Align.RIGHT, 0), text("wrapped", "By {<b>\"'&who} here", 220, Content.Align.LEFT,
                52), text("plain", "{none}", 280, Content.Align.LEFT, 0));
        var board = new Board(new Point(400, 320), Values.NONE, elements,
                List.of(new Timeline("main", Timeline.MAIN, 1_000_000, false, true, Map.of())), reactions);
        Project p = new Project("p", "P", 24, List.of(new Scene("s", "S", board)), Map.of(), Map.of()).withValues(values);
        open(p, "chips", 400, 320);
        assertThat(words("left")).isEqualTo("0 of 0");
        assertThat(words("middle")).isEqualTo("A wide line|0!");
        assertThat(words("right")).isEqualTo("A wide line|no");
        assertThat(words("wrapped")).as("broken where it is at first").isEqualTo("By a|b|here");
        assertThat(words("plain")).isEqualTo("{none}");
        String line = "const r = document.querySelectorAll('.t-%s text > tspan')[1].getBoundingClientRect(); return %s";
        double middle = ((Number) browser.run(line.formatted("middle", "r.left + r.width / 2"))).doubleValue(),
                right = ((Number) browser.run(line.formatted("right", "r.right"))).doubleValue();
        key("a");
        assertThat(words("left")).isEqualTo("1234 of 1234");
        assertThat(words("middle")).isEqualTo("A wide line|1234!");
        assertThat(words("right")).isEqualTo("A wide line|yes");
        assertThat(words("wrapped")).as("as text, broken anew").isEqualTo("By|</tspan><i>x|here");
        assertThat(((Number) browser.run(line.formatted("middle", "r.left + r.width / 2"))).doubleValue()).isCloseTo(middle, within(0.6));
        assertThat(((Number) browser.run(line.formatted("right", "r.right"))).doubleValue()).isCloseTo(right, within(0.6));
        assertThat(seen("left")[0]).isLessThan(seen("left")[1]);
        assertThat(browser.run("return document.querySelectorAll('i, b').length")).isEqualTo(0L);
    }
}
