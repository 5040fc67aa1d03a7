package tundra.core.fit;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import tundra.core.model.Board;
import tundra.core.model.Differs;
import tundra.core.model.Layout;
import tundra.core.model.Properties;
import tundra.core.model.Property;
import tundra.core.model.Values;

/** One thing that a layout can change of the base: what is handed back, copied to another layout, or made the base's. */
public sealed interface Override {
    /** A resting value of the canvas, an element or an effect. */
    record Value(String owner, Property<?> property) implements Override {}

    record Words(String element) implements Override {}

    /** The keys of a property on a timeline. */
    record Keys(String timeline, String owner, Property<?> property) implements Override {}

    /** When an element is seen. */
    record Shown(String timeline, String element) implements Override {}

    /** Whether a timeline starts by itself, or stands at its end. */
    record Starts(String timeline) implements Override {}

    /** The order of what a group, or the canvas with an empty id, holds. */
    record Order(String parent) implements Override {}

    record Reacts(String reaction) implements Override {}

    /** All that a layout changes, always in the same order. */
    static List<Override> of(Differs d) {
        var out = new ArrayList<Override>();
        d.values().keySet().stream().sorted().forEach(owner -> Properties.ALL.stream().filter(p -> d.values().get(owner).has(p))
                .forEach(p -> out.add(new Value(owner, p))));
        d.words().keySet().stream().sorted().forEach(e -> out.add(new Words(e)));
        d.timelines().keySet().stream().sorted().forEach(t -> {
            Differs.OfTimeline x = d.timelines().get(t);
            var keyed = new LinkedHashSet<>(x.tracks().keySet());
            keyed.addAll(x.gone());
            keyed.stream().sorted(Comparator.comparing((Differs.Keyed k) -> k.owner()).thenComparingInt(k -> k.property().index()))
                    .forEach(k -> out.add(new Keys(t, k.owner(), k.property())));
            x.shown().keySet().stream().sorted().forEach(e -> out.add(new Shown(t, e)));
            if (x.starts() != null || x.ended()) {
                out.add(new Starts(t));
            }
        });
        d.order().keySet().stream().sorted().forEach(p -> out.add(new Order(p)));
        d.reactions().keySet().forEach(r -> out.add(new Reacts(r)));
        d.off().stream().sorted().filter(r -> !d.reactions().containsKey(r)).forEach(r -> out.add(new Reacts(r)));
        return out;
    }

    /** Of what differs, that which is of one property of an owner: its value and its keys, of a position also those of one of its axes. */
    static List<Override> of(Collection<Override> own, String owner, Property<?> p) {
        return own.stream().filter(o -> o instanceof Value v && v.owner.equals(owner) && v.property == p || o instanceof Keys k
                && k.owner.equals(owner)
                && (k.property == p || p == Properties.POSITION && (k.property == Properties.POSITION_X || k.property == Properties.POSITION_Y)))
                .toList();
    }

    /** What differs without this: it is as in the base again. */
    static Differs handedBack(Differs d, Override o) {
        return switch (o) {
            case Value v -> d.withValues(v.owner, x -> x.without(v.property));
            case Words w -> d.withWords(w.element, null);
            case Keys k -> d.withTimeline(k.timeline, x -> x.without(new Differs.Keyed(k.owner, k.property)));
            case Shown s -> d.withTimeline(s.timeline, x -> x.withShown(s.element, null));
            case Starts s -> d.withTimeline(s.timeline, x -> x.withStarts(null).withEnded(false));
            case Order x -> d.withOrder(x.parent, null);
            case Reacts r -> {
                var own = new LinkedHashMap<>(d.reactions());
                var off = new HashSet<>(d.off());
                own.remove(r.reaction);
                off.remove(r.reaction);
                yield d.withReactions(own, off);
            }
        };
    }

    /** What differs, with this as it is in other differences. */
    static Differs copied(Differs from, Override o, Differs to) {
        Differs d = handedBack(to, o);
        return switch (o) {
            case Value v -> from.values().containsKey(v.owner) ? d.withValues(v.owner, x -> with(x, v.property, from.values().get(v.owner))) : d;
            case Words w -> d.withWords(w.element, from.words().get(w.element));
            case Keys k -> {
                var key = new Differs.Keyed(k.owner, k.property);
                Differs.OfTimeline x = from.timelines().getOrDefault(k.timeline, Differs.OfTimeline.NOTHING);
                yield x.tracks().containsKey(key) || x.gone().contains(key) ? d.withTimeline(k.timeline, y -> y.with(key, x.tracks().get(key))) : d;
            }
            case Shown s -> d.withTimeline(s.timeline, x -> x.withShown(s.element, from.timelines()
                    .getOrDefault(s.timeline, Differs.OfTimeline.NOTHING).shown().get(s.element)));
            case Starts s -> {
                Differs.OfTimeline x = from.timelines().getOrDefault(s.timeline, Differs.OfTimeline.NOTHING);
                yield d.withTimeline(s.timeline, y -> y.withStarts(x.starts()).withEnded(x.ended()));
            }
            case Order x -> d.withOrder(x.parent, from.order().get(x.parent));
            case Reacts r -> {
                var own = new LinkedHashMap<>(d.reactions());
                var off = new HashSet<>(d.off());
                if (from.reactions().containsKey(r.reaction)) {
                    own.put(r.reaction, from.reactions().get(r.reaction));
                }
                if (from.off().contains(r.reaction)) {
                    off.add(r.reaction);
                }
                yield d.withReactions(own, off);
            }
        };
    }

    private static <T> Values with(Values v, Property<T> p, Values from) {
        return from.has(p) ? v.with(p, from.get(p)) : v;
    }

    /** A board on which a layout's way is everyone's: the base has it, and the layout no longer differs there. */
    static Board toBase(Board base, String layout, Override o) {
        Layout l = base.layout(layout);
        Layout alone = l.withDiffers(copied(l.differs(), o, Differs.NOTHING)).withSize(base.size());
        Board plain = Lens.get(base.withLayouts(List.of(alone)), layout);
        return plain.withLayouts(base.layouts()).mapLayout(layout, x -> x.withDiffers(handedBack(x.differs(), o)));
    }
}
