package tundra.core.file;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.DirectoryStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.zip.GZIPInputStream;
import java.util.zip.GZIPOutputStream;
import tundra.core.model.Asset;
import tundra.core.model.AssetData;
import tundra.core.model.Limits;
import tundra.core.model.Project;

/**
 * Earlier versions of pieces: the last saves of each, and the last save of each day. A version is its document, packed, under the hash of it;
 * brought-in files lie beside all of them, once by their hash.
 */
public final class Versions {
    /** So many saves are kept of a piece, and so many days. */
    public static final int SAVES = 20, DAYS = 30;
    /** In ms. */
    private static final long FRESH = 3_600_000;
    private static final String ASSETS = "assets";
    private static final Pattern NAME = Pattern.compile("(\\d+)-([0-9a-f]{64})\\.json\\.gz"),
            HASH = Pattern.compile("\"hash\"\\s*:\\s*\"([0-9a-f]{64})\"");
    private final Path folder;

    /** @param folder where all of them lie; made when it is first needed */
    public Versions(Path folder) {
        this.folder = folder;
    }

    /**
     * A version of a piece.
     *
     * @param time when it was saved, in ms since 1970
     * @param hash of its document
     */
    public record Version(long time, String hash, Path place) {
        /** Where a PNG of it lies, if there is any. */
        public Path picture() {
            return face(place);
        }
    }

    private static Path face(Path place) {
        return place.resolveSibling(place.getFileName().toString().replace(".json.gz", ".png"));
    }

    /** The folder of a piece; ids that are no names of files have one by their hash. */
    private Path of(String project) {
        return folder.resolve(project.matches("[A-Za-z0-9_-]{1,60}") ? project : Asset.hash(project.getBytes(StandardCharsets.UTF_8))
                .substring(0, 32));
    }

    /**
     * Keeps what was just saved, unless it is what was kept last.
     *
     * @param picture a PNG; null for none
     * @param now in ms since 1970
     */
    public synchronized void keep(Project p, byte[] picture, long now) throws IOException {
        byte[] json = ProjectWriter.write(p).getBytes(StandardCharsets.UTF_8);
        String hash = Asset.hash(json);
        List<Version> all = of(p);
        if (!all.isEmpty() && all.getFirst().hash.equals(hash)) {
            return;
        }
        Path assets = Files.createDirectories(folder.resolve(ASSETS)), place = Files.createDirectories(of(p.id()));
        for (Asset a : p.assets().values()) {
            if (!Files.exists(assets.resolve(a.hash()))) {
                SafeReplace.put(assets.resolve(a.hash()), out -> {
                    try (InputStream in = a.source().open()) {
                        in.transferTo(out);
                    }
                });
            }
        }
        var packed = new ByteArrayOutputStream();
        try (var zip = new GZIPOutputStream(packed)) {
            zip.write(json);
        }
        Path to = place.resolve(now + "-" + hash + ".json.gz");
        if (picture != null) {
            SafeReplace.put(face(to), picture);
        }
        SafeReplace.put(to, packed.toByteArray());
        thin(of(p));
    }

    /** The versions of a piece, the newest first. */
    public List<Version> of(Project p) {
        var out = new ArrayList<Version>();
        Path place = of(p.id());
        if (Files.isDirectory(place)) {
            try (DirectoryStream<Path> all = Files.newDirectoryStream(place)) {
                for (Path x : all) {
                    Matcher m = NAME.matcher(x.getFileName().toString());
                    if (m.matches() && m.group(1).length() < 16) {
                        out.add(new Version(Long.parseLong(m.group(1)), m.group(2), x));
                    }
                }
            } catch (IOException e) {
                // then there is nothing to go back to
            }
        }
        out.sort(Comparator.comparingLong(Version::time).reversed());
        return out;
    }

    /** A version as it was saved; damaged parts are left out and named. */
    public ProjectFile.Opened open(Version v) throws IOException {
        byte[] json;
        try (InputStream in = new GZIPInputStream(Files.newInputStream(v.place))) {
            json = in.readNBytes((int) Limits.ENTRY_BYTES);
        }
        var data = new HashMap<String, AssetData>();
        for (String hash : named(json)) {
            Path asset = folder.resolve(ASSETS).resolve(hash);
            if (Files.exists(asset)) {
                data.put(hash, AssetData.of(Files.readAllBytes(asset)));
            }
        }
        Parts parts = Parts.lenient();
        return new ProjectFile.Opened(ProjectReader.read(json, data, parts), parts.leftOut());
    }

    private static Set<String> named(byte[] json) {
        var out = new HashSet<String>();
        Matcher m = HASH.matcher(new String(json, StandardCharsets.UTF_8));
        while (m.find()) {
            out.add(m.group(1));
        }
        return out;
    }

    /** Takes away what is neither among the last saves nor the last of its day. */
    private static void thin(List<Version> newestFirst) throws IOException {
        Set<LocalDate> days = new HashSet<>();
        for (int i = 0; i < newestFirst.size(); i++) {
            Version v = newestFirst.get(i);
            boolean last = days.add(Instant.ofEpochMilli(v.time).atZone(ZoneOffset.systemDefault()).toLocalDate());
            if (i >= SAVES && (!last || days.size() > DAYS)) {
                Files.deleteIfExists(v.place);
                Files.deleteIfExists(face(v.place));
            }
        }
    }

    /** Takes away brought-in files that no version names any more, but none that was written just now: another window may be about to name it. */
    public synchronized void sweep() {
        Path assets = folder.resolve(ASSETS);
        if (!Files.isDirectory(assets)) {
            return;
        }
        try (DirectoryStream<Path> pieces = Files.newDirectoryStream(folder, Files::isDirectory)) {
            Set<String> used = new HashSet<>();
            for (Path piece : pieces) {
                if (!piece.getFileName().toString().equals(ASSETS)) {
                    try (DirectoryStream<Path> all = Files.newDirectoryStream(piece, "*.json.gz")) {
                        for (Path x : all) {
                            try (InputStream in = new GZIPInputStream(Files.newInputStream(x))) {
                                used.addAll(named(in.readAllBytes()));
                            }
                        }
                    }
                }
            }
            try (DirectoryStream<Path> all = Files.newDirectoryStream(assets)) {
                for (Path a : all) {
                    if (!used.contains(a.getFileName().toString()) && System.currentTimeMillis() - Files.getLastModifiedTime(a).toMillis() > FRESH) {
                        Files.deleteIfExists(a);
                    }
                }
            }
        } catch (IOException e) {
            // what can't be read now is swept another time
        }
    }
}
