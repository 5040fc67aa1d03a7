package tundra.app.builtin;

import java.io.IOException;
import java.util.ArrayList;
import java.util.function.DoubleConsumer;
import javafx.scene.input.Clipboard;
import javafx.scene.input.ClipboardContent;
import tundra.app.command.Command;
import tundra.app.command.CommandIds;
import tundra.app.studio.Desk;
import tundra.app.studio.Studio;
import tundra.app.tool.ToolKind;
import tundra.core.model.Content;
import tundra.render.SkiaSeries;

/** Commands about the window: desks, tools, zoom, theme. */
public final class ViewCommands {
    private ViewCommands() {}

    public static void add(Workshop w, Runnable find, Runnable tryIt, Runnable rename, Runnable fitTime, Runnable trace) {
        Studio s = w.studio;
        var c = w.commands;
        for (Desk d : Desk.values()) {
            c.add(CommandIds.DESK + d, d.label + " desk", "Alt+DIGIT" + (d.ordinal() + 1), () -> true, () -> s.setDesk(d));
        }
        for (ToolKind k : ToolKind.values()) {
            c.add(CommandIds.TOOL + k, k.label, k.key, () -> s.desk() != Desk.PUBLISH, () -> w.tools.take(k));
        }
        c.add(CommandIds.FIND, "Find anything", "Shortcut+K", () -> true, find);
        c.add(CommandIds.TRY, "Try it", "Shortcut+T", () -> true, tryIt);
        c.add("open-browser", "Try it in the browser", "Shortcut+Shift+T", () -> true, () -> openInBrowser(w));
        c.add("fit", "Fit canvas", "Shortcut+DIGIT0", () -> true, w.canvas::fit);
        c.add("actual-size", "Actual size", "Shortcut+DIGIT1", () -> true, w.canvas::actualSize);
        c.add(CommandIds.FIT_TIME, "Fit timeline", "Shortcut+Shift+DIGIT0", () -> s.desk() == Desk.ANIMATE, fitTime);
        c.add("zoom-in", "Zoom in", "Shortcut+EQUALS", () -> true, () -> w.canvas.zoom(1.25));
        c.add("zoom-out", "Zoom out", "Shortcut+MINUS", () -> true, () -> w.canvas.zoom(0.8));
        c.add(CommandIds.RENAME, () -> s.time().marker() != null ? "Rename marker " + s.time().marker().name() : "Rename", "F2", () -> s.time()
                .marker() != null
                || s.selected() != null && s.desk() != Desk.PUBLISH, rename);
        c.add("trace", "Trace the picture into paths", "Shortcut+Shift+R",
                () -> s.selected() != null && s.selected().content() instanceof Content.Picture, trace);
        c.add("at-rest", () -> s.picture().atRest() ? "Show the canvas at the playhead" : "Show things as they rest", null,
                () -> s.desk() == Desk.DRAW,
                () -> s.picture().setAtRest(!s.picture().atRest()));
        c.add(CommandIds.THEME, () -> s.dark() ? "Day theme" : "Polar night theme", null, () -> true, () -> {
            s.setDark(!s.dark());
            w.settings.setDark(s.dark());
        });
        c.addMore(() -> {
            var out = new ArrayList<Command>();
            s.project().scenes().forEach(x -> out.add(new Command("scene", () -> "Go to scene " + x.name(), null, () -> true,
                    () -> s.navigation().showPlace(x.id()))));
            s.board().timelines().forEach(t -> out.add(new Command("timeline", () -> "Show timeline " + t.name(), null, () -> true,
                    () -> s.time().choose(t.id()))));
            return out;
        });
    }

    /** The page as it is now, from the server on this machine. */
    public static void openInBrowser(Workshop w) {
        var project = w.studio.kept();
        DoubleConsumer[] share = new DoubleConsumer[1];
        Runnable giveUp = w.jobs.start(p -> w.tryIt.url(project, new SkiaSeries(p)), x -> share[0].accept(x), url -> {
            w.notices.hide();
            open(w, url);
        }, () -> w.notices.news("Given up; no page was made."));
        share[0] = w.notices.working("Making the page…", giveUp);
    }

    /** Where no browser opens, the address is given to be copied. */
    public static void open(Workshop w, String address) {
        w.jobs.run(() -> {
            try {
                w.browser.open(address);
                return null;
            } catch (IOException e) {
                return e.getMessage();
            }
        }, problem -> {
            if (problem != null) {
                w.notices.problem("The page can't be opened from here: " + problem + ". Open this address yourself: " + address, "Copy the address",
                        () -> {
                    var content = new ClipboardContent();
                    content.putString(address);
                    Clipboard.getSystemClipboard().setContent(content);
                    w.notices.news("The address is copied.");
                });
            }
        });
    }
}
