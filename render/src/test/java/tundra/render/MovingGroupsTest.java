package tundra.render;

import static org.assertj.core.api.Assertions.assertThat;

import io.github.humbleui.skija.Canvas;
import io.github.humbleui.skija.Surface;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import tundra.core.frame.FrameBuilder;
import tundra.core.frame.FrameNode;
import tundra.core.geometry.Affine;
import tundra.core.geometry.Outline;
import tundra.core.geometry.Point;
import tundra.core.geometry.Rect;
import tundra.core.model.Board;
import tundra.core.model.Color;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Properties;
import tundra.core.model.Property;
import tundra.core.model.Timeline;
import tundra.core.model.Values;
import tundra.core.motion.Easing;
import tundra.core.motion.Key;
import tundra.core.motion.Track;

/** A group of ten boxes that moves as a whole, from its image and painted afresh. */
class MovingGroupsTest {
    private static final int W = 300, H = 160;
    private static final Affine VIEW = Affine.IDENTITY;

    /** The group goes 100 px to the right in a second. @param alone whether one of its boxes turns meanwhile */
    private static FrameBuilder builder(boolean alone, double grown, Outline clip) {
        var boxes = new ArrayList<Element>();
        for (int i = 0; i < 10; i++) {
            boxes.add(new Element("b" + i, "b", false, false, Values.NONE.with(Properties.POSITION, new Point(20 + 14 * i, 40 + 5 * (i % 3)))
                    .with(Properties.SIZE, new Point(24, 30)).with(Properties.FILL, new Color(25 * i, 90, 200 - 15 * i, 255)),
                    new Content.Rectangle()));
        }
        var group = new Element("g", "g", false, false, Values.NONE.with(Properties.POSITION, new Point(90, 60))
                .with(Properties.SCALE, new Point(1, 1)),
                new Content.Group(boxes, new Point(180, 120), clip));
        var moves = new HashMap<Property<?>, Track<?>>(Map.of(Properties.POSITION, track(new Point(90, 60), new Point(190, 60))));
        if (grown != 1) {
            moves.put(Properties.SCALE, track(new Point(1, 1), new Point(grown, grown)));
        }
        var main = new Timeline(Timeline.MAIN, 1_000_000).withTracks("g", moves);
        if (alone) {
            main = main.withTracks("b4", Map.of(Properties.ROTATION, track(0.0, 90.0)));
        }
        return new FrameBuilder(new Board(new Point(W, H), Values.NONE, List.of(group), List.of(main), List.of()), Fonts.BUNDLED);
    }

    private static <T> Track<T> track(T from, T to) {
        return new Track<>(List.of(new Key<>(0, from, Easing.LINEAR), new Key<>(1_000_000, to, Easing.LINEAR)));
    }

    private static FrameNode at(FrameBuilder b, double seconds) {
        return b.at(Math.round(seconds * 1e6)).nodes().getFirst();
    }

    @Test
    void theImageComesAtTheSecondSightAndLooksTheSame() {
        assertSameFromImage(builder(false, 1, null));
    }

    @Test
    void aClippedGroupStaysClipped() {
        assertSameFromImage(builder(false, 1, Outline.rectangle(new Rect(30, 30, 60, 25), 0)));
    }

    private static void assertSameFromImage(FrameBuilder b) {
        try (var painter = new Painter(); var groups = new MovingGroups(painter); Surface kept = Surface.makeRasterN32Premul(W, H);
                Surface fresh = Surface.makeRasterN32Premul(W, H)) {
            assertThat(groups.paint(kept.getCanvas(), at(b, 0), VIEW)).as("the first time").isFalse();
            for (double t : new double[] {0.1, 0.25, 0.5, 0.1025, 0.1050, 0.1075}) {
                Canvas k = kept.getCanvas().clear(0xFFFFFFFF), f = fresh.getCanvas().clear(0xFFFFFFFF);
                assertThat(groups.paint(k, at(b, t), VIEW)).as("at %s s", t).isTrue();
                painter.nodes(f, List.of(at(b, t)), 1);
                // at whole pixels and at quarters of them nothing is lost
                try (var x = kept.makeImageSnapshot(); var y = fresh.makeImageSnapshot()) {
                    assertThat(differing(Rasters.argb(x), Rasters.argb(y))).as("pixels that differ at %s s", t).isZero();
                }
            }
        }
    }

