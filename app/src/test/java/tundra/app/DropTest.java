package tundra.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.awt.image.BufferedImage;
import java.nio.file.Path;
import java.util.List;
import javafx.event.EventHandler;
import javafx.scene.Scene;
import javafx.scene.input.ClipboardContent;
import javafx.scene.input.DragEvent;
import javafx.scene.input.KeyCode;
import javafx.scene.input.TransferMode;
import javafx.scene.layout.Pane;
import javafx.stage.Stage;
import javafx.stage.StageStyle;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tundra.core.geometry.Point;
import tundra.core.model.Element;
import tundra.core.model.Properties;

/** Files dragged in from another window, by the platform's own drag and drop. */
class DropTest extends InWindow {
    @TempDir
    Path folder;

    private Path picture() throws Exception {
        Path p = folder.resolve("flag.png");
        ImageIO.write(new BufferedImage(40, 20, BufferedImage.TYPE_INT_RGB), "png", p.toFile());
        return p;
    }

    /** Carries a file from a window of its own to a place of the screen and lets it go there. */
    private void carry(Path file, Point to) throws Exception {
        Stage other = RealWindow.fx(() -> {
            var pane = new Pane();
            pane.setOnDragDetected(e -> {
                var c = new ClipboardContent();
                c.putFiles(List.of(file.toFile()));
                pane.startDragAndDrop(TransferMode.COPY).setContent(c);
                e.consume();
            });
            var s = new Stage(StageStyle.UNDECORATED);
            s.setScene(new Scene(pane, 160, 120));
            s.setX(1360);
            s.setY(60);
            s.show();
            return s;
        });
        // where the window last heard of what is carried
        var over = new Point[1];
        EventHandler<DragEvent> heard = e -> over[0] = new Point(e.getScreenX(), e.getScreenY());
        try {
            RealWindow.fx(() -> {
                t.stage.getScene().addEventFilter(DragEvent.DRAG_OVER, heard);
                return null;
            });
            t.settle();
            t.moveTo(new Point(1440, 120));
            t.down();
            for (int i = 1; i <= 12; i++) {
                t.moveTo(new Point(1440, 120).lerp(to, i / 12.0));
            }
            t.until(() -> over[0] != null && over[0].distance(to) < 3);
            t.up();
        } finally {
            RealWindow.fx(() -> {
                t.stage.getScene().removeEventFilter(DragEvent.DRAG_OVER, heard);
                other.hide();
                return null;
            });
        }
    }

    @Test
    void aFileDroppedOnTheCanvasIsPlacedThere() throws Exception {
        carry(picture(), t.canvas(150, 120));
        t.until(() -> !t.studio.board().elements().isEmpty());
        Element e = t.studio.selected();
        assertThat(e.rest().get(Properties.POSITION).x()).isCloseTo(150, within(1.5));
        assertThat(e.rest().get(Properties.POSITION).y()).isCloseTo(120, within(1.5));
        t.keys(KeyCode.CONTROL, KeyCode.Z);
        assertThat(t.studio.board().elements()).isEmpty();
    }

    @Test
    void aFileDroppedOnTheShelfIsOnlyKept() throws Exception {
        carry(picture(), t.middle("shelf"));
        t.until(() -> t.studio.project().assets().size() == 1);
        assertThat(t.studio.board().elements()).isEmpty();
    }
}
