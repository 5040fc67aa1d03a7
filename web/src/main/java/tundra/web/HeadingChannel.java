package tundra.web;

import java.util.List;
import tundra.core.model.Properties;
import tundra.core.model.Property;

/** As what a text is read out; it stands in the markup, and nothing is seen of it. */
final class HeadingChannel implements Channel {
    @Override
    public List<Property<?>> of() {
        return List.of(Properties.HEADING);
    }

    @Override
    public void rest(PageElement e, StyleSheet css) {
        // nothing is seen of it
    }

    @Override
    public void keys(PageElement e, Tracks out) {}

    /** The level of a heading, below the title of the page; 0 for plain words. */
    static int level(PageElement e) {
        return switch (e.element().rest().get(Properties.HEADING)) {
            case "first" -> 2;
            case "second" -> 3;
            case "third" -> 4;
            default -> 0;
        };
    }
}
