package tundra.web;

import java.util.HashMap;
import java.util.HashSet;
import java.util.Map;
import java.util.Set;
import tundra.core.edit.Motifs;
import tundra.core.model.Board;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Motif;
import tundra.core.model.Place;
import tundra.core.model.Project;
import tundra.core.model.Scene;
import tundra.core.model.Tree;

/** Which motifs are shown where so much moves at once, in all instances together, that a layer of the browser's for each would be too many. */
final class Crowded {
    /** So many layers software that puts them together still shows at some thirty pictures a second. */
    private static final int LAYERS = 400;
    private final Project project;
    /** How many elements move in a scene or motif, with those of all instances in it, by its id. */
    private final Map<String, Long> moving = new HashMap<>();

    private Crowded(Project p) {
        project = p;
    }

    /** Their ids. */
    static Set<String> motifs(Project p) {
        var work = new Crowded(p);
        var out = new HashSet<String>();
        for (Scene s : p.scenes()) {
            if (work.inInstances(s.board()) > LAYERS) {
                p.motifs().stream().filter(m -> Motifs.holds(p, s.id(), m.id())).forEach(m -> out.add(m.id()));
            }
        }
        return out;
    }

    private long inInstances(Board b) {
        long n = 0;
        for (Element e : Motifs.instances(b, x -> true)) {
            Motif m = project.motif(((Content.Instance) e.content()).motif());
            n += m == null ? 0 : within(m);
        }
        return n;
    }

    private long within(Place in) {
        Long known = moving.get(in.id());
        if (known == null) {
            known = own(in.board()) + inInstances(in.board());
            moving.put(in.id(), known);
        }
        return known;
    }

    private static long own(Board b) {
        long[] n = new long[1];
        Tree.each(b.elements(), e -> n[0] += b.timelines().stream().anyMatch(t -> !t.tracksOf(e.id()).isEmpty()) ? 1 : 0);
        return n[0];
    }
}
