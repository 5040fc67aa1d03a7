package tundra.core.model;

/** What has a board of its own that can be opened and edited: a scene, or a motif. */
public sealed interface Place permits Scene, Motif {
    String id();

    String name();

    Board board();

    Place withBoard(Board b);

    Place withName(String n);
}
