package tundra.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import tundra.core.geometry.Point;
import tundra.core.model.Actions;
import tundra.core.model.Board;
import tundra.core.model.Clock;
import tundra.core.model.Color;
import tundra.core.model.Conditions;
import tundra.core.model.Content;
import tundra.core.model.Dragging;
import tundra.core.model.Element;
import tundra.core.model.Events;
import tundra.core.model.Marker;
import tundra.core.model.Motif;
import tundra.core.model.PieceValue;
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.core.model.Reaction;
import tundra.core.model.Scene;
import tundra.core.model.Setting;
import tundra.core.model.Slot;
import tundra.core.model.Timeline;
import tundra.core.model.Values;

/** Reactions of the whole piece, and of a motif to the one instance in which they happen. */
class ReachTest extends InBrowser {
    private static Element box(String id, double x, double y) {
        return new Element(id, id, false, false, Values.NONE.with(Properties.POSITION, new Point(x, y)).with(Properties.SIZE, new Point(60, 40))
                .with(Properties.FILL, Color.parse("#2F78A3")), new Content.Rectangle());
    }

    private static Timeline main(String id) {
        return new Timeline(id, Timeline.MAIN, 1_000_000, false, false, Map.of());
    }

    private static Scene scene(String name, List<Element> elements, Reaction... reactions) {
        return new Scene(name, name, new Board(new Point(600, 300), Values.NONE, elements, List.of(main("main-" + name)), List.of(reactions)));
    }

    private static PieceValue number(String id) {
        return new PieceValue(id, id, PieceValue.Kind.NUMBER, "0", false);
    }

    private static String shown() {
        return (String) browser.run("return Tundra.pieces[0].shown.name");
    }

    @Test
    void reactionsOfTheWholePieceHappenInEveryScene() throws Exception {
        var reactions = List.of(new Reaction("on", Events.of(Events.KEY_PRESSED, "N"), List.of(Actions.of(Actions.NEXT_SCENE))),
                new Reaction("opened", Events.of(Events.OPENED), List.of(Actions.of(Actions.ADD_VALUE, "opened", 1.0))),
                new Reaction("closed", Events.of(Events.CLOSED), List.of(Actions.of(Actions.ADD_VALUE, "closed", 1.0))),
                new Reaction("every", Events.of(Events.EVERY, 400_000L), List.of(Actions.of(Actions.ADD_VALUE, "ticks", 1.0))),
                new Reaction("changed", Events.of(Events.CHANGED, "opened"), List.of(Conditions.of(Conditions.VALUE, "opened", "is", "3")), false,
                        List.of(Actions.of(Actions.SET_VALUE, "third", "1")), List.of(), false, ""),
                new Reaction("all", Events.of(Events.KEY_PRESSED, "P"), List.of(Actions.of(Actions.PAUSE, Slot.EVERYTHING))),
                new Reaction("off", Events.of(Events.KEY_PRESSED, "N"), List.of(), false, List.of(Actions.of(Actions.SET_VALUE, "third", "9")),
                List.of(), true, ""));
        Project p = new Project("p", "P", 24, List.of(scene("A", List.of(box("a", 50, 50))), scene("B", List.of(box("b", 50, 50))),
                scene("C", List.of(box("c", 50, 50)))), Map.of(), Map.of())
                .withValues(List.of(number("opened"), number("closed"), number("ticks"), number("third"))).withReactions(reactions);
        open(p, "whole", 600, 300);
        assertThat(value("opened")).isEqualTo(1);
        assertThat(value("closed")).isZero();
        key("n");
        assertThat(shown()).isEqualTo("B");
        key("n");
        assertThat(shown()).isEqualTo("C");
        key("n");
        assertThat(shown()).as("the last one").isEqualTo("C");
        assertThat(value("opened")).isEqualTo(3);
        assertThat(value("closed")).isEqualTo(2);
        assertThat(value("third")).isEqualTo(1);
        // going from scene to scene faster than its time does not hold it up
        browser.run("window.stepping = setInterval(() => Tundra.pieces[0].show(Tundra.pieces[0].shown.name === 'A' ? 'B' : 'A'), 100)");
        double before = value("ticks");
        browser.until("return Tundra.pieces[0].value('ticks') > " + (before + 1));
        browser.run("clearInterval(stepping); Tundra.pieces[0].show('B'); Tundra.pieces[0].timeline('Main').playFromStart()");
        key("p");
        assertThat(browser.run("return Tundra.pieces[0].timeline('Main').playing")).isEqualTo(false);
    }

