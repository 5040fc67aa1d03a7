package tundra.app.output;

import java.io.IOException;
import tundra.core.file.FileProblem;
import tundra.core.geometry.Numbers;
import tundra.core.model.Output;
import tundra.core.model.Outputs;
import tundra.core.model.Project;
import tundra.core.work.Progress;
import tundra.render.Filming;

/**
 * What is known of a film or a loop before it is made.
 *
 * @param words about how large it will be, and whether it closes
 * @param sample some of its pictures in its real colours, as a GIF; null for none
 */
public record Expected(String words, byte[] sample) {
    /** How much larger a step at the seam may be than the largest within, before it is told. */
    private static final double STEP = 1.5;

    /** Whether anything is known before. */
    public static boolean told(Output o) {
        return o.kind() == Outputs.FILM || o.kind() == Outputs.LOOP;
    }

    /** Paints some pictures; not for the interface thread. */
    public static Expected of(Project p, Output o, Progress progress) throws IOException {
        Filming filming;
        try {
            filming = new Filming(p, o);
        } catch (FileProblem e) {
            return new Expected(e.getMessage(), null);
        }
        String words = filming.frames() + " pictures, about " + Made.size(filming.expected(progress.part(0, 0.5)));
        if (o.kind() == Outputs.LOOP && !o.is(Outputs.BACK)) {
            Filming.Seam s = filming.seam(progress.part(0.5, 0.8));
            words += s.ratio() > STEP ? ". It does not close: from its last picture to its first " + Numbers.plain(100 * s.step(), 1)
                    + " % changes, between others at most " + Numbers.plain(100 * s.within(), 1) + " %." : ". It closes.";
        } else {
            words += ".";
        }
        return new Expected(words, Outputs.format(o).equals("GIF") ? filming.sample(progress.part(0.8, 1)) : null);
    }
}
