package tundra.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.awt.image.BufferedImage;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.input.Clipboard;
import javafx.scene.input.KeyCode;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tundra.app.studio.Desk;
import tundra.app.tool.ToolKind;
import tundra.app.widget.LightLabel;
import tundra.core.edit.Align;
import tundra.core.edit.Keys;
import tundra.core.file.ProjectFile;
import tundra.core.geometry.Point;
import tundra.core.model.Color;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Flipbook;
import tundra.core.model.Gradient;
import tundra.core.model.Marker;
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.core.model.Timeline;
import tundra.core.model.Tree;
import tundra.core.model.Values;
import tundra.core.motion.Easing;
import tundra.core.motion.Key;
import tundra.core.motion.Track;

/** What a day's work meets: panels that are only tried, groups that are entered, several things selected, sounds, markers, pictures. */
class InTheHandTest extends InWindow {
    @TempDir
    private Path folder;

    private static Element element(String id, Content c, double x, double y) {
        return new Element(id, id, false, false, Values.NONE.with(Properties.POSITION, new Point(x, y)).with(Properties.SIZE, new Point(60, 40))
                .with(Properties.FILL, Color.parse("#C8503A")), c);
    }

    private void draw(KeyCode tool, double x, double y, double toX, double toY) throws Exception {
        t.keys(tool);
        t.drag(t.canvas(x, y), t.canvas(toX, toY));
    }

    private void select(String... ids) throws Exception {
        RealWindow.fx(() -> {
            t.studio.select(List.of(ids));
            return null;
        });
        t.settle();
    }

    private Timeline main() throws Exception {
        return RealWindow.fx(() -> t.studio.timeline());
    }

    @Test
    void whatIsOnlyTriedIsNeverWritten() throws Exception {
        animate(new Timeline("main", Timeline.MAIN, 4_000_000, false, true, Map.of()), element("ball", new Content.Ellipse(), 200, 300),
                element("box", new Content.Rectangle(), 400, 300));
        Project before = t.studio.kept();
        t.run("helper-Bounce");
        t.until(() -> t.studio.tried().shown());
        assertThat(RealWindow.fx(() -> ((Label) t.node("helper-title")).getText())).isEqualTo("Bounce · ball");
        assertThat(main().tracksOf("ball")).as("it is seen").isNotEmpty();
        t.fileToSave = folder.resolve("tried.tundra");
        t.keys(KeyCode.CONTROL, KeyCode.S);
        t.until(() -> Files.exists(folder.resolve("tried.tundra")) && !t.w.jobs.busy());
        assertThat(ProjectFile.read(folder.resolve("tried.tundra")).scenes()).isEqualTo(before.scenes());
        // it follows the selection
        select("box");
        assertThat(RealWindow.fx(() -> ((Label) t.node("helper-title")).getText())).isEqualTo("Bounce · box");
        assertThat(main().tracksOf("ball")).isEmpty();
        // Escape leaves it, Return takes it
        t.keys(KeyCode.ESCAPE);
        assertThat(t.stage.getScene().lookup("#helper-panel")).isNull();
        assertThat(main().tracksOf("box")).isEmpty();
        t.run("helper-Bounce");
        t.keys(KeyCode.ENTER);
        assertThat(t.stage.getScene().lookup("#helper-panel")).isNull();
        assertThat(main().tracksOf("box")).isNotEmpty();
        t.keys(KeyCode.CONTROL, KeyCode.Z);
        assertThat(main().tracksOf("box")).as("one step").isEmpty();
        // nothing selected any more: it goes, and nothing is left behind
        t.run("helper-Bounce");
        select();
        t.until(() -> t.stage.getScene().lookup("#helper-panel") == null);
        assertThat(t.studio.kept().scenes()).isEqualTo(before.scenes());
    }

