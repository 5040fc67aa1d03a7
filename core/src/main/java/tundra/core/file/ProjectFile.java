package tundra.core.file;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.file.AccessDeniedException;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.util.List;
import java.util.zip.ZipFile;
import tundra.core.model.Limits;
import tundra.core.model.Project;

/** Reads and writes .tundra files: a zip of {@code mimetype}, {@code project.json} and {@code assets/HASH.ending}. */
public final class ProjectFile {
    private static final int LARGEST_PICTURE = 4 << 20;

    private ProjectFile() {}

    /**
     * What was read of a file.
     *
     * @param leftOut a clause for each part that is damaged or unknown to this version and was left out
     */
    public record Opened(Project project, List<String> leftOut) {}

    /** The project of a file. Throws a {@link FileProblem} whose sentence names the file. */
    public static Project read(Path file) throws IOException {
        return read(file, Parts.strict());
    }

    /** The project of a file without what can't be read of it. Throws a {@link FileProblem} when nothing of it can. */
    public static Opened open(Path file) throws IOException {
        Parts parts = Parts.lenient();
        Project p = read(file, parts);
        return new Opened(p, parts.leftOut());
    }

    /** The same of a file's bytes. */
    public static Opened open(byte[] zip) throws FileProblem {
        Parts parts = Parts.lenient();
        Project p = ProjectZip.read(zip, parts);
        return new Opened(p, parts.leftOut());
    }

    /** The picture that was saved with a project, a PNG; null where there is none. */
    public static byte[] picture(Path file) {
        try (var zip = new ZipFile(file.toFile())) {
            var e = zip.getEntry(ProjectZip.THUMBNAIL);
            if (e == null || e.getSize() > LARGEST_PICTURE) {
                return null;
            }
            try (var in = zip.getInputStream(e)) {
                return in.readNBytes(LARGEST_PICTURE);
            }
        } catch (IOException | IllegalArgumentException e) {
            // whoever lists files shows none then
            return null;
        }
    }

    private static Project read(Path file, Parts parts) throws IOException {
        try {
            return ProjectZip.read(bounded(file), parts);
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
        if (Files.exists(file) && !Files.isRegularFile(file)) {
            throw new FileProblem("it is no file, but a pipe or a device");
        }
        if (Files.size(file) > Limits.ALL_BYTES) {
            throw new FileProblem("it is larger than 1 GB");
        }
        return file;
    }

    /** The project of a file's bytes; the sentence of a {@link FileProblem} is a clause without the file's name. */
    public static Project read(byte[] zip) throws FileProblem {
        return ProjectZip.read(zip, Parts.strict());
    }

    /**
     * Saves a project: written beside the file, synced, read back, put in its place in one step. The version before it stays beside it
     * as NAME.previous. A failure leaves the old file as it was.
     */
    public static void write(Project project, Path file) throws IOException {
        write(project, null, file);
    }

    /**
     * The same with a picture of it beside the document, {@code thumbnail.png}, for whoever lists files.
     *
     * @param thumbnail a PNG's bytes; null for none
     */
    public static void write(Project project, byte[] thumbnail, Path file) throws IOException {
        String name = String.valueOf(file.getFileName());
        try {
            if (Files.isDirectory(file)) {
                throw new IOException("it is a folder");
            }
            SafeReplace.write(file, out -> ProjectZip.write(project, thumbnail, out), written -> ProjectZip.check(written, project));
        } catch (SafeReplace.Unfit e) {
            throw new FileProblem("“" + name + "” was not saved: what was written can't be opened again (" + e.getMessage()
                    + "). The file is as it was, what was written is kept beside it as “" + e.kept.getFileName()
                    + "”, and the project is still open: undo the last steps and save again.", e);
        } catch (FileProblem e) {
            throw new FileProblem("“" + name + "” was not saved: " + e.getMessage()
                    + ". The file is as it was and the project is still open: undo the last steps and save again.", e);
        } catch (IOException e) {
            throw new FileProblem("“" + name + "” can't be saved in " + ShownPath.of(file.toAbsolutePath().getParent()) + " (" + WriteTrouble.words(e)
                    + "). The project is still open; save it to another folder.", e);
        }
    }

    /** The zip's bytes; the same project always gives the same ones. */
    public static byte[] bytes(Project project) throws IOException {
        var buffer = new ByteArrayOutputStream();
        ProjectZip.write(project, null, buffer);
        return buffer.toByteArray();
    }
}
