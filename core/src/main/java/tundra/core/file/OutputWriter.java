package tundra.core.file;

import tools.jackson.databind.node.ObjectNode;
import tundra.core.model.Output;
import tundra.core.model.PageSettings;

/** The outputs of a piece and how its page is, as JSON. */
final class OutputWriter {
    private OutputWriter() {}

    /** Only what isn't as it is at first. */
    static ObjectNode output(ObjectNode o, Output x) {
        o.put("id", x.id()).put("kind", x.kind().key()).put("name", x.name());
        if (!x.file().isEmpty()) {
            o.put("file", x.file());
        }
        ObjectNode settings = Json.MAPPER.createObjectNode();
        x.settings().values().forEach((slot, v) -> {
            if (!v.equals(slot.standard())) {
                settings.set(slot.key(), Json.MAPPER.valueToTree(v));
            }
        });
        if (!settings.isEmpty()) {
            o.set("settings", settings);
        }
        return o;
    }

    static void page(ObjectNode o, PageSettings p) {
        o.put("fit", p.fit().key()).put("language", p.language());
        if (!p.ground().equals(PageSettings.USUAL.ground())) {
            o.put("ground", p.ground().hex());
        }
        if (p.history()) {
            o.put("history", true);
        }
        if (!p.over().isEmpty()) {
            o.put("over", p.over());
        }
    }
}
