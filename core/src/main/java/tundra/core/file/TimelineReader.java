package tundra.core.file;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import tools.jackson.databind.JsonNode;
import tundra.core.geometry.Point;
import tundra.core.model.Board;
import tundra.core.model.Canvas;
import tundra.core.model.Element;
import tundra.core.model.Limits;
import tundra.core.model.Marker;
import tundra.core.model.Owner;
import tundra.core.model.PlacedSound;
import tundra.core.model.Properties;
import tundra.core.model.Property;
import tundra.core.model.Scroll;
import tundra.core.model.Span;
import tundra.core.model.Timeline;
import tundra.core.model.Tree;
import tundra.core.model.Values;
import tundra.core.motion.Easing;
import tundra.core.motion.EasingText;
import tundra.core.motion.Key;
import tundra.core.motion.PathShape;
import tundra.core.motion.Track;

/** Reads the timelines of a scene. */
final class TimelineReader {
    /** Reads and checks the id of an object. */
    interface IdReader {
        String id(Fields f) throws FileProblem;
    }

    private final Set<String> elements;
    private final Map<String, Owner> owners = new HashMap<>();
    private final Map<String, String> unknown;
    private final IdReader ids;
    private final Set<String> soundAssets;
    private Fields paths;
    private final Parts parts;
    private int keys;

    /** @param sounds the hashes of the sounds on the shelf */
    TimelineReader(Set<String> ids, List<Element> tree, Set<String> sounds, Map<String, String> unknown, IdReader reader, Parts parts) {
        this.parts = parts;
        this.elements = ids;
        owners.put(Board.CANVAS, new Canvas(Values.NONE));
        Tree.each(tree, e -> {
            owners.put(e.id(), e);
            e.effects().forEach(x -> owners.put(x.id(), x));
        });
        this.soundAssets = sounds;
        this.unknown = unknown;
        this.ids = reader;
    }

    List<Timeline> read(Fields scene) throws FileProblem {
        var out = new ArrayList<Timeline>();
        for (JsonNode n : scene.list("timelines")) {
            parts.part(() -> out.add(timeline(new Fields(n, "timeline " + (out.size() + 1) + " of " + scene.where()))));
        }
        if (out.isEmpty()) {
            throw scene.problem("timelines", "should hold at least one timeline");
        }
        return out;
    }

    private Scroll scroll(Fields f) throws FileProblem {
        double from = f.number("from", 0, 1), to = f.number("to", 0, 1);
        String through = f.has("through") ? f.text("through") : null;
        if (from >= to) {
            throw f.problem("to", "should be more than from");
        }
        if (through != null && !elements.contains(through)) {
            throw f.problem("through", "names an element that isn't there");
        }
        return new Scroll(f.number("length", 1, 1_000_000), from, to, f.flag("smooth"), f.flag("rests"), through);
    }

    private Timeline timeline(Fields f) throws FileProblem {
        var t = new Timeline(ids.id(f), f.text("name"), f.whole("duration", 1, Limits.TIME), f.flag("loop"), f.flag("starts"), Map.of())
                .withScroll(f.has("scroll") ? scroll(f.object("scroll")) : null);
        t = extras(keys(t, f), f);
        f.keepUnknown(FileObjects.of("timeline", t.id()), unknown);
        return t;
    }

    /** With the keys of an object. Lists without any are no keys. */
    Timeline keys(Timeline t, Fields f) throws FileProblem {
        paths = f.has("paths") ? f.object("paths") : null;
        Fields all = f.object("keys");
        var made = new Timeline[] {t};
        for (String element : all.names()) {
            parts.part(() -> {
                if (!elements.contains(element) && !element.equals(Board.CANVAS)) {
                    throw f.problem("keys", "name an element that isn't there (" + element + ")");
                }
                Fields of = all.object(element);
                for (String name : of.names()) {
                    Property<?> p = Properties.byKey(name);
                    if (p != null && Properties.keyed(p) && p.appliesTo(owners.get(element))) {
                        parts.part(() -> made[0] = track(made[0], of, element, p));
                    }
                }
                of.keepUnknown(FileObjects.keys(made[0].id(), element), unknown);
            });
        }
        return made[0];
    }

    /** What can have keys, by its id; null for what isn't there. */
    Owner owner(String id) {
        return owners.get(id);
    }

