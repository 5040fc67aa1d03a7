package tundra.samples;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import tundra.core.edit.Renewed;
import tundra.core.geometry.Point;
import tundra.core.geometry.Rect;
import tundra.core.model.Actions;
import tundra.core.model.Board;
import tundra.core.model.Clock;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Events;
import tundra.core.model.Ids;
import tundra.core.model.Marker;
import tundra.core.model.Properties;
import tundra.core.model.Property;
import tundra.core.model.Reaction;
import tundra.core.model.Scene;
import tundra.core.model.Scroll;
import tundra.core.model.Timeline;
import tundra.core.model.Values;
import tundra.core.motion.Easing;
import tundra.core.motion.EasingText;
import tundra.core.motion.Key;
import tundra.core.motion.Track;

/** A walk over ridges and past huts that the page's scrolling moves, at five speeds, with two places to rest. */
final class NightWalk {
    static final String ID = "walk";
    private static final long LENGTH = 10_000_000;
    private static final Easing GENTLE = EasingText.parse("sine-both");
    private static final Point MIDDLE = new Point(0.5, 0.5);
    private final List<Element> elements = new ArrayList<>();
    private Timeline main = new Timeline("walk-main", Timeline.MAIN, LENGTH, false, false, Map.of());

    private NightWalk() {}

    /** @param hare the motif that crosses */
    static Scene scene(String hare, Point size) {
        return new Scene(ID, "Night walk", Ids.seeded(4, () -> Renewed.of(new NightWalk().board(hare, size))));
    }

    private <T> void move(String id, Property<T> p, double from, T a, double to, T b, Easing e) {
        main = main.with(id, p, new Track<>(List.of(new Key<>(Math.round(from * 1e6), a, e), new Key<>(Math.round(to * 1e6), b, e))));
    }

    /** A layer that goes so many px to the left over the whole walk. */
    private void layer(Element e, String id, double way) {
        Point at = e.rest().get(Properties.POSITION);
        elements.add(e.withId(id));
        move(id, Properties.POSITION, 0, at, 10, at.minus(new Point(way, 0)), Easing.LINEAR);
    }

    private static Element ridge(String name, String fill, double width, double low, double high, int peaks, long seed) {
        var random = new Random(seed);
        var xy = new ArrayList<Double>(List.of(-20.0, low));
        for (int i = 0; i <= peaks; i++) {
            xy.add(-20 + (width + 40) * i / peaks);
            xy.add(i % 2 == 0 ? low - random.nextDouble() * 30 : high + random.nextDouble() * 40);
        }
        xy.addAll(List.of(width + 20, low, width + 20, 660.0, -20.0, 660.0));
        return Art.polygon(name, fill, xy.stream().mapToDouble(d -> d).toArray());
    }

    private static Element hut(int n, double x, double y, String wall) {
        return Art.group("Hut " + n, new Rect(x, y, 130, 110), new Point(0.5, 1),
                List.of(Art.rectangle("Hut wall " + n, x + 8, y + 40, 114, 64, 3, wall), Art.polygon("Hut roof " + n, "#5B231C", x, y + 42, x + 30,
                y + 6, x + 100, y + 6, x + 130, y + 42),
                Art.rectangle("Hut window " + n, x + 26, y + 56, 26, 24, 2, "#FFE39A"), Art.rectangle("Hut door " + n, x + 80, y + 58, 26, 46, 2,
                "#2A1512")));
    }

    private static Element snow(String name, int count, double width, double size, long seed) {
        var random = new Random(seed);
        var flakes = new ArrayList<Element>();
        for (int i = 0; i < count; i++) {
            flakes.add(Art.circle(name + " " + (i + 1), random.nextDouble() * width, random.nextDouble() * 900,
                    size * (0.6 + random.nextDouble() * 0.8), "#FFFFFFD0"));
        }
        return Art.group(name, new Rect(0, 0, width, 900), Point.ZERO, flakes);
    }

