package tundra.app.cli;

import java.nio.file.Path;
import java.util.Locale;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import tundra.app.TundraApp;
import tundra.app.studio.Desk;
import tundra.core.geometry.Point;
import tundra.core.model.Project;

@Command(name = "shot", mixinStandardHelpOptions = true, description = "Opens the real window on a state, writes its picture and exits.")
final class ShotCommand implements Callable<Integer> {
    @Parameters(paramLabel = "FILE", arity = "0..1", description = "the project; an empty one when it is left out")
    private Path file;
    @Option(names = "--desk", defaultValue = "draw", paramLabel = "NAME", description = "draw, animate, interact, adapt or publish")
    private String desk;
    @Option(names = "--scene", paramLabel = "NAME", description = "the scene or motif; the first scene when it is left out")
    private String scene;
    @Option(names = "--layout", paramLabel = "NAME",
            description = "the scene's layout that is worked on; the scene as it is drawn when it is left out")
    private String layout;
    @Option(names = "--at", defaultValue = "0", paramLabel = "S", description = "the playhead in seconds")
    private double at;
    @Option(names = "--select", paramLabel = "NAME", description = "the element to select, by its name or its id")
    private String select;
    @Option(names = "--find", paramLabel = "WORDS", description = "opens “Find anything” with these words")
    private String find;
    @Option(names = "--try", description = "runs the page in the window")
    private boolean tryIt;
    @Option(names = "--tool", paramLabel = "NAME", description = "the tool in hand, such as nodes or gradient")
    private String tool;
    @Option(names = "--run", paramLabel = "COMMAND", description = "the id of a command to run, or several with commas between")
    private String run;
    @Option(names = "--working", defaultValue = "0", paramLabel = "S",
            description = "takes the picture while the command works: so many seconds after it was run")
    private double working;
    @Option(names = "--caret", paramLabel = "WORDS", description = "puts the script's caret behind these words, before a command runs")
    private String caret;
    @Option(names = "--bring-in", paramLabel = "FILE", description = "art to bring in first")
    private Path bringIn;
    @Option(names = "--zoom", paramLabel = "N", description = "enlarges around what is selected")
    private Double zoom;
    @Option(names = "--theme", defaultValue = "light", paramLabel = "NAME", description = "light or dark")
    private String theme;
    @Option(names = "--language", defaultValue = "en", paramLabel = "CODE", description = "en or de")
    private String language;
    @Option(names = "--size", defaultValue = "1280x800", paramLabel = "WxH", description = "the window's size (default ${DEFAULT-VALUE})")
    private String size;
    @Option(names = "--to", required = true, paramLabel = "PNG", description = "the picture to write")
    private Path to;

    /** What the window is to show. */
    record State(Project project, Path file, Desk desk, String scene, String layout, long at, String select, String find, boolean tryIt,
            boolean dark, Point size,
            Path to, String tool, double zoom, String run, Path bringIn, String caret, String language, double working) {}

    @Override
    public Integer call() throws Exception {
        if (working != 0 && (run == null || !(working > 0))) {
            throw new IllegalArgumentException(
                    "--working says how many seconds after the command of --run the picture is taken; it needs one, and a time above 0. No picture was made.");
        }
        Desk d;
        try {
            d = Desk.valueOf(desk.toUpperCase(Locale.ROOT));
        } catch (IllegalArgumentException e) {
            throw new IllegalArgumentException("There is no desk “" + desk + "”; there are draw, animate, interact, adapt and publish.", e);
        }
        Project p = file == null ? TundraApp.blank() : Opening.of(file);
        var named = PlaceFinder.of(p, scene);
        if (layout != null) {
            LayoutOptions.named(named.name(), named.board(), layout);
        }
        return ShotApp.take(new State(p, file, d, scene, layout, Math.round(at * 1e6), select, find, tryIt, theme.equalsIgnoreCase("dark"),
                Sizes.parse(size), to, tool, zoom == null ? 0 : zoom, run, bringIn, caret, language, working));
    }
}
