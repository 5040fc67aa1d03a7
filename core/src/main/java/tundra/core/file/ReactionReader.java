package tundra.core.file;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import tools.jackson.databind.JsonNode;
import tundra.core.model.Action;
import tundra.core.model.ActionKind;
import tundra.core.model.Actions;
import tundra.core.model.Condition;
import tundra.core.model.ConditionKind;
import tundra.core.model.Conditions;
import tundra.core.model.Event;
import tundra.core.model.EventKind;
import tundra.core.model.Events;
import tundra.core.model.Properties;
import tundra.core.model.Property;
import tundra.core.model.Reaction;
import tundra.core.model.SentenceKind;
import tundra.core.model.Setting;
import tundra.core.model.Slot;
import tundra.core.model.Slots;
import tundra.core.model.Timeline;

/** Reads the reactions of a scene or motif. */
final class ReactionReader {
    private final Set<String> elements;
    private final Set<String> timelines = new HashSet<>();
    private final Set<String> markers = new HashSet<>();
    private final Set<String> layouts;
    private final Around around;
    private final Map<String, String> unknown;
    private final TimelineReader.IdReader ids;
    private final Parts parts;

    /** What lies outside of the board and can be named: ids of scenes, values, scripts and markers of motifs, hashes of sounds. */
    record Around(Set<String> scenes, Set<String> values, Set<String> scripts, Set<String> sounds, Set<String> motifMarkers) {}

    /** @param layouts the ids of the board's own */
    ReactionReader(Set<String> elements, List<Timeline> all, Set<String> layouts, Around around, Map<String, String> unknown,
            TimelineReader.IdReader ids, Parts parts) {
        this.parts = parts;
        this.elements = elements;
        this.layouts = layouts;
        this.around = around;
        this.unknown = unknown;
        this.ids = ids;
        all.forEach(t -> {
            timelines.add(t.id());
            t.markers().forEach(m -> markers.add(m.id()));
        });
    }

    /** Of those of the whole piece, which name nothing of a board. */
    static ReactionReader ofPiece(Around around, Map<String, String> unknown, TimelineReader.IdReader ids, Parts parts) {
        return new ReactionReader(Set.of(), List.of(), Set.of(), around, unknown, ids, parts);
    }

    List<Reaction> read(Fields scene) throws FileProblem {
        return read(scene, ids);
    }

    /** @param own reads their ids */
    List<Reaction> read(Fields scene, TimelineReader.IdReader own) throws FileProblem {
        var out = new ArrayList<Reaction>();
        for (JsonNode n : scene.list("reactions")) {
            parts.part(() -> {
                var f = new Fields(n, "reaction " + (out.size() + 1) + " of " + scene.where());
                String id = own.id(f);
                Fields when = f.object("when");
                EventKind event = Events.byKey(when.text("event"));
                if (event == null) {
                    throw when.problem("event", "is not one that this version knows");
                }
                Slots who = slots(when, event);
                var conditions = new ArrayList<Condition>();
                for (JsonNode c : f.has("if") ? f.list("if") : List.<JsonNode>of()) {
                    conditions.add(condition(new Fields(c, "a condition of " + f.where())));
                }
                List<Action> actions = actions(f, "do"), otherwise = f.has("otherwise") ? actions(f, "otherwise") : List.of();
                boolean any = f.flag("any"), off = f.flag("off");
                String group = f.has("group") ? SlotReader.words(f, "group") : "";
                f.keepUnknown(FileObjects.of("reaction", id), unknown);
                out.add(new Reaction(id, new Event(event, who), conditions, any, actions, otherwise, off, group));
            });
        }
        return out;
    }

    private List<Action> actions(Fields f, String field) throws FileProblem {
        var out = new ArrayList<Action>();
        for (JsonNode a : f.list(field)) {
            out.add(action(new Fields(a, "an action of " + f.where())));
        }
        return out;
    }

    private Condition condition(Fields f) throws FileProblem {
        ConditionKind kind = Conditions.byKey(f.text("condition"));
        if (kind == null) {
            throw f.problem("condition", "is not one that this version knows");
        }
        return new Condition(kind, slots(f, kind));
    }

    private Action action(Fields f) throws FileProblem {
        ActionKind kind = Actions.byKey(f.text("action"));
        if (kind == null) {
            throw f.problem("action", "is not one that this version knows");
        }
        return new Action(kind, slots(f, kind));
    }

    private Slots slots(Fields f, SentenceKind kind) throws FileProblem {
        var out = new LinkedHashMap<Slot, Object>();
        for (Slot s : kind.slots()) {
            String k = s.key();
            out.put(s, switch (s.type()) {
                case ELEMENT -> there(f, k, f.text(k), elements, "an element");
                case ELEMENTS -> elements(f, s);
                case PLAYER -> f.text(k).equals(Slot.EVERYTHING) || elements.contains(f.text(k)) ? f.text(k) : there(f, k, f.text(k), timelines,
                        "a timeline");
                case TIMELINE -> there(f, k, f.text(k), timelines, "a timeline");
                case MARKER -> there(f, k, f.text(k), markers, "a marker");
                case MOTIF_MARKER -> there(f, k, f.text(k), around.motifMarkers, "a marker");
                case LAYOUT -> f.text(k).equals(Slot.DRAWN) ? Slot.DRAWN : there(f, k, f.text(k), layouts, "a layout");
                case SCENE -> there(f, k, f.text(k), around.scenes, "a scene");
                case VALUE -> there(f, k, f.text(k), around.values, "a value");
                case SCRIPT -> there(f, k, f.text(k), around.scripts, "a script");
                case SOUND -> there(f, k, f.text(k), around.sounds, "a sound");
                case SETTING -> setting(f.object(k));
                case CHANGE -> change(f.object(k));
                default -> SlotReader.plain(f, s);
            });
        }
        return new Slots(out);
    }

    private List<String> elements(Fields f, Slot slot) throws FileProblem {
        String field = slot.key();
        var out = new ArrayList<String>();
        for (JsonNode n : f.list(field)) {
            String id = n.asString("");
            if (slot.takesAll() && id.equals(Slot.EVERYTHING)) {
                return List.of(id);
            }
            out.add(there(f, field, id, elements, "an element"));
        }
        if (out.isEmpty()) {
            throw f.problem(field, "names no element");
        }
        return out;
    }

    static Setting setting(Fields f) throws FileProblem {
        Property<?> p = property(f);
        return new Setting(p, ValueReader.value(p, f.raw("to"), f, "to"));
    }

    private static Setting change(Fields f) throws FileProblem {
        Property<?> p = property(f);
        return new Setting(p, ValueReader.change(p, f.raw("to"), f, "to"));
    }

    private static Property<?> property(Fields f) throws FileProblem {
        Property<?> p = Properties.byKey(f.text("property"));
        if (p == null) {
            throw f.problem("property", "is “" + f.text("property") + "”, which this version doesn't know");
        }
        return p;
    }

    private static String there(Fields f, String field, String id, Set<String> all, String what) throws FileProblem {
        if (!all.contains(id)) {
            throw f.problem(field, "names " + what + " that isn't there");
        }
        return id;
    }
}
