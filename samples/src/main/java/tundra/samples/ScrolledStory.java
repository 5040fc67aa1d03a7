package tundra.samples;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import tundra.core.file.ProjectFile;
import tundra.core.geometry.Point;
import tundra.core.model.Board;
import tundra.core.model.Element;
import tundra.core.model.Marker;
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.core.model.Property;
import tundra.core.model.Scene;
import tundra.core.model.Scroll;
import tundra.core.model.Timeline;
import tundra.core.model.Values;
import tundra.core.motion.Easing;
import tundra.core.motion.EasingText;
import tundra.core.motion.Key;
import tundra.core.motion.Track;

/** To learn from: a page that is told by scrolling. The day goes by in three chapters, each a marker at which scrolling rests. */
public final class ScrolledStory {
    private static final Easing GENTLE = EasingText.parse("sine-both");
    private Timeline main = new Timeline("t-main", Timeline.MAIN, 6_000_000, false, false, Map.of());
    private final List<Element> elements = new ArrayList<>();

    private ScrolledStory() {}

    /** Writes samples/scrolled-story.tundra; the argument is where to. */
    public static void main(String[] args) throws Exception {
        ProjectFile.write(project(), Path.of(args[0]));
    }

    public static Project project() {
        return new Project("scrolled-story", "Told by scrolling", 30, List.of(new Scene("s-story", "The day", new ScrolledStory().board())),
                Map.of(), Map.of());
    }

    private <T> void move(String id, Property<T> p, List<Double> seconds, List<T> values) {
        var keys = new ArrayList<Key<T>>();
        for (int i = 0; i < values.size(); i++) {
            keys.add(new Key<>(Math.round(seconds.get(i) * 1e6), values.get(i), GENTLE));
        }
        main = main.with(id, p, new Track<>(keys));
    }

    private Element begun(Element e, Property<Point> position, Property<Point> scale) {
        Element out = e;
        for (Property<Point> p : List.of(position, scale)) {
            out = main.track(e.id(), p) == null ? out : out.with(p, main.track(e.id(), p).keys().getFirst().value());
        }
        return out;
    }

    private void chapter(String id, String words, double from, double until) {
        elements.add(Art.text(words, words, 60, 60, 600, 44, "#FFFFFF").withId(id).with(Properties.OPACITY, from == 0 ? 1.0 : 0.0));
        if (from == 0) {
            move(id, Properties.OPACITY, List.of(until, until + 0.5), List.of(1.0, 0.0));
        } else if (until < 6) {
            move(id, Properties.OPACITY, List.of(from, from + 0.5, until, until + 0.5), List.of(0.0, 1.0, 1.0, 0.0));
        } else {
            move(id, Properties.OPACITY, List.of(from, from + 0.5), List.of(0.0, 1.0));
        }
    }

    private Board board() {
        elements.add(Art.rectangle("Sky", 0, 0, 960, 540, 0, "#2F78A3").withId("sky"));
        move("sky", Properties.FILL, List.of(0.0, 2.5, 5.0), List.of(Art.color("#2F78A3"), Art.color("#DB7A22"), Art.color("#0A1638")));
        elements.add(Art.circle("Sun", 480, 160, 54, "#FFE39A").withId("sun"));
        move("sun", Properties.POSITION, List.of(0.0, 3.0, 5.0), List.of(new Point(300, 150), new Point(640, 300), new Point(760, 620)));
        elements.add(Art.polygon("Far fells", "#4F8296", -100, 420, 80, 250, 250, 400, 440, 220, 640, 410, 800, 300, 940, 390, 1060, 330, 1060, 540,
                -100, 540).withId("far"));
        move("far", Properties.POSITION, List.of(0.0, 6.0), List.of(new Point(500, 380), new Point(460, 380)));
        elements.add(Art.ground("Snow", "#F3F7FA", 560, -200, 470, 200, 440, 560, 470, 900, 446, 1300, 468).withId("snow"));
        move("snow", Properties.POSITION, List.of(0.0, 6.0), List.of(new Point(550, 500), new Point(400, 500)));
        elements.add(Art.polygon("Tent", "#C8503A", 600, 470, 660, 380, 720, 470).withId("tent").with(Properties.POSITION, new Point(660, 474))
                .with(Properties.PIVOT, new Point(0.5, 1)));
        move("tent", Properties.SCALE, List.of(3.6, 4.4), List.of(new Point(1, 0), new Point(1, 1)));
        chapter("one", "Morning: we set out.", 0, 1.4);
        chapter("two", "Evening: the light goes.", 2.0, 3.4);
        chapter("three", "Night: a tent in the snow.", 4.2, 6);
        main = main.withMarkers(List.of(new Marker("m-morning", "Morning", 0), new Marker("m-evening", "Evening", 2_700_000),
                new Marker("m-night", "Night", 5_400_000))).withScroll(new Scroll(2400, 0, 1, true, true, null));
        // what is seen before the page is scrolled is how it begins
        elements.replaceAll(e -> begun(e, Properties.POSITION, Properties.SCALE));
        return new Board(new Point(960, 540), Values.NONE.with(Properties.BACKGROUND, Art.color("#0A1638")), elements, List.of(main), List.of());
    }
}
