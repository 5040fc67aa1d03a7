package tundra.app.command;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.List;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import org.junit.jupiter.api.Test;

class CommandsTest {
    private final List<String> done = new ArrayList<>();
    private final Commands commands = new Commands();
    private boolean enabled = true;

    private Command add(String id, String name, String shortcut) {
        return commands.add(id, name, shortcut, () -> enabled, () -> done.add(id));
    }

    private static KeyEvent press(KeyCode k, boolean shift, boolean ctrl) {
        return new KeyEvent(KeyEvent.KEY_PRESSED, "", "", k, shift, ctrl, false, false);
    }

    @Test
    void aShortcutFindsItsCommandWithExactlyItsModifiers() {
        Command undo = add("undo", "Undo", "Shortcut+Z"), redo = add("redo", "Redo", "Shortcut+Shift+Z"), zoom = add("zoom", "Zoom", "Z");
        assertThat(commands.of(press(KeyCode.Z, false, true))).isSameAs(undo);
        assertThat(commands.of(press(KeyCode.Z, true, true))).isSameAs(redo);
        assertThat(commands.of(press(KeyCode.Z, false, false))).isSameAs(zoom);
        assertThat(commands.of(press(KeyCode.Y, false, true))).isNull();
        enabled = false;
        assertThat(commands.of(press(KeyCode.Z, false, true))).isNull();
        assertThat(commands.run("undo")).isFalse();
        assertThat(done).isEmpty();
    }

    @Test
    void namesAreFoundByTheirWordsInAnyOrder() {
        add("a", "Bring to front", null);
        add("b", "Send to back", null);
        add("c", "Front view", null);
        commands.addMore(() -> List.of(new Command("d", () -> "Select Front door", null, () -> true, () -> { })));
        assertThat(commands.find("front").commands()).extracting(Command::id).containsExactly("c", "a", "d");
        assertThat(commands.find("to bring").commands()).extracting(Command::id).containsExactly("a");
        assertThat(commands.find("").commands()).hasSize(4);
        assertThat(commands.find("zzz").nearest()).isTrue();
    }

    @Test
    void idsAndShortcutsAreChecked() {
        add("a", "A", null);
        assertThatThrownBy(() -> add("a", "B", null)).isInstanceOf(IllegalStateException.class);
        add("c", "C", "Alt+Shift+C");
        assertThatThrownBy(() -> add("d", "D", "Shift+Alt+C")).isInstanceOf(IllegalStateException.class).hasMessageContaining("d has a shortcut");
        assertThatThrownBy(() -> add("b", "B", "Hyper+B")).isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> commands.get("nothing")).hasMessageContaining("nothing");
    }
}
