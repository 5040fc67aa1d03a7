package tundra.web;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import tundra.core.geometry.Outline;
import tundra.core.geometry.Point;
import tundra.core.model.Board;
import tundra.core.model.Clock;
import tundra.core.model.Color;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Gradient;
import tundra.core.model.Motif;
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.core.model.Property;
import tundra.core.model.Scene;
import tundra.core.model.Span;
import tundra.core.model.Timeline;
import tundra.core.model.Values;
import tundra.core.motion.Easing;
import tundra.core.motion.EasingText;
import tundra.core.motion.Key;
import tundra.core.motion.Track;

/** One motif at all clocks, repeats, phases and speeds, and motifs in a motif. */
final class MotifPiece {
    static final String VANE = "vane", PAIR = "pair";
    private static final Easing GENTLE = EasingText.parse("sine-both");
    private final List<Element> elements = new ArrayList<>();

    @SafeVarargs
    private static <T> Timeline keyed(Timeline t, String id, Property<T> p, T... values) {
        var keys = new ArrayList<Key<T>>();
        for (int i = 0; i < values.length; i++) {
            keys.add(new Key<>(t.duration() * i / (values.length - 1), values[i], GENTLE));
        }
        return t.with(id, p, new Track<>(keys));
    }

    private static Element shape(String id, Content c, double x, double y, double w, double h, String fill) {
        return new Element(id, id, false, false, Values.NONE.with(Properties.POSITION, new Point(x, y)).with(Properties.SIZE, new Point(w, h))
                .with(Properties.FILL, Color.parse(fill)), c);
    }

    /** A second long: it turns, moves, fades, changes colour and form, and a part is seen for a while; another timeline of its own length loops. */
    static Motif vane() {
        var arrow = shape("v-arrow", new Content.Path(Outline.polygon(0, 0, 34, 9, 0, 18), new Point(34, 18)), 30, 30, 34, 18, "#1C6A5E");
        var knob = shape("v-knob", new Content.Ellipse(), 12, 12, 12, 12, "#C8503A");
        var glow = shape("v-glow", new Content.Rectangle(), 46, 48, 16, 8, "#48C9A6").with(Properties.FILL, Gradient.linear(List.of(
                new Gradient.Stop(0, Color.parse("#48C9A6")), new Gradient.Stop(1, Color.parse("#E9B44C")))));
        var dot = shape("v-dot", new Content.Rectangle(), 10, 50, 8, 8, "#82508E");
        Timeline main = new Timeline("v-main", Timeline.MAIN, 1_000_000, false, true, Map.of());
        main = keyed(main, "v-arrow", Properties.ROTATION, 0.0, 200.0, 300.0);
        main = keyed(main, "v-knob", Properties.POSITION, new Point(12, 12), new Point(50, 14));
        main = keyed(main, "v-knob", Properties.FILL, Color.parse("#C8503A"), Color.parse("#2F78A3"));
        main = keyed(main, "v-arrow", Properties.OPACITY, 1.0, 0.4, 0.8);
        main = keyed(main, "v-glow", Properties.SIZE, new Point(16, 8), new Point(24, 14)).withShown("v-glow", new Span(200_000, 700_000));
        Timeline blink = new Timeline("v-blink", "Blink", 300_000, true, true, Map.of());
        blink = keyed(blink, "v-dot", Properties.SCALE, new Point(1, 1), new Point(1.6, 0.5));
        return new Motif(VANE, "Vane", new Board(new Point(60, 60), Values.NONE, List.of(glow, arrow, knob, dot), List.of(main, blink), List.of()));
    }

    /** Two vanes, one with its own clock and one in step with this motif. */
    static Motif pair() {
        var left = instance("p-own", VANE, 20, 30, Clock.OWN.withPhase(400_000), 60);
        var right = instance("p-step", VANE, 60, 30, Clock.PARENT.withSpeed(2), 60);
        Timeline main = new Timeline("p-main", Timeline.MAIN, 800_000, false, true, Map.of());
        return new Motif(PAIR, "Pair", new Board(new Point(80, 60), Values.NONE, List.of(left, right),
                List.of(keyed(main, "p-own", Properties.ROTATION, 0.0, 90.0)), List.of()));
    }

    private static Element instance(String id, String motif, double x, double y, Clock c, double size) {
        return new Element(id, id, false, false, Values.NONE.with(Properties.POSITION, new Point(x, y)),
                new Content.Instance(motif, new Point(motif.equals(PAIR) ? 80 : 60, size), c));
    }

    static Project make() {
        var p = new MotifPiece();
        int n = 0;
        for (boolean own : new boolean[] {true, false}) {
            for (Clock.Repeat r : Clock.Repeat.values()) {
                for (long phase : new long[] {0, 350_000}) {
                    for (double speed : new double[] {1, 0.5, -1, 2.25}) {
                        p.elements.add(instance("i" + n, VANE, 45 + 78 * (n % 10), 45 + 78 * (n / 10), new Clock(own, r, phase, speed), 60));
                        n++;
                    }
                }
            }
        }
        p.elements.add(instance("late", VANE, 700, 360, Clock.PARENT, 60));
        p.elements.add(instance("pair", PAIR, 90, 520, Clock.OWN.withSpeed(0.5), 60).with(Properties.SCALE, new Point(1.5, 1.5)));
        p.elements.add(instance("steps", PAIR, 260, 520, Clock.PARENT, 60));
        p.elements.add(instance("turned", PAIR, 430, 520, Clock.PARENT.withRepeat(Clock.Repeat.ONCE), 60).with(Properties.ROTATION, 30.0)
                .with(Properties.OPACITY, 0.6));
        Timeline main = new Timeline("main", Timeline.MAIN, 4_000_000, false, true, Map.of()).withShown("late", new Span(900_000, 3_700_000));
        main = keyed(main, "turned", Properties.POSITION, new Point(430, 520), new Point(600, 500));
        var board = new Board(new Point(800, 600), Values.NONE.with(Properties.BACKGROUND, Color.parse("#F3F7FA")), p.elements, List.of(main),
                List.of());
        return new Project("motifs", "Motifs", 24, List.of(new Scene("scene", "Scene", board)), Map.of(), Map.of())
                .withMotifs(List.of(vane(), pair()));
    }
}