    @Test
    void groupsThatAreEnteredAreWorkedIn() throws Exception {
        draw(KeyCode.R, 100, 100, 140, 140);
        draw(KeyCode.E, 200, 100, 240, 140);
        draw(KeyCode.R, 300, 100, 340, 140);
        t.run("select-all");
        t.keys(KeyCode.CONTROL, KeyCode.G);
        String outer = t.studio.selected().id();
        t.doubleClick(t.canvas(120, 120));
        assertThat(t.studio.groups().inside()).isEqualTo(outer);
        // a marquee over two of them, and Ctrl G
        t.drag(t.canvas(80, 80), t.canvas(260, 160));
        assertThat(t.studio.selection()).hasSize(2);
        t.keys(KeyCode.CONTROL, KeyCode.G);
        assertThat(Tree.path(t.studio.board().elements(), t.studio.selected().id())).hasSize(2);
        assertThat(t.studio.board().find(outer).children()).hasSize(2);
        t.keys(KeyCode.CONTROL, KeyCode.A);
        assertThat(t.studio.selection()).hasSize(2).doesNotContain(outer);
        t.keys(KeyCode.CONTROL, KeyCode.Z);
        assertThat(t.studio.selection()).as("undo brings back what was selected").hasSize(2).doesNotContain(outer);
        // it snaps to its neighbours in the group: 3 px beside the left edge of the third
        t.click(t.canvas(220, 120));
        t.drag(t.canvas(220, 120), t.canvas(317, 220));
        Element moved = t.studio.selected();
        assertThat(RealWindow.fx(() -> t.studio.picture().frame().find(moved.id()).bounds().x())).isCloseTo(300, within(0.6));
        t.run("align-TOP");
        assertThat(RealWindow.fx(() -> t.studio.picture().frame().find(moved.id()).bounds().y())).isCloseTo(0, within(0.01));
    }

    @Test
    void severalAreTurnedThickenedAndRecolouredInOneGo() throws Exception {
        for (int i = 0; i < 5; i++) {
            draw(KeyCode.L, 100 + 60 * i, 120, 130 + 60 * i, 200);
        }
        t.run("select-all");
        Project before = t.studio.project();
        assertThat(t.shown("field-strokeWidth")).isEqualTo("2");
        t.fill("field-strokeWidth", "7");
        assertThat(t.studio.board().elements()).allSatisfy(e -> assertThat(e.rest().get(Properties.STROKE_WIDTH)).isEqualTo(7.0));
        t.fill("field-stroke", "c8503a");
        assertThat(t.studio.board().elements()).allSatisfy(e -> assertThat(e.rest().get(Properties.STROKE)).isEqualTo(Color.parse("#C8503A")));
        Point middle = RealWindow.fx(() -> Align.around(t.studio.board(), t.studio.selection(), t.studio.picture().frame())).centre();
        t.fill("field-turn-all", "90");
        assertThat(t.studio.board().elements()).allSatisfy(e -> assertThat(e.rest().get(Properties.ROTATION)).isEqualTo(90.0));
        Point now = RealWindow.fx(() -> Align.around(t.studio.board(), t.studio.selection(), t.studio.picture().frame())).centre();
        assertThat(now.distance(middle)).as("around their middle").isLessThan(0.01);
        for (int i = 0; i < 3; i++) {
            t.keys(KeyCode.CONTROL, KeyCode.Z);
        }
        assertThat(t.studio.project()).as("one undo each").isSameAs(before);
        // where they differ the field says so
        RealWindow.fx(() -> {
            t.studio.edit("Thin", b -> b.mapElement(t.studio.board().elements().getFirst().id(), e -> e.with(Properties.STROKE_WIDTH, 1.0)));
            return null;
        });
        t.settle();
        assertThat(t.shown("field-strokeWidth")).isEqualTo("mixed");
        // by the knob over them all
        Point top = RealWindow.fx(() -> t.w.canvas.viewport()
                .toView(new Point(middle.x(), Align.around(t.studio.board(), t.studio.selection(), t.studio.picture().frame()).y())));
        Point knob = RealWindow.fx(() -> t.screen(t.w.canvas, top.x(), top.y() - 24));
        t.drag(knob, t.canvas(middle.x() + 150, middle.y()));
        assertThat(t.studio.board().elements().getFirst().rest().get(Properties.ROTATION)).isCloseTo(90, within(2.0));
    }

