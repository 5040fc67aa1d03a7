package tundra.core.model;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;

/** The bytes of a brought-in file: held in memory, or read from the project's file when they are asked for. */
public interface AssetData {
    /**
     * The bytes, which nobody changes.
     *
     * @throws UncheckedIOException when they can't be read any more, with a sentence that says why
     */
    byte[] bytes();

    /**
     * The same one after the other, for what is passed on without being looked at.
     *
     * @throws IOException when they can't be read any more, with a sentence that says why
     */
    InputStream open() throws IOException;

    /** How many there are. */
    long length();

    /** Their SHA-256 in hexadecimal digits. */
    String hash();

    /** Bytes that are held. */
    static AssetData of(byte[] bytes) {
        return new Held(bytes);
    }

    /** @param bytes all of them */
    record Held(byte[] bytes) implements AssetData {
        @Override
        public InputStream open() {
            return new ByteArrayInputStream(bytes);
        }

        @Override
        public long length() {
            return bytes.length;
        }

        @Override
        public String hash() {
            return Asset.hash(bytes);
        }
    }
}
