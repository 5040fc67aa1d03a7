package tundra.app.commands;

import java.util.ArrayList;
import tundra.app.command.Command;

/** Commands about files. */
public final class FileCommands {
    private FileCommands() {}

    public static void add(Workshop w, Runnable quit) {
        var c = w.commands;
        c.add("new", "New piece…", "Shortcut+N", () -> true, w.files::newPiece);
        c.add("open", "Open…", "Shortcut+O", () -> true, w.files::open);
        c.add("save", "Save", "Shortcut+S", () -> true, () -> w.files.save(w.studio.file(), () -> { }));
        c.add("save-as", "Save as…", "Shortcut+Shift+S", () -> true, () -> w.files.save(null, () -> { }));
        c.add("bring-in", "Bring in art…", "Shortcut+I", () -> true, w.files::bringIn);
        c.add("quit", "Quit", "Shortcut+Q", () -> true, quit);
        c.addMore(() -> {
            var out = new ArrayList<Command>();
            w.settings.recent().forEach(f -> out.add(new Command("recent", () -> "Open " + f.getFileName() + " (" + f.getParent() + ")", null,
                    () -> true, () -> w.files.openRecent(f))));
            return out;
        });
    }
}
