package tundra.core.edit;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.Test;
import tundra.core.file.ProjectFile;
import tundra.core.fit.Frames;
import tundra.core.frame.FakeMeasurer;
import tundra.core.frame.Frame;
import tundra.core.frame.FrameBuilder;
import tundra.core.frame.FrameNode;
import tundra.core.frame.Moment;
import tundra.core.geometry.Affine;
import tundra.core.geometry.Point;
import tundra.core.model.Actions;
import tundra.core.model.Board;
import tundra.core.model.Clock;
import tundra.core.model.Color;
import tundra.core.model.Content;
import tundra.core.model.Drawing;
import tundra.core.model.Element;
import tundra.core.model.Events;
import tundra.core.model.Flipbook;
import tundra.core.model.Motif;
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.core.model.Reaction;
import tundra.core.model.Scene;
import tundra.core.model.Scroll;
import tundra.core.model.Span;
import tundra.core.model.States;
import tundra.core.model.Timeline;
import tundra.core.model.Values;
import tundra.core.motion.Easing;
import tundra.core.motion.Key;
import tundra.core.motion.Track;

/** Making, placing, exchanging and breaking apart motifs: what is seen stays where it is. */
class MotifsTest {
    private static final FakeMeasurer MEASURE = new FakeMeasurer();

    private static Element box(String id, double x, double y) {
        return new Element(id, id, false, false, Values.NONE.with(Properties.POSITION, new Point(x, y)).with(Properties.SIZE, new Point(20, 10))
                .with(Properties.FILL, Color.parse("#1C6A5E")), new Content.Rectangle());
    }

    private static Project piece() {
        var inner = new Element("group", "Row", false, false, Values.NONE.with(Properties.POSITION, new Point(100, 60))
                .with(Properties.ROTATION, 30.0),
                new Content.Group(List.of(box("a", 10, 10), box("b", 40, 25)), new Point(60, 40)));
        Timeline main = new Timeline("main", "Main", 1_000_000, false, true, Map.of())
                .with("a", Properties.ROTATION, track(0.0, 90.0)).with("c", Properties.POSITION, track(new Point(150, 20), new Point(20, 90)))
                .with("d", Properties.OPACITY, track(1.0, 0.5)).withShown("b", new Span(0, 600_000));
        Timeline other = new Timeline("other", "Other", 2_000_000, true, true, Map.of())
                .with("c", Properties.SCALE, track(new Point(1, 1), new Point(2, 2)));
        var reaction = new Reaction("r", Events.tapped("c"), List.of(Actions.of(Actions.PLAY, "main")));
        var board = new Board(new Point(200, 120), Values.NONE, List.of(inner, box("c", 150, 20), box("d", 30, 100)), List.of(main, other),
                List.of(reaction));
        return new Project("p", "P", 24, List.of(new Scene("s", "Scene", board)), Map.of(), Map.of());
    }

    private static <T> Track<T> track(T from, T to) {
        return new Track<>(List.of(new Key<>(0, from, Easing.LINEAR), new Key<>(1_000_000, to, Easing.LINEAR)));
    }

    private static Frame frame(Project p, long t) {
        Board b = p.scenes().getFirst().board();
        return Frames.of(p, b, MEASURE).at(t);
    }

    /** What is painted, and where, in its order. */
    private static List<String> painted(Frame f) {
        var out = new ArrayList<String>();
        f.nodes().forEach(n -> painted(n, Affine.IDENTITY, 1, out));
        return out;
    }

    private static void painted(FrameNode n, Affine outer, double alpha, List<String> out) {
        Affine m = outer.times(n.toParent());
        if (!n.marks().isEmpty()) {
            out.add(String.format(Locale.ROOT, "%.4f %.4f %.4f %.4f %.3f", m.a(), m.b(), m.e(), m.f(), alpha * n.opacity()));
        }
        n.children().forEach(c -> painted(c, m, alpha * n.opacity(), out));
    }

