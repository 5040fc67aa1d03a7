package tundra.core.model;

import java.util.List;

/**
 * A typed place in the sentence of an event, a condition or an action.
 *
 * @param key its name in the file and on the page, and between braces in the sentence
 * @param choices the words that may stand in it, or for an element what kind it may be; empty for any
 * @param standard what stands in it at first; null where the board says what (an element, a timeline …)
 * @param min the least number, for numbers
 * @param max the greatest number, for numbers
 */
public record Slot(String key, Type type, List<String> choices, Object standard, double min, double max) {
    /** What stands in a slot. Whatever reads, writes, shows, publishes or cleans up sentences goes by this type. */
    public enum Type {
        /** The id of an element of the board. */
        ELEMENT,
        /** The ids of elements of the board, one at least: a {@link List} of strings. */
        ELEMENTS,
        /** The id of a timeline of the board, of an element that is a motif's instance, or {@link #EVERYTHING}. */
        PLAYER,
        /** The id of a timeline of the board. */
        TIMELINE,
        /** The id of a marker of one of the board's timelines. */
        MARKER,
        /** The id of a marker in the motif whose instance stands in another slot. */
        MOTIF_MARKER,
        /** A time on a timeline, in µs, a {@link Long}. */
        TIME,
        /** How long something takes, in µs, a {@link Long}. */
        DURATION,
        /** A {@link Double}. */
        NUMBER,
        /** Any text. */
        TEXT,
        /** One of the slot's choices. */
        CHOICE,
        /** The id of a layout of the scene, or {@link #DRAWN}. */
        LAYOUT,
        /** The id of a scene. */
        SCENE,
        /** The id of a value of the piece. */
        VALUE,
        /** What a value is compared with or set to, as text. */
        CONTENT,
        /** An easing, as its text. */
        EASING,
        /** A web address: http, https or relative. */
        LINK,
        /** A telephone number. */
        PHONE,
        /** A mail address. */
        MAIL,
        /** A sound of the shelf, by its hash. */
        SOUND,
        /** The id of a script of the piece. */
        SCRIPT,
        /** A key of the keyboard with its modifiers, such as {@code Ctrl+K} or {@code ArrowLeft}. */
        KEY,
        /** A property with a value of it: a {@link Setting}. */
        SETTING,
        /** A property with by how much it changes: a {@link Setting} whose numbers may go as far as {@link Property#furthest} to either side. */
        CHANGE,
        /** A colour, as {@code #RRGGBB} or {@code #RRGGBBAA}. */
        COLOR,
        /** A picture of the shelf, by its hash; empty for none. */
        PICTURE,
        /** A video of the shelf, by its hash; empty for none. */
        VIDEO,
        /** A file of the shelf that is neither picture, sound, video nor font, by its hash; empty for none. */
        FILE,
        /** The family of a font. */
        FONT,
        /** A day and time as they are where the visitor is, such as {@code 2027-01-09T18:00}. */
        DATE,
        /** Points, lines and areas: a {@link MapData}. */
        MAP,
        /** How a scene takes the place of another, as {@link Transition#text} writes it; empty for as the scene says. */
        TRANSITION,
        /** Texts by the ids of a block's children. */
        CAPTIONS,
        /** The name of a point of the map that stands in another slot. */
        MAP_PLACE
    }

    /** In place of a timeline: all that plays. */
    public static final String EVERYTHING = "*";

    /** In place of an element or of what plays: the instance in which a motif's reaction happens. */
    public static final String INSTANCE = "this";

    /** In place of a layout: the scene as it is drawn. */
    public static final String DRAWN = "base";

    public Slot {
        choices = List.copyOf(choices);
    }

    Slot(String key, Type type) {
        this(key, type, List.of(), null, 0, 0);
    }

    /** Of one element of some kinds. */
    static Slot element(String key, String... kinds) {
        return new Slot(key, Type.ELEMENT, List.of(kinds), null, 0, 0);
    }

    /** Of elements: one at least, or {@link #EVERYTHING}. */
    static Slot elementsOrAll(String key) {
        return new Slot(key, Type.ELEMENTS, List.of(EVERYTHING), null, 0, 0);
    }

    /** Whether all that there are may stand in it in place of some. */
    public boolean takesAll() {
        return choices.contains(EVERYTHING);
    }

    /** Whether an element of a kind may stand in it. */
    public boolean takes(String kind) {
        return choices.isEmpty() || takesAll() || choices.contains(kind);
    }

    static Slot choice(String key, String... words) {
        return new Slot(key, Type.CHOICE, List.of(words), words[0], 0, 0);
    }

    static Slot number(String key, double standard, double min, double max) {
        return new Slot(key, Type.NUMBER, List.of(), standard, min, max);
    }

    static Slot duration(String key, double seconds) {
        return new Slot(key, Type.DURATION, List.of(), Math.round(seconds * 1e6), 0, 0);
    }

    static Slot text(String key, Type type, String standard) {
        return new Slot(key, type, List.of(), standard, 0, 0);
    }
}
