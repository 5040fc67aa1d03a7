package tundra.app.send;

import java.io.IOException;
import java.io.InputStream;
import tundra.core.file.OutputFolder;

/** Files on a host, by their paths with / between. */
interface Target extends AutoCloseable {
    /** The content of a small file; null where there is none. */
    byte[] read(String path) throws IOException;

    boolean exists(String path) throws IOException;

    /** Writes a file anew; folders on the way are made. */
    void write(String path, OutputFolder.Part part, long length) throws IOException;

    /** Puts a file in another one's place; folders on the way are made. */
    void move(String from, String to) throws IOException;

    /** Does nothing where there is none. */
    void delete(String path) throws IOException;

    @Override
    void close() throws IOException;

    /** All bytes of a stream that is known to be small. */
    static byte[] all(InputStream in, int most) throws IOException {
        try (in) {
            byte[] out = in.readNBytes(most + 1);
            if (out.length > most) {
                throw new IOException("the list of what was sent is too long");
            }
            return out;
        }
    }
}
