package tundra.web;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.Map;
import tundra.core.model.AssetData;

/** A published page: its files by their paths, {@code index.html} among them. What was brought in is passed on without being held. */
public record Page(Map<String, Part> files) {
    /** A file of the page. */
    public interface Part {
        long length();

        /** Its bytes, one after the other. */
        InputStream open() throws IOException;

        /** All of them: for what is known to be small. */
        default byte[] bytes() {
            try (InputStream in = open()) {
                return in.readAllBytes();
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            }
        }

        static Part of(byte[] made) {
            return new Part() {
                @Override
                public long length() {
                    return made.length;
                }

                @Override
                public InputStream open() {
                    return new ByteArrayInputStream(made);
                }
            };
        }

        static Part of(AssetData data) {
            return new Part() {
                @Override
                public long length() {
                    return data.length();
                }

                @Override
                public InputStream open() throws IOException {
                    return data.open();
                }
            };
        }
    }
}
