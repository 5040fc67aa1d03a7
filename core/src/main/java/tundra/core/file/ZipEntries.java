package tundra.core.file;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.channels.NonWritableChannelException;
import java.nio.channels.SeekableByteChannel;
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

    /** A file that stays open when whoever reads it closes it, or is collected. */
    private record Lent(FileChannel file) implements SeekableByteChannel {
        @Override
        public int read(ByteBuffer to) throws IOException {
            return file.read(to);
        }

        @Override
        public int write(ByteBuffer from) {
            throw new NonWritableChannelException();
        }

        @Override
        public long position() throws IOException {
            return file.position();
        }

        @Override
        public SeekableByteChannel position(long at) throws IOException {
            file.position(at);
            return this;
        }

        @Override
        public long size() throws IOException {
            return file.size();
        }

        @Override
        public SeekableByteChannel truncate(long size) {
            throw new NonWritableChannelException();
        }

        @Override
        public boolean isOpen() {
            return file.isOpen();
        }

        @Override
        public void close() {
            // it is not the reader's
        }
    }

    private ZipEntries() {}

    /** By the names of the entries; the file stays open. */
    static Map<String, Stored> of(FileChannel file) {
        var out = new HashMap<String, Stored>();
        try (ZipFile zip = ZipFile.builder().setSeekableByteChannel(new Lent(file)).get()) {
            for (ZipArchiveEntry e : Collections.list(zip.getEntries())) {
                long from = e.getDataOffset(), length = e.getSize();
                if (e.getMethod() == ZipEntry.STORED && length == e.getCompressedSize() && length >= 0 && length <= Limits.ENTRY_BYTES && from >= 0
                        && from + length <= file.size()) {
                    out.put(e.getName(), new Stored(from, (int) length));
                }
            }
        } catch (IOException | RuntimeException e) {
            // a damaged directory; reading it as a stream says what is wrong
            return Map.of();
        }
        return out;
    }
}
