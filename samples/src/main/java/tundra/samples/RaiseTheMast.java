package tundra.samples;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import tundra.core.edit.Renewed;
import tundra.core.geometry.Point;
import tundra.core.geometry.Rect;
import tundra.core.model.Action;
import tundra.core.model.Actions;
import tundra.core.model.Asset;
import tundra.core.model.Board;
import tundra.core.model.Dragging;
import tundra.core.model.Element;
import tundra.core.model.Event;
import tundra.core.model.Events;
import tundra.core.model.Ids;
import tundra.core.model.Properties;
import tundra.core.model.Property;
import tundra.core.model.Reaction;
import tundra.core.model.Scene;
import tundra.core.model.Script;
import tundra.core.model.Timeline;
import tundra.core.model.Values;
import tundra.core.motion.Easing;
import tundra.core.motion.EasingText;
import tundra.core.motion.Key;
import tundra.core.motion.Track;

/** Three instruments that are dragged to their places on the mast; the third lights the aurora. */
final class RaiseTheMast {
    static final String ID = "mast";
    static final Asset VANE = Chimes.bell("vane.wav", 523), DOME = Chimes.bell("dome.wav", 659), LAMP = Chimes.bell("lamp.wav", 784),
            MISSED = Chimes.thud("snow.wav");
    static final Script CELEBRATE = new Script("script-celebrate", "celebrate", """
            export function celebrate(page) {
              const lamp = page.find("Lamp");
              lamp.set({ scale: 1.12 }, 300);
              page.wait(900).then(() => lamp.set({ scale: 1 }, 600));
              page.timeline("Vane spins").playFrom(0);
              // credit: lamp art by the station
            }
            """);
    private static final Easing GENTLE = EasingText.parse("sine-both");
    private static final Point MIDDLE = new Point(0.5, 0.5);
    private final List<Timeline> timelines = new ArrayList<>();
    private final List<Reaction> reactions = new ArrayList<>();

    private RaiseTheMast() {}

    static Scene scene() {
        return new Scene(ID, "Raise the mast", Ids.seeded(3, () -> Renewed.of(new RaiseTheMast().board())));
    }

    private static Element at(Element e, String id) {
        return e.withId(id);
    }

    private static Element slot(String name, double y) {
        Element frame = Art.rectangle(name + " frame", 798, y, 124, 84, 12, "#FFFFFF14").with(Properties.STROKE, Art.color("#CFEBE2"))
                .with(Properties.STROKE_WIDTH, 2.0)
                .with(Properties.DASH, 8.0).with(Properties.GAP, 6.0);
        return at(Art.group(name, new Rect(798, y, 124, 84), MIDDLE, List.of(frame)), name);
    }

    private static Element card(String name, double x, String fill, List<Element> art) {
        var parts = new ArrayList<Element>();
        parts.add(Art.rectangle(name + " card", x, 470, 112, 72, 12, fill));
        parts.addAll(art);
        return at(Art.group(name, new Rect(x, 470, 112, 72), MIDDLE, parts), name);
    }

    private static <T> Timeline timeline(String name, double seconds, String of, Property<T> p, List<T> values) {
        long end = Math.round(seconds * 1e6);
        var keys = new ArrayList<Key<T>>();
        for (int i = 0; i < values.size(); i++) {
            keys.add(new Key<>(end * i / (values.size() - 1), values.get(i), GENTLE));
        }
        return new Timeline(name, name, end, false, false, Map.of()).with(of, p, new Track<>(keys));
    }

    private void when(String id, Event e, Action... actions) {
        reactions.add(new Reaction(id, e, List.of(actions)));
    }

