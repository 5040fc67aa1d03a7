package tundra.core.model;

/**
 * How a scene is opened.
 *
 * @param transition how it takes the place of the one before, where the sentence that opens it doesn't say
 * @param keeps whether it goes on where it was left, with its timelines, dragged parts and scrolling; otherwise it begins anew
 * @param pieceGround whether its ground is that of the piece
 */
public record Opening(Transition transition, boolean keeps, boolean pieceGround) {
    public static final Opening USUAL = new Opening(Transition.CUT, false, false);

    public Opening with(Transition t) {
        return new Opening(t, keeps, pieceGround);
    }

    public Opening withKeeps(boolean k) {
        return new Opening(transition, k, pieceGround);
    }

    public Opening withPieceGround(boolean p) {
        return new Opening(transition, keeps, p);
    }
}
