package tundra.core.edit;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import tundra.core.model.Board;
import tundra.core.model.Ids;
import tundra.core.model.Marker;
import tundra.core.model.Reaction;
import tundra.core.model.Slot;
import tundra.core.model.Timeline;
import tundra.core.model.Tree;

/**
 * A sentence taken over to another board, about what is called the same there.
 *
 * @param reaction null where something that it names is not there
 * @param missing the names of what is not there
 */
public record CopiedSentence(Reaction reaction, List<String> missing) {
    /** Elements, timelines and markers are found by their names, the first of a name. */
    public static CopiedSentence of(Reaction r, Board from, Board to) {
        Map<String, String> names = names(from), there = new HashMap<>();
        names(to).forEach((id, name) -> there.putIfAbsent(name, id));
        var missing = new ArrayList<String>();
        Reaction copy = r.map(s -> s.mapIds((slot, id) -> {
            if (!Reactions.OF_BOARD.contains(slot.type()) || id.equals(Slot.INSTANCE)) {
                return id;
            }
            String name = names.get(id), other = name == null ? null : there.get(name);
            if (other == null) {
                missing.add(name == null ? id : name.substring(name.lastIndexOf('\n') + 1));
            }
            return other;
        }));
        return new CopiedSentence(missing.isEmpty() && copy != null ? copy.withId(Ids.next()) : null, missing.stream().distinct().toList());
    }

    /** By id, with what it is before the name, so that an element and a timeline of one name are two. */
    private static Map<String, String> names(Board b) {
        var out = new LinkedHashMap<String, String>();
        Tree.each(b.elements(), e -> out.put(e.id(), "element\n" + e.name()));
        for (Timeline t : b.timelines()) {
            out.put(t.id(), "timeline\n" + t.name());
            for (Marker m : t.markers()) {
                out.put(m.id(), "marker of " + t.name() + "\n" + m.name());
            }
        }
        return out;
    }
}
