package tundra.render;

import io.github.humbleui.skija.Path;
import io.github.humbleui.skija.PathBuilder;
import io.github.humbleui.types.RRect;
import io.github.humbleui.types.Rect;
import tundra.core.frame.Form;
import tundra.core.geometry.Contour;
import tundra.core.geometry.Node;
import tundra.core.geometry.Outline;
import tundra.core.geometry.Point;

/** Forms and outlines as Skia's shapes. */
final class SkiaShapes {
    private SkiaShapes() {}

    static Rect rect(Point size) {
        return Rect.makeWH((float) size.x(), (float) size.y());
    }

    static RRect rounded(Form.Box b) {
        float r = (float) Math.min(b.radius(), Math.min(b.size().x(), b.size().y()) / 2);
        return RRect.makeXYWH(0, 0, (float) b.size().x(), (float) b.size().y(), r);
    }

    /** The caller closes it. */
    static Path path(Outline outline) {
        try (var b = new PathBuilder()) {
            for (Contour c : outline.contours()) {
                int n = c.nodes().size();
                if (n == 0) {
                    continue;
                }
                Point start = c.nodes().getFirst().at();
                b.moveTo((float) start.x(), (float) start.y());
                for (int i = 0; i < (c.closed() && n > 1 ? n : n - 1); i++) {
                    segment(b, c.nodes().get(i), c.nodes().get((i + 1) % n));
                }
                if (c.closed()) {
                    b.closePath();
                }
            }
            return b.build();
        }
    }

    private static void segment(PathBuilder b, Node from, Node to) {
        if (from.out().equals(Point.ZERO) && to.in().equals(Point.ZERO)) {
            b.lineTo((float) to.at().x(), (float) to.at().y());
        } else {
            Point h = from.at().plus(from.out()), k = to.at().plus(to.in());
            b.cubicTo((float) h.x(), (float) h.y(), (float) k.x(), (float) k.y(), (float) to.at().x(), (float) to.at().y());
        }
    }
}