    private <T> Timeline track(Timeline t, Fields of, String element, Property<T> p) throws FileProblem {
        var list = new ArrayList<Key<T>>();
        int count = 0;
        for (JsonNode n : of.list(p.key())) {
            String where = "key " + ++count + " of " + p.key() + " in " + of.where();
            parts.part(() -> key(t, new Fields(n, where), element, p, list));
        }
        return list.isEmpty() ? t : t.with(element, p, new Track<>(list, p == Properties.POSITION ? shape(paths, element) : PathShape.PLAIN));
    }

    private <T> void key(Timeline t, Fields f, String element, Property<T> p, List<Key<T>> list) throws FileProblem {
        long at = f.whole("at", 0, t.duration());
        if (!list.isEmpty() && at <= list.getLast().time()) {
            throw f.problem("at", "should come after the key before it");
        }
        Point in = f.has("in") ? f.pair("in", -Limits.LENGTH, Limits.LENGTH) : Point.ZERO;
        Point out = f.has("out") ? f.pair("out", -Limits.LENGTH, Limits.LENGTH) : Point.ZERO;
        boolean own = f.has("own") ? f.flag("own") : f.has("in") || f.has("out");
        list.add(new Key<>(at, ValueReader.value(p, f.raw("value"), f, "value"), easing(f, "easing"), in, out, own));
        f.keepUnknown(FileObjects.key(t.id(), element, p, at), unknown);
        if (++keys > Limits.KEYS) {
            throw new Parts.TooMuch("it holds more than " + Limits.KEYS + " keys");
        }
    }

    private static PathShape shape(Fields paths, String element) throws FileProblem {
        if (paths == null || !paths.has(element)) {
            return PathShape.PLAIN;
        }
        Fields f = paths.object(element);
        return new PathShape(f.number("bend", 0, 1), f.flag("closed"), f.has("whole") ? easing(f, "whole") : null);
    }

    /** With when elements are seen. */
    Timeline shown(Timeline t, Fields f) throws FileProblem {
        var out = new Timeline[] {t};
        Fields shown = f.has("shown") ? f.object("shown") : null;
        for (String element : shown == null ? List.<String>of() : shown.names()) {
            parts.part(() -> {
                if (!elements.contains(element)) {
                    throw f.problem("shown", "names an element that isn't there (" + element + ")");
                }
                out[0] = out[0].withShown(element, span(shown, element));
            });
        }
        return out[0];
    }

    private Timeline extras(Timeline timeline, Fields f) throws FileProblem {
        Timeline t = shown(timeline, f);
        var markers = new ArrayList<Marker>();
        for (JsonNode n : f.has("markers") ? f.list("markers") : List.<JsonNode>of()) {
            parts.part(() -> {
                var m = new Fields(n, "a marker of " + f.where());
                markers.add(new Marker(ids.id(m), m.text("name"), m.whole("at", 0, t.duration())));
            });
        }
        var sounds = new ArrayList<PlacedSound>();
        for (JsonNode n : f.has("sounds") ? f.list("sounds") : List.<JsonNode>of()) {
            parts.part(() -> {
                var m = new Fields(n, "a sound of " + f.where());
                if (!soundAssets.contains(m.text("asset"))) {
                    throw m.problem("asset", "names a sound that is missing from the file");
                }
                sounds.add(new PlacedSound(ids.id(m), m.text("asset"), m.whole("at", 0, t.duration()), m.number("volume", 0, 1), time(m, "fadeIn"),
                        time(m, "fadeOut"),
                        time(m, "from"), time(m, "length"), m.has("loop") && m.flag("loop")));
            });
        }
        return t.withMarkers(markers).withSounds(sounds).withRange(f.has("range") ? span(f, "range") : null);
    }

    /** A time that is 0 where it isn't said. */
    private static long time(Fields f, String name) throws FileProblem {
        return f.has(name) ? f.whole(name, 0, Limits.TIME) : 0;
    }

    private static Span span(Fields f, String name) throws FileProblem {
        Fields s = f.object(name);
        long from = s.whole("from", 0, Limits.TIME);
        return new Span(from, s.whole("to", from + 1, Limits.TIME));
    }

    static Easing easing(Fields f, String field) throws FileProblem {
        try {
            return EasingText.parse(f.text(field));
        } catch (IllegalArgumentException e) {
            throw f.problem(field, "is not one that this version knows");
        }
    }
}
