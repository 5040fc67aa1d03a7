package tundra.core.fit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;
import tundra.core.fit.Breaks.Break;
import tundra.core.fit.Breaks.Kind;
import tundra.core.fit.Breaks.Problem;
import tundra.core.frame.FakeMeasurer;
import tundra.core.geometry.Point;
import tundra.core.model.Board;
import tundra.core.model.Color;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Properties;
import tundra.core.model.Timeline;
import tundra.core.model.Values;
import tundra.core.work.Progress;

/** The widths at which things go wrong, against where they must by their ties; letters are half as wide as high. */
class BreaksTest {
    private static Element element(String id, Content c, double x, double y, Values more) {
        Values v = more.with(Properties.PIVOT, Point.ZERO).with(Properties.POSITION, new Point(x, y)).with(Properties.FILL, Color.BLACK);
        return new Element(id, id, false, false, v, c);
    }

    private static Element box(String id, double x, double y, double w, double h, Values more) {
        return element(id, new Content.Rectangle(), x, y, more.with(Properties.SIZE, new Point(w, h)));
    }

    private static Content.Text text(String words, double wrap) {
        return new Content.Text(words, "Figtree", 400, 20, Content.Align.LEFT, 1.2).withWrap(wrap);
    }

    private static List<Break> breaks(Set<String> tapped, Element... all) {
        Board b = new Board(new Point(1000, 600), Values.NONE, List.of(all), List.of(new Timeline(Timeline.MAIN, 1_000_000)), List.of());
        return Breaks.of(b, 200, 1600, tapped, new FakeMeasurer(), 0, Progress.NONE);
    }

    @Test
    void eachProblemIsFoundAtItsWidth() {
        Values both = Values.NONE.with(Properties.TIE_X, "both sides"), right = Values.NONE.with(Properties.TIE_X, "right");
        // the longest word is 110 px wide, in a wrap width of W − 200; from 100 on it ends at 210
        assertThat(breaks(Set.of(), element("t", text("The observatory opens", 800), 100, 10, both)))
                .containsExactly(new Break(309, new Problem(Kind.CUT, "t", null)), new Break(209, new Problem(Kind.OUTSIDE, "t", null)));
        // 80 px that go with the width
        assertThat(breaks(Set.of("b"), box("b", 0, 100, 80, 40, Values.NONE.with(Properties.WIDTH_IN, "%"))))
                .containsExactly(new Break(299, new Problem(Kind.SMALL, "b", null)));
        assertThat(breaks(Set.of(), box("b", 0, 100, 80, 40, Values.NONE.with(Properties.WIDTH_IN, "%")))).as("nobody taps it").isEmpty();
        // a text that ends at 200 and a button that begins at W − 100
        assertThat(breaks(Set.of("b"), element("t", text("Open night", 0), 100, 10, Values.NONE), box("b", 900, 10, 40, 40, right)))
                .containsExactly(new Break(299, new Problem(Kind.OVERLAP, "b", "t")));
        assertThat(breaks(Set.of(), box("r", 500, 100, 200, 40, Values.NONE))).containsExactly(new Break(699, new Problem(Kind.OUTSIDE, "r", null)));
        // towards the wide side: the right one keeps its distance from the middle, the left one goes with the width
        assertThat(breaks(Set.of("a", "b"), box("a", 200, 10, 100, 40, Values.NONE.with(Properties.WIDTH_IN, "%").with(Properties.LEFT_IN, "%")),
                box("b", 340, 10, 50, 40, Values.NONE)))
                .contains(new Break(1136, new Problem(Kind.OVERLAP, "b", "a")));
    }

    @Test
    void theNearestIsFirstAndWhatIsMeantSoIsNoProblem() {
        Element big = box("big", -50, -50, 1100, 700, Values.NONE), over = box("over", 10, 10, 60, 60, Values.NONE),
                under = element("under", text("Words", 0), 20, 20, Values.NONE);
        assertThat(breaks(Set.of("over"), big, over, under)).as("as it is drawn").isEmpty();
        List<Break> two = breaks(Set.of(), box("r", 500, 100, 200, 40, Values.NONE), box("s", 300, 200, 600, 40, Values.NONE));
        assertThat(two).extracting(Break::width).containsExactly(899, 699);
        Board b = new Board(new Point(1000, 600), Values.NONE, List.of(box("r", 500, 100, 200, 40, Values.NONE),
                box("s", 0, 0, 10, 10, Values.NONE)), List.of(new Timeline(Timeline.MAIN, 1_000_000)), List.of());
        assertThat(Breaks.words(b, new Problem(Kind.OVERLAP, "r", "s"))).isEqualTo("“r” overlaps “s”");
        assertThat(Breaks.words(b, new Problem(Kind.OUTSIDE, "r", null))).isEqualTo("“r” leaves the canvas");
    }

    @Test
    void equalPartsShareTheWidthAtEveryWidth() {
        Board b = new Board(new Point(1000, 600), Values.NONE, List.of(box("c", 420, 0, 200, 50, Values.NONE),
                box("a", 100, 0, 100, 50, Values.NONE), box("b", 250, 0, 150, 50, Values.NONE),
                box("d", 700, 0, 200, 50, Values.NONE)), List.of(new Timeline(Timeline.MAIN, 1_000_000)), List.of());
        List<String> ids = List.of("a", "b", "c", "d");
        assertThat(Shares.can(b, ids)).isTrue();
        assertThat(Shares.can(b, List.of("a"))).isFalse();
        Board shared = Shares.across(b, ids);
        for (double w : new double[] {1000, 360, 1420}) {
            Board now = Fit.at(shared, new Point(w, 600));
            double k = w / 1000, gap = 150.0 / 3, width = (800 - 150) / 4.0;
            for (int i = 0; i < 4; i++) {
                Values v = now.find(ids.get(i)).rest();
                assertThat(v.get(Properties.POSITION).x()).isCloseTo(k * (100 + i * (width + gap)), within(1e-9));
                assertThat(v.get(Properties.SIZE).x()).isCloseTo(k * width, within(1e-9));
                assertThat(v.get(Properties.SIZE).y()).isEqualTo(50);
            }
        }
        assertThat(Shares.across(b, List.of("a", "nobody"))).isSameAs(b);
    }
}
