package tundra.core.file;

import java.util.Map;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;
import tundra.core.model.PlacedSound;
import tundra.core.model.Properties;
import tundra.core.model.Property;
import tundra.core.model.Scroll;
import tundra.core.model.Span;
import tundra.core.model.Timeline;
import tundra.core.motion.Key;
import tundra.core.motion.PathShape;
import tundra.core.motion.Track;

/** Timelines as JSON: tracks with their keys, ways, markers, sounds and spans. */
final class TimelineWriter {
    private final ProjectWriter writer;

    TimelineWriter(ProjectWriter writer) {
        this.writer = writer;
    }

    ObjectNode timeline(Timeline t, Map<String, Integer> order) {
        ObjectNode o = Json.MAPPER.createObjectNode().put("id", t.id()).put("name", t.name()).put("duration", t.duration())
                .put("loop", t.loop()).put("starts", t.starts());
        if (t.scroll() != null) {
            Scroll s = t.scroll();
            ObjectNode scroll = o.putObject("scroll").put("length", s.length()).put("from", s.from()).put("to", s.to()).put("smooth", s.smooth())
                    .put("rests", s.rests());
            if (s.through() != null) {
                scroll.put("through", s.through());
            }
        }
        ObjectNode keys = o.putObject("keys");
        var all = ProjectWriter.ordered(t.tracks(), order);
        all.forEach((element, of) -> {
            ObjectNode tracks = keys.putObject(element);
            of.forEach((p, track) -> tracks.set(p.key(), track(t.id(), element, p, track)));
            writer.unknown(tracks, FileObjects.keys(t.id(), element));
        });
        extras(o, t, all, order);
        return writer.unknown(o, FileObjects.of("timeline", t.id()));
    }

    /** What holds for the whole motion paths of those that have one of their own shape. */
    static void paths(ObjectNode o, Map<String, Map<Property<?>, Track<?>>> tracks) {
        ObjectNode paths = Json.MAPPER.createObjectNode();
        tracks.forEach((element, of) -> {
            Track<?> track = of.get(Properties.POSITION);
            if (track != null && !track.shape().equals(PathShape.PLAIN)) {
                ObjectNode p = paths.putObject(element).put("bend", track.shape().bend()).put("closed", track.shape().closed());
                if (track.shape().whole() != null) {
                    p.put("whole", track.shape().whole().text());
                }
            }
        });
        if (!paths.isEmpty()) {
            o.set("paths", paths);
        }
    }

    private static void extras(ObjectNode o, Timeline t, Map<String, Map<Property<?>, Track<?>>> tracks, Map<String, Integer> order) {
        paths(o, tracks);
        if (!t.shown().isEmpty()) {
            ObjectNode shown = o.putObject("shown");
            ProjectWriter.ordered(t.shown(), order).forEach((element, span) -> shown.set(element, span(span)));
        }
        if (!t.markers().isEmpty()) {
            ArrayNode markers = o.putArray("markers");
            t.markers().forEach(m -> markers.addObject().put("id", m.id()).put("name", m.name()).put("at", m.time()));
        }
        if (t.range() != null) {
            o.set("range", span(t.range()));
        }
        if (!t.sounds().isEmpty()) {
            ArrayNode sounds = o.putArray("sounds");
            t.sounds().forEach(x -> sound(x, sounds.addObject()));
        }
    }

    static ObjectNode span(Span s) {
        return Json.MAPPER.createObjectNode().put("from", s.from()).put("to", s.to());
    }

    ArrayNode track(String timeline, String element, Property<?> p, Track<?> track) {
        ArrayNode out = Json.MAPPER.createArrayNode();
        for (Key<?> k : track.keys()) {
            ObjectNode o = out.addObject().put("at", k.time());
            o.set("value", ProjectWriter.value(k.value()));
            o.put("easing", k.easing().text());
            if (k.own()) {
                o.set("in", ProjectWriter.pair(k.in()));
                o.set("out", ProjectWriter.pair(k.out()));
            }
            writer.unknown(o, FileObjects.key(timeline, element, p, k.time()));
        }
        return out;
    }

    private static void sound(PlacedSound x, ObjectNode o) {
        o.put("id", x.id()).put("asset", x.asset()).put("at", x.start()).put("volume", x.volume());
        for (var e : Map.of("fadeIn", x.fadeIn(), "fadeOut", x.fadeOut(), "from", x.from(), "length", x.length()).entrySet().stream()
                .sorted(Map.Entry.comparingByKey()).toList()) {
            if (e.getValue() > 0) {
                o.put(e.getKey(), e.getValue());
            }
        }
        if (x.loop()) {
            o.put("loop", true);
        }
    }
}
