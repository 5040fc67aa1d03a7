package tundra.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import tundra.samples.Buttons;
import tundra.samples.DrawnMark;
import tundra.samples.ScrolledStory;

/** The samples to learn from do on the page what their pages in the help say. */
class LearningSamplesTest extends InBrowser {
    private static double opacity(String of) {
        return Double.parseDouble((String) browser.run("return getComputedStyle(document.querySelector(arguments[0])).opacity", of));
    }

    private static void tap(double x, int lamps) throws Exception {
        browser.click(x, 300);
        browser.until("return Tundra.pieces[0].value('lamps') === " + lamps + " && document.getAnimations().every((a) => a.playState !== 'running')");
    }

    /** By an amount more, and by one less, which no opacity could be by itself. */
    @Test
    void buttonsLightAndPutOut() throws Exception {
        open(Buttons.project(), "buttons", 640, 400);
        String lamp = "." + PageId.of("lamp");
        assertThat(opacity(lamp)).isCloseTo(0.25, within(0.001));
        tap(150, 1);
        tap(150, 2);
        assertThat(opacity(lamp)).isCloseTo(0.55, within(0.001));
        tap(340, 1);
        assertThat(opacity(lamp)).isCloseTo(0.4, within(0.001));
        assertThat((String) browser.run("return document.querySelector('." + PageId.of("count") + "').textContent.trim()"))
                .isEqualTo("1 lamps are lit");
        tap(510, 0);
        assertThat(opacity(lamp)).isCloseTo(0.25, within(0.001));
    }

    @Test
    void scrollingTellsTheDay() throws Exception {
        open(ScrolledStory.project(), "story", 960, 540);
        assertThat(opacity("." + PageId.of("one"))).isEqualTo(1);
        assertThat(opacity("." + PageId.of("three"))).isZero();
        browser.run("scrollTo({ top: 2400, behavior: 'instant' })");
        browser.until("return Math.abs(Tundra.pieces[0].timeline('Main').time - 6000) < 1");
        assertThat(opacity("." + PageId.of("one"))).isZero();
        assertThat(opacity("." + PageId.of("three"))).isEqualTo(1);
    }

    @Test
    void theMarkIsDrawnAndItsNameComes() throws Exception {
        open(DrawnMark.project(), "mark", 460, 340);
        String name = "." + PageId.of("s-name");
        browser.run("Tundra.pieces[0].timeline('Main').goTo(1000); Tundra.pieces[0].timeline('Main').pause()");
        assertThat(opacity(name)).isZero();
        browser.run("Tundra.pieces[0].timeline('Main').goTo(4000)");
        assertThat(opacity(name)).isEqualTo(1);
    }
}
