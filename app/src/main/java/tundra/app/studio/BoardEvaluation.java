package tundra.app.studio;

import java.util.Map;
import java.util.Objects;
import tundra.core.edit.Rested;
import tundra.core.fit.Frames;
import tundra.core.frame.Frame;
import tundra.core.frame.FrameBuilder;
import tundra.core.frame.MotifFrames;
import tundra.core.model.Asset;
import tundra.core.model.Board;
import tundra.core.model.Project;
import tundra.core.model.Scene;
import tundra.render.Fonts;

/** The evaluator of the board that is seen and what was worked out from it last, kept until something changes. */
final class BoardEvaluation {
    private FrameBuilder builder;
    private String asWritten;
    private String builtAsWritten;
    private Fonts measured;
    /** The fonts of the shelf that was seen last. */
    private Map<String, Asset> shelf;
    private Fonts fonts;
    private Board restedOf;
    private Board rested;
    private Frame frame;

    /** A board without what its keys do. */
    Board rested(Board b) {
        if (restedOf != b) {
            restedOf = b;
            rested = Rested.board(b);
        }
        return rested;
    }

    /** Forgets all that another project brought. */
    void clear() {
        builder = null;
        frame = null;
    }

    /** Has the picture made anew. */
    void reframe() {
        frame = null;
    }

    /** Shows one text with the names of its values, null for none; says whether that is another one than before. */
    boolean showAsWritten(String element) {
        boolean other = !Objects.equals(asWritten, element);
        asWritten = element;
        return other;
    }

    /** The scene that lay over all others when the evaluator was made; null for none. */
    private Scene above;

    FrameBuilder builder(Project p, Board board) {
        if (shelf != p.assets()) {
            shelf = p.assets();
            fonts = Fonts.of(shelf);
        }
        boolean otherValues = builder != null && (builder.motifs().values() != p.values() || !Objects.equals(asWritten, builtAsWritten));
        boolean otherMotifs = builder == null || builder.motifs().of() != p.motifs() || otherValues;
        Scene over = p.over();
        if (builder == null || builder.board() != board || fonts != measured || otherMotifs || over != above) {
            FrameBuilder old = fonts == measured && !otherValues ? builder : null;
            MotifFrames motifs = old != null && !otherMotifs ? old.motifs() : Frames.motifs(p, fonts, old == null ? null : old.motifs());
            builder = new FrameBuilder(board, fonts, old, true, motifs).under(Frames.over(p, board, fonts, motifs));
            above = over;
            builder.showAsWritten(asWritten);
            builtAsWritten = asWritten;
            measured = fonts;
            frame = null;
        }
        return builder;
    }

    /** The picture as it was made last; null when it is to be made. */
    Frame frame() {
        return frame;
    }

    Frame frame(Frame made) {
        frame = made;
        return made;
    }
}
