package tundra.core.model;

/**
 * Something with timelines of its own that is placed as often as one likes; what is changed in it changes wherever it stands. Its canvas has
 * no colour and hides nothing.
 *
 * @param states the moments that it shows under the pointer; null for none
 * @param pictures whether it is published as a series of pictures instead of its elements
 */
public record Motif(String id, String name, Board board, States states, boolean pictures) implements Place {
    public Motif(String id, String name, Board board) {
        this(id, name, board, null, false);
    }

    @Override
    public Motif withBoard(Board b) {
        return new Motif(id, name, b, states, pictures);
    }

    @Override
    public Motif withName(String n) {
        return new Motif(id, n, board, states, pictures);
    }

    public Motif withStates(States s) {
        return new Motif(id, name, board, s, pictures);
    }

    public Motif withPictures(boolean p) {
        return new Motif(id, name, board, states, p);
    }

    public Motif withId(String i) {
        return new Motif(i, name, board, states, pictures);
    }

    /**
     * What drives the time of an instance of it. One with states never runs through them by a clock: it stands where it rests, so much later as
     * the instance's phase says, and comes back to there.
     */
    public Clock clock(Content.Instance i) {
        return states == null ? i.clock() : new Clock(i.clock().own(), Clock.Repeat.HOLD, states.time(States.State.REST) + i.clock().phase(), 1);
    }

    /** The time at which it stands in a list, in µs: at rest where it has states, else a quarter of the way, when most things have come. */
    public long poster() {
        Long rest = states == null ? null : states.at().get(States.State.REST);
        return rest != null ? rest : board.main().duration() / 4;
    }
}