    @Test
    void whatBecomesAMotifStaysWhereItIsAtEveryTime() {
        Project p = piece();
        var made = Motifs.make(p, "s", List.of("group", "c"), "Flag", frame(p, 0));
        assertThat(made.project().motif(made.motif()).name()).isEqualTo("Flag");
        for (long t : new long[] {0, 250_000, 599_999, 700_000, 1_000_000}) {
            // the motif stands in place of the topmost, so only the order of those beside it may change
            assertThat(painted(frame(made.project(), t))).as("at " + t).containsExactlyInAnyOrderElementsOf(painted(frame(p, t)));
        }
        Board b = made.project().scenes().getFirst().board();
        assertThat(b.main().tracks()).containsOnlyKeys("d");
        assertThat(b.reactions().getFirst().when().slots().get(Events.ELEMENT)).as("a tap on the part is a tap on the motif")
                .isEqualTo(made.instance());
        assertThat(made.project().motif(made.motif()).board().timelines()).extracting(Timeline::name).containsExactly("Main", "Other");
    }

    @Test
    void aFileKeepsMotifsClocksAndStates() throws Exception {
        Project p = piece();
        var made = Motifs.make(p, "s", List.of("c"), "Flag", frame(p, 0));
        Project q = made.project().mapBoard("s", b -> Motifs.clocks(b, List.of(made.instance()), c -> new Clock(true, Clock.Repeat.HOLD, -5, -2.5)));
        q = Motifs.map(q, made.motif(), m -> m.withStates(new States(Map.of(States.State.OVER, 250_000L), 200_000)));
        assertThat(ProjectFile.read(ProjectFile.bytes(q))).isEqualTo(q);
    }

    @Test
    void aMotifNeverHoldsItself() {
        Project p = piece();
        var inner = Motifs.make(p, "s", List.of("c"), "Inner", frame(p, 0));
        var outer = Motifs.make(inner.project(), "s", List.of(inner.instance(), "d"), "Outer", frame(inner.project(), 0));
        Project q = outer.project();
        assertThat(Motifs.holds(q, outer.motif(), inner.motif())).isTrue();
        assertThat(Motifs.fits(q, inner.motif(), outer.motif())).as("not into what it shows").isFalse();
        assertThat(Motifs.fits(q, inner.motif(), inner.motif())).isFalse();
        assertThat(Motifs.fits(q, "s", outer.motif())).isTrue();
        Project round = q.mapBoard(inner.motif(), b -> Arrange.add(b, Motifs.instance(q, outer.motif(), Point.ZERO)));
        assertThat(Assertions.catchThrowable(() -> ProjectFile.read(ProjectFile.bytes(round)))).hasMessageContaining("holds itself");
    }

    @Test
    void brokenApartItLooksAsItDidThen() {
        Project p = piece();
        var made = Motifs.make(p, "s", List.of("group", "c"), "Flag", frame(p, 0));
        Project q = made.project();
        Board b = q.scenes().getFirst().board();
        for (long t : new long[] {0, 300_000, 800_000}) {
            Board apart = BrokenApart.of(q, b, List.of(made.instance()), Frames.of(q, b, MEASURE), Moment.opened(b, t));
            assertThat(apart.find(made.instance()).content()).isInstanceOf(Content.Group.class);
            assertThat(painted(Frames.of(q, apart, MEASURE).at(t))).as("at " + t).isEqualTo(painted(frame(q, t)));
        }
    }

    @Test
    void swappingKeepsPlaceAndKeysAndDeletingTakesTheInstancesAlong() {
        Project p = piece();
        var flag = Motifs.make(p, "s", List.of("c"), "Flag", frame(p, 0));
        var copy = Motifs.duplicate(flag.project(), flag.motif());
        assertThat(copy.project().motif(copy.motif()).name()).isEqualTo("Flag 2");
        assertThat(copy.project().motif(copy.motif()).board().find("c")).as("the copy's elements are its own").isNull();
        Project q = Motifs.swap(copy.project(), "s", List.of(flag.instance()), copy.motif());
        var i = (Content.Instance) q.scenes().getFirst().board().find(flag.instance()).content();
        assertThat(i.motif()).isEqualTo(copy.motif());
        assertThat(painted(frame(q, 400_000))).isEqualTo(painted(frame(flag.project(), 400_000)));
        assertThat(Motifs.uses(q, copy.motif())).isEqualTo(new Motifs.Uses(1, List.of("Scene")));
        Project gone = Motifs.delete(q, copy.motif());
        assertThat(gone.motifs()).extracting(Motif::name).containsExactly("Flag");
        assertThat(gone.scenes().getFirst().board().find(flag.instance())).isNull();
        assertThat(gone.scenes().getFirst().board().reactions()).as("nothing is left to tap").isEmpty();
    }

