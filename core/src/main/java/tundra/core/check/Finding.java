package tundra.core.check;

import java.util.function.UnaryOperator;
import tundra.core.model.Board;
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
