package tundra.web;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;
import tundra.core.fit.Lens;
import tundra.core.frame.TextMeasurer;
import tundra.core.model.Layout;
import tundra.core.model.Project;
import tundra.core.model.Scene;

/**
 * The layouts of a piece's scenes on its page: each is compiled as if it were all there is, and said as what differs from the scene. The
 * player changes what is on the page from one to the other, and keeps what goes on.
 */
final class LayoutPages {
    /** A scene in one of its layouts. */
    record Variant(Layout layout, Project project, Scene scene, Markup markup) {}

    /** Writes a board as the player reads it. */
    interface BoardWriter {
        void write(ObjectNode o, Project p, Scene s, Markup markup);
    }

    private final Map<String, List<Variant>> of = new LinkedHashMap<>();

    private LayoutPages() {}

    /**
     * @param prepared what is done to a piece before it is compiled, with what is known of its texts then
     */
    static LayoutPages of(Project piece, TextMeasurer measure, java.util.function.BiFunction<Project, ValueTexts, Project> prepared) {
        var out = new LayoutPages();
        for (Scene s : piece.scenes()) {
            for (Layout l : s.board().layouts()) {
                var values = new ValueTexts();
                // the others stay beside it, since what an element is made of on the page is the same in all of them
                Project p = prepared.apply(piece.mapBoard(s.id(), b -> Lens.get(b, l.id()).withLayouts(b.layouts())), values);
                Scene scene = p.scene(s.id());
                var markup = new Markup(p, measure, values);
                markup.layout(scene, l);
                out.of.computeIfAbsent(s.id(), id -> new ArrayList<>()).add(new Variant(l, p, scene, markup));
            }
        }
        return out;
    }

    boolean any() {
        return !of.isEmpty();
    }

    List<Variant> of(Scene s) {
        return of.getOrDefault(s.id(), List.of());
    }

    /** All that is compiled besides the scenes themselves. */
    List<Markup> markups() {
        return of.values().stream().flatMap(List::stream).map(Variant::markup).toList();
    }

    /**
     * The looks of a scene in its layouts go to the page's style sheet.
     *
     * @param before the names that the style sheet had before the scene's came to it
     */
    void css(Scene s, Set<String> before, StyleSheet css) {
        var all = new LinkedHashMap<String, StyleSheet>();
        of(s).forEach(v -> all.put(PageId.of(v.layout().id()), v.markup().css()));
        if (!all.isEmpty()) {
            var parts = new LinkedHashSet<>(css.names());
            parts.removeAll(before);
            css.layouts(Markup.sceneTarget(s), parts, all);
            // nothing is seen before it is known which layout it is
            css.put(Markup.sceneTarget(s) + ":not([" + StyleSheet.LAYOUT + "])", "visibility", "hidden");
        }
    }

    /** What differs of a scene in its layouts. */
    void data(ObjectNode scene, Scene s, BoardWriter writer) {
        ArrayNode layouts = of(s).isEmpty() ? null : scene.putArray("layouts");
        for (Variant v : of(s)) {
            Layout l = v.layout();
            ObjectNode o = layouts.addObject().put("id", PageId.of(l.id())).put("name", l.name()).put("from", l.from());
            if (l.to() < Layout.WIDEST) {
                o.put("to", l.to());
            }
            o.putArray("size").add(v.scene().board().size().x()).add(v.scene().board().size().y());
            ObjectNode whole = o.objectNode();
            writer.write(whole, v.project(), v.scene(), v.markup());
            timelines(o.putObject("timelines"), byId(scene.get("timelines")), byId(whole.get("timelines")));
            if (whole.has("mixes")) {
                o.set("mixes", whole.get("mixes"));
            }
            reactions(o, byId(scene.get("reactions")), byId(whole.get("reactions")));
        }
    }

    private static Map<String, JsonNode> byId(JsonNode list) {
        var out = new LinkedHashMap<String, JsonNode>();
        list.forEach(n -> out.put(n.get("id").asString(), n));
        return out;
    }

    private static void timelines(ObjectNode to, Map<String, JsonNode> base, Map<String, JsonNode> own) {
        own.forEach((id, t) -> {
            JsonNode was = base.get(id);
            ObjectNode o = to.objectNode();
            for (String field : List.of("tracks", "starts")) {
                if (!t.get(field).equals(was.get(field))) {
                    o.set(field, t.get(field));
                }
            }
            if (!o.isEmpty()) {
                to.set(id, o);
            }
        });
    }

    private static void reactions(ObjectNode to, Map<String, JsonNode> base, Map<String, JsonNode> own) {
        ArrayNode reactions = to.putArray("reactions"), off = to.putArray("off");
        own.forEach((id, r) -> {
            if (!r.equals(base.get(id))) {
                reactions.add(r);
            }
        });
        base.forEach((id, r) -> {
            if (!r.equals(own.get(id))) {
                off.add(id);
            }
        });
    }
}
