package tundra.core.fit;

import tundra.core.frame.FrameBuilder;
import tundra.core.frame.MotifFrames;
import tundra.core.frame.TextMeasurer;
import tundra.core.model.Board;
import tundra.core.model.Project;
import tundra.core.model.Scene;

/** Makes what evaluates boards of a piece, whose instances show the layout of their motif that is for their own width. */
public final class Frames {
    private Frames() {}

    public static FrameBuilder of(Project p, Board board, TextMeasurer measure) {
        MotifFrames motifs = motifs(p, measure, null);
        return new FrameBuilder(board, measure, null, false, motifs).under(over(p, board, measure, motifs));
    }

    /** What evaluates the scene that lies over the scene of a board; null where none does. */
    public static FrameBuilder over(Project p, Board board, TextMeasurer measure, MotifFrames motifs) {
        Scene over = p.over();
        if (over == null || board.timelines().isEmpty() || p.screens().stream().noneMatch(s -> s.board().main().id().equals(board.main().id()))) {
            return null;
        }
        return new FrameBuilder(over.board(), measure, null, false, motifs);
    }

    /** @param previous of an earlier version of the project, whose pictures of what stayed the same are taken over; null for none */
    public static MotifFrames motifs(Project p, TextMeasurer measure, MotifFrames previous) {
        return new MotifFrames(p.motifs(), p.values(), measure, previous, Lens::get);
    }
}
