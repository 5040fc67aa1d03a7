package tundra.core.edit;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Objects;
import java.util.Set;
import java.util.function.BiPredicate;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;
import tundra.core.geometry.Point;
import tundra.core.model.Action;
import tundra.core.model.ActionKind;
import tundra.core.model.Actions;
import tundra.core.model.Board;
import tundra.core.model.Clock;
import tundra.core.model.Condition;
import tundra.core.model.ConditionKind;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Event;
import tundra.core.model.EventKind;
import tundra.core.model.Events;
import tundra.core.model.Ids;
import tundra.core.model.Motif;
import tundra.core.model.Place;
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.core.model.Property;
import tundra.core.model.Reaction;
import tundra.core.model.Slot;
import tundra.core.model.Slots;
import tundra.core.model.Timeline;
import tundra.core.model.Values;

/** Adds, changes and takes away reactions. */
public final class Reactions {
    /** What names something of the board. */
    public static final Set<Slot.Type> OF_BOARD = EnumSet.of(Slot.Type.ELEMENT, Slot.Type.ELEMENTS, Slot.Type.PLAYER, Slot.Type.TIMELINE,
            Slot.Type.MARKER);

    /** Stands for the instance in which a motif's reaction happens, where an element is asked for. */
    public static final Element INSTANCE = new Element(Slot.INSTANCE, "this instance", false, false, Values.NONE,
            new Content.Instance("", new Point(1, 1), Clock.OWN));

    private Reactions() {}

    /** The element that stands in a slot, be it the instance; null when there is none. */
    public static Element element(Board b, String id) {
        return id.equals(Slot.INSTANCE) ? INSTANCE : b.find(id);
    }

    /** What actions can set of an element. Of an instance within its own motif it is what doesn't depend on where it stands. */
    public static List<Property<?>> settable(Element e) {
        return e == INSTANCE ? List.of(Properties.OPACITY, Properties.ROTATION, Properties.SCALE) : Properties.of(e).stream()
                .filter(p -> !Properties.TIES.contains(p)).toList();
    }

    /** When the element is tapped, a timeline plays from its start. */
    public static Board add(Board board, String element, String timeline) {
        return with(board, new Reaction(Ids.next(), Events.tapped(element), List.of(first(timeline))));
    }

    /** With one more at the end. */
    public static Board with(Board board, Reaction r) {
        return board.withReactions(plus(board.reactions(), r));
    }

    /** A cue: when a timeline passes a time, it pauses. */
    public static Board cue(Board board, String timeline, long time) {
        return with(board, new Reaction(Ids.next(), Events.of(Events.PASSED, timeline, time, Events.WAY.standard()),
                List.of(Actions.of(Actions.PAUSE, timeline))));
    }

    private static Action first(String timeline) {
        return Actions.of(Actions.PLAY_FROM_START, timeline);
    }

    /** With what a reaction names of the board changed. */
    static Reaction named(Reaction r, UnaryOperator<String> change) {
        return r.map(s -> s.mapIds(OF_BOARD, change));
    }

    /** With what reactions, drags and scrolling name of the board changed. */
    static Board named(Board b, UnaryOperator<String> change) {
        return b.withReactions(b.reactions().stream().map(r -> named(r, change)).toList())
                .withDrags(b.drags().stream().map(d -> d.map(change)).toList())
                .withTimelines(b.timelines().stream().map(t -> t.scroll() == null || t.scroll().through() == null ? t
                : t.withScroll(t.scroll().withThrough(change.apply(t.scroll().through())))).toList());
    }

    /** Without what names something of the board that is gone; reactions with nothing left to do go with it. */
    public static Board tidied(Board b) {
        return tidied(b, (type, id) -> true);
    }

