package tundra.web;

import java.util.List;
import java.util.function.Function;
import tundra.core.model.Property;

/**
 * A choice of words that is one CSS property, switched by the player.
 *
 * @param targets the parts of an element that have it
 * @param css in camel case
 */
record WordChannel(Property<String> property, Function<PageElement, List<String>> targets, String css, Function<String,
        String> text) implements Channel {
    @Override
    public List<Property<?>> of() {
        return List.of(property);
    }

    @Override
    public void rest(PageElement e, StyleSheet sheet) {
        String value = e.rest(property);
        if (!value.equals(property.standard())) {
            targets.apply(e).forEach(t -> sheet.put(t, StyleSheet.name(css), text.apply(value)));
        }
    }

    @Override
    public void keys(PageElement e, Tracks out) {
        targets.apply(e).forEach(t -> out.held(t, "!" + css, out.of(e, property), text));
    }
}
