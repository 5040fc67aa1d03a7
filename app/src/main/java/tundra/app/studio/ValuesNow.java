package tundra.app.studio;

import java.util.HashMap;
import java.util.Map;
import tundra.core.frame.FrameBuilder;
import tundra.core.frame.Moment;
import tundra.core.model.Board;
import tundra.core.model.Values;

/**
 * Where the timelines and the elements' values stand at the playhead: worked out once each, however many fields show them, until something changes.
 */
final class ValuesNow {
    private final Map<String, Values> known = new HashMap<>();
    private FrameBuilder builder;
    private Moment seen;
    private Board board;
    private String timeline;
    private long playhead;
    private Moment moment;

    Moment moment(Board b, String chosen, long time) {
        if (b != board || time != playhead || !chosen.equals(timeline)) {
            board = b;
            timeline = chosen;
            playhead = time;
            moment = Moment.editing(b, chosen, time);
        }
        return moment;
    }

    /** Null when there is no such element. */
    Values of(FrameBuilder b, Moment m, String element) {
        if (b != builder || m != seen) {
            known.clear();
            builder = b;
            seen = m;
        }
        return known.computeIfAbsent(element, id -> b.valuesAt(id, m));
    }
}
