package tundra.core.file;

import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.Locale;
import java.util.Map;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;
import tundra.core.geometry.Contour;
import tundra.core.geometry.Node;
import tundra.core.geometry.Outline;
import tundra.core.geometry.Point;
import tundra.core.model.Asset;
import tundra.core.model.Board;
import tundra.core.model.Color;
import tundra.core.model.Content;
import tundra.core.model.Drawing;
import tundra.core.model.Effect;
import tundra.core.model.Element;
import tundra.core.model.Flipbook;
import tundra.core.model.Gradient;
import tundra.core.model.Limits;
import tundra.core.model.Motif;
import tundra.core.model.Place;
import tundra.core.model.Outputs;
import tundra.core.model.PageSettings;
import tundra.core.model.Opening;
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.core.model.Property;
import tundra.core.model.Quad;
import tundra.core.model.Scatter;
import tundra.core.model.Scene;
import tundra.core.model.Slots;
import tundra.core.model.States;
import tundra.core.model.Transition;
import tundra.core.model.Tree;
import tundra.core.model.Values;

/** Writes a project as the JSON that docs/file-format.md describes, always in the same order. */
final class ProjectWriter {
    private final Project project;
    final TimelineWriter ofTimelines = new TimelineWriter(this);
    final ReactionWriter ofReactions = new ReactionWriter(this);

    ProjectWriter(Project project) {
        this.project = project;
    }

    static String write(Project p) {
        return new ProjectWriter(p).project().toPrettyString() + "\n";
    }

    private ObjectNode project() {
        ObjectNode o = Json.MAPPER.createObjectNode();
        o.put("tundra", Limits.SCHEMA).put("id", project.id()).put("name", project.name()).put("frameRate", project.frameRate());
        ArrayNode scenes = o.putArray("scenes");
        project.scenes().forEach(s -> scenes.add(place(s)));
        if (!project.values().isEmpty()) {
            ArrayNode values = o.putArray("values");
            project.values().forEach(v -> {
                ObjectNode one = values.addObject().put("id", v.id()).put("name", v.name()).put("kind", v.kind().key()).put("start", v.start());
                if (v.kept()) {
                    one.put("kept", true);
                }
                unknown(one, FileObjects.of("value", v.id()));
            });
        }
        if (!project.scripts().isEmpty()) {
            ArrayNode scripts = o.putArray("scripts");
            project.scripts().forEach(x -> {
                ObjectNode one = scripts.addObject().put("id", x.id()).put("name", x.name()).put("source", x.source());
                if (!x.comments()) {
                    one.put("comments", false);
                }
                unknown(one, FileObjects.of("script", x.id()));
            });
        }
        if (!project.reactions().isEmpty()) {
            ArrayNode reactions = o.putArray("reactions");
            project.reactions().forEach(r -> reactions.add(ofReactions.reaction(r)));
        }
        if (!project.motifs().isEmpty()) {
            ArrayNode motifs = o.putArray("motifs");
            project.motifs().forEach(m -> motifs.add(motif(m)));
        }
        ArrayNode assets = o.putArray("assets");
        for (Asset a : project.assets().values()) {
            ObjectNode n = assets.addObject().put("hash", a.hash()).put("name", a.name()).put("type", a.mediaType());
            switch (a.kind()) {
                case PICTURE -> n.put("width", a.width()).put("height", a.height());
                case VIDEO -> n.put("width", a.width()).put("height", a.height()).put("duration", a.duration());
                case SOUND -> n.put("duration", a.duration());
                case FONT -> { }
            }
            unknown(n, FileObjects.of("asset", a.hash()));
        }
        if (!project.easings().isEmpty()) {
            ArrayNode easings = o.putArray("easings");
            project.easings().forEach(e -> easings.addObject().put("name", e.name()).put("easing", e.easing().text()));
        }
        if (!project.swatches().isEmpty()) {
            ArrayNode swatches = o.putArray("swatches");
            project.swatches().forEach(s -> swatches.addObject().put("name", s.name()).put("color", s.color().hex()));
        }
        if (!project.page().equals(PageSettings.USUAL)) {
            OutputWriter.page(o.putObject("page"), project.page());
        }
        if (!project.muted().isEmpty()) {
            ArrayNode muted = o.putArray("muted");
            project.muted().forEach(m -> {
                ObjectNode one = muted.addObject().put("check", m.check()).put("place", m.place());
                if (!m.element().isEmpty()) {
                    one.put("element", m.element());
                }
                one.put("reason", m.reason());
            });
        }
        if (!project.outputs().equals(Outputs.USUAL)) {
            ArrayNode outputs = o.putArray("outputs");
            project.outputs().forEach(x -> unknown(OutputWriter.output(outputs.addObject(), x), FileObjects.of("output", x.id())));
        }
        return unknown(o, FileObjects.PROJECT);
    }

