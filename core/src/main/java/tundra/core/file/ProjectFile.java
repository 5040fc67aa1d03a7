package tundra.core.file;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.channels.FileChannel;
import java.nio.charset.StandardCharsets;
import java.nio.file.AccessDeniedException;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.util.Arrays;
import java.util.HashMap;
import java.util.HashSet;
import java.util.Map;
import java.util.zip.CRC32;
import java.util.zip.ZipEntry;
import java.util.zip.ZipException;
import java.util.zip.ZipInputStream;
import java.util.zip.ZipOutputStream;
import tundra.core.model.Asset;
import tundra.core.model.Project;

/** Reads and writes .tundra files: a zip of {@code mimetype}, {@code project.json} and {@code assets/HASH.ending}. */
public final class ProjectFile {
    private static final byte[] MIME = Limits.MIME.getBytes(StandardCharsets.US_ASCII);

    private ProjectFile() {}

    /** The project of a file. Throws a {@link FileProblem} whose sentence names the file. */
    public static Project read(Path file) throws IOException {
        try {
            return read(Files.readAllBytes(bounded(file)));
        } catch (NoSuchFileException e) {
            throw new FileProblem("“" + file.getFileName() + "” isn't there.", e);
        } catch (AccessDeniedException e) {
            throw new FileProblem("“" + file.getFileName() + "” may not be read by you.", e);
        } catch (FileProblem e) {
            throw new FileProblem("“" + file.getFileName() + "” can't be opened: " + e.getMessage() + ". Nothing was changed.", e);
        } catch (IOException e) {
            throw new FileProblem("“" + file.getFileName() + "” can't be read (" + e.getMessage() + "). Nothing was changed.", e);
        }
    }

    private static Path bounded(Path file) throws IOException {
        if (Files.isDirectory(file)) {
            throw new FileProblem("it is a folder");
        }
        if (Files.size(file) > Limits.ALL_BYTES) {
            throw new FileProblem("it is larger than 1 GB");
        }
        return file;
    }

    /** The project of a file's bytes; the sentence of a {@link FileProblem} is a clause without the file's name. */
    public static Project read(byte[] zip) throws FileProblem {
        Map<String, byte[]> entries = unzip(zip);
        byte[] mime = entries.get("mimetype"), json = entries.get("project.json");
        if (mime == null || !Arrays.equals(mime, MIME) || json == null) {
            throw new FileProblem("it is a zip file, but not a Tundra project");
        }
        var data = new HashMap<String, byte[]>();
        entries.forEach((name, bytes) -> {
            if (name.startsWith("assets/")) {
                data.put(name.substring("assets/".length()).replaceFirst("\\.[a-z]+$", ""), bytes);
            }
        });
        try {
            return ProjectReader.read(json, data);
        } catch (IllegalArgumentException | StackOverflowError e) {
            throw new FileProblem("it does not hold a valid project (" + e.getMessage() + ")", e);
        }
    }

    private static Map<String, byte[]> unzip(byte[] zip) throws FileProblem {
        if (zip.length < 4 || zip[0] != 'P' || zip[1] != 'K') {
            throw new FileProblem(zip.length == 0 ? "it is empty" : "it is not a Tundra project");
        }
        var out = new HashMap<String, byte[]>();
        long all = 0;
        try (var in = new ZipInputStream(new java.io.ByteArrayInputStream(zip))) {
            for (ZipEntry e; (e = in.getNextEntry()) != null; ) {
                String name = e.getName();
                if (name.startsWith("/") || name.contains("..") || name.contains("\\") || name.contains(":") || name.length() > 200) {
                    throw new FileProblem("it holds an entry with a forbidden name (" + name.substring(0, Math.min(60, name.length())) + ")");
                }
                byte[] bytes = bounded(in, Math.min(Limits.ENTRY_BYTES, Limits.ALL_BYTES - all));
                all += bytes.length;
                if (out.put(name, bytes) != null) {
                    throw new FileProblem("it holds two entries of the same name");
                }
                if (out.size() > Limits.ENTRIES) {
                    throw new FileProblem("it holds more than " + Limits.ENTRIES + " entries");
                }
            }
        } catch (FileProblem e) {
            throw e;
        } catch (IOException | IllegalArgumentException e) {
            throw new FileProblem("it is damaged or cut short", e);
        }
        if (!hasDirectory(zip)) {
            throw new FileProblem("it is damaged or cut short");
        }
        return out;
    }

