package tundra.render;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Map;
import java.util.concurrent.CancellationException;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import tundra.core.geometry.Point;
import tundra.core.geometry.Rect;
import tundra.core.model.Board;
import tundra.core.model.Color;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Gradient;
import tundra.core.model.Motif;
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.core.model.Timeline;
import tundra.core.model.Values;
import tundra.core.motion.Easing;
import tundra.core.motion.Key;
import tundra.core.motion.Track;
import tundra.core.series.Series;
import tundra.core.work.Progress;

/** How small the pictures of a motif may be, and which of them are painted. */
class SkiaSeriesTest {
    private static final Gradient SOFT = Gradient.radial(List.of(new Gradient.Stop(0, Color.parse("#FFFFFFC0")),
            new Gradient.Stop(1, Color.parse("#FFFFFF00"))));

    private static Element disc(String id, double x, double y, double size) {
        return new Element(id, id, false, false, Values.NONE.with(Properties.POSITION, new Point(x, y)).with(Properties.SIZE, new Point(size, size))
                .with(Properties.FILL, Color.parse("#204060")), new Content.Ellipse());
    }

    private static Motif motif(Timeline t, Element... elements) {
        return new Motif("m", "M", new Board(new Point(400, 400), Values.NONE, List.of(elements), List.of(t), List.of()));
    }

    private static Timeline second() {
        return new Timeline("main", Timeline.MAIN, 1_000_000, true, true, Map.of());
    }

    private static Series series(Motif m) {
        Project p = Project.empty("P", new Point(400, 400), 10).withMotifs(List.of(m));
        return new SkiaSeries().paint(p, m);
    }

    @Test
    void whatIsSoftNeedsFewPixelsAndWhatIsCrispAllOfThem() {
        Series soft = series(motif(second(), disc("a", 200, 200, 400).with(Properties.FILL, SOFT)));
        assertThat(soft.scale()).isLessThanOrEqualTo(0.125);
        assertThat(soft.decibels()).isGreaterThanOrEqualTo(SkiaSeries.ALIKE);
        Element[] lines = IntStream.range(0, 100).mapToObj(i -> new Element("l" + i, "l", false, false,
                Values.NONE.with(Properties.POSITION, new Point(200, 2 + 4 * i)).with(Properties.SIZE, new Point(400, 1))
                .with(Properties.FILL, Color.parse("#000000")), new Content.Rectangle())).toArray(Element[]::new);
        Series crisp = series(motif(second(), lines));
        assertThat(crisp.scale()).isEqualTo(1);
        assertThat(crisp.pictures().getFirst().width()).isEqualTo(400);
    }

    @Test
    void whatStandsIsOnePictureAndWhatMovesIsAsManyAsItHasLooks() {
        Series still = series(motif(second(), disc("a", 200, 200, 100)));
        assertThat(still.pictures()).hasSize(1);
        assertThat(still.shows()).containsOnly(0).hasSize(10);
        var there = new Track<>(List.of(new Key<>(0L, new Point(200, 200), Easing.HOLD), new Key<>(500_000L, new Point(100, 200), Easing.HOLD)));
        Series two = series(motif(second().with("a", Properties.POSITION, there), disc("a", 200, 200, 100)));
        assertThat(two.shows()).containsExactly(0, 0, 0, 0, 0, 1, 1, 1, 1, 1);
        // both places of the disc, also what lies outside of the motif's canvas
        assertThat(two.area()).isEqualTo(new Rect(50, 150, 200, 100));
        assertThat(series(motif(second(), disc("a", 0, 0, 100))).area()).isEqualTo(new Rect(-50, -50, 100, 100));
    }

    @Test
    void itCanBeGivenUp() {
        Motif m = motif(second(), disc("a", 200, 200, 90));
        Project p = Project.empty("P", new Point(400, 400), 10).withMotifs(List.of(m));
        assertThatThrownBy(() -> new SkiaSeries(Progress.of(x -> { }, () -> true)).paint(p, m)).isInstanceOf(CancellationException.class);
        assertThat(SkiaSeries.known(p, m)).isNull();
        new SkiaSeries().paint(p, m);
        assertThat(SkiaSeries.known(p, m)).isNotNull();
        assertThat(SkiaSeries.known(p, m.withBoard(m.board().withElements(List.of())))).isNull();
    }
}
