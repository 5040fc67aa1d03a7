package tundra.render;

import tundra.core.model.Board;
import tundra.core.model.Transition;

/**
 * A scene in a film.
 *
 * @param board in its layout
 * @param from the first moment that is seen, in µs after the scene was opened
 * @param until where the next shot begins
 * @param into how it takes the place of the shot before it
 */
record Shot(Board board, long from, long until, Transition into) {
    long length() {
        return until - from;
    }
}
