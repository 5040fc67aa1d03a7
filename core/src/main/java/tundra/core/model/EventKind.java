package tundra.core.model;

import java.util.List;

/** One entry of {@link Events}. */
public record EventKind(String key, String sentence, List<Slot> slots) implements SentenceKind {}
