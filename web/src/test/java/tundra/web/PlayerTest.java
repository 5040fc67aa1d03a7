package tundra.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.zip.GZIPOutputStream;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.Keys;
import tundra.core.file.ProjectFile;
import tundra.core.geometry.Outline;
import tundra.core.geometry.Point;
import tundra.core.model.ActionKind;
import tundra.core.model.Actions;
import tundra.core.model.Asset;
import tundra.core.model.Board;
import tundra.core.model.Color;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Events;
import tundra.core.model.PlacedSound;
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.core.model.Reaction;
import tundra.core.model.Scene;
import tundra.core.model.Span;
import tundra.core.model.Timeline;
import tundra.core.model.Values;
import tundra.core.motion.Easing;
import tundra.core.motion.Key;
import tundra.core.motion.Track;
import tundra.core.work.Progress;
import tundra.render.Fonts;
import tundra.render.PictureSheets;
import tundra.render.SkiaSeries;
import tundra.samples.OpenNight;

/** The published page in a real browser: timelines, taps, keys, reduced motion. */
class PlayerTest extends InBrowser {
    private static final String NAME = "Go <b>\"now\"</b> & 'then' </script>";

    @BeforeAll
    static void publish() throws Exception {
        Publisher.publish(new PageCompiler(Fonts.BUNDLED, Fonts.BUNDLED, new PictureSheets()).compile(piece(), null), folder, Progress.NONE);
    }

    private static Element box(String id, String name, double x) {
        return new Element(id, name, false, false, Values.NONE.with(Properties.POSITION, new Point(x, 60)).with(Properties.SIZE, new Point(40, 40))
                .with(Properties.FILL, Color.parse("#1C6A5E")), new Content.Rectangle());
    }

    private static Project piece() {
        var words = new Element("words", "Words", false, false, Values.NONE.with(Properties.POSITION, new Point(300, 150))
                .with(Properties.FILL, Color.BLACK),
                new Content.Text(NAME, "Lora", 400, 14, Content.Align.LEFT, 1.2));
        var main = new Timeline("main", "Main", 3_000_000, false, false, Map.of()).with("mover", Properties.POSITION,
                new Track<>(List.of(new Key<>(0, new Point(40, 200), Easing.LINEAR), new Key<>(3_000_000, new Point(1240, 200), Easing.LINEAR))))
                .with("morph", Properties.SIZE,
                new Track<>(List.of(new Key<>(0, new Point(40, 40), Easing.LINEAR), new Key<>(3_000_000, new Point(160, 40), Easing.LINEAR))));
        var loop = new Timeline("loop", "Loop", 500_000, true, true, Map.of()).with("mover", Properties.ROTATION,
                new Track<>(List.of(new Key<>(0, 0.0, Easing.LINEAR), new Key<>(500_000, 360.0, Easing.LINEAR))));
        var path = new Element("morph", "Morph", false, false, box("x", "x", 600).rest(), new Content.Path(
                Outline.polygon(0, 0, 40, 0, 40, 40), new Point(40, 40)));
        var reactions = List.of(tap("r1", "play", Actions.PLAY), tap("r2", "pause", Actions.PAUSE), tap("r3", "toggle", Actions.TOGGLE),
                tap("r4", "start", Actions.PLAY_FROM_START), tap("r5", "goto", Actions.GO_TO));
        var elements = List.of(box("play", NAME, 40), box("pause", "Pause", 100), box("toggle", "Toggle", 160), box("start", "Start", 220),
                box("goto", "Go to", 280), box("mover", "Mover", 40), words, path);
        return new Project("p", "Page " + NAME, 24, List.of(new Scene("s", "Scene", new Board(new Point(700, 300), Values.NONE, elements,
                List.of(main, loop), reactions))), Map.of(), Map.of());
    }

    private static Reaction tap(String id, String element, ActionKind kind) {
        return new Reaction(id, Events.tapped(element), List.of(kind == Actions.GO_TO ? Actions.of(kind, "main", 250_000L)
                : Actions.of(kind, "main")));
    }

