package tundra.core.frame;

import java.util.ArrayList;
import java.util.List;
import tundra.core.geometry.Numbers;
import tundra.core.model.Board;
import tundra.core.model.Clock;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Motif;
import tundra.core.model.Span;
import tundra.core.model.Timeline;

/**
 * What an instance of a motif plays on the timeline of the board that it stands on.
 *
 * @param turns one after the other, as long as they are seen
 * @param never the part of the motif that is never reached, as it would follow; null for none
 */
public record Turns(List<Turn> turns, Span never) {
    private static final int MOST = 2000;

    /** A run of the motif, or what is left of it, from one time of the board's timeline to another, in µs. */
    public record Turn(long from, long to) {}

    /** @param motif the one that the element shows */
    public static Turns of(Board around, Element e, Motif motif) {
        return of(around, e, motif.clock((Content.Instance) e.content()), motif.board());
    }

    private static Turns of(Board around, Element e, Clock c, Board motif) {
        Timeline on = c.own() ? around.main() : Moment.sitsOn(around, e.id());
        Span span = on.shown().get(e.id());
        long start = c.own() || span == null ? 0 : span.from(), end = span == null ? on.duration() : Math.min(span.to(), on.duration());
        long whole = motif.main().duration();
        if (c.repeat() == Clock.Repeat.HOLD || c.speed() == 0) {
            return new Turns(List.of(new Turn(start, end)), null);
        }
        double pace = Math.abs(c.speed());
        boolean loops = c.repeat() == Clock.Repeat.LOOP;
        long into = loops ? Math.floorMod(c.phase(), whole) : Math.max(0, Math.min(whole, c.phase()));
        long left = c.speed() > 0 ? whole - into : loops && into == 0 ? whole : into;
        var out = new ArrayList<Turn>();
        long at = start, next = start + Math.round(left / pace);
        while (at < end && out.size() < MOST && next > at) {
            out.add(new Turn(at, Math.min(next, end)));
            at = next;
            next = loops ? at + Math.max(1, Math.round(whole / pace)) : at;
        }
        // in step with a timeline that is too short, what comes after its end is never seen, unless a later turn shows it
        long full = start + Math.round((loops ? whole : left) / pace);
        Span never = !c.own() && full > end + 1 ? new Span(Math.max(end, start), full) : null;
        return new Turns(out, never);
    }

    /** How many frames of the motif an instance shows, and of how many, where it doesn't show all; null where it does. */
    public static String missing(Board around, Element e, Motif motif, int frameRate) {
        Turns t = of(around, e, motif);
        if (t.never == null) {
            return null;
        }
        Clock c = motif.clock((Content.Instance) e.content());
        long all = Math.max(1, Math.round(motif.board().main().duration() / 1e6 * frameRate));
        long seen = t.turns.isEmpty() ? 0 : t.turns.getLast().to - t.turns.getFirst().from;
        long shown = (long) Numbers.clamp(Math.ceil(seen * Math.abs(c.speed()) / 1e6 * frameRate - 1e-6), 0, all);
        return "shows " + shown + " of its " + all + " frames";
    }
}
