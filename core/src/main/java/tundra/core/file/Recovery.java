package tundra.core.file;

import java.io.IOException;
import java.io.InputStream;
import java.io.StringReader;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.nio.channels.FileChannel;
import java.nio.channels.FileLock;
import java.nio.channels.OverlappingFileLockException;
import java.nio.charset.StandardCharsets;
import java.nio.file.DirectoryStream;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Properties;
import java.util.Set;
import java.util.regex.Pattern;
import tundra.core.model.Asset;
import tundra.core.model.AssetData;
import tundra.core.model.Ids;
import tundra.core.model.Project;

/**
 * What is being worked on, kept beside the user's own files so that a crash takes at most a few seconds with it. Each open piece has a
 * folder that its process holds a lock on: {@code project.json}, what piece it is, and a picture. Brought-in files lie beside them, once by
 * their hash, whatever piece they are of. A folder that nobody holds is of a process that ended without its consent.
 */
public final class Recovery {
    /** Bytes of a brought-in file that is not held in memory. */
    private static final long LARGE = 32L << 20;
    private static final String JSON = "project.json", ABOUT = "about.properties", PICTURE = "thumbnail.png", LOCK = "lock", ASSETS = "assets";
    private static final Pattern HASH = Pattern.compile("\"hash\"\\s*:\\s*\"([0-9a-f]{64})\"");
    private final Path folder;

    /** @param folder where all of it lies; made when it is first needed */
    public Recovery(Path folder) {
        this.folder = folder;
    }

    /** What is kept of a piece that is open now. One thread at a time. */
    public final class Slot implements AutoCloseable {
        private final Path place;
        private final FileChannel channel;
        private final FileLock lock;
        private final Set<String> written = new HashSet<>();

        private Slot(Path place) throws IOException {
            this.place = place;
            Files.createDirectories(place);
            channel = FileChannel.open(place.resolve(LOCK), StandardOpenOption.CREATE, StandardOpenOption.WRITE);
            lock = channel.tryLock();
        }

        /**
         * Keeps a version: what was brought in once, then the document beside the one before, in its place in one step.
         *
         * @param file of the piece; null when it has none yet
         * @param picture a PNG of it; null to leave the one that is there
         */
        public void keep(Project p, Path file, byte[] picture) throws IOException {
            Path assets = Files.createDirectories(folder.resolve(ASSETS));
            for (Asset a : p.assets().values()) {
                if (written.add(a.hash()) && !Files.exists(assets.resolve(a.hash()))) {
                    SafeReplace.put(assets.resolve(a.hash()), out -> {
                        try (InputStream in = a.source().open()) {
                            in.transferTo(out);
                        }
                    });
                }
            }
            if (picture != null) {
                SafeReplace.put(place.resolve(PICTURE), picture);
            }
            var about = new Properties();
            about.setProperty("name", p.name());
            if (file != null) {
                about.setProperty("file", file.toAbsolutePath().toString());
            }
            var text = new StringWriter();
            about.store(text, null);
            SafeReplace.put(place.resolve(ABOUT), text.toString());
            SafeReplace.put(place.resolve(JSON), ProjectWriter.write(p));
        }

        /** Nothing is at risk any more: it was saved. */
        public void clear() throws IOException {
            Files.deleteIfExists(place.resolve(JSON));
        }

        /** Nothing of it is to be kept. */
        @Override
        public void close() throws IOException {
            if (lock != null) {
                lock.release();
            }
            channel.close();
            delete(place);
        }
    }

    /**
     * A piece that was open when its process ended.
     *
     * @param file its own; null when it had none
     * @param time when it was kept last, in ms since 1970
     * @param picture a PNG; null when there is none
     */
    public record Found(String name, Path file, long time, byte[] picture, Path place) {}

    /** Begins to keep a piece. */
    public Slot begin() throws IOException {
        return new Slot(folder.resolve("piece-" + Ids.next()));
    }

