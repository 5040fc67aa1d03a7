package tundra.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.Test;
import tundra.core.geometry.Point;
import tundra.core.model.Actions;
import tundra.core.model.Board;
import tundra.core.model.Color;
import tundra.core.model.Content;
import tundra.core.model.Dragging;
import tundra.core.model.Element;
import tundra.core.model.Events;
import tundra.core.model.PieceValue;
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.core.model.Reaction;
import tundra.core.model.Scene;
import tundra.core.model.Script;
import tundra.core.model.Timeline;
import tundra.core.model.Values;

/** Names, texts, values, links and words that try to become markup or script. */
class HostileNamesTest extends InBrowser {
    private static final String[] BITS = {"</script><script>hacked=1</script>", "\"><img src=x onerror=hacked=1>", "'+(hacked=1)+'", "`${hacked=1}`",
            "\\\");hacked=1;//", "<!--", "-->", "]]>", "</style>", "{{x}}", "\u2028hacked=1\u2029", "&quot;", "%3Cscript%3E",
        "\\u003cscript\\u003ehacked=1\\u003c/script\\u003e", "*/hacked=1/*", "\n\r\t", "__proto__", "constructor", "javascript:hacked=1",
        "url(\"x\")", "</template>", "'\"<>&\\"};

    @Test
    void fiveHundredOfThemInjectNothing() throws Exception {
        var random = new Random(19);
        var elements = new ArrayList<Element>();
        var reactions = new ArrayList<Reaction>();
        var values = new ArrayList<PieceValue>();
        for (int i = 0; i < 500; i++) {
            String bad = BITS[random.nextInt(BITS.length)] + BITS[random.nextInt(BITS.length)] + i;
            Values at = Values.NONE.with(Properties.POSITION, new Point(10 + i % 40 * 15, 10 + i / 40 * 20)).with(Properties.SIZE, new Point(12, 12))
                    .with(Properties.FILL, Color.BLACK);
            elements.add(new Element("e" + i, bad, false, false, at, i % 5 == 0 ? new Content.Text(bad + "{" + bad + "}", "Figtree", 400, 6,
                    Content.Align.LEFT, 1) : new Content.Rectangle()));
            values.add(new PieceValue("v" + i, bad, PieceValue.Kind.TEXT, bad, i % 7 == 0));
            reactions.add(new Reaction("r" + i, Events.tapped("e" + i), List.of(Actions.of(Actions.SET_VALUE, "v" + i, bad),
                    Actions.of(Actions.SAY, bad), Actions.of(Actions.PUT_TEXT, "v" + i, "e0"), Actions.of(Actions.ADD_VALUE, "v" + i, 1.0)))
                    .withGroup(bad));
        }
        var board = new Board(new Point(640, 300), Values.NONE, elements,
                List.of(new Timeline("main", BITS[0] + BITS[4], 1_000_000, false, true, Map.of())), reactions)
                .withDrags(List.of(Dragging.of("d", List.of(new Dragging.Pair("e1", List.of("e2"))))));
        Project p = new Project("p", BITS[0], 24, List.of(new Scene("s", BITS[1], board), new Scene("s2", BITS[0], board.withElements(List.of())
                .withReactions(List.of()).withDrags(List.of())
                .withTimelines(List.of(new Timeline("m2", "Main", 1000, false, true, Map.of()))))), Map.of(), Map.of()).withValues(values)
                .withReactions(List.of(new Reaction("whole", Events.of(Events.KEY_PRESSED, "H"), List.of(Actions.of(Actions.SAY, BITS[0]),
                Actions.of(Actions.SET_VALUE, "v0", BITS[1])))))
                .withScripts(List.of(new Script("sc", "fine", "export function fine(page) { /* </script><script>hacked=1</script> */ }\n")));
        open(p, "hostile", 640, 300);
        browser.run("window.wrong = []; addEventListener('error', (e) => wrong.push(e.message))");
        browser.run("for (const r of document.querySelectorAll('[role=button]')) r.dispatchEvent(new KeyboardEvent('keydown', { key: 'Enter', bubbles: true }))");
        key("h");
        assertThat(browser.run("return typeof hacked")).isEqualTo("undefined");
        assertThat((List<?>) browser.run("return wrong")).isEmpty();
        assertThat(browser.run("return document.scripts.length")).isEqualTo(3L);
        assertThat(browser.run("return document.querySelectorAll('img, iframe, object, a').length")).isEqualTo(0L);
        assertThat(browser.run("return [...document.querySelectorAll('[aria-label]')].filter(x => x.getAttributeNames().some(n => n.startsWith('on'))).length")).isEqualTo(0L);
        // whatever it says is still said
        assertThat(browser.run("return document.querySelector('.t-e0').getAttribute('aria-label')"))
                .isEqualTo((elements.getFirst().name() + elements.getFirst().name()).replaceAll("[\\n\\r]", ""));
    }
}
