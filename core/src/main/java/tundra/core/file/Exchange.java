package tundra.core.file;

import java.util.List;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;
import tundra.core.model.Element;
import tundra.core.model.Place;
import tundra.core.model.Project;
import tundra.core.model.Property;
import tundra.core.model.Timeline;
import tundra.core.motion.Key;
import tundra.core.motion.Track;

/** The elements and timelines of a piece as JSON for other programs; docs/exchange.md and its schema say what stands in it. */
public final class Exchange {
    private static final int VERSION = 1;
    private final Project project;
    private final ProjectWriter values;

    private Exchange(Project project) {
        this.project = project;
        values = new ProjectWriter(project);
    }

    public static String json(Project p) {
        return new Exchange(p).all().toPrettyString() + "\n";
    }

    private ObjectNode all() {
        ObjectNode o = Json.MAPPER.createObjectNode().put("tundraTimelines", VERSION).put("name", project.name())
                .put("frameRate", project.frameRate());
        ArrayNode boards = o.putArray("boards");
        for (Place p : project.places()) {
            ObjectNode b = boards.addObject().put("kind", project.scene(p.id()) != null ? "scene" : "motif").put("id", p.id()).put("name", p.name());
            b.set("size", ProjectWriter.pair(p.board().size()));
            elements(b.putArray("elements"), p.board().elements(), null);
            ArrayNode timelines = b.putArray("timelines");
            p.board().timelines().forEach(t -> timeline(timelines.addObject(), t));
        }
        return o;
    }

    /** From back to front, what lies in a group after it. */
    private void elements(ArrayNode to, List<Element> in, String parent) {
        for (Element e : in) {
            ObjectNode o = to.addObject().put("id", e.id()).put("name", e.name()).put("kind", e.content().word()).put("parent", parent);
            o.set("values", values.values(e.rest()));
            elements(to, e.children(), e.id());
        }
    }

    private void timeline(ObjectNode o, Timeline t) {
        o.put("id", t.id()).put("name", t.name()).put("seconds", t.duration() / 1e6).put("loop", t.loop()).put("starts", t.starts());
        ArrayNode markers = o.putArray("markers");
        t.markers().forEach(m -> markers.addObject().put("name", m.name()).put("seconds", m.time() / 1e6));
        ArrayNode tracks = o.putArray("tracks");
        t.tracks().forEach((owner, of) -> of.forEach((p, track) -> track(tracks.addObject(), owner, p, track)));
    }

    private void track(ObjectNode o, String owner, Property<?> p, Track<?> track) {
        o.put("element", owner).put("property", p.key()).put("unit", p.unit());
        ArrayNode keys = o.putArray("keys");
        for (Key<?> k : track.keys()) {
            ObjectNode one = keys.addObject().put("seconds", k.time() / 1e6);
            one.set("value", ProjectWriter.value(k.value()));
            one.put("easing", k.easing().text());
            if (k.own()) {
                one.set("in", ProjectWriter.pair(k.in()));
                one.set("out", ProjectWriter.pair(k.out()));
            }
        }
    }
}
