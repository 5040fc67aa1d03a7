package tundra.core.edit;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.zip.ZipFile;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tundra.core.file.ProjectFile;
import tundra.core.geometry.Point;
import tundra.core.model.Board;
import tundra.core.model.Clock;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Motif;
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.core.model.Scatter.Channel;
import tundra.core.model.Scatter.Range;
import tundra.core.model.Scatter;
import tundra.core.model.Scene;
import tundra.core.model.Timeline;
import tundra.core.model.Values;
import tundra.core.motion.Easing;
import tundra.core.motion.Key;
import tundra.core.motion.Track;

/** Scatters: even over their ranges, rolled a channel at a time, thinned and filled up, without losing what was moved by hand. */
class ScatteringTest {
    private static Project piece() {
        var spot = new Motif("spot", "Spot", new Board(new Point(10, 10), Values.NONE, List.of(),
                List.of(new Timeline("in", "Main", 2_000_000, true, true, Map.of())), List.of()));
        var e = new Element("one", "Spot", false, false, Values.NONE.with(Properties.POSITION, new Point(5, 5)),
                new Content.Instance("spot", new Point(10, 10), Clock.OWN));
        var board = new Board(new Point(400, 300), Values.NONE, List.of(e), List.of(new Timeline("main", "Main", 2_000_000, false, true, Map.of())),
                List.of());
        return new Project("p", "P", 24, List.of(new Scene("s", "S", board)), Map.of(), Map.of()).withMotifs(List.of(spot));
    }

    private final Project p = piece();
    private final Scattering.Made made = Scattering.make(p, p.scenes().getFirst().board(), List.of("one"), 140, new Point(200, 150),
            new Point(400, 300), 7);

    private static Content.Group group(Board b, String id) {
        return (Content.Group) b.find(id).content();
    }

    @Test
    void theyFillTheirRangesEvenly() {
        Content.Group g = group(made.board(), made.scatter());
        assertThat(g.children()).hasSize(140);
        double mean = g.children().stream().mapToDouble(e -> e.rest().get(Properties.POSITION).x()).average().orElseThrow();
        // the mean of 140 even draws from 0 to 400 lies within 4 standard errors of 200 (400 / √12 / √140 = 9.8)
        assertThat(mean).isBetween(160.0, 240.0);
        assertThat(g.children()).allSatisfy(e -> {
            assertThat(e.rest().get(Properties.POSITION).x()).isBetween(0.0, 400.0);
            assertThat(e.rest().get(Properties.SCALE).x()).isBetween(0.6, 1.1);
            assertThat(((Content.Instance) e.content()).clock().phase()).isBetween(0L, 2_000_000L);
        });
        assertThat(g.children().stream().map(Element::id).distinct().count()).isEqualTo(140);
    }

    @Test
    void onlyTheChannelThatIsRolledChanges() {
        Scatter was = group(made.board(), made.scatter()).scatter();
        Board b = Scattering.change(p, made.board(), made.scatter(), was.with(Channel.X, was.range(Channel.X).withSeed(99)));
        List<Element> before = group(made.board(), made.scatter()).children(), now = group(b, made.scatter()).children();
        for (int i = 0; i < 140; i++) {
            assertThat(now.get(i).rest().get(Properties.POSITION).y()).isEqualTo(before.get(i).rest().get(Properties.POSITION).y());
            assertThat(now.get(i).rest().get(Properties.SCALE)).isEqualTo(before.get(i).rest().get(Properties.SCALE));
        }
        assertThat(now.get(3).rest().get(Properties.POSITION).x()).isNotEqualTo(before.get(3).rest().get(Properties.POSITION).x());
        Board back = Scattering.change(p, b, made.scatter(), was);
        assertThat(group(back, made.scatter())).as("the same seed gives the same places").isEqualTo(group(made.board(), made.scatter()));
    }

    @Test
    void whatWasMovedByHandStaysUntilItIsToldOtherwise() {
        String one = group(made.board(), made.scatter()).children().get(5).id();
        Board moved = made.board().withRest(one, v -> v.with(Properties.POSITION, new Point(1, 2)));
        Scatter was = group(moved, made.scatter()).scatter();
        Board rolled = Scattering.change(p, moved, made.scatter(), was.with(Channel.X, was.range(Channel.X).withSeed(5))
                .with(Channel.Y, new Range(0, 50, 3)).withCount(200));
        assertThat(rolled.find(one).rest().get(Properties.POSITION)).isEqualTo(new Point(1, 2));
        assertThat(group(rolled, made.scatter()).children()).hasSize(200);
        Board thin = Scattering.change(p, rolled, made.scatter(), group(rolled, made.scatter()).scatter().withCount(6));
        assertThat(group(thin, made.scatter()).children()).hasSize(6);
        assertThat(thin.find(one)).isNotNull();
        assertThat(Scattering.reset(p, thin, made.scatter()).find(one).rest().get(Properties.POSITION)).isNotEqualTo(new Point(1, 2));
    }

