package tundra.core.frame;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;
import tundra.core.geometry.Node;
import tundra.core.geometry.Outline;
import tundra.core.geometry.Point;
import tundra.core.geometry.Rect;
import tundra.core.model.Color;
import tundra.core.model.ColorSpaces;
import tundra.core.model.Content;
import tundra.core.model.Gradient;
import tundra.core.model.Properties;
import tundra.core.model.ValueType;
import tundra.core.model.Values;

/** Strokes, gradients, colours and broken lines as numbers. */
class PaintMarksTest {
    private static final Form LINE = new Form.Curve(Outline.of(false, Node.corner(0, 0), Node.corner(100, 0)));

    private static Values stroke() {
        return Values.NONE.with(Properties.STROKE, Color.BLACK).with(Properties.STROKE_WIDTH, 4.0);
    }

    @Test
    void aStrokeRunsThroughInDashesOrInPart() {
        assertThat(StrokeStyle.runs(LINE, stroke()).getFirst().style().pattern()).isEmpty();
        var dashed = StrokeStyle.runs(LINE, stroke().with(Properties.DASH, 10.0).with(Properties.GAP, 5.0).with(Properties.DASH_OFFSET, 3.0))
                .getFirst().style();
        assertThat(dashed.pattern()).containsExactly(10.0, 5.0);
        assertThat(dashed.offset()).isEqualTo(3);
        var part = StrokeStyle.runs(LINE, stroke().with(Properties.REVEAL, new Point(0.25, 0.75))).getFirst().style();
        assertThat(part.pattern().getFirst()).isCloseTo(50, within(1e-6));
        assertThat(part.offset()).isCloseTo(-25, within(1e-6));
        assertThat(StrokeStyle.runs(LINE, stroke().with(Properties.REVEAL, new Point(0.5, 0.5)))).isEmpty();
        // dashes of 10 with gaps of 10 between 15 and 55: 20–30, 40–50
        var both = StrokeStyle.runs(LINE, stroke().with(Properties.DASH, 10.0).with(Properties.GAP, 10.0)
                .with(Properties.REVEAL, new Point(0.15, 0.55))).getFirst().style();
        assertThat(both.pattern().stream().map(d -> Math.round(d * 1e6) / 1e6)).containsExactly(10.0, 10.0, 10.0, 101.0);
        assertThat(both.offset()).as("no dash of no length at the start, which round ends would show as a dot").isCloseTo(-20, within(1e-6));
    }

    @Test
    void eachContourIsRevealedByItsOwnLength() {
        var two = new Form.Curve(new Outline(List.of(Outline.of(false, Node.corner(0, 0), Node.corner(100, 0)).contours().getFirst(),
                Outline.of(false, Node.corner(0, 9), Node.corner(40, 9)).contours().getFirst())));
        var runs = StrokeStyle.runs(two, stroke().with(Properties.REVEAL, new Point(0, 0.5)));
        assertThat(runs).hasSize(2);
        assertThat(runs.get(0).style().pattern().getFirst()).isCloseTo(50, within(1e-6));
        assertThat(runs.get(1).style().pattern().getFirst()).isCloseTo(20, within(1e-6));
    }

    @Test
    void aGradientGoesWithItsBox() {
        var g = Gradient.linear(List.of(new Gradient.Stop(1, Color.WHITE), new Gradient.Stop(0, Color.BLACK)));
        assertThat(g.stops().getFirst().color()).as("by rising offset").isEqualTo(Color.BLACK);
        assertThat(g.at(0.5)).isEqualTo(new Color(128, 128, 128, 255));
        assertThat(g.toBox(new Point(200, 50)).apply(new Point(0.25, 0))).isEqualTo(new Point(50, 25));
        // the end turned a quarter down: in a box of 200 by 100 the other axis turns and shrinks along
        var down = g.withEnd(new Point(0, 1.5), new Point(200, 100));
        assertThat(down.toBox(new Point(200, 100)).apply(new Point(1, 0)).distance(new Point(0, 150))).isLessThan(1e-9);
        var m = down.toBox(new Point(200, 100));
        assertThat(m.a() * m.c() + m.b() * m.d()).as("still at a right angle").isCloseTo(0, within(1e-6));
        assertThat(g.withStopAt(0.5).stops()).hasSize(3);
        assertThat(Gradient.radial(g.stops()).withFocus(new Point(3, 0)).focus().length()).isLessThan(1);
    }

