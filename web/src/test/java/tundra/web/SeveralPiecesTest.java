package tundra.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import tundra.core.geometry.Point;
import tundra.core.model.Actions;
import tundra.core.model.Board;
import tundra.core.model.Color;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Events;
import tundra.core.model.PieceValue;
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

/** Pieces stand on a page beside each other, also the same one twice, and a piece's scenes are made when they are first near. */
class SeveralPiecesTest extends InBrowser {
    private static BufferedImage shot() throws Exception {
        return ImageIO.read(new ByteArrayInputStream(browser.shot()));
    }

    @Test
    void theSamePieceStandsTwiceOnOnePage() throws Exception {
        Path to = publish(MotionPiece.make(), "twice");
        String html = Files.readString(to.resolve("index.html"));
        String main = html.substring(html.indexOf("<main"), html.indexOf("</main>") + "</main>".length());
        String script = html.replaceFirst("(?s).*(<script src=\"piece[^\"]*\"></script>).*", "$1");
        Files.write(to.resolve("index.html"), html.replace(main, main + main).replace(script, script + script).getBytes(StandardCharsets.UTF_8));
        browser.open(to, 800, 1200);
        assertThat(browser.run("return Tundra.pieces.length")).isEqualTo(2L);
        assertThat(browser.run("const ids = [...document.querySelectorAll('[id]')].map(x => x.id); return ids.length - new Set(ids).size"))
                .as("names that stand twice").isEqualTo(0L);
        browser.run("Tundra.pieces[0].timeline('Main').pause(); Tundra.pieces[1].timeline('Main').pause(); Tundra.pieces[0].timeline('Main').goTo(700); Tundra.pieces[1].timeline('Main').goTo(2900)");
        browser.until("return document.getAnimations().length === 0");
        BufferedImage first = shot();
        browser.run("Tundra.pieces[0].timeline('Main').goTo(2900); Tundra.pieces[1].timeline('Main').goTo(700)");
        browser.until("return document.getAnimations().length === 0");
        BufferedImage second = shot();
        assertThat(Psnr.of(half(second, 0), half(first, 600))).as("the second piece looks as the first did, its gradients are its own")
                .isGreaterThan(50);
        assertThat(Psnr.of(half(second, 600), half(first, 0))).isGreaterThan(50);
        assertThat(Psnr.of(half(first, 0), half(first, 600))).as("the two times look otherwise").isLessThan(30);
    }

    /** A piece of a box that slides when it is tapped, counted by a script of the piece. */
    static Project slides(String id, String color) {
        var box = new Element("box", "Box", false, false, Values.NONE.with(Properties.POSITION, new Point(40, 50))
                .with(Properties.SIZE, new Point(40, 40)).with(Properties.FILL, Color.parse(color)), new Content.Rectangle());
        var words = new Element("words", "Words", false, false, Values.NONE.with(Properties.POSITION, new Point(120, 20))
                .with(Properties.FILL, Color.BLACK), new Content.Text("{taps}", "Lora", 400, 14, Content.Align.LEFT, 1.2));
        var main = new Timeline("main", Timeline.MAIN, 200_000, false, false, Map.of()).with("box", Properties.POSITION,
                new Track<>(List.of(new Key<>(0, new Point(40, 50), Easing.LINEAR), new Key<>(200_000, new Point(140, 50), Easing.LINEAR))));
        var board = new Board(new Point(200, 100), Values.NONE, List.of(box, words), List.of(main),
                List.of(new Reaction("r", Events.tapped("box"), List.of(Actions.of(Actions.PLAY_FROM_START, "main"),
                Actions.of(Actions.RUN, "count")))));
        return new Project(id, id, 24, List.of(new Scene("s", "S", board)), Map.of(), Map.of())
                .withValues(List.of(new PieceValue("taps", "taps", PieceValue.Kind.NUMBER, "0", false)))
                .withScripts(List.of(new Script("count", "count", "export function count(page) {\n  page.set(\"taps\", page.value(\"taps\") + "
                + (id.equals("one") ? 1 : 10) + ");\n}\n", true)));
    }

    private static String main(Path folder) throws Exception {
        String html = Files.readString(folder.resolve("index.html"));
        return html.substring(html.indexOf("<main"), html.indexOf("</main>") + "</main>".length());
    }

    /** The player, then {@code keep.js}, then the rest, as its own document names them. */
    private static String scripts(Path folder) throws Exception {
        var out = new StringBuilder();
        var m = Pattern.compile("<script src=\"([^\"]+)\"></script>").matcher(Files.readString(folder.resolve("index.html")));
        while (m.find()) {
            out.append("<script src='").append(folder.getFileName()).append('/').append(m.group(1)).append("'></script>")
                    .append(m.group(1).startsWith("tundra-player") ? "<script src='keep.js'></script>" : "");
        }
        return out.toString();
    }

    private static String style(Path folder) throws Exception {
        var m = Pattern.compile("<link rel=\"stylesheet\" href=\"([^\"]+)\">").matcher(Files.readString(folder.resolve("index.html")));
        return m.find() ? "<link rel='stylesheet' href='" + folder.getFileName() + "/" + m.group(1) + "'>" : "";
    }

