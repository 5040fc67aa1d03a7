package tundra.app.canvas;

import tundra.app.view.Viewport;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import tundra.core.geometry.Point;
import tundra.core.geometry.Rect;

class ViewportTest {
    @Test
    void theCanvasIsFittedAndCentred() {
        Viewport v = Viewport.fit(new Point(1000, 500), new Rect(50, 20, 500, 400));
        assertThat(v.zoom()).isEqualTo(0.5);
        assertThat(v.toView(new Point(0, 0))).isEqualTo(new Point(50, 95));
        assertThat(v.toView(new Point(1000, 500))).isEqualTo(new Point(550, 345));
        assertThat(Viewport.fit(new Point(10, 10), new Rect(0, 0, 500, 500)).zoom()).as("tiny canvases are not blown up").isEqualTo(2);
    }

    @Test
    void zoomingLeavesThePointUnderThePointerWhereItIs() {
        Viewport v = new Viewport(0.7, new Point(13, 29));
        Point pointer = new Point(321, 123), under = v.toCanvas(pointer);
        for (double factor : new double[] {1.25, 0.1, 1e9, 1e-9}) {
            Viewport z = v.zoomed(factor, pointer);
            assertThat(z.zoom()).isBetween(Viewport.MIN, Viewport.MAX);
            assertThat(z.toView(under).distance(pointer)).isCloseTo(0, within(1e-6));
        }
        assertThat(v.moved(new Point(5, -5)).toView(under)).isEqualTo(v.toView(under).plus(new Point(5, -5)));
    }
}
