package tundra.core.flip;

import java.util.List;
import tundra.core.model.Asset;

/** Puts pictures of one size on a sheet. */
@FunctionalInterface
public interface SheetMaker {
    /**
     * The bytes of a picture: a WebP of WebP pictures, else a PNG. Between cells the pictures' edges are drawn on, so that nothing of a neighbour
     * shines in where it is scaled.
     *
     * @param grid with a spacing of at least 2 px and a margin of at least 1
     */
    byte[] sheet(List<Asset> pictures, SheetGrid grid);
}
