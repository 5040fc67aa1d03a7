package tundra.core.model;

import java.util.Collections;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.function.UnaryOperator;
import tundra.core.motion.Track;

/**
 * What a layout changes of the base.
 *
 * @param values of the canvas, elements and effects by their ids: only the properties that differ
 * @param words of texts, by their ids
 * @param timelines by their ids
 * @param order the children of groups, and of the canvas, from back to front, by the group's id
 * @param reactions in place of those of the base with the same ids, or besides them
 * @param off ids of reactions of the base that don't hold here
 */
public record Differs(Map<String, Values> values, Map<String, String> words, Map<String, OfTimeline> timelines, Map<String, List<String>> order,
        Map<String, Reaction> reactions, Set<String> off) {
    public static final Differs NOTHING = new Differs(Map.of(), Map.of(), Map.of(), Map.of(), Map.of(), Set.of());

    /** Names keys: those of a property of an owner. */
    public record Keyed(String owner, Property<?> property) {}

    /**
     * What differs of one timeline.
     *
     * @param tracks in place of the base's
     * @param gone keys of the base that aren't there
     * @param shown when elements are seen; a span over all time for one that is always seen here
     * @param starts whether it plays by itself; null as in the base
     * @param ended whether it stands at its end from the start, as an intro that is skipped
     */
    public record OfTimeline(Map<Keyed, Track<?>> tracks, Set<Keyed> gone, Map<String, Span> shown, Boolean starts, boolean ended) {
        public static final OfTimeline NOTHING = new OfTimeline(Map.of(), Set.of(), Map.of(), null, false);

        public OfTimeline {
            tracks = Map.copyOf(tracks);
            gone = Set.copyOf(gone);
            shown = Map.copyOf(shown);
        }

        public OfTimeline with(Keyed k, Track<?> track) {
            var all = new HashMap<>(tracks);
            var less = new HashSet<>(gone);
            all.remove(k);
            less.remove(k);
            if (track == null) {
                less.add(k);
            } else {
                all.put(k, track);
            }
            return new OfTimeline(all, less, shown, starts, ended);
        }

        public OfTimeline without(Keyed k) {
            var all = new HashMap<>(tracks);
            var less = new HashSet<>(gone);
            all.remove(k);
            less.remove(k);
            return new OfTimeline(all, less, shown, starts, ended);
        }

        /** Null hands it back. */
        public OfTimeline withShown(String element, Span span) {
            var all = new HashMap<>(shown);
            if (span == null) {
                all.remove(element);
            } else {
                all.put(element, span);
            }
            return new OfTimeline(tracks, gone, all, starts, ended);
        }

        public OfTimeline withStarts(Boolean s) {
            return new OfTimeline(tracks, gone, shown, s, ended);
        }

        public OfTimeline withEnded(boolean e) {
            return new OfTimeline(tracks, gone, shown, starts, e);
        }
    }

    public Differs {
        values = Map.copyOf(values);
        words = Map.copyOf(words);
        timelines = Map.copyOf(timelines);
        order = Map.copyOf(order);
        reactions = Collections.unmodifiableMap(new LinkedHashMap<>(reactions));
        off = Set.copyOf(off);
    }

    /** Whether all is as in the base. */
    public boolean none() {
        return equals(NOTHING);
    }

    /** With what the values of an owner are; those without any value differ no more. */
    public Differs withValues(String owner, UnaryOperator<Values> change) {
        return new Differs(changed(values, owner, change.apply(values.getOrDefault(owner, Values.NONE)), Values.NONE), words, timelines, order,
                reactions, off);
    }

    /** Null hands them back. */
    public Differs withWords(String element, String text) {
        return new Differs(values, changed(words, element, text, null), timelines, order, reactions, off);
    }

    public Differs withTimeline(String id, UnaryOperator<OfTimeline> change) {
        return new Differs(values, words, changed(timelines, id, change.apply(timelines.getOrDefault(id, OfTimeline.NOTHING)), OfTimeline.NOTHING),
                order, reactions, off);
    }

    /** Null hands it back. */
    public Differs withOrder(String parent, List<String> ids) {
        return new Differs(values, words, timelines, changed(order, parent, ids, null), reactions, off);
    }

    public Differs withReactions(Map<String, Reaction> r, Set<String> o) {
        return new Differs(values, words, timelines, order, r, o);
    }

    /** With other ids of owners and timelines; what becomes null is left out. Reactions are not changed by this. */
    public Differs mapIds(UnaryOperator<String> ids) {
        UnaryOperator<String> of = id -> id.equals(Board.CANVAS) || id.isEmpty() ? id : ids.apply(id);
        var t = new HashMap<String, OfTimeline>();
        timelines.forEach((id, d) -> {
            if (of.apply(id) instanceof String now) {
                t.put(now, mapped(d, of));
            }
        });
        t.values().removeIf(OfTimeline.NOTHING::equals);
        var o = new HashMap<String, List<String>>();
        order.forEach((parent, children) -> {
            List<String> left = children.stream().map(of).filter(Objects::nonNull).toList();
            if (of.apply(parent) instanceof String now && left.size() > 1) {
                o.put(now, left);
            }
        });
        return new Differs(keys(values, of), keys(words, of), t, o, reactions, off);
    }

    private static <T> Map<String, T> keys(Map<String, T> in, UnaryOperator<String> of) {
        var out = new HashMap<String, T>();
        in.forEach((id, x) -> {
            if (of.apply(id) instanceof String now) {
                out.put(now, x);
            }
        });
        return out;
    }

    private static OfTimeline mapped(OfTimeline d, UnaryOperator<String> of) {
        var tracks = new HashMap<Keyed, Track<?>>();
        d.tracks.forEach((k, track) -> {
            if (of.apply(k.owner) instanceof String now) {
                tracks.put(new Keyed(now, k.property), track);
            }
        });
        var gone = new HashSet<Keyed>();
        d.gone.forEach(k -> {
            if (of.apply(k.owner) instanceof String now) {
                gone.add(new Keyed(now, k.property));
            }
        });
        return new OfTimeline(tracks, gone, keys(d.shown, of), d.starts, d.ended);
    }

    private static <T> Map<String, T> changed(Map<String, T> of, String key, T value, T nothing) {
        var out = new HashMap<>(of);
        if (value == null || value.equals(nothing)) {
            out.remove(key);
        } else {
            out.put(key, value);
        }
        return out;
    }
}