    @Test
    void coloursAndGradientsBlendAndWhatCannotHolds() {
        assertThat(ValueType.PAINT.lerp(Color.BLACK, Color.WHITE, 0.5)).isEqualTo(new Color(128, 128, 128, 255));
        var g = Gradient.linear(List.of(new Gradient.Stop(0, Color.WHITE), new Gradient.Stop(1, Color.BLACK)));
        // a colour blends as a gradient of nothing else
        var half = (Gradient) ValueType.PAINT.lerp(Color.BLACK, g, 0.5);
        assertThat(half.stops()).containsExactly(new Gradient.Stop(0, new Color(128, 128, 128, 255)), new Gradient.Stop(1, Color.BLACK));
        assertThat(half.end()).isEqualTo(g.end());
        // geometry and places of stops go number by number
        var moved = g.withEnd(new Point(0, 1), new Point(1, 1))
                .withStops(List.of(new Gradient.Stop(0.5, Color.WHITE), new Gradient.Stop(1, Color.BLACK)));
        var between = (Gradient) ValueType.PAINT.lerp(g, moved, 0.25);
        assertThat(between.stops().getFirst().at()).isCloseTo(0.125, within(1e-12));
        assertThat(between.end().distance(g.end().lerp(moved.end(), 0.25))).isLessThan(1e-12);
        // where one has more stops, the other gets them without a change: three quarters along white to black is a quarter grey
        var three = g.withStops(List.of(new Gradient.Stop(0, Color.WHITE), new Gradient.Stop(0.75, Color.WHITE), new Gradient.Stop(1, Color.BLACK)));
        var cut = (Gradient) ValueType.PAINT.lerp(g, three, 1e-9);
        assertThat(cut.stops()).hasSize(3);
        assertThat(cut.stops().get(1).color()).isEqualTo(new Color(64, 64, 64, 255));
        assertThat(ValueType.PAINT.lerp(g, Gradient.radial(g.stops()), 0.99)).as("the kinds can't blend").isEqualTo(g);
        assertThat(ValueType.PAINT.lerp(g, Gradient.radial(g.stops()), 1)).isEqualTo(Gradient.radial(g.stops()));
    }

    @Test
    void coloursInOtherCoordinates() {
        // CSS Color 4's own examples of hsl()
        assertThat(ColorSpaces.ofHsl(120, 1, 0.25, 255)).isEqualTo(new Color(0, 128, 0, 255));
        assertThat(ColorSpaces.ofHsl(120, 0.75, 0.75, 255)).isEqualTo(new Color(143, 239, 143, 255));
        for (String hex : List.of("#1C6A5E", "#DB7A22", "#000000", "#FFFFFF", "#808080", "#FF00FF")) {
            Color c = Color.parse(hex);
            double[] hsl = ColorSpaces.hsl(c), hsv = ColorSpaces.hsv(c);
            assertThat(ColorSpaces.ofHsl(hsl[0], hsl[1], hsl[2], 255)).isEqualTo(c);
            assertThat(ColorSpaces.ofHsv(hsv[0], hsv[1], hsv[2], 255)).isEqualTo(c);
        }
    }

    @Test
    void linesBreakAtSpacesAndLongWordsStayWhole() {
        // each letter of the fake font is as wide as the size times its own factor
        var measure = new FakeMeasurer();
        double one = measure.width("F", 400, 10, "a", true);
        var t = new Content.Text("aa bb cc\ndddddddd e", "F", 400, 10, Content.Align.LEFT, 1.2).withWrap(one * 5.5);
        TextLayout l = TextLayout.of(t, measure);
        assertThat(l.lines().stream().map(TextLayout.Line::text)).containsExactly("aa bb", "cc", "dddddddd", "e");
        assertThat(l.box().x()).isCloseTo(one * 8, within(1e-9));
        var apart = TextLayout.of(t.withWrap(0).withText("abc").withSpacing(4), measure);
        assertThat(apart.box().x()).as("no distance after the last letter").isCloseTo(3 * one + 8, within(1e-9));
        var places = new CaretPlaces(t, measure);
        assertThat(places.caret(3).x()).isCloseTo(3 * one, within(1e-9));
        assertThat(places.caret(6).y()).as("after the break").isCloseTo(12, within(1e-9));
        assertThat(places.index(new Point(one * 1.1, 13))).isEqualTo(7);
        assertThat(places.selection(3, 8)).hasSize(2);
        assertThat(places.vertical(1, true)).isEqualTo(7);
        assertThat(places.lineEnd(1, true)).isEqualTo(5);
    }

    @Test
    void aStarStandsInItsBox() {
        Rect b = Outline.star(new Point(100, 60), 4, 1).bounds();
        assertThat(b.topLeft().length() + b.bottomRight().distance(new Point(100, 60))).isLessThan(1e-9);
        assertThat(Outline.star(new Point(100, 100), 5, 0.5).contours().getFirst().nodes()).hasSize(10);
        assertThat(new Content.Polygon(1, Double.NaN)).isEqualTo(new Content.Polygon(3, 1));
    }
}
