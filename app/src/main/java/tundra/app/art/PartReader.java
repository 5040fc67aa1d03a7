package tundra.app.art;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.LinkOption;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import tundra.core.block.Captions;
import tundra.core.edit.PlacedBlock;
import tundra.core.file.FileProblem;
import tundra.core.file.GeoJson;
import tundra.core.geometry.Point;
import tundra.core.model.Asset;
import tundra.core.model.Blocks;
import tundra.core.model.MapData;
import tundra.render.VideoReader;

/** Reads what is placed as a block: videos, maps, timed words, and folders with a page in them. */
public final class PartReader {
    private static final long FOLDER = 100L << 20;
    private static final int FILES = 2000;

    private PartReader() {}

    /** Null for a file that is none of these. */
    static ImportedArt read(String name, Path file) throws IOException {
        if (!Files.isRegularFile(file)) {
            return null;
        }
        String ending = name.toLowerCase(Locale.ROOT);
        byte[] start;
        try (var in = Files.newInputStream(file)) {
            start = in.readNBytes(64);
        }
        if (VideoReader.type(start) != null) {
            Asset a = VideoReader.read(file);
            return new ImportedArt.Part(a.title(), a, new Point(a.width(), a.height()), (b, at) -> PlacedBlock.video(b, a, at));
        }
        if (ending.endsWith(".mp4") || ending.endsWith(".webm") || ending.endsWith(".m4v")) {
            throw problem(name, "it is no video that can be read, or it is damaged or cut short");
        }
        if (ending.endsWith(".geojson") || ending.endsWith(".json")) {
            MapData map = map(name, file);
            return new ImportedArt.Part(name.replaceFirst("\\.(geo)?json$", ""), null, Blocks.MAP_BLOCK.box(), (b, at) ->
                    PlacedBlock.map(b, name.replaceFirst("\\.(geo)?json$", ""), map, at));
        }
        if (ending.endsWith(".vtt")) {
            return new ImportedArt.Kept(words(name, file));
        }
        return null;
    }

    /** A map from a GeoJSON file. */
    public static MapData map(String name, Path file) throws IOException {
        try {
            if (Files.size(file) > GeoJson.MOST) {
                throw new FileProblem("it has " + (Files.size(file) >> 20) + " MB, and " + (GeoJson.MOST >> 20)
                        + " MB is the most that a map can have");
            }
            return GeoJson.read(Files.readAllBytes(file));
        } catch (FileProblem e) {
            throw problem(name, e.getMessage());
        }
    }

    /** Timed words for a video. */
    public static Asset words(String name, Path file) throws IOException {
        if (Files.size(file) > 4 << 20) {
            throw problem(name, "it has more than 4 MB");
        }
        String text = Files.readString(file, StandardCharsets.UTF_8);
        if (!Captions.is(text) || Captions.read(text).isEmpty()) {
            throw problem(name, "it is no WebVTT file with words in it");
        }
        return Asset.file(name, Asset.WORDS, text.getBytes(StandardCharsets.UTF_8));
    }

    /** Whether a folder is a page of its own. */
    public static boolean isPage(Path folder) {
        return Files.isDirectory(folder) && Files.isRegularFile(folder.resolve("index.html"));
    }

    /** The files of a page, which are published along. What leads out of the folder is refused. */
    public static ImportedArt folder(Path folder) throws IOException {
        String name = folder.getFileName().toString();
        var out = new ByteArrayOutputStream();
        Path root = folder.toRealPath();
        try (var zip = new ZipOutputStream(out, StandardCharsets.UTF_8); var files = Files.walk(folder)) {
            List<Path> all = files.filter(p -> !Files.isDirectory(p, LinkOption.NOFOLLOW_LINKS)).sorted().toList();
            if (all.size() > FILES) {
                throw problem(name, "it holds " + all.size() + " files, and " + FILES + " is the most");
            }
            long sum = 0;
            for (Path p : all) {
                if (!p.toRealPath().startsWith(root)) {
                    throw problem(name, "“" + folder.relativize(p) + "” leads out of the folder");
                }
                sum += Files.size(p);
                if (sum > FOLDER) {
                    throw problem(name, "it holds more than " + (FOLDER >> 20) + " MB");
                }
                var entry = new ZipEntry(folder.relativize(p).toString().replace('\\', '/'));
                entry.setTime(0);
                zip.putNextEntry(entry);
                Files.copy(p, zip);
                zip.closeEntry();
            }
        }
        Asset a = Asset.file(name, Asset.FILES, out.toByteArray());
        return new ImportedArt.Part(name, a, Blocks.PAGE.box(), (b, at) -> PlacedBlock.page(b, a, at));
    }

    private static FileProblem problem(String name, String why) {
        return new FileProblem("“" + name + "” can't be brought in: " + why + ". Nothing was changed.");
    }
}
