package tundra.core.file;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.lang.ref.SoftReference;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;
import tundra.core.model.Asset;
import tundra.core.model.AssetData;

/**
 * Bytes that lie as they are in a project's file and are read when they are asked for. The file stays open for it, so that what
 * is saved over it or deleted meanwhile is still read from the version that was opened.
 */
final class ZipData implements AssetData {
    /** What is shorter is held in memory at once: it costs little, and a page of small files is not read in a thousand steps. */
    static final int HELD = 1 << 16;

    private final FileChannel file;
    private final String name;
    private final long from;
    private final int length;
    private final String hash;
    private SoftReference<byte[]> read = new SoftReference<>(null);

    /**
     * @param name of the file, for the sentence when it can't be read
     * @param from where the bytes begin in it
     * @param hash of the bytes as they were when the file was opened
     */
    ZipData(FileChannel file, String name, long from, int length, String hash) {
        this.file = file;
        this.name = name;
        this.from = from;
        this.length = length;
        this.hash = hash;
    }

    @Override
    public synchronized byte[] bytes() {
        byte[] known = read.get();
        if (known == null) {
            known = fromFile();
            read = new SoftReference<>(known);
        }
        return known;
    }

    /** From the file as they come; what was changed in it meanwhile is told at their end. */
    @Override
    public InputStream open() {
        MessageDigest digest;
        try {
            digest = MessageDigest.getInstance("SHA-256");
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException(e);
        }
        return new InputStream() {
            private int at;

            @Override
            public int read() throws IOException {
                byte[] one = new byte[1];
                return read(one, 0, 1) < 0 ? -1 : one[0] & 255;
            }

            @Override
            public int read(byte[] to, int off, int len) throws IOException {
                if (at == length) {
                    return -1;
                }
                int n = file.read(ByteBuffer.wrap(to, off, Math.min(len, length - at)), from + at);
                if (n > 0) {
                    digest.update(to, off, n);
                    at += n;
                }
                if (n < 0 || at == length && !HexFormat.of().formatHex(digest.digest()).equals(hash)) {
                    throw new FileProblem("a file of the shelf can't be read from “" + name + "” any more (another program changed it)");
                }
                return n;
            }
        };
    }

    private byte[] fromFile() {
        try {
            var out = ByteBuffer.allocate(length);
            while (out.hasRemaining() && file.read(out, from + out.position()) >= 0) {
                continue;
            }
            if (out.hasRemaining() || !Asset.hash(out.array()).equals(hash)) {
                throw new IOException("another program changed it");
            }
            return out.array();
        } catch (IOException e) {
            String words = "a file of the shelf can't be read from “" + name + "” any more (" + e.getMessage() + ")";
            throw new UncheckedIOException(words, new FileProblem(words, e));
        }
    }

    @Override
    public long length() {
        return length;
    }

    @Override
    public String hash() {
        return hash;
    }
}
