package tundra.app.interact;

import java.util.List;
import java.util.function.UnaryOperator;
import tundra.app.studio.Studio;
import tundra.core.edit.Reach;
import tundra.core.edit.SlotDefaults;
import tundra.core.edit.Sentences;
import tundra.core.model.Board;
import tundra.core.model.Motif;
import tundra.core.model.Reaction;
import tundra.core.model.Slot;

/** The reactions of the scene or motif that is open, or those of the whole piece, and how they are changed. */
record ReactionSite(Studio studio, Reach reach) {
    List<Reaction> all() {
        // of a scene as it is in the layout that is worked on
        return reach == Reach.PLACE ? studio.board().reactions() : studio.project().reactions();
    }

    void edit(String name, UnaryOperator<List<Reaction>> change) {
        if (reach == Reach.PLACE) {
            studio.edit(name, b -> b.withReactions(change.apply(b.reactions())));
        } else {
            studio.editProject(name, null, p -> p.withReactions(change.apply(p.reactions())));
        }
    }

    /** Whether a reaction can go over to the other reach; what a layout has of its own stays in it. */
    boolean moves(Reaction r) {
        return reach == Reach.PIECE || Reach.everywhere(r) && studio.base().reactions().contains(r);
    }

    void moveToOther(Reaction r) {
        studio.editProject(reach == Reach.PLACE ? "React in the whole piece" : "React here only", null, p -> reach.moved(p, studio.place().id(),
                r.id()));
    }

    /** What the sentences can name. */
    Board board() {
        return reach.board(studio.board());
    }

    /** Whether they can name the instance in which they happen. */
    boolean ofMotif() {
        return reach == Reach.PLACE && studio.place() instanceof Motif;
    }

    Sentences sentences() {
        return new Sentences(studio.kept(), studio.board(), reach);
    }

    /** What is in reach for the slots of a sentence. */
    SlotDefaults near(Reaction r) {
        if (reach == Reach.PIECE) {
            return new SlotDefaults(studio.kept(), board(), null, null, 0);
        }
        String own = r == null ? null : (String) r.when().slots().first(Slot.Type.ELEMENT);
        return new SlotDefaults(studio.kept(), board(), studio.selected() != null ? studio.selected().id() : own, studio.timeline().id(),
                studio.time().playhead());
    }

    /** What begins the names of its parts in the window. */
    String prefix() {
        return reach == Reach.PIECE ? "piece-" : "";
    }
}
