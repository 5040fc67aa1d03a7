package tundra.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ButtonBase;
import javafx.scene.control.Label;
import javafx.scene.input.KeyCode;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tundra.app.check.ChecksPanel;
import tundra.app.studio.Desk;
import tundra.core.edit.Drawings;
import tundra.core.file.ProjectFile;
import tundra.core.geometry.Point;
import tundra.core.model.Asset;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Flipbook;
import tundra.core.model.Project;
import tundra.core.model.Properties;

/** Sheets and checks in a real window. */
class SheetDeskTest extends InWindow {
    private static final int COLUMNS = 6, ROWS = 4, CELLS = COLUMNS * ROWS;
    private static final int SIDE = 20, MARGIN = 7, SPACING = 3;
    @TempDir
    private Path folder;

    /** The colour of a pixel of a cell: its own in every one, with a clear edge. */
    private static int pixel(int cell, int x, int y) {
        if (x < 2 || y < 2 || x >= SIDE - 2 || y >= SIDE - 2) {
            return cell % 2 == 0 && x > 5 ? 0xFF000000 | 0x3355 * (cell + 1) : 0;
        }
        return 0xFF000000 | (40 + cell * 8) << 16 | (x * 10) << 8 | y * 9;
    }

    private Path sheet() throws Exception {
        var image = new BufferedImage(2 * MARGIN + COLUMNS * SIDE + (COLUMNS - 1) * SPACING, 2 * MARGIN + ROWS * SIDE + (ROWS - 1) * SPACING,
                BufferedImage.TYPE_INT_ARGB);
        for (int cell = 0; cell < CELLS; cell++) {
            for (int y = 0; y < SIDE; y++) {
                for (int x = 0; x < SIDE; x++) {
                    image.setRGB(MARGIN + cell % COLUMNS * (SIDE + SPACING) + x, MARGIN + cell / COLUMNS * (SIDE + SPACING) + y, pixel(cell, x, y));
                }
            }
        }
        Path to = folder.resolve("moths.png");
        ImageIO.write(image, "png", to.toFile());
        return to;
    }

    private void number(String field, String text) throws Exception {
        t.fill("sheet-" + field, text);
    }

    @Test
    void aSheetOfManyBecomesAFlipbook() throws Exception {
        t.fileToOpen = sheet();
        t.keys(KeyCode.CONTROL, KeyCode.SHIFT, KeyCode.B);
        t.until(() -> t.stage.getScene().lookup("#sheet-panel") != null);
        // by hand, whatever was guessed
        number("columns", String.valueOf(COLUMNS));
        number("rows", String.valueOf(ROWS));
        for (String side : List.of("left", "top", "right", "bottom")) {
            number(side, "7");
        }
        number("across", "3");
        number("down", "3");
        number("hold", "3");
        var words = (Label) t.node("sheet-result");
        assertThat(RealWindow.fx(words::getText)).isEqualTo(CELLS + " drawings of 20×20 px");
        t.click("sheet-apply");
        t.until(() -> t.studio.selected() != null && t.studio.selected().content() instanceof Flipbook);
        Flipbook b = (Flipbook) t.studio.selected().content();
        assertThat(b.drawings()).hasSize(CELLS);
        assertThat(b.ending()).isEqualTo(Flipbook.Ending.LOOP);
        assertThat(b.end()).isEqualTo(3 * CELLS);
        for (int cell = 0; cell < CELLS; cell++) {
            Element picture = b.drawings().get(cell).art().children().getFirst();
            Asset a = t.studio.project().assets().get(((Content.Picture) picture.content()).asset());
            BufferedImage image = ImageIO.read(new ByteArrayInputStream(a.data()));
            assertThat(image.getWidth()).isEqualTo(SIDE);
            for (int y = 0; y < SIDE; y++) {
                for (int x = 0; x < SIDE; x++) {
                    assertThat(image.getRGB(x, y)).as("cell %d at %d, %d", cell, x, y).isEqualTo(pixel(cell, x, y));
                }
            }
        }
        assertThat(t.stage.getScene().lookup("#sheet-panel")).isNull();
        t.keys(KeyCode.CONTROL, KeyCode.Z);
        assertThat(t.studio.board().elements()).isEmpty();
        assertThat(t.studio.project().assets()).as("one step takes its pictures along").isEmpty();
    }

