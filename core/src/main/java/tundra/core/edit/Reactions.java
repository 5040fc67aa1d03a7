package tundra.core.edit;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Set;
import tundra.core.model.Action;
import tundra.core.model.ActionKind;
import tundra.core.model.Actions;
import tundra.core.model.Board;
import tundra.core.model.Events;
import tundra.core.model.Ids;
import tundra.core.model.Reaction;
import tundra.core.model.Slot;
import tundra.core.model.Slots;

/** Adds, changes and takes away reactions. */
public final class Reactions {
    private Reactions() {}

    /** When the element is tapped, a timeline plays from its start. */
    public static Board add(Board board, String element, String timeline) {
        var all = new ArrayList<>(board.reactions());
        all.add(new Reaction(Ids.next(), Events.tapped(element), List.of(first(timeline))));
        return board.withReactions(all);
    }

    private static Action first(String timeline) {
        return Actions.of(Actions.PLAY_FROM_START, timeline);
    }

    /** Those whose elements are all there. */
    static List<Reaction> withoutGone(List<Reaction> all, Set<String> elements) {
        return all.stream().filter(r -> r.when().slots().map(Slot.Type.ELEMENT, id -> elements.contains(id) ? id : null) != null)
                .map(r -> r.withActions(r.actions().stream().filter(a -> a.slots().map(Slot.Type.ELEMENT, id -> elements.contains(id) ? id : null) != null).toList()))
                .filter(r -> !r.actions().isEmpty()).toList();
    }

    /** An action as one of another kind: what both say stays, what is new is the selected timeline's and the playhead's. */
    public static Action as(Action a, ActionKind kind, String timeline, long time) {
        var values = new LinkedHashMap<Slot, Object>();
        for (Slot s : kind.slots()) {
            Object same = a.slots().get(s), alike = same != null ? same : a.slots().first(s.type());
            values.put(s, alike != null ? alike : switch (s.type()) {
                case TIMELINE -> timeline;
                case TIME -> time;
                case ELEMENT -> throw new IllegalStateException("no element to begin with");
            });
        }
        return new Action(kind, new Slots(values));
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
