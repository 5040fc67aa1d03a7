package tundra.render;

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
        try (Surface s = Surface.makeRasterN32Premul(width, height); var painter = new Painter()) {
            painter.use(project.assets());
            painter.whole(s.getCanvas(), frame, width, height, false);
            try (Image image = s.makeImageSnapshot(); Data data = EncoderPNG.encode(image)) {
                return data.getBytes();
            }
        }
    }

    public static byte[] png(Project project, Frame frame) {
        return png(project, frame, (int) Math.ceil(frame.size().x()), (int) Math.ceil(frame.size().y()));
    }
}
