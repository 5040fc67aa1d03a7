package tundra.core.edit;

/** Where a change of a property goes. */
public enum EditScope {
    /** A key at the playhead. */
    KEY,
    /** All keys by the same amount; the resting value where there are none. */
    WHOLE_MOVE,
    /** The value that holds when no key changes it. */
    REST
}