    /**
     * Without what names something that is gone: of its board, a scene, a value, a script or a sound. The same project where nothing is
     * gone. What names things that are not there can't be read from a file.
     */
    public static Project tidied(Project p) {
        BiPredicate<Slot.Type, String> around = (type, id) -> switch (type) {
            case SCENE -> p.scene(id) != null;
            case VALUE -> p.value(id) != null;
            case SCRIPT -> p.script(id) != null;
            case SOUND -> p.assets().containsKey(id);
            case MOTIF_MARKER -> Motifs.marker(p, id) != null;
            // of the scene itself, which is looked at where it is known
            case LAYOUT -> false;
            default -> true;
        };
        Project own = tidied(p, around);
        return own.places().stream().allMatch(x -> tidied(own, x, around) == x.board()) ? own
                : own.withScenes(own.scenes().stream().map(x -> x.withBoard(tidied(own, x, around))).toList())
                .withMotifs(own.motifs().stream().map(x -> x.withBoard(tidied(own, x, around))).toList());
    }

    /** Those of the whole piece name nothing of a board. */
    private static Project tidied(Project p, BiPredicate<Slot.Type, String> around) {
        var left = p.reactions().stream().map(r -> r.map(s -> s.names(Slot.INSTANCE) ? null : s.mapIds((slot, id) -> !OF_BOARD.contains(slot.type())
                && around.test(slot.type(), id) ? id : null)))
                .filter(Objects::nonNull).toList();
        return left.equals(p.reactions()) ? p : p.withReactions(left);
    }

    /** Without what waits for a marker that the motif of its instance does not have. */
    private static Board apart(Project p, Board b) {
        if (b.reactions().stream().noneMatch(r -> r.when().kind() == Events.INSTANCE_REACHED)) {
            return b;
        }
        var near = new SlotDefaults(p, b, null, null, 0);
        var left = b.reactions().stream().filter(r -> r.when().kind() != Events.INSTANCE_REACHED || near.markers(r.when().slots().values())
                .contains(r.when().slots().get(Events.INNER))).toList();
        return left.size() == b.reactions().size() ? b : b.withReactions(left);
    }

    /** Only reactions of a motif know an instance. */
    private static Board tidied(Project p, Place x, BiPredicate<Slot.Type, String> outside) {
        BiPredicate<Slot.Type, String> around = (type, id) -> type == Slot.Type.LAYOUT ? x.board().layout(id) != null : outside.test(type, id);
        Board b = LayoutsTidied.of(tidied(apart(p, x.board()), around), around);
        if (x instanceof Motif || b.reactions().stream().noneMatch(r -> r.slots().stream().anyMatch(s -> s.names(Slot.INSTANCE)))) {
            return b;
        }
        return b.withReactions(b.reactions().stream().map(r -> r.map(s -> s.without(Slot.INSTANCE))).filter(Objects::nonNull).toList());
    }

    /** @param around whether what lies outside of the board is there */
    private static Board tidied(Board was, BiPredicate<Slot.Type, String> around) {
        Board b = BlockSettings.tidied(was, around);
        if (b.timelines().stream().anyMatch(t -> strayed(b, t))) {
            return tidied(b.withTimelines(b.timelines().stream().map(t -> strayed(b, t) ? t.withScroll(t.scroll().withThrough(null)) : t).toList()),
                    around);
        }
        if (b.reactions().isEmpty() && b.drags().isEmpty()) {
            return b;
        }
        var drags = b.drags().stream().map(d -> d.map(id -> b.find(id) == null ? null : id)).filter(Objects::nonNull).toList();
        var reactions = b.reactions().stream().map(r -> tidied(r, b, around)).filter(Objects::nonNull).toList();
        Board out = drags.equals(b.drags()) ? b : b.withDrags(drags);
        return reactions.equals(b.reactions()) ? out : out.withReactions(reactions);
    }

    /** Without what names something that is gone; null where nothing is left to do. */
    static Reaction tidied(Reaction r, Board b, BiPredicate<Slot.Type, String> around) {
        return r.map(s -> s.mapIds((slot, id) -> here(b, slot, id) && around.test(slot.type(), id) ? id : null));
    }

