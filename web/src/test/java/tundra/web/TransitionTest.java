package tundra.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.Test;
import tundra.core.frame.Moment;
import tundra.core.geometry.Point;
import tundra.core.model.Action;
import tundra.core.model.Actions;
import tundra.core.model.Board;
import tundra.core.model.Color;
import tundra.core.model.Content;
import tundra.core.model.Dragging;
import tundra.core.model.Element;
import tundra.core.model.Events;
import tundra.core.model.Opening;
import tundra.core.model.PageSettings;
import tundra.core.model.PieceValue;
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.core.model.Reaction;
import tundra.core.model.Scene;
import tundra.core.model.Timeline;
import tundra.core.model.Transition;
import tundra.core.model.Values;
import tundra.core.motion.Easing;
import tundra.core.motion.EasingText;
import tundra.core.motion.Key;
import tundra.core.motion.Track;

/** Scenes in place of each other: how they come and go, what they keep, and what the browser's history knows. */
class TransitionTest extends InBrowser {
    private static final double W = 600, H = 300;
    private static final Easing EASE = EasingText.parse("cubic-bezier(0.3, 0, 0.2, 1)");

    private static Element box(String id, double x, String fill) {
        return new Element(id, id, false, false, Values.NONE.with(Properties.POSITION, new Point(x, 100)).with(Properties.SIZE, new Point(60, 40))
                .with(Properties.FILL, Color.parse(fill)), new Content.Rectangle());
    }

    private static Scene scene(String id, Opening opening, Action... onTap) {
        var main = new Timeline(id + "-main", Timeline.MAIN, 4_000_000, false, true, Map.of()).with(id + "-box", Properties.POSITION,
                new Track<>(List.of(new Key<>(0, new Point(100, 100), Easing.LINEAR), new Key<>(4_000_000, new Point(500, 100), Easing.LINEAR))));
        var b = new Board(new Point(W, H), Values.NONE.with(Properties.BACKGROUND, Color.parse(id.equals("a") ? "#2F78A3" : "#1C6A5E")),
                List.of(box(id + "-box", 100, "#FFFFFF"), box(id + "-tap", 300, "#DB7A22")), List.of(main),
                List.of(new Reaction(id + "-r", Events.tapped(id + "-tap"), List.of(onTap))));
        return new Scene(id, id.toUpperCase(), b, opening);
    }

    private static Project piece(PageSettings page, Scene... scenes) {
        return new Project("p", "P", 24, List.of(scenes), Map.of(), Map.of()).withPage(page)
                .withValues(List.of(new PieceValue("n", "n", PieceValue.Kind.NUMBER, "0", false)));
    }

    private static Transition transition(Transition.Kind k, Transition.Side s) {
        return new Transition(k, s, 1_000_000, EASE);
    }

    /** Left, top, width over that of the scene, and opacity; null where it isn't seen. */
    @SuppressWarnings("unchecked")
    private static double[] seen(String scene) {
        var r = (List<Number>) browser.run(
                "const s = Tundra.pieces[0].scenes.find((x) => x.name === arguments[0]); if (s.el.hidden) return null; const r = s.outer.getBoundingClientRect(); return [r.left, r.top, r.width / " + W + ", +getComputedStyle(s.outer).opacity]", scene);
        return r == null ? null : r.stream().mapToDouble(Number::doubleValue).toArray();
    }

    private static void at(double ms) {
        browser.run("for (const s of Tundra.pieces[0].scenes) if (s.moves) { s.moves.pause(); s.moves.currentTime = arguments[0]; }", ms);
    }

    private static void at(double ms, String scene) {
        browser.run("const { moves } = Tundra.pieces[0].scenes.find((s) => s.name === arguments[1]); moves.pause(); moves.currentTime = arguments[0];", ms, scene);
    }

    private static void same(double[] seen, String as, double... wanted) {
        assertThat(seen).as(as).isNotNull();
        assertThat(seen[0]).as(as + " x").isCloseTo(wanted[0], within(0.6));
        assertThat(seen[1]).as(as + " y").isCloseTo(wanted[1], within(0.6));
        assertThat(seen[2]).as(as + " size").isCloseTo(wanted[2], within(0.003));
        assertThat(seen[3]).as(as + " opacity").isCloseTo(wanted[3], within(0.003));
    }

