package tundra.core.file;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.function.UnaryOperator;
import tools.jackson.databind.JsonNode;
import tundra.core.model.Board;
import tundra.core.model.Content;
import tundra.core.model.Differs;
import tundra.core.model.Element;
import tundra.core.model.Layout;
import tundra.core.model.Limits;
import tundra.core.model.Owner;
import tundra.core.model.Properties;
import tundra.core.model.Property;
import tundra.core.model.Reaction;
import tundra.core.model.Slot;
import tundra.core.model.Timeline;
import tundra.core.model.Values;
import tundra.core.motion.Track;

/** Reads the layouts of a scene or motif. What they say of something that isn't there is a damaged part. */
final class LayoutReader {
    private final TimelineReader timelines;
    private final ReactionReader reactions;
    private final TimelineReader.IdReader ids;
    private final Map<String, String> unknown;
    private final Parts parts;
    private final Set<String> inLayouts = new HashSet<>();

    LayoutReader(TimelineReader timelines, ReactionReader reactions, TimelineReader.IdReader ids, Map<String, String> unknown, Parts parts) {
        this.timelines = timelines;
        this.reactions = reactions;
        this.ids = ids;
        this.unknown = unknown;
        this.parts = parts;
    }

    /** The board with the layouts that its object holds. */
    Board read(Board base, Fields f) throws FileProblem {
        var out = new ArrayList<Layout>();
        for (JsonNode n : f.has("layouts") ? f.list("layouts") : List.<JsonNode>of()) {
            if (out.size() == Limits.LAYOUTS) {
                throw new Parts.TooMuch("a scene of it has more than " + Limits.LAYOUTS + " layouts");
            }
            parts.part(() -> {
                var of = new Fields(n, "layout " + (out.size() + 1) + " of " + f.where());
                Layout l = layout(of, base);
                if (out.stream().anyMatch(x -> x.from() < l.to() && l.from() < x.to())) {
                    throw of.problem("from", "begins among the widths of another layout");
                }
                out.add(l);
            });
        }
        out.sort(Comparator.comparingInt(Layout::from));
        return base.withLayouts(out);
    }

    /** Without reactions that name a layout which could not be read. */
    static Board named(Board b, Set<String> listed) {
        if (b.layouts().size() == listed.size()) {
            return b;
        }
        UnaryOperator<Reaction> left = r -> r.map(s -> s.mapIds((slot, id) -> slot.type() != Slot.Type.LAYOUT || b.layout(id) != null ? id : null));
        return b.withReactions(b.reactions().stream().map(left).filter(Objects::nonNull).toList()).withLayouts(b.layouts().stream().map(l -> {
            var own = new LinkedHashMap<String, Reaction>();
            l.differs().reactions().forEach((id, r) -> {
                if (left.apply(r) instanceof Reaction x) {
                    own.put(id, x);
                }
            });
            return l.withDiffers(l.differs().withReactions(own, l.differs().off()));
        }).toList());
    }