    ObjectNode unknown(ObjectNode o, String place) {
        String text = project.unknown().get(place);
        if (text != null) {
            Json.MAPPER.readTree(text).properties().forEach(e -> {
                if (!o.has(e.getKey())) {
                    o.set(e.getKey(), e.getValue());
                }
            });
        }
        return o;
    }

    private ObjectNode motif(Motif m) {
        ObjectNode o = place(m);
        if (m.states() != null) {
            ObjectNode states = o.putObject("states").put("travel", m.states().travel());
            for (States.State s : States.State.values()) {
                if (m.states().at().containsKey(s)) {
                    states.put(s.name().toLowerCase(Locale.ROOT), m.states().at().get(s));
                }
            }
            unknown(states, FileObjects.of("states", m.id()));
        }
        if (m.pictures()) {
            o.put("pictures", true);
        }
        return o;
    }

    private ObjectNode place(Place s) {
        Board b = s.board();
        ObjectNode o = Json.MAPPER.createObjectNode().put("id", s.id()).put("name", s.name());
        if (s instanceof Scene x) {
            opening(o, x.opening());
        }
        o.set("size", pair(b.size()));
        o.set("canvas", unknown(values(b.canvas()), FileObjects.of("canvas", s.id())));
        ArrayNode elements = o.putArray("elements");
        b.elements().forEach(e -> elements.add(element(e)));
        if (!b.lines().isEmpty()) {
            ArrayNode lines = o.putArray("lines");
            b.lines().forEach(l -> lines.addObject().put("upright", l.upright()).put("at", l.at()));
        }
        ArrayNode timelines = o.putArray("timelines");
        var order = new HashMap<String, Integer>();
        order.put(Board.CANVAS, 0);
        Tree.owners(b.elements()).forEach(id -> order.put(id, order.size()));
        b.timelines().forEach(t -> timelines.add(ofTimelines.timeline(t, order)));
        if (!b.drags().isEmpty()) {
            ArrayNode drags = o.putArray("drags");
            b.drags().forEach(d -> drags.add(unknown(ReactionWriter.dragging(d), FileObjects.of("drag", d.id()))));
        }
        ArrayNode reactions = o.putArray("reactions");
        b.reactions().forEach(r -> reactions.add(ofReactions.reaction(r)));
        if (!b.layouts().isEmpty()) {
            var layout = new LayoutWriter(this, order);
            ArrayNode layouts = o.putArray("layouts");
            b.layouts().forEach(l -> layouts.add(layout.layout(l)));
        }
        return unknown(o, FileObjects.of("scene", s.id()));
    }

    private ObjectNode element(Element e) {
        ObjectNode o = Json.MAPPER.createObjectNode().put("id", e.id()).put("name", e.name()).put("type", e.content() instanceof Content.Block
                ? "block" : e.content().word());
        if (e.locked()) {
            o.put("locked", true);
        }
        if (e.hidden()) {
            o.put("hidden", true);
        }
        if (e.guide()) {
            o.put("guide", true);
        }
        o.set("rest", unknown(values(plain(e)), FileObjects.of("rest", e.id())));
        if (!e.effects().isEmpty()) {
            ArrayNode effects = o.putArray("effects");
            for (Effect x : e.effects()) {
                ObjectNode n = effects.addObject().put("id", x.id()).put("kind", x.kind().key());
                if (!x.on()) {
                    n.put("off", true);
                }
                n.setAll(values(x.rest()));
                unknown(n, FileObjects.of("effect", x.id()));
            }
        }
        switch (e.content()) {
            case Content.Path p -> {
                o.set("box", pair(p.box()));
                o.set("outline", outline(p.outline()));
                if (p.evenOdd()) {
                    o.put("evenOdd", true);
                }
            }
            case Content.Text t -> o.put("text", t.text()).put("family", t.family()).put("weight", t.weight())
                    .put("fontSize", t.size()).put("align", t.align().word()).put("lineHeight", t.lineHeight())
                    .put("wrap", t.wrap());
            case Content.Picture p -> o.put("asset", p.asset());
            case Content.Group g -> {
                o.set("box", pair(g.box()));
                if (g.clip() != null) {
                    o.set("clip", outline(g.clip()));
                }
                if (g.scatter() != null) {
                    ObjectNode s = o.putObject("scatter").put("count", g.scatter().count());
                    for (Scatter.Channel c : Scatter.Channel.values()) {
                        Scatter.Range r = g.scatter().range(c);
                        s.putObject(c.name().toLowerCase(Locale.ROOT)).put("from", r.from()).put("to", r.to()).put("seed", r.seed());
                    }
                }
                ArrayNode children = o.putArray("children");
                g.children().forEach(c -> children.add(element(c)));
            }
            case Flipbook b -> {
                o.set("box", pair(b.box()));
                o.put("rate", b.rate()).put("ending", b.ending().name().toLowerCase(Locale.ROOT));
                ArrayNode drawings = o.putArray("drawings");
                for (Drawing d : b.drawings()) {
                    ObjectNode n = drawings.addObject().put("start", d.start()).put("frames", d.frames());
                    n.set("art", element(d.art()));
                    unknown(n, FileObjects.of("drawing", d.id()));
                }
            }
            case Content.Instance i -> {
                o.put("motif", i.motif());
                o.set("box", pair(i.box()));
                o.put("clock", i.clock().own() ? "own" : "parent").put("repeat", i.clock().repeat().name().toLowerCase(Locale.ROOT))
                        .put("phase", i.clock().phase())
                        .put("speed", i.clock().speed());
            }
            case Content.Block b -> {
                o.put("block", b.kind().key());
                o.set("box", pair(b.box()));
                ReactionWriter.slots(o.putObject("settings"), changed(b));
                if (b.kind().gallery()) {
                    ArrayNode children = o.putArray("children");
                    b.children().forEach(c -> children.add(element(c)));
                }
            }
            case Content.Polygon p -> o.put("points", p.points()).put("inner", p.inner());
            case Content.Rectangle r -> { }
            case Content.Ellipse x -> { }
        }
        return unknown(o, FileObjects.of("element", e.id()));
    }

