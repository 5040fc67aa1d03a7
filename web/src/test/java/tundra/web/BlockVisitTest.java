package tundra.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.sun.net.httpserver.HttpServer;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.nio.charset.StandardCharsets;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.Keys;
import org.openqa.selenium.interactions.Actions;
import tundra.core.block.Gallery;
import tundra.core.block.Mercator;
import tundra.core.block.Placement;
import tundra.core.geometry.Point;
import tundra.core.model.BlockKind;
import tundra.core.model.Blocks;
import tundra.core.model.Color;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Events;
import tundra.core.model.PieceValue;
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.core.model.Reaction;
import tundra.core.model.Values;

/** Blocks as a visitor meets them: by mouse, finger, wheel and keys. */
class BlockVisitTest extends InBrowser {
    private static final String AT = "Tundra.pieces[0].shown.board.block";

    private static Project gallery(BlockKind kind, Content.Block b) {
        return BlockPiece.filled(BlockPiece.of(new Point(800, 400), List.of(BlockPiece.element("g", kind, new Point(400, 200))
                .withContent(b.withBox(new Point(640, 260))))), "g");
    }

    private static double number(String script) {
        return ((Number) browser.run("return " + script)).doubleValue();
    }

    private static void item(int i) {
        browser.until("return " + AT + "('t-g').item === " + i + " && !" + AT + "('t-g').running");
    }

    @Test
    void galleriesAreLeafedByMouseFingerWheelAndKeys() throws Exception {
        for (BlockKind kind : List.of(Blocks.STRIP, Blocks.STACK, Blocks.TURNTABLE)) {
            open(gallery(kind, kind.made().with(Blocks.LOOPS, "yes").with(Blocks.TURN_TIME, 120_000L)), "leaf-" + kind, 800, 400);
            item(0);
            browser.drag(new Point(600, 200), new Point(250, 200));
            browser.until("return " + AT + "('t-g').item > 0 && !" + AT + "('t-g').running");
            int there = (int) number(AT + "('t-g').item");
            browser.run("document.querySelector('.t-g-k').focus()");
            new Actions(browser.driver).sendKeys(Keys.ARROW_LEFT).perform();
            item(there - 1);
            new Actions(browser.driver).sendKeys(Keys.END).perform();
            item(4);
            new Actions(browser.driver).sendKeys(Keys.HOME).perform();
            item(0);
            browser.touch("touchStart", new Point(620, 200));
            browser.touch("touchMove", new Point(570, 201));
            browser.touch("touchMove", new Point(420, 202));
            browser.touch("touchMove", new Point(270, 202));
            browser.touch("touchEnd");
            browser.until("return " + AT + "('t-g').item > 0 && !" + AT + "('t-g').running");
            there = (int) number(AT + "('t-g').item");
            browser.driver.executeCdpCommand("Input.dispatchMouseEvent", Map.of("type", "mouseWheel", "x", 400, "y", 200, "deltaX", 0, "deltaY", 80));
            item((there + 1) % 5);
        }
    }

    /** Between items too, what the page shows is what the closed form says; all three run by the same lines as the canvas. */
    @Test
    @SuppressWarnings("unchecked")
    void itemsLieWhereTheClosedFormSaysAtEveryPosition() throws Exception {
        for (BlockKind kind : List.of(Blocks.STRIP, Blocks.STACK, Blocks.TURNTABLE)) {
            for (String loops : List.of("no", "yes")) {
                Content.Block b = kind.made().with(Blocks.LOOPS, loops).with(Blocks.OFFSET, 12.0);
                b = kind == Blocks.STRIP ? b.with(Blocks.NEIGHBOURS, 70.0) : kind == Blocks.STACK ? b.with(Blocks.PILE, "thrown") : b;
                open(gallery(kind, b), "form-" + kind + loops, 800, 400);
                var g = new Gallery(b.withBox(new Point(640, 260)), 5, new Point(640, 260));
                for (double p = -0.4; p < 4.6; p += 0.37) {
                    // what is moved by hand stands between two items
                    var seen = (List<List<Number>>) browser.run("const g = " + AT
                            + "('t-g'); g.position = arguments[0]; g.again(); const r = g.el.getBoundingClientRect();"
                            + "return g.items.map((x) => { const s = getComputedStyle(x), [a, b] = s.translate.split(' ').map(parseFloat); return [s.visibility === 'hidden' ? 0 : 1, a + x.offsetWidth / 2, (b || 0) + x.offsetHeight / 2, parseFloat(s.scale), parseFloat(s.rotate) || 0, +s.opacity]; })", p);
                    for (int i = 0; i < 5; i++) {
                        Placement at = g.place(i, p);
                        assertThat(seen.get(i).get(0).intValue() == 1).as("%s %d at %s", kind, i, p).isEqualTo(g.seen(at));
                        if (g.seen(at)) {
                            double[] theirs = seen.get(i).stream().mapToDouble(Number::doubleValue).toArray();
                            assertThat(theirs[1]).isCloseTo(at.x(), within(0.5));
                            assertThat(theirs[2]).isCloseTo(at.y(), within(0.5));
                            assertThat(theirs[3]).isCloseTo(at.scale(), within(0.001));
                            assertThat(theirs[4]).isCloseTo(at.rotation(), within(0.01));
                            assertThat(theirs[5]).isCloseTo(at.opacity(), within(0.001));
                        }
                    }
                }
            }
        }
    }

