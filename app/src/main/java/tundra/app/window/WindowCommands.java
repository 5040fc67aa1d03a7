package tundra.app.window;

import java.util.List;
import tundra.app.TundraApp;
import tundra.app.command.Command;
import tundra.app.command.Commands;
import tundra.app.builtin.Workshop;
import tundra.app.help.HelpPage;
import tundra.app.language.Language;
import tundra.app.studio.Desk;
import tundra.app.studio.Settings;

/** Commands about the window itself: what lies over it, its panels, its help, its language and size. */
final class WindowCommands {
    private WindowCommands() {}

    static void add(Workshop w, MainWindow window, Overlays overlays) {
        Commands c = w.commands;
        c.add("earlier-versions", "Earlier versions…", null, () -> true, overlays::earlier);
        c.add("history", () -> overlays.remembering() ? "Hide the history" : "Show the history", "Shortcut+Shift+H", () -> true, overlays::history);
        c.add("start-page", "Start page", null, () -> true, window::offerStart);
        c.add("shortcuts", "Shortcuts…", null, () -> true, overlays::shortcuts);
        c.add("lesson", "Lesson: your first piece", null, () -> true, () -> w.files.whenSafe(() -> {
            w.studio.open(TundraApp.blank(), null);
            overlays.lesson(window::isTrying);
        }));
        c.add("help", "Help for where the keyboard is", "F1", () -> true, () -> overlays.help(window.helpHere()));
        c.addMore(() -> HelpPage.ALL.stream().map(p -> new Command("help-page", () -> "Help: " + p.title(), null, () -> true, () -> overlays.help(p)))
                .toList());
        c.add("hints", () -> window.hints().on() ? "Hide hints" : "Show hints", null, () -> true, () -> window.hints().setOn(!window.hints().on()));
        panels(w, window);
        c.add("new-window", "Open another window", null, () -> true, () -> w.jobs.run(() -> {
            OtherWindow.open();
            return null;
        }, x -> { }));
        nextStart(w);
    }

    private static void panels(Workshop w, MainWindow window) {
        for (String side : List.of("left", "right")) {
            w.commands.add("fold-" + side, () -> (window.desks.folded(side) ? "Show" : "Hide") + " the panels at the " + side, side.equals("left")
                    ? "Shortcut+Alt+L" : "Shortcut+Alt+R",
                    () -> !window.desks.isAlone() && (side.equals("left") ? w.studio.desk() == Desk.DRAW : w.studio.desk() != Desk.PUBLISH),
                    () -> window.desks.fold(side));
        }
        w.commands.add("canvas-alone", () -> window.desks.isAlone() ? "All of the window again" : "The canvas alone, over the whole screen", "F11",
                () -> w.studio.desk() != Desk.PUBLISH && !window.isTrying(), window.desks::toggleAlone);
    }

    /** What the toolkit takes only when it starts. */
    private static void nextStart(Workshop w) {
        for (int percent : Settings.TEXT_SIZES) {
            w.commands.add("text-size-" + percent, () -> "Text and everything at " + (percent == 100 ? "its usual size" : percent + " %")
                    + when(w.settings.textSize() == percent), null, () -> true, () -> {
                w.settings.setTextSize(percent);
                w.notices.news("From the next start everything is at " + percent + " %.");
            });
        }
        Language.ALL.forEach((code, name) -> w.commands.add("language-" + code, () -> "Language: " + name + when(w.settings.language().equals(code)),
                null, () -> true, () -> {
            w.settings.setLanguage(code);
            w.notices.news(name + ": from the next start.");
        }));
    }

    private static String when(boolean now) {
        return now ? " (now)" : " (from the next start)";
    }
}
