package tundra.core.model;

/**
 * A typed place in the sentence of an event or an action.
 *
 * @param key its name in the file and on the page, and between braces in the sentence
 */
public record Slot(String key, Type type) {
    /** What stands in a slot. Whatever reads, writes, shows, publishes or cleans up sentences goes by this type. */
    public enum Type {
        /** The id of an element of the scene. */
        ELEMENT,
        /** The id of a timeline of the scene. */
        TIMELINE,
        /** A time on a timeline, in µs, a {@link Long}. */
        TIME
    }
}