    private void words(String id, String text, double x, double y, double comes, double goes) {
        Element e = Art.text(id, text, x, y, 600, 38, "#FFFFFF").withId(id).with(Properties.OPACITY, 0.0);
        elements.add(e);
        Point at = e.rest().get(Properties.POSITION);
        main = main.with(id, Properties.OPACITY, new Track<>(List.of(new Key<>(s(comes), 0.0, GENTLE), new Key<>(s(comes + 0.8), 1.0, GENTLE),
                new Key<>(s(goes), 1.0, GENTLE), new Key<>(s(goes + 0.6), 0.0, GENTLE))))
                .with(id, Properties.POSITION, new Track<>(List.of(new Key<>(s(comes), at.plus(new Point(0, 60)), GENTLE),
                new Key<>(s(comes + 0.8), at, GENTLE))));
    }

    private static long s(double seconds) {
        return Math.round(seconds * 1e6);
    }

    private Board board(String hare, Point size) {
        elements.add(Scenery.sky().withId("sky"));
        elements.add(Scenery.stars().withId("stars"));
        layer(ridge("Far ridges", "#2F6078", 1500, 470, 330, 12, 5), "far", 140);
        layer(ridge("Near ridges", "#4F8296", 1900, 520, 380, 14, 6), "near", 420);
        layer(Art.group("Huts", new Rect(0, 400, 2500, 140), Point.ZERO, List.of(Art.ground("Hut snow", "#B9CFD8", 640, -10, 520, 500, 500, 1100,
                515, 1700, 498, 2520, 512),
                hut(1, 620, 412, "#C8503A"), hut(2, 1180, 420, "#2F78A3"), hut(3, 1900, 404, "#C8503A"))), "huts", 1000);
        Element runner = new Element("runner", "Hare", false, false, Values.NONE.with(Properties.POSITION, new Point(-160, 590))
                .with(Properties.PIVOT, new Point(0.5, 1)), new Content.Instance(hare, size, Clock.PARENT));
        elements.add(runner);
        move("runner", Properties.POSITION, 4.6, new Point(-160, 590), 6.6, new Point(1440, 590), Easing.LINEAR);
        layer(Art.ground("Path", "#F3F7FA", 660, -10, 586, 400, 566, 900, 580, 1500, 560, 2100, 584, 2700, 566, 3200, 580), "path", 1800);
        elements.add(snow("Snowfall", 60, 3400, 3, 7).withId("flakes"));
        move("flakes", Properties.POSITION, 0, new Point(0, -260), 10, new Point(-2100, -20), Easing.LINEAR);
        words("rest-one", "Lanterns lead to the first hut.", 360, 150, 2.2, 4.2);
        words("rest-two", "Listen: the snow is falling.", 400, 150, 6.2, 8.2);
        elements.add(Art.text("Walk title", "Night walk", 84, 46, 600, 64, "#FFFFFF").withId("title"));
        move("title", Properties.OPACITY, 0.3, 1.0, 1.4, 0.0, GENTLE);
        elements.add(Art.group("Back", new Rect(1052, 46, 152, 44), MIDDLE, List.of(Art.rectangle("Back face", 1052, 46, 152, 44, 22, "#FFFFFF"),
                Art.text("Back words", "To the station", 1079, 58.5, 600, 15, "#1D2926")))
                .withId("back").with(Properties.CURSOR, "pointer"));
        main = main.withMarkers(List.of(new Marker("one", "First hut", 3_200_000), new Marker("two", "Snowfall", 7_200_000)))
                .withScroll(new Scroll(2600, 0, 1, true, true, null));
        var leave = List.of(Actions.of(Actions.OPEN_SCENE, OpenNight.ARRIVAL));
        return new Board(new Point(1280, 640), Values.NONE.with(Properties.BACKGROUND, Art.color("#23566B")), elements, List.of(main),
                List.of(new Reaction("tapped-back", Events.tapped("back"), leave), new Reaction("leave", Events.of(Events.KEY_PRESSED, "Escape"),
                leave)));
    }
}
