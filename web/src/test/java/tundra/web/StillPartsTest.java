package tundra.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.function.UnaryOperator;
import org.junit.jupiter.api.Test;
import tundra.core.fit.Frames;
import tundra.core.geometry.Point;
import tundra.core.model.Actions;
import tundra.core.model.Board;
import tundra.core.model.Clock;
import tundra.core.model.Color;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Events;
import tundra.core.model.Motif;
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.core.model.Reaction;
import tundra.core.model.Scene;
import tundra.core.model.Script;
import tundra.core.model.Timeline;
import tundra.core.model.Values;
import tundra.core.motion.Easing;
import tundra.core.motion.Key;
import tundra.core.motion.Track;
import tundra.render.Fonts;
import tundra.render.Still;

/** What nothing on the page ever changes shares one SVG with its neighbours, and looks as it does in the editor. */
class StillPartsTest extends InBrowser {
    private static Element box(String id, double x, double y, String color, Content content) {
        return new Element(id, id, false, false, Values.NONE.with(Properties.POSITION, new Point(x, y)).with(Properties.SIZE, new Point(60, 40))
                .with(Properties.FILL, Color.parse(color)), content);
    }

    private static Element with(Element e, UnaryOperator<Values> change) {
        return e.withRest(change.apply(e.rest()));
    }

    /**
     * Turned, stretched, faded, skewed and stroked shapes about odd pivots, alone and in two nested groups that are turned and faded too; one in
     * their middle moves.
     */
    private static List<Element> elements() {
        Element star = with(box("star", 90, 70, "#E9B44C", new Content.Polygon(5, 0.5)), v -> v.with(Properties.ROTATION, 25.0)
                .with(Properties.PIVOT, new Point(0.2, 0.9)));
        Element pill = with(box("pill", 200, 70, "#5F8FA3", new Content.Rectangle()), v -> v.with(Properties.CORNER_RADIUS, 14.0)
                .with(Properties.SCALE, new Point(1.4, 0.6)).with(Properties.OPACITY, 0.6));
        Element egg = with(box("egg", 120, 90, "#C23B3B", new Content.Ellipse()), v -> v.with(Properties.SKEW, new Point(20, 0))
                .with(Properties.STROKE, Color.parse("#1D2926")).with(Properties.STROKE_WIDTH, 3.0));
        Element inner = new Element("inner", "inner", false, false, Values.NONE.with(Properties.POSITION, new Point(50, 50))
                .with(Properties.ROTATION, -12.0).with(Properties.OPACITY, 0.7),
                new Content.Group(List.of(box("a", 20, 20, "#1C6A5E", new Content.Rectangle()), box("b", 50, 34, "#7A4B94", new Content.Ellipse())),
                new Point(90, 60), null));
        Element group = new Element("group", "group", false, false, Values.NONE.with(Properties.POSITION, new Point(120, 210))
                .with(Properties.ROTATION, 8.0).with(Properties.SCALE, new Point(1.2, 1.2)),
                new Content.Group(List.of(inner, box("c", 110, 40, "#E9B44C", new Content.Polygon(6, 1))), new Point(140, 80), null));
        return List.of(star, pill, box("moves", 150, 150, "#2F78A3", new Content.Rectangle()), egg, group);
    }

    private static Project piece(List<Element> elements, List<Reaction> reactions) {
        var t = new Timeline("main", Timeline.MAIN, 2_000_000, true, true, Map.of()).with("moves", Properties.ROTATION,
                new Track<>(List.of(new Key<>(0, 0.0, Easing.LINEAR), new Key<>(2_000_000, 90.0, Easing.LINEAR))));
        var board = new Board(new Point(300, 300), Values.NONE.with(Properties.BACKGROUND, Color.parse("#F3F7FA")), elements, List.of(t), reactions);
        return new Project("still", "Still", 24, List.of(new Scene("scene", "Scene", board)), Map.of(), Map.of());
    }

    private static long count(String what) {
        return (Long) browser.run("return document.querySelectorAll(arguments[0]).length", ".t-scene " + what);
    }

    @Test
    void neighboursShareOnePictureAndLookTheSame() throws Exception {
        Project p = piece(elements(), List.of());
        open(p, "alike", 300, 300);
        // star and pill, what moves in a box, then the egg and the group
        assertThat(count("svg")).isEqualTo(3);
        assertThat(count("div")).isEqualTo(1);
        assertThat(count("svg > g > g > *")).as("the two in the inner group").isEqualTo(2);
        byte[] theirs = browser.still(List.of(500.0), 500), ours = Still.png(p, Frames.of(p, p.scenes().getFirst().board(), Fonts.BUNDLED)
                .at(500_000));
        assertThat(Psnr.of(ours, theirs)).isGreaterThan(40);
    }

    @Test
    void whatIsAskedForHasABoxOfItsOwn() throws Exception {
        var tapped = new Reaction("r", Events.tapped("pill"), List.of(Actions.of(Actions.HIDE, List.of("inner"))));
        open(piece(elements(), List.of(tapped)), "asked", 300, 300);
        // the group holds one that is hidden later, so it is a box too, and what else is in it shares a picture
        assertThat(count("div.t-pill")).isEqualTo(1);
        assertThat(count("div.t-group > div.t-inner > svg > *")).isEqualTo(2);
        assertThat(count("div.t-group > svg > .t-c")).isEqualTo(1);
        browser.run("document.querySelector('.t-pill').dispatchEvent(new KeyboardEvent('keydown', { key: 'Enter', bubbles: true }))");
        assertThat((Boolean) browser.run("return document.querySelector('.t-inner').checkVisibility()")).isFalse();
    }

