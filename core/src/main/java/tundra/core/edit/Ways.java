package tundra.core.edit;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import tundra.core.model.Action;
import tundra.core.model.ActionKind;
import tundra.core.model.Actions;
import tundra.core.model.Board;
import tundra.core.model.Events;
import tundra.core.model.Ids;
import tundra.core.model.Motif;
import tundra.core.model.Project;
import tundra.core.model.Reaction;
import tundra.core.model.Scene;

/**
 * The ways through a piece: which scene leads to which, by what sentence. Sentences of motifs count where the motif stands, those of the
 * whole piece and of what lies over all scenes in each of them.
 */
public record Ways(List<Way> all, Set<String> unreachable, Set<String> deadEnds) {
    /**
     * A sentence that opens a scene.
     *
     * @param from the scene in which it can happen
     * @param to the scene that it opens; null where it goes back to whatever was there before
     * @param place the scene, motif or, null, the whole piece that has the sentence
     */
    public record Way(String from, String to, String place, String reaction, String words) {}

    private static final Set<ActionKind> LEADING = Set.of(Actions.OPEN_SCENE, Actions.NEXT_SCENE, Actions.PREVIOUS_SCENE, Actions.BACK);

    public static Ways of(Project p) {
        var all = new ArrayList<Way>();
        List<Scene> scenes = p.screens();
        Scene over = p.over();
        for (Scene s : scenes) {
            ways(p, scenes, s, s.id(), s.board(), reactions(s.board()), all);
            for (Motif m : p.motifs()) {
                if (Motifs.holds(p, s.id(), m.id())) {
                    ways(p, scenes, s, m.id(), m.board(), reactions(m.board()), all);
                }
            }
            if (over != null) {
                ways(p, scenes, s, over.id(), over.board(), reactions(over.board()), all);
            }
            ways(p, scenes, s, null, s.board(), p.reactions(), all);
        }
        var reached = new LinkedHashSet<String>();
        var next = new ArrayDeque<>(List.of(scenes.getFirst().id()));
        while (!next.isEmpty()) {
            String id = next.pop();
            if (reached.add(id)) {
                all.stream().filter(w -> w.from.equals(id) && w.to != null).forEach(w -> next.add(w.to));
            }
        }
        Set<String> unreachable = new HashSet<>(), dead = new HashSet<>();
        for (Scene s : scenes) {
            if (!reached.contains(s.id())) {
                unreachable.add(s.id());
            }
            if (scenes.size() > 1 && all.stream().noneMatch(w -> w.from.equals(s.id()) && !s.id().equals(w.to))) {
                dead.add(s.id());
            }
        }
        return new Ways(List.copyOf(all), unreachable, dead);
    }

    private static List<Reaction> reactions(Board b) {
        var out = new ArrayList<>(b.reactions());
        b.layouts().forEach(l -> out.addAll(l.differs().reactions().values()));
        return out;
    }

    private static void ways(Project p, List<Scene> scenes, Scene from, String place, Board board, List<Reaction> reactions, List<Way> out) {
        var words = new Sentences(p, board, place == null ? Reach.PIECE : Reach.PLACE);
        int at = scenes.indexOf(from);
        for (Reaction r : reactions) {
            Stream<Action> actions = r.off() ? Stream.of() : Stream.concat(r.actions().stream(), r.otherwise().stream());
            actions.filter(a -> LEADING.contains(a.kind())).forEach(a -> {
                String to = a.kind() == Actions.OPEN_SCENE ? (String) a.slots().get(Actions.SCENE) : a.kind() == Actions.NEXT_SCENE
                        ? id(scenes, at + 1) : a.kind() == Actions.PREVIOUS_SCENE ? id(scenes, at - 1) : null;
                if (a.kind() == Actions.BACK || to != null && scenes.stream().anyMatch(s -> s.id().equals(to))) {
                    out.add(new Way(from.id(), to, place, r.id(), words.of(r.when().kind(), r.when().slots())));
                }
            });
        }
    }

    private static String id(List<Scene> scenes, int i) {
        return i >= 0 && i < scenes.size() ? scenes.get(i).id() : null;
    }

    /** A sentence that leads from a scene to another: when something is tapped there, or else a while after it opens. */
    public static Reaction begun(Project p, String from, String to, String element) {
        return new Reaction(Ids.next(), element == null ? Events.of(Events.AFTER, 3_000_000L) : Events.tapped(element),
                List.of(Actions.of(Actions.OPEN_SCENE, to)));
    }
}