    @Test
    void aGalleryThatLeafsByItselfStopsUnderThePointerAndForWhoWantsLessMotion() throws Exception {
        Project p = gallery(Blocks.STRIP, Blocks.STRIP.made().with(Blocks.LOOPS, "yes").with(Blocks.BY_ITSELF, "yes").with(Blocks.EVERY, 250_000L)
                .with(Blocks.TURN_TIME, 50_000L));
        open(p, "by-itself", 800, 400);
        browser.mouse("mouseMoved", 5, 5, 0);
        browser.until("return " + AT + "('t-g').item >= 2");
        browser.mouse("mouseMoved", 400, 200, 0);
        browser.run("window.was = " + AT + "('t-g').item; window.later = 0; setTimeout(() => (later = 1), 900)");
        browser.until("return later === 1");
        assertThat(number(AT + "('t-g').item - was")).isLessThanOrEqualTo(1);
        browser.lessMotion(true);
        try {
            browser.mouse("mouseMoved", 5, 5, 0);
            open(p, "by-itself", 800, 400);
            browser.run("window.later = 0; setTimeout(() => (later = 1), 900)");
            browser.until("return later === 1");
            assertThat(number(AT + "('t-g').item")).isZero();
        } finally {
            browser.lessMotion(false);
        }
    }

    @Test
    void dotsGoToItemsAndFollowThem() throws Exception {
        Project p = BlockPiece.filled(BlockPiece.of(new Point(800, 400), List.of(BlockPiece.element("g", Blocks.STRIP, new Point(400, 150)),
                BlockPiece.element("d", Blocks.DOTS, new Point(400, 320)).withContent(Blocks.DOTS.made().with(Blocks.OF_GALLERY, "g")))), "g");
        open(p, "dots", 800, 400);
        browser.click(400 + 2 * 26 - 0.5, 320);
        item(4);
        browser.until("return document.querySelector('.t-d-k4').getAttribute('aria-current') === 'true' && document.querySelectorAll('.t-d-k [aria-current]').length === 1");
    }

