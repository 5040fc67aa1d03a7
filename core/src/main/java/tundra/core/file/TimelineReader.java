package tundra.core.file;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import tools.jackson.databind.JsonNode;
import tundra.core.geometry.Point;
import tundra.core.model.Board;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Properties;
import tundra.core.model.Property;
import tundra.core.model.Timeline;
import tundra.core.model.Tree;
import tundra.core.motion.Easing;
import tundra.core.motion.EasingText;
import tundra.core.motion.Key;
import tundra.core.motion.Track;

/** Reads the timelines of a scene. */
final class TimelineReader {
    /** Reads and checks the id of an object. */
    interface IdReader {
        String id(Fields f) throws FileProblem;
    }

    private final Set<String> elements;
    private final Map<String, Content> contents = new HashMap<>();
    private final Map<String, String> unknown;
    private final IdReader ids;
    private int keys;

    TimelineReader(Set<String> ids, List<Element> tree, Map<String, String> unknown, IdReader reader) {
        this.elements = ids;
        Tree.each(tree, e -> contents.put(e.id(), e.content()));
        this.unknown = unknown;
        this.ids = reader;
    }

    List<Timeline> read(Fields scene) throws FileProblem {
        var out = new ArrayList<Timeline>();
        for (JsonNode n : scene.list("timelines")) {
            out.add(timeline(new Fields(n, "timeline " + (out.size() + 1) + " of " + scene.where())));
        }
        if (out.isEmpty()) {
            throw scene.problem("timelines", "should hold at least one timeline");
        }
        return out;
    }

    private Timeline timeline(Fields f) throws FileProblem {
        var t = new Timeline(ids.id(f), f.text("name"), f.whole("duration", 1, Limits.TIME), f.flag("loop"), f.flag("starts"), Map.of());
        Fields all = f.object("keys");
        for (String element : all.names()) {
            if (!elements.contains(element) && !element.equals(Board.CANVAS)) {
                throw f.problem("keys", "name an element that isn't there (" + element + ")");
            }
            Fields of = all.object(element);
            for (String name : of.names()) {
                Property<?> p = Properties.byKey(name);
                if (p != null && p.appliesTo().test(contents.get(element))) {
                    t = track(t, of, element, p);
                }
            }
            of.keepUnknown(Places.keys(t.id(), element), unknown);
        }
        f.keepUnknown(Places.of("timeline", t.id()), unknown);
        return t;
    }

    private <T> Timeline track(Timeline t, Fields of, String element, Property<T> p) throws FileProblem {
        var list = new ArrayList<Key<T>>();
        for (JsonNode n : of.list(p.key())) {
            var f = new Fields(n, "key " + (list.size() + 1) + " of " + p.key() + " in " + of.where());
            long at = f.whole("at", 0, t.duration());
            if (!list.isEmpty() && at <= list.getLast().time()) {
                throw f.problem("at", "should come after the key before it");
            }
            Point in = f.has("in") ? f.pair("in", -Limits.LENGTH, Limits.LENGTH) : Point.ZERO;
            Point out = f.has("out") ? f.pair("out", -Limits.LENGTH, Limits.LENGTH) : Point.ZERO;
            list.add(new Key<>(at, ValueReader.value(p, f.raw("value"), f, "value"), easing(f), in, out));
            f.keepUnknown(Places.key(t.id(), element, p, at), unknown);
            if (++keys > Limits.KEYS) {
                throw new FileProblem("it holds more than " + Limits.KEYS + " keys");
            }
        }
        return list.isEmpty() ? t : t.with(element, p, new Track<>(list));
    }

    private static Easing easing(Fields f) throws FileProblem {
        try {
            return EasingText.parse(f.text("easing"));
        } catch (IllegalArgumentException e) {
            throw f.problem("easing", "is not one that this version knows");
        }
    }
}
