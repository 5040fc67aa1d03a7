package tundra.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tundra.core.geometry.Outline;
import tundra.core.geometry.Point;
import tundra.core.geometry.Rect;
import tundra.core.model.Board;
import tundra.core.model.Color;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.core.model.Scene;
import tundra.core.model.Timeline;
import tundra.core.model.Values;
import tundra.core.motion.Easing;
import tundra.core.motion.Key;
import tundra.core.motion.Track;
import tundra.core.work.Progress;
import tundra.render.Fonts;
import tundra.render.PictureSheets;

/** What sways for ever leaves a visitor's processor alone: it is set as often as it is seen to move, and not at all out of view. */
class RestingTest {
    @TempDir
    private Path folder;

    private static Element cloth(String id, double x) {
        return new Element(id, id, false, false, Values.NONE.with(Properties.POSITION, new Point(x, 60)).with(Properties.FILL, Color.BLACK),
                new Content.Path(Outline.rectangle(new Rect(0, 0, 40, 40), 0), new Point(40, 40)));
    }

    /** Goes so many px a second, to and fro. */
    private static Track<Outline> sways(double px) {
        Outline a = Outline.rectangle(new Rect(0, 0, 40, 40), 0), b = Outline.rectangle(new Rect(0, 0, 40 + px, 40), 0);
        return new Track<>(List.of(new Key<>(0, a, Easing.LINEAR), new Key<>(1_000_000, b, Easing.LINEAR), new Key<>(2_000_000, a, Easing.LINEAR)));
    }

    @Test
    void asOftenAsItIsSeenAndNotOutOfView() throws Exception {
        var slow = new Timeline("slow", "Slow", 2_000_000, true, true, Map.of()).with("flag", Properties.OUTLINE, sways(12));
        var fast = new Timeline("fast", "Fast", 2_000_000, true, true, Map.of()).with("sail", Properties.OUTLINE, sways(90));
        var board = new Board(new Point(300, 120), Values.NONE, List.of(cloth("flag", 60), cloth("sail", 180)), List.of(slow, fast), List.of());
        Project p = new Project("p", "P", 24, List.of(new Scene("s", "S", board)), Map.of(), Map.of());
        Publisher.publish(new PageCompiler(Fonts.BUNDLED, Fonts.BUNDLED, new PictureSheets()).compile(p, null), folder.resolve("page"),
                Progress.NONE);
        try (Browser browser = Browser.fresh()) {
            browser.open(folder.resolve("page"), 300, 200);
            browser.run("""
                    window.set = { flag: 0, sail: 0 }; window.frames = 0;
                    for (const n in set) new MutationObserver((l) => (set[n] += l.length)).observe(document.querySelector('.t-' + n), { subtree: true, attributes: true, attributeFilter: ['d'] });
                    const count = () => { frames++; requestAnimationFrame(count); };
                    requestAnimationFrame(count);
                    window.from = document.timeline.currentTime;""");
            browser.until("return document.timeline.currentTime - from > 2000");
            double seconds = ((Number) browser.run("return (document.timeline.currentTime - from) / 1000")).doubleValue();
            long slowly = (Long) browser.run("return set.flag"), fastly = (Long) browser.run("return set.sail"),
                    frames = (Long) browser.run("return frames");
            System.out.printf("in %.1f s %d pictures: the slow one set %d times, the fast one %d times%n", seconds, frames, slowly, fastly);
            // a px at a time: 12 times a second, less where a frame is waited for
            assertThat(slowly / seconds).isBetween(6.0, 13.0);
            assertThat(fastly).isGreaterThan(frames * 9 / 10);
            browser.run("document.body.style.paddingTop = '1000px'; window.away = 0; new IntersectionObserver((l) => (away = l.at(-1).isIntersecting ? 0 : 1)).observe(document.querySelector('.t-flag'))");
            browser.until("return away === 1");
            // whatever was asked for before has come by then
            browser.run("window.frames = 0");
            browser.until("return frames > 12");
            browser.run("window.set.flag = window.set.sail = window.frames = 0");
            browser.until("return frames > 30");
            assertThat(browser.run("return set.flag + set.sail")).as("out of view").isEqualTo(0L);
            browser.run("scrollTo(0, 2000)");
            browser.until("return set.flag > 1 && set.sail > 1");
        }
    }
}
