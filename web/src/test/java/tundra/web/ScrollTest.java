package tundra.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.Keys;
import org.openqa.selenium.interactions.Actions;
import tundra.core.geometry.Point;
import tundra.core.model.Board;
import tundra.core.model.Color;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Marker;
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.core.model.Scene;
import tundra.core.model.Scroll;
import tundra.core.model.Timeline;
import tundra.core.model.Values;
import tundra.core.motion.Easing;
import tundra.core.motion.Key;
import tundra.core.motion.Track;
import tundra.core.work.Progress;
import tundra.render.Fonts;
import tundra.render.PictureSheets;

/** Timelines and elements that the page's scrolling moves, as a visitor scrolls. */
class ScrollTest extends InBrowser {
    private static Element box(String id, double x, double y) {
        return new Element(id, id, false, false, Values.NONE.with(Properties.POSITION, new Point(x, y)).with(Properties.SIZE, new Point(40, 40))
                .with(Properties.FILL, Color.parse("#1C6A5E")), new Content.Rectangle());
    }

    /** A dot goes 200 px to the right in a second of Main, which scrolling moves over 600 px. */
    private void open(String name, Scroll scroll, String before) throws Exception {
        var main = new Timeline("main", Timeline.MAIN, 1_000_000, false, false, Map.of()).with("dot", Properties.POSITION,
                new Track<>(List.of(new Key<>(0, new Point(100, 150), Easing.LINEAR), new Key<>(1_000_000, new Point(300, 150), Easing.LINEAR))))
                .withMarkers(List.of(new Marker("m", "Rest", 500_000))).withScroll(scroll);
        var elements = new ArrayList<>(List.of(box("dot", 100, 150), box("near", 100, 240).with(Properties.PARALLAX, 0.5), box("far", 200, 240)
                .with(Properties.PARALLAX, -0.25)));
        Project p = new Project("p", "Page", 24,
                List.of(new Scene("s", "S", new Board(new Point(400, 300), Values.NONE, elements, List.of(main), List.of()))), Map.of(), Map.of());
        Page page = new PageCompiler(Fonts.BUNDLED, Fonts.BUNDLED, new PictureSheets()).compile(p, null);
        Publisher.publish(page, folder.resolve(name), Progress.NONE);
        if (!before.isEmpty()) {
            var index = folder.resolve(name).resolve("index.html");
            Files.writeString(index, Files.readString(index).replace("<body>", "<body>" + before)
                    .replace("</main>", "</main><div style=\"height:900px\">after</div>"));
        }
        browser.open(folder.resolve(name), 400, 300);
    }

    private void x(double x) throws Exception {
        browser.until("const r = document.querySelector('.t-dot .t-p > *').getBoundingClientRect(); return Math.abs(r.x + 20 - " + x + ") < 0.6");
    }

    private void near(double y) throws Exception {
        browser.until("const r = document.querySelector('.t-near .t-p > *').getBoundingClientRect(); return Math.abs(r.y + 20 - " + y + ") < 0.6");
    }

    private void scroll(double y) {
        browser.run("scrollTo({ top: arguments[0], behavior: 'instant' })", y);
    }

    /** Says true once nothing has scrolled for ten frames. */
    private static final String STANDS =
            "if (!window.stood || stood.y !== scrollY) { window.stood = { y: scrollY, frames: 0 }; const f = () => { if (stood.y === scrollY && stood.frames++ < 10) requestAnimationFrame(f); }; f(); }"
            + " return stood.frames > 10 && (window.stood = null, true);";

    private double y(String id) {
        return ((Number) browser.run("const r = document.querySelector('.t-" + id + " .t-p > *').getBoundingClientRect(); return r.y + 20"))
                .doubleValue();
    }

    @Test
    void theSceneStandsWhileItsTimelineGoesForthAndBack() throws Exception {
        open("scene", Scroll.over(600), "");
        x(100);
        scroll(300);
        x(200);
        assertThat(y("dot")).as("the scene stands").isEqualTo(150);
        assertThat(y("near")).as("half as fast as the page").isEqualTo(240 - 150);
        assertThat(y("far")).isEqualTo(240 + 75);
        scroll(600);
        x(300);
        scroll(150);
        x(150);
        new Actions(browser.driver).sendKeys(Keys.END).perform();
        browser.until("return scrollY === 600");
        x(300);
        browser.until(STANDS);
        for (int i = 0; i < 9 && ((Number) browser.run("return scrollY")).doubleValue() > 0; i++) {
            new Actions(browser.driver).sendKeys(Keys.PAGE_UP).perform();
            browser.until(STANDS);
        }
        browser.until("return scrollY === 0");
        x(100);
        browser.driver.executeCdpCommand("Input.dispatchMouseEvent", Map.of("type", "mouseWheel", "x", 200, "y", 150, "deltaX", 0, "deltaY", 300));
        x(200);
        for (int y : new int[] {250, 240, 220, 190, 150, 110, 70}) {
            browser.driver.executeCdpCommand("Input.dispatchTouchEvent", Map.of("type", y == 250 ? "touchStart" : "touchMove", "touchPoints",
                    List.of(Map.of("x", 200, "y", y))));
        }
        browser.driver.executeCdpCommand("Input.dispatchTouchEvent", Map.of("type", "touchEnd", "touchPoints", List.of()));
        browser.until("return scrollY > 400 && Math.abs(document.querySelector('.t-dot .t-p > *').getBoundingClientRect().x - 80 - scrollY / 3) < 1");
    }

