package tundra.core.edit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tundra.core.file.ProjectFile;
import tundra.core.file.Savable;
import tundra.core.file.SchemaCheck;
import tundra.core.fit.Frames;
import tundra.core.frame.FakeMeasurer;
import tundra.core.geometry.Point;
import tundra.core.model.Action;
import tundra.core.model.ActionKind;
import tundra.core.model.Actions;
import tundra.core.model.Asset;
import tundra.core.model.BlockKind;
import tundra.core.model.Blocks;
import tundra.core.model.Board;
import tundra.core.model.Clock;
import tundra.core.model.Condition;
import tundra.core.model.ConditionKind;
import tundra.core.model.Conditions;
import tundra.core.model.Content;
import tundra.core.model.Dragging;
import tundra.core.model.Element;
import tundra.core.model.Event;
import tundra.core.model.EventKind;
import tundra.core.model.Events;
import tundra.core.model.Layout;
import tundra.core.model.Links;
import tundra.core.model.MapData;
import tundra.core.model.Marker;
import tundra.core.model.Motif;
import tundra.core.model.PieceValue;
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.core.model.Reaction;
import tundra.core.model.Scene;
import tundra.core.model.Script;
import tundra.core.model.SentenceKind;
import tundra.core.model.Setting;
import tundra.core.model.Slot;
import tundra.core.model.Timeline;
import tundra.core.model.Values;

class ReactionsTest {
    private static final Asset BELL = Asset.sound("bell.wav", "audio/wav", 200_000, new byte[] {1, 2, 3});

    private static Element shape(String id) {
        return new Element(id, id, false, false, Values.NONE, new Content.Rectangle());
    }

    private static Project piece(Reaction... reactions) {
        var words = new Element("words", "Words", false, false, Values.NONE, new Content.Text("Hi", "Lora", 400, 14, Content.Align.LEFT, 1.2));
        var main = new Timeline("main", Timeline.MAIN, 2_000_000, false, true, Map.of()).withMarkers(List.of(new Marker("mark", "Half", 1_000_000)));
        var menu = new Timeline("menu", "Menu", 500_000, false, false, Map.of());
        var a = new Board(new Point(100, 100), Values.NONE, List.of(shape("lamp"), shape("vane"), words, new Element("placed", "Placed", false,
                false, Values.NONE, new Content.Instance("motif", new Point(10, 10), Clock.OWN)), block(Blocks.STRIP), block(Blocks.VIDEO),
                block(Blocks.MAP_BLOCK), block(Blocks.TEXT_FIELD), block(Blocks.COUNTDOWN)), List.of(main, menu), List.of(reactions))
                .withLayouts(List.of(new Layout("phone", "Phone", 0, 50, new Point(50, 100))));
        var b = new Board(new Point(100, 100), Values.NONE, List.of(shape("other")),
                List.of(new Timeline("other-main", Timeline.MAIN, 1_000_000, false, true, Map.of())), List.of());
        return new Project("p", "P", 24, List.of(new Scene("a", "A", a), new Scene("b", "B", b)), Map.of(), Map.of()).withAsset(BELL)
                .withValues(List.of(new PieceValue("v", "placed", PieceValue.Kind.NUMBER, "0", false)))
                .withScripts(List.of(Script.empty("s", "celebrate")))
                .withMotifs(List.of(motif("motif", "inner-mark"), motif("bare")));
    }

    private static Element block(BlockKind kind) {
        Content.Block b = kind.made();
        return new Element(kind.key(), kind.label(), false, false, Values.NONE, kind == Blocks.MAP_BLOCK
                ? b.with(Blocks.MAP, new MapData(List.of(new MapData.Feature(MapData.Form.POINT, "place", "Pier",
                List.of(List.of(new Point(10, 70))))))) : b);
    }

    private static Motif motif(String id, String... markers) {
        var main = new Timeline(id + "-main", Timeline.MAIN, 2_000_000, false, true, Map.of())
                .withMarkers(Stream.of(markers).map(m -> new Marker(m, "Turned", 700_000)).toList());
        return new Motif(id, id, new Board(new Point(10, 10), Values.NONE, List.of(shape(id + "-shape")), List.of(main), List.of()));
    }

    private static SlotDefaults near(Project p) {
        return new SlotDefaults(p, p.scenes().getFirst().board(), "lamp", "main", 500_000);
    }

    private static Board board(Project p) {
        return p.scenes().getFirst().board();
    }

