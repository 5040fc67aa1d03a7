package tundra.bench;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import tundra.core.fit.Layouts;
import tundra.core.geometry.Point;
import tundra.core.model.Actions;
import tundra.core.model.Board;
import tundra.core.model.Color;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Event;
import tundra.core.model.EventKind;
import tundra.core.model.Events;
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.core.model.Property;
import tundra.core.model.Reaction;
import tundra.core.model.Scene;
import tundra.core.model.Setting;
import tundra.core.model.Slots;
import tundra.core.model.Timeline;
import tundra.core.model.Values;
import tundra.core.motion.Easing;
import tundra.core.motion.EasingText;
import tundra.core.motion.Key;
import tundra.core.motion.PathShape;
import tundra.core.motion.Track;

/** Made-up boards of many moving elements. */
final class Pieces {
    static final int WIDTH = 1280;
    static final int HEIGHT = 720;
    static final long DURATION = 4_000_000;

    private Pieces() {}

    private static <T> Track<T> two(T a, T b, Easing e) {
        return new Track<>(List.of(new Key<>(0, a, e), new Key<>(DURATION / 2, b, e), new Key<>(DURATION, a, e)));
    }

    private static <T> Timeline key(Timeline t, String id, Property<T> p, T a, T b, Easing e) {
        return t.with(id, p, two(a, b, e));
    }

    /** Rectangles, round rectangles and ellipses in turn. */
    static Element element(int i, Random r) {
        Content c = i % 3 == 1 ? new Content.Ellipse() : new Content.Rectangle();
        Values v = Values.NONE.with(Properties.POSITION, new Point(r.nextInt(WIDTH), r.nextInt(HEIGHT)))
                .with(Properties.SIZE, new Point(30 + r.nextInt(60), 30 + r.nextInt(60)))
                .with(Properties.FILL, new Color(r.nextInt(256), r.nextInt(256), r.nextInt(256), i % 4 == 0 ? 160 : 255));
        return new Element("e" + i, "Element " + i, false, false, i % 3 == 2 ? v.with(Properties.CORNER_RADIUS, 8.0) : v, c);
    }

    /** Elements that all move and turn; with {@code five} also their scale, opacity and fill are keyed. */
    static Board moving(int count, boolean five) {
        var r = new Random(1);
        var elements = new ArrayList<Element>();
        var t = new Timeline("main", Timeline.MAIN, DURATION, true, true, Map.of());
        Easing ease = EasingText.parse("ease-in-out");
        for (int i = 0; i < count; i++) {
            Element e = element(i, r);
            elements.add(e);
            Point home = e.rest().get(Properties.POSITION);
            t = key(t, e.id(), Properties.POSITION, home, home.plus(new Point(r.nextInt(200) - 100, r.nextInt(200) - 100)), ease);
            t = key(t, e.id(), Properties.ROTATION, 0.0, 180.0, ease);
            if (five) {
                t = key(t, e.id(), Properties.SCALE, new Point(1, 1), new Point(1.5, 0.7), ease);
                t = key(t, e.id(), Properties.OPACITY, 1.0, 0.4, ease);
                t = key(t, e.id(), Properties.FILL, e.rest().get(Properties.FILL), Color.parse("#C8503A"), ease);
            }
        }
        return new Board(new Point(WIDTH, HEIGHT), Values.NONE, elements, List.of(t), List.of());
    }

    /** 1,000 moving elements with every kind of tie, and three layouts that differ in a hundred of them. */
    static Board tied() {
        Board b = moving(1000, false);
        List<Element> elements = b.elements();
        for (int i = 0; i < elements.size(); i++) {
            String side = List.of("left", "middle", "right", "both sides").get(i % 4), unit = i % 3 == 0 ? "%" : "px";
            b = b.withRest(elements.get(i).id(), v -> v.with(Properties.TIE_X, side).with(Properties.LEFT_IN, unit).with(Properties.WIDTH_IN, unit));
        }
        for (int n = 0; n < 3; n++) {
            b = Layouts.add(b, "Layout " + n, 200 * n, 200 * n + 200, new Point(360 + 200 * n, HEIGHT), null);
            String id = b.layouts().getLast().id();
            for (int i = n; i < 1000; i += 10) {
                String element = elements.get(i).id();
                b = b.mapLayout(id, l -> l.withDiffers(l.differs().withValues(element, v -> v.with(Properties.ROTATION, 12.0))));
            }
        }
        return b;
    }