    @Test
    void aPictureOnTheCanvasIsCutWhereItStands() throws Exception {
        t.fileToOpen = sheet();
        t.keys(KeyCode.CONTROL, KeyCode.I);
        t.until(() -> t.studio.selected() != null);
        t.fill("field-position-x", "200");
        t.run("sheet");
        t.until(() -> t.stage.getScene().lookup("#sheet-panel") != null);
        assertThat(t.shown("sheet-columns")).as("the guess").isEqualTo(String.valueOf(COLUMNS));
        number("first", "3");
        number("last", "10");
        t.click("sheet-apply");
        t.until(() -> t.studio.selected() != null && t.studio.selected().content() instanceof Flipbook);
        assertThat(t.studio.board().elements()).hasSize(1);
        assertThat(t.studio.selected().name()).isEqualTo("moths");
        assertThat(t.studio.selected().rest().get(Properties.POSITION).x()).isEqualTo(200);
        assertThat(((Flipbook) t.studio.selected().content()).drawings()).hasSize(8);
        // Escape leaves everything as it is
        t.fileToOpen = sheet();
        t.keys(KeyCode.ESCAPE);
        t.run("sheet");
        t.until(() -> t.stage.getScene().lookup("#sheet-panel") != null);
        number("left", "900");
        assertThat(RealWindow.fx(() -> ((Label) t.node("sheet-result")).getText())).contains("no room");
        assertThat(RealWindow.fx(() -> ((Button) t.node("sheet-apply")).isDisabled())).isTrue();
        t.keys(KeyCode.ESCAPE);
        assertThat(t.stage.getScene().lookup("#sheet-panel")).isNull();
        assertThat(t.studio.board().elements()).hasSize(1);
    }

    @Test
    void whatIsNoPictureIsToldInOneSentence() throws Exception {
        t.fileToOpen = Files.writeString(folder.resolve("broken.png"), "no picture");
        t.run("sheet");
        t.until(() -> t.stage.getScene().lookup("#notice") != null);
        assertThat(RealWindow.fx(() -> ((Label) t.node("notice")).getText())).contains("broken.png").contains("Nothing was changed");
        assertThat(t.stage.getScene().lookup("#sheet-panel")).isNull();
    }

    @Test
    void aFlipbookGoesOutAsASheetAndAsASeries() throws Exception {
        Project hop = ProjectFile.read(Path.of(System.getProperty("tundra.samples"), "hop.tundra"));
        RealWindow.fx(() -> {
            t.studio.open(hop, null);
            t.studio.select(List.of("s-hare"));
            return null;
        });
        t.fileToSave = folder.resolve("out.png");
        t.run("save-sheet");
        t.until(() -> Files.exists(folder.resolve("out.json")) && !t.w.jobs.busy());
        assertThat(Files.readString(folder.resolve("out.json"))).contains("\"name\" : \"Squash 2\"");
        t.folderToUse = folder.resolve("series");
        t.run("save-series");
        t.until(() -> Files.exists(folder.resolve("series/hare-020.png")) && !t.w.jobs.busy());
    }

    private ChecksPanel checks() throws Exception {
        t.until(() -> t.stage.getScene().lookup("#checks") instanceof ChecksPanel p && p.settled());
        return (ChecksPanel) t.node("checks");
    }

    private static ButtonBase goThere(ChecksPanel panel) {
        return panel.lookupAll(".button").stream().map(n -> (ButtonBase) n).filter(b -> "Go there".equals(b.getText())).findFirst().orElse(null);
    }