    private void open() {
        browser.open(folder, 700, 300);
        browser.run("window.told = []; addEventListener('tundra', e => told.push(e.detail.text))");
    }

    private double time() {
        return ((Number) browser.run("return Tundra.pieces[0].timeline('Main').time")).doubleValue();
    }

    private boolean playing() {
        return (boolean) browser.run("return Tundra.pieces[0].timeline('Main').playing");
    }

    private double x() {
        return ((Number) browser.run("return parseFloat(getComputedStyle(document.querySelector('.t-mover')).translate)")).doubleValue();
    }

    @Test
    void soundsStartWithTheirTimeline() throws Exception {
        Asset wind = Asset.sound("wind.wav", "audio/wav", 500_000, tone());
        Project p = piece().withAsset(wind);
        Project with = p.mapBoard("s", b -> b.mapTimeline("main", t -> t.withSounds(List.of(new PlacedSound("s1", wind.hash(), 300_000, 0.5)))));
        Path page = folder.resolve("sounding");
        Publisher.publish(new PageCompiler(Fonts.BUNDLED, Fonts.BUNDLED, new PictureSheets()).compile(with, null), page, Progress.NONE);
        try (var files = Files.list(page.resolve("sounds"))) {
            assertThat(files.toList()).singleElement().satisfies(f -> assertThat(Files.readAllBytes(f)).isEqualTo(wind.data()));
        }
        browser.open(page, 700, 300);
        browser.run("""
                window.heard = [];
                HTMLMediaElement.prototype.play = function () { heard.push([performance.now() - window.began, this.currentTime, this.volume]); return Promise.resolve(); };
                requestAnimationFrame(() => {
                  window.began = document.timeline.currentTime;
                  Tundra.pieces[0].timeline('Main').playFromStart();
                });""");
        browser.until("return window.began && Tundra.pieces[0].timeline('Main').time > 600");
        List<List<Number>> heard = browser.heard();
        assertThat(heard).hasSize(1);
        assertThat(heard.getFirst().get(0).doubleValue()).as("ms").isBetween(295.0, 400.0);
        assertThat(heard.getFirst().get(1).doubleValue()).isZero();
        assertThat(heard.getFirst().get(2).doubleValue()).isEqualTo(0.5);
        // from its middle on it goes on from there; past its end it is silent
        browser.run("const t = Tundra.pieces[0].timeline('Main'); t.pause(); heard.length = 0; t.goTo(500); t.play();");
        assertThat(browser.heard()).hasSize(1);
        browser.run("const t = Tundra.pieces[0].timeline('Main'); t.pause(); heard.length = 0; t.goTo(1500); t.play();");
        browser.until("return Tundra.pieces[0].timeline('Main').time > 1600");
        assertThat(browser.heard()).isEmpty();
    }

    @Test
    void soundsLoopAreTrimmedAndFade() throws Exception {
        Asset wind = Asset.sound("wind.wav", "audio/wav", 500_000, tone());
        Project p = piece().withAsset(wind);
        Project with = p.mapBoard("s", b -> b.mapTimeline("main", t -> t.withSounds(List.of(
                new PlacedSound("s1", wind.hash(), 0, 0.8).trimmed(100_000, 200_000).withLoop(true).withFades(400_000, 0)))));
        Path page = folder.resolve("looping");
        Publisher.publish(new PageCompiler(Fonts.BUNDLED, Fonts.BUNDLED, new PictureSheets()).compile(with, null), page, Progress.NONE);
        browser.open(page, 700, 300);
        browser.run("""
                window.heard = [];
                HTMLMediaElement.prototype.play = function () { heard.push([Tundra.pieces[0].timeline('Main').time, this.currentTime, this.volume]); return Promise.resolve(); };
                Tundra.pieces[0].timeline('Main').playFromStart();""");
        browser.until("return heard.length > 2");
        List<List<Number>> heard = browser.heard();
        for (int i = 0; i < 3; i++) {
            assertThat(heard.get(i).get(0).doubleValue()).as("ms of turn %d", i).isBetween(200.0 * i - 5, 200.0 * i + 120);
            assertThat(heard.get(i).get(1).doubleValue()).as("where the file is heard from").isEqualTo(0.1);
            // it rises over 400 ms to 0.8
            assertThat(heard.get(i).get(2).doubleValue()).isCloseTo(0.8 * Math.min(1, heard.get(i).get(0).doubleValue() / 400), within(0.25));
        }
    }

