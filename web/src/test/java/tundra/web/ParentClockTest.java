package tundra.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tundra.core.geometry.Point;
import tundra.core.model.Board;
import tundra.core.model.Clock;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Motif;
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.core.model.Scene;
import tundra.core.model.Timeline;
import tundra.core.model.Values;
import tundra.core.motion.Easing;
import tundra.core.motion.Key;
import tundra.core.motion.Track;

/** Motifs on the clock of a motif around them, as a visitor meets them: they keep in step over its turns, and the browser itself moves them. */
class ParentClockTest extends InBrowser {
    private static final Point BOX = new Point(300, 40);

    /** A dot that goes 100 px a second, again and again, besides what else is in its motif. */
    private static Motif motif(String id, long duration, Element... others) {
        var dot = new Element(id + "dot", "Dot", false, false, Values.NONE.with(Properties.SIZE, new Point(20, 20)), new Content.Ellipse());
        var t = new Timeline(id + "main", Timeline.MAIN, duration, true, true, Map.of()).with(dot.id(), Properties.POSITION, new Track<>(List.of(
                new Key<>(0, new Point(10, 10), Easing.LINEAR), new Key<>(duration, new Point(10 + duration / 10_000.0, 10), Easing.LINEAR))));
        var all = new ArrayList<>(List.of(others));
        all.add(dot);
        return new Motif(id, id, new Board(BOX, Values.NONE, all, List.of(t), List.of()));
    }

    private static Element instance(String id, String motif, Clock c, double y) {
        return new Element(id, id, false, false, Values.NONE.with(Properties.POSITION, new Point(150, y)), new Content.Instance(motif, BOX, c));
    }

    /** A motif of so many µs in one of 2 s, whose clock runs at a speed. */
    private static Project piece(long within, double speed) {
        Motif inner = motif("inner", within), outer = motif("outer", 2_000_000, instance("in", "inner", Clock.PARENT, 60));
        var board = new Board(new Point(320, 120), Values.NONE, List.of(instance("out", "outer", Clock.OWN.withPhase(500_000).withSpeed(speed), 20)),
                List.of(new Timeline("main", Timeline.MAIN, 5_000_000, true, true, Map.of())), List.of());
        return new Project("clocks", "Clocks", 24, List.of(new Scene("scene", "Scene", board)), Map.of(), Map.of()).withMotifs(List.of(inner, outer));
    }

    /** Where both dots are in each frame of so many ms, as px from where they began. */
    @SuppressWarnings("unchecked")
    private static List<List<Number>> watched(int ms) {
        return (List<List<Number>>) browser.driver.executeAsyncScript("""
                const done = arguments[1], out = [], end = performance.now() + arguments[0];
                const x = (name) => parseFloat(getComputedStyle(document.querySelector('.' + name)).translate);
                const look = () => {
                  out.push([x('t-outerdot'), x('t-innerdot')]);
                  performance.now() < end ? requestAnimationFrame(look) : done(out);
                };
                requestAnimationFrame(look);""", ms);
    }

    /**
     * @param within how long the inner motif is, in µs
     * @param browsers how many of the two the browser itself moves: both at the page's own pace where the inner one comes out even at each turn of
     *     the outer one, for which a timer would come too late; else the player sets the inner one at each frame
     */
    @ParameterizedTest
    @CsvSource({"1000000, 1, 2", "2000000, 1, 2", "1500000, 1, 1", "1000000, 1.5, 1"})
    void theyKeepInStepOverTheTurnsOfWhatTheyGoBy(long within, double speed, long browsers) throws Exception {
        open(piece(within, speed), "clock" + within + speed, 320, 120);
        browser.until("return document.getAnimations().length >= 2");
        assertThat(browser.run("return document.getAnimations().filter((a) => a.playState === 'running').length")).isEqualTo(browsers);
        double px = within / 10_000.0, before = 0;
        int compared = 0, turns = 0;
        for (List<Number> at : watched(3600)) {
            double outer = at.get(0).doubleValue(), inner = at.get(1).doubleValue();
            turns += outer < before ? 1 : 0;
            before = outer;
            // at its own end it may be a frame apart, which is nearly all of its way
            if (outer % px > 6 && outer % px < px - 6) {
                assertThat(inner).as("at " + outer).isBetween(outer % px - 6, outer % px + 6);
                compared++;
            }
        }
        assertThat(turns).isGreaterThanOrEqualTo(1);
        assertThat(compared).isGreaterThan(60);
    }
}
