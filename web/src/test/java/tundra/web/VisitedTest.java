package tundra.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.openqa.selenium.Keys;
import tundra.core.geometry.Point;
import tundra.core.model.Actions;
import tundra.core.model.Board;
import tundra.core.model.Color;
import tundra.core.model.Conditions;
import tundra.core.model.Content;
import tundra.core.model.Dragging;
import tundra.core.model.Element;
import tundra.core.model.Event;
import tundra.core.model.Events;
import tundra.core.model.PieceValue;
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.core.model.Reaction;
import tundra.core.model.Scene;
import tundra.core.model.Setting;
import tundra.core.model.Timeline;
import tundra.core.model.Values;

/** Small pieces with a fault that a visitor met, tapped as they were. */
class VisitedTest extends InBrowser {
    /** A fill goes from a gradient to a colour, the other way, and to another gradient; what follows in the reaction is done too. */
    @ParameterizedTest
    @ValueSource(strings = {"min-fid-e-set-gradient-to-colour", "min-fid-f-set-colour-to-gradient", "min-fid-g-set-gradient-to-gradient"})
    void setFillTakesColoursAndGradients(String name) throws Exception {
        open(Visit.piece(name), name, 300, 200);
        browser.run("window.errors = []; addEventListener('error', (e) => errors.push(e.message))");
        int[] before = pixel(180, 60);
        browser.click(150, 160);
        browser.until("return !document.querySelector('.t-c').checkVisibility({ visibilityProperty: true })");
        browser.until("return document.getAnimations().every((a) => a.playState !== 'running')");
        assertThat((List<?>) browser.run("return errors")).isEmpty();
        int[] after = pixel(180, 60);
        assertThat(after).as("at 180, 60 of %s", name).isNotEqualTo(before);
        System.out.println(name + ": from " + List.of(before[0], before[1], before[2]) + " to " + List.of(after[0], after[1], after[2]));
    }

    private static int[] pixel(int x, int y) throws Exception {
        var image = ImageIO.read(new ByteArrayInputStream(browser.shot()));
        int p = image.getRGB(x, y);
        return new int[] {p >> 16 & 255, p >> 8 & 255, p & 255};
    }

    /** What is told to let through does, whatever it is; what is told to be its whole box is. */
    @Test
    @SuppressWarnings("unchecked")
    void touchHoldsForEveryKind() throws Exception {
        open(Visit.piece("min-fid-p-touch-group"), "touch", 300, 120);
        browser.run("window.said = []; addEventListener('tundra', (e) => e.detail.reaction && said.push(e.detail.reaction))");
        var expected = new ArrayList<String>();
        // through the black child of a group, through the letters of a text, the corner of an ellipse's box
        for (Object[] tap : new Object[][] {{60, 60, "sc-r0"}, {162, 62, "sc-r1"}, {180, 60, "sc-r1"}, {233, 33, "sc-r2"}}) {
            browser.click((Integer) tap[0], (Integer) tap[1]);
            expected.add((String) tap[2]);
            browser.until("return said.length >= " + 2 * expected.size() + " || performance.now() > 8000");
        }
        assertThat((List<Object>) browser.run("return said.filter((x, i) => i % 2)")).containsExactlyElementsOf(expected.stream().map(x -> (Object) x)
                .toList());
    }

    private static Element box(String id, double x, double y) {
        return new Element(id, id, false, false, Values.NONE.with(Properties.POSITION, new Point(x, y)).with(Properties.SIZE, new Point(80, 60))
                .with(Properties.FILL, Color.parse("#2F78A3")), new Content.Rectangle());
    }

    private static Project piece(List<Element> elements, List<Timeline> timelines, List<Reaction> reactions) {
        return new Project("p", "P", 24, List.of(new Scene("s", "S", new Board(new Point(600, 300), Values.NONE, elements, timelines, reactions))),
                Map.of(), Map.of())
                .withValues(List.of(new PieceValue("n", "n", PieceValue.Kind.NUMBER, "0", false),
                new PieceValue("over", "over", PieceValue.Kind.NUMBER, "0", false)));
    }

    private static Reaction counts(String value, Event when) {
        return new Reaction("r-" + value, when, List.of(Actions.of(Actions.ADD_VALUE, value, 1.0)));
    }