    /** Half a second of silence as a WAV of 8,000 8-bit samples. */
    static byte[] tone() {
        byte[] data = new byte[44 + 4000];
        var b = ByteBuffer.wrap(data).order(ByteOrder.LITTLE_ENDIAN);
        b.put("RIFF".getBytes()).putInt(36 + 4000).put("WAVEfmt ".getBytes()).putInt(16).putShort((short) 1).putShort((short) 1).putInt(8000)
                .putInt(8000)
                .putShort((short) 1).putShort((short) 8).put("data".getBytes()).putInt(4000);
        Arrays.fill(data, 44, data.length, (byte) 128);
        return data;
    }

    /** Without an animation, which would wake the main thread at every frame. */
    @Test
    void spansOfTimeAreSwitchedWhenTheyBeginAndEnd() throws Exception {
        Project p = piece().mapBoard("s", b -> b.mapTimeline("main", t -> t.withShown("mover", new Span(300_000, 700_000)))
                .mapTimeline("loop", t -> t.withShown("toggle", new Span(0, 250_000))));
        Path page = folder.resolve("spans");
        Publisher.publish(new PageCompiler(Fonts.BUNDLED, Fonts.BUNDLED, new PictureSheets()).compile(p, null), page, Progress.NONE);
        browser.open(page, 700, 300);
        assertThat(browser.run("return document.getAnimations().filter(a => 'visibility' in a.effect.getKeyframes()[0]).length")).isEqualTo(0L);
        for (double[] at : new double[][] {{0, 0}, {299.9, 0}, {300, 1}, {500, 1}, {699.9, 1}, {700, 0}, {3000, 0}}) {
            browser.run("Tundra.pieces[0].timeline('Main').goTo(arguments[0])", at[0]);
            assertThat(browser.run("return getComputedStyle(document.querySelector('.t-mover')).visibility")).as(at[0] + " ms")
                    .isEqualTo(at[1] == 1 ? "visible" : "hidden");
        }
        browser.run("""
                window.heard = [];
                const now = () => Tundra.pieces[0].timeline('Main').time;
                const seen = id => getComputedStyle(document.querySelector('.' + id)).visibility === 'visible' ? 1 : 0;
                const last = { 't-mover': seen('t-mover'), 't-toggle': seen('t-toggle') };
                // other styles are written too, once what moved them stands
                for (const [i, id] of ['t-mover', 't-toggle'].entries())
                  new MutationObserver(() => { if (last[id] !== (last[id] = seen(id))) heard.push([i, now(), last[id]]); })
                    .observe(document.querySelector('.' + id), { attributes: true });
                Tundra.pieces[0].timeline('Main').playFromStart();""");
        browser.until("return Tundra.pieces[0].timeline('Main').time >= 1450");
        double until = ((Number) browser.run("return Tundra.pieces[0].timeline('Main').time")).doubleValue();
        List<List<Number>> heard = browser.heard();
        var mover = heard.stream().filter(h -> h.get(0).intValue() == 0 && h.get(1).doubleValue() > 1).toList();
        assertThat(mover).as("%s", heard).hasSize(2);
        // the time that a script reads is that of the frame before, up to 17 ms ago
        assertThat(mover.get(0).get(1).doubleValue()).as("ms").isBetween(283.0, 360.0);
        assertThat(mover.get(0).get(2)).isEqualTo(1L);
        assertThat(mover.get(1).get(1).doubleValue()).as("ms").isBetween(683.0, 760.0);
        assertThat(mover.get(1).get(2)).isEqualTo(0L);
        // the loop of half a second goes round
        var loop = heard.stream().filter(h -> h.get(0).intValue() == 1).map(h -> h.get(2).intValue()).toList();
        assertThat(loop.size()).as("%s", heard).isBetween((int) (until / 250) - 1, (int) (until / 250) + 1);
        for (int i = 1; i < loop.size(); i++) {
            assertThat(loop.get(i)).isEqualTo(1 - loop.get(i - 1));
        }
    }

