package tundra.core.edit;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Objects;
import java.util.Set;
import java.util.function.BiPredicate;
import java.util.function.UnaryOperator;
import tundra.core.model.Action;
import tundra.core.model.ActionKind;
import tundra.core.model.Actions;
import tundra.core.model.Asset;
import tundra.core.model.Board;
import tundra.core.model.Condition;
import tundra.core.model.ConditionKind;
import tundra.core.model.Element;
import tundra.core.model.Event;
import tundra.core.model.EventKind;
import tundra.core.model.Events;
import tundra.core.model.Ids;
import tundra.core.model.Place;
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.core.model.Reaction;
import tundra.core.model.SentenceKind;
import tundra.core.model.Setting;
import tundra.core.model.Slot;
import tundra.core.model.Slots;
import tundra.core.model.Timeline;
import tundra.core.model.Tree;

/** Adds, changes and takes away reactions. */
public final class Reactions {
    /** What names something of the board. */
    public static final Set<Slot.Type> OF_BOARD = EnumSet.of(Slot.Type.ELEMENT, Slot.Type.ELEMENTS, Slot.Type.PLAYER, Slot.Type.TIMELINE, Slot.Type.MARKER);

    private Reactions() {}

    /** When the element is tapped, a timeline plays from its start. */
    public static Board add(Board board, String element, String timeline) {
        return with(board, new Reaction(Ids.next(), Events.tapped(element), List.of(first(timeline))));
    }

    /** With one more at the end. */
    public static Board with(Board board, Reaction r) {
        var all = new ArrayList<>(board.reactions());
        all.add(r);
        return board.withReactions(all);
    }

    /** A cue: when a timeline passes a time, it pauses. */
    public static Board cue(Board board, String timeline, long time) {
        return with(board, new Reaction(Ids.next(), Events.of(Events.PASSED, timeline, time, Events.WAY.standard()), List.of(Actions.of(Actions.PAUSE, timeline))));
    }

    private static Action first(String timeline) {
        return Actions.of(Actions.PLAY_FROM_START, timeline);
    }

