package tundra.core.model;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import tundra.core.geometry.Point;

class ModelTest {
    @Test
    void coloursReadAndWrite() {
        assertThat(Color.parse("#1C6A5E")).isEqualTo(new Color(0x1C, 0x6A, 0x5E, 255));
        assertThat(Color.parse("fa0")).isEqualTo(new Color(0xFF, 0xAA, 0, 255));
        assertThat(Color.parse("#11223344").hex()).isEqualTo("#11223344");
        assertThatThrownBy(() -> Color.parse("blue")).hasMessageContaining("not a colour");
    }

    @Test
    void coloursBlendPremultiplied() {
        // CSS Color 4, 12.3, example: half way from rgb(24% 12% 98% / 0.4) to rgb(62% 26% 64% / 0.6) is rgb(46.8% 20.4% 77.6% / 0.5)
        Color a = new Color(61, 31, 250, 102), b = new Color(158, 66, 163, 153);
        Color half = a.lerp(b, 0.5);
        assertThat(half.red()).isBetween(118, 120);
        assertThat(half.green()).isBetween(51, 53);
        assertThat(half.blue()).isBetween(197, 199);
        assertThat(half.alpha()).isBetween(127, 128);
        assertThat(Color.NONE.lerp(Color.parse("#C8503A"), 0.5)).isEqualTo(Color.parse("#C8503A80"));
        assertThat(Color.BLACK.lerp(Color.WHITE, 1.4)).isEqualTo(Color.WHITE);
    }

    @Test
    void valuesStayInTheirRangeAndNotANumberBecomesTheStandard() {
        assertThat(Properties.OPACITY.clamped(1.7)).isEqualTo(1);
        assertThat(Properties.SIZE.clamped(new Point(-5, 3))).isEqualTo(new Point(0, 3));
        assertThat(Properties.ROTATION.clamped(Double.NaN)).isEqualTo(0);
        assertThat(Values.NONE.with(Properties.OPACITY, -1.0).get(Properties.OPACITY)).isEqualTo(0);
        assertThat(Values.NONE.get(Properties.SCALE)).isEqualTo(new Point(1, 1));
    }

    @Test
    void thePropertyTableIsConsistent() {
        for (Property<?> p : Properties.ALL) {
            assertThat(Properties.byKey(p.key())).isSameAs(p);
            assertThat(Properties.ALL.get(p.index())).isSameAs(p);
            if (!Properties.keysOnly(p)) {
                check(p);
            }
        }
        assertThat(Properties.of(new Element("Sun", new Content.Ellipse(), Values.NONE))).contains(Properties.FILL, Properties.SIZE)
                .doesNotContain(Properties.CORNER_RADIUS);
        assertThat(Properties.of(new Canvas(Values.NONE))).containsExactly(Properties.BACKGROUND, Properties.SCENE_HEIGHT, Properties.SCENE_OVERFLOW,
                Properties.SCENE_RESIZE, Properties.SCENE_POINT);
    }

    private static <T> void check(Property<T> p) {
        assertThat(p.type().parts(p.standard())).hasSize(p.parts().size());
        assertThat(p.type().of(p.type().parts(p.standard()))).isEqualTo(p.standard());
        assertThat(p.clamped(p.standard())).isEqualTo(p.standard());
    }

    @Test
    void changesInATreeShareWhatStays() {
        var a = new Element("a", new Content.Rectangle(), Values.NONE);
        var b = new Element("b", new Content.Ellipse(), Values.NONE);
        var g = new Element("g", new Content.Group(List.of(a, b), new Point(10, 10)), Values.NONE);
        var other = new Element("o", new Content.Ellipse(), Values.NONE);
        var tree = List.of(other, g);
        assertThat(Tree.path(tree, b.id())).containsExactly(g.id(), b.id());
        var changed = Tree.map(tree, b.id(), e -> e.withLocked(true));
        assertThat(changed.get(0)).isSameAs(other);
        assertThat(changed.get(1).children().get(0)).isSameAs(a);
        assertThat(Tree.find(changed, b.id()).locked()).isTrue();
        assertThat(Tree.remove(tree, a.id()).get(1).children()).containsExactly(b);
        assertThat(Tree.map(tree, "nobody", e -> e.withLocked(true))).isSameAs(tree);
    }

    @Test
    void aTimelineLoopsOrEnds() {
        var t = new Timeline("t", "T", 2_000_000, false, true, Map.of());
        assertThat(t.local(5_000_000)).isEqualTo(2_000_000);
        assertThat(t.local(-3)).isEqualTo(0);
        assertThat(t.withLoop(true).local(5_000_000)).isEqualTo(1_000_000);
    }

    @Test
    void framesAreAGridOverTime() {
        Project p = Project.empty("P", new Point(10, 10), 24);
        assertThat(p.frameTime(1)).isEqualTo(41_667);
        assertThat(p.frameAt(p.frameTime(1001))).isEqualTo(1001);
        assertThat(p.snap(40_000)).isEqualTo(41_667);
        assertThatThrownBy(() -> Project.empty("P", new Point(10, 10), 0)).hasMessageContaining("frame rate");
    }

    @Test
    void fadesAreNoLongerThanWhatIsHeard() {
        var s = new PlacedSound("s", "a", 0, 1).withFades(3_000_000, 2_000_000);
        assertThat(s.bounded(6_000_000)).isEqualTo(s);
        assertThat(s.bounded(4_000_000)).isEqualTo(s.withFades(3_000_000, 1_000_000));
        assertThat(s.bounded(1_000_000)).isEqualTo(s.withFades(1_000_000, 0));
        // half way up is half as loud, and at its end it is silent
        assertThat(s.bounded(4_000_000).gain(1_500_000, 4_000_000)).isEqualTo(0.5);
        assertThat(s.bounded(4_000_000).gain(3_999_999, 4_000_000)).isLessThan(0.001);
    }
}
