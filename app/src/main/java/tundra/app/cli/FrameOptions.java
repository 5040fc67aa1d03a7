package tundra.app.cli;

import java.io.IOException;
import java.nio.file.Path;
import java.util.stream.Collectors;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import tundra.core.fit.Frames;
import tundra.core.frame.Frame;
import tundra.core.frame.Moment;
import tundra.core.model.Board;
import tundra.core.model.Place;
import tundra.core.model.Project;
import tundra.core.model.Timeline;
import tundra.render.Fonts;

/** The words that name one frame of a project. */
final class FrameOptions {
    @Parameters(paramLabel = "FILE", description = "the project")
    private Path file;
    @Option(names = "--scene", paramLabel = "NAME", description = "the scene or motif; the first scene when it is left out")
    private String scene;
    @Option(names = "--at", defaultValue = "0", paramLabel = "SECONDS", description = "seconds after the scene was opened (default ${DEFAULT-VALUE})")
    private double at;
    @Option(names = "--timeline", paramLabel = "NAME[=SECONDS]",
            description = "a timeline that was started last, and where it stands; without seconds where --at says")
    private String timeline;

    @Mixin
    private LayoutOptions layout;

    Path file() {
        return file;
    }

    Project project() throws IOException {
        if (!(at >= 0 && at <= 86_400)) {
            throw new IllegalArgumentException("The time must lie between 0 and 86400 seconds.");
        }
        return Opening.of(file);
    }

    Frame frame(Project p) {
        Place place = PlaceFinder.of(p, scene);
        Board board = layout.of(place.name(), place.board(), Fonts.of(p.assets()));
        return Frames.of(p, board, Fonts.of(p.assets())).at(moment(board));
    }

    private Moment moment(Board board) {
        Moment opened = Moment.opened(board, Math.round(at * 1e6));
        if (timeline == null) {
            return opened;
        }
        Timeline t = named(board, timeline);
        int equals = timeline.lastIndexOf('=');
        if (t != null || equals < 0) {
            return opened.with(known(board, t, timeline).id(), t.local(Math.round(at * 1e6)));
        }
        Timeline told = known(board, named(board, timeline.substring(0, equals)), timeline.substring(0, equals));
        return opened.with(told.id(), told.local(Math.round(seconds(timeline.substring(equals + 1)) * 1e6)));
    }

    private static Timeline named(Board board, String name) {
        return board.timelines().stream().filter(t -> t.name().equals(name)).findFirst().orElse(null);
    }

    private static Timeline known(Board board, Timeline t, String name) {
        if (t == null) {
            throw new IllegalArgumentException("There is no timeline “" + name + "”; there is "
                    + board.timelines().stream().map(Timeline::name).collect(Collectors.joining(", ")) + ".");
        }
        return t;
    }

    private static double seconds(String text) {
        try {
            double s = Double.parseDouble(text);
            if (s >= 0 && s <= 86_400) {
                return s;
            }
        } catch (NumberFormatException e) {
            // said below
        }
        throw new IllegalArgumentException("“" + text + "” is not a time; say seconds between 0 and 86400.");
    }
}
