package tundra.core.model;

import java.util.List;

/** One entry of {@link Conditions}. */
public record ConditionKind(String key, String sentence, List<Slot> slots) implements SentenceKind {}
