package tundra.app.art;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Locale;
import tundra.core.model.Limits;
import tundra.core.svg.SvgReader;
import tundra.render.FontReader;
import tundra.render.Fonts;
import tundra.render.PictureReader;
import tundra.render.SoundReader;

/** Reads a file by what it holds: SVG as elements, fonts and sounds for the shelf, everything else as a picture. */
public final class ArtReader {
    private ArtReader() {}

    public static ImportedArt read(Path file) throws IOException {
        String name = file.getFileName().toString();
        if (Files.exists(file) && !Files.isRegularFile(file)) {
            throw new IOException("“" + name + "” can't be brought in: it is " + (Files.isDirectory(file) ? "a folder"
                    : "no file, but a pipe or a device") + ". Nothing was changed.");
        }
        ImportedArt part = PartReader.read(name, file);
        if (part != null) {
            return part;
        }
        if (Files.isRegularFile(file) && Files.size(file) < 64 << 20 && isSvg(name, file)) {
            return drawing(name, Files.readAllBytes(file));
        }
        if (Files.isRegularFile(file) && Files.size(file) < Limits.ENTRY_BYTES) {
            byte[] start = start(file);
            if (FontReader.isFont(start)) {
                return new ImportedArt.Kept(FontReader.read(name, Files.readAllBytes(file)));
            }
            if (SoundReader.type(start) != null) {
                return new ImportedArt.Kept(SoundReader.read(name, Files.readAllBytes(file)));
            }
        }
        return new ImportedArt.Picture(PictureReader.read(file));
    }

    public static ImportedArt drawing(String name, byte[] data) throws IOException {
        var art = SvgReader.read(name, data, Fonts.BUNDLED, PictureReader::read);
        if (art.elements().isEmpty()) {
            throw new IOException("“" + name + "” can't be brought in: nothing in it can be seen. Nothing was changed.");
        }
        return new ImportedArt.Drawing(art);
    }

    private static byte[] start(Path file) throws IOException {
        try (var in = Files.newInputStream(file)) {
            return in.readNBytes(64);
        }
    }

    private static boolean isSvg(String name, Path file) throws IOException {
        String ending = name.toLowerCase(Locale.ROOT);
        if (ending.endsWith(".svg") || ending.endsWith(".svgz")) {
            return true;
        }
        try (var in = Files.newInputStream(file)) {
            return isSvg(new String(in.readNBytes(1000), StandardCharsets.ISO_8859_1));
        }
    }

    /** Whether a text looks like the start of an SVG drawing. */
    public static boolean isSvg(String text) {
        return text.stripLeading().startsWith("<") && text.contains("<svg");
    }
}