    @Test
    void aFileKeepsTheNumbers() throws Exception {
        Project q = p.mapBoard("s", b -> made.board());
        assertThat(ProjectFile.read(ProjectFile.bytes(q))).isEqualTo(q);
        assertThat(group(Scattering.settle(made.board(), made.scatter()), made.scatter()).scatter()).isNull();
    }

    @Test
    void aMotifsFileHasAPictureOfIt(@TempDir Path folder) throws Exception {
        Project alone = MotifParts.alone(p, "spot", a -> "");
        Path file = folder.resolve("Spot.tundra-motif");
        ProjectFile.write(alone, new byte[] {1, 2, 3}, file);
        try (var zip = new ZipFile(file.toFile())) {
            assertThat(zip.getInputStream(zip.getEntry("thumbnail.png")).readAllBytes()).containsExactly(1, 2, 3);
        }
        assertThat(ProjectFile.read(file)).isEqualTo(alone);
    }

    @Test
    void aMotifTravelsWithWhatItUses() throws Exception {
        Project alone = ProjectFile.read(ProjectFile.bytes(MotifParts.alone(p, "spot", a -> "")));
        Project other = Project.empty("Other", new Point(100, 100), 24);
        Project brought = MotifParts.bring(other, alone, false);
        assertThat(brought.motifs()).extracting(Motif::name).containsExactly("Spot");
        Project changed = alone.mapBoard("spot", b -> b.withSize(new Point(20, 20)));
        Project used = brought.mapBoard(brought.scenes().getFirst().id(), b -> Arrange.add(b, Motifs.instance(brought, "spot", Point.ZERO)));
        assertThat(MotifParts.older(used, changed)).extracting(Motif::name).containsExactly("Spot");
        Project kept = MotifParts.bring(used, changed, false);
        assertThat(kept.motif("spot").board().size()).isEqualTo(new Point(10, 10));
        Project replaced = MotifParts.bring(used, changed, true);
        Element e = replaced.scenes().getFirst().board().elements().getFirst();
        assertThat(((Content.Instance) e.content()).box()).as("placed ones follow").isEqualTo(new Point(20, 20));
    }

    @Test
    void keysGoAlongWithWhatIsRolled() {
        Scatter was = group(made.board(), made.scatter()).scatter();
        String third = group(made.board(), made.scatter()).children().get(2).id();
        Point rest = made.board().find(third).rest().get(Properties.POSITION);
        var track = new Track<>(List.of(new Key<>(0, rest.plus(new Point(3, -4)), Easing.LINEAR), new Key<>(1_000_000, rest.plus(new Point(10, 0)),
                Easing.LINEAR)));
        Board moving = made.board().mapTimeline("main", t -> t.with(third, Properties.POSITION, track));
        Board b = Scattering.change(p, moving, made.scatter(), was.with(Channel.X, was.range(Channel.X).withSeed(99)));
        Point now = b.find(third).rest().get(Properties.POSITION);
        assertThat(now.x()).isNotEqualTo(rest.x());
        var keys = b.main().track(third, Properties.POSITION).keys();
        assertThat(keys.get(0).value().distance(now.plus(new Point(3, -4)))).isLessThan(1e-9);
        assertThat(keys.get(1).value().distance(now.plus(new Point(10, 0)))).isLessThan(1e-9);
    }

    @Test
    void rollingNeverMakesTwoChannelsAlike() {
        var ranges = new ArrayList<Scatter.Range>();
        for (int i = 0; i < Scatter.Channel.values().length; i++) {
            ranges.add(new Scatter.Range(0, 1, 40 + i));
        }
        var seen = new HashSet<Long>();
        for (int n = 0; n < 300; n++) {
            for (var c : Scatter.Channel.values()) {
                assertThat(seen.add(ranges.get(c.ordinal()).seed())).as("seed %d of %s", ranges.get(c.ordinal()).seed(), c).isTrue();
                ranges.set(c.ordinal(), ranges.get(c.ordinal()).rolled(c));
            }
        }
    }
}
