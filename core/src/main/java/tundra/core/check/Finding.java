package tundra.core.check;

import java.util.ArrayList;
import java.util.function.UnaryOperator;
import tundra.core.model.Board;
import tundra.core.model.Muted;
import tundra.core.model.Project;

/**
 * Something that looks wrong, where it is, and a safe way to mend it if there is one.
 *
 * @param scene the id of the scene or motif
 * @param element the id of the flipbook or of what else is meant; null for a thing of the whole piece
 * @param drawing the id of the drawing's art; null where none is meant
 * @param time when it is seen, in µs of the scene
 * @param text one sentence
 */
public record Finding(Check check, String scene, String element, String drawing, long time, String text, Fix fix) {

    /** Why it is meant to be so; null where nobody said that. */
    public String muted(Project p) {
        return p.muted().stream().filter(this::is).map(Muted::reason).findFirst().orElse(null);
    }

    private boolean is(Muted m) {
        return m.check().equals(check.key()) && m.place().equals(scene) && m.element().equals(element == null ? "" : element);
    }

    /** A piece in which it is meant to be so. */
    public Project mute(Project p, String reason) {
        var all = new ArrayList<>(heard(p).muted());
        all.add(new Muted(check.key(), scene, element == null ? "" : element, reason.strip()));
        return p.withMuted(all);
    }

    /** A piece in which it is told again. */
    public Project heard(Project p) {
        return p.withMuted(p.muted().stream().filter(m -> !is(m)).toList());
    }

    /**
     * A change that loses nothing that can be seen.
     *
     * @param change of the place's board, or of the whole project: one of the two is null
     */
    public record Fix(String name, UnaryOperator<Board> change, UnaryOperator<Project> whole) {
        public Fix(String name, UnaryOperator<Board> change) {
            this(name, change, null);
        }
    }
}