    /** What one is that comes, and what one is that goes, a share of the way on. */
    private static double[] comes(Transition t, double p) {
        double x = t.side() == Transition.Side.LEFT ? -1 : t.side() == Transition.Side.RIGHT ? 1 : 0, y = t.side() == Transition.Side.UP ? -1
                : t.side() == Transition.Side.DOWN ? 1 : 0;
        return t.kind() == Transition.Kind.FADE ? new double[] {0, 0, 1, p} : t.kind() == Transition.Kind.ZOOM
                ? new double[] {270 * (1 - p), 80 * (1 - p), 0.1 + 0.9 * p, p}
                : new double[] {-x * W * (1 - p), -y * H * (1 - p), 1, 1};
    }

    private static double[] goes(Transition t, double p) {
        double x = t.side() == Transition.Side.LEFT ? -1 : t.side() == Transition.Side.RIGHT ? 1 : 0, y = t.side() == Transition.Side.UP ? -1
                : t.side() == Transition.Side.DOWN ? 1 : 0;
        return t.kind() == Transition.Kind.PUSH ? new double[] {x * W * p, y * H * p, 1, 1} : t.kind() == Transition.Kind.SLIDE
                ? new double[] {0, 0, 1, 1 - p} : new double[] {0, 0, 1, 1};
    }

    @Test
    void everyTransitionIsItsClosedFormThereAndBack() throws Exception {
        for (Transition.Kind k : Transition.Kind.values()) {
            for (Transition.Side side : k.moves() ? Transition.Side.values() : new Transition.Side[] {Transition.Side.LEFT}) {
                Transition t = transition(k, side);
                // said by the sentence in one, by the scene that is opened in the other
                Project p = side == Transition.Side.LEFT
                        ? piece(PageSettings.USUAL, scene("a", Opening.USUAL, Actions.of(Actions.OPEN_SCENE, "b", t.text())),
                        scene("b", Opening.USUAL, Actions.of(Actions.BACK)))
                        : piece(PageSettings.USUAL, scene("a", Opening.USUAL, Actions.of(Actions.NEXT_SCENE)),
                        scene("b", Opening.USUAL.with(t), Actions.of(Actions.BACK)));
                open(p, "turn-" + k + side, (int) W, (int) H);
                browser.run("window.told = []; addEventListener('tundra', (e) => told.push(e.detail.text))");
                for (boolean back : new boolean[] {false, true}) {
                    browser.click(300, 100);
                    String from = back ? "B" : "A", to = back ? "A" : "B";
                    try {
                        browser.until("return Tundra.pieces[0].shown.name === '" + to + "'");
                    } catch (AssertionError e) {
                        throw new AssertionError(k + " " + side + " " + back
                                + browser.run("const p = Tundra.pieces[0]; return [document.elementsFromPoint(300,100).map((x) => x.getAttribute('class')).join(), p.shown.board.spent, p.shown.name, p.scenes.map((s) => s.el.inert + ' ' + s.el.hidden).join(), told.join()].join(' | ')"), e);
                    }
                    if (k == Transition.Kind.CUT) {
                        assertThat(seen(from)).isNull();
                        same(seen(to), "cut", 0, 0, 1, 1);
                        continue;
                    }
                    for (int i = 0; i <= 10; i++) {
                        at(Math.min(999.9, 100 * i));
                        double e = EASE.at(Math.min(0.9999, i / 10.0));
                        String as = k + " " + side + (back ? " back" : "") + " at " + i;
                        same(seen(to), as, back ? goes(t, 1 - e) : comes(t, e));
                        same(seen(from), as, back ? comes(t, 1 - e) : goes(t, e));
                    }
                    browser.run("for (const s of Tundra.pieces[0].scenes) s.moves?.finish()");
                    browser.until("return Tundra.pieces[0].scenes.every((s) => !s.moves)");
                    assertThat(seen(from)).isNull();
                    same(seen(to), "afterwards", 0, 0, 1, 1);
                }
            }
        }
    }