    /** A motif's marker and end, by a clock of its own, once, backwards and at the pace of its parent; the whole is looked at only while shown. */
    @Test
    void anInstanceTellsOfItsMarkersAndItsEnd() throws Exception {
        var turns = new Timeline("turns", Timeline.MAIN, 600_000, true, true, Map.of()).withMarkers(List.of(new Marker("mark", "Half", 300_000)));
        var motif = new Motif("m", "Vane", new Board(new Point(50, 50), Values.NONE, List.of(box("blade", 25, 25)), List.of(turns), List.of()));
        var elements = List.of(placed("loops", Clock.OWN), placed("once", Clock.OWN.withRepeat(Clock.Repeat.ONCE)),
                placed("back", Clock.OWN.withSpeed(-1)), placed("driven", Clock.PARENT));
        var reactions = elements.stream().flatMap(e -> Stream.of(
                new Reaction(e.id() + "-m", Events.of(Events.INSTANCE_REACHED, e.id(), "mark"),
                List.of(Actions.of(Actions.ADD_VALUE, e.id() + "-m", 1.0))),
                new Reaction(e.id() + "-e", Events.of(Events.ENDED, e.id()), List.of(Actions.of(Actions.ADD_VALUE, e.id() + "-e", 1.0)))))
                .toArray(Reaction[]::new);
        reactions = Arrays.copyOf(reactions, reactions.length + 1);
        reactions[reactions.length - 1] = new Reaction("set", Events.of(Events.KEY_PRESSED, "S"),
                List.of(Actions.of(Actions.SET, List.of("driven"), Setting.of(Properties.OPACITY, 0.5), 100_000L, "linear")));
        var values = elements.stream().flatMap(e -> Stream.of(number(e.id() + "-m"), number(e.id() + "-e"))).toList();
        Project p = new Project("p", "P", 24, List.of(scene("A", elements, reactions), scene("B", List.of(box("b", 50, 50)))), Map.of(), Map.of())
                .withMotifs(List.of(motif)).withValues(values);
        open(p, "marks", 600, 300);
        for (String id : List.of("loops", "back")) {
            browser.until("return Tundra.pieces[0].value('" + id + "-m') >= 3 && Tundra.pieces[0].value('" + id + "-e') >= 3");
            assertThat(Math.abs(value(id + "-m") - value(id + "-e"))).as("once each turn").isLessThanOrEqualTo(1);
        }
        assertThat(value("once-m")).isEqualTo(1);
        assertThat(value("once-e")).isEqualTo(1);
        // also where the page is busy for longer than a turn
        browser.driver.executeAsyncScript("const done = arguments[0]; Tundra.pieces[0].show('B'); Tundra.pieces[0].show('A');"
                + "requestAnimationFrame(() => requestAnimationFrame(() => { for (const end = performance.now() + 700; performance.now() < end;); done(); }))");
        browser.until("return Tundra.pieces[0].value('once-m') === 2 && Tundra.pieces[0].value('once-e') === 2");
        // what an action sets takes no motif along
        key("s");
        browser.until("return getComputedStyle(document.querySelector('.t-driven')).opacity === '0.5'");
        double turned = value("loops-m");
        browser.until("return Tundra.pieces[0].value('loops-m') > " + (turned + 1));
        assertThat(value("driven-m")).as("its parent was not played").isZero();
        browser.run("Tundra.pieces[0].timeline('Main').playFromStart()");
        browser.until("return Tundra.pieces[0].value('driven-m') === 2 && Tundra.pieces[0].value('driven-e') === 1");
        browser.run("Tundra.pieces[0].show('B')");
        double before = value("loops-m");
        browser.run("window.waited = 0; setTimeout(() => waited = 1, 900)");
        browser.until("return waited === 1");
        assertThat(value("loops-m")).as("nothing while it is not shown").isEqualTo(before);
    }

