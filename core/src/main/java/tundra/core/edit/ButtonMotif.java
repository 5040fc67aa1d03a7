package tundra.core.edit;

import java.util.ArrayList;
import java.util.Collection;
import java.util.EnumMap;
import java.util.List;
import tundra.core.frame.Frame;
import tundra.core.geometry.Point;
import tundra.core.model.Board;
import tundra.core.model.Clock;
import tundra.core.model.Content;
import tundra.core.model.Effect;
import tundra.core.model.EffectKind;
import tundra.core.model.Element;
import tundra.core.model.Motif;
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.core.model.Property;
import tundra.core.model.States.State;
import tundra.core.model.States;
import tundra.core.model.Timeline;
import tundra.core.model.Values;
import tundra.core.motion.Easing;
import tundra.core.motion.Key;
import tundra.core.motion.Track;

/** Makes a button of elements: a motif whose looks at rest, under the pointer, pressed and off stand one after the other on its timeline. */
public final class ButtonMotif {
    /** Between two looks on the timeline, and how long one takes to become another, in µs. */
    public static final long APART = 500_000, TRAVEL = 200_000;

    private ButtonMotif() {}

    /** @param seen the place as it is shown */
    public static Motifs.Made make(Project p, String place, Collection<String> ids, String name, Frame seen) {
        Motifs.Made made = Motifs.make(p, place, ids, name, seen);
        if (made.motif() == null) {
            return made;
        }
        Project out = Motifs.map(made.project(), made.motif(), m -> withStates(looks(m)));
        out = out.mapBoard(place, b -> Motifs.clocks(b, List.of(made.instance()), c -> new Clock(true, Clock.Repeat.HOLD, 0, 1))
                .withRest(made.instance(), v -> v.with(Properties.CURSOR, "pointer")));
        return new Motifs.Made(out, made.motif(), made.instance());
    }

    /** A button of elements that lie in a box. */
    public static Motif of(String id, String name, Point size, List<Element> elements) {
        return withStates(looks(new Motif(id, name, new Board(size, Values.NONE, elements, List.of(new Timeline(Timeline.MAIN, 3 * APART)),
                List.of()))));
    }

    private static Motif withStates(Motif m) {
        var at = new EnumMap<State, Long>(State.class);
        for (State s : State.values()) {
            at.put(s, s.ordinal() * APART);
        }
        return m.withStates(new States(at, TRAVEL));
    }

    /** All of it in one group that is a little lighter under the pointer, smaller and darker when pressed, and pale when off. */
    private static Motif looks(Motif m) {
        Board b = m.board();
        Effect light = new Effect(EffectKind.BRIGHTNESS), colour = new Effect(EffectKind.SATURATION);
        var look = new Element("Look", new Content.Group(b.elements(), b.size()), Values.NONE.with(Properties.POSITION, b.size().times(0.5)))
                .withEffects(List.of(light, colour));
        Timeline main = b.main().withDuration(Math.max(b.main().duration(), 3 * APART)).withLoop(false);
        main = keyed(main, light.id(), Properties.BRIGHTNESS, 1.0, 1.12, 0.9, 1.0);
        main = keyed(main, colour.id(), Properties.SATURATION, 1.0, 1.0, 1.0, 0.15);
        main = keyed(main, look.id(), Properties.SCALE, new Point(1, 1), new Point(1, 1), new Point(0.97, 0.97), new Point(1, 1));
        main = keyed(main, look.id(), Properties.OPACITY, 1.0, 1.0, 1.0, 0.5);
        for (State s : State.values()) {
            main = Markers.add(main, s.ordinal() * APART);
            main = Markers.rename(main, Markers.at(main, s.ordinal() * APART).id(), s.words);
        }
        Timeline done = main;
        return m.withBoard(b.withElements(List.of(look)).mapTimeline(b.main().id(), t -> done));
    }

    @SafeVarargs
    private static <T> Timeline keyed(Timeline t, String id, Property<T> p, T... values) {
        var keys = new ArrayList<Key<T>>();
        for (int i = 0; i < values.length; i++) {
            keys.add(new Key<>(i * APART, values[i], Easing.LINEAR));
        }
        return t.with(id, p, new Track<>(keys));
    }
}
