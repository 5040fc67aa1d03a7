package tundra.app.builtin;

import java.util.function.Supplier;
import tundra.app.command.CommandIds;
import tundra.app.interact.ScriptsPanel;
import tundra.app.studio.Desk;
import tundra.app.studio.Studio;

/** Commands of the script editor. Its keys are its own: they mean something else elsewhere. */
public final class ScriptCommands {
    private ScriptCommands() {}

    public static void add(Workshop w, Supplier<ScriptsPanel> panel) {
        Studio s = w.studio;
        w.commands.add(CommandIds.SCRIPT_COMPLETE, "Complete the script at its caret", null, () -> s.desk() == Desk.INTERACT && !s.project().scripts()
                .isEmpty(), () -> panel.get().complete());
        w.commands.add("script-new", "New script", null, () -> true, () -> {
            s.setDesk(Desk.INTERACT);
            panel.get().addOne();
        });
        w.commands.add(CommandIds.SCRIPT_FIND, "Find and replace in the script", null, () -> s.desk() == Desk.INTERACT && !s.project().scripts()
                .isEmpty(), () -> panel.get().find());
    }
}
