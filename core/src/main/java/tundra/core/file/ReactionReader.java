package tundra.core.file;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import tools.jackson.databind.JsonNode;
import tundra.core.model.Action;
import tundra.core.model.Reaction;
import tundra.core.model.Timeline;
import tundra.core.model.Trigger;

/** Reads the reactions of a scene. */
final class ReactionReader {
    private final Set<String> elements;
    private final List<Timeline> timelines;
    private final Map<String, String> unknown;
    private final TimelineReader.IdReader ids;

    ReactionReader(Set<String> elements, List<Timeline> timelines, Map<String, String> unknown, TimelineReader.IdReader ids) {
        this.elements = elements;
        this.timelines = timelines;
        this.unknown = unknown;
        this.ids = ids;
    }

    List<Reaction> read(Fields scene) throws FileProblem {
        var out = new ArrayList<Reaction>();
        for (JsonNode n : scene.list("reactions")) {
            var f = new Fields(n, "reaction " + (out.size() + 1) + " of " + scene.where());
            String id = ids.id(f);
            Fields when = f.object("when");
            String element = when.text("element");
            if (!when.text("event").equals("tapped")) {
                throw when.problem("event", "is not one that this version knows");
            }
            if (!elements.contains(element)) {
                throw when.problem("element", "names an element that isn't there");
            }
            var actions = new ArrayList<Action>();
            for (JsonNode a : f.list("do")) {
                actions.add(action(new Fields(a, "an action of " + f.where())));
            }
            f.keepUnknown(Places.of("reaction", id), unknown);
            out.add(new Reaction(id, new Trigger.Tapped(element), actions));
        }
        return out;
    }

    private Action action(Fields f) throws FileProblem {
        String key = f.text("action"), timeline = f.text("timeline");
        if (timelines.stream().noneMatch(t -> t.id().equals(timeline))) {
            throw f.problem("timeline", "names a timeline that isn't there");
        }
        for (Action.Verb v : Action.Verb.values()) {
            if (v.key.equals(key)) {
                return new Action.Move(v, timeline, v == Action.Verb.GO_TO ? f.whole("time", 0, Limits.TIME) : 0);
            }
        }
        throw f.problem("action", "is not one that this version knows");
    }
}