    @Test
    void aMotifOfAnotherSizeIsOfThatSizeEverywhere() {
        Project p = piece();
        var flag = Motifs.make(p, "s", List.of("c"), "Flag", frame(p, 0));
        Project q = flag.project().mapBoard(flag.motif(), b -> b.withSize(new Point(33, 44)));
        assertThat(((Content.Instance) q.scenes().getFirst().board().find(flag.instance()).content()).box()).isEqualTo(new Point(33, 44));
    }

    @Test
    void phasesAreSpreadEvenlyInTheirOrder() {
        Project p = piece();
        var flag = Motifs.make(p, "s", List.of("c"), "Flag", frame(p, 0));
        Project q = flag.project();
        for (int k = 0; k < 3; k++) {
            Project at = q;
            q = q.mapBoard("s", b -> Arrange.add(b, Motifs.instance(at, flag.motif(), Point.ZERO)));
        }
        Board b = q.scenes().getFirst().board();
        List<String> ids = Motifs.instances(b, x -> true).stream().map(Element::id).toList();
        Board spread = Motifs.spread(b, q, ids);
        assertThat(Motifs.instances(spread, x -> true)).extracting(e -> ((Content.Instance) e.content()).clock().phase())
                .containsExactly(0L, 250_000L, 500_000L, 750_000L);
    }

    @Test
    void inAListItStandsAtRestOrAQuarterOfTheWay() {
        var m = new Motif("m", "M", new Board(new Point(10, 10), Values.NONE, List.of(),
                List.of(new Timeline("in", "Main", 2_000_000, true, true, Map.of())), List.of()));
        assertThat(m.poster()).isEqualTo(500_000);
        assertThat(m.withStates(new States(Map.of(States.State.REST, 100_000L, States.State.OVER, 700_000L), 200_000)).poster()).isEqualTo(100_000);
    }

    @Test
    void movesThatNothingCouldStartWithinAMotifKeepItFromBeingMade() {
        Project p = piece().mapBoard("s", b -> b.mapTimeline("other", t -> t.withStarts(false)));
        assertThat(Motifs.hindrance(p, "s", List.of("group"))).isNull();
        assertThat(Motifs.hindrance(p, "s", List.of("group", "c"))).contains("“c” moves on Other, which does not start by itself");
        Project scrolls = piece().mapBoard("s", b -> b.mapTimeline("other", t -> t.withScroll(Scroll.over(600))));
        assertThat(Motifs.hindrance(scrolls, "s", List.of("c"))).contains("goes by scrolling");
        // what waits with Main is driven by the instance's clock
        Project waits = piece().mapBoard("s", b -> b.mapTimeline("main", t -> t.withStarts(false)));
        assertThat(Motifs.hindrance(waits, "s", List.of("group"))).isNull();
        Motifs.Made made = Motifs.make(waits, "s", List.of("group"), "Row", frame(waits, 0));
        assertThat(made.project().motif(made.motif()).board().main().starts()).isTrue();
    }

    /** A flipbook of three drawings, two frames each. */
    private static Element book(Flipbook.Ending ending) {
        var drawings = new ArrayList<Drawing>();
        for (int i = 0; i < 3; i++) {
            drawings.add(new Drawing(new Element("d" + i, "Drawing " + i, false, false, Values.NONE.with(Properties.POSITION, new Point(20, 20)),
                    new Content.Group(List.of(box("in" + i, 10 + 5 * i, 20)), new Point(40, 40))), 2 * i, 2));
        }
        return new Element("book", "Runner", false, false, Values.NONE.with(Properties.POSITION, new Point(80, 60)),
                new Flipbook(drawings, new Point(40, 40), 12, ending));
    }

