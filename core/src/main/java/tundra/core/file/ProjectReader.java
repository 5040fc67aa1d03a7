package tundra.core.file;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;
import tundra.core.edit.Motifs;
import tundra.core.edit.OutputEdits;
import tundra.core.edit.Reactions;
import tundra.core.edit.Shown;
import tundra.core.geometry.Point;
import tundra.core.model.Asset;
import tundra.core.model.AssetData;
import tundra.core.model.Board;
import tundra.core.model.Canvas;
import tundra.core.model.Dragging;
import tundra.core.model.Element;
import tundra.core.model.KeptEasing;
import tundra.core.model.Limits;
import tundra.core.model.Motif;
import tundra.core.model.Opening;
import tundra.core.model.Muted;
import tundra.core.model.Output;
import tundra.core.model.Outputs;
import tundra.core.model.PageSettings;
import tundra.core.model.PieceValue;
import tundra.core.model.Project;
import tundra.core.model.Reaction;
import tundra.core.model.RulerLine;
import tundra.core.model.Scene;
import tundra.core.model.Script;
import tundra.core.model.Slot;
import tundra.core.model.States;
import tundra.core.model.Swatch;
import tundra.core.model.Transition;
import tundra.core.model.Tree;
import tundra.core.model.Values;
import tundra.core.motion.Easing;

/** Reads the JSON of a project. Everything is checked; a wrong place throws a {@link FileProblem} that names it. */
final class ProjectReader {
    final Map<String, String> unknown = new HashMap<>();
    private final Set<String> ids = new HashSet<>();
    final Set<String> pictures = new HashSet<>();
    final Set<String> sounds = new HashSet<>();
    final Set<String> videos = new HashSet<>();
    final Set<String> files = new HashSet<>();
    ReactionReader.Around around;
    final Set<String> motifIds = new HashSet<>();
    final Parts parts;
    private ProjectReader(Parts parts) {
        this.parts = parts;
    }

    /** @param data the bytes of the brought-in files by hash */
    static Project read(byte[] json, Map<String, AssetData> data, Parts parts) throws FileProblem {
        JsonNode root;
        try {
            root = Json.MAPPER.readTree(json);
        } catch (JacksonException e) {
            throw new FileProblem("its project.json is damaged" + line(e) + " and can't be read", e);
        }
        return new ProjectReader(parts).project(root, data);
    }

    private static String line(JacksonException e) {
        int line = e.getLocation() == null ? 0 : e.getLocation().getLineNr();
        return line > 0 ? " near line " + line : "";
    }

