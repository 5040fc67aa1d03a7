package tundra.samples;

import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import tundra.core.file.ProjectFile;
import tundra.core.geometry.Point;
import tundra.core.model.Board;
import tundra.core.model.Flipbook;
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.core.model.RulerLine;
import tundra.core.model.Scene;
import tundra.core.model.Timeline;
import tundra.core.model.Values;

/** A small piece: the hare jumps on the spot, three seconds that go round, 36 frames at 12 a second. */
public final class Hop {
    private Hop() {}

    /** Writes samples/hop.tundra; the argument is where to. */
    public static void main(String[] args) throws Exception {
        ProjectFile.write(project(), Path.of(args[0]));
    }

    public static Project project() {
        var hare = Hare.book("Hare", Hare.jump(), 12, Flipbook.Ending.LOOP, 100, 250);
        var snow = Art.ground("Snow", "#F3F7FA", 340, -20, 262, 120, 244, 280, 252, 420, 246);
        var sky = Art.rectangle("Night", 0, 0, 400, 320, 0, "#16365A").withLocked(true);
        var board = new Board(new Point(400, 320), Values.NONE.with(Properties.BACKGROUND, Art.color("#16365A")), List.of(sky, snow.withLocked(true), hare),
                List.of(new Timeline("t-main", Timeline.MAIN, 3_000_000, true, true, Map.of())), List.of(), List.of(new RulerLine(false, 250)));
        return new Project("hop", "Hop", 12, List.of(new Scene("s-hop", "Hop", board)), Map.of(), Map.of());
    }
}
