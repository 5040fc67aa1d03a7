package tundra.core.edit;

import tundra.core.model.Board;
import tundra.core.model.Marker;
import tundra.core.model.Output;
import tundra.core.model.Outputs;
import tundra.core.model.Slot;

/** The part of Main that an output is made of. @param from in µs @param until in µs, which is no longer in it */
public record OutputRange(long from, long until) {
    /** A marker decides before a time; 0 as the end is that of Main. */
    public static OutputRange of(Output o, Board b) {
        long from = marked(o, Outputs.FROM_MARKER, b, o.time(Outputs.FROM)), until = marked(o, Outputs.UNTIL_MARKER, b, o.time(Outputs.UNTIL));
        return new OutputRange(from, until == 0 ? b.main().duration() : until);
    }

    private static long marked(Output o, Slot slot, Board b, long otherwise) {
        Object id = o.settings().get(slot);
        return b.main().markers().stream().filter(m -> m.id().equals(id)).findFirst().map(Marker::time).orElse(otherwise);
    }

    /** Why nothing can be made of it; null where something can. */
    public String problem() {
        return until > from ? null : "There is nothing between " + from / 1e6 + " s and " + until / 1e6
                + " s; choose another range. Nothing was written.";
    }
}
