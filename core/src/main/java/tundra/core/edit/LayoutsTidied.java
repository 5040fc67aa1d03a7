package tundra.core.edit;

import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Set;
import java.util.function.BiPredicate;
import tundra.core.model.Board;
import tundra.core.model.Differs;
import tundra.core.model.Layout;
import tundra.core.model.Reaction;
import tundra.core.model.Slot;
import tundra.core.model.Tree;

/** Layouts without what changes something that is gone from the base. */
final class LayoutsTidied {
    private LayoutsTidied() {}

    /** The same board where nothing is gone. */
    static Board of(Board b, BiPredicate<Slot.Type, String> around) {
        if (b.layouts().isEmpty()) {
            return b;
        }
        Set<String> there = Tree.owners(b.elements()), reactions = new HashSet<>();
        b.timelines().forEach(t -> there.add(t.id()));
        b.reactions().forEach(r -> reactions.add(r.id()));
        List<Layout> out = b.layouts().stream().map(l -> l.withDiffers(tidied(b, l.differs(), there, reactions, around))).toList();
        return out.equals(b.layouts()) ? b : b.withLayouts(out);
    }

    private static Differs tidied(Board b, Differs d, Set<String> there, Set<String> reactions, BiPredicate<Slot.Type, String> around) {
        Differs out = d.mapIds(id -> there.contains(id) ? id : null);
        var own = new LinkedHashMap<String, Reaction>();
        var off = new HashSet<>(d.off());
        off.retainAll(reactions);
        d.reactions().forEach((id, r) -> {
            Reaction left = Reactions.tidied(r, b, around);
            if (left != null) {
                own.put(id, left);
            } else if (reactions.contains(id)) {
                // in place of one of the base, of which nothing is left here
                off.add(id);
            }
        });
        return out.withReactions(own, off);
    }
}