    /** Whether a timeline goes by the way of an element that is gone; it goes by the scene's from then on. */
    private static boolean strayed(Board b, Timeline t) {
        return t.scroll() != null && t.scroll().through() != null && b.find(t.scroll().through()) == null;
    }

    /** Whether something of a board that a slot names is there, and of a kind that the slot can mean. */
    private static boolean here(Board b, Slot slot, String id) {
        return switch (slot.type()) {
            case ELEMENT, ELEMENTS -> b.find(id) instanceof Element e && slot.takes(e.content().word());
            case PLAYER -> b.timeline(id) != null || b.find(id) instanceof Element e && e.content() instanceof Content.Instance;
            case TIMELINE -> b.timeline(id) != null;
            case MARKER -> b.timelines().stream().anyMatch(t -> t.markers().stream().anyMatch(m -> m.id().equals(id)));
            default -> true;
        };
    }

    /** How many reactions of the whole piece name something. */
    public static int naming(Project p, String id) {
        int n = 0;
        for (Place x : p.places()) {
            n += (int) x.board().drags().stream().filter(d -> d.pairs().stream().anyMatch(y -> y.part().equals(id) || y.places().contains(id)))
                    .count();
        }
        return n + (int) p.allReactions().stream().filter(r -> r.slots().stream().anyMatch(s -> s.names(id))).count();
    }

    /** An action as one of another kind; null when something that it names is not there. */
    public static Action as(Action a, ActionKind kind, SlotDefaults near) {
        Slots s = near.as(a.slots(), kind);
        return s == null ? null : new Action(kind, s);
    }

    /** The kinds of actions as a list of them has them: where values are used, those of values stand before those of looks. */
    public static List<ActionKind> ordered(Project p) {
        var out = new ArrayList<>(Actions.ALL);
        if (!p.values().isEmpty()) {
            List<ActionKind> ofValues = List.of(Actions.SET_VALUE, Actions.ADD_VALUE, Actions.TOGGLE_VALUE, Actions.RANDOM_VALUE, Actions.PUT_TEXT);
            out.removeAll(ofValues);
            out.addAll(out.indexOf(Actions.SET), ofValues);
        }
        return out;
    }

    public static Event as(Event e, EventKind kind, SlotDefaults near) {
        Slots s = near.as(e.slots(), kind);
        return s == null ? null : new Event(kind, s);
    }

    public static Condition as(Condition c, ConditionKind kind, SlotDefaults near) {
        Slots s = near.as(c == null ? new Slots(new LinkedHashMap<>()) : c.slots(), kind);
        return s == null ? null : new Condition(kind, s);
    }

    public static List<Reaction> changed(List<Reaction> all, String id, UnaryOperator<Reaction> change) {
        return all.stream().map(r -> r.id().equals(id) ? change.apply(r) : r).toList();
    }

    public static List<Reaction> delete(List<Reaction> all, String id) {
        return all.stream().filter(r -> !r.id().equals(id)).toList();
    }

    /** With a copy of a reaction behind it. */
    public static List<Reaction> duplicate(List<Reaction> all, String id) {
        return all.stream().flatMap(r -> r.id().equals(id) ? Stream.of(r, r.withId(Ids.next())) : Stream.of(r)).toList();
    }

    /** The same reaction for each of some other elements, behind it: what names the element of its event names theirs. */
    public static List<Reaction> copyTo(List<Reaction> all, String id, List<String> elements) {
        var out = new ArrayList<Reaction>();
        for (Reaction r : all) {
            out.add(r);
            if (r.id().equals(id) && r.when().slots().first(Slot.Type.ELEMENT) instanceof String of) {
                elements.stream().filter(e -> !e.equals(of)).forEach(e -> out.add(r.map(s -> s.mapIds(OF_BOARD, x -> x.equals(of) ? e : x))
                        .withId(Ids.next())));
            }
        }
        return out;
    }

