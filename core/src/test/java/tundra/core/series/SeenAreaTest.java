package tundra.core.series;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import java.util.function.UnaryOperator;
import org.junit.jupiter.api.Test;
import tundra.core.geometry.Point;
import tundra.core.geometry.Rect;
import tundra.core.model.Actions;
import tundra.core.model.Board;
import tundra.core.model.Clock;
import tundra.core.model.Content;
import tundra.core.model.Effect;
import tundra.core.model.EffectKind;
import tundra.core.model.Element;
import tundra.core.model.Event;
import tundra.core.model.Events;
import tundra.core.model.Motif;
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.core.model.Reaction;
import tundra.core.model.Slots;
import tundra.core.model.Timeline;
import tundra.core.model.Values;
import tundra.core.motion.Easing;
import tundra.core.motion.Key;
import tundra.core.motion.Track;

class SeenAreaTest {
    private static final Point BOX = new Point(40, 20), SCENE = new Point(100, 100);
    private static final Motif MOTIF = motif("m");

    private static Motif motif(String id, Element... elements) {
        return new Motif(id, id, new Board(BOX, Values.NONE, List.of(elements),
                List.of(new Timeline(id + "-main", Timeline.MAIN, 1_000_000, true, true,
                Map.of())), List.of()));
    }

    private static Element instance(String id, Point at) {
        return new Element(id, id, false, false, Values.NONE.with(Properties.POSITION, at), new Content.Instance("m", BOX, Clock.OWN));
    }

    private static Project piece(Element... elements) {
        Project p = Project.empty("P", SCENE, 4).withMotifs(List.of(MOTIF));
        return board(p, b -> b.withElements(List.of(elements)));
    }

    private static Project board(Project p, UnaryOperator<Board> change) {
        return p.mapBoard(p.scenes().getFirst().id(), change);
    }

    private static void is(Rect now, double x, double y, double right, double bottom) {
        assertThat(List.of(now.x() + 24, now.y() + 24, now.right() - 24, now.bottom() - 24)).usingElementComparator(
                (a, b) -> Math.abs(a - b) < 1e-9 ? 0 : 1).containsExactly(x, y, right, bottom);
    }

    @Test
    void itIsTheSceneAsItLiesInTheMotif() {
        // its middle stands at 30, 10: the motif begins at 10, 0 of the scene
        is(SeenArea.of(piece(instance("a", new Point(30, 10))), MOTIF), -10, 0, 90, 100);
        // at twice the size half as much of it is seen
        is(SeenArea.of(piece(instance("a", new Point(50, 50)).with(Properties.SCALE, new Point(2, 2))), MOTIF), -5, -15, 45, 35);
        is(SeenArea.of(piece(instance("a", new Point(30, 10)), instance("b", new Point(60, 10))), MOTIF), -40, 0, 90, 100);
        Rect turned = SeenArea.of(piece(instance("a", new Point(50, 50)).with(Properties.ROTATION, 45.0)), MOTIF);
        assertThat(turned.width() - 48).isCloseTo(100 * Math.sqrt(2), within(1e-9));
    }

    @Test
    void itMayBeAnythingWhereSomethingMovesAnInstance() {
        Project p = piece(instance("a", new Point(30, 10)));
        var moved = new Track<>(List.of(new Key<>(0, Point.ZERO, Easing.LINEAR), new Key<>(1000, SCENE, Easing.LINEAR)));
        Project keyed = board(p, b -> b.withTimelines(List.of(b.main().with("a", Properties.POSITION, moved))));
        Project faded = board(p, b -> b.withTimelines(List.of(b.main().with("a", Properties.OPACITY, new Track<>(List.of(new Key<>(0, 0.0,
                Easing.LINEAR), new Key<>(1000, 1.0, Easing.LINEAR)))))));
        Project hidden = board(p, b -> b.withReactions(List.of(new Reaction("r", new Event(Events.TAPPED, Slots.of(Events.TAPPED.slots(), "a")),
                List.of(Actions.of(Actions.HIDE, List.of("a")))))));
        Project blurred = piece(instance("a", new Point(30, 10)).withEffects(List.of(new Effect("b", EffectKind.BLUR, true, Values.NONE))));
        Project tied = piece(instance("a", new Point(30, 10)).with(Properties.TIE_X, "right"));
        Project inGroup = piece(new Element("g", "g", false, false, Values.NONE, new Content.Group(List.of(instance("a", new Point(30, 10))), BOX)));
        Project within = piece().withMotifs(List.of(MOTIF, motif("outer", instance("a", new Point(5, 5)))));
        for (Project x : List.of(keyed, hidden, blurred, tied, inGroup, within)) {
            assertThat(SeenArea.of(x, MOTIF)).isNull();
        }
        assertThat(SeenArea.of(faded, MOTIF)).isEqualTo(SeenArea.of(p, MOTIF));
    }
}
