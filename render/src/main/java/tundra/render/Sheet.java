package tundra.render;

import io.github.humbleui.skija.Image;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import tundra.core.flip.SheetGrid;
import tundra.core.flip.SheetGuess;
import tundra.core.model.Asset;

/** A picture that holds many drawings, with its pixels at hand. */
public final class Sheet {
    private final Asset asset;
    private final int[] argb;

    /** Decodes a picture of the shelf; it was checked when it was brought in. */
    public Sheet(Asset asset) {
        this.asset = asset;
        try (Image image = PictureReader.decode(asset.data())) {
            argb = Rasters.argb(image);
        }
    }

    public Asset asset() {
        return asset;
    }

    public SheetGrid guess() {
        return SheetGuess.of(argb, asset.width(), asset.height());
    }

    /** The pixels of a cell, row by row, not premultiplied; outside of the sheet they are transparent. */
    public int[] pixels(SheetGrid.Cell c) {
        int[] out = new int[c.width() * c.height()];
        for (int y = 0; y < c.height(); y++) {
            int row = c.y() + y, n = Math.min(c.width(), asset.width() - c.x());
            if (row >= 0 && row < asset.height() && n > 0) {
                System.arraycopy(argb, row * asset.width() + c.x(), out, y * c.width(), n);
            }
        }
        return out;
    }

    public boolean empty(SheetGrid.Cell c) {
        for (int p : pixels(c)) {
            if (p >>> 24 != 0) {
                return false;
            }
        }
        return true;
    }

    /** Each cell as a picture of its own, pixel for pixel; null for one that is empty. */
    public List<Asset> cut(List<SheetGrid.Cell> cells) {
        var out = new ArrayList<Asset>();
        for (SheetGrid.Cell c : cells) {
            out.add(empty(c) ? null : Asset.picture(String.format(Locale.ROOT, "%s %02d.png", asset.title(), out.size() + 1), "image/png",
                    c.width(), c.height(), Rasters.png(pixels(c), c.width(), c.height())));
        }
        return out;
    }
}
