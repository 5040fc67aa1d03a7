package tundra.core.flip;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import tundra.core.frame.FakeMeasurer;
import tundra.core.frame.Frame;
import tundra.core.frame.FrameBuilder;
import tundra.core.geometry.Point;
import tundra.core.model.Asset;
import tundra.core.model.Board;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Flipbook;
import tundra.core.model.Properties;
import tundra.core.model.Timeline;
import tundra.core.model.Values;

class SheetBookTest {
    private static Element picture(String name, double x, double y) {
        return new Element(name, new Content.Picture("hash of " + name), Values.NONE.with(Properties.POSITION, new Point(x, y))
                .with(Properties.SIZE, new Point(40, 30)));
    }

    private static Asset asset(String name, int width, int height) {
        return new Asset("hash of " + name, name + ".png", "image/png", width, height, 0, new byte[0]);
    }

    private static Frame seen(List<Element> e) {
        var t = new Timeline("t", Timeline.MAIN, 1_000_000, false, true, Map.of());
        return new FrameBuilder(new Board(new Point(400, 400), Values.NONE, e, List.of(t), List.of()), new FakeMeasurer()).at(0);
    }

    @Test
    void numbersInTheNamesAreTheOrder() {
        var all = List.of(picture("run 10", 0, 0), picture("run 2", 50, 0), picture("run 1", 100, 0));
        assertThat(SheetBook.inOrder(all, seen(all))).extracting(Element::name).containsExactly("run 1", "run 2", "run 10");
    }

    @Test
    void otherwiseTheyAreReadLineByLine() {
        // two lines that aren't quite straight
        var all = List.of(picture("e", 200, 104), picture("b", 100, 48), picture("d", 100, 98), picture("a", 50, 52), picture("c", 50, 101));
        assertThat(SheetBook.inOrder(all, seen(all))).extracting(Element::name).containsExactly("a", "b", "c", "d", "e");
    }

    @Test
    void eachPictureGetsADrawingWithItsMiddleInThatOfTheBox() {
        Element big = picture("big", 0, 0).with(Properties.SIZE, new Point(60, 20));
        var book = (Flipbook) SheetBook.ofElements("Run", List.of(picture("small", 9, 9), big), 2, 12, new Point(5, 6)).content();
        assertThat(book.box()).isEqualTo(new Point(60, 30));
        assertThat(book.drawings()).extracting(d -> d.start()).containsExactly(0, 2);
        assertThat(book.drawings()).allSatisfy(d -> assertThat(d.art().children().getFirst().rest().get(Properties.POSITION))
                .isEqualTo(new Point(30, 15)));
        var sheet = new ArrayList<Asset>(List.of(asset("a", 10, 8), asset("b", 6, 12)));
        sheet.add(1, null);
        var gaps = (Flipbook) SheetBook.of("Gaps", sheet, 3, 12, Point.ZERO).content();
        assertThat(gaps.drawings()).extracting(d -> d.start()).as("an empty cell keeps its time").containsExactly(0, 6);
        assertThat(gaps.box()).isEqualTo(new Point(10, 12));
    }

    @Test
    void aReplacedPictureKeepsItsHeightAndTheNewProportions() {
        Element after = SheetBook.replaced(picture("hut", 70, 80), asset("tower", 100, 300));
        assertThat(after.rest().get(Properties.SIZE)).isEqualTo(new Point(10, 30));
        assertThat(after.rest().get(Properties.POSITION)).isEqualTo(new Point(70, 80));
        assertThat(((Content.Picture) after.content()).asset()).isEqualTo("hash of tower");
    }
}
