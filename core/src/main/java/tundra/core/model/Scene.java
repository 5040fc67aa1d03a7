package tundra.core.model;

/** One screen of the piece. */
public record Scene(String id, String name, Board board) implements Place {
    @Override
    public Scene withBoard(Board b) {
        return new Scene(id, name, b);
    }

    @Override
    public Scene withName(String n) {
        return new Scene(id, n, board);
    }
}