    @Test
    void whatMovesInsideIsPaintedAfresh() {
        FrameBuilder b = builder(true, 1, null);
        try (var painter = new Painter(); var groups = new MovingGroups(painter); Surface s = Surface.makeRasterN32Premul(W, H)) {
            for (double t : new double[] {0, 0.1, 0.2, 0.3}) {
                assertThat(groups.paint(s.getCanvas(), at(b, t), VIEW)).as("at %s s", t).isFalse();
            }
            // it stands still after the end
            groups.paint(s.getCanvas(), at(b, 1), VIEW);
            assertThat(groups.paint(s.getCanvas(), at(b, 1), VIEW)).isTrue();
        }
    }

    @Test
    void whatGrowsIsPaintedAfresh() {
        FrameBuilder b = builder(false, 2, null);
        try (var painter = new Painter(); var groups = new MovingGroups(painter); Surface s = Surface.makeRasterN32Premul(W, H)) {
            for (double t : new double[] {0, 0.2, 0.4}) {
                assertThat(groups.paint(s.getCanvas(), at(b, t), VIEW)).as("at %s s", t).isFalse();
            }
        }
    }

    @Test
    void betweenTheQuartersItIsLessThanAnEighthOfAPixelOff() {
        FrameBuilder b = builder(false, 1, null);
        try (var painter = new Painter(); var groups = new MovingGroups(painter); Surface kept = Surface.makeRasterN32Premul(W, H);
                Surface fresh = Surface.makeRasterN32Premul(W, H)) {
            groups.paint(kept.getCanvas(), at(b, 0), VIEW);
            for (double t : new double[] {0.2012, 0.30135, 0.4999}) {
                groups.paint(kept.getCanvas().clear(0xFFFFFFFF), at(b, t), VIEW);
                painter.nodes(fresh.getCanvas().clear(0xFFFFFFFF), List.of(at(b, t)), 1);
                try (var x = kept.makeImageSnapshot(); var y = fresh.makeImageSnapshot()) {
                    int[] p = Rasters.argb(x), q = Rasters.argb(y);
                    int most = 0;
                    for (int i = 0; i < p.length; i++) {
                        for (int shift = 0; shift < 24; shift += 8) {
                            most = Math.max(most, Math.abs((p[i] >> shift & 255) - (q[i] >> shift & 255)));
                        }
                    }
                    // an edge between white and black that is off by an eighth differs by 32, and some of it is rounded twice
                    assertThat(most).as("at %s s", t).isBetween(1, 34);
                }
            }
        }
    }

    @Test
    void whatTurnsComesFromOneSampledImage() {
        FrameBuilder b = builder(false, 1, null);
        try (var painter = new Painter(); var groups = new MovingGroups(painter); Surface kept = Surface.makeRasterN32Premul(W, H);
                Surface fresh = Surface.makeRasterN32Premul(W, H)) {
            for (int degrees : new int[] {0, 7, 14, 21}) {
                FrameNode n = at(b, 0.5).withPlacement(Affine.translate(60, 10).times(Affine.rotate(degrees)));
                boolean done = groups.paint(kept.getCanvas().clear(0xFFFFFFFF), n, VIEW);
                painter.nodes(fresh.getCanvas().clear(0xFFFFFFFF), List.of(n), 1);
                assertThat(done).isEqualTo(degrees > 0);
                if (done) {
                    try (var x = kept.makeImageSnapshot(); var y = fresh.makeImageSnapshot()) {
                        assertThat(psnr(Rasters.argb(x), Rasters.argb(y))).as("at %d degrees", degrees).isGreaterThan(30);
                    }
                }
            }
        }
    }

    private static double psnr(int[] a, int[] b) {
        double sum = 0;
        for (int i = 0; i < a.length; i++) {
            for (int shift = 0; shift < 24; shift += 8) {
                double d = (a[i] >> shift & 255) - (b[i] >> shift & 255);
                sum += d * d;
            }
        }
        return 10 * Math.log10(255 * 255 / (sum / (3.0 * a.length)));
    }

    @Test
    void fewChildrenAreAsFastWithoutAnImage() {
        FrameNode all = at(builder(false, 1, null), 0);
        var few = new FrameNode(all.id(), false, all.toParent(), 1, all.box(), List.of(), all.children().subList(0, 3), List.of());
        try (var painter = new Painter(); var groups = new MovingGroups(painter); Surface s = Surface.makeRasterN32Premul(W, H)) {
            groups.paint(s.getCanvas(), few, VIEW);
            assertThat(groups.paint(s.getCanvas(), few, VIEW)).isFalse();
        }
    }

    private static int differing(int[] a, int[] b) {
        int differ = 0;
        for (int i = 0; i < a.length; i++) {
            for (int shift = 0; shift < 24; shift += 8) {
                // the edge of a clip is rounded once more in an image
                differ += Math.abs((a[i] >> shift & 255) - (b[i] >> shift & 255)) > 2 ? 1 : 0;
            }
        }
        return differ;
    }
}