    @Test
    void gradientsAndFillsComeFromTheirTools() throws Exception {
        draw(KeyCode.R, 100, 100, 300, 200);
        t.run("tool-GRADIENT");
        t.drag(t.canvas(120, 150), t.canvas(280, 150));
        var g = (Gradient) t.studio.selected().rest().get(Properties.FILL);
        assertThat(g.stops().getFirst().color()).as("from the colour that it had").isEqualTo(Color.parse("#5F8FA3"));
        assertThat(g.start().x()).isCloseTo(0.1, within(0.01));
        assertThat(g.end().x()).isCloseTo(0.9, within(0.01));
        t.keys(KeyCode.CONTROL, KeyCode.Z);
        t.run("delete");
        RealWindow.fx(() -> {
            t.w.paints.stroke = Color.BLACK;
            return null;
        });
        draw(KeyCode.L, 100, 100, 300, 100);
        draw(KeyCode.L, 300, 100, 300, 250);
        draw(KeyCode.L, 300, 250, 100, 250);
        draw(KeyCode.L, 100, 250, 100, 100);
        t.run("tool-FILL");
        assertThat(t.node("option-fill")).as("its colour is shown and can be chosen").isNotNull();
        t.click(t.canvas(200, 180));
        t.until(() -> t.studio.board().elements().size() == 5);
        RealWindow.fx(() -> {
            t.w.paints.fill = Color.parse("#E9B44C");
            return null;
        });
        t.moveTo(t.canvas(210, 185));
        t.click(t.canvas(210, 185));
        t.until(() -> "Recolour Fill".equals(t.studio.history().undoName()));
        assertThat(t.studio.board().elements()).hasSize(5);
        assertThat(t.studio.board().elements().stream().filter(e -> e.name().equals("Fill")).findFirst().orElseThrow().rest().get(Properties.FILL))
                .isEqualTo(Color.parse("#E9B44C"));
    }

    @Test
    void aToolIsKeptInHandAndShapesSayWhatTheyAre() throws Exception {
        t.doubleClick(t.middle("tool-POLYGON"));
        draw(KeyCode.UNDEFINED, 100, 100, 160, 160);
        draw(KeyCode.UNDEFINED, 200, 100, 260, 160);
        assertThat(t.w.tools.kind()).isEqualTo(ToolKind.POLYGON);
        assertThat(t.studio.board().elements()).extracting(Element::name).containsExactly("Star", "Star 2");
        assertThat(RealWindow.fx(() -> ((LightLabel) t.node("tool-note")).getText())).contains("kept in hand");
        t.keys(KeyCode.ESCAPE);
        assertThat(t.w.tools.kind()).isEqualTo(ToolKind.SELECT);
        // the next shape gets the colour that was chosen last
        t.fill("field-fill", "e9b44c");
        draw(KeyCode.R, 300, 100, 360, 160);
        assertThat(t.studio.selected().rest().get(Properties.FILL)).isEqualTo(Color.parse("#E9B44C"));
    }

    @Test
    void scaleIsLinkedUntilTheSignIsSwitchedOff() throws Exception {
        draw(KeyCode.R, 100, 100, 200, 160);
        t.fill("field-scale-x", "150");
        assertThat(t.studio.selected().rest().get(Properties.SCALE)).isEqualTo(new Point(1.5, 1.5));
        t.click("link-scale");
        t.fill("field-scale-x", "100");
        assertThat(t.studio.selected().rest().get(Properties.SCALE)).isEqualTo(new Point(1, 1.5));
    }

