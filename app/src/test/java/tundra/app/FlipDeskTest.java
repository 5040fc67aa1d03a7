package tundra.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import javafx.scene.control.Label;
import javafx.scene.input.KeyCode;
import javafx.scene.paint.Color;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.Test;
import tundra.app.flip.StripCanvas;
import tundra.app.studio.OpenBook;
import tundra.app.widget.LightLabel;
import tundra.core.geometry.Point;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Flipbook;
import tundra.core.model.Properties;
import tundra.core.model.Span;
import tundra.core.model.Tree;

/** Flipbooks in a real window: drawings made with strip, tools and keyboard. */
class FlipDeskTest extends InWindow {
    private OpenBook open() {
        return t.studio.book();
    }

    private Flipbook book() throws Exception {
        return RealWindow.fx(() -> open().book());
    }

    /** «0-2 2-5» */
    private String times() throws Exception {
        return String.join(" ", book().drawings().stream().map(d -> d.start() + "-" + d.end()).toList());
    }

    private Point strip(double frame, double y) throws Exception {
        return RealWindow.fx(() -> {
            StripCanvas s = t.window.drawings();
            return t.screen(s, s.x(frame), y);
        });
    }

    /** The middle of a drawing's cell. */
    private Point cell(int index) throws Exception {
        var d = book().drawings().get(index);
        return strip((d.start() + d.end()) / 2.0, 30);
    }

    private Point edge(int index) throws Exception {
        Point p = strip(book().drawings().get(index).end(), 30);
        return new Point(p.x() - 3, p.y());
    }

    private Element drawn(int index) throws Exception {
        return book().drawings().get(index).art().children().getFirst();
    }

    private double x(int index) throws Exception {
        return drawn(index).rest().get(Properties.POSITION).x();
    }

    /** A flipbook whose first drawing holds a rectangle, drawn with the tool. */
    private void begin() throws Exception {
        t.keys(KeyCode.CONTROL, KeyCode.SHIFT, KeyCode.F);
        t.keys(KeyCode.R);
        t.drag(t.canvas(60, 250), t.canvas(120, 300));
    }

    /** So many drawings, each a copy of the one before with its rectangle 10 px further. */
    private void series(int n) throws Exception {
        begin();
        for (int i = 1; i < n; i++) {
            t.keys(KeyCode.ALT, KeyCode.D);
            t.keys(KeyCode.CONTROL, KeyCode.A);
            t.keys(KeyCode.SHIFT, KeyCode.RIGHT);
        }
    }

    @Test
    void twelveDrawingsWithStripAndKeyboardAlone() throws Exception {
        begin();
        assertThat(book().drawings()).hasSize(1);
        assertThat(drawn(0).content()).isInstanceOf(Content.Rectangle.class);
        // five copies, moved by the arrow keys
        for (int i = 1; i <= 5; i++) {
            t.keys(KeyCode.ALT, KeyCode.D);
            t.keys(KeyCode.CONTROL, KeyCode.A);
            t.keys(KeyCode.SHIFT, KeyCode.RIGHT);
        }
        // three more that move on by themselves
        for (int i = 0; i < 3; i++) {
            t.keys(KeyCode.ALT, KeyCode.SHIFT, KeyCode.D);
        }
        // one that is drawn new, after a click on the blank cell
        t.click(strip(book().end() + 0.4, 30));
        assertThat(book().drawings()).hasSize(10);
        t.keys(KeyCode.E);
        t.drag(t.canvas(300, 200), t.canvas(360, 260));
        // and the first two once more, copied from the strip; a loop goes on from its last to its first
        t.keys(KeyCode.CLOSE_BRACKET);
        assertThat(RealWindow.fx(() -> open().current())).isZero();
        t.hold(KeyCode.SHIFT);
        t.click(cell(1));
        t.letGo(KeyCode.SHIFT);
        t.keys(KeyCode.CONTROL, KeyCode.C);
        t.click(cell(0));
        t.keys(KeyCode.OPEN_BRACKET);
        t.keys(KeyCode.CONTROL, KeyCode.V);
        assertThat(book().drawings()).hasSize(12);
        for (int i = 0; i <= 8; i++) {
            assertThat(x(i)).as("drawing %d", i).isCloseTo(90 + 10 * i, within(1e-6));
        }
        assertThat(drawn(9).content()).isInstanceOf(Content.Ellipse.class);
        assertThat(x(10)).isEqualTo(x(0));
        assertThat(x(11)).isEqualTo(x(1));
        assertThat(times()).isEqualTo("0-2 2-4 4-6 6-8 8-10 10-12 12-14 14-16 16-18 18-20 20-22 22-24");
        assertThat(Tree.ids(t.studio.board().elements())).as("every drawing has art of its own").hasSize(1 + 12 * 2);
        // each step is one of undo, back to the empty piece
        int steps = 0;
        while (t.studio.history().undoName() != null) {
            t.keys(KeyCode.CONTROL, KeyCode.Z);
            steps++;
        }
        assertThat(steps).isEqualTo(1 + 1 + 5 * 2 + 3 + 1 + 1 + 1);
        assertThat(t.studio.board().elements()).isEmpty();
    }

