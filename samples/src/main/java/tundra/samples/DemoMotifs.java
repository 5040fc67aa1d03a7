package tundra.samples;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import tundra.core.edit.ButtonMotif;
import tundra.core.geometry.Affine;
import tundra.core.geometry.Node;
import tundra.core.geometry.Outline;
import tundra.core.geometry.Point;
import tundra.core.model.Board;
import tundra.core.model.Clock;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Flipbook;
import tundra.core.model.Ids;
import tundra.core.model.Motif;
import tundra.core.model.Properties;
import tundra.core.model.Timeline;
import tundra.core.model.Values;
import tundra.core.motion.Easing;
import tundra.core.motion.EasingText;
import tundra.core.motion.Key;
import tundra.core.motion.Track;

/** The motifs of the demo: the turbine's rotor, flags in the wind, and the button that starts the sled. */
final class DemoMotifs {
    private static final Easing GENTLE = EasingText.parse("sine-both");
    private static final long WAVE = 1_500_000;

    private DemoMotifs() {}

    private static <T> Track<T> track(long duration, Easing easing, List<T> values) {
        var keys = new ArrayList<Key<T>>();
        for (int i = 0; i < values.size(); i++) {
            keys.add(new Key<>(duration * i / (values.size() - 1), values.get(i), easing));
        }
        return new Track<>(keys);
    }

    /** Once around in four seconds. */
    static Motif rotor(Element rotor) {
        Point box = ((Content.Group) rotor.content()).box();
        Element inside = rotor.withId("m-rotor-blades").withName("Blades").with(Properties.POSITION, box.times(0.5))
                .with(Properties.PIVOT, new Point(0.5, 0.5));
        Timeline main = new Timeline("m-rotor-main", Timeline.MAIN, 4_000_000, true, true, Map.of())
                .with(inside.id(), Properties.ROTATION, track(4_000_000, Easing.LINEAR, List.of(0.0, 360.0)));
        return new Motif("m-rotor", "Rotor", new Board(box, Values.NONE, List.of(inside), List.of(main), List.of()));
    }

    /** A pole with a cloth that waves. */
    static Motif flag() {
        Element pole = Art.rectangle("Pole", 0, 0, 2.5, 46, 1, "#5B4636").withId("m-flag-pole");
        Element cloth = Art.path("Cloth", cloth(0)).with(Properties.FILL, Art.color("#E9B44C")).withId("m-flag-cloth");
        var forms = new ArrayList<Outline>();
        Point corner = cloth.rest().get(Properties.POSITION).minus(((Content.Path) cloth.content()).box().times(0.5));
        for (int i = 0; i <= 4; i++) {
            forms.add(cloth(i / 4.0).through(Affine.translate(-corner.x(), -corner.y())));
        }
        Timeline main = new Timeline("m-flag-main", Timeline.MAIN, WAVE, true, true, Map.of()).with(cloth.id(), Properties.OUTLINE,
                track(WAVE, GENTLE, forms));
        return new Motif("m-flag", "Wind flag", new Board(new Point(34, 46), Values.NONE, List.of(pole, cloth), List.of(main), List.of()));
    }

    /** The cloth at a share of its wave. */
    private static Outline cloth(double share) {
        double a = 2 * Math.PI * share, s = Math.sin(a), c = Math.cos(a);
        return Outline.of(true, Node.corner(2.5, 3), Node.smooth(new Point(16, 5 + 2.5 * s), new Point(5, 2 * c)),
                Node.corner(32, 8 + 3 * Math.sin(a - 1.6)),
                Node.corner(31, 17 + 3 * Math.sin(a - 1.9)), Node.smooth(new Point(16, 16 + 2.5 * Math.sin(a - 0.3)),
                new Point(-5, -2 * Math.cos(a - 0.3))), Node.corner(2.5, 16));
    }

    /** Flags along the foreground, out of step. */
    static List<Element> flags() {
        double[] at = {640, 522, 0.8, 716, 532, 0.9, 1160, 522, 0.75, 1216, 536, 0.95};
        var out = new ArrayList<Element>();
        for (int i = 0; i < at.length; i += 3) {
            int n = i / 3;
            out.add(new Element("s-wind-flag-" + (n + 1), "Wind flag " + (n + 1), false, false, Values.NONE.with(Properties.POSITION,
                    new Point(at[i], at[i + 1])).with(Properties.PIVOT, new Point(0.04, 1))
                    .with(Properties.SCALE, new Point(at[i + 2], at[i + 2])), new Content.Instance("m-flag", new Point(34, 46),
                    Clock.OWN.withPhase(WAVE * n / 4))));
        }
        return out;
    }

    /** The hare in one hop of half a second; what places it carries it on by a hop at each turn. */
    static Motif hare() {
        Element run = Hare.book("Run", Hare.run(), 24, Flipbook.Ending.HOLD, 0, 0);
        var book = (Flipbook) run.content();
        Element inside = run.withId("m-hare-run").with(Properties.POSITION, new Point(book.box().x() / 2, book.box().y()));
        Timeline main = new Timeline("m-hare-main", Timeline.MAIN, book.timeOf(book.end()), false, true, Map.of());
        return new Motif("m-hare", "Running hare", new Board(book.box(), Values.NONE, List.of(inside), List.of(main), List.of()));
    }

    /** In step with the timeline that carries it on. */
    static Element running(Motif hare, double left, double ground) {
        Values rest = Hare.book("Hare", Hare.run(), 24, Flipbook.Ending.HOLD, left, ground).rest();
        return Art.named("Hare", new Content.Instance(hare.id(), hare.board().size(), Clock.PARENT), rest);
    }

    static Motif button(Element button) {
        var g = (Content.Group) button.content();
        return Ids.seeded(1, () -> ButtonMotif.of("m-start", "Start the sled", g.box(), g.children()));
    }

    /** An instance in the place of an element, with its id and values. */
    static Element instead(Element e, Motif m, Clock clock) {
        return new Element(e.id(), e.name(), e.locked(), e.hidden(), e.rest().without(Properties.SIZE),
                new Content.Instance(m.id(), m.board().size(), clock));
    }
}
