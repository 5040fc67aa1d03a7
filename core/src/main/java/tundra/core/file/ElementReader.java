package tundra.core.file;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import tools.jackson.databind.JsonNode;
import tundra.core.geometry.Outline;
import tundra.core.model.BlockKind;
import tundra.core.model.Blocks;
import tundra.core.model.Clock;
import tundra.core.model.Content;
import tundra.core.model.Drawing;
import tundra.core.model.Effect;
import tundra.core.model.EffectKind;
import tundra.core.model.Element;
import tundra.core.model.Flipbook;
import tundra.core.model.LabelledSlot;
import tundra.core.model.Limits;
import tundra.core.model.Scatter;
import tundra.core.model.Slot;
import tundra.core.model.Values;

/** Elements with all that they hold: shapes, texts, groups, flipbooks, instances, blocks, effects. */
final class ElementReader {
    private final ProjectReader reader;
    /** Of the board that is read. */
    private int nodes;
    private int elements;

    ElementReader(ProjectReader reader) {
        this.reader = reader;
    }

    List<Element> elements(Fields f, String field) throws FileProblem {
        var out = new ArrayList<Element>();
        int i = 0;
        for (JsonNode n : f.list(field)) {
            String where = "element " + ++i + ProjectReader.nameIn(n) + " in " + f.where();
            reader.parts.part(() -> out.add(element(new Fields(n, where))));
            if (++elements > Limits.ELEMENTS) {
                throw new Parts.TooMuch("a scene of it holds more than " + Limits.ELEMENTS + " elements");
            }
        }
        return out;
    }

    private Element element(Fields f) throws FileProblem {
        String id = reader.id(f), name = f.text("name");
        Content content = content(f);
        Fields rest = f.object("rest");
        Values values = ValueReader.values(rest, new Element(id, name, false, false, Values.NONE, content));
        rest.keepUnknown(FileObjects.of("rest", id), reader.unknown);
        var effects = new ArrayList<Effect>();
        for (JsonNode n : f.has("effects") ? f.list("effects") : List.<JsonNode>of()) {
            reader.parts.part(() -> effects.add(effect(new Fields(n, "effect " + (effects.size() + 1) + " of " + f.where()))));
        }
        if (effects.size() > Limits.EFFECTS) {
            throw new Parts.TooMuch("“" + name + "” has " + effects.size() + " effects, and " + Limits.EFFECTS
                    + " is the most that one thing can have");
        }
        var e = new Element(id, name, f.flag("locked"), f.flag("hidden"), f.flag("guide"), values, content, effects);
        f.keepUnknown(FileObjects.of("element", id), reader.unknown);
        return e;
    }

    private Effect effect(Fields f) throws FileProblem {
        EffectKind kind = EffectKind.byKey(f.text("kind"));
        if (kind == null) {
            throw f.problem("kind", "is “" + f.text("kind") + "”, which this version doesn't know");
        }
        String id = reader.id(f);
        var made = new Effect(id, kind, !f.flag("off"), ValueReader.values(f, new Effect(id, kind, true, Values.NONE)));
        f.keepUnknown(FileObjects.of("effect", id), reader.unknown);
        return made;
    }

    private Content content(Fields f) throws FileProblem {
        String type = f.text("type");
        return switch (type) {
            case "rectangle" -> new Content.Rectangle();
            case "ellipse" -> new Content.Ellipse();
            case "polygon" -> new Content.Polygon((int) f.whole("points", 3, 100), f.number("inner", 0, 1));
            case "path" -> new Content.Path(outline(f, "outline"), f.pair("box", 0, Limits.LENGTH), f.flag("evenOdd"));
            case "text" -> new Content.Text(f.text("text"), f.text("family"), (int) f.whole("weight", 100, 900),
                    f.number("fontSize", 0.1, 10_000), align(f), f.number("lineHeight", 0.1, 10), 0, f.has("wrap")
                    ? f.number("wrap", 0, Limits.LENGTH) : 0);
            case "picture" -> picture(f);
            case "group" -> new Content.Group(elements(f, "children"), f.pair("box", 0, Limits.LENGTH),
                    f.has("clip") ? outline(f, "clip") : null,
                    f.has("scatter") ? scatter(f.object("scatter")) : null);
            case "flipbook" -> flipbook(f);
            case "instance" -> instance(f);
            case "block" -> block(f);
            default -> throw f.problem("type", "is “" + type + "”, which this version doesn't know");
        };
    }

    private Content block(Fields f) throws FileProblem {
        BlockKind kind = Blocks.byKey(f.text("block"));
        if (kind == null) {
            throw f.problem("block", "is “" + f.text("block") + "”, which this version doesn't know");
        }
        Fields settings = f.object("settings");
        var some = new HashMap<Slot, Object>();
        for (LabelledSlot s : kind.settings()) {
            if (settings.has(s.slot().key())) {
                some.put(s.slot(), setting(settings, s.slot()));
            }
        }
        return new Content.Block(kind, kind.complete(some), kind.gallery() ? elements(f, "children") : List.of(), f.pair("box", 0, Limits.LENGTH));
    }

