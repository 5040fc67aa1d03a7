package tundra.core.edit;

import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.function.UnaryOperator;
import tundra.core.model.Ids;
import tundra.core.model.PieceValue;
import tundra.core.model.Project;

/** The values of a piece: added, named, changed, taken away. */
public final class PieceValues {
    private PieceValues() {}

    private static String free(Project p, String wanted, String but) {
        Set<String> taken = new HashSet<>();
        p.values().stream().filter(v -> !v.id().equals(but)).forEach(v -> taken.add(v.name()));
        return Names.free(taken, wanted);
    }

    public static Project add(Project p, String wanted, PieceValue.Kind kind) {
        return p.withValues(Reactions.plus(p.values(), new PieceValue(Ids.next(), free(p, wanted.strip(), null), kind, kind.standard, false)));
    }

    /** A name that another value has gets a number; an empty one stays as it was. */
    public static Project map(Project p, String id, UnaryOperator<PieceValue> change) {
        List<PieceValue> all = p.values().stream().map(v -> {
            if (!v.id().equals(id)) {
                return v;
            }
            PieceValue now = change.apply(v);
            return now.withName(now.name().isBlank() ? v.name() : free(p, now.name().strip(), id));
        }).toList();
        return all.equals(p.values()) ? p : p.withValues(all);
    }

    /** Without a value and the sentences' parts that name it. */
    public static Project delete(Project p, String id) {
        return Reactions.tidied(p.withValues(p.values().stream().filter(v -> !v.id().equals(id)).toList()));
    }
}
