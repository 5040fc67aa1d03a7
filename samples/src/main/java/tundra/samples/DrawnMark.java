package tundra.samples;

import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import tundra.core.file.ProjectFile;
import tundra.core.geometry.Contour;
import tundra.core.geometry.Node;
import tundra.core.geometry.Outline;
import tundra.core.geometry.Point;
import tundra.core.model.Board;
import tundra.core.model.Color;
import tundra.core.model.Element;
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.core.model.Scene;
import tundra.core.model.Timeline;
import tundra.core.model.Values;
import tundra.core.motion.Easing;
import tundra.core.motion.EasingText;
import tundra.core.motion.Key;
import tundra.core.motion.Track;

/** To learn from: the mark of the station is drawn by its line, a bright dash flies along it, and the name comes in. */
public final class DrawnMark {
    private static final Easing OUT = EasingText.parse("cubic-out"), BOTH = EasingText.parse("sine-both");

    private DrawnMark() {}

    /** Writes samples/drawn-mark.tundra; the argument is where to. */
    public static void main(String[] args) throws Exception {
        ProjectFile.write(project(), Path.of(args[0]));
    }

    /** Two fells and the sun behind them, in one stroke. */
    private static Outline fells() {
        return new Outline(List.of(new Contour(List.of(Node.corner(40, 220), Node.corner(128, 92), Node.corner(176, 160), Node.corner(240, 60),
                Node.corner(352, 220),
                Node.smooth(new Point(392, 220), new Point(20, 0)), Node.smooth(new Point(420, 180), new Point(0, -24)),
                Node.smooth(new Point(380, 140), new Point(-24, 0)), Node.smooth(new Point(340, 172), new Point(-4, 18))), false)));
    }

    private static Element stroke(String name, String color, double width) {
        return Art.path(name, fells()).with(Properties.STROKE, Color.parse(color)).with(Properties.STROKE_WIDTH, width);
    }

    @SafeVarargs
    private static <T> Track<T> keys(Key<T>... keys) {
        return new Track<>(List.of(keys));
    }

    private static <T> Key<T> at(double seconds, T value, Easing e) {
        return new Key<>(Math.round(seconds * 1e6), value, e);
    }

    public static Project project() {
        Element line = stroke("Line", "#1C6A5E", 10), dash = stroke("Flying dash", "#DB7A22", 6).with(Properties.DASH, 46.0)
                .with(Properties.GAP, 2000.0);
        Element name = Art.text("Name", "Fellmark Station", 40, 252, 600, 40, "#1D2926");
        Timeline main = new Timeline("t-main", Timeline.MAIN, 4_000_000, false, true, Map.of())
                .with(line.id(), Properties.REVEAL, keys(at(0.2, new Point(0, 0), BOTH), at(2.0, new Point(0, 1), Easing.LINEAR)))
                .with(dash.id(), Properties.DASH_OFFSET, keys(at(0.2, 46.0, BOTH), at(2.2, -900.0, Easing.LINEAR)))
                .with(name.id(), Properties.OPACITY, keys(at(1.7, 0.0, OUT), at(2.4, 1.0, OUT)))
                .with(name.id(), Properties.POSITION, keys(at(1.7, new Point(40, 268), OUT), at(2.4, new Point(40, 252), OUT)));
        var board = new Board(new Point(460, 340), Values.NONE.with(Properties.BACKGROUND, Art.color("#F7F9F6")), List.of(line, dash, name),
                List.of(main), List.of());
        return new Project("drawn-mark", "A mark drawn by its line", 30, List.of(new Scene("s-mark", "Mark", board)), Map.of(), Map.of());
    }
}
