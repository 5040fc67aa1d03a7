package tundra.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.awt.image.BufferedImage;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.Slider;
import javafx.scene.input.Clipboard;
import javafx.scene.input.ClipboardContent;
import javafx.scene.input.KeyCode;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tundra.app.tool.ToolKind;
import tundra.app.widget.LightLabel;
import tundra.core.file.GplPalette;
import tundra.core.file.ProjectFile;
import tundra.core.geometry.Point;
import tundra.core.geometry.Rect;
import tundra.core.model.Asset;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Properties;
import tundra.core.model.Values;
import tundra.render.Fonts;
import tundra.render.PictureSheets;
import tundra.web.PageCompiler;

/** Art from outside, tracing, the clipboard, words typed on the canvas and groups in the outline, in a real window. */
class ArtTest extends InWindow {
    private static final String HUT = """
            <svg xmlns="http://www.w3.org/2000/svg" width="200" height="100"><filter id="f"><feGaussianBlur stdDeviation="2"/></filter>
            <rect id="Wall" x="20" y="40" width="60" height="40" fill="#C8503A"/><circle id="Moon" cx="150" cy="30" r="15" fill="#FFE39A" filter="url(#f)"/></svg>""";
    @TempDir
    private Path folder;

    private List<Element> all() {
        return t.studio.board().elements();
    }

    @Test
    void aDrawingComesInAsElementsWithAReport() throws Exception {
        Path file = Files.writeString(folder.resolve("hut.svg"), HUT);
        t.fileToOpen = file;
        t.run("bring-in");
        t.until(() -> !all().isEmpty());
        assertThat(all()).hasSize(1);
        assertThat(all().getFirst().children()).extracting(Element::name).containsExactly("Wall", "Moon");
        assertThat(t.reported).singleElement().asString().contains("gaussian blur");
        // the canvas is 640 by 400, the drawing lies in its middle
        assertThat(t.pixel(t.canvas(220 + 50, 150 + 60)).getRed()).isCloseTo(0xC8 / 255.0, within(0.02));
        t.run("undo");
        assertThat(all()).isEmpty();
    }

    @Test
    void aBrokenDrawingChangesNothing() throws Exception {
        t.fileToOpen = Files.writeString(folder.resolve("bad.svg"), "<svg xmlns='http://www.w3.org/2000/svg'><rect");
        t.run("bring-in");
        t.until(() -> !t.w.jobs.busy());
        t.settle();
        assertThat(all()).isEmpty();
        assertThat(((Label) t.node("notice")).getText()).contains("bad.svg").contains("Nothing was changed");
    }

    @Test
    void svgTextGoesToTheClipboardAndComesBackFromIt() throws Exception {
        t.keys(KeyCode.E);
        t.drag(t.canvas(100, 100), t.canvas(180, 140));
        t.run("copy");
        String copied = RealWindow.fx(() -> Clipboard.getSystemClipboard().getString());
        assertThat(copied).startsWith("<svg").contains("<ellipse");
        t.run("paste");
        assertThat(all()).as("its own copy is pasted as it is").hasSize(2);
        assertThat(all().getLast().content()).isEqualTo(new Content.Ellipse());
        RealWindow.fx(() -> {
            var c = new ClipboardContent();
            c.putString(HUT);
            return Clipboard.getSystemClipboard().setContent(c);
        });
        t.run("paste");
        t.until(() -> all().size() == 3);
        assertThat(all().getLast().children()).hasSize(2);
    }

    @Test
    void aPictureGoesToTheClipboardAndComesBackFromIt() throws Exception {
        t.keys(KeyCode.E);
        t.drag(t.canvas(100, 100), t.canvas(180, 140));
        t.run("copy-picture");
        t.until(() -> Clipboard.getSystemClipboard().hasImage());
        var image = RealWindow.fx(() -> Clipboard.getSystemClipboard().getImage());
        assertThat(image.getWidth()).isEqualTo(160);
        assertThat(image.getHeight()).isEqualTo(80);
        t.run("paste");
        t.until(() -> all().size() == 2);
        assertThat(all().getLast().content()).isInstanceOf(Content.Picture.class);
        assertThat(all().getLast().rest().get(Properties.SIZE)).isEqualTo(new Point(160, 80));
    }

