package tundra.core.series;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import tundra.core.edit.Motifs;
import tundra.core.file.ProjectFile;
import tundra.core.geometry.Point;
import tundra.core.geometry.Rect;
import tundra.core.model.Actions;
import tundra.core.model.Asset;
import tundra.core.model.Board;
import tundra.core.model.Clock;
import tundra.core.model.Content;
import tundra.core.model.Drawing;
import tundra.core.model.Element;
import tundra.core.model.Events;
import tundra.core.model.Flipbook;
import tundra.core.model.Motif;
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.core.model.Reaction;
import tundra.core.model.Timeline;
import tundra.core.model.Values;
import tundra.core.motion.Easing;
import tundra.core.motion.Key;
import tundra.core.motion.Track;

class MotifSeriesTest {
    private static final Point BOX = new Point(40, 20);
    private static final Asset A = Asset.picture("a.png", "image/png", 10, 5, new byte[] {1}), B = Asset.picture("b.png", "image/png", 10, 5,
            new byte[] {2});

    private static Element dot(String id) {
        return new Element(id, id, false, false, Values.NONE.with(Properties.SIZE, new Point(30, 10)), new Content.Rectangle());
    }

    /** A dot that fades, of 100 × 50 px, within a second. */
    private static Motif motif(String id, Element... more) {
        Element dot = dot(id + "-dot").with(Properties.SIZE, new Point(100, 50));
        var elements = new ArrayList<Element>(List.of(more));
        elements.add(dot);
        Timeline t = new Timeline(id + "-main", Timeline.MAIN, 1_000_000, true, true, Map.of())
                .with(dot.id(), Properties.OPACITY, new Track<>(List.of(new Key<>(0, 0.0, Easing.LINEAR), new Key<>(500_000, 1.0, Easing.LINEAR))));
        return new Motif(id, "Motif " + id, new Board(BOX, Values.NONE, elements, List.of(t), List.of()));
    }

    private static Element instance(String id, String of, Clock c) {
        return new Element(id, id, false, false, Values.NONE, new Content.Instance(of, BOX, c));
    }

    private static Project piece(List<Motif> motifs, Element... elements) {
        Project p = Project.empty("P", new Point(100, 100), 4).withMotifs(motifs);
        return p.mapBoard(p.scenes().getFirst().id(), b -> b.withElements(List.of(elements)));
    }

    private static Series two(Project p, Motif m) {
        return new Series(List.of(A, B), List.of(0, 0, 1, 1), new Rect(-10, -5, 60, 30), 0.25, 45);
    }

    @Test
    void aFlipbookOfItsPicturesTakesItsPlace() {
        Motif soft = motif("soft").withPictures(true), live = motif("live");
        Project p = piece(List.of(soft, live), instance("one", "soft", Clock.OWN), instance("two", "live", Clock.OWN));
        Project out = MotifSeries.published(p, MotifSeriesTest::two);
        assertThat(out.scenes()).isEqualTo(p.scenes());
        assertThat(out.motif("live")).isEqualTo(live);
        Board b = out.motif("soft").board();
        assertThat(b.size()).isEqualTo(BOX);
        assertThat(b.main().duration()).isEqualTo(1_000_000);
        Element e = b.elements().getFirst();
        // the area's middle, 30 and 15 px from its corner
        assertThat(e.rest().get(Properties.POSITION)).isEqualTo(new Point(20, 10));
        var f = (Flipbook) e.content();
        assertThat(f.rate()).isEqualTo(4);
        assertThat(f.drawings()).extracting(Drawing::start).containsExactly(0, 2);
        assertThat(f.drawings()).extracting(Drawing::frames).containsExactly(2, 2);
        assertThat(((Content.Picture) f.drawings().getLast().art().children().getFirst().content()).asset()).isEqualTo(B.hash());
        assertThat(out.assets()).containsKeys(A.hash(), B.hash());
    }

