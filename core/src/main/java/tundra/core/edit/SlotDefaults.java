package tundra.core.edit;

import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import tundra.core.model.Asset;
import tundra.core.model.Blocks;
import tundra.core.model.Board;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Events;
import tundra.core.model.Layout;
import tundra.core.model.MapData;
import tundra.core.model.Marker;
import tundra.core.model.Motif;
import tundra.core.model.Place;
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.core.model.SentenceKind;
import tundra.core.model.Setting;
import tundra.core.model.Slot;
import tundra.core.model.Slots;
import tundra.core.model.Tree;

/** What is in reach for the slots of a new sentence. */
public record SlotDefaults(Project project, Board board, String element, String timeline, long time) {
    /** What stands in a slot at first; null when there is nothing that could. */
    Object standard(Slot s) {
        if (s.type() == Slot.Type.MAP_PLACE) {
            return places().findFirst().orElse("");
        }
        if (s.standard() != null) {
            return s.standard();
        }
        return switch (s.type()) {
            case ELEMENT -> fits(s, element) ? element : Tree.ids(board.elements()).stream().filter(id -> fits(s, id)).findFirst().orElse(null);
            case ELEMENTS -> s.takesAll() ? List.of(element != null && Draggings.of(board, element) != null
                    ? element : Slot.EVERYTHING) : element != null ? List.of(element) : board.elements().isEmpty() ? null
                    : List.of(board.elements().getLast().id());
            case PLAYER -> timeline == null ? Slot.EVERYTHING : timeline;
            case TIMELINE -> timeline;
            case MARKER -> board.timelines().stream().flatMap(t -> t.markers().stream()).map(m -> (Object) m.id()).findFirst().orElse(null);
            case TIME -> time;
            // goes by what stands in another slot
            case MOTIF_MARKER -> null;
            case LAYOUT -> layouts().isEmpty() ? null : layouts().getFirst().id();
            case SCENE -> project.scenes().stream().filter(x -> x.board() != board).map(x -> (Object) x.id()).findFirst()
                    .orElse(project.scenes().getFirst().id());
            case VALUE -> project.values().isEmpty() ? null : project.values().getFirst().id();
            case SCRIPT -> project.scripts().isEmpty() ? null : project.scripts().getFirst().id();
            case SOUND -> project.assets().values().stream().filter(a -> a.kind() == Asset.Kind.SOUND).map(a -> (Object) a.hash()).findFirst()
                    .orElse(null);
            case SETTING -> Setting.of(Properties.OPACITY, 0.5);
            case CHANGE -> Setting.of(Properties.OPACITY, -0.5);
            default -> throw new IllegalStateException(s.key() + " has no standard");
        };
    }

    /** Those of the scene, also where the board is one as it is in a layout. */
    public List<Layout> layouts() {
        // those of the whole piece have no scene
        return board.timelines().isEmpty() ? List.of() : project.places().stream().map(Place::board)
                .filter(b -> b.main().id().equals(board.main().id())).findFirst().map(Board::layouts).orElse(List.of());
    }

    /** The names of the places of all maps. */
    public Stream<String> places() {
        var out = new LinkedHashSet<String>();
        Tree.each(board.elements(), e -> {
            if (Blocks.of(e) instanceof Content.Block b && b.kind() == Blocks.MAP_BLOCK) {
                ((MapData) b.get(Blocks.MAP)).places().forEach(f -> out.add(f.name()));
            }
        });
        return out.stream();
    }

    /** Whether an element may stand in a slot. */
    public boolean fits(Slot s, String id) {
        return Slot.INSTANCE.equals(id) ? s.choices().isEmpty() : id != null && (s.choices().isEmpty() || board.find(id) instanceof Element e
                && s.takes(e.content().word()));
    }

    /** The ids of the markers of the motif whose instance stands in a slot. */
    public List<String> markers(Map<Slot, Object> slots) {
        return slots.get(Events.INSTANCE) instanceof String id && board.find(id) instanceof Element e && e.content() instanceof Content.Instance i
                && project.motif(i.motif()) instanceof Motif m
                ? m.board().timelines().stream().flatMap(t -> t.markers().stream()).map(Marker::id).toList() : List.of();
    }

    /** With something else in a slot; what goes by it follows. Null when nothing could. */
    public Slots put(Slots slots, Slot s, Object value) {
        Slots out = slots.with(s, value);
        if (!out.values().containsKey(Events.INNER) || markers(out.values()).contains(out.get(Events.INNER))) {
            return out;
        }
        return markers(out.values()).stream().findFirst().map(m -> out.with(Events.INNER, m)).orElse(null);
    }

    /** Whether all that there are stood where the slot can't take them. */
    private static boolean all(Slots before, Slot s) {
        return s.type() == Slot.Type.ELEMENTS && !s.takesAll() && List.of(Slot.EVERYTHING).equals(before.first(s.type()));
    }

    /** The slots of another kind of sentence: what both say stays. Null when there is nothing that could stand in one of them. */
    public Slots as(Slots before, SentenceKind kind) {
        var values = new LinkedHashMap<Slot, Object>();
        for (Slot s : kind.slots()) {
            Object same = before.get(s), alike = same != null ? same : s.standard() != null || !s.choices().isEmpty() && !s.takesAll()
                    || all(before, s) ? null : before.first(s.type());
            Object v = alike != null ? alike : switch (s.type()) {
                case ELEMENTS -> !s.takesAll() && before.first(Slot.Type.ELEMENT) instanceof String e ? List.of(e) : standard(s);
                case ELEMENT -> before.first(Slot.Type.ELEMENTS) instanceof List<?> l && board.find((String) l.getFirst()) != null
                        && fits(s, (String) l.getFirst()) ? l.getFirst() : standard(s);
                case TIMELINE -> before.first(Slot.Type.PLAYER) instanceof String t && board.timeline(t) != null ? t : standard(s);
                case MOTIF_MARKER -> markers(values).stream().findFirst().orElse(null);
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