    @Test
    void anotherOneInTheMiddleJumpsNowhere() throws Exception {
        Transition push = transition(Transition.Kind.PUSH, Transition.Side.LEFT), up = transition(Transition.Kind.COVER, Transition.Side.UP);
        open(piece(PageSettings.USUAL, scene("a", Opening.USUAL.with(up), Actions.of(Actions.NEXT_SCENE)), scene("b", Opening.USUAL.with(push),
                Actions.of(Actions.NEXT_SCENE)), scene("c", Opening.USUAL.with(up), Actions.of(Actions.OPEN_SCENE, "a"))), "middle", (int) W,
                (int) H);
        browser.click(300, 100);
        browser.until("return Tundra.pieces[0].shown.name === 'B'");
        at(400);
        double[] a = seen("A"), b = seen("B");
        assertThat(a[0]).isBetween(-590.0, -10.0);
        browser.run("Tundra.pieces[0].step(1)");
        at(0);
        same(seen("B"), "the one that goes now", b);
        at(400, "A");
        same(seen("A"), "the one that went already", a);
        same(seen("C"), "the new one", 0, H, 1, 1);
        // and back to one that is still going
        at(300);
        double[] again = seen("A");
        browser.run("Tundra.pieces[0].open('a')");
        at(0);
        same(seen("A"), "back at once", again);
        browser.run("for (const s of Tundra.pieces[0].scenes) s.moves?.finish()");
        browser.until("return Tundra.pieces[0].scenes.every((s) => !s.moves && s.el.hidden === (s.name !== 'A'))");
        assertThat((String) browser.run("return Tundra.pieces[0].el.className")).doesNotContain("t--turning");
    }

    @Test
    void whoWantsLessMotionSeesCuts() throws Exception {
        browser.lessMotion(true);
        try {
            open(piece(PageSettings.USUAL, scene("a", Opening.USUAL, Actions.of(Actions.NEXT_SCENE)),
                    scene("b", Opening.USUAL.with(transition(Transition.Kind.PUSH, Transition.Side.LEFT)), Actions.of(Actions.BACK))), "quiet",
                    (int) W, (int) H);
            browser.click(300, 100);
            browser.until("return Tundra.pieces[0].shown.name === 'B'");
            assertThat(seen("A")).isNull();
            same(seen("B"), "at once", 0, 0, 1, 1);
        } finally {
            browser.lessMotion(false);
        }
    }

    @Test
    void aSceneKeepsWhereItWasOrBeginsAnew() throws Exception {
        for (boolean keeps : new boolean[] {false, true}) {
            Project p = piece(PageSettings.USUAL, scene("a", Opening.USUAL.withKeeps(keeps), Actions.of(Actions.NEXT_SCENE)),
                    scene("b", Opening.USUAL, Actions.of(Actions.BACK)));
            p = p.mapBoard("a", b -> b.withDrags(List.of(Dragging.of("d", List.of(new Dragging.Pair("a-tap", List.of()))))));
            open(p, "keeps-" + keeps, (int) W, (int) H);
            browser.until("return Tundra.pieces[0].timeline('Main').time > 700");
            browser.drag(new Point(300, 100), new Point(380, 180));
            double left = ((Number) browser.run("Tundra.pieces[0].step(1); return Tundra.pieces[0].scenes[0].timelines[0].time")).doubleValue();
            browser.run("window.later = 0; setTimeout(() => (later = 1), 400)");
            browser.until("return later === 1");
            double now = ((Number) browser.run("Tundra.pieces[0].back(); return Tundra.pieces[0].timeline('Main').time")).doubleValue();
            double x = ((Number) browser.run("return document.querySelector('.t-a_-tap .t-p > *').getBoundingClientRect().left")).doubleValue();
            if (keeps) {
                assertThat(left).isGreaterThan(700);
                assertThat(now).as("it stood while it wasn't seen").isCloseTo(left, within(120.0));
                assertThat(x).isCloseTo(350, within(1.0));
            } else {
                assertThat(now).isLessThan(150);
                assertThat(x).isCloseTo(270, within(1.0));
            }
            browser.until("return Tundra.pieces[0].timeline('Main').playing && Tundra.pieces[0].timeline('Main').time > " + (now + 100));
        }
    }

