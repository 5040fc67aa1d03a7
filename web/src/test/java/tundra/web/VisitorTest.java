package tundra.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.ByteArrayInputStream;
import java.util.ArrayList;
import java.util.List;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import tundra.core.check.TouchAreas;
import tundra.core.frame.FrameBuilder;
import tundra.core.frame.HitTest;
import tundra.core.frame.Moment;
import tundra.core.model.Properties;
import tundra.render.Fonts;

/** Published pieces as a visitor meets them: opened, tapped at real speed, tapped again. */
class VisitorTest extends InBrowser {
    private static Visit open(Browser b, String name) throws Exception {
        return new Visit(b, folder, name, Visit.piece(name));
    }

    private static void until(Browser b, String timeline, String condition) throws Exception {
        b.until("const t = Tundra.pieces[0].timeline('" + timeline + "'); return " + condition);
    }

    private static List<String> order(Moment m) {
        return m.standings().stream().map(Moment.Standing::timeline).toList();
    }

    @Test
    void whatWasTappedLastDecides() throws Exception {
        Visit v = open(browser, "v4-menu");
        until(browser, "Main", "!t.playing");
        Moment opened = v.paused();
        assertThat(order(opened)).containsExactly("main");
        assertThat(v.like(opened)).as("opened").isGreaterThan(44);
        browser.id("t-bo").click();
        until(browser, "Open", "t.time > 300");
        Moment opening = v.paused();
        assertThat(order(opening)).containsExactly("main", "op");
        assertThat(v.like(opening)).as("while it opens").isGreaterThan(44);
        browser.run("Tundra.pieces[0].timeline('Open').play()");
        until(browser, "Open", "!t.playing");
        assertThat(v.like(v.paused())).as("open").isGreaterThan(44);
        browser.id("t-bc").click();
        until(browser, "Close", "t.time > 200");
        Moment closing = v.paused();
        assertThat(order(closing)).containsExactly("main", "op", "cl");
        assertThat(v.like(closing)).as("while it closes").isGreaterThan(44);
        browser.id("t-bo").click();
        until(browser, "Open", "t.time > 100");
        Moment again = v.paused();
        assertThat(order(again)).containsExactly("main", "cl", "op");
        assertThat(v.like(again)).as("opened again before it was closed").isGreaterThan(44);
        browser.run("Tundra.pieces[0].timeline('Close').goTo(1000)");
        Moment sought = v.paused();
        assertThat(order(sought)).containsExactly("main", "op", "cl");
        assertThat(v.like(sought)).as("closed by seeking").isGreaterThan(44);
        browser.run("Tundra.pieces[0].show('" + v.project.scenes().getFirst().name() + "')");
        until(browser, "Main", "!t.playing");
        assertThat(v.paused()).as("the scene opens anew").isEqualTo(opened);
        assertThat(v.like(opened)).isGreaterThan(44);
    }

    @Test
    void theEndIsTheEndAlsoWhilePlaying() throws Exception {
        Visit v = open(browser, "v8-skip");
        until(browser, "Main", "t.playing && t.time > 100");
        browser.id("t-skip").click();
        assertThat(browser.run("const t = Tundra.pieces[0].timeline('Main'); return [t.time, t.playing]")).isEqualTo(List.of(3000L, false));
        v.settled();
        assertThat(v.like(Moment.opened(v.board, 3_000_000))).isGreaterThan(44);
    }

    @Test
    void realTimeIsTheClocks() throws Exception {
        Visit v = open(browser, "v1-clock");
        for (int i = 1; i <= 3; i++) {
            // both at the beginning of a picture: what the machine does within one is not the timeline's
            browser.driver.executeAsyncScript(
                    "const done = arguments[0]; requestAnimationFrame(() => { window.began = performance.now(); Tundra.pieces[0].timeline('Main').playFromStart(); done(1); })");
            until(browser, "Main", "t.time > " + 400 * i);
            var at = (List<?>) browser.driver.executeAsyncScript(
                    "const done = arguments[0]; requestAnimationFrame(() => done([Tundra.pieces[0].timeline('Main').time, performance.now() - began]))");
            double time = ((Number) at.get(0)).doubleValue(), clock = ((Number) at.get(1)).doubleValue();
            assertThat(time).as("ms by the clock").isCloseTo(clock, within(34.0));
            Moment m = v.paused();
            assertThat(v.like(m)).as("paused at %.0f ms", time).isGreaterThan(44);
        }
        browser.run("Tundra.pieces[0].timeline('Main').play()");
        until(browser, "Main", "!t.playing");
        v.settled();
        assertThat(v.like(Moment.opened(v.board, 9_000_000))).as("ended").isGreaterThan(44);
    }

