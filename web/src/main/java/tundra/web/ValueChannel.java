package tundra.web;

import java.util.List;
import java.util.function.Function;
import tundra.core.model.Property;
import tundra.core.motion.Track;

/**
 * A property that is one CSS property, which blends by itself.
 *
 * @param targets the parts of an element that have it
 * @param css in the camel case of Web Animations
 */
record ValueChannel<T>(Property<T> property, Function<PageElement, List<String>> targets, String css, Function<T, String> text) implements Channel {
    @Override
    public List<Property<?>> of() {
        return List.of(property);
    }

    @Override
    public void rest(PageElement e, StyleSheet sheet) {
        String value = text.apply(e.rest(property));
        if (!value.equals(text.apply(property.standard()))) {
            targets.apply(e).forEach(t -> sheet.put(t, StyleSheet.name(css), value));
        }
    }

    @Override
    public void keys(PageElement e, Tracks out) {
        Track<T> track = out.of(e, property);
        if (track != null) {
            targets.apply(e).forEach(t -> out.eased(t, css, track, (a, b, p) -> text.apply(property.type().lerp(a, b, p))));
        }
    }
}
