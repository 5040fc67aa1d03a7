package tundra.app.command;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.function.BiConsumer;
import java.util.function.Function;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyCodeCombination;
import javafx.scene.input.KeyCombination;
import javafx.scene.input.KeyEvent;
import tundra.app.language.Language;

/** The keys of commands: those that they come with, further ones, and those that somebody chose instead. */
public final class Shortcuts {
    /** What these keys do depends on where the keyboard is, so that no command can have them alone. */
    private static final Set<KeyCode> RESERVED = Set.of(KeyCode.ESCAPE, KeyCode.TAB, KeyCode.ENTER, KeyCode.UP, KeyCode.DOWN, KeyCode.LEFT,
            KeyCode.RIGHT, KeyCode.Q, KeyCode.W);
    private final Map<String, KeyCombination> standard = new LinkedHashMap<>(), own = new LinkedHashMap<>();
    private final Map<KeyCombination, String> further = new LinkedHashMap<>();
    /** Told of each change: the id, and how it is kept; null where it is the standard again. */
    private BiConsumer<String, String> kept = (id, text) -> { };

    /** Modifiers and the name of a {@link KeyCode}, joined by +. */
    static KeyCombination parse(String text) {
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

    /** The same the other way. */
    private static String text(KeyCombination keys) {
        var out = new ArrayList<String>();
        if (keys.getShortcut() == KeyCombination.ModifierValue.DOWN) {
            out.add("Shortcut");
        }
        if (keys.getShift() == KeyCombination.ModifierValue.DOWN) {
            out.add("Shift");
        }
        if (keys.getAlt() == KeyCombination.ModifierValue.DOWN) {
            out.add("Alt");
        }
        out.add(((KeyCodeCombination) keys).getCode().name());
        return String.join("+", out);
    }

    /** As they are written beside a command; empty for none. */
    public static String words(KeyCombination keys) {
        return keys == null ? "" : Language.keys(keys.getDisplayText().replace("+", " "));
    }

    /** The keys of a press; null for a modifier alone. */
    public static KeyCombination of(KeyEvent e) {
        if (e.getCode().isModifierKey() || e.getCode() == KeyCode.UNDEFINED) {
            return null;
        }
        return parse((e.isShortcutDown() ? "Shortcut+" : "") + (e.isShiftDown() ? "Shift+" : "") + (e.isAltDown() ? "Alt+" : "") + e.getCode()
                .name());
    }

    void add(String id, String keys) {
        KeyCombination k = parse(keys);
        String taken = holder(k);
        if (taken != null) {
            throw new IllegalStateException(id + " has a shortcut that " + taken + " has: " + keys);
        }
        standard.put(id, k);
    }

    /** A second key for a command, which is written nowhere. */
    void addFurther(String id, String keys) {
        KeyCombination k = parse(keys);
        if (holder(k) != null) {
            throw new IllegalStateException(id + " has a shortcut that " + holder(k) + " has: " + keys);
        }
        further.put(k, id);
    }

    /** Those of a command now; null for none. */
    public KeyCombination of(String id) {
        return own.containsKey(id) ? own.get(id) : standard.get(id);
    }

    public boolean changed(String id) {
        return own.containsKey(id);
    }

    /** The command that has some keys; null for none. */
    public String holder(KeyCombination keys) {
        for (String id : standard.keySet()) {
            if (keys.equals(of(id))) {
                return id;
            }
        }
        return own.entrySet().stream().filter(e -> keys.equals(e.getValue())).map(Map.Entry::getKey).findFirst().orElse(further.get(keys));
    }

    /** The command of a press, as far as a test lets through; null for none. */
    String of(KeyEvent e, Function<String, Boolean> can) {
        for (var all : List.of(own, standard)) {
            for (String id : all.keySet()) {
                KeyCombination k = of(id);
                if (k != null && k.match(e) && can.apply(id)) {
                    return id;
                }
            }
        }
        return further.entrySet().stream().filter(x -> x.getKey().match(e) && can.apply(x.getValue())).map(Map.Entry::getValue).findFirst()
                .orElse(null);
    }

    /** Why keys can't be chosen; null when they can. */
    public static String problem(KeyCombination keys) {
        boolean plain = keys.getShortcut() != KeyCombination.ModifierValue.DOWN && keys.getAlt() != KeyCombination.ModifierValue.DOWN;
        return plain && RESERVED.contains(((KeyCodeCombination) keys).getCode()) ? words(keys)
                + " does something else wherever the keyboard is; choose it with Ctrl or Alt, or another key." : null;
    }

    /** Gives a command other keys, taking them from whoever has them. @param keys null for none */
    public void put(String id, KeyCombination keys) {
        String holder = keys == null ? null : holder(keys);
        if (holder != null && !holder.equals(id)) {
            further.remove(keys);
            if (keys.equals(of(holder))) {
                own.put(holder, null);
                kept.accept(holder, "");
            }
        }
        own.put(id, keys);
        kept.accept(id, keys == null ? "" : text(keys));
    }

    /** Gives a command back the keys that it came with, unless another has them now; says whether it could. */
    public boolean reset(String id) {
        KeyCombination was = standard.get(id);
        String holder = was == null ? null : holder(was);
        if (holder != null && !holder.equals(id)) {
            return false;
        }
        own.remove(id);
        kept.accept(id, null);
        return true;
    }

    /** What was chosen in an earlier run. @param keep hears of each change from now on */
    public void load(Map<String, String> chosen, BiConsumer<String, String> keep) {
        chosen.forEach((id, text) -> {
            try {
                own.put(id, text.isEmpty() ? null : parse(text));
            } catch (IllegalArgumentException e) {
                // of another version: the standard stays
            }
        });
        kept = keep;
    }

    /** What was chosen, a line for each: the command's id and its keys. */
    public String export() {
        var out = new StringBuilder();
        own.forEach((id, keys) -> out.append(id).append(" = ").append(keys == null ? "" : text(keys)).append('\n'));
        return out.toString();
    }

    /** Takes what {@link #export} wrote; lines that say nothing known are left out. @return how many were taken */
    public int take(String text, Set<String> ids) {
        int n = 0;
        for (String line : text.lines().toList()) {
            String[] parts = line.split("=", 2);
            if (parts.length == 2 && ids.contains(parts[0].strip())) {
                try {
                    put(parts[0].strip(), parts[1].isBlank() ? null : parse(parts[1].strip()));
                    n++;
                } catch (IllegalArgumentException e) {
                    // keys that this machine doesn't know
                }
            }
        }
        return n;
    }
}
