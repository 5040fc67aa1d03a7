package tundra.app.document;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;

/**
 * By what one tells that a file was changed by someone else.
 *
 * @param time of its last change, in ms since 1970
 * @param length in bytes
 */
record FileStamp(long time, long length) {
    /** Of a file that can't be asked it is one that no other is like. */
    static FileStamp of(Path file) {
        try {
            return new FileStamp(Files.getLastModifiedTime(file).toMillis(), Files.size(file));
        } catch (IOException e) {
            return new FileStamp(-1, -1);
        }
    }
}