    @Test
    void checksGoThereAndMend() throws Exception {
        Project hop = ProjectFile.read(Path.of(System.getProperty("tundra.samples"), "hop.tundra"));
        Flipbook book = (Flipbook) hop.scenes().getFirst().board().find("s-hare").content();
        Flipbook holed = Drawings.shift(book, book.drawings().subList(4, 20).stream().map(d -> d.id()).toList(), 1);
        Project bad = hop.mapBoard("s-hop", b -> b.mapElement("s-hare", e -> e.withContent(holed))
                .mapTimeline("t-main", x -> x.withDuration(4_000_000))
                .mapElement(book.drawings().get(6).id(), e -> e.with(Properties.SCALE, new Point(1.1, 1.1))));
        RealWindow.fx(() -> {
            t.studio.open(bad, null);
            t.studio.setDesk(Desk.ANIMATE);
            return null;
        });
        t.settle();
        t.click("do-checks");
        ChecksPanel panel = checks();
        assertThat(RealWindow.fx(() -> ((Label) t.node("checks-count")).getText())).isEqualTo("1");
        // what scrolls is in the window from its next layout on
        t.until(() -> goThere(panel) != null);
        ButtonBase go = RealWindow.fx(() -> goThere(panel));
        t.until(() -> go.getWidth() > 20);
        t.click(RealWindow.fx(() -> t.screen(go, 10, 8)));
        t.until(() -> t.studio.desk() == Desk.DRAW);
        assertThat(t.studio.book().id()).isEqualTo("s-hare");
        assertThat(t.studio.book().current()).isEqualTo(4);
        Node fix = RealWindow.fx(() -> panel.lookup(".check-fix"));
        t.click(RealWindow.fx(() -> t.screen(fix, 10, 8)));
        t.until(() -> t.stage.getScene().lookup("#checks-count") instanceof Label l && l.getText().equals("nothing found"));
        Flipbook mended = (Flipbook) t.studio.board().find("s-hare").content();
        assertThat(mended.drawings().get(3).end()).isEqualTo(mended.drawings().get(4).start());
        t.keys(KeyCode.CONTROL, KeyCode.Z);
        t.until(() -> t.stage.getScene().lookup("#checks-count") instanceof Label l && l.getText().equals("1"));
        // a stricter bound tells more
        t.fill("checks-jump", "10");
        t.until(() -> t.stage.getScene().lookup("#checks-count") instanceof Label l && !l.getText().equals("1"));
        t.keys(KeyCode.CONTROL, KeyCode.J);
        assertThat(t.stage.getScene().lookup("#checks")).isNull();
    }

    @Test
    void numberedPicturesOfTheShelfAreASeries() throws Exception {
        var image = new BufferedImage(12, 10, BufferedImage.TYPE_INT_ARGB);
        for (int i = 1; i <= 4; i++) {
            image.setRGB(i, i, 0xFFCC0000 + i);
            ImageIO.write(image, "png", folder.resolve("step-" + (i == 4 ? 10 : i) + ".png").toFile());
        }
        RealWindow.fx(() -> {
            t.w.files.importing.keep(List.of(folder.resolve("step-10.png"), folder.resolve("step-2.png"), folder.resolve("step-1.png"),
                    folder.resolve("step-3.png")));
            return null;
        });
        t.settle();
        Node tile = RealWindow.fx(() -> t.stage.getScene().getRoot().lookupAll(".swatch-button").stream()
                .filter(n -> "Place step as a flipbook of 4 drawings".equals(n.getAccessibleText())).findFirst().orElseThrow());
        t.click(RealWindow.fx(() -> t.screen(tile, 15, 15)));
        Flipbook b = (Flipbook) t.studio.selected().content();
        assertThat(b.drawings()).extracting(d -> d.art().children().getFirst().name()).containsExactly("step-1", "step-2", "step-3", "step-10");
        assertThat(b.box()).isEqualTo(new Point(12, 10));
    }
}