    @Test
    void aPictureIsTracedIntoPaths() throws Exception {
        var image = new BufferedImage(120, 80, BufferedImage.TYPE_INT_RGB);
        var g = image.createGraphics();
        g.setColor(new java.awt.Color(0x2E5D73));
        g.fillRect(0, 0, 120, 80);
        g.setColor(new java.awt.Color(0xFFE39A));
        g.fillOval(40, 20, 40, 40);
        Path file = folder.resolve("moon.png");
        ImageIO.write(image, "png", file.toFile());
        t.fileToOpen = file;
        t.run("bring-in");
        t.until(() -> all().size() == 1);
        t.run("trace");
        Node apply = t.node("trace-apply");
        t.until(() -> !apply.isDisabled());
        var colors = (Slider) t.node("trace-colors");
        RealWindow.fx(() -> {
            colors.setValue(2);
            return null;
        });
        assertThat(RealWindow.fx(apply::isDisabled)).isTrue();
        var result = (Label) t.node("trace-result");
        // what was traced before with other settings can't be taken
        t.until(() -> result.getText().startsWith("2 paths"));
        assertThat(RealWindow.fx(apply::isDisabled)).isFalse();
        t.click("trace-apply");
        assertThat(all()).hasSize(2);
        assertThat(all().getFirst().hidden()).as("the picture stays, hidden").isTrue();
        Element traced = all().getLast();
        assertThat(traced.children()).hasSize(2);
        Point size = traced.children().getLast().rest().get(Properties.SIZE);
        assertThat(size.x()).isCloseTo(40, within(1.5));
        t.run("undo");
        assertThat(all()).hasSize(1);
        assertThat(all().getFirst().hidden()).isFalse();
    }

    @Test
    void wordsAreTypedWhereTheyStand() throws Exception {
        t.keys(KeyCode.T);
        t.click(t.canvas(200, 150));
        t.type("hare");
        Element e = t.studio.selected();
        assertThat(words(e)).isEqualTo("hare");
        t.keys(KeyCode.HOME);
        t.type("a ");
        t.keys(KeyCode.END);
        t.keys(KeyCode.BACK_SPACE);
        assertThat(words(e)).isEqualTo("a har");
        t.keys(KeyCode.SHIFT, KeyCode.LEFT);
        t.type("t");
        assertThat(words(e)).isEqualTo("a hat");
        t.keys(KeyCode.ENTER);
        t.type("up");
        t.keys(KeyCode.UP);
        t.type("s");
        assertThat(words(e)).isEqualTo("a hsat\nup");
        t.keys(KeyCode.ESCAPE);
        assertThat(t.w.typing.active()).isFalse();
        // a letter is a tool again
        t.keys(KeyCode.R);
        assertThat(t.w.tools.kind()).isEqualTo(ToolKind.RECTANGLE);
        t.keys(KeyCode.S);
        t.doubleClick(t.canvas(204, 150));
        assertThat(t.w.typing.active()).isTrue();
        t.type("new");
        assertThat(words(e)).isEqualTo("new");
        t.keys(KeyCode.ESCAPE);
        t.run("undo");
        assertThat(words(e)).as("one step for all that was typed").isEqualTo("a hsat\nup");
    }

    @Test
    void theShelfKeepsPicturesAndSwatches() throws Exception {
        Path palette = Files.writeString(folder.resolve("night.gpl"), "GIMP Palette\nName: Night\n#\n200  80  58\tStation red\n255 227 154\n");
        t.fileToOpen = palette;
        t.run("read-swatches");
        t.until(() -> t.studio.project().swatches().size() == 2);
        assertThat(t.studio.project().swatches().getFirst().name()).isEqualTo("Station red");
        t.fileToSave = folder.resolve("out.gpl");
        t.run("write-swatches");
        t.until(() -> Files.exists(folder.resolve("out.gpl")) && !t.w.jobs.busy());
        assertThat(GplPalette.read(Files.readString(folder.resolve("out.gpl")))).isEqualTo(t.studio.project().swatches());
        t.fileToOpen = Files.writeString(folder.resolve("bad.gpl"), "no palette");
        t.run("read-swatches");
        t.settle();
        assertThat(((Label) t.node("notice")).getText()).contains("bad.gpl").contains("Nothing was changed");
        assertThat(t.studio.project().swatches()).hasSize(2);
        // a click on a swatch paints what is selected
        t.keys(KeyCode.R);
        t.drag(t.canvas(100, 100), t.canvas(180, 140));
        Node swatch = RealWindow.fx(() -> t.node("shelf").lookupAll(".swatch-button").iterator().next());
        t.click(RealWindow.fx(() -> t.screen(swatch, 8, 8)));
        assertThat(t.studio.selected().rest().get(Properties.FILL)).isEqualTo(tundra.core.model.Color.parse("#C8503A"));
    }