    private Project project(JsonNode root, Map<String, AssetData> data) throws FileProblem {
        var f = new Fields(root, "the project");
        long schema = f.whole("tundra", 1, Long.MAX_VALUE);
        if (schema > Limits.SCHEMA) {
            throw new FileProblem("it was saved by a newer Tundra (schema " + schema + "; this one reads up to " + Limits.SCHEMA
                    + "), so open it with that version");
        }
        for (Migration m : Migration.ALL.subList((int) schema - 1, Migration.ALL.size())) {
            m.apply((ObjectNode) root);
        }
        var assets = new LinkedHashMap<String, Asset>();
        for (JsonNode n : f.list("assets")) {
            parts.part(() -> {
                Asset a = asset(new Fields(n, "asset " + (assets.size() + 1)), data);
                assets.put(a.hash(), a);
                switch (a.kind()) {
                    case PICTURE -> pictures.add(a.hash());
                    case SOUND -> sounds.add(a.hash());
                    case VIDEO -> videos.add(a.hash());
                    case FILE -> files.add(a.hash());
                    case FONT -> { }
                }
            });
        }
        var values = new ArrayList<PieceValue>();
        for (JsonNode n : f.has("values") ? f.list("values") : List.<JsonNode>of()) {
            parts.part(() -> values.add(value(new Fields(n, "value " + (values.size() + 1) + nameIn(n)))));
        }
        var scripts = new ArrayList<Script>();
        for (JsonNode n : f.has("scripts") ? f.list("scripts") : List.<JsonNode>of()) {
            parts.part(() -> scripts.add(script(new Fields(n, "script " + (scripts.size() + 1) + nameIn(n)))));
        }
        Set<String> sceneIds = new HashSet<>(), valueIds = new HashSet<>(), scriptIds = new HashSet<>();
        scripts.forEach(x -> scriptIds.add(x.id()));
        f.list("scenes").stream().map(n -> n.path("id").asString("")).filter(ProjectReader::possible).forEach(sceneIds::add);
        values.forEach(v -> valueIds.add(v.id()));
        var motifNodes = f.has("motifs") ? f.list("motifs") : List.<JsonNode>of();
        Set<String> motifMarkers = new HashSet<>();
        motifNodes.forEach(n -> n.path("timelines").forEach(t -> t.path("markers").forEach(m -> motifMarkers.add(m.path("id").asString("")))));
        around = new ReactionReader.Around(sceneIds, valueIds, scriptIds, sounds, motifMarkers);
        motifNodes.forEach(n -> motifIds.add(n.path("id").asString("")));
        var motifs = new ArrayList<Motif>();
        for (JsonNode n : motifNodes) {
            parts.part(() -> motifs.add(motif(new Fields(n, "motif " + (motifs.size() + 1) + nameIn(n)))));
        }
        var scenes = new ArrayList<Scene>();
        for (JsonNode n : f.list("scenes")) {
            parts.part(() -> scenes.add(scene(new Fields(n, "scene " + (scenes.size() + 1)))));
        }
        if (scenes.isEmpty() || scenes.size() > 1000) {
            throw f.problem("scenes", "should hold 1 to 1000 scenes");
        }
        int rate = (int) f.whole("frameRate", 1, 240);
        String id = id(f), name = f.text("name");
        var swatches = new ArrayList<Swatch>();
        for (JsonNode n : f.has("swatches") ? f.list("swatches") : List.<JsonNode>of()) {
            parts.part(() -> {
                var s = new Fields(n, "swatch " + (swatches.size() + 1));
                swatches.add(new Swatch(s.text("name"), ValueReader.color(s.raw("color"), s, "color")));
            });
        }
        var easings = new ArrayList<KeptEasing>();
        for (JsonNode n : f.has("easings") ? f.list("easings") : List.<JsonNode>of()) {
            parts.part(() -> {
                var e = new Fields(n, "kept easing " + (easings.size() + 1));
                easings.add(new KeptEasing(e.text("name"), TimelineReader.easing(e, "easing")));
            });
        }
        var reactions = f.has("reactions") ? ReactionReader.ofPiece(around, unknown, this::id, parts).read(f) : List.<Reaction>of();
        var page = new PageSettings[] {PageSettings.USUAL};
        if (f.has("page")) {
            parts.part(() -> page[0] = OutputReader.page(f.object("page")));
        }
        var outputs = f.has("outputs") ? new ArrayList<Output>() : Outputs.USUAL;
        for (JsonNode n : f.has("outputs") ? f.list("outputs") : List.<JsonNode>of()) {
            parts.part(() -> outputs.add(new OutputReader(this::id, unknown).output(new Fields(n, "output " + (outputs.size() + 1) + nameIn(n)))));
        }
        var muted = new ArrayList<Muted>();
        for (JsonNode n : f.has("muted") ? f.list("muted") : List.<JsonNode>of()) {
            parts.part(() -> {
                var m = new Fields(n, "muted finding " + (muted.size() + 1));
                muted.add(new Muted(SlotReader.words(m, "check"), SlotReader.words(m, "place"), m.has("element") ? SlotReader.words(m, "element")
                        : "", SlotReader.words(m, "reason")));
            });
        }
        f.keepUnknown(FileObjects.PROJECT, unknown);
        var p = new Project(id, name, rate, scenes, assets, swatches, easings, motifs, values, scripts, reactions, page[0], outputs, muted,
                Map.copyOf(unknown));
        // what led to scenes that were left out goes with them
        p = OutputEdits.tidied(Reactions.tidied(p));
        for (Motif m : motifs) {
            if (Motifs.holds(p, m.id(), m.id())) {
                throw new FileProblem("the motif “" + m.name() + "” holds itself");
            }
        }
        String shown = Shown.problem(p);
        if (shown != null) {
            throw new Parts.TooMuch(shown);
        }
        // instances of motifs that were left out go with them
        Set<String> there = new HashSet<>();
        motifs.forEach(m -> there.add(m.id()));
        return motifs.size() == motifNodes.size() ? p : p.mapBoards(b -> Motifs.withoutInstances(b, x -> !there.contains(x)));
    }

    /** Whether an id can be one: none of those that stand for something else. */
    private static boolean possible(String id) {
        return id.matches("[A-Za-z0-9_-]{1,64}") && !id.equals(Board.CANVAS) && !id.equals(Slot.INSTANCE);
    }