    /** The settings of a block that are otherwise than at first. */
    private static Slots changed(Content.Block b) {
        var out = new LinkedHashMap<>(b.settings().values());
        out.entrySet().removeIf(x -> x.getValue().equals(x.getKey().standard()));
        return new Slots(out);
    }

    private static ArrayNode outline(Outline outline) {
        ArrayNode out = Json.MAPPER.createArrayNode();
        for (Contour c : outline.contours()) {
            ArrayNode nodes = out.addObject().put("closed", c.closed()).putArray("nodes");
            for (Node n : c.nodes()) {
                nodes.addArray().add(n.at().x()).add(n.at().y()).add(n.in().x()).add(n.in().y()).add(n.out().x()).add(n.out().y())
                        .add(n.smooth() ? 1 : 0);
            }
        }
        return out;
    }

    /** What isn't written with the content. */
    private static Values plain(Element e) {
        Values v = e.rest();
        if (e.content() instanceof Content.Text) {
            for (Property<?> p : Properties.OF_TEXT) {
                v = v.without(p);
            }
        }
        return e.content() instanceof Content.Group || e.content() instanceof Content.Block ? v.without(Properties.SIZE) : v;
    }

    ObjectNode values(Values v) {
        ObjectNode o = Json.MAPPER.createObjectNode();
        for (Property<?> p : Properties.ALL) {
            if (v.has(p)) {
                o.set(p.key(), value(v.get(p)));
            }
        }
        return o;
    }

    static JsonNode value(Object v) {
        return switch (v) {
            case Color c -> Json.MAPPER.getNodeFactory().stringNode(c.hex());
            case Gradient g -> gradient(g);
            case String s -> Json.MAPPER.getNodeFactory().stringNode(s);
            case Point p -> pair(p);
            case Quad q -> Json.MAPPER.createArrayNode().add(q.r()).add(q.g()).add(q.b()).add(q.a());
            case Outline o -> outline(o);
            case Double d -> Json.MAPPER.getNodeFactory().numberNode(d);
            default -> throw new IllegalStateException("no JSON for " + v.getClass());
        };
    }

    private static ObjectNode gradient(Gradient g) {
        ObjectNode o = Json.MAPPER.createObjectNode().put("gradient", g.kind().name().toLowerCase(Locale.ROOT));
        o.set("start", pair(g.start()));
        o.set("end", pair(g.end()));
        o.set("side", pair(g.side()));
        o.set("focus", pair(g.focus()));
        o.put("spread", g.spread().name().toLowerCase(Locale.ROOT));
        ArrayNode stops = o.putArray("stops");
        g.stops().forEach(s -> stops.addObject().put("at", s.at()).put("color", s.color().hex()));
        return o;
    }

    static ArrayNode pair(Point p) {
        return Json.MAPPER.createArrayNode().add(p.x()).add(p.y());
    }

    /** What belongs to elements, in the order of the elements. */
    static <V> Map<String, V> ordered(Map<String, V> m, Map<String, Integer> order) {
        var out = new LinkedHashMap<String, V>();
        m.entrySet().stream().sorted(Comparator.comparingInt((Map.Entry<String, V> e) -> order.getOrDefault(e.getKey(), Integer.MAX_VALUE))
                .thenComparing(Map.Entry::getKey))
                .forEach(e -> out.put(e.getKey(), e.getValue()));
        return out;
    }

    static String word(Enum<?> e) {
        return e.name().toLowerCase(Locale.ROOT);
    }

    private static void opening(ObjectNode o, Opening x) {
        if (!x.transition().equals(Transition.CUT)) {
            o.put("transition", x.transition().text());
        }
        if (x.keeps()) {
            o.put("keeps", true);
        }
        if (x.pieceGround()) {
            o.put("pieceGround", true);
        }
    }

}
