package tundra.app;

import javafx.application.Application;
import tundra.app.cli.CommandLine;

/** The entry of the program: words that the command line knows are done there, everything else opens the desktop. */
public final class Launcher {
    private Launcher() {}

    public static void main(String[] args) {
        if (args.length > 0 && CommandLine.knows(args[0])) {
            System.exit(CommandLine.run(args));
        }
        Application.launch(TundraApp.class, args);
    }
}