    /** The pieces that processes left behind, the newest first. What those that run hold is theirs. */
    public List<Found> found() {
        var out = new ArrayList<Found>();
        for (Path p : places()) {
            try {
                if (Files.exists(p.resolve(JSON)) && !held(p)) {
                    out.add(about(p));
                }
            } catch (IOException e) {
                // of another process that is ending just now
            }
        }
        out.sort(Comparator.comparingLong(Found::time).reversed());
        return out;
    }

    private static Found about(Path p) throws IOException {
        var about = new Properties();
        try {
            about.load(new StringReader(Files.readString(p.resolve(ABOUT))));
        } catch (NoSuchFileException | IllegalArgumentException e) {
            about.clear();
        }
        String file = about.getProperty("file");
        Path picture = p.resolve(PICTURE);
        return new Found(about.getProperty("name", "Untitled"), file == null ? null : Path.of(file), Files.getLastModifiedTime(p.resolve(JSON))
                .toMillis(),
                Files.exists(picture) ? Files.readAllBytes(picture) : null, p);
    }

    /** The piece as it was kept last; damaged parts are left out and named. */
    public ProjectFile.Opened open(Found f) throws IOException {
        byte[] json = Files.readAllBytes(f.place.resolve(JSON));
        var data = new HashMap<String, AssetData>();
        var hashes = HASH.matcher(new String(json, StandardCharsets.UTF_8));
        while (hashes.find()) {
            Path asset = folder.resolve(ASSETS).resolve(hashes.group(1));
            if (Files.exists(asset)) {
                // held, or copied: the folder may be swept once it is no one's any more
                data.put(hashes.group(1), Files.size(asset) > LARGE ? FileData.copy(asset) : AssetData.of(Files.readAllBytes(asset)));
            }
        }
        Parts parts = Parts.lenient();
        return new ProjectFile.Opened(ProjectReader.read(json, data, parts), parts.leftOut());
    }

    /** Lets a piece go for good. */
    public void drop(Found f) {
        delete(f.place);
        sweep();
    }

    /** Takes away what belongs to nothing any more: folders without a document that nobody holds, files that no document names. */
    public void sweep() {
        try {
            Set<String> named = new HashSet<>();
            for (Path p : places()) {
                if (Files.exists(p.resolve(JSON))) {
                    var hashes = HASH.matcher(Files.readString(p.resolve(JSON)));
                    while (hashes.find()) {
                        named.add(hashes.group(1));
                    }
                } else if (held(p)) {
                    // it may be about to name any
                    return;
                } else {
                    delete(p);
                }
            }
            Path assets = folder.resolve(ASSETS);
            if (Files.isDirectory(assets)) {
                try (DirectoryStream<Path> all = Files.newDirectoryStream(assets)) {
                    for (Path a : all) {
                        if (!named.contains(a.getFileName().toString())) {
                            Files.deleteIfExists(a);
                        }
                    }
                }
            }
        } catch (IOException | UncheckedIOException e) {
            // what can't be swept now is swept at another start
        }
    }

    private List<Path> places() {
        var out = new ArrayList<Path>();
        if (!Files.isDirectory(folder)) {
            return out;
        }
        try (DirectoryStream<Path> all = Files.newDirectoryStream(folder, "piece-*")) {
            all.forEach(out::add);
        } catch (IOException e) {
            // then there is nothing to be found
        }
        return out;
    }

    private static boolean held(Path place) {
        try (FileChannel ch = FileChannel.open(place.resolve(LOCK), StandardOpenOption.WRITE)) {
            FileLock l = ch.tryLock();
            if (l == null) {
                return true;
            }
            l.release();
            return false;
        } catch (OverlappingFileLockException e) {
            return true;
        } catch (IOException e) {
            // without its lock nobody holds it
            return false;
        }
    }

    private static void delete(Path place) {
        try (DirectoryStream<Path> all = Files.newDirectoryStream(place)) {
            for (Path p : all) {
                Files.deleteIfExists(p);
            }
        } catch (IOException e) {
            return;
        }
        try {
            Files.deleteIfExists(place);
        } catch (IOException e) {
            // an empty folder does no harm
        }
    }
}
