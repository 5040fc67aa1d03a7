package tundra.render;

import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.util.HashMap;
import java.util.Map;
import tundra.core.file.FileData;
import tundra.core.model.Asset;

/**
 * Videos as files of their own, which decoders can read from anywhere. One that lies within a project's file is copied out once for as long as the
 * program runs.
 */
public final class VideoFile {
    private static final Map<String, Path> COPIES = new HashMap<>();

    private VideoFile() {}

    static synchronized Path of(Asset a) throws IOException {
        if (a.source() instanceof FileData f) {
            return f.path();
        }
        Path known = COPIES.get(a.hash());
        if (known == null || !Files.exists(known)) {
            try (InputStream in = a.source().open()) {
                known = copy(in, a.ending());
            }
            COPIES.put(a.hash(), known);
        }
        return known;
    }

    /** A copy that goes when the program ends, so that the original may be moved or changed. */
    public static Path copy(InputStream in, String ending) throws IOException {
        Path file = Files.createTempFile("tundra-video", "." + ending);
        file.toFile().deleteOnExit();
        Files.copy(in, file, StandardCopyOption.REPLACE_EXISTING);
        return file;
    }
}
