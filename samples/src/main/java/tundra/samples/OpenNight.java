package tundra.samples;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import tundra.core.file.ProjectFile;
import tundra.core.geometry.Point;
import tundra.core.model.Actions;
import tundra.core.model.Asset;
import tundra.core.model.Board;
import tundra.core.model.Clock;
import tundra.core.model.Element;
import tundra.core.model.Events;
import tundra.core.model.Motif;
import tundra.core.model.Muted;
import tundra.core.model.PieceValue;
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.core.model.Reaction;
import tundra.core.model.Scene;
import tundra.core.model.Span;
import tundra.core.model.Timeline;
import tundra.core.model.Values;
import tundra.core.motion.Easing;
import tundra.core.motion.EasingText;
import tundra.core.motion.Key;
import tundra.core.motion.Track;

/** Makes the demo piece, the page of the made-up Fellmark Station. */
public final class OpenNight {
    private static final Easing GENTLE = EasingText.parse("sine-both");
    private static final Easing LANDS = EasingText.parse("cubic-out");
    /** Where the hare's box begins when it leaves its place, and when, in seconds. */
    private static final double RUN_FROM = 192;
    private static final double RUN_AT = 2;

    static final String ARRIVAL = "arrival", VISIT = "visit", RAISED = "raised";
    private static final Motif ROTOR = DemoMotifs.rotor(Scenery.rotor()), BUTTON = DemoMotifs.button(Scenery.button()), HARE = DemoMotifs.hare();

    private OpenNight() {}

    /** Writes samples/open-night.tundra; the argument is where to. */
    public static void main(String[] args) throws Exception {
        ProjectFile.write(project(), Path.of(args[0]));
    }

    public static Project project() {
        Project p = new Project("open-night", "Open Night", 24, List.of(arrival(), NightWalk.scene(HARE.id(), HARE.board().size()),
                RaiseTheMast.scene(), Visit.scene()), Map.of(), Map.of())
                .withMotifs(List.of(ROTOR, DemoMotifs.flag(), BUTTON, HARE))
                .withValues(List.of(new PieceValue(RAISED, "raised", PieceValue.Kind.NUMBER, "0", true))).withScripts(List.of(RaiseTheMast.CELEBRATE))
                .withMuted(List.of(new Muted("never_still", "arrival", "",
                "The sled and the flags are the welcome itself; whoever asks for less motion sees them at rest.")));
        for (Asset a : List.of(ArrivalMenu.CHIME, RaiseTheMast.VANE, RaiseTheMast.DOME, RaiseTheMast.LAMP, RaiseTheMast.MISSED)) {
            p = p.withAsset(a);
        }
        return MastFilm.FILM == null ? p : p.withAsset(MastFilm.FILM);
    }

    private static Scene arrival() {
        var elements = new ArrayList<Element>();
        elements.add(Scenery.sky());
        elements.add(Scenery.stars());
        Element high = Scenery.aurora("Aurora high", "#5FE3B4", 12, 105, -60, 186, 160, 150, 420, 96, 690, 150, 960, 74, 1220, 96, 1340, 70);
        Element low = Scenery.aurora("Aurora low", "#48C9A6", 12, 88, -60, 246, 140, 240, 380, 190, 620, 240, 900, 170, 1180, 214, 1340, 196);
        elements.add(high);
        elements.add(low);
        elements.add(Scenery.ridges());
        elements.add(Scenery.mast());
        elements.add(Scenery.lamp());
        elements.addAll(Scenery.snow().subList(0, 1));
        elements.add(Scenery.station());
        elements.add(Scenery.tower());
        elements.add(DemoMotifs.instead(Scenery.rotor(), ROTOR, Clock.OWN));
        elements.add(Scenery.hub());
        elements.addAll(Scenery.snow().subList(1, 2));
        elements.addAll(DemoMotifs.flags());
        elements.add(Scenery.hareAtRest(RUN_FROM + 30));
        elements.add(DemoMotifs.running(HARE, RUN_FROM, 549));
        elements.add(Scenery.sled());
        elements.add(Art.text("Title", "Open Night", 84, 46, 600, 84, "#FFFFFF"));
        elements.add(Art.text("Subtitle", "Fellmark Station · come and read the sky", 90, 152, 400, 26, "#CFEBE2"));
        elements.add(DemoMotifs.instead(Scenery.button(), BUTTON, new Clock(true, Clock.Repeat.HOLD, 0, 1)).with(Properties.CURSOR, "pointer"));
        var canvas = Values.NONE.with(Properties.BACKGROUND, Art.color("#23566B"));
        Timeline sled = sledRun();
        var start = new Reaction("r-start", Events.tapped("s-start-the-sled"),
                List.of(Actions.of(Actions.PLAY_FROM_START, sled.id())));
        elements.addAll(ArrivalMenu.elements());
        var timelines = new ArrayList<>(List.of(opening(), sled, weather(high, low)));
        timelines.addAll(ArrivalMenu.timelines());
        var reactions = new ArrayList<>(List.of(start));
        reactions.addAll(ArrivalMenu.reactions());
        return new Scene(ARRIVAL, "Arrival", ArrivalLayouts.of(new Board(new Point(1280, 640), canvas, elements, timelines, reactions)));
    }

