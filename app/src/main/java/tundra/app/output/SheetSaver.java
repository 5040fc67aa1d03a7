package tundra.app.output;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import tundra.core.file.FileProblem;
import tundra.core.file.SafeReplace;
import tundra.core.model.Limits;
import tundra.core.file.SheetFile;
import tundra.core.flip.SheetGrid;
import tundra.core.model.Project;
import tundra.render.SheetPainter;

/** Writes drawings as a sheet with its JSON beside it, or as a series of pictures. */
public final class SheetSaver {
    /** The most frames of a scene on one. */
    public static final int MOST = 10_000;

    private SheetSaver() {}

    /** The picture and, beside it with the same name, the JSON that says where each drawing lies. */
    public static List<Path> sheet(Project p, SheetFile.Series s, SheetGrid grid, double scale, Path png) throws IOException {
        any(s);
        int w = s.sheetWidth(grid, scale), h = s.sheetHeight(grid, scale);
        if (w > Limits.SIDE || h > Limits.SIDE || (long) w * h > Limits.PIXELS) {
            throw new FileProblem("The sheet would measure " + w + "×" + h + " pixels; up to " + Limits.SIDE
                    + " a side are possible. Make the drawings smaller with a "
                    + "scale, or save a series of pictures. Nothing was written.");
        }
        byte[] picture = SheetPainter.sheet(p, s, grid, scale);
        Path json = png.resolveSibling(png.getFileName().toString().replaceFirst("(?i)\\.png$", "") + ".json");
        SafeReplace.put(png, picture);
        SafeReplace.put(json, SheetFile.json(s, grid, scale, png.getFileName().toString()));
        return List.of(png, json);
    }

    /** One PNG for each drawing, named by its number. */
    public static int series(Project p, SheetFile.Series s, double scale, Path folder) throws IOException {
        any(s);
        Files.createDirectories(folder);
        List<byte[]> all = SheetPainter.series(p, s, scale);
        String name = s.name().replaceAll("[^\\p{L}\\p{N}]+", "-").toLowerCase(Locale.ROOT);
        for (int i = 0; i < all.size(); i++) {
            SafeReplace.put(folder.resolve(String.format(Locale.ROOT, "%s-%03d.png", name, i + 1)), all.get(i));
        }
        return all.size();
    }

    private static void any(SheetFile.Series s) throws FileProblem {
        if (s.pictures().isEmpty()) {
            throw new FileProblem("“" + s.name() + "” has no drawings that could be written. Nothing was written.");
        }
    }
}
