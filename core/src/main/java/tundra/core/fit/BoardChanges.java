package tundra.core.fit;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import tundra.core.geometry.Point;
import tundra.core.model.Color;

/**
 * What a visitor's page did to a board, beside the running of its timelines.
 *
 * @param hidden the ids of what is hidden
 * @param order of what was brought to the front or sent to the back, by id; 0 for all others
 * @param carried what was dragged
 * @param scripted what scripts set, in place of what it is at rest
 * @param words that scripts wrote into texts, by their ids
 * @param blocks where blocks stand, by their ids
 * @param sets how far actions are that set something, in the order in which they were begun
 * @param inside what was done to the motifs of instances, by the ids of these
 */
public record BoardChanges(Set<String> hidden, Map<String, Integer> order, List<Carried> carried, List<Scripted> scripted, Map<String, String> words,
        Map<String, BlockState> blocks, List<SetState> sets,
        Map<String, BoardChanges> inside) {
    /** Nothing was done. */
    public static final BoardChanges NONE = new BoardChanges(Set.of(), Map.of(), List.of(), List.of(), Map.of(), Map.of(), List.of(), Map.of());

    /** Without what is done to the picture of the board only. */
    BoardChanges withoutPlaces() {
        var in = new HashMap<String, BoardChanges>();
        inside.forEach((id, c) -> in.put(id, c.withoutPlaces()));
        return new BoardChanges(hidden, Map.of(), List.of(), scripted, words, blocks, sets, in);
    }

    /** Whether nothing was dragged or brought into another order. */
    boolean unmoved() {
        return carried.isEmpty() && order.isEmpty() && inside.values().stream().allMatch(BoardChanges::unmoved);
    }

    /** Whether no action is on its way. */
    boolean settled() {
        return sets.isEmpty() && inside.values().stream().allMatch(BoardChanges::settled);
    }

    /** Whether all of it is as the board is. */
    boolean nothing() {
        return equals(NONE) || withoutPlaces().equals(NONE) && unmoved();
    }

    /**
     * Something that was dragged away from where it stands.
     *
     * @param by in px of its parent
     * @param turn in degrees
     */
    public record Carried(String element, Point by, double turn, double opacity) {}

    /**
     * What a script said of an element's look; null where it said nothing.
     *
     * @param by in px from where it stands
     * @param rotation in degrees
     */
    public record Scripted(String element, Double opacity, Point by, Double rotation, Double scale, Color fill) {}

    /**
     * How far an action is that sets properties.
     *
     * @param timeline the id of its timeline, from the value at rest to the new one
     * @param share of the way from what is seen without it, 0 to 1; more where it changes by an amount and was done several times
     * @param by whether it changes by an amount
     */
    public record SetState(String timeline, double share, boolean by) {}

    /**
     * Where a block stands; null for what its kind doesn't have.
     *
     * @param item that a gallery stands at, from 0; between two while it moves
     * @param time of a film, in µs
     * @param words in a field, or of a countdown
     * @param middle of a map, in px at its zoom
     */
    public record BlockState(Double item, Long time, String words, Point middle, Double zoom) {}
}
