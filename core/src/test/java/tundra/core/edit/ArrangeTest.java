package tundra.core.edit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import tundra.core.frame.FakeMeasurer;
import tundra.core.frame.Frame;
import tundra.core.frame.FrameBuilder;
import tundra.core.frame.HitTest;
import tundra.core.geometry.Affine;
import tundra.core.geometry.Point;
import tundra.core.geometry.Rect;
import tundra.core.model.Actions;
import tundra.core.model.Board;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Events;
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.core.model.Property;
import tundra.core.model.Reaction;
import tundra.core.model.Timeline;
import tundra.core.model.Tree;
import tundra.core.model.Values;
import tundra.core.motion.Easing;
import tundra.core.motion.Key;
import tundra.core.motion.Track;

/** Ordering and grouping several elements, at the top and within groups; what goes along with a copy. */
class ArrangeTest {
    private static Element box(String id, double x, double y) {
        return new Element(id, id, false, false, Values.NONE.with(Properties.POSITION, new Point(x, y)).with(Properties.SIZE, new Point(20, 10)),
                new Content.Rectangle());
    }

    private static Element group(String id, double x, double y, double turn, Element... children) {
        return new Element(id, id, false, false, Values.NONE.with(Properties.POSITION, new Point(x, y)).with(Properties.ROTATION, turn),
                new Content.Group(List.of(children), new Point(200, 100)));
    }

    private static Board board(Element... elements) {
        return new Board(new Point(640, 400), Values.NONE, List.of(elements), List.of(new Timeline("t", "Main", 4_000_000, false, true, Map.of())),
                List.of());
    }

    private static Frame frame(Board b) {
        return new FrameBuilder(b, new FakeMeasurer()).at(0);
    }

    private static String order(Board b) {
        return String.join("", b.elements().stream().map(Element::id).toList());
    }

    @Test
    void severalKeepTheirOrderOnTheWay() {
        Board b = board(box("a", 0, 0), box("b", 0, 0), box("c", 0, 0), box("d", 0, 0), box("e", 0, 0));
        List<String> some = List.of("d", "b");
        assertThat(order(Arrange.step(b, some, 1_000_000))).isEqualTo("acebd");
        assertThat(order(Arrange.step(b, some, -1_000_000))).isEqualTo("bdace");
        assertThat(order(Arrange.step(b, some, 1))).isEqualTo("acbed");
        assertThat(order(Arrange.step(b, some, -1))).isEqualTo("badce");
        assertThat(order(Arrange.step(b, List.of("d", "e"), 1))).as("the topmost stay where they are").isEqualTo("abcde");
        assertThat(Arrange.step(b, List.of("d", "e"), 1)).isEqualTo(b);
    }

    @Test
    void partsOfAGroupAreGroupedWithinIt() {
        Board b = board(group("g", 300, 200, 30, box("a", 40, 40), box("b", 90, 60), box("c", 150, 20)), box("o", 500, 300));
        Frame seen = frame(b);
        var done = Arrange.group(b, List.of("a", "b"), seen);
        String made = done.ids().getFirst();
        assertThat(Tree.path(done.board().elements(), "a")).containsExactly("g", made, "a");
        assertThat(Tree.path(done.board().elements(), "c")).containsExactly("g", "c");
        for (String id : List.of("a", "b", "c", "o")) {
            assertThat(frame(done.board()).find(id).bounds().centre().distance(seen.find(id).bounds().centre())).as(id).isCloseTo(0, within(1e-6));
        }
        // from two levels they come into the innermost group that holds both
        var mixed = Arrange.group(b, List.of("a", "o"), seen);
        assertThat(Tree.path(mixed.board().elements(), "a")).hasSize(2);
        assertThat(frame(mixed.board()).find("a").bounds().centre().distance(seen.find("a").bounds().centre())).isCloseTo(0, within(1e-6));
    }

    @Test
    void whatIsMetAndSnappedToIsOfTheLevelThatIsEntered() {
        Board b = board(group("g", 300, 200, 0, box("a", 40, 40), box("b", 90, 60)), box("o", 240, 140));
        Frame seen = frame(b);
        Rect around = new Rect(200, 100, 200, 200);
        assertThat(HitTest.meeting(seen, null, around)).containsExactly("g", "o");
        assertThat(HitTest.meeting(seen, "g", around)).containsExactly("a", "b");
        // a stands at (240, 190), b at (290, 210): a box 2 px beside b's left edge comes to it
        var snap = Snapping.around(seen, "g", List.of("a"), List.of()).of(new Rect(282, 100, 20, 10), 6);
        assertThat(snap.by().x()).isCloseTo(-2, within(1e-9));
    }

