package tundra.core.file;

import java.util.List;
import java.util.Map;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;
import tundra.core.model.Action;
import tundra.core.model.Dragging;
import tundra.core.model.MapData;
import tundra.core.model.Reaction;
import tundra.core.model.Setting;
import tundra.core.model.Slots;
import tundra.core.model.Transition;

/** What a piece reacts to, as JSON. */
final class ReactionWriter {
    private final ProjectWriter writer;

    ReactionWriter(ProjectWriter writer) {
        this.writer = writer;
    }

    static ObjectNode dragging(Dragging d) {
        ObjectNode o = Json.MAPPER.createObjectNode().put("id", d.id());
        ArrayNode pairs = o.putArray("pairs");
        d.pairs().forEach(p -> p.places().forEach(pairs.addObject().put("part", p.part()).putArray("places")::add));
        var fit = d.fit();
        o.put("way", ProjectWriter.word(d.motion().way())).put("missed", ProjectWriter.word(fit.missed())).put("back", fit.back())
                .put("overlap", ProjectWriter.word(fit.overlap())).put("share", fit.share())
                .put("snaps", fit.snaps()).put("many", fit.many()).put("opacity", d.carried().opacity()).put("tilt", d.carried().tilt());
        if (!fit.easing().equals(Dragging.Fit.USUAL)) {
            o.put("easing", fit.easing().text());
        }
        if (d.motion().area() != null) {
            o.put("area", d.motion().area());
        }
        if (d.motion().glides()) {
            o.put("glides", true);
        }
        if (d.carried().cursor() != Dragging.Cursor.GRABBING) {
            o.put("cursor", ProjectWriter.word(d.carried().cursor()));
        }
        if (!d.carried().look().isEmpty()) {
            ArrayNode look = o.putArray("look");
            d.carried().look().forEach(s -> setting(look.addObject(), s));
        }
        return o;
    }

    private static void setting(ObjectNode o, Setting s) {
        o.put("property", s.property().key()).set("to", ProjectWriter.value(s.value()));
    }

    ObjectNode reaction(Reaction r) {
        ObjectNode o = Json.MAPPER.createObjectNode().put("id", r.id());
        slots(o.putObject("when").put("event", r.when().kind().key()), r.when().slots());
        if (!r.conditions().isEmpty()) {
            ArrayNode conditions = o.putArray("if");
            r.conditions().forEach(c -> slots(conditions.addObject().put("condition", c.kind().key()), c.slots()));
        }
        if (r.any()) {
            o.put("any", true);
        }
        actions(o, "do", r.actions());
        if (!r.otherwise().isEmpty()) {
            actions(o, "otherwise", r.otherwise());
        }
        if (r.off()) {
            o.put("off", true);
        }
        if (!r.group().isEmpty()) {
            o.put("group", r.group());
        }
        return writer.unknown(o, FileObjects.of("reaction", r.id()));
    }

    private static void actions(ObjectNode o, String field, List<Action> all) {
        ArrayNode out = o.putArray(field);
        all.forEach(a -> slots(out.addObject().put("action", a.kind().key()), a.slots()));
    }

    static void slots(ObjectNode o, Slots slots) {
        slots.values().forEach((slot, value) -> {
            switch (slot.type()) {
                case TIME, DURATION -> o.put(slot.key(), (Long) value);
                case NUMBER -> o.put(slot.key(), (Double) value);
                case ELEMENTS -> ((List<?>) value).forEach(o.withArray(slot.key())::addPOJO);
                case SETTING, CHANGE -> setting(o.putObject(slot.key()), (Setting) value);
                case MAP -> o.set(slot.key(), GeoJson.node((MapData) value));
                case TRANSITION -> {
                    if (!value.equals(Transition.OWN)) {
                        o.put(slot.key(), (String) value);
                    }
                }
                case CAPTIONS -> ((Map<?, ?>) value).forEach((id, words) -> o.withObject(slot.key()).put((String) id, (String) words));
                default -> o.put(slot.key(), (String) value);
            }
        });
    }
}
