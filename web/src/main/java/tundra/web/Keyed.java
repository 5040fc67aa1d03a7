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

/** Which properties the timelines of a board key, found without going through all of them for each question: of the board that was asked about last. */
final class Keyed {
    private static volatile Keyed last = new Keyed(null);
    private final WeakReference<Board> board;
    /** For each element the sets of properties that a timeline keys together. */
    private final Map<String, Set<Set<Property<?>>>> sets = new HashMap<>();

    private Keyed(Board b) {
        board = new WeakReference<>(b);
        if (b != null) {
            b.timelines().forEach(t -> together(b, t).forEach((id, keyed) -> sets.computeIfAbsent(id, k -> new LinkedHashSet<>()).add(keyed)));
        }
    }

    /** What a timeline keys in any layout, so that an element has the same parts on the page in all of them. */
    private static Map<String, Set<Property<?>>> together(Board b, Timeline t) {
        var out = new HashMap<String, Set<Property<?>>>();
        t.tracks().forEach((id, tracks) -> out.put(id, b.layouts().isEmpty() ? Set.copyOf(tracks.keySet()) : new LinkedHashSet<>(tracks.keySet())));
        for (Layout l : b.layouts()) {
            Differs.OfTimeline d = l.differs().timelines().getOrDefault(t.id(), Differs.OfTimeline.NOTHING);
            d.tracks().keySet().forEach(k -> out.computeIfAbsent(k.owner(), x -> new LinkedHashSet<>()).add(k.property()));
            d.gone().forEach(k -> out.computeIfAbsent(k.owner(), x -> new LinkedHashSet<>()).add(k.property()));
        }
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
