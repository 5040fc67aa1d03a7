package tundra.render;

import java.util.List;
import tundra.core.flip.SheetGrid;
import tundra.core.flip.SheetMaker;
import tundra.core.model.Asset;

/** Puts pictures side by side, pixel for pixel; WebP pictures make a WebP, anything else a PNG. */
public final class PictureSheets implements SheetMaker {
    @Override
    public byte[] sheet(List<Asset> pictures, SheetGrid grid) {
        int cw = pictures.getFirst().width(), ch = pictures.getFirst().height();
        int w = grid.left() + grid.right() + grid.columns() * cw + (grid.columns() - 1) * grid.across();
        int h = grid.top() + grid.bottom() + grid.rows() * ch + (grid.rows() - 1) * grid.down();
        int[] out = new int[w * h];
        List<SheetGrid.Cell> cells = grid.cells(w, h, false);
        for (int i = 0; i < pictures.size(); i++) {
            int[] argb = new Sheet(pictures.get(i)).pixels(new SheetGrid.Cell(0, 0, cw, ch));
            SheetGrid.Cell c = cells.get(i);
            for (int y = -1; y <= ch; y++) {
                int from = Math.max(0, Math.min(ch - 1, y)) * cw, row = (c.y() + y) * w + c.x();
                System.arraycopy(argb, from, out, row, cw);
                out[row - 1] = argb[from];
                out[row + cw] = argb[from + cw - 1];
            }
        }
        return pictures.stream().allMatch(a -> a.mediaType().equals("image/webp")) ? Rasters.webp(out, w, h) : Rasters.png(out, w, h);
    }
}
