package tundra.app.command;

import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.BooleanSupplier;
import java.util.function.Consumer;
import java.util.function.Supplier;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javafx.scene.input.KeyEvent;
import tundra.app.language.Language;

/** The one registry of commands. */
public final class Commands {
    private static final Pattern BRACES = Pattern.compile("\\{([A-Za-z-]+)\\}");
    private final Map<String, Command> byId = new LinkedHashMap<>();
    private final Shortcuts keys = new Shortcuts();
    private final List<Supplier<List<Command>>> more = new ArrayList<>();
    private Consumer<Runnable> around = Runnable::run;

    public Command add(String id, String name, String shortcut, BooleanSupplier enabled, Runnable run) {
        return add(id, () -> name, shortcut, enabled, run);
    }

    public Command add(String id, Supplier<String> name, String shortcut, BooleanSupplier enabled, Runnable run) {
        var c = new Command(id, () -> Language.of(name.get()), () -> keys.of(id), enabled, () -> around.accept(run));
        if (byId.put(id, c) != null) {
            throw new IllegalStateException("two commands are called " + id);
        }
        if (shortcut != null) {
            keys.add(id, shortcut);
        }
        return c;
    }

    /** Gives a command that is there a second key. */
    public void alsoBy(String id, String shortcut) {
        keys.addFurther(get(id).id(), shortcut);
    }

    /** Words in which ids in braces become the keys of these commands, or their names where they have none. */
    public String withKeys(String words) {
        return BRACES.matcher(words).replaceAll(m -> {
            Command c = get(m.group(1));
            return Matcher.quoteReplacement(c.shortcut() == null ? "“" + c.name().get() + "”" : c.shortcutText());
        });
    }

    public Shortcuts keys() {
        return keys;
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
        String id = keys.of(e, x -> byId.containsKey(x) && byId.get(x).enabled().getAsBoolean());
        return id == null ? null : byId.get(id);
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
