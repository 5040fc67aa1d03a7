package tundra.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.awt.image.BufferedImage;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import javafx.scene.input.KeyCode;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tundra.app.studio.Desk;
import tundra.core.edit.Drawings;
import tundra.core.geometry.Point;
import tundra.core.model.Color;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Flipbook;
import tundra.core.model.Properties;
import tundra.core.model.Values;

/** What comes in while a flipbook is worked on lands on the drawing that is seen. */
class ArtOnDrawingTest extends InWindow {
    @TempDir
    Path folder;

    @BeforeEach
    void twoDrawings() throws Exception {
        t.keys(KeyCode.CONTROL, KeyCode.SHIFT, KeyCode.F);
        t.keys(KeyCode.R);
        t.drag(t.canvas(60, 250), t.canvas(120, 300));
        t.keys(KeyCode.ALT, KeyCode.N);
    }

    private Flipbook book() throws Exception {
        return RealWindow.fx(() -> t.studio.book().book());
    }

    private List<Element> on(int drawing) throws Exception {
        return book().drawings().get(drawing).art().children();
    }

    private void bringIn(Point at, Path... files) throws Exception {
        RealWindow.fx(() -> {
            t.w.files.importing.bringIn(List.of(files), at);
            return null;
        });
        t.settle();
    }

    private Path picture() throws Exception {
        Path p = folder.resolve("snowflake.png");
        ImageIO.write(new BufferedImage(24, 24, BufferedImage.TYPE_INT_RGB), "png", p.toFile());
        return p;
    }

    @Test
    void aPictureStandsWhereItWasDropped() throws Exception {
        bringIn(new Point(200, 150), picture());
        assertThat(on(0)).hasSize(1);
        assertThat(on(1)).singleElement().satisfies(e -> assertThat(e.content()).isInstanceOf(Content.Picture.class));
        String id = on(1).getFirst().id();
        Point middle = RealWindow.fx(() -> t.studio.picture().placed(id).bounds().centre());
        assertThat(middle.distance(new Point(200, 150))).isLessThan(1e-6);
        assertThat(t.studio.board().elements()).as("nothing beside the flipbook").hasSize(1);
        assertThat(t.studio.selection()).containsExactly(id);
        t.keys(KeyCode.CONTROL, KeyCode.Z);
        assertThat(on(1)).as("one step of undo").isEmpty();
    }

    @Test
    void severalOnAFrameWithoutADrawingBecomeOneDrawing() throws Exception {
        String second = book().drawings().get(1).id();
        RealWindow.fx(() -> {
            t.studio.book().edit("Move", null, b -> Drawings.shift(b, List.of(second), 6));
            t.studio.book().go(4);
            return null;
        });
        t.settle();
        Path svg = folder.resolve("two.svg");
        Files.writeString(svg, "<svg xmlns='http://www.w3.org/2000/svg' width='80' height='40'><rect width='30' height='40'/><circle cx='60' cy='20' r='20'/></svg>");
        bringIn(new Point(200, 150), picture(), svg, picture());
        assertThat(book().drawings()).hasSize(3);
        assertThat(book().drawings().get(1).start()).isEqualTo(4);
        assertThat(on(1)).hasSize(3);
        for (int i = 0; i < 3; i++) {
            String id = on(1).get(i).id();
            Point middle = RealWindow.fx(() -> t.studio.picture().placed(id).bounds().centre());
            assertThat(middle.distance(new Point(200 + 16 * i, 150 + 16 * i))).as("file %d", i).isLessThan(1e-6);
        }
        t.keys(KeyCode.CONTROL, KeyCode.Z);
        assertThat(book().drawings()).hasSize(2);
    }

    @Test
    void aDrawnFileStandsInTheMiddleOfTheCanvas() throws Exception {
        Path svg = folder.resolve("flag.svg");
        Files.writeString(svg, "<svg xmlns='http://www.w3.org/2000/svg' width='80' height='40'><rect width='80' height='40' fill='#C8503A'/></svg>");
        bringIn(null, svg);
        assertThat(on(1)).hasSize(1);
        Point middle = RealWindow.fx(() -> t.studio.picture().placed(on(1).getFirst().id()).bounds().centre());
        assertThat(middle.x()).isCloseTo(320, within(1e-6));
        assertThat(middle.y()).isCloseTo(200, within(1e-6));
    }

    @Test
    void wordsAreTypedOnTheDrawing() throws Exception {
        t.keys(KeyCode.T);
        t.click(t.canvas(300, 100));
        t.type("Hop");
        assertThat(on(0)).hasSize(1);
        assertThat(on(1)).singleElement().satisfies(e -> assertThat(((Content.Text) e.content()).text()).isEqualTo("Hop"));
        t.keys(KeyCode.ESCAPE);
        t.keys(KeyCode.CONTROL, KeyCode.Z);
        t.keys(KeyCode.CONTROL, KeyCode.Z);
        assertThat(on(1)).isEmpty();
    }

    @Test
    void aFilledRegionLiesBeneathItsStrokesOnTheDrawing() throws Exception {
        var ring = new Element("Ring", new Content.Ellipse(), Values.NONE.with(Properties.POSITION, new Point(300, 150))
                .with(Properties.SIZE, new Point(120, 80))
                .with(Properties.STROKE, Color.BLACK).with(Properties.STROKE_WIDTH, 2.0));
        RealWindow.fx(() -> {
            t.studio.edit("Add Ring", b -> t.studio.add(b, ring));
            return null;
        });
        t.settle();
        t.keys(KeyCode.F);
        t.click(t.canvas(310, 160));
        t.until(() -> t.studio.history().undoName().equals("Fill region"));
        assertThat(on(0)).hasSize(1);
        assertThat(on(1)).extracting(Element::name).containsExactly("Fill", "Ring");
        Point middle = RealWindow.fx(() -> t.studio.picture().placed(on(1).getFirst().id()).bounds().centre());
        assertThat(middle.distance(new Point(300, 150))).isLessThan(0.5);
    }

    @Test
    void onAnotherDeskArtGoesOnTheCanvas() throws Exception {
        RealWindow.fx(() -> {
            t.studio.setDesk(Desk.ANIMATE);
            return null;
        });
        t.settle();
        bringIn(new Point(100, 100), picture());
        assertThat(t.studio.board().elements()).hasSize(2);
        assertThat(t.studio.board().elements().getLast().rest().get(Properties.POSITION)).isEqualTo(new Point(100, 100));
    }
}
