package tundra.web;

import java.lang.ref.WeakReference;
import java.util.Arrays;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.Map;
import java.util.Set;
import tundra.core.model.Board;
import tundra.core.model.Differs;
import tundra.core.model.Layout;
import tundra.core.model.Property;
import tundra.core.model.Timeline;

/**
 * Which properties the timelines of a board key in any of its layouts, so that an element is made of the same parts in all of them; found without
 * going through all of them for each question: of the board that was asked about last.
 */
final class Keyed {
    private static volatile Keyed last = new Keyed(null);
    private final WeakReference<Board> board;
    /** For each element the sets of properties that a timeline keys together, in some layout. */
    private final Map<String, Set<Set<Property<?>>>> sets = new HashMap<>();

    private Keyed(Board b) {
        board = new WeakReference<>(b);
        if (b != null) {
            b.timelines().forEach(t -> drawn(b, t).forEach((id, keyed) -> sets.computeIfAbsent(id, k -> new LinkedHashSet<>())
                    .add(Set.copyOf(keyed))));
            b.layouts().forEach(l -> b.timelines()
                    .forEach(t -> in(b, l, t).forEach((id, keyed) -> sets.computeIfAbsent(id, k -> new LinkedHashSet<>()).add(Set.copyOf(keyed)))));
        }
    }

    /** What a timeline keys in the scene as it is drawn. */
    private static Map<String, Set<Property<?>>> drawn(Board b, Timeline t) {
        Layout base = b.layout(LayoutPages.DRAWN);
        var out = new HashMap<String, Set<Property<?>>>();
        if (base == null) {
            t.tracks().forEach((id, tracks) -> out.put(id, new LinkedHashSet<>(tracks.keySet())));
        } else {
            base.differs().timelines().getOrDefault(t.id(), Differs.OfTimeline.NOTHING).tracks().keySet()
                    .forEach(k -> out.computeIfAbsent(k.owner(), x -> new LinkedHashSet<>()).add(k.property()));
        }
        return out;
    }

    /** What it keys in a layout. */
    private static Map<String, Set<Property<?>>> in(Board b, Layout l, Timeline t) {
        Map<String, Set<Property<?>>> out = drawn(b, t);
        Differs.OfTimeline d = l.differs().timelines().getOrDefault(t.id(), Differs.OfTimeline.NOTHING);
        d.gone().forEach(k -> out.getOrDefault(k.owner(), new LinkedHashSet<>()).remove(k.property()));
        d.tracks().keySet().forEach(k -> out.computeIfAbsent(k.owner(), x -> new LinkedHashSet<>()).add(k.property()));
        out.values().removeIf(Set::isEmpty);
        return out;
    }

    private static Set<Set<Property<?>>> of(Board b, String id) {
        Keyed k = last;
        if (k.board.get() != b) {
            k = new Keyed(b);
            last = k;
        }
        return k.sets.getOrDefault(id, Set.of());
    }

    /** Whether a property of an element is keyed on any timeline. */
    static boolean any(Board b, String id, Property<?> p) {
        return of(b, id).stream().anyMatch(s -> s.contains(p));
    }

    /** Whether some timelines key other ones of these properties than others do, so that none of them knows the whole value. */
    static boolean apart(Board b, String id, Property<?>... of) {
        return of(b, id).stream().map(s -> Arrays.stream(of).filter(s::contains).toList()).filter(keyed -> !keyed.isEmpty()).distinct().count() > 1;
    }
}
