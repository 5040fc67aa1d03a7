package tundra.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.Keys;
import org.openqa.selenium.interactions.Actions;
import tundra.core.edit.ButtonMotif;
import tundra.core.frame.Moment;
import tundra.core.geometry.Point;
import tundra.core.model.Board;
import tundra.core.model.Clock;
import tundra.core.model.Color;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Motif;
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.core.model.Scene;
import tundra.core.model.Timeline;
import tundra.core.model.Values;

/** A button on the page, tried with mouse and keyboard: it looks as its states do and goes from one to the other without a jump. */
class ButtonTest extends InBrowser {
    private static Project piece(Clock clock) {
        var face = new Element("face", "Face", false, false, Values.NONE.with(Properties.POSITION, new Point(80, 25))
                .with(Properties.SIZE, new Point(160, 50))
                .with(Properties.FILL, Color.parse("#B0553F")).with(Properties.CORNER_RADIUS, 12.0), new Content.Rectangle());
        Motif m = ButtonMotif.of("button", "Button", new Point(160, 50), List.of(face));
        var e = new Element("one", "One", false, false, Values.NONE.with(Properties.POSITION, new Point(150, 100)),
                new Content.Instance("button", new Point(160, 50), clock));
        var main = new Timeline("main", Timeline.MAIN, 1_000_000, false, true, Map.of());
        var board = new Board(new Point(300, 200), Values.NONE.with(Properties.BACKGROUND, Color.parse("#F3F7FA")), List.of(e), List.of(main),
                List.of());
        return new Project("buttons", "Buttons", 24, List.of(new Scene("scene", "Scene", board)), Map.of(), Map.of()).withMotifs(List.of(m));
    }

    /** What the editor shows of a state, beside the page as it is now. */
    private static double like(Visit page, int state) throws Exception {
        var other = piece(new Clock(true, Clock.Repeat.HOLD, state * ButtonMotif.APART, 1));
        return page.like(other, Moment.opened(other.scenes().getFirst().board(), 0));
    }

    @Test
    void itShowsItsStatesToMouseAndKeyboard() throws Exception {
        var page = new Visit(browser, folder, "button", piece(new Clock(true, Clock.Repeat.HOLD, 0, 1)));
        page.settled();
        assertThat(like(page, 0)).as("at rest").isGreaterThan(44);
        assertThat(like(page, 1)).as("the states look different").isLessThan(36);
        browser.driver.switchTo().activeElement().sendKeys(Keys.TAB);
        browser.until("return document.activeElement.classList.contains('t-tap')");
        browser.until("return Tundra.pieces[0].scenes[0].board.still === true");
        page.settled();
        browser.run("document.activeElement.style.outline = 'none'; document.activeElement.style.boxShadow = 'none'");
        assertThat(like(page, 1)).as("with the keyboard's focus").isGreaterThan(44);
        assertThat(browser.run("return getComputedStyle(document.activeElement).cursor")).isEqualTo("pointer");
        browser.run("document.activeElement.blur()");
        browser.until("return Tundra.pieces[0].scenes[0].board.still === true");
        new Actions(browser.driver).moveToLocation(150, 100).perform();
        browser.until("return Tundra.pieces[0].scenes[0].board.still === true");
        page.settled();
        assertThat(like(page, 1)).as("pointer over").isGreaterThan(44);
        new Actions(browser.driver).clickAndHold().perform();
        browser.until("return Tundra.pieces[0].scenes[0].board.still === true");
        page.settled();
        assertThat(like(page, 2)).as("pressed").isGreaterThan(44);
        new Actions(browser.driver).release().moveToLocation(10, 10).perform();
        browser.until("return Tundra.pieces[0].scenes[0].board.still === true");
        page.settled();
        assertThat(like(page, 0)).as("left").isGreaterThan(44);
    }

    @Test
    void leavingMidwayTurnsBackWithoutAJump() throws Exception {
        new Visit(browser, folder, "button2", piece(new Clock(true, Clock.Repeat.HOLD, 0, 1)));
        browser.run("""
                window.seen = [];
                const look = () => { seen.push([performance.now(), Tundra.pieces[0].scenes[0].board.stateTime]); if (seen.length < 60) requestAnimationFrame(look); };
                look();
                const el = document.querySelector('.t-one'), send = type => el.dispatchEvent(new PointerEvent(type, { pointerType: 'mouse' }));
                send('pointerenter');
                setTimeout(() => send('pointerleave'), 90);""");
        browser.until("return window.seen.length >= 60");
        @SuppressWarnings("unchecked")
        var seen = (List<List<Number>>) browser.run("return seen");
        double most = 0;
        for (int i = 1; i < seen.size(); i++) {
            double ms = seen.get(i).get(0).doubleValue() - seen.get(i - 1).get(0).doubleValue(),
                    by = Math.abs(seen.get(i).get(1).doubleValue() - seen.get(i - 1).get(1).doubleValue());
            most = Math.max(most, by - 500 / 200.0 * ms);
        }
        assertThat(most).as("more than its speed allows, in ms of the motif").isLessThan(60);
        assertThat(seen.getLast().get(1).doubleValue()).as("back at rest").isZero();
        assertThat(seen.stream().mapToDouble(x -> x.get(1).doubleValue()).max().orElse(0)).as("it had set out").isBetween(50.0, 450.0);
    }
}