    /** Also where the motif stands in another one, twice. */
    @Test
    void anInstanceTellsItsOwnMotifOfItsEndAndOfTaps() throws Exception {
        var turns = new Timeline("turns", Timeline.MAIN, 400_000, true, true, Map.of());
        var inner = new Board(new Point(50, 50), Values.NONE, List.of(box("blade", 25, 25)), List.of(turns), List.of(
                new Reaction("ends", Events.of(Events.ENDED, Slot.INSTANCE), List.of(Actions.of(Actions.ADD_VALUE, "ends", 1.0))),
                new Reaction("tap", Events.tapped(Slot.INSTANCE), List.of(Actions.of(Actions.PAUSE, Slot.INSTANCE),
                Actions.of(Actions.SET, List.of(Slot.INSTANCE), Setting.of(Properties.OPACITY, 0.5), 0L, "linear")))));
        var pair = new Board(new Point(200, 60), Values.NONE, List.of(placed("left", Clock.OWN), placed("right", Clock.OWN)
                .with(Properties.POSITION, new Point(250, 100))), List.of(main("pair-main")), List.of());
        var outer = new Element("outer", "outer", false, false, Values.NONE.with(Properties.POSITION, new Point(150, 100))
                .with(Properties.PIVOT, Point.ZERO), new Content.Instance("pair", new Point(200, 60), Clock.OWN));
        Project p = new Project("p", "P", 24, List.of(scene("A", List.of(outer))), Map.of(), Map.of())
                .withMotifs(List.of(new Motif("m", "Vane", inner), new Motif("pair", "Pair", pair)))
                .withValues(List.of(number("ends")));
        open(p, "nested", 600, 300);
        browser.until("return Tundra.pieces[0].value('ends') >= 4");
        String opacity = "return ['left', 'right'].map(x => +getComputedStyle(document.querySelector('.t-' + x)).opacity).join()";
        browser.click(400, 200);
        browser.until(opacity + " === '1,0.5'");
        browser.run("document.querySelector('.t-left').click()");
        browser.until(opacity + " === '0.5,0.5'");
        browser.run("window.before = Tundra.pieces[0].value('ends'); window.waited = 0; setTimeout(() => waited = 1, 900)");
        browser.until("return waited === 1");
        assertThat(browser.run("return Tundra.pieces[0].value('ends') - before")).as("both were paused").isEqualTo(0L);
    }

    /** Each would go on for ever if what a reaction does set itself off again. */
    @Test
    void whatAReactionDoesDoesNotSetItOffAgain() throws Exception {
        var reactions = new Reaction[] {
            new Reaction("cue", Events.of(Events.PASSED, "main-A", 200_000L, "forwards"), List.of(Actions.of(Actions.ADD_VALUE, "cues", 1.0),
                    Actions.of(Actions.PLAY_FROM_TIME, "main-A", 200_000L))),
            new Reaction("counts", Events.of(Events.CHANGED, "n"), List.of(Actions.of(Actions.ADD_VALUE, "n", 1.0))),
            new Reaction("there", Events.of(Events.CHANGED, "a"), List.of(Actions.of(Actions.ADD_VALUE, "b", 1.0))),
            new Reaction("back", Events.of(Events.CHANGED, "b"), List.of(Actions.of(Actions.ADD_VALUE, "a", 1.0))),
            new Reaction("leaves", Events.of(Events.CLOSED), List.of(Actions.of(Actions.OPEN_SCENE, "C")))};
        Project p = new Project("p", "P", 24, List.of(scene("A", List.of(box("a", 50, 50)), reactions), scene("B", List.of(box("b", 50, 50))),
                scene("C", List.of(box("c", 50, 50)))), Map.of(), Map.of())
                .withValues(List.of(number("cues"), number("n"), number("a"), number("b")));
        open(p, "again", 600, 300);
        browser.run("window.wrong = []; addEventListener('error', e => wrong.push(e.message)); Tundra.pieces[0].timeline('Main').playFromStart()");
        browser.until("return Tundra.pieces[0].timeline('Main').time === 1000");
        assertThat(value("cues")).isEqualTo(1);
        browser.run("Tundra.pieces[0].put('n', 1); Tundra.pieces[0].put('a', 1)");
        assertThat(value("n")).isEqualTo(2);
        assertThat(value("a")).isEqualTo(2);
        assertThat(value("b")).isEqualTo(1);
        browser.run("Tundra.pieces[0].show('B')");
        assertThat(browser.run("return [...document.querySelectorAll('.t-scene')].filter(s => !s.hidden).length")).as("one scene is shown")
                .isEqualTo(1L);
        assertThat((List<?>) browser.run("return wrong")).isEmpty();
    }

    private static Element placed(String id, Clock clock) {
        return new Element(id, id, false, false, Values.NONE.with(Properties.POSITION, new Point(100, 100)),
                new Content.Instance("m", new Point(50, 50), clock));
    }

    /** Further than the property goes, from one that stands in the middle: it ends at its limit. */
    @Test
    void aChangeEndsWhereThePropertyEnds() throws Exception {
        Element lamp = box("lamp", 100, 100);
        lamp = lamp.withRest(lamp.rest().with(Properties.OPACITY, 0.5));
        Scene s = scene("A", List.of(lamp));
        s = s.withBoard(s.board().withReactions(List.of(
                new Reaction("out", Events.of(Events.KEY_PRESSED, "A"),
                List.of(Actions.of(Actions.CHANGE_BY, List.of("lamp"), Setting.of(Properties.OPACITY, -0.9), 0L, "linear"))),
                new Reaction("on", Events.of(Events.KEY_PRESSED, "B"),
                List.of(Actions.of(Actions.CHANGE_BY, List.of("lamp"), Setting.of(Properties.OPACITY, 0.9), 0L, "linear"))))));
        open(new Project("p", "P", 24, List.of(s), Map.of(), Map.of()), "limits", 600, 300);
        String opacity = "return +getComputedStyle(document.querySelector('.t-lamp')).opacity";
        browser.run("document.dispatchEvent(new KeyboardEvent('keydown', { key: 'A', bubbles: true }))");
        browser.until(opacity + " === 0");
        browser.run("document.dispatchEvent(new KeyboardEvent('keydown', { key: 'B', bubbles: true }))");
        browser.until(opacity + " === 0.9");
    }

