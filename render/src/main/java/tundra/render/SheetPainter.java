package tundra.render;

import io.github.humbleui.skija.Canvas;
import io.github.humbleui.skija.Data;
import io.github.humbleui.skija.EncoderPNG;
import io.github.humbleui.skija.Image;
import io.github.humbleui.skija.Surface;
import io.github.humbleui.types.Rect;
import java.util.ArrayList;
import java.util.List;
import tundra.core.file.SheetFile;
import tundra.core.flip.SheetGrid;
import tundra.core.model.Project;

/** Paints the pictures of a series, one by one or on a sheet. */
public final class SheetPainter {
    private SheetPainter() {}

    /** The bytes of one PNG for each picture. */
    public static List<byte[]> series(Project project, SheetFile.Series s, double scale) {
        try (var painter = new Painter()) {
            painter.use(project.assets());
            var out = new ArrayList<byte[]>();
            int w = s.width(scale), h = s.height(scale);
            for (SheetFile.Picture p : s.pictures()) {
                try (Surface surface = Surface.makeRasterN32Premul(w, h)) {
                    picture(painter, surface.getCanvas(), s, p, scale);
                    out.add(encode(surface));
                }
            }
            return out;
        }
    }

    /** The bytes of a PNG with all pictures on it. */
    public static byte[] sheet(Project project, SheetFile.Series s, SheetGrid grid, double scale) {
        int w = s.sheetWidth(grid, scale), h = s.sheetHeight(grid, scale);
        try (var painter = new Painter(); Surface surface = Surface.makeRasterN32Premul(w, h)) {
            painter.use(project.assets());
            Canvas c = surface.getCanvas();
            List<SheetGrid.Cell> cells = grid.cells(w, h, false);
            for (int i = 0; i < s.pictures().size(); i++) {
                SheetGrid.Cell cell = cells.get(i);
                c.save();
                c.translate(cell.x(), cell.y()).clipRect(Rect.makeWH(cell.width(), cell.height()));
                picture(painter, c, s, s.pictures().get(i), scale);
                c.restore();
            }
            return encode(surface);
        }
    }

    private static void picture(Painter painter, Canvas c, SheetFile.Series s, SheetFile.Picture p, double scale) {
        c.save();
        if (p.background().visible()) {
            c.drawColor(p.background().argb());
        }
        c.scale((float) scale, (float) scale).translate((float) -s.area().x(), (float) -s.area().y());
        painter.nodes(c, p.nodes(), scale);
        c.restore();
    }

    private static byte[] encode(Surface surface) {
        try (Image image = surface.makeImageSnapshot(); Data data = EncoderPNG.encode(image)) {
            return data.getBytes();
        }
    }
}
