package tundra.core.series;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import tundra.core.edit.Motifs;
import tundra.core.geometry.Point;
import tundra.core.model.Board;
import tundra.core.model.Content;
import tundra.core.model.Differs;
import tundra.core.model.Effect;
import tundra.core.model.Element;
import tundra.core.model.Layout;
import tundra.core.model.Motif;
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.core.model.Values;

/**
 * Effects of instances whose motif is published as pictures: those that never change are painted into pictures of their own, up to the first
 * one that does. A visitor's browser would work them out at each frame, over the whole element; painted they cost nothing, and what is blurred
 * needs fewer pixels.
 */
final class PaintedEffects {
    /** Of one motif so many different rows of effects are painted; each is loaded with the page. */
    private static final int MOST = 4;
    private final Project before;
    private final Set<String> pictures;
    /** The motifs that were made, by the one that they are of and what their effects say. */
    private final Map<String, Map<List<Effect>, Motif>> made = new LinkedHashMap<>();

    private PaintedEffects(Project p, Set<String> pictures) {
        before = p;
        this.pictures = pictures;
    }

    /** @param pictures the ids of the motifs that are published as pictures */
    static Project in(Project p, Set<String> pictures) {
        var work = new PaintedEffects(p, pictures);
        Project out = p.mapBoards(work::board);
        var motifs = new ArrayList<>(out.motifs());
        work.made.values().forEach(of -> motifs.addAll(of.values()));
        return out.withMotifs(motifs);
    }

    private Board board(Board b) {
        // in their order on the board, by which the motifs are numbered
        var painted = new LinkedHashMap<String, Element>();
        Motifs.instances(b, x -> true).stream().filter(e -> still(b, e) > 0).forEach(e -> painted.put(e.id(), painted(b, e)));
        return painted.isEmpty() ? b : b.mapElements(painted.keySet(), e -> painted.get(e.id()));
    }

    /** How many effects from the first on never change; none where the motif isn't published as pictures in the instance's size. */
    private int still(Board b, Element e) {
        var i = (Content.Instance) e.content();
        Motif m = before.motif(i.motif());
        if (m == null || !pictures.contains(m.id()) || !m.board().layouts().isEmpty() || !i.box().equals(m.board().size())) {
            return 0;
        }
        int n = 0;
        while (n < e.effects().size() && !changes(b, e.effects().get(n).id())) {
            n++;
        }
        return e.effects().subList(0, n).stream().anyMatch(Effect::on) ? n : 0;
    }

    /** Whether any timeline or layout of a board changes an effect; actions can't. */
    private static boolean changes(Board b, String effect) {
        return b.timelines().stream().anyMatch(t -> !t.tracksOf(effect).isEmpty()) || b.layouts().stream().map(Layout::differs)
                .anyMatch(d -> d.values().containsKey(effect) || d.timelines().values().stream().anyMatch(t -> keyed(t, effect)));
    }

    private static boolean keyed(Differs.OfTimeline t, String effect) {
        return t.tracks().keySet().stream().anyMatch(k -> k.owner().equals(effect));
    }

    private Element painted(Board b, Element e) {
        var i = (Content.Instance) e.content();
        int n = still(b, e);
        // told apart by what they do, whichever element they are of
        List<Effect> still = e.effects().subList(0, n).stream().filter(Effect::on).map(x -> x.withId("")).toList();
        var of = made.computeIfAbsent(i.motif(), k -> new LinkedHashMap<>());
        if (!of.containsKey(still) && of.size() == MOST) {
            return e;
        }
        Motif m = of.computeIfAbsent(still, k -> motif(before.motif(i.motif()), k, of.size() + 1));
        return e.withContent(new Content.Instance(m.id(), i.box(), i.clock())).withEffects(e.effects().subList(n, e.effects().size()));
    }

    /** A motif with effects over all that it shows. */
    private static Motif motif(Motif m, List<Effect> effects, int number) {
        String id = m.id() + "-with-" + number;
        Point size = m.board().size();
        var named = new ArrayList<Effect>();
        effects.forEach(x -> named.add(x.withId(id + "-" + named.size())));
        var all = new Element(id + "-all", m.name(), false, false, Values.NONE.with(Properties.POSITION, size.times(0.5)),
                new Content.Group(m.board().elements(), size)).withEffects(named);
        return m.withId(id).withBoard(m.board().withElements(List.of(all)));
    }
}
