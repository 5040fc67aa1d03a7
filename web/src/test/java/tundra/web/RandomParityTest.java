package tundra.web;

import java.util.ArrayList;
import java.util.Locale;
import java.util.Random;
import java.util.function.LongFunction;
import org.assertj.core.api.SoftAssertions;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import tundra.core.frame.Moment;
import tundra.core.model.Project;
import tundra.core.model.Timeline;

/** Pieces drawn by lot look the same on the page once they stand; -Dparity.seeds=40 tries more. */
@Tag("long")
class RandomParityTest extends InBrowser {
    private static final int USUAL = 6, SEEDS = Integer.getInteger("parity.seeds", USUAL), FROM = Integer.getInteger("parity.from", 1);
    /** Pieces as browsers move them, before what stands becomes plain styles, which Chromium paints softer. */
    @Test
    void piecesWhileTheyMove() throws Exception {
        var soft = new SoftAssertions();
        for (int seed = FROM; seed < FROM + SEEDS; seed++) {
            var visit = new Visit(browser, folder, "moving" + seed, RandomPiece.make(seed, false));
            // nothing settles from here on
            browser.run("const later = window.setTimeout; window.setTimeout = (f, ms, ...more) => (ms === 60 ? 0 : later(f, ms, ...more))");
            var seen = new ArrayList<String>();
            for (long at : new long[] {300_000, 900_000, 1_700_000}) {
                Moment m = Moment.opened(visit.board, at);
                visit.seek(m);
                double db = visit.like(m);
                seen.add(String.format(Locale.ROOT, "%.1f", db));
                soft.assertThat(db).as("seed %d at %s", seed, m).isGreaterThanOrEqualTo(38);
            }
            System.out.println("PSNR of seed " + seed + " moving: " + seen + " dB");
        }
        soft.assertAll();
    }

    private static void alike(String what, LongFunction<Project> make, double least) throws Exception {
        alike(what, make, least, SEEDS);
    }

    private static void alike(String what, LongFunction<Project> make, double least, int seeds) throws Exception {
        var soft = new SoftAssertions();
        for (int seed = FROM; seed < FROM + seeds; seed++) {
            Project p = make.apply(seed);
            var visit = new Visit(browser, folder, what + seed, p);
            var random = new Random(seed);
            var seen = new ArrayList<String>();
            for (int i = 0; i < 4; i++) {
                Moment m = Moment.opened(visit.board, Math.round(2_600_000 * random.nextDouble()));
                for (int n = random.nextInt(3); n > 0; n--) {
                    Timeline t = visit.board.timelines().get(random.nextInt(4));
                    m = m.with(t.id(), Math.round(t.duration() * random.nextDouble()));
                }
                visit.go(m);
                double db = visit.like(m);
                seen.add(String.format(Locale.ROOT, "%.1f", db));
                soft.assertThat(db).as("seed %d at %s", seed, m).isGreaterThanOrEqualTo(least);
            }
            System.out.println("PSNR of seed " + seed + " " + what + ": " + seen + " dB");
        }
        soft.assertAll();
    }

    @Test
    void piecesWithoutText() throws Exception {
        alike("plain", seed -> RandomPiece.make(seed, false), 44);
    }

    @Test
    void piecesWithText() throws Exception {
        alike("text", seed -> RandomPiece.make(seed, true), 40);
    }

    @Test
    void piecesWithEffectsButtonsAndValues() throws Exception {
        // two in the check, where the plain ones and the rich ones are looked at as well
        alike("told", RandomPiece::told, 40, SEEDS == USUAL ? 2 : SEEDS);
    }

    @Test
    void piecesWithEffectsAndClips() throws Exception {
        alike("rich", RandomPiece::rich, 44);
    }
}
