package tundra.core.edit;

import java.util.List;
import java.util.function.UnaryOperator;
import tundra.core.geometry.Point;
import tundra.core.model.Board;
import tundra.core.model.Events;
import tundra.core.model.Project;
import tundra.core.model.Reaction;
import tundra.core.model.SentenceKind;
import tundra.core.model.Slot;
import tundra.core.model.Values;

/** Where a reaction happens: in its scene or motif, or in the whole piece, whatever scene is shown. */
public enum Reach {
    PLACE, PIECE;

    /** What those of the whole piece can name of a board: nothing. */
    private static final Board NOTHING = new Board(new Point(1, 1), Values.NONE, List.of(), List.of(), List.of());

    /** The reactions of this reach, where a place is open. */
    public List<Reaction> of(Project p, String place) {
        return this == PIECE ? p.reactions() : p.place(place).board().reactions();
    }

    public Project with(Project p, String place, UnaryOperator<List<Reaction>> change) {
        return this == PIECE ? p.withReactions(change.apply(p.reactions())) : p.mapBoard(place, b -> b.withReactions(change.apply(b.reactions())));
    }

    /** What the sentences can name. */
    public Board board(Board open) {
        return this == PIECE ? NOTHING : open;
    }

    /** The words of a sentence: in the whole piece, “this scene” is any. */
    public String words(String words) {
        return this == PIECE ? words.replace("this scene", "any scene") : words;
    }

    /** Whether a kind of event, condition or action can stand in it: nothing of the whole piece has an end. */
    public boolean takes(SentenceKind kind) {
        return this == PLACE || kind != Events.ENDED;
    }

    /** Whether a reaction names nothing that only this scene or motif has, so that it could happen in the whole piece. */
    public static boolean everywhere(Reaction r) {
        return PIECE.takes(r.when().kind()) && r.slots().stream().allMatch(s -> s.values().entrySet().stream()
                .allMatch(e -> e.getKey().type() != Slot.Type.LAYOUT
                && (!Reactions.OF_BOARD.contains(e.getKey().type()) || e.getValue().equals(Slot.EVERYTHING))));
    }

    /** With a reaction moved from this reach to the other, at its end. */
    public Project moved(Project p, String place, String id) {
        Reaction r = of(p, place).stream().filter(x -> x.id().equals(id)).findFirst().orElseThrow().withGroup("");
        Reach other = this == PIECE ? PLACE : PIECE;
        return other.with(with(p, place, all -> Reactions.delete(all, id)), place, all -> Reactions.plus(all, r));
    }
}