    /** What names something of the board is looked at once that is known. */
    private Object setting(Fields f, Slot s) throws FileProblem {
        String k = s.key();
        return switch (s.type()) {
            case ELEMENT, TIMELINE -> f.text(k);
            case VALUE -> named(f, k, reader.around.values(), "a value");
            case SOUND -> named(f, k, reader.sounds, "a sound");
            case PICTURE -> named(f, k, reader.pictures, "a picture");
            case VIDEO -> named(f, k, reader.videos, "a video");
            case FILE -> named(f, k, reader.files, "a file");
            default -> SlotReader.plain(f, s);
        };
    }

    private static String named(Fields f, String field, Set<String> all, String what) throws FileProblem {
        String id = f.text(field);
        if (!id.isEmpty() && !all.contains(id)) {
            throw f.problem(field, "names " + what + " that isn't there");
        }
        return id;
    }

    private static Scatter scatter(Fields f) throws FileProblem {
        var ranges = new EnumMap<Scatter.Channel, Scatter.Range>(Scatter.Channel.class);
        for (Scatter.Channel c : Scatter.Channel.values()) {
            Fields r = f.object(c.name().toLowerCase(Locale.ROOT));
            ranges.put(c, new Scatter.Range(r.number("from", -Limits.LENGTH, Limits.LENGTH), r.number("to", -Limits.LENGTH, Limits.LENGTH),
                    r.whole("seed", Long.MIN_VALUE, Long.MAX_VALUE)));
        }
        return new Scatter((int) f.whole("count", 1, Scatter.MOST), ranges);
    }

    private Content instance(Fields f) throws FileProblem {
        String motif = f.text("motif"), clock = f.text("clock");
        if (!reader.motifIds.contains(motif)) {
            throw f.problem("motif", "names a motif that is missing from the file");
        }
        if (!clock.equals("own") && !clock.equals("parent")) {
            throw f.problem("clock", "should be own or parent");
        }
        Clock.Repeat repeat;
        try {
            repeat = Clock.Repeat.valueOf(f.text("repeat").toUpperCase(Locale.ROOT));
        } catch (IllegalArgumentException e) {
            throw f.problem("repeat", "should be loop, once or hold");
        }
        return new Content.Instance(motif, f.pair("box", 0, Limits.LENGTH),
                new Clock(clock.equals("own"), repeat, f.whole("phase", -Limits.TIME, Limits.TIME), f.number("speed", -100, 100)));
    }

    private Content flipbook(Fields f) throws FileProblem {
        var drawings = new ArrayList<Drawing>();
        for (JsonNode n : f.list("drawings")) {
            reader.parts.part(() -> {
                var d = new Fields(n, "drawing " + (drawings.size() + 1) + " of " + f.where());
                int start = (int) d.whole("start", 0, Drawing.LIMIT);
                if (!drawings.isEmpty() && start < drawings.getLast().end()) {
                    throw d.problem("start", "lies within the drawing before it");
                }
                Element art = element(d.object("art"));
                if (!(art.content() instanceof Content.Group)) {
                    throw d.problem("art", "should be a group");
                }
                drawings.add(new Drawing(art, start, (int) d.whole("frames", 1, Drawing.LIMIT)));
                d.keepUnknown(FileObjects.of("drawing", art.id()), reader.unknown);
            });
        }
        return new Flipbook(drawings, f.pair("box", 0, Limits.LENGTH), (int) f.whole("rate", 1, 240), ending(f));
    }

    private static Flipbook.Ending ending(Fields f) throws FileProblem {
        try {
            return Flipbook.Ending.valueOf(f.text("ending").toUpperCase(Locale.ROOT));
        } catch (IllegalArgumentException e) {
            throw f.problem("ending", "should be loop, hold or vanish");
        }
    }

    private static Content.Align align(Fields f) throws FileProblem {
        try {
            return Content.Align.of(f.text("align"));
        } catch (IllegalArgumentException e) {
            throw f.problem("align", "should be left, centre or right");
        }
    }

    private Content picture(Fields f) throws FileProblem {
        String asset = f.text("asset");
        if (!reader.pictures.contains(asset)) {
            throw f.problem("asset", "names a picture that is missing from the file");
        }
        return new Content.Picture(asset);
    }

    private Outline outline(Fields f, String field) throws FileProblem {
        Outline o = OutlineReader.read(f.raw(field), f, field);
        nodes += o.contours().stream().mapToInt(c -> c.nodes().size()).sum();
        if (nodes > Limits.NODES) {
            throw new Parts.TooMuch("a scene of it holds more than " + Limits.NODES + " path nodes");
        }
        return o;
    }
}
