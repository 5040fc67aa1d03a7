package tundra.samples;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import tundra.core.file.ProjectFile;
import tundra.core.geometry.Point;
import tundra.core.model.Board;
import tundra.core.model.Drawing;
import tundra.core.model.Element;
import tundra.core.model.Flipbook;
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.core.model.RulerLine;
import tundra.core.model.Scene;
import tundra.core.model.Timeline;
import tundra.core.model.Values;

/** A small piece: the hare hops on a trampoline of snow, two seconds that go round, 20 drawings at 10 a second. */
public final class Hop {
    private static final double GROUND = 250;

    private Hop() {}

    /** Writes samples/hop.tundra; the argument is where to. */
    public static void main(String[] args) throws Exception {
        ProjectFile.write(project(), Path.of(args[0]));
    }

    public static Project project() {
        var hare = Hare.book("Hare", Hare.hop(), 10, Flipbook.Ending.LOOP, 100, GROUND);
        var sky = Art.rectangle("Night", 0, 0, 400, 320, 0, "#16365A").withLocked(true);
        var board = new Board(new Point(400, 320), Values.NONE.with(Properties.BACKGROUND, Art.color("#16365A")), List.of(sky, snow(), hare),
                List.of(new Timeline("t-main", Timeline.MAIN, 2_000_000, true, true, Map.of())), List.of(), List.of(new RulerLine(false, GROUND)));
        return new Project("hop", "Hop", 10, List.of(new Scene("s-hop", "Hop", board)), Map.of(), Map.of());
    }

    /** The snow, pressed in beneath the hare as long as it stands there, with a drawing for each of the hare's. */
    private static Element snow() {
        var out = new ArrayList<Drawing>();
        int at = 0;
        for (int i = 0; i < Hare.PRESSED.length; i++) {
            boolean last = i + 1 == Hare.PRESSED.length;
            // what stays as it is is one drawing that is held
            if (last || Hare.PRESSED[i + 1] != Hare.PRESSED[i]) {
                out.add(new Drawing(pressed(out.size() + 1, GROUND + 3 + Hare.PRESSED[i]), at, i + 1 - at));
                at = i + 1;
            }
        }
        return Art.named("Snow", new Flipbook(out, new Point(400, 320), 10, Flipbook.Ending.LOOP), Values.NONE.with(Properties.POSITION,
                new Point(200, 160)));
    }

    private static Element pressed(int number, double deep) {
        String id = "s-snow-" + number;
        Element drift = Art.ground("Drift", "#F3F7FA", 340, -20, 262, 60, GROUND + 2, 108, GROUND + 3, 160, deep, 212, deep, 264, GROUND + 3, 340,
                GROUND, 420, 246)
                .withId(id + "-drift");
        return Flipbook.blank("Snow " + number, new Point(400, 320)).withId(id).withChildren(List.of(drift));
    }
}
