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
import tundra.core.fit.Lens;
import tundra.core.frame.TextMeasurer;
import tundra.core.geometry.Point;
import tundra.core.model.Board;
import tundra.core.model.Differs;
import tundra.core.model.Element;
import tundra.core.model.Layout;
import tundra.core.model.Motif;
import tundra.core.model.Place;
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.core.model.Scene;
import tundra.core.model.Timeline;

/**
 * The layouts of a piece's scenes and motifs on its page: each is compiled as if it were all there is, and said as what differs from the scene. The
 * player changes what is on the page from one to the other, and keeps what goes on.
 */
final class LayoutPages {
    /**
     * A scene or motif in one of its layouts.
     *
     * @param layout null for the scene as it is drawn
     * @param grown the same larger and smaller to each side that counts; none where nothing follows its size
     */
    record Variant(Layout layout, Project project, Place place, Markup markup, List<Variant> grown) {
        List<StyleSheet> styles() {
            return grown.stream().map(g -> g.markup.css()).toList();
        }
    }

    /** Writes a board as the player reads it. */
    interface BoardWriter {
        void write(ObjectNode o, Project p, Place s, Markup markup);
    }

    /** Stands for the scene as it is drawn among its layouts. */
    static final String DRAWN = "";
    private final Map<String, List<Variant>> of = new LinkedHashMap<>();
    /** Scenes as they are drawn, and wider, of those that follow their width. */
    private final Map<String, Variant> drawn = new LinkedHashMap<>();

    /** Whether a scene has a way of its own into its window. */
    private boolean rooms;

    private LayoutPages() {}

