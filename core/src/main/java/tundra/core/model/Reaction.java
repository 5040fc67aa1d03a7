package tundra.core.model;

import java.util.ArrayList;
import java.util.List;
import java.util.function.UnaryOperator;

/**
 * When something happens and conditions hold, do actions, in order.
 *
 * @param conditions none means that it always does
 * @param any whether one condition that holds is enough; else all must
 * @param otherwise the actions when the conditions do not hold
 * @param off whether it is switched off, and not published
 * @param group the name of the group that it stands in; empty for none. Those of a group follow each other.
 */
public record Reaction(String id, Event when, List<Condition> conditions, boolean any, List<Action> actions, List<Action> otherwise, boolean off,
        String group) {
    public Reaction {
        conditions = List.copyOf(conditions);
        actions = List.copyOf(actions);
        otherwise = List.copyOf(otherwise);
    }

    /** One without conditions. */
    public Reaction(String id, Event when, List<Action> actions) {
        this(id, when, List.of(), false, actions, List.of(), false, "");
    }

    public Reaction withId(String i) {
        return new Reaction(i, when, conditions, any, actions, otherwise, off, group);
    }

    public Reaction withWhen(Event w) {
        return new Reaction(id, w, conditions, any, actions, otherwise, off, group);
    }

    public Reaction withConditions(List<Condition> c) {
        return new Reaction(id, when, c, any, actions, otherwise, off, group);
    }

    public Reaction withAny(boolean a) {
        return new Reaction(id, when, conditions, a, actions, otherwise, off, group);
    }

    public Reaction withActions(List<Action> a) {
        return new Reaction(id, when, conditions, any, a, otherwise, off, group);
    }

    public Reaction withOtherwise(List<Action> o) {
        return new Reaction(id, when, conditions, any, actions, o, off, group);
    }

    public Reaction withOff(boolean o) {
        return new Reaction(id, when, conditions, any, actions, otherwise, o, group);
    }

    public Reaction withGroup(String g) {
        return new Reaction(id, when, conditions, any, actions, otherwise, off, g);
    }

    /** All that its sentences name, one after the other. */
    public List<Slots> slots() {
        var out = new ArrayList<Slots>(List.of(when.slots()));
        conditions.forEach(c -> out.add(c.slots()));
        actions.forEach(a -> out.add(a.slots()));
        otherwise.forEach(a -> out.add(a.slots()));
        return out;
    }

    /**
     * With what its sentences name changed. Conditions and actions whose slots become null are left out; null when the event's slots
     * do, or when nothing is left to do.
     */
    public Reaction map(UnaryOperator<Slots> change) {
        Slots w = change.apply(when.slots());
        var c = conditions.stream().map(x -> new Condition(x.kind(), change.apply(x.slots()))).filter(x -> x.slots() != null).toList();
        var a = mapped(actions, change);
        var o = mapped(otherwise, change);
        return w == null || a.isEmpty() && o.isEmpty() ? null : new Reaction(id, new Event(when.kind(), w), c, any, a, o, off, group);
    }

    private static List<Action> mapped(List<Action> all, UnaryOperator<Slots> change) {
        return all.stream().map(x -> new Action(x.kind(), change.apply(x.slots()))).filter(x -> x.slots() != null).toList();
    }
}
