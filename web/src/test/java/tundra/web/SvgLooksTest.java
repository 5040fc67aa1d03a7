package tundra.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import tundra.core.fit.Frames;
import tundra.core.frame.Frame;
import tundra.core.frame.Moment;
import tundra.core.model.Board;
import tundra.core.model.Project;
import tundra.core.svg.SvgWriter;
import tundra.render.Fonts;
import tundra.render.Still;

/** Effects and blend modes in an SVG file look in a browser as they do in the editor. */
class SvgLooksTest extends InBrowser {
    private static double alike(Project p, long time) throws Exception {
        Board b = p.scenes().getFirst().board();
        Frame f = Frames.of(p, b, Fonts.BUNDLED).at(Moment.opened(b, time));
        Path at = Files.createDirectories(folder.resolve("svg-" + p.id()));
        Files.writeString(at.resolve("index.html"), "<!DOCTYPE html><meta charset=utf-8><body style='margin:0'>"
                + SvgWriter.write(p, f, Fonts.BUNDLED));
        browser.open(at, (int) b.size().x(), (int) b.size().y());
        return Psnr.of(Still.png(p, f), browser.shot());
    }

    @Test
    void effects() throws Exception {
        for (long time : new long[] {300_000, 2_600_000}) {
            double db = alike(EffectPiece.effects(), time);
            System.out.println("PSNR of effects in an SVG: " + db + " dB");
            assertThat(db).isGreaterThan(44);
        }
    }

    @Test
    void blends() throws Exception {
        double db = alike(EffectPiece.blends(), 300_000);
        System.out.println("PSNR of blends in an SVG: " + db + " dB");
        assertThat(db).isGreaterThan(44);
    }
}
