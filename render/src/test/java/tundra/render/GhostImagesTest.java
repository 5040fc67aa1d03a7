package tundra.render;

import static org.assertj.core.api.Assertions.assertThat;

import io.github.humbleui.skija.Surface;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import tundra.core.flip.OnionLayers;
import tundra.core.flip.OnionSkin;
import tundra.core.frame.Frame;
import tundra.core.frame.FrameBuilder;
import tundra.core.frame.Moment;
import tundra.core.geometry.Affine;
import tundra.core.geometry.Point;
import tundra.core.model.Board;
import tundra.core.model.Color;
import tundra.core.model.Content;
import tundra.core.model.Drawing;
import tundra.core.model.Element;
import tundra.core.model.Flipbook;
import tundra.core.model.Properties;
import tundra.core.model.Timeline;
import tundra.core.model.Values;

/** An onion skin from images against one that is painted afresh, pixel for pixel. */
class GhostImagesTest {
    private static final OnionSkin SKIN = OnionSkin.STANDARD.withRange(2, 2).withOutlines(false);
    private final FrameBuilder builder = new FrameBuilder(board(), Fonts.BUNDLED);
    private final OnionLayers ghosts = new OnionLayers();

    private static Board board() {
        var drawings = new ArrayList<Drawing>();
        for (int i = 0; i < 6; i++) {
            var parts = new ArrayList<Element>();
            for (int k = 0; k < 3; k++) {
                parts.add(new Element("p" + i + k, "p", false, false, Values.NONE.with(Properties.POSITION, new Point(40 + 30 * i, 50 + 17 * k))
                        .with(Properties.SIZE, new Point(70, 40)).with(Properties.ROTATION, 10.0 * i)
                        .with(Properties.FILL, new Color(40 * i, 90, 60 * k, 255)),
                        new Content.Rectangle()));
            }
            parts.add(new Element("t" + i, "t", false, false, Values.NONE.with(Properties.POSITION, new Point(60 + 20 * i, 110))
                    .with(Properties.ROTATION, 20.0)
                    .with(Properties.FILL, Color.BLACK), new Content.Text("fjf", "Lora", 400, 40, Content.Align.LEFT, 0.8)));
            drawings.add(new Drawing(Flipbook.blank("Drawing " + i, new Point(300, 150)).withChildren(parts), i, 1));
        }
        var book = new Element("book", "Book", false, false, Values.NONE.with(Properties.POSITION, new Point(150, 75)),
                new Flipbook(drawings, new Point(300, 150), 24, Flipbook.Ending.LOOP));
        return new Board(new Point(300, 150), Values.NONE, List.of(book), List.of(new Timeline(Timeline.MAIN, 250_000)), List.of());
    }

    private Frame step(int i, OnionSkin skin) {
        long t = Math.round(i * 1e6 / 24) + 1;
        return skin.over(builder.at(t), builder, "book", Moment.opened(builder.board(), t), ghosts);
    }

    @Test
    void stepsLookLikeFreshOnesWhileGhostsFadeComeAndGo() {
        try (var painter = new Painter(); var store = new StillStore(painter); Surface kept = Surface.makeRasterN32Premul(400, 200);
                Surface fresh = Surface.makeRasterN32Premul(400, 200)) {
            for (int i : new int[] {0, 1, 2, 2, 3, 5, 0, 4}) {
                assertSame(painter, store, step(i, SKIN), 1.3, 2, kept, fresh);
            }
        }
    }

    @Test
    void aMovedViewAndAnotherTintArePaintedAnew() {
        try (var painter = new Painter(); var store = new StillStore(painter); Surface kept = Surface.makeRasterN32Premul(400, 200);
                Surface fresh = Surface.makeRasterN32Premul(400, 200)) {
            assertSame(painter, store, step(2, SKIN), 1, 0, kept, fresh);
            assertSame(painter, store, step(2, SKIN), 1, 40, kept, fresh);
            assertSame(painter, store, step(2, SKIN), 2, -90, kept, fresh);
            assertSame(painter, store, step(2, SKIN.withTints(Color.BLACK, Color.WHITE)), 2, -90, kept, fresh);
            assertSame(painter, store, step(2, SKIN.withOn(false)), 2, -90, kept, fresh);
        }
    }

    @Test
    void standingStillForAFrameDropsNoImage() {
        try (var painter = new Painter(); var images = new OnionImages(painter)) {
            images.prepare(step(2, SKIN).nodes(), Affine.IDENTITY, 300, 150);
            assertThat(images.images()).as("two before, two after").isEqualTo(4);
            // a frame in which nothing is new, and one in which only something else is
            images.prepare(List.of(), Affine.IDENTITY, 300, 150);
            images.prepare(step(2, SKIN.withOn(false)).nodes(), Affine.IDENTITY, 300, 150);
            images.prepare(step(3, SKIN).nodes(), Affine.IDENTITY, 300, 150);
            assertThat(images.images()).as("one at each end is new").isEqualTo(6);
        }
    }

    private static void assertSame(Painter painter, StillStore store, Frame f, double scale, int x, Surface kept, Surface fresh) {
        store.paint(kept.getCanvas().clear(0xFFFFFFFF), f, scale, x, 3, 400, 200, false);
        var c = fresh.getCanvas().clear(0xFFFFFFFF);
        c.save();
        c.translate(x, 3).scale((float) scale, (float) scale);
        painter.paint(c, f, scale);
        c.restore();
        try (var a = kept.makeImageSnapshot(); var b = fresh.makeImageSnapshot()) {
            int[] p = Rasters.argb(a), q = Rasters.argb(b);
            int differ = 0;
            for (int i = 0; i < p.length; i++) {
                for (int shift = 0; shift < 32; shift += 8) {
                    if (Math.abs((p[i] >> shift & 255) - (q[i] >> shift & 255)) > 2) {
                        differ++;
                        break;
                    }
                }
            }
            assertThat(differ).as("pixels that differ by more than 2 of 255").isZero();
        }
    }
}