    @Test
    void theShelfKeepsFontsAndSounds() throws Exception {
        Path font = Files.write(folder.resolve("own.ttf"), OwnFont.bytes());
        Path sound = Files.write(folder.resolve("wind.wav"), Tone.wav(0.5, 220));
        t.fileToOpen = font;
        t.run("bring-in");
        t.until(() -> t.studio.project().assets().size() == 1);
        t.fileToOpen = sound;
        t.run("bring-in");
        t.until(() -> t.studio.project().assets().size() == 2);
        assertThat(t.studio.board().elements()).as("neither is placed").isEmpty();
        t.keys(KeyCode.T);
        t.click(t.canvas(200, 150));
        t.type("hare");
        t.keys(KeyCode.ESCAPE);
        Element e = t.studio.selected();
        double before = RealWindow.fx(() -> t.studio.picture().frame().find(e.id()).node().box().x());
        t.click(tile(0));
        assertThat(((Content.Text) t.studio.selected().content()).family()).isEqualTo(OwnFont.FAMILY);
        assertThat(RealWindow.fx(() -> t.studio.picture().frame().find(e.id()).node().box().x())).as("measured anew").isNotEqualTo(before);
        // the piece keeps them, and its page carries the font
        t.fileToSave = folder.resolve("fonts.tundra");
        t.run("save");
        t.until(() -> Files.exists(folder.resolve("fonts.tundra")) && !t.w.jobs.busy());
        var again = ProjectFile.read(folder.resolve("fonts.tundra"));
        assertThat(again.assets().values()).extracting(Asset::mediaType).containsExactly("font/ttf", "audio/wav");
        var fonts = Fonts.of(again.assets());
        var page = new PageCompiler(fonts, fonts, new PictureSheets()).compile(again, null);
        assertThat(page.files().get("fonts/Tundra-400.ttf").bytes()).isEqualTo(OwnFont.bytes());
        // broken ones change nothing
        t.fileToOpen = Files.write(folder.resolve("cut.ttf"), Arrays.copyOf(OwnFont.bytes(), 400));
        t.run("bring-in");
        t.settle();
        assertThat(((Label) t.node("notice")).getText()).contains("cut.ttf").contains("Nothing was changed");
        assertThat(t.studio.project().assets()).hasSize(2);
        while (t.studio.history().undoName() != null) {
            t.run("undo");
        }
        assertThat(t.studio.project().assets()).isEmpty();
    }

    private Point tile(int index) throws Exception {
        Node shelf = t.node("shelf");
        return RealWindow.fx(() -> t.screen(shelf.lookupAll(".swatch-button").stream().toList().get(index), 20, 20));
    }

