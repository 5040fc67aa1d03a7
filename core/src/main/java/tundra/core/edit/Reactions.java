package tundra.core.edit;

import java.util.ArrayList;
import java.util.List;
import tundra.core.model.Action;
import tundra.core.model.Board;
import tundra.core.model.Ids;
import tundra.core.model.Reaction;
import tundra.core.model.Trigger;

/** Adds, changes and takes away reactions. */
public final class Reactions {
    private Reactions() {}

    /** When the element is tapped, a timeline plays from its start. */
    public static Board add(Board board, String element, String timeline) {
        var all = new ArrayList<>(board.reactions());
        all.add(new Reaction(Ids.next(), new Trigger.Tapped(element), List.of(first(timeline))));
        return board.withReactions(all);
    }

    private static Action first(String timeline) {
        return new Action.Move(Action.Verb.PLAY_FROM_START, timeline, 0);
    }

    public static Board delete(Board board, String id) {
        return board.withReactions(board.reactions().stream().filter(r -> !r.id().equals(id)).toList());
    }

    /** With one more action at the end. */
    public static Reaction more(Board board, Reaction r) {
        var all = new ArrayList<>(r.actions());
        all.add(first(board.main().id()));
        return r.withActions(all);
    }

    public static Reaction with(Reaction r, int index, Action a) {
        var all = new ArrayList<>(r.actions());
        all.set(index, a);
        return r.withActions(all);
    }

    public static Reaction without(Reaction r, int index) {
        var all = new ArrayList<>(r.actions());
        all.remove(index);
        return r.withActions(all);
    }
}