    /** A label on a button takes nothing away from it: neither taps nor the pointer. */
    @Test
    void whatHasNoReactionLetsThrough() throws Exception {
        var label = new Element("label", "Label", false, false, Values.NONE.with(Properties.POSITION, new Point(100, 100))
                .with(Properties.FILL, Color.BLACK),
                new Content.Text("Start", "Figtree", 400, 20, Content.Align.LEFT, 1.2));
        Element cover = box("cover", 300, 100), under = box("under", 300, 100), catches = cover.with(Properties.TOUCH, "its whole box");
        var main = new Timeline("main", Timeline.MAIN, 1_000_000, false, false, Map.of());
        open(piece(List.of(box("button", 100, 100), label, under, catches), List.of(main), List.of(counts("n", Events.tapped("button")),
                counts("over", Events.of(Events.OVER, "button")),
                new Reaction("r-under", Events.tapped("under"), List.of(Actions.of(Actions.ADD_VALUE, "n", 10.0))))), "label", 600, 300);
        browser.mouse("mouseMoved", 20, 20, 0);
        browser.mouse("mouseMoved", 100, 100, 0);
        browser.click(100, 100);
        browser.until("return Tundra.pieces[0].value('n') === 1");
        assertThat(value("over")).isEqualTo(1);
        browser.click(300, 100);
        browser.click(100, 80);
        browser.until("return Tundra.pieces[0].value('n') > 1");
        assertThat(value("n")).as("a whole box catches what it covers").isEqualTo(2);
    }

    /** What is faded is passed over by Tab, and Enter does nothing on it even when it had the keyboard before. */
    @Test
    void theKeyboardReachesOnlyWhatIsSeen() throws Exception {
        Element first = box("first", 100, 100), ghost = box("ghost", 250, 100).with(Properties.OPACITY, 0.0), last = box("last", 400, 100);
        var main = new Timeline("main", Timeline.MAIN, 1_000_000, false, false, Map.of());
        var fades = new Reaction("fades", Events.of(Events.KEY_PRESSED, "F"),
                List.of(Actions.of(Actions.SET, List.of("last"), Setting.of(Properties.OPACITY, 0.0), 0L, "linear")));
        open(piece(List.of(first, ghost, last), List.of(main), List.of(counts("over", Events.tapped("ghost")), counts("n", Events.tapped("last")),
                new Reaction("r-first", Events.tapped("first"), List.of(Actions.of(Actions.SAY, "x"))), fades)), "ghost", 600, 300);
        var keys = new org.openqa.selenium.interactions.Actions(browser.driver);
        keys.sendKeys(Keys.TAB).perform();
        assertThat(browser.run("return document.activeElement.getAttribute('aria-label')")).isEqualTo("first");
        keys.sendKeys(Keys.TAB).perform();
        assertThat(browser.run("return document.activeElement.getAttribute('aria-label')")).isEqualTo("last");
        keys.sendKeys(Keys.ENTER).perform();
        browser.until("return Tundra.pieces[0].value('n') === 1");
        key("f");
        browser.until("return getComputedStyle(document.querySelector('.t-last')).opacity === '0'");
        keys.sendKeys(Keys.ENTER).perform();
        keys.keyDown(Keys.SHIFT).sendKeys(Keys.TAB).keyUp(Keys.SHIFT).perform();
        assertThat(browser.run("return document.activeElement.getAttribute('aria-label')")).isEqualTo("first");
        assertThat(value("n")).isEqualTo(1);
        assertThat(value("over")).isZero();
    }

    /** A cue that pauses its timeline leaves it exactly there, and it goes on from there. */
    @Test
    void aCueThatPausesStandsAtItsTime() throws Exception {
        var main = new Timeline("main", Timeline.MAIN, 1_000_000, false, true, Map.of());
        var pauses = new Reaction("pauses", Events.of(Events.PASSED, "main", 300_000L, "forwards"), List.of(Actions.of(Actions.PAUSE, "main"),
                Actions.of(Actions.ADD_VALUE, "n", 1.0)));
        open(piece(List.of(box("a", 100, 100)), List.of(main),
                List.of(pauses, new Reaction("on", Events.tapped("a"), List.of(Actions.of(Actions.PLAY, "main"))),
                counts("over", Events.of(Events.ENDED, "main")))), "cue", 600, 300);
        browser.until("return Tundra.pieces[0].value('n') === 1");
        assertThat(browser.run("return Tundra.pieces[0].timeline('Main').playing")).isEqualTo(false);
        assertThat(((Number) browser.run("return Tundra.pieces[0].timeline('Main').time")).doubleValue()).isEqualTo(300);
        browser.click(100, 100);
        browser.until("return Tundra.pieces[0].value('over') === 1");
        assertThat(value("n")).as("passed once").isEqualTo(1);
        // from the start it waits there again
        browser.run("Tundra.pieces[0].timeline('Main').playFromStart()");
        browser.until("return Tundra.pieces[0].value('n') === 2");
        assertThat(((Number) browser.run("return Tundra.pieces[0].timeline('Main').time")).doubleValue()).isEqualTo(300);
    }

