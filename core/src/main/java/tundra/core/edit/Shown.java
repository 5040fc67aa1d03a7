package tundra.core.edit;

import java.util.HashMap;
import java.util.HashSet;
import java.util.Map;
import java.util.Set;
import tundra.core.model.Content;
import tundra.core.model.Limits;
import tundra.core.model.Motif;
import tundra.core.model.Place;
import tundra.core.model.Project;
import tundra.core.model.Tree;

/** How much a piece shows when motifs stand in motifs, which multiplies. */
public final class Shown {
    private final Project project;
    private final Map<String, Count> known = new HashMap<>();
    private final Set<String> asked = new HashSet<>();

    /**
     * What a place shows.
     *
     * @param instances of motifs, with those in them, as a product
     * @param depth of motifs in motifs
     */
    private record Count(long instances, int depth) {}

    private Shown(Project project) {
        this.project = project;
    }

    /** Why a piece can't be shown, as a clause that names the motif; null when it can. Motifs that hold themselves count once. */
    public static String problem(Project p) {
        var shown = new Shown(p);
        for (Motif m : p.motifs()) {
            String why = shown.problem(m);
            if (why != null) {
                return why;
            }
        }
        for (Place s : p.scenes()) {
            String why = shown.problem(s);
            if (why != null) {
                return why;
            }
        }
        return null;
    }

    private String problem(Place p) {
        Count c = count(p);
        String what = (p instanceof Motif ? "the motif “" : "“") + p.name() + "”";
        return c.instances > Limits.SHOWN ? what + " shows more than " + Limits.SHOWN + " instances, counted with those in its motifs"
                : c.depth > Limits.MOTIF_DEPTH ? what + " shows motifs in motifs more than " + Limits.MOTIF_DEPTH + " deep" : null;
    }

    private Count count(Place p) {
        Count done = known.get(p.id());
        if (done != null || !asked.add(p.id()) || asked.size() > 2 * Limits.MOTIF_DEPTH) {
            return done != null ? done : new Count(0, asked.size() > 2 * Limits.MOTIF_DEPTH ? 2 * Limits.MOTIF_DEPTH : 0);
        }
        var perMotif = new HashMap<String, Integer>();
        Tree.each(p.board().elements(), e -> {
            if (e.content() instanceof Content.Instance i) {
                perMotif.merge(i.motif(), 1, Integer::sum);
            }
        });
        long all = 0;
        int deep = 0;
        for (var e : perMotif.entrySet()) {
            Motif m = project.motif(e.getKey());
            Count inner = m == null ? new Count(0, 0) : count(m);
            all = Math.min(Long.MAX_VALUE / 4, all + Math.min(Long.MAX_VALUE / 4, e.getValue() * Math.min(1L << 40, 1 + inner.instances)));
            deep = Math.max(deep, 1 + inner.depth);
        }
        asked.remove(p.id());
        var out = new Count(all, deep);
        known.put(p.id(), out);
        return out;
    }
}
