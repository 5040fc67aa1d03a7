package tundra.core.edit;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import tundra.core.file.Savable;
import tundra.core.fit.Frames;
import tundra.core.frame.FakeMeasurer;
import tundra.core.frame.Moment;
import tundra.core.geometry.Point;
import tundra.core.model.Action;
import tundra.core.model.Actions;
import tundra.core.model.Asset;
import tundra.core.model.Board;
import tundra.core.model.Clock;
import tundra.core.model.Content;
import tundra.core.model.Dragging;
import tundra.core.model.Element;
import tundra.core.model.Events;
import tundra.core.model.Limits;
import tundra.core.model.Motif;
import tundra.core.model.PlacedSound;
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.core.model.Reaction;
import tundra.core.model.Scene;
import tundra.core.model.Script;
import tundra.core.model.Timeline;
import tundra.core.model.Values;

/** What a document may be, whatever makes a version of it. */
class RulesTest {
    private static final Asset BELL = Asset.sound("bell.wav", "audio/wav", 500_000, new byte[] {1, 2, 3});
    private static final Asset SNOW = Asset.picture("snow.png", "image/png", 4, 4, new byte[] {4});

    private static Element box(String id) {
        return new Element(id, id, false, false, Values.NONE.with(Properties.POSITION, new Point(20, 20)).with(Properties.SIZE, new Point(10, 10)),
                new Content.Rectangle());
    }

    private static Element instance(String id, String motif) {
        return new Element(id, id, false, false, Values.NONE.with(Properties.POSITION, new Point(20, 20)),
                new Content.Instance(motif, new Point(10, 10), Clock.OWN));
    }

    private static Board board(String main, Element... elements) {
        return new Board(new Point(100, 100), Values.NONE, List.of(elements),
                List.of(new Timeline(main, Timeline.MAIN, 1_000_000, false, true, Map.of())), List.of());
    }

    /** A scene with an instance of «outer», which shows «inner»; a motif «alone» beside them. */
    private static Project piece() {
        Board inner = board("t-inner", box("flake")), outer = board("t-outer", instance("drift", "inner"), box("bank")),
                alone = board("t-alone", box("lone"));
        return new Project("p", "P", 24, List.of(new Scene("s", "Scene", board("t-scene", instance("field", "outer"), box("hut")))), Map.of(),
                Map.of())
                .withMotifs(List.of(sized("inner", inner), sized("outer", outer), sized("alone", alone)));
    }

    private static Motif sized(String id, Board b) {
        return new Motif(id, id, b.withSize(new Point(10, 10)));
    }

    private static Project with(Project p, String place, Element e) {
        return p.mapBoard(place, b -> {
            var all = new ArrayList<>(b.elements());
            all.add(e);
            return b.withElements(all);
        });
    }

    private static void refused(Project before, Project after, String words) {
        assertThat(Rules.refusal(before, after)).contains(words).endsWith("Nothing was changed.");
        assertThat(Savable.problem(after)).as("no file could be opened again that holds it").isNotNull();
    }

    @Test
    void whatMayBeHasNoRefusal() {
        Project p = piece();
        assertThat(Rules.refusal(p, p)).isNull();
        assertThat(Rules.refusal(p, with(p, "s", instance("more", "inner")))).isNull();
        assertThat(Rules.refusal(p, with(p, "alone", instance("more", "outer")))).isNull();
        assertThat(Rules.refusal(p, p.withAsset(SNOW)
                .mapBoard("s", b -> Arrange.add(b, new Element("pic", "Pic", false, false, Values.NONE, new Content.Picture(SNOW.hash()))))))
                .isNull();
        assertThat(Savable.problem(with(p, "alone", instance("more", "outer")))).isNull();
    }

    @Test
    void aMotifNeverShowsItselfBeItThroughOthers() {
        Project p = piece();
        refused(p, with(p, "inner", instance("self", "inner")), "can't show itself");
        refused(p, with(p, "inner", instance("self", "outer")), "can't show itself");
    }

    @Test
    void pastedIntoItselfAMotifIsRefused() {
        Project p = piece();
        Clip field = Clip.of(p, p.place("s").board(), List.of("field"));
        for (String place : List.of("inner", "outer")) {
            Board pasted = field.paste(p.place(place).board(), Point.ZERO).board();
            refused(p, field.withParts(p, a -> "").mapBoard(place, b -> pasted), "can't show itself");
        }
    }

    @Test
    void whatIsShownAndHeardIsThere() {
        Project p = piece().withAsset(BELL).withAsset(SNOW);
        refused(p, with(p, "s", instance("stray", "nowhere")), "a motif that is not in this piece");
        refused(p, with(p, "s", new Element("pic", "Pic", false, false, Values.NONE, new Content.Picture(BELL.hash()))), "is not on the shelf");
        Project rings = p.mapBoard("s", b -> b.mapTimeline("t-scene", t -> t.withSounds(List.of(new PlacedSound("ring", BELL.hash(), 0, 1)))));
        Project shows = with(p, "outer", new Element("pic", "Pic", false, false, Values.NONE, new Content.Picture(SNOW.hash())));
        assertThat(Rules.refusal(p, rings)).isNull();
        assertThat(Rules.refusal(p, shows)).isNull();
        refused(rings, Shelf.without(rings, BELL.hash()), "A sound on Main of Scene");
        refused(shows, Shelf.without(shows, SNOW.hash()), "The picture of “Pic” in outer");
        refused(p, p.withMotifs(p.motifs().subList(1, 3)), "shows a motif that is not in this piece");
    }

