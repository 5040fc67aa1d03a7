package tundra.core.helper;

import java.util.List;
import tundra.core.model.Board;

/** Works out a move from a few numbers and writes it as ordinary keys. */
public interface Helper {
    /** What the designer gets, as a verb. */
    String name();

    /** One sentence on what it does. */
    String says();

    List<Param> params();

    /** Whether one of the words of a choice makes sense for what it is used on. */
    default boolean offers(Job job, int param, int choice) {
        return true;
    }

    /** Why it can't be used on these elements, as one sentence; null when it can. */
    default String refuses(Job job) {
        return job.elements().isEmpty() ? "Select an element first." : null;
    }

    /** The changed board. What it wrote before, in the same stretch of time, is replaced. */
    Written apply(Job job, double[] numbers);

    /** The board with the keys, and how long the move takes from its start on, in µs. */
    record Written(Board board, long length) {}
}