    @Test
    void keysOfSeveralGoBackToTheirElements() throws Exception {
        var track = new Track<>(List.of(new Key<>(0, 0.0, Easing.LINEAR), new Key<>(500_000, 30.0, Easing.LINEAR)));
        animate(new Timeline("main", Timeline.MAIN, 4_000_000, false, true, Map.of()).with("arm", Properties.ROTATION, track)
                .with("leg", Properties.ROTATION, track),
                element("arm", new Content.Rectangle(), 100, 100), element("leg", new Content.Rectangle(), 200, 200),
                element("hat", new Content.Ellipse(), 300, 200));
        RealWindow.fx(() -> {
            t.studio.time().selectKeys(List.of(new Keys.Ref("arm", Properties.ROTATION, 500_000), new Keys.Ref("leg", Properties.ROTATION, 500_000)));
            return null;
        });
        t.keys(KeyCode.CONTROL, KeyCode.C);
        select("hat");
        RealWindow.fx(() -> {
            t.studio.time().seek(2_000_000);
            return null;
        });
        t.keys(KeyCode.CONTROL, KeyCode.V);
        assertThat(main().track("arm", Properties.ROTATION).keyAt(2_000_000)).isNotNull();
        assertThat(main().track("leg", Properties.ROTATION).keyAt(2_000_000)).isNotNull();
        assertThat(main().tracksOf("hat")).isEmpty();
        assertThat(RealWindow.fx(() -> t.w.notices.told())).isEqualTo("Pasted 2 keys onto arm, leg.");
        t.keys(KeyCode.CONTROL, KeyCode.Z);
        RealWindow.fx(() -> {
            t.studio.time().selectKeys(List.of(new Keys.Ref("arm", Properties.ROTATION, 500_000)));
            return null;
        });
        t.keys(KeyCode.DELETE);
        t.keys(KeyCode.CONTROL, KeyCode.Z);
        assertThat(RealWindow.fx(() -> t.studio.time().keys())).as("undo brings the chosen keys back")
                .containsExactly(new Keys.Ref("arm", Properties.ROTATION, 500_000));
    }

    @Test
    void markersTimelinesAndTheDuration() throws Exception {
        animate(new Timeline("main", Timeline.MAIN, 4_000_000, false, true, Map.of()).with("arm", Properties.ROTATION,
                new Track<>(List.of(new Key<>(0, 0.0, Easing.LINEAR),
                new Key<>(3_000_000, 90.0, Easing.LINEAR))))
                .withMarkers(List.of(new Marker("a", "one", 1_000_000), new Marker("b", "two", 1_100_000))),
                element("arm", new Content.Rectangle(), 100, 100));
        var lanes = t.window.timeline().lanes();
        Point two = RealWindow.fx(() -> t.screen(lanes, lanes.xOf(1_100_000) + 12, 8));
        t.doubleClick(two);
        t.until(() -> t.stage.getScene().getFocusOwner() instanceof TextField);
        t.type("Gone");
        t.keys(KeyCode.ENTER);
        assertThat(main().markers()).extracting(Marker::name).containsExactly("one", "Gone");
        t.click(two);
        assertThat(RealWindow.fx(() -> t.studio.time().marker().id())).isEqualTo("b");
        t.keys(KeyCode.DELETE);
        assertThat(main().markers()).extracting(Marker::name).containsExactly("one");
        assertThat(main().tracksOf("arm")).as("only the marker went").isNotEmpty();
        t.run("duplicate-timeline");
        t.until(() -> t.stage.getScene().getFocusOwner() instanceof TextField);
        t.keys(KeyCode.ESCAPE);
        assertThat(t.studio.board().timelines()).extracting(Timeline::name).containsExactly("Main", "Main 2");
        assertThat(main().track("arm", Properties.ROTATION).keys()).hasSize(2);
        t.run("delete-timeline");
        select();
        t.fill("field-duration", "2");
        assertThat(main().duration()).as("it asks first").isEqualTo(4_000_000);
        assertThat(t.words("too-short")).isNotNull();
        t.click("trim-keys");
        assertThat(main().duration()).isEqualTo(2_000_000);
        assertThat(main().track("arm", Properties.ROTATION).keys().getLast().value()).isCloseTo(60.0, within(0.001));
        t.keys(KeyCode.CONTROL, KeyCode.Z);
        t.fill("field-duration", "1.5");
        t.click("squeeze-keys");
        assertThat(main().track("arm", Properties.ROTATION).keys().getLast()).isEqualTo(new Key<>(1_500_000, 90.0, Easing.LINEAR));
        assertThat(main().markers().getFirst().time()).isEqualTo(500_000);
    }

