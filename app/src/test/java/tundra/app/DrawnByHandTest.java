package tundra.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.util.List;
import javafx.scene.input.KeyCode;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import tundra.core.frame.FrameBuilder;
import tundra.core.geometry.Point;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.core.model.Values;
import tundra.render.Fonts;
import tundra.render.Still;
import tundra.samples.OpenNight;

/** The hut, the sled and the hare of the demo drawn from nothing with mouse and keyboard, twice as large. */
class DrawnByHandTest extends InWindow {
    /** Where the demo's art begins that is drawn at the moment. */
    private Point origin;

    private Point at(double x, double y) throws Exception {
        Point p = new Point(x, y).minus(origin).times(2);
        return t.canvas(p.x(), p.y());
    }

    private void fill(String hex) throws Exception {
        t.fill("field-fill", hex);
    }

    private void stroke(String hex, String width) throws Exception {
        t.fill("field-stroke", hex);
        t.fill("field-strokeWidth", width);
    }

    private void box(KeyCode tool, double x, double y, double w, double h) throws Exception {
        t.keys(tool);
        t.hold(KeyCode.CONTROL);
        t.drag(at(x, y), at(x + w, y + h));
        t.letGo(KeyCode.CONTROL);
    }

    /** Corners set with the pen; the first one closes it. */
    private void corners(double... xy) throws Exception {
        t.keys(KeyCode.P);
        for (int i = 0; i < xy.length; i += 2) {
            t.click(at(xy[i], xy[i + 1]));
        }
        t.click(at(xy[0], xy[1]));
    }

    /** Nodes set with the pen, each pulled to its handle; four numbers a node. */
    private void curve(boolean close, double... xyOut) throws Exception {
        t.keys(KeyCode.P);
        for (int i = 0; i < xyOut.length; i += 4) {
            Point from = at(xyOut[i], xyOut[i + 1]);
            if (xyOut[i + 2] == 0 && xyOut[i + 3] == 0) {
                t.click(from);
            } else {
                t.drag(from, at(xyOut[i] + xyOut[i + 2], xyOut[i + 1] + xyOut[i + 3]));
            }
        }
        if (close) {
            t.click(at(xyOut[0], xyOut[1]));
        } else {
            t.keys(KeyCode.ENTER);
        }
    }

    private static BufferedImage picture(Project p) throws Exception {
        return ImageIO.read(new ByteArrayInputStream(Still.png(p, new FrameBuilder(p.scenes().getFirst().board(), Fonts.BUNDLED).at(0))));
    }

    /** The demo's art alone, twice as large, where it was drawn here. */
    private BufferedImage demo(String name) throws Exception {
        Element e = OpenNight.project().scenes().getFirst().board().elements().stream().filter(x -> x.name().equals(name)).findFirst().orElseThrow();
        Element placed = e.with(Properties.SCALE, new Point(2, 2)).with(Properties.POSITION, e.rest().get(Properties.POSITION).minus(origin)
                .times(2));
        Project p = Project.empty("Demo", new Point(640, 400), 24);
        return picture(p.mapBoard(p.scenes().getFirst().id(), b -> b.withElements(List.of(placed))));
    }

    private double likeness(String name) throws Exception {
        BufferedImage a = demo(name), b = picture(t.studio.project());
        double sum = 0;
        for (int y = 0; y < 400; y++) {
            for (int x = 0; x < 640; x++) {
                for (int shift = 0; shift <= 16; shift += 8) {
                    double d = (a.getRGB(x, y) >> shift & 0xFF) - (b.getRGB(x, y) >> shift & 0xFF);
                    sum += d * d;
                }
            }
        }
        return 10 * Math.log10(255 * 255 / (sum / (640 * 400 * 3)));
    }

    @Test
    void theHut() throws Exception {
        origin = new Point(800, 340);
        box(KeyCode.R, 872, 480, 9, 34);
        fill("4a565b");
        // two more legs are copies, moved by number
        for (String x : new String[] {"309", "461"}) {
            t.keys(KeyCode.CONTROL, KeyCode.D);
            t.fill("field-position-x", x);
            t.fill("field-position-y", "314");
        }
        box(KeyCode.R, 854, 402, 198, 80);
        fill("c8503a");
        t.fill("field-cornerRadius", "6");
        corners(844, 404, 870, 366, 1036, 366, 1064, 404);
        fill("8c332a");
        for (double x : new double[] {874, 926}) {
            box(KeyCode.R, x, 420, 34, 32);
            fill("ffe39a");
            t.fill("field-cornerRadius", "6");
        }
        box(KeyCode.R, 984, 418, 40, 64);
        fill("5b231c");
        t.fill("field-cornerRadius", "6");
        t.run("select-all");
        t.keys(KeyCode.CONTROL, KeyCode.G);
        assertThat(t.studio.board().elements()).hasSize(1);
        assertThat(t.studio.selected().children()).hasSize(8);
        assertThat(likeness("Station")).as("dB").isGreaterThan(30);
    }

    @Test
    void theSled() throws Exception {
        origin = new Point(150, 440);
        corners(266, 506, 284, 504, 292, 548, 262, 550);
        fill("2e6488");
        box(KeyCode.E, 263, 483, 22, 22);
        fill("f2c8a4");
        corners(262, 494, 268, 482, 280, 481, 287, 490, 276, 488, 268, 500);
        fill("24506e");
        box(KeyCode.R, 222, 518, 34, 22);
        fill("6b4a33");
        t.fill("field-cornerRadius", "6");
        corners(212, 540, 300, 536, 292, 556, 216, 557);
        fill("e9b44c");
        curve(false, 206, 562, 0, 0, 296, 560, 0, 0, 322, 544, 2, -14);
        fill("00000000");
        stroke("2b3a40", "8");
        t.run("select-all");
        t.keys(KeyCode.CONTROL, KeyCode.G);
        assertThat(t.studio.selected().content()).isInstanceOf(Content.Group.class);
        assertThat(likeness("Sled")).as("dB").isGreaterThan(30);
    }

    @Test
    void theHare() throws Exception {
        origin = new Point(300, 440);
        curve(true, 476, 495, 0, 0, 480, 460, 6, 8, 484, 497, 0, 0);
        fill("e4ebef");
        box(KeyCode.E, 373, 533, 14, 14);
        fill("ffffff");
        curve(true, 380, 548, 0, 0, 384, 520, 12, -22, 426, 500, 22, 0, 470, 526, 5, 10, 466, 548, 0, 0);
        fill("f7f1ea");
        curve(false, 392, 548, 0, 0, 412, 522, 14, -4, 428, 546, 0, 0);
        fill("00000000");
        curve(true, 470, 496, 0, 0, 462, 462, 8, 6, 478, 494, 0, 0);
        fill("ffffff");
        box(KeyCode.E, 461, 493, 30, 30);
        fill("ffffff");
        t.run("select-all");
        for (Element e : t.studio.board().elements()) {
            RealWindow.fx(() -> {
                t.studio.select(List.of(e.id()));
                return null;
            });
            t.settle();
            stroke("53626b", "3.2");
        }
        box(KeyCode.E, 478.8, 502.8, 4.4, 4.4);
        fill("1d2926");
        t.fill("field-stroke", "00000000");
        t.run("select-all");
        t.keys(KeyCode.CONTROL, KeyCode.G);
        assertThat(t.studio.selected().children()).hasSize(7);
        assertThat(t.studio.selected().rest()).isNotEqualTo(Values.NONE);
        // the demo's hare sits further left than it was drawn
        origin = new Point(150, 440);
        assertThat(likeness("Hare at rest")).as("dB").isGreaterThan(26);
    }
}
