package tundra.core.edit;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import tundra.core.file.ProjectFile;
import tundra.core.geometry.Point;
import tundra.core.model.Action;
import tundra.core.model.Actions;
import tundra.core.model.Board;
import tundra.core.model.Clock;
import tundra.core.model.Color;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Events;
import tundra.core.model.Motif;
import tundra.core.model.Opening;
import tundra.core.model.PageSettings;
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.core.model.Reaction;
import tundra.core.model.Scene;
import tundra.core.model.Slot;
import tundra.core.model.Timeline;
import tundra.core.model.Transition;
import tundra.core.model.Values;
import tundra.core.motion.EasingText;

/** Which scene leads to which, how scenes come, and what they have in common. */
class WaysTest {
    private static Element box(String id) {
        return new Element(id, id, false, false, Values.NONE, new Content.Rectangle());
    }

    private static Board board(String id, List<Element> elements, Action... onTap) {
        var reactions = onTap.length == 0 ? List.<Reaction>of() : List.of(new Reaction(id + "-r", Events.tapped(elements.getFirst().id()),
                List.of(onTap)));
        return new Board(new Point(100, 50), Values.NONE, elements, List.of(new Timeline(id + "-main", Timeline.MAIN, 1_000_000, false, true,
                Map.of())), reactions);
    }

    private static Scene scene(String id, Action... onTap) {
        return new Scene(id, id.toUpperCase(), board(id, List.of(box(id + "-box")), onTap));
    }

    private static Project piece(Scene... scenes) {
        return new Project("p", "P", 24, List.of(scenes), Map.of(), Map.of());
    }

    @Test
    void deadEndsAndScenesWithoutAWayAreSeen() {
        Ways w = Ways.of(piece(scene("a", Actions.of(Actions.OPEN_SCENE, "c")), scene("b", Actions.of(Actions.NEXT_SCENE)), scene("c"),
                scene("d", Actions.of(Actions.BACK))));
        assertThat(w.all()).extracting(x -> x.from() + ">" + x.to()).containsExactly("a>c", "b>c", "d>null");
        assertThat(w.unreachable()).containsExactlyInAnyOrder("b", "d");
        assertThat(w.deadEnds()).containsExactly("c");
        assertThat(Ways.of(piece(scene("a"))).deadEnds()).as("one scene alone leads nowhere by right").isEmpty();
    }

    @Test
    void sentencesOfMotifsOfTheWholePieceAndOfWhatLiesOverAllCount() {
        var menu = new Motif("menu", "Menu", board("menu", List.of(box("menu-box")), Actions.of(Actions.OPEN_SCENE, "b")));
        var placed = new Element("placed", "placed", false, false, Values.NONE, new Content.Instance("menu", new Point(100, 50), Clock.OWN));
        Scene a = new Scene("a", "A", board("a", List.of(placed)));
        Project p = piece(a, scene("b"), scene("o", Actions.of(Actions.NEXT_SCENE))).withMotifs(List.of(menu));
        assertThat(Ways.of(p).all()).extracting(x -> x.from() + ">" + x.to() + " by " + x.place()).contains("a>b by menu")
                .doesNotContain("b>b by menu");
        Project over = p.withPage(PageSettings.USUAL.withOver("o"));
        assertThat(over.screens()).extracting(Scene::id).containsExactly("a", "b");
        assertThat(Ways.of(over).all()).extracting(x -> x.from() + ">" + x.to() + " by " + x.place()).contains("a>b by o");
        assertThat(Ways.of(over.withReactions(List.of(new Reaction("r", Events.of(Events.KEY_PRESSED, "Escape"),
                List.of(Actions.of(Actions.OPEN_SCENE, "a")))))).all()).extracting(x -> x.from() + ">" + x.to() + " by " + x.place())
                .contains("b>a by null");
        assertThat(Ways.of(over.mapBoard("o", b -> b.withReactions(List.of()))).deadEnds()).containsExactly("b");
    }

