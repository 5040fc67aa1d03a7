package tundra.core.file;

import java.io.IOException;
import java.nio.channels.FileChannel;
import java.util.Collections;
import java.util.HashMap;
import java.util.Map;
import java.util.zip.ZipEntry;
import org.apache.commons.compress.archivers.zip.ZipArchiveEntry;
import org.apache.commons.compress.archivers.zip.ZipFile;
import tundra.core.model.Limits;

/**
 * Where the entries that are stored as they are lie in a zip file, by its directory. What doesn't fit together is left out: whoever asks
 * reads it as a stream then.
 */
final class ZipEntries {
    /** @param from where its bytes begin in the file */
    record Stored(long from, int length) {}

    private ZipEntries() {}

    /** By the names of the entries; the file stays open. */
    static Map<String, Stored> of(FileChannel file) throws IOException {
        var out = new HashMap<String, Stored>();
        // closing it would close the file, which is all that it holds
        ZipFile zip;
        try {
            zip = ZipFile.builder().setSeekableByteChannel(file).get();
        } catch (IOException | RuntimeException e) {
            // a damaged directory; reading it as a stream says what is wrong
            return out;
        }
        for (ZipArchiveEntry e : Collections.list(zip.getEntries())) {
            long from = e.getDataOffset(), length = e.getSize();
            if (e.getMethod() == ZipEntry.STORED && length == e.getCompressedSize() && length >= 0 && length <= Limits.ENTRY_BYTES && from >= 0
                    && from + length <= file.size()) {
                out.put(e.getName(), new Stored(from, (int) length));
            }
        }
        return out;
    }
}
