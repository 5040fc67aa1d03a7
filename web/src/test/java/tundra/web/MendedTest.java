package tundra.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.assertj.core.api.SoftAssertions;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tundra.core.frame.Moment;
import tundra.core.model.Timeline;

/** Pieces that once looked otherwise on the page than in the editor, settled at moments of all their timelines. */
@Tag("long")
class MendedTest extends InBrowser {
    /** Opened at seven times, each waiting timeline started over it at four, and two of them in both orders. */
    private static List<Moment> moments(Visit v) {
        long longest = v.board.timelines().stream().mapToLong(Timeline::duration).max().orElseThrow();
        var out = new ArrayList<Moment>();
        for (double at : new double[] {0, 0.13, 0.41, 0.52, 0.77, 0.97, 1}) {
            out.add(Moment.opened(v.board, Math.round(longest * at)));
        }
        Moment opened = Moment.opened(v.board, longest / 3);
        for (Timeline t : v.board.timelines()) {
            for (double at : new double[] {0, 0.37, 0.83, 1}) {
                out.add(opened.with(t.id(), Math.round(t.duration() * at)));
            }
            for (Timeline u : v.board.timelines()) {
                if (u != t) {
                    out.add(opened.with(t.id(), t.duration() / 2).with(u.id(), u.duration() * 2 / 5));
                }
            }
        }
        return out;
    }

    @ParameterizedTest
    @CsvSource({"r1-hold-last,44", "r2-morph-reveal,44", "r3-spans,44", "r4-canvas-alpha,44", "r5-wrap,40", "r6-size-overshoot,44", "r7-cross,44",
            "r8-books,44", "r9-strokes,40",
        "min-a-split-hold,44", "min-b-split-two-timelines,44", "v3-tap,40", "v4-menu,40", "v6-ghost,44", "v7-wait,44", "v8-skip,44",
        "min-fid-b-two-long,44", "min-fid-e-set-gradient-to-colour,44", "min-fid-f-set-colour-to-gradient,44",
        "min-fid-g-set-gradient-to-gradient,44", "min-fid-i-effect-two-timelines,38", "min-fid-i2-two-effects-two-timelines,44",
        "min-fid-j-clip-effect,44", "min-fid-k-right-wrap-value,40", "min-fid-m-button-parent,44", "min-fid-n-button-own,44",
        "min-fid-p-touch-group,40"})
    void looksTheSame(String name, double least) throws Exception {
        var visit = new Visit(browser, folder, name, Visit.piece(name));
        var soft = new SoftAssertions();
        var seen = new ArrayList<String>();
        for (Moment m : moments(visit)) {
            visit.go(m);
            double db = visit.like(m);
            seen.add(String.format(Locale.ROOT, "%.1f", db));
            soft.assertThat(db).as("%s at %s", name, m).isGreaterThanOrEqualTo(least);
        }
        System.out.println("PSNR of " + name + ": " + seen + " dB");
        soft.assertAll();
    }
}
