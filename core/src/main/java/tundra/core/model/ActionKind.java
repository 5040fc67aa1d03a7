package tundra.core.model;

import java.util.List;

/** One entry of {@link Actions}. */
public record ActionKind(String key, String sentence, List<Slot> slots) implements SentenceKind {}
