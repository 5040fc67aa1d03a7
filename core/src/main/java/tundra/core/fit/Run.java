package tundra.core.fit;

import java.util.List;

/** A recorded visit: what was seen, from its begin on. @param states in the order of their times; each is seen until the next one */
public record Run(List<VisitorState> states) {
    public Run {
        states = List.copyOf(states);
        if (states.isEmpty()) {
            throw new IllegalArgumentException("a visit in which nothing was seen");
        }
    }

    /** How long it goes, in µs. */
    public long length() {
        return Math.max(1, states.getLast().time());
    }

    /** What is seen at a time, in µs. */
    public VisitorState at(long time) {
        int low = 0, high = states.size() - 1;
        while (low < high) {
            int middle = (low + high + 1) / 2;
            if (states.get(middle).time() <= time) {
                low = middle;
            } else {
                high = middle - 1;
            }
        }
        return states.get(low);
    }
}
