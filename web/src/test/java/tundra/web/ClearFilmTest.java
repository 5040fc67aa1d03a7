package tundra.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import tundra.core.geometry.Point;
import tundra.core.model.Color;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Outputs;
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.core.model.Values;
import tundra.core.work.Progress;
import tundra.render.Filming;

/** A film that is seen through shows, in a browser, what lies behind it. */
class ClearFilmTest extends InBrowser {
    @Test
    void aWebmIsSeenThroughWhereThePieceHasNothing() throws Exception {
        Project p = Project.empty("P", new Point(160, 96), 24);
        var square = new Element("a", "A", false, false, Values.NONE.with(Properties.POSITION, new Point(40, 48))
                .with(Properties.SIZE, new Point(60, 60)).with(Properties.FILL, Color.parse("#2F78A3")), new Content.Rectangle());
        Project piece = p.mapBoard(p.scenes().getFirst().id(), b -> b.withElements(List.of(square)));
        Path to = Files.createDirectories(folder.resolve("clear"));
        new Filming(piece, Outputs.FILM.made().with(Outputs.FILM_FORMAT, "WebM").with(Outputs.CLEAR, "yes").with(Outputs.QUALITY, "best")
                .with(Outputs.UNTIL, 500_000L)).write(to.resolve("film.webm"), Progress.NONE);
        Files.writeString(to.resolve("index.html"),
                "<!doctype html><body style='margin:0;background:#C8503A'><video src='film.webm' muted style='display:block' width=160 height=96></video>");
        browser.open(to, 160, 96);
        browser.until("return document.querySelector('video').readyState >= 2");
        var seen = ImageIO.read(new ByteArrayInputStream(browser.shot()));
        assertThat(seen.getRGB(120, 48) & 0xFFFFFF).as("behind").isEqualTo(0xC8503A);
        int blue = seen.getRGB(40, 48);
        assertThat(Math.abs((blue >> 16 & 255) - 0x2F)).isLessThanOrEqualTo(5);
        assertThat(Math.abs((blue & 255) - 0xA3)).isLessThanOrEqualTo(5);
    }
}
