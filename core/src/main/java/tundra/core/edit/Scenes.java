package tundra.core.edit;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.function.UnaryOperator;
import tundra.core.model.Board;
import tundra.core.model.Color;
import tundra.core.model.Ids;
import tundra.core.model.Opening;
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.core.model.Scene;
import tundra.core.model.Timeline;
import tundra.core.model.Values;

/** The scenes of a piece: added, copied, named, ordered, taken away. */
public final class Scenes {
    private Scenes() {}

    /** The piece and the id of the scene that is new. */
    public record Made(Project project, String scene) {}

    private static int at(Project p, String id) {
        for (int i = 0; i < p.scenes().size(); i++) {
            if (p.scenes().get(i).id().equals(id)) {
                return i;
            }
        }
        return p.scenes().size() - 1;
    }

    private static Made put(Project p, Scene s, int at) {
        var all = new ArrayList<>(p.scenes());
        all.add(at, s);
        return new Made(p.withScenes(all), s.id());
    }

    private static String free(Project p, String wanted, String but) {
        Set<String> taken = new HashSet<>();
        p.scenes().stream().filter(s -> !s.id().equals(but)).forEach(s -> taken.add(s.name()));
        return Names.free(taken, wanted);
    }

    /** An empty scene behind another one, of its size and canvas colour. */
    public static Made add(Project p, String after) {
        int i = at(p, after);
        Board like = p.scenes().get(i).board();
        Values canvas = Values.NONE.with(Properties.BACKGROUND, like.canvas().get(Properties.BACKGROUND));
        var board = new Board(like.size(), canvas, List.of(), List.of(new Timeline(Timeline.MAIN, 5_000_000)), List.of());
        return put(p, new Scene(Ids.next(), free(p, "Scene " + (p.scenes().size() + 1), null), board), i + 1);
    }

    /** A copy behind it, in which everything has its own id. */
    public static Made duplicate(Project p, String id) {
        Scene s = p.scene(id);
        return put(p, new Scene(Ids.next(), free(p, s.name(), null), Renewed.of(s.board()), s.opening()), at(p, id) + 1);
    }

    /** A scene behind another one that looks like it, without what moves and reacts there. */
    public static Made from(Project p, String id) {
        Scene s = p.scene(id);
        Board copy = Renewed.of(s.board());
        var board = new Board(copy.size(), copy.canvas(), copy.elements(), List.of(new Timeline(Timeline.MAIN, copy.main().duration())), List.of());
        return put(p, new Scene(Ids.next(), free(p, "Scene " + (p.scenes().size() + 1), null), Reactions.tidied(board), s.opening()), at(p, id) + 1);
    }

    /** With a scene's way of being opened changed. */
    public static Project opening(Project p, String id, UnaryOperator<Opening> change) {
        return p.withScenes(p.scenes().stream().map(s -> s.id().equals(id) ? s.withOpening(change.apply(s.opening())) : s).toList());
    }

    /** The ground of the piece is one: it is changed in any scene that has it, and all of those follow. */
    static Project grounded(Project before, Project after) {
        if (after.scenes() == before.scenes() && after.page() == before.page() || after.scenes().stream().noneMatch(s -> s.opening().pieceGround())) {
            return after;
        }
        Color ground = after.page().ground();
        for (Scene s : after.scenes()) {
            Scene was = before.scene(s.id());
            Color now = s.board().canvas().get(Properties.BACKGROUND);
            if (s.opening().pieceGround() && was != null && was.opening().pieceGround()
                    && !now.equals(was.board().canvas().get(Properties.BACKGROUND))) {
                ground = now;
            }
        }
        Color all = ground;
        Project out = all.equals(after.page().ground()) ? after : after.withPage(after.page().withGround(all));
        return out.scenes().stream().allMatch(s -> grounded(s, all) == s) ? out : out.withScenes(out.scenes().stream().map(s -> grounded(s, all))
                .toList());
    }

    private static Scene grounded(Scene s, Color ground) {
        return !s.opening().pieceGround() || s.board().canvas().get(Properties.BACKGROUND).equals(ground) ? s
                : s.withBoard(s.board().withCanvas(s.board().canvas().with(Properties.BACKGROUND, ground)));
    }

    /** A name that another scene has gets a number. An empty one changes nothing. */
    public static Project rename(Project p, String id, String wanted) {
        return wanted.isBlank() ? p : p.withScenes(p.scenes().stream().map(s -> s.id().equals(id) ? s.withName(free(p, wanted.strip(), id)) : s)
                .toList());
    }

    /** @param to the place among the others, counted after it was taken out */
    public static Project move(Project p, String id, int to) {
        int from = at(p, id), at = Math.max(0, Math.min(p.scenes().size() - 1, to));
        if (from == at) {
            return p;
        }
        var all = new ArrayList<>(p.scenes());
        all.add(at, all.remove(from));
        return p.withScenes(all);
    }

    /** Without a scene, and without the actions that lead to it. The last one stays. */
    public static Project delete(Project p, String id) {
        if (p.scenes().size() < 2 || p.scene(id) == null) {
            return p;
        }
        return Reactions.tidied(p.withScenes(p.scenes().stream().filter(s -> !s.id().equals(id)).toList()));
    }
}