    @Test
    void transitionsAreWrittenAndReadBack() throws Exception {
        for (Transition.Kind k : Transition.Kind.values()) {
            for (Transition.Side s : Transition.Side.values()) {
                Transition t = new Transition(k, k.moves() ? s : Transition.Side.LEFT, 321_000, EasingText.parse("linear"));
                assertThat(Transition.parse(t.text())).isEqualTo(t);
            }
        }
        for (String bad : List.of("", "push 5 linear", "fade left 5 linear", "push left -5 linear", "push left 5", "wipe left 5 linear",
                "push left 5 nonsense")) {
            assertThat(Transition.parse(bad)).as(bad).isNull();
        }
        Transition push = Transition.CUT.with(Transition.Kind.PUSH).with(Transition.Side.UP);
        Project p = piece(scene("a", Actions.of(Actions.OPEN_SCENE, "b", push.text()), Actions.of(Actions.NEXT_SCENE)), scene("b")
                .withOpening(new Opening(push, true, true))).withPage(PageSettings.USUAL.withHistory(true).withOver("b")
                .withGround(Color.parse("#2F78A3")));
        Project back = ProjectFile.read(ProjectFile.bytes(p));
        assertThat(back.scenes()).isEqualTo(p.scenes());
        assertThat(back.page()).isEqualTo(p.page());
        assertThat(new Sentences(p, p.scenes().getFirst().board()).of(Actions.OPEN_SCENE, p.scenes().getFirst().board().reactions().getFirst()
                .actions().getFirst().slots())).isEqualTo("open B with a push to the top in 0.5 s");
        assertThat(Actions.of(Actions.NEXT_SCENE).slots().get(Actions.TRANSITION)).isEqualTo(Transition.OWN);
        assertThat(Actions.TRANSITION.type()).isEqualTo(Slot.Type.TRANSITION);
    }

    @Test
    void theGroundOfThePieceIsOne() {
        Opening shared = Opening.USUAL.withPieceGround(true);
        Project p = piece(scene("a").withOpening(shared), scene("b").withOpening(shared), scene("c"));
        Project set = Rules.tidied(p, p.mapBoard("a", b -> b.withCanvas(b.canvas().with(Properties.BACKGROUND, Color.parse("#1C6A5E")))));
        assertThat(set.page().ground()).isEqualTo(Color.parse("#1C6A5E"));
        assertThat(set.scenes()).extracting(s -> s.board().canvas().get(Properties.BACKGROUND)).containsExactly(Color.parse("#1C6A5E"),
                Color.parse("#1C6A5E"), Color.WHITE);
        Project joins = Rules.tidied(set, Scenes.opening(set, "c", o -> o.withPieceGround(true)));
        assertThat(joins.scenes().getLast().board().canvas().get(Properties.BACKGROUND)).isEqualTo(Color.parse("#1C6A5E"));
    }

    @Test
    void aSceneLikeAnotherHasItsLooksButNotItsMoves() {
        Project p = piece(scene("a", Actions.of(Actions.NEXT_SCENE)));
        Scenes.Made made = Scenes.from(p, "a");
        Scene s = made.project().scene(made.scene());
        assertThat(s.board().elements()).hasSize(1);
        assertThat(s.board().elements().getFirst().id()).isNotEqualTo("a-box");
        assertThat(s.board().reactions()).isEmpty();
        assertThat(s.board().timelines()).hasSize(1);
        assertThat(s.name()).isEqualTo("Scene 2");
    }

    @Test
    void waysLieBesideEachOtherAndAreFoundUnderThePointer() {
        Project p = piece(scene("a", Actions.of(Actions.NEXT_SCENE)), scene("b", Actions.of(Actions.PREVIOUS_SCENE)),
                scene("c", Actions.of(Actions.OPEN_SCENE, "a")));
        WaysLayout l = WaysLayout.of(List.of("a", "b", "c"), Ways.of(p), 1280, 700, 2);
        assertThat(l.arrows()).hasSize(3);
        var cards = List.copyOf(l.cards().values());
        for (int i = 0; i < cards.size(); i++) {
            for (int k = 0; k < i; k++) {
                assertThat(cards.get(i).intersects(cards.get(k))).isFalse();
            }
            assertThat(cards.get(i).x()).isBetween(0.0, 1280.0);
        }
        l.arrows().forEach(a -> assertThat(l.at(a.line().at(0.5), 5)).isSameAs(a));
    }
}