    /**
     * At another place among the others, counted after it was taken out. Between two of one group it joins that; beside its own group it
     * stays in it; elsewhere it stands in none.
     */
    public static List<Reaction> move(List<Reaction> all, String id, int to) {
        Reaction r = all.stream().filter(x -> x.id().equals(id)).findFirst().orElse(null);
        if (r == null) {
            return all;
        }
        var out = new ArrayList<>(delete(all, id));
        int at = Math.clamp(to, 0, out.size());
        String before = at == 0 ? "" : out.get(at - 1).group(), after = at == out.size() ? "" : out.get(at).group();
        out.add(at, r.withGroup(before.equals(after) ? before : before.equals(r.group()) || after.equals(r.group()) ? r.group() : ""));
        return out;
    }

    /** In a group, as its last; by itself behind its group where the name is empty. A group that is new stands where the reaction stood. */
    public static List<Reaction> group(List<Reaction> all, String id, String name) {
        Reaction r = all.stream().filter(x -> x.id().equals(id)).findFirst().orElse(null);
        if (r == null || r.group().equals(name)) {
            return all;
        }
        String beside = name.isEmpty() ? r.group() : name;
        int last = -1;
        var out = new ArrayList<>(delete(all, id));
        for (int i = 0; i < out.size(); i++) {
            last = out.get(i).group().equals(beside) ? i : last;
        }
        // what it leaves stays together
        String left = r.group();
        int own = all.indexOf(r);
        if (last < 0) {
            boolean inside = !left.isEmpty() && own > 0 && own + 1 < all.size() && all.get(own - 1).group().equals(left) && all.get(own + 1).group()
                    .equals(left);
            while (inside && own < out.size() && out.get(own).group().equals(left)) {
                own++;
            }
            last = own - 1;
        }
        out.add(last + 1, r.withGroup(name));
        return out;
    }

    /** With another name for a group; empty to take it apart. One that has that name already takes them in. */
    public static List<Reaction> renameGroup(List<Reaction> all, String name, String to) {
        if (to.isEmpty()) {
            return all.stream().map(r -> r.group().equals(name) ? r.withGroup("") : r).toList();
        }
        List<Reaction> out = all;
        for (Reaction r : all) {
            out = r.group().equals(name) ? group(out, r.id(), to) : out;
        }
        return out;
    }

    /** With a whole group before, or behind, what stands before or behind it; a group that stands there is passed as a whole. */
    public static List<Reaction> moveGroup(List<Reaction> all, String name, boolean down) {
        var own = all.stream().filter(r -> r.group().equals(name)).toList();
        var rest = all.stream().filter(r -> !r.group().equals(name)).toList();
        int at = 0;
        while (at < all.size() && !all.get(at).group().equals(name)) {
            at++;
        }
        if (own.isEmpty() || (down ? at == rest.size() : at == 0)) {
            return all;
        }
        String passed = rest.get(down ? at : at - 1).group();
        do {
            at += down ? 1 : -1;
        } while (!passed.isEmpty() && (down ? at < rest.size() && rest.get(at).group().equals(passed) : at > 0 && rest.get(at - 1).group()
                .equals(passed)));
        var out = new ArrayList<>(rest);
        out.addAll(at, own);
        return out;
    }

    /** The groups that there are, in their order. */
    public static List<String> groups(List<Reaction> all) {
        return all.stream().map(Reaction::group).filter(g -> !g.isEmpty()).distinct().toList();
    }

    /** A list with one changed; what the change makes null is taken away. */
    public static <T> List<T> mapped(List<T> all, int index, UnaryOperator<T> change) {
        var out = new ArrayList<>(all);
        T now = change.apply(out.get(index));
        if (now == null) {
            out.remove(index);
        } else {
            out.set(index, now);
        }
        return out;
    }

    /** A list with one more at its end. */
    public static <T> List<T> plus(List<T> all, T one) {
        var out = new ArrayList<>(all);
        out.add(one);
        return out;
    }

    /** The action that a reaction goes on with: what is most often wanted next. */
    public static Action next(Board board) {
        return board.timelines().isEmpty() ? Actions.of(Actions.NEXT_SCENE) : first(board.main().id());
    }
}