    private Layout layout(Fields f, Board base) throws FileProblem {
        String id = ids.id(f), name = f.text("name");
        int from = (int) f.whole("from", 0, Layout.WIDEST - 1), to = f.has("to") ? (int) f.whole("to", from + 1, Layout.WIDEST) : Layout.WIDEST;
        var d = new Differs[] {Differs.NOTHING};
        var size = f.pair("size", 1, Limits.SIDE);
        each(f, "rest", (rest, owner) -> {
            Fields own = rest.object(owner);
            Values v = ValueReader.overrides(own, owner(f, owner));
            own.keepUnknown(FileObjects.in(id, "rest", owner), unknown);
            d[0] = d[0].withValues(owner, x -> v);
        });
        each(f, "texts", (texts, element) -> {
            if (base.find(element) == null) {
                throw f.problem("texts", "name a text that isn't there (" + element + ")");
            }
            String words = texts.text(element);
            d[0] = base.find(element).content() instanceof Content.Text ? d[0].withWords(element, words) : d[0];
        });
        each(f, "timelines", (all, t) -> {
            if (base.timeline(t) == null) {
                throw f.problem("timelines", "name one that isn't there (" + t + ")");
            }
            Fields own = all.object(t);
            Differs.OfTimeline x = timeline(own, id + "/" + t);
            own.keepUnknown(FileObjects.in(id, "timeline", t), unknown);
            d[0] = d[0].withTimeline(t, y -> x);
        });
        each(f, "order", (all, parent) -> {
            Element group = base.find(parent);
            List<Element> there = parent.equals(Board.CANVAS) ? base.elements() : group == null ? List.of() : group.children();
            var order = new ArrayList<String>();
            for (JsonNode n : all.list(parent)) {
                String child = n.asString("");
                // what was taken into another group since has no place in this order
                if (there.stream().anyMatch(e -> e.id().equals(child)) && !order.contains(child)) {
                    order.add(child);
                }
            }
            d[0] = order.size() < 2 ? d[0] : d[0].withOrder(parent.equals(Board.CANVAS) ? "" : parent, order);
        });
        var own = new LinkedHashMap<String, Reaction>();
        Set<String> ofBase = new HashSet<>();
        base.reactions().forEach(r -> ofBase.add(r.id()));
        if (f.has("reactions")) {
            reactions.read(f, x -> reaction(x, ofBase, own.keySet())).forEach(r -> own.put(r.id(), r));
        }
        var off = new HashSet<String>();
        for (JsonNode n : f.has("off") ? f.list("off") : List.<JsonNode>of()) {
            if (ofBase.contains(n.asString(""))) {
                off.add(n.asString(""));
            }
        }
        f.keepUnknown(FileObjects.of("layout", id), unknown);
        return new Layout(id, name, from, to, size, d[0].withReactions(own, off));
    }

    private interface Part {
        void read(Fields of, String id) throws FileProblem;
    }

    /** Each field of an object, which is a part of its own; a part that is damaged is left out. */
    private void each(Fields f, String field, Part read) throws FileProblem {
        Fields all = f.has(field) ? f.object(field) : null;
        for (String id : all == null ? List.<String>of() : all.names()) {
            parts.part(() -> read.read(all, id));
        }
    }

    private Owner owner(Fields f, String id) throws FileProblem {
        Owner o = timelines.owner(id);
        if (o == null) {
            throw f.problem("rest", "names an element that isn't there (" + id + ")");
        }
        return o;
    }

    /** Of a sentence that stands in place of one of the base, that several layouts have, or that is new. */
    private String reaction(Fields f, Set<String> ofBase, Set<String> here) throws FileProblem {
        String id = f.text("id");
        if (here.contains(id)) {
            throw f.problem("id", "is used twice (" + id + ")");
        }
        if (!ofBase.contains(id) && !inLayouts.contains(id)) {
            ids.id(f);
            inLayouts.add(id);
        }
        return id;
    }

    /** @param place where what this version doesn't know of its keys is kept */
    private Differs.OfTimeline timeline(Fields f, String place) throws FileProblem {
        var t = new Timeline(place, "", Limits.TIME, false, false, Map.of());
        var gone = new HashSet<Differs.Keyed>();
        var tracks = new HashMap<Differs.Keyed, Track<?>>();
        if (f.has("keys")) {
            t = timelines.keys(t, f);
            t.tracks().forEach((owner, of) -> of.forEach((p, track) -> tracks.put(new Differs.Keyed(owner, p), track)));
            Fields all = f.object("keys");
            for (String owner : all.names()) {
                Fields of = all.object(owner);
                for (String key : timelines.owner(owner) == null ? List.<String>of() : of.names()) {
                    Property<?> p = Properties.byKey(key);
                    if (p != null && p.appliesTo(timelines.owner(owner)) && of.raw(key).isArray() && of.raw(key).isEmpty()) {
                        gone.add(new Differs.Keyed(owner, p));
                    }
                }
            }
        }
        t = timelines.shown(t, f);
        return new Differs.OfTimeline(tracks, gone, t.shown(), f.has("starts") ? (Boolean) f.flag("starts") : null, f.flag("ended"));
    }
}