    /**
     * @param prepared what is done to a piece before it is compiled, with what is known of its texts then
     */
    static LayoutPages of(Project piece, TextMeasurer measure, BiFunction<Project, ValueTexts, Project> prepared) {
        var out = new LayoutPages();
        for (Place s : piece.places()) {
            out.rooms |= !s.board().canvas().get(Properties.SCENE_RESIZE).equals(Properties.SCENE_RESIZE.standard());
            for (Layout l : s.board().layouts()) {
                Variant v = variant(piece.mapBoard(s.id(), b -> Lens.get(b, l.id()).withLayouts(all(b))), s.id(), l, measure, prepared);
                if (!v.grown().isEmpty()) {
                    v.markup().css().fluid(v.markup().css().names(), v.styles());
                    Covering.css(v.markup(), v.place().board());
                }
                out.of.computeIfAbsent(s.id(), id -> new ArrayList<>()).add(v);
            }
            if (s instanceof Scene && Fluid.is(s.board())) {
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
        Board b = p.place(scene).board();
        return compiled(p, scene, l, measure, prepared, p.scene(scene) == null || !Fluid.is(b) ? List.of()
                : Grown.of(b).stream().map(g -> compiled(p, scene, l, measure, (piece, values) -> prepared.apply(piece, values)
                .mapBoard(scene, g::apply), List.of())).toList());
    }

    private static Variant compiled(Project piece, String scene, Layout l, TextMeasurer measure, BiFunction<Project, ValueTexts, Project> prepared,
            List<Variant> grown) {
        var values = new ValueTexts();
        Project p = prepared.apply(piece, values);
        var markup = new Markup(p, measure, values);
        markup.layout(p.place(scene), l);
        return new Variant(l, p, p.place(scene), markup, grown);
    }

    boolean any() {
        return !of.isEmpty() || !drawn.isEmpty() || rooms;
    }

    List<Variant> of(Place s) {
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
     * @param markup with the scene as it is drawn
     */
    void css(Scene s, Set<String> before, Markup markup) {
        StyleSheet css = markup.css();
        if (drawn.get(s.id()) instanceof Variant v) {
            var own = new LinkedHashSet<>(css.names());
            own.removeAll(before);
            css.fluid(own, v.styles());
            Covering.css(markup, s.board());
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
        int sides = Math.max(drawn.containsKey(s.id()) ? drawn.get(s.id()).grown().size() : 0, of(s).stream().mapToInt(v -> v.grown().size()).max()
                .orElse(0));
        Grown.ALL.subList(0, sides).forEach(g -> css.put(Markup.sceneTarget(s), g.variable(), "0"));
    }

    /** The looks of a motif in its layouts, like {@link #css(Scene, Set, Markup)}. */
    void css(Motif m, Set<String> before, StyleSheet css) {
        var all = new LinkedHashMap<String, StyleSheet>();
        of(m).forEach(v -> all.put(PageId.of(v.layout().id()), v.markup().css()));
        if (!all.isEmpty()) {
            var parts = new LinkedHashSet<>(css.names());
            parts.removeAll(before);
            css.layouts(inside(m), parts, all);
        }
    }

    /** The name of what an instance has its motif in, where that has layouts. */
    static String inside(Motif m) {
        return PageId.of(m.id()) + "-l";
    }

    /** What differs of a scene or motif in its layouts. */
    void data(ObjectNode scene, Place s, BoardWriter writer) {
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
            o.putArray("size").add(v.place().board().size().x()).add(v.place().board().size().y());
            room(o, v.place().board());
            ObjectNode whole = o.objectNode();
            writer.write(whole, v.project(), v.place(), v.markup());
            if (!v.grown().isEmpty()) {
                fluid(o, whole, v, writer);
            }
            JsonNode mine = scene.path("scroll").path("parallax"), there = whole.path("scroll").path("parallax");
            if (!mine.equals(there) && (mine.isArray() || there.isArray())) {
                o.set("parallax", there.isArray() ? there : o.arrayNode());
                if (!scene.has("scroll")) {
                    scene.putObject("scroll").put("length", 0).<ObjectNode>set("timelines", scene.arrayNode()).set("parallax", scene.arrayNode());
                }
            }
            instances(o, whole);
            timelines(o.putObject("timelines"), byId(scene.get("timelines")), byId(whole.get("timelines")));
            if (whole.has("mixes")) {
                o.set("mixes", whole.get("mixes"));
            }
            reactions(o, byId(scene.get("reactions")), byId(whole.get("reactions")));
        }
    }

    /** How a scene follows its room, where that isn't as usual. */
    static void room(ObjectNode o, Board b) {
        String height = b.canvas().get(Properties.SCENE_HEIGHT), resize = b.canvas().get(Properties.SCENE_RESIZE);
        if (!height.equals(Properties.SCENE_HEIGHT.standard())) {
            o.put("high", height);
        }
        if (!resize.equals(Properties.SCENE_RESIZE.standard())) {
            Point at = b.canvas().get(Properties.SCENE_POINT);
            o.putArray("resize").add(resize).add(at.x()).add(at.y());
        }
    }

    /** What of a scene goes with its size. */
    private static void fluid(ObjectNode to, ObjectNode whole, Variant v, BoardWriter writer) {
        List<JsonNode> grown = v.grown().stream().map(g -> {
            ObjectNode o = to.objectNode();
            writer.write(o, g.project(), g.place(), g.markup());
            return (JsonNode) o;
        }).toList();
        Fluid.keys(whole.get("timelines"), grown.stream().map(g -> g.get("timelines")).toList());
        widths(whole, grown);
        Fluid.keys(set(whole), grown.stream().map(LayoutPages::set).toList());
        if (whole.has("mixes") && grown.stream().allMatch(g -> g.has("mixes"))) {
            Fluid.mixes(whole.get("mixes"), grown.stream().map(g -> g.get("mixes")).toList());
        }
        Fluid.attributes(to, v.markup().html(), v.grown().stream().map(g -> g.markup().html()).toList());
    }

    /** How wide the instances are whose motifs have layouts. */
    private static void instances(ObjectNode o, JsonNode whole) {
        ArrayNode out = o.arrayNode();
        for (JsonNode i : whole.path("instances")) {
            if (i.has("wide")) {
                out.add(i);
            }
        }
        if (!out.isEmpty()) {
            o.set("instances", out);
        }
    }

    /** The widths of such instances go with that of the scene. */
    private static void widths(JsonNode drawn, List<JsonNode> grown) {
        for (int n = 0; n < drawn.path("instances").size(); n++) {
            JsonNode i = drawn.get("instances").get(n);
            int at = n;
            List<JsonNode> others = grown.stream().map(g -> g.path("instances").path(at).path("wide")).toList();
            if (i.has("wide") && others.stream().anyMatch(w -> !w.equals(i.get("wide")))) {
                ((ObjectNode) i).putArray("grown").addAll(others);
            }
        }
    }

    /** All that reactions set, in their order: the same in each size of a scene. */
    private static JsonNode set(JsonNode board) {
        ArrayNode out = ((ObjectNode) board).arrayNode();
        for (JsonNode r : board.get("reactions")) {
            for (String field : List.of("do", "otherwise")) {
                r.path(field).forEach(a -> {
                    if (a.has("to") && a.get("to").has("tracks")) {
                        out.add(a.get("to"));
                    }
                });
            }
        }
        return out;
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
