package tundra.app.output;

import java.nio.file.Path;
import tundra.core.geometry.Numbers;

/**
 * What was made of an output.
 *
 * @param path the file, or the folder
 * @param bytes of all files
 * @param words what it holds, such as {@code 48 pictures}
 * @param leftOut what it could not carry, one sentence; empty for nothing
 */
public record Made(Path path, long bytes, String words, String leftOut) {
    /** Its size as people say it. */
    public String size() {
        return size(bytes);
    }

    public static String size(long bytes) {
        return bytes < 1 << 20 ? (bytes + 1023) / 1024 + " KB" : Numbers.plain(bytes / 1048576.0, 1) + " MB";
    }
}
