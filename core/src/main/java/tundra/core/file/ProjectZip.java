package tundra.core.file;

import java.io.BufferedInputStream;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDateTime;
import java.util.Arrays;
import java.util.HashMap;
import java.util.HashSet;
import java.util.Map;
import java.util.Set;
import java.util.zip.CRC32;
import java.util.zip.CheckedInputStream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import java.util.zip.ZipOutputStream;
import tools.jackson.core.JacksonException;
import tundra.core.model.Asset;
import tundra.core.model.AssetData;
import tundra.core.model.Limits;
import tundra.core.model.Project;

/** The zip around a project: {@code mimetype}, {@code project.json} and {@code assets/HASH.ending}. Read and written as a stream. */
final class ProjectZip {
    private static final byte[] MIME = Limits.MIME.getBytes(StandardCharsets.US_ASCII);
    private static final String ASSETS = "assets/";
    static final String THUMBNAIL = "thumbnail.png";
    /** How far from its end a zip's directory can end, by the length of the comment behind it. */
    private static final int TAIL = 22 + 65_535;

    private ProjectZip() {}

    /** What becomes of the bytes of a brought-in file. */
    interface Keeper {
        /** @param most how many bytes it may have */
        AssetData take(String hash, ZipEntry entry, InputStream bytes, long most) throws IOException;
    }

    /** The project of a zip's bytes. */
    static Project read(byte[] zip, Parts parts) throws FileProblem {
        try {
            return read(new ByteArrayInputStream(zip), Arrays.copyOfRange(zip, Math.max(0, zip.length - TAIL), zip.length), zip.length,
                    (hash, e, in, most) -> AssetData.of(bounded(e, in, most, zip.length)), parts);
        } catch (FileProblem e) {
            throw e;
        } catch (IOException e) {
            throw new FileProblem("it is damaged or cut short", e);
        }
    }

    /** The project of a file. */
    static Project read(Path file, Parts parts) throws IOException {
        long size = Files.size(file);
        FileChannel open = FileChannel.open(file);
        boolean kept = false;
        try {
            Map<String, ZipEntries.Stored> stored = ZipEntries.of(open, tail(open));
            Project p = read(file, (hash, e, in, most) -> {
                ZipEntries.Stored there = stored.get(e.getName());
                if (there == null || there.length() < ZipData.HELD || there.length() > most) {
                    return AssetData.of(bounded(e, in, most, size));
                }
                return new ZipData(open, String.valueOf(file.getFileName()), there.from(), there.length(), Asset.hash(in));
            }, parts);
            kept = p.assets().values().stream().anyMatch(a -> a.source() instanceof ZipData);
            return p;
        } finally {
            if (!kept) {
                open.close();
            }
        }
    }

    /** Reads what was just written anew, with the brought-in files of the project that was written instead of copies of them. */
    static Project check(Path file, Project written) throws IOException {
        return read(file, (hash, e, in, most) -> {
            Asset a = written.assets().get(hash);
            if (a == null || !Asset.hash(in).equals(hash)) {
                throw new FileProblem("a file of the shelf did not come out as it went in");
            }
            return a.source();
        }, Parts.strict());
    }

    private static Project read(Path file, Keeper keeper, Parts parts) throws IOException {
        try (var in = new BufferedInputStream(Files.newInputStream(file), 1 << 16); var ch = FileChannel.open(file)) {
            return read(in, tail(ch), Files.size(file), keeper, parts);
        }
    }

    private static byte[] tail(FileChannel file) throws IOException {
        var end = ByteBuffer.allocate((int) Math.min(TAIL, file.size()));
        long from = file.size() - end.capacity();
        while (end.hasRemaining() && file.read(end, from + end.position()) >= 0) {
            continue;
        }
        return end.array();
    }

    private static Project read(InputStream bytes, byte[] tail, long size, Keeper keeper, Parts parts) throws IOException {
        if (tail.length == 0) {
            throw new FileProblem("it is empty");
        }
        bytes.mark(2);
        if (bytes.read() != 'P' || bytes.read() != 'K') {
            throw new FileProblem("it is not a Tundra project");
        }
        bytes.reset();
        byte[] mime = null, json = null;
        var data = new HashMap<String, AssetData>();
        Set<String> names = new HashSet<>();
        long all = 0;
        try (var in = new ZipInputStream(bytes)) {
            for (ZipEntry e; (e = in.getNextEntry()) != null; ) {
                String name = e.getName();
                allowed(name, names);
                long most = Math.min(Limits.ENTRY_BYTES, Limits.ALL_BYTES - all);
                if (name.startsWith(ASSETS)) {
                    String hash = name.substring(ASSETS.length()).replaceFirst("\\.[a-z0-9]+$", "");
                    AssetData content = keeper.take(hash, e, in, most);
                    data.put(hash, content);
                    all += content.length();
                } else {
                    byte[] content = bounded(e, in, most, size);
                    all += content.length;
                    mime = name.equals("mimetype") ? content : mime;
                    json = name.equals("project.json") ? content : json;
                }
            }
        } catch (FileProblem e) {
            throw e;
        } catch (IOException | IllegalArgumentException e) {
            throw new FileProblem("it is damaged or cut short", e);
        }
        if (!hasDirectory(tail)) {
            throw new FileProblem("it is damaged or cut short");
        }
        if (mime == null || !Arrays.equals(mime, MIME) || json == null) {
            throw new FileProblem("it is a zip file, but not a Tundra project");
        }
        return project(json, data, parts);
    }