    @Test
    void steppingGoesToATurnOfTheLoopThatIsSeen() throws Exception {
        series(3);
        RealWindow.fx(() -> {
            String id = open().id();
            t.studio.edit("Seen late", b -> b.mapTimeline(b.main().id(), x -> x.withShown(id, new Span(1_000_000, 2_000_000))));
            t.studio.time().seek(0);
            return null;
        });
        t.keys(KeyCode.CLOSE_BRACKET);
        assertThat(t.studio.time().playhead()).as("the second drawing, two of 24 frames after the first second").isEqualTo(1_083_333);
        assertThat(RealWindow.fx(() -> t.studio.picture().frame().find(open().drawing().id()))).as("on the canvas").isNotNull();
        // on it goes from there, around the end of the loop and back
        t.keys(KeyCode.CLOSE_BRACKET);
        t.keys(KeyCode.CLOSE_BRACKET);
        assertThat(RealWindow.fx(() -> open().current())).isZero();
        assertThat(t.studio.time().playhead()).isEqualTo(1_000_000);
    }

    @Test
    void edgesHoldLongerAndEscapeGivesUp() throws Exception {
        series(3);
        double one = strip(1, 0).x() - strip(0, 0).x();
        Point e = edge(0);
        t.drag(e, new Point(e.x() + 3 * one, e.y()));
        assertThat(times()).isEqualTo("0-5 5-7 7-9");
        t.keys(KeyCode.CONTROL, KeyCode.Z);
        assertThat(times()).isEqualTo("0-2 2-4 4-6");
        t.dragHold(edge(1), new Point(edge(1).x() + 2 * one, e.y()));
        assertThat(times()).isEqualTo("0-2 2-6 6-8");
        t.keys(KeyCode.ESCAPE);
        t.up();
        assertThat(times()).isEqualTo("0-2 2-4 4-6");
        t.click(cell(1));
        t.keys(KeyCode.SHIFT, KeyCode.CLOSE_BRACKET);
        t.keys(KeyCode.SHIFT, KeyCode.CLOSE_BRACKET);
        t.keys(KeyCode.SHIFT, KeyCode.OPEN_BRACKET);
        assertThat(times()).isEqualTo("0-2 2-5 5-7");
        t.fill("field-held", "6");
        assertThat(times()).isEqualTo("0-2 2-8 8-10");
        t.click("do-drawing-longer");
        assertThat(times()).isEqualTo("0-2 2-9 9-11");
    }

