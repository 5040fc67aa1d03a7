package tundra.app.command;

import java.util.function.BooleanSupplier;
import java.util.function.Supplier;
import javafx.scene.input.KeyCombination;

/**
 * Something that can be done: from a menu, a button, a shortcut or by its name.
 *
 * @param id a stable word for tests and buttons
 * @param name what it is called now
 * @param keys gives its shortcut, which may be changed; null for one that never has any
 * @param enabled whether it can be done now
 */
public record Command(String id, Supplier<String> name, Supplier<KeyCombination> keys, BooleanSupplier enabled, Runnable run) {
    /** Null for none. */
    public KeyCombination shortcut() {
        return keys == null ? null : keys.get();
    }

    /** Its name with its shortcut, for a tooltip. */
    public String tip() {
        return shortcut() == null ? name.get() : name.get() + "   " + shortcutText();
    }

    public String shortcutText() {
        return Shortcuts.words(shortcut());
    }
}