    private static Project with(Element e, boolean loop) {
        var board = new Board(new Point(200, 120), Values.NONE, List.of(e), List.of(new Timeline("main", "Main", 5_000_000, loop, true, Map.of())),
                List.of());
        return new Project("p", "P", 12, List.of(new Scene("s", "Scene", board)), Map.of(), Map.of());
    }

    @Test
    void aLoopingFlipbookKeepsItsLengthAndItsLoop() {
        Project p = with(book(Flipbook.Ending.LOOP), false);
        Frame seen = Frames.of(p, p.scenes().getFirst().board(), MEASURE).at(0);
        Motifs.Made made = Motifs.make(p, "s", List.of("book"), "Runner", seen);
        Timeline main = made.project().motif(made.motif()).board().main();
        assertThat(main.duration()).isEqualTo(500_000);
        assertThat(main.loop()).isTrue();
        Element there = made.project().scenes().getFirst().board().find(made.instance());
        Element placed = Motifs.instance(made.project(), made.motif(), new Point(10, 10));
        assertThat(((Content.Instance) there.content()).clock().repeat()).isEqualTo(Clock.Repeat.LOOP);
        assertThat(((Content.Instance) placed.content()).clock().repeat()).as("from the shelf as by the command").isEqualTo(Clock.Repeat.LOOP);
        // the seam: every frame of ten rounds shows the drawing that the scene showed
        Flipbook book = (Flipbook) book(Flipbook.Ending.LOOP).content();
        for (int frame = 0; frame < 60; frame++) {
            long local = ((Content.Instance) there.content()).clock().local(book.timeOf(frame), main.duration());
            assertThat(book.indexAt(book.frameAt(local))).as("frame %d", frame).isEqualTo(book.indexAt(frame));
        }
    }

    @Test
    void whatDoesNotLoopIsAsLongAsItsSceneAndPlaysOnce() {
        Project p = with(book(Flipbook.Ending.HOLD), false);
        Motifs.Made made = Motifs.make(p, "s", List.of("book"), "Runner", Frames.of(p, p.scenes().getFirst().board(), MEASURE).at(0));
        assertThat(made.project().motif(made.motif()).board().main().duration()).isEqualTo(5_000_000);
        assertThat(((Content.Instance) Motifs.instance(made.project(), made.motif(), Point.ZERO).content()).clock().repeat())
                .isEqualTo(Clock.Repeat.ONCE);
        Project looped = with(book(Flipbook.Ending.HOLD), true);
        Motifs.Made again = Motifs.make(looped, "s", List.of("book"), "Runner", Frames.of(looped, looped.scenes().getFirst().board(), MEASURE).at(0));
        assertThat(((Content.Instance) Motifs.instance(again.project(), again.motif(), Point.ZERO).content()).clock().repeat()).as("as its Main says")
                .isEqualTo(Clock.Repeat.LOOP);
    }

    @Test
    void aMotifIsAsLargeAsItsWholeMove() {
        Project p = piece();
        Board before = p.scenes().getFirst().board();
        FrameBuilder builder = Frames.of(p, before, MEASURE);
        // from (150, 20) to (20, 90), 20 × 10 large, twice as large at the end of the other timeline
        Motifs.Made made = Motifs.make(p, "s", List.of("c"), "Kite", builder.at(0), t -> builder.at(Moment.main(before, t)));
        Point size = made.project().motif(made.motif()).board().size();
        assertThat(size.x()).isGreaterThanOrEqualTo(150);
        assertThat(size.y()).isGreaterThanOrEqualTo(80);
        for (long t = 0; t <= 1_000_000; t += 250_000) {
            assertThat(painted(frame(made.project(), t))).as("nothing moves, at %d", t).containsExactlyInAnyOrderElementsOf(painted(builder.at(t)));
        }
    }
}