    private Board board() {
        Element cross = at(Art.polygon("Vane arrow", "#1C6A5E", 84, 506, 116, 506, 116, 496, 138, 510, 116, 524, 116, 514, 84, 514), "arrow")
                .with(Properties.PIVOT, new Point(0.45, 0.5));
        Element vane = card("Vane", 52, "#BFE6D8", List.of(Art.rectangle("Vane pole", 106, 508, 4, 26, 0, "#53626B"), cross));
        Element glass = at(Art.circle("Dome glass", 240, 510, 20, "#8FC7E8"), "glass");
        Element dome = card("Dome", 184, "#A9C6D0", List.of(glass, Art.rectangle("Dome foot", 214, 512, 52, 12, 2, "#53626B")));
        Element light = at(Art.circle("Lamp light", 372, 498, 12, "#FFE39A"), "light");
        Element lamp = card("Lamp", 316, "#F4CD8B", List.of(Art.rectangle("Lamp cap", 360, 482, 24, 6, 2, "#3A241A"), light,
                Art.rectangle("Lamp foot", 364, 512, 16, 18, 2, "#3A241A")));
        Element aurora = at(Art.group("Aurora", new Rect(-60, 40, 1400, 320), MIDDLE, List.of(
                Scenery.aurora("Mast aurora high", "#5FE3B4", 10, 105, -60, 186, 160, 130, 420, 96, 690, 150, 960, 74, 1220, 96, 1340, 70),
                Scenery.aurora("Mast aurora low", "#48C9A6", 10, 88, -60, 246, 140, 240, 380, 190, 620, 240, 900, 170, 1180, 214, 1340, 196))),
                "aurora").with(Properties.OPACITY, 0.0);
        Element over = at(Art.group("Start over", new Rect(1052, 566, 152, 48), MIDDLE,
                List.of(Art.rectangle("Over face", 1052, 566, 152, 48, 24, "#FFFFFF"),
                Art.text("Over words", "Start over", 1087, 578.5, 600, 18, "#1D2926"))), "over").with(Properties.CURSOR, "pointer");
        var mast = Art.group("Tall mast", new Rect(820, 130, 80, 420), new Point(0.5, 1),
                List.of(Art.line("Tall legs", "#E4EEF0", 4, 826, 548, 860, 134, 894, 548),
                Art.line("Tall braces", "#E4EEF0", 2.5, 832, 480, 888, 480, 838, 400, 882, 330, 846, 290, 874, 240)));
        List<Element> elements = List.of(Scenery.sky(), Scenery.stars(), aurora, Scenery.ridges(), Scenery.snow()
                .get(0), mast, slot("Vane slot", 152), slot("Dome slot", 262), slot("Lamp slot", 372),
                Scenery.snow().get(1), vane, dome, lamp, Art.text("Mast title", "Raise the mast", 52, 40, 600, 64, "#FFFFFF"),
                at(Art.text("Mast words", "Drag the instruments to their places.", 56, 126, 400, 24, "#CFEBE2"), "words"), over);
        timelines.add(new Timeline("mast-main", Timeline.MAIN, 5_000_000, false, true, Map.of()));
        timelines.add(timeline("Vane spins", 1.2, "arrow", Properties.ROTATION, List.of(0.0, 400.0, 340.0, 360.0)));
        timelines.add(timeline("Dome glows", 0.8, "glass", Properties.OPACITY, List.of(1.0, 0.35, 1.0)));
        timelines.add(timeline("Lamp blinks", 1, "light", Properties.SCALE, List.of(new Point(1, 1), new Point(1.6, 1.6), new Point(0.9, 0.9),
                new Point(1.25, 1.25), new Point(1, 1))));
        timelines.add(timeline("Aurora comes", 1.6, "aurora", Properties.OPACITY, List.of(0.0, 1.0)));
        lands("Vane", "Vane spins", VANE);
        lands("Dome", "Dome glows", DOME);
        lands("Lamp", "Lamp blinks", LAMP);
        for (String part : List.of("Vane", "Dome", "Lamp")) {
            when("missed-" + part, Events.of(Events.MISSED, part), Actions.of(Actions.PLAY_SOUND, MISSED.hash()));
        }
        when("all", Events.of(Events.ALL_LANDED), Actions.of(Actions.PLAY_FROM_START, "Aurora comes"),
                Actions.of(Actions.ADD_VALUE, OpenNight.RAISED, 1.0),
                Actions.of(Actions.RUN, CELEBRATE.id()), Actions.of(Actions.SAY, "The mast stands, and the aurora comes."),
                Actions.of(Actions.WAIT, 2_600_000L), Actions.of(Actions.OPEN_SCENE, OpenNight.VISIT));
        when("again", Events.tapped("over"), Actions.of(Actions.SEND_HOME, List.of("Vane", "Dome", "Lamp"), 400_000L),
                Actions.of(Actions.GO_TO, "Aurora comes", 0L));
        when("leave", Events.of(Events.KEY_PRESSED, "Escape"), Actions.of(Actions.OPEN_SCENE, OpenNight.ARRIVAL));
        var canvas = Values.NONE.with(Properties.BACKGROUND, Art.color("#23566B"));
        return new Board(new Point(1280, 640), canvas, elements, timelines, reactions)
                .withDrags(List.of(Dragging.of("pairs", List.of(new Dragging.Pair("Vane", List.of("Vane slot")),
                new Dragging.Pair("Dome", List.of("Dome slot")), new Dragging.Pair("Lamp", List.of("Lamp slot")))).withCarried(c -> c.withTilt(3))
                .withFit(f -> f.withBack(400_000))));
    }

    private void lands(String part, String timeline, Asset sound) {
        when("lands-" + part, Events.of(Events.LANDED, part), Actions.of(Actions.PLAY_FROM_START, timeline),
                Actions.of(Actions.PLAY_SOUND, sound.hash()));
    }
}
