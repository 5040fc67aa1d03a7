package tundra.core.model;

/** What holds values and can be keyed: the canvas of a board, an element, or one of its effects. Tracks name it by its id. */
public sealed interface Owner permits Canvas, Element, Effect {
    String id();

    /** What its properties are when no key changes them. */
    Values rest();
}
