package tundra.core.file;

import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;
import tundra.core.geometry.Contour;
import tundra.core.geometry.Node;
import tundra.core.geometry.Outline;
import tundra.core.geometry.Point;
import tundra.core.model.Action;
import tundra.core.model.Asset;
import tundra.core.model.Board;
import tundra.core.model.Color;
import tundra.core.model.Content;
import tundra.core.model.Dragging;
import tundra.core.model.Drawing;
import tundra.core.model.Effect;
import tundra.core.model.Element;
import tundra.core.model.Flipbook;
import tundra.core.model.Gradient;
import tundra.core.model.Limits;
import tundra.core.model.MapData;
import tundra.core.model.Motif;
import tundra.core.model.Place;
import tundra.core.model.PlacedSound;
import tundra.core.model.Output;
import tundra.core.model.Outputs;
import tundra.core.model.PageSettings;
import tundra.core.model.Opening;
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.core.model.Property;
import tundra.core.model.Quad;
import tundra.core.model.Reaction;
import tundra.core.model.Scatter;
import tundra.core.model.Scene;
import tundra.core.model.Scroll;
import tundra.core.model.Setting;
import tundra.core.model.Slots;
import tundra.core.model.Span;
import tundra.core.model.States;
import tundra.core.model.Timeline;
import tundra.core.model.Transition;
import tundra.core.model.Tree;
import tundra.core.model.Values;
import tundra.core.motion.Key;
import tundra.core.motion.PathShape;
import tundra.core.motion.Track;

/** Writes a project as the JSON that docs/file-format.md describes, always in the same order. */
final class ProjectWriter {
    private final Project project;

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
            project.reactions().forEach(r -> reactions.add(reaction(r)));
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
            page(o.putObject("page"), project.page());
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
            project.outputs().forEach(x -> unknown(output(outputs.addObject(), x), FileObjects.of("output", x.id())));
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
        b.timelines().forEach(t -> timelines.add(timeline(t, order)));
        if (!b.drags().isEmpty()) {
            ArrayNode drags = o.putArray("drags");
            b.drags().forEach(d -> drags.add(unknown(dragging(d), FileObjects.of("drag", d.id()))));
        }
        ArrayNode reactions = o.putArray("reactions");
        b.reactions().forEach(r -> reactions.add(reaction(r)));
        if (!b.layouts().isEmpty()) {
            var layout = new LayoutWriter(this, order);
            ArrayNode layouts = o.putArray("layouts");
            b.layouts().forEach(l -> layouts.add(layout.layout(l)));
        }
        return unknown(o, FileObjects.of("scene", s.id()));
    }

    private ObjectNode element(Element e) {
        ObjectNode o = Json.MAPPER.createObjectNode().put("id", e.id()).put("name", e.name()).put("type", e.content() instanceof Content.Block ? "block" : e.content().word());
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
                o.put("clock", i.clock().own() ? "own" : "parent").put("repeat", i.clock().repeat().name().toLowerCase(Locale.ROOT)).put("phase", i.clock().phase())
                        .put("speed", i.clock().speed());
            }
            case Content.Block b -> {
                o.put("block", b.kind().key());
                o.set("box", pair(b.box()));
                slots(o.putObject("settings"), changed(b));
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
        m.entrySet().stream().sorted(Comparator.comparingInt((Map.Entry<String, V> e) -> order.getOrDefault(e.getKey(), Integer.MAX_VALUE)).thenComparing(Map.Entry::getKey))
                .forEach(e -> out.put(e.getKey(), e.getValue()));
        return out;
    }

    private ObjectNode timeline(Timeline t, Map<String, Integer> order) {
        ObjectNode o = Json.MAPPER.createObjectNode().put("id", t.id()).put("name", t.name()).put("duration", t.duration())
                .put("loop", t.loop()).put("starts", t.starts());
        if (t.scroll() != null) {
            Scroll s = t.scroll();
            ObjectNode scroll = o.putObject("scroll").put("length", s.length()).put("from", s.from()).put("to", s.to()).put("smooth", s.smooth()).put("rests", s.rests());
            if (s.through() != null) {
                scroll.put("through", s.through());
            }
        }
        ObjectNode keys = o.putObject("keys");
        var all = ordered(t.tracks(), order);
        all.forEach((element, of) -> {
            ObjectNode tracks = keys.putObject(element);
            of.forEach((p, track) -> tracks.set(p.key(), track(t.id(), element, p, track)));
            unknown(tracks, FileObjects.keys(t.id(), element));
        });
        extras(o, t, all, order);
        return unknown(o, FileObjects.of("timeline", t.id()));
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
            ordered(t.shown(), order).forEach((element, span) -> shown.set(element, span(span)));
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
            o.set("value", value(k.value()));
            o.put("easing", k.easing().text());
            if (k.own()) {
                o.set("in", pair(k.in()));
                o.set("out", pair(k.out()));
            }
            unknown(o, FileObjects.key(timeline, element, p, k.time()));
        }
        return out;
    }

    private static ObjectNode dragging(Dragging d) {
        ObjectNode o = Json.MAPPER.createObjectNode().put("id", d.id());
        ArrayNode pairs = o.putArray("pairs");
        d.pairs().forEach(p -> p.places().forEach(pairs.addObject().put("part", p.part()).putArray("places")::add));
        var fit = d.fit();
        o.put("way", word(d.motion().way())).put("missed", word(fit.missed())).put("back", fit.back()).put("overlap", word(fit.overlap())).put("share", fit.share())
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
            o.put("cursor", word(d.carried().cursor()));
        }
        if (!d.carried().look().isEmpty()) {
            ArrayNode look = o.putArray("look");
            d.carried().look().forEach(s -> setting(look.addObject(), s));
        }
        return o;
    }

    private static void setting(ObjectNode o, Setting s) {
        o.put("property", s.property().key()).set("to", value(s.value()));
    }

    private static String word(Enum<?> e) {
        return e.name().toLowerCase(Locale.ROOT);
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
        return unknown(o, FileObjects.of("reaction", r.id()));
    }

    /** Only what isn't as it is at first. */
    private static ObjectNode output(ObjectNode o, Output x) {
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

    private static void page(ObjectNode o, PageSettings p) {
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

    private static void actions(ObjectNode o, String field, List<Action> all) {
        ArrayNode out = o.putArray(field);
        all.forEach(a -> slots(out.addObject().put("action", a.kind().key()), a.slots()));
    }

    private static void slots(ObjectNode o, Slots slots) {
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

    private static void sound(PlacedSound x, ObjectNode o) {
        o.put("id", x.id()).put("asset", x.asset()).put("at", x.start()).put("volume", x.volume());
        for (var e : java.util.Map.of("fadeIn", x.fadeIn(), "fadeOut", x.fadeOut(), "from", x.from(), "length", x.length()).entrySet().stream()
                .sorted(java.util.Map.Entry.comparingByKey()).toList()) {
            if (e.getValue() > 0) {
                o.put(e.getKey(), e.getValue());
            }
        }
        if (x.loop()) {
            o.put("loop", true);
        }
    }
}
