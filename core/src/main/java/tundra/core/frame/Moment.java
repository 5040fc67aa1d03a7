package tundra.core.frame;

import java.util.ArrayList;
import java.util.List;
import tundra.core.model.Board;
import tundra.core.model.Timeline;

/**
 * Where each active timeline of a board stands, in the order in which they were started. A timeline that was never started does not
 * apply; of two that have a say in the same value the one started last decides.
 */
public record Moment(List<Standing> standings) {
    /** Nothing was started. */
    public static final Moment REST = new Moment(List.of());

    /**
     * @param timeline its id
     * @param time on the timeline itself, in µs, from 0 to its duration
     */
    public record Standing(String timeline, long time) {}

    public Moment {
        standings = List.copyOf(standings);
    }

    /** What a visitor sees so many µs after the board was opened: the timelines that start by themselves. */
    public static Moment opened(Board board, long time) {
        var out = new ArrayList<Standing>(board.timelines().size());
        for (Timeline t : board.timelines()) {
            if (t.starts()) {
                out.add(new Standing(t.id(), t.local(time)));
            }
        }
        return new Moment(out);
    }

    /** What is edited: the opened board with the timeline that is worked on on top, all at the same time after their start. */
    public static Moment editing(Board board, String timeline, long time) {
        Timeline t = board.timeline(timeline);
        return t == null ? opened(board, time) : opened(board, time).with(t.id(), t.local(time));
    }

    /** The opened board with Main, by which flipbooks go, on top. */
    public static Moment main(Board board, long time) {
        return editing(board, board.main().id(), time);
    }

    /** After a timeline was started, or sought, at a time of its own. */
    public Moment with(String timeline, long time) {
        var out = new ArrayList<Standing>(standings.size() + 1);
        for (Standing s : standings) {
            if (!s.timeline.equals(timeline)) {
                out.add(s);
            }
        }
        out.add(new Standing(timeline, time));
        return new Moment(out);
    }

    /** Where a timeline stands, in µs; 0 when it was not started. */
    public long timeOf(String timeline) {
        for (Standing s : standings) {
            if (s.timeline.equals(timeline)) {
                return s.time;
            }
        }
        return 0;
    }

    /** Whether the same timelines were started in the same order. */
    boolean sameOrder(Moment other) {
        int n = standings.size();
        if (n != other.standings.size()) {
            return false;
        }
        for (int i = 0; i < n; i++) {
            if (!standings.get(i).timeline.equals(other.standings.get(i).timeline)) {
                return false;
            }
        }
        return true;
    }
}