    /** With what reactions, drags and scrolling name of the board changed. */
    static Board named(Board b, UnaryOperator<String> change) {
        return b.withReactions(b.reactions().stream().map(r -> r.map(s -> s.mapIds(OF_BOARD, change))).toList())
                .withDrags(b.drags().stream().map(d -> d.map(change)).toList())
                .withTimelines(b.timelines().stream().map(t -> t.scroll() == null || t.scroll().through() == null ? t : t.withScroll(t.scroll().withThrough(change.apply(t.scroll().through())))).toList());
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
            default -> true;
        };
        return p.places().stream().allMatch(x -> tidied(x.board(), around) == x.board()) ? p : p.mapBoards(b -> tidied(b, around));
    }

    /** @param around whether what lies outside of the board is there */
    private static Board tidied(Board b, BiPredicate<Slot.Type, String> around) {
        if (b.timelines().stream().anyMatch(t -> strayed(b, t))) {
            return tidied(b.withTimelines(b.timelines().stream().map(t -> strayed(b, t) ? t.withScroll(t.scroll().withThrough(null)) : t).toList()), around);
        }
        if (b.reactions().isEmpty() && b.drags().isEmpty()) {
            return b;
        }
        var drags = b.drags().stream().map(d -> d.map(id -> b.find(id) == null ? null : id)).filter(Objects::nonNull).toList();
        var reactions = b.reactions().stream().map(r -> r.map(s -> s.mapIds((type, id) -> here(b, type, id) && around.test(type, id) ? id : null)))
                .filter(Objects::nonNull).toList();
        Board out = drags.equals(b.drags()) ? b : b.withDrags(drags);
        return reactions.equals(b.reactions()) ? out : out.withReactions(reactions);
    }

    /** Whether a timeline goes by the way of an element that is gone; it goes by the scene's from then on. */
    private static boolean strayed(Board b, Timeline t) {
        return t.scroll() != null && t.scroll().through() != null && b.find(t.scroll().through()) == null;
    }

    /** Whether something of a board that a slot names is there. */
    private static boolean here(Board b, Slot.Type type, String id) {
        return switch (type) {
            case ELEMENT, ELEMENTS -> b.find(id) != null;
            case PLAYER -> b.find(id) != null || b.timeline(id) != null;
            case TIMELINE -> b.timeline(id) != null;
            case MARKER -> b.timelines().stream().anyMatch(t -> t.markers().stream().anyMatch(m -> m.id().equals(id)));
            default -> true;
        };
    }

    /** How many reactions of the whole piece name something. */
    public static int naming(Project p, String id) {
        int n = 0;
        for (Place x : p.places()) {
            n += (int) x.board().drags().stream().filter(d -> d.pairs().stream().anyMatch(y -> y.part().equals(id) || y.places().contains(id))).count();
            n += (int) x.board().reactions().stream().filter(r -> r.slots().stream().anyMatch(s -> s.names(id))).count();
        }
        return n;
    }

    /** What is in reach for the slots of a new sentence. */
    public record Near(Project project, Board board, String element, String timeline, long time) {
        /** What stands in a slot at first; null when there is nothing that could. */
        Object standard(Slot s) {
            if (s.standard() != null) {
                return s.standard();
            }
            return switch (s.type()) {
                case ELEMENT -> fits(s, element) ? element : Tree.ids(board.elements()).stream().filter(id -> fits(s, id)).findFirst().orElse(null);
                case ELEMENTS -> element != null ? List.of(element) : board.elements().isEmpty() ? null : List.of(board.elements().getLast().id());
                case PLAYER, TIMELINE -> timeline;
                case MARKER -> board.timelines().stream().flatMap(t -> t.markers().stream()).map(m -> (Object) m.id()).findFirst().orElse(null);
                case TIME -> time;
                case SCENE -> project.scenes().stream().filter(x -> x.board() != board).map(x -> (Object) x.id()).findFirst().orElse(project.scenes().getFirst().id());
                case VALUE -> project.values().isEmpty() ? null : project.values().getFirst().id();
                case SCRIPT -> project.scripts().isEmpty() ? null : project.scripts().getFirst().id();
                case SOUND -> project.assets().values().stream().filter(a -> a.kind() == Asset.Kind.SOUND).map(a -> (Object) a.hash()).findFirst().orElse(null);
                case SETTING -> Setting.of(Properties.OPACITY, 0.5);
                case DURATION, NUMBER, TEXT, CHOICE, CONTENT, EASING, LINK, PHONE, MAIL, KEY -> throw new IllegalStateException(s.key() + " has no standard");
            };
        }

        /** Whether an element may stand in a slot. */
        public boolean fits(Slot s, String id) {
            return id != null && (s.choices().isEmpty() || board.find(id) instanceof Element e && s.choices().contains(e.content().word()));
        }

        /** The slots of another kind of sentence: what both say stays. Null when there is nothing that could stand in one of them. */
        public Slots as(Slots before, SentenceKind kind) {
            var values = new LinkedHashMap<Slot, Object>();
            for (Slot s : kind.slots()) {
                Object same = before.get(s), alike = same != null ? same : s.standard() != null || !s.choices().isEmpty() ? null : before.first(s.type());
                Object v = alike != null ? alike : switch (s.type()) {
                    case ELEMENTS -> before.first(Slot.Type.ELEMENT) instanceof String e ? List.of(e) : standard(s);
                    case ELEMENT -> before.first(Slot.Type.ELEMENTS) instanceof List<?> l && fits(s, (String) l.getFirst()) ? l.getFirst() : standard(s);
                    case TIMELINE -> before.first(Slot.Type.PLAYER) instanceof String t && board.timeline(t) != null ? t : standard(s);
                    case PLAYER -> before.first(Slot.Type.TIMELINE) instanceof String t ? t : standard(s);
                    default -> standard(s);
                };
                if (v == null) {
                    return null;
                }
                values.put(s, v);
            }
            return new Slots(values);
        }
    }

    /** An action as one of another kind; null when something that it names is not there. */
    public static Action as(Action a, ActionKind kind, Near near) {
        Slots s = near.as(a.slots(), kind);
        return s == null ? null : new Action(kind, s);
    }

    public static Event as(Event e, EventKind kind, Near near) {
        Slots s = near.as(e.slots(), kind);
        return s == null ? null : new Event(kind, s);
    }

    public static Condition as(Condition c, ConditionKind kind, Near near) {
        Slots s = near.as(c == null ? new Slots(new LinkedHashMap<>()) : c.slots(), kind);
        return s == null ? null : new Condition(kind, s);
    }

    public static Board delete(Board board, String id) {
        return board.withReactions(board.reactions().stream().filter(r -> !r.id().equals(id)).toList());
    }

    /** With a copy of a reaction behind it. */
    public static Board duplicate(Board board, String id) {
        var out = new ArrayList<Reaction>();
        for (Reaction r : board.reactions()) {
            out.add(r);
            if (r.id().equals(id)) {
                out.add(r.withId(Ids.next()));
            }
        }
        return board.withReactions(out);
    }

    /** The same reaction for each of some other elements, behind it: what names the element of its event names theirs. */
    public static Board copyTo(Board board, String id, List<String> elements) {
        var out = new ArrayList<Reaction>();
        for (Reaction r : board.reactions()) {
            out.add(r);
            if (r.id().equals(id) && r.when().slots().first(Slot.Type.ELEMENT) instanceof String of) {
                elements.stream().filter(e -> !e.equals(of)).forEach(e -> out.add(r.map(s -> s.mapIds(OF_BOARD, x -> x.equals(of) ? e : x)).withId(Ids.next())));
            }
        }
        return board.withReactions(out);
    }

    /** At another place among the others, counted after it was taken out. */
    public static Board move(Board board, String id, int to) {
        var out = new ArrayList<>(board.reactions());
        Reaction r = out.stream().filter(x -> x.id().equals(id)).findFirst().orElse(null);
        if (r == null) {
            return board;
        }
        out.remove(r);
        out.add(Math.max(0, Math.min(out.size(), to)), r);
        return board.withReactions(out);
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
        return first(board.main().id());
    }
}