    @Test
    void tapsPlayPauseToggleStartAndGoTo() throws Exception {
        open();
        assertThat(time()).isZero();
        assertThat(x()).isEqualTo(20);
        browser.id("t-goto").click();
        assertThat(time()).isEqualTo(250);
        assertThat(x()).isEqualTo(120);
        assertThat(playing()).isFalse();
        browser.id("t-play").click();
        browser.until("return Tundra.pieces[0].timeline('Main').time > 400");
        browser.id("t-pause").click();
        double at = time();
        assertThat(at).isBetween(300.0, 2500.0);
        assertThat(x()).isCloseTo(20 + 0.4 * at, within(0.5));
        browser.run("window.since = performance.now()");
        browser.until("return performance.now() - since > 150");
        assertThat(time()).as("150 ms later").isEqualTo(at);
        browser.id("t-toggle").click();
        assertThat(playing()).isTrue();
        browser.id("t-toggle").click();
        assertThat(playing()).isFalse();
        browser.id("t-start").click();
        assertThat(time()).isLessThan(at);
        browser.until("return told.some((x) => x.includes('Main ended'))");
        assertThat(playing()).as("it ended").isFalse();
        assertThat(x()).as("and stays at its end").isEqualTo(1220);
        assertThat(browser.run("return told")).asString().contains("tapped", "playFromStart", "Main ended");
        browser.id("t-toggle").click();
        assertThat(time()).as("playing on from the end starts over").isLessThan(2500);
    }

    @Test
    void whatBrowsersCannotAnimateThePlayerDoes() {
        open();
        browser.run("Tundra.pieces[0].timeline('Main').goTo(500)");
        assertThat(browser.id("t-morph-s").getDomAttribute("d")).isEqualTo("M0 0L60 0L60 40Z");
    }

    @Test
    void reactiveElementsAreButtonsForTheKeyboardToo() throws Exception {
        open();
        assertThat(browser.id("t-play").getDomAttribute("role")).isEqualTo("button");
        assertThat(browser.id("t-play").getAccessibleName()).isEqualTo(NAME);
        browser.id("t-goto").sendKeys(Keys.ENTER);
        assertThat(time()).isEqualTo(250);
        browser.id("t-start").sendKeys(Keys.SPACE);
        assertThat(playing()).isTrue();
        // tabbing goes through them in their order
        browser.run("document.querySelector('.t-play').focus()");
        browser.driver.switchTo().activeElement().sendKeys(Keys.TAB);
        assertThat(browser.driver.switchTo().activeElement().getDomAttribute("class")).isEqualTo("t-pause t-tap");
    }

    @Test
    void namesAndWordsAreOnlyText() {
        open();
        assertThat(browser.driver.getTitle()).isEqualTo("Page " + NAME);
        assertThat(browser.id("t-words").getText()).isEqualTo(NAME);
        assertThat(browser.run("return document.querySelectorAll('b').length")).isEqualTo(0L);
    }

    @Test
    void loopsGoOnByThemselves() throws Exception {
        open();
        browser.until("const t = Tundra.pieces[0].timeline('Loop').time, round = t < (window.was ?? 0); window.was = t; return round");
        assertThat(browser.run("return Tundra.pieces[0].timeline('Loop').playing")).isEqualTo(true);
        assertThat(((Number) browser.run("return Tundra.pieces[0].timeline('Loop').time")).doubleValue()).isBetween(0.0, 500.0);
    }

