package tundra.render;

import io.github.humbleui.skija.Canvas;
import io.github.humbleui.skija.Data;
import io.github.humbleui.skija.EncoderPNG;
import io.github.humbleui.skija.Image;
import io.github.humbleui.skija.Surface;
import tundra.core.frame.Frame;
import tundra.core.model.Project;

/** One frame as a PNG file. */
public final class Still {
    private Still() {}

    /** The bytes of a PNG of {@code width}×{@code height}; the canvas is fitted in and centred on its own background. */
    public static byte[] png(Project project, Frame frame, int width, int height) {
        double scale = Math.min(width / frame.size().x(), height / frame.size().y());
        double x = (width - frame.size().x() * scale) / 2, y = (height - frame.size().y() * scale) / 2;
        try (Surface s = Surface.makeRasterN32Premul(width, height); var painter = new Painter()) {
            painter.use(project.assets());
            Canvas c = s.getCanvas();
            c.clear(frame.background().argb());
            c.translate((float) x, (float) y).scale((float) scale, (float) scale);
            c.clipRect(Shapes.rect(frame.size()));
            painter.picture(frame.nodes(), () -> painter.nodes(c, frame.nodes(), scale));
            try (Image image = s.makeImageSnapshot(); Data data = EncoderPNG.encode(image)) {
                return data.getBytes();
            }
        }
    }

    public static byte[] png(Project project, Frame frame) {
        return png(project, frame, (int) Math.ceil(frame.size().x()), (int) Math.ceil(frame.size().y()));
    }
}
