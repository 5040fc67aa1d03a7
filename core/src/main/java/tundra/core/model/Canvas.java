package tundra.core.model;

/** The canvas of a board as the owner of its values. */
public record Canvas(Values rest) implements Owner {
    @Override
    public String id() {
        return Board.CANVAS;
    }
}
