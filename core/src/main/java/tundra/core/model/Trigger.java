package tundra.core.model;

/** When a reaction happens. */
public sealed interface Trigger {
    /** A press and release on the element, or Enter or Space while it has the focus. */
    record Tapped(String element) implements Trigger {}
}
