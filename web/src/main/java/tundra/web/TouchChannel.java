package tundra.web;

import java.util.List;
import tundra.core.model.Properties;
import tundra.core.model.Property;

/** What of an element catches the pointer. What lets it through does so with all that it holds. */
final class TouchChannel implements Channel {
    @Override
    public List<Property<?>> of() {
        return List.of(Properties.TOUCH);
    }

    @Override
    public void rest(PageElement e, StyleSheet css) {
        switch (e.rest(Properties.TOUCH)) {
            case "its whole box" -> css.put(e.box().box(), "pointer-events", "auto");
            case "lets through" -> css.put(e.box().outer(), "--touch", "none");
            default -> { }
        }
    }

    @Override
    public void keys(PageElement e, Tracks out) {}
}