    /** Without the page's own thread doing anything: what it would do at each scroll is taken away. */
    @Test
    void theBrowserItselfMovesWhatGoesExactlyByIt() throws Exception {
        open("native", new Scroll(600, 0.25, 0.75, false, false, null), "<div style=\"height:500px\">before</div>");
        assertThat(browser.run("return document.getAnimations().filter(a => a.timeline instanceof ViewTimeline).length"))
                .as("the dot and two at a share").isEqualTo(3L);
        browser.run("Tundra.pieces[0].timeline('Main').goTo = () => {}");
        scroll(500 + 300);
        x(200);
        near(240 - 150);
        scroll(500 + 225);
        x(150);
        scroll(500 + 600);
        x(300);
        scroll(0);
        x(100);
        // before the scene goes its way
        near(240 + 500);
    }

    /** In a window of another height than the scene, and in a browser that has no scroll timelines. */
    @Test
    void itGoesTheSameWayInAnyWindowAndBrowser() throws Exception {
        for (boolean without : new boolean[] {false, true}) {
            for (int height : new int[] {180, 420}) {
                String name = "window-" + without + height;
                open(name, new Scroll(600, 0.5, 1, false, false, null), "<div style=\"height:500px\">before</div>"
                        + (without ? "<script src=\"without.js\"></script>" : ""));
                Files.writeString(folder.resolve(name).resolve("without.js"), "delete window.ViewTimeline;");
                browser.open(folder.resolve(name), 400, height);
                assertThat(browser.run("return typeof ViewTimeline")).isEqualTo(without ? "undefined" : "function");
                for (double[] at : new double[][] {{400, 100}, {800, 100}, {950, 200}, {1025, 250}, {1100, 300}, {900, 166.67}}) {
                    scroll(at[0]);
                    x(at[1]);
                    double share = Math.clamp(at[0] - 500, 0, 600), stands = 240 - (at[0] - 500 - share);
                    near(stands - share / 2);
                }
            }
        }
    }

    @Test
    void fromAShareToAnotherAndSoftly() throws Exception {
        open("shares", new Scroll(600, 0.5, 1, true, false, null), "");
        scroll(300);
        x(100);
        scroll(450);
        x(200);
        browser.until("return Tundra.pieces[0].timeline('Main').time === 500");
        // it came after: frame by frame, and then nothing is done any more
        browser.run("window.frames3 = 0; const goTo = Tundra.pieces[0].timeline('Main').constructor.prototype.goTo; window.calls = 0; Tundra.pieces[0].timeline('Main').goTo = function (t) { calls++; goTo.call(this, t); };"
                + "const step = () => { if (frames3++ < 12) requestAnimationFrame(step); }; step();");
        browser.until("return frames3 > 12");
        assertThat(browser.run("return calls")).as("nothing scrolls").isEqualTo(0L);
        scroll(600);
        x(300);
        assertThat(((Number) browser.run("return calls")).intValue()).isGreaterThan(5);
    }

    @Test
    void embeddedInALongerPage() throws Exception {
        open("embedded", Scroll.over(600), "<div style=\"height:500px\">before</div>");
        x(100);
        scroll(400);
        x(100);
        scroll(800);
        x(200);
        scroll(1100);
        x(300);
        scroll(1400);
        x(300);
        assertThat(y("dot")).as("then it goes with the page").isEqualTo(150 - 300);
    }

    @Test
    void anElementsWayThroughTheWindow() throws Exception {
        open("through", Scroll.over(600).withThrough("near"), "<div style=\"height:500px\">before</div>");
        // near stands 240 px down the scene, which begins at 500: it comes in at the bottom when 420 px are scrolled
        scroll(0);
        x(100);
        scroll(900);
        x(300);
        scroll(590);
        browser.until("const x = document.querySelector('.t-dot .t-p > *').getBoundingClientRect().x + 20; return x > 102 && x < 298");
    }

    @Test
    void scrollingComesToRestAtMarkers() throws Exception {
        open("rests", new Scroll(600, 0, 1, false, true, null), "");
        assertThat(browser.run("return getComputedStyle(document.documentElement).scrollSnapType"))
                .as("proximity, which is what it is without a word").isEqualTo("y");
        assertThat(((Number) browser.run(
                "return [...document.querySelectorAll('div')].filter(d => getComputedStyle(d).scrollSnapAlign === 'start').map(d => d.getBoundingClientRect().y)[0]")).doubleValue()).isEqualTo(300);
        // a wheel that turns before the page was painted is lost: it is turned again
        for (int turns = 0; turns < 5 && ((Number) browser.run("return scrollY")).intValue() == 0; turns++) {
            browser.driver.executeCdpCommand("Input.dispatchMouseEvent", Map.of("type", "mouseWheel", "x", 200, "y", 150, "deltaX", 0, "deltaY",
                    270));
            browser.driver.executeAsyncScript(
                    "const done = arguments[0], end = performance.now() + 2000, look = () => scrollY || performance.now() > end ? done() : requestAnimationFrame(look); look()");
        }
        browser.until("return scrollY === 300");
        x(200);
    }
}