    /** A menu closes where anything else is tapped, by a condition that sees it as it was; its own ground is no elsewhere. */
    @Test
    void elsewhereIsBesideIt() throws Exception {
        Element menu = box("menu", 100, 100), button = box("button", 300, 100);
        var main = new Timeline("main", Timeline.MAIN, 100_000, false, false, Map.of());
        var closes = new Reaction("closes", Events.of(Events.TAPPED_ELSEWHERE, "menu"), List.of(Conditions.of(Conditions.VALUE, "n", "is", "1")),
                false, List.of(Actions.of(Actions.SET_VALUE, "n", "0"), Actions.of(Actions.ADD_VALUE, "over", 1.0)), List.of(), false, "");
        var opens = new Reaction("opens", Events.tapped("button"), List.of(Conditions.of(Conditions.VALUE, "over", "is", "0")), false,
                List.of(Actions.of(Actions.SET_VALUE, "n", "1")), List.of(), false, "");
        open(piece(List.of(menu, button), List.of(main), List.of(closes, opens)), "elsewhere", 600, 300);
        browser.click(300, 100);
        browser.until("return Tundra.pieces[0].value('n') === 1");
        browser.click(100, 100);
        assertThat(value("over")).as("its own ground").isZero();
        browser.click(500, 250);
        browser.until("return Tundra.pieces[0].value('over') === 1");
        assertThat(value("n")).isZero();
    }

    /** One gesture is one event. */
    @Test
    void whatIsHeldIsNotTappedToo() throws Exception {
        var main = new Timeline("main", Timeline.MAIN, 100_000, false, false, Map.of());
        open(piece(List.of(box("a", 100, 100)), List.of(main), List.of(counts("n", Events.of(Events.HELD, "a")),
                counts("over", Events.tapped("a")))), "held", 600, 300);
        browser.mouse("mouseMoved", 100, 100, 0);
        browser.mouse("mousePressed", 100, 100, 1);
        browser.until("return Tundra.pieces[0].value('n') === 1");
        browser.mouse("mouseReleased", 100, 100, 0);
        browser.click(100, 100);
        browser.until("return Tundra.pieces[0].value('over') > 0");
        assertThat(value("over")).as("only the tap that followed").isEqualTo(1);
        assertThat(value("n")).isEqualTo(1);
    }

    /** A tap on what has landed leaves it there, and a drag takes it out once. */
    @Test
    void aTapOnWhatHasLandedIsNoLanding() throws Exception {
        var main = new Timeline("main", Timeline.MAIN, 100_000, false, false, Map.of());
        Project p = piece(List.of(box("slot", 400, 200), box("vane", 100, 100)), List.of(main),
                List.of(counts("n", Events.of(Events.LANDED, "vane")), counts("over", Events.of(Events.TAKEN_OUT, "vane"))));
        open(p.mapBoard("s", b -> b.withDrags(List.of(Dragging.of("d", List.of(new Dragging.Pair("vane", List.of("slot"))))))), "landed", 600, 300);
        browser.drag(new Point(100, 100), new Point(398, 199));
        browser.until("return Tundra.pieces[0].value('n') === 1");
        browser.click(400, 200);
        browser.click(401, 201);
        browser.drag(new Point(400, 200), new Point(200, 250));
        browser.until("return Tundra.pieces[0].value('over') === 1");
        assertThat(value("n")).isEqualTo(1);
    }

    /** The keyboard goes along into the scene that is opened, which is then read out. */
    @Test
    void theKeyboardGoesAlongIntoAScene() throws Exception {
        var main = new Timeline("main", Timeline.MAIN, 100_000, false, false, Map.of());
        Project p = piece(List.of(box("a", 100, 100)), List.of(main),
                List.of(new Reaction("on", Events.tapped("a"), List.of(Actions.of(Actions.OPEN_SCENE, "z")))));
        var there = new Board(new Point(600, 300), Values.NONE, List.of(box("b", 100, 100)),
                List.of(new Timeline("zm", Timeline.MAIN, 100_000, false, false, Map.of())), List.of(counts("n", Events.tapped("b"))));
        open(p.withScenes(List.of(p.scenes().getFirst(), new Scene("z", "Night walk", there))), "scenes", 600, 300);
        var keys = new org.openqa.selenium.interactions.Actions(browser.driver);
        keys.sendKeys(Keys.TAB).sendKeys(Keys.ENTER).perform();
        browser.until("return document.activeElement.getAttribute('aria-label') === 'Night walk'");
        keys.sendKeys(Keys.TAB).sendKeys(Keys.ENTER).perform();
        browser.until("return Tundra.pieces[0].value('n') === 1");
    }

