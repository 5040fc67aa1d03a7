package tundra.core.model;

import java.util.ArrayList;
import java.util.List;

/** The table of conditions. File, sentences, page and docs read it; the player has a function for each in its {@code CONDITIONS}. */
public final class Conditions {
    private static final List<ConditionKind> TABLE = new ArrayList<>();

    public static final Slot IS = Slot.choice("is", "is", "is not", "is more than", "is less than");
    public static final Slot SEEN = Slot.choice("seen", "shown", "hidden");
    public static final Slot GOING = Slot.choice("going", "plays", "does not play");
    public static final Slot STANDS = Slot.choice("stands", "before", "after");
    public static final Slot HELD = Slot.choice("down", "held", "not held");
    public static final Slot THAN = Slot.choice("than", "narrower", "wider");
    public static final Slot IT_IS = Slot.choice("is", "is", "is not");
    public static final Slot ASKED = Slot.choice("asked", "asked for", "not asked for");

    public static final ConditionKind VALUE = add("value", "the value {value} {is} {content}", Events.VALUE, IS, Events.CONTENT);
    public static final ConditionKind SHOWN = add("shown", "{element} is {seen}", Events.ELEMENT, SEEN);
    public static final ConditionKind PLAYS = add("plays", "the timeline {timeline} {going}", Events.PLAYER, GOING);
    public static final ConditionKind TIME = add("time", "the timeline {timeline} stands {stands} {time}", Events.TIMELINE, STANDS, Events.TIME);
    public static final ConditionKind KEY = add("key", "the key {key} is {down}", Events.KEY, HELD);
    public static final ConditionKind WIDTH = add("width", "the page is {than} than {width} px", THAN, Events.WIDTH);
    public static final ConditionKind LAYOUT = add("layout", "the layout {is} {layout}", IT_IS, Events.LAYOUT);
    public static final ConditionKind MOTION = add("motion", "less motion is {asked}", ASKED);

    public static final List<ConditionKind> ALL = List.copyOf(TABLE);

    private Conditions() {}

    private static ConditionKind add(String key, String sentence, Slot... slots) {
        var k = new ConditionKind(key, sentence, List.of(slots));
        TABLE.add(k);
        return k;
    }

    /** Null when there is none. */
    public static ConditionKind byKey(String key) {
        return ALL.stream().filter(k -> k.key().equals(key)).findFirst().orElse(null);
    }

    public static Condition of(ConditionKind kind, Object... values) {
        return new Condition(kind, Slots.of(kind.slots(), values));
    }
}
