package tundra.core.frame;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.function.ToLongFunction;
import tundra.core.model.Board;
import tundra.core.model.Clock;
import tundra.core.model.Span;
import tundra.core.model.Timeline;

/**
 * Where each active timeline of a board stands, in the order in which they were started. A timeline that was never started does not
 * apply; of two that have a say in the same value the one started last decides.
 *
 * @param since how long ago the scene was opened, in µs, by which motifs with clocks of their own go
 * @param insides where motifs stand that left their clocks, by the ids of their instances on this board
 */
public record Moment(List<Standing> standings, long since, Map<String, Moment> insides) {
    /** Nothing was started. */
    public static final Moment REST = new Moment(List.of());

    /** Of a board whose motifs all go by their clocks. */
    public Moment(List<Standing> standings, long since) {
        this(standings, since, Map.of());
    }

    /** Of a board that was just opened. */
    public Moment(List<Standing> standings) {
        this(standings, 0);
    }

    /**
     * @param timeline its id
     * @param time on the timeline itself, in µs, from 0 to its duration
     */
    public record Standing(String timeline, long time) {}

    public Moment {
        standings = List.copyOf(standings);
        insides = Map.copyOf(insides);
    }

    /** What a visitor sees so many µs after the board was opened: the timelines that start by themselves. */
    public static Moment opened(Board board, long time) {
        return new Moment(standings(board, t -> t.local(time)), time);
    }

    private static List<Standing> standings(Board board, ToLongFunction<Timeline> time) {
        var out = new ArrayList<Standing>(board.timelines().size());
        for (Timeline t : board.timelines()) {
            if (t.starts()) {
                out.add(new Standing(t.id(), time.applyAsLong(t)));
            }
        }
        return out;
    }

    /** What is edited: the opened board with the timeline that is worked on on top, all at the same time after their start. */
    public static Moment editing(Board board, String timeline, long time) {
        Timeline t = board.timeline(timeline);
        return t == null ? opened(board, time) : opened(board, time).with(t.id(), t.worked(time));
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
        return new Moment(out, since, insides);
    }

    /**
     * The moment of a motif's board where it stands at this one. One that runs once comes to its very end and stays there, also where its
     * Main would begin anew.
     *
     * @param around the board that the instance stands on
     * @param element the instance's id
     */
    public Moment inside(Board around, String element, Clock clock, Board motif) {
        Moment own = insides.get(element);
        if (own != null) {
            return own;
        }
        long local = clock.local(clock.own() ? since : sinceSpan(around, element), motif.main().duration());
        return new Moment(standings(motif, local == motif.main().duration() ? t -> t.worked(local) : t -> t.local(local)), since);
    }

    /** The time on the timeline that an instance sits on since its span began. */
    private long sinceSpan(Board around, String element) {
        Timeline on = sitsOn(around, element);
        Span s = on.shown().get(element);
        return timeOf(on.id()) - (s == null ? 0 : s.from());
    }

    /** The timeline that an instance goes by: the one that says when it is seen, else Main. */
    public static Timeline sitsOn(Board around, String element) {
        return around.timelines().stream().filter(t -> t.shown().containsKey(element)).findFirst().orElse(around.main());
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
