package tundra.core.edit;

import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import tundra.core.model.Board;
import tundra.core.model.Content;
import tundra.core.model.Project;
import tundra.core.model.Slots;
import tundra.core.model.Tree;

/** Which elements of a board something asks for or changes by name: reactions, drags and blocks. Scripts may ask for any. */
public final class NamedElements {
    private final Set<String> ids = new HashSet<>();

    private NamedElements() {}

    /** Their ids; among them may be names of other things. */
    public static Set<String> of(Project p, Board b) {
        var out = new NamedElements();
        p.allReactions().forEach(r -> r.slots().forEach(out::add));
        b.drags().forEach(d -> {
            out.ids.add(d.motion().area());
            d.pairs().forEach(x -> {
                out.ids.add(x.part());
                out.ids.addAll(x.places());
            });
        });
        Tree.each(b.elements(), e -> {
            if (e.content() instanceof Content.Block k) {
                out.add(k.settings());
            }
        });
        return out.ids;
    }

    private void add(Slots slots) {
        for (Object v : slots.values().values()) {
            if (v instanceof String s) {
                ids.add(s);
            } else if (v instanceof List<?> l) {
                l.forEach(x -> ids.add(String.valueOf(x)));
            } else if (v instanceof Map<?, ?> m) {
                m.keySet().forEach(x -> ids.add(String.valueOf(x)));
            }
        }
    }
}
