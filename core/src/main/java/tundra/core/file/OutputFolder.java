package tundra.core.file;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.DirectoryStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import tundra.core.work.Progress;

/**
 * Writes the files of an output into a folder: beside it first, then moved over. What the version before it used stays until the next one
 * is written, for visitors who are just loading it; files of earlier ones go, files of others stay.
 */
public final class OutputFolder {
    public static final String LIST = ".tundra-files";
    private static final String STAGING = ".tundra-new", BEFORE = "-- before:";
    private static final int LONGEST_LIST = 4 << 20;
    /** In ms. */
    private static final long LEFT_OVER = 3_600_000;

    private OutputFolder() {}

    /** The content of a file. */
    public interface Part {
        InputStream open() throws IOException;
    }

    /**
     * @param what what the files are, as in “The page”
     * @param files by their paths, with / between
     * @param last the file that is put in place when all others are; null for none
     * @param force whether files that Tundra did not make may be written over
     * @param progress asked between files; once it is given up nothing more is changed
     * @return whether it was finished
     */
    public static boolean write(String what, Map<String, Part> files, String last, Path folder, boolean force, Progress progress) throws IOException {
        Path target = folder.toAbsolutePath().normalize();
        Path staging = null;
        try {
            check(files.keySet(), target, force);
            Files.createDirectories(target);
            sweep(target);
            staging = Files.createTempDirectory(target, STAGING);
            int done = 0;
            for (var e : files.entrySet()) {
                if (progress.cancelled()) {
                    return false;
                }
                Path to = staging.resolve(e.getKey());
                Files.createDirectories(to.getParent());
                try (InputStream in = e.getValue().open()) {
                    Files.copy(in, to);
                }
                progress.share(0.8 * ++done / files.size());
            }
            if (progress.cancelled()) {
                return false;
            }
            move(files.keySet(), last, staging, target, progress);
            return true;
        } catch (FileProblem e) {
            throw e;
        } catch (IOException e) {
            throw new FileProblem(what + " can't be written to " + ShownPath.of(target) + " (" + WriteTrouble.words(e)
                    + "). Choose another folder; the project is unchanged.", e);
        } finally {
            if (staging != null) {
                delete(staging);
            }
        }
    }

    /** Takes away what was left of a writing that was killed; one that is under way is younger. */
    private static void sweep(Path target) throws IOException {
        try (DirectoryStream<Path> all = Files.newDirectoryStream(target, STAGING + "*")) {
            for (Path p : all) {
                if (System.currentTimeMillis() - Files.getLastModifiedTime(p).toMillis() > LEFT_OVER) {
                    delete(p);
                }
            }
        }
    }

    private static void check(Set<String> names, Path target, boolean force) throws IOException {
        if (Files.exists(target) && !Files.isDirectory(target)) {
            throw new FileProblem("“" + target.getFileName() + "” is a file, not a folder. Choose a folder.");
        }
        for (String name : names) {
            for (Path p = target.resolve(name); !p.equals(target); p = p.getParent()) {
                boolean meant = !p.equals(target.resolve(name));
                if (Files.exists(p) && Files.isDirectory(p) != meant) {
                    throw new FileProblem("“" + target.relativize(p) + "” in “" + target.getFileName() + "” is "
                            + (meant ? "a file where a folder is to be" : "a folder where a file is to be")
                            + ". Nothing was changed; choose another folder.");
                }
            }
        }
        if (Files.isDirectory(target.resolve(LIST))) {
            throw new FileProblem("“" + LIST + "” in “" + target.getFileName()
                    + "” is a folder, where the list of the files would be. Nothing was changed; choose another folder.");
        }
        if (!force && !Files.exists(target.resolve(LIST))) {
            for (String name : names) {
                if (Files.exists(target.resolve(name))) {
                    throw new FileProblem("“" + name + "” in “" + target.getFileName()
                            + "” is there already, and Tundra did not make it; it was left as it is. Choose another folder.");
                }
            }
        }
    }

    private static void move(Set<String> files, String lastOne, Path staging, Path target, Progress progress) throws IOException {
        List<String> lines = listed(target);
        int before = lines.indexOf(BEFORE) < 0 ? lines.size() : lines.indexOf(BEFORE);
        Set<String> last = new LinkedHashSet<>(lines.subList(0, before)), old =
                new LinkedHashSet<>(lines.subList(Math.min(lines.size(), before + 1), lines.size()));
        last.removeAll(files);
        List<String> names = new ArrayList<>(files);
        if (names.remove(lastOne)) {
            names.add(lastOne);
        }
        int done = 0;
        for (String name : names) {
            Path to = target.resolve(name);
            Files.createDirectories(to.getParent());
            Files.move(staging.resolve(name), to, StandardCopyOption.REPLACE_EXISTING);
            progress.share(0.8 + 0.2 * ++done / names.size());
        }
        old.removeAll(files);
        old.removeAll(last);
        for (String name : old) {
            Path stale = target.resolve(name).normalize();
            if (stale.startsWith(target) && Files.isRegularFile(stale)) {
                Files.delete(stale);
            }
        }
        names.add(BEFORE);
        names.addAll(last);
        Files.write(target.resolve(LIST), names);
    }

    /** The files of the last version and, behind a line of its own, of the one before it. A list that can't be read is none: its files stay. */
    private static List<String> listed(Path target) throws IOException {
        Path list = target.resolve(LIST);
        if (!Files.isRegularFile(list) || Files.size(list) > LONGEST_LIST) {
            return List.of();
        }
        return Files.readString(list, StandardCharsets.ISO_8859_1).lines().filter(l -> l.equals(BEFORE) || l.matches("[A-Za-z0-9._/-]{1,300}")
                && !l.contains("..")).toList();
    }

    private static void delete(Path folder) {
        try (var all = Files.walk(folder)) {
            for (Path p : all.sorted(Comparator.reverseOrder()).toList()) {
                Files.deleteIfExists(p);
            }
        } catch (IOException e) {
            // a left-over staging folder does no harm; its name starts with a dot
        }
    }
}