    @Test
    void everySentenceIsWrittenReadAndPutInWords() throws Exception {
        Project bare = piece();
        var near = near(bare);
        var reactions = new ArrayList<Reaction>();
        for (EventKind k : Events.ALL) {
            Event e = Reactions.as(Events.tapped("lamp"), k, near);
            assertThat(e).as(k.key()).isNotNull();
            reactions.add(new Reaction("r-" + k.key(), e, List.of(Actions.of(Actions.PLAY, "main"))));
        }
        var conditions = new ArrayList<Condition>();
        for (ConditionKind k : Conditions.ALL) {
            conditions.add(Reactions.as(null, k, near));
        }
        var actions = new ArrayList<Action>();
        for (ActionKind k : Actions.ALL) {
            actions.add(Reactions.as(Actions.of(Actions.PLAY, "main"), k, near));
        }
        assertThat(Stream.concat(conditions.stream(), actions.stream())).doesNotContainNull();
        reactions.add(new Reaction("all", Events.tapped("vane"), conditions, true, actions, actions, true, ""));
        Project p = piece(reactions.toArray(Reaction[]::new));
        Project back = ProjectFile.read(ProjectFile.bytes(p));
        assertThat(board(back).reactions()).isEqualTo(reactions);
        assertThat(back.values()).isEqualTo(p.values());
        assertThat(SchemaCheck.problems(p)).isEmpty();
        var words = new Sentences(back, board(back));
        reactions.forEach(r -> assertThat(words.of(r.when().kind(), r.when().slots())).doesNotContain("?", "{", "null"));
        actions.forEach(a -> assertThat(words.of(a.kind(), a.slots())).doesNotContain("?", "{", "null"));
        assertThat(words.of(Actions.SET, Actions.of(Actions.SET, List.of("lamp", "vane"), Setting.of(Properties.OPACITY, 0.25), 400_000L, "linear")
                .slots()))
                .isEqualTo("set lamp, vane to opacity 25 % over 0.4 s linear");
    }

    @Test
    void whatIsNamedAndDeletedLeavesNothingBehind() {
        var play = Actions.of(Actions.PLAY, "main");
        Project p = piece(new Reaction("one", Events.tapped("lamp"), List.of(play)),
                new Reaction("two", Events.tapped("vane"), List.of(Conditions.of(Conditions.SHOWN, "lamp", "shown")), false,
                List.of(Actions.of(Actions.HIDE, List.of("lamp", "vane")), Actions.of(Actions.PLAY, "menu")),
                List.of(Actions.of(Actions.SHOW, List.of("lamp"))), false, ""),
                new Reaction("three", Events.of(Events.REACHED, "mark"), List.of(Actions.of(Actions.OPEN_SCENE, "b"),
                Actions.of(Actions.ADD_VALUE, "v", 1.0))));
        assertThat(Reactions.naming(p, "lamp")).isEqualTo(2);
        Board withoutLamp = Arrange.delete(board(p), Set.of("lamp"));
        assertThat(withoutLamp.reactions()).extracting(Reaction::id).containsExactly("two", "three");
        Reaction two = withoutLamp.reactions().getFirst();
        assertThat(two.conditions()).isEmpty();
        assertThat(two.otherwise()).isEmpty();
        assertThat(two.actions().getFirst().slots().get(Actions.ELEMENTS)).isEqualTo(List.of("vane"));
        assertThat(Arrange.deleteTimeline(board(p), "menu").reactions().get(1).actions()).hasSize(1);
        assertThat(Reactions.tidied(board(p).mapTimeline("main", t -> Markers.delete(t, "mark"))).reactions()).extracting(Reaction::id)
                .containsExactly("one", "two");
        assertThat(board(Scenes.delete(p, "b")).reactions().getLast().actions()).extracting(Action::kind).containsExactly(Actions.ADD_VALUE);
        assertThat(board(PieceValues.delete(p, "v")).reactions().getLast().actions()).extracting(Action::kind).containsExactly(Actions.OPEN_SCENE);
        assertThat(Scenes.delete(Scenes.delete(p, "b"), "a").scenes()).as("the last one stays").hasSize(1);
    }