    @Test
    void peopleWhoAskForLessMotionSeeTheLastFrameAndCanStillTap() throws Exception {
        browser.lessMotion(true);
        try {
            open();
            assertThat(browser.run("return parseFloat(getComputedStyle(document.querySelector('.t-mover')).translate)"))
                    .as("what waits to be started").isEqualTo(20L);
            assertThat(browser.run("return Tundra.pieces[0].timeline('Loop').playing")).isEqualTo(false);
            browser.id("t-goto").click();
            assertThat(browser.run("return Tundra.pieces[0].timeline('Main').time")).isEqualTo(250L);
            browser.id("t-start").click();
            assertThat(browser.run("return Tundra.pieces[0].timeline('Main').time")).as("it is at its end at once").isEqualTo(3000L);
        } finally {
            browser.lessMotion(false);
        }
    }

    @Test
    void ofTwoScenesOfOneNameOneIsShown() throws Exception {
        Project two;
        try (var in = PlayerTest.class.getResourceAsStream("two.tundra")) {
            two = ProjectFile.read(in.readAllBytes());
        }
        assertThat(two.scenes().get(0).name()).isEqualTo(two.scenes().get(1).name());
        Path to = folder.resolve("two");
        Publisher.publish(new PageCompiler(Fonts.BUNDLED, Fonts.BUNDLED, new PictureSheets()).compile(two, null), to, Progress.NONE);
        browser.open(to, 700, 300);
        assertThat(browser.run("return [...document.querySelectorAll('.t-scene')].filter(s => !s.hidden).length")).isEqualTo(1L);
        browser.run("Tundra.pieces[0].show('nowhere')");
        assertThat(browser.run("return [...document.querySelectorAll('.t-scene')].filter(s => !s.hidden).length")).as("a name that is none")
                .isEqualTo(1L);
    }

    @Test
    void itRunsUnderAStrictSecurityPolicy() throws Exception {
        String policy = "default-src 'self'";
        try (var server = new LoopbackServer(x -> {
            try (x) {
                String name = x.getRequestURI().getPath().equals("/") ? "/index.html" : x.getRequestURI().getPath();
                Path file = folder.resolve("strict" + name);
                byte[] body = Files.exists(file) ? Files.readAllBytes(file) : new byte[0];
                x.getResponseHeaders().set("Content-Security-Policy", policy);
                x.getResponseHeaders().set("Content-Type", name.endsWith(".html") ? "text/html" : name.endsWith(".css") ? "text/css"
                        : name.endsWith(".js") ? "text/javascript" : "application/octet-stream");
                x.sendResponseHeaders(body.length == 0 ? 404 : 200, body.length == 0 ? -1 : body.length);
                x.getResponseBody().write(body);
            }
        })) {
            for (Project p : List.of(piece(), PaintPiece.make(), EveryPiece.make())) {
                Path to = folder.resolve("strict");
                Publisher.publish(new PageCompiler(Fonts.BUNDLED, Fonts.BUNDLED, new PictureSheets()).compile(p, null), to, Progress.NONE);
                assertThat(Files.readString(to.resolve("index.html"))).doesNotContain(" style=").doesNotContain("<style").doesNotContain("<script>");
                browser.open(to, 700, 400);
                byte[] free = browser.still(List.of(0.0, 0.0, 0.0), 0);
                browser.driver.get(server.origin() + "/?" + p.id());
                browser.driver.executeAsyncScript("const done = arguments[arguments.length - 1]; document.fonts.ready.then(() => done(true))");
                byte[] strict = browser.still(List.of(0.0, 0.0, 0.0), 0);
                assertThat(strict).as("the picture of %s", p.name()).isEqualTo(free);
                assertThat(browser.driver.manage().logs().get("browser").getAll()).noneMatch(l -> l.getMessage().contains("Content Security Policy"));
            }
        }
    }