    @Test
    void drawingsArePutElsewhereMovedInTimeSplitAndDeleted() throws Exception {
        series(4);
        t.drag(cell(3), new Point(strip(0, 0).x() + 2, cell(3).y()));
        assertThat(x(0)).as("the last one is the first now").isCloseTo(120, within(1e-6));
        assertThat(x(1)).isCloseTo(90, within(1e-6));
        t.keys(KeyCode.CONTROL, KeyCode.Z);
        assertThat(x(0)).isCloseTo(90, within(1e-6));
        // with Alt in time
        double one = strip(1, 0).x() - strip(0, 0).x();
        Point from = cell(2);
        t.hold(KeyCode.ALT);
        t.drag(from, new Point(from.x() + 3 * one, from.y()));
        t.letGo(KeyCode.ALT);
        assertThat(times()).isEqualTo("0-2 2-4 7-9 9-11");
        t.keys(KeyCode.ALT, KeyCode.SHIFT, KeyCode.COMMA);
        assertThat(times()).isEqualTo("0-2 2-4 6-8 9-11");
        // several together
        t.click(cell(0));
        t.hold(KeyCode.CONTROL);
        t.click(cell(1));
        t.letGo(KeyCode.CONTROL);
        t.keys(KeyCode.DELETE);
        assertThat(book().drawings()).hasSize(2);
        t.keys(KeyCode.CONTROL, KeyCode.Z);
        t.click(cell(1));
        t.keys(KeyCode.PERIOD);
        t.keys(KeyCode.ALT, KeyCode.S);
        assertThat(times()).isEqualTo("0-2 2-3 3-4 6-8 9-11");
        // an empty frame takes what is drawn on it
        t.click(strip(5.5, 30));
        t.keys(KeyCode.R);
        t.drag(t.canvas(200, 100), t.canvas(240, 140));
        assertThat(book().drawings()).hasSize(6);
        assertThat(times()).isEqualTo("0-2 2-3 3-4 5-6 6-8 9-11");
        assertThat(drawn(3).rest().get(Properties.POSITION)).isEqualTo(new Point(220, 120));
    }

    @Test
    void onionSkinByItsEndsAndItsChips() throws Exception {
        series(6);
        t.click(cell(3));
        assertThat(open().skin().back()).isEqualTo(2);
        assertThat(open().skin().ahead()).isEqualTo(1);
        double y = 4 + 62 + 9;
        Point back = strip(book().drawings().get(1).start(), y), ahead = strip(book().drawings().get(4).end(), y);
        t.drag(new Point(back.x(), back.y()), strip(0, y));
        assertThat(open().skin().back()).isEqualTo(3);
        t.drag(new Point(ahead.x() - 4, ahead.y()), strip(book().drawings().get(5).end(), y));
        assertThat(open().skin().ahead()).isEqualTo(2);
        t.drag(strip(0, y), strip(book().drawings().get(3).start(), y));
        assertThat(open().skin().back()).isZero();
        // what shines through is seen: an outline at the right end of the next drawing's rectangle
        RealWindow.fx(() -> {
            open().setSkin(open().skin().withOutlines(false).withStrength(1));
            return null;
        });
        Point ghost = t.canvas(60 + 4 * 10 + 60 - 3, 275);
        Color seen = t.pixel(ghost);
        t.keys(KeyCode.O);
        Color without = t.pixel(ghost);
        assertThat(seen.getRed() - seen.getBlue()).as("tinted like the drawings after").isGreaterThan(0.15);
        assertThat(without).isEqualTo(Color.WHITE);
        t.click("onion-ahead");
        assertThat(open().skin().on()).isTrue();
        // a ghost can't be picked: only the drawing itself is
        t.keys(KeyCode.S);
        t.click(ghost);
        assertThat(t.studio.selection()).isEmpty();
        t.click(t.canvas(60 + 30 + 10, 275));
        assertThat(t.studio.selection()).containsExactly(drawn(3).id());
    }

