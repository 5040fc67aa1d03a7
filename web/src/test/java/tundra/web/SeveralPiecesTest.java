package tundra.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import tundra.core.geometry.Point;
import tundra.core.model.Board;
import tundra.core.model.Color;
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.core.model.Scene;
import tundra.core.model.Timeline;
import tundra.core.model.Values;

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
        String script = "<script src=\"piece.js\"></script>";
        Files.write(to.resolve("index.html"), html.replace(main, main + main).replace(script, script + script).getBytes(StandardCharsets.UTF_8));
        browser.open(to, 800, 1200);
        assertThat(browser.run("return Tundra.pieces.length")).isEqualTo(2L);
        assertThat(browser.run("const ids = [...document.querySelectorAll('[id]')].map(x => x.id); return ids.length - new Set(ids).size")).as("names that stand twice").isEqualTo(0L);
        browser.run("Tundra.pieces[0].timeline('Main').pause(); Tundra.pieces[1].timeline('Main').pause(); Tundra.pieces[0].timeline('Main').goTo(700); Tundra.pieces[1].timeline('Main').goTo(2900)");
        browser.until("return document.getAnimations().length === 0");
        BufferedImage first = shot();
        browser.run("Tundra.pieces[0].timeline('Main').goTo(2900); Tundra.pieces[1].timeline('Main').goTo(700)");
        browser.until("return document.getAnimations().length === 0");
        BufferedImage second = shot();
        assertThat(Psnr.of(half(second, 0), half(first, 600))).as("the second piece looks as the first did, its gradients are its own").isGreaterThan(50);
        assertThat(Psnr.of(half(second, 600), half(first, 0))).isGreaterThan(50);
        assertThat(Psnr.of(half(first, 0), half(first, 600))).as("the two times look otherwise").isLessThan(30);
    }

    private static byte[] half(BufferedImage image, int top) throws Exception {
        var out = new ByteArrayOutputStream();
        ImageIO.write(image.getSubimage(0, top, 800, 600), "png", out);
        return out.toByteArray();
    }

    private static Scene scene(String id, String color) {
        return new Scene(id, id, new Board(new Point(200, 100), Values.NONE.with(Properties.BACKGROUND, Color.parse(color)), MotionPiece.make().scenes().getFirst().board().elements(),
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
