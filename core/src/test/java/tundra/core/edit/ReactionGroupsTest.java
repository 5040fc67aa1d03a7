package tundra.core.edit;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tundra.core.file.ProjectFile;
import tundra.core.file.SchemaCheck;
import tundra.core.geometry.Point;
import tundra.core.model.Actions;
import tundra.core.model.Board;
import tundra.core.model.Clock;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Conditions;
import tundra.core.model.Events;
import tundra.core.model.Motif;
import tundra.core.model.PieceValue;
import tundra.core.model.Project;
import tundra.core.model.Reaction;
import tundra.core.model.Scene;
import tundra.core.model.Script;
import tundra.core.model.Slot;
import tundra.core.model.Timeline;
import tundra.core.model.Values;

/** Groups of reactions, reactions of the whole piece, and the instance that a motif's reactions name. */
class ReactionGroupsTest {
    @TempDir
    private Path folder;

    private static Reaction one(String id, String group) {
        return new Reaction(id, Events.of(Events.OPENED), List.of(Actions.of(Actions.BACK))).withGroup(group);
    }

    /** Such as {@code "a b:menu c:menu d"}. */
    private static List<Reaction> list(String text) {
        var out = new ArrayList<Reaction>();
        for (String s : text.split(" ")) {
            String[] parts = s.split(":");
            out.add(one(parts[0], parts.length > 1 ? parts[1] : ""));
        }
        return out;
    }

    private static String text(List<Reaction> all) {
        return all.stream().map(r -> r.id() + (r.group().isEmpty() ? "" : ":" + r.group())).collect(Collectors.joining(" "));
    }

    @Test
    void reactionsAreGroupedAndTakenOut() {
        assertThat(text(Reactions.group(list("a b c d"), "c", "menu"))).isEqualTo("a b c:menu d");
        assertThat(text(Reactions.group(list("a b:menu c d"), "d", "menu"))).isEqualTo("a b:menu d:menu c");
        assertThat(text(Reactions.group(list("a:menu b:menu c:menu d"), "b", ""))).isEqualTo("a:menu c:menu b d");
        assertThat(text(Reactions.group(list("a:menu b:menu c:menu d"), "b", "other"))).as("what it leaves stays together")
                .isEqualTo("a:menu c:menu b:other d");
        assertThat(text(Reactions.renameGroup(list("a:x b c:y d:y"), "y", "x"))).isEqualTo("a:x c:x d:x b");
        assertThat(text(Reactions.renameGroup(list("a:x b:x c"), "x", ""))).isEqualTo("a b c");
        assertThat(Reactions.groups(list("a:x b c:y d:y"))).containsExactly("x", "y");
    }

    @Test
    void movingJoinsAndLeavesGroups() {
        assertThat(text(Reactions.move(list("a b:x c:x d"), "a", 1))).isEqualTo("b:x a:x c:x d");
        assertThat(text(Reactions.move(list("a b:x c:x d"), "b", 3))).isEqualTo("a c:x d b");
        assertThat(text(Reactions.move(list("a b:x c:x d"), "c", 1))).isEqualTo("a c:x b:x d");
        assertThat(text(Reactions.moveGroup(list("a b:x c:x d:y e:y f"), "x", true))).isEqualTo("a d:y e:y b:x c:x f");
        assertThat(text(Reactions.moveGroup(list("a b:x c:x d:y e:y f"), "y", false))).isEqualTo("a d:y e:y b:x c:x f");
        assertThat(text(Reactions.moveGroup(list("b:x c:x a"), "x", false))).isEqualTo("b:x c:x a");
        assertThat(text(Reactions.moveGroup(list("a b:x"), "x", true))).isEqualTo("a b:x");
        assertThat(text(Reactions.duplicate(list("a:x b:x"), "a"))).startsWith("a:x ").endsWith(":x b:x");
    }

    @Test
    void theReactionsOfAGroupAlwaysFollowEachOther() {
        var r = new Random(4);
        List<Reaction> all = list("a b c d e f g h");
        var names = List.of("", "x", "y", "z");
        for (int i = 0; i < 2000; i++) {
            String id = all.get(r.nextInt(all.size())).id();
            all = switch (r.nextInt(4)) {
                case 0 -> Reactions.move(all, id, r.nextInt(9));
                case 1 -> Reactions.moveGroup(all, names.get(1 + r.nextInt(3)), r.nextBoolean());
                case 2 -> Reactions.renameGroup(all, names.get(1 + r.nextInt(3)), names.get(r.nextInt(4)));
                default -> Reactions.group(all, id, names.get(r.nextInt(4)));
            };
            var runs = new ArrayList<String>();
            all.forEach(x -> {
                if (!x.group().isEmpty() && (runs.isEmpty() || !runs.getLast().equals(x.group()))) {
                    runs.add(x.group());
                } else if (x.group().isEmpty()) {
                    runs.add("");
                }
            });
            runs.removeIf(String::isEmpty);
            assertThat(runs).as(text(all)).doesNotHaveDuplicates();
            assertThat(all).extracting(Reaction::id).containsExactlyInAnyOrder("a", "b", "c", "d", "e", "f", "g", "h");
        }
    }