    @Test
    void limitsAreMetWhenSomethingIsMadeNotWhenItIsSaved() {
        Project p = piece();
        refused(p, with(p, "s", box("long").withName("n".repeat(Limits.TEXT_CHARS + 1))), "letters");
        refused(p, p.mapBoard("s", b -> b.mapTimeline("t-scene", t -> t.withDuration(Limits.TIME + 1))), "24 hours");
        refused(p, p.withScripts(List.of(new Script("x", "run", "/".repeat(Limits.TEXT_CHARS + 1), true))), "A script can have");
        refused(p, p.mapBoard("s",
                b -> Reactions.with(b, new Reaction("r", Events.tapped("hut"), List.of(Actions.of(Actions.SAY, "w".repeat(2001)))))), "2000 letters");
        Project many = p.withScenes(IntStream.rangeClosed(0, 1000).mapToObj(i -> new Scene("s" + i, "S" + i, board("t" + i))).toList());
        refused(p, many, "1 to 1000 scenes");
    }

    /** What was so before is no reason to refuse something else. */
    @Test
    void anOldFaultElsewhereRefusesNothing() {
        Project broken = with(piece(), "s", instance("stray", "nowhere"));
        assertThat(Rules.refusal(broken, broken.mapBoard("alone", b -> Arrange.delete(b, List.of("lone"))))).isNull();
    }

    @Test
    void aBrokenApartInstanceIsNotPlayedAnyMore() {
        List<Action> both = List.of(Actions.of(Actions.PLAY, "field"), Actions.of(Actions.HIDE, List.of("field")));
        Project p = piece().mapBoard("s", b -> Reactions.with(b, new Reaction("r", Events.tapped("hut"), both)));
        Board b = p.place("s").board();
        Project apart = p.mapBoard("s", x -> BrokenApart.of(p, b, List.of("field"), Frames.of(p, b, new FakeMeasurer()), Moment.opened(b, 0)));
        Project tidied = Rules.tidied(p, apart);
        assertThat(tidied.place("s").board().reactions().getFirst().actions()).as("it can still be hidden").containsExactly(both.getLast());
        assertThat(Savable.problem(tidied)).isNull();
    }

    @Test
    void aCopyTakesItsMotifsAlongToAnotherPiece() {
        Project from = piece(), to = Project.empty("Other", new Point(100, 100), 24);
        String scene = to.scenes().getFirst().id();
        Clip field = Clip.of(from, from.place("s").board(), List.of("field"));
        Project there = field.withParts(to, a -> "").mapBoard(scene, b -> field.paste(b, Point.ZERO).board());
        assertThat(there.motifs()).extracting(Motif::id).containsExactlyInAnyOrder("inner", "outer");
        assertThat(Rules.refusal(to, there)).isNull();
        assertThat(Savable.problem(there)).isNull();
        assertThat(field.withParts(from, a -> "")).as("at home nothing comes along").isSameAs(from);
    }

    @Test
    void copiesOfPartsAreDraggedAsTheirOriginalsAre() {
        Project p = piece();
        Dragging rows = Dragging.of("d", List.of(new Dragging.Pair("hut", List.of("field")), new Dragging.Pair("field", List.of())))
                .withFit(f -> f.withMany(true));
        Board b = p.place("s").board().withDrags(List.of(rows));
        Project with = p.mapBoard("s", x -> b);
        // beside the original: one row more, with the same place
        var twice = Clip.of(with, b, List.of("hut")).paste(b, new Point(10, 0));
        assertThat(twice.board().drags()).hasSize(1);
        assertThat(twice.board().drags().getFirst().pairs()).containsExactly(rows.pairs().get(0), rows.pairs().get(1),
                new Dragging.Pair(twice.ids().getFirst(), List.of("field")));
        // a part with its place: the copy fits the copy of the place
        var both = Clip.of(with, b, List.of("hut", "field")).paste(b, new Point(10, 0));
        String hut = both.ids().getLast(), field = both.ids().getFirst();
        assertThat(both.board().find(hut).name()).startsWith("hut");
        assertThat(both.board().drags().getFirst().pairs()).contains(new Dragging.Pair(hut, List.of(field)), new Dragging.Pair(field, List.of()));
        // cut and put back
        Clip cut = Clip.of(with, b, List.of("hut"));
        Board without = Rules.tidied(with, with.mapBoard("s", x -> Arrange.delete(x, List.of("hut")))).place("s").board();
        var back = cut.paste(without, Point.ZERO);
        assertThat(back.board().drags().getFirst().pairs()).contains(new Dragging.Pair(back.ids().getFirst(), List.of("field")));
        // in another scene, where the place is not
        var elsewhere = Clip.of(with, b, List.of("hut")).paste(board("t-else"), Point.ZERO);
        assertThat(elsewhere.board().drags()).hasSize(1).first().satisfies(d -> {
            assertThat(d.id()).isNotEqualTo("d");
            assertThat(d.fit().many()).isTrue();
            assertThat(d.pairs()).containsExactly(new Dragging.Pair(elsewhere.ids().getFirst(), List.of()));
        });
    }
}