    /** 500 elements with 40 keys each on four properties: 20,000 keys. */
    static Board manyKeys() {
        var r = new Random(2);
        var elements = new ArrayList<Element>();
        var t = new Timeline("main", Timeline.MAIN, DURATION, true, true, Map.of());
        Easing ease = EasingText.parse("ease-in-out");
        for (int i = 0; i < 500; i++) {
            Element e = element(i, r);
            elements.add(e);
            var places = new ArrayList<Key<Point>>();
            var turns = new ArrayList<Key<Double>>();
            var scales = new ArrayList<Key<Point>>();
            var fades = new ArrayList<Key<Double>>();
            for (int k = 0; k < 10; k++) {
                long at = DURATION * k / 10 + i;
                places.add(new Key<>(at, new Point(r.nextInt(WIDTH), r.nextInt(HEIGHT)), ease));
                turns.add(new Key<>(at, r.nextDouble() * 360, ease));
                scales.add(new Key<>(at, new Point(0.5 + r.nextDouble(), 0.5 + r.nextDouble()), ease));
                fades.add(new Key<>(at, r.nextDouble(), ease));
            }
            t = t.with(e.id(), Properties.POSITION, new Track<>(places, new PathShape(0.5, false, null))).with(e.id(), Properties.ROTATION,
                    new Track<>(turns))
                    .with(e.id(), Properties.SCALE, new Track<>(scales)).with(e.id(), Properties.OPACITY, new Track<>(fades));
        }
        return new Board(new Point(WIDTH, HEIGHT), Values.NONE, elements, List.of(t), List.of());
    }

    /** Small elements all over the scene of which one in so many moves and turns, on a timeline that loops. */
    static Board some(int count, int oneIn) {
        var r = new Random(4);
        var elements = new ArrayList<Element>();
        var t = new Timeline("main", Timeline.MAIN, DURATION, true, true, Map.of());
        Easing ease = EasingText.parse("ease-in-out");
        for (int i = 0; i < count; i++) {
            Element e = element(i, r).with(Properties.SIZE, new Point(6 + r.nextInt(18), 6 + r.nextInt(18)));
            elements.add(e);
            if (i % oneIn == 0) {
                Point home = e.rest().get(Properties.POSITION);
                t = key(t, e.id(), Properties.POSITION, home, home.plus(new Point(r.nextInt(200) - 100, r.nextInt(200) - 100)), ease);
                t = key(t, e.id(), Properties.ROTATION, 0.0, 180.0, ease);
            }
        }
        return new Board(new Point(WIDTH, HEIGHT), Values.NONE, elements, List.of(t), List.of());
    }

    /** Rectangles that stand still. */
    static Board still(int n) {
        var elements = new ArrayList<Element>();
        for (int i = 0; i < n; i++) {
            elements.add(new Element("still" + i, "Still " + i, false, false, Values.NONE.with(Properties.POSITION,
                    new Point(40 + i % 20 * 60, 40 + i / 20 * 60))
                    .with(Properties.SIZE, new Point(40, 40)).with(Properties.FILL, Color.parse("#1C6A5E")), new Content.Rectangle()));
        }
        return new Board(new Point(WIDTH, HEIGHT), Values.NONE, elements,
                List.of(new Timeline("main", Timeline.MAIN, 1_000_000, false, false, Map.of())), List.of());
    }

    /** One to each element, of several kinds. */
    static List<Reaction> reactions(Board b) {
        var out = new ArrayList<Reaction>();
        List<EventKind> kinds = List.of(Events.TAPPED, Events.OVER, Events.OUT, Events.HELD, Events.PRESSED);
        for (Element e : b.elements()) {
            int i = out.size();
            out.add(new Reaction("r" + i, new Event(kinds.get(i % kinds.size()), Slots.of(kinds.get(i % kinds.size()).slots(), e.id())),
                    List.of(i % 2 == 0 ? Actions.of(Actions.HIDE, List.of(e.id())) : Actions.of(Actions.SET, List.of(e.id()),
                    Setting.of(Properties.OPACITY, 0.5), 400_000L, "linear"))));
        }
        return out;
    }

    static Project project(Board b) {
        return new Project("bench", "Bench", 24, List.of(new Scene("scene", "Scene", b)), Map.of(), Map.of());
    }
}