    /** What could not be read again could not be saved either. */
    @Test
    void whateverIsDoneToWhatIsNamedThePieceCanStillBeSaved() {
        Project p = piece(new Reaction("one", Events.tapped("lamp"), List.of(Actions.of(Actions.HIDE, List.of("lamp", "vane")),
                Actions.of(Actions.PLAY_SOUND, BELL.hash()))))
                .mapBoard("a", b -> b.withDrags(List.of(Dragging.of("d", List.of(new Dragging.Pair("lamp", List.of("words")),
                new Dragging.Pair("vane", List.of("lamp")))).withMotion(m -> m.withArea("vane")))));
        assertThat(Savable.problem(p)).isNull();
        var seen = Frames.of(p, board(p), new FakeMeasurer()).at(0);
        Motifs.Made made = Motifs.make(p, "a", List.of("lamp", "vane"), "Instruments", seen);
        assertThat(Savable.problem(made.project())).as("both became one motif").isNull();
        assertThat(board(made.project()).drags().getFirst().pairs()).containsExactly(new Dragging.Pair(made.instance(), List.of("words")));
        Project apart = p.mapBoard("a", b -> b.withElements(b.elements().subList(2, 3)));
        assertThat(Savable.problem(Reactions.tidied(apart))).as("taken away by any way").isNull();
        assertThat(board(Reactions.tidied(apart)).drags()).isEmpty();
        assertThat(Shelf.used(p, BELL, null)).as("a sound that only a reaction plays").isTrue();
        assertThat(Savable.problem(Reactions.tidied(Shelf.without(p, BELL.hash())))).isNull();
        // a motif that leads out of itself, by itself in a file
        Motif leads = new Motif("m", "Leads", new Board(new Point(10, 10), Values.NONE, List.of(shape("door")),
                List.of(new Timeline("m-main", Timeline.MAIN, 1000, false, true, Map.of())),
                List.of(new Reaction("r", Events.tapped("door"), List.of(Actions.of(Actions.OPEN_SCENE, "b"),
                Actions.of(Actions.ADD_VALUE, "v", 1.0), Actions.of(Actions.PLAY_SOUND, BELL.hash()))))));
        Project alone = MotifParts.alone(p.withMotifs(List.of(leads)), "m", x -> null);
        assertThat(Savable.problem(alone)).isNull();
        assertThat(alone.motif("m").board().reactions().getFirst().actions()).extracting(Action::kind).containsExactly(Actions.PLAY_SOUND);
        assertThat(Reactions.tidied(p)).as("where nothing is gone nothing changes").isSameAs(p);
    }

    @Test
    void copiesNameTheirOwn() {
        Project p = piece(new Reaction("one", Events.tapped("lamp"), List.of(Actions.of(Actions.HIDE, List.of("lamp", "vane")),
                Actions.of(Actions.PLAY_FROM, "mark"), Actions.of(Actions.PLAY, Slot.EVERYTHING))));
        Scenes.Made made = Scenes.duplicate(p, "a");
        Board copy = made.project().scene(made.scene()).board();
        assertThat(made.project().scene(made.scene()).name()).isEqualTo("A 2");
        Reaction r = copy.reactions().getFirst();
        String lamp = copy.elements().getFirst().id();
        assertThat(r.id()).isNotEqualTo("one");
        assertThat(r.when().slots().get(Events.ELEMENT)).isEqualTo(lamp).isNotEqualTo("lamp");
        assertThat((List<?>) r.actions().getFirst().slots().get(Actions.ELEMENTS)).first().isEqualTo(lamp);
        assertThat(r.actions().get(1).slots().get(Actions.MARKER)).isEqualTo(copy.main().markers().getFirst().id());
        assertThat(r.actions().get(2).slots().get(Actions.PLAYER)).isEqualTo(Slot.EVERYTHING);
        // the same reaction for others of the board
        Board same = board(p).withReactions(Reactions.copyTo(board(p).reactions(), "one", List.of("lamp", "vane")));
        assertThat(same.reactions()).hasSize(2);
        assertThat(same.reactions().getLast().when()).isEqualTo(Events.tapped("vane"));
        assertThat(same.reactions().getLast().actions().getFirst().slots().get(Actions.ELEMENTS)).as("both were it").isEqualTo(List.of("vane"));
    }

