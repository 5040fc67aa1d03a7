package tundra.core.model;

/** What a reaction does. */
public record Action(ActionKind kind, Slots slots) {}
