package tundra.app.builtin;

import java.util.ArrayList;
import tundra.app.command.Command;
import tundra.app.command.CommandIds;

/** Commands about files. */
public final class FileCommands {
    private FileCommands() {}

    public static void add(Workshop w, Runnable quit) {
        var c = w.commands;
        c.add(CommandIds.NEW, "New piece…", "Shortcut+N", () -> true, w.files::newPiece);
        c.add(CommandIds.OPEN, "Open…", "Shortcut+O", () -> true, w.files::open);
        c.add(CommandIds.SAVE, "Save", "Shortcut+S", () -> true, () -> w.files.save(w.studio.file(), () -> { }));
        c.add(CommandIds.SAVE_AS, "Save as…", "Shortcut+Shift+S", () -> true, () -> w.files.save(null, () -> { }));
        c.add(CommandIds.BRING_IN, "Bring in art…", "Shortcut+I", () -> true, w.files.importing::bringIn);
        c.add(CommandIds.QUIT, "Quit", "Shortcut+Q", () -> true, quit);
        c.addMore(() -> {
            var out = new ArrayList<Command>();
            w.settings.recent().forEach(f -> out.add(new Command("recent", () -> "Open " + f.getFileName() + " (" + f.getParent() + ")", null,
                    () -> true, () -> w.files.openRecent(f))));
            return out;
        });
    }
}