    private static Project piece(Reaction scene, Reaction motif, Reaction whole) {
        var lamp = new Element("lamp", "Lamp", false, false, Values.NONE, new Content.Rectangle());
        var placed = new Element("placed", "Placed", false, false, Values.NONE, new Content.Instance("m", new Point(10, 10), Clock.OWN));
        var board = new Board(new Point(100, 100), Values.NONE, List.of(lamp, placed),
                List.of(new Timeline("main", Timeline.MAIN, 1_000_000, false, true, Map.of())), List.of(scene));
        var inner = new Board(new Point(10, 10), Values.NONE, List.of(lamp.withId("inner-lamp")),
                List.of(new Timeline("inner", Timeline.MAIN, 1_000_000, false, true, Map.of())), List.of(motif));
        return new Project("p", "P", 24, List.of(new Scene("a", "A", board)), Map.of(), Map.of()).withMotifs(List.of(new Motif("m", "M", inner)))
                .withValues(List.of(new PieceValue("v", "v", PieceValue.Kind.NUMBER, "0", false))).withReactions(List.of(whole));
    }

    private static Reaction hides(String id, String element) {
        return new Reaction(id, Events.of(Events.OPENED), List.of(Actions.of(Actions.HIDE, List.of(element))));
    }

    private static Reaction counts(String id) {
        return new Reaction(id, Events.of(Events.CHANGED, "v"), List.of(Actions.of(Actions.ADD_VALUE, "v", 1.0)));
    }

    @Test
    void thoseOfTheWholePieceAndOfAnInstanceAreKeptInTheFile() throws Exception {
        Project p = piece(hides("s", "lamp").withGroup("Lights"), hides("inner-one", Slot.INSTANCE), counts("w"));
        ProjectFile.write(p, folder.resolve("p.tundra"));
        Project back = ProjectFile.open(folder.resolve("p.tundra")).project();
        assertThat(back.reactions()).isEqualTo(p.reactions());
        assertThat(SchemaCheck.problems(p.withScripts(List.of(Script.empty("script", "celebrate").withComments(false))))).isEmpty();
        assertThat(back.scenes()).isEqualTo(p.scenes());
        assertThat(back.motifs().getFirst().board().reactions()).isEqualTo(p.motifs().getFirst().board().reactions());
        assertThat(new Sentences(p, p.motifs().getFirst().board()).of(Actions.HIDE, back.motifs().getFirst().board().reactions().getFirst().actions()
                .getFirst().slots())).isEqualTo("hide this instance");
    }

    @Test
    void whatOnlyAMotifOrABoardHasIsNotNamedElsewhere() {
        Project p = piece(hides("s", Slot.INSTANCE), hides("m", Slot.INSTANCE), hides("w", "lamp"));
        Project tidy = Reactions.tidied(p);
        assertThat(tidy.scenes().getFirst().board().reactions()).isEmpty();
        assertThat(tidy.motifs().getFirst().board().reactions()).hasSize(1);
        assertThat(tidy.reactions()).isEmpty();
        Project good = piece(hides("s", "lamp"), hides("m", Slot.INSTANCE), counts("w"));
        assertThat(Reactions.tidied(good)).isSameAs(good);
        assertThat(Reactions.naming(good, "v")).isEqualTo(1);
        assertThat(PieceValues.delete(good, "v").reactions()).as("what names the value goes with it").isEmpty();
    }

    @Test
    void copiesStandInTheGroupOfWhatTheyAreCopiesOf() {
        Project p = piece(new Reaction("s", Events.tapped("lamp"), List.of(Actions.of(Actions.BACK))).withGroup("x"), hides("m", Slot.INSTANCE),
                counts("w"));
        Board b = p.scenes().getFirst().board();
        b = b.withReactions(Reactions.plus(b.reactions(), counts("last")));
        Board pasted = Clip.of(p, b, List.of("lamp")).paste(b, new Point(5, 5)).board();
        assertThat(pasted.reactions()).extracting(Reaction::group).containsExactly("x", "x", "");
        Board elsewhere = Clip.of(p, b, List.of("lamp")).paste(b.withReactions(List.of(counts("only"))), new Point(5, 5)).board();
        assertThat(elsewhere.reactions()).extracting(Reaction::group).containsExactly("", "x");
    }

    @Test
    void aReactionGoesToTheWholePieceAndBack() {
        Project p = piece(counts("s").withGroup("x"), hides("m", Slot.INSTANCE), counts("w"));
        assertThat(Reach.everywhere(counts("s"))).isTrue();
        assertThat(Reach.everywhere(hides("s", "lamp"))).isFalse();
        Reaction inOne = counts("s").withConditions(List.of(Conditions.of(Conditions.LAYOUT, "is", "phone")));
        assertThat(Reach.everywhere(inOne)).as("the whole piece has no layouts").isFalse();
        Project moved = Reach.PLACE.moved(p, "a", "s");
        assertThat(moved.scenes().getFirst().board().reactions()).isEmpty();
        assertThat(text(moved.reactions())).isEqualTo("w s");
        assertThat(text(Reach.PIECE.moved(moved, "a", "w").scenes().getFirst().board().reactions())).isEqualTo("w");
        assertThat(new Sentences(p, null, Reach.PIECE).of(Events.OPENED, Events.of(Events.OPENED).slots())).isEqualTo("When any scene opens");
    }
}