    /** A whole zip ends with its directory's end record; a file that was cut off doesn't. */
    private static boolean hasDirectory(byte[] zip) {
        for (int i = zip.length - 22; i >= Math.max(0, zip.length - 22 - 65_535); i--) {
            if (zip[i] == 'P' && zip[i + 1] == 'K' && zip[i + 2] == 5 && zip[i + 3] == 6) {
                return true;
            }
        }
        return false;
    }

    private static byte[] bounded(InputStream in, long most) throws IOException {
        byte[] bytes = in.readNBytes((int) Math.min(Integer.MAX_VALUE - 16, most + 1));
        if (bytes.length > most) {
            throw new FileProblem("it unpacks to more than Tundra reads");
        }
        return bytes;
    }

    /**
     * Saves a project: written beside the file, synced, put in its place in one step. The version before it stays beside it
     * as NAME.previous. A failure leaves the old file as it was.
     */
    public static void write(Project project, Path file) throws IOException {
        Path target = file.toAbsolutePath();
        Path folder = target.getParent();
        Path temporary = null;
        try {
            temporary = folder.resolve("." + target.getFileName() + "." + tundra.core.model.Ids.next() + ".saving");
            try (FileChannel ch = FileChannel.open(temporary, StandardOpenOption.CREATE_NEW, StandardOpenOption.WRITE);
                    OutputStream out = java.nio.channels.Channels.newOutputStream(ch)) {
                out.write(bytes(project));
                ch.force(true);
            }
            if (Files.exists(target)) {
                Files.copy(target, target.resolveSibling(target.getFileName() + ".previous"), StandardCopyOption.REPLACE_EXISTING);
            }
            Files.move(temporary, target, StandardCopyOption.ATOMIC_MOVE);
            sync(folder);
        } catch (IOException e) {
            if (temporary != null) {
                Files.deleteIfExists(temporary);
            }
            throw new FileProblem("“" + target.getFileName() + "” can't be saved in " + folder + " (" + reason(e)
                    + "). The project is still open; save it to another folder.", e);
        }
    }

    private static String reason(IOException e) {
        return switch (e) {
            case NoSuchFileException n -> "there is no such folder";
            case AccessDeniedException a -> "you may not write there";
            default -> String.valueOf(e.getMessage());
        };
    }

    /** Makes the rename last through a power cut, where the system can open a folder. */
    private static void sync(Path folder) {
        try (FileChannel ch = FileChannel.open(folder, StandardOpenOption.READ)) {
            ch.force(true);
        } catch (IOException e) {
            // Windows can't open folders; the rename is then as lasting as that system makes it
        }
    }

    /** The zip's bytes; the same project always gives the same ones. */
    public static byte[] bytes(Project project) throws IOException {
        var buffer = new ByteArrayOutputStream();
        try (var zip = new ZipOutputStream(buffer)) {
            stored(zip, "mimetype", MIME);
            zip.putNextEntry(plain("project.json"));
            zip.write(ProjectWriter.write(project).getBytes(StandardCharsets.UTF_8));
            var written = new HashSet<String>();
            for (Asset a : project.assets().values()) {
                if (written.add(a.hash())) {
                    stored(zip, "assets/" + a.hash() + "." + a.ending(), a.data());
                }
            }
        } catch (ZipException e) {
            throw new IOException(e);
        }
        return buffer.toByteArray();
    }

    private static ZipEntry plain(String name) {
        var e = new ZipEntry(name);
        e.setTimeLocal(java.time.LocalDateTime.of(2000, 1, 1, 0, 0));
        return e;
    }

    private static void stored(ZipOutputStream zip, String name, byte[] data) throws IOException {
        var e = plain(name);
        var crc = new CRC32();
        crc.update(data);
        e.setMethod(ZipEntry.STORED);
        e.setSize(data.length);
        e.setCrc(crc.getValue());
        zip.putNextEntry(e);
        zip.write(data);
    }
}
