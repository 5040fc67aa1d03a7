package tundra.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Base64;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.Keys;
import tundra.core.edit.ButtonMotif;
import tundra.core.edit.OpenClose;
import tundra.core.fit.Frames;
import tundra.core.geometry.Point;
import tundra.core.model.Action;
import tundra.core.model.Actions;
import tundra.core.model.Board;
import tundra.core.model.Clock;
import tundra.core.model.Color;
import tundra.core.model.Content;
import tundra.core.model.Dragging;
import tundra.core.model.Element;
import tundra.core.model.Events;
import tundra.core.model.Motif;
import tundra.core.model.PieceValue;
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.core.model.Reaction;
import tundra.core.model.Scene;
import tundra.core.model.Slot;
import tundra.core.model.Timeline;
import tundra.core.model.Values;
import tundra.core.motion.Easing;
import tundra.core.motion.Key;
import tundra.core.motion.Track;
import tundra.core.work.Progress;
import tundra.render.Fonts;
import tundra.render.PictureSheets;
import tundra.render.SkiaSeries;

/** What of a page is told besides what is seen: names, states and roles of what can be tapped, and what stands on paper. */
class ToldTest extends InBrowser {
    private static Element box(String id, double x, double y) {
        return new Element(id, id, false, false, Values.NONE.with(Properties.POSITION, new Point(x, y)).with(Properties.SIZE, new Point(80, 60))
                .with(Properties.FILL, Color.parse("#2F78A3")), new Content.Rectangle());
    }

    private static Element words(String id, String text, double x, double y) {
        return new Element(id, id, false, false, Values.NONE.with(Properties.POSITION, new Point(x, y)).with(Properties.FILL, Color.BLACK),
                new Content.Text(text, "Figtree", 400, 18, Content.Align.LEFT, 1.2));
    }

    private static Project piece(List<Element> elements, List<Reaction> reactions) {
        var main = new Timeline("main", Timeline.MAIN, 1_000_000, false, false, Map.of());
        return new Project("p", "Walk", 24,
                List.of(new Scene("s", "S", new Board(new Point(600, 300), Values.NONE, elements, List.of(main), reactions))), Map.of(), Map.of());
    }

    private static Reaction tapped(String id, Action... actions) {
        return new Reaction("r-" + id, Events.tapped(id), List.of(actions));
    }

    private static String told(String id, String attribute) {
        return (String) browser.run("return document.querySelector('.t-' + arguments[0]).getAttribute(arguments[1])", id, attribute);
    }

    /** A menu is made in one step, and is closed, opened, closed again and closed from elsewhere; whoever only hears it knows. */
    @Test
    void whatOpensAndClosesSaysWhichItIs() throws Exception {
        Project p = piece(List.of(box("menu", 300, 150), words("in", "Sledges", 280, 150), box("button", 100, 60)), List.of());
        p = OpenClose.make(p, "s", List.of("menu", "in"), "button");
        Board b = p.scenes().getFirst().board();
        assertThat(b.rest("menu").get(Properties.OPACITY)).as("it rests closed").isZero();
        assertThat(b.timelines()).hasSize(2);
        assertThat(b.reactions()).hasSize(2);
        open(p, "menu", 600, 300);
        String seen = "return +getComputedStyle(document.querySelector('.t-menu')).opacity";
        assertThat(browser.run(seen)).isEqualTo(0L);
        assertThat(told("button", "aria-expanded")).isEqualTo("false");
        browser.click(100, 60);
        browser.until(seen + " === 1");
        assertThat(told("button", "aria-expanded")).isEqualTo("true");
        browser.click(100, 60);
        browser.until(seen + " === 0");
        assertThat(told("button", "aria-expanded")).isEqualTo("false");
        browser.run("document.querySelector('.t-button').focus()");
        new org.openqa.selenium.interactions.Actions(browser.driver).sendKeys(Keys.ENTER).perform();
        browser.until(seen + " === 1");
        browser.click(550, 280);
        browser.until(seen + " === 0");
        assertThat(told("button", "aria-expanded")).isEqualTo("false");
    }

