package tundra.core.edit;

import tundra.core.model.Board;
import tundra.core.model.Project;

/**
 * The piece as it is kept, where a change begins: what is only being tried is not in it. A version can be made of one of these only, so
 * nothing that was worked out beforehand, on a board that was only seen, can become part of the piece.
 *
 * @param place the scene or motif that is open, by its id
 */
public record Kept(Project project, String place) {
    /** What a change makes of the piece, and its news for whoever asked, such as the ids of what it made. */
    public static final class Edited<N> {
        private final Project project;
        private final N news;
        private String name;

        private Edited(Project project, N news) {
            this.project = project;
            this.news = news;
        }

        public Project project() {
            return project;
        }

        /** With the name of the step, where only what was made says it. */
        public Edited<N> named(String step) {
            name = step;
            return this;
        }

        /** Null where the one that asked has named it. */
        public String name() {
            return name;
        }

        /** Null where there is none. */
        public N news() {
            return news;
        }
    }

    /** The board of what is open. */
    public Board board() {
        return project.place(place).board();
    }

    /** With another board in what is open. */
    public <N> Edited<N> with(Board board, N news) {
        return of(project, board, news);
    }

    /** With another board in what is open of a version that was made of this one, such as one with more on its shelf. */
    public <N> Edited<N> of(Project made, Board board, N news) {
        return new Edited<>(made.mapBoard(place, b -> board), news);
    }

    public <N> Edited<N> with(Project made, N news) {
        return new Edited<>(made, news);
    }

    /** As it is. */
    public <N> Edited<N> nothing() {
        return new Edited<>(project, null);
    }
}