    @Test
    void whatBlendsIsFilteredOrMayBeScriptedHasABoxOfItsOwn() throws Exception {
        var elements = new ArrayList<>(elements());
        elements.set(0, with(elements.getFirst(), v -> v.with(Properties.BLEND, "multiply")));
        open(piece(elements, List.of()), "blends", 300, 300);
        assertThat(count("div.t-star")).isEqualTo(1);
        assertThat(count("svg > .t-pill")).isEqualTo(1);
        Project scripted = piece(elements(), List.of()).withScripts(List.of(new Script("s", "s", "export function go(page) {}\n", true)));
        open(scripted, "scripted", 300, 300);
        assertThat(count("div.t-egg")).isEqualTo(1);
    }

    /** 250 that move between 250 that don't: an SVG for each would be a layer of the browser's. */
    @Test
    void veryManyThatMoveAreWrittenAmongTheOthers() throws Exception {
        var elements = new ArrayList<Element>();
        var t = new Timeline("main", Timeline.MAIN, 2_000_000, true, true, Map.of());
        for (int i = 0; i < 500; i++) {
            Point at = new Point(10 + i % 25 * 11, 10 + i / 25 * 14);
            Element e = box("e" + i, at.x(), at.y(), i % 2 == 0 ? "#2F78A3" : "#E9B44C", i % 3 == 0 ? new Content.Ellipse() : new Content.Rectangle())
                    .with(Properties.SIZE, new Point(9, 11));
            elements.add(e);
            if (i % 2 == 0) {
                t = t.with(e.id(), Properties.POSITION,
                        new Track<>(List.of(new Key<>(0, at, Easing.LINEAR), new Key<>(2_000_000, at.plus(new Point(12, 7)), Easing.LINEAR))))
                        .with(e.id(), Properties.ROTATION,
                        new Track<>(List.of(new Key<>(0, 0.0, Easing.LINEAR), new Key<>(2_000_000, 90.0, Easing.LINEAR))));
            }
        }
        var board = new Board(new Point(300, 300), Values.NONE.with(Properties.BACKGROUND, Color.parse("#F3F7FA")), elements, List.of(t), List.of());
        var p = new Project("many", "Many", 24, List.of(new Scene("scene", "Scene", board)), Map.of(), Map.of());
        open(p, "many", 300, 300);
        assertThat(count("svg")).isEqualTo(1);
        assertThat(count("div")).isZero();
        String where = "const b = document.querySelector('.t-e0').getBoundingClientRect(); return b.left + b.width / 2";
        browser.until(where + " > 11");
        byte[] theirs = browser.still(List.of(1500.0), 1500), ours = Still.png(p, Frames.of(p, board, Fonts.BUNDLED).at(1_500_000));
        assertThat(Psnr.of(ours, theirs)).isGreaterThan(40);
        // at three quarters of its way and turn
        assertThat(((Number) browser.run(where)).doubleValue()).isCloseTo(10 + 12 * 0.75, within(0.05));
    }

    /** 48 instances of ten shapes that move, half of them within another motif: each would have ten layers of its own. */
    @Test
    void crowdedMotifsAreAPictureEach() throws Exception {
        for (int instances : new int[] {48, 30}) {
            var shapes = new ArrayList<Element>();
            var t = new Timeline("mt", Timeline.MAIN, 2_000_000, true, true, Map.of());
            for (int i = 0; i < 10; i++) {
                Point at = new Point(4 + i % 5 * 7, 6 + i / 5 * 10);
                Element e = box("s" + i, at.x(), at.y(), i % 2 == 0 ? "#2F78A3" : "#E9B44C", i % 3 == 0 ? new Content.Ellipse()
                        : new Content.Rectangle())
                        .with(Properties.SIZE, new Point(6, 8));
                shapes.add(e);
                t = t.with(e.id(), Properties.POSITION, new Track<>(List.of(new Key<>(0, at, Easing.LINEAR), new Key<>(1_000_000,
                        at.plus(new Point(4, 3)), Easing.LINEAR), new Key<>(2_000_000, at, Easing.LINEAR))));
            }
            Point size = new Point(36, 22);
            var one = new Motif("one", "One", new Board(size, Values.NONE, shapes, List.of(t), List.of()));
            var two = new Motif("two", "Two", new Board(size, Values.NONE, List.of(instance("in", "one", size, 18, 11)),
                    List.of(new Timeline("tt", Timeline.MAIN, 2_000_000, true, true, Map.of())), List.of()));
            var all = new ArrayList<Element>();
            for (int i = 0; i < instances; i++) {
                all.add(instance("i" + i, i % 2 == 0 ? "one" : "two", size, 24 + i % 7 * 40, 20 + i / 7 * 36));
            }
            var board = new Board(new Point(300, 300), Values.NONE.with(Properties.BACKGROUND, Color.parse("#F3F7FA")), all,
                    List.of(new Timeline("main", Timeline.MAIN, 2_000_000, true, true, Map.of())), List.of());
            var p = new Project("crowd", "Crowd", 24, List.of(new Scene("scene", "Scene", board)), Map.of(), Map.of()).withMotifs(List.of(one, two));
            open(p, "crowd" + instances, 300, 300);
            assertThat(count("svg")).as(instances + " instances").isEqualTo(instances == 48 ? 48 : 300);
            byte[] ours = Still.png(p, Frames.of(p, board, Fonts.BUNDLED).at(1_500_000));
            assertThat(Psnr.of(ours, browser.still(List.of(1500.0), 1500))).isGreaterThan(38);
        }
    }

    private static Element instance(String id, String motif, Point size, double x, double y) {
        return new Element(id, id, false, false, Values.NONE.with(Properties.POSITION, new Point(x, y)),
                new Content.Instance(motif, size, Clock.OWN));
    }
}
