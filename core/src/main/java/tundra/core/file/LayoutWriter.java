package tundra.core.file;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;
import tundra.core.model.Board;
import tundra.core.model.Differs;
import tundra.core.model.Layout;
import tundra.core.model.Properties;
import tundra.core.model.Property;
import tundra.core.motion.Track;

/** Writes the layouts of a scene or motif: what differs from its base. */
final class LayoutWriter {
    private final ProjectWriter writer;
    private final Map<String, Integer> order;

    /** @param order the elements and effects of the board from the first to the last */
    LayoutWriter(ProjectWriter writer, Map<String, Integer> order) {
        this.writer = writer;
        this.order = order;
    }

    ObjectNode layout(Layout l) {
        ObjectNode o = Json.MAPPER.createObjectNode().put("id", l.id()).put("name", l.name()).put("from", l.from());
        if (l.to() < Layout.WIDEST) {
            o.put("to", l.to());
        }
        o.set("size", ProjectWriter.pair(l.size()));
        Differs d = l.differs();
        if (!d.values().isEmpty()) {
            ObjectNode rest = o.putObject("rest");
            ProjectWriter.ordered(d.values(), order)
                    .forEach((owner, v) -> rest.set(owner, writer.unknown(writer.values(v), FileObjects.in(l.id(), "rest", owner))));
        }
        if (!d.words().isEmpty()) {
            ObjectNode texts = o.putObject("texts");
            ProjectWriter.ordered(d.words(), order).forEach(texts::put);
        }
        if (!d.timelines().isEmpty()) {
            ObjectNode timelines = o.putObject("timelines");
            new TreeMap<>(d.timelines())
                    .forEach((id, x) -> timelines.set(id, writer.unknown(timeline(l.id() + "/" + id, x), FileObjects.in(l.id(), "timeline", id))));
        }
        if (!d.order().isEmpty()) {
            ObjectNode orders = o.putObject("order");
            ProjectWriter.ordered(d.order(), order)
                    .forEach((parent, children) -> children.forEach(orders.putArray(parent.isEmpty() ? Board.CANVAS : parent)::add));
        }
        if (!d.reactions().isEmpty()) {
            ArrayNode reactions = o.putArray("reactions");
            d.reactions().values().forEach(r -> reactions.add(writer.ofReactions.reaction(r)));
        }
        if (!d.off().isEmpty()) {
            d.off().stream().sorted().forEach(o.putArray("off")::add);
        }
        return writer.unknown(o, FileObjects.of("layout", l.id()));
    }

    /** @param place where what this version doesn't know of its keys is kept */
    private ObjectNode timeline(String place, Differs.OfTimeline x) {
        ObjectNode o = Json.MAPPER.createObjectNode();
        if (x.starts() != null) {
            o.put("starts", x.starts());
        }
        if (x.ended()) {
            o.put("ended", true);
        }
        var tracks = new HashMap<String, Map<Property<?>, Track<?>>>();
        var gone = new HashMap<String, List<Property<?>>>();
        x.tracks().forEach((k, t) -> tracks.computeIfAbsent(k.owner(), id -> new HashMap<>()).put(k.property(), t));
        x.gone().forEach(k -> gone.computeIfAbsent(k.owner(), id -> new ArrayList<>()).add(k.property()));
        var owners = new HashMap<String, Boolean>();
        tracks.keySet().forEach(id -> owners.put(id, true));
        gone.keySet().forEach(id -> owners.put(id, true));
        if (!owners.isEmpty()) {
            ObjectNode keys = o.putObject("keys");
            ProjectWriter.ordered(owners, order).keySet().forEach(owner -> {
                ObjectNode of = keys.putObject(owner);
                for (Property<?> p : Properties.ALL) {
                    Track<?> t = tracks.getOrDefault(owner, Map.of()).get(p);
                    if (t != null) {
                        of.set(p.key(), writer.ofTimelines.track(place, owner, p, t));
                    } else if (gone.getOrDefault(owner, List.of()).contains(p)) {
                        of.putArray(p.key());
                    }
                }
                writer.unknown(of, FileObjects.keys(place, owner));
            });
        }
        TimelineWriter.paths(o, ProjectWriter.ordered(tracks, order));
        if (!x.shown().isEmpty()) {
            ObjectNode shown = o.putObject("shown");
            ProjectWriter.ordered(x.shown(), order).forEach((element, span) -> shown.set(element, TimelineWriter.span(span)));
        }
        return o;
    }
}