    @Test
    void theMapIsPannedZoomedSearchedAndItsPlacesChosen() throws Exception {
        Content.Block b = Blocks.MAP_BLOCK.made().with(Blocks.MAP, BlockPiece.MAP).with(Blocks.LONGITUDE, 10.002).with(Blocks.LATITUDE, 70.001)
                .with(Blocks.SEARCHES, "yes").withBox(new Point(600, 360));
        Project p = BlockPiece.of(new Point(800, 400), List.of(BlockPiece.element("m", Blocks.MAP_BLOCK, new Point(400, 200)).withContent(b)));
        p = p.mapBoard(p.scenes().getFirst().id(),
                x -> x.withReactions(List.of(new Reaction("r", Events.of(Events.PLACE_CHOSEN, "Pier", "m"),
                List.of(tundra.core.model.Actions.of(tundra.core.model.Actions.ADD_VALUE, "n", 1.0))))));
        open(p, "map", 800, 400);
        Point pier = Mercator.px(new Point(10, 70), 13).minus(Mercator.px(new Point(10.002, 70.001), 13)).plus(new Point(400, 200));
        place("Pier", pier);
        browser.click(pier.x(), pier.y());
        browser.until("return Tundra.pieces[0].value('n') === 26");
        browser.drag(new Point(300, 320), new Point(360, 300));
        place("Pier", pier.plus(new Point(60, -20)));
        assertThat(value("n")).as("a pull is no tap").isEqualTo(26);
        browser.run("document.querySelector('.t-m-zi').click()");
        browser.until("return " + AT + "('t-m').zoom === 14 && !" + AT + "('t-m').running");
        place("Pier", pier.plus(new Point(60, -20)).minus(new Point(400, 200)).times(2).plus(new Point(400, 200)));
        browser.run("document.querySelector('.t-m-k').focus()");
        new Actions(browser.driver).sendKeys(Keys.ARROW_RIGHT, "-").perform();
        browser.until("return " + AT + "('t-m').zoom === 13 && !" + AT + "('t-m').running");
        browser.run("document.querySelector('.t-m-q').focus()");
        new Actions(browser.driver).sendKeys("fell", Keys.ARROW_DOWN, Keys.ENTER).perform();
        browser.until("return document.querySelector('.t-m-q').value === 'Fellmark Station' && !" + AT + "('t-m').running");
        place("Fellmark Station", new Point(400, 200));
        // two fingers
        browser.touch("touchStart", new Point(360, 200), new Point(440, 200));
        browser.touch("touchMove", new Point(340, 200), new Point(460, 200));
        browser.touch("touchMove", new Point(320, 200), new Point(480, 200));
        browser.touch("touchEnd");
        assertThat(number(AT + "('t-m').zoom")).isCloseTo(14, within(0.05));
    }

    private static void place(String name, Point at) {
        var r = (List<?>) browser.run(
                "const r = [...document.querySelectorAll('.t--pin')].find((x) => x.getAttribute('aria-label') === arguments[0]).getBoundingClientRect(); return [r.x + r.width / 2, r.y + r.height / 2]", name);
        assertThat(((Number) r.get(0)).doubleValue()).as(name + " x").isCloseTo(at.x(), within(0.6));
        assertThat(((Number) r.get(1)).doubleValue()).as(name + " y").isCloseTo(at.y(), within(0.6));
    }

