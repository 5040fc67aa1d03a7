package tundra.core.edit;

import java.util.HashSet;
import java.util.Set;
import tundra.core.model.Board;
import tundra.core.model.Tree;

/** Keeps the names of a board's elements unique, so that a name picks one of them. */
public final class Names {
    private Names() {}

    /** The wanted name, or the first free one of «name 2», «name 3» … */
    public static String free(Board board, String wanted) {
        Set<String> taken = new HashSet<>();
        Tree.each(board.elements(), e -> taken.add(e.name()));
        return free(taken, wanted);
    }

    public static String free(Set<String> taken, String wanted) {
        return new FreeNames(taken).take(wanted);
    }

    public static Board rename(Board board, String id, String wanted) {
        var e = board.find(id);
        if (e == null || wanted.isBlank() || e.name().equals(wanted.strip())) {
            return board;
        }
        String name = free(board.mapElement(id, x -> x.withName("")), wanted);
        return board.mapElement(id, x -> x.withName(name));
    }
}
