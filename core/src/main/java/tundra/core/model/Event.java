package tundra.core.model;

/** When a reaction happens. */
public record Event(EventKind kind, Slots slots) {}