    @Test
    void whatWaitsForAMotifsMarkerGoesWithIt() {
        Project p = piece(new Reaction("one", Events.of(Events.INSTANCE_REACHED, "placed", "inner-mark"), List.of(Actions.of(Actions.PLAY, "main"))));
        assertThat(Savable.problem(p)).isNull();
        assertThat(new Sentences(p, board(p)).of(Events.INSTANCE_REACHED, board(p).reactions().getFirst().when().slots()))
                .isEqualTo("When Placed reaches Turned");
        assertThat(Reactions.tidied(p)).isSameAs(p);
        Project without = p.mapBoard("motif", b -> b.mapTimeline("motif-main", t -> t.withMarkers(List.of())));
        assertThat(board(Reactions.tidied(without)).reactions()).isEmpty();
        // an instance of another motif does not have it
        Project swapped = p.mapBoard("a",
                b -> b.mapElement("placed", e -> e.withContent(new Content.Instance("bare", new Point(10, 10), Clock.OWN))));
        assertThat(board(Reactions.tidied(swapped)).reactions()).isEmpty();
        assertThat(Reactions.as(Events.tapped("lamp"), Events.INSTANCE_REACHED, near(swapped))).as("no motif here has markers").isNull();
    }

    @Test
    void anActionTurnsIntoAnotherWithWhatBothSay() {
        var near = near(piece());
        Action hide = Reactions.as(Actions.of(Actions.PLAY, "menu"), Actions.HIDE, near);
        assertThat(hide.slots().get(Actions.ELEMENTS)).isEqualTo(List.of("lamp"));
        Action go = Reactions.as(Actions.of(Actions.PLAY, "menu"), Actions.GO_TO, near);
        assertThat(go).isEqualTo(Actions.of(Actions.GO_TO, "menu", 500_000L));
        assertThat(Reactions.as(Events.tapped("vane"), Events.SWIPED, near)).isEqualTo(Events.of(Events.SWIPED, "vane", "left"));
        assertThat(Reactions.as(go, Actions.PUT_TEXT, near).slots().get(Actions.INTO)).as("only a text can be written into").isEqualTo("words");
        Project without = new Project("p", "P", 24, List.of(piece().scenes().getLast()), Map.of(), Map.of());
        assertThat(Reactions.as(go, Actions.ADD_VALUE, new SlotDefaults(without, board(without), "other", "other-main", 0))).as("there is no value")
                .isNull();
    }

    @Test
    void scenesAreNamedAndOrdered() {
        Project p = Scenes.add(piece(), "a").project();
        assertThat(p.scenes()).extracting(Scene::name).containsExactly("A", "Scene 3", "B");
        String id = p.scenes().get(1).id();
        assertThat(Scenes.rename(p, id, "B").scenes()).extracting(Scene::name).containsExactly("A", "B 2", "B");
        assertThat(Scenes.rename(p, id, "  ")).isSameAs(p);
        assertThat(Scenes.move(p, id, 9).scenes()).extracting(Scene::name).containsExactly("A", "B", "Scene 3");
        assertThat(Scenes.move(p, id, -3).scenes()).extracting(Scene::name).containsExactly("Scene 3", "A", "B");
    }

    @Test
    void byHowMuchAPropertyChangesGoesToEitherSideAsFarAsItsValuesDo() {
        assertThat(SettingText.change(Properties.OPACITY, "-15 %")).isEqualTo(Setting.of(Properties.OPACITY, -0.15));
        assertThat(SettingText.change(Properties.POSITION, "0, -30")).isEqualTo(Setting.of(Properties.POSITION, new Point(0, -30)));
        assertThatThrownBy(() -> SettingText.parse(Properties.OPACITY, "-15 %")).as("no value of it").hasMessageContaining("lies between 0 and 100");
        assertThatThrownBy(() -> SettingText.change(Properties.OPACITY, "-150")).hasMessageContaining("changes by something between -100 and 100");
        assertThat(SettingText.changes(Properties.BLEND)).as("words have no between").isFalse();
    }

    @Test
    void anAmountDoesNotBecomeAValue() {
        var near = near(piece());
        Action by = Actions.of(Actions.CHANGE_BY, List.of("vane"), Setting.of(Properties.OPACITY, -0.15), 300_000L, "linear");
        Action to = Reactions.as(by, Actions.SET, near);
        assertThat(to.slots().get(Actions.ELEMENTS)).isEqualTo(List.of("vane"));
        assertThat(((Double) ((Setting) to.slots().get(Actions.SETTING)).value())).isBetween(0.0, 1.0);
    }