    /** Text and edges of what stands are painted as if there had never been an animation. */
    @Test
    void whatIsTakenUpAgainGoesOnWhereItStood() throws Exception {
        Visit v = open(browser, "v1-clock");
        until(browser, "Main", "t.time > 500");
        v.paused();
        String place = "return [getComputedStyle(document.querySelector('.t-A')).translate, Tundra.pieces[0].timeline('Main').time]";
        Object stood = browser.run(place);
        var now = (List<?>) browser.run("Tundra.pieces[0].timeline('Main').play(); " + place);
        assertThat(now).isEqualTo(stood);
    }

    @Test
    void tapsGoThroughWhatIsNotSeen() throws Exception {
        Visit v = open(browser, "v5-through");
        Moment m = v.paused();
        for (int i = 1; i <= 8; i++) {
            var b = v.board.find("b" + i).rest().get(Properties.POSITION);
            boolean seen = HitTest.under(new FrameBuilder(v.board, Fonts.BUNDLED).at(m), b, 0).stream()
                    .filter(path -> path.stream().anyMatch(TouchAreas.catching(v.project, v.board)::contains)).findFirst().orElseThrow().getLast()
                    .equals("b" + i);
            browser.click(b.x(), b.y());
            assertThat(browser.run("return Tundra.pieces[0].timeline('Tb" + i + "').time > 0 || Tundra.pieces[0].timeline('Tb" + i + "').playing"))
                    .as("b%d, seen %s", i, seen).isEqualTo(i <= 5 || seen);
        }
    }

    @Test
    void whatIsNotSeenIsNotTapped() throws Exception {
        open(browser, "v6-ghost");
        browser.click(250, 100);
        browser.click(100, 100);
        browser.click(110, 110);
        assertThat(browser.run("return Tundra.pieces[0].timeline('Q').playing")).isEqualTo(false);
    }

    @Test
    void withLessMotionOnlyWhatStartsByItselfIsAtItsEnd() throws Exception {
        browser.lessMotion(true);
        try {
            Visit menu = open(browser, "v4-menu");
            assertThat(menu.paused().standings()).isEqualTo(Moment.opened(menu.board, 1_000_000).standings());
            assertThat(menu.like(menu.paused())).as("the menu is closed").isGreaterThan(44);
            browser.id("t-bo").click();
            Moment opened = menu.paused();
            assertThat(opened.timeOf("op")).isEqualTo(1_000_000);
            assertThat(menu.like(opened)).isGreaterThan(44);
            browser.id("t-bc").click();
            assertThat(menu.like(menu.paused())).isGreaterThan(44);
            Visit waits = open(browser, "v7-wait");
            assertThat(waits.paused()).isEqualTo(Moment.REST);
            assertThat(waits.like(Moment.REST)).isGreaterThan(44);
            Visit loop = open(browser, "v2-loop");
            assertThat(browser.run("return [...document.querySelectorAll('[class^=t-s]')].filter(e => /^t-s\\d+$/.test(e.className) && getComputedStyle(e).visibility === 'visible').length"))
                    .as("squares that are seen in turn").isEqualTo(1L);
            Moment last = new Moment(List.of(new Moment.Standing("main", loop.board.main().duration() - 1)));
            loop.settled();
            assertThat(loop.like(last)).isGreaterThan(44);
        } finally {
            browser.lessMotion(false);
        }
    }

    /** A square that moves, a path that grows and a rectangle that grows have their right edges at the same place, standing and moving. */
    @Test
    void whatThePagesThreadMovesKeepsUpWithTheCompositor() throws Exception {
        Visit v = open(browser, "v1-clock");
        v.go(Moment.opened(v.board, 1_203_000));
        int[] standing = edges();
        assertThat(standing[1] - standing[0]).isBetween(-1, 1);
        assertThat(standing[2] - standing[0]).isBetween(-1, 1);
        // a frame is 3.3 px here; Chromium decides anew each time it starts whether the page's frame is shown with the compositor's or after it
        browser.run("Tundra.pieces[0].timeline('Main').playFromStart()");
        until(browser, "Main", "t.time > 150");
        var apart = new ArrayList<Integer>();
        for (int i = 0; i < 12; i++) {
            int[] moving = edges();
            apart.add(Math.max(Math.abs(moving[1] - moving[0]), Math.abs(moving[2] - moving[0])));
        }
        System.out.println("Moved by the page's thread and by the compositor, apart in px: " + apart);
        assertThat(apart.stream().sorted().toList().get(6)).as("no more than a frame").isLessThanOrEqualTo(4);
    }

    private static int[] edges() throws Exception {
        var picture = ImageIO.read(new ByteArrayInputStream(browser.shot()));
        int[] out = new int[3];
        for (int i = 0; i < 3; i++) {
            int x = picture.getWidth() - 1;
            while (x > 0 && picture.getRGB(x, 20 + 40 * i) == picture.getRGB(picture.getWidth() - 1, 2)) {
                x--;
            }
            out[i] = x;
        }
        return out;
    }
}
