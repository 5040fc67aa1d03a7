package tundra.web;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.Map;
import tundra.core.file.FileProblem;
import tundra.core.file.OutputFolder;
import tundra.core.work.Progress;

/** Writes a page to a folder, the page itself last. */
public final class Publisher {
    private static final String INDEX = "index.html";

    private Publisher() {}

    /**
     * Writes all files beside those of the folder first, then moves them over.
     *
     * @param progress asked between files; once it is given up nothing more is changed
     * @return whether it was finished
     */
    public static boolean publish(Page page, Path folder, Progress progress) throws IOException {
        return publish(page, folder, false, progress);
    }

    /** @param force whether a page that Tundra did not make may be written over */
    public static boolean publish(Page made, Path folder, boolean force, Progress progress) throws IOException {
        return OutputFolder.write("The page", parts(NamedByContent.of(made)), INDEX, folder, force || own(folder), progress);
    }

    /** A page as it stands where it was published: its scripts and styles named by what they hold. */
    public static Page named(Page made) {
        return NamedByContent.of(made);
    }

    private static Map<String, OutputFolder.Part> parts(Page page) {
        var out = new LinkedHashMap<String, OutputFolder.Part>();
        page.files().forEach((name, part) -> out.put(name, part::open));
        return out;
    }

    /** Whether the page that stands in a folder was made by Tundra, though its list of files is gone. */
    private static boolean own(Path folder) throws IOException {
        Path index = folder.toAbsolutePath().resolve(INDEX);
        if (!Files.isRegularFile(index) || Files.exists(folder.resolve(OutputFolder.LIST))) {
            return false;
        }
        if (!Files.readString(index, StandardCharsets.ISO_8859_1).contains("name=\"generator\" content=\"" + PageCompiler.GENERATOR + "\"")) {
            throw new FileProblem("“" + folder.toAbsolutePath().getFileName()
                    + "” holds a page that Tundra did not make, and it was left as it is. Choose another folder.");
        }
        return true;
    }
}
