package tundra.core.model;

import java.util.List;

/** When something happens, do actions, in order. */
public record Reaction(String id, Event when, List<Action> actions) {
    public Reaction {
        actions = List.copyOf(actions);
    }

    public Reaction withWhen(Event w) {
        return new Reaction(id, w, actions);
    }

    public Reaction withActions(List<Action> a) {
        return new Reaction(id, when, a);
    }
}
