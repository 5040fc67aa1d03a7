package tundra.render;

import io.github.humbleui.skija.Data;
import io.github.humbleui.skija.EncoderPNG;
import io.github.humbleui.skija.Image;
import io.github.humbleui.skija.Surface;
import tundra.core.fit.VisitFrames;
import tundra.core.fit.VisitorState;
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

    /** What a visitor sees, as large as the window. */
    public static byte[] png(Project project, VisitorState v) {
        int w = (int) Math.round(v.window().x()), h = (int) Math.round(v.window().y());
        try (Surface s = Surface.makeRasterN32Premul(w, h); var painter = new Painter()) {
            painter.use(project.assets());
            painter.visit(s.getCanvas(), new VisitFrames(project, Fonts.of(project.assets())).at(v), v.window(), new Painter.Room(w, h, null, false));
            try (Image image = s.makeImageSnapshot(); Data data = EncoderPNG.encode(image)) {
                return data.getBytes();
            }
        }
    }
}