    @Test
    void anInstanceReactsByItself() throws Exception {
        var inner = List.of(new Reaction("over", Events.of(Events.KEY_PRESSED, "X"), List.of(Actions.of(Actions.SET_VALUE, "x", "1"))),
                new Reaction("fade", Events.tapped(Slot.INSTANCE),
                List.of(Actions.of(Actions.SET, List.of(Slot.INSTANCE, "vane"), Setting.of(Properties.OPACITY, 0.5), 0L, "linear"),
                        Actions.of(Actions.CHANGE_BY, List.of(Slot.INSTANCE), Setting.of(Properties.ROTATION, 10.0), 0L, "linear"))),
                new Reaction("hide", Events.of(Events.TAPPED, "knob"), List.of(Actions.of(Actions.HIDE, List.of(Slot.INSTANCE)))),
                new Reaction("landed", Events.of(Events.LANDED, Slot.INSTANCE), List.of(Actions.of(Actions.ADD_VALUE, "landed", 1.0),
                Actions.of(Actions.SEND_HOME, List.of(Slot.INSTANCE), 0L))));
        var board = new Board(new Point(100, 100), Values.NONE, List.of(box("vane", 30, 20), box("knob", 30, 80)), List.of(main("motif-main")),
                inner);
        var motif = new Motif("m", "Vane", board);
        var content = new Content.Instance("m", new Point(100, 100), Clock.OWN);
        var instances = List.of(new Element("one", "One", false, false, Values.NONE.with(Properties.POSITION, new Point(100, 100)), content),
                new Element("two", "Two", false, false, Values.NONE.with(Properties.POSITION, new Point(250, 100)), content), box("slot", 450, 100));
        Scene s = scene("A", instances);
        s = s.withBoard(s.board().withDrags(List.of(Dragging.of("d", List.of(new Dragging.Pair("two", List.of("slot")))))));
        Project p = new Project("p", "P", 24, List.of(s), Map.of(), Map.of()).withMotifs(List.of(motif))
                .withValues(List.of(number("x"), number("landed")));
        open(p, "instance", 600, 300);
        String opacity = "return ['one', 'two'].map(x => +getComputedStyle(document.querySelector('.t-' + x)).opacity).join()";
        String turn = "return ['one', 'two'].map(x => getComputedStyle(document.querySelector('.t-' + x)).rotate).join()";
        assertThat(browser.run("return ['one', 'two'].map(x => document.querySelector('.t-' + x).getAttribute('role')).join()"))
                .as("both can be reached by keyboard").isEqualTo("button,button");
        browser.click(80, 70);
        browser.until(opacity + " === '0.5,1'");
        browser.until(turn + " === '10deg,none'");
        assertThat(browser.run("return [...document.querySelectorAll('.t-vane')].map(x => getComputedStyle(x).opacity).join()")).isEqualTo("0.5,1");
        browser.run("document.querySelector('.t-two').dispatchEvent(new KeyboardEvent('keydown', { key: 'Enter', bubbles: true }))");
        browser.until(opacity + " === '0.5,0.5'");
        // as a screen reader clicks
        browser.run("document.querySelector('.t-one').click()");
        browser.until(turn + " === '20deg,10deg'");
        // dragged on the scene, told to the motif
        browser.mouse("mousePressed", 230, 70, 1);
        browser.mouse("mouseMoved", 300, 80, 1);
        browser.mouse("mouseMoved", 430, 92, 1);
        browser.mouse("mouseReleased", 430, 92, 0);
        browser.until("return Tundra.pieces[0].value('landed') === 1");
        assertThat(browser.run(turn)).as("what was dragged was not tapped").isEqualTo("20deg,10deg");
        browser.until("return document.querySelector('.t-two-h').style.translate === '0px'");
        String seen = "return ['one', 'two'].map(x => document.querySelector('.t-' + x).checkVisibility()).join()";
        assertThat(browser.run(seen)).isEqualTo("true,true");
        browser.click(230, 130);
        browser.until(seen + " === 'true,false'");
    }
}
