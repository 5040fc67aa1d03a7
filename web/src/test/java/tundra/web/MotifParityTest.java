package tundra.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.assertj.core.api.SoftAssertions;
import org.junit.jupiter.api.Test;
import tundra.core.frame.Moment;

/** Motifs look the same on the page as in the editor: every clock, repeat, phase and speed, and motifs within motifs. */
class MotifParityTest extends InBrowser {
    @Test
    void everyClockAtTwelveTimes() throws Exception {
        var visit = new Visit(browser, folder, "motifs", MotifPiece.make());
        var soft = new SoftAssertions();
        var seen = new ArrayList<String>();
        for (int i = 0; i < 12; i++) {
            Moment m = Moment.opened(visit.board, Math.round(4e6 * (i + 0.37) / 12));
            visit.go(m);
            double db = visit.like(m);
            seen.add(String.format(Locale.ROOT, "%.1f", db));
            soft.assertThat(db).as(m.toString()).isGreaterThanOrEqualTo(44);
        }
        System.out.println("PSNR of motifs: " + seen + " dB");
        soft.assertAll();
    }

    @Test
    void whileTheyPlayTheyStandWhereTheirClocksSay() throws Exception {
        var visit = new Visit(browser, folder, "motifs-live", MotifPiece.make());
        browser.until("return document.timeline.currentTime > 1400");
        // everything stops at once, as far as its own clock has come
        double ms = ((Number) browser.run("""
                // off every round number, where rounds begin anew and either picture is right
                const s = Tundra.pieces[0].scenes[0], main = s.timelines[0], at = Math.floor(main.time) + 0.37;
                main.pause();
                main.goTo(at);
                s.board.run({ playing: false, at });
                return at""")).doubleValue();
        visit.settled();
        Moment m = Moment.opened(visit.board, Math.round(ms * 1000));
        assertThat(visit.like(m)).as("after " + ms + " ms").isGreaterThan(44);
        assertThat(List.of(m)).isNotEmpty();
    }
}
