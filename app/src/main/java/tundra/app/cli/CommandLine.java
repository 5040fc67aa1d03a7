package tundra.app.cli;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Set;
import picocli.CommandLine.Command;
import picocli.CommandLine.ParameterException;
import tundra.app.job.Troubles;

/** The command line. Exit code 0, or 1 with one sentence on standard error. */
@Command(name = "tundra", mixinStandardHelpOptions = true, version = "Tundra 0.1",
        description = "Draw, animate and publish interactive 2D pieces for the web. Without a command: opens the desktop, with a FILE if one is named.",
        subcommands = {PublishCommand.class, StillCommand.class, InfoCommand.class, NewCommand.class, SvgCommand.class, ImportCommand.class,
        CheckCommand.class, SheetCommand.class,
                ShotCommand.class, MakeCommand.class, HostCommand.class, SendCommand.class,
                DiffCommand.class, MergeCommand.class, UnpackCommand.class, PackCommand.class})
public final class CommandLine implements Runnable {
    private static final Set<String> WORDS = Set.of("publish", "still", "info", "new", "svg", "import", "check", "sheet", "shot", "make", "host",
            "send", "diff", "merge", "unpack", "pack", "help", "--help", "-h", "--version", "-V");

    public static boolean knows(String word) {
        return WORDS.contains(word) || OutputCommand.words().contains(word) || word.startsWith("-");
    }

    /** Says that a word is neither a command nor a file that could be opened; null when it could. */
    public static String unknown(String word) {
        return word.endsWith(".tundra") || Files.exists(Path.of(word)) ? null
                : "“" + word + "” is neither a command nor a file that is there. The commands are " + String.join(", ", made().getSubcommands()
                .keySet())
                + "; with a project's file, or with nothing, the desktop opens.";
    }

    @Override
    public void run() {
        picocli.CommandLine.usage(this, System.out);
    }

    private static picocli.CommandLine made() {
        var out = new picocli.CommandLine(new CommandLine());
        OutputCommand.kinds().forEach(k -> out.addSubcommand(k.key(), OutputCommand.of(k)));
        return out;
    }

    private static int told(Throwable e) {
        System.err.println(Troubles.sentence(e).lines().findFirst().orElse(""));
        return 1;
    }

    public static int run(String... args) {
        var cl = made();
        if (args.length == 1 && args[0].equals("help")) {
            cl.usage(System.out);
            return 0;
        }
        cl.setParameterExceptionHandler((ParameterException e, String[] a) -> {
            System.err.println(e.getMessage().lines().findFirst().orElse("that can't be understood") + " (see tundra "
                    + (e.getCommandLine().getParent() == null ? "" : e.getCommandLine().getCommandName() + " ") + "--help)");
            return 1;
        });
        cl.setExecutionExceptionHandler((e, c, r) -> told(e));
        PlainOutput.use();
        try {
            return List.of("still", "publish", "check", "svg").contains(args[0]) ? Patience.run(() -> cl.execute(args)) : cl.execute(args);
        } catch (Error e) {
            return told(e);
        }
    }
}
