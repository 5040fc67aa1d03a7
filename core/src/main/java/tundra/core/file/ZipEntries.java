package tundra.core.file;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.channels.FileChannel;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.Map;
import tundra.core.model.Limits;

/**
 * Where the entries that are stored as they are lie in a zip file, by its directory (APPNOTE 4.3: end record, central directory,
 * local headers). What doesn't fit together is left out: whoever asks reads it as a stream then.
 */
final class ZipEntries {
    private static final int END = 0x06054b50;
    private static final int CENTRAL = 0x02014b50;
    private static final int LOCAL = 0x04034b50;

    /** @param from where its bytes begin */
    record Stored(long from, int length) {}

    private ZipEntries() {}

    /** @param tail the file's last bytes, which hold the end record */
    static Map<String, Stored> of(FileChannel file, byte[] tail) throws IOException {
        var out = new HashMap<String, Stored>();
        ByteBuffer end = little(tail);
        int at = tail.length - 22;
        while (at >= 0 && end.getInt(at) != END) {
            at--;
        }
        if (at < 0) {
            return out;
        }
        long size = Integer.toUnsignedLong(end.getInt(at + 12)), start = Integer.toUnsignedLong(end.getInt(at + 16));
        if (start + size > file.size() || size > Limits.ENTRIES * 1024L) {
            return out;
        }
        ByteBuffer b = read(file, start, (int) size);
        while (b.remaining() >= 46 && b.getInt(b.position()) == CENTRAL) {
            int p = b.position(), name = b.getShort(p + 28) & 0xffff, more = (b.getShort(p + 30) & 0xffff) + (b.getShort(p + 32) & 0xffff);
            if (b.remaining() < 46 + name + more) {
                return out;
            }
            long length = Integer.toUnsignedLong(b.getInt(p + 24)), header = Integer.toUnsignedLong(b.getInt(p + 42));
            boolean asItIs = b.getShort(p + 10) == 0 && b.getInt(p + 20) == b.getInt(p + 24);
            if (asItIs && length <= Limits.ENTRY_BYTES && header + 30 <= file.size()) {
                ByteBuffer local = read(file, header, 30);
                long from = header + 30 + (local.getShort(26) & 0xffff) + (local.getShort(28) & 0xffff);
                if (local.getInt(0) == LOCAL && from + length <= file.size()) {
                    out.put(new String(b.array(), p + 46, name, StandardCharsets.UTF_8), new Stored(from, (int) length));
                }
            }
            b.position(p + 46 + name + more);
        }
        return out;
    }

    private static ByteBuffer read(FileChannel file, long from, int length) throws IOException {
        ByteBuffer b = little(new byte[length]);
        while (b.hasRemaining() && file.read(b, from + b.position()) >= 0) {
            continue;
        }
        return b.flip();
    }

    private static ByteBuffer little(byte[] bytes) {
        return ByteBuffer.wrap(bytes).order(ByteOrder.LITTLE_ENDIAN);
    }
}
