package tundra.web;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.BiFunction;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;
import tundra.core.fit.Fit;
import tundra.core.fit.Lens;
import tundra.core.frame.TextMeasurer;
import tundra.core.geometry.Point;
import tundra.core.model.Board;
import tundra.core.model.Differs;
import tundra.core.model.Element;
import tundra.core.model.Layout;
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.core.model.Scene;
import tundra.core.model.Timeline;

/**
 * The layouts of a piece's scenes on its page: each is compiled as if it were all there is, and said as what differs from the scene. The
 * player changes what is on the page from one to the other, and keeps what goes on.
 */
final class LayoutPages {
    /**
     * A scene in one of its layouts.
     *
     * @param layout null for the scene as it is drawn
     * @param wider the same some px wider; null where nothing follows its width
     * @param narrower the same some px narrower
     */
    record Variant(Layout layout, Project project, Scene scene, Markup markup, Variant wider, Variant narrower) {}

    /** Writes a board as the player reads it. */
    interface BoardWriter {
        void write(ObjectNode o, Project p, Scene s, Markup markup);
    }

    /** Stands for the scene as it is drawn among its layouts. */
    static final String DRAWN = "";
    private final Map<String, List<Variant>> of = new LinkedHashMap<>();
    /** Scenes as they are drawn, and wider, of those that follow their width. */
    private final Map<String, Variant> drawn = new LinkedHashMap<>();

    private LayoutPages() {}

    /**
     * @param prepared what is done to a piece before it is compiled, with what is known of its texts then
     */
    static LayoutPages of(Project piece, TextMeasurer measure, BiFunction<Project, ValueTexts, Project> prepared) {
        var out = new LayoutPages();
        for (Scene s : piece.scenes()) {
            for (Layout l : s.board().layouts()) {
                Variant v = variant(piece.mapBoard(s.id(), b -> Lens.get(b, l.id()).withLayouts(all(b))), s.id(), l, measure, prepared);
                if (v.wider() != null) {
                    v.markup().css().fluid(v.markup().css().names(), v.wider().markup().css(), v.narrower().markup().css());
                }
                out.of.computeIfAbsent(s.id(), id -> new ArrayList<>()).add(v);
            }
            if (Fluid.is(s.board())) {
                out.drawn.put(s.id(), variant(piece, s.id(), null, measure, prepared));
            }
        }
        return out;
    }

    /**
     * What stays beside a scene in one of its layouts, since what an element is made of on the page is the same in all of them: the layouts, and
     * what the scene as it is drawn keys and shows.
     */
    private static List<Layout> all(Board base) {
        Differs keyed = Differs.NOTHING;
        for (Timeline t : base.timelines()) {
            for (var of : t.tracks().entrySet()) {
                for (var track : of.getValue().entrySet()) {
                    keyed = keyed.withTimeline(t.id(), x -> x.with(new Differs.Keyed(of.getKey(), track.getKey()), track.getValue()));
                }
            }
            for (var shown : t.shown().entrySet()) {
                keyed = keyed.withTimeline(t.id(), x -> x.withShown(shown.getKey(), shown.getValue()));
            }
        }
        for (Element e : base.elements()) {
            keyed = hidden(e, keyed);
        }
        var out = new ArrayList<>(base.layouts());
        out.add(new Layout(DRAWN, "", 0, 1, base.size(), keyed));
        return out;
    }

    private static Differs hidden(Element e, Differs d) {
        Differs out = e.rest().get(Properties.SHOWN).equals("no") ? d.withValues(e.id(), v -> v.with(Properties.SHOWN, "no")) : d;
        for (Element c : e.children()) {
            out = hidden(c, out);
        }
        return out;
    }

    private static Variant variant(Project p, String scene, Layout l, TextMeasurer measure, BiFunction<Project, ValueTexts, Project> prepared) {
        Board b = p.scene(scene).board();
        if (!Fluid.is(b)) {
            return compiled(p, scene, l, measure, prepared, null, null);
        }
        return compiled(p, scene, l, measure, prepared, compiled(by(p, scene, Fluid.WIDER), scene, l, measure, prepared, null, null),
                compiled(by(p, scene, -Fluid.NARROWER), scene, l, measure, prepared, null, null));
    }

    private static Project by(Project p, String scene, double px) {
        return p.mapBoard(scene, x -> Fit.at(x, new Point(x.size().x() + px, x.size().y())));
    }

    private static Variant compiled(Project piece, String scene, Layout l, TextMeasurer measure, BiFunction<Project, ValueTexts, Project> prepared, Variant wider, Variant narrower) {
        var values = new ValueTexts();
        Project p = prepared.apply(piece, values);
        var markup = new Markup(p, measure, values);
        markup.layout(p.scene(scene), l);
        return new Variant(l, p, p.scene(scene), markup, wider, narrower);
    }

    boolean any() {
        return !of.isEmpty() || !drawn.isEmpty();
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
        if (drawn.get(s.id()) instanceof Variant v) {
            var own = new LinkedHashSet<>(css.names());
            own.removeAll(before);
            css.fluid(own, v.wider().markup().css(), v.narrower().markup().css());
        }
        var all = new LinkedHashMap<String, StyleSheet>();
        of(s).forEach(v -> all.put(PageId.of(v.layout().id()), v.markup().css()));
        if (!all.isEmpty()) {
            var parts = new LinkedHashSet<>(css.names());
            parts.removeAll(before);
            css.layouts(Markup.sceneTarget(s), parts, all);
            // nothing is seen before it is known which layout it is
            css.put(Markup.sceneTarget(s) + ":not([" + StyleSheet.LAYOUT + "])", "visibility", "hidden");
        }
        if (drawn.containsKey(s.id()) || of(s).stream().anyMatch(v -> v.wider() != null)) {
            css.put(Markup.sceneTarget(s), "--w", "0");
            css.put(Markup.sceneTarget(s), "--n", "0");
        }
    }

    /** What differs of a scene in its layouts. */
    void data(ObjectNode scene, Scene s, BoardWriter writer) {
        if (drawn.get(s.id()) instanceof Variant v) {
            fluid(scene, scene, v, writer);
        }
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
            if (v.wider() != null) {
                fluid(o, whole, v, writer);
            }
            timelines(o.putObject("timelines"), byId(scene.get("timelines")), byId(whole.get("timelines")));
            if (whole.has("mixes")) {
                o.set("mixes", whole.get("mixes"));
            }
            reactions(o, byId(scene.get("reactions")), byId(whole.get("reactions")));
        }
    }

    /** What of a scene goes with its width. */
    private static void fluid(ObjectNode to, ObjectNode whole, Variant v, BoardWriter writer) {
        ObjectNode wide = to.objectNode(), narrow = to.objectNode();
        writer.write(wide, v.wider().project(), v.wider().scene(), v.wider().markup());
        writer.write(narrow, v.narrower().project(), v.narrower().scene(), v.narrower().markup());
        Fluid.keys(whole.get("timelines"), wide.get("timelines"), narrow.get("timelines"));
        if (whole.has("mixes") && wide.has("mixes") && narrow.has("mixes")) {
            Fluid.mixes(whole.get("mixes"), wide.get("mixes"), narrow.get("mixes"));
        }
        Fluid.attributes(to, v.markup().html(), v.wider().markup().html(), v.narrower().markup().html());
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
