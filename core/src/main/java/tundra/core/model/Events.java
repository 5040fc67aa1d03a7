package tundra.core.model;

import java.util.ArrayList;
import java.util.List;

/** The table of events. File, sentences, page and docs read it; the player listens for each in its {@code EVENTS}. */
public final class Events {
    private static final List<EventKind> TABLE = new ArrayList<>();

    public static final Slot ELEMENT = new Slot("element", Slot.Type.ELEMENT);

    /** A press and release on the element, or Enter or Space while it has the focus. */
    public static final EventKind TAPPED = add("tapped", "When {element} is tapped", ELEMENT);

    public static final List<EventKind> ALL = List.copyOf(TABLE);

    private Events() {}

    private static EventKind add(String key, String sentence, Slot... slots) {
        var k = new EventKind(key, sentence, List.of(slots));
        TABLE.add(k);
        return k;
    }

    /** Null when there is none. */
    public static EventKind byKey(String key) {
        return ALL.stream().filter(k -> k.key().equals(key)).findFirst().orElse(null);
    }

    public static Event tapped(String element) {
        return new Event(TAPPED, Slots.of(TAPPED.slots(), element));
    }
}
