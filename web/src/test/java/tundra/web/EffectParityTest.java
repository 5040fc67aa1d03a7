package tundra.web;

import java.util.ArrayList;
import java.util.Locale;
import org.assertj.core.api.SoftAssertions;
import org.junit.jupiter.api.Test;
import tundra.core.frame.Moment;
import tundra.core.model.Project;

/** Effects and blend modes look the same on the page as in the editor. */
class EffectParityTest extends InBrowser {
    private static void alike(Project p, int times, double least) throws Exception {
        var visit = new Visit(browser, folder, p.id(), p);
        var soft = new SoftAssertions();
        var seen = new ArrayList<String>();
        for (int i = 0; i < times; i++) {
            Moment m = Moment.opened(visit.board, Math.round(4e6 * (i + 0.3) / times));
            visit.go(m);
            double db = visit.like(m);
            seen.add(String.format(Locale.ROOT, "%.1f", db));
            soft.assertThat(db).as("%s at %s", p.id(), m).isGreaterThanOrEqualTo(least);
        }
        System.out.println("PSNR of " + p.id() + ": " + seen + " dB");
        soft.assertAll();
    }

    @Test
    void everyEffectAtThreeValuesAndKeyed() throws Exception {
        alike(EffectPiece.effects(), 5, 44);
    }

    @Test
    void everyBlendModeAndGroupsThatBlendWithinOrNot() throws Exception {
        alike(EffectPiece.blends(), 3, 44);
    }
}
