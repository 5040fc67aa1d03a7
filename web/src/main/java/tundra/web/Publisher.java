package tundra.web;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.AccessDeniedException;
import java.nio.file.DirectoryStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import tundra.core.file.FileProblem;
import tundra.core.file.ShownPath;
import tundra.core.work.Progress;

/** Writes a page to a folder. Files of an earlier version that are no longer used go; files of others stay. */
public final class Publisher {
    private static final String LIST = ".tundra-files", STAGING = ".tundra-new";
    /** In ms. */
    private static final long LEFT_OVER = 3_600_000;

    private Publisher() {}

    /**
     * Writes all files to a folder beside the target first, then moves them over, the page itself last.
     *
     * @param progress asked between files; once it is given up nothing more is changed
     * @return whether it was finished
     */
    public static boolean publish(Page page, Path folder, Progress progress) throws IOException {
        Path target = folder.toAbsolutePath();
        Path staging = null;
        try {
            check(target);
            Files.createDirectories(target);
            sweep(target);
            staging = Files.createTempDirectory(target, STAGING);
            int done = 0;
            for (var e : page.files().entrySet()) {
                if (progress.cancelled()) {
                    return false;
                }
                Path to = staging.resolve(e.getKey());
                Files.createDirectories(to.getParent());
                try (InputStream in = e.getValue().open()) {
                    Files.copy(in, to);
                }
                progress.share(0.8 * ++done / page.files().size());
            }
            if (progress.cancelled()) {
                return false;
            }
            move(page, staging, target, progress);
            return true;
        } catch (FileProblem e) {
            throw e;
        } catch (IOException e) {
            throw new FileProblem("The page can't be written to " + ShownPath.of(target) + " (" + (e instanceof AccessDeniedException
                    ? "you may not write there" : e.getMessage()) + "). Choose another folder; the project is unchanged.", e);
        } finally {
            if (staging != null) {
                delete(staging);
            }
        }
    }

    /** Takes away what was left of a publication that was killed; one that is under way is younger. */
    private static void sweep(Path target) throws IOException {
        try (DirectoryStream<Path> all = Files.newDirectoryStream(target, STAGING + "*")) {
            for (Path p : all) {
                if (System.currentTimeMillis() - Files.getLastModifiedTime(p).toMillis() > LEFT_OVER) {
                    delete(p);
                }
            }
        }
    }

    private static void check(Path target) throws IOException {
        if (Files.exists(target) && !Files.isDirectory(target)) {
            throw new FileProblem("“" + target.getFileName() + "” is a file, not a folder. Choose a folder for the page.");
        }
        Path index = target.resolve("index.html");
        if (Files.exists(index) && !Files.exists(target.resolve(LIST))
                && !Files.readString(index, StandardCharsets.ISO_8859_1).contains("name=\"generator\" content=\"" + PageCompiler.GENERATOR + "\"")) {
            throw new FileProblem("“" + target.getFileName() + "” holds a page that Tundra did not make, and it was left as it is."
                    + " Choose another folder.");
        }
    }

    private static void move(Page page, Path staging, Path target, Progress progress) throws IOException {
        Set<String> old = listed(target);
        List<String> names = new ArrayList<>(page.files().keySet());
        names.remove("index.html");
        names.add("index.html");
        int done = 0;
        for (String name : names) {
            Path to = target.resolve(name);
            Files.createDirectories(to.getParent());
            Files.move(staging.resolve(name), to, StandardCopyOption.REPLACE_EXISTING);
            progress.share(0.8 + 0.2 * ++done / names.size());
        }
        old.removeAll(page.files().keySet());
        for (String name : old) {
            Path stale = target.resolve(name).normalize();
            if (stale.startsWith(target)) {
                Files.deleteIfExists(stale);
            }
        }
        Files.write(target.resolve(LIST), names);
    }

    private static Set<String> listed(Path target) throws IOException {
        Path list = target.resolve(LIST);
        return Files.exists(list) ? new LinkedHashSet<>(Files.readAllLines(list)) : new LinkedHashSet<>();
    }

    private static void delete(Path folder) {
        try (var all = Files.walk(folder)) {
            for (Path p : all.sorted(java.util.Comparator.reverseOrder()).toList()) {
                Files.deleteIfExists(p);
            }
        } catch (IOException e) {
            // a left-over staging folder does no harm; its name starts with a dot
        }
    }
}