    @Test
    void aPlacedSoundHasDetailsAndIsTakenOffByDelete() throws Exception {
        t.fileToOpen = Files.write(folder.resolve("wind.wav"), Tone.wav(0.5, 220));
        t.run("bring-in");
        t.until(() -> t.studio.project().assets().size() == 1);
        t.keys(KeyCode.ALT, KeyCode.DIGIT2);
        t.settle();
        var shelf = t.node("shelf");
        Point tile = RealWindow.fx(() -> t.screen(shelf.lookupAll(".swatch-button").iterator().next(), 20, 20));
        t.click(tile);
        assertThat(main().sounds()).hasSize(1);
        t.click(tile);
        assertThat(main().sounds()).hasSize(1);
        assertThat(RealWindow.fx(() -> t.w.notices.told())).contains("is placed already");
        t.fill("field-sound-volume", "40");
        t.fill("field-sound-in", "0.2");
        t.fill("field-sound-from", "0.1");
        t.click("sound-loop");
        var s = main().sounds().getFirst();
        assertThat(s.volume()).isEqualTo(0.4);
        assertThat(s.fadeIn()).isEqualTo(200_000);
        assertThat(s.from()).isEqualTo(100_000);
        assertThat(s.loop()).isTrue();
        t.keys(KeyCode.DELETE);
        assertThat(main().sounds()).isEmpty();
    }

    private List<Path> pictures(int n) throws Exception {
        var out = new ArrayList<Path>();
        for (int i = 1; i <= n; i++) {
            var image = new BufferedImage(60, 30, BufferedImage.TYPE_INT_ARGB);
            for (int x = 0; x < 4 * i; x++) {
                image.setRGB(x, 10, 0xFF000000 | i * 20);
            }
            Path p = folder.resolve("idle-" + i + ".png");
            ImageIO.write(image, "png", p.toFile());
            out.add(p);
        }
        return out;
    }

    @Test
    void picturesBroughtInTogetherBecomeAFlipbook() throws Exception {
        List<Path> all = pictures(11);
        // a folder brings in what it holds, 2 before 10
        RealWindow.fx(() -> {
            t.w.files.importing.bringIn(List.of(folder));
            return null;
        });
        t.until(() -> t.studio.board().elements().size() == 11 && !t.w.jobs.busy());
        assertThat(t.studio.board().elements()).extracting(Element::name).startsWith("idle-1", "idle-2").endsWith("idle-10", "idle-11");
        t.click("notice-action");
        t.until(() -> t.studio.board().elements().size() == 1);
        var book = (Flipbook) t.studio.board().elements().getFirst().content();
        assertThat(book.drawings()).extracting(d -> d.art().children().getFirst().name()).startsWith("idle-1", "idle-2").endsWith("idle-11");
        assertThat(book.ending()).isEqualTo(Flipbook.Ending.LOOP);
        // onto the strip, between the first two
        RealWindow.fx(() -> {
            t.w.files.importing.bringOntoStrip(List.of(all.get(4)), 1);
            return null;
        });
        t.until(() -> t.studio.book().book().drawings().size() == 12);
        assertThat(t.studio.book().book().drawings().get(1).art().children().getFirst().name()).isEqualTo("idle-5");
        // and another picture in its place
        String before = ((Content.Picture) t.studio.book().drawing().art().children().getFirst().content()).asset();
        t.fileToOpen = all.get(7);
        t.run("replace-picture");
        t.until(() -> !((Content.Picture) t.studio.book().drawing().art().children().getFirst().content()).asset().equals(before));
    }