    @Test
    void neighboursAreSeenWhileAKeyIsHeld() throws Exception {
        series(3);
        t.click(cell(1));
        t.keys(KeyCode.O);
        Point onlyNext = t.canvas(60 + 20 + 60 - 3, 275), onlyBefore = t.canvas(62, 275);
        assertThat(t.pixel(onlyNext)).isEqualTo(Color.WHITE);
        t.hold(KeyCode.W);
        assertThat(t.pixel(onlyNext)).isNotEqualTo(Color.WHITE);
        t.letGo(KeyCode.W);
        assertThat(t.pixel(onlyNext)).isEqualTo(Color.WHITE);
        t.hold(KeyCode.Q);
        assertThat(t.pixel(onlyBefore)).isNotEqualTo(Color.WHITE);
        t.letGo(KeyCode.Q);
        assertThat(t.pixel(onlyBefore)).isEqualTo(Color.WHITE);
        assertThat(t.studio.time().playhead()).as("nothing moved").isEqualTo(book().timeOf(2));
    }

    @Test
    void drawingsComeIntoLineAndAreaIsKept() throws Exception {
        series(3);
        t.click(cell(1));
        t.keys(KeyCode.CONTROL, KeyCode.A);
        t.keys(KeyCode.DOWN);
        t.keys(KeyCode.SHIFT, KeyCode.DOWN);
        t.click(cell(2));
        t.keys(KeyCode.CONTROL, KeyCode.A);
        t.keys(KeyCode.UP);
        t.click(cell(0));
        t.click("register");
        t.until(() -> t.studio.history().undoName().startsWith("Bring"));
        for (int i = 0; i < 3; i++) {
            int n = i;
            double bottom = RealWindow.fx(() -> {
                var node = t.studio.picture().builder().drawing(open().book().drawings().get(n), 0);
                return node.toParent().bounds(node.inked()).bottom();
            });
            assertThat(bottom).as("feet of %d", i).isCloseTo(300, within(0.05));
        }
        // a squash that keeps the area
        t.keys(KeyCode.ALT, KeyCode.K);
        t.click(t.canvas(90, 275));
        t.drag(t.canvas(120, 275), t.canvas(180, 275));
        Point size = drawn(0).rest().get(Properties.SIZE);
        assertThat(size.x()).isCloseTo(120, within(1e-6));
        assertThat(size.x() * size.y()).isCloseTo(60 * 50, within(3.0));
        t.fill("field-size-h", "50");
        assertThat(drawn(0).rest().get(Properties.SIZE).x()).isCloseTo(60, within(1e-6));
        t.click(cell(1));
        t.until(() -> {
            var label = (Label) t.stage.getScene().lookup("#area-change");
            return label != null && label.getText().contains("vs drawing 1");
        });
    }

    @Test
    void goingInAndOut() throws Exception {
        series(2);
        t.keys(KeyCode.ESCAPE);
        assertThat(t.studio.selected().content()).as("out of the drawing onto the flipbook").isInstanceOf(Flipbook.class);
        assertThat(t.studio.groups().inside()).isNull();
        t.keys(KeyCode.ESCAPE);
        assertThat(open().is()).isFalse();
        assertThat(t.stage.getScene().lookup("#strip").isDisabled()).as("the strip stays, dimmed").isTrue();
        assertThat(t.words("place-back")).contains("Back into Flipbook");
        var stood = RealWindow.fx(() -> t.w.canvas.viewport());
        assertThat(RealWindow.fx(() -> ((LightLabel) t.node("strip-lands")).getText())).contains("lands in the scene");
        t.click("strip-back");
        assertThat(open().is()).isTrue();
        assertThat(RealWindow.fx(() -> t.w.canvas.viewport())).as("the canvas stays where it is").isEqualTo(stood);
        t.keys(KeyCode.ESCAPE);
        t.keys(KeyCode.ESCAPE);
        t.doubleClick(t.canvas(100, 275));
        assertThat(open().is()).isTrue();
        assertThat(t.studio.selection()).hasSize(1);
        assertThat(t.studio.board().find(t.studio.selection().iterator().next()).content()).isInstanceOf(Content.Rectangle.class);
        // stepping on goes into the drawing that is seen
        String before = t.studio.groups().inside();
        t.keys(KeyCode.OPEN_BRACKET);
        assertThat(t.studio.groups().inside()).isNotEqualTo(before);
        assertThat(open().current()).isZero();
    }

