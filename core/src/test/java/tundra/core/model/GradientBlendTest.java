package tundra.core.model;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import tundra.core.geometry.Point;

/** Paints between two keys. */
class GradientBlendTest {
    private static final Color RED = Color.parse("#FF0000"), BLUE = Color.parse("#0000FF"), CLEAR = new Color(0, 0, 0, 0);

    private static Gradient linear(Object... placesAndColors) {
        var stops = new ArrayList<Gradient.Stop>();
        for (int i = 0; i < placesAndColors.length; i += 2) {
            stops.add(new Gradient.Stop(((Number) placesAndColors[i]).doubleValue(), (Color) placesAndColors[i + 1]));
        }
        return Gradient.linear(stops);
    }

    @Test
    void colorsPlacesAndGeometryGoHalfWayAtHalfTime() {
        Gradient a = linear(0, RED, 0.5, BLUE), b = linear(0.2, BLUE, 1, RED).placed(new Point(0, 0), new Point(1, 1), new Point(-1, 1));
        var half = (Gradient) GradientBlend.at(a, b, 0.5);
        assertThat(half.stops()).extracting(Gradient.Stop::at).usingElementComparator((x, y) -> Math.abs(x - y) < 1e-12 ? 0 : 1)
                .containsExactly(0.1, 0.75);
        assertThat(half.stops()).extracting(Gradient.Stop::color).allMatch(c -> c.green() == 0 && Math.abs(c.red() - 127.5) <= 0.5
                && Math.abs(c.blue() - 127.5) <= 0.5);
        assertThat(half.start()).isEqualTo(new Point(0, 0.25));
        assertThat(half.end()).isEqualTo(new Point(1, 0.75));
    }

    @Test
    void bothEndsAreTheKeysThemselves() {
        Gradient a = linear(0, RED, 1, BLUE), b = linear(0, BLUE, 0.3, RED, 1, BLUE);
        assertThat(GradientBlend.at(a, b, 0)).isEqualTo(a);
        Gradient end = (Gradient) GradientBlend.at(a, b, 1);
        // the stop that the first one lacked stands there too, without being seen
        assertThat(end.stops()).extracting(Gradient.Stop::color).containsExactly(BLUE, RED, BLUE);
    }

    @Test
    void aMissingStopTakesTheColourThatIsSeenThere() {
        Gradient two = linear(0, RED, 1, BLUE), three = linear(0, RED, 0.25, RED, 1, BLUE);
        GradientBlend.Pair pair = GradientBlend.pair(two, three);
        assertThat(pair.from().stops()).hasSize(3);
        Color quarter = pair.from().stops().get(1).color();
        assertThat(quarter.red()).isCloseTo(191, within(1));
        assertThat(quarter.blue()).isCloseTo(64, within(1));
    }

    @Test
    void aColourBlendsAsAGradientOfItself() {
        Gradient g = linear(0, RED, 1, CLEAR);
        var half = (Gradient) GradientBlend.at(BLUE, g, 0.5);
        assertThat(half.stops().getFirst().color().red()).isCloseTo(128, within(1));
        assertThat(half.stops().getLast().color().alpha()).as("straight alpha").isCloseTo(128, within(1));
        assertThat(half.stops().getLast().color().blue()).isCloseTo(128, within(1));
    }

    @Test
    void kindsAndSpreadsThatDifferHoldUntilTheEnd() {
        Gradient line = linear(0, RED, 1, BLUE), round = Gradient.radial(List.of(new Gradient.Stop(0, RED), new Gradient.Stop(1, BLUE)));
        assertThat(GradientBlend.pair(line, round)).isNull();
        assertThat(GradientBlend.at(line, round, 0.99)).isEqualTo(line);
        assertThat(GradientBlend.at(line, round, 1)).isEqualTo(round);
        assertThat(GradientBlend.pair(line, line.withSpread(Gradient.Spread.REPEAT))).isNull();
        assertThat(GradientBlend.pair(RED, BLUE)).as("two colours are no gradients").isNull();
    }

    @Test
    void anOvershootKeepsStopsInTheirOrderAndInTheBox() {
        Gradient a = linear(0, RED, 0.2, BLUE), b = linear(0.7, RED, 0.8, BLUE);
        var over = (Gradient) GradientBlend.at(a, b, 1.5);
        assertThat(over.stops()).extracting(Gradient.Stop::at).isSorted().allMatch(x -> x >= 0 && x <= 1);
    }
}