    String id(Fields f) throws FileProblem {
        String id = f.text("id");
        if (!possible(id)) {
            throw f.problem("id", "should be 1 to 64 letters, digits, - or _");
        }
        if (!ids.add(id)) {
            throw f.problem("id", "is used twice (" + id + ")");
        }
        return id;
    }

    private Asset asset(Fields f, Map<String, AssetData> data) throws FileProblem {
        String hash = f.text("hash"), type = f.text("type");
        AssetData bytes = data.get(hash);
        if (bytes == null) {
            throw new FileProblem("“" + f.text("name") + "” of the shelf is missing from it");
        }
        if (!bytes.hash().equals(hash)) {
            throw new FileProblem("“" + f.text("name") + "” of the shelf is damaged in it");
        }
        Asset a;
        if (type.matches("image/(png|jpeg|webp|gif)")) {
            int w = (int) f.whole("width", 1, Limits.SIDE), h = (int) f.whole("height", 1, Limits.SIDE);
            if ((long) w * h > Limits.PIXELS) {
                throw f.problem("width", "and height make more than " + Limits.PIXELS + " pixels");
            }
            a = new Asset(hash, f.text("name"), type, w, h, 0, bytes);
        } else if (type.matches("audio/(wav|mpeg|ogg|flac|mp4)")) {
            a = new Asset(hash, f.text("name"), type, 0, 0, f.whole("duration", 1, Limits.TIME), bytes);
        } else if (type.matches("font/(ttf|otf)")) {
            a = new Asset(hash, f.text("name"), type, 0, 0, 0, bytes);
        } else if (type.matches("video/(mp4|webm)")) {
            a = new Asset(hash, f.text("name"), type, (int) f.whole("width", 1, Limits.SIDE), (int) f.whole("height", 1, Limits.SIDE),
                    f.whole("duration", 1, Limits.TIME), bytes);
        } else if (type.equals(Asset.WORDS) || type.equals(Asset.FILES)) {
            a = new Asset(hash, f.text("name"), type, 0, 0, 0, bytes);
        } else {
            throw f.problem("type", "should be a picture, sound, video, font or file type that Tundra knows");
        }
        f.keepUnknown(FileObjects.of("asset", hash), unknown);
        return a;
    }

    private Scene scene(Fields f) throws FileProblem {
        String id = id(f), name = f.text("name");
        return new Scene(id, name, board(f, id, Set.of()), opening(f));
    }

    private static Opening opening(Fields f) throws FileProblem {
        Transition t = f.has("transition") ? Transition.parse(f.text("transition")) : Transition.CUT;
        if (t == null) {
            throw f.problem("transition", "should be a transition such as push left 500000 ease");
        }
        return new Opening(t, f.flag("keeps"), f.flag("pieceGround"));
    }

    private Script script(Fields f) throws FileProblem {
        String id = id(f), name = f.text("name"), source = f.text("source");
        if (!name.matches(Script.NAME)) {
            throw f.problem("name", "should be the name of a function");
        }
        boolean comments = !f.has("comments") || f.flag("comments");
        f.keepUnknown(FileObjects.of("script", id), unknown);
        return new Script(id, name, source, comments);
    }

    private PieceValue value(Fields f) throws FileProblem {
        String id = id(f), name = f.text("name"), kind = f.text("kind"), start = f.text("start");
        PieceValue.Kind k = Arrays.stream(PieceValue.Kind.values()).filter(x -> x.key().equals(kind)).findFirst().orElse(null);
        if (k == null) {
            throw f.problem("kind", "should be text, number or yesNo");
        }
        boolean kept = f.flag("kept");
        f.keepUnknown(FileObjects.of("value", id), unknown);
        return new PieceValue(id, name, k, start, kept);
    }

    private Motif motif(Fields f) throws FileProblem {
        String id = id(f), name = f.text("name");
        States states = f.has("states") ? states(f.object("states"), id) : null;
        boolean pictures = f.has("pictures") && f.flag("pictures");
        return new Motif(id, name, board(f, id, Set.of(Slot.INSTANCE)), states, pictures);
    }

    private States states(Fields f, String motif) throws FileProblem {
        var s = new States(Map.of(), f.whole("travel", 0, Limits.TIME));
        for (States.State x : States.State.values()) {
            String key = x.name().toLowerCase(Locale.ROOT);
            s = f.has(key) ? s.with(x, f.whole(key, 0, Limits.TIME)) : s;
        }
        f.keepUnknown(FileObjects.of("states", motif), unknown);
        return s;
    }

