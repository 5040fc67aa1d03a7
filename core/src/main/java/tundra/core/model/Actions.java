package tundra.core.model;

import java.util.ArrayList;
import java.util.List;

/** The table of actions. File, sentences, page and docs read it; the player has a function for each in its {@code ACTIONS}. */
public final class Actions {
    private static final List<ActionKind> TABLE = new ArrayList<>();

    public static final Slot TIMELINE = new Slot("timeline", Slot.Type.TIMELINE);
    public static final Slot TIME = new Slot("time", Slot.Type.TIME);

    public static final ActionKind PLAY = add("play", "go on with {timeline}", TIMELINE);
    public static final ActionKind PAUSE = add("pause", "pause {timeline}", TIMELINE);
    public static final ActionKind TOGGLE = add("toggle", "play or pause {timeline}", TIMELINE);
    public static final ActionKind PLAY_FROM_START = add("playFromStart", "play {timeline} from start", TIMELINE);
    public static final ActionKind GO_TO = add("goTo", "go to {timeline} at {time}", TIMELINE, TIME);

    public static final List<ActionKind> ALL = List.copyOf(TABLE);

    private Actions() {}

    private static ActionKind add(String key, String sentence, Slot... slots) {
        var k = new ActionKind(key, sentence, List.of(slots));
        TABLE.add(k);
        return k;
    }

    /** Null when there is none. */
    public static ActionKind byKey(String key) {
        return ALL.stream().filter(k -> k.key().equals(key)).findFirst().orElse(null);
    }

    /** An action with its slots filled in turn. */
    public static Action of(ActionKind kind, Object... values) {
        return new Action(kind, Slots.of(kind.slots(), values));
    }
}
