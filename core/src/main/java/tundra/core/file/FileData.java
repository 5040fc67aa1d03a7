package tundra.core.file;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import tundra.core.model.Asset;
import tundra.core.model.AssetData;

/**
 * A brought-in file that stays a file of its own and is never held whole.
 *
 * @param path of a file that nobody else writes, such as a copy
 */
public record FileData(Path path, long length, String hash) implements AssetData {
    /** Reads a file once for its hash. */
    public static FileData of(Path path) throws IOException {
        try (InputStream in = Files.newInputStream(path)) {
            return new FileData(path, Files.size(path), Asset.hash(in));
        }
    }

    /** A copy of a file that goes when the program ends. */
    public static FileData copy(Path of) throws IOException {
        Path to = Files.createTempFile("tundra", ".bin");
        to.toFile().deleteOnExit();
        Files.copy(of, to, StandardCopyOption.REPLACE_EXISTING);
        return of(to);
    }

    @Override
    public byte[] bytes() {
        try {
            return Files.readAllBytes(path);
        } catch (IOException e) {
            String words = "a file of the shelf can't be read any more (" + e.getMessage() + ")";
            throw new UncheckedIOException(words, new FileProblem(words, e));
        }
    }

    @Override
    public InputStream open() throws IOException {
        return Files.newInputStream(path);
    }
}
