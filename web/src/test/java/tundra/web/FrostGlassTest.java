package tundra.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import tundra.core.edit.Motifs;
import tundra.core.fit.Frames;
import tundra.core.frame.Moment;
import tundra.core.model.Board;
import tundra.core.model.Motif;
import tundra.core.model.Project;
import tundra.core.series.LiveCost;
import tundra.render.Fonts;
import tundra.render.Still;
import tundra.samples.FrostGlass;

/** The sample of layered soft motion loops without a seam and looks the same on the page. */
@Tag("long")
class FrostGlassTest extends InBrowser {
    private static final long LOOP = 6_000_000;

    @Test
    void itsLastFrameLeadsIntoItsFirst() throws Exception {
        Project p = FrostGlass.project();
        Board b = p.scenes().getFirst().board();
        var builder = Frames.of(p, b, Fonts.BUNDLED);
        var frames = new ArrayList<byte[]>();
        int[] at = {0, 1, 2, 35, 36, 71, 72, 107, 108, 142, 143};
        for (int f : at) {
            frames.add(Still.png(p, builder.at(p.frameTime(f)), 480, 270));
        }
        double neighbours = 99;
        for (int i = 0; i + 1 < at.length; i++) {
            neighbours = at[i + 1] == at[i] + 1 ? Math.min(neighbours, Psnr.of(frames.get(i), frames.get(i + 1))) : neighbours;
        }
        assertThat(Psnr.of(frames.getLast(), frames.getFirst())).as("the last and the first, beside the most different neighbours: " + neighbours)
                .isGreaterThanOrEqualTo(neighbours - 0.5);
        assertThat(Psnr.of(Still.png(p, builder.at(LOOP), 480, 270), frames.getFirst())).as("a whole turn on it is the same").isGreaterThan(60);
        assertThat(Motifs.instances(p.motif("m-driver").board(), x -> true)).hasSize(140);
    }

    /** All motifs as what they are. */
    @Test
    void thePageShowsItLive() throws Exception {
        Project p = FrostGlass.project();
        shown("live", p.withMotifs(p.motifs().stream().map(m -> m.withPictures(false)).toList()), List.of(2_000_000L));
    }

    /** The soft ones as pictures, which is how visitors get it. */
    @Test
    void thePageShowsItInPictures() throws Exception {
        Project p = FrostGlass.project();
        assertThat(p.motifs().stream().filter(Motif::pictures).toList()).as("those that are heavy").isNotEmpty()
                .isEqualTo(p.motifs().stream().filter(m -> LiveCost.of(p, m).heavy()).toList());
        shown("pictures", p, List.of(2_000_000L));
    }

    private void shown(String name, Project p, List<Long> times) throws Exception {
        var visit = new Visit(browser, folder, name, p);
        for (long t : times) {
            Moment m = Moment.opened(visit.board, t);
            visit.go(m);
            double db = visit.like(m);
            System.out.println("PSNR of frost glass, " + name + " at " + t + ": " + db + " dB");
            assertThat(db).as(name + " at " + t).isGreaterThan(38);
        }
    }
}