    @Test
    void switchesSayWhetherTheyAreOn() throws Exception {
        var on = new PieceValue("on", "on", PieceValue.Kind.YES_NO, "yes", false);
        open(piece(List.of(box("a", 100, 60), box("b", 250, 60), box("c", 400, 60), box("plain", 500, 200)),
                List.of(tapped("a", Actions.of(Actions.TOGGLE_VALUE, "on")), tapped("b", Actions.of(Actions.TOGGLE_SHOWN, List.of("c"))),
                tapped("plain", Actions.of(Actions.SHOW, List.of("c")))))
                .withValues(List.of(on)), "switches", 600, 300);
        assertThat(told("a", "aria-pressed")).isEqualTo("true");
        assertThat(told("b", "aria-expanded")).isEqualTo("true");
        assertThat(told("plain", "aria-pressed")).isNull();
        browser.click(100, 60);
        browser.click(250, 60);
        browser.until("return document.querySelector('.t-b').getAttribute('aria-expanded') === 'false'");
        assertThat(told("a", "aria-pressed")).isEqualTo("false");
        browser.click(500, 200);
        browser.until("return document.querySelector('.t-b').getAttribute('aria-expanded') === 'true'");
    }

    @Test
    void aButtonIsCalledByItsWordsAndALinkIsOne() throws Exception {
        Project p = piece(List.of(box("ground", 100, 60), words("label", "Visit the\nmast", 60, 40)), List.of());
        var made = ButtonMotif.make(p, "s", List.of("ground", "label"), "Button", Frames.of(p, p.scenes().getFirst().board(), Fonts.BUNDLED).at(0));
        Element group = new Element("g", "Group 3", false, false, Values.NONE.with(Properties.POSITION, new Point(400, 60)),
                new Content.Group(List.of(box("in", 40, 30), words("way", "To the station", 0, 20)), new Point(80, 60)));
        Project q = made.project().mapBoard("s", b -> b.withElements(Stream.concat(b.elements().stream(), Stream.of(group, box("bare", 250, 200)))
                .toList())
                .withReactions(List.of(tapped(made.instance(), Actions.of(Actions.OPEN_LINK, "https://example.org", "the same tab")),
                tapped("g", Actions.of(Actions.NEXT_SCENE)), tapped("bare", Actions.of(Actions.NEXT_SCENE)))));
        open(q, "called", 600, 300);
        String of = PageId.of(made.instance()).substring(2);
        assertThat(told(of, "role")).isEqualTo("link");
        assertThat(told(of, "aria-label")).isEqualTo("Visit the mast");
        assertThat(told("g", "role")).isEqualTo("button");
        assertThat(told("g", "aria-label")).isEqualTo("To the station");
        assertThat(told("bare", "aria-label")).isEqualTo("bare");
    }

    @Test
    void everyPartGoesHome() throws Exception {
        Project p = piece(List.of(box("slot", 450, 200), box("vane", 100, 80), box("dome", 100, 220), box("back", 300, 40)),
                List.of(tapped("back", Actions.of(Actions.SEND_HOME, List.of(Slot.EVERYTHING), 0L))));
        open(p.mapBoard("s", b -> b.withDrags(List.of(Dragging.of("d", List.of(new Dragging.Pair("vane", List.of("slot")))),
                Dragging.of("e", List.of(new Dragging.Pair("dome", List.of())))))), "home", 600, 300);
        browser.drag(new Point(100, 80), new Point(450, 200));
        browser.drag(new Point(100, 220), new Point(250, 250));
        browser.until("return document.querySelector('.t-vane').getAttribute('aria-label') === 'vane, slot'");
        browser.click(300, 40);
        browser.until("return ['vane', 'dome'].every(x => document.querySelector('.t-' + x + '-h').style.translate === '0px') && document.querySelector('.t-vane').getAttribute('aria-label') === 'vane'");
    }

