package tundra.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import tundra.core.geometry.Point;
import tundra.core.model.Action;
import tundra.core.model.Actions;
import tundra.core.model.Board;
import tundra.core.model.Clock;
import tundra.core.model.Color;
import tundra.core.model.Conditions;
import tundra.core.model.Content;
import tundra.core.model.Dragging;
import tundra.core.model.Drawing;
import tundra.core.model.Element;
import tundra.core.model.Event;
import tundra.core.model.Events;
import tundra.core.model.Flipbook;
import tundra.core.model.Motif;
import tundra.core.model.PieceValue;
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.core.model.Reaction;
import tundra.core.model.Scene;
import tundra.core.model.Setting;
import tundra.core.model.Slots;
import tundra.core.model.States;
import tundra.core.model.Timeline;
import tundra.core.model.Values;
import tundra.core.motion.Easing;
import tundra.core.motion.Key;
import tundra.core.motion.Track;

/** What is not seen does not catch the pointer, whatever is listened for; and what a scene began does not go on without it. */
class ThroughTest extends InBrowser {
    private static Element box(String id, double x, double y) {
        return new Element(id, id, false, false, Values.NONE.with(Properties.POSITION, new Point(x, y)).with(Properties.SIZE, new Point(80, 60))
                .with(Properties.FILL, Color.parse("#2F78A3")), new Content.Rectangle());
    }

    private static Element faded(Element e) {
        return e.with(Properties.OPACITY, 0.0);
    }

    private static Action count(String value) {
        return Actions.of(Actions.ADD_VALUE, value, 1.0);
    }

    private static Project piece(List<Element> elements, List<Reaction> reactions, String... values) {
        var all = new ArrayList<PieceValue>();
        for (String v : values) {
            all.add(new PieceValue(v, v, PieceValue.Kind.NUMBER, "0", false));
        }
        var main = new Timeline("main", Timeline.MAIN, 1_000_000, false, false, Map.of());
        var other = new Board(new Point(600, 300), Values.NONE, List.of(box("there", 300, 150)),
                List.of(new Timeline("other", Timeline.MAIN, 1_000_000, false, false, Map.of())), List.of());
        return new Project("p", "P", 24,
                List.of(new Scene("a", "A", new Board(new Point(600, 300), Values.NONE, elements, List.of(main), reactions)),
                new Scene("b", "B", other)), Map.of(), Map.of()).withValues(all);
    }

    /** Each of these happens to what lies behind, and to nothing in front of it. */
    @Test
    void thePointerGoesThroughWhatIsFadedOrADrawingThatIsNotShown() throws Exception {
        var events = new ArrayList<Reaction>();
        for (String id : List.of("front", "drawn", "back")) {
            List.of(Events.PRESSED, Events.RELEASED, Events.OVER, Events.HELD, Events.TAPPED).forEach(k -> events.add(
                    new Reaction(id + "-" + k.key(), new Event(k, Slots.of(k.slots(), id)), List.of(count(id + "-" + k.key())))));
            events.add(new Reaction(id + "-swiped", Events.of(Events.SWIPED, id, "right"), List.of(count(id + "-swiped"))));
        }
        events.add(new Reaction("see", Events.of(Events.KEY_PRESSED, "S"),
                List.of(Actions.of(Actions.SET, List.of("front"), Setting.of(Properties.OPACITY, 1.0), 0L, "linear"))));
        // the second drawing, over the place, comes after the end of Main, which never plays
        var book = new Element("book", "book", false, false, Values.NONE.with(Properties.POSITION, new Point(200, 150)), new Flipbook(List.of(
                new Drawing(new Element("empty", "empty", false, false, Values.NONE, new Content.Group(List.of(), new Point(1, 1), null)), 0, 12),
                new Drawing(new Element("one", "one", false, false, Values.NONE.with(Properties.POSITION, new Point(40, 30)),
                new Content.Group(List.of(box("drawn", 0, 0)), new Point(80, 60), null)), 12, 12)), new Point(80, 60), 24, Flipbook.Ending.HOLD));
        var names = new ArrayList<String>();
        for (String id : List.of("front", "drawn", "back")) {
            List.of("pressed", "released", "over", "held", "tapped", "swiped").forEach(k -> names.add(id + "-" + k));
        }
        open(piece(List.of(box("back", 200, 150), book, faded(box("front", 200, 150))), events, names.toArray(String[]::new)), "through", 600, 300);
        browser.mouse("mouseMoved", 20, 20, 0);
        browser.mouse("mouseMoved", 200, 150, 0);
        browser.mouse("mouseMoved", 205, 152, 0);
        browser.click(205, 152);
        browser.mouse("mousePressed", 205, 152, 1);
        browser.until("return Tundra.pieces[0].value('back-held') === 1");
        browser.mouse("mouseReleased", 205, 152, 0);
        browser.touch("touchStart", new Point(190, 150));
        browser.touch("touchMove", new Point(230, 150));
        browser.touch("touchMove", new Point(235, 151));
        browser.touch("touchEnd");
        browser.until("return Tundra.pieces[0].value('back-swiped') === 1");
        for (String n : names) {
            assertThat(value(n)).as(n).isEqualTo(!n.startsWith("back") ? 0 : n.endsWith("over") || n.endsWith("held") || n.endsWith("swiped") ? 1
                    : value(n));
        }
        assertThat(value("back-pressed")).isEqualTo(3);
        assertThat(value("back-tapped")).as("what was held is no tap").isEqualTo(1);
        // once it is seen it is what catches the pointer
        key("s");
        browser.until("return getComputedStyle(document.querySelector('.t-front')).opacity === '1'");
        browser.mouse("mouseMoved", 20, 20, 0);
        browser.mouse("mouseMoved", 200, 150, 0);
        browser.click(200, 150);
        browser.until("return Tundra.pieces[0].value('front-tapped') === 1");
        assertThat(value("front-pressed")).isEqualTo(1);
        assertThat(value("front-over")).isEqualTo(1);
        assertThat(value("back-pressed")).isEqualTo(3);
    }