    @Test
    void whatLiesOnlyInsideOfPicturesIsNotPainted() {
        Motif inner = motif("inner").withPictures(true), outer = motif("outer", instance("in", "inner", Clock.OWN)).withPictures(true);
        var painted = new ArrayList<String>();
        SeriesPainter painter = (p, m) -> {
            painted.add(m.id());
            return two(p, m);
        };
        MotifSeries.published(piece(List.of(inner, outer), instance("one", "outer", Clock.OWN)), painter);
        assertThat(painted).containsExactly("outer");
        MotifSeries.published(piece(List.of(inner, outer), instance("one", "outer", Clock.OWN), instance("two", "inner", Clock.OWN)), painter);
        assertThat(painted).containsExactly("outer", "inner", "outer");
    }

    @Test
    void itSaysWhatHinders() {
        Motif quick = motif("quick");
        assertThat(MotifSeries.hindrance(piece(List.of(quick)), quick)).isNull();
        Motif turned = motif("t", instance("x", "quick", Clock.OWN.withSpeed(0.5))),
                whole = motif("w", instance("x", "quick", Clock.OWN.withSpeed(2)));
        Project p = piece(List.of(quick, turned, whole));
        assertThat(MotifSeries.hindrance(p, turned)).as("half a turn when it begins anew").contains("“x”").contains("its own clock");
        assertThat(MotifSeries.hindrance(p, whole)).isNull();
        Motif two = quick.withBoard(quick.board()
                .withTimelines(List.of(quick.board().main(), new Timeline("b", "Open", 1000, false, false, Map.of()))));
        assertThat(MotifSeries.hindrance(p, two)).contains("timelines besides Main");
        Motif longer = quick.withBoard(quick.board().mapTimeline("quick-main", t -> t.withDuration(151_000_000)));
        assertThat(MotifSeries.hindrance(p, longer)).contains("604 pictures");
        Project played = p.mapBoard("w",
                b -> b.withReactions(List.of(new Reaction("r", Events.of(Events.ENDED, "x"), List.of(Actions.of(Actions.BACK))))));
        assertThat(MotifSeries.hindrance(played, quick)).contains("“x”").contains("wait for it");
        assertThat(MotifSeries.hindrance(p.mapBoard("w",
                b -> b.withReactions(List.of(new Reaction("r", Events.tapped("x"), List.of(Actions.of(Actions.HIDE, List.of("x"))))))), quick))
                .as("tapped and hidden as anything").isNull();
    }

    @Test
    void layersAreCountedThroughMotifsWithTheirScale() {
        Motif inner = motif("inner");
        Motif outer = motif("outer", instance("in", "inner", Clock.OWN).with(Properties.SCALE, new Point(2, 2)), instance("in2", "inner", Clock.OWN));
        Project p = piece(List.of(inner, outer));
        // 100 × 50 px of 4 bytes: its own and two inside, one of them at twice the size
        assertThat(LiveCost.of(p, inner)).isEqualTo(new LiveCost(1, 20_000));
        assertThat(LiveCost.of(p, outer)).isEqualTo(new LiveCost(3, 20_000 + 80_000 + 20_000));
        assertThat(LiveCost.of(p, outer).heavy()).isFalse();
        Motif large = motif("large", instance("in", "inner", Clock.OWN).with(Properties.SCALE, new Point(60, 60)));
        Project heavy = piece(List.of(inner, large), instance("one", "large", Clock.OWN));
        assertThat(LiveCost.of(heavy, large).heavy()).as("60² × 20 KB").isTrue();
    }

    @Test
    void theChoiceIsKeptInTheFile() throws Exception {
        Project p = piece(List.of(motif("soft").withPictures(true), motif("live")), instance("one", "soft", Clock.OWN));
        Project back = ProjectFile.read(ProjectFile.bytes(p));
        assertThat(back.motifs()).extracting(Motif::pictures).containsExactly(true, false);
        assertThat(Motifs.duplicate(p, "soft").project().motifs()).extracting(Motif::pictures).contains(true, true);
    }
}
