package tundra.core.frame;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tundra.core.geometry.Point;
import tundra.core.geometry.Rect;
import tundra.core.model.Content;

/** Lines and carets in a font whose letters are all 10 px wide and whose lines are 24 px high. */
class CaretPlacesTest {
    private static Content.Text text(String s, Content.Align align, double spacing, double wrap) {
        return new Content.Text(s, "Figtree", 400, 20, align, 1.2, spacing, wrap);
    }

    private static CaretPlaces places(String s) {
        return new CaretPlaces(text(s, Content.Align.LEFT, 0, 0), new FakeMeasurer());
    }

    private static TextLayout layout(String s, Content.Align align, double spacing, double wrap) {
        return TextLayout.of(text(s, align, spacing, wrap), new FakeMeasurer());
    }

    @Test
    void linesStandUnderEachOtherWithHalfOfTheLeadingAboveEach() {
        var l = layout("Open\nNight tonight", Content.Align.LEFT, 0, 0);
        assertThat(l.box()).isEqualTo(new Point(130, 48));
        // 24 px for letters of 20: 2 above, then the ascent of 16
        assertThat(l.lines()).containsExactly(new TextLayout.Line("Open", 0, 18), new TextLayout.Line("Night tonight", 0, 42));
    }

    @ParameterizedTest(name = "{0}")
    @CsvSource({"LEFT, 0, 0", "CENTRE, 45, 0", "RIGHT, 90, 0"})
    void shorterLinesGoByTheAlignment(Content.Align align, double first, double second) {
        assertThat(layout("Open\nNight tonight", align, 0, 0).lines()).extracting(TextLayout.Line::x).containsExactly(first, second);
    }

    @Test
    void longLinesBreakAtSpacesAndALongWordStaysWhole() {
        var l = layout("the aurora over the observatorys roof", Content.Align.LEFT, 0, 105);
        assertThat(l.lines()).extracting(TextLayout.Line::text).containsExactly("the aurora", "over the", "observatorys", "roof");
        assertThat(l.box()).as("the long word is wider than the wrap").isEqualTo(new Point(120, 96));
        assertThat(layout("a b", Content.Align.RIGHT, 0, 200).lines().getFirst().x()).as("aligned in the wrap width").isEqualTo(170);
    }

    @Test
    void letterSpacingStandsBetweenLettersOnly() {
        var l = layout("abcd\n\ne", Content.Align.LEFT, 5, 0);
        assertThat(l.box().x()).isEqualTo(4 * 10 + 3 * 5);
        assertThat(l.lines()).hasSize(3);
        var c = new CaretPlaces(text("abcd", Content.Align.LEFT, 5, 0), new FakeMeasurer());
        assertThat(c.caret(2).x()).isEqualTo(30);
    }

    @ParameterizedTest(name = "index {0} stands at {1}, {2}")
    @CsvSource({"0, 0, 0", "2, 20, 0", "4, 40, 0", "5, 0, 24", "9, 40, 24", "10, 0, 48", "11, 0, 72", "13, 20, 72", "99, 20, 72"})
    void caretsOfFourLines(int index, double x, double y) {
        assertThat(places("Open\nsky!\n\nhi").caret(index)).isEqualTo(new Rect(x, y, 0, 24));
    }

    @ParameterizedTest(name = "{0}, {1} is index {2}")
    @CsvSource({"0, 0, 0", "14, 10, 1", "16, 10, 2", "500, 10, 4", "-30, 30, 5", "21, 25, 7", "0, 60, 10", "80, 60, 10", "12, 900, 12", "5, -40, 0"})
    void placesFindTheNearestIndex(double x, double y, int index) {
        assertThat(places("Open\nsky!\n\nhi").index(new Point(x, y))).isEqualTo(index);
    }

    @Test
    void everyIndexIsFoundAtItsOwnCaret() {
        var p = places("Open\nsky!\n\nhi");
        for (int i = 0; i <= 13; i++) {
            Rect c = p.caret(i);
            assertThat(p.index(new Point(c.x(), c.y() + 12))).isEqualTo(i);
        }
    }

    @Test
    void upAndDownKeepTheColumn() {
        var p = places("Open\nsky!\n\nhi");
        assertThat(p.vertical(3, true)).isEqualTo(8);
        assertThat(p.vertical(8, false)).isEqualTo(3);
        assertThat(p.vertical(8, true)).as("the empty line").isEqualTo(10);
        assertThat(p.vertical(2, false)).as("above the first").isEqualTo(2);
        assertThat(p.vertical(12, true)).as("below the last").isEqualTo(12);
        assertThat(p.lineEnd(7, false)).isEqualTo(5);
        assertThat(p.lineEnd(7, true)).isEqualTo(9);
        assertThat(p.lineEnd(10, true)).isEqualTo(10);
    }

    @Test
    void aSelectionHasABoxForEachOfItsLines() {
        var p = places("Open\nsky!\n\nhi");
        assertThat(p.selection(2, 7)).containsExactly(new Rect(20, 0, 20, 24), new Rect(0, 24, 20, 24));
        assertThat(p.selection(5, 5)).isEmpty();
        assertThat(p.selection(0, 13).stream().mapToDouble(Rect::width).sum()).isCloseTo(100, within(1e-9));
    }
}
