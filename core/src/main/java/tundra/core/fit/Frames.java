package tundra.core.fit;

import tundra.core.frame.FrameBuilder;
import tundra.core.frame.MotifFrames;
import tundra.core.frame.TextMeasurer;
import tundra.core.model.Board;
import tundra.core.model.Project;

/** Makes what evaluates boards of a piece, whose instances show the layout of their motif that is for their own width. */
public final class Frames {
    private Frames() {}

    public static FrameBuilder of(Project p, Board board, TextMeasurer measure) {
        return new FrameBuilder(board, measure, null, false, motifs(p, measure, null));
    }

    /** @param previous of an earlier version of the project, whose pictures of what stayed the same are taken over; null for none */
    public static MotifFrames motifs(Project p, TextMeasurer measure, MotifFrames previous) {
        return new MotifFrames(p.motifs(), p.values(), measure, previous, Lens::get);
    }
}