    /** A motif of moving circles that is published as pictures, two of it on the page. */
    private static Project series() {
        var elements = new ArrayList<Element>();
        Timeline t = new Timeline("m-main", Timeline.MAIN, 1_000_000, true, true, Map.of());
        for (int i = 0; i < 8; i++) {
            elements.add(new Element("c" + i, "c" + i, false, false, Values.NONE.with(Properties.POSITION, new Point(40 + 60 * i, 60))
                    .with(Properties.SIZE, new Point(70, 70)).with(Properties.FILL, Color.parse("#E9B44C")), new Content.Ellipse()));
            t = t.with("c" + i, Properties.POSITION, new Track<>(List.of(new Key<>(0, new Point(40 + 60 * i, 60), Easing.LINEAR),
                    new Key<>(500_000, new Point(40 + 60 * i, 190 - 10 * i), Easing.LINEAR), new Key<>(1_000_000, new Point(40 + 60 * i, 60),
                    Easing.LINEAR))));
        }
        var m = new Motif("m", "Waves", new Board(new Point(500, 250), Values.NONE, elements, List.of(t), List.of())).withPictures(true);
        var one = new Element("one", "Waves", false, false, Values.NONE.with(Properties.POSITION, new Point(300, 150)),
                new Content.Instance("m", new Point(500, 250), Clock.OWN));
        var main = new Timeline("main", Timeline.MAIN, 4_000_000, true, true, Map.of());
        return new Project("p", "Waves", 24,
                List.of(new Scene("s", "S", new Board(new Point(600, 300), Values.NONE.with(Properties.BACKGROUND, Color.WHITE), List.of(one),
                List.of(main), List.of()))), Map.of(), Map.of()).withMotifs(List.of(m));
    }

    private static Path published(Project p, String name) throws Exception {
        Path to = folder.resolve(name);
        Publisher.publish(new PageCompiler(Fonts.BUNDLED, Fonts.BUNDLED, new PictureSheets(), new SkiaSeries()).compile(p, null), to, Progress.NONE);
        return to;
    }

    /** A series of pictures shows one of them at every moment, and is told of once. */
    @Test
    void aSeriesNeverShowsAnEmptyMoment() throws Exception {
        Path page = published(series(), "series");
        browser.open(page, 600, 300);
        for (int i = 0; i < 12; i++) {
            var image = ImageIO.read(new ByteArrayInputStream(browser.shot()));
            int ink = 0;
            for (int y = 0; y < 300; y += 4) {
                for (int x = 0; x < 600; x += 4) {
                    ink += (image.getRGB(x, y) & 0xFF) < 0xC0 ? 1 : 0;
                }
            }
            assertThat(ink).as("moment %d", i).isGreaterThan(800);
        }
        assertThat((List<Object>) browser.run(
                "return [...document.querySelectorAll('.tundra [role=img], .tundra img:not([alt=\"\"])')].map(x => x.getAttribute('aria-label') ?? x.alt)")).containsExactly("Waves");
    }

    /** On paper, and without scripts, the still stands with one sentence, motifs and all; on the screen it isn't even loaded. */
    @Test
    void onPaperStandsTheStill() throws Exception {
        Path page = published(series(), "paper");
        browser.open(page, 600, 300);
        assertThat(browser.run("return getComputedStyle(document.querySelector('.t-still')).display")).isEqualTo("none");
        assertThat(browser.run("return document.querySelector('.t-still img').complete && document.querySelector('.t-still img').naturalWidth > 0"))
                .isEqualTo(false);
        String pdf = new String(Base64.getDecoder().decode((String) browser.driver.executeCdpCommand("Page.printToPDF",
                Map.of("printBackground", true)).get("data")), StandardCharsets.ISO_8859_1);
        assertThat(pdf).contains("/Subtype /Image").contains("/Width 600").contains("/Height 300");
        assertThat(pdf.split("/Type /Page\\b(?!s)", -1).length - 1).as("pages").isEqualTo(1);
        browser.driver.executeCdpCommand("Emulation.setEmulatedMedia", Map.of("media", "print"));
        try {
            assertThat(browser.run("return getComputedStyle(document.querySelector('.tundra')).display + ' ' + document.querySelector('.t-still').innerText.trim()"))
                    .isEqualTo("none This is a still picture: the piece itself moves and answers on its page.");
        } finally {
            browser.driver.executeCdpCommand("Emulation.setEmulatedMedia", Map.of("media", ""));
        }
        assertThat(Files.readString(page.resolve("index.html"))).contains("<noscript><link rel=\"stylesheet\"");
    }
}
