package tundra.core.edit;

import java.util.Map;
import tundra.core.model.Board;
import tundra.core.model.Timeline;

/** A board as its elements rest: the same without keys and without times at which they are seen. */
public final class Rested {
    private Rested() {}

    public static Board board(Board b) {
        return b.withTimelines(b.timelines().stream().map(t -> new Timeline(t.id(), t.name(), t.duration(), t.loop(), t.starts(), Map.of()))
                .toList());
    }
}