    private static Timeline timeline(String id, String name, double seconds, boolean loop, boolean starts) {
        return new Timeline(id, name, Math.round(seconds * 1e6), loop, starts, Map.of());
    }

    private static <T> Key<T> key(double seconds, T value, Easing easing) {
        return new Key<>(Math.round(seconds * 1e6), value, easing);
    }

    private static Timeline opening() {
        return timeline("t-main", Timeline.MAIN, 8, false, true)
                .with("s-title", Properties.POSITION, new Track<>(List.of(key(0.5, new Point(84, 66), LANDS), key(2, new Point(84, 46), LANDS))))
                .with("s-title", Properties.OPACITY, new Track<>(List.of(key(0.5, 0.0, LANDS), key(2, 1.0, LANDS))))
                .with("s-subtitle", Properties.OPACITY, new Track<>(List.of(key(1.25, 0.0, GENTLE), key(2.75, 1.0, GENTLE))))
                .with("s-start-the-sled", Properties.SCALE, new Track<>(List.of(key(2, new Point(0, 0), EasingText.parse("back-out")),
                        key(2.5, new Point(1, 1), LANDS))))
                .with("s-mast-lamp", Properties.OPACITY, new Track<>(List.of(key(0, 1.0, Easing.HOLD), key(1, 0.2, Easing.HOLD),
                        key(2, 1.0, Easing.HOLD), key(3, 0.2, Easing.HOLD), key(4, 1.0, Easing.HOLD), key(5, 0.2, Easing.HOLD),
                        key(6, 1.0, Easing.HOLD))))
                .with("s-hare", Properties.POSITION, run())
                .withShown("s-hare-at-rest", new Span(0, Math.round(RUN_AT * 1e6)))
                .withShown("s-hare", new Span(Math.round(RUN_AT * 1e6), 8_000_000));
    }

    /** The drawings of a hop carry it on; at each new one it is set on by as much, so that no foot slips. */
    private static Track<Point> run() {
        Point from = new Point(RUN_FROM + 100, 561);
        var keys = new ArrayList<Key<Point>>();
        for (int hop = 0; RUN_AT + hop * 0.5 < 8; hop++) {
            keys.add(key(RUN_AT + hop * 0.5, from.plus(new Point(Hare.HOP * hop, 0)), Easing.HOLD));
        }
        return new Track<>(keys);
    }

    /** From where it waits along the snow to the right, slower up the rise, with a soft landing. */
    private static Timeline sledRun() {
        var path = new Track<>(List.of(
                new Key<>(0L, new Point(262, 559.6), GENTLE, Point.ZERO, new Point(50, 14)),
                new Key<>(1_500_000L, new Point(420, 596), Easing.LINEAR, new Point(-110, 26), new Point(120, -28)),
                new Key<>(3_625_000L, new Point(808, 556), EasingText.parse("sine-out"), new Point(-120, -16), new Point(100, 14)),
                new Key<>(6_000_000L, new Point(1010, 560), Easing.LINEAR, new Point(-60, 70), Point.ZERO)));
        return timeline("t-sled", "Sled run", 6.5, false, false)
                .with("s-sled", Properties.POSITION, path)
                .with("s-sled", Properties.ROTATION, new Track<>(List.of(key(0, 0.0, GENTLE), key(1.5, -2.0, GENTLE), key(3.625, 6.0, GENTLE),
                        key(5.25, -18.0, GENTLE), key(6, -6.0, GENTLE))));
    }

    private static Timeline weather(Element high, Element low) {
        return timeline("t-weather", "Weather", 8, true, true)
                .with(high.id(), Properties.POSITION, drift(high, 34, 10))
                .with(low.id(), Properties.POSITION, drift(low, -46, 6));
    }

    private static Track<Point> drift(Element e, double dx, double dy) {
        Point home = e.rest().get(Properties.POSITION);
        return new Track<>(List.of(key(0, home, GENTLE), key(4, home.plus(new Point(dx, dy)), GENTLE), key(8, home, GENTLE)));
    }
}
