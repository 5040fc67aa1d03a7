package tundra.app;

import javafx.application.Application;
import tundra.app.cli.CommandLine;
import tundra.app.studio.Settings;
import tundra.app.widget.Look;

/** The entry of the program: words that the command line knows are done there, everything else opens the desktop. */
public final class Launcher {
    private Launcher() {}

    public static void main(String[] args) {
        launch(TundraApp.class, args);
    }

    /** Does what the arguments say; where they name no command, the desktop that is opened is this one. */
    public static void launch(Class<? extends TundraApp> desktop, String[] args) {
        if (args.length > 0 && CommandLine.knows(args[0])) {
            System.exit(CommandLine.run(args));
        }
        String unknown = args.length > 0 ? CommandLine.unknown(args[0]) : null;
        if (unknown != null) {
            System.err.println(unknown);
            System.exit(1);
        }
        int percent = Settings.load().textSize();
        if (percent != 100) {
            // read by the toolkit when it starts, on top of what the screen asks for where that is not known
            System.setProperty("glass.gtk.uiScale", percent + "%");
            System.setProperty("glass.win.uiScale", percent + "%");
        }
        // while the toolkit starts, which takes one processor
        new Thread(Look::readFonts, "font files").start();
        Application.launch(desktop, args);
    }
}