    /** Main stops at its cue until the lamp is tapped; who tapped before is not kept waiting, and who leaves leaves nothing behind. */
    @Test
    void itWaitsUntilSomethingIsTapped() throws Exception {
        var main = new Timeline("main", Timeline.MAIN, 600_000, false, false, Map.of());
        var cue = new Reaction("cue", Events.of(Events.PASSED, "main", 200_000L, "forwards"), List.of(Actions.of(Actions.PAUSE, "main"),
                Actions.of(Actions.WAIT_UNTIL, "lamp"), Actions.of(Actions.ADD_VALUE, "n", 1.0), Actions.of(Actions.PLAY, "main")));
        open(piece(List.of(box("lamp", 100, 100)), List.of(main), List.of(cue, counts("over", Events.of(Events.ENDED, "main")))), "until", 600, 300);
        browser.run("Tundra.pieces[0].timeline('Main').playFromStart()");
        browser.until("return !Tundra.pieces[0].timeline('Main').playing && Tundra.pieces[0].timeline('Main').time === 200");
        assertThat(value("n")).isZero();
        browser.click(100, 100);
        browser.until("return Tundra.pieces[0].value('over') === 1");
        assertThat(value("n")).isEqualTo(1);
        // tapped before it is waited for
        browser.click(100, 100);
        browser.run("Tundra.pieces[0].timeline('Main').playFromStart()");
        browser.until("return Tundra.pieces[0].value('over') === 2");
        assertThat(value("n")).isEqualTo(2);
        // a scene that was left waits for nothing
        browser.run("Tundra.pieces[0].timeline('Main').playFromStart()");
        browser.until("return !Tundra.pieces[0].timeline('Main').playing && Tundra.pieces[0].timeline('Main').time === 200");
        browser.run("const s = Tundra.pieces[0].scenes[0]; s.leave(); s.hide(); s.enter()");
        browser.click(100, 100);
        browser.run("window.later = 0; setTimeout(() => (later = 1), 300)");
        browser.until("return later === 1");
        assertThat(value("n")).isEqualTo(2);
    }

    /** Two fingers that go the same way are no swipe; one is. */
    @Test
    void twoFingersNeverSwipe() throws Exception {
        var main = new Timeline("main", Timeline.MAIN, 100_000, false, false, Map.of());
        Element wide = box("wide", 300, 150).with(Properties.SIZE, new Point(500, 200));
        open(piece(List.of(wide), List.of(main), List.of(counts("n", Events.of(Events.SWIPED, "wide", "left")),
                counts("over", Events.of(Events.RELEASED, "wide")))), "fingers", 600, 300);
        browser.touch("touchStart", new Point(400, 120), new Point(420, 200));
        for (int x = 0; x <= 150; x += 50) {
            browser.touch("touchMove", new Point(400 - x, 120), new Point(420 - x, 200));
        }
        browser.touch("touchEnd");
        browser.until("return Tundra.pieces[0].value('over') >= 2");
        assertThat(value("n")).isZero();
        browser.touch("touchStart", new Point(400, 120));
        browser.touch("touchMove", new Point(330, 122));
        browser.touch("touchMove", new Point(260, 124));
        browser.touch("touchEnd");
        browser.until("return Tundra.pieces[0].value('n') === 1");
    }

    /** The second tap of a double tap stays with the door that the first one opened. */
    @Test
    void aDoubleTapAtADoorTapsNothingBehindIt() throws Exception {
        var main = new Timeline("main", Timeline.MAIN, 100_000, false, false, Map.of());
        Project p = piece(List.of(box("a", 100, 100)), List.of(main),
                List.of(new Reaction("on", Events.tapped("a"), List.of(Actions.of(Actions.OPEN_SCENE, "z")))));
        var there = new Board(new Point(600, 300), Values.NONE, List.of(box("b", 100, 100)),
                List.of(new Timeline("zm", Timeline.MAIN, 100_000, false, false, Map.of())), List.of(counts("n", Events.tapped("b"))));
        open(p.withScenes(List.of(p.scenes().getFirst(), new Scene("z", "Night walk", there))), "door", 600, 300);
        browser.mouse("mouseMoved", 100, 100, 0);
        browser.doubleClick(100, 100);
        browser.until("return !document.querySelectorAll('.t-scene')[1].hidden");
        assertThat(value("n")).isZero();
        browser.click(100, 100);
        browser.until("return Tundra.pieces[0].value('n') === 1");
    }
}