    /** @param also what reactions may name besides the elements */
    private Board board(Fields f, String id, Set<String> also) throws FileProblem {
        var ofElements = new ElementReader(this);
        Point size = f.pair("size", 1, Limits.SIDE);
        Fields canvas = f.object("canvas");
        Values values = ValueReader.values(canvas, new Canvas(Values.NONE));
        canvas.keepUnknown(FileObjects.of("canvas", id), unknown);
        List<Element> elements = ofElements.elements(f, "elements");
        Set<String> here = Tree.ids(elements), owners = Tree.owners(elements);
        var ofTimelines = new TimelineReader(owners, elements, sounds, unknown, this::id, parts);
        var timelines = ofTimelines.read(f);
        var named = new HashSet<>(here);
        named.addAll(also);
        Set<String> layouts = new HashSet<>();
        for (JsonNode n : f.has("layouts") ? f.list("layouts") : List.<JsonNode>of()) {
            layouts.add(n.path("id").asString(""));
        }
        var ofReactions = new ReactionReader(named, timelines, layouts, around, unknown, this::id, parts);
        var reactions = ofReactions.read(f);
        var drags = new ArrayList<Dragging>();
        for (JsonNode n : f.has("drags") ? f.list("drags") : List.<JsonNode>of()) {
            parts.part(() -> drags.add(dragging(new Fields(n, "what can be dragged in " + f.where()), here)));
        }
        var lines = new ArrayList<RulerLine>();
        for (JsonNode n : f.has("lines") ? f.list("lines") : List.<JsonNode>of()) {
            parts.part(() -> {
                var l = new Fields(n, "a ruler line of " + f.where());
                lines.add(new RulerLine(l.flag("upright"), l.number("at", -Limits.LENGTH, Limits.LENGTH)));
            });
        }
        Board base = new Board(size, values, elements, timelines, reactions, lines, drags);
        Board board = LayoutReader.named(new LayoutReader(ofTimelines, ofReactions, this::id, unknown, parts).read(base, f), layouts);
        f.keepUnknown(FileObjects.of("scene", id), unknown);
        return board;
    }

    private static Easing easing(Fields f) throws FileProblem {
        Easing e = TimelineReader.easing(f, "easing");
        if (e == null) {
            throw f.problem("easing", "should be an easing");
        }
        return e;
    }

    private Dragging dragging(Fields f, Set<String> here) throws FileProblem {
        String id = id(f);
        var pairs = new ArrayList<Dragging.Pair>();
        for (JsonNode n : f.list("pairs")) {
            var p = new Fields(n, "a pair of " + f.where());
            var places = new ArrayList<String>();
            for (JsonNode x : p.list("places")) {
                places.add(there(p, "places", x.asString(""), here));
            }
            pairs.add(new Dragging.Pair(there(p, "part", p.text("part"), here), places));
        }
        if (pairs.isEmpty()) {
            throw f.problem("pairs", "names no part");
        }
        var motion = new Dragging.Motion(ValueReader.word(Dragging.Way.class, f, "way"), f.has("area") ? there(f, "area", f.text("area"), here)
                : null, f.flag("glides"));
        var fit = new Dragging.Fit(ValueReader.word(Dragging.Overlap.class, f, "overlap"), f.number("share", 0, 1), f.flag("snaps"), f.flag("many"),
                ValueReader.word(Dragging.Missed.class, f, "missed"), f.whole("back", 0, Limits.TIME), f.has("easing") ? easing(f)
                : Dragging.Fit.USUAL);
        var carried = new Dragging.Carried(f.number("opacity", 0, 1), f.number("tilt", -360, 360),
                f.has("cursor") ? ValueReader.word(Dragging.Cursor.class, f, "cursor") : Dragging.Cursor.GRABBING, List.of());
        for (JsonNode n : f.has("look") ? f.list("look") : List.<JsonNode>of()) {
            carried = carried.with(ReactionReader.setting(new Fields(n, "how a part looks in " + f.where())));
        }
        f.keepUnknown(FileObjects.of("drag", id), unknown);
        return new Dragging(id, pairs, motion, fit, carried);
    }

    private static String there(Fields f, String field, String id, Set<String> here) throws FileProblem {
        if (!here.contains(id)) {
            throw f.problem(field, "names an element that isn't there");
        }
        return id;
    }

    static String nameIn(JsonNode n) {
        String name = n.path("name").asString("");
        return name.isEmpty() ? "" : " “" + name.substring(0, Math.min(40, name.length())) + "”";
    }

}
