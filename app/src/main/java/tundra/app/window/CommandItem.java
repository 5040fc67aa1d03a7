package tundra.app.window;

import javafx.scene.control.MenuItem;
import javafx.scene.input.KeyCombination;
import javafx.scene.input.KeyEvent;
import tundra.app.command.Command;

/** A command in a menu, with its shortcut in the menu's right column. */
final class CommandItem extends MenuItem {
    CommandItem(Command c) {
        this(c, () -> { });
    }

    /** @param after runs when the command was run */
    CommandItem(Command c, Runnable after) {
        super(c.name().get());
        setMnemonicParsing(false);
        if (c.shortcut() != null) {
            setAccelerator(new Shown(c.shortcutText()));
        }
        setOnAction(e -> {
            c.run().run();
            after.run();
        });
    }

    /** A shortcut that is only shown: the window hears the keys itself, and knows when a command can be run. */
    private static final class Shown extends KeyCombination {
        private final String text;

        Shown(String text) {
            this.text = text;
        }

        @Override
        public String getDisplayText() {
            return text;
        }

        @Override
        public boolean match(KeyEvent e) {
            return false;
        }
    }
}