    /**
     * With different sections of the player, scripts of one name, boxes of one name, among markup of somebody else; and once more in a shadow root.
     */
    @Test
    void differentPiecesStandOnOnePage() throws Exception {
        Path to = folder.resolve("both");
        Files.createDirectories(to);
        publish(slides("one", "#1C6A5E"), "both/one");
        publish(slides("two", "#C8503A"), "both/two");
        publish(MotionPiece.make(), "both/three");
        Files.writeString(to.resolve("keep.js"),
                "for (const p of Object.values(Tundra.players)) if (!p.kept) { const start = p.start; Object.assign(p, { kept: [], start: (data, ...more) => (p.kept.push(data), start(data, ...more)) }); }");
        String styles = style(to.resolve("one")) + style(to.resolve("two")) + style(to.resolve("three"));
        Files.writeString(to.resolve("index.html"), "<!doctype html><meta charset='utf-8'>" + styles + "<p id='mine'>Mine</p>"
                + main(to.resolve("one")) + main(to.resolve("three")) + main(to.resolve("two"))
                + scripts(to.resolve("one")) + scripts(to.resolve("two")) + scripts(to.resolve("three")));
        browser.open(to, 800, 900);
        assertThat(browser.run("return Tundra.pieces.map(p => p.id).join()")).isEqualTo("one,two," + MotionPiece.make().id());
        assertThat(browser.run("return Object.keys(Tundra.players).length")).as("a player for those that need the same, another one for the rest")
                .isEqualTo(2L);
        assertThat(browser.run("return Tundra.pieces.every(p => p.el.classList.contains('tundra') && Tundra.pieces.filter(x => x.el === p.el).length === 1)")).isEqualTo(true);
        for (String id : List.of("one", "two", "one")) {
            browser.run("const p = Tundra.pieces.find(p => p.id === arguments[0]); p.el.querySelector('.t-box').scrollIntoView()", id);
            var at = (List<?>) browser.run(
                    "const r = Tundra.pieces.find(p => p.id === arguments[0]).el.querySelector('.t-box .t-p > *').getBoundingClientRect(); return [r.x + 20, r.y + 20]", id);
            browser.click(((Number) at.get(0)).doubleValue(), ((Number) at.get(1)).doubleValue());
            browser.until("return Tundra.pieces.find(p => p.id === '" + id + "').timeline('Main').time === 200");
            browser.run("Tundra.pieces.find(p => p.id === arguments[0]).timeline('Main').goTo(0)", id);
        }
        assertThat(browser.run("return Tundra.pieces.slice(0, 2).map(p => p.value('taps')).join()")).as("each by its own script").isEqualTo("2,10");
        // markup of somebody else, beside and within
        browser.run("const x = document.createElement('div'); x.id = 'foreign'; x.innerHTML = '<div>words</div><img alt=\"\">'; Tundra.pieces[0].el.querySelector('.t-scene').append(x)");
        assertThat(browser.run("return ['#foreign', '#foreign div', '#foreign img', '#mine'].map(x => getComputedStyle(document.querySelector(x)).position).join()")).isEqualTo("static,static,static,static");
        // the first piece once more, within a shadow root
        browser.run("""
                const host = document.createElement('div'), root = host.attachShadow({ mode: 'open' });
                document.body.prepend(host);
                root.innerHTML = arguments[1] + arguments[0];
                window.within = new Promise(done => root.querySelector('link').onload = () => {
                  const player = Object.values(Tundra.players)[0];
                  window.fourth = player.start(player.kept[0], root.querySelector('.tundra'), new URL('one/', document.baseURI));
                  scrollTo(0, 0);
                  done();
                });""", main(to.resolve("one")), style(to.resolve("one")));
        browser.until("return window.fourth !== undefined");
        var at = (List<?>) browser.run("const r = fourth.el.querySelector('.t-box .t-p > *').getBoundingClientRect(); return [r.x + 20, r.y + 20]");
        browser.click(((Number) at.get(0)).doubleValue(), ((Number) at.get(1)).doubleValue());
        browser.until("return fourth.timeline('Main').time === 200 && fourth.value('taps') === 1");
        assertThat(browser.run("return fourth.file('sounds/bell.wav').endsWith('/both/one/sounds/bell.wav')")).isEqualTo(true);
        assertThat(browser.run("return Tundra.pieces[0].value('taps')")).isEqualTo(2L);
    }

    private static byte[] half(BufferedImage image, int top) throws Exception {
        var out = new ByteArrayOutputStream();
        ImageIO.write(image.getSubimage(0, top, 800, 600), "png", out);
        return out.toByteArray();
    }

    private static Scene scene(String id, String color) {
        return new Scene(id, id, new Board(new Point(200, 100), Values.NONE.with(Properties.BACKGROUND, Color.parse(color)), MotionPiece.make()
                .scenes().getFirst().board().elements(),
                List.of(new Timeline(Timeline.MAIN, 1_000_000)), List.of()));
    }

    @Test
    void whatASceneHoldsIsMadeWhenItIsFirstNear() throws Exception {
        Project p = MotionPiece.make();
        browser.open(publish(p.withScenes(List.of(p.scenes().getFirst(), scene("night", "#102030"))), "near"), 800, 600);
        String parts = "return document.querySelectorAll('.t-night *').length";
        assertThat(browser.run(parts)).as("only what it is made from").isEqualTo(1L);
        browser.run("Tundra.pieces[0].show('night')");
        assertThat((Long) browser.run(parts)).isGreaterThan(20);
        assertThat(browser.run("return document.querySelector('.t-scene:not([hidden])').getAttribute('aria-label')")).isEqualTo("night");
    }
}
