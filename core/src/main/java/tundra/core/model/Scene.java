package tundra.core.model;

/** One screen of the piece. */
public record Scene(String id, String name, Board board, Opening opening) implements Place {
    public Scene(String id, String name, Board board) {
        this(id, name, board, Opening.USUAL);
    }

    @Override
    public Scene withBoard(Board b) {
        return new Scene(id, name, b, opening);
    }

    @Override
    public Scene withName(String n) {
        return new Scene(id, n, board, opening);
    }

    public Scene withOpening(Opening o) {
        return new Scene(id, name, board, o);
    }
}
