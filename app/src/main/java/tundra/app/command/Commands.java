package tundra.app.command;

import java.util.ArrayList;
import java.util.Collection;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.function.BooleanSupplier;
import java.util.function.Consumer;
import java.util.function.Supplier;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyCodeCombination;
import javafx.scene.input.KeyCombination;
import javafx.scene.input.KeyEvent;

/** The one registry of commands. */
public final class Commands {
    private final Map<String, Command> byId = new LinkedHashMap<>();
    private final Set<KeyCombination> shortcuts = new HashSet<>();
    private final List<Supplier<List<Command>>> more = new ArrayList<>();
    private Consumer<Runnable> around = Runnable::run;

    public Command add(String id, String name, String shortcut, BooleanSupplier enabled, Runnable run) {
        return add(id, () -> name, shortcut, enabled, run);
    }

    public Command add(String id, Supplier<String> name, String shortcut, BooleanSupplier enabled, Runnable run) {
        var c = new Command(id, name, shortcut == null ? null : combination(shortcut), enabled, () -> around.accept(run));
        if (byId.put(id, c) != null) {
            throw new IllegalStateException("two commands are called " + id);
        }
        if (c.shortcut() != null && !shortcuts.add(c.shortcut())) {
            throw new IllegalStateException(id + " has a shortcut that another command has: " + shortcut);
        }
        return c;
    }

    /** Modifiers and the name of a {@link KeyCode}, joined by +. */
    private static KeyCombination combination(String text) {
        String[] parts = text.split("\\+");
        var modifiers = new KeyCombination.Modifier[parts.length - 1];
        for (int i = 0; i < modifiers.length; i++) {
            modifiers[i] = switch (parts[i]) {
                case "Shortcut" -> KeyCombination.SHORTCUT_DOWN;
                case "Shift" -> KeyCombination.SHIFT_DOWN;
                case "Alt" -> KeyCombination.ALT_DOWN;
                default -> throw new IllegalArgumentException(text);
            };
        }
        return new KeyCodeCombination(KeyCode.valueOf(parts[parts.length - 1].toUpperCase(Locale.ROOT)), modifiers);
    }

    /** Commands that come and go with the project, such as one for each element; found by name only. */
    public void addMore(Supplier<List<Command>> source) {
        more.add(source);
    }

    public Command get(String id) {
        Command c = byId.get(id);
        if (c == null) {
            throw new IllegalArgumentException("no command " + id);
        }
        return c;
    }

    public Collection<Command> all() {
        return byId.values();
    }

    /** Has all commands run within something else. */
    public void around(Consumer<Runnable> how) {
        around = how;
    }

    /** Does it if it can be done now; says whether it was done. */
    public boolean run(String id) {
        Command c = get(id);
        if (!c.enabled().getAsBoolean()) {
            return false;
        }
        c.run().run();
        return true;
    }

    /** The enabled command of a key press; null for none. */
    public Command of(KeyEvent e) {
        return byId.values().stream().filter(c -> c.shortcut() != null && c.shortcut().match(e) && c.enabled().getAsBoolean())
                .findFirst().orElse(null);
    }

    /** What was found; with nothing found the nearest to it. */
    public record Found(List<Command> commands, boolean nearest) {}

    /** Enabled commands by their names and by other words for them, best first. */
    public Found find(String query) {
        var all = new ArrayList<>(byId.values());
        more.forEach(m -> all.addAll(m.get()));
        var search = new Search(query);
        List<Command> found = search.in(all);
        return found.isEmpty() ? new Found(search.nearest(all), true) : new Found(found, false);
    }
}