    @Test
    void aSelectionBecomesAFlipbookAndPastesBetween() throws Exception {
        t.keys(KeyCode.R);
        t.drag(t.canvas(40, 40), t.canvas(100, 100));
        t.keys(KeyCode.CONTROL, KeyCode.SHIFT, KeyCode.F);
        String first = RealWindow.fx(() -> open().id());
        assertThat(book().box()).isEqualTo(new Point(60, 60));
        t.keys(KeyCode.ALT, KeyCode.D);
        t.click(cell(1));
        t.keys(KeyCode.CONTROL, KeyCode.C);
        t.keys(KeyCode.ESCAPE);
        t.keys(KeyCode.ESCAPE);
        begin();
        assertThat(RealWindow.fx(() -> open().id())).isNotEqualTo(first);
        t.click(cell(0));
        t.keys(KeyCode.CONTROL, KeyCode.V);
        assertThat(book().drawings()).hasSize(2);
        assertThat(drawn(1).rest().get(Properties.SIZE)).isEqualTo(new Point(60, 60));
        // an element goes to another drawing where it stands
        t.click(cell(0));
        t.keys(KeyCode.CONTROL, KeyCode.A);
        t.keys(KeyCode.CONTROL, KeyCode.C);
        t.click(cell(1));
        t.keys(KeyCode.CONTROL, KeyCode.V);
        List<Element> parts = book().drawings().get(1).art().children();
        assertThat(parts).hasSize(2);
        assertThat(parts.getLast().rest().get(Properties.POSITION)).isEqualTo(drawn(0).rest().get(Properties.POSITION));
    }

    @Test
    void speedAndFrameRate() throws Exception {
        series(3);
        t.run("hold-double");
        assertThat(times()).isEqualTo("0-4 4-8 8-12");
        t.fill("field-takes", "0.25");
        assertThat(times()).isEqualTo("0-2 2-4 4-6");
        t.keys(KeyCode.ESCAPE);
        t.keys(KeyCode.ESCAPE);
        t.keys(KeyCode.ESCAPE);
        t.fill("field-frame-rate", "48");
        assertThat(t.studio.project().frameRate()).isEqualTo(48);
        Flipbook b = (Flipbook) t.studio.board().elements().getFirst().content();
        assertThat(b.rate()).isEqualTo(48);
        assertThat(b.end()).isEqualTo(12);
        t.keys(KeyCode.CONTROL, KeyCode.Z);
        assertThat(t.studio.project().frameRate()).isEqualTo(24);
    }

    @Test
    void aQuickDragOfACellPutsItElsewhere() throws Exception {
        series(4);
        String first = book().drawings().getFirst().id();
        t.flick(cell(0), strip(book().end() - 0.4, 30));
        assertThat(book().drawings().getLast().id()).isEqualTo(first);
        t.keys(KeyCode.CONTROL, KeyCode.Z);
        assertThat(book().drawings().getFirst().id()).isEqualTo(first);
    }

    @Test
    void severalDrawingsAreMovedAndTurnedTogether() throws Exception {
        series(3);
        t.click(cell(0));
        t.hold(KeyCode.SHIFT);
        t.click(cell(1));
        t.letGo(KeyCode.SHIFT);
        Flipbook before = book();
        t.fill("field-drawings-turn", "90");
        assertThat(book().drawings()).extracting(d -> d.art().rest().get(Properties.ROTATION)).containsExactly(90.0, 90.0, 0.0);
        assertThat(t.shown("field-drawings-turn")).as("the next turn begins anew").isEqualTo("0");
        t.fill("field-drawings-x", "12");
        t.keys(KeyCode.RIGHT);
        assertThat(book().drawings().get(1).art().rest().get(Properties.POSITION).x() - before.drawings().get(1).art().rest().get(Properties.POSITION)
                .x()).isEqualTo(13, Assertions.within(1e-6));
        assertThat(book().drawings().get(2)).isEqualTo(before.drawings().get(2));
        for (int i = 0; i < 3; i++) {
            t.keys(KeyCode.CONTROL, KeyCode.Z);
        }
        assertThat(book()).isEqualTo(before);
    }
}