    /** However one goes about, by the piece or by the browser, the scene, its address and the keyboard agree. */
    @Test
    void theBrowsersHistoryFollows() throws Exception {
        PageSettings page = PageSettings.USUAL.withHistory(true);
        Opening fade = Opening.USUAL.with(new Transition(Transition.Kind.FADE, Transition.Side.LEFT, 30_000, EASE));
        open(piece(page, scene("a", fade, Actions.of(Actions.NEXT_SCENE)), scene("b", fade, Actions.of(Actions.NEXT_SCENE)),
                scene("c", fade, Actions.of(Actions.BACK))), "history", (int) W, (int) H);
        var random = new Random(11);
        var way = new ArrayList<>(List.of("A"));
        int at = 0;
        for (int i = 0; i < 30; i++) {
            boolean back = at > 0 && random.nextInt(3) == 0, on = !back && at < way.size() - 1 && random.nextBoolean();
            if (back) {
                at--;
                browser.run(random.nextBoolean() ? "history.back()" : "Tundra.pieces[0].back()");
            } else if (on) {
                at++;
                browser.run("history.forward()");
            } else {
                String to = List.of("A", "B", "C").stream().filter(s -> !s.equals(way.get(way.size() - 1))).toList().get(random.nextInt(2));
                while (way.size() > at + 1) {
                    way.removeLast();
                }
                to = to.equals(way.get(at)) ? to.equals("A") ? "B" : "A" : to;
                way.add(to);
                at++;
                browser.run("Tundra.pieces[0].show(arguments[0])", to);
            }
            String now = way.get(at);
            try {
                browser.until("const p = Tundra.pieces[0]; return p.shown.name === '" + now + "' && (location.hash === '#" + now + "' || " + at
                        + " === 0) && p.scenes.every((s) => s.moves || s.el.hidden === (s !== p.shown))"
                        + " && (document.activeElement === document.body || p.shown.el.contains(document.activeElement)) && p.timeline('Main').playing");
            } catch (AssertionError e) {
                throw new AssertionError("step " + i + " of " + way + " at " + at + ": "
                        + browser.run("const p = Tundra.pieces[0]; return [p.shown.name, location.hash, p.timeline('Main').playing, document.activeElement.className].join()"), e);
            }
        }
        // an address opens its scene
        browser.driver.get("about:blank");
        browser.driver.get(folder.resolve("history").resolve("index.html").toUri() + "#C");
        browser.until("return Tundra.pieces[0].shown.name === 'C'");
    }

    @Test
    void oneSceneLiesOverAllOthers() throws Exception {
        Scene over = scene("o", Opening.USUAL, Actions.of(Actions.NEXT_SCENE), Actions.of(Actions.ADD_VALUE, "n", 1.0));
        over = over.withBoard(over.board().withElements(List.of(box("o-tap", 500, "#C23B3B")))
                .withTimelines(List.of(new Timeline("o-main", Timeline.MAIN, 1_000_000, false, true, Map.of()))));
        Project p = piece(PageSettings.USUAL.withOver("o"), scene("a", Opening.USUAL, Actions.of(Actions.ADD_VALUE, "n", 10.0)),
                scene("b", Opening.USUAL, Actions.of(Actions.ADD_VALUE, "n", 100.0)), over);
        var visit = new Visit(browser, folder, "over", p);
        Moment m = Moment.opened(p.scenes().getFirst().board(), 1_000_000);
        visit.go(m);
        assertThat(visit.like(m)).as("the canvas shows it too").isGreaterThan(44);
        browser.click(300, 100);
        browser.until("return Tundra.pieces[0].value('n') === 10");
        browser.click(500, 100);
        browser.until("return Tundra.pieces[0].value('n') === 11 && Tundra.pieces[0].shown.name === 'B'");
        assertThat((String) browser.run("return document.elementFromPoint(500, 100).getAttribute('class')")).contains("t-o_-tap");
        browser.click(300, 100);
        browser.until("return Tundra.pieces[0].value('n') === 111");
        browser.click(500, 100);
        browser.until("return Tundra.pieces[0].value('n') === 112");
        assertThat((String) browser.run("return Tundra.pieces[0].shown.name")).as("it is none of the scenes in their order").isEqualTo("B");
    }
}