    @Test
    void aGroupsBoundsAreSetWithoutMovingWhatIsInIt() throws Exception {
        RealWindow.fx(() -> {
            var inside = new Element("In", new Content.Rectangle(), Values.NONE.with(Properties.POSITION, new Point(50, 30))
                    .with(Properties.SIZE, new Point(40, 20)));
            var group = new Element("Box", new Content.Group(List.of(inside), new Point(100, 60)), Values.NONE.with(Properties.POSITION,
                    new Point(300, 200))
                    .with(Properties.ROTATION, 20.0));
            t.studio.edit("set up", b -> b.withElements(List.of(group)));
            t.studio.select(List.of(group.id()));
            t.w.options.bounds = true;
            return null;
        });
        t.settle();
        Element group = all().getFirst();
        Rect before = RealWindow.fx(() -> t.studio.picture().frame().find(group.children().getFirst().id()).bounds());
        Point corner = RealWindow.fx(() -> t.studio.picture().frame().find(group.id()).toCanvas().apply(new Point(100, 60)));
        t.drag(t.canvas(corner.x(), corner.y()), t.canvas(corner.x() + 30, corner.y() + 40));
        Point box = ((Content.Group) all().getFirst().content()).box();
        assertThat(box.x()).isGreaterThan(120);
        Rect after = RealWindow.fx(() -> t.studio.picture().frame().find(group.children().getFirst().id()).bounds());
        assertThat(after.x()).isCloseTo(before.x(), within(0.001));
        assertThat(all().getFirst().rest().get(Properties.POSITION)).as("it turns around the same place").isEqualTo(new Point(300, 200));
        t.run("fit-bounds");
        assertThat(((Content.Group) all().getFirst().content()).box().distance(new Point(40, 20))).isLessThan(0.001);
        t.run("undo");
        t.run("undo");
        assertThat(((Content.Group) all().getFirst().content()).box()).isEqualTo(new Point(100, 60));
    }

    private String words(Element e) {
        return ((Content.Text) t.studio.board().find(e.id()).content()).text();
    }

    @Test
    void aRowDroppedOnAGroupGoesIntoItAndStaysWhereItIs() throws Exception {
        RealWindow.fx(() -> {
            var inside = new Element("In", new Content.Rectangle(), Values.NONE.with(Properties.POSITION, new Point(20, 20))
                    .with(Properties.SIZE, new Point(20, 20)));
            var group = new Element("Box", new Content.Group(List.of(inside), new Point(100, 60)), Values.NONE.with(Properties.POSITION,
                    new Point(300, 200))
                    .with(Properties.ROTATION, 30.0).with(Properties.SCALE, new Point(2, 2)));
            var loose = new Element("Loose", new Content.Rectangle(), Values.NONE.with(Properties.POSITION, new Point(100, 100))
                    .with(Properties.SIZE, new Point(40, 20)));
            t.studio.edit("set up", b -> b.withElements(List.of(group, loose)));
            return null;
        });
        t.settle();
        Point from = row("Loose"), to = row("Box");
        t.drag(from, to);
        Element box = all().getFirst();
        assertThat(all()).hasSize(1);
        assertThat(box.children()).extracting(Element::name).containsExactly("In", "Loose");
        Rect seen = RealWindow.fx(() -> t.studio.picture().frame().find(box.children().getLast().id()).bounds());
        assertThat(seen.x()).isCloseTo(80, within(0.001));
        assertThat(seen.width()).isCloseTo(40, within(0.001));
        t.run("undo");
        assertThat(all()).hasSize(2);
    }

    private Point row(String name) throws Exception {
        Node list = t.node("outline-list");
        return RealWindow.fx(() -> {
            for (Node n : list.lookupAll(".element-name")) {
                if (n instanceof LightLabel l && l.getText().equals(name) && l.isVisible()) {
                    return t.screen(l, 10, l.getHeight() / 2);
                }
            }
            throw new AssertionError("no row " + name);
        });
    }

    @Test
    void readingIsGivenUpByItsButton() throws Exception {
        Path file = folder.resolve("ridges.svg");
        Files.writeString(file, "<svg xmlns='http://www.w3.org/2000/svg' viewBox='0 0 100 100'>" + "<rect width='9' height='9'/>".repeat(20_000)
                + "</svg>");
        var before = t.studio.project();
        // in one go, so that the end of the reading can't come before the button
        RealWindow.fx(() -> {
            t.w.files.importing.bringIn(List.of(file));
            t.w.notices.applyCss();
            ((Button) t.w.notices.lookup("#notice-cancel")).fire();
            return null;
        });
        t.settle();
        assertThat(t.w.notices.told()).isEqualTo("Given up; nothing was brought in.");
        assertThat(t.studio.project()).isSameAs(before);
        RealWindow.fx(() -> {
            t.w.files.importing.bringIn(List.of(file));
            return null;
        });
        t.until(() -> !t.studio.board().elements().isEmpty());
        assertThat(t.studio.board().elements()).hasSize(1);
    }
}
