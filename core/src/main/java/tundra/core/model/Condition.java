package tundra.core.model;

/** What must hold for a reaction to do its actions. */
public record Condition(ConditionKind kind, Slots slots) {}