    @Test
    void aFadedPartIsNotDraggedAndAFadedButtonHasNoLooks() throws Exception {
        var states = new Motif("m", "Knob", new Board(new Point(80, 60), Values.NONE, List.of(box("face", 40, 30)),
                List.of(new Timeline("m-main", Timeline.MAIN, 1_000_000, false, true, Map.of())
                .with("face", Properties.ROTATION,
                new Track<>(List.of(new Key<>(0, 0.0, Easing.LINEAR), new Key<>(1_000_000, 90.0, Easing.LINEAR))))), List.of()),
                new States(Map.of(), 0).with(States.State.REST, 0L).with(States.State.OVER, 500_000L).with(States.State.PRESSED, 900_000L), false);
        var knob = new Element("knob", "knob", false, false, Values.NONE.with(Properties.POSITION, new Point(420, 150))
                .with(Properties.OPACITY, 0.0), new Content.Instance("m", new Point(80, 60), Clock.PARENT));
        Project p = piece(List.of(box("behind", 150, 150), faded(box("part", 150, 150)), box("under", 420, 150), knob),
                List.of(new Reaction("r", Events.of(Events.DRAG_STARTED, "part"), List.of(count("part"))),
                new Reaction("r2", Events.of(Events.DRAG_STARTED, "behind"), List.of(count("behind"))),
                new Reaction("r3", Events.of(Events.PRESSED, "under"), List.of(count("under")))), "part", "behind", "under")
                .withMotifs(List.of(states));
        Project with = p.mapBoard("a",
                b -> b.withDrags(List.of(Dragging.of("d", List.of(new Dragging.Pair("part", List.of()), new Dragging.Pair("behind", List.of()))))));
        open(with, "faded", 600, 300);
        browser.drag(new Point(150, 150), new Point(200, 170));
        browser.until("return Tundra.pieces[0].value('behind') === 1");
        assertThat(value("part")).isZero();
        browser.mouse("mouseMoved", 420, 150, 0);
        browser.mouse("mouseMoved", 422, 151, 0);
        browser.mouse("mousePressed", 422, 151, 1);
        browser.until("return Tundra.pieces[0].value('under') === 1");
        assertThat(browser.run("return getComputedStyle(document.querySelector('.t-face')).rotate")).as("it rests").isIn("none", "0deg");
        browser.mouse("mouseReleased", 422, 151, 0);
    }

    @Test
    void whatWaitsDoesNotGoOnOnceItsSceneWasLeft() throws Exception {
        var waits = new Reaction("r", Events.of(Events.KEY_PRESSED, "W"), List.of(count("begun"), Actions.of(Actions.WAIT, 150_000L), count("done")));
        var wholeWaits = new Reaction("w", Events.of(Events.KEY_PRESSED, "W"), List.of(Actions.of(Actions.WAIT, 300_000L), count("whole")));
        open(piece(List.of(box("a", 50, 50)), List.of(waits), "begun", "done", "whole").withReactions(List.of(wholeWaits)), "waits", 600, 300);
        key("w");
        browser.until("return Tundra.pieces[0].value('done') === 1 && Tundra.pieces[0].value('whole') === 1");
        key("w");
        assertThat(value("begun")).isEqualTo(2);
        browser.run("Tundra.pieces[0].show('B')");
        browser.until("return Tundra.pieces[0].value('whole') === 2");
        assertThat(value("done")).as("its scene was left").isEqualTo(1);
    }

    /** Of what is hidden by the eye, and so is not on the page: it is hidden, it does not play, and what depends on that happens. */
    @Test
    void conditionsOnWhatIsNotOnThePageHold() throws Exception {
        var motif = new Motif("m", "M", new Board(new Point(20, 20), Values.NONE, List.of(box("inner", 10, 10)),
                List.of(new Timeline("m-main", Timeline.MAIN, 1_000_000, true, true, Map.of())), List.of()));
        var gone = new Element("gone", "gone", false, true, Values.NONE.with(Properties.POSITION, new Point(300, 100)),
                new Content.Instance("m", new Point(20, 20), Clock.OWN));
        var reactions = List.of(
                new Reaction("r1", Events.of(Events.KEY_PRESSED, "K"), List.of(Conditions.of(Conditions.SHOWN, "gone", "hidden")), false,
                List.of(count("hidden")), List.of(), false, ""),
                new Reaction("r2", Events.of(Events.KEY_PRESSED, "K"), List.of(Conditions.of(Conditions.SHOWN, "gone", "shown")), false,
                List.of(count("wrong")), List.of(count("otherwise")), false, ""),
                new Reaction("r3", Events.of(Events.KEY_PRESSED, "K"), List.of(Conditions.of(Conditions.PLAYS, "gone", "does not play")), false,
                List.of(count("still")), List.of(), false, ""));
        open(piece(List.of(box("a", 50, 50), gone), reactions, "hidden", "wrong", "otherwise", "still").withMotifs(List.of(motif)), "conditions",
                600, 300);
        key("k");
        assertThat(List.of(value("hidden"), value("wrong"), value("otherwise"), value("still"))).containsExactly(1.0, 0.0, 1.0, 1.0);
    }
}
