package tundra.core.file;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import tools.jackson.databind.JsonNode;
import tundra.core.model.Action;
import tundra.core.model.ActionKind;
import tundra.core.model.Actions;
import tundra.core.model.Event;
import tundra.core.model.EventKind;
import tundra.core.model.Events;
import tundra.core.model.Reaction;
import tundra.core.model.SentenceKind;
import tundra.core.model.Slot;
import tundra.core.model.Slots;
import tundra.core.model.Timeline;

/** Reads the reactions of a scene. */
final class ReactionReader {
    private final Set<String> elements;
    private final List<Timeline> timelines;
    private final Map<String, String> unknown;
    private final TimelineReader.IdReader ids;
    private final Parts parts;

    ReactionReader(Set<String> elements, List<Timeline> timelines, Map<String, String> unknown, TimelineReader.IdReader ids, Parts parts) {
        this.parts = parts;
        this.elements = elements;
        this.timelines = timelines;
        this.unknown = unknown;
        this.ids = ids;
    }

    List<Reaction> read(Fields scene) throws FileProblem {
        var out = new ArrayList<Reaction>();
        for (JsonNode n : scene.list("reactions")) {
            parts.part(() -> {
                var f = new Fields(n, "reaction " + (out.size() + 1) + " of " + scene.where());
                String id = ids.id(f);
                Fields when = f.object("when");
                EventKind event = Events.byKey(when.text("event"));
                if (event == null) {
                    throw when.problem("event", "is not one that this version knows");
                }
                Slots who = slots(when, event);
                var actions = new ArrayList<Action>();
                for (JsonNode a : f.list("do")) {
                    actions.add(action(new Fields(a, "an action of " + f.where())));
                }
                f.keepUnknown(Places.of("reaction", id), unknown);
                out.add(new Reaction(id, new Event(event, who), actions));
            });
        }
        return out;
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
            out.put(s, switch (s.type()) {
                case ELEMENT -> there(f, s, elements.contains(text(f, s)), "an element");
                case TIMELINE -> there(f, s, timelines.stream().anyMatch(t -> t.id().equals(text(f, s))), "a timeline");
                case TIME -> f.whole(s.key(), 0, Limits.TIME);
            });
        }
        return new Slots(out);
    }

    private static String text(Fields f, Slot s) {
        try {
            return f.text(s.key());
        } catch (FileProblem e) {
            return null;
        }
    }

    private static String there(Fields f, Slot s, boolean found, String what) throws FileProblem {
        String id = f.text(s.key());
        if (!found) {
            throw f.problem(s.key(), "names " + what + " that isn't there");
        }
        return id;
    }
}
