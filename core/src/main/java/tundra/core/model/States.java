package tundra.core.model;

import java.util.EnumMap;
import java.util.Map;

/**
 * How a button-like motif looks: moments of its Main timeline, between which it plays.
 *
 * @param at in µs; what isn't named looks as at rest
 * @param travel how long it takes from one to another, in µs
 */
public record States(Map<State, Long> at, long travel) {
    /** At rest, under the pointer or with the keyboard's focus, pressed, and off. */
    public enum State {
        REST("rest"), OVER("pointer over"), PRESSED("pressed"), OFF("off");

        public final String words;

        State(String words) {
            this.words = words;
        }
    }

    public States {
        at = at.isEmpty() ? Map.of() : Map.copyOf(new EnumMap<>(at));
    }

    /** Where a state stands. */
    public long time(State s) {
        return at.getOrDefault(s, at.getOrDefault(State.REST, 0L));
    }

    /** Null takes a state away. */
    public States with(State s, Long time) {
        var next = new EnumMap<State, Long>(State.class);
        next.putAll(at);
        if (time == null) {
            next.remove(s);
        } else {
            next.put(s, time);
        }
        return new States(next, travel);
    }

    public States withTravel(long t) {
        return new States(at, t);
    }
}
