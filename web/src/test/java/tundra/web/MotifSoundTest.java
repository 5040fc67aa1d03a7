package tundra.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import tundra.core.geometry.Point;
import tundra.core.model.Asset;
import tundra.core.model.Board;
import tundra.core.model.Clock;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Motif;
import tundra.core.model.PlacedSound;
import tundra.core.model.Project;
import tundra.core.model.Timeline;
import tundra.core.model.Values;
import tundra.core.work.Progress;
import tundra.render.Fonts;
import tundra.render.PictureSheets;

/** A visitor hears the sounds of motifs, each turn anew, as early as the speed of each instance takes them. */
class MotifSoundTest extends InBrowser {
    private static Element ring(String id, Clock c) {
        return new Element(id, id, false, false, Values.NONE, new Content.Instance("ring", new Point(10, 10), c));
    }

    private static List<Double> heard(Clock clock, int times) throws Exception {
        Asset bell = Asset.sound("bell.wav", "audio/wav", 500_000, PlayerTest.tone());
        var ring = new Motif("ring", "Ring", new Board(new Point(10, 10), Values.NONE, List.of(),
                List.of(new Timeline("in", Timeline.MAIN, 800_000, true, true, Map.of())
                .withSounds(List.of(new PlacedSound("s", bell.hash(), 400_000, 1)))), List.of()));
        Project p = Project.empty("Rings", new Point(100, 100), 24).withMotifs(List.of(ring)).withAsset(bell);
        Project with = p.mapBoard(p.scenes().getFirst().id(), b -> b.withElements(List.of(ring("one", clock))));
        Path page = folder.resolve("rings" + clock.hashCode());
        Publisher.publish(new PageCompiler(Fonts.BUNDLED, Fonts.BUNDLED, new PictureSheets()).compile(with, null), page, Progress.NONE);
        browser.open(page, 100, 100);
        browser.run("""
                window.heard = [];
                window.began = document.timeline.currentTime;
                HTMLMediaElement.prototype.play = function () { heard.push([performance.now() - began, this.currentTime]); return Promise.resolve(); };
                Tundra.pieces[0].show(Tundra.pieces[0].scenes[0].name);""");
        browser.until("return heard.length >= " + times + " || performance.now() - began > 3000");
        browser.run("Tundra.pieces[0].scenes[0].board.reset()");
        var out = new ArrayList<Double>();
        browser.heard().forEach(h -> out.add(h.getFirst().doubleValue()));
        return out;
    }

    private static void near(List<Double> heard, double... ms) {
        assertThat(heard).hasSizeGreaterThanOrEqualTo(ms.length);
        for (int i = 0; i < ms.length; i++) {
            assertThat(heard.get(i)).as("sound %d of %s", i, heard).isBetween(ms[i] - 30, ms[i] + 150);
        }
    }

    @Test
    void eachTurnAnew() throws Exception {
        near(heard(Clock.OWN, 2), 400, 1200);
        near(heard(Clock.PARENT.withPhase(100_000), 2), 300, 1100);
    }

    @Test
    void soonerWithTheSpeedAndNotBackwards() throws Exception {
        near(heard(Clock.OWN.withSpeed(2), 2), 200, 600);
        assertThat(heard(Clock.OWN.withSpeed(-1), 1)).isEmpty();
    }
}