    @Test
    void whatIsTypedForAPropertyIsReadInItsUnits() {
        assertThat(SettingText.parse(Properties.OPACITY, "25 %")).isEqualTo(Setting.of(Properties.OPACITY, 0.25));
        assertThat(SettingText.parse(Properties.POSITION, "12.5, -3")).isEqualTo(Setting.of(Properties.POSITION, new Point(12.5, -3)));
        assertThat(SettingText.parse(Properties.SCALE, "150")).as("one for both").isEqualTo(Setting.of(Properties.SCALE, new Point(1.5, 1.5)));
        assertThat(SettingText.of(SettingText.parse(Properties.FILL, "c96f1f"))).isEqualToIgnoringCase("#C96F1F");
        assertThat(SettingText.parse(Properties.BLEND, "screen").value()).isEqualTo("screen");
        assertThatThrownBy(() -> SettingText.parse(Properties.OPACITY, "250")).hasMessageContaining("between 0 and 100");
        assertThatThrownBy(() -> SettingText.parse(Properties.FILL, "red")).hasMessageContaining("no colour");
        assertThatThrownBy(() -> SettingText.parse(Properties.ROTATION, "much")).isInstanceOf(IllegalArgumentException.class);
    }

    @ParameterizedTest
    @ValueSource(strings = {"javascript:alert(1)", "JaVaScript:alert(1)", " javascript:alert(1)", "data:text/html,x", "file:///etc/passwd",
            "vbscript:x", "//example.org", "http://", "\\\\host\\x", ""})
    void addressesThatLeadElsewhereThanToAPageAreRefused(String s) {
        assertThat(Links.web(s)).isFalse();
    }

    @ParameterizedTest
    @ValueSource(strings = {"https://example.org", "http://example.org/a?b=c#d", "visit.html", "../up/there.html#part", "#part"})
    void addressesOfPagesAreTaken(String s) {
        assertThat(Links.web(s)).isTrue();
    }

    @Test
    void valuesAreOfTheirKind() {
        assertThat(new PieceValue("x", "X", PieceValue.Kind.NUMBER, "3,50", false).start()).isEqualTo("3.5");
        assertThat(new PieceValue("x", "X", PieceValue.Kind.NUMBER, "many", false).start()).isEqualTo("0");
        assertThat(new PieceValue("x", "X", PieceValue.Kind.YES_NO, "On", false).start()).isEqualTo("yes");
        assertThat(new PieceValue("x", "X", PieceValue.Kind.TEXT, "3,50", false).withKind(PieceValue.Kind.YES_NO).start()).isEqualTo("no");
        Project p = PieceValues.add(piece(), "placed", PieceValue.Kind.TEXT);
        assertThat(p.values()).extracting(PieceValue::name).containsExactly("placed", "placed 2");
        assertThat(PieceValues.map(p, "v", v -> v.withName(" ")).values().getFirst().name()).isEqualTo("placed");
    }

    @Test
    void sentencesHaveTheirSlotsInThem() {
        Stream.of(Events.ALL, Conditions.ALL, Actions.ALL).flatMap(List::stream).map(SentenceKind.class::cast).forEach(k ->
                assertThat(k.parts().stream().filter(x -> x.slot() != null).map(x -> x.slot().key()).toList()).as(k.key())
                        .containsExactlyInAnyOrderElementsOf(k.slots().stream().map(Slot::key).toList()));
    }

    @Test
    void aSentenceIsCopiedToWhatIsCalledTheSame() {
        var lamp = new Element("a", "Lamp", false, false, Values.NONE, new Content.Rectangle());
        var main = new Timeline("t", "Main", 1_000_000, false, true, Map.of());
        var from = new Board(new Point(10, 10), Values.NONE, List.of(lamp), List.of(main), List.of());
        var to = new Board(new Point(10, 10), Values.NONE, List.of(lamp.withId("b").withName("Hut"), lamp.withId("c")),
                List.of(new Timeline("u", "Main", 1_000_000, false, true, Map.of())), List.of());
        Reaction r = new Reaction("r", Events.tapped("a"), List.of(Actions.of(Actions.PLAY, "t"), Actions.of(Actions.HIDE, List.of("a"))));
        Reaction copy = CopiedSentence.of(r, from, to).reaction();
        assertThat(copy.when()).isEqualTo(Events.tapped("c"));
        assertThat(copy.actions()).containsExactly(Actions.of(Actions.PLAY, "u"), Actions.of(Actions.HIDE, List.of("c")));
        assertThat(copy.id()).isNotEqualTo("r");
        CopiedSentence none = CopiedSentence.of(r, from, to.withElements(List.of()));
        assertThat(none.reaction()).isNull();
        assertThat(none.missing()).containsExactly("Lamp");
    }
}