    @Test
    void fieldsHoldValuesSayWhatIsWrongAndAreSent() throws Exception {
        var got = new CopyOnWriteArrayList<String>();
        HttpServer server = HttpServer.create(new InetSocketAddress(InetAddress.getLoopbackAddress(), 0), 0);
        server.createContext("/", x -> {
            got.add(x.getRequestMethod() + " " + new String(x.getRequestBody().readAllBytes(), StandardCharsets.UTF_8));
            x.getResponseHeaders().add("Access-Control-Allow-Origin", "*");
            x.sendResponseHeaders(got.size() > 1 ? 500 : 200, -1);
            x.close();
        });
        server.start();
        try {
            var all = new ArrayList<Element>();
            all.add(field("name", Blocks.TEXT_FIELD, Blocks.TEXT_FIELD.made().with(Blocks.LABEL, "Your name").with(Blocks.NEEDED, "yes")
                    .with(Blocks.ERROR, "Please tell us your name").with(Blocks.OF_VALUE, "words"), 60));
            all.add(field("coming", Blocks.TICK, Blocks.TICK.made().with(Blocks.LABEL, "I am coming").with(Blocks.OF_VALUE, "yes"), 130));
            all.add(field("by", Blocks.CHOICE, Blocks.CHOICE.made().with(Blocks.CHOICES, "Train\nSled").with(Blocks.SHOWN_AS, "buttons"), 200));
            all.add(field("how", Blocks.SLIDER, Blocks.SLIDER.made().with(Blocks.OF_VALUE, "n"), 280));
            all.add(new Element("send", "Send", false, false, Values.NONE.with(Properties.POSITION, new Point(600, 200))
                    .with(Properties.SIZE, new Point(80, 40)).with(Properties.FILL, Color.BLACK), new Content.Rectangle()));
            String address = "http://127.0.0.1:" + server.getAddress().getPort() + "/come";
            Project p = BlockPiece.of(new Point(800, 400), all);
            p = p.withValues(Stream.concat(p.values().stream(), Stream.of(new PieceValue("ok", "ok", PieceValue.Kind.NUMBER, "0", false),
                    new PieceValue("bad", "bad", PieceValue.Kind.NUMBER, "0", false))).toList());
            p = p.mapBoard(p.scenes().getFirst().id(), b -> b.withReactions(List.of(
                    new Reaction("s", Events.tapped("send"),
                    List.of(tundra.core.model.Actions.of(tundra.core.model.Actions.SEND, List.of("name", "coming", "by", "how"), address))),
                    new Reaction("ok", Events.of(Events.SENT), List.of(tundra.core.model.Actions.of(tundra.core.model.Actions.ADD_VALUE, "ok", 1.0))),
                    new Reaction("bad", Events.of(Events.NOT_SENT), List.of(tundra.core.model.Actions.of(tundra.core.model.Actions.ADD_VALUE, "bad",
                    1.0))))));
            open(p, "form", 800, 400);
            browser.click(600, 200);
            browser.until("return document.querySelector('.t-name-e').textContent === 'Please tell us your name' && !document.querySelector('.t-name-e').hidden && document.activeElement.className.includes('t-name-f')");
            assertThat(got).isEmpty();
            new Actions(browser.driver).sendKeys("Ada & Co").perform();
            browser.until("return Tundra.pieces[0].value('words') === 'Ada & Co' && document.querySelector('.t-name-e').hidden");
            browser.click(200 - 140 + 10, 130);
            browser.until("return Tundra.pieces[0].value('yes') === true");
            browser.click(200 + 100, 200);
            browser.run("document.querySelector('.t-how-f').focus()");
            new Actions(browser.driver).sendKeys(Keys.ARROW_RIGHT, Keys.ARROW_RIGHT).perform();
            browser.until("return Tundra.pieces[0].value('n') === 27");
            browser.click(600, 200);
            browser.until("return Tundra.pieces[0].value('ok') === 1");
            assertThat(got).containsExactly("POST name=Ada+%26+Co&coming=yes&by=Sled&how=27");
            browser.click(600, 200);
            browser.until("return Tundra.pieces[0].value('bad') === 1");
            // a value that something else sets is seen in its field
            browser.run("Tundra.pieces[0].put('n', 75); Tundra.pieces[0].put('words', 'Bo')");
            browser.until("return document.querySelector('.t-how-f').value === '75' && document.querySelector('.t-name-f').value === 'Bo' && Math.abs(document.querySelector('.t-how-h').getBoundingClientRect().x - (60 + 0.75 * (280 - 18))) < 0.6");
        } finally {
            server.stop(0);
        }
    }

    private static Element field(String id, BlockKind kind, Content.Block b, double y) {
        return new Element(id, id, false, false, Values.NONE.with(Properties.POSITION, new Point(200, y)), b);
    }

    @Test
    void progressFollowsItsTimelineAndTheCountdownItsDate() throws Exception {
        var all = List.of(BlockPiece.element("bar", Blocks.PROGRESS, new Point(200, 40))
                .withContent(Blocks.PROGRESS.made().with(Blocks.OF_TIMELINE, "main")),
                BlockPiece.element("worth", Blocks.PROGRESS, new Point(200, 80)).withContent(Blocks.PROGRESS.made().with(Blocks.OF_VALUE, "n")),
                BlockPiece.element("left", Blocks.COUNTDOWN, new Point(200, 140))
                .withContent(Blocks.COUNTDOWN.made().with(Blocks.UNTIL, LocalDateTime.now().plusDays(3).plusHours(2).toString().substring(0, 19))));
        open(BlockPiece.of(new Point(800, 400), all), "shown", 800, 400);
        browser.run("Tundra.pieces[0].timeline('Main').goTo(1000); Tundra.pieces[0].timeline('Main').pause()");
        browser.until("return Math.abs(document.querySelector('.t-bar-a').getBoundingClientRect().width - 70) < 0.6 && document.querySelector('.t-bar-k').getAttribute('aria-valuenow') === '25'");
        browser.run("Tundra.pieces[0].put('n', 60)");
        browser.until("return Math.abs(document.querySelector('.t-worth-a').getBoundingClientRect().width - 168) < 0.6");
        assertThat((String) browser.run("return document.querySelector('.t-left-t').textContent")).matches("3 d 0[12]:\\d\\d:\\d\\d");
    }
}