    private static Project project(byte[] json, Map<String, AssetData> data, Parts parts) throws FileProblem {
        try {
            return ProjectReader.read(json, data, parts);
        } catch (IllegalArgumentException | StackOverflowError e) {
            throw new FileProblem("it does not hold a valid project (" + e.getMessage() + ")", e);
        }
    }

    private static void allowed(String name, Set<String> names) throws FileProblem {
        if (name.startsWith("/") || name.contains("..") || name.contains("\\") || name.contains(":") || name.length() > 200) {
            throw new FileProblem("it holds an entry with a forbidden name (" + name.substring(0, Math.min(60, name.length())) + ")");
        }
        if (!names.add(name)) {
            throw new FileProblem("it holds two entries of the same name");
        }
        if (names.size() > Limits.ENTRIES) {
            throw new FileProblem("it holds more than " + Limits.ENTRIES + " entries");
        }
    }

    /** A whole zip ends with its directory's end record; a file that was cut off doesn't. */
    private static boolean hasDirectory(byte[] tail) {
        for (int i = tail.length - 22; i >= 0; i--) {
            if (tail[i] == 'P' && tail[i + 1] == 'K' && tail[i + 2] == 5 && tail[i + 3] == 6) {
                return true;
            }
        }
        return false;
    }

    /** An entry's bytes, at once in an array of the right size where the entry tells it and the zip is long enough for it. */
    private static byte[] bounded(ZipEntry e, InputStream in, long most, long zip) throws IOException {
        if (e.getMethod() == ZipEntry.STORED && e.getSize() >= 0 && e.getSize() <= Math.min(most, zip)) {
            byte[] bytes = new byte[(int) e.getSize()];
            if (in.readNBytes(bytes, 0, bytes.length) == bytes.length && in.read() < 0) {
                return bytes;
            }
            throw new FileProblem("it is damaged or cut short");
        }
        long bound = Math.min(most, Limits.PACKED_BYTES);
        byte[] bytes = in.readNBytes((int) bound + 1);
        if (bytes.length > bound) {
            throw new FileProblem("it unpacks to more than Tundra reads");
        }
        return bytes;
    }

    /** Writes the zip; the same project always gives the same bytes. */
    static void write(Project project, byte[] thumbnail, OutputStream out) throws IOException {
        var zip = new ZipOutputStream(out);
        stored(zip, "mimetype", MIME);
        zip.putNextEntry(plain("project.json"));
        zip.write(json(project));
        if (thumbnail != null) {
            stored(zip, THUMBNAIL, thumbnail);
        }
        var written = new HashSet<String>();
        for (Asset a : project.assets().values()) {
            if (written.add(a.hash())) {
                stored(zip, ASSETS + a.hash() + "." + a.ending(), a.source());
            }
        }
        zip.finish();
        zip.flush();
    }

    private static byte[] json(Project project) throws FileProblem {
        try {
            return ProjectWriter.write(project).getBytes(StandardCharsets.UTF_8);
        } catch (JacksonException | StackOverflowError e) {
            throw new FileProblem("its groups lie deeper in each other than a file can hold", e);
        }
    }

    private static ZipEntry plain(String name) {
        var e = new ZipEntry(name);
        e.setTimeLocal(LocalDateTime.of(2000, 1, 1, 0, 0));
        return e;
    }

    private static void stored(ZipOutputStream zip, String name, byte[] data) throws IOException {
        stored(zip, name, AssetData.of(data));
    }

    /** Gone through twice, since what is stored has its sum before it. */
    private static void stored(ZipOutputStream zip, String name, AssetData data) throws IOException {
        var e = plain(name);
        var crc = new CRC32();
        try (InputStream in = new CheckedInputStream(data.open(), crc)) {
            in.transferTo(OutputStream.nullOutputStream());
        }
        e.setMethod(ZipEntry.STORED);
        e.setSize(data.length());
        e.setCrc(crc.getValue());
        zip.putNextEntry(e);
        try (InputStream in = data.open()) {
            in.transferTo(zip);
        }
    }
}
