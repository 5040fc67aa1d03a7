package tundra.samples;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import tundra.core.edit.ButtonMotif;
import tundra.core.file.ProjectFile;
import tundra.core.geometry.Point;
import tundra.core.model.Action;
import tundra.core.model.Actions;
import tundra.core.model.Board;
import tundra.core.model.Clock;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Events;
import tundra.core.model.FontSource;
import tundra.core.model.Ids;
import tundra.core.model.Motif;
import tundra.core.model.PieceValue;
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.core.model.Reaction;
import tundra.core.model.Scene;
import tundra.core.model.Setting;
import tundra.core.model.Timeline;
import tundra.core.model.Values;

/** To learn from: three buttons with looks of their own under the pointer, pressed and off, and what tapping them does. */
public final class Buttons {
    private Buttons() {}

    /** Writes samples/buttons.tundra; the argument is where to. */
    public static void main(String[] args) throws Exception {
        ProjectFile.write(project(), Path.of(args[0]));
    }

    private static Element words(String id, String text, double w, double h, String ink) {
        return new Element(id, text, false, false, Values.NONE.with(Properties.POSITION, new Point(w / 2, h / 2))
                .with(Properties.FILL, Art.color(ink)), new Content.Text(text, FontSource.STANDARD, 600, 18, Content.Align.CENTRE, 1.25));
    }

    private static Motif button(long seed, String id, String name, double w, String face, String ink) {
        return Ids.seeded(seed, () -> ButtonMotif.of(id, name, new Point(w, 52), List.of(Art.rectangle(name + " face", 0, 0, w, 52, 26, face),
                words(id + "-words", name, w, 52, ink))));
    }

    private static Element placed(String id, Motif m, double x) {
        return new Element(id, m.name(), false, false, Values.NONE.with(Properties.POSITION, new Point(x, 300)).with(Properties.CURSOR, "pointer"),
                new Content.Instance(m.id(), m.board().size(), new Clock(true, Clock.Repeat.HOLD, 0, 1)));
    }

    public static Project project() {
        List<Motif> motifs = List.of(button(11, "m-light", "Light a lamp", 170, "#1C6A5E", "#FFFFFF"), button(12, "m-dim", "Put one out", 170,
                "#E4EAE5", "#1D2926"), button(13, "m-all", "All out", 120, "#C23B3B", "#FFFFFF"));
        var elements = new ArrayList<Element>();
        elements.add(Art.rectangle("Night", 0, 0, 640, 400, 0, "#16365A").withLocked(true));
        elements.add(new Element("count", "How many", false, false, Values.NONE.with(Properties.POSITION, new Point(320, 60))
                .with(Properties.FILL, Art.color("#FBE8D3")), new Content.Text("{lamps} lamps are lit", FontSource.STANDARD, 600, 28,
                Content.Align.CENTRE, 1.25)));
        elements.add(Art.circle("Lamp", 320, 170, 44, "#FFE39A").withId("lamp").with(Properties.OPACITY, 0.25));
        double[] at = {150, 340, 510};
        for (int i = 0; i < at.length; i++) {
            elements.add(placed("b-" + i, motifs.get(i), at[i]));
        }
        Action brighter = Actions.of(Actions.CHANGE_BY, List.of("lamp"), Setting.of(Properties.OPACITY, 0.15), 300_000L, "ease-out");
        Action dimmer = Actions.of(Actions.CHANGE_BY, List.of("lamp"), Setting.of(Properties.OPACITY, -0.15), 300_000L, "ease-out");
        Action out = Actions.of(Actions.SET, List.of("lamp"), Setting.of(Properties.OPACITY, 0.25), 500_000L, "ease-in-out");
        var board = new Board(new Point(640, 400), Values.NONE.with(Properties.BACKGROUND, Art.color("#16365A")), elements,
                List.of(new Timeline("t-main", Timeline.MAIN, 1_000_000, false, true, Map.of())), List.of(
                new Reaction("r-light", Events.tapped("b-0"), List.of(Actions.of(Actions.ADD_VALUE, "lamps", 1.0), brighter)),
                new Reaction("r-dim", Events.tapped("b-1"), List.of(Actions.of(Actions.ADD_VALUE, "lamps", -1.0), dimmer)),
                new Reaction("r-all", Events.tapped("b-2"), List.of(Actions.of(Actions.SET_VALUE, "lamps", "0"), out))));
        return new Project("buttons", "A set of buttons", 30, List.of(new Scene("s-buttons", "Buttons", board)), Map.of(), Map.of())
                .withMotifs(motifs)
                .withValues(List.of(new PieceValue("lamps", "lamps", PieceValue.Kind.NUMBER, "0", false)));
    }
}