    @Test
    void whatIsNotSeenIsToldAndCanBeSeenAtRest() throws Exception {
        animate(new Timeline("main", Timeline.MAIN, 4_000_000, false, true, Map.of()).with("title", Properties.OPACITY,
                new Track<>(List.of(new Key<>(0, 0.0, Easing.LINEAR),
                new Key<>(1_000_000, 1.0, Easing.LINEAR)))), element("title", new Content.Rectangle(), 100, 100));
        t.keys(KeyCode.ALT, KeyCode.DIGIT1);
        t.settle();
        assertThat(RealWindow.fx(() -> ((LightLabel) t.node("tool-note")).getText())).isEqualTo("title is faded to 0 % here");
        t.click("seen-rest");
        assertThat(RealWindow.fx(() -> t.studio.picture().frame().find("title").node().opacity())).isEqualTo(1);
        assertThat(RealWindow.fx(() -> ((LightLabel) t.node("tool-note")).getText())).isEqualTo(ToolKind.SELECT.hint);
        t.run("fit");
        t.fill("field-position-x", "150");
        assertThat(RealWindow.fx(() -> t.studio.board().rest("title").get(Properties.POSITION).x())).isEqualTo(150);
        t.click("seen-playhead");
        assertThat(RealWindow.fx(() -> t.studio.target().valueAt("title", Properties.OPACITY))).isZero();
    }

    @Test
    void aRowThatIsDraggedIsKnownByItsElement() throws Exception {
        draw(KeyCode.R, 100, 100, 140, 140);
        draw(KeyCode.E, 200, 100, 240, 140);
        draw(KeyCode.R, 300, 100, 340, 140);
        var list = t.node("outline-list");
        Point first = RealWindow.fx(() -> t.screen(list, 60, 13)), third = RealWindow.fx(() -> t.screen(list, 60, 2 * 26 + 20));
        t.dragHold(first, third);
        // the piece changes while the row is held: the last of them is not there any more
        t.keys(KeyCode.CONTROL, KeyCode.Z);
        t.up();
        assertThat(t.studio.board().elements()).extracting(Element::name).containsExactly("Rectangle", "Ellipse");
        t.moveTo(new Point(third.x(), third.y() - 30));
        assertThat(RealWindow.fx(() -> list.lookup(".drop-below"))).as("nothing stays armed").isNull();
    }

    @Test
    void withoutABrowserTheAddressIsGiven() throws Exception {
        t.noBrowser = true;
        t.run("open-browser");
        t.until(() -> t.w.notices.told() != null && t.w.notices.told().contains("http://127.0.0.1:"));
        assertThat(RealWindow.fx(() -> t.w.notices.told())).contains("no browser was found");
        t.click("notice-action");
        assertThat(RealWindow.fx(() -> Clipboard.getSystemClipboard().getString())).startsWith("http://127.0.0.1:");
    }

    @Test
    void shortcutsAreHeardWhileThePageIsMade() throws Exception {
        Project demo = ProjectFile.read(Path.of(System.getProperty("tundra.samples"), "open-night.tundra"));
        RealWindow.fx(() -> {
            t.studio.open(demo, null);
            t.studio.setDesk(Desk.PUBLISH);
            return null;
        });
        t.keys(KeyCode.ALT, KeyCode.DIGIT1);
        t.until(() -> t.studio.desk() == Desk.DRAW);
        t.until(() -> t.w.canvas.getScene() != null);
        // with nothing that has the keyboard
        RealWindow.fx(() -> {
            t.stage.getScene().getRoot().requestFocus();
            return null;
        });
        t.keys(KeyCode.ALT, KeyCode.DIGIT2);
        t.until(() -> t.studio.desk() == Desk.ANIMATE);
    }
}
