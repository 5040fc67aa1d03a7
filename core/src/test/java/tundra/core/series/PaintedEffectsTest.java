package tundra.core.series;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;
import tundra.core.geometry.Point;
import tundra.core.model.Board;
import tundra.core.model.Clock;
import tundra.core.model.Content;
import tundra.core.model.Differs;
import tundra.core.model.Effect;
import tundra.core.model.EffectKind;
import tundra.core.model.Element;
import tundra.core.model.Layout;
import tundra.core.model.Motif;
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.core.model.Timeline;
import tundra.core.model.Values;
import tundra.core.motion.Easing;
import tundra.core.motion.Key;
import tundra.core.motion.Track;

class PaintedEffectsTest {
    private static final Point BOX = new Point(40, 20);

    private static Motif motif(String id) {
        Element dot = new Element(id + "-dot", "Dot", false, false, Values.NONE.with(Properties.SIZE, BOX), new Content.Ellipse());
        return new Motif(id, id, new Board(BOX, Values.NONE, List.of(dot), List.of(new Timeline(id + "-main", Timeline.MAIN, 1_000_000, true, true,
                Map.of())), List.of())).withPictures(true);
    }

    private static Effect blur(String id, double by) {
        return new Effect(id, EffectKind.BLUR, true, Values.NONE.with(Properties.BLUR, new Point(by, by)));
    }

    private static Effect hue(String id) {
        return new Effect(id, EffectKind.HUE, true, Values.NONE.with(Properties.HUE, 90.0));
    }

    private static Element instance(String id, Point box, Effect... effects) {
        return new Element(id, id, false, false, Values.NONE.with(Properties.OPACITY, 0.5), new Content.Instance("m", box, Clock.OWN.withPhase(7)))
                .withEffects(List.of(effects));
    }

    private static Project piece(Element... elements) {
        Project p = Project.empty("P", new Point(100, 100), 4).withMotifs(List.of(motif("m")));
        return p.mapBoard(p.scenes().getFirst().id(), b -> b.withElements(List.of(elements)));
    }

    private static Project keyed(Project p, String effect) {
        return p.mapBoard(p.scenes().getFirst().id(), b -> b.withTimelines(List.of(b.main().with(effect, Properties.HUE,
                new Track<>(List.of(new Key<>(0, 0.0, Easing.LINEAR), new Key<>(1000, 90.0, Easing.LINEAR)))))));
    }

    private static Element first(Project p) {
        return p.scenes().getFirst().board().elements().getFirst();
    }

    private static String shown(Element e) {
        return ((Content.Instance) e.content()).motif();
    }

    @Test
    void whatNeverChangesIsPaintedUpToWhatDoes() {
        Project p = keyed(piece(instance("one", BOX, blur("a", 3), hue("b"), blur("c", 1))), "b");
        Project out = PaintedEffects.in(p, Set.of("m"));
        Element e = first(out);
        assertThat(e.effects()).extracting(Effect::id).containsExactly("b", "c");
        assertThat(e.rest()).isEqualTo(first(p).rest());
        assertThat(((Content.Instance) e.content()).clock()).isEqualTo(Clock.OWN.withPhase(7));
        Motif made = out.motif(shown(e));
        assertThat(made.pictures()).isTrue();
        assertThat(made.board().main()).isEqualTo(p.motif("m").board().main());
        Element all = made.board().elements().getFirst();
        assertThat(all.children()).isEqualTo(p.motif("m").board().elements());
        assertThat(all.effects()).extracting(Effect::rest).containsExactly(blur("a", 3).rest());
        assertThat(out.motif("m")).as("others may show it").isEqualTo(p.motif("m"));
    }

    @Test
    void whatIsAlikeIsPaintedOnceAndOnlySoManyAtAll() {
        var elements = new ArrayList<Element>();
        for (int i = 0; i < 7; i++) {
            elements.add(instance("e" + i, BOX, blur("x" + i, 1 + i / 2 * 2)));
        }
        elements.add(instance("last", BOX, blur("y", 50)));
        Project out = PaintedEffects.in(piece(elements.toArray(Element[]::new)), Set.of("m"));
        List<Element> now = out.scenes().getFirst().board().elements();
        assertThat(shown(now.get(0))).isEqualTo(shown(now.get(1))).isNotEqualTo(shown(now.get(2)));
        assertThat(out.motifs()).as("four besides itself").hasSize(5);
        assertThat(now.getLast()).as("a fifth row of effects stays the browser's").isEqualTo(elements.getLast());
    }

    @Test
    void whatCantBePaintedStays() {
        Effect off = blur("off", 3).withOn(false);
        Project other = piece(instance("one", BOX.times(2), blur("a", 3)));
        Project none = piece(instance("one", BOX, off));
        Project first = keyed(piece(instance("one", BOX, hue("b"), blur("a", 3))), "b");
        Project wide = piece(instance("one", BOX, blur("a", 3)));
        String scene = wide.scenes().getFirst().id();
        wide = wide.mapBoard(scene, b -> b.withLayouts(List.of(new Layout("l", "Phone", 0, 600, BOX, new Differs(Map.of("a", blur("a", 9).rest()),
                Map.of(), Map.of(), Map.of(), Map.of(), Set.of())))));
        for (Project p : List.of(other, none, first, wide)) {
            assertThat(PaintedEffects.in(p, Set.of("m"))).isEqualTo(p);
        }
        Project live = piece(instance("one", BOX, blur("a", 3)));
        assertThat(PaintedEffects.in(live, Set.of())).isEqualTo(live);
    }
}
