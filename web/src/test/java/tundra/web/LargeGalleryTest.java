package tundra.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.junit.jupiter.api.Test;
import tundra.core.edit.Galleries;
import tundra.core.geometry.Point;
import tundra.core.model.Asset;
import tundra.core.model.BlockKind;
import tundra.core.model.Blocks;
import tundra.core.model.Project;

/** Galleries of two hundred pictures: nothing is done while they rest, and little while they are leafed. */
class LargeGalleryTest extends InBrowser {
    @SuppressWarnings("unchecked")
    private static double spent() {
        var metrics = (List<Map<String, Object>>) browser.driver.executeCdpCommand("Performance.getMetrics", Map.of()).get("metrics");
        return metrics.stream().filter(m -> m.get("name").equals("TaskDuration")).mapToDouble(m -> ((Number) m.get("value")).doubleValue())
                .findFirst().orElseThrow() * 1000;
    }

    private static void pass(int ms) {
        browser.driver.executeAsyncScript("const done = arguments[0]; setTimeout(() => done(1), " + ms + ")");
    }

    @Test
    void twoHundredPicturesRestAndAreLeafed() throws Exception {
        for (BlockKind kind : List.of(Blocks.STRIP, Blocks.STACK, Blocks.TURNTABLE)) {
            Project p = BlockPiece.of(new Point(800, 400), List.of(BlockPiece.element("g", kind, new Point(400, 200))
                    .withContent(kind.made().with(Blocks.LOOPS, "yes").with(Blocks.TURN_TIME, 400_000L))));
            List<Asset> pictures = BlockPiece.pictures(p);
            var many = new ArrayList<Asset>();
            for (int i = 0; i < 200; i++) {
                many.add(pictures.get(i % pictures.size()));
            }
            p = p.mapBoard(p.scenes().getFirst().id(), b -> Galleries.withPictures(b, "g", many, -1));
            open(p, "large-" + kind, 800, 400);
            browser.driver.executeCdpCommand("Performance.enable", Map.of());
            browser.until("return Tundra.pieces[0].shown.board.block('t-g').n === 200");
            browser.run("Tundra.pieces[0].timeline('Main').pause()");
            pass(600);
            double before = spent();
            pass(2000);
            double rest = (spent() - before) / 2;
            // what each frame of leafing takes of the page's own thread
            browser.run("""
                    window.slow = []; const real = requestAnimationFrame;
                    window.requestAnimationFrame = (f) => real((now) => { const t = performance.now(); f(now); slow.push(performance.now() - t); });""");
            for (int i = 0; i < 5; i++) {
                browser.run("Tundra.pieces[0].shown.board.block('t-g').leaf(1)");
                browser.until("return !Tundra.pieces[0].shown.board.block('t-g').running");
            }
            double worst = ((Number) browser.run("return Math.max(...slow)")).doubleValue(),
                    mean = ((Number) browser.run("return slow.reduce((a, b) => a + b, 0) / slow.length")).doubleValue();
            System.out.printf(Locale.ROOT, "200 pictures on a %s: %.1f ms/s at rest, %.2f ms a frame of leafing, %.1f ms at worst%n", kind, rest,
                    mean, worst);
            assertThat(((Number) browser.run("return Tundra.pieces[0].shown.board.block('t-g').item")).intValue()).isEqualTo(5);
            assertThat(((Number) browser.run(
                    "return [...document.querySelectorAll('.t-g-k li')].filter((x) => getComputedStyle(x).visibility !== 'hidden').length"))
                    .intValue()).as("what can't be seen is not there").isLessThanOrEqualTo(kind == Blocks.TURNTABLE ? 200 : 6);
        }
    }
}
