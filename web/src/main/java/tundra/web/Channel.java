package tundra.web;

import java.util.List;
import tundra.core.model.Property;

/** What one or several properties of an element are on the page: their resting look and their keys. The instances stand in {@link Channels}. */
interface Channel {
    /** The properties that it is made of. */
    List<Property<?>> of();

    /** Its look while no key changes it. */
    void rest(PageElement e, StyleSheet css);

    /** Its keys on one timeline; nothing where none of its properties is keyed there. */
    void keys(PageElement e, Tracks out);

    /** Whether elements that have none of its properties have a look of it all the same. */
    default boolean everywhere() {
        return false;
    }

    /** Whether its keys change the width or height of the element's box, or the pivot in it. */
    default boolean movesBox() {
        return false;
    }
}