    @Test
    void aCopyTakesItsReactionsAlong() {
        Board b = board(box("a", 0, 0), box("b", 0, 0)).withReactions(List.of(
                new Reaction("r", Events.tapped("a"), List.of(Actions.of(Actions.PLAY, "t"))),
                new Reaction("q", Events.tapped("b"), List.of(Actions.of(Actions.PAUSE, "t")))));
        var pasted = Clip.of(Project.empty("p", new Point(1, 1), 24), b, List.of("a")).paste(b, Point.ZERO);
        assertThat(pasted.board().reactions()).hasSize(3);
        Reaction copy = pasted.board().reactions().getLast();
        assertThat(copy.when()).isEqualTo(Events.tapped(pasted.ids().getFirst()));
        assertThat(copy.id()).isNotEqualTo("r");
        assertThat(copy.actions()).isEqualTo(b.reactions().getFirst().actions());
        // cut and pasted back
        Board cut = Arrange.delete(b, List.of("a"));
        assertThat(Clip.of(Project.empty("p", new Point(1, 1), 24), b, List.of("a")).paste(cut, Point.ZERO).board().reactions()).hasSize(2);
    }

    @Test
    void keysOfSeveralGoBackToTheirOwnElements() {
        Board b = board(box("a", 0, 0), box("b", 0, 0), box("c", 0, 0), box("d", 0, 0)).mapTimeline("t", t -> t
                .with("a", Properties.ROTATION, new Track<>(List.of(new Key<>(0, 1.0, Easing.LINEAR))))
                .with("b", Properties.ROTATION, new Track<>(List.of(new Key<>(0, 2.0, Easing.LINEAR)))));
        KeyClip two = KeyClip.whole(b.main(), List.of("b", "a")), one = KeyClip.whole(b.main(), List.of("a"));
        assertThat(two.targets(b, List.of()).keySet()).containsExactlyInAnyOrder("a", "b");
        assertThat(two.targets(b, List.of("c")).keySet()).as("one selected can't take both").containsExactlyInAnyOrder("a", "b");
        Board onto = two.paste(b, "t", two.targets(b, List.of("d", "c")), 1_000_000, false).board();
        assertThat(onto.main().track("c", Properties.ROTATION).keys().getFirst().value()).as("in the order of the outline").isEqualTo(1.0);
        assertThat(onto.main().track("d", Properties.ROTATION).keys().getFirst().value()).isEqualTo(2.0);
        assertThat(one.targets(b, List.of("c", "d")).keySet()).containsExactly("c", "d");
        assertThat(one.targets(b, List.of()).keySet()).containsExactly("a");
        assertThat(two.targets(board(box("x", 0, 0)), List.of())).as("none of them is here").isEmpty();
    }

    @Test
    void severalTurnAroundOnePointOrEachItsOwn() {
        Board b = board(box("a", 100, 100), box("b", 200, 100));
        var builder = new FrameBuilder(b, new FakeMeasurer());
        var parts = List.of("a", "b").stream().map(id -> new ResizingSeveral.Part(id, b.find(id).content(), builder.valuesAt(id, 0),
                new Point(20, 10),
                Affine.IDENTITY)).toList();
        ResizingSeveral.Setter set = new ResizingSeveral.Setter() {
            @Override
            public <T> Board set(Board x, String id, Property<T> p, T value) {
                return x.mapElement(id, e -> e.with(p, value));
            }
        };
        Board turned = new TurningSeveral(new Point(150, 100), parts).turn(b, 90, set);
        assertThat(turned.rest("a").get(Properties.POSITION).distance(new Point(150, 50))).isLessThan(1e-9);
        assertThat(turned.rest("b").get(Properties.POSITION).distance(new Point(150, 150))).isLessThan(1e-9);
        assertThat(turned.rest("b").get(Properties.ROTATION)).isEqualTo(90);
        Board own = new TurningSeveral(null, parts).turn(b, 90, set);
        assertThat(own.rest("a").get(Properties.POSITION)).isEqualTo(new Point(100, 100));
        Board grown = new TurningSeveral(new Point(150, 100), parts).scale(b, 2, set);
        assertThat(grown.rest("a").get(Properties.POSITION)).isEqualTo(new Point(50, 100));
        assertThat(grown.rest("a").get(Properties.SCALE)).isEqualTo(new Point(2, 2));
    }
}
