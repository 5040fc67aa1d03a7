package tundra.app;

import static org.assertj.core.api.Assertions.assertThat;

import io.github.humbleui.skija.Bitmap;
import io.github.humbleui.skija.Surface;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import javafx.scene.image.ImageView;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import tundra.app.command.Command;
import tundra.app.studio.Desk;
import tundra.core.file.ProjectFile;
import tundra.core.geometry.Point;
import tundra.core.model.Project;
import tundra.render.Painter;
import tundra.render.StillStore;

/** The picture of the canvas is never an old one and never elsewhere. */
@Tag("long")
class CanvasPictureTest extends InWindow {
    /** They leave the window or the project, ask for a file, or go on by themselves. */
    private static final Set<String> LEFT_OUT = Set.of("new", "new-window", "lesson", "start-page", "canvas-alone", "open", "save-as", "quit", "try",
            "open-browser", "theme", "play", "find", "rename");

    private Project sample(String name) throws Exception {
        return ProjectFile.read(Path.of(System.getProperty("tundra.samples"), name));
    }

    /** What the canvas should show now, painted once by a painter of its own. */
    private int[] wanted() throws Exception {
        return RealWindow.fx(() -> {
            var view = (ImageView) t.w.canvas.getChildrenUnmodifiable().getFirst();
            int w = (int) view.getImage().getWidth(), h = (int) view.getImage().getHeight();
            var v = t.w.canvas.viewport();
            try (var painter = new Painter(); var store = new StillStore(painter); var s = Surface.makeRasterN32Premul(w, h)) {
                painter.use(t.studio.project().assets());
                s.getCanvas().clear(0xFFC9D3CF);
                store.paint(s.getCanvas(), t.studio.picture().frame(), v.zoom(), v.origin().x(), v.origin().y(), w, h, false);
                try (var image = s.makeImageSnapshot(); var bitmap = Bitmap.makeFromImage(image)) {
                    var bytes = ByteBuffer.wrap(bitmap.readPixels()).order(ByteOrder.LITTLE_ENDIAN).asIntBuffer();
                    int[] out = new int[w * h];
                    bytes.get(out);
                    return out;
                }
            }
        });
    }

    /** The part of the canvas's pixels that differ plainly. */
    private double differing(int[] a, int[] b) throws Exception {
        var v = RealWindow.fx(() -> t.w.canvas.viewport());
        int w = RealWindow.fx(() -> (int) ((ImageView) t.w.canvas.getChildrenUnmodifiable().getFirst()).getImage().getWidth());
        Point size = t.studio.board().size(), from = v.toView(Point.ZERO), to = v.toView(size);
        int off = 0, all = 0;
        for (int i = 0; i < a.length; i++) {
            int x = i % w, y = i / w;
            if (x > from.x() + 1 && x < to.x() - 1 && y > from.y() + 1 && y < to.y() - 1) {
                all++;
                int d = Math.max(Math.abs((a[i] >> 16 & 255) - (b[i] >> 16 & 255)), Math.max(Math.abs((a[i] >> 8 & 255) - (b[i] >> 8 & 255)),
                        Math.abs((a[i] & 255) - (b[i] & 255))));
                off += d > 40 ? 1 : 0;
            }
        }
        return all == 0 ? 0 : (double) off / all;
    }

    @Test
    void itGoesOnWhenTheCanvasIsScrolledOutOfTheView() throws Exception {
        Project demo = sample("open-night.tundra");
        RealWindow.fx(() -> {
            t.studio.open(demo, null);
            return null;
        });
        t.settle();
        for (double[] way : new double[][] {{0, -1}, {0, 1}, {-1, 0}, {1, 0}}) {
            t.run("fit");
            for (int i = 0; i < 13; i++) {
                RealWindow.fx(() -> {
                    t.w.canvas.pan(new Point(way[0] * 120, way[1] * 90));
                    return null;
                });
                t.settle();
                assertThat(differing(t.picture(), wanted())).as("after %d notches", i + 1).isLessThan(0.002);
                assertThat(RealWindow.fx(() -> t.w.notices.told())).isNull();
            }
            int[] gone = t.picture();
            int plain = 0;
            for (int p : gone) {
                plain += Math.abs((p >> 16 & 255) - 0xC9) + Math.abs((p >> 8 & 255) - 0xD3) + Math.abs((p & 255) - 0xCF) < 60 ? 1 : 0;
            }
            assertThat(plain).as("nothing of an old picture stays").isGreaterThan(gone.length * 9 / 10);
        }
    }

    @Test
    void theOnionSkinLiesOnTheDrawingsAfterEveryCommand() throws Exception {
        Project demo = sample("hop.tundra");
        RealWindow.fx(() -> {
            // some 200 pictures are compared whole
            t.stage.setWidth(900);
            t.stage.setHeight(560);
            t.studio.open(demo, null);
            t.studio.setDesk(Desk.DRAW);
            t.studio.select(List.of("s-hare"));
            return null;
        });
        t.run("group");
        Project start = t.studio.project();
        var off = new ArrayList<String>();
        for (Command c : List.copyOf(t.w.commands.all())) {
            if (LEFT_OUT.contains(c.id()) || c.id().startsWith("desk-") || c.id().startsWith("helper-") || c.id().startsWith("save")) {
                continue;
            }
            RealWindow.fx(() -> {
                t.w.playback.stop();
                if (t.studio.project() != start) {
                    t.studio.open(start, null);
                }
                t.studio.setDesk(Desk.DRAW);
                t.studio.select(List.of());
                t.studio.groups().enter("s-hare");
                t.studio.time().seek(300_000);
                return null;
            });
            t.fx(() -> t.w.commands.run(c.id()));
            t.settle();
            // something that asks for the picture to be drawn anew without a change of it, twice
            RealWindow.fx(() -> {
                t.w.canvas.redraw();
                return null;
            });
            RealWindow.pulses(1);
            RealWindow.fx(() -> {
                t.w.canvas.redraw();
                return null;
            });
            double d = differing(t.picture(), wanted());
            if (d > 0.002) {
                off.add(c.id() + " " + d);
            }
            t.keys(KeyCode.ESCAPE);
        }
        assertThat(off).isEmpty();
    }
}