    /** Whatever a piece uses, its player can be read: all sections but one, and each two of them beside reactions. */
    @Test
    void anyOfItsSectionsMakeAScript() {
        var sections = List.copyOf(PlayerScript.sections());
        // a piece that is tried may have no reaction at all
        assertThat(ScriptReader.problem(PlayerScript.with(Set.of(PlayerScript.RECORD, PlayerScript.NAMED_SETS)))).isNull();
        for (String a : sections) {
            var but = new HashSet<>(sections);
            but.remove(a);
            but.add(PlayerScript.REACTIONS);
            assertThat(ScriptReader.problem(PlayerScript.with(but))).as("all but %s", a).isNull();
            // those of single events, conditions and actions are entries of a table
            for (String b : a.contains(" ") ? List.of(a) : sections.subList(0, sections.indexOf(a) + 1).stream().filter(x -> !x.contains(" "))
                    .toList()) {
                assertThat(ScriptReader.problem(PlayerScript.with(new HashSet<>(List.of(a, b, PlayerScript.REACTIONS))))).as("%s and %s", a, b)
                        .isNull();
            }
        }
    }

    /** Without JavaScript there is the still, motifs included, and one sentence. */
    @Test
    void withoutScriptsThereIsAStill() throws Exception {
        Path page = folder.resolve("still");
        Publisher.publish(new PageCompiler(Fonts.BUNDLED, Fonts.BUNDLED, new PictureSheets(), new SkiaSeries()).compile(OpenNight.project(), null),
                page, Progress.NONE);
        browser.driver.executeCdpCommand("Emulation.setScriptExecutionDisabled", Map.of("value", true));
        try {
            browser.driver.executeCdpCommand("Emulation.setDeviceMetricsOverride", Map.of("width", 1280, "height", 800, "deviceScaleFactor", 1,
                    "mobile", false));
            browser.driver.get(page.resolve("index.html").toUri().toString());
            var seen = ImageIO.read(new ByteArrayInputStream(browser.shot()));
            Path file;
            try (var all = Files.list(page)) {
                file = all.filter(f -> f.getFileName().toString().matches("still\\.[0-9a-f]{8}\\.png")).findFirst().orElseThrow();
            }
            var still = ImageIO.read(file.toFile());
            var part = new ByteArrayOutputStream();
            ImageIO.write(seen.getSubimage(0, 0, still.getWidth(), still.getHeight()), "png", part);
            assertThat(Psnr.of(part.toByteArray(), Files.readAllBytes(file))).isGreaterThan(50);
        } finally {
            browser.driver.executeCdpCommand("Emulation.setScriptExecutionDisabled", Map.of("value", false));
        }
    }

    @Test
    void thePlayerIsSmall() throws Exception {
        // what writes visits down is in pages that are tried alone
        Set<String> published = new HashSet<>(PlayerScript.sections());
        published.removeAll(Set.of(PlayerScript.RECORD, PlayerScript.NAMED_SETS));
        assertThat(packed(published)).as("all of it").isLessThanOrEqualTo(35 * 1024);
        assertThat(packed(Set.of())).as("for a piece that only plays").isLessThanOrEqualTo(5 * 1024 + 832);
    }

    private static int packed(Set<String> sections) throws Exception {
        var out = new ByteArrayOutputStream();
        try (var zip = new GZIPOutputStream(out)) {
            zip.write(PlayerScript.with(sections).getBytes(StandardCharsets.UTF_8));
        }
        System.out.println("player of " + sections.size() + " sections: " + out.size() + " bytes packed");
        return out.size();
    }

    @Test
    void thePageAsksNoOtherHost() throws Exception {
        for (String name : List.of("index.html", "piece", "tundra-player")) {
            Path file;
            try (var all = Files.list(folder)) {
                file = all.filter(p -> p.getFileName().toString().matches(name + "(\\.[0-9a-f]{8}\\.js)?")).findFirst().orElseThrow();
            }
            assertThat(Files.readString(file)).isNotBlank().doesNotContain("://").doesNotContain("fetch(");
        }
    }
}
